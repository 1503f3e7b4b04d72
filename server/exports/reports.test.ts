import { madePicture } from '../../tests/support/pictures';
import { leave, newStudy, newTeacher } from '../../tests/support/school';
import { PLAIN_VOICE } from '../../words/say';
import { addWork } from '../studies/works';
import { beginReport, reportMade, reportMaking } from './reports';

afterAll(leave);

test('a report is begun once, counted to its last page, and then kept for whoever comes back', async () => {
  const teacher = await newTeacher();
  const study = await newStudy(teacher);
  await addWork(teacher, study, await madePicture(), 'harbour.png', {});
  expect(reportMaking(teacher, study, PLAIN_VOICE)).toMatchObject({ state: 'none' });
  const first = beginReport(teacher, study, PLAIN_VOICE);
  expect(first.state).toBe('making');
  // Asked for by a second window: it is the same one.
  expect(beginReport(teacher, study, PLAIN_VOICE)).toBe(first);
  const { pdf, name } = await reportMade(teacher, study, PLAIN_VOICE);
  expect(Buffer.from(pdf.subarray(0, 5)).toString()).toBe('%PDF-');
  expect(name).toMatch(/\.pdf$/);
  const made = reportMaking(teacher, study, PLAIN_VOICE);
  expect(made).toMatchObject({ state: 'made', problem: null });
  expect(made.pages).toBeGreaterThan(1);
  expect(made.done).toBe(made.all);
  // In another language it is another report.
  expect(reportMaking(teacher, study, { ...PLAIN_VOICE, language: 'de' })).toMatchObject({ state: 'none' });
  expect((await reportMade(teacher, study, PLAIN_VOICE)).pdf).toBe(pdf);
});

test('a report that cannot be made says why, and is tried anew when it is asked for again', async () => {
  const teacher = await newTeacher();
  const study = await newStudy(teacher);
  beginReport(teacher, study, PLAIN_VOICE);
  await expect(reportMade(teacher, study, PLAIN_VOICE)).rejects.toMatchObject({ status: 400 });
  expect(reportMaking(teacher, study, PLAIN_VOICE)).toMatchObject({ state: 'failed', problem: { key: 'report.needsWork' } });
  await addWork(teacher, study, await madePicture(), 'harbour.png', {});
  await reportMade(teacher, study, PLAIN_VOICE);
  expect(reportMaking(teacher, study, PLAIN_VOICE).state).toBe('made');
});
