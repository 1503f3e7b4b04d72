/** Knows painted sheets of a few known colours: fields with known shares, rims handled in a known way, one small accent. */
import { ciede2000 } from '../core/colour/difference';
import { hexFromLab, labFromHex } from '../core/colour/lab';
import { RgbImage } from '../core/raster/image';
import { Random, seededRandom } from '../core/raster/statistics';
import { Easel, LaidColour } from './easel';
import { between } from './hands/sample';
import { P, smooth } from './sheet';

export const RIMS = ['outlined', 'sharp', 'soft'] as const;
type Rim = (typeof RIMS)[number];

export interface PaintedFields {
  image: RgbImage;
  /** Bare sheet's colour, or null where the whole is painted over. */
  ground: string | null;
  /** Every colour with its share of the sheet, the bare sheet and the outline's among them. */
  colours: LaidColour[];
  /** A small vivid colour under 1 %, far from everything else, or null. */
  accent: string | null;
  /** Shares of the fields' rims by how they were handled. */
  rims: Record<Rim, number>;
  outline: string;
}

const OUTLINE = '#241f22';
const GROUNDS = ['#f1ece0', '#e4d7bb', '#cfc8bc', '#b9a98e', '#8f9aa0'];

function farColour(r: Random, others: readonly string[], apart: number, chroma: readonly [number, number]): string {
  for (let guard = 0; guard < 400; guard++) {
    const [L, C, h] = [between(r, 28, 84), between(r, chroma[0], chroma[1]), 2 * Math.PI * r()];
    const hex = hexFromLab([L, C * Math.cos(h), C * Math.sin(h)]);
    const lab = labFromHex(hex);
    if (Math.hypot(lab[1], lab[2]) < chroma[0] * 0.8) continue;
    if (others.every((o) => ciede2000(labFromHex(o), lab) > apart)) return hex;
  }
  return '#000000';
}

function blob(r: Random, cx: number, cy: number, rx: number, ry: number): P[] {
  return smooth(
    Array.from({ length: 9 }, (_, i): P => {
      const a = (2 * Math.PI * i) / 9;
      const k = between(r, 0.78, 1.08);
      return [cx + rx * k * Math.cos(a), cy + ry * k * Math.sin(a)];
    }),
    true,
    10,
  );
}

const perimeter = (points: readonly P[]) =>
  points.reduce((s, p, i) => s + Math.hypot(p[0] - points[(i + 1) % points.length][0], p[1] - points[(i + 1) % points.length][1]), 0);

/** A sheet of painted fields, the same for the same seed. One in three is painted to its edges in one more colour. */
export function paintFields(seed: number, pxPerMm = 3): PaintedFields {
  const r = seededRandom(seed * 15731 + 3);
  const [w, h] = [240, 180];
  const ground = GROUNDS[Math.floor(r() * GROUNDS.length)];
  const covered = seed % 3 === 0;
  const easel = new Easel(w, h, pxPerMm, ground, seed, 0.25);
  const colours: string[] = [ground, OUTLINE];
  if (covered) {
    // Two halves of the sheet in different paint, as a sky and a field would be.
    for (const half of [0, 1]) {
      const base = farColour(r, colours, 13, [6, 40]);
      colours.push(base);
      const y = half * h * between(r, 0.4, 0.6);
      easel.put(
        easel.field([
          [-5, half ? y : -5],
          [w / 2, half ? y + between(r, -9, 9) : -5],
          [w + 5, half ? y : -5],
          [w + 5, h + 5],
          [-5, h + 5],
        ]),
        base,
      );
    }
  }
  const paints = Array.from({ length: 2 + Math.floor(3 * r()) }, () => {
    const hex = farColour(r, colours, 13, [4, 70]);
    colours.push(hex);
    return hex;
  });
  const rims: Record<Rim, number> = { outlined: 0, sharp: 0, soft: 0 };
  const [columns, rows] = [4, 3];
  for (let k = 0; k < columns * rows; k++) {
    if (r() < 0.12) continue;
    const [x, y] = [((k % columns) + 0.5) * (w / columns), (Math.floor(k / columns) + 0.5) * (h / rows)];
    const points = blob(r, x, y, between(r, 16, 25), between(r, 16, 25));
    const rim = RIMS[Math.floor(r() * RIMS.length)];
    easel.put(easel.field(points), paints[k % paints.length], { soft: rim === 'soft' ? between(r, 1.6, 2.6) : 0 });
    if (rim === 'outlined') {
      const line = easel.stencil();
      easel.stroke(line, [...points, points[0]], between(r, 0.7, 1.4));
      easel.put(line, OUTLINE);
    }
    rims[rim] += perimeter(points);
  }
  const total = rims.outlined + rims.sharp + rims.soft;
  for (const k of RIMS) rims[k] /= total;
  let accent: string | null = null;
  if (seed % 2) {
    accent = farColour(r, colours, 30, [55, 95]);
    if (accent === '#000000') accent = null;
    else {
      const size = Math.sqrt((between(r, 0.002, 0.008) * w * h) / Math.PI);
      const [x, y] = [(1 + Math.floor(3 * r())) * (w / columns), (1 + Math.floor(2 * r())) * (h / rows)];
      easel.put(easel.field(blob(r, x, y, size, size)), accent);
    }
  }
  const done = easel.finish(between(r, 0.8, 3.5));
  return { ...done, ground: covered ? null : ground, accent, rims, outline: OUTLINE };
}
