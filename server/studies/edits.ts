/** Knows the log of edits of a study: every placement and change, undone and redone one by one. */
import { and, asc, desc, eq, gt } from 'drizzle-orm';
import { Database, database } from '../database/connection';
import { Told } from '../errors';
import { edits } from '../schema';
import { studyOf } from './studies';

export type Transaction = Parameters<Parameters<Database['transaction']>[0]>[0];

/** What can be edited, and how a state of it is put in place (null means: it is not there). */
type Put = (tx: Transaction, studyId: string, subjectId: string, state: unknown) => Promise<void>;
/** What has to be reckoned anew once a state has been put in place. */
type After = (teacherId: string, studyId: string, subjectId: string, state: unknown) => Promise<void>;
const subjects = new Map<string, { put: Put; after?: After }>();

export function registerSubject(name: string, put: Put, after?: After): void {
  subjects.set(name, { put, after });
}

export interface Edit {
  studyId: string;
  subject: string;
  subjectId: string;
  label: string;
  before: unknown;
  after: unknown;
}

/** Writes an edit into the log; what had been undone can then no longer be redone. */
export async function record(tx: Transaction, edit: Edit): Promise<void> {
  await tx.delete(edits).where(and(eq(edits.studyId, edit.studyId), eq(edits.undone, true))); // prettier-ignore
  await tx.insert(edits).values({ ...edit, at: new Date() });
}

export interface EditState {
  undo: string | null;
  redo: string | null;
}

/** What the next undo and redo would do, in words. */
export async function editState(teacherId: string, studyId: string): Promise<EditState> {
  await studyOf(teacherId, studyId);
  const db = database();
  const [undo] = await db.select({ label: edits.label }).from(edits).where(and(eq(edits.studyId, studyId), eq(edits.undone, false))).orderBy(desc(edits.id)).limit(1); // prettier-ignore
  const [redo] = await db.select({ label: edits.label }).from(edits).where(and(eq(edits.studyId, studyId), eq(edits.undone, true))).orderBy(asc(edits.id)).limit(1); // prettier-ignore
  return { undo: undo?.label ?? null, redo: redo?.label ?? null };
}

/** Takes back the last edit, or puts the last one taken back in place again. Says what it did. */
export async function step(teacherId: string, studyId: string, direction: 'undo' | 'redo'): Promise<string> {
  await studyOf(teacherId, studyId);
  const undone = direction === 'redo';
  const { edit, state } = await database().transaction(async (tx) => {
    const [edit] = await tx
      .select()
      .from(edits)
      .where(and(eq(edits.studyId, studyId), eq(edits.undone, undone), gt(edits.id, 0)))
      .orderBy(undone ? asc(edits.id) : desc(edits.id))
      .limit(1)
      .for('update');
    if (!edit) throw new Told(400, direction === 'undo' ? 'There is nothing to undo.' : 'There is nothing to redo.');
    const subject = subjects.get(edit.subject);
    if (!subject) throw new Told(400, 'This edit can no longer be undone.');
    const state = undone ? edit.after : edit.before;
    await subject.put(tx, studyId, edit.subjectId, state);
    await tx.update(edits).set({ undone: !undone }).where(eq(edits.id, edit.id));
    return { edit, state };
  });
  await subjects.get(edit.subject)?.after?.(teacherId, studyId, edit.subjectId, state);
  return edit.label;
}
