import fc from 'fast-check';
import { toldBy } from '../../tests/support/english';
import { Point } from '../raster/image';
import { crossesItself, overlapOfBoth, overlapWithConvex, sharedArea, signedArea } from './polygon';
import { bigToSmall, checkedShapes, drawn, DrawnShape, meetingsOf, readShapes, simplified, wholeOf } from './shapeList';

const shape = (id: string, outline: Point[], more: Partial<DrawnShape> = {}): DrawnShape => ({
  id,
  name: id,
  outline: outline.map(([x, y]) => [x, y]),
  as: null,
  gap: false,
  ...more,
});
const rect = (x: number, y: number, w: number, h: number): Point[] => [
  [x, y],
  [x + w, y],
  [x + w, y + h],
  [x, y + h],
];
const disc = (cx: number, cy: number, rx: number, ry = rx): Point[] =>
  Array.from({ length: 60 }, (_, i) => [cx + rx * Math.cos((2 * Math.PI * i) / 60), cy + ry * Math.sin((2 * Math.PI * i) / 60)]);
const FRAME = [0, 0, 1000, 800] as const;

describe('shapes of a picture', () => {
  test('are told with share, box, lie and what holds them, big to small', () => {
    const read = readShapes(
      [shape('hat', disc(300, 250, 60, 30)), shape('sea', rect(0, 200, 1000, 400)), shape('post', rect(700, 150, 30, 500))],
      FRAME,
    );
    expect(read.map((r) => r.drawn.kind)).toEqual(['ellipse', 'rectangle', 'rectangle']);
    expect(bigToSmall(read).map((r) => r.shape.id)).toEqual(['sea', 'post', 'hat']);
    const [hat, sea, post] = read;
    expect(hat.within).toBe('sea');
    expect(post.within).toBeNull();
    expect(sea.share).toBeCloseTo(0.5, 9);
    expect(sea.box.top).toBeCloseTo(0.25, 2);
    expect(hat.middle[0]).toBeCloseTo(0.3, 2);
    expect(Math.min(hat.lie!, 180 - hat.lie!)).toBeLessThan(1);
    expect(post.lie).toBeCloseTo(90, 0);
    expect(readShapes([shape('moon', disc(500, 400, 90))], FRAME)[0].lie).toBeNull();
  });

  test('a lean is told anticlockwise as seen', () => {
    const leaning = (degrees: number) => {
      const t = (-degrees * Math.PI) / 180;
      return rect(-150, -20, 300, 40).map(([x, y]): Point => [
        500 + x * Math.cos(t) - y * Math.sin(t),
        400 + x * Math.sin(t) + y * Math.cos(t),
      ]);
    };
    for (const d of [10, 45, 80, 135]) expect(readShapes([shape('oar', leaning(d))], FRAME)[0].lie).toBeCloseTo(d, 0);
  });

  test('what a person holds a shape to be stands, however it fits', () => {
    const [read] = readShapes([shape('hat', disc(300, 250, 60), { as: 'triangle' })], FRAME);
    expect(read.drawn.kind).toBe('triangle');
    expect(read.ranked[0].kind).toBe('ellipse');
  });

  test('the one that is whole stands in front, the one whose shape goes on under it stops at it', () => {
    // A disc, and a bar from which the disc's half is bitten out.
    const bitten: Point[] = [
      [300, 360],
      ...Array.from({ length: 21 }, (_, i): Point => {
        const t = Math.PI * (0.5 + i / 20) + Math.PI;
        return [300 + 100 * Math.cos(t), 400 + 100 * Math.sin(t)];
      }).filter(([, y]) => Math.abs(y - 400) <= 40),
      [300, 440],
    ];
    const bar: Point[] = [[700, 360], [700, 440], ...bitten.filter(([x]) => x > 301).sort((a, b) => b[1] - a[1])];
    const read = readShapes([shape('sun', disc(300, 400, 100)), shape('bar', bar, { as: 'rectangle' })], FRAME);
    const [meeting] = meetingsOf(read, FRAME);
    expect(meeting).toMatchObject({ front: 'sun', back: 'bar' });
    expect(meetingsOf(readShapes([shape('a', disc(200, 200, 50)), shape('b', disc(700, 600, 50))], FRAME), FRAME)).toEqual([]);
    // What lies within another is on it, and a gap stops nothing.
    expect(meetingsOf(readShapes([shape('a', disc(300, 400, 200)), shape('b', disc(300, 400, 60))], FRAME), FRAME)).toEqual([]);
    const nested = [shape('sea', rect(0, 100, 900, 600)), shape('cape', rect(200, 200, 300, 400)), shape('clasp', disc(350, 300, 30))];
    expect(meetingsOf(readShapes(nested, FRAME), FRAME)).toEqual([]);
    expect(meetingsOf(readShapes([shape('a', disc(300, 400, 80), { gap: true }), shape('b', disc(340, 400, 80))], FRAME), FRAME)).toEqual(
      [],
    );
  });

  test('drawn by what hangs from what, each shape lies in or meets one before it, as far as that goes', () => {
    const far = shape('moon', disc(850, 80, 70));
    const list = [
      shape('sea', rect(0, 400, 700, 380)),
      far,
      shape('boat', rect(100, 350, 200, 120)),
      shape('mast', rect(190, 150, 16, 210)),
    ];
    const read = readShapes(list, FRAME);
    const meetings = meetingsOf(read, FRAME);
    const names = (order: 'size' | 'relations') => drawn(read, meetings, order).map((r) => r.shape.id);
    expect(names('size')).toEqual(['sea', 'boat', 'moon', 'mast']);
    expect(names('relations')).toEqual(['sea', 'boat', 'mast', 'moon']);
  });

  test('the whole: what it leaves free, which edges it reaches, where its middle lies', () => {
    const read = readShapes([shape('a', rect(0, 100, 500, 300)), shape('b', rect(400, 300, 300, 300))], FRAME);
    const whole = wholeOf(read, FRAME)!;
    expect(whole.free.left).toBe(0);
    expect(whole.free.right).toBeCloseTo(0.3, 9);
    expect(whole.free.top).toBeCloseTo(0.125, 9);
    expect(whole.free.bottom).toBeCloseTo(0.25, 9);
    expect(whole.touched).toEqual(['left']);
    expect(whole.third).toEqual({ column: 1, row: 1 });
    expect(wholeOf(readShapes([shape('g', disc(500, 400, 80), { gap: true })], FRAME), FRAME)).toBeNull();
  });
});

