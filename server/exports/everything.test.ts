/** Everything of a teacher's in one file: nothing of anybody else's, and nothing by which one signs in. */
import { strFromU8, unzipSync } from 'fflate';
import { leave, newClass, newStudy, newTeacher, sheetBytes } from '../../tests/support/school';
import { isTimeZone, todayIn } from '../accounts/settings';
import { database, newId } from '../database/connection';
import { account } from '../schema';
import { addRule } from '../studies/rules';
import { addWork } from '../studies/works';
import { everythingOf } from './everything';

afterAll(leave);

interface Everything {
  format: string;
  tables: Record<string, Record<string, unknown>[]>;
}

test('studies, works, classes and rules come out with their pictures, another teacher’s and the password do not', async () => {
  const [teacher, stranger] = [await newTeacher(), await newTeacher()];
  for (const t of [teacher, stranger]) {
    const study = await newStudy(t, { title: t === teacher ? 'Mine' : 'Not mine', classId: await newClass(t) });
    await addWork(t, study, await sheetBytes(t === teacher ? 18 : 23), 'ferry.png', { title: 'Ferry' });
    await addRule(t, study, { kind: 'never', feature: '', sentence: 'No hand is shown.', evidence: '' });
  }
  const now = new Date();
  await database().insert(account).values({
    id: newId(),
    accountId: teacher,
    providerId: 'credential',
    userId: teacher,
    password: 'a-hash-of-it',
    createdAt: now,
    updatedAt: now,
  });
  const bytes = new Uint8Array(await new Response(await everythingOf(teacher)).arrayBuffer());
  const files = unzipSync(bytes);
  const text = strFromU8(files['everything.json']);
  const { format, tables } = JSON.parse(text) as Everything;
  expect(format).toBe('oldhand.everything/1');
  expect(tables.studies.map((s) => s.title)).toEqual(['Mine']);
  expect(tables.works.map((w) => w.title)).toEqual(['Ferry']);
  expect(tables.students).toHaveLength(3);
  expect(tables.rules[0].sentence).toBe('No hand is shown.');
  expect(text).not.toContain('a-hash-of-it');
  expect(tables.account ?? tables.session).toBeUndefined();
  // The upload and the upright picture measured from, each whole.
  const pictures = Object.keys(files).filter((f) => f.startsWith('pictures/'));
  expect(pictures).toHaveLength(2);
  for (const p of pictures) expect([...files[p].subarray(0, 4)]).toEqual([0x89, 0x50, 0x4e, 0x47]);
  expect(pictures).toContain(`pictures/${tables.works[0].pictureId as string}.png`);
});

test('what is printed bears the day it is where the teacher is', () => {
  const late = new Date('2026-03-31T22:30:00Z');
  expect(todayIn({ timeZone: 'UTC' }, late)).toBe('2026-03-31');
  expect(todayIn({ timeZone: 'Asia/Tokyo' }, late)).toBe('2026-04-01');
  expect(todayIn({ timeZone: 'America/Los_Angeles' }, new Date('2026-01-01T03:00:00Z'))).toBe('2025-12-31');
  expect([isTimeZone('Europe/Berlin'), isTimeZone('Skerrowby/Harbour')]).toEqual([true, false]);
});
