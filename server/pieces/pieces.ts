/** Knows what students hand in: photographs, their corners, the upright sheet, and where each stands to the master. */
import { createHash } from 'node:crypto';
import { and, asc, eq, sql } from 'drizzle-orm';
import { Comparison, Measured } from '../../core/style/compare';
import { featureSpec, FeatureSet } from '../../core/style/features';
import { PROFILE_VERSION, ProfileWithMaps } from '../../core/style/profile';
import { measureProportions } from '../../core/proportion/measures';
import { isTemplate } from '../../core/proportion/templates';
import { database, isDuplicate, newId } from '../database/connection';
import { conflict, notFound, Told } from '../errors';
import { ask } from '../jobs/queue';
import { inThread } from '../jobs/threads';
import { checkPicture } from '../pictures/decode';
import { getBlob, pictureOf, putPicture } from '../pictures/store';
import {
  comparisons,
  findingNotes,
  landmarkSets,
  pieces,
  ruleAnswers,
  rules,
  students,
  studies,
  works,
} from '../schema';
import { studyOf } from '../studies/studies';
import { ensureProfile } from '../studies/works';

export type PieceRow = typeof pieces.$inferSelect;

export async function pieceOf(teacherId: string, id: string): Promise<PieceRow> {
  const [row] = await database()
    .select({ piece: pieces })
    .from(pieces)
    .innerJoin(studies, eq(studies.id, pieces.studyId))
    .where(and(eq(pieces.id, id), eq(studies.teacherId, teacherId)));
  if (!row) throw notFound('This piece');
  return row.piece;
}

export interface NewPiece {
  studentId: string | null;
  kind: PieceRow['kind'];
  /** Null takes the next free number. */
  attempt: number | null;
  title: string;
  paperWidthMm: number;
  paperHeightMm: number;
}

async function askToProcess(teacherId: string, piece: Pick<PieceRow, 'id' | 'studyId'>, priority = 0): Promise<void> {
  await ask(database(), {
    teacherId,
    studyId: piece.studyId,
    kind: 'process-piece',
    workKey: `process-piece:${piece.id}`,
    payload: { pieceId: piece.id },
    priority,
  });
}

/** Takes in a photograph of a student's sheet; everything else happens in the background. */
export async function addPiece(
  teacherId: string,
  studyId: string,
  bytes: Buffer,
  name: string,
  about: NewPiece,
): Promise<string> {
  const study = await studyOf(teacherId, studyId);
  const db = database();
  if (about.studentId !== null) {
    const [row] = await db.select({ classId: students.classId }).from(students).where(eq(students.id, about.studentId)); // prettier-ignore
    if (!row || row.classId !== study.classId) throw notFound('This student');
  }
  const checked = await checkPicture(bytes, name);
  const photoId = await putPicture(db, bytes, {
    teacherId,
    role: 'original',
    name,
    mime: checked.mime,
    width: checked.width,
    height: checked.height,
  });
  const maker = about.studentId ?? '';
  const [{ last }] = await db
    .select({ last: sql<number | null>`max(${pieces.attempt})` })
    .from(pieces)
    .where(and(eq(pieces.studyId, studyId), eq(pieces.maker, maker), eq(pieces.kind, about.kind)));
  const id = newId();
  try {
    await db.insert(pieces).values({
      id,
      studyId,
      studentId: about.studentId,
      maker,
      kind: about.kind,
      attempt: about.attempt ?? Number(last ?? 0) + 1,
      title: about.title,
      photoId,
      paperWidthMm: about.paperWidthMm,
      paperHeightMm: about.paperHeightMm,
      corners: null,
      told: '',
      createdAt: new Date(),
    });
  } catch (error) {
    if (isDuplicate(error))
      throw new Told(
        409,
        `There is already an attempt ${about.attempt} of this kind by this student. Choose another number.`,
        'attempt',
      );
    throw error;
  }
  await askToProcess(teacherId, { id, studyId }, 1);
  return id;
}

/** Corners placed by hand, photograph px; the sheet is squared up anew. */
export async function placeCorners(
  teacherId: string,
  id: string,
  version: number,
  corners: [number, number][],
): Promise<void> {
  const piece = await pieceOf(teacherId, id);
  const [result] = await database()
    .update(pieces)
    .set({ corners, placedByHand: true, state: 'waiting', version: version + 1 })
    .where(and(eq(pieces.id, id), eq(pieces.version, version)));
  if (result.affectedRows !== 1) throw conflict('This piece');
  await askToProcess(teacherId, piece, 8);
}

