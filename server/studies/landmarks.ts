/** Knows placed landmarks: one set of points a subject and template, each change logged, a stale change refused. */
import { Message, typed } from '../../core/message';
import { and, eq } from 'drizzle-orm';
import { isTemplate, TEMPLATES } from '../../core/proportion/templates';
import { database, newId } from '../database/connection';
import { logged } from '../edits/log';
import { sentence, conflict, UserError } from '../errors';
import { landmarkSets } from '../schema';
import { landmarkKey, landmarksOn, LandmarkSubject } from './landmarkRows';
import { inStudy, pieceOf, referenceOf, workOf } from '../accounts/ownership';

export type Points = Record<string, [number, number]>;

export interface LandmarkView {
  template: string;
  points: Points;
  version: number;
}

const OWNERS = { work: workOf, piece: pieceOf, reference: referenceOf } as const;
const VIEW = { template: landmarkSets.template, points: landmarkSets.points, version: landmarkSets.version };
const MOST_POINTS = 80;

export async function landmarksOf(teacherId: string, subject: LandmarkSubject, subjectId: string): Promise<LandmarkView[]> {
  await OWNERS[subject](teacherId, subjectId);
  return database().select(VIEW).from(landmarkSets).where(landmarksOn(subject, subjectId));
}

/** The landmarks on every work and reference of a study of the caller's own, by the thing's id. */
export async function landmarksIn(studyId: string): Promise<Map<string, LandmarkView[]>> {
  const rows = await database()
    .select({ ...VIEW, workId: landmarkSets.workId, referenceId: landmarkSets.referenceId })
    .from(landmarkSets)
    .where(eq(landmarkSets.studyId, studyId));
  const out = new Map<string, LandmarkView[]>();
  for (const { workId, referenceId, ...view } of rows) {
    const id = workId ?? referenceId;
    if (id) out.set(id, [...(out.get(id) ?? []), view]);
  }
  return out;
}

/**
 * Stores the points of one template; `version` 0 says that there were none before. Returns the new version. Without a
 * label nothing is written into the log of edits.
 */
export async function placeLandmarks(
  teacherId: string,
  { subject, subjectId, template }: { subject: LandmarkSubject; subjectId: string; template: string },
  version: number,
  points: Points,
  label: Message | null,
): Promise<number> {
  if (template !== 'free' && !isTemplate(template)) throw new UserError(400, sentence('template'), 'template');
  if (Object.keys(points).length > MOST_POINTS) throw new UserError(400, sentence('most.points', { n: MOST_POINTS }), 'points');
  const strange = isTemplate(template) ? Object.keys(points).find((n) => !TEMPLATES[template].points.some((p) => p.name === n)) : undefined;
  if (strange !== undefined) throw new UserError(400, sentence('noPoint', { point: typed(strange) }), 'points');
  const owner = await OWNERS[subject](teacherId, subjectId);
  const { studyId } = owner;
  const studentId = 'studentId' in owner ? owner.studentId : null;
  return inStudy(teacherId, studyId, async (tx) => {
    const where = and(landmarksOn(subject, subjectId), eq(landmarkSets.template, template))!;
    const [row] = await tx.select().from(landmarkSets).where(where);
    if ((row?.version ?? 0) !== version) throw conflict('points');
    const about = { teacherId, studyId, studentId, subject: 'landmarks', subjectId, label };
    const now = { points, version: version + 1, updatedAt: new Date() };
    await logged(tx, about, [{ table: landmarkSets, where }], async () => {
      if (!Object.keys(points).length) await tx.delete(landmarkSets).where(where);
      else if (row) await tx.update(landmarkSets).set(now).where(where);
      else await tx.insert(landmarkSets).values({ id: newId(), studyId, ...landmarkKey(subject, subjectId), template, ...now, version: 1 });
    });
    return Object.keys(points).length ? version + 1 : 0;
  });
}
