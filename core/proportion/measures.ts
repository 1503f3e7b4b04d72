/** Knows the measures of each template: ratios, angles and offsets, with nature's proportion beside them. */
import { Message, message } from '../message';
import { Landmarks } from './align';
import { TemplateName } from './templates';

export interface Proportion {
  name: string;
  value: number | null;
  unit: 'ratio' | 'heads' | 'degrees' | 'offset';
  /** Nature's proportion by common practice, no source; null where there is none. */
  canon: number | null;
  /** value ÷ canon; null for angles, offsets, and measures without canon. */
  factor: number | null;
}

/** Vitruvius, De architectura III.1, where he gives a figure for the same measure. */
export const VITRUVIUS: Readonly<Record<string, number>> = {
  'brow-third': 1 / 3,
  'nose-third': 1 / 3,
  'heads-tall': 8,
  'foot-length': 1 / 6,
};

/** What a measure is called. */
export const measureName = (measure: string): Message => message(`features.proportion.${measure}.title`);

type Get = (name: string) => readonly [number, number] | null;
type Maybe = number | null;

const dist = (a: readonly [number, number] | null, b: readonly [number, number] | null): Maybe =>
  a && b ? Math.hypot(b[0] - a[0], b[1] - a[1]) : null;
/** Lengths under a millionth of a pixel are points that lie on each other, not a unit to measure by. */
const NOTHING = 1e-6;
const over = (a: Maybe, b: Maybe): Maybe => (a === null || b === null || Math.abs(b) < NOTHING ? null : a / b);
const average = (...v: Maybe[]): Maybe => {
  const known = v.filter((x): x is number => x !== null);
  return known.length ? known.reduce((a, b) => a + b, 0) / known.length : null;
};

/** Angle of a line against level, −90 to 90, anticlockwise positive as seen. */
function tilt(a: readonly [number, number] | null, b: readonly [number, number] | null): Maybe {
  if (!a || !b || (a[0] === b[0] && a[1] === b[1])) return null;
  let t = (Math.atan2(a[1] - b[1], b[0] - a[0]) * 180) / Math.PI;
  if (t > 90) t -= 180;
  if (t <= -90) t += 180;
  return t;
}

function faceFront(get: Get): [string, Maybe, Proportion['unit'], number | null][] {
  const crown = get('crown');
  const chin = get('chin');
  const head = dist(crown, chin);
  // Heights along the axis from crown to chin.
  const along = (q: readonly [number, number] | null): Maybe =>
    q && crown && chin && head ? ((q[0] - crown[0]) * (chin[0] - crown[0]) + (q[1] - crown[1]) * (chin[1] - crown[1])) / head : null;
  const span = (a: Maybe, b: Maybe): Maybe => (a === null || b === null ? null : b - a);
  const corners = ['eye-left-outer', 'eye-left-inner', 'eye-right-inner', 'eye-right-outer'].map((n) => along(get(n)));
  const eyes = corners.every((c) => c !== null) ? average(...corners) : null;
  const brow = average(along(get('brow-left')), along(get('brow-right')));
  const hair = along(get('hairline'));
  const nose = along(get('nose-base'));
  const chinAt = head;
  const face = dist(get('face-left'), get('face-right'));
  const eyeWidth = average(dist(get('eye-left-outer'), get('eye-left-inner')), dist(get('eye-right-inner'), get('eye-right-outer')));
  const gap = dist(get('eye-left-inner'), get('eye-right-inner'));
  const [pl, pr] = [along(get('pupil-left')), along(get('pupil-right'))];
  const eyeHeight = average(dist(get('eye-left-top'), get('eye-left-bottom')), dist(get('eye-right-top'), get('eye-right-bottom')));
  const pupil = average(dist(get('pupil-left-inner'), get('pupil-left-outer')), dist(get('pupil-right-inner'), get('pupil-right-outer')));
  return [
    ['eye-line', over(eyes, head), 'ratio', 0.5],
    ['brow-third', over(span(hair, brow), span(hair, chinAt)), 'ratio', 1 / 3],
    ['nose-third', over(span(brow, nose), span(hair, chinAt)), 'ratio', 1 / 3],
    ['mouth-line', over(span(nose, along(get('mouth-centre'))), span(nose, chinAt)), 'ratio', 1 / 3],
    ['eye-width', over(eyeWidth, face), 'ratio', 0.2],
    ['eye-gap', over(gap, eyeWidth), 'ratio', 1],
    ['eye-height', over(eyeHeight, eyeWidth), 'ratio', null],
    ['pupil-size', over(pupil, eyeWidth), 'ratio', null],
    ['mouth-width', over(dist(get('mouth-left'), get('mouth-right')), dist(get('pupil-left'), get('pupil-right'))), 'ratio', 1],
    ['nose-width', over(dist(get('nose-left'), get('nose-right')), gap), 'ratio', 1],
    ['face-shape', over(face, head), 'ratio', 0.67],
    ['neck-width', over(dist(get('neck-left'), get('neck-right')), face), 'ratio', 0.6],
    ['neck-length', over(dist(chin, get('neck-base')), head), 'ratio', 0.33],
    ['eye-tilt', tilt(get('eye-left-outer'), get('eye-right-outer')), 'degrees', null],
    ['mouth-tilt', tilt(get('mouth-left'), get('mouth-right')), 'degrees', null],
    // Height grows upward, the axis downward: the right pupil higher is positive.
    ['eye-level', over(span(pr, pl), head), 'offset', null],
  ];
}

