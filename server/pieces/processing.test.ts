/** What happens to a photograph from its arrival to its comparison and the printed report. */
import { sayFinding } from '../../core/style/words';
import { english } from '../../tests/support/english';
import { message, typed } from '../../core/message';
import { PLAIN_VOICE } from '../../words/say';
import { eq } from 'drizzle-orm';
import sharp from 'sharp';
import { photograph, STAND_DEFAULTS } from '../../core/capture/copyStand';
import { drawnPicture } from '../../tests/support/pictures';
import { leave, newClass, newStudy, newTeacher } from '../../tests/support/school';
import { saveSettings, settingsOf } from '../accounts/settings';
import { changing, database } from '../database/connection';
import { studyReport } from '../exports/report';
import { decodeUpright, encodeJpeg } from '../pictures/decode';
import { ensureProfile } from '../pictures/readings';
import { compareAgain } from '../queue/asking';
import { claim, giveUp } from '../queue/queue';
import { comparisons, jobs, pieces } from '../schema';
import { placeLandmarks } from '../studies/landmarks';
import { addRule } from '../studies/rules';
import { rosterOf } from '../classes/classes';
import { pieceOf, studyOf, workOf } from '../accounts/ownership';
import { StudyFields, updateStudy } from '../studies/studies';
import { addWork } from '../studies/works';
import { addPiece, comparisonOf, listPieces, noteFinding, placeCorners } from './pieces';
import { comparePiece, processPiece } from './processing';

afterAll(leave);

const SHEET = { paperWidthMm: 297, paperHeightMm: 210 };
const drawing = (spacing: number) => drawnPicture(1188, 840, spacing).png().toBuffer();

/** The drawing photographed on a table, tilted and turned. */
async function photo(spacing: number): Promise<{ jpeg: Buffer; corners: [number, number][] }> {
  const sheet = await decodeUpright(await drawing(spacing), 'sheet');
  const shot = photograph(sheet, {
    ...STAND_DEFAULTS,
    seed: spacing,
    width: 1200,
    height: 900,
    paper: [297, 210],
    rotation: 5,
    tilt: 10,
    table: 'plain',
  });
  return { jpeg: await encodeJpeg(shot.image, 92), corners: shot.corners };
}

let teacher = '';
let study = '';
let student = '';
let work = '';
beforeAll(async () => {
  teacher = await newTeacher();
  study = await newStudy(teacher, { classId: await newClass(teacher) });
  student = (await rosterOf(study))[0].id;
  work = await addWork(teacher, study, await drawing(16), 'Ferry.png', { widthMm: 297 });
  const { pictureId, widthMm } = await workOf(teacher, work);
  await ensureProfile(teacher, { pictureId, widthMm });
});

const hand = async (spacing: number, kind: 'copy' | 'original') => {
  const { jpeg, corners } = await photo(spacing);
  const id = await addPiece(teacher, study, jpeg, 'photo.jpg', { studentId: student, kind, attempt: null, title: '', ...SHEET });
  return { id, corners };
};
const change = async (fields: Partial<StudyFields>) => updateStudy(teacher, study, (await studyOf(teacher, study)).version, fields);
const finding = async (id: string, feature: string) => (await comparisonOf(id)).comparison!.findings.find((f) => f.feature === feature);

test('a photograph is squared up, measured and compared; twice makes nothing twice', async () => {
  const { id, corners } = await hand(28, 'original');
  await processPiece(teacher, id);
  const piece = await pieceOf(teacher, id);
  expect(piece.state).toBe('ready');
  // The stand knows where the corners are.
  piece.corners!.forEach((c, i) => expect(Math.hypot(c[0] - corners[i][0], c[1] - corners[i][1])).toBeLessThan(6));
  await comparePiece(teacher, id);
  // Lines nearly twice as far apart as the master's are found farther apart, in mm.
  const spacing = await finding(id, 'marks.spacing');
  expect(spacing!.unit).toBe('mm');
  expect(english(sayFinding(spacing!))).toMatch(/farther apart than the master’s: [\d.]+ mm against [\d.]+ mm/);
  expect(spacing!.piece / spacing!.master.mid).toBeCloseTo(28 / 16, 1);
  const stamp = async () =>
    (await database().select({ stamp: comparisons.stamp }).from(comparisons).where(eq(comparisons.pieceId, id)))[0].stamp;
  const before = await stamp();
  await processPiece(teacher, id);
  await comparePiece(teacher, id);
  expect(await stamp()).toBe(before);
  expect((await pieceOf(teacher, id)).rectifiedId).toBe(piece.rectifiedId);
  await placeLandmarks(
    teacher,
    { subject: 'piece', subjectId: id, template: 'figure-standing' },
    0,
    { crown: [10, 10], chin: [10, 40], sole: [10, 130] },
    null,
  );
  await comparePiece(teacher, id);
  expect(await stamp()).not.toBe(before);
});

test('while a piece is looked at anew its findings are told to be of before', async () => {
  const { id, corners } = await hand(28, 'original');
  const renewing = async () => (await comparisonOf(id)).renewing;
  await processPiece(teacher, id);
  await comparePiece(teacher, id);
  const done = () => database().update(jobs).set({ state: 'done' }).where(eq(jobs.pieceId, id));
  await done();
  expect(await renewing()).toBe(false);
  await placeCorners(teacher, id, (await pieceOf(teacher, id)).version, corners.map(([x, y]) => [x + 1, y]) as typeof corners);
  expect(await renewing()).toBe(true);
  expect((await comparisonOf(id)).comparison).not.toBeNull();
  await done();
  expect(await renewing()).toBe(false);
});

