/** The running application from outside: its door, its headers, and how much a page asks of the database. */
import { ChildProcess, spawn } from 'node:child_process';
import { createServer } from 'node:net';
import { join } from 'node:path';
import { eq } from 'drizzle-orm';
import { createConnection, type Connection, type RowDataPacket } from 'mysql2/promise';
import { database, newId } from '../../server/database/connection';
import { pieces, user } from '../../server/schema';
import { addPiece } from '../../server/pieces/pieces';
import { createClass, rosterOf } from '../../server/classes/classes';
import { addWork } from '../../server/studies/works';
import { leave, newStudy, sheetBytes } from '../support/school';

const ROOT = join(__dirname, '..', '..');
const children: ChildProcess[] = [];

const freePort = (): Promise<number> =>
  new Promise((done) => {
    const server = createServer().listen(0, '127.0.0.1', () => {
      const { port } = server.address() as { port: number };
      server.close(() => done(port));
    });
  });

/** A production server on the tests' own database, which takes no work off the queue. */
async function serve(more: Record<string, string> = {}): Promise<string> {
  const port = await freePort();
  const origin = `http://127.0.0.1:${port}`;
  const env = {
    ...process.env,
    NODE_ENV: 'production',
    OLDHAND_RUNNER: 'off',
    OLDHAND_ORIGIN: origin,
    OLDHAND_ROOT: ROOT,
    NEXT_MANUAL_SIG_HANDLE: '1',
    ...more,
  } as NodeJS.ProcessEnv;
  children.push(
    spawn(process.execPath, [join(ROOT, 'node_modules/next/dist/bin/next'), 'start', '-H', '127.0.0.1', '-p', String(port)], {
      cwd: ROOT,
      env,
      stdio: 'ignore',
    }),
  );
  for (let tries = 0; ; tries++) {
    const answer = await fetch(`${origin}/sign-in`).catch(() => null);
    if (answer?.ok) return origin;
    if (tries > 150) throw new Error('the server did not answer');
    await new Promise((done) => setTimeout(done, 200));
  }
}

const EMAIL = `${newId()}@fennick.example`;
const PASSWORD = 'a-long-password';
let origin = '';
let cookie = '';
let teacher = '';
let db: Connection;

const post = (path: string, value: unknown, headers: Record<string, string> = {}, method = 'POST') =>
  fetch(origin + path, {
    method,
    headers: { origin, 'content-type': 'application/json', cookie, ...headers },
    body: JSON.stringify(value),
  });
const look = (path: string, headers: Record<string, string> = {}) => fetch(origin + path, { headers: { cookie, ...headers } });

beforeAll(async () => {
  origin = await serve();
  const made = await post('/api/auth/sign-up/email', { email: EMAIL, password: PASSWORD, name: 'Ines' });
  expect(made.status).toBe(200);
  cookie = made.headers
    .getSetCookie()
    .map((c) => c.split(';')[0])
    .join('; ');
  teacher = (await database().select({ id: user.id }).from(user).where(eq(user.email, EMAIL)))[0].id;
  db = await createConnection(process.env.DATABASE_URL!);
});
afterAll(async () => {
  for (const c of children) c.kill('SIGTERM');
  await Promise.all(children.map((c) => c.exitCode ?? new Promise((done) => c.once('exit', done))));
  await db.end();
  await leave();
});

/** Statements that a request asks of the database. */
async function queriesOf(path: string): Promise<number> {
  const count = async () => {
    const [rows] = await db.query<RowDataPacket[]>(
      "show global status where variable_name in ('Com_select', 'Com_insert', 'Com_update', 'Com_delete')",
    );
    return rows.reduce((sum, r) => sum + Number(r.Value), 0);
  };
  const answer = await look(path);
  expect([path, answer.status]).toEqual([path, 200]);
  await answer.text();
  const before = await count();
  await (await look(path)).text();
  return (await count()) - before;
}

test('no page of a full class asks the database more than eight times, whoever has handed in', async () => {
  const classId = await createClass(
    teacher,
    'Full',
    '',
    Array.from({ length: 31 }, (_, i) => ({ firstName: `S${i}`, initial: '' })),
  );
  const study = await newStudy(teacher, { classId });
  for (let i = 0; i < 4; i++) await addWork(teacher, study, await sheetBytes(14), `w${i}.png`, {});
  const photo = await sheetBytes(15);
  for (const { id } of await rosterOf(study))
    for (const kind of ['copy', 'original'] as const)
      await addPiece(teacher, study, photo, 'p.png', {
        studentId: id,
        kind,
        attempt: null,
        title: '',
        paperWidthMm: 297,
        paperHeightMm: 210,
      });
  expect(await database().select({ id: pieces.id }).from(pieces).where(eq(pieces.studyId, study))).toHaveLength(62);
  const pages = [
    '/studies',
    '/classes',
    '/cupboard',
    '/settings',
    '/studies/new',
    ...['look', 'proportion', 'marks', 'colour', 'plan', 'plan/run', 'plan/warm-ups', 'board', 'make', 'pieces', 'compare', 'hanging'].map(
      (s) => `/studies/${study}/${s}`,
    ),
  ];
  const counts: Record<string, number> = {};
  for (const page of pages) counts[page.split('/').at(-1)!] = await queriesOf(page);
  for (const [page, n] of Object.entries(counts)) expect([page, n, n <= 8]).toEqual([page, n, true]);
});

