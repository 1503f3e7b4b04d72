/** Knows the background work on a piece: squared up, measured, and measuredWorks against the master's works. */
import { and, asc, eq, inArray } from 'drizzle-orm';
import { Measured, withoutMarks } from '../../core/style/compare';
import type { ProfileWithMaps } from '../../core/style/profile';
import { withProportions } from '../../core/style/proportionFeatures';
import { oneScale, ownRung, Resolution } from '../../core/style/scale';
import { Proportion, proportionsOf } from '../../core/proportion/measures';
import { isTemplate } from '../../core/proportion/templates';
import { changing, database } from '../database/connection';
import { ensureProfile } from '../pictures/readings';
import { getBlob, pictureOf, putPicture } from '../pictures/store';
import { putMade } from '../pictures/takeIn';
import { askToCompare } from '../queue/asking';
import { comparisons, landmarkSets, pieces, works } from '../schema';
import type { Frame } from '../schema/studies';
import { pieceOf, PieceRow, studyOf } from '../accounts/ownership';
import { inThread } from '../threads/threads';
import { worksAgainst } from './against';
import { ruledFeatures, stampOf } from './stamps';

const RESULT_PIXELS = 9e6;

/**
 * Finds the sheet, squares it up, evens the light: the background work of one piece; it is measured when it is compared. What was found is
 * stored whole, and only where the piece still is what it was found of.
 */
export async function processPiece(teacherId: string, id: string): Promise<void> {
  const piece = await pieceOf(teacherId, id);
  const db = database();
  const photo = await pictureOf(db, teacherId, piece.photoId);
  const [w, h] = [piece.paperWidthMm, piece.paperHeightMm];
  // As fine as the photograph, at most 8 px a mm and nine million pixels in all.
  const pxPerMm = Math.min(8, Math.max(photo.width, photo.height) / Math.max(w, h), Math.sqrt(RESULT_PIXELS / (w * h)));
  const given = piece.placedByHand ? piece.corners : null;
  const bytes = await getBlob(db, photo.sha256);
  const squared = await inThread({ task: 'square-up', bytes, name: photo.name, paper: [w, h], corners: given, pxPerMm });
  const { picture } = squared;
  await changing(async (tx) => {
    const [still] = await tx
      .select({ id: pieces.id })
      .from(pieces)
      .where(and(eq(pieces.id, id), eq(pieces.version, piece.version)))
      .for('update');
    // Changed or removed meanwhile: whoever did so has asked for it anew.
    if (!still) return;
    const about = { teacherId, name: photo.name, width: photo.width, height: photo.height };
    await putPicture(tx, Buffer.from(squared.photoPreview), { ...about, role: 'preview', madeFrom: photo.id, mime: 'image/jpeg' });
    if (!picture) {
      await tx.update(pieces).set({ state: 'no-sheet', messages: squared.warnings }).where(eq(pieces.id, id));
      return;
    }
    const rectifiedId = await putMade(tx, teacherId, 'rectified', photo.id, photo.name, picture);
    await tx
      .update(pieces)
      .set({
        rectifiedId,
        state: 'ready',
        sharpness: squared.sharpness,
        messages: squared.warnings,
        ...(given ? {} : { corners: squared.corners }),
      })
      .where(eq(pieces.id, id));
    await askToCompare(tx, teacherId, piece);
  });
}

interface Points {
  template: string;
  points: Record<string, [number, number]>;
}

/** The measures of whatever landmarks have been placed. */
const measuresOf = (sets: readonly Points[]): Proportion[] =>
  proportionsOf(sets.flatMap(({ template, points }) => (isTemplate(template) ? [{ template, name: null, points }] : [])));

function measured({ profile, layout }: ProfileWithMaps, sets: readonly Points[], widthMm: number | null, marks = true): Measured {
  const features = marks ? profile.features : withoutMarks(profile.features);
  const proportions = measuresOf(sets);
  return { features: withProportions(features, proportions), proportions, palette: profile.palette, layout, widthMm };
}

