/** Knows the stand-in camera: photographs a chosen picture of the teacher's with the simulated copy stand. */
import { STAND_DEFAULTS, TableKind } from '../../core/capture/copyStand';
import { database } from '../database/connection';
import { inThread } from '../threads/threads';
import { getBlob, pictureOf } from './store';

export interface StandWishes {
  rotation: number;
  tilt: number;
  /** Per cent. */
  falloff: number;
  /** −20 cool to 20 warm. */
  warmth: number;
  blur: number;
  noise: number;
  table: TableKind;
}

/** A JPEG photograph of the picture; its sheet is as wide as given, or 300 mm. */
export async function photographPicture(teacherId: string, pictureId: string, wishes: StandWishes, seed: number): Promise<Buffer> {
  const db = database();
  const picture = await pictureOf(db, teacherId, pictureId);
  const w = 300;
  const landscape = picture.width >= picture.height;
  const settings = {
    ...STAND_DEFAULTS,
    seed,
    width: landscape ? 2000 : 1500,
    height: landscape ? 1500 : 2000,
    paper: [w, (w * picture.height) / picture.width] as const,
    rotation: wishes.rotation,
    tilt: wishes.tilt,
    falloff: wishes.falloff / 100,
    cast: [1 + wishes.warmth / 100, 1, 1 - wishes.warmth / 100] as const,
    blur: wishes.blur,
    noise: wishes.noise,
    table: wishes.table,
  };
  const { jpeg } = await inThread({
    task: 'stand',
    bytes: await getBlob(db, picture.sha256),
    name: picture.name,
    settings,
    quality: 90,
  });
  return Buffer.from(jpeg);
}
