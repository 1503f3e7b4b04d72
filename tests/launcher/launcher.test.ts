/** The launcher itself, as a person runs it: starts, kills, a dead database, backup and restore. */
import { ChildProcess, spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, readdirSync, rmSync, statSync, truncateSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createConnection, type RowDataPacket } from 'mysql2/promise';

const ROOT = join(__dirname, '..', '..');
const OLDHAND = join(ROOT, 'oldhand');
const ENV = { ...process.env, DATABASE_URL: '', OLDHAND_RATE_LIMIT: 'off' };
let scratch = '';
const children: ChildProcess[] = [];
beforeAll(() => {
  scratch = mkdtempSync(join(tmpdir(), 'ohl-'));
});
afterAll(() => {
  for (const c of children) if (c.exitCode === null) c.kill('SIGKILL');
  rmSync(scratch, { recursive: true, force: true });
});

const pause = (ms: number) => new Promise((done) => setTimeout(done, ms));
interface Started {
  child: ChildProcess;
  /** What it has said so far. */
  said: () => string;
  ended: Promise<number | null>;
}

function start(data: string, port: number, more: Record<string, string> = {}): Started {
  const child = spawn(process.execPath, [OLDHAND, 'start', '--no-demo', '--data', data, '--port', String(port)], {
    cwd: ROOT,
    env: { ...ENV, ...more },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  children.push(child);
  let text = '';
  for (const stream of [child.stdout, child.stderr]) stream.on('data', (c: Buffer) => (text += c));
  return { child, said: () => text, ended: new Promise((done) => child.once('exit', (code) => done(code))) };
}

async function until(what: () => boolean | Promise<boolean>, ms = 60_000): Promise<void> {
  const end = Date.now() + ms;
  while (!(await what())) {
    if (Date.now() > end) throw new Error('waited in vain');
    await pause(50);
  }
}
const up = (s: Started) =>
  until(() => {
    if (s.child.exitCode !== null) throw new Error(`it ended: ${s.said()}`);
    return /Ctrl-C stops it/.test(s.said());
  });

interface Noted {
  name: string;
  pid: number;
  port?: number;
}
const noted = (data: string): Noted[] => JSON.parse(readFileSync(join(data, 'running.json'), 'utf8')) as Noted[];
const pidOf = (data: string, name: string): number => noted(data).find((c) => c.name === name)!.pid;
const lives = (pid: number): boolean => existsSync(`/proc/${pid}`) && !/\) Z /.test(readFileSync(`/proc/${pid}/stat`, 'utf8'));
/** Programs that still have this data folder open. */
const leftOn = (data: string): string[] =>
  spawnSync('pgrep', ['-af', data], { encoding: 'utf8' })
    .stdout.split('\n')
    .filter((l) => /mariadbd|next/.test(l));

async function stop(s: Started): Promise<void> {
  s.child.kill('SIGINT');
  await s.ended;
}

async function connect(data: string) {
  const { port } = noted(data).find((c) => c.name === 'database')!;
  return createConnection({
    host: '127.0.0.1',
    port,
    user: 'oldhand',
    password: readFileSync(join(data, 'database-password'), 'utf8'),
    database: 'oldhand',
  });
}

/** A sum over every table, as the engine itself reckons it. */
async function sums(data: string): Promise<Record<string, string>> {
  const db = await connect(data);
  const [tables] = await db.query<RowDataPacket[]>('show tables');
  const out: Record<string, string> = {};
  for (const row of tables) {
    const name = String(Object.values(row)[0]);
    const [[sum]] = await db.query<RowDataPacket[]>(`checksum table \`${name}\` extended`);
    out[name] = String(sum.Checksum);
  }
  await db.end();
  return out;
}

async function signUp(port: number): Promise<string> {
  const origin = `http://127.0.0.1:${port}`;
  const answer = await fetch(`${origin}/api/auth/sign-up/email`, {
    method: 'POST',
    headers: { origin, 'content-type': 'application/json' },
    body: JSON.stringify({ email: 'ines@fennick.example', password: 'a-long-password', name: 'Ines' }),
  });
  expect(answer.status).toBe(200);
  return answer.headers
    .getSetCookie()
    .map((c) => c.split(';')[0])
    .join('; ');
}

const oldhand = (...words: string[]) => spawnSync(process.execPath, [OLDHAND, ...words], { cwd: ROOT, env: ENV, encoding: 'utf8' });

test('killed at any moment of its first start, it starts again on the same folder and leaves nothing running', async () => {
  const data = join(scratch, 'killed');
  // From the making of the database folder over its first start and the tables to the application.
  for (const [i, ms] of [150, 600, 1200, 2000, 3000, 4500].entries()) {
    const s = start(data, 4711);
    await pause(ms);
    s.child.kill(i % 2 ? 'SIGKILL' : 'SIGINT');
    await s.ended;
    if (i % 2 === 0) await until(() => leftOn(data).length === 0, 15_000);
  }
  const s = start(data, 4711);
  await up(s);
  expect((await fetch('http://127.0.0.1:4711/sign-in')).status).toBe(200);
  // A second launcher on the same folder is refused in plain words.
  const second = start(data, 4712);
  expect(await second.ended).toBe(1);
  expect(second.said()).toMatch(/is running on .* already \(process \d+\)/);
  await stop(s);
  expect(leftOn(data)).toEqual([]);
  expect(readdirSync(data).filter((n) => n.includes('.new-'))).toEqual([]);
});

test('a database folder left half made is set aside, and a new one made', async () => {
  const data = join(scratch, 'half');
  spawnSync('mkdir', ['-p', join(data, 'mariadb', 'mysql')]);
  writeFileSync(join(data, 'mariadb', 'ibdata1'), 'half');
  const s = start(data, 4713);
  await up(s);
  await stop(s);
  expect(s.said()).toMatch(/half made/);
  expect(readdirSync(data).some((n) => n.startsWith('mariadb.half-made-'))).toBe(true);
});

test('database and application are brought back when they die; a page meanwhile waits or says so; the state is kept', async () => {
  const data = join(scratch, 'minded');
  const s = start(data, 4714);
  await up(s);
  const cookie = await signUp(4714);
  const studies = () => fetch('http://127.0.0.1:4714/api/studies', { headers: { cookie } });
  expect((await studies()).status).toBe(200);
  const first = pidOf(data, 'database');
  process.kill(first, 'SIGKILL');
  // Asked in the very moment: the read waits for the database to come back, or is told; it is never a blank page.
  const during = await fetch('http://127.0.0.1:4714/studies', { headers: { cookie } });
  expect([200, 500]).toContain(during.status);
  expect(await during.text()).toMatch(/Old Hand/);
  await until(() => pidOf(data, 'database') !== first && /database is back/.test(s.said()));
  await until(async () => (await studies()).status === 200);
  const app = pidOf(data, 'application');
  process.kill(app, 'SIGKILL');
  await until(() => pidOf(data, 'application') !== app && /application is back/.test(s.said()));
  expect((await studies()).status).toBe(200);
  await stop(s);
  expect([lives(first), leftOn(data)]).toEqual([false, []]);
});

test('a backup made while it runs, restored into another folder: every table the same, sessions still good', async () => {
  const data = join(scratch, 'kept');
  const copy = join(scratch, 'copy');
  const file = join(scratch, 'all.sql.gz');
  const s = start(data, 4715, { OLDHAND_RUNNER: 'off' });
  await up(s);
  const cookie = await signUp(4715);
  const db = await connect(data);
  // Bytes that text would spoil, more than one packet of them.
  await db.query("insert into blobs values (repeat('a', 64), 3000000, 1)");
  for (let seq = 0; seq < 3; seq++)
    await db.query("insert into blob_chunks values (repeat('a', 64), ?, ?)", [
      seq,
      Buffer.from(Array.from({ length: 1_000_000 }, (_, i) => (i * 31 + seq) % 256)),
    ]);
  await db.end();
  const made = oldhand('backup', file, '--data', data);
  expect([made.status, made.stderr]).toEqual([0, expect.stringMatching(/secret that signs sessions included/)]);
  expect(statSync(file).mode & 0o077).toBe(0);
  expect(oldhand('backup', file, '--data', data).stderr).toMatch(/is there already/);
  const before = await sums(data);
  await stop(s);
  const restored = oldhand('restore', file, '--data', copy);
  expect([restored.status, restored.stderr]).toEqual([0, expect.stringMatching(/is in place/)]);
  const again = start(copy, 4716, { OLDHAND_RUNNER: 'off' });
  await up(again);
  expect(await sums(copy)).toEqual(before);
  expect((await fetch('http://127.0.0.1:4716/api/studies', { headers: { cookie } })).status).toBe(200);
  expect(oldhand('restore', file, '--data', copy, '--replace').stderr).toMatch(/is running on .* already/);
  await stop(again);
  expect(oldhand('restore', file, '--data', copy).stderr).toMatch(/holds a database already; add --replace/);
  // One that was cut short changes nothing.
  truncateSync(file, Math.floor(statSync(file).size / 2));
  const cut = oldhand('restore', file, '--data', copy, '--replace');
  expect([cut.status, cut.stderr]).toEqual([1, expect.stringMatching(/cut short; nothing was changed/)]);
  writeFileSync(join(scratch, 'other.gz'), 'words');
  expect(oldhand('restore', join(scratch, 'other.gz'), '--data', copy, '--replace').stderr).toMatch(/is no backup/);
  // And a folder that is not running can be backed up too; what is restored over it is kept beside it.
  const second = join(scratch, 'second.sql.gz');
  expect(oldhand('backup', second, '--data', copy).status).toBe(0);
  expect(oldhand('restore', second, '--data', copy, '--replace').stderr).toMatch(/What was there before lies in/);
  const third = start(copy, 4717, { OLDHAND_RUNNER: 'off' });
  await up(third);
  expect(await sums(copy)).toEqual(before);
  await stop(third);
});
