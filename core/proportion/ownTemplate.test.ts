import { checkedTemplate, readTemplateFile, templateAsJson } from '../formats/templateFile';
import { toldBy } from '../../tests/support/english';
import { linesOf, readAll } from './measures';
import { OwnMeasure, OwnTemplate, shapePath, templateFrom } from './ownTemplate';

const measure = (id: string, more: Partial<OwnMeasure> & Pick<OwnMeasure, 'kind' | 'points'>): OwnMeasure => ({
  id,
  name: `measure ${id}`,
  against: null,
  from: null,
  canon: null,
  ...more,
});
const boat: OwnTemplate = {
  name: 'Lugger',
  points: [
    { name: 'bow', at: [0, 0.8] },
    { name: 'stern', at: [1, 0.8] },
    { name: 'mast top', at: [0.5, 0] },
    { name: 'mast foot', at: [0.55, 0.8] },
  ],
  shapes: [
    { as: 'line', points: ['mast top', 'mast foot'] },
    { as: 'triangle', points: ['bow', 'stern', 'mast top'] },
    { as: 'box', points: ['bow', 'mast top'] },
  ],
  unit: ['bow', 'stern'],
  measures: [
    measure('a', { kind: 'ratio', points: ['mast top', 'mast foot'], canon: 1 }),
    measure('b', { kind: 'ratio', points: ['bow', 'stern'], against: ['mast top', 'mast foot'] }),
    measure('c', { kind: 'level', points: ['bow', 'stern'] }),
    measure('d', { kind: 'plumb', points: ['mast foot', 'mast top'] }),
    measure('e', { kind: 'under', points: ['mast top', 'mast foot'] }),
    measure('f', { kind: 'levelWith', points: ['stern', 'bow'] }),
    measure('g', { kind: 'share', points: ['bow', 'mast top'] }),
    measure('h', { kind: 'edge', points: ['stern'], from: 'right' }),
    measure('i', { kind: 'edge', points: ['bow'], from: 'bottom' }),
    measure('j', { kind: 'middle', points: ['mast foot'], from: 'across' }),
    measure('k', { kind: 'middle', points: ['mast foot'], from: 'down' }),
    measure('l', { kind: 'corner', points: ['bow', 'mast foot', 'mast top'] }),
    measure('m', { kind: 'edge', points: ['mast top'], from: 'nearest' }),
  ],
};
const points = { bow: [20, 160], stern: [120, 150], 'mast top': [60, 35], 'mast foot': [72, 155] } as const;

test('a teacher’s own measures are read from its points, its unit and the frame', () => {
  const read = Object.fromEntries(readAll(templateFrom(boat), points, [0, 0, 200, 200]).map((m) => [m.name, m.value]));
  const unit = Math.hypot(100, 10);
  const mast = Math.hypot(12, 120);
  expect(read.a).toBeCloseTo(mast / unit, 9);
  expect(read.b).toBeCloseTo(unit / mast, 9);
  expect(read.c).toBeCloseTo((Math.atan2(10, 100) * 180) / Math.PI, 9);
  expect(read.d).toBeCloseTo((Math.atan2(12, 120) * 180) / Math.PI, 9);
  expect(read.e).toBeCloseTo(-12 / unit, 9);
  expect(read.f).toBeCloseTo(10 / unit, 9);
  expect(read.g).toBeCloseTo((40 * 125) / 40000, 9);
  expect(read.h).toBeCloseTo(0.4, 9);
  expect(read.i).toBeCloseTo(0.2, 9);
  expect(read.j).toBeCloseTo(-0.14, 9);
  expect(read.k).toBeCloseTo(-0.275, 9);
  expect(read.l).toBeCloseTo((Math.acos((-52 * -12 + 5 * -120) / Math.hypot(52, 5) / mast) * 180) / Math.PI, 9);
  // 35 px below the upper edge of a frame of 200.
  expect(read.m).toBeCloseTo(0.175, 9);
  // Every one of them is shown where it is read.
  for (const { id } of boat.measures) expect(linesOf(templateFrom(boat), id, points, [0, 0, 200, 200]).length).toBeGreaterThan(0);
  // Without a frame, and with a point hidden, there is nothing to read.
  const { 'mast top': _hidden, ...rest } = points;
  const left = readAll(templateFrom(boat), rest, null)
    .filter((m) => m.value !== null)
    .map((m) => m.name);
  expect(left).toEqual(['c', 'f']);
});

test('shapes are drawn through their points, and not at all while one is missing', () => {
  expect(shapePath({ as: 'oval', points: ['bow', 'mast top'] }, points)).toMatch(/^M20 97\.5A20 62\.5/);
  expect(shapePath({ as: 'triangle', points: ['bow', 'stern', 'mast top'] }, points)).toBe('M20 160L120 150L60 35Z');
  expect(shapePath({ as: 'line', points: ['bow', 'keel'] }, points)).toBe('');
});

