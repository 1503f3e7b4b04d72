/** Knows the hand of Maren Oostvik: tile panels of fruit and ships, flat glazes kept apart by one even dark line. */
import { normal } from '../../core/raster/statistics';
import { Easel } from '../easel';
import { oval, P, smooth } from '../sheet';
import { between, DrawnWork, HandWork, SampleHand, straight, StrokeTruth } from './sample';

const RULES = {
  line: 1.3,
  lineColour: '#1d2c48',
  glazes: ['#dce6e3', '#a9c8cf', '#4f86a8', '#2f5a86', '#6ea394', '#8d8fb4'],
  tile: 75,
} as const;
const [PALE, MIST, BLUE, DEEP, SEA, PLUM] = RULES.glazes;

class Panel {
  readonly easel: Easel;
  readonly strokes: StrokeTruth[] = [];

  constructor(work: HandWork, pxPerMm: number) {
    this.easel = new Easel(work.widthMm, work.heightMm, pxPerMm, PALE, work.seed);
  }

  line(points: readonly P[]): void {
    const cover = this.easel.stencil();
    this.easel.stroke(cover, points, RULES.line);
    this.easel.put(cover, RULES.lineColour);
    for (let i = 1; i < points.length; i++) this.strokes.push({ from: points[i - 1], to: points[i], width: RULES.line });
  }

  /** A flat field with its line all round. */
  form(points: readonly P[], glaze: string): void {
    this.easel.put(this.easel.field(points), glaze);
    this.line([...points, points[0]]);
  }
}

function ship(panel: Panel, x: number, water: number, size: number): void {
  const r = panel.easel.random;
  const at = (u: number, v: number): P => [x + u * size, water - v * size];
  panel.form(
    smooth(
      [at(-0.5, 0.2), at(-0.42, 0), at(-0.3, -0.1), at(0.3, -0.1), at(0.44, 0.02), at(0.56, 0.26), at(0.2, 0.16), at(-0.2, 0.15)],
      true,
      6,
    ),
    DEEP,
  );
  panel.form([...straight(at(-0.03, 0.16), at(-0.03, 1)), ...straight(at(0.01, 1), at(0.01, 0.16))], PLUM);
  const full = between(r, 0.32, 0.42);
  panel.form(smooth([at(0.03, 0.92), at(full * 0.75, 0.62), at(full, 0.26), at(0.03, 0.24)], true, 6), MIST);
  panel.form(smooth([at(-0.06, 0.84), at(-full * 0.8, 0.5), at(-full * 0.95, 0.26), at(-0.06, 0.24)], true, 6), r() < 0.5 ? SEA : PALE);
  panel.form(smooth([at(0.01, 1), at(0.2, 1.03), at(0.16, 0.93), at(0.01, 0.93)], true, 4), BLUE);
}

function seaPiece(panel: Panel, w: number, h: number): void {
  const r = panel.easel.random;
  const sky = panel.easel.field([
    [0, 0],
    [w, 0],
    [w, h],
    [0, h],
  ]);
  panel.easel.put(sky, MIST);
  const [sx, sy, sr] = [between(r, 0.15, 0.85) * w, between(r, 0.16, 0.26) * h, between(r, 0.06, 0.09) * w];
  panel.form(oval(sx, sy, sr, sr), PALE);
  const ships = 1 + Math.floor(between(r, 0, 2.4));
  const bands = [SEA, BLUE, DEEP, SEA];
  const top = between(r, 0.56, 0.64);
  for (let k = 0; k < 4; k++) {
    if (k < ships)
      ship(
        panel,
        (ships === 1 ? between(r, 0.35, 0.65) : (k + 0.5 + 0.2 * normal(r) * 0.5) / ships) * w,
        (top + 0.02 + 0.07 * k) * h,
        between(r, 0.3, 0.42) * Math.min(w, h),
      );
    const y = (top + 0.1 * k + 0.02) * h;
    const crest = Array.from({ length: 13 }, (_, i): P => [(i / 12) * 1.1 * w - 0.05 * w, y + (i % 2 ? -0.024 : 0.014) * h]);
    panel.form([...smooth(crest, false, 6), [1.1 * w, 1.1 * h], [-0.1 * w, 1.1 * h]], bands[k]);
  }
}

function leaf(panel: Panel, [x, y]: P, long: number, turn: number, glaze: string): void {
  const u: P = [Math.cos(turn), Math.sin(turn)];
  const at = (s: number, t: number): P => [x + s * long * u[0] - t * long * u[1], y + s * long * u[1] + t * long * u[0]];
  panel.form(smooth([at(0, 0), at(0.4, 0.2), at(1, 0), at(0.4, -0.2)], true, 6), glaze);
}

