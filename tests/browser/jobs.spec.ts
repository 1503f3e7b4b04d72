/** The queue under killed and doubled servers, on a database of its own. */
import { expect, test } from '@playwright/test';
import { createConnection } from 'mysql2/promise';
import { freePort, startServer, testDatabase } from '../support/machine.mjs';
import { NEW_STUDY } from '../support/study';
import { madePicture } from './steps';

test('a killed server loses no job, a second server takes jobs too, and none runs twice to effect', async ({ playwright }) => {
  test.setTimeout(600_000);
  const database = await testDatabase(3711);
  const env = { OLDHAND_RATE_LIMIT: 'off' };
  const run = async (port: number, more: Record<string, string> = {}) =>
    startServer({
      port: await freePort(port),
      databaseUrl: database.url,
      secret: 'another-secret-for-tests-0123456789',
      env: { ...env, ...more },
    });
  const sql = await createConnection(database.url);
  const jobs = async () =>
    (await sql.query('select id, state, attempts, claims, lost, owner from jobs order by created_at'))[0] as {
      id: string;
      state: string;
      attempts: number;
      claims: number;
      lost: number;
      owner: string;
    }[];
  const until = async (done: () => Promise<boolean>, seconds: number) => {
    for (let i = 0; i < seconds * 4; i++) {
      if (await done()) return;
      await new Promise((r) => setTimeout(r, 250));
    }
    throw new Error('waited in vain');
  };
  // The first server takes uploads but no jobs, so that all wait.
  const first = await run(4471, { OLDHAND_RUNNER: 'off' });
  const teacher = await playwright.request.newContext({
    baseURL: first.origin,
    extraHTTPHeaders: { origin: first.origin },
  });
  await teacher.post('/api/auth/sign-up/email', {
    data: { email: 'queue@fennick.example', password: 'a-long-enough-one', name: 'Queue' },
  });
  const study = (await (await teacher.post('/api/studies', { data: { ...NEW_STUDY, title: 'Queue' } })).json()) as {
    id: string;
  };
  for (let i = 0; i < 6; i++)
    await teacher.post(`/api/studies/${study.id}/works`, {
      multipart: {
        picture: { name: `w${i}.png`, mimeType: 'image/png', buffer: await madePicture(1500, 1100, 12 + i) },
      },
    });
  expect((await jobs()).filter((j) => j.state === 'queued')).toHaveLength(6);
  await first.stop();
  const killed = await run(4471);
  await until(async () => (await jobs()).some((j) => j.state === 'running'), 180);
  process.kill(killed.pid!, 'SIGKILL');
  await new Promise((r) => setTimeout(r, 500));
  const held = (await jobs()).filter((j) => j.state === 'running');
  expect(held.length).toBeGreaterThan(0);
  // The lease runs out by itself in a minute; the test does not wait for it.
  await sql.query("update jobs set lease_until = utc_timestamp(3) - interval 1 second where state = 'running'");
  const [one, two] = [await run(4471), await run(4481)];
  await until(async () => (await jobs()).every((j) => j.state === 'done'), 300);
  const rows = await jobs();
  expect(new Set(rows.map((j) => j.owner)).size).toBeGreaterThan(1);
  for (const j of rows.filter((j) => held.some((h) => h.id === j.id))) expect([j.claims, j.lost, j.attempts]).toEqual([2, 1, 0]);
  const [[{ n }]] = (await sql.query('select count(*) n from profiles')) as unknown as [{ n: number }[]];
  expect(Number(n)).toBe(6);
  await sql.end();
  await teacher.dispose();
  await Promise.all([one.stop(), two.stop()]);
  await database.stop();
});
