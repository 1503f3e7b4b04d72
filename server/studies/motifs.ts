/** Knows the inventory of a study: motifs and features, and how each stands in every work. */
import { and, asc, eq } from 'drizzle-orm';
import { message, typed } from '../../core/message';
import type { Seen } from '../../core/style/inventory';
import { inStudy } from '../accounts/ownership';
import { database, newId, type Querying } from '../database/connection';
import { unlessTaken } from '../database/failures';
import { logged, loggedRemoval } from '../edits/log';
import { conflict, notFound, sentence, UserError } from '../errors';
import { motifs, works } from '../schema';

export interface MotifView {
  id: string;
  name: string;
  seen: Record<string, Seen>;
  version: number;
}

const MOST_MOTIFS = 40;

export const motifsOf = (studyId: string): Promise<MotifView[]> =>
  database()
    .select({ id: motifs.id, name: motifs.name, seen: motifs.seen, version: motifs.version })
    .from(motifs)
    .where(eq(motifs.studyId, studyId))
    .orderBy(asc(motifs.position), asc(motifs.name));

const about = (teacherId: string, studyId: string, id: string, label: 'motif' | 'removeMotif', name: string) => ({
  teacherId,
  studyId,
  subject: 'motif',
  subjectId: id,
  label: message(`edits.${label}`, { name: typed(name) }),
});

const named = <T>(name: string, work: () => Promise<T>): Promise<T> =>
  unlessTaken(work, () => new UserError(409, sentence('sameMotif', { name: typed(name) }), 'name'));

async function motifOf(studyId: string, id: string, tx: Querying) {
  const [row] = await tx
    .select()
    .from(motifs)
    .where(and(eq(motifs.id, id), eq(motifs.studyId, studyId)));
  if (!row) throw notFound('motif');
  return row;
}

export function addMotif(teacherId: string, studyId: string, name: string): Promise<string> {
  const id = newId();
  return inStudy(teacherId, studyId, async (tx) => {
    const all = await tx.select({ position: motifs.position }).from(motifs).where(eq(motifs.studyId, studyId));
    if (all.length >= MOST_MOTIFS) throw new UserError(400, sentence('most.motifs', { n: MOST_MOTIFS }));
    const position = 1 + all.reduce((m, r) => Math.max(m, r.position), 0);
    await named(name, () =>
      logged(tx, about(teacherId, studyId, id, 'motif', name), [{ table: motifs, where: eq(motifs.id, id) }], () =>
        tx.insert(motifs).values({ id, studyId, name, seen: {}, position }),
      ),
    );
    return id;
  });
}

/** Another name, or how it stands in works: those of this study alone are kept. */
export function changeMotif(
  teacherId: string,
  studyId: string,
  id: string,
  version: number,
  { name, seen }: { name?: string; seen?: Record<string, Seen> },
): Promise<number> {
  return inStudy(teacherId, studyId, async (tx) => {
    const before = await motifOf(studyId, id, tx);
    if (before.version !== version) throw conflict('motif');
    const own = new Set((await tx.select({ id: works.id }).from(works).where(eq(works.studyId, studyId))).map((w) => w.id));
    const kept = seen && Object.fromEntries(Object.entries(seen).filter(([work]) => own.has(work)));
    const where = eq(motifs.id, id);
    await named(name ?? before.name, () =>
      logged(tx, about(teacherId, studyId, id, 'motif', name ?? before.name), [{ table: motifs, where }], () =>
        tx
          .update(motifs)
          .set({ ...(name !== undefined && { name }), ...(kept && { seen: kept }), version: version + 1 })
          .where(where),
      ),
    );
    return version + 1;
  });
}

export function removeMotif(teacherId: string, studyId: string, id: string): Promise<void> {
  return inStudy(teacherId, studyId, async (tx) => {
    const { name } = await motifOf(studyId, id, tx);
    await loggedRemoval(tx, about(teacherId, studyId, id, 'removeMotif', name), { table: motifs, where: eq(motifs.id, id) });
  });
}
