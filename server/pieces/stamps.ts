/** Knows what a comparison was made from, as one stamp: another stamp means that it is out of date. */
import { createHash } from 'node:crypto';
import { ownKey } from '../../core/proportion/ownTemplate';
import { and, asc, eq, isNotNull, ne } from 'drizzle-orm';
import { PROFILE_VERSION } from '../../core/style/profile';
import { database } from '../database/connection';
import { comparisons, landmarkSets, ownTemplates, pieces, rules, studies, works } from '../schema';
import { inGroup } from '../studies/groups';

interface Stamped {
  aim: string;
  led: boolean;
  /** Features that a rule is about. */
  ruled: readonly string[];
  piece: { id: string; rectifiedId: string | null; paperWidthMm: number; capture: string; sized: boolean; sets: readonly Set[] };
  /** The works it is held against, in their order. */
  works: readonly { id: string; pictureId: string; widthMm: number | null; place: string; sets: readonly Set[] }[];
  own: OwnVersions;
}

interface Set {
  id: string;
  template: string;
  version: number;
}

/** By their versions, and where they are of a teacher's own kind by that one's too. */
const setsOf = (sets: readonly Set[], own: OwnVersions) =>
  sets
    .map((s) => `${s.id}.${s.version}${own.has(s.template) ? `.${own.get(s.template)}` : ''}`)
    .sort()
    .join(',');

/** Versions of teachers' own kinds of points, by what sets of them have as their template. */
export type OwnVersions = ReadonlyMap<string, number>;

export const versionsIn = (own: readonly { id: string; version: number }[]): OwnVersions =>
  new Map(own.map((t) => [ownKey(t.id), t.version]));

export function stampOf({ aim, led, ruled, piece, works, own }: Stamped): string {
  const as = `${piece.capture === 'object' ? 'object:' : ''}${piece.sized ? piece.paperWidthMm : 'unsized'}`;
  const reading = `${piece.rectifiedId}:${as}:${setsOf(piece.sets, own)}`;
  const parts = works.map((w) => `${w.id}:${w.pictureId}:${w.widthMm}:${w.place}:${setsOf(w.sets, own)}`);
  return createHash('sha256')
    .update([PROFILE_VERSION, led ? `${aim}, led` : aim, [...ruled].sort().join(), reading, ...parts].join('|'))
    .digest('hex');
}

/** The features of a study that a rule is about. */
export async function ruledFeatures(studyId: string): Promise<string[]> {
  const rows = await database()
    .select({ feature: rules.feature })
    .from(rules)
    .where(and(eq(rules.studyId, studyId), ne(rules.feature, '')));
  return rows.map((r) => r.feature);
}

interface Outdated {
  id: string;
  studyId: string;
  teacherId: string;
}

/** Ready pieces of every study whose comparison is missing or was made from something else than is there now. */
export async function outdatedComparisons(): Promise<Outdated[]> {
  const db = database();
  const ready = await db
    .select({ piece: pieces, teacherId: studies.teacherId, aim: studies.aim, led: studies.led, stamp: comparisons.stamp })
    .from(pieces)
    .innerJoin(studies, eq(studies.id, pieces.studyId))
    .leftJoin(comparisons, eq(comparisons.pieceId, pieces.id))
    .where(and(eq(pieces.state, 'ready'), isNotNull(pieces.rectifiedId)));
  const own = versionsIn(await db.select({ id: ownTemplates.id, version: ownTemplates.version }).from(ownTemplates));
  const byStudy = new Map<string, typeof ready>();
  for (const row of ready) byStudy.set(row.piece.studyId, [...(byStudy.get(row.piece.studyId) ?? []), row]);
  const out: Outdated[] = [];
  for (const [studyId, rows] of byStudy) {
    const sources = await db
      .select()
      .from(works)
      .where(and(eq(works.studyId, studyId), eq(works.foil, false)))
      .orderBy(asc(works.position));
    if (!sources.length) continue;
    const sets = await db
      .select({
        id: landmarkSets.id,
        template: landmarkSets.template,
        version: landmarkSets.version,
        workId: landmarkSets.workId,
        pieceId: landmarkSets.pieceId,
      })
      .from(landmarkSets)
      .where(eq(landmarkSets.studyId, studyId));
    const ruled = await ruledFeatures(studyId);
    const sourcesWithSets = sources.map((w) => ({ ...w, sets: sets.filter((s) => s.workId === w.id) }));
    for (const { piece, aim, led, stamp, teacherId } of rows) {
      const reading = { ...piece, sets: sets.filter((s) => s.pieceId === piece.id) };
      if (stamp !== stampOf({ aim, led, ruled, own, piece: reading, works: inGroup(sourcesWithSets, piece.groupId) }))
        out.push({ id: piece.id, studyId, teacherId });
    }
  }
  return out;
}