test('names are kept by no browser; a picture is asked for again each time and answered by its tag', async () => {
  expect((await look('/api/classes')).headers.get('cache-control')).toBe('no-store');
  const study = await newStudy(teacher);
  await addWork(teacher, study, await sheetBytes(16), 'w.png', {});
  const works = (await (await look(`/api/studies/${study}/works`)).json()) as { pictureId: string }[];
  const path = `/api/pictures/${works[0].pictureId}?size=small`;
  const first = await look(path);
  expect([first.status, first.headers.get('cache-control')]).toEqual([200, 'private, no-cache']);
  const again = await look(path, { 'if-none-match': first.headers.get('etag')! });
  expect([again.status, (await again.arrayBuffer()).byteLength]).toEqual([304, 0]);
  expect((await fetch(origin + path)).status).toBe(401);
});

test('sign-in is measured by e-mail, so another claimed address each time is no way round', async () => {
  const statuses: number[] = [];
  for (let i = 0; i < 14; i++)
    statuses.push(
      (await post('/api/auth/sign-in/email', { email: EMAIL, password: 'wrong-password' }, { 'x-forwarded-for': `6.6.6.${i}`, cookie: '' }))
        .status,
    );
  expect(statuses.filter((s) => s === 401)).toHaveLength(8);
  expect(statuses.filter((s) => s === 429)).toHaveLength(6);
  // The same door, its address written otherwise: measured too, or no door at all.
  for (const path of ['sign-in/email/', 'sign-in/%65mail', '/sign-in/email', '%73ign-in/email', 'sign-in//email']) {
    const { status } = await post(`/api/auth/${path}`, { email: EMAIL, password: 'wrong-password' }, { cookie: '' });
    expect([path, [404, 429].includes(status)]).toEqual([path, true]);
  }
});

test('no foreign page, proxy quirk or malformed request gets further than a plain refusal', async () => {
  const study = await newStudy(teacher);
  const rule = { kind: 'never', feature: '', sentence: 'X.', evidence: '' };
  const path = `/api/studies/${study}/rules`;
  const status = async (headers: Record<string, string>) => (await post(path, rule, headers)).status;
  expect(await status({})).toBe(200);
  expect(await status({ origin: origin.replace('127.0.0.1', 'localhost') })).toBe(200);
  expect(await status({ origin: 'null' })).toBe(403);
  expect(await status({ origin: 'http://elsewhere.example', 'x-forwarded-host': 'elsewhere.example' })).toBe(403);
  expect((await post('/api/auth/sign-in/email', { email: EMAIL, password: PASSWORD }, { origin: 'null' })).status).toBe(403);
  expect(
    (await fetch(origin + path, { method: 'POST', headers: { cookie, 'content-type': 'application/json' }, body: JSON.stringify(rule) }))
      .status,
  ).toBe(403);
  for (const odd of ['/api/pictures/%zz', '/studies/%E0%A4%A/look', '/api/works/%', '/studies/%2e%2e%2f/look']) {
    const answer = await look(odd);
    expect([odd, answer.status >= 400 && answer.status < 500]).toEqual([odd, true]);
  }
  const sent = async (type: string, body: string) => {
    const answer = await fetch(`${origin}/api/studies/${study}/works`, {
      method: 'POST',
      headers: { origin, cookie, 'content-type': type },
      body,
    });
    return [answer.status, ((await answer.json()) as { error: string }).error] as const;
  };
  expect(await sent('multipart/form-data', 'x')).toEqual([400, expect.stringMatching(/no boundary/)]);
  expect(await sent('multipart/form-data; boundary=zzz', '--zzz\r\n')).toEqual([400, expect.stringMatching(/broke off|Choose a picture/)]);
  const missing = await look('/studies/nobody/look');
  expect([missing.status, await missing.text()]).toEqual([404, expect.stringMatching(/There is nothing here/)]);
});

test('over TLS the session’s cookie is for TLS alone; closed accounts stay closed', async () => {
  const own = await serve({ OLDHAND_ORIGIN: 'https://art.fennick.example', OLDHAND_SIGN_UP: 'closed' });
  const send = (path: string, value: unknown) =>
    fetch(own + path, {
      method: 'POST',
      headers: { origin: 'https://art.fennick.example', 'content-type': 'application/json' },
      body: JSON.stringify(value),
    });
  const other = `${newId()}@fennick.example`;
  const refused = await send('/api/auth/sign-up/email', { email: other, password: PASSWORD, name: 'Bo' });
  expect([refused.status, await refused.json()]).toEqual([
    403,
    { error: expect.stringMatching(/closed/), said: { key: 'errors.signUpClosed' }, field: null },
  ]);
  expect(await (await fetch(`${own}/sign-in`)).text()).toMatch(/New accounts are closed here/);
  await db.query('delete from rate_limit');
  const signed = await send('/api/auth/sign-in/email', { email: EMAIL, password: PASSWORD });
  expect([signed.status, signed.headers.getSetCookie().every((c) => /; Secure/i.test(c))]).toEqual([200, true]);
});
