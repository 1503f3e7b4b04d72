/** Knows how often one length goes into another, as it is said with dividers in hand: "3 and a bit more than ½". */

/** The parts of a step that are told apart by eye. */
export const PARTS = [0, 1 / 4, 1 / 3, 1 / 2, 2 / 3, 3 / 4] as const;
export const PART_SIGNS = ['', '¼', '⅓', '½', '⅔', '¾'] as const;
/** Nearer than this part of a step nobody tells from the thing itself: common practice, no source. */
const JUST = 0.02;

export interface Steps {
  whole: number;
  /** Which of `PARTS` beside it. */
  part: number;
  as: 'just' | 'more' | 'less';
}

/** A count of steps as it is written: "2½", "¾", "3". */
export const stepsSign = ({ whole, part }: Pick<Steps, 'whole' | 'part'>): string => `${whole || (part ? '' : 0)}${PART_SIGNS[part]}`;

/** A ratio as whole steps and the nearest simple part; null for one that is none. */
export function stepsOf(ratio: number): Steps | null {
  if (!(ratio >= 0) || !Number.isFinite(ratio)) return null;
  const near = [Math.floor(ratio), Math.floor(ratio) + 1].flatMap((whole) =>
    PARTS.map((p, part) => ({ whole, part, off: ratio - whole - p })),
  );
  const { whole, part, off } = near.reduce((a, b) => (Math.abs(b.off) < Math.abs(a.off) - 1e-12 ? b : a));
  return { whole, part, as: Math.abs(off) <= JUST ? 'just' : off > 0 ? 'more' : 'less' };
}

/** Where the steps of a span end along a way, the last one within it; px. */
export function stepsAlong(
  span: number,
  [x, y]: readonly [number, number],
  [u, v]: readonly [number, number],
  most = 60,
): [number, number][] {
  const long = Math.hypot(u - x, v - y);
  if (!(span > 0) || long / span > most) return [];
  return Array.from({ length: Math.floor(long / span + 1e-9) }, (_, i) => {
    const t = ((i + 1) * span) / long;
    return [x + t * (u - x), y + t * (v - y)];
  });
}

/** Degrees of a line against level, anticlockwise as seen positive, and against plumb, to the right as it rises positive; −90 to 90. */
export function slopeOf([x, y]: readonly [number, number], [u, v]: readonly [number, number]): { level: number; plumb: number } | null {
  if (x === u && y === v) return null;
  let level = (Math.atan2(y - v, u - x) * 180) / Math.PI;
  if (level > 90) level -= 180;
  if (level <= -90) level += 180;
  return { level, plumb: level > 0 ? 90 - level : -90 - level };
}
