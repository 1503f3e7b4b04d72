/** Knows the pictures students draw from, how far each part of one follows the manner, and its ticked-off rules. */
import { Message, message, typed } from '../../core/message';
import { and, asc, eq, isNotNull, isNull, ne, sql } from 'drizzle-orm';
import { startingStrength } from '../../core/proportion/manner';
import { changing, database, newId, Transaction } from '../database/connection';
import { logged, loggedRemoval } from '../edits/log';
import { sentence, conflict, notFound, UserError } from '../errors';
import { listed, PlacedSet, setsOn } from './landmarkRows';
import { takeInPicture } from '../pictures/takeIn';
import { landmarkSets, pictures, referenceChecks, referencePictures, students, works } from '../schema';
import { shownName } from '../../core/formats/rosterFile';
import { lockStudy, ownStudent, referenceOf, ReferenceRow, ruleOf, studyOf, within, workOf } from '../accounts/ownership';

const MOST_REFERENCES = 80;

export interface ReferenceFields {
  title: string;
  credit: string;
  studentId: string | null;
  /** The work it stood model for. */
  workId: string | null;
  strength: number;
  parts: Record<string, number>;
}

export async function addReference(
  teacherId: string,
  studyId: string,
  bytes: Buffer,
  name: string,
  fields: Partial<ReferenceFields>,
): Promise<string> {
  await ownStudent(database(), await studyOf(teacherId, studyId), fields.studentId ?? null);
  const workId = fields.workId ?? null;
  if (workId !== null && (await workOf(teacherId, workId)).studyId !== studyId) throw notFound('work');
  const taken = await takeInPicture(teacherId, bytes, name);
  const id = newId();
  await changing(async (tx) => {
    const pictureId = await taken.store(tx);
    const study = await lockStudy(tx, teacherId, studyId);
    await ownStudent(tx, study, fields.studentId ?? null);
    const [{ n }] = await tx
      .select({ n: sql<number>`count(*)` })
      .from(referencePictures)
      .where(eq(referencePictures.studyId, studyId));
    if (Number(n) >= MOST_REFERENCES) throw new UserError(400, sentence('most.references', { n: MOST_REFERENCES }), 'picture');
    await tx.insert(referencePictures).values({
      id,
      studyId,
      studentId: fields.studentId ?? null,
      workId,
      pictureId,
      title: (fields.title?.trim() || name.replace(/\.[^.]+$/, '')).slice(0, 120),
      credit: fields.credit?.trim() ?? '',
      strength: startingStrength(await worksWithPoints(tx, studyId)),
      parts: {},
      createdAt: new Date(),
    });
  });
  return id;
}

/** How many works of a study have the points of the template that most of them have; free points bend nothing. */
async function worksWithPoints(tx: Transaction, studyId: string): Promise<number> {
  const counted = await tx
    .select({ n: sql<number>`count(distinct ${landmarkSets.workId})` })
    .from(landmarkSets)
    .innerJoin(works, eq(works.id, landmarkSets.workId))
    .where(and(eq(works.studyId, studyId), eq(works.foil, false), ne(landmarkSets.template, 'free')))
    .groupBy(landmarkSets.template);
  return Math.max(0, ...counted.map(({ n }) => Number(n)));
}

const about = (teacherId: string, { id, studyId, studentId }: ReferenceRow, label: Message) => ({
  teacherId,
  studyId,
  studentId,
  subject: 'reference',
  subjectId: id,
  label,
});
const itself = (id: string) => ({ table: referencePictures, where: eq(referencePictures.id, id) });

/** Changes a reference; `version` is the one the screen showed. Gives the new version. */
export function changeReference(teacherId: string, id: string, version: number, fields: Partial<ReferenceFields>): Promise<number> {
  return within(referenceOf, teacherId, id, async (tx, row) => {
    if (row.version !== version) throw conflict('reference');
    if (fields.studentId) await ownStudent(tx, await studyOf(teacherId, row.studyId, tx), fields.studentId);
    const bent = fields.strength !== undefined || fields.parts !== undefined;
    const label = message(bent ? 'edits.bend' : 'edits.reference', { title: typed(row.title) });
    // What is written down goes with the student it comes to belong to.
    const owner = { ...row, studentId: fields.studentId ?? row.studentId };
    await logged(tx, about(teacherId, owner, label), [itself(id)], () =>
      tx
        .update(referencePictures)
        .set({ ...fields, version: version + 1 })
        .where(eq(referencePictures.id, id)),
    );
    return version + 1;
  });
}

