/**
 * Knows how a study, a class, a student and an account are deleted for good: rows, waiting work, the log's memory of them,
 * pictures nobody else uses and their bytes, in one transaction. Undo cannot serve, so the name has to be typed.
 */
import { typed } from '../../core/message';
import { and, eq, inArray, isNull, or, sql } from 'drizzle-orm';
import { changing, database, type Transaction } from '../database/connection';
import { sentence, notFound, UserError } from '../errors';
import { dropPictures } from '../pictures/dropping';
import {
  classes,
  editPictures,
  edits,
  kits,
  pictures,
  pieces,
  referencePictures,
  students,
  studies,
  studyClasses,
  user,
  works,
} from '../schema';
import { shownName } from '../../core/formats/rosterFile';
import { classOf, lockStudy, studentOf, studyOf } from '../accounts/ownership';

/** What would go, for the screen that asks. */
export interface Going {
  name: string;
  studies: number;
  works: number;
  pieces: number;
  students: number;
}

const NOTHING = { studies: 0, works: 0, pieces: 0, students: 0 };

async function count(rows: Promise<{ n: number }[]>): Promise<number> {
  return Number((await rows)[0]?.n ?? 0);
}
const n = sql<number>`count(*)`;

/** As a person types it: capitals and spaces at the ends do not matter. */
const typedAs = (name: string) => name.trim().normalize('NFC').toLowerCase();

function checkTyped(given: string, name: string): void {
  if (typedAs(given) !== typedAs(name)) throw new UserError(400, sentence('delete.type', { name: typed(name) }), 'name');
}

type PictureIds = { id: string | null }[];
const ids = (...lists: PictureIds[]): string[] => [...new Set(lists.flat().flatMap((r) => r.id ?? []))];

/** Pictures of whoever handed in: photographs, squared-up sheets, references, and what the log still holds of them. */
async function picturesOfStudents(tx: Transaction, studentIds: readonly string[]): Promise<string[]> {
  const listed = [...studentIds];
  const of = tx.select({ id: edits.id }).from(edits).where(inArray(edits.studentId, listed));
  return ids(
    await tx.select({ id: pieces.photoId }).from(pieces).where(inArray(pieces.studentId, listed)),
    await tx.select({ id: pieces.rectifiedId }).from(pieces).where(inArray(pieces.studentId, listed)),
    await tx.select({ id: referencePictures.pictureId }).from(referencePictures).where(inArray(referencePictures.studentId, listed)),
    await tx.selectDistinct({ id: editPictures.pictureId }).from(editPictures).where(inArray(editPictures.editId, of)),
  );
}

async function picturesOfStudy(tx: Transaction, studyId: string): Promise<string[]> {
  const of = tx.select({ id: edits.id }).from(edits).where(eq(edits.studyId, studyId));
  return ids(
    await tx.select({ id: works.pictureId }).from(works).where(eq(works.studyId, studyId)),
    await tx.select({ id: pieces.photoId }).from(pieces).where(eq(pieces.studyId, studyId)),
    await tx.select({ id: pieces.rectifiedId }).from(pieces).where(eq(pieces.studyId, studyId)),
    await tx.select({ id: referencePictures.pictureId }).from(referencePictures).where(eq(referencePictures.studyId, studyId)),
    await tx.selectDistinct({ id: editPictures.pictureId }).from(editPictures).where(inArray(editPictures.editId, of)),
  );
}

export async function studyGoing(teacherId: string, id: string): Promise<Going> {
  const db = database();
  const { title } = await studyOf(teacherId, id);
  return {
    ...NOTHING,
    name: title,
    works: await count(db.select({ n }).from(works).where(eq(works.studyId, id))),
    pieces: await count(db.select({ n }).from(pieces).where(eq(pieces.studyId, id))),
  };
}

export function removeStudy(teacherId: string, id: string, given: string): Promise<void> {
  return changing(async (tx) => {
    const { title } = await lockStudy(tx, teacherId, id);
    checkTyped(given, title);
    const pictureIds = await picturesOfStudy(tx, id);
    // The schema's keys take along works, pieces, jobs, landmarks, readings of both, notes and the log.
    await tx.delete(studies).where(eq(studies.id, id));
    await dropPictures(tx, pictureIds);
  });
}

