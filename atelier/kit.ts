/** The demo cupboard: twelve generic gouaches by pigment and Colour Index name. Swatch colours are invented for the demo, near common practice. */
import { Kit } from '../core/colour/mixing';

const paint = (name: string, pigment: string, masstone: string, tint: string): Kit['paints'][number] => ({
  name,
  pigment,
  masstone,
  tint: { hex: tint, parts: [1, 4] },
  strength: 1,
});

export const DEMO_KIT: Kit = {
  name: 'School gouache, twelve colours',
  white: 'titanium white',
  paints: [
    { name: 'titanium white', pigment: 'PW6', masstone: '#f8f7f2', tint: null, strength: 1 },
    paint('hansa yellow', 'PY74', '#f6c915', '#f9e18c'),
    paint('yellow ochre', 'PY43', '#c18f3a', '#dcc08f'),
    paint('pyrrole orange', 'PO73', '#ee5a1c', '#f5a883'),
    paint('naphthol red', 'PR170', '#b8252c', '#de8d92'),
    paint('quinacridone rose', 'PV19', '#a61d55', '#d989ae'),
    paint('burnt sienna', 'PBr7', '#74391f', '#b48a78'),
    paint('ultramarine blue', 'PB29', '#22318a', '#7f8fc9'),
    paint('phthalo blue', 'PB15:3', '#0d3a6b', '#5f9bc9'),
    paint('phthalo green', 'PG7', '#0b4f45', '#63ab9d'),
    paint('chrome oxide green', 'PG17', '#4f6b3a', '#9aab88'),
    paint('carbon black', 'PBk7', '#1f1f22', '#77787c'),
  ],
};
