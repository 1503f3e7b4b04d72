/** Knows studies: whose they are, what they are about, and how far each step has come. */
import { and, desc, eq, sql } from 'drizzle-orm';
import { database, newId } from '../database/connection';
import { notFound } from '../errors';
import { compareAgain } from '../pieces/asking';
import {
  classes,
  comparisons,
  landmarkSets,
  pieces,
  plans,
  referencePictures,
  rules,
  studies,
  students,
  works,
} from '../schema';

export type StudyRow = typeof studies.$inferSelect;

export interface StudyFields {
  title: string;
  master: string;
  kind: StudyRow['kind'];
  aim: StudyRow['aim'];
  medium: string;
  about: string;
  classId: string | null;
  paperWidthMm: number;
  paperHeightMm: number;
}

export async function studyOf(teacherId: string, id: string): Promise<StudyRow> {
  const [row] = await database().select().from(studies).where(and(eq(studies.id, id), eq(studies.teacherId, teacherId))); // prettier-ignore
  if (!row) throw notFound('This study');
  return row;
}

export interface StudySummary extends StudyRow {
  className: string | null;
  works: number;
  pieces: number;
  coverId: string | null;
}

export async function listStudies(teacherId: string): Promise<StudySummary[]> {
  const rows = await database()
    .select({
      study: studies,
      className: classes.name,
      works: sql<number>`(select count(*) from works w where w.study_id = ${studies.id})`,
      pieces: sql<number>`(select count(*) from pieces p where p.study_id = ${studies.id})`,
      coverId: sql<
        string | null
      >`(select w.picture_id from works w where w.study_id = ${studies.id} order by w.position limit 1)`,
    })
    .from(studies)
    .leftJoin(classes, eq(classes.id, studies.classId))
    .where(eq(studies.teacherId, teacherId))
    .orderBy(desc(studies.updatedAt));
  return rows.map((r) => ({
    ...r.study,
    className: r.className,
    works: Number(r.works),
    pieces: Number(r.pieces),
    coverId: r.coverId,
  }));
}

async function ownClass(teacherId: string, classId: string | null): Promise<void> {
  if (classId === null) return;
  const [row] = await database().select({ id: classes.id }).from(classes).where(and(eq(classes.id, classId), eq(classes.teacherId, teacherId))); // prettier-ignore
  if (!row) throw notFound('This class');
}

export async function createStudy(teacherId: string, fields: StudyFields): Promise<string> {
  await ownClass(teacherId, fields.classId);
  const id = newId();
  const now = new Date();
  await database().insert(studies).values({ ...fields, id, teacherId, createdAt: now, updatedAt: now }); // prettier-ignore
  return id;
}

export async function updateStudy(teacherId: string, id: string, fields: Partial<StudyFields>): Promise<void> {
  const before = await studyOf(teacherId, id);
  if (fields.classId !== undefined) await ownClass(teacherId, fields.classId);
  await database().update(studies).set({ ...fields, updatedAt: new Date() }).where(eq(studies.id, id)); // prettier-ignore
  // The aim decides what copies are held against.
  if (fields.aim !== undefined && fields.aim !== before.aim) await compareAgain(teacherId, id);
}

export async function removeStudy(teacherId: string, id: string): Promise<void> {
  await studyOf(teacherId, id);
  await database().delete(studies).where(eq(studies.id, id));
}

export type StepName = 'look' | 'proportion' | 'marks' | 'colour' | 'plan' | 'make' | 'pieces' | 'compare' | 'hanging';

/** Which steps have something to show for them; teachers jump, so nothing is ever barred. */
export async function railOf(teacherId: string, studyId: string): Promise<Record<StepName, boolean>> {
  await studyOf(teacherId, studyId);
  const db = database();
  const count = async (rows: Promise<{ n: number }[]>) => Number((await rows)[0]?.n ?? 0);
  const n = sql<number>`count(*)`;
  const [worksN, landmarksN, marksRules, colourRules, planN, references, piecesN, comparedN] = await Promise.all([
    count(db.select({ n }).from(works).where(eq(works.studyId, studyId))),
    count(db.select({ n }).from(landmarkSets).where(and(eq(landmarkSets.studyId, studyId), eq(landmarkSets.subject, 'work')))),
    count(db.select({ n }).from(rules).where(and(eq(rules.studyId, studyId), sql`(${rules.feature} like 'marks.%' or ${rules.feature} like 'edges.%')`))),
    count(db.select({ n }).from(rules).where(and(eq(rules.studyId, studyId), sql`(${rules.feature} like 'colour.%' or ${rules.feature} like 'value.%')`))),
    count(db.select({ n }).from(plans).where(eq(plans.studyId, studyId))),
    count(db.select({ n }).from(referencePictures).where(eq(referencePictures.studyId, studyId))),
    count(db.select({ n }).from(pieces).where(eq(pieces.studyId, studyId))),
    count(db.select({ n }).from(comparisons).innerJoin(pieces, eq(pieces.id, comparisons.pieceId)).where(eq(pieces.studyId, studyId))),
  ]); // prettier-ignore
  return {
    look: worksN > 0,
    proportion: landmarksN > 0,
    marks: marksRules > 0,
    colour: colourRules > 0,
    plan: planN > 0,
    make: references > 0,
    pieces: piecesN > 0,
    compare: comparedN > 0,
    hanging: comparedN > 2,
  };
}

export interface ClassWithStudents {
  id: string;
  name: string;
  school: string;
  students: { id: string; firstName: string; initial: string }[];
}

export async function listClasses(teacherId: string): Promise<ClassWithStudents[]> {
  const db = database();
  const rows = await db.select().from(classes).where(eq(classes.teacherId, teacherId)).orderBy(classes.name);
  return Promise.all(
    rows.map(async ({ id, name, school }) => ({
      id,
      name,
      school,
      students: await db
        .select({ id: students.id, firstName: students.firstName, initial: students.initial })
        .from(students)
        .where(eq(students.classId, id))
        .orderBy(students.position, students.firstName),
    })),
  );
}

/** Who hands in for a study, by the name shown; empty where one person studies alone. */
export async function rosterOf(teacherId: string, studyId: string): Promise<{ id: string; name: string }[]> {
  const study = await studyOf(teacherId, studyId);
  const own = (await listClasses(teacherId)).find((c) => c.id === study.classId);
  return (own?.students ?? []).map((s) => ({ id: s.id, name: `${s.firstName} ${s.initial}`.trim() }));
}

/** A new class with its students, given as "First name I" a line. */
export async function createClass(
  teacherId: string,
  name: string,
  school: string,
  roster: { firstName: string; initial: string }[],
): Promise<string> {
  const id = newId();
  await database().transaction(async (tx) => {
    await tx.insert(classes).values({ id, teacherId, name, school, createdAt: new Date() });
    if (roster.length)
      await tx.insert(students).values(roster.map((s, position) => ({ ...s, id: newId(), classId: id, position })));
  });
  return id;
}
