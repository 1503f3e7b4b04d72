/** Pieces that come whole: a scan or digital work is read as it is, an object by its colours, values and places alone. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { eq } from 'drizzle-orm';
import sharp from 'sharp';
import type { Comparison } from '../../core/style/compare';
import { leave, newStudy, newTeacher, sheetBytes } from '../../tests/support/school';
import { pieceOf, studyOf } from '../accounts/ownership';
import { database } from '../database/connection';
import { ensureProfile } from '../pictures/readings';
import { readPicture } from '../pictures/serve';
import { comparisons, pictures } from '../schema';
import { workOf } from '../accounts/ownership';
import { addWork } from '../studies/works';
import { addPiece, changeCapture } from './pieces';
import { comparePiece, processPiece } from './processing';

afterAll(leave);

const about = { studentId: null, kind: 'original', attempt: null, title: '', paperWidthMm: 297, paperHeightMm: 210 } as const;

async function made(teacher: string, study: string, more: Partial<Parameters<typeof addPiece>[4]>, width = 600, height = 400) {
  const id = await addPiece(teacher, study, await sheetBytes(17, width, height), 'own.png', { ...about, ...more });
  await processPiece(teacher, id);
  return pieceOf(teacher, id);
}

test('a file keeps its shape and is as large as the sheet, as it prints, or of no size; no corner is looked for', async () => {
  const teacher = await newTeacher();
  const study = await newStudy(teacher);
  const sheet = await made(teacher, study, { capture: 'whole', size: 'sheet' });
  expect(sheet).toMatchObject({ state: 'ready', corners: null, sized: true, paperWidthMm: 297, paperHeightMm: 198 });
  const [upright] = await database().select().from(pictures).where(eq(pictures.id, sheet.rectifiedId!));
  expect([upright.width, upright.height]).toEqual([600, 400]);
  // 600 px at 300 dpi are two inches.
  const print = await made(teacher, study, { capture: 'whole', size: 'print' });
  expect(print.paperWidthMm).toBeCloseTo(50.8, 6);
  expect(print.paperHeightMm).toBeCloseTo(33.8667, 3);
  expect(await made(teacher, study, { capture: 'whole', size: 'none' }, 400, 600)).toMatchObject({ sized: false, paperHeightMm: 297 });
});

test('an object is held to the works by colour, value and placing; a digital work of no size by marks too', async () => {
  const teacher = await newTeacher();
  const study = await newStudy(teacher);
  for (const spacing of [14, 15]) {
    const id = await addWork(teacher, study, await sheetBytes(spacing), `w${spacing}.png`, { widthMm: 297 });
    await ensureProfile(teacher, await workOf(teacher, id));
  }
  const groupsOf = async (capture: 'whole' | 'object') => {
    const { id } = await made(teacher, study, { capture, size: 'none' });
    await comparePiece(teacher, id);
    const [row] = await database().select().from(comparisons).where(eq(comparisons.pieceId, id));
    return (row.document as Comparison).closeness.groups;
  };
  const object = await groupsOf('object');
  expect([object.marks, object.proportion]).toEqual([null, null]);
  expect(object.colour).not.toBeNull();
  expect(object.value).not.toBeNull();
  expect((await groupsOf('whole')).marks).not.toBeNull();
});

test('a phone’s own kind of photograph is shown in a browser before and after it is put upright', async () => {
  const teacher = await newTeacher();
  const study = await newStudy(teacher);
  const heic = readFileSync(join(__dirname, '../../tests/support/fields-p3.heic'));
  const id = await addPiece(teacher, study, heic, 'IMG_0007.HEIC', { ...about, capture: 'whole', size: 'none' });
  const { photoId } = await pieceOf(teacher, id);
  const seen = async (size: string | null) => {
    const { bytes, mime } = await readPicture(teacher, photoId, size, null);
    const { format, width, height } = await sharp(bytes!).metadata();
    return [mime, format, width, height];
  };
  const asBrowsersShow = async () => {
    expect(await seen(null)).toEqual(['image/png', 'png', 80, 60]);
    expect(await seen('screen')).toEqual(['image/jpeg', 'jpeg', 80, 60]);
    expect((await seen('small')).slice(0, 2)).toEqual(['image/jpeg', 'jpeg']);
  };
  await asBrowsersShow();
  await processPiece(teacher, id);
  expect(await pieceOf(teacher, id)).toMatchObject({ state: 'ready' });
  await asBrowsersShow();
});

test('what was handed in as a photograph of a sheet can be taken whole, and back, on the study’s sheet', async () => {
  const teacher = await newTeacher();
  const study = await newStudy(teacher);
  const { id, version } = await made(teacher, study, {}, 640, 400);
  await changeCapture(teacher, id, version, { capture: 'whole', size: 'sheet' });
  const waiting = await pieceOf(teacher, id);
  expect(waiting).toMatchObject({ state: 'waiting', capture: 'whole', version: version + 1, corners: null, placedByHand: false });
  await processPiece(teacher, id);
  const whole = await pieceOf(teacher, id);
  expect(whole).toMatchObject({ state: 'ready', corners: null, sized: true, messages: [] });
  expect(whole.paperWidthMm / whole.paperHeightMm).toBeCloseTo(1.6, 6);
  await expect(changeCapture(teacher, id, version, { capture: 'object', size: 'none' })).rejects.toMatchObject({ status: 409 });
  await changeCapture(teacher, id, whole.version, { capture: 'object', size: 'sheet' });
  expect(await pieceOf(teacher, id)).toMatchObject({ capture: 'object', sized: false });
  await changeCapture(teacher, id, whole.version + 1, { capture: 'photograph', size: 'sheet' });
  const { paperWidthMm, paperHeightMm } = await studyOf(teacher, study);
  expect(await pieceOf(teacher, id)).toMatchObject({ capture: 'photograph', sized: true, paperWidthMm, paperHeightMm });
});
