/** Knows placed landmarks: one set of points a subject and template, each change logged, a stale change refused. */
import { and, eq } from 'drizzle-orm';
import { isTemplate } from '../../core/proportion/templates';
import { database, newId } from '../database/connection';
import { conflict, Told } from '../errors';
import { landmarkSets } from '../schema';
import { record, registerSubject, Transaction } from './edits';
import { askToCompare, compareAgain } from '../pieces/asking';
import { pieceOf } from '../pieces/pieces';
import { landmarksOn, LandmarkSubject } from './landmarkRows';
import { referenceOf } from './references';
import { workOf } from './works';

export type Points = Record<string, [number, number]>;

export interface LandmarkView {
  template: string;
  points: Points;
  version: number;
}

interface Key {
  subject: LandmarkSubject;
  subjectId: string;
  template: string;
}

/** The one row of a template on a thing. */
const setOf = (key: Key) => and(landmarksOn(key.subject, key.subjectId), eq(landmarkSets.template, key.template));

interface State {
  key: Key;
  points: Points | null;
}

registerSubject(
  'landmarks',
  async (tx, studyId, subjectId, state) => {
    const { key, points } = state as State;
    await putPoints(tx, studyId, { ...key, subjectId }, points);
  },
  (teacherId, studyId, _subjectId, state) => reckonAnew(teacherId, studyId, (state as State).key),
);

/** What was compared with these points is compared with them as they are now. */
async function reckonAnew(teacherId: string, studyId: string, { subject, subjectId }: Key): Promise<void> {
  if (subject === 'work') await compareAgain(teacherId, studyId);
  if (subject === 'piece') await askToCompare(teacherId, { id: subjectId, studyId });
}

async function putPoints(tx: Transaction, studyId: string, key: Key, points: Points | null): Promise<void> {
  const where = setOf(key);
  if (points === null || Object.keys(points).length === 0) {
    await tx.delete(landmarkSets).where(where);
    return;
  }
  const [row] = await tx.select({ version: landmarkSets.version }).from(landmarkSets).where(where);
  if (row)
    await tx
      .update(landmarkSets)
      .set({ points, version: row.version + 1, updatedAt: new Date() })
      .where(where);
  else
    await tx.insert(landmarkSets).values({ id: newId(), studyId, ...key, points, version: 1, updatedAt: new Date() });
}

/** The study a subject belongs to, if it is this teacher's. */
async function studyOfSubject(
  teacherId: string,
  { subject, subjectId }: Pick<Key, 'subject' | 'subjectId'>,
): Promise<string> {
  if (subject === 'work') return (await workOf(teacherId, subjectId)).studyId;
  if (subject === 'piece') return (await pieceOf(teacherId, subjectId)).studyId;
  return (await referenceOf(teacherId, subjectId)).studyId;
}

export async function landmarksOf(
  teacherId: string,
  subject: LandmarkSubject,
  subjectId: string,
): Promise<LandmarkView[]> {
  await studyOfSubject(teacherId, { subject, subjectId });
  return database()
    .select({ template: landmarkSets.template, points: landmarkSets.points, version: landmarkSets.version })
    .from(landmarkSets)
    .where(landmarksOn(subject, subjectId));
}

/**
 * Stores the points of one template; `version` 0 says that there were none before. Returns the new version. Without a
 * label nothing is written into the log of edits.
 */
export async function placeLandmarks(
  teacherId: string,
  key: Key,
  version: number,
  points: Points,
  label: string | null,
): Promise<number> {
  if (key.template !== 'free' && !isTemplate(key.template))
    throw new Told(400, 'There is no such landmark template.', 'template');
  if (Object.keys(points).length > 80) throw new Told(400, 'At most 80 points can be placed.', 'points');
  const studyId = await studyOfSubject(teacherId, key);
  const next = await database().transaction(async (tx) => {
    const where = setOf(key);
    const [row] = await tx.select().from(landmarkSets).where(where).for('update');
    if ((row?.version ?? 0) !== version) throw conflict('These points');
    await putPoints(tx, studyId, key, points);
    if (label === null) return version + 1;
    await record(tx, {
      studyId,
      subject: 'landmarks',
      subjectId: key.subjectId,
      label,
      before: { key, points: row?.points ?? null },
      after: { key, points },
    });
    return version + 1;
  });
  await reckonAnew(teacherId, studyId, key);
  return next;
}
