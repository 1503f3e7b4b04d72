/** Knows the readings of a picture: taken once by each version of the core at each known width, then kept. */
import { and, eq } from 'drizzle-orm';
import { PROFILE_VERSION, type ProfileWithMaps } from '../../core/style/profile';
import { changing, database, newId } from '../database/connection';
import { isOrphan } from '../database/failures';
import { profiles } from '../schema';
import { inThread } from '../threads/threads';
import { getBlob, pictureOf } from './store';

/** Readings by the present core of a picture at a width, mm; 0 stands for an unknown one. */
const taken = (pictureId: string, widthMm: number | null) =>
  and(eq(profiles.pictureId, pictureId), eq(profiles.profileVersion, PROFILE_VERSION), eq(profiles.widthMm, widthMm ?? 0));

/** Readings of a picture at a known width by the present core; null until they have been taken. */
export async function profileOf(pictureId: string, widthMm: number | null): Promise<ProfileWithMaps | null> {
  const [row] = await database().select({ document: profiles.document }).from(profiles).where(taken(pictureId, widthMm));
  return (row?.document as ProfileWithMaps | undefined) ?? null;
}

/** Measures a picture unless that has been done already; the result is stored once. */
export async function ensureProfile(teacherId: string, pictureId: string, widthMm: number | null): Promise<ProfileWithMaps> {
  const there = await profileOf(pictureId, widthMm);
  if (there) return there;
  const db = database();
  const picture = await pictureOf(db, teacherId, pictureId);
  const document = await inThread({ task: 'measure', bytes: await getBlob(db, picture.sha256), name: picture.name, widthMm });
  const row = { id: newId(), pictureId, profileVersion: PROFILE_VERSION, widthMm: widthMm ?? 0, document, createdAt: new Date() };
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
