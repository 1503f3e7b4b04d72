/** Knows the hand of Ovidia Skarn: orchards at dusk in soft pastel, layered and rubbed, warm lights over a cool sheet. */
import { normal } from '../../core/raster/statistics';
import { Easel } from '../easel';
import { P } from '../sheet';
import { between, dash, DrawnWork, HandWork, SampleHand, StrokeTruth } from './sample';

const RULES = {
  ground: '#5d6979',
  width: 3.4,
  length: [9, 17],
  tooth: 0.36,
  rub: 1.5,
  lights: ['#f0b27a', '#f6d6a0', '#dd8f78'],
  greens: ['#3f5a58', '#5f7a58', '#8f9358'],
  shades: ['#3d3f5c', '#4a4a63', '#59506e'],
} as const;

/** Fills a place with strokes: `where` gives a point or null, `angle` the way they run. */
function work(
  easel: Easel,
  strokes: StrokeTruth[],
  many: number,
  where: () => P | null,
  angle: (p: P) => number,
  colour: string,
  more: { opacity?: number; width?: number; soft?: number; sag?: number } = {},
): void {
  const r = easel.random;
  const cover = easel.stencil();
  for (let i = 0; i < many; i++) {
    const p = where();
    if (!p) continue;
    const long = between(r, RULES.length[0], RULES.length[1]);
    const width = (more.width ?? RULES.width) * between(r, 0.75, 1.25);
    const points = dash(p, long, angle(p) + 9 * normal(r), more.sag ?? 0.6 * normal(r));
    easel.stroke(cover, points, width, 0.25);
    strokes.push({ from: points[0], to: points[points.length - 1], width });
  }
  easel.put(cover, colour, { opacity: more.opacity ?? 0.75, tooth: RULES.tooth, soft: more.soft ?? 0.28 });
}

function tree(easel: Easel, strokes: StrokeTruth[], x: number, foot: number, high: number): void {
  const r = easel.random;
  const lean = 3 * normal(r);
  const trunk = easel.stencil();
  easel.stroke(
    trunk,
    [
      [x, foot],
      [x + lean * 0.4, foot - 0.25 * high],
      [x + lean, foot - 0.5 * high],
    ],
    0.07 * high,
  );
  for (const s of [-1, 1])
    easel.stroke(
      trunk,
      [
        [x + lean * 0.5, foot - 0.32 * high],
        [x + s * 0.16 * high, foot - 0.52 * high],
        [x + s * 0.26 * high, foot - 0.66 * high],
      ],
      0.035 * high,
    );
  easel.put(trunk, RULES.shades[0], { opacity: 0.85, tooth: 0.3, soft: 0.5 });
  const [cx, cy, rx, ry] = [x + lean, foot - 0.68 * high, 0.42 * high, 0.3 * high];
  const crown = (shift: P, part: number) => (): P => {
    const a = 2 * Math.PI * r();
    const d = Math.sqrt(r()) * part;
    return [cx + shift[0] + d * rx * Math.cos(a), cy + shift[1] + d * ry * Math.sin(a)];
  };
  // Leaves are laid upright, leaning out from the trunk.
  const round = ([px]: P) => 82 - (38 * (px - cx)) / rx;
  const many = Math.round(0.032 * rx * ry);
  work(easel, strokes, many * 2, crown([0, 0.04 * high], 1), round, RULES.greens[0], { opacity: 0.85 });
  work(easel, strokes, many, crown([0, 0], 0.9), round, RULES.greens[1]);
  work(easel, strokes, Math.round(many * 0.6), crown([-0.08 * high, -0.08 * high], 0.75), round, RULES.greens[2], { opacity: 0.7 });
  work(easel, strokes, Math.round(many * 0.35), crown([0.12 * high, 0.02 * high], 0.8), round, RULES.lights[0], {
    opacity: 0.75,
    width: 2.6,
  });
}

