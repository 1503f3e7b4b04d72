/** Knows the pictures students draw from, how far each part of one follows the manner, and its ticked-off rules. */
import { and, asc, eq } from 'drizzle-orm';
import { database, newId } from '../database/connection';
import { conflict, notFound, Told } from '../errors';
import { pictureOf } from '../pictures/store';
import { takeInPicture } from '../pictures/takeIn';
import { landmarkSets, referenceChecks, referencePictures, rules, students, studies } from '../schema';
import { loggedSubject } from './bundles';
import { landmarksOn } from './landmarkRows';
import { studyOf } from './studies';

type ReferenceRow = typeof referencePictures.$inferSelect;

const MOST_REFERENCES = 80;

export async function referenceOf(teacherId: string, id: string): Promise<ReferenceRow> {
  const [row] = await database()
    .select({ reference: referencePictures })
    .from(referencePictures)
    .innerJoin(studies, eq(studies.id, referencePictures.studyId))
    .where(and(eq(referencePictures.id, id), eq(studies.teacherId, teacherId)));
  if (!row) throw notFound('This reference');
  return row.reference;
}

export interface ReferenceFields {
  title: string;
  credit: string;
  studentId: string | null;
  strength: number;
  parts: Record<string, number>;
}

async function ownStudent(teacherId: string, studyId: string, studentId: string | null): Promise<void> {
  if (studentId === null) return;
  const study = await studyOf(teacherId, studyId);
  const [row] = await database().select({ classId: students.classId }).from(students).where(eq(students.id, studentId)); // prettier-ignore
  if (!row || row.classId !== study.classId) throw notFound('This student');
}

export async function addReference(
  teacherId: string,
  studyId: string,
  bytes: Buffer,
  name: string,
  fields: Partial<ReferenceFields>,
): Promise<string> {
  await studyOf(teacherId, studyId);
  await ownStudent(teacherId, studyId, fields.studentId ?? null);
  const db = database();
  const there = await db.select({ id: referencePictures.id }).from(referencePictures).where(eq(referencePictures.studyId, studyId)); // prettier-ignore
  if (there.length >= MOST_REFERENCES)
    throw new Told(400, `A study holds at most ${MOST_REFERENCES} references. Remove one first.`, 'picture');
  const { uprightId } = await takeInPicture(teacherId, bytes, name);
  const id = newId();
  await db.insert(referencePictures).values({
    id,
    studyId,
    studentId: fields.studentId ?? null,
    pictureId: uprightId,
    title: (fields.title?.trim() || name.replace(/\.[^.]+$/, '')).slice(0, 120),
    credit: fields.credit?.trim() ?? '',
    strength: 1,
    parts: {},
    createdAt: new Date(),
  });
  return id;
}

const logged = loggedSubject('reference', [
  { table: referencePictures, of: (id) => eq(referencePictures.id, id) },
  { table: referenceChecks, of: (id) => eq(referenceChecks.referenceId, id) },
  { table: landmarkSets, of: (id) => landmarksOn('reference', id) },
]);

/** Changes a reference; `version` is the one the screen showed. Gives the new version. */
export async function changeReference(
  teacherId: string,
  id: string,
  version: number,
  fields: Partial<ReferenceFields>,
): Promise<number> {
  const row = await referenceOf(teacherId, id);
  if (fields.studentId !== undefined) await ownStudent(teacherId, row.studyId, fields.studentId);
  const bent = fields.strength !== undefined || fields.parts !== undefined;
  await logged.change(row.studyId, id, `${bent ? 'how far “' : 'details of “'}${row.title}”${bent ? ' follows the manner' : ''}`, async (tx) => {
    const [result] = await tx.update(referencePictures).set({ ...fields, version: version + 1 }).where(and(eq(referencePictures.id, id), eq(referencePictures.version, version)));
    if (result.affectedRows !== 1) throw conflict('This reference');
  }); // prettier-ignore
  return version + 1;
}

export async function removeReference(teacherId: string, id: string): Promise<void> {
  const row = await referenceOf(teacherId, id);
  await logged.remove(row.studyId, id, `removing “${row.title}”`);
}

export async function tickRule(teacherId: string, id: string, ruleId: string, done: boolean): Promise<void> {
  const row = await referenceOf(teacherId, id);
  const [rule] = await database().select({ studyId: rules.studyId }).from(rules).where(eq(rules.id, ruleId));
  if (rule?.studyId !== row.studyId) throw notFound('This rule');
  await logged.change(row.studyId, id, `a rule ticked for “${row.title}”`, async (tx) => {
    await tx.insert(referenceChecks).values({ referenceId: id, ruleId, done }).onDuplicateKeyUpdate({ set: { done } });
  });
}

export interface ReferenceView extends ReferenceRow {
  student: string | null;
  pictureWidth: number;
  pictureHeight: number;
  done: string[];
}

export async function listReferences(teacherId: string, studyId: string): Promise<ReferenceView[]> {
  await studyOf(teacherId, studyId);
  const db = database();
  const rows = await db
    .select({ reference: referencePictures, firstName: students.firstName, initial: students.initial })
    .from(referencePictures)
    .leftJoin(students, eq(students.id, referencePictures.studentId))
    .where(eq(referencePictures.studyId, studyId))
    .orderBy(asc(referencePictures.createdAt));
  return Promise.all(
    rows.map(async ({ reference, firstName, initial }) => {
      const picture = await pictureOf(db, teacherId, reference.pictureId);
      const ticks = await db.select({ ruleId: referenceChecks.ruleId }).from(referenceChecks).where(and(eq(referenceChecks.referenceId, reference.id), eq(referenceChecks.done, true)));
      return {
        ...reference,
        student: firstName === null ? null : `${firstName} ${initial ?? ''}`.trim(),
        pictureWidth: picture.width,
        pictureHeight: picture.height,
        done: ticks.map((t) => t.ruleId),
      };
    }),
  ); // prettier-ignore
}
