/** Knows the readings of a picture: taken once by each version of the core at each known width, place and scale, then kept. */
import { createHash } from 'node:crypto';
import { and, eq } from 'drizzle-orm';
import { PROFILE_VERSION, type ProfileWithMaps } from '../../core/style/profile';
import { Rung, rungName } from '../../core/style/scale';
import { changing, database, newId } from '../database/connection';
import { isOrphan } from '../database/failures';
import { profiles } from '../schema';
import type { Frame, Outline } from '../schema/studies';
import { inThread } from '../threads/threads';
import { getBlob, pictureOf } from './store';

/** A picture as it is to be read. */
export interface ToRead {
  pictureId: string;
  /** Real width of the picture proper, or null. */
  widthMm: number | null;
  /** The picture proper where it was given, what is left out, and the key of both. */
  frame?: Frame | null;
  leftOut?: Outline[] | null;
  place?: string;
}

/** At one rung of the ladder, of a picture whose own detail is known; without one it is read as finely as it is known. */
export interface AtScale {
  rung: Rung;
  frame: Frame;
  sharpness: number;
}

/** The key under which readings are kept of a frame and places left out. */
export function placeOf(frame: Frame | null, leftOut: Outline[] | null): string {
  if (!frame && !leftOut?.length) return '';
  return createHash('sha256')
    .update(JSON.stringify([frame, leftOut ?? []]))
    .digest('hex');
}

/** Readings by the present core; a width of 0 stands for an unknown one. */
const taken = ({ pictureId, widthMm, place }: ToRead, rung: Rung | null) =>
  and(
    eq(profiles.pictureId, pictureId),
    eq(profiles.profileVersion, PROFILE_VERSION),
    eq(profiles.widthMm, widthMm ?? 0),
    eq(profiles.place, place ?? ''),
    eq(profiles.rung, rungName(rung)),
  );

/** Readings of a picture by the present core; null until they have been taken. */
export async function profileOf(what: ToRead, rung: Rung | null = null): Promise<ProfileWithMaps | null> {
  const [row] = await database().select({ document: profiles.document }).from(profiles).where(taken(what, rung));
  return (row?.document as ProfileWithMaps | undefined) ?? null;
}

/** Measures a picture unless that has been done already; the result is stored once. */
export async function ensureProfile(teacherId: string, what: ToRead, at: AtScale | null = null): Promise<ProfileWithMaps> {
  const rung = at?.rung ?? null;
  const there = await profileOf(what, rung);
  if (there) return there;
  const db = database();
  const picture = await pictureOf(db, teacherId, what.pictureId);
  const document = await inThread({
    task: 'measure',
    bytes: await getBlob(db, picture.sha256),
    name: picture.name,
    options: {
      widthMm: what.widthMm,
      frame: at?.frame ?? what.frame ?? null,
      leftOut: what.leftOut ?? null,
      rung,
      ...(at && { sharpness: at.sharpness }),
    },
  });
  const row = {
    id: newId(),
    pictureId: what.pictureId,
    profileVersion: PROFILE_VERSION,
    widthMm: what.widthMm ?? 0,
    place: what.place ?? '',
    rung: rungName(rung),
    document,
    createdAt: new Date(),
  };
  await changing((tx) =>
    tx
      .insert(profiles)
      .values(row)
      .onDuplicateKeyUpdate({ set: { profileVersion: PROFILE_VERSION } }),
  ).catch((error: unknown) => {
    if (!isOrphan(error)) throw error;
  });
  return document;
}
