/** Knows which few findings are worth a student's time: what works first, then at most three things to try. */
import { FeatureGroup, featureSpec, scaled } from './features';
import { PRIORS } from './priors';
import { Said } from './words';

interface Advisable extends Said {
  group: FeatureGroup;
}

export interface Advice<F> {
  /** What truly keeps to the master where keeping says something, a rule of the study first: as many as make three sentences with the rest, and one beside three. */
  works: F[];
  /** Outside the master's range, farthest first, no group taking all of them. */
  next: F[];
}

const MOST = 3;
const MOST_OF_A_GROUP = 2;

/** 0 at the middle of the range, 1 at its edge, in the finding's own unit. */
function offMiddle({ master, piece }: Said): number {
  if (piece < master.mid && master.low === null) return 0;
  const half = (piece < master.mid ? master.mid - master.low! : master.high - master.mid) || 1e-9;
  return Math.abs(piece - master.mid) / half;
}

/** Nearer to the middle than this, a reading is near. */
const NEAR = 0.5;

/** Does keeping to this range say anything? Only where other hands would mostly leave it. */
function narrow({ feature, master: { low, mid, high } }: Said): boolean {
  const spec = featureSpec(feature);
  const between = PRIORS[feature]?.between;
  if (!spec || between === undefined) return true;
  return (scaled(spec, high) - scaled(spec, low ?? mid)) / (low === null ? 1 : 2) <= between;
}

const familyOf = (feature: string): string => featureSpec(feature)?.family ?? feature;

/** How marks look close to follows from what was done (gaps, thickness, kinds), which a student can do otherwise: it is said where that is not. */
const LOOKS: ReadonlySet<string> = new Set(['marks.surface', 'marks.detail', 'marks.detailColour', 'marks.detailDark']);
const FOLLOWS = 0.05;

/** The first of each family: what says nearly the same is said once. */
function onePerFamily<F extends Said>(list: readonly F[]): F[] {
  const seen = new Set<string>();
  return list.filter((f) => !seen.has(familyOf(f.feature)) && seen.add(familyOf(f.feature)));
}

/**
 * What to say of a piece. `aside` holds features the teacher has set aside, `ruled` those with a rule in the study, which
 * go first at equal worth: a rule of the study counts as half as far again as another finding.
 */
export function advise<F extends Advisable>(findings: readonly F[], aside: ReadonlySet<string>, ruled: ReadonlySet<string>): Advice<F> {
  const open = findings.filter((f) => !aside.has(f.feature));
  const worth = (f: F) => Math.abs(f.distance) * (ruled.has(f.feature) ? 1.5 : 1) * (LOOKS.has(familyOf(f.feature)) ? FOLLOWS : 1);
  const outside = onePerFamily(open.filter((f) => f.distance !== 0).sort((a, b) => worth(b) - worth(a)));
  const next: F[] = [];
  for (const allowed of [MOST_OF_A_GROUP, MOST])
    for (const f of outside)
      if (next.length < MOST && !next.includes(f) && next.filter((n) => n.group === f.group).length < allowed) next.push(f);
  const missed = new Set(next.map((f) => familyOf(f.feature)));
  const kept = onePerFamily(
    open
      .filter((f) => f.distance === 0 && !f.feature.startsWith('place.') && !missed.has(familyOf(f.feature)))
      .filter((f) => offMiddle(f) <= NEAR && narrow(f))
      .sort((a, b) => Number(ruled.has(b.feature)) - Number(ruled.has(a.feature)) || offMiddle(a) - offMiddle(b)),
  );
  return { works: kept.slice(0, Math.max(1, MOST - next.length)), next: next.sort((a, b) => worth(b) - worth(a)) };
}
