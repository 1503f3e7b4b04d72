/** Knows placed landmarks: sets of points by template and name, each change logged, a stale change refused. */
import { Message, message, typed } from '../../core/message';
import { and, asc, eq } from 'drizzle-orm';
import { ownId } from '../../core/proportion/ownTemplate';
import { isTemplate, TEMPLATES } from '../../core/proportion/templates';
import { database, newId } from '../database/connection';
import { logged } from '../edits/log';
import { unlessTaken } from '../database/failures';
import { sentence, conflict, notFound, UserError } from '../errors';
import { landmarkSets } from '../schema';
import { landmarkKey, landmarksOn, LandmarkSubject, PlacedSet } from './landmarkRows';
import { inStudy, pieceOf, referenceOf, workOf } from '../accounts/ownership';
import { ownTemplateOf } from './ownTemplates';

export type Points = Record<string, [number, number]>;

/** Which set of a subject: its template, and its name where there are several. */
interface SetKey {
  subject: LandmarkSubject;
  subjectId: string;
  template: string;
  name?: string;
}

const OWNERS = { work: workOf, piece: pieceOf, reference: referenceOf } as const;
const VIEW = {
  template: landmarkSets.template,
  name: landmarkSets.name,
  points: landmarkSets.points,
  hidden: landmarkSets.hidden,
  again: landmarkSets.again,
  version: landmarkSets.version,
};
/** More figures of one kind than anybody measures on one picture. */
const MOST_SETS = 24;
const MOST_POINTS = 80;

export async function landmarksOf(teacherId: string, subject: LandmarkSubject, subjectId: string): Promise<PlacedSet[]> {
  await OWNERS[subject](teacherId, subjectId);
  return database().select(VIEW).from(landmarkSets).where(landmarksOn(subject, subjectId)).orderBy(asc(landmarkSets.name));
}

/** The landmarks on every work and reference of a study of the caller's own, by the thing's id. */
export async function landmarksIn(studyId: string): Promise<Map<string, PlacedSet[]>> {
  const rows = await database()
    .select({ ...VIEW, workId: landmarkSets.workId, referenceId: landmarkSets.referenceId })
    .from(landmarkSets)
    .where(eq(landmarkSets.studyId, studyId))
    .orderBy(asc(landmarkSets.name));
  const out = new Map<string, PlacedSet[]>();
  for (const { workId, referenceId, ...view } of rows) {
    const id = workId ?? referenceId;
    if (id) out.set(id, [...(out.get(id) ?? []), view]);
  }
  return out;
}

/** The points a set of a template may have; null where they are anybody's. */
async function pointsOfTemplate(teacherId: string, template: string): Promise<readonly string[] | null> {
  if (template === 'free') return null;
  if (isTemplate(template)) return TEMPLATES[template].points.map((p) => p.name);
  const own = ownId(template);
  if (own === null) throw new UserError(400, sentence('template'), 'template');
  return (await ownTemplateOf(teacherId, own)).template.points.map((p) => p.name);
}

/**
 * Stores a set of points, and which of its template's points are hidden in the picture; `version` 0 says that there was none
 * before. A set with neither is none. Returns the new version. Without a label nothing is written into the log of edits.
 */
export async function placeLandmarks(
  teacherId: string,
  { subject, subjectId, template, name = '' }: SetKey,
  version: number,
  points: Points,
  label: Message | null,
  { hidden = [], again = null }: { hidden?: readonly string[]; again?: Points | null } = {},
): Promise<number> {
  if (Object.keys(points).length > MOST_POINTS) throw new UserError(400, sentence('most.points', { n: MOST_POINTS }), 'points');
  const allowed = await pointsOfTemplate(teacherId, template);
  for (const [field, names] of [
    ['points', Object.keys(points)],
    ['hidden', hidden],
    ['again', Object.keys(again ?? {})],
  ] as const) {
    const strange = allowed ? names.find((n) => !allowed.includes(n)) : undefined;
    if (strange !== undefined) throw new UserError(400, sentence('noPoint', { point: typed(strange) }), field);
  }
  const owner = await OWNERS[subject](teacherId, subjectId);
  const { studyId } = owner;
  const studentId = 'studentId' in owner ? owner.studentId : null;
  return inStudy(teacherId, studyId, async (tx) => {
    const where = setWhere({ subject, subjectId, template, name });
    const [row] = await tx.select().from(landmarkSets).where(where);
    if ((row?.version ?? 0) !== version) throw conflict('points');
    const about = { teacherId, studyId, studentId, subject: 'landmarks', subjectId, label };
    const unseen = hidden.filter((n) => !Object.hasOwn(points, n));
    const twice = Object.fromEntries(Object.entries(again ?? {}).filter(([n]) => Object.hasOwn(points, n)));
    const now = {
      points,
      hidden: unseen.length ? unseen : null,
      again: Object.keys(twice).length ? twice : null,
      version: version + 1,
      updatedAt: new Date(),
    };
    const kept = Object.keys(points).length > 0 || unseen.length > 0;
    if (kept && !row) {
      const all = await tx.select({ id: landmarkSets.id }).from(landmarkSets).where(landmarksOn(subject, subjectId));
      if (all.length >= MOST_SETS) throw new UserError(400, sentence('most.sets', { n: MOST_SETS }), 'name');
    }
    await logged(tx, about, [{ table: landmarkSets, where }], async () => {
      if (!kept) await tx.delete(landmarkSets).where(where);
      else if (row) await tx.update(landmarkSets).set(now).where(where);
      else
        await tx
          .insert(landmarkSets)
          .values({ id: newId(), studyId, ...landmarkKey(subject, subjectId), template, name, ...now, version: 1 });
    });
    return kept ? version + 1 : 0;
  });
}

/** Gives a set another name, one that no other set of its template on the subject has. */
export async function renameSet(teacherId: string, key: SetKey, to: string): Promise<void> {
  const { subject, subjectId, name = '' } = key;
  const owner = await OWNERS[subject](teacherId, subjectId);
  const { studyId } = owner;
  const studentId = 'studentId' in owner ? owner.studentId : null;
  await inStudy(teacherId, studyId, async (tx) => {
    const where = setWhere(key);
    const [row] = await tx.select({ id: landmarkSets.id }).from(landmarkSets).where(where);
    if (!row) throw notFound('points');
    const label = message('edits.renameSet', { name: typed(name), to: typed(to) });
    const itself = eq(landmarkSets.id, row.id);
    await unlessTaken(
      () =>
        logged(
          tx,
          { teacherId, studyId, studentId, subject: 'landmarks', subjectId, label },
          [{ table: landmarkSets, where: itself }],
          () => tx.update(landmarkSets).set({ name: to, updatedAt: new Date() }).where(itself),
        ),
      () => new UserError(409, sentence('sameSet', { name: typed(to) }), 'name'),
    );
  });
}

const setWhere = ({ subject, subjectId, template, name = '' }: SetKey) =>
  and(landmarksOn(subject, subjectId), eq(landmarkSets.template, template), eq(landmarkSets.name, name))!;
