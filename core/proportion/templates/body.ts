/** What every human figure is measured by: its points, its limbs, and how it leans. */
import { between, either, meanOfKnown, over, pointsOf, Reading, shownBy, sum, TemplatePoint, tilt } from '../template';

export const BODY_PARTS = ['head', 'trunk', 'arms', 'legs', 'garment'] as const;

export const BODY_POINTS = pointsOf(
  ['crown', 'head', 0.5, 0],
  ['chin', 'head', 0.5, 0.13],
  ['sole', 'legs', 0.5, 1],
  ['neck-base', 'head', 0.5, 0.18],
  ['shoulder-left', 'trunk', 0.3, 0.2],
  ['shoulder-right', 'trunk', 0.7, 0.2],
  ['elbow-left', 'arms', 0.25, 0.38],
  ['elbow-right', 'arms', 0.75, 0.38],
  ['wrist-left', 'arms', 0.24, 0.5],
  ['wrist-right', 'arms', 0.76, 0.5],
  ['fingertip-left', 'arms', 0.24, 0.58],
  ['fingertip-right', 'arms', 0.76, 0.58],
  ['waist-left', 'trunk', 0.38, 0.4],
  ['waist-right', 'trunk', 0.62, 0.4],
  ['crotch', 'legs', 0.5, 0.52],
  ['knee-left', 'legs', 0.42, 0.74],
  ['knee-right', 'legs', 0.58, 0.74],
  ['ankle-left', 'legs', 0.43, 0.95],
  ['ankle-right', 'legs', 0.57, 0.95],
  ['heel', 'legs', 0.44, 0.99],
  ['toe', 'legs', 0.58, 0.99],
  ['hem-left', 'garment', 0.2, 0.85],
  ['hem-right', 'garment', 0.8, 0.85],
);

/** The same points where another attitude has them; what is not named stays where it is. */
export const standingAs = (places: Readonly<Record<string, readonly [number, number]>>, ...more: TemplatePoint[]): TemplatePoint[] => [
  ...BODY_POINTS.map((p) => ({ ...p, at: places[p.name] ?? p.at })),
  ...more,
];

export const JOINED: readonly (readonly string[])[] = [
  ['crown', 'chin', 'neck-base', 'crotch'],
  [
    'fingertip-left',
    'wrist-left',
    'elbow-left',
    'shoulder-left',
    'neck-base',
    'shoulder-right',
    'elbow-right',
    'wrist-right',
    'fingertip-right',
  ],
  ['ankle-left', 'knee-left', 'crotch', 'knee-right', 'ankle-right'],
  ['heel', 'toe'],
];

const SIDES = ['left', 'right'] as const;

/** A figure drawn round its own points: an oval for the head, soft outlines for trunk and limbs. */
export function limbs(points: readonly TemplatePoint[]): string[] {
  const at = (name: string): [number, number] => {
    const [x, y] = points.find((p) => p.name === name)!.at;
    return [100 * x, 100 * y];
  };
  const round = (n: number) => Math.round(10 * n) / 10;
  const path = (...list: (readonly [number, number])[]) => list.map(([x, y], i) => `${i ? 'L' : 'M'}${round(x)} ${round(y)}`).join('');
  const [[cx, cy], [hx, hy]] = [at('crown'), at('chin')];
  const tall = Math.hypot(hx - cx, hy - cy) / 2;
  const lean = (Math.atan2(hx - cx, hy - cy) * 180) / Math.PI;
  const oval = `M${round(cx)} ${round(cy)}A${round(tall * 0.75)} ${round(tall)} ${round(-lean)} 1 1 ${round(hx)} ${round(hy)}A${round(tall * 0.75)} ${round(tall)} ${round(-lean)} 1 1 ${round(cx)} ${round(cy)}`;
  /** Beside the place where the legs part, toward the waist of that side, by so much of the waist's width. */
  const hip = (side: 'left' | 'right', much: number): [number, number] => {
    const [[x, y], [wx, wy], [ox, oy]] = [at('crotch'), at(`waist-${side}`), at(`waist-${side === 'left' ? 'right' : 'left'}`)];
    return [x + much * (wx - ox), y + much * (wy - oy)];
  };
  /** A limb's two outlines, narrower toward its end. */
  const tube = (joints: readonly [number, number][], from: number, to: number) =>
    [1, -1].map((side) =>
      path(
        ...joints.map((here, i): [number, number] => {
          const [a, b] = [joints[Math.max(0, i - 1)], joints[Math.min(joints.length - 1, i + 1)]];
          const long = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
          const wide = from + ((to - from) * i) / (joints.length - 1);
          return [here[0] - (side * wide * (b[1] - a[1])) / long, here[1] + (side * wide * (b[0] - a[0])) / long];
        }),
      ),
    );
  const ring = ['neck-base', 'shoulder-left', 'waist-left'].map(at);
  return [
    oval,
    path(...ring, hip('left', 0.55), hip('right', 0.55), at('waist-right'), at('shoulder-right'), at('neck-base')),
    ...SIDES.flatMap((s) => tube([at(`shoulder-${s}`), at(`elbow-${s}`), at(`wrist-${s}`), at(`fingertip-${s}`)], 2.8, 0.8)),
    ...SIDES.flatMap((s) => tube([hip(s, 0.28), at(`knee-${s}`), at(`ankle-${s}`)], 5, 1.8)),
    path(at('heel'), at('toe')),
  ];
}

export const head = between('crown', 'chin');
export const height = between('crown', 'sole');
export const shoulders = between('shoulder-left', 'shoulder-right');
export const hand = meanOfKnown(between('wrist-left', 'fingertip-left'), between('wrist-right', 'fingertip-right'));
export const feet = between('heel', 'toe');
/** Over the elbow, or straight where the elbow is hidden. */
const arm = (side: string): Reading =>
  either(
    sum(between(`shoulder-${side}`, `elbow-${side}`), between(`elbow-${side}`, `wrist-${side}`)),
    between(`shoulder-${side}`, `wrist-${side}`),
  );
export const arms = meanOfKnown(arm('left'), arm('right'));
const leg = (side: string): Reading => sum(between('crotch', `knee-${side}`), between(`knee-${side}`, `ankle-${side}`));
export const legs = meanOfKnown(leg('left'), leg('right'));
const thigh = (side: string): Reading => over(between('crotch', `knee-${side}`), between(`knee-${side}`, `ankle-${side}`));
export const thighToShank = meanOfKnown(thigh('left'), thigh('right'));

/** A line straight up stands at 90° from level; what is left is the lean, positive to the left as seen (anticlockwise). */
const stance = tilt('sole', 'crown');
export const lean: Reading = shownBy(
  (points) => {
    const upright = stance(points);
    return upright === null ? null : upright > 0 ? upright - 90 : upright + 90;
  },
  ({ sole, crown }) =>
    sole && crown
      ? [
          { from: sole, to: crown, as: 'length' },
          { from: sole, to: [sole[0], crown[1]], as: 'unit' },
        ]
      : [],
);
