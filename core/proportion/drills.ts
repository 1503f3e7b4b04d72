/** Knows drills that train the eye: questions made from the points on a study's pictures, signed errors, and the bias they show. */
import type { Landmarks } from './align';
import { slopeOf } from './spans';
import type { Template } from './template';
import { axialDifference, Random, seededRandom } from '../raster/statistics';
import { studentTwoSided } from '../style/student';

export const DRILLS = ['ratio', 'halve', 'angle', 'under', 'stretched'] as const;
export type Drill = (typeof DRILLS)[number];

type At = readonly [number, number];

/** What a question is asked of: the points of one figure on one picture. */
export interface Asked {
  /** Which picture; only handed on. */
  of: string;
  template: Template;
  points: Landmarks;
  width: number;
  height: number;
}

interface Question {
  of: string;
  /** What the eye should tell: times, share of the way, degrees, px, or how much wider one copy is. */
  truth: number;
}

/** How often does the first line go into the second? */
interface RatioQuestion extends Question {
  drill: 'ratio';
  unit: readonly [At, At];
  line: readonly [At, At];
}
/** Where is the middle between two places? */
interface HalveQuestion extends Question {
  drill: 'halve';
  line: readonly [At, At];
}
/** How does a line slope? Degrees anticlockwise from level, −90 to 90. */
interface AngleQuestion extends Question {
  drill: 'angle';
  line: readonly [At, At];
}
/** Where does the plumb line through a place meet a level? px to the right of the picture's left edge. */
interface UnderQuestion extends Question {
  drill: 'under';
  from: At;
  level: number;
  /** What a miss is told against: how far the level lies from the place. */
  drop: number;
}
/** Which of two copies has been made wider: the first (0) or the second (1), and by how much. */
interface StretchedQuestion extends Question {
  drill: 'stretched';
  by: number;
}
export type DrillQuestion = RatioQuestion | HalveQuestion | AngleQuestion | UnderQuestion | StretchedQuestion;

/** An answer as it is kept: what would have been right, what was said, and the signed error as `errorOf` tells it. */
export interface DrillAnswer {
  truth: number;
  said: number;
  error: number;
  /** By how much a copy had been stretched. */
  by?: number;
}

/** Questions of a round: about five minutes. */
export const ROUND = 8;
const STRETCHES = [0.16, 0.12, 0.09, 0.07, 0.05, 0.04, 0.03, 0.02];
/** A line shorter than this part of the picture's width says little to the eye. */
const SHORT = 0.05;
/** What is asked to be counted lies between these. */
const [FEWEST, MOST] = [1.2, 7];
/** Slopes nearer than this to level or plumb are read off the frame. */
const SLOPING = 6;

const long = ([x, y]: At, [u, v]: At) => Math.hypot(u - x, v - y);
/** Every two joined points that are placed and stand far enough apart. */
function linesOf({ template, points, width }: Asked): [At, At][] {
  const all = template.joined.flatMap((names) => names.slice(1).map((to, i) => [names[i], to]));
  if (template.unit) all.push([...template.unit]);
  return all.flatMap(([a, b]): [At, At][] =>
    Object.hasOwn(points, a) && Object.hasOwn(points, b) && long(points[a], points[b]) > SHORT * width ? [[points[a], points[b]]] : [],
  );
}

const pick = <T>(list: readonly T[], random: Random): T => list[Math.min(list.length - 1, Math.floor(random() * list.length))];

function questionOf(drill: Drill, asked: readonly Asked[], random: Random, n: number): DrillQuestion | null {
  const on = pick(asked, random);
  const lines = linesOf(on);
  if (drill === 'stretched') {
    const by = STRETCHES[Math.min(n, STRETCHES.length - 1)];
    return { drill, of: on.of, by, truth: random() < 0.5 ? 0 : 1 };
  }
  if (drill === 'under') {
    const names = Object.keys(on.points);
    const [a, b] = [pick(names, random), pick(names, random)].map((name) => on.points[name]);
    const drop = Math.abs(b[1] - a[1]);
    return drop > 0.12 * on.height ? { drill, of: on.of, from: a, level: b[1], drop, truth: a[0] } : null;
  }
  if (!lines.length) return null;
  const line = pick(lines, random);
  if (drill === 'halve') return { drill, of: on.of, line, truth: 0.5 };
  if (drill === 'angle') {
    const truth = slopeOf(...line)!.level;
    const clear = Math.abs(truth) > SLOPING && Math.abs(truth) < 90 - SLOPING;
    return clear ? { drill, of: on.of, line, truth } : null;
  }
  const unit = pick(lines, random);
  const truth = long(...line) / long(...unit);
  return truth >= FEWEST && truth <= MOST ? { drill, of: on.of, unit, line, truth } : null;
}

const TRIES = 60;

/** The questions of one round; the same seed asks the same. Fewer where the points do not yield as many, none where there are none. */
export function roundOf(drill: Drill, asked: readonly Asked[], seed: number, many = ROUND): DrillQuestion[] {
  const random = seededRandom(seed);
  const out: DrillQuestion[] = [];
  const able = asked.filter((a) => Object.keys(a.points).length > 1);
  for (let k = 0; able.length && out.length < many && k < TRIES * many; k++) {
    const q = questionOf(drill, able, random, out.length);
    if (q && !out.some((o) => JSON.stringify(o) === JSON.stringify(q))) out.push(q);
  }
  return out;
}

/**
 * The signed error of an answer: for ratios the part by which it was too much (0.09 is 9 % too many), for halves the part of the way past
 * the middle, for angles degrees too far anticlockwise, for plumb lines the miss to the right as a part of the drop, for copies 0 or 1.
 */
export function errorOf(q: DrillQuestion, said: number): number {
  switch (q.drill) {
    case 'ratio':
      return said / q.truth - 1;
    case 'halve':
      return said - q.truth;
    case 'angle':
      return axialDifference(q.truth, said);
    case 'under':
      return (said - q.truth) / q.drop;
    case 'stretched':
      return said === q.truth ? 0 : 1;
  }
}

export interface Bias {
  n: number;
  /** Mean signed error, and the mean without its sign. */
  mean: number;
  size: number;
  /** Is the mean beyond what the scatter of the answers alone would bring in one case of twenty? */
  biased: boolean;
}

const CHANCE = 0.05;

/** What answers have in common; null for none. Student's t against no bias. */
export function biasOf(errors: readonly number[]): Bias | null {
  const n = errors.length;
  if (!n) return null;
  const mean = errors.reduce((a, b) => a + b, 0) / n;
  const size = errors.reduce((a, b) => a + Math.abs(b), 0) / n;
  const sd = n > 1 ? Math.sqrt(errors.reduce((s, e) => s + (e - mean) ** 2, 0) / (n - 1)) : Infinity;
  const t = sd > 0 ? (mean / sd) * Math.sqrt(n) : mean === 0 ? 0 : Infinity;
  return { n, mean, size, biased: n >= 4 && (t === Infinity || t === -Infinity || studentTwoSided(t, n - 1) < CHANCE) };
}

/** The least stretch of which three in four were seen; null where none was. */
export function leastSeen(answers: readonly DrillAnswer[]): number | null {
  const by = [...new Set(answers.flatMap((a) => (a.by === undefined ? [] : [a.by])))].sort((a, b) => b - a);
  let least: number | null = null;
  for (const b of by) {
    const of = answers.filter((a) => a.by === b);
    if (of.filter((a) => a.error === 0).length < 0.75 * of.length) break;
    least = b;
  }
  return least;
}
