/** Knows the groups that a study's works form, manners of one hand early and late, and which works are meant by one of them. */

interface Grouped {
  groupId: string | null;
  group: string | null;
}

/** The groups of the works given, in the works' order, and how many works each has. */
export function groupsIn(works: readonly Grouped[]): { id: string; name: string; works: number }[] {
  const out = new Map<string, { id: string; name: string; works: number }>();
  for (const { groupId: id, group } of works) if (id !== null) out.set(id, { id, name: group ?? '', works: (out.get(id)?.works ?? 0) + 1 });
  return [...out.values()];
}

/** Of the works given those of the group; all of them where no group is chosen, or none of its works is left. */
export function inGroup<W extends { groupId: string | null }>(works: readonly W[], groupId: string | null): W[] {
  const own = works.filter((w) => w.groupId === groupId);
  return groupId !== null && own.length ? own : [...works];
}

/** What stands beside the hand in place of a group's id: works by others. */
export const FOILS = 'foils';

interface Sided {
  foil: boolean;
  groupId: string | null;
}

/** Whether a work is of the hand: of all works, or of one group. */
export const isOfHand = ({ foil, groupId }: Sided, hand: string | null): boolean => !foil && (hand === null || groupId === hand);

/** Whether a work stands beside that hand: as a foil, or as one of another group. */
export const isBeside = ({ foil, groupId }: Sided, hand: string | null, beside: string | null): boolean =>
  beside === FOILS ? foil : beside !== null && beside !== hand && !foil && groupId === beside;
