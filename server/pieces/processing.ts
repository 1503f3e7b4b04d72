/** Knows the background work on a piece: squared up, measured, and held against the master's works. */
import { and, asc, eq, inArray } from 'drizzle-orm';
import type { Measured } from '../../core/style/compare';
import { oneScale } from '../../core/style/scale';
import { changing, database } from '../database/connection';
import { ensureProfile } from '../pictures/readings';
import { AsKnown, asKnown, atScale, measured } from '../pictures/atOneScale';
import { getBlob, pictureOf, putPicture } from '../pictures/store';
import { putMade } from '../pictures/takeIn';
import { askToCompare } from '../queue/asking';
import { comparisons, landmarkSets, pieces, works } from '../schema';
import { pieceOf, PieceRow, studyOf } from '../accounts/ownership';
import type { MadePicture } from '../threads/tasks';
import { inThread } from '../threads/threads';
import { inGroup } from '../studies/groups';
import { kindsIn, ownTemplatesOf } from '../studies/ownTemplates';
import { ruledFeatures, stampOf, versionsIn } from './stamps';

const RESULT_PIXELS = 9e6;

/** The width its marks are told by; a file or an object of no size has none. */
const widthOf = ({ sized, paperWidthMm }: Pick<PieceRow, 'sized' | 'paperWidthMm'>): number | null => (sized ? paperWidthMm : null);

/** What is made of a piece's photograph; the picture is null where no sheet was found. */
interface Prepared {
  preview: Uint8Array;
  picture: MadePicture | null;
  found: Partial<PieceRow>;
}

/** What came whole has no sheet to be found and no light to be evened: it is put upright as it is. */
async function upright(bytes: Buffer, name: string): Promise<Prepared> {
  const picture = await inThread({ task: 'upright', bytes, name, crop: null, flat: null });
  return { preview: picture.preview, picture, found: { messages: [] } };
}

/** A photographed sheet found, squared up, and its light evened. */
async function squareUp(piece: PieceRow, photo: { width: number; height: number; name: string }, bytes: Buffer): Promise<Prepared> {
  const [w, h] = [piece.paperWidthMm, piece.paperHeightMm];
  // As fine as the photograph, at most 8 px a mm and nine million pixels in all.
  const pxPerMm = Math.min(8, Math.max(photo.width, photo.height) / Math.max(w, h), Math.sqrt(RESULT_PIXELS / (w * h)));
  const given = piece.placedByHand ? piece.corners : null;
  const squared = await inThread({ task: 'square-up', bytes, name: photo.name, paper: [w, h], corners: given, pxPerMm });
  const { photoPreview: preview, picture, sharpness, warnings: messages, corners } = squared;
  return { preview, picture, found: picture ? { sharpness, messages, ...(given ? {} : { corners }) } : { messages } };
}

/**
 * Makes a piece's photograph ready: the background work of one piece; it is measured when it is compared. What was found is stored whole, and
 * only where the piece still is what it was found of.
 */
export async function processPiece(teacherId: string, id: string): Promise<void> {
  const piece = await pieceOf(teacherId, id);
  const photo = await pictureOf(database(), teacherId, piece.photoId);
  const bytes = await getBlob(database(), photo.sha256);
  const { preview, picture, found } =
    piece.capture === 'photograph' ? await squareUp(piece, photo, bytes) : await upright(bytes, photo.name);
  await changing(async (tx) => {
    const [still] = await tx
      .select({ id: pieces.id })
      .from(pieces)
      .where(and(eq(pieces.id, id), eq(pieces.version, piece.version)))
      .for('update');
    // Changed or removed meanwhile: whoever did so has asked for it anew.
    if (!still) return;
    const about = { teacherId, name: photo.name, width: photo.width, height: photo.height };
    await putPicture(tx, Buffer.from(preview), { ...about, role: 'preview', madeFrom: photo.id, mime: 'image/jpeg' });
    if (!picture) {
      await tx
        .update(pieces)
        .set({ ...found, state: 'no-sheet' })
        .where(eq(pieces.id, id));
      return;
    }
    const rectifiedId = await putMade(tx, teacherId, 'rectified', photo.id, photo.name, picture);
    await tx
      .update(pieces)
      .set({ ...found, rectifiedId, state: 'ready' })
      .where(eq(pieces.id, id));
    await askToCompare(tx, teacherId, piece);
  });
}

/** The squared-up sheet as finely as it is known; what was squared up before that was asked is looked at now. */
async function squaredUp(teacherId: string, piece: PieceRow, rectifiedId: string): Promise<AsKnown> {
  const { width, height, sha256, name } = await pictureOf(database(), teacherId, rectifiedId);
  const sharpness = piece.sharpness ?? (await inThread({ task: 'sharpness', bytes: await getBlob(database(), sha256), name }));
  if (piece.sharpness === null)
    await changing((tx) =>
      tx
        .update(pieces)
        .set({ sharpness })
        .where(and(eq(pieces.id, piece.id), eq(pieces.rectifiedId, rectifiedId))),
    );
  return { frame: [0, 0, width, height], width, height, widthMm: widthOf(piece), sharpness };
}

/** Compares a piece with the works of its study that it is held against, and stores what was found. */
export async function comparePiece(teacherId: string, id: string): Promise<void> {
  const piece = await pieceOf(teacherId, id);
  if (!piece.rectifiedId) return;
  const db = database();
  const { aim, led } = await studyOf(teacherId, piece.studyId);
  const all = await db
    .select()
    .from(works)
    .where(and(eq(works.studyId, piece.studyId), eq(works.foil, false)))
    .orderBy(asc(works.position));
  const sources = inGroup(all, piece.groupId);
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
  const own = await ownTemplatesOf(teacherId);
  const ruled = await ruledFeatures(piece.studyId);
  const stamp = stampOf({
    aim,
    led,
    ruled,
    own: versionsIn(own),
    piece: { ...piece, sets: ownSets },
    works: sources.map((w) => ({ ...w, sets: workSets.filter((s) => s.workId === w.id) })),
  });
  const known: AsKnown[] = [];
  for (const w of sources) known.push(asKnown(w, await ensureProfile(teacherId, w)));
  const sheet = await squaredUp(teacherId, piece, piece.rectifiedId);
  const { rung, tooPoor } = oneScale(known, sheet);
  const kinds = kindsIn(own);
  const measuredWorks: Measured[] = [];
  for (const [i, w] of sources.entries()) {
    const poor = tooPoor.includes(i);
    const sets = workSets.filter((s) => s.workId === w.id);
    measuredWorks.push(measured(await ensureProfile(teacherId, w, atScale(known[i], rung, poor)), sets, w, kinds, !poor));
  }
  const widthMm = widthOf(piece);
  const read = await ensureProfile(teacherId, { pictureId: piece.rectifiedId, widthMm }, { ...sheet, rung });
  // An arrangement or an object has colour, values and places; what its surface shows are no marks of a hand.
  const object = piece.capture === 'object';
  const reading = measured(read, object ? [] : ownSets, { widthMm }, kinds, !object);
  const result = await inThread({
    task: 'compare',
    sources: measuredWorks,
    piece: reading,
    options: { as: piece.kind === 'copy' ? 'copy' : 'original', aim, led, ruled },
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
