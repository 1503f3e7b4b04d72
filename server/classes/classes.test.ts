/** Classes as they change through a year, each step taken back, and nobody's name kept who was deleted. */
import { eq } from 'drizzle-orm';
import { english } from '../../tests/support/english';
import { leave, newClass, newStudy, newTeacher, sheetBytes } from '../../tests/support/school';
import { rosterAsCsv } from '../../core/formats/rosterFile';
import { database } from '../database/connection';
import { editState, step } from '../edits/log';
import { addPiece } from '../pieces/pieces';
import { studyOf } from '../accounts/ownership';
import { planOf } from '../lessons/plans';
import { removeClass, removeStudent } from '../removal/removal';
import { classNamesOf, listStudies, otherClassesOf, updateStudy } from '../studies/studies';
import { edits } from '../schema';
import {
  addStudents,
  changeClass,
  changeStudent,
  classesToChoose,
  createClass,
  heedOf,
  listClasses,
  nextYear,
  orderStudents,
  rosterOf,
} from './classes';

afterAll(leave);

let teacher = '';
let group = '';
beforeEach(async () => {
  teacher = await newTeacher();
  group = await newClass(teacher);
});
const undo = async () => english((await step(teacher, null, 'undo')).label);
const classOf = async (id = group) => (await listClasses(teacher)).find((c) => c.id === id)!;
const names = async (id = group) => (await classOf(id)).students.map((s) => s.name);
const student = async (name: string, id = group) => (await classOf(id)).students.find((s) => s.name === name)!;

test('a student is added, renamed, put in order, moved and taken off the list, and back again', async () => {
  await addStudents(teacher, group, [
    { firstName: 'Dov', initial: 'K', seat: 'A1', leftHanded: true },
    { firstName: 'ada', initial: 'M' },
  ]);
  expect(await names()).toEqual(['Ada M', 'Bo M', 'Cleo M', 'Dov K', 'ada M 2']);
  expect(await student('Dov K')).toMatchObject({ seat: 'A1', leftHanded: true, needs: '', left: false });
  const dov = await student('Dov K');
  await changeStudent(teacher, dov.id, dov.version, { firstName: 'Dave', needs: 'sits in front' });
  await orderStudents(teacher, group, [dov.id, ...(await classOf()).students.filter((s) => s.id !== dov.id).map((s) => s.id)]);
  expect(await names()).toEqual(['Dave K', 'Ada M', 'Bo M', 'Cleo M', 'ada M 2']);
  const other = await createClass(teacher, '8B', '', [{ firstName: 'Ada', initial: 'M' }]);
  const ada = await student('Ada M');
  await changeStudent(teacher, ada.id, ada.version, { classId: other });
  expect(await names(other)).toEqual(['Ada M', 'Ada M 2']);
  const bo = await student('Bo M');
  await changeStudent(teacher, bo.id, bo.version, { left: true });
  expect((await student('Bo M')).left).toBe(true);
  expect(await undo()).toBe('“Bo M”');
  expect((await student('Bo M')).left).toBe(false);
  await undo();
  expect(await names(other)).toEqual(['Ada M']);
  for (let i = 0; i < 3; i++) await undo();
  expect(await names()).toEqual(['Ada M', 'Bo M', 'Cleo M', 'Dov K', 'ada M 2']);
  expect((await student('Dov K')).needs).toBe('');
  await undo();
  expect(await names()).toEqual(['Ada M', 'Bo M', 'Cleo M']);
});

test('those left out of an order stay behind it as they were', async () => {
  const [ada, bo] = (await classOf()).students;
  await orderStudents(teacher, group, [bo.id, ada.id]);
  expect(await names()).toEqual(['Bo M', 'Ada M', 'Cleo M']);
});

test('whoever left the list hands in no more, but what they handed in is still theirs', async () => {
  const study = await newStudy(teacher, { classId: group });
  const [ada, bo] = (await classOf()).students;
  await addPiece(teacher, study, await sheetBytes(), 'ada.png', {
    studentId: ada.id,
    kind: 'copy',
    attempt: null,
    title: '',
    paperWidthMm: 297,
    paperHeightMm: 210,
  });
  for (const s of [ada, bo]) await changeStudent(teacher, s.id, s.version, { left: true });
  expect((await rosterOf(study)).map((s) => s.name)).toEqual(['Ada M', 'Cleo M']);
});

test('a lesson is told whom it has to heed, of those who still come', async () => {
  const study = await newStudy(teacher, { classId: group });
  const [ada, bo, cleo] = (await classOf()).students;
  await changeStudent(teacher, ada.id, ada.version, { leftHanded: true, left: true });
  await changeStudent(teacher, bo.id, bo.version, { leftHanded: true });
  await changeStudent(teacher, cleo.id, cleo.version, { needs: 'large print' });
  const needs = [{ name: 'Cleo M', text: 'large print' }];
  expect(await heedOf(study, 'left')).toEqual({ leftHanded: ['Bo M'], oneself: false, needs });
  // Who studies alone is told of the own hand.
  const alone = await newStudy(teacher);
  expect(await heedOf(alone, 'right')).toEqual({ leftHanded: [], oneself: false, needs: [] });
  expect(await heedOf(alone, 'left')).toEqual({ leftHanded: [], oneself: true, needs: [] });
});

