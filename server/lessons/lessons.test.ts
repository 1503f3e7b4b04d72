/** Plans with steps of a teacher's own, pictures and days; the library; periods that were held. */
import { eq } from 'drizzle-orm';
import { leave, newStudy, newTeacher, sheetBytes } from '../../tests/support/school';
import { NEW_STEP } from '../../core/lesson/ownStep';
import { OWN, stepOf, wishesOf } from '../../core/lesson/wishes';
import type { OwnStep } from '../../core/lesson/technique';
import { message } from '../../core/message';
import { studyOf } from '../accounts/ownership';
import { changing, database } from '../database/connection';
import { step } from '../edits/log';
import { sweepPictures } from '../pictures/dropping';
import { takeInPicture } from '../pictures/takeIn';
import { ownSteps, pictures, plans, planSteps } from '../schema';
import { addKit } from '../cupboard/kits';
import { addFact } from '../studies/noted';
import { addWork, updateWork } from '../studies/works';
import { makePlan } from '../../core/lesson/plan';
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

test('groups, room, prices, what the master used and how it was laid are kept, undone and copied', async () => {
  const { plan: first } = await plan();
  const laying = { tool: 'reed', parts: 3, known: true, colours: ['#99aa88'] };
  const more = {
    lineOrTone: 'tone' as const,
    second: { students: 2, youngest: 8 },
    classSize: 6,
    room: { sinks: 1, rack: 4 },
    prices: { pen: { pack: 4, cost: 6.5 } },
    used: [{ what: 'reed pen', source: 'catalogue', instead: 'bamboo pen' }],
  };
  const steps = first.steps.map((s, i) => ({
    ...s,
    group: i ? ('first' as const) : ('both' as const),
    laying: i === 1 ? laying : null,
    built: i === 0,
  }));
  await savePlan(teacher, study, 0, { ...first, ...more, steps }, LABEL);
  expect((await plan()).plan).toMatchObject(more);
  expect((await plan()).plan.steps).toEqual(steps);
  const copy = await copyStudy(teacher, study, { title: 'Again', classId: null });
  expect((await plan(copy)).plan.steps).toEqual(steps);
  await step(teacher, study, 'undo');
  expect((await plan()).plan.second).toBeNull();
  await step(teacher, study, 'redo');
  expect((await plan()).plan.steps[1].laying).toEqual(laying);
});

test('a plan stored before steps had a word for it is read with what steps begin with', async () => {
  const { plan: first } = await plan();
  await savePlan(teacher, study, 0, { ...first, steps: [stepOf(OWN, OWN_STEP)] }, LABEL);
  const { lifts: _l, shuns: _s, forbids: _f, who: _w, items: _i, caution: _c, ...old } = OWN_STEP;
  const [{ id }] = await database().select({ id: plans.id }).from(plans).where(eq(plans.studyId, study));
  await database()
    .update(planSteps)
    .set({ own: old as OwnStep })
    .where(eq(planSteps.planId, id));
  await keepSteps(teacher, study, [OWN_STEP]);
  await database()
    .update(ownSteps)
    .set({ step: old as OwnStep })
    .where(eq(ownSteps.teacherId, teacher));
  await database()
    .update(plans)
    .set({ settings: { ink: 'washable', contact: 'light-pencil', erasing: true, youngest: 9 } })
    .where(eq(plans.id, id));
  const read = await plan();
  expect(read.plan.steps[0].own).toEqual(OWN_STEP);
  expect(read.plan).toMatchObject({ youngest: 9, blending: 'any', room: { sinks: null, rack: null }, used: [] });
  expect(makePlan(wishesOf(read)).periods.length).toBeGreaterThan(0);
  expect((await ownStepsOf(teacher))[0].step).toEqual(OWN_STEP);
  expect((await knownOf(teacher, study)).library[0].step).toEqual(OWN_STEP);
});

test('a lesson is planned beside the teacher’s own cupboard and what is written of the works, and nobody else’s', async () => {
  const reed = { kind: 'tool' as const, name: 'reed pen', pigment: '', masstone: null, tint: null, strength: 1 };
  await addKit(teacher, { name: 'Line', white: null, materials: [{ ...reed, properties: { leastMm: 0.4, taper: true } }] });
  const work = await addWork(teacher, study, await sheetBytes(23), 'w.png', {});
  await addFact(teacher, work, 'Drawn with a reed.', 'catalogue');
  const foil = await addWork(teacher, study, await sheetBytes(24), 'f.png', {});
  await addFact(teacher, foil, 'By another hand.', null);
  await updateWork(teacher, foil, 1, { foil: true });
  const known = await knownOf(teacher, study);
  expect(known.cupboard).toEqual([{ kind: 'tool', name: 'reed pen', masstone: null, properties: { leastMm: 0.4, taper: true } }]);
  expect(known.facts).toEqual([{ text: 'Drawn with a reed.', source: 'catalogue' }]);
  expect((await knownOf(await newTeacher(), study)).cupboard).toEqual([]);
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
