/** Knows a teacher's log of edits, one for each study and one for what no study owns: every placement and change, undone and redone one by one. */
import { Message, message } from '../../core/message';
import { and, asc, desc, eq, inArray, isNull, lt, or, sql } from 'drizzle-orm';
import { database, type Querying, type Transaction } from '../database/connection';
import { sentence, UserError } from '../errors';
import { dropPictures } from '../pictures/dropping';
import { edits, editPictures } from '../schema';
import type { RowChange } from '../schema/edits';
import { inStudy, onDesk, studyOf } from '../accounts/ownership';
import { reckonAnew } from './reckoning';
import { Clash, difference, picturesIn, putChanges, readRows, Scope } from './rows';

/** What can be taken back: so many edits of a study, for so long, whichever ends first. */
const KEPT_EDITS = 200;
export const KEPT_DAYS = 30;

/** Which log: that of a study, or where it is null that of the cupboard and the classes. */
export interface Log {
  teacherId: string;
  studyId: string | null;
}

const isOf = ({ teacherId, studyId }: Log) =>
  and(eq(edits.teacherId, teacherId), studyId === null ? isNull(edits.studyId) : eq(edits.studyId, studyId));

interface About extends Log {
  subject: string;
  subjectId: string;
  /** Null leaves the change out of the log: it cannot be undone. */
  label: Message | null;
  /** Whose piece or reference it is about. */
  studentId?: string | null;
}

/** Deletes edits for good, and the pictures that only they still pictureIds. */
async function forget(tx: Transaction, ids: readonly number[]): Promise<void> {
  if (!ids.length) return;
  const pictureIds = await tx
    .selectDistinct({ id: editPictures.pictureId })
    .from(editPictures)
    .where(inArray(editPictures.editId, [...ids]));
  await tx.delete(edits).where(inArray(edits.id, [...ids]));
  await dropPictures(
    tx,
    pictureIds.map((h) => h.id),
  );
}

const oldest = (now: Date) => new Date(now.getTime() - KEPT_DAYS * 86_400_000);

/** Forgets what can no longer be taken back: beyond the newest of each log, and what is too old. */
export async function forgetOld(tx: Transaction, log: Log, now = new Date()): Promise<number> {
  const [limit] = await tx.select({ id: edits.id }).from(edits).where(isOf(log)).orderBy(desc(edits.id)).limit(1).offset(KEPT_EDITS);
  const over = await tx
    .select({ id: edits.id })
    .from(edits)
    .where(and(isOf(log), or(lt(edits.at, oldest(now)), limit ? sql`${edits.id} <= ${limit.id}` : undefined)));
  await forget(
    tx,
    over.map((e) => e.id),
  );
  return over.length;
}

/** Logs that hold something too old. */
export async function logsToForget(now = new Date()): Promise<Log[]> {
  return database()
    .selectDistinct({ teacherId: edits.teacherId, studyId: edits.studyId })
    .from(edits)
    .where(lt(edits.at, oldest(now)));
}

/** Writes an edit into the log; what had been undone can then no longer be redone. */
async function record(tx: Transaction, about: About & { label: Message }, changes: RowChange[]): Promise<void> {
  const { teacherId, studyId, subject, subjectId, label } = about;
  const redoable = await tx
    .select({ id: edits.id })
    .from(edits)
    .where(and(isOf(about), eq(edits.undone, true)));
  const [{ insertId }] = await tx
    .insert(edits)
    .values({ teacherId, studyId, subject, subjectId, label: [label], changes, studentId: about.studentId ?? null, at: new Date() });
  const pictureIds = picturesIn(changes);
  if (pictureIds.length) await tx.insert(editPictures).values(pictureIds.map((pictureId) => ({ editId: insertId, pictureId })));
  // Only now: what was undone may hold the same pictures as this edit.
  await forget(
    tx,
    redoable.map((e) => e.id),
  );
  await forgetOld(tx, about);
}

/** Nothing that is measured hangs on the cupboard or on who is in a class. */
async function reckon(tx: Transaction, { teacherId, studyId }: Log, changes: RowChange[]): Promise<void> {
  if (studyId !== null) await reckonAnew(tx, { teacherId, studyId }, changes);
}

const alone = <T>({ teacherId, studyId }: Log, work: (tx: Transaction) => Promise<T>): Promise<T> =>
  studyId === null ? onDesk(teacherId, work) : inStudy(teacherId, studyId, work);

/** Makes a change of the rows in `scopes`, asks for whatever it puts out of date, and writes it into the log. */
export async function logged<T>(tx: Transaction, about: About, scopes: readonly Scope[], work: () => Promise<T>): Promise<T> {
  const before = await readRows(tx, scopes);
  const made = await work();
  const changes = difference(before, await readRows(tx, scopes));
  if (!changes.length) return made;
  await reckon(tx, about, changes);
  if (about.label !== null) await record(tx, { ...about, label: about.label }, changes);
  return made;
}

/** Takes one thing away with everything the schema hangs off it; undo brings all of it back. */
export async function loggedRemoval(tx: Transaction, about: About, { table, where }: Scope): Promise<void> {
  await logged(tx, about, [{ table, where, tree: true }], () => tx.delete(table).where(where));
}

export interface EditState {
  undo: Message | null;
  redo: Message | null;
}

/** The edit that the next step would take, without its rows, which can be long. */
const next = (db: Querying, log: Log, direction: 'undo' | 'redo') =>
  db
    .select({ id: edits.id, label: edits.label })
    .from(edits)
    .where(and(isOf(log), eq(edits.undone, direction === 'redo'), eq(edits.passed, false)))
    .orderBy(direction === 'redo' ? asc(edits.id) : desc(edits.id))
    .limit(1);

/** What the next undo and redo would do, in words. */
export async function editState(teacherId: string, studyId: string | null): Promise<EditState> {
  if (studyId !== null) await studyOf(teacherId, studyId);
  const label = async (direction: 'undo' | 'redo') => (await next(database(), { teacherId, studyId }, direction))[0]?.label[0] ?? null;
  return { undo: await label('undo'), redo: await label('redo') };
}

export interface Stepped {
  label: Message;
  /** Why nothing was changed, where something stood in the way; the edit is then passed over. */
  problem: Message | null;
}

const problemWith = (direction: 'undo' | 'redo', label: Message, { reason }: Clash): Message =>
  sentence(`clash.${direction}.${reason}`, { label });

/** Takes back the last edit, or puts the last one taken back in place again. Says what it did. */
export function step(teacherId: string, studyId: string | null, direction: 'undo' | 'redo'): Promise<Stepped> {
  const log = { teacherId, studyId };
  return alone(log, async (tx) => {
    const [edit] = await next(tx, log, direction);
    if (!edit) throw new UserError(400, sentence(direction === 'undo' ? 'edits.noUndo' : 'edits.noRedo'));
    const label = edit.label[0] ?? message('edits.points');
    const [{ changes }] = await tx.select({ changes: edits.changes }).from(edits).where(eq(edits.id, edit.id));
    await tx.execute(sql`savepoint before_step`);
    try {
      await putChanges(tx, changes, direction === 'undo' ? 'before' : 'after');
    } catch (error) {
      if (!(error instanceof Clash)) throw error;
      await tx.execute(sql`rollback to savepoint before_step`);
      await tx.update(edits).set({ passed: true }).where(eq(edits.id, edit.id));
      return { label, problem: problemWith(direction, label, error) };
    }
    await reckon(tx, log, changes);
    await tx
      .update(edits)
      .set({ undone: direction === 'undo' })
      .where(eq(edits.id, edit.id));
    return { label, problem: null };
  });
}
