import fc from 'fast-check';
import { toldBy, english } from '../../tests/support/english';
import { typed } from '../message';
import { CarrySource, CarryWishes, carryOver, letterOf, METHODS, placingOf, wishesAsParams, wishesFrom } from './carryOver';
import { OVERLAP, PaperMark, PaperSheet, RIM, tilesOf } from './paper';
import { stepsOf } from './spans';
import { transferPoint } from './transfer';

const A4 = [210, 297] as const;
const WISHES: CarryWishes = {
  method: 'grid',
  sheet: [297, 210],
  margin: 15,
  fit: 'fit',
  columns: 8,
  ruled: true,
  folds: 2,
  shown: 'dots',
  order: 'size',
  leftHanded: false,
};
const SOURCE: CarrySource = {
  ratio: [640, 480],
  widthMm: 320,
  points: [
    { name: 'crown', said: typed('crown'), at: [0.25, 0.1] },
    { name: 'chin', said: typed('chin'), at: [0.25, 0.3] },
    { name: 'sole', said: typed('sole'), at: [0.3, 0.95] },
    { name: 'hand', said: typed('hand'), at: [0.7, 0.5] },
  ],
  joined: [
    ['crown', 'chin'],
    ['chin', 'sole'],
  ],
  unit: ['crown', 'chin'],
  lines: [],
  steps: [],
  title: typed('Harbour'),
};
const linesOf = (s: PaperSheet) => s.marks.filter((m): m is Extract<PaperMark, { kind: 'line' }> => m.kind === 'line');
const words = (s: PaperSheet) => s.marks.flatMap((m) => (m.kind === 'text' ? [english(m.said)] : []));
/** Middles of the crosses on a sheet: two short strokes that meet. */
const crosses = (s: PaperSheet) =>
  linesOf(s).flatMap((m, i, all): [number, number][] => {
    const next = all[i + 1];
    if (m.ink !== 'strong' || next?.ink !== 'strong' || m.points.length !== 2) return [];
    const [[x0, y0], [x1, y1]] = m.points;
    return y0 === y1 && Math.abs(x1 - x0 - 3) < 1e-9 && Math.abs(next.points[0][0] - (x0 + x1) / 2) < 1e-9 ? [[(x0 + x1) / 2, y0]] : [];
  });

