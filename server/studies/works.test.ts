import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { eq } from 'drizzle-orm';
import sharp from 'sharp';
import { message } from '../../core/message';
import { PROFILE_VERSION } from '../../core/style/profile';
import { leave, newStudy, newTeacher, sheetBytes } from '../../tests/support/school';
import { database } from '../database/connection';
import { askForWhatWaits } from '../jobs/waiting';
import { ensureProfile, profileOf } from '../pictures/readings';
import { Job } from '../queue/queue';
import { getBlob } from '../pictures/store';
import { jobs, pictures, profiles } from '../schema';
import { workOf } from '../accounts/ownership';
import { step } from '../edits/log';
import { landmarksOf, placeLandmarks } from './landmarks';
import { addPin } from './noted';
import { straightenWork } from './remaking';
import { addWork, listWorks, updateWork } from './works';

afterAll(leave);

let teacher = '';
let study = '';
beforeEach(async () => {
  await database().delete(jobs);
  teacher = await newTeacher();
  study = await newStudy(teacher);
});
const asked = async (): Promise<Job[]> => database().select().from(jobs).where(eq(jobs.studyId, study));

test('a new work takes its title from the file, is asked to be measured once, and a width changes its readings', async () => {
  const id = await addWork(teacher, study, await sheetBytes(18), 'Evening ferry.png', {});
  expect((await listWorks(study))[0]).toMatchObject({
    title: 'Evening ferry',
    widthMm: null,
    pictureWidth: 480,
  });
  expect(await asked()).toMatchObject([{ kind: 'measure-work', state: 'queued', workId: id }]);
  const { pictureId } = await workOf(teacher, id);
  expect(await profileOf({ pictureId, widthMm: null })).toBeNull();
  const bare = await ensureProfile(teacher, { pictureId, widthMm: null });
  expect(bare.profile.marks.overall.spacing!.mm).toBeNull();
  await updateWork(teacher, id, 1, { widthMm: 240 });
  expect(await profileOf({ pictureId, widthMm: 240 })).toBeNull();
  const sized = await ensureProfile(teacher, { pictureId, widthMm: 240 });
  const { spacing } = sized.profile.marks.overall;
  expect(spacing!.mm).toBeCloseTo((spacing!.px * 240) / 480, 6);
  // Both are kept: undoing the width needs no new measuring.
  expect(await profileOf({ pictureId, widthMm: null })).toEqual(bare);
});

test('a phone’s own picture comes in as it is, upright and in its own colours', async () => {
  const heic = readFileSync(join(__dirname, '../../tests/support/fields-p3.heic'));
  const id = await addWork(teacher, study, heic, 'IMG_0007.HEIC', {});
  const { pictureId } = await workOf(teacher, id);
  const [upright] = await database().select().from(pictures).where(eq(pictures.id, pictureId));
  expect(upright).toMatchObject({ role: 'upright', mime: 'image/png', width: 80, height: 60 });
  const { data } = await sharp(await getBlob(database(), upright.sha256))
    .raw()
    .toBuffer({ resolveWithObject: true });
  const red = [...data.subarray(3 * (15 * 80 + 60), 3 * (15 * 80 + 60) + 3)];
  [0xc0, 0x20, 0x18].forEach((v, c) => expect(Math.abs(red[c] - v)).toBeLessThan(5));
  const [original] = await database().select().from(pictures).where(eq(pictures.id, upright.madeFrom));
  expect(original.mime).toBe('image/heic');
});

test('a work is listed with its points and kept patches, as they were placed', async () => {
  const id = await addWork(teacher, study, await sheetBytes(18), 'Ferry.png', {});
  await addWork(teacher, study, await sheetBytes(19), 'Bare.png', {});
  const points = { crown: [100.25, 20], chin: [101, 60.5] } as Record<string, [number, number]>;
  await placeLandmarks(teacher, { subject: 'work', subjectId: id, template: 'face-front' }, 0, points, null);
  await addPin(teacher, id, [10, 20, 60, 60], {});
  await addPin(teacher, id, [90, 20, 60, 60], {});
  const [placed, bare] = await listWorks(study);
  expect(placed.sets).toEqual([{ template: 'face-front', name: '', points, hidden: null, again: null, version: 1 }]);
  expect(placed.patches).toEqual([
    [10, 20, 60, 60],
    [90, 20, 60, 60],
  ]);
  expect([bare.sets, bare.patches]).toEqual([[], []]);
});

