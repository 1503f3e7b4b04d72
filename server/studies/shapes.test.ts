/** Shapes of a work, motifs of a study and rounds of drills: kept, undone, copied, and refused where they cannot be. */
import type { DrawnShape } from '../../core/proportion/shapeList';
import { USUAL_RULERS } from '../../core/proportion/bodyRulers';
import { leave, newClass, newStudy, newTeacher, sheetBytes } from '../../tests/support/school';
import { studyOf } from '../accounts/ownership';
import { rosterOf } from '../classes/classes';
import { step } from '../edits/log';
import { rulersOf } from './bodyRulers';
import { copyStudy } from './copying';
import { keepRound, roundsOf } from './drills';
import { addMotif, changeMotif, motifsOf, removeMotif } from './motifs';
import { drawShapes, shapesOf } from './shapes';
import { updateStudy } from './studies';
import { addWork, listWorks } from './works';

afterAll(leave);

let teacher = '';
let study = '';
let work = '';
beforeEach(async () => {
  teacher = await newTeacher();
  study = await newStudy(teacher);
  work = await addWork(teacher, study, await sheetBytes(31), 'quay.png', {});
});
const LABEL = { key: 'edits.shapes' };
const box = (id: string, x: number): DrawnShape => ({
  id,
  name: id,
  outline: [
    [x, 10],
    [x + 60, 10],
    [x + 60, 70],
    [x, 70],
  ],
  as: null,
  gap: false,
});
const undo = () => step(teacher, study, 'undo');

describe('the shapes of a work', () => {
  test('are kept as one list; another window’s state is not overwritten; each change is undone', async () => {
    expect(await shapesOf(work)).toEqual({ shapes: [], lines: [], version: 0 });
    expect(await drawShapes(teacher, work, 0, { shapes: [box('sea', 10)] }, LABEL)).toBe(1);
    expect(await drawShapes(teacher, work, 1, { shapes: [box('sea', 10), box('mast', 90)] }, LABEL)).toBe(2);
    await expect(drawShapes(teacher, work, 1, { shapes: [] }, LABEL)).rejects.toMatchObject({ status: 409 });
    expect((await shapesOf(work)).shapes.map((s) => s.id)).toEqual(['sea', 'mast']);
    await undo();
    expect((await shapesOf(work)).shapes.map((s) => s.id)).toEqual(['sea']);
    await undo();
    expect((await shapesOf(work)).shapes).toEqual([]);
  });

  test('outside the picture or another teacher’s they are refused, and nothing is lost', async () => {
    await drawShapes(teacher, work, 0, { shapes: [box('sea', 10)] }, LABEL);
    await expect(drawShapes(teacher, work, 1, { shapes: [box('sea', 100000)] }, LABEL)).rejects.toMatchObject({
      said: { key: 'unusable.shapes.outside' },
    });
    await expect(drawShapes(await newTeacher(), work, 1, { shapes: [] }, LABEL)).rejects.toMatchObject({ status: 404 });
    expect((await shapesOf(work)).shapes).toHaveLength(1);
  });
});

describe('motifs', () => {
  test('are seen work by work, keep to works of the study, and go with a copy of it', async () => {
    const hands = await addMotif(teacher, study, 'Hands');
    await expect(addMotif(teacher, study, 'Hands')).rejects.toMatchObject({ status: 409, field: 'name' });
    expect(await changeMotif(teacher, study, hands, 1, { seen: { [work]: 'hidden', elsewhere: 'shown' } })).toBe(2);
    await expect(changeMotif(teacher, study, hands, 1, { seen: {} })).rejects.toMatchObject({ status: 409 });
    expect(await motifsOf(study)).toEqual([{ id: hands, name: 'Hands', seen: { [work]: 'hidden' }, version: 2 }]);
    await drawShapes(teacher, work, 0, { shapes: [box('sea', 10)] }, LABEL);
    const copy = await copyStudy(teacher, study, { title: 'Again', classId: null });
    const [there] = await listWorks(copy);
    expect((await motifsOf(copy)).map((m) => m.seen)).toEqual([{ [there.id]: 'hidden' }]);
    expect((await shapesOf(there.id)).shapes.map((s) => s.id)).toEqual(['sea']);
    await removeMotif(teacher, study, hands);
    expect(await motifsOf(study)).toEqual([]);
    await undo();
    expect(await motifsOf(study)).toHaveLength(1);
    await expect(removeMotif(await newTeacher(), study, hands)).rejects.toMatchObject({ status: 404 });
  });
});

describe('drills', () => {
  const answers = [{ truth: 2, said: 2.2, error: 0.1 }];
  test('are kept for a student of the study, for the class, or for oneself', async () => {
    const klass = await newClass(teacher);
    const own = await studyOf(teacher, study);
    await updateStudy(teacher, study, own.version, { classId: klass });
    const [student] = await rosterOf(study);
    await keepRound(teacher, study, { who: 'student', studentId: student.id, drill: 'ratio', answers });
    await keepRound(teacher, study, { who: 'class', studentId: student.id, drill: 'halve', answers });
    await keepRound(teacher, study, { who: 'oneself', studentId: null, drill: 'angle', answers });
    expect((await roundsOf(study)).map((r) => [r.who, r.studentId, r.drill])).toEqual([
      ['student', student.id, 'ratio'],
      ['class', null, 'halve'],
      ['oneself', null, 'angle'],
    ]);
    await expect(keepRound(teacher, study, { who: 'student', studentId: 'nobody', drill: 'ratio', answers })).rejects.toMatchObject({
      status: 404,
    });
    await expect(keepRound(await newTeacher(), study, { who: 'oneself', studentId: null, drill: 'ratio', answers })).rejects.toMatchObject({
      status: 404,
    });
  });
});

test('a class has the body rulers usual at its age until it has measured its own', async () => {
  expect(await rulersOf(await studyOf(teacher, study))).toEqual(USUAL_RULERS.under14);
  const { version } = await studyOf(teacher, study);
  await updateStudy(teacher, study, version, { bodyRulers: { finger: 14, hand: 61, fist: 72 } });
  expect(await rulersOf(await studyOf(teacher, study))).toEqual({ finger: 14, hand: 61, fist: 72 });
  await undo();
  expect(await rulersOf(await studyOf(teacher, study))).toEqual(USUAL_RULERS.under14);
});
