/** Knows the hand of Sunniva Raake: knots, nets and rigging in short overlaid dashes of a few coloured pencils, no area filled. */
import { normal } from '../../core/raster/statistics';
import { Easel } from '../easel';
import { P, smooth } from '../sheet';
import { between, dash, DrawnWork, HandWork, SampleHand, straight, StrokeTruth } from './sample';

const RULES = {
  ground: '#f2eee3',
  pencils: ['#9c3a3c', '#2f5d8e', '#c0902c'],
  width: 0.55,
  length: [4.5, 7.5],
  spacing: 1.5,
  twist: 32,
  tooth: 0.26,
} as const;

class Sheet {
  readonly easel: Easel;
  readonly strokes: StrokeTruth[] = [];
  private readonly covers: Map<string, ReturnType<Easel['stencil']>> = new Map();

  constructor(work: HandWork, pxPerMm: number) {
    this.easel = new Easel(work.widthMm, work.heightMm, pxPerMm, RULES.ground, work.seed, 0.22);
  }

  private mark(at: P, angle: number, pencil: string): void {
    const r = this.easel.random;
    const points = dash(at, between(r, RULES.length[0], RULES.length[1]), angle + 3 * normal(r), 0.15 * normal(r));
    const width = RULES.width * between(r, 0.85, 1.15);
    let cover = this.covers.get(pencil);
    if (!cover) this.covers.set(pencil, (cover = this.easel.stencil()));
    this.easel.stroke(cover, points, width, 0.2);
    this.strokes.push({ from: points[0], to: points[points.length - 1], width });
  }

  /** A rope along a curve, `thick` mm across: dashes laid with the twist, a second pencil over the first. */
  rope(path: readonly P[], thick: number, pencils: readonly string[]): void {
    const r = this.easel.random;
    let carry = 0;
    for (let i = 1; i < path.length; i++) {
      const [a, b] = [path[i - 1], path[i]];
      const long = Math.hypot(b[0] - a[0], b[1] - a[1]);
      const [ux, uy] = [(b[0] - a[0]) / long, (b[1] - a[1]) / long];
      const run = (Math.atan2(-uy, ux) * 180) / Math.PI;
      for (carry += long; carry > RULES.spacing; carry -= RULES.spacing) {
        const s = long - carry;
        for (let row = -0.5; row <= 0.5; row += Math.min(1, 5.2 / thick)) {
          const off = row * Math.max(0, thick - 3) + 0.2 * normal(r);
          const at: P = [a[0] + s * ux - off * uy, a[1] + s * uy + off * ux];
          this.mark(at, run + RULES.twist, pencils[0]);
          // Shade on the side away from the light, by the second pencil, a little steeper.
          if (off > 0.1 * thick || r() < 0.25) this.mark([at[0] + 0.5, at[1] + 0.4], run + RULES.twist - 14, pencils[1]);
        }
      }
    }
  }

  finish(): DrawnWork {
    for (const [pencil, cover] of this.covers) this.easel.put(cover, pencil, { opacity: 0.78, tooth: RULES.tooth, soft: 0.08 });
    return { ...this.easel.finish(1.6), strokes: this.strokes };
  }
}

/** Pencils taken in pairs, each picture led by one. */
const pairs = (lead: number): string[][] => [0, 1, 2].map((k) => [RULES.pencils[(lead + k) % 3], RULES.pencils[(lead + k + 1) % 3]]);

function knot(s: Sheet, w: number, h: number): void {
  const r = s.easel.random;
  const [cx, cy, size] = [w * between(r, 0.44, 0.56), h * between(r, 0.44, 0.54), 0.34 * Math.min(w, h)];
  const turn = between(r, -0.8, 0.8);
  // A trefoil, a figure of eight, or a round turn, seen flat.
  const curve = [
    (t: number): P => [Math.sin(t) + 2 * Math.sin(2 * t), Math.cos(t) - 2 * Math.cos(2 * t)],
    (t: number): P => [2.6 * Math.sin(t), 2.4 * Math.sin(t) * Math.cos(t) + 0.5 * Math.cos(t)],
    (t: number): P => [(1.8 + 0.8 * Math.cos(1.5 * t)) * Math.cos(t), (1.8 + 0.8 * Math.cos(1.5 * t)) * Math.sin(t)],
  ][Math.floor(between(r, 0, 3))];
  const body = Array.from({ length: 120 }, (_, i): P => {
    const [x, y] = curve((i / 119) * 2 * Math.PI * 0.985);
    const k = 0.4 * size;
    return [cx + k * (x * Math.cos(turn) - y * Math.sin(turn)), cy + k * (x * Math.sin(turn) + y * Math.cos(turn))];
  });
  const [p, q] = pairs(Math.floor(3 * r()));
  s.rope(body, 12, p);
  s.rope(smooth([[-5, h * between(r, 0.1, 0.3)], [0.2 * w, 0.3 * h], body[0], body[4]], false, 10), 12, q);
  s.rope(smooth([body[body.length - 5], body[body.length - 1], [0.82 * w, 0.7 * h], [w + 5, h * between(r, 0.7, 0.9)]], false, 10), 12, q);
}