test('two servers measuring the same picture store one reading', async () => {
  const id = await addWork(teacher, study, await sheetBytes(19), 'a.png', { widthMm: 200 });
  const { pictureId } = await workOf(teacher, id);
  const [a, b] = await Promise.all([
    ensureProfile(teacher, { pictureId, widthMm: 200 }),
    ensureProfile(teacher, { pictureId, widthMm: 200 }),
  ]);
  expect(a).toEqual(b);
  expect(await database().select({ id: profiles.id }).from(profiles).where(eq(profiles.pictureId, pictureId))).toHaveLength(1);
});

test('what an older core has read is asked for anew, what the present one has read is not', async () => {
  const db = database();
  const old = await addWork(teacher, study, await sheetBytes(21), 'old.png', { widthMm: 200 });
  const fresh = await addWork(teacher, study, await sheetBytes(22), 'fresh.png', {});
  for (const id of [old, fresh]) {
    const { pictureId, widthMm } = await workOf(teacher, id);
    await ensureProfile(teacher, { pictureId, widthMm });
  }
  await db
    .update(profiles)
    .set({ profileVersion: PROFILE_VERSION - 1 })
    .where(eq(profiles.pictureId, (await workOf(teacher, old)).pictureId));
  await db.delete(jobs);
  expect((await askForWhatWaits()).works).toBeGreaterThanOrEqual(1);
  expect((await asked()).map((j) => j.workId)).toEqual([old]);
  // Asking again while it waits adds nothing.
  await askForWhatWaits();
  expect(await asked()).toHaveLength(1);
});

test('a study holds two dozen works at most, and a picture that is none leaves nothing behind', async () => {
  await expect(addWork(teacher, study, Buffer.from('words'), 'a.png', {})).rejects.toMatchObject({ status: 415, field: 'picture' });
  expect(await listWorks(study)).toEqual([]);
  expect(await asked()).toEqual([]);
  const sheet = await sheetBytes(23, 64, 48);
  for (let i = 0; i < 24; i++) await addWork(teacher, study, sheet, `w${i}.png`, {});
  await expect(addWork(teacher, study, sheet, 'one-more.png', {})).rejects.toMatchObject({
    status: 400,
    message: expect.stringMatching(/at most 24 works/),
  });
});

test('a work photographed at a slant is laid flat by its corners; points and patches go along, and undo brings the photograph back', async () => {
  const id = await addWork(teacher, study, await sheetBytes(14, 480, 340), 'evening_ferry-1921.png', {});
  expect(await workOf(teacher, id)).toMatchObject({ title: 'evening ferry', dated: '1921' });
  await placeLandmarks(
    teacher,
    { subject: 'work', subjectId: id, template: 'free' },
    0,
    { in: [240, 170], out: [5, 5] },
    message('edits.points'),
  );
  const { version, pictureId } = await workOf(teacher, id);
  const corners: [number, number][] = [
    [60, 40],
    [420, 40],
    [420, 300],
    [60, 300],
  ];
  const refused = (c: unknown, v = version) => expect(straightenWork(teacher, id, v, c as [number, number][])).rejects;
  await refused(corners, version + 1).toMatchObject({ status: 409 });
  await refused([corners[0], corners[2], corners[1], corners[3]]).toMatchObject({ said: { key: expect.stringMatching(/corners/) } });
  await straightenWork(teacher, id, version, corners);
  const [work] = await listWorks(study);
  expect([work.pictureWidth, work.pictureHeight]).toEqual([360, 260]);
  const [{ points }] = await landmarksOf(teacher, 'work', id);
  expect(Object.keys(points)).toEqual(['in']);
  points.in.forEach((v, i) => expect(v).toBeCloseTo([180, 130][i], 3));
  await step(teacher, study, 'undo');
  expect((await workOf(teacher, id)).pictureId).toBe(pictureId);
});
