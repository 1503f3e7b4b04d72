/** Knows the hand of Hallgrim Osk: mountain weather in brush and diluted ink, hard blooms, dry drag, much bare paper. */
import { normal, Random } from '../../core/raster/statistics';
import { Easel, noiseField } from '../easel';
import { P, smooth } from '../sheet';
import { between, dash, DrawnWork, HandWork, SampleHand, StrokeTruth } from './sample';

const RULES = {
  ground: '#f3f0e8',
  ink: '#1f232b',
  /** Parts of full ink in the three washes. */
  dilutions: [0.07, 0.16, 0.4],
  bare: 0.4,
  bristles: 0.45,
  dryTooth: 0.62,
} as const;

/** A ridge from left to right: midpoint displacement. */
function ridge(r: Random, x0: number, y0: number, x1: number, y1: number, rough: number): P[] {
  let points: P[] = [
    [x0, y0],
    [(x0 + x1) / 2 + 0.1 * (x1 - x0) * normal(r), Math.min(y0, y1) - rough * between(r, 0.9, 1.6)],
    [x1, y1],
  ];
  for (let k = 0, amount = rough * 0.45; k < 4; k++, amount *= 0.5)
    points = points.flatMap((p, i): P[] =>
      i === 0 ? [p] : [[(points[i - 1][0] + p[0]) / 2, (points[i - 1][1] + p[1]) / 2 + amount * 0.6 * normal(r)], p],
    );
  return points;
}

class Sheet {
  readonly easel: Easel;
  readonly strokes: StrokeTruth[] = [];

  constructor(work: HandWork, pxPerMm: number) {
    this.easel = new Easel(work.widthMm, work.heightMm, pxPerMm, RULES.ground, work.seed, 0.3);
  }

  /** A wet mountain: hard along its ridge, thinned by water to nothing over `depth` mm below it. */
  mountain(crest: readonly P[], depth: number, dilution: number): void {
    const { easel } = this;
    const bottom = Math.max(...crest.map((p) => p[1])) + depth;
    const cover = easel.field([...crest, [crest[crest.length - 1][0], bottom], [crest[0][0], bottom]]);
    const k = easel.pxPerMm;
    const water = noiseField(easel.width, easel.height, 7 * k, easel.random);
    const last = new Float32Array(easel.width).fill(1e9);
    // Ends that lie on the sheet are drawn out with clear water.
    const [left, right] = [crest[0][0] * k, crest[crest.length - 1][0] * k];
    const fade = 0.3 * (right - left);
    const drawn = (x: number) =>
      Math.min(1, left > 0 ? Math.max(0, x - left) / fade : 1, right < easel.width ? Math.max(0, right - x) / fade : 1);
    for (let x = 0; x < easel.width; x++)
      for (let y = 0; y < easel.height; y++) {
        const i = y * easel.width + x;
        if (cover.data[i] > 0.5 && last[x] > y) last[x] = y;
        const below = (y - last[x]) / (depth * k) + 0.16 * water.data[i];
        cover.data[i] *= drawn(x) ** 1.5 * Math.min(1, Math.max(0, 1.15 - 1.15 * below)) ** 1.3;
      }
    easel.wash(cover, RULES.ink, dilution, { rimMm: 0.5, rim: 0.9, grain: 0.1 });
  }

  /** A bloom: water pushed into a damp wash leaves a pale middle and a crinkled dark rim. */
  bloom([x, y]: P, radius: number, dilution: number): void {
    const r = this.easel.random;
    const waves = Array.from({ length: 6 }, (_, j) => [(normal(r) * 0.14) / (1 + 0.5 * j), 6.28 * r()] as const);
    const rim = Array.from({ length: 90 }, (_, i): P => {
      const a = (i / 90) * 2 * Math.PI;
      const d = radius * (1 + waves.reduce((s, [m, p], j) => s + m * Math.sin((j + 2) * a + p), 0) + 0.025 * normal(r));
      return [x + d * Math.cos(a), y + 0.7 * d * Math.sin(a)];
    });
    this.easel.wash(this.easel.field(rim), RULES.ink, dilution, { rimMm: 1.1, rim: 2.4, grain: 0.14 });
  }

  /** A dry brush dragged: bristles of their own, broken by the paper's tooth. */
  drag(at: P, long: number, angle: number, broad: number, opacity: number): void {
    const { easel } = this;
    const r = easel.random;
    const cover = easel.stencil();
    const t = (angle * Math.PI) / 180;
    for (let off = -broad / 2; off < broad / 2; off += RULES.bristles * 1.5) {
      const from: P = [at[0] + off * Math.sin(t), at[1] + off * Math.cos(t)];
      easel.stroke(
        cover,
        dash(from, long * between(r, 0.7, 1.1), angle + 1.2 * normal(r), 0.6),
        RULES.bristles * between(r, 0.6, 1.3),
        0.4,
      );
    }
    const points = dash(at, long, angle);
    this.strokes.push({ from: points[0], to: points[points.length - 1], width: broad });
    easel.put(cover, RULES.ink, { opacity, tooth: RULES.dryTooth });
  }

