/** The demo cupboard: twelve generic gouaches by pigment and Colour Index name. Swatch colours are invented for the demo, near common practice. */
import type { CupboardKit } from '../core/colour/materials';
import type { Kit } from '../core/colour/kit';

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

const bare = { pigment: '', tint: null, strength: 1 };

/** What the demo class draws with and on. */
export const DEMO_LINE_KIT: CupboardKit = {
  name: 'Line and sheet',
  white: null,
  materials: [
    {
      ...bare,
      kind: 'ink',
      name: 'blue-black ink',
      pigment: 'PBk7, PB15',
      masstone: '#252f43',
      properties: { waterproof: true, parts: 7, opacity: 'transparent' },
    },
    {
      ...bare,
      kind: 'ink',
      name: 'sepia ink',
      pigment: 'PBr7',
      masstone: '#4a3626',
      properties: { waterproof: false, parts: 5, opacity: 'transparent' },
    },
    {
      ...bare,
      kind: 'paper',
      name: 'ochre-washed drawing paper, A4',
      masstone: '#dac18b',
      properties: { widthMm: 297, heightMm: 210, gsm: 180, tooth: 'fine', wetStrong: true },
    },
    {
      ...bare,
      kind: 'paper',
      name: 'scrap paper, A4',
      masstone: '#f4f2ec',
      properties: { widthMm: 297, heightMm: 210, gsm: 80, tooth: 'smooth', wetStrong: false },
    },
    { ...bare, kind: 'tool', name: 'reed pen', masstone: null, properties: { leastMm: 0.4, mostMm: 2.5, taper: true } },
    { ...bare, kind: 'tool', name: 'round brush, number 6', masstone: null, properties: { leastMm: 0.5, mostMm: 8, taper: true } },
    { ...bare, kind: 'pencil', name: 'graphite pencil HB', masstone: '#6b6b6d', properties: { leastMm: 0.3, mostMm: 1.2 } },
  ],
};
