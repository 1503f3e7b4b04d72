import { toldBy } from '../../tests/support/english';
import { CoreError } from '../errors';
import fc from 'fast-check';
import { inMastersPalette, inMastersValues } from '../colour/regroup';
import { RgbImage } from '../raster/image';
import { drawGhost, ghostMap } from './ghost';
import { bendToManner, mannerFactors, onTheWay } from './manner';
import { measureProportions } from './measures';
import { TEMPLATES } from './templates';
import { bendingMatrix, thinPlate } from './thinPlate';

type Points = Record<string, [number, number]>;
const natural = (template: keyof typeof TEMPLATES, w: number, h: number, x0 = 0, y0 = 0): Points =>
  Object.fromEntries(TEMPLATES[template].points.map((p) => [p.name, [x0 + p.at[0] * w, y0 + p.at[1] * h]]));
const value = (template: keyof typeof TEMPLATES, points: Points, measure: string) =>
  measureProportions(template, points).find((m) => m.name === measure)!.value!;

describe('bending a reference to the manner', () => {
  const figure = natural('figure-standing', 200, 640, 300, 80);
  test('each measure becomes itself times the factor', () => {
    const asked = [
      { measure: 'heads-tall', factor: 0.6, works: 3 },
      { measure: 'shoulder-width', factor: 0.7, works: 3 },
      { measure: 'leg-share', factor: 0.9, works: 3 },
    ];
    const { points, measures } = bendToManner('figure-standing', figure, asked);
    for (const a of asked) {
      const want = value('figure-standing', figure, a.measure) * a.factor;
      expect(value('figure-standing', points, a.measure) / want).toBeCloseTo(1, 2);
      expect(measures.find((m) => m.measure === a.measure)!.reached / want).toBeCloseTo(1, 2);
    }
  });
  test('a face: eyes lowered, face narrowed, the rest follows without crossing', () => {
    const face = natural('face-front', 240, 360, 100, 60);
    const { points } = bendToManner('face-front', face, [
      { measure: 'eye-line', factor: 1.16, works: 2 },
      { measure: 'face-shape', factor: 0.85, works: 2 },
    ]);
    expect(value('face-front', points, 'eye-line') / value('face-front', face, 'eye-line')).toBeCloseTo(1.16, 2);
    expect(points['brow-left'][1]).toBeLessThan(points['eye-left-inner'][1]);
    expect(points['eye-left-outer'][0]).toBeLessThan(points['eye-left-inner'][0]);
    expect(points['nose-base'][1]).toBeLessThan(points['mouth-centre'][1]);
  });
  test('factors of one, or none, leave every point where it was', () => {
    for (const factors of [[], [{ measure: 'heads-tall', factor: 1, works: 1 }]]) {
      const { points } = bendToManner('figure-standing', figure, factors);
      for (const [name, p] of Object.entries(points)) {
        expect(p[0]).toBeCloseTo(figure[name][0], 3);
        expect(p[1]).toBeCloseTo(figure[name][1], 3);
      }
    }
  });
  test('place and size of the reference do not matter', () => {
    const asked = [{ measure: 'heads-tall', factor: 0.62, works: 1 }];
    const here = bendToManner('figure-standing', figure, asked).points;
    fc.assert(
      fc.property(fc.double({ min: 0.2, max: 8, noNaN: true }), fc.double({ min: -500, max: 500, noNaN: true }), (k, shift) => {
        const moved = Object.fromEntries(
          Object.entries(figure).map(([n, [x, y]]) => [n, [k * x + shift, k * y - shift] as [number, number]]),
        );
        const there = bendToManner('figure-standing', moved, asked).points;
        for (const n of Object.keys(here)) {
          expect((there[n][0] - shift) / k).toBeCloseTo(here[n][0], 1);
          expect((there[n][1] + shift) / k).toBeCloseTo(here[n][1], 1);
        }
      }),
      { numRuns: 12 },
    );
  });
  test('the master’s factor is the geometric mean over works; measures without canon have none', () => {
    const short = natural('figure-standing', 200, 640);
    const tall = natural('figure-standing', 200, 640);
    short.crown = [short.chin[0], short.chin[1] - 140];
    const told = mannerFactors('figure-standing', [[short], [tall]]);
    const one = value('figure-standing', short, 'heads-tall') / 7.5;
    const two = value('figure-standing', tall, 'heads-tall') / 7.5;
    expect(told.find((f) => f.measure === 'heads-tall')).toMatchObject({ works: 2 });
    expect(told.find((f) => f.measure === 'heads-tall')!.factor).toBeCloseTo(Math.sqrt(one * two), 9);
    // Two figures of one work are one work.
    const twice = mannerFactors('figure-standing', [[short, short, tall], [tall]]).find((f) => f.measure === 'heads-tall')!;
    expect(twice.works).toBe(2);
    expect(twice.factor).toBeCloseTo((one ** 2 * two) ** (1 / 6) * Math.sqrt(two), 9);
    expect(told.some((f) => f.measure === 'hem-width' || f.measure === 'lean')).toBe(false);
  });
  test('strength 0 is the reference, 1 the manner, and a part can go its own way', () => {
    const bent = bendToManner('figure-standing', figure, [{ measure: 'heads-tall', factor: 0.6, works: 1 }]).points;
    expect(onTheWay('figure-standing', figure, bent, 0, {})).toEqual(figure);
    const full = onTheWay('figure-standing', figure, bent, 1, {});
    for (const n of Object.keys(bent)) expect(full[n][1]).toBeCloseTo(bent[n][1], 9);
    const head = onTheWay('figure-standing', figure, bent, 1, { head: 0 });
    expect(head.crown).toEqual(figure.crown);
    expect(head.sole).toEqual(full.sole);
  });
  test('every point of a template moves with one of its parts, and every part has points', () => {
    for (const { points, parts } of Object.values(TEMPLATES)) expect(new Set(points.map((p) => p.part))).toEqual(new Set(parts));
  });
  test('two points are refused', () => {
    expect(toldBy(() => bendToManner('face-front', { crown: [0, 0], chin: [0, 9] }, []))).toMatch(/at least three/);
  });
});

