import { createHash, randomBytes } from 'node:crypto';
import { eq } from 'drizzle-orm';
import sharp from 'sharp';
import { leave, newTeacher, sheetBytes } from '../../tests/support/school';
import { changing, database } from '../database/connection';
import { blobChunks, blobs, pictures } from '../schema';
import { photographPicture } from './stand';
import { readPicture } from './serve';
import { derivedPicture, getBlob, NewPicture, pictureOf, putPicture } from './store';
import { takeInPicture } from './takeIn';

afterAll(leave);

const about = (teacherId: string, more: Partial<NewPicture> = {}): NewPicture => ({
  teacherId,
  role: 'original',
  name: 'sheet.png',
  mime: 'image/png',
  width: 10,
  height: 10,
  ...more,
});
const put = (bytes: Buffer, what: NewPicture) => changing((tx) => putPicture(tx, bytes, what));
/** Takes a picture in as an upload does; gives the upright one's id. */
const takeIn = async (teacherId: string, bytes: Buffer) => {
  const { store } = await takeInPicture(teacherId, bytes, 'sheet.png');
  return { uprightId: await changing(store) };
};
const hash = (b: Buffer) => createHash('sha256').update(b).digest('hex');

test('bytes beyond a megabyte lie in chunks and come back whole', async () => {
  const db = database();
  const bytes = randomBytes(2_500_000);
  const teacher = await newTeacher();
  const id = await put(bytes, about(teacher));
  const { sha256 } = await pictureOf(db, teacher, id);
  expect(sha256).toBe(hash(bytes));
  const chunks = await db.select({ seq: blobChunks.seq }).from(blobChunks).where(eq(blobChunks.sha256, sha256));
  expect(chunks.map((c) => c.seq).sort()).toEqual([0, 1, 2]);
  expect(Buffer.compare(await getBlob(db, sha256), bytes)).toBe(0);
});

test('the same picture is stored once, whoever hands it in and however many at a time; rows stay their owner’s', async () => {
  const db = database();
  const bytes = randomBytes(1_200_000);
  const [ada, bo] = [await newTeacher(), await newTeacher()];
  const ids = await Promise.all([ada, ada, bo, ada, bo, bo].map((t) => put(bytes, about(t))));
  expect(new Set(ids).size).toBe(2);
  expect(new Set([ids[0], ids[1], ids[3]]).size).toBe(1);
  const rows = await db
    .select({ sha256: blobs.sha256 })
    .from(blobs)
    .where(eq(blobs.sha256, hash(bytes)));
  expect(rows).toHaveLength(1);
  expect(Buffer.compare(await getBlob(db, hash(bytes)), bytes)).toBe(0);
  await expect(pictureOf(db, ada, ids[2])).rejects.toMatchObject({ status: 404 });
});

test('bytes whose storing broke off are written anew', async () => {
  const db = database();
  const bytes = randomBytes(1_500_000);
  const sha256 = hash(bytes);
  await db.insert(blobs).values({ sha256, bytes: bytes.length, complete: 0 });
  await db.insert(blobChunks).values({ sha256, seq: 0, data: Buffer.from('half') });
  await put(bytes, about(await newTeacher()));
  expect(Buffer.compare(await getBlob(db, sha256), bytes)).toBe(0);
});

test('an upload becomes an upright picture and a preview; a page gets it whole, smaller, or told that nothing changed', async () => {
  const db = database();
  const teacher = await newTeacher();
  const taken = await takeIn(teacher, await sheetBytes(11));
  expect(await pictureOf(db, teacher, taken.uprightId)).toMatchObject({ width: 480, height: 340 });
  expect((await derivedPicture(db, taken.uprightId, 'preview'))?.mime).toBe('image/jpeg');
  expect(await derivedPicture(db, taken.uprightId, 'rectified')).toBeNull();
  const whole = await readPicture(teacher, taken.uprightId, null, null);
  expect(whole.mime).toBe('image/png');
  const small = await readPicture(teacher, taken.uprightId, 'small', null);
  expect(await sharp(small.bytes!).metadata()).toMatchObject({ format: 'jpeg', width: 400 });
  expect(small.tag).not.toBe(whole.tag);
  expect((await readPicture(teacher, taken.uprightId, 'small', small.tag)).bytes).toBeNull();
  await expect(readPicture(await newTeacher(), taken.uprightId, null, null)).rejects.toMatchObject({ status: 404 });
  // Taking the same in again makes no second row.
  const again = await takeIn(teacher, await sheetBytes(11));
  expect(again.uprightId).toBe(taken.uprightId);
  expect(await db.select({ id: pictures.id }).from(pictures).where(eq(pictures.teacherId, teacher))).toHaveLength(3);
});

test('the stand-in camera photographs a picture, the same way for the same seed', async () => {
  const teacher = await newTeacher();
  const { uprightId } = await takeIn(teacher, await sheetBytes(12));
  const wishes = { rotation: 4, tilt: 8, falloff: 20, warmth: 5, blur: 0.5, noise: 0.01, table: 'wood' as const };
  const one = await photographPicture(teacher, uprightId, wishes, 7);
  expect(one.subarray(0, 3)).toEqual(Buffer.from([0xff, 0xd8, 0xff]));
  expect(hash(await photographPicture(teacher, uprightId, wishes, 7))).toBe(hash(one));
  expect(hash(await photographPicture(teacher, uprightId, wishes, 8))).not.toBe(hash(one));
});
