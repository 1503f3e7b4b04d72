/** Layers over each other, colours in their order, one batch for what comes back. */
import fc from 'fast-check';
import { labFromHex } from '../colour/lab';
import { amount } from '../message';
import { batchesOf, coloursAt } from './colourOrder';
import { coverOf, groundAndInk, LaidStep, layersIn, NO_LAYING, toolOf } from './laying';
import { techniqueOf } from './techniques';
import { TECHNIQUE_TABLE } from './techniqueTable';

const step = (id: string, more: Partial<LaidStep> = {}): LaidStep => ({ knows: techniqueOf(id)!, laying: null, colours: [], ...more });
const on = { sheet: '#ffffff', ink: '#000000', cover: null };

test('strokes seen from afar are the mean of ink and sheet by their shares (Murray and Davies 1936)', () => {
  // Half of the sheet covered with ink that reflects 0.0022 of the light, white paper 1: luminance 0.501, L* 76.1 by CIE 15.
  const [half] = layersIn([step('pen-hatch')], { ...on, cover: 0.5 });
  expect(half.lightness).toBeGreaterThan(75.9);
  expect(half.lightness).toBeLessThan(76.4);
  // 18 % is the photographer's middle grey, L* 49.5.
  const [dark] = layersIn([step('pen-hatch')], { ...on, cover: 0.82 });
  expect(dark.lightness).toBeCloseTo(49.5, 0);
});

test('a second set of strokes covers only what the first left: 1 − (1 − c)²', () => {
  const [, both] = layersIn([step('pen-hatch'), step('cross-hatch')], { ...on, cover: 0.3 });
  const [once] = layersIn([step('pen-hatch')], { ...on, cover: 1 - 0.7 ** 2 });
  expect(both.lightness).toBeCloseTo(once.lightness, 1);
});

test('a wash with a share s of ink lets through what the ink does to the power s (Beer and Lambert); more water is paler', () => {
  const wash = (parts: number) =>
    layersIn([step('first-wash', { laying: { ...NO_LAYING, parts } })], { ...on, ink: '#3a2a1c' })[0].lightness;
  for (let parts = 0; parts < 20; parts++) expect(wash(parts + 1)).toBeGreaterThan(wash(parts));
  expect(wash(0)).toBeCloseTo(labFromHex('#3a2a1c')[0], -0.5);
});

test('washes only darken, whatever lies beneath; what covers does not care what was there', () => {
  fc.assert(
    fc.property(
      fc.array(fc.constantFrom('first-wash', 'second-wash', 'pen-hatch', 'tone-sheet', 'cross-hatch'), { minLength: 2, maxLength: 6 }),
      fc.integer({ min: 0, max: 30 }),
      (ids, parts) => {
        const layers = layersIn(
          ids.map((id) => step(id, { laying: { ...NO_LAYING, parts } })),
          { ...on, sheet: '#e8dcc0', ink: '#33261b' },
        );
        layers.slice(1).forEach((l, i) => expect(l.lightness).toBeLessThanOrEqual(layers[i].lightness + 1e-9));
      },
    ),
    { numRuns: 100 },
  );
  const paint = step('flat-fields', { colours: [{ hex: '#c03a2b', share: 1 }] });
  const [alone] = layersIn([paint], on);
  const [, over] = layersIn([step('pen-line'), paint], on);
  expect(over.hex).toBe(alone.hex);
  expect(alone.hex).toBe('#c03a2b');
});

test('a wash nobody has set is thinned until it reaches the lightness measured of its colours', () => {
  const grey = { hex: '#b8b2a8', share: 0.3 };
  const [layer] = layersIn([step('first-wash', { colours: [grey] })], { ...on, sheet: '#f3eee2', ink: '#2a2118' });
  expect(layer.parts).toBeGreaterThan(1);
  expect(Math.abs(layer.lightness - labFromHex(grey.hex)[0])).toBeLessThan(4);
  // What the teacher set stays.
  expect(layersIn([step('first-wash', { colours: [grey], laying: { ...NO_LAYING, parts: 2 } })], on)[0].parts).toBe(2);
});