describe('thin-plate spline', () => {
  const from: [number, number][] = [
    [0, 0],
    [100, 10],
    [20, 90],
    [80, 70],
    [50, 40],
  ];
  test('carries every point exactly', () => {
    const to: [number, number][] = [
      [3, 1],
      [90, 20],
      [25, 100],
      [70, 60],
      [60, 30],
    ];
    const map = thinPlate(from, to);
    from.forEach((p, i) => {
      expect(map(...p)[0]).toBeCloseTo(to[i][0], 3);
      expect(map(...p)[1]).toBeCloseTo(to[i][1], 3);
    });
  });
  test('an affine move stays affine everywhere and bends nothing', () => {
    const move = ([x, y]: [number, number]): [number, number] => [1.2 * x - 0.3 * y + 5, 0.1 * x + 0.9 * y - 7];
    const map = thinPlate(from, from.map(move));
    for (const p of [
      [-40, 300],
      [55, 12],
    ] as [number, number][]) {
      expect(map(...p)[0]).toBeCloseTo(move(p)[0], 4);
      expect(map(...p)[1]).toBeCloseTo(move(p)[1], 4);
    }
    const K = bendingMatrix(from.map(([x, y]) => [x / 100, y / 100]));
    const energy = from.reduce((s, p, i) => s + from.reduce((t, q, j) => t + K[i][j] * move(p)[0] * move(q)[0], 0), 0);
    expect(Math.abs(energy)).toBeLessThan(1e-3);
  });
  test('points on one line are refused', () => {
    const line: [number, number][] = [
      [0, 0],
      [1, 1],
      [2, 2],
    ];
    expect(() => thinPlate(line, line)).toThrow(CoreError);
  });
});

const gradient = (width: number, height: number): RgbImage => {
  const data = new Uint8Array(width * height * 3);
  for (let i = 0; i < width * height; i++) {
    data[i * 3] = Math.round((255 * (i % width)) / width);
    data[i * 3 + 1] = Math.round((255 * Math.floor(i / width)) / height);
    data[i * 3 + 2] = 90;
  }
  return { width, height, data };
};

describe('ghost', () => {
  const points: Points = { a: [40, 30], b: [90, 40], c: [60, 70] };
  test('unmoved points give the picture back; moved ones carry their colour along', () => {
    const picture = gradient(120, 100);
    const still = drawGhost(picture, ghostMap(points, points, 120, 100), [120, 100]);
    expect(still.folded).toBe(0);
    expect(Math.max(...still.image.data.map((v, i) => Math.abs(v - picture.data[i])))).toBeLessThanOrEqual(1);
    const bent: Points = { ...points, a: [52, 30] };
    const moved = drawGhost(picture, ghostMap(points, bent, 120, 100), [120, 100]).image;
    const at = (30 * 120 + 52) * 3;
    expect(Math.abs(moved.data[at] - picture.data[(30 * 120 + 40) * 3])).toBeLessThanOrEqual(3);
  });
  test('points that change places fold the picture, and it is said', () => {
    const crossed: Points = { ...points, a: [90, 40], b: [40, 30] };
    expect(drawGhost(gradient(120, 100), ghostMap(points, crossed, 120, 100), [120, 100]).folded).toBeGreaterThan(0.02);
  });
});

describe('the master’s values and palette', () => {
  const master = gradient(80, 60);
  test('steps take the master’s shares', () => {
    const told = inMastersValues(gradient(100, 70), master, 4);
    expect(told.parts.length).toBe(4);
    for (const p of told.parts) expect(Math.abs(p.here - p.master)).toBeLessThan(0.02);
    expect(told.parts.reduce((s, p) => s + p.here, 0)).toBeCloseTo(1, 6);
    expect(new Set(told.image.data).size).toBe(4);
  });
  test('only palette colours are used, dark for dark, and a vivid spot keeps the accent', () => {
    const palette = [
      { hex: '#d9c08a', share: 0.6, accent: false },
      { hex: '#1d2740', share: 0.395, accent: false },
      { hex: '#f26a12', share: 0.005, accent: true },
    ];
    const reference = gradient(90, 60);
    for (let i = 0; i < reference.data.length / 3; i++) {
      const grey = i % 90 < 45 ? 40 : 200;
      for (let c = 0; c < 3; c++) reference.data[i * 3 + c] = grey;
    }
    for (let y = 20; y < 32; y++)
      for (let x = 60; x < 72; x++) [250, 110, 10].forEach((v, c) => (reference.data[(y * 90 + x) * 3 + c] = v));
    const told = inMastersPalette(reference, palette);
    const at = (x: number, y: number) =>
      '#' + [0, 1, 2].map((c) => told.image.data[(y * 90 + x) * 3 + c].toString(16).padStart(2, '0')).join('');
    expect(at(10, 10)).toBe('#1d2740');
    expect(at(80, 50)).toBe('#d9c08a');
    expect(at(66, 26)).toBe('#f26a12');
    expect(told.parts.find((p) => p.hex === '#f26a12')!.here).toBeGreaterThan(0.01);
  });
});
