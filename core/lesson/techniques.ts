/** Knows which techniques there are and which go with a medium. */
import { LessonMedium, mediumOf } from './media';
import { Technique } from './technique';
import { TECHNIQUE_TABLE } from './techniqueTable';

const BY_ID: ReadonlyMap<string, Technique> = new Map(TECHNIQUE_TABLE.map((t) => [t.id, t]));

export const techniqueOf = (id: string): Technique | null => BY_ID.get(id) ?? null;

/** Techniques that go with a medium, in the order of the table, which is a usual working order. */
export function techniquesFor(medium: LessonMedium): Technique[] {
  const { usual, beside } = mediumOf(medium);
  return TECHNIQUE_TABLE.filter((t) => usual.includes(t.id) || beside.includes(t.id));
}