function draw(job: HandWork, pxPerMm: number): DrawnWork {
  const [w, h] = [job.widthMm, job.heightMm];
  const easel = new Easel(w, h, pxPerMm, RULES.ground, job.seed, 0.32);
  const r = easel.random;
  const strokes: StrokeTruth[] = [];
  const horizon = between(r, 0.42, 0.54) * h;
  const band = (top: number, bottom: number) => (): P => [between(r, -5, w + 5), between(r, top, bottom)];
  const level = () => 4;
  const area = 1.25 * w * horizon;
  work(easel, strokes, Math.round(area * 0.011), band(-4, 0.5 * horizon), level, RULES.shades[2], { opacity: 0.6, width: 4.5 });
  work(easel, strokes, Math.round(area * 0.009), band(0.35 * horizon, 0.8 * horizon), level, RULES.lights[2], {
    opacity: 0.65,
    width: 4.5,
  });
  work(easel, strokes, Math.round(area * 0.007), band(0.66 * horizon, horizon), level, RULES.lights[0], { width: 4 });
  easel.smudge(
    easel.field([
      [0, 0],
      [w, 0],
      [w, horizon],
      [0, horizon],
    ]),
    2.4,
  );
  work(easel, strokes, Math.round(area * 0.0022), band(0.78 * horizon, horizon), level, RULES.lights[1], { opacity: 0.8 });
  work(easel, strokes, Math.round(w * 0.5), band(horizon - 0.06 * h, horizon + 0.02 * h), () => 8, RULES.shades[1], {
    opacity: 0.8,
    width: 4.2,
  });
  // The meadow falls away to one side.
  const slope = between(r, -14, 14);
  const away = (p: P) => slope + (10 * (p[0] - w / 2)) / w;
  const meadow = w * (h - horizon);
  work(easel, strokes, Math.round(meadow * 0.016), band(horizon, h + 5), away, RULES.greens[0], { opacity: 0.75, width: 4.2 });
  easel.smudge(
    easel.field([
      [0, horizon],
      [w, horizon],
      [w, h],
      [0, h],
    ]),
    RULES.rub,
  );
  work(easel, strokes, Math.round(meadow * 0.006), band(horizon, h + 5), away, RULES.greens[2], { opacity: 0.65 });
  work(easel, strokes, Math.round(meadow * 0.0022), band(horizon + 0.1 * h, h + 5), away, RULES.shades[1], { opacity: 0.7 });
  const rows = job.subject === 'row' ? 3 : job.subject === 'pair' ? 2 : 1;
  const start = between(r, 0.18, 0.34);
  for (let k = 0; k < rows; k++) {
    const x = rows === 1 ? between(r, 0.36, 0.64) * w : (start + (k * (0.92 - start)) / rows + 0.06 * r()) * w;
    const high = (rows === 1 ? 0.72 : 0.6 - 0.11 * k) * h * between(r, 0.92, 1.08);
    tree(easel, strokes, x, horizon + (rows === 1 ? 0.3 : 0.28 - 0.08 * k) * h, high);
  }
  work(easel, strokes, Math.round(meadow * 0.0012), band(horizon + 0.06 * h, h), away, RULES.lights[1], { opacity: 0.8, width: 2.4 });
  return { ...easel.finish(2.2), strokes };
}

export const SKARN: SampleHand = {
  key: 'skarn',
  name: 'Ovidia Skarn',
  lived: '1874–1939',
  place: 'the hill farms of Lower Ense',
  medium: 'Soft pastel on blue-grey paper',
  manner: 'Rubbed layers of broad strokes, no outline anywhere, warm lights laid last over a cool dark sheet.',
  subjects: ['row', 'single', 'pair'],
  sizes: [
    [320, 240],
    [300, 220],
    [240, 300],
  ],
  works: [
    { title: 'Three pear trees, late', dated: '1911', widthMm: 320, heightMm: 240, subject: 'row', seed: 31 },
    { title: 'The old codling', dated: '1914', widthMm: 240, heightMm: 300, subject: 'single', seed: 32 },
    { title: 'Before the lamps', dated: '1919', widthMm: 300, heightMm: 220, subject: 'pair', seed: 33 },
    { title: 'Gate field', dated: '1922', widthMm: 320, heightMm: 240, subject: 'row', seed: 34 },
    { title: 'Last ladder', dated: '1927', widthMm: 300, heightMm: 220, subject: 'single', seed: 35 },
  ],
  rules: RULES,
  expected: {
    'edges.outlined': { low: 0, high: 0.3 },
    'value.mean': { low: 25, high: 55 },
    'value.lightShare': { low: 0, high: 0.2 },
  },
  draw,
};
