/** Error tables of basic shapes from outlines drawn by hand: noisy, rounded, not quite closed. */
import { Point } from '../../core/raster/image';
import { median, normal, Random, seededRandom } from '../../core/raster/statistics';
import { overlapOfBoth } from '../../core/proportion/polygon';
import { fitShapes, SHAPE_KINDS, ShapeKind } from '../../core/proportion/shapes';
import { number, percent, SeedSet, seedSets, table } from './tables';

const KINDS = SHAPE_KINDS;

/** The shape as it was meant, about 200 units across. */
function meant(kind: ShapeKind, r: Random): Point[] {
  const pick = (a: number, b: number) => a + (b - a) * r();
  const [long, wide] = [pick(150, 230), pick(90, 150)];
  const round = (at: (t: number) => Point): Point[] => Array.from({ length: 72 }, (_, i) => at((2 * Math.PI * i) / 72));
  const skew = pick(0.25, 0.4);
  const top = pick(0.35, 0.7);
  const local: Record<ShapeKind, () => Point[]> = {
    ellipse: () => round((t) => [(long / 2) * Math.cos(t), (wide / 2) * Math.sin(t)]),
    egg: () => round((t) => [(long / 2) * Math.cos(t), (wide / 2) * Math.sin(t) * (1 + skew * Math.cos(t))]),
    rectangle: () => [
      [-long / 2, -wide / 2],
      [long / 2, -wide / 2],
      [long / 2, wide / 2],
      [-long / 2, wide / 2],
    ],
    triangle: () => [
      [-long / 2, wide / 2],
      [pick(-0.3, 0.3) * long, -wide / 2],
      [long / 2, wide / 2],
    ],
    trapezoid: () => [
      [-(top * long) / 2, -wide / 2],
      [(top * long) / 2, -wide / 2],
      [long / 2, wide / 2],
      [-long / 2, wide / 2],
    ],
    'bent-oval': () => {
      const bend = (pick(80, 150) * Math.PI) / 180;
      const radius = (1.4 * long) / bend;
      return round((t) => {
        const far = radius + 0.3 * wide * Math.sin(t);
        return [far * Math.sin((bend / 2) * Math.cos(t)), far * Math.cos((bend / 2) * Math.cos(t)) - radius];
      });
    },
  };
  const turn = 2 * Math.PI * r();
  return local[kind]().map(([x, y]): Point => [
    300 + x * Math.cos(turn) - y * Math.sin(turn),
    300 + x * Math.sin(turn) + y * Math.cos(turn),
  ]);
}

/** The same drawn by hand: corners rounded, the line wavering by about 2 %, open by up to 8 % of its length. */
function drawn(shape: readonly Point[], r: Random): Point[] {
  const sides = shape.map((p, i) => Math.hypot(shape[(i + 1) % shape.length][0] - p[0], shape[(i + 1) % shape.length][1] - p[1]));
  const total = sides.reduce((a, b) => a + b, 0);
  const at = (s: number): Point => {
    let [k, rest] = [0, ((s % total) + total) % total];
    while (rest > sides[k]) rest -= sides[k++];
    const [a, b] = [shape[k], shape[(k + 1) % shape.length]];
    return [a[0] + ((b[0] - a[0]) * rest) / sides[k], a[1] + ((b[1] - a[1]) * rest) / sides[k]];
  };
  const open = 0.08 * r() * total;
  const start = r() * total;
  const count = 90;
  const blunt = (0.02 + 0.03 * r()) * total;
  let [dx, dy] = [0, 0];
  const points: Point[] = [];
  for (let i = 0; i < count; i++) {
    const s = start + ((total - open) * i) / (count - 1);
    // A corner is cut by the mean of the way just before and after.
    const near = [-1, -0.5, 0, 0.5, 1].map((k) => at(s + (k * blunt) / 2));
    [dx, dy] = [0.85 * dx + 0.9 * normal(r), 0.85 * dy + 0.9 * normal(r)];
    points.push([near.reduce((t, p) => t + p[0], 0) / 5 + dx, near.reduce((t, p) => t + p[1], 0) / 5 + dy]);
  }
  return points;
}

function rowsOf({ seeds }: SeedSet): string[][] {
  const all = KINDS.flatMap((kind) =>
    seeds.map((seed) => {
      const r = seededRandom(seed * 313 + KINDS.indexOf(kind));
      const shape = meant(kind, r);
      const [best] = fitShapes(drawn(shape, r));
      return { kind, best, overlap: best.kind === kind ? overlapOfBoth(shape, best.outline) : NaN };
    }),
  );
  return KINDS.map((kind) => {
    const own = all.filter((a) => a.kind === kind);
    const right = own.filter((a) => a.best.kind === kind);
    const wrong = [...new Set(own.filter((a) => a.best.kind !== kind).map((a) => a.best.kind))];
    return [
      kind,
      percent(right.length / own.length),
      number(median(right.map((a) => a.overlap)), 3),
      number(Math.min(...right.map((a) => a.overlap)), 3),
      wrong.join(', ') || '–',
    ];
  });
}

/** The shapes' part of the accuracy notes; `many` outlines a kind and set. */
export function shapesAccuracy(many: number): string {
  return seedSets(many)
    .map(
      (set) =>
        `### ${set.name}\n\n${table(['meant', 'kind right', 'overlap with what was meant, median', 'worst', 'read as instead'], rowsOf(set))}`,
    )
    .join('\n\n');
}
