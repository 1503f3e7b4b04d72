/** Knows the background work on a piece: squared up, measured, and measuredWorks against the master's works. */
import { and, asc, eq, inArray } from 'drizzle-orm';
import { Measured } from '../../core/style/compare';
import { featureSpec, FeatureSet } from '../../core/style/features';
import { PROFILE_VERSION, ProfileWithMaps } from '../../core/style/profile';
import { measureProportions } from '../../core/proportion/measures';
import { isTemplate } from '../../core/proportion/templates';
import { changing, database, newId } from '../database/connection';
import { ensureProfile } from '../pictures/readings';
import { getBlob, pictureOf, putPicture } from '../pictures/store';
import { putMade } from '../pictures/takeIn';
import { askToCompare } from '../queue/asking';
import { comparisons, landmarkSets, pieces, profiles, works } from '../schema';
import { pieceOf, studyOf } from '../accounts/ownership';
import { inThread } from '../threads/threads';
import { stampOf } from './stamps';

const RESULT_PIXELS = 9e6;

/**
 * Finds the sheet, squares it up, evens the light, measures it: the background work of one piece. What was found is
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
  const profile = picture && (await inThread({ task: 'measure', bytes: picture.png, name: photo.name, widthMm: w }));
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
    if (!picture || !profile) {
      await tx.update(pieces).set({ state: 'no-sheet', messages: squared.warnings }).where(eq(pieces.id, id));
      return;
    }
    const rectifiedId = await putMade(tx, teacherId, 'rectified', photo.id, photo.name, picture);
    const reading = {
      id: newId(),
      pictureId: rectifiedId,
      profileVersion: PROFILE_VERSION,
      widthMm: w,
      document: profile,
      createdAt: new Date(),
    };
    await tx
      .insert(profiles)
      .values(reading)
      .onDuplicateKeyUpdate({ set: { profileVersion: PROFILE_VERSION } });
    await tx
      .update(pieces)
      .set({ rectifiedId, state: 'ready', messages: squared.warnings, ...(given ? {} : { corners: squared.corners }) })
      .where(eq(pieces.id, id));
    await askToCompare(tx, teacherId, piece);
  });
}

interface Points {
  template: string;
  points: Record<string, [number, number]>;
}

/** A profile's features with the proportions of whatever landmarks have been placed since. */
function withProportions(features: FeatureSet, sets: readonly Points[]): FeatureSet {
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

function measured({ profile, layout }: ProfileWithMaps, sets: readonly Points[], widthMm: number | null): Measured {
  return { features: withProportions(profile.features, sets), palette: profile.palette, layout, widthMm };
}

/** Compares a piece with every work of its study that is not a foil, and stores what was found. */
export async function comparePiece(teacherId: string, id: string): Promise<void> {
  const piece = await pieceOf(teacherId, id);
  if (!piece.rectifiedId) return;
  const db = database();
  const { aim } = await studyOf(teacherId, piece.studyId);
  const sources = await db
    .select()
    .from(works)
    .where(and(eq(works.studyId, piece.studyId), eq(works.foil, false)))
    .orderBy(asc(works.position));
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
  const stamp = stampOf({
    aim,
    piece: { ...piece, sets: ownSets },
    works: sources.map((w) => ({ ...w, sets: workSets.filter((s) => s.workId === w.id) })),
  });
  const measuredWorks: Measured[] = [];
  for (const w of sources)
    measuredWorks.push(
      measured(
        await ensureProfile(teacherId, w.pictureId, w.widthMm),
        workSets.filter((s) => s.workId === w.id),
        w.widthMm,
      ),
    );
  const reading = measured(await ensureProfile(teacherId, piece.rectifiedId, piece.paperWidthMm), ownSets, piece.paperWidthMm);
  const result = await inThread({
    task: 'compare',
    sources: measuredWorks,
    piece: reading,
    options: { as: piece.kind === 'copy' ? 'copy' : 'original', aim },
  });
  const values = {
    stamp,
    closeness: result.closeness.overall,
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
