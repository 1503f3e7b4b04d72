import { leave, newClass, newStudy, newTeacher } from '../../tests/support/school';
import { saveSettings, settingsOf } from '../accounts/settings';
import { removeStudy } from '../removal/removal';
import { createClass, listClasses, rosterOf } from '../classes/classes';
import { studyOf } from '../accounts/ownership';
import { benchOf, listStudies, updateStudy } from './studies';
import { addRule } from './rules';

afterAll(leave);

const railOf = async (teacher: string, study: string) => (await benchOf(teacher, study)).rail;

test('another teacher’s study, class and roster do not exist', async () => {
  const [mine, other] = [await newTeacher(), await newTeacher()];
  const classId = await newClass(mine);
  const study = await newStudy(mine, { classId });
  for (const work of [
    studyOf(other, study),
    updateStudy(other, study, 1, { title: 'Taken' }),
    removeStudy(other, study, 'A study'),
    benchOf(other, study),
    newStudy(other, { classId }),
    updateStudy(other, await newStudy(other), 1, { classId }),
  ])
    await expect(work).rejects.toMatchObject({ status: 404 });
  expect((await studyOf(mine, study)).title).toBe('A study');
  expect(await listStudies(other)).toHaveLength(1);
  expect(await listClasses(other)).toEqual([]);
});

test('a class keeps its order; equal names are told apart, and one name of a class is refused', async () => {
  const teacher = await newTeacher();
  const classId = await newClass(teacher, ['Zoe', 'Ada', 'Zoë', 'Bo']);
  const study = await newStudy(teacher, { classId });
  expect((await rosterOf(study)).map((s) => s.name)).toEqual(['Zoe M', 'Ada M', 'Zoë M 2', 'Bo M']);
  await expect(createClass(teacher, '7A', '', [])).rejects.toMatchObject({
    status: 409,
    field: 'name',
    message: expect.stringMatching(/a class “7A” already/),
  });
  // Nothing is left of the class that could not be made.
  expect((await listClasses(teacher)).map((c) => c.name)).toEqual(['7A']);
});

test('one person studies alone: no class, an empty roster', async () => {
  const teacher = await newTeacher();
  const study = await newStudy(teacher);
  expect(await rosterOf(study)).toEqual([]);
  expect((await listStudies(teacher))[0]).toMatchObject({ id: study, className: null, works: 0, pieces: 0, coverId: null });
});

test('the database itself refuses a sheet without size and an aim that is none', async () => {
  const teacher = await newTeacher();
  await expect(newStudy(teacher, { paperWidthMm: 0 })).rejects.toThrow();
  await expect(newStudy(teacher, { aim: 'perfect' as 'study' })).rejects.toThrow();
});

test('the rail shows a step as done once it has something to show', async () => {
  const teacher = await newTeacher();
  const study = await newStudy(teacher, { kind: 'period', aim: 'replica' });
  expect(Object.values(await railOf(teacher, study)).some(Boolean)).toBe(false);
  const rule = { kind: 'feature' as const, sentence: 'Lines 2 mm apart.', evidence: '' };
  await addRule(teacher, study, { ...rule, feature: 'marks.spacing' });
  expect(await railOf(teacher, study)).toMatchObject({ marks: true, colour: false });
  await addRule(teacher, study, { ...rule, feature: 'value.mean' });
  expect(await railOf(teacher, study)).toMatchObject({ marks: true, colour: true, plan: false });
});

test('removing a study takes everything of it along', async () => {
  const teacher = await newTeacher();
  const study = await newStudy(teacher);
  await addRule(teacher, study, { kind: 'never', feature: '', sentence: 'Hands are never shown.', evidence: '' });
  await removeStudy(teacher, study, 'a study ');
  expect(await listStudies(teacher)).toEqual([]);
  await expect(studyOf(teacher, study)).rejects.toMatchObject({ status: 404, message: expect.stringMatching(/This study/) });
});

test('settings start as mm, British, A4, and are kept for each teacher', async () => {
  const [one, two] = [await newTeacher(), await newTeacher()];
  expect(await settingsOf(one)).toMatchObject({ units: 'mm', spelling: 'british', paper: 'A4', hand: 'right' });
  const mine = { units: 'inch', spelling: 'american', paper: 'letter', timeZone: 'UTC', hand: 'left' } as const;
  await saveSettings(one, { ...(await settingsOf(two)), ...mine, paper: (await settingsOf(two)).paper });
  expect(await settingsOf(one)).toMatchObject({ units: 'inch', spelling: 'american', hand: 'left' });
  expect(await settingsOf(two)).toMatchObject({ units: 'mm', hand: 'right' });
});