describe('carrying over', () => {
  test('every method puts the same points at the same places of the sheet, in mm', () => {
    for (const method of ['grid', 'folds', 'quadrants'] as const) {
      const { sheets, placing } = carryOver(SOURCE, { ...WISHES, method }, A4);
      expect(sheets[0].size).toEqual([297, 210]);
      const at = crosses(sheets[0]);
      expect(at).toHaveLength(4);
      SOURCE.points.forEach((p, i) => {
        const t = transferPoint(placing, p.at, WISHES.columns);
        expect(at[i][0]).toBeCloseTo(t.left, 9);
        expect(at[i][1]).toBeCloseTo(t.top, 9);
      });
    }
  });

  test('squares a student can rule have a side of whole mm, and lines stand just there', () => {
    const { side, placing, sheets } = carryOver(SOURCE, WISHES, A4);
    expect(side).toBe(Math.floor(240 / 8));
    expect(placing.width / placing.height).toBeCloseTo(640 / 480, 9);
    const upright = linesOf(sheets[0]).filter((m) => m.ink === 'pale' && m.points[0][0] === m.points[1][0]);
    expect(upright.map((m) => m.points[0][0] - placing.left)).toEqual([1, 2, 3, 4, 5, 6, 7].map((k) => expect.closeTo(k * side!, 9)));
    expect(carryOver(SOURCE, { ...WISHES, ruled: false }, A4).side).toBeCloseTo(240 / 8, 9);
  });

  test('square, field, distances from the middle lines and steps of the unit in words all tell the point they stand for', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.02, max: 0.98, noNaN: true }), fc.double({ min: 0.02, max: 0.98, noNaN: true }), (u, v) => {
        const source = { ...SOURCE, points: [SOURCE.points[0], SOURCE.points[1], { name: 'p', said: typed('p'), at: [u, v] as const }] };
        const row = (method: CarryWishes['method']) => {
          const { sheets, placing } = carryOver(source, { ...WISHES, method }, A4);
          const said = words(sheets[1]);
          return { said: said.slice(said.lastIndexOf('p') + 1), placing };
        };
        const grid = row('grid');
        const t = transferPoint(grid.placing, [u, v], WISHES.columns);
        expect(grid.said[0]).toBe(`${letterOf(t.square.column - 1)}${t.square.row}`);
        const folds = row('folds');
        const f = transferPoint(folds.placing, [u, v], WISHES.columns);
        expect(folds.said[0]).toBe(`${f.fold.column} across, ${f.fold.row} down`);
        const quadrants = row('quadrants');
        const q = transferPoint(quadrants.placing, [u, v], WISHES.columns);
        expect(quadrants.said[0]).toMatch(q.fromMiddle[0] < 0 ? /left$/ : /right$/);
        expect(Math.abs(parseFloat(quadrants.said[0]) - Math.abs(q.fromMiddle[0]))).toBeLessThanOrEqual(0.51);
        expect(Math.abs(parseFloat(quadrants.said[1]) - Math.abs(q.fromMiddle[1]))).toBeLessThanOrEqual(0.51);
        // A unit is a fifth of the height, 96 of 480.
        const across = Math.abs(u - 0.25) * (640 / 96);
        const steps = stepsOf(across)!;
        if (steps.whole) expect(row('sighting').said[0]).toContain(String(steps.whole));
      }),
      { seed: 9, numRuns: 25 },
    );
  });

  test('angles are drawn true on cards: those of joined lines and of lines kept along an edge, also where the sheet is stretched', () => {
    const yard = { said: typed('yard'), ends: [[0.1, 0.5] as const, [0.5, 0.3] as const] as const };
    for (const [fit, sheet] of [
      ['fit', [297, 210]],
      ['stretch', [200, 400]],
    ] as const) {
      const w: CarryWishes = { ...WISHES, method: 'sighting', fit, sheet };
      const { sheets, placing } = carryOver({ ...SOURCE, lines: [yard] }, w, A4);
      const cards = sheets.filter((s) => s.title.key === 'carry.sheet.angles');
      expect(cards).toHaveLength(1);
      const drawn = linesOf(cards[0]).filter((m) => m.ink === 'strong');
      const all = [...SOURCE.joined.map(([a, b]) => [a, b].map((n) => SOURCE.points.find((p) => p.name === n)!.at)), yard.ends];
      expect(drawn).toHaveLength(all.length);
      drawn.forEach(({ points: [p, q] }, i) => {
        const [[u, v], [x, y]] = all[i];
        const want = Math.atan2(-(y - v) * placing.height, (x - u) * placing.width);
        const got = Math.atan2(-(q[1] - p[1]), q[0] - p[0]);
        // A line has no beginning: half a turn is none.
        expect(Math.abs(Math.sin(want - got))).toBeLessThan(1e-9);
        expect(Math.hypot(q[0] - p[0], q[1] - p[1])).toBeCloseTo(34, 9);
      });
      expect(words(cards[0])).toEqual(expect.arrayContaining(['yard', '3']));
    }
    // Without points there is still a card of what was kept.
    expect(carryOver({ ...SOURCE, points: [], lines: [yard] }, { ...WISHES, method: 'sighting' }, A4).sheets).toHaveLength(2);
  });

  test('a left hand has letters from the right and numbers on the other side; the points stay where they are', () => {
    const [right, left] = [false, true].map((leftHanded) => carryOver(SOURCE, { ...WISHES, leftHanded }, A4).sheets[0]);
    expect(crosses(left)).toEqual(crosses(right));
    const letters = (s: PaperSheet) =>
      s.marks.flatMap((m) => (m.kind === 'text' && /^[A-H]$/.test(english(m.said)) ? [english(m.said)] : []));
    expect(letters(left)).toEqual(letters(right).reverse());
  });

  test('filling the sheet tells what is lost, its own size is its own, whatever the sheet', () => {
    const fill = carryOver(SOURCE, { ...WISHES, fit: 'fill', margin: 0, sheet: [297, 100] }, A4);
    expect(fill.lost.across).toBe(0);
    // 297 mm wide it is 222.75 mm high: 61.4 mm of that stand out on each side.
    expect(carryOver(SOURCE, { ...WISHES, method: 'folds', fit: 'fill', margin: 0, sheet: [297, 100] }, A4).lost.down).toBeCloseTo(
      61.375,
      9,
    );
    const own = placingOf({ ...WISHES, fit: 'own' }, SOURCE);
    expect([own.width, own.height]).toEqual([320, 240]);
    expect(own.left).toBeCloseTo(-11.5, 9);
    expect(carryOver(SOURCE, { ...WISHES }, A4).lost).toEqual({ across: 0, down: 0 });
  });

  test.each<[string, Partial<CarryWishes>, Partial<CarrySource>, RegExp]>([
    ['a margin that eats the sheet', { margin: 105 }, {}, /margin: 105 mm leaves no sheet to draw on; give at most 100/],
    ['a sheet of no size', { sheet: [0, 210] }, {}, /20 to 3,?000 mm/],
    ['a work’s own size nobody knows', { fit: 'own' }, { widthMm: null }, /own size is not known/],
    ['squares nobody can rule', { columns: 40, sheet: [150, 100] }, {}, /narrower than 4 mm/],
    ['one square', { columns: 1 }, {}, /from 2 to 40/],
  ])('told by its field: %s', (_, wishes, source, said) => {
    expect(toldBy(() => carryOver({ ...SOURCE, ...source }, { ...WISHES, ...wishes }, A4))).toMatch(said);
  });

  test('without points every method still has its sheet, and wishes come back from an address as they went in', () => {
    for (const method of METHODS) expect(carryOver({ ...SOURCE, points: [] }, { ...WISHES, method }, A4).sheets.length).toBeGreaterThan(0);
    const wishes: CarryWishes = {
      ...WISHES,
      method: 'folds',
      folds: 3,
      margin: 12.5,
      shown: 'both',
      leftHanded: true,
      ruled: false,
      fit: 'own',
    };
    expect(wishesFrom(wishesAsParams(wishes), { sheet: [1, 1], leftHanded: false })).toEqual(wishes);
    expect(wishesFrom({ method: 'magic', sheet: 'x', columns: 'many' }, { sheet: [297, 210], leftHanded: false })).toEqual(WISHES);
  });
});

