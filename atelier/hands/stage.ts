/** Knows the hand of Bram Leuvik: empty stages and stairwells in charcoal with white chalk on a mid-toned sheet. */
import { Easel } from '../easel';
import { P } from '../sheet';
import { between, dash, DrawnWork, HandWork, SampleHand, straight, StrokeTruth } from './sample';

const RULES = {
  ground: '#a4988a',
  charcoal: '#26231f',
  chalk: '#f4f0e6',
  rub: 4.5,
  rim: 2.6,
  hardEdges: 2,
  chalkShare: 0.02,
} as const;

class Paper {
  readonly easel: Easel;
  readonly strokes: StrokeTruth[] = [];
  constructor(work: HandWork, pxPerMm: number) {
    this.easel = new Easel(work.widthMm, work.heightMm, pxPerMm, RULES.ground, work.seed, 0.35);
  }

  /** A smudged dark: side-of-the-stick charcoal, rubbed. */
  dark(points: readonly P[], depth: number, rim: number = RULES.rim): void {
    this.easel.put(this.easel.field(points), RULES.charcoal, { opacity: depth, tooth: 0.16, soft: rim });
  }

  light(points: readonly P[], chalk: number): void {
    const field = this.easel.field(points);
    this.easel.lift(field, 0.75, RULES.rim);
    this.easel.put(field, RULES.chalk, { opacity: chalk, tooth: 0.3, soft: 1.6 });
  }

  /** Rubs everything laid so far; the side of the stick shows here and there where it was gone over again. */
  rub(w: number, h: number): void {
    this.easel.smudge(
      this.easel.field([
        [0, 0],
        [w, 0],
        [w, h],
        [0, h],
      ]),
      RULES.rub,
    );
    const r = this.easel.random;
    const drag = this.easel.stencil();
    for (let k = 0; k < 14; k++) this.easel.stroke(drag, dash([between(r, 0, w), between(r, 0, 0.25 * h)], between(r, 14, 26), 60, 0), 5);
    this.easel.put(drag, RULES.charcoal, { opacity: 0.4, tooth: 0.5, soft: 0.5 });
  }

  hard(a: P, b: P, width = 0.9): void {
    const cover = this.easel.stencil();
    const points = straight(a, b);
    this.easel.stroke(cover, points, width, 0.5);
    this.easel.put(cover, RULES.charcoal, { opacity: 0.9, tooth: 0.22, soft: 0.15 });
    this.strokes.push({ from: a, to: b, width });
  }
}

function stage(p: Paper, w: number, h: number): void {
  const r = p.easel.random;
  const at = (x: number, y: number): P => [x * w, y * h];
  const [left, right, back, floor] = [between(r, 0.2, 0.3), between(r, 0.7, 0.8), between(r, 0.22, 0.3), between(r, 0.6, 0.68)];
  p.dark([at(-0.1, -0.1), at(1.1, -0.1), at(1.1, back), at(-0.1, back)], 0.82);
  p.dark([at(-0.1, -0.1), at(left, back), at(left, floor), at(-0.1, 1)], 0.7);
  p.dark([at(1.1, -0.1), at(right, back), at(right, floor), at(1.1, 1)], 0.78);
  p.dark([at(left, back), at(right, back), at(right, floor), at(left, floor)], 0.34);
  p.dark([at(left, floor), at(right, floor), at(1.1, 1.1), at(-0.1, 1.1)], 0.28);
  p.rub(w, h);
  // A pool of light from above, and the drop of cloth it falls on.
  const [cx, wide] = [between(r, 0.38, 0.62), between(r, 0.1, 0.16)];
  p.light([at(cx - 0.04, back), at(cx + 0.04, back), at(cx + wide, floor + 0.2), at(cx - wide, floor + 0.2)], 0.16);
  p.light([at(cx - wide, floor + 0.14), at(cx, floor + 0.1), at(cx + wide, floor + 0.14), at(cx, floor + 0.24)], 0.75);
  const chair = cx + (r() < 0.5 ? -1 : 1) * 0.09;
  p.dark([at(chair, floor - 0.02), at(chair + 0.06, floor - 0.02), at(chair + 0.06, floor + 0.13), at(chair, floor + 0.13)], 0.85, 1.2);
  for (let k = 0; k < 3; k++)
    p.dark(
      [
        at(left + 0.02 + 0.05 * k, back),
        at(left + 0.045 + 0.05 * k, back),
        at(left + 0.045 + 0.05 * k, floor),
        at(left + 0.02 + 0.05 * k, floor),
      ],
      0.4,
    );
  p.hard(at(chair, floor - 0.1), at(chair, floor + 0.13));
  p.hard(at(left, floor), at(left + 0.12, floor), 0.8);
}

