/** Knows where a work's points come to lie on a piece, the one's picture registered with the other's. */
import { and, eq } from 'drizzle-orm';
import { PROFILE_VERSION, type ProfileWithMaps } from '../../core/style/profile';
import { pieceOf, workOf } from '../accounts/ownership';
import { database } from '../database/connection';
import { ensureProfile } from '../pictures/readings';
import { profiles } from '../schema';
import { inThread } from '../threads/threads';

/**
 * Below this correlation the two pictures are not held to be the same one, and nothing is said. Of 162 pairs of unlike pictures by real
 * hands half lie over 0.31 and one in a hundred over 0.6, at most 0.72; the demo's copies lie over 0.9. No real copies were at hand.
 */
const SAME = 0.7;

/** Where px 0, 0 of a work's picture and those one px to the right and below it come to lie, px of the piece. */
export type Registered = [[number, number], [number, number], [number, number]];

async function readingOf(teacherId: string, what: Parameters<typeof ensureProfile>[1]): Promise<ProfileWithMaps> {
  const [row] = await database()
    .select({ document: profiles.document })
    .from(profiles)
    .where(and(eq(profiles.pictureId, what.pictureId), eq(profiles.profileVersion, PROFILE_VERSION), eq(profiles.place, what.place ?? '')))
    .limit(1);
  return (row?.document as ProfileWithMaps | undefined) ?? ensureProfile(teacherId, what);
}

/** A work's picture laid over a piece; null where what they show does not agree. */
export async function registerPiece(teacherId: string, pieceId: string, workId: string): Promise<Registered | null> {
  const [piece, work] = [await pieceOf(teacherId, pieceId), await workOf(teacherId, workId)];
  if (!piece.rectifiedId || piece.studyId !== work.studyId) return null;
  const source = await readingOf(teacherId, work);
  const drawn = await readingOf(teacherId, { pictureId: piece.rectifiedId, widthMm: null });
  const { correlation, corners } = await inThread({ task: 'register', source: source.layout, piece: drawn.layout });
  if (correlation < SAME) return null;
  const [x, y, w, h] = source.frame;
  const [px, py, pw, ph] = drawn.frame;
  // The layout's corners are those of the picture proper; the picture's own lie outside them by its mount.
  const [o, right, down] = corners.map(([u, v]): [number, number] => [px + u * pw, py + v * ph]);
  const at = (s: number, t: number): [number, number] =>
    [0, 1].map((k) => o[k] + s * (right[k] - o[k]) + t * (down[k] - o[k])) as [number, number];
  return [at(-x / w, -y / h), at((1 - x) / w, -y / h), at(-x / w, (1 - y) / h)];
}
