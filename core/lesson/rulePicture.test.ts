import { MarkKind } from '../marks/kinds';
import { pictureOfRule } from './rulePicture';
import { remediesAt } from './accidents';
import { smallDark } from './colourOrder';
import { TECHNIQUE_TABLE } from './techniqueTable';
import { techniqueOf } from './techniques';

const at = (x: number, y: number, kind: MarkKind | null) => ({ x, y, kind });
const read = {
  // Hatching scattered to the left and close together to the right; one line; one place that could not be told.
  places: [
    at(0.1, 0.1, 'parallel-hatch'),
    at(0.3, 0.9, 'parallel-hatch'),
    at(0.8, 0.5, 'parallel-hatch'),
    at(0.82, 0.52, 'cross-hatch'),
    at(0.78, 0.48, 'parallel-hatch'),
    at(0.5, 0.2, 'line'),
    at(0.51, 0.21, null),
  ],
  focus: [0.4, 0.6] as const,
  palette: [
    { hex: '#eeeeee', ground: true, accent: false, share: 0.6 },
    { hex: '#223344', ground: false, accent: false, share: 0.1 },
    { hex: '#99aa88', ground: false, accent: false, share: 0.25 },
    { hex: '#ee3311', ground: false, accent: true, share: 0.05 },
  ],
};

test.each([
  ['marks.spacing', { place: [0.8, 0.5] }],
  ['marks.share.cross-hatch', { place: [0.82, 0.52] }],
  ['marks.lineSwell', { place: [0.5, 0.2] }],
  ['value.range', { place: [0.4, 0.6] }],
  ['edges.lost', { place: [0.4, 0.6] }],
  ['colour.accent', { colours: ['#ee3311'] }],
  ['colour.ground', { colours: ['#eeeeee'] }],
  ['colour.palette', { colours: ['#eeeeee', '#99aa88', '#223344', '#ee3311'] }],
  ['proportion.face-front.eye-line', { whole: true }],
  ['', { whole: true }],
])('%s is shown by what it is measured on', (feature, shown) => expect(pictureOfRule(feature, read)).toEqual(shown));

test('where no such mark was read, another of its sort or the whole shows it', () => {
  expect(pictureOfRule('marks.share.stipple', read)).toEqual({ whole: true });
  const untold = { ...read, places: [at(0.5, 0.5, null)] };
  expect(pictureOfRule('marks.spacing', untold)).toEqual({ place: [0.4, 0.6] });
  expect(pictureOfRule('colour.accent', { ...read, palette: [] })).toEqual({ whole: true });
});

test('every step that touches the sheet and can go wrong has its remedy: ink run, paper torn, out of room', () => {
  const keys = (id: string) => remediesAt(techniqueOf(id)!).map((m) => m.key);
  expect(keys('pen-line')).toEqual(['accidents.ink-run']);
  expect(keys('rub-out-pencil')).toEqual(['accidents.torn']);
  expect(keys('pencil-draft')).toEqual(['accidents.out-of-room']);
  expect(keys('first-wash')).toEqual(['accidents.bloom', 'accidents.torn']);
  expect(keys('cut-stencil')).toEqual(['accidents.cut-wrong']);
  const drawn = TECHNIQUE_TABLE.filter((t) => ['line', 'wash', 'paint', 'ground', 'draft'].includes(t.role) && t.id !== 'lay-parts');
  const without = drawn.filter((t) => !remediesAt(t).length).map((t) => t.id);
  // A brush of colour over dry paint, and a felt pen, are gone over again.
  expect(without).toEqual(['felt-line', 'brush-outline', 'dab-stencil'].filter((id) => without.includes(id)));
});

test('a small dark is dark, and there is little of it', () => {
  const entry = (hex: string, share: number, l: number, more = {}) => ({
    hex,
    share,
    ground: false,
    accent: false,
    lab: [l, 0, 0] as const,
    ...more,
  });
  const [wash, dark] = [entry('#99aa88', 0.4, 68), entry('#223344', 0.05, 21)];
  expect(smallDark([wash, dark])).toBe(dark);
  expect(smallDark([wash, { ...dark, share: 0.3 }])).toBeNull();
  expect(smallDark([wash, { ...dark, accent: true }])).toBeNull();
  expect(smallDark([])).toBeNull();
});