/** The squared-up sheet as finely as it is known; what was squared up before that was asked is looked at now. */
async function squaredUp(teacherId: string, piece: PieceRow, rectifiedId: string): Promise<Resolution & { frame: Frame }> {
  const { width, height, sha256, name } = await pictureOf(database(), teacherId, rectifiedId);
  const sharpness = piece.sharpness ?? (await inThread({ task: 'sharpness', bytes: await getBlob(database(), sha256), name }));
  if (piece.sharpness === null)
    await changing((tx) =>
      tx
        .update(pieces)
        .set({ sharpness })
        .where(and(eq(pieces.id, piece.id), eq(pieces.rectifiedId, rectifiedId))),
    );
  return { frame: [0, 0, width, height], width, height, widthMm: piece.paperWidthMm, sharpness };
}

/** Compares a piece with the works of its study that it is held against, and stores what was found. */
export async function comparePiece(teacherId: string, id: string): Promise<void> {
  const piece = await pieceOf(teacherId, id);
  if (!piece.rectifiedId) return;
  const db = database();
  const { aim } = await studyOf(teacherId, piece.studyId);
  const all = await db
    .select()
    .from(works)
    .where(and(eq(works.studyId, piece.studyId), eq(works.foil, false)))
    .orderBy(asc(works.position));
  const sources = worksAgainst(all, piece.groupId);
  if (!sources.length) return;
  const ownSets = await db.select().from(landmarkSets).where(eq(landmarkSets.pieceId, id));
  const workSets = await db
    .select()
    .from(landmarkSets)
    .where(
      inArray(
        landmarkSets.workId,
        sources.map((s) => s.id),
      ),
    );
  const ruled = await ruledFeatures(piece.studyId);
  const stamp = stampOf({
    aim,
    ruled,
    piece: { ...piece, sets: ownSets },
    works: sources.map((w) => ({ ...w, sets: workSets.filter((s) => s.workId === w.id) })),
  });
  const asKnown: (Resolution & { frame: Frame })[] = [];
  for (const w of sources) {
    const { frame, sharpness } = await ensureProfile(teacherId, w);
    asKnown.push({ frame: [...frame], width: frame[2], height: frame[3], widthMm: w.widthMm, sharpness });
  }
  const sheet = await squaredUp(teacherId, piece, piece.rectifiedId);
  const { rung, tooPoor } = oneScale(asKnown, sheet);
  const measuredWorks: Measured[] = [];
  for (const [i, w] of sources.entries()) {
    const at = { ...asKnown[i], rung: tooPoor.includes(i) ? ownRung(asKnown[i]) : rung };
    const sets = workSets.filter((s) => s.workId === w.id);
    measuredWorks.push(measured(await ensureProfile(teacherId, w, at), sets, w.widthMm, !tooPoor.includes(i)));
  }
  const read = await ensureProfile(teacherId, { pictureId: piece.rectifiedId, widthMm: piece.paperWidthMm }, { ...sheet, rung });
  const reading = measured(read, ownSets, piece.paperWidthMm);
  const result = await inThread({
    task: 'compare',
    sources: measuredWorks,
    piece: reading,
    options: { as: piece.kind === 'copy' ? 'copy' : 'original', aim, ruled },
  });
  const values = {
    stamp,
    // The palettes at least are always held against each other.
    closeness: result.closeness.overall ?? 0,
    ownInvention: result.ownInvention,
    document: { ...result, nearestWorkId: sources[result.nearest].id },
    createdAt: new Date(),
  };
  await changing(async (tx) => {
    const [still] = await tx.select({ id: pieces.id }).from(pieces).where(eq(pieces.id, id)).for('update');
    if (still)
      await tx
        .insert(comparisons)
        .values({ pieceId: id, ...values })
        .onDuplicateKeyUpdate({ set: values });
  });
}