test.each<[string, unknown, RegExp]>([
  ['no list', {}, /24/],
  ['no name', [shape('a', rect(0, 0, 100, 100), { name: ' ' })], /name/],
  ['two of one id', [shape('a', rect(0, 0, 100, 100)), shape('a', rect(200, 0, 100, 100))], /“a”/],
  ['two corners', [shape('a', rect(0, 0, 100, 100).slice(2))], /3 to/],
  ['outside', [shape('a', rect(900, 0, 200, 100))], /out of the picture/],
  [
    'crossing itself',
    [
      shape('a', [
        [0, 0],
        [100, 100],
        [100, 0],
        [0, 100],
      ]),
    ],
    /crosses itself/,
  ],
  ['too small', [shape('a', rect(0, 0, 5, 5))], /too small/],
  ['no basic shape', [{ ...shape('a', rect(0, 0, 100, 100)), as: 'star' }], /basic shapes/],
  [
    'no numbers',
    [
      {
        ...shape('a', rect(0, 0, 100, 100)),
        outline: [
          [0, 0],
          ['1', 2],
          [3, 4],
        ],
      },
    ],
    /“a”/,
  ],
])('shapes that cannot be used are told by name: %s', (_, value, words) => {
  expect(toldBy(() => checkedShapes(value, [1000, 800]))).toMatch(words);
});

test('shapes that can be used come back as they are', () => {
  const list = [shape('a', rect(0, 0, 100, 100), { as: 'egg', gap: true })];
  expect(checkedShapes(list, [1000, 800])).toEqual(list);
});

test('a line drawn by hand keeps its form with few corners', () => {
  const line = disc(300, 300, 200).flatMap(([x, y], i, all): Point[] => {
    const [u, v] = all[(i + 1) % all.length];
    return [0, 0.25, 0.5, 0.75].map((t): Point => [x + t * (u - x), y + t * (v - y)]);
  });
  const few = simplified(line, 3);
  expect(few.length).toBeLessThan(30);
  expect(overlapOfBoth(line, few)).toBeGreaterThan(0.97);
});

describe('areas shared by outlines of any form', () => {
  test('agree with clipping where one is convex, and are exact for boxes', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 90 }), fc.integer({ min: 0, max: 90 }), fc.integer({ min: 20, max: 200 }), (dx, dy, w) => {
        const [a, b] = [rect(0, 0, 100, 100), rect(dx, dy, w, 60)];
        const [wide, high] = [Math.max(0, Math.min(100, dx + w) - dx), Math.max(0, Math.min(100, dy + 60) - dy)];
        expect(sharedArea(a, b)).toBeCloseTo(wide * high, 6);
        expect(overlapOfBoth(disc(50, 50, 40), b)).toBeCloseTo(overlapWithConvex(disc(50, 50, 40), b), 2);
      }),
      { seed: 4, numRuns: 40 },
    );
    // A ring's half has a hollow: what lies in it is not shared.
    const hollow = [...disc(0, 0, 100).slice(0, 31), ...disc(0, 0, 60).slice(0, 31).reverse()];
    expect(sharedArea(hollow, disc(0, 20, 15))).toBe(0);
    expect(sharedArea(hollow, disc(0, 200, 15))).toBe(0);
    expect(sharedArea(hollow, hollow)).toBeCloseTo(Math.abs(signedArea(hollow)), 0);
  });

  test('an outline that crosses itself is known, one with a hollow is not taken for it', () => {
    expect(
      crossesItself([
        [0, 0],
        [10, 10],
        [10, 0],
        [0, 10],
      ]),
    ).toBe(true);
    expect(crossesItself(disc(0, 0, 10))).toBe(false);
    expect(crossesItself([...disc(0, 0, 100).slice(0, 31), ...disc(0, 0, 60).slice(0, 31).reverse()])).toBe(false);
  });
});