/** Takes out of the log of classes every edit whose rows hold one of these ids, and with them the names. */
async function forgetIn(tx: Transaction, teacherId: string, ids: readonly string[]): Promise<void> {
  const held = ids.map((id) => sql`instr(${edits.changes}, ${id}) > 0`);
  await tx.delete(edits).where(and(eq(edits.teacherId, teacherId), isNull(edits.studyId), or(...held)));
}

/** Takes students away with all that is theirs; their studies are pictureIds meanwhile. */
async function dropStudents(tx: Transaction, teacherId: string, studentIds: readonly string[]): Promise<void> {
  if (!studentIds.length) return;
  const touched = await tx
    .selectDistinct({ id: pieces.studyId })
    .from(pieces)
    .where(inArray(pieces.studentId, [...studentIds]));
  for (const { id } of touched) await lockStudy(tx, teacherId, id);
  const pictureIds = await picturesOfStudents(tx, studentIds);
  await forgetIn(tx, teacherId, studentIds);
  await tx.delete(students).where(inArray(students.id, [...studentIds]));
  await dropPictures(tx, pictureIds);
}

export async function studentGoing(teacherId: string, id: string): Promise<Going> {
  const db = database();
  const student = await studentOf(teacherId, id);
  return { ...NOTHING, name: shownName(student), pieces: await count(db.select({ n }).from(pieces).where(eq(pieces.studentId, id))) };
}

export function removeStudent(teacherId: string, id: string, given: string): Promise<void> {
  return changing(async (tx) => {
    checkTyped(given, shownName(await studentOf(teacherId, id, tx)));
    await dropStudents(tx, teacherId, [id]);
  });
}

export async function classGoing(teacherId: string, id: string): Promise<Going> {
  const db = database();
  const { name } = await classOf(teacherId, id);
  const roster = db.select({ id: students.id }).from(students).where(eq(students.classId, id));
  return {
    ...NOTHING,
    name,
    studies:
      (await count(db.select({ n }).from(studies).where(eq(studies.classId, id)))) +
      (await count(db.select({ n }).from(studyClasses).where(eq(studyClasses.classId, id)))),
    students: await count(db.select({ n }).from(students).where(eq(students.classId, id))),
    pieces: await count(db.select({ n }).from(pieces).where(inArray(pieces.studentId, roster))),
  };
}

export function removeClass(teacherId: string, id: string, given: string): Promise<void> {
  return changing(async (tx) => {
    const { name } = await classOf(teacherId, id, tx);
    checkTyped(given, name);
    const roster = await tx.select({ id: students.id }).from(students).where(eq(students.classId, id)).for('update');
    await dropStudents(
      tx,
      teacherId,
      roster.map((s) => s.id),
    );
    await forgetIn(tx, teacherId, [id]);
    await tx.delete(classes).where(eq(classes.id, id));
  });
}

export async function accountGoing(teacherId: string): Promise<Going> {
  const db = database();
  const [account] = await db.select({ email: user.email }).from(user).where(eq(user.id, teacherId));
  if (!account) throw notFound('account');
  const mine = db.select({ id: studies.id }).from(studies).where(eq(studies.teacherId, teacherId));
  return {
    name: account.email,
    studies: await count(db.select({ n }).from(studies).where(eq(studies.teacherId, teacherId))),
    works: await count(db.select({ n }).from(works).where(inArray(works.studyId, mine))),
    pieces: await count(db.select({ n }).from(pieces).where(inArray(pieces.studyId, mine))),
    students: await count(
      db.select({ n }).from(students).innerJoin(classes, eq(classes.id, students.classId)).where(eq(classes.teacherId, teacherId)),
    ),
  };
}

export function removeAccount(teacherId: string, given: string): Promise<void> {
  return changing(async (tx) => {
    const [account] = await tx.select({ email: user.email }).from(user).where(eq(user.id, teacherId)).for('update');
    if (!account) throw notFound('account');
    checkTyped(given, account.email);
    // What uses pictures first, then the pictures, then the account with its sessions, classes, kits and settings.
    await tx.delete(studies).where(eq(studies.teacherId, teacherId));
    await tx.delete(kits).where(eq(kits.teacherId, teacherId));
    await tx.delete(classes).where(eq(classes.teacherId, teacherId));
    const pictureIds = await tx.select({ id: pictures.id }).from(pictures).where(eq(pictures.teacherId, teacherId));
    await dropPictures(tx, ids(pictureIds));
    await tx.delete(user).where(eq(user.id, teacherId));
  });
}
