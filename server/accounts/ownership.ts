/** Knows whose a thing is: every study, and all that hangs off one, belongs to one teacher and exists for no other. */
import { and, eq, SQL, sql } from 'drizzle-orm';
import type { MySqlColumn, MySqlTable } from 'drizzle-orm/mysql-core';
import { changing, database, type Querying, type Transaction } from '../database/connection';
import { notFound } from '../errors';
import { classes, pieces, referencePictures, rules, students, studies, studyClasses, user, works } from '../schema';

export type StudyRow = typeof studies.$inferSelect;
export type WorkRow = typeof works.$inferSelect;
export type PieceRow = typeof pieces.$inferSelect;
export type ReferenceRow = typeof referencePictures.$inferSelect;
export type RuleRow = typeof rules.$inferSelect;

export async function studyOf(teacherId: string, id: string, db: Querying = database()): Promise<StudyRow> {
  const [row] = await db
    .select()
    .from(studies)
    .where(and(eq(studies.id, id), eq(studies.teacherId, teacherId)));
  if (!row) throw notFound('study');
  return row;
}

/** A row of a table that hangs off a study of this teacher's. */
const ofStudy =
  <Row extends { studyId: string }>(
    table: MySqlTable & { id: MySqlColumn; studyId: MySqlColumn },
    what: 'work' | 'piece' | 'reference' | 'rule',
  ) =>
  async (teacherId: string, id: string, db: Querying = database()): Promise<Row> => {
    const [found] = await db
      .select({ row: table })
      .from(table)
      .innerJoin(studies, eq(studies.id, table.studyId))
      .where(and(eq(table.id, id), eq(studies.teacherId, teacherId)));
    if (!found) throw notFound(what);
    return found.row as Row;
  };

export const workOf = ofStudy<WorkRow>(works, 'work');
export const pieceOf = ofStudy<PieceRow>(pieces, 'piece');
export const referenceOf = ofStudy<ReferenceRow>(referencePictures, 'reference');
export const ruleOf = ofStudy<RuleRow>(rules, 'rule');

export async function classOf(teacherId: string, id: string, db: Querying = database()) {
  const [row] = await db
    .select()
    .from(classes)
    .where(and(eq(classes.id, id), eq(classes.teacherId, teacherId)));
  if (!row) throw notFound('class');
  return row;
}

export async function studentOf(teacherId: string, id: string, db: Querying = database()) {
  const [row] = await db
    .select({ student: students, className: classes.name })
    .from(students)
    .innerJoin(classes, eq(classes.id, students.classId))
    .where(and(eq(students.id, id), eq(classes.teacherId, teacherId)));
  if (!row) throw notFound('student');
  return { ...row.student, className: row.className };
}

/** Whether a student is in one of a study's classes: its own or a further one. */
export const inItsClasses = (studyId: string): SQL =>
  sql`${students.classId} in (select ${studies.classId} from ${studies} where ${studies.id} = ${studyId} union select ${studyClasses.classId} from ${studyClasses} where ${studyClasses.studyId} = ${studyId})`;

/** Somebody who may hand in for a study: a student of one of its classes, or no one named. */
export async function ownStudent(db: Querying, study: StudyRow, studentId: string | null): Promise<void> {
  if (studentId === null) return;
  const [row] = await db
    .select({ id: students.id })
    .from(students)
    .where(and(eq(students.id, studentId), inItsClasses(study.id)));
  if (!row) throw notFound('student');
}

/** Holds a study for the rest of the transaction: changes within one study come one after another. */
export async function lockStudy(tx: Transaction, teacherId: string, studyId: string): Promise<StudyRow> {
  // A write and no mere lock: on a cluster locks end at the node, and only rows written by both tell of a clash.
  const [result] = await tx
    .update(studies)
    .set({ updatedAt: new Date() })
    .where(and(eq(studies.id, studyId), eq(studies.teacherId, teacherId)));
  if (result.affectedRows !== 1) throw notFound('study');
  return studyOf(teacherId, studyId, tx);
}

/** A change within a study: whole or not at all, alone in that study while it lasts. */
export const inStudy = <T>(teacherId: string, studyId: string, work: (tx: Transaction, study: StudyRow) => Promise<T>): Promise<T> =>
  changing(async (tx) => work(tx, await lockStudy(tx, teacherId, studyId)));

/** A change of what no study owns, the cupboard or a class: whole or not at all, alone among this teacher's while it lasts. */
export const onDesk = <T>(teacherId: string, work: (tx: Transaction) => Promise<T>): Promise<T> =>
  changing(async (tx) => {
    // A write, as for a study.
    const [result] = await tx.update(user).set({ updatedAt: new Date() }).where(eq(user.id, teacherId));
    if (result.affectedRows !== 1) throw notFound('account');
    return work(tx);
  });

/** A change of a thing that hangs off a study: alone in that study, with the thing's row as it is then. */
export async function within<Row extends { studyId: string }, T>(
  rowOf: (teacherId: string, id: string, db?: Querying) => Promise<Row>,
  teacherId: string,
  id: string,
  work: (tx: Transaction, row: Row) => Promise<T>,
): Promise<T> {
  const { studyId } = await rowOf(teacherId, id);
  return inStudy(teacherId, studyId, async (tx) => work(tx, await rowOf(teacherId, id, tx)));
}
