/** What must hold for any figure and any face, however it is placed, sized and turned. */
import fc from 'fast-check';
import { align, applyAlignment, Landmarks } from './align';
import { measureProportions } from './measures';
import { TEMPLATE_NAMES, TemplateName, TEMPLATES } from './templates';

const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const place = fc.integer({ min: 0, max: 1000 });
/** Every point of a template somewhere in a sheet of 1000 by 1000. */
const points = (template: TemplateName) =>
  fc
    .array(fc.tuple(place, place), { minLength: TEMPLATES[template].points.length, maxLength: TEMPLATES[template].points.length })
    .map((all): Landmarks => Object.fromEntries(TEMPLATES[template].points.map((p, i) => [p.name, all[i]])));
const move = fc.record({ scale: number(0.1, 10), turn: number(-179, 179), x: number(-500, 500), y: number(-500, 500) });

function moved(at: Landmarks, m: { scale: number; turn: number; x: number; y: number }): Landmarks {
  const t = (m.turn * Math.PI) / 180;
  // Anticlockwise as seen, with y downward.
  const [c, s] = [m.scale * Math.cos(t), m.scale * Math.sin(t)];
  return Object.fromEntries(Object.entries(at).map(([n, [x, y]]) => [n, [c * x + s * y + m.x, -s * x + c * y + m.y] as const]));
}

/** What is taken level or plumb, and so holds only where a picture is moved and sized. */
const UPRIGHT: Partial<Record<TemplateName, string[] | 'all'>> = {
  'face-front': ['gaze'],
  'face-three-quarter': ['midline'],
  'face-profile': ['ear-place', 'head-depth'],
  'figure-seated': ['heads-tall', 'trunk-share'],
  'figure-part': ['heads-tall', 'trunk-share'],
  'animal-side': 'all',
  'bird-side': ['leg-share'],
  'bird-open': ['leg-share'],
  landscape: 'all',
  'still-life': 'all',
  'two-bodies': 'all',
};

test.each(TEMPLATE_NAMES)('ratios of a %s do not change with place, size or turn', (template) => {
  fc.assert(
    fc.property(points(template), move, (at, m) => {
      const [before, after] = [measureProportions(template, at), measureProportions(template, moved(at, m))];
      before.forEach((p, i) => {
        if (p.value === null || UPRIGHT[template] === 'all' || UPRIGHT[template]?.includes(p.name)) return;
        if (/tilt|lean|slope|level$|wing-angle|face-angle/.test(p.name)) return;
        expect(Math.abs(after[i].value! - p.value)).toBeLessThan(1e-6 * (1 + Math.abs(p.value)));
      });
      const plain = measureProportions(template, moved(at, { ...m, turn: 0 }));
      before.forEach((p, i) => {
        if (p.value === null) expect(plain[i].value).toBeNull();
        else expect(Math.abs(plain[i].value! - p.value)).toBeLessThan(1e-6 * (1 + Math.abs(p.value)));
      });
    }),
    { seed: 5, numRuns: 60 },
  );
});

test.each(TEMPLATE_NAMES)('a %s with points left out gives null there, and no number that is none', (template) => {
  fc.assert(
    fc.property(points(template), fc.array(fc.constantFrom(...TEMPLATES[template].points.map((p) => p.name))), (at, hidden) => {
      const left = Object.fromEntries(Object.entries(at).filter(([n]) => !hidden.includes(n)));
      const [whole, part] = [measureProportions(template, at), measureProportions(template, left)];
      part.forEach((p, i) => {
        if (p.value !== null) expect(Number.isFinite(p.value)).toBe(true);
        if (p.factor !== null) expect(p.factor).toBeCloseTo(p.value! / p.canon!, 9);
        // Leaving points out never invents a reading where there was none.
        if (whole[i].value === null) expect(p.value).toBeNull();
      });
      expect(measureProportions(template, {}).every((p) => p.value === null)).toBe(true);
    }),
    { seed: 6, numRuns: 60 },
  );
});