function stairs(p: Paper, w: number, h: number): void {
  const r = p.easel.random;
  const at = (x: number, y: number): P => [x * w, y * h];
  const flip = r() < 0.5;
  const side = (x: number, y: number): P => at(flip ? 1 - x : x, y);
  p.dark([at(-0.1, -0.1), at(1.1, -0.1), at(1.1, 1.1), at(-0.1, 1.1)], 0.42);
  p.dark([side(-0.1, 0.3), side(0.5, 0.05), side(0.5, -0.1), side(-0.1, -0.1)], 0.75);
  p.dark([side(0.74, -0.1), side(1.1, -0.1), side(1.1, 1.1), side(0.74, 1.1)], 0.8);
  p.rub(w, h);
  const steps = 5 + Math.floor(between(r, 0, 5));
  const [rise, run] = [between(r, 0.36, 0.56) / steps, between(r, 0.4, 0.6) / steps];
  const door = between(r, 0.3, 0.58);
  const post = between(r, 0.02, 0.1);
  for (let k = 0; k < steps; k++) {
    const [x, y] = [0.12 + k * run, 0.92 - k * rise];
    p.dark([side(x, y), side(x + 0.02, y - rise), side(0.76, y - rise - 0.02), side(0.76, y)], 0.3 + 0.3 * (k / steps));
    p.light([side(x, y), side(x + run, y - 0.012), side(x + run + 0.16, y - 0.02), side(x + 0.16, y + 0.008)], 0.5 * (1 - k / steps));
  }
  p.light([side(door, 0.1), side(door + 0.16, 0.06), side(door + 0.16, 0.34), side(door, 0.36)], 0.8);
  p.dark([side(post, 0.5), side(post + 0.1, 0.46), side(post + 0.1, 0.96), side(post, 1.04)], 0.55);
  p.hard(side(post + 0.1, 0.9), side(post + 0.1, 0.42));
  p.hard(side(door + 0.16, 0.06), side(door + 0.16, 0.34), 0.8);
}

function corridor(p: Paper, w: number, h: number): void {
  const r = p.easel.random;
  const at = (x: number, y: number): P => [x * w, y * h];
  const [vx, vy] = [between(r, 0.42, 0.58), between(r, 0.4, 0.48)];
  const toward = (x: number, y: number, s: number): P => at(x + (vx - x) * s, y + (vy - y) * s);
  p.dark([at(-0.1, -0.1), at(1.1, -0.1), toward(1, 0, 0.8), toward(0, 0, 0.8)], 0.7);
  p.dark([at(-0.1, -0.1), toward(0, 0, 0.8), toward(0, 1, 0.8), at(-0.1, 1.1)], 0.5);
  p.dark([at(1.1, -0.1), toward(1, 0, 0.8), toward(1, 1, 0.8), at(1.1, 1.1)], 0.82);
  p.rub(w, h);
  for (const s of [0.08, 0.34, 0.54]) {
    p.dark([toward(0, 0.2, s), toward(0, 0.2, s + 0.1), toward(0, 1, s + 0.1), toward(0, 1, s)], 0.6);
    p.light([toward(0.1, 1, s), toward(0.1, 1, s + 0.09), toward(0.75, 1, s + 0.09), toward(0.75, 1, s)], 0.3 + 0.2 * s);
  }
  p.light([toward(0, 0, 0.8), toward(1, 0, 0.8), toward(1, 1, 0.8), toward(0, 1, 0.8)], 0.85);
  p.hard(toward(1, 0.05, 0.3), toward(1, 0.98, 0.3));
  p.hard(toward(1, 1, 0.8), toward(1, 1, 0.45), 0.8);
}

function draw(work: HandWork, pxPerMm: number): DrawnWork {
  const p = new Paper(work, pxPerMm);
  const { widthMm: w, heightMm: h } = work;
  ({ stage, stairs, corridor })[work.subject as 'stage' | 'stairs' | 'corridor'](p, w, h);
  return { ...p.easel.finish(2.4), strokes: p.strokes };
}

export const LEUVIK: SampleHand = {
  key: 'leuvik',
  name: 'Bram Leuvik',
  lived: '1899–1967',
  place: 'the closed theatres of Osterby',
  medium: 'Charcoal and white chalk on grey-brown paper',
  manner: 'Smudged darks, lights lifted and touched with chalk, and hardly a hard edge.',
  subjects: ['stage', 'stairs', 'corridor'],
  sizes: [
    [300, 400],
    [400, 300],
    [320, 320],
  ],
  works: [
    { title: 'House lights down', dated: '1929', widthMm: 400, heightMm: 300, subject: 'stage', seed: 41 },
    { title: 'Back stairs', dated: '1933', widthMm: 300, heightMm: 400, subject: 'stairs', seed: 42 },
    { title: 'Passage to the scene dock', dated: '1938', widthMm: 320, heightMm: 320, subject: 'corridor', seed: 43 },
    { title: 'One chair', dated: '1946', widthMm: 320, heightMm: 320, subject: 'stage', seed: 44 },
    { title: 'Third landing', dated: '1951', widthMm: 300, heightMm: 400, subject: 'stairs', seed: 45 },
  ],
  rules: RULES,
  expected: {
    'edges.outlined': { low: 0, high: 0.3 },
    'colour.chroma': { low: 0, high: 14 },
    'value.mean': { low: 20, high: 50 },
    'marks.share.parallel-hatch': { low: 0, high: 0.2 },
  },
  draw,
};