function figureStanding(get: Get): [string, Maybe, Proportion['unit'], number | null][] {
  const head = dist(get('crown'), get('chin'));
  const height = dist(get('crown'), get('sole'));
  const shoulders = dist(get('shoulder-left'), get('shoulder-right'));
  const hand = average(dist(get('wrist-left'), get('fingertip-left')), dist(get('wrist-right'), get('fingertip-right')));
  const arm = (side: string): Maybe => {
    const [s, e, w] = ['shoulder', 'elbow', 'wrist'].map((n) => get(`${n}-${side}`));
    if (!e) return dist(s, w);
    const [a, b] = [dist(s, e), dist(e, w)];
    return a === null || b === null ? null : a + b;
  };
  const upright = tilt(get('sole'), get('crown'));
  return [
    ['heads-tall', over(height, head), 'heads', 7.5],
    ['shoulder-width', over(shoulders, head), 'heads', 2],
    ['hand-length', over(hand, head), 'ratio', 0.75],
    ['arm-length', over(average(arm('left'), arm('right')), head), 'heads', 2.3],
    ['leg-share', over(dist(get('crotch'), get('sole')), height), 'ratio', 0.48],
    ['foot-length', over(dist(get('heel'), get('toe')), height), 'ratio', 0.15],
    ['neck-length', over(dist(get('chin'), get('neck-base')), head), 'ratio', 0.33],
    ['waist-width', over(dist(get('waist-left'), get('waist-right')), shoulders), 'ratio', 0.7],
    ['hem-width', over(dist(get('hem-left'), get('hem-right')), shoulders), 'ratio', null],
    // A line straight up stands at 90° from level; what is left is the lean, positive to the left as seen (anticlockwise).
    ['lean', upright === null ? null : upright > 0 ? upright - 90 : upright + 90, 'degrees', null],
  ];
}

/** All measures of a template from its landmarks, in the template's order; null where a needed point is missing. */
export function measureProportions(template: TemplateName, points: Landmarks): Proportion[] {
  const get: Get = (name) => (Object.hasOwn(points, name) ? points[name] : null);
  const rows = template === 'face-front' ? faceFront(get) : figureStanding(get);
  return rows.map(([name, value, unit, canon]) => ({
    name,
    value,
    unit,
    canon,
    factor: value === null || canon === null || unit === 'degrees' || unit === 'offset' ? null : value / canon,
  }));
}