test('steps beside the sheet and erasers are no layers; strokes as wide as their gap cover all', () => {
  const layers = layersIn(
    ['own-sketch', 'pencil-draft', 'pen-line', 'rub-out-pencil', 'fix', 'mount'].map((id) => step(id)),
    on,
  );
  expect(layers.map((l) => l.step)).toEqual([2]);
  expect(coverOf({ width: amount(0.4, 'mm'), gap: amount(1.6, 'mm') })).toBeCloseTo(0.25);
  expect(coverOf({ width: amount(3, 'mm'), gap: amount(1.6, 'mm') })).toBe(1);
  expect(coverOf({ width: amount(3, 'permille'), gap: amount(1.6, 'mm') })).toBeNull();
  expect(coverOf({ width: null, gap: amount(1.6, 'mm') })).toBeNull();
});

test('every technique that lays something by hand has a tool', () => {
  const none = TECHNIQUE_TABLE.filter((t) => ['line', 'tone', 'wash', 'paint'].includes(t.role) && toolOf(t.items) === null).map(
    (t) => t.id,
  );
  expect(none).toEqual([]);
});

const entry = (hex: string, share: number, more: { ground?: boolean; accent?: boolean } = {}) => ({
  hex,
  share,
  ground: false,
  accent: false,
  ...more,
  lab: labFromHex(hex),
});
const palette = [
  entry('#efe6d2', 0.5, { ground: true }),
  entry('#b9c4bd', 0.2),
  entry('#5f6f74', 0.15),
  entry('#d8cfae', 0.1),
  entry('#c0392b', 0.02, { accent: true }),
];
const lesson = (...ids: string[]) => ids.map((id) => ({ knows: techniqueOf(id)!, laying: null }));

describe('colours in their order', () => {
  test('see-through ones go from light to dark, each once; the accent has its own step', () => {
    const at = coloursAt(lesson('pencil-draft', 'first-wash', 'second-wash', 'accent'), palette);
    expect(at.map((list) => list.map((c) => c.hex))).toEqual([[], ['#d8cfae'], ['#b9c4bd', '#5f6f74'], ['#c0392b']]);
  });
  test('a light on a toned sheet has its own step, even where it is so little that it is an accent', () => {
    const toned = [entry('#d9bd86', 0.5, { ground: true }), entry('#5f6f74', 0.2), entry('#fbfaf4', 0.01, { accent: true })];
    const at = (...ids: string[]) => coloursAt(lesson(...ids), toned).map((list) => list.map((c) => c.hex));
    expect(at('first-wash', 'opaque-white', 'accent')).toEqual([['#5f6f74'], ['#fbfaf4'], []]);
    expect(at('first-wash', 'accent')).toEqual([['#5f6f74'], ['#fbfaf4']]);
  });
  test('body colour is laid at once, the largest first, and comes back in a further coat: one batch for both', () => {
    const steps = lesson('flat-fields', 'second-coat', 'accent');
    const at = coloursAt(steps, palette);
    expect(at[0].map((c) => c.hex)).toEqual(['#b9c4bd', '#5f6f74', '#d8cfae']);
    const batches = batchesOf(steps, at);
    expect(batches.map((b) => [b.colour.hex, b.steps, b.coats])).toEqual([
      ['#b9c4bd', [0, 1], 1.5],
      ['#5f6f74', [0, 1], 1.5],
      ['#d8cfae', [0, 1], 1.5],
      ['#c0392b', [2], 0.05],
    ]);
  });
  test('what the teacher set is laid where it was set, and no colour is lost or laid twice where nobody set any', () => {
    const [wash, line] = lesson('first-wash', 'pen-line');
    const set = coloursAt([wash, { ...line, laying: { ...NO_LAYING, colours: ['#5f6f74'] } }], palette);
    expect(set[1].map((c) => c.hex)).toEqual(['#5f6f74']);
    fc.assert(
      fc.property(
        fc.subarray(palette),
        fc.subarray(['tone-sheet', 'first-wash', 'second-wash', 'accent', 'opaque-white'], { minLength: 1 }),
        (some, ids) => {
          const all = coloursAt(lesson(...ids), some).flat();
          expect(new Set(all.map((c) => c.hex)).size).toBe(all.length);
          if (ids.some((id) => id.endsWith('wash')))
            expect(all.length).toBeGreaterThanOrEqual(some.filter((c) => !c.ground && !c.accent).length);
        },
      ),
      { numRuns: 100 },
    );
  });
  test('the sheet and the ink are read off the palette; without one they are white paper and black', () => {
    expect(groundAndInk(palette)).toEqual({ sheet: '#efe6d2', ink: '#211e1b' });
    expect(groundAndInk([...palette, entry('#221a14', 0.1)]).ink).toBe('#221a14');
    expect(labFromHex(groundAndInk([]).sheet)[0]).toBeGreaterThan(90);
  });
});