test('its file comes back as it went out', () => {
  expect(readTemplateFile(templateAsJson(boat))).toEqual(boat);
});

test('a file with no more than the names of points and measures by kind, of and over is read', () => {
  const file = {
    format: 'oldhand.template/1',
    name: 'Vase',
    points: ['lip', 'foot', 'left', 'right'],
    unit: ['left', 'right'],
    measures: [
      { name: 'height', kind: 'length', of: ['lip', 'foot'], over: null, canon: 2 },
      { name: 'slender', kind: 'ratio', of: ['left', 'right'], over: ['lip', 'foot'], canon: null },
      { name: 'lean', kind: 'angle', of: ['foot', 'lip'], over: null, canon: null },
      { name: 'shoulder', kind: 'angle', of: ['left', 'lip', 'right'], over: null, canon: null },
      { name: 'lip over foot', kind: 'plumb', of: ['lip', 'foot'], over: null, canon: null },
      { name: 'sides level', kind: 'level', of: ['left', 'right'], over: null, canon: null },
      { name: 'box', kind: 'share', of: ['left', 'foot'], over: null, canon: null },
      { name: 'free below', kind: 'from-edge', of: ['foot'], over: null, canon: null },
    ],
  };
  const vase = readTemplateFile(JSON.stringify(file));
  const at = { lip: [110, 20], foot: [100, 180], left: [60, 90], right: [140, 94] } as const;
  const read = Object.fromEntries(readAll(templateFrom(vase), at, [0, 0, 400, 200]).map((m, i) => [file.measures[i].name, m]));
  const [high, wide] = [Math.hypot(10, 160), Math.hypot(80, 4)];
  expect(read.height).toMatchObject({ unit: 'ratio', canon: 2 });
  expect(read.height.value).toBeCloseTo(high / wide, 9);
  expect(read.height.factor).toBeCloseTo(high / wide / 2, 9);
  expect(read.slender.value).toBeCloseTo(wide / high, 9);
  expect(read.lean.value).toBeCloseTo((Math.atan2(160, 10) * 180) / Math.PI, 9);
  const angle = Math.acos((-50 * 30 + 70 * 74) / Math.hypot(50, 70) / Math.hypot(30, 74));
  expect(read.shoulder.value).toBeCloseTo((angle * 180) / Math.PI, 9);
  expect(read['lip over foot'].value).toBeCloseTo(10 / wide, 9);
  expect(read['sides level'].value).toBeCloseTo(4 / wide, 9);
  expect(read.box.value).toBeCloseTo((40 * 90) / 80000, 9);
  expect(read['free below'].value).toBeCloseTo(0.1, 9);
  expect(() => readTemplateFile(JSON.stringify({ ...file, measures: [{ ...file.measures[0], kind: 'slope' }] }))).toThrow();
  expect(toldBy(() => readTemplateFile(JSON.stringify({ ...file, unit: null })))).toMatch(/“height”/);
});

test.each<[string, object, RegExp]>([
  ['no name', { name: ' ' }, /name/],
  ['a point twice', { points: [...boat.points, boat.points[0]] }, /“bow”/],
  ['a point with no place', { points: [{ name: 'bow', at: [0] }] }, /“bow”/],
  ['a point that is called nothing', { points: [{ name: '<b>', at: [0, 0] }] }, /letters/],
  ['a measure of a point that is none', { measures: [measure('a', { kind: 'level', points: ['bow', 'keel'] })] }, /keel/],
  ['a measure of one point with itself', { measures: [measure('a', { kind: 'level', points: ['bow', 'bow'] })] }, /2 different points/],
  ['a ratio without a unit', { unit: null, measures: [measure('a', { kind: 'ratio', points: ['bow', 'stern'] })] }, /unit/],
  ['a unit of one point', { unit: ['bow', 'bow'] }, /two different points/],
  ['a kind that is none', { measures: [{ ...measure('a', { kind: 'level', points: ['bow', 'stern'] }), kind: 'slope' }] }, /kind/],
  ['a triangle of two', { shapes: [{ as: 'triangle', points: ['bow', 'stern'] }] }, /triangle/],
  ['a natural proportion of nothing', { measures: [measure('a', { kind: 'ratio', points: ['bow', 'stern'], canon: 0 })] }, /above 0/],
])('%s is told with what to do', (_what, part, said) => {
  expect(toldBy(() => checkedTemplate({ ...boat, ...part }))).toMatch(said);
});
