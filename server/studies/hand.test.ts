/** The hand of a study: read one picture a call, over all works or a group, a foil beside it and never within. */
import { leave, newStudy, newTeacher, sheetBytes } from '../../tests/support/school';
import { workOf } from '../accounts/ownership';
import { FOILS } from './groups';
import { handOfStudy, ruledBy } from './hand';
import { addPart } from './remaking';
import { addWork, updateWork } from './works';

afterAll(leave);

async function whole(teacher: string, study: string, group: string | null, beside: string | null) {
  const counts: number[] = [];
  for (let call = 0; call < 40; call++) {
    const view = await handOfStudy(teacher, study, group, beside);
    counts.push(view.done);
    if (view.hand) return { ...view.hand, counts, all: view.all };
  }
  throw new Error('never whole');
}

test('each call takes one reading until all are there; a foil parts, and enters no range', async () => {
  const teacher = await newTeacher();
  const study = await newStudy(teacher);
  const add = async (spacing: number, foil = false) => {
    const id = await addWork(teacher, study, await sheetBytes(spacing, 420, 300), `w${spacing}.png`, { widthMm: 210, foil });
    return id;
  };
  const [a, b] = [await add(13), await add(14)];
  await add(26, true);
  await addPart(teacher, a, { x: 0, y: 0, w: 200, h: 200, turn: 0 }, 'A corner');
  const { counts, all, works, beside, constant, parts } = await whole(teacher, study, null, FOILS);
  expect([works, beside, all]).toEqual([2, 1, 6]);
  // One picture a call, so that whoever waits sees it go on.
  counts.slice(1).forEach((n, i) => expect(n - counts[i]).toBeGreaterThanOrEqual(1));
  expect(counts.length).toBeGreaterThanOrEqual(3);
  // Strokes half as dense leave more of the sheet bare: less dark, less covered.
  const told = (feature: string) => parts!.find((p) => p.feature === feature)!;
  expect(told('composition.coverage').effect).toBeGreaterThan(2);
  expect(told('composition.coverage').hand.mid).toBeGreaterThan(1.5 * told('composition.coverage').foil.mid);
  expect(told('value.darkShare').effect).toBeGreaterThan(1);
  expect([...constant].sort((x, y) => y.constancy - x.constancy)).toEqual(constant);
  const { ranges } = await ruledBy(study, { foil: false, groupId: null });
  const spacing = ranges.find((r) => r.feature === 'marks.spacing')!;
  expect(spacing).toMatchObject({ unit: 'mm', works: 2 });
  expect(spacing.high).toBeLessThan(12);
  expect(await ruledBy(study, { foil: true, groupId: null })).toEqual({ ranges: [], group: null });
  // One work of a group: nothing can be told of what stays, and no range is made of it.
  await updateWork(teacher, b, 1, { group: 'late' });
  const { groupId } = await workOf(teacher, b);
  const late = await whole(teacher, study, groupId, null);
  expect(late).toMatchObject({ works: 1, beside: 0, constant: [], varies: [], parts: null });
  expect(await ruledBy(study, { foil: false, groupId })).toEqual({ ranges: [], group: 'late' });
  await expect(handOfStudy(await newTeacher(), study, null, null)).rejects.toMatchObject({ status: 404 });
});