  /** A touch of full ink with a loaded brush. */
  touch(points: readonly P[], width: number): void {
    const cover = this.easel.stencil();
    this.easel.stroke(cover, points, width, 0.8);
    this.easel.put(cover, RULES.ink, { opacity: 0.92, soft: 0.1 });
    this.strokes.push({ from: points[0], to: points[points.length - 1], width });
  }
}

function draw(work: HandWork, pxPerMm: number): DrawnWork {
  const s = new Sheet(work, pxPerMm);
  const r = s.easel.random;
  const { widthMm: w, heightMm: h } = work;
  const [pale, middle, strong] = RULES.dilutions;
  const flip = r() < 0.5;
  const fx = (x: number) => (flip ? 1 - x : x) * w;
  if (work.subject !== 'cloud') s.mountain(ridge(r, -10, 0.46 * h, w + 10, between(r, 0.34, 0.5) * h, 0.16 * h), 0.16 * h, pale);
  const crest = ridge(r, Math.min(fx(0.18), fx(1.1)), 0.6 * h, Math.max(fx(0.18), fx(1.1)), 0.5 * h, 0.26 * h);
  s.mountain(crest, 0.2 * h, middle);
  const near = ridge(r, Math.min(fx(-0.1), fx(0.6)), 0.74 * h, Math.max(fx(-0.1), fx(0.6)), 0.76 * h, 0.12 * h);
  s.mountain(near, 0.14 * h, strong);
  if (work.subject === 'cloud' || work.subject === 'rain') {
    for (let k = 0; k < 3; k++)
      s.bloom([fx(between(r, 0.15, 0.6)), between(r, 0.1, 0.26) * h], between(r, 0.1, 0.17) * w, k ? pale : middle * 0.7);
  }
  // Backruns where a drop fell into the drying mountain.
  for (let k = 0; k < 2; k++) {
    const [x, y] = crest[Math.floor(between(r, 0.3, 0.7) * crest.length)];
    s.bloom([x + 12 * normal(r), y + between(r, 0.06, 0.12) * h], between(r, 0.05, 0.09) * w, k ? pale : middle * 0.6);
  }
  if (work.subject === 'rain')
    for (let k = 0; k < 5; k++) s.drag([fx(0.2 + 0.08 * k), between(r, 0.3, 0.42) * h], 0.3 * h, flip ? 62 : 118, between(r, 7, 12), 0.35);
  for (let k = 0; k < 4; k++)
    s.drag([fx(between(r, 0.1, 0.9)), between(r, 0.78, 0.92) * h], between(r, 0.16, 0.34) * w, 3 * normal(r), between(r, 5, 11), 0.6);
  for (let k = 0; k < 3; k++) {
    const [x, y] = crest[Math.floor(between(r, 0.25, 0.75) * crest.length)];
    s.drag([x + 8 * normal(r), y + 0.07 * h], 0.11 * h, flip ? 50 : 130, between(r, 4, 7), 0.7);
  }
  const stand = Math.floor(between(r, 0.4, 0.6) * near.length);
  for (let k = 0; k < 5; k++) {
    const [x, y] = [near[stand][0] + 8 * (k - 2) + 2 * normal(r), near[stand][1] + 5 + 2 * normal(r)];
    const high = between(r, 12, 20);
    s.touch(
      smooth(
        [
          [x, y],
          [x + normal(r), y - 0.5 * high],
          [x + 0.6 * normal(r), y - high],
        ],
        false,
        4,
      ),
      2.6,
    );
  }
  return { ...s.easel.finish(1.6), strokes: s.strokes };
}

export const OSK: SampleHand = {
  key: 'osk',
  name: 'Hallgrim Osk',
  lived: '1860–1931',
  place: 'the pass above Fjarn',
  medium: 'Brush and diluted ink on rough white paper',
  manner: 'Wet washes that dry to hard rims, a dry brush dragged across the tooth, and nearly half the sheet left bare.',
  subjects: ['rain', 'cloud', 'clear'],
  sizes: [
    [380, 270],
    [270, 380],
    [350, 250],
  ],
  works: [
    { title: 'Rain coming over', dated: '1897', widthMm: 380, heightMm: 270, subject: 'rain', seed: 61 },
    { title: 'Cloud, no summit', dated: '1902', widthMm: 350, heightMm: 250, subject: 'cloud', seed: 62 },
    { title: 'The pass, clearing', dated: '1908', widthMm: 270, heightMm: 380, subject: 'clear', seed: 63 },
    { title: 'Squall and five firs', dated: '1913', widthMm: 380, heightMm: 270, subject: 'rain', seed: 64 },
    { title: 'Thaw', dated: '1920', widthMm: 350, heightMm: 250, subject: 'clear', seed: 65 },
  ],
  rules: RULES,
  expected: {
    'colour.groundL': { low: 93, high: 97 },
    'colour.chroma': { low: 0, high: 8 },
    'value.lightShare': { low: 0.4, high: 1 },
    'marks.share.parallel-hatch': { low: 0, high: 0.25 },
  },
  draw,
};