test('a copy is held place by place as a replica or study, and not when remembered', async () => {
  const { id } = await hand(16, 'copy');
  await processPiece(teacher, id);
  const places = async () => {
    await comparePiece(teacher, id);
    return (await comparisonOf(id)).comparison!.findings.filter((f) => f.feature.startsWith('place.')).length;
  };
  await change({ aim: 'replica' });
  expect(await places()).toBeGreaterThan(5);
  await change({ aim: 'remembered' });
  expect(await places()).toBe(0);
  await change({ aim: 'study' });
  expect(await places()).toBeGreaterThan(5);
  expect((await comparisonOf(id)).comparison!.ownInvention).toBeLessThan(25);
});

test('another aim and a changed work ask for new comparisons of what is ready, and of nothing else', async () => {
  const db = database();
  await db.delete(jobs).where(eq(jobs.studyId, study));
  const waiting = await hand(20, 'original');
  await change({ aim: 'remembered' });
  await change({ aim: 'remembered' });
  await changing((tx) => compareAgain(tx, teacher, study));
  const asked = (await db.select().from(jobs).where(eq(jobs.studyId, study))).filter((j) => j.kind === 'compare-piece');
  const ready = (await listPieces(study)).filter((p) => p.state === 'ready');
  expect(asked.map((j) => j.pieceId).sort()).toEqual(ready.map((p) => p.id).sort());
  expect(asked.map((j) => j.pieceId)).not.toContain(waiting.id);
});

test('no sheet is said, never made up; corners by hand help', async () => {
  const cloth = await sharp({
    create: { width: 900, height: 700, channels: 3, background: '#777', noise: { type: 'gaussian', mean: 120, sigma: 12 } },
  })
    .jpeg()
    .toBuffer();
  const id = await addPiece(teacher, study, cloth, 'cloth.jpg', {
    studentId: student,
    kind: 'warm-up',
    attempt: null,
    title: '',
    ...SHEET,
  });
  await processPiece(teacher, id);
  const lost = await pieceOf(teacher, id);
  expect(lost).toMatchObject({ state: 'no-sheet', rectifiedId: null, corners: null });
  expect(lost.messages).not.toBe('');
  await placeCorners(teacher, id, lost.version, [
    [100, 80],
    [800, 90],
    [790, 600],
    [90, 590],
  ]);
  await processPiece(teacher, id);
  expect(await pieceOf(teacher, id)).toMatchObject({
    state: 'ready',
    placedByHand: true,
    corners: [
      [100, 80],
      [800, 90],
      [790, 600],
      [90, 590],
    ],
  });
});

test('work that was given up for good is told on the piece', async () => {
  const db = database();
  const { id } = await hand(24, 'original');
  await db
    .update(jobs)
    .set({ priority: 99 })
    .where(eq(jobs.workKey, `process-piece:${id}`));
  const job = (await claim(db, 'me'))!;
  const why = message('errors.picture.damaged', { name: typed('photo.jpg') });
  await giveUp(db, job, 'me', why, true);
  expect((await listPieces(study)).find((p) => p.id === id)).toMatchObject({ state: 'failed', messages: [why] });
  expect((await db.select({ state: pieces.state }).from(pieces).where(eq(pieces.id, id)))[0].state).toBe('waiting');
});

test('the report prints rules, palette, plan and a page a student, on the teacher’s paper', async () => {
  await addRule(teacher, study, { kind: 'feature', feature: 'marks.spacing', sentence: 'Lines 4 mm apart.', evidence: 'Ferry' });
  const [piece] = (await listPieces(study)).filter((p) => p.closeness !== null);
  await noteFinding(teacher, piece.id, {
    feature: 'marks.spacing',
    setAside: false,
    note: 'Try the finer nib.',
    version: 0,
  });
  const { pdf, name } = await studyReport(teacher, study, PLAIN_VOICE);
  expect(name).toMatch(/\.pdf$/);
  const text = Buffer.from(pdf).toString('latin1');
  expect(text.startsWith('%PDF-')).toBe(true);
  const boxes = [...text.matchAll(/\/MediaBox \[0 0 ([\d.]+) ([\d.]+)\]/g)].map((m) => [Number(m[1]), Number(m[2])]);
  expect(boxes.length).toBeGreaterThanOrEqual(4);
  // ISO 216: A4 is 210 × 297 mm, at 72 points an inch.
  for (const [w, h] of boxes) {
    expect(w).toBeCloseTo((210 * 72) / 25.4, 1);
    expect(h).toBeCloseTo((297 * 72) / 25.4, 1);
  }
  await saveSettings(teacher, { ...(await settingsOf(teacher)), paper: 'Letter' });
  const letter = Buffer.from((await studyReport(teacher, study, PLAIN_VOICE)).pdf).toString('latin1');
  expect(letter).toMatch(/\/MediaBox \[0 0 612 792\]/);
  await expect(studyReport(teacher, await newStudy(teacher), PLAIN_VOICE)).rejects.toMatchObject({
    message: expect.stringMatching(/at least one work/),
  });
  await expect(studyReport(await newTeacher(), study, PLAIN_VOICE)).rejects.toMatchObject({ status: 404 });
});
