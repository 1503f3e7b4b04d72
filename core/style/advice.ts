/** Knows which few findings are worth a student's time: what works first, then at most three things to try. */
import { FeatureGroup } from './features';
import { Said } from './words';

interface Advisable extends Said {
  group: FeatureGroup;
}

export interface Advice<F> {
  /** What keeps best to the master, a rule of the study before others: as many as make three sentences with the rest, at least one. */
  works: F[];
  /** Outside the master's range, farthest first, no group taking all of them. */
  next: F[];
}

const MOST = 3;
const MOST_OF_A_GROUP = 2;

/** 0 at the middle of the range, 1 at its edge. */
function offMiddle({ master, piece }: Said): number {
  const half = (piece < master.mid ? master.mid - master.low : master.high - master.mid) || 1e-9;
  return Math.abs(piece - master.mid) / half;
}

/**
 * What to say of a piece. `aside` holds features the teacher has set aside, `ruled` those with a rule in the study, which
 * go first at equal worth: a rule of the study counts as half as far again as another finding.
 */
export function advise<F extends Advisable>(findings: readonly F[], aside: ReadonlySet<string>, ruled: ReadonlySet<string>): Advice<F> {
  const open = findings.filter((f) => !aside.has(f.feature));
  const worth = (f: F) => Math.abs(f.distance) * (ruled.has(f.feature) ? 1.5 : 1);
  const outside = open.filter((f) => f.distance !== 0).sort((a, b) => worth(b) - worth(a));
  const next: F[] = [];
  for (const allowed of [MOST_OF_A_GROUP, MOST])
    for (const f of outside)
      if (next.length < MOST && !next.includes(f) && next.filter((n) => n.group === f.group).length < allowed) next.push(f);
  const kept = open
    .filter((f) => f.distance === 0 && !f.feature.startsWith('place.'))
    .sort((a, b) => Number(ruled.has(b.feature)) - Number(ruled.has(a.feature)) || offMiddle(a) - offMiddle(b));
  return { works: kept.slice(0, Math.max(1, MOST - next.length)), next: next.sort((a, b) => worth(b) - worth(a)) };
}
