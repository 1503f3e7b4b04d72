/** Knows the background work on a piece: squared up, measured, and held against the master's works. */
import { createHash } from 'node:crypto';
import { and, asc, eq } from 'drizzle-orm';
import { Measured } from '../../core/style/compare';
import { featureSpec, FeatureSet } from '../../core/style/features';
import { PROFILE_VERSION, ProfileWithMaps } from '../../core/style/profile';
import { measureProportions } from '../../core/proportion/measures';
import { isTemplate } from '../../core/proportion/templates';
import { database } from '../database/connection';
import { inThread } from '../jobs/threads';
import { getBlob, pictureOf, putPicture } from '../pictures/store';
import { putMade } from '../pictures/takeIn';
import { comparisons, landmarkSets, pieces, works } from '../schema';
import { landmarksOn } from '../studies/landmarkRows';
import { studyOf } from '../studies/studies';
import { ensureProfile } from '../studies/works';
import { askToCompare } from './asking';
import { pieceOf } from './pieces';

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
  const rectifiedId = await putMade(teacherId, 'rectified', photo.id, photo.name, told.picture);
  await ensureProfile(teacherId, rectifiedId, w);
  await db
    .update(pieces)
    .set({ rectifiedId, state: 'ready', told: told.warnings.join(' '), ...(given ? {} : { corners: told.corners }) })
    .where(and(eq(pieces.id, id), eq(pieces.version, piece.version)));
  await askToCompare(teacherId, piece);
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
  const sets = await database().select().from(landmarkSets).where(landmarksOn(subject, subjectId)); // prettier-ignore
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
  const study = await studyOf(teacherId, piece.studyId);
  const own = await measuredOf(teacherId, piece.rectifiedId, piece.paperWidthMm, 'piece', piece.id);
  const stamp = createHash('sha256').update([PROFILE_VERSION, study.aim, own.stamp, ...held.map((h) => h.stamp)].join('|')).digest('hex'); // prettier-ignore
  const result = await inThread({
    task: 'compare',
    sources: held.map((h) => h.measured),
    piece: own.measured,
    options: { as: piece.kind === 'copy' ? 'copy' : 'original', aim: study.aim },
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