function net(s: Sheet, w: number, h: number): void {
  const r = s.easel.random;
  const [p, q] = pairs(Math.floor(3 * r()));
  const sag = between(r, 0.1, 0.2) * h;
  const mesh = between(r, 30, 38);
  const drop = (x: number, y: number): P => [x, 0.16 * h + y + sag * Math.sin((Math.PI * x) / w)];
  const rows = Math.floor((0.62 * h) / (mesh / 2));
  for (let j = 0; j < rows; j++)
    for (let x = j % 2 ? mesh / 2 : 0; x < w; x += mesh)
      for (const d of [-1, 1]) {
        const [a, b] = [drop(x, (j * mesh) / 2), drop(x + (d * mesh) / 2, ((j + 1) * mesh) / 2)];
        s.rope(smooth([a, [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2 + 1], b], false, 4), 3.2, d > 0 ? p : q);
      }
  s.rope(
    Array.from({ length: 30 }, (_, i) => drop((i * w) / 29, -2)),
    11,
    p,
  );
}

function rigging(s: Sheet, w: number, h: number): void {
  const r = s.easel.random;
  const [p, q, t] = pairs(Math.floor(3 * r()));
  const mast = between(r, 0.36, 0.62) * w;
  const line = (a: P, b: P) => straight(a, b, 24);
  s.rope(line([mast, -4], [mast + 3, h + 4]), 16, t);
  for (let k = 0; k < 4; k++) {
    const foot = between(r, 0.02, 0.12) + 0.24 * k;
    s.rope(line([mast, (0.05 + 0.03 * k) * h], [foot < 0.5 ? foot * w - 8 : w * (foot + 0.1), h + 4]), 7, k % 2 ? p : q);
  }
  for (let k = 0; k < 5; k++) {
    const y = (0.3 + 0.14 * k) * h;
    s.rope(
      smooth(
        [
          [mast + 5, y],
          [mast + 0.18 * w, y + 5],
          [mast + 0.36 * w, y - 2],
        ],
        false,
        8,
      ),
      3.5,
      p,
    );
  }
  const block: P[] = Array.from({ length: 30 }, (_, i) => [
    mast - 0.2 * w + 15 * Math.cos((i / 29) * 6.3),
    0.55 * h + 21 * Math.sin((i / 29) * 6.3),
  ]);
  s.rope(block, 9, q);
}

function draw(work: HandWork, pxPerMm: number): DrawnWork {
  const s = new Sheet(work, pxPerMm);
  ({ knot, net, rigging })[work.subject as 'knot' | 'net' | 'rigging'](s, work.widthMm, work.heightMm);
  return s.finish();
}

export const RAAKE: SampleHand = {
  key: 'raake',
  name: 'Sunniva Raake',
  lived: 'born 1931',
  place: 'the net lofts of Hessel Quay',
  medium: 'Coloured pencils on smooth white paper',
  manner: 'Short dashes laid with the twist of the rope, a second pencil over the first; no area filled, no outline.',
  subjects: ['knot', 'net', 'rigging'],
  sizes: [
    [250, 200],
    [200, 250],
    [260, 260],
  ],
  works: [
    { title: 'Figure-of-eight, wet', dated: '1963', widthMm: 250, heightMm: 200, subject: 'knot', seed: 51 },
    { title: 'Mended three times', dated: '1966', widthMm: 260, heightMm: 260, subject: 'net', seed: 52 },
    { title: 'Foremast from below', dated: '1970', widthMm: 200, heightMm: 250, subject: 'rigging', seed: 53 },
    { title: 'Loop study', dated: '1974', widthMm: 260, heightMm: 260, subject: 'knot', seed: 54 },
    { title: 'Shrouds and a block', dated: '1981', widthMm: 250, heightMm: 200, subject: 'rigging', seed: 55 },
  ],
  rules: RULES,
  expected: {
    'marks.lineWidth': { low: 0.4, high: 0.75 },
    'colour.groundL': { low: 92, high: 96 },
    'value.darkShare': { low: 0, high: 0.06 },
    'marks.share.flat': { low: 0, high: 0.05 },
  },
  draw,
};
