/** Knows studies: what they are about, how far each step has come, and what a page of one begins with. */
import { message, several } from '../../core/message';
import { and, asc, desc, eq, sql } from 'drizzle-orm';
import { changing, database, newId, type Transaction } from '../database/connection';
import { logged } from '../edits/log';
import { conflict, notFound } from '../errors';
import { classes, comparisons, landmarkSets, pieces, plans, referencePictures, rules, studies, studyClasses, works } from '../schema';
import { classOf, inStudy, StudyRow } from '../accounts/ownership';

export interface StudyFields {
  title: string;
  master: string;
  kind: StudyRow['kind'];
  aim: StudyRow['aim'];
  /** All follow one exemplar. */
  led?: boolean;
  medium: string;
  about: string;
  classId: string | null;
  paperWidthMm: number;
  paperHeightMm: number;
  /** What else is used beside the medium. */
  otherMedia?: string[] | null;
  /** Classes that take part beside its own. */
  otherClasses?: string[];
}

type StudyChange = Partial<StudyFields> & { archived?: boolean; bodyRulers?: StudyRow['bodyRulers'] };

interface StudySummary extends StudyRow {
  className: string | null;
  works: number;
  pieces: number;
  coverId: string | null;
}

export async function listStudies(teacherId: string): Promise<StudySummary[]> {
  const rows = await database()
    .select({
      study: studies,
      className: sql<
        string | null
      >`nullif(concat_ws(', ', ${classes.name}, (select group_concat(c.name order by c.name separator ', ') from ${studyClasses} s join classes c on c.id = s.class_id where s.study_id = ${studies.id})), '')`,
      works: sql<number>`(select count(*) from works w where w.study_id = ${studies.id})`,
      pieces: sql<number>`(select count(*) from pieces p where p.study_id = ${studies.id})`,
      coverId: sql<string | null>`(select w.picture_id from works w where w.study_id = ${studies.id} order by w.position limit 1)`,
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

/** The names of a study's classes, its own first; the study must be the caller's own. */
export async function classNamesOf(studyId: string): Promise<string[]> {
  const db = database();
  const own = db
    .select({ name: classes.name })
    .from(classes)
    .innerJoin(studies, eq(studies.classId, classes.id))
    .where(eq(studies.id, studyId));
  const further = db
    .select({ name: classes.name })
    .from(classes)
    .innerJoin(studyClasses, eq(studyClasses.classId, classes.id))
    .where(eq(studyClasses.studyId, studyId))
    .orderBy(asc(classes.name));
  return [...new Set([...(await own), ...(await further)].map((c) => c.name))];
}

/** The classes that take part in a study beside its own. */
export async function otherClassesOf(studyId: string): Promise<string[]> {
  const rows = await database().select({ classId: studyClasses.classId }).from(studyClasses).where(eq(studyClasses.studyId, studyId));
  return rows.map((r) => r.classId);
}

async function putClasses(tx: Transaction, teacherId: string, studyId: string, classIds: readonly string[]): Promise<void> {
  for (const classId of classIds) await classOf(teacherId, classId, tx);
  await tx.delete(studyClasses).where(eq(studyClasses.studyId, studyId));
  if (classIds.length) await tx.insert(studyClasses).values([...new Set(classIds)].map((classId) => ({ studyId, classId })));
}

export async function createStudy(teacherId: string, { otherClasses = [], ...fields }: StudyFields): Promise<string> {
  if (fields.classId !== null) await classOf(teacherId, fields.classId);
  const id = newId();
  const now = new Date();
  await changing(async (tx) => {
    await tx.insert(studies).values({ ...fields, id, teacherId, createdAt: now, updatedAt: now });
    await putClasses(tx, teacherId, id, otherClasses);
  });
  return id;
}

/** Changes a study; `version` is the one the screen showed. Gives the new version. */
export function updateStudy(
  teacherId: string,
  id: string,
  version: number,
  { archived, otherClasses, ...fields }: StudyChange,
): Promise<number> {
  return inStudy(teacherId, id, async (tx, before) => {
    if (before.version !== version) throw conflict('study');
    if (typeof fields.classId === 'string') await classOf(teacherId, fields.classId, tx);
    const archivedAt = archived === undefined ? {} : { archivedAt: archived ? new Date() : null };
    const set = { ...fields, ...archivedAt };
    const changed = [...(Object.keys(set) as (keyof typeof set)[]), ...(otherClasses ? (['otherClasses'] as const) : [])];
    const what = several(changed.map((f) => message(`edits.field.${f}`)));
    const about = { teacherId, studyId: id, subject: 'study', subjectId: id, label: message('edits.study', { fields: what }) };
    // The aim decides what copies are held against; that follows from the change itself.
    const scopes = [
      { table: studies, where: eq(studies.id, id) },
      { table: studyClasses, where: eq(studyClasses.studyId, id) },
    ];
    await logged(tx, about, scopes, async () => {
      await tx
        .update(studies)
        .set({ ...set, version: version + 1 })
        .where(eq(studies.id, id));
      if (otherClasses) await putClasses(tx, teacherId, id, otherClasses);
    });
    return version + 1;
  });
}

type StepName = 'look' | 'proportion' | 'marks' | 'colour' | 'plan' | 'make' | 'pieces' | 'compare' | 'hanging';

interface Bench {
  study: StudyRow;
  /** Which steps have something to show for them; teachers jump, so nothing is ever barred. */
  rail: Record<StepName, boolean>;
}

/** What every page of a study begins with, in one query. */
export async function benchOf(teacherId: string, studyId: string): Promise<Bench> {
  const count = (what: ReturnType<typeof sql>) => sql<number>`(select count(*) from ${what})`;
  const [row] = await database()
    .select({
      study: studies,
      works: count(sql`${works} where ${works.studyId} = ${studies.id}`),
      landmarks: count(sql`${landmarkSets} where ${landmarkSets.studyId} = ${studies.id} and ${landmarkSets.workId} is not null`),
      marks: count(
        sql`${rules} where ${rules.studyId} = ${studies.id} and (${rules.feature} like 'marks.%' or ${rules.feature} like 'edges.%')`,
      ),
      colour: count(
        sql`${rules} where ${rules.studyId} = ${studies.id} and (${rules.feature} like 'colour.%' or ${rules.feature} like 'value.%')`,
      ),
      plan: count(sql`${plans} where ${plans.studyId} = ${studies.id}`),
      make: count(sql`${referencePictures} where ${referencePictures.studyId} = ${studies.id} and ${referencePictures.workId} is null`),
      pieces: count(sql`${pieces} where ${pieces.studyId} = ${studies.id}`),
      compared: count(sql`${comparisons} join ${pieces} on ${pieces.id} = ${comparisons.pieceId} where ${pieces.studyId} = ${studies.id}`),
    })
    .from(studies)
    .where(and(eq(studies.id, studyId), eq(studies.teacherId, teacherId)));
  if (!row) throw notFound('study');
  const some = (n: number, least = 1) => Number(n) >= least;
  const rail = {
    look: some(row.works),
    proportion: some(row.landmarks),
    marks: some(row.marks),
    colour: some(row.colour),
    plan: some(row.plan),
    make: some(row.make),
    pieces: some(row.pieces),
    compare: some(row.compared),
    hanging: some(row.compared, 3),
  };
  return { study: row.study, rail };
}