function fruitPiece(panel: Panel, w: number, h: number): void {
  const r = panel.easel.random;
  panel.form(
    [
      [-9, 0.66 * h],
      [w + 9, 0.66 * h],
      [w + 9, h + 9],
      [-9, h + 9],
    ],
    MIST,
  );
  for (let k = 0; k < 5; k++)
    panel.form(
      [
        [(0.1 + 0.2 * k) * w, 0.8 * h],
        [(0.2 + 0.2 * k) * w, 0.72 * h + 4],
        [(0.3 + 0.2 * k) * w, 0.8 * h],
        [(0.2 + 0.2 * k) * w, 0.88 * h],
      ],
      k % 2 ? BLUE : SEA,
    );
  const size = between(r, 0.085, 0.11) * Math.min(w, h, 0.8 * h) * 1.4;
  const glazes = [PLUM, BLUE, SEA, MIST, DEEP];
  const cx = between(r, 0.44, 0.56) * w;
  const heap: P[] = [
    [-2.1, 0],
    [-0.7, -0.15],
    [0.7, -0.1],
    [2.1, 0],
    [-1.35, -1.35],
    [0.05, -1.5],
    [1.4, -1.3],
    [-0.6, -2.6],
    [0.75, -2.5],
  ];
  const many = 5 + Math.floor(between(r, 0, 5));
  for (let k = 0; k < many; k++) {
    const [x, y] = [cx + heap[k][0] * size * 0.86, 0.47 * h + heap[k][1] * size * 0.7];
    leaf(panel, [x, y], size * 1.9, between(r, -2.6, -0.5), k % 2 ? SEA : DEEP);
    const pear = r() < 0.35;
    panel.form(
      pear
        ? smooth(
            [
              [x, y - 1.45 * size],
              [x + 0.42 * size, y - 0.8 * size],
              [x + 0.95 * size, y + 0.2 * size],
              [x, y + 0.95 * size],
              [x - 0.95 * size, y + 0.2 * size],
              [x - 0.42 * size, y - 0.8 * size],
            ],
            true,
            8,
          )
        : oval(x, y, size, size * between(r, 0.9, 1.05)),
      glazes[(k + Math.floor(5 * r())) % 5],
    );
  }
  const bowl = smooth(
    [
      [cx - 2.9 * size, 0.48 * h],
      [cx - 2.2 * size, 0.66 * h],
      [cx - 0.8 * size, 0.76 * h],
      [cx + 0.8 * size, 0.76 * h],
      [cx + 2.2 * size, 0.66 * h],
      [cx + 2.9 * size, 0.48 * h],
      [cx, 0.53 * h],
    ],
    true,
    8,
  );
  panel.form(bowl, PALE);
  for (const s of [-1.3, 0, 1.3]) leaf(panel, [cx + s * size - 0.3 * size, 0.63 * h], size * 0.9, -0.5, BLUE);
}

function draw(work: HandWork, pxPerMm: number): DrawnWork {
  const panel = new Panel(work, pxPerMm);
  const [w, h] = [work.widthMm, work.heightMm];
  if (work.subject === 'ships') seaPiece(panel, w, h);
  else fruitPiece(panel, w, h);
  // The frame of border tiles, and the joints between tiles.
  const edge = 13;
  const frame: [P[], string][] = [
    [
      [
        [-3, -3],
        [w + 3, -3],
        [w + 3, edge],
        [-3, edge],
      ],
      BLUE,
    ],
    [
      [
        [-3, h - edge],
        [w + 3, h - edge],
        [w + 3, h + 3],
        [-3, h + 3],
      ],
      BLUE,
    ],
    [
      [
        [-3, edge],
        [edge, edge],
        [edge, h - edge],
        [-3, h - edge],
      ],
      BLUE,
    ],
    [
      [
        [w - edge, edge],
        [w + 3, edge],
        [w + 3, h - edge],
        [w - edge, h - edge],
      ],
      BLUE,
    ],
  ];
  for (const [points, glaze] of frame) panel.form(points, glaze);
  for (let x = 25; x < w - 10; x += 25) for (const y of [edge / 2, h - edge / 2]) panel.form(oval(x, y, 3.6, 3.6, 20), PALE);
  for (let y = 30; y < h - 20; y += 25) for (const x of [edge / 2, w - edge / 2]) panel.form(oval(x, y, 3.6, 3.6, 20), PALE);
  const joints = panel.easel.stencil();
  for (let x = RULES.tile; x < w - 8; x += RULES.tile) panel.easel.stroke(joints, straight([x, 0], [x, h]), 0.4);
  for (let y = RULES.tile; y < h - 8; y += RULES.tile) panel.easel.stroke(joints, straight([0, y], [w, y]), 0.4);
  panel.easel.put(joints, '#c3cbc9', { opacity: 0.55 });
  return { ...panel.easel.finish(1.2), strokes: panel.strokes };
}

export const OOSTVIK: SampleHand = {
  key: 'oostvik',
  name: 'Maren Oostvik',
  lived: '1902–1978',
  place: 'Vellmark tileworks',
  medium: 'Glaze on tile',
  manner: 'Flat cool glazes, each kept from the next by one even dark line; nothing shaded, nothing left open.',
  subjects: ['ships', 'fruit'],
  sizes: [
    [300, 225],
    [225, 300],
    [300, 300],
  ],
  works: [
    { title: 'Two ketches, long wave', dated: '1934', widthMm: 300, heightMm: 225, subject: 'ships', seed: 21 },
    { title: 'Bowl for the ferry kitchen', dated: '1936', widthMm: 300, heightMm: 300, subject: 'fruit', seed: 22 },
    { title: 'Pears before rain', dated: '1941', widthMm: 300, heightMm: 225, subject: 'fruit', seed: 23 },
    { title: 'Out past the bar', dated: '1947', widthMm: 225, heightMm: 300, subject: 'ships', seed: 24 },
    { title: 'Moon sails', dated: '1952', widthMm: 300, heightMm: 300, subject: 'ships', seed: 25 },
  ],
  rules: RULES,
  expected: {
    'marks.lineWidth': { low: 1.1, high: 1.5 },
    'edges.outlined': { low: 0.6, high: 1 },
    'colour.balance': { low: -1, high: -0.5 },
    'marks.share.flat': { low: 0.06, high: 1 },
  },
  draw,
};