test('a figure all in one place, or on one line, breaks nothing', () => {
  for (const template of TEMPLATE_NAMES)
    for (const at of [() => [5, 5] as const, (i: number) => [i, 2 * i] as const])
      for (const p of measureProportions(template, Object.fromEntries(TEMPLATES[template].points.map((q, i) => [q.name, at(i)]))))
        expect(p.value === null || Number.isFinite(p.value)).toBe(true);
});

test('laying a moved set over itself gives the move back, and nothing is left over', () => {
  fc.assert(
    fc.property(points('face-front'), move, (at, m) => {
      const found = align(at, moved(at, m));
      expect(found.scale / m.scale).toBeCloseTo(1, 8);
      const turned = ((found.rotation - m.turn + 540) % 360) - 180;
      expect(Math.abs(turned)).toBeLessThan(1e-6);
      expect(found.rms).toBeLessThan(1e-6 * m.scale * 1000);
      for (const [n, p] of Object.entries(at)) {
        const [x, y] = applyAlignment(found, p);
        const to = moved(at, m)[n];
        expect(Math.hypot(x - to[0], y - to[1])).toBeLessThan(1e-5 * m.scale);
      }
    }),
    { seed: 7, numRuns: 60 },
  );
});

test('no other size, turn or shift leaves less over', () => {
  fc.assert(
    fc.property(points('face-front'), points('face-front'), number(0.97, 1.03), number(-3, 3), number(-9, 9), (a, b, size, turn, shift) => {
      const best = align(a, b);
      const rest = (g: typeof best) =>
        Object.entries(a).reduce((s, [n, p]) => s + (b[n][0] - applyAlignment(g, p)[0]) ** 2 + (b[n][1] - applyAlignment(g, p)[1]) ** 2, 0);
      const other = {
        ...best,
        scale: best.scale * size,
        rotation: best.rotation + turn,
        shift: [best.shift[0] + shift, best.shift[1] - shift] as [number, number],
      };
      expect(rest(best)).toBeLessThanOrEqual(rest(other) * (1 + 1e-9));
    }),
    { seed: 8, numRuns: 80 },
  );
});

const mirrored = (at: Landmarks): Landmarks => Object.fromEntries(Object.entries(at).map(([n, [x, y]]) => [n, [1000 - x, y] as const]));

test.each(['face-three-quarter', 'face-profile', 'animal-side', 'bird-side'] as const)(
  'a %s gives the same values whichever way it faces',
  (template) => {
    fc.assert(
      fc.property(points(template), (at) => {
        const [one, other] = [measureProportions(template, at), measureProportions(template, mirrored(at))];
        one.forEach((p, i) => (p.value === null ? expect(other[i].value).toBeNull() : expect(other[i].value! - p.value).toBeCloseTo(0, 6)));
      }),
      { seed: 6, numRuns: 60 },
    );
  },
);

test.each(['landscape', 'still-life'] as const)('a %s is measured in its frame, wherever that lies and however large it is', (template) => {
  fc.assert(
    fc.property(points(template), number(0.1, 10), number(-500, 500), number(-500, 500), (at, k, x, y) => {
      const frame = [0, 0, 1000, 800] as const;
      const there = Object.fromEntries(Object.entries(at).map(([n, p]) => [n, [k * p[0] + x, k * p[1] + y] as const]));
      const before = measureProportions(template, at, frame);
      const after = measureProportions(template, there, [x, y, 1000 * k, 800 * k]);
      before.forEach((p, i) =>
        expect(after[i].value === null ? null : after[i].value! - p.value!).toEqual(p.value === null ? null : expect.closeTo(0, 6)),
      );
      // Without a frame nothing is a share of it.
      const bare = measureProportions(template, at)
        .filter((p) => p.value !== null)
        .map((p) => p.name);
      expect(bare.every((n) => ['horizon-tilt', 'count', 'overlaps', 'widest-to-tallest'].includes(n))).toBe(true);
    }),
    { seed: 7, numRuns: 60 },
  );
});