export async function removePiece(teacherId: string, id: string): Promise<void> {
  await pieceOf(teacherId, id);
  await database().delete(pieces).where(eq(pieces.id, id));
}

const RESULT_PIXELS = 9e6;

/** Finds the sheet, squares it up, evens the light, measures it: the background work of one piece. */
export async function processPiece(teacherId: string, id: string): Promise<void> {
  const piece = await pieceOf(teacherId, id);
  const db = database();
  const photo = await pictureOf(db, teacherId, piece.photoId);
  const [w, h] = [piece.paperWidthMm, piece.paperHeightMm];
  // As fine as the photograph, at most 8 px a mm and nine million pixels in all.
  const pxPerMm = Math.min(8, Math.max(photo.width, photo.height) / Math.max(w, h), Math.sqrt(RESULT_PIXELS / (w * h)));
  const given = piece.placedByHand ? piece.corners : null;
  const told = await inThread({
    task: 'square-up',
    bytes: await getBlob(db, photo.sha256),
    name: photo.name,
    paper: [w, h],
    corners: given,
    pxPerMm,
  });
  await putPicture(db, Buffer.from(told.photoPreview), {
    teacherId,
    role: 'preview',
    madeFrom: photo.id,
    name: photo.name,
    mime: 'image/jpeg',
    width: photo.width,
    height: photo.height,
  });
  if (!told.picture) {
    await db.update(pieces).set({ state: 'no-sheet', told: told.warnings.join(' ') }).where(and(eq(pieces.id, id), eq(pieces.version, piece.version))); // prettier-ignore
    return;
  }
  const size = { width: told.picture.width, height: told.picture.height };
  const rectifiedId = await putPicture(db, Buffer.from(told.picture.png), {
    teacherId,
    role: 'rectified',
    madeFrom: photo.id,
    name: photo.name,
    mime: 'image/png',
    ...size,
  });
  await putPicture(db, Buffer.from(told.picture.preview), {
    teacherId,
    role: 'preview',
    madeFrom: rectifiedId,
    name: photo.name,
    mime: 'image/jpeg',
    ...size,
  });
  await ensureProfile(teacherId, rectifiedId, w);
  await db
    .update(pieces)
    .set({ rectifiedId, state: 'ready', told: told.warnings.join(' '), ...(given ? {} : { corners: told.corners }) })
    .where(and(eq(pieces.id, id), eq(pieces.version, piece.version)));
  await askToCompare(teacherId, piece);
}

export async function askToCompare(teacherId: string, piece: Pick<PieceRow, 'id' | 'studyId'>): Promise<void> {
  await ask(database(), {
    teacherId,
    studyId: piece.studyId,
    kind: 'compare-piece',
    workKey: `compare-piece:${piece.id}`,
    payload: { pieceId: piece.id },
    priority: 3,
  });
}

/** Every ready piece of a study is compared anew, after a work or its landmarks changed. */
export async function compareAgain(teacherId: string, studyId: string): Promise<void> {
  const rows = await database().select({ id: pieces.id }).from(pieces).where(and(eq(pieces.studyId, studyId), eq(pieces.state, 'ready'))); // prettier-ignore
  for (const { id } of rows) await askToCompare(teacherId, { id, studyId });
}

/** A profile's features with the proportions of whatever landmarks have been placed since. */
function withProportions(
  features: FeatureSet,
  sets: readonly { template: string; points: Record<string, [number, number]> }[],
): FeatureSet {
  const out = { ...features };
  for (const set of sets) {
    if (!isTemplate(set.template)) continue;
    for (const p of measureProportions(set.template, set.points)) {
      const name = `proportion.${p.name}`;
      const { group, unit } = featureSpec(name)!;
      if (p.value !== null)
        out[name] = {
          group,
          unit,
          value: p.value,
          spread: p.unit === 'degrees' ? 0.7 : Math.abs(p.value) * 0.015 + 0.002,
        };
    }
  }
  return out;
}

async function measuredOf(
  teacherId: string,
  pictureId: string,
  widthMm: number | null,
  subject: 'work' | 'piece',
  subjectId: string,
): Promise<{ measured: Measured; stamp: string }> {
  const sets = await database().select().from(landmarkSets).where(and(eq(landmarkSets.subject, subject), eq(landmarkSets.subjectId, subjectId))); // prettier-ignore
  const { profile, layout }: ProfileWithMaps = await ensureProfile(teacherId, pictureId, widthMm);
  const measured = { features: withProportions(profile.features, sets), palette: profile.palette, layout, widthMm };
  return { measured, stamp: `${pictureId}:${widthMm}:${sets.map((s) => `${s.id}.${s.version}`).join(',')}` };
}

