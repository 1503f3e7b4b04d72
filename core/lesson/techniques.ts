/** Knows which techniques there are and which go with a medium. */
import { LessonMedium, mediumOf } from './media';
import { Technique } from './technique';
import { TECHNIQUE_TABLE } from './techniqueTable';

const BY_ID: ReadonlyMap<string, Technique> = new Map(TECHNIQUE_TABLE.map((t) => [t.id, t]));

export const techniqueOf = (id: string): Technique | null => BY_ID.get(id) ?? null;

/** What any lesson can begin and end with. */
const EVERYWHERE = ['own-sketch', 'toward', 'mount', 'label'];

/** Techniques that go with a medium, in the order of the table, which is a usual working order. */
export function techniquesFor(medium: LessonMedium): Technique[] {
  const { usual, beside } = mediumOf(medium);
  return TECHNIQUE_TABLE.filter((t) => usual.includes(t.id) || beside.includes(t.id) || EVERYWHERE.includes(t.id));
}

/** All others: any of them can stand in any lesson. */
export function techniquesBeside(medium: LessonMedium): Technique[] {
  const own = techniquesFor(medium);
  return TECHNIQUE_TABLE.filter((t) => !own.includes(t));
}