test('several classes take part in one study: one roster, equal names told apart, all of them hand in, each step undone', async () => {
  const second = await createClass(teacher, '7B', 'Fennick Lane School', [
    { firstName: 'Ada', initial: 'M' },
    { firstName: 'Dov', initial: 'S' },
  ]);
  const study = await newStudy(teacher, { classId: group });
  const dov = (await classOf(second)).students.find((s) => s.name === 'Dov S')!;
  const piece = { studentId: dov.id, kind: 'copy', attempt: null, title: '', paperWidthMm: 297, paperHeightMm: 210 } as const;
  await expect(addPiece(teacher, study, await sheetBytes(31), 'a.png', piece)).rejects.toMatchObject({ status: 404 });
  const version = await updateStudy(teacher, study, 1, { otherClasses: [second, second] });
  expect((await rosterOf(study)).map((s) => s.name)).toEqual(['Ada M (7A)', 'Bo M', 'Cleo M', 'Ada M (7B)', 'Dov S']);
  expect(await otherClassesOf(study)).toEqual([second]);
  expect(await classNamesOf(study)).toEqual(['7A', '7B']);
  expect((await listStudies(teacher)).find((s) => s.id === study)!.className).toBe('7A, 7B');
  expect((await planOf(await studyOf(teacher, study))).plan.classSize).toBe(5);
  await addPiece(teacher, study, await sheetBytes(31), 'a.png', piece);
  await expect(updateStudy(teacher, study, version, { otherClasses: [await newClass(await newTeacher())] })).rejects.toMatchObject({
    status: 404,
  });
  await step(teacher, study, 'undo');
  // What was handed in stays on the roster.
  expect((await rosterOf(study)).map((s) => s.name)).toEqual(['Ada M', 'Bo M', 'Cleo M', 'Dov S']);
  await step(teacher, study, 'redo');
  await removeClass(teacher, second, '7B');
  expect((await rosterOf(study)).map((s) => s.name)).toEqual(['Ada M', 'Bo M', 'Cleo M']);
  expect(await otherClassesOf(study)).toEqual([]);
});

test('next year begins with those who still come, and this class is put away; one undo brings both back', async () => {
  const [ada, bo] = (await classOf()).students;
  await changeStudent(teacher, ada.id, ada.version, { left: true });
  await changeStudent(teacher, bo.id, bo.version, { leftHanded: true, table: '3' });
  const next = await nextYear(teacher, group, '8A');
  expect(await names(next)).toEqual(['Bo M', 'Cleo M']);
  expect(await student('Bo M', next)).toMatchObject({ leftHanded: true, table: '3' });
  expect((await classOf()).archived).toBe(true);
  const offered = async (chosen: string | null) => (await classesToChoose(teacher, chosen)).map((c) => [c.name, c.count]);
  expect(await offered(null)).toEqual([['8A', 2]]);
  expect(await offered(group)).toEqual([
    ['7A', 2],
    ['8A', 2],
  ]);
  await undo();
  expect((await listClasses(teacher)).map((c) => [c.name, c.archived])).toEqual([['7A', false]]);
});

test('names of classes taken, older windows and other teachers are refused', async () => {
  const other = await createClass(teacher, '8B', '', []);
  const refused = (work: Promise<unknown>) => expect(work).rejects;
  await refused(changeClass(teacher, other, 1, { name: '7A' })).toMatchObject({ status: 409, field: 'name' });
  await refused(nextYear(teacher, other, '7A')).toMatchObject({ status: 409, field: 'name' });
  await refused(changeClass(teacher, other, 7, { name: '9A' })).toMatchObject({ status: 409 });
  const [ada] = (await classOf()).students;
  await refused(changeStudent(teacher, ada.id, ada.version + 1, { left: true })).toMatchObject({ status: 409 });
  const stranger = await newTeacher();
  await refused(changeStudent(stranger, ada.id, ada.version, { left: true })).toMatchObject({ status: 404 });
  await refused(changeStudent(teacher, ada.id, ada.version, { classId: await newClass(stranger) })).toMatchObject({ status: 404 });
  await refused(addStudents(stranger, group, [{ firstName: 'X', initial: '' }])).toMatchObject({ status: 404 });
  const many = Array.from({ length: 58 }, (_, i) => ({ firstName: `S${i}`, initial: '' }));
  await refused(addStudents(teacher, group, many)).toMatchObject({ status: 400, field: 'students' });
  expect(await names()).toEqual(['Ada M', 'Bo M', 'Cleo M']);
});

test('the list as a table holds what is known of everybody', async () => {
  const [ada] = (await classOf()).students;
  await changeStudent(teacher, ada.id, ada.version, { seat: 'A1', needs: 'large print' });
  expect(rosterAsCsv((await classOf()).students)).toMatch(/Ada,M,A1,,,large print\r\n/);
});

test('deleted for good, a student is in no edit any more', async () => {
  await addStudents(teacher, group, [{ firstName: 'Wilhelmina', initial: 'Q' }]);
  const { id, version } = await student('Wilhelmina Q');
  await changeStudent(teacher, id, version, { needs: 'large print' });
  const log = () => database().select().from(edits).where(eq(edits.teacherId, teacher));
  expect(JSON.stringify(await log())).toContain('Wilhelmina');
  await removeStudent(teacher, id, 'wilhelmina q');
  expect(JSON.stringify(await log())).not.toContain('Wilhelmina');
  expect((await editState(teacher, null)).undo).not.toBeNull();
});