/** Compares a piece with every work of its study that is not a foil, and stores what was found. */
export async function comparePiece(teacherId: string, id: string): Promise<void> {
  const piece = await pieceOf(teacherId, id);
  if (!piece.rectifiedId) return;
  const db = database();
  const sources = await db.select().from(works).where(and(eq(works.studyId, piece.studyId), eq(works.foil, false))).orderBy(asc(works.position)); // prettier-ignore
  if (!sources.length) return;
  const held = await Promise.all(sources.map((w) => measuredOf(teacherId, w.pictureId, w.widthMm, 'work', w.id)));
  const own = await measuredOf(teacherId, piece.rectifiedId, piece.paperWidthMm, 'piece', piece.id);
  const stamp = createHash('sha256').update([PROFILE_VERSION, own.stamp, ...held.map((h) => h.stamp)].join('|')).digest('hex'); // prettier-ignore
  const result = await inThread({
    task: 'compare',
    sources: held.map((h) => h.measured),
    piece: own.measured,
    options: { as: piece.kind === 'copy' ? 'copy' : 'original' },
  });
  const values = {
    stamp,
    closeness: result.closeness.overall,
    ownInvention: result.ownInvention,
    document: { ...result, nearestWorkId: sources[result.nearest].id },
    createdAt: new Date(),
  };
  await db.insert(comparisons).values({ pieceId: id, ...values }).onDuplicateKeyUpdate({ set: values }); // prettier-ignore
}

interface PieceView extends PieceRow {
  student: string | null;
  photoWidth: number;
  photoHeight: number;
  closeness: number | null;
  ownInvention: number | null;
}

export async function listPieces(teacherId: string, studyId: string): Promise<PieceView[]> {
  await studyOf(teacherId, studyId);
  const db = database();
  const rows = await db
    .select({
      piece: pieces,
      firstName: students.firstName,
      initial: students.initial,
      closeness: comparisons.closeness,
      ownInvention: comparisons.ownInvention,
    })
    .from(pieces)
    .leftJoin(students, eq(students.id, pieces.studentId))
    .leftJoin(comparisons, eq(comparisons.pieceId, pieces.id))
    .where(eq(pieces.studyId, studyId))
    .orderBy(asc(students.position), asc(pieces.kind), asc(pieces.attempt));
  return Promise.all(
    rows.map(async (r) => {
      const photo = await pictureOf(db, teacherId, r.piece.photoId);
      return {
        ...r.piece,
        student: r.firstName === null ? null : `${r.firstName} ${r.initial ?? ''}`.trim(),
        photoWidth: photo.width,
        photoHeight: photo.height,
        closeness: r.closeness,
        ownInvention: r.ownInvention,
      };
    }),
  );
}

type StoredComparison = Comparison & { nearestWorkId: string };

export async function comparisonOf(
  teacherId: string,
  pieceId: string,
): Promise<{
  comparison: StoredComparison | null;
  notes: { feature: string; setAside: boolean; note: string }[];
  answers: { ruleId: string; met: boolean }[];
}> {
  await pieceOf(teacherId, pieceId);
  const db = database();
  const [row] = await db.select({ document: comparisons.document }).from(comparisons).where(eq(comparisons.pieceId, pieceId)); // prettier-ignore
  return {
    comparison: (row?.document as StoredComparison | undefined) ?? null,
    notes: await db.select({ feature: findingNotes.feature, setAside: findingNotes.setAside, note: findingNotes.note }).from(findingNotes).where(eq(findingNotes.pieceId, pieceId)),
    answers: await db.select({ ruleId: ruleAnswers.ruleId, met: ruleAnswers.met }).from(ruleAnswers).where(eq(ruleAnswers.pieceId, pieceId)),
  }; // prettier-ignore
}

export async function noteFinding(
  teacherId: string,
  pieceId: string,
  feature: string,
  setAside: boolean,
  note: string,
): Promise<void> {
  await pieceOf(teacherId, pieceId);
  await database().insert(findingNotes).values({ pieceId, feature, setAside, note }).onDuplicateKeyUpdate({ set: { setAside, note } }); // prettier-ignore
}

export async function answerRule(teacherId: string, pieceId: string, ruleId: string, met: boolean): Promise<void> {
  const piece = await pieceOf(teacherId, pieceId);
  const [rule] = await database().select({ studyId: rules.studyId }).from(rules).where(eq(rules.id, ruleId));
  if (rule?.studyId !== piece.studyId) throw notFound('This rule');
  await database().insert(ruleAnswers).values({ pieceId, ruleId, met }).onDuplicateKeyUpdate({ set: { met } }); // prettier-ignore
}