export const removeReference = (teacherId: string, id: string): Promise<void> =>
  within(referenceOf, teacherId, id, (tx, row) =>
    loggedRemoval(tx, about(teacherId, row, message('edits.remove', { title: typed(row.title) })), itself(id)),
  );

export function tickRule(teacherId: string, id: string, ruleId: string, done: boolean): Promise<void> {
  return within(referenceOf, teacherId, id, async (tx, row) => {
    if ((await ruleOf(teacherId, ruleId, tx)).studyId !== row.studyId) throw notFound('rule');
    const where = and(eq(referenceChecks.referenceId, id), eq(referenceChecks.ruleId, ruleId))!;
    await logged(tx, about(teacherId, row, message('edits.tick', { title: typed(row.title) })), [{ table: referenceChecks, where }], () =>
      tx.insert(referenceChecks).values({ referenceId: id, ruleId, done }).onDuplicateKeyUpdate({ set: { done } }),
    );
  });
}

export interface ReferenceView extends ReferenceRow {
  student: string | null;
  pictureWidth: number;
  pictureHeight: number;
  /** Ids of the rules ticked off for it. */
  done: string[];
}

/** What stood model for a work. */
export interface ModelView {
  id: string;
  title: string;
  credit: string;
  pictureId: string;
  pictureWidth: number;
  pictureHeight: number;
  sets: PlacedSet[];
}

/** What stood model for the works of a study of the caller's own, by work, oldest first. */
export async function modelsOf(studyId: string): Promise<Map<string, ModelView[]>> {
  const { id, title, credit, pictureId, workId } = referencePictures;
  const rows = await database()
    .select({
      id,
      title,
      credit,
      pictureId,
      workId,
      pictureWidth: pictures.width,
      pictureHeight: pictures.height,
      sets: setsOn(landmarkSets.referenceId, id),
    })
    .from(referencePictures)
    .innerJoin(pictures, eq(pictures.id, pictureId))
    .where(and(eq(referencePictures.studyId, studyId), isNotNull(workId)))
    .orderBy(asc(referencePictures.createdAt), asc(id));
  const out = new Map<string, ModelView[]>();
  for (const { workId: work, sets, ...view } of rows) out.set(work!, [...(out.get(work!) ?? []), { ...view, sets: listed(sets) }]);
  return out;
}

/** The references of a study of the caller's own that students draw from, oldest first. */
export async function listReferences(studyId: string): Promise<ReferenceView[]> {
  const rows = await database()
    .select({
      reference: referencePictures,
      firstName: students.firstName,
      initial: students.initial,
      nth: students.nth,
      width: pictures.width,
      height: pictures.height,
      ticked: referenceChecks.ruleId,
    })
    .from(referencePictures)
    .innerJoin(pictures, eq(pictures.id, referencePictures.pictureId))
    .leftJoin(students, eq(students.id, referencePictures.studentId))
    .leftJoin(referenceChecks, and(eq(referenceChecks.referenceId, referencePictures.id), eq(referenceChecks.done, true)))
    .where(and(eq(referencePictures.studyId, studyId), isNull(referencePictures.workId)))
    .orderBy(asc(referencePictures.createdAt), asc(referencePictures.id));
  const byId = new Map<string, ReferenceView>();
  for (const { reference, firstName, initial, nth, width, height, ticked } of rows) {
    const student = firstName === null ? null : shownName({ firstName, initial: initial ?? '', nth: nth ?? 1 });
    const view = byId.get(reference.id) ?? { ...reference, student, pictureWidth: width, pictureHeight: height, done: [] };
    byId.set(reference.id, view);
    if (ticked) view.done.push(ticked);
  }
  return [...byId.values()];
}
