/** Plans with steps of a teacher's own, pictures and days; the library; periods that were held. */
import { eq } from 'drizzle-orm';
import { leave, newStudy, newTeacher, sheetBytes } from '../../tests/support/school';
import { NEW_STEP } from '../../core/lesson/ownStep';
import { OWN, stepOf } from '../../core/lesson/wishes';
import type { OwnStep } from '../../core/lesson/technique';
import { message } from '../../core/message';
import { studyOf } from '../accounts/ownership';
import { changing, database } from '../database/connection';
import { step } from '../edits/log';
import { sweepPictures } from '../pictures/dropping';
import { takeInPicture } from '../pictures/takeIn';
import { pictures } from '../schema';
import { copyStudy } from '../studies/copying';
import { dropStep, keepSteps, ownStepsOf } from './ownSteps';
import { planOf, savePlan } from './plans';
import { keepRun, knownOf, runsOf } from './runs';

afterAll(leave);

const LABEL = message('edits.plan');
const OWN_STEP: OwnStep = { ...NEW_STEP, name: 'Coffee wash', does: 'Lay cold coffee.', role: 'wash', lays: ['wet'] };
let teacher = '';
let study = '';
beforeEach(async () => {
  teacher = await newTeacher();
  study = await newStudy(teacher, { medium: 'pen' });
});
const plan = async (id = study) => planOf(await studyOf(teacher, id));
const tomorrow = () => new Date(Date.now() + 86_400_000);

test('a plan keeps own steps, choices, rules broken on purpose, pictures and days, and a copy has them too', async () => {
  const { plan: first } = await plan();
  const taken = await takeInPicture(teacher, await sheetBytes(21), 'stage.png');
  const pictureId = await changing((tx) => taken.store(tx));
  const own = { ...stepOf(OWN, OWN_STEP), option: null, kept: ['water-over-running'], pictureId };
  const calendar = { from: '2026-09-01', weekdays: [2], at: '09:50', off: [] };
  await savePlan(
    teacher,
    study,
    0,
    { ...first, steps: [...first.steps, own], outline: 'last', coats: { ink: 0.8 }, shelf: { pen: 8 }, calendar },
    LABEL,
  );
  expect((await plan()).plan).toMatchObject({ outline: 'last', coats: { ink: 0.8 }, shelf: { pen: 8 }, calendar });
  expect((await plan()).plan.steps.at(-1)).toEqual(own);
  // A picture that a step has is not swept away.
  await sweepPictures(tomorrow());
  expect(await database().select().from(pictures).where(eq(pictures.id, pictureId))).toHaveLength(1);
  const copy = await copyStudy(teacher, study, { title: 'Again', classId: null });
  expect((await plan(copy)).plan.steps.at(-1)).toEqual(own);
  await step(teacher, study, 'undo');
  expect((await plan()).plan.steps.map((s) => s.technique)).not.toContain(OWN);
  await step(teacher, study, 'redo');
  expect((await plan()).plan.steps.at(-1)).toEqual(own);
});

test('a step with a fault, and another teacher’s picture, are refused; nothing is changed', async () => {
  const { plan: first } = await plan();
  const broken = { ...stepOf(OWN, { ...OWN_STEP, usual: 0 }) };
  await expect(savePlan(teacher, study, 0, { ...first, steps: [broken] }, LABEL)).rejects.toMatchObject({
    said: { key: 'unusable.step.whole' },
  });
  const stranger = await newTeacher();
  const taken = await takeInPicture(stranger, await sheetBytes(22), 'theirs.png');
  const theirs = await changing((tx) => taken.store(tx));
  const stolen = { ...first, steps: [{ ...stepOf('pen-line'), pictureId: theirs }] };
  await expect(savePlan(teacher, study, 0, stolen, LABEL)).rejects.toMatchObject({ status: 404 });
  expect((await plan()).version).toBe(0);
});

test('the library keeps one step of a name, takes a newer one in its place, and undoes', async () => {
  await keepSteps(teacher, study, [OWN_STEP, { ...OWN_STEP, name: 'Tea wash' }]);
  await keepSteps(teacher, study, [{ ...OWN_STEP, usual: 20 }]);
  expect((await knownOf(teacher, await newStudy(teacher))).library).toEqual(await ownStepsOf(teacher));
  expect((await ownStepsOf(teacher)).map((o) => [o.step.name, o.step.usual])).toEqual([
    ['Coffee wash', 20],
    ['Tea wash', 10],
  ]);
  await step(teacher, study, 'undo');
  expect((await ownStepsOf(teacher))[0].step.usual).toBe(10);
  const [{ id }] = await ownStepsOf(teacher);
  const stranger = await newTeacher();
  await expect(dropStep(stranger, await newStudy(stranger), id)).rejects.toMatchObject({ status: 404 });
  await dropStep(teacher, study, id);
  expect(await ownStepsOf(teacher)).toHaveLength(1);
  await step(teacher, study, 'undo');
  expect(await ownStepsOf(teacher)).toHaveLength(2);
});

test('what turns took is learned over all lessons of a teacher, and of nobody else', async () => {
  const other = await newStudy(teacher);
  await keepRun(teacher, study, { period: 0, turns: [{ of: 'pen-line', planned: 18, took: 22 }] });
  await keepRun(teacher, other, { period: 1, turns: [{ of: 'pen-line', planned: 18, took: 26 }] });
  expect((await knownOf(teacher, study)).learned).toEqual({ 'pen-line': { minutes: 24, n: 2 } });
  expect((await runsOf(study)).map((r) => r.period)).toEqual([0]);
  expect(await knownOf(await newTeacher(), study)).toEqual({ learned: {}, library: [], cupboard: [], facts: [] });
  await expect(keepRun(await newTeacher(), study, { period: 0, turns: [] })).rejects.toMatchObject({ status: 404 });
});