describe('a sheet larger than the printer’s paper', () => {
  test('is one page where it fits, also turned', () => {
    expect(tilesOf([210, 297], A4).tiles).toHaveLength(1);
    expect(tilesOf([297, 210], A4)).toMatchObject({ columns: 1, rows: 1, turned: true });
  });

  test('is covered by its tiles, which overlap by as much as is said and stay off the printer’s rim', () => {
    fc.assert(
      fc.property(fc.integer({ min: 220, max: 1200 }), fc.integer({ min: 220, max: 1200 }), (w, h) => {
        const { tiles, columns, rows, turned } = tilesOf([w, h], A4);
        if (tiles.length === 1) return;
        const [pw, ph] = turned ? [297, 210] : [210, 297];
        expect(tiles).toHaveLength(columns * rows);
        for (const { part } of tiles) {
          expect(part[2]).toBeLessThanOrEqual(pw - 2 * RIM + 1e-9);
          expect(part[3]).toBeLessThanOrEqual(ph - 2 * RIM + 1e-9);
          expect(part[2]).toBeGreaterThan(0);
        }
        const across = tiles.filter((t) => t.row === 0);
        across.slice(1).forEach((t, i) => expect(across[i].part[0] + across[i].part[2] - t.part[0]).toBeCloseTo(OVERLAP, 9));
        const last = tiles[tiles.length - 1].part;
        expect(last[0] + last[2]).toBeCloseTo(w, 9);
        expect(last[1] + last[3]).toBeCloseTo(h, 9);
      }),
      { seed: 2 },
    );
  });
});
