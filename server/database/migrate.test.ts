/** Bringing a database up to date survives a kill at any statement, and goes on from where it was. */
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { createConnection, type Connection, type RowDataPacket } from 'mysql2/promise';
import { migrateDatabase, pendingMigrations } from './migrateCommand';

const ROOT = join(__dirname, '..', '..');
const EMPTY =
  'drop database if exists oldhand_trial; create database oldhand_trial character set utf8mb4 collate utf8mb4_unicode_ci; use oldhand_trial';
const url = () => process.env.DATABASE_URL!.replace(/\/oldhand$/, '/oldhand_trial');
let db: Connection;
beforeAll(async () => {
  db = await createConnection({ uri: process.env.DATABASE_URL, multipleStatements: true });
});
afterAll(async () => {
  await db.query('drop database if exists oldhand_trial');
  await db.end();
});
beforeEach(() => db.query(EMPTY));

const rows = async (sql: string) => (await db.query<RowDataPacket[]>(sql))[0];
/** Everything the schema is made of, but for the migrations' own tables. */
async function shape(): Promise<string[]> {
  const columns = await rows(
    "select concat(table_name, '.', column_name, ' ', column_type, ' ', is_nullable) as s from information_schema.columns where table_schema = 'oldhand_trial' and table_name not like '\\_\\_%'",
  );
  const keys = await rows(
    "select concat(table_name, ' ', constraint_name, ' ', constraint_type) as s from information_schema.table_constraints where table_schema = 'oldhand_trial' and table_name not like '\\_\\_%'",
  );
  const indexes = await rows(
    "select concat(table_name, ' ', index_name, ' ', column_name, ' ', seq_in_index) as s from information_schema.statistics where table_schema = 'oldhand_trial' and table_name not like '\\_\\_%'",
  );
  return [...columns, ...keys, ...indexes].map((r) => r.s as string).sort();
}
const migrate = (onStatement?: (tag: string, statement: number) => void) => migrateDatabase(url(), ROOT, onStatement);

let whole: string[] = [];
const statements: [string, number][] = [];

test('from nothing to the newest, every statement written down; again there is nothing left to do', async () => {
  await migrate((tag, i) => statements.push([tag, i]));
  whole = await shape();
  expect(whole.length).toBeGreaterThan(200);
  expect(statements.length).toBeGreaterThan(100);
  expect((await pendingMigrations(url(), ROOT)).pending).toEqual([]);
  const again: unknown[] = [];
  await migrate((tag) => again.push(tag));
  expect(again).toEqual([]);
});

test('a kill before any statement, or just after it and before it was written down, is gone on from', async () => {
  // Early, in the middle of tables and keys, at the hand-written statements, and at the last.
  const at = [1, 7, 11, 31, 60, 90, statements.length - 6, statements.length - 1];
  for (const k of at) {
    await db.query(EMPTY);
    let seen = 0;
    const killed = migrate(() => {
      if (seen++ === k) throw new Error('killed');
    });
    await expect(killed).rejects.toThrow('killed');
    expect((await pendingMigrations(url(), ROOT)).pending.length).toBeGreaterThan(0);
    // The last one ran, but its server died before it could say so.
    const [tag, i] = statements[k - 1];
    await db.query('update `__oldhand_migrations` set done = 0 where tag = ? and statement = ?', [tag, i]);
    await migrate();
    expect(await shape()).toEqual(whole);
  }
});

test('a folder that an earlier version left half made comes to the same end', async () => {
  const first = await readFile(join(ROOT, 'server', 'migrations', '0000_first.sql'), 'utf8');
  for (const many of [7, 11, 31]) {
    await db.query(EMPTY);
    // As the library's own migrator leaves it: its table, and no word of what has run.
    await db.query('create table `__drizzle_migrations` (id serial primary key, hash text not null, created_at bigint)');
    for (const statement of first.split('--> statement-breakpoint').slice(0, many)) await db.query(statement);
    await migrate();
    expect(await shape()).toEqual(whole);
  }
});

/** The trial database as the library's own migrator left it after the first `many` migrations; gives their number today. */
async function asLeftAfter(many: number): Promise<number> {
  const journal = JSON.parse(await readFile(join(ROOT, 'server/migrations/meta/_journal.json'), 'utf8')) as {
    entries: { tag: string; when: number }[];
  };
  for (const { tag } of journal.entries.slice(0, many))
    for (const statement of (await readFile(join(ROOT, 'server/migrations', `${tag}.sql`), 'utf8')).split('--> statement-breakpoint'))
      await db.query(statement);
  await db.query('create table `__drizzle_migrations` (id serial primary key, hash text not null, created_at bigint)');
  await db.query('insert into `__drizzle_migrations` (hash, created_at) values (?, ?)', ['x', journal.entries[many - 1].when]);
  return journal.entries.length;
}

test('what an earlier version had wrapped up is taken over: its data stays, its landmarks hang on by key', async () => {
  const all = await asLeftAfter(2);
  await db.query(`insert into user (id, name, email, created_at, updated_at) values ('t', 'T', 't@fennick.example', now(), now());
    insert into studies (id, teacher_id, title, master, about, created_at, updated_at) values ('s', 't', 'S', 'M', '', now(), now());
    insert into blobs values ('h', 1, 1);
    insert into pictures (id, teacher_id, sha256, role, name, mime, width, height, created_at) values ('p', 't', 'h', 'original', 'n', 'image/png', 1, 1, now());
    insert into works (id, study_id, picture_id, title, impressions) values ('w', 's', 'p', 'W', '');
    insert into landmark_sets (id, study_id, subject, subject_id, template, points, updated_at) values ('a', 's', 'work', 'w', 'free', '{}', now()), ('b', 's', 'piece', 'gone', 'free', '{}', now());
    insert into edits (study_id, subject, subject_id, label, at) values ('s', 'work', 'w', 'old', now());
    insert into jobs (id, teacher_id, study_id, kind, work_key, payload, told, created_at) values ('j', 't', 's', 'measure-work', 'measure-work:w', '{}', '', now()), ('k', 't', 'gone', 'measure-work', 'measure-work:gone', '{}', '', now())`);
  const { holdsData, pending } = await pendingMigrations(url(), ROOT);
  expect([holdsData, pending[0], pending.length]).toEqual([true, expect.stringMatching(/^0002/), all - 2]);
  await migrate();
  expect(await shape()).toEqual(whole);
  expect(await rows('select id, work_id, piece_id from landmark_sets')).toEqual([{ id: 'a', work_id: 'w', piece_id: null }]);
  expect(await rows('select id, work_id, study_id from jobs')).toEqual([{ id: 'j', work_id: 'w', study_id: 's' }]);
  expect(await rows('select title from works')).toEqual([{ title: 'W' }]);
});

test('settings move to the account, and the log of edits names columns as the code does now', async () => {
  await asLeftAfter(6);
  const title = 'so "told": it';
  const changes = [{ table: 'pieces', key: { id: 'p' }, before: null, after: { id: 'p', title, told: 'no sheet found' } }];
  await db.query(`insert into user (id, name, email, created_at, updated_at) values ('t', 'T', 't@fennick.example', now(), now()), ('u', 'U', 'u@fennick.example', now(), now());
    insert into teacher_settings (user_id, units, spelling, paper, hand, time_zone) values ('t', 'inch', 'american', 'Letter', 'left', 'Pacific/Auckland');
    insert into studies (id, teacher_id, title, master, about, created_at, updated_at) values ('s', 't', 'S', 'M', '', now(), now())`);
  await db.query('insert into edits (study_id, subject, subject_id, label, changes, at) values (?, ?, ?, ?, ?, now())', [
    's',
    'piece',
    'p',
    'Delete the piece',
    JSON.stringify(changes),
  ]);
  await migrate();
  expect(await shape()).toEqual(whole);
  expect(await rows('select id, units, spelling, paper, hand, time_zone, language from user order by id')).toEqual([
    { id: 't', units: 'inch', spelling: 'american', paper: 'Letter', hand: 'left', time_zone: 'Pacific/Auckland', language: null },
    { id: 'u', units: 'mm', spelling: 'british', paper: 'A4', hand: 'right', time_zone: 'UTC', language: null },
  ]);
  const [{ label, changes: kept }] = await rows('select label, changes from edits');
  expect(label).toBe('Delete the piece');
  expect(JSON.parse(kept as string)).toEqual([
    { table: 'pieces', key: { id: 'p' }, before: null, after: { id: 'p', title, messages: 'no sheet found' } },
  ]);
});

test('what stood under a measure’s name alone stands under its template’s, in rules, notes, comparisons and the log', async () => {
  await asLeftAfter(8);
  await db.query(`insert into user (id, name, email, created_at, updated_at) values ('t', 'T', 't@fennick.example', now(), now());
    insert into studies (id, teacher_id, title, master, about, created_at, updated_at) values ('s', 't', 'S', 'M', '', now(), now()), ('f', 't', 'F', 'M', '', now(), now());
    insert into blobs values ('h', 1, 1);
    insert into pictures (id, teacher_id, sha256, role, name, mime, width, height, created_at) values ('p', 't', 'h', 'original', 'n', 'image/png', 1, 1, now());
    insert into works (id, study_id, picture_id, title, impressions) values ('w', 's', 'p', 'W', '');
    insert into landmark_sets (id, study_id, work_id, template, points, updated_at) values ('a', 's', 'w', 'figure-standing', '{}', now());
    insert into rules (id, study_id, kind, feature, sentence) values ('1', 's', 'feature', 'proportion.heads-tall', ''), ('2', 's', 'feature', 'proportion.neck-length', ''),
      ('3', 'f', 'feature', 'proportion.neck-length', ''), ('4', 'f', 'feature', 'marks.spacing', ''), ('5', 'f', 'feature', 'proportion.eye-line', 'say "proportion.eye-line"')`);
  const changes = [
    {
      table: 'rules',
      key: { id: '1' },
      before: null,
      after: { feature: 'proportion.eye-gap', said: { sentence: { key: 'features.proportion.eye-gap.title' } } },
    },
  ];
  await db.query('insert into edits (study_id, subject, subject_id, label, changes, at) values (?, ?, ?, ?, ?, now())', [
    's',
    'study',
    's',
    '[]',
    JSON.stringify(changes),
  ]);
  await migrate();
  expect(await rows('select id, feature from rules order by id')).toEqual([
    { id: '1', feature: 'proportion.figure-standing.heads-tall' },
    { id: '2', feature: 'proportion.figure-standing.neck-length' },
    { id: '3', feature: 'proportion.face-front.neck-length' },
    { id: '4', feature: 'marks.spacing' },
    { id: '5', feature: 'proportion.face-front.eye-line' },
  ]);
  const [{ changes: kept }] = await rows('select changes from edits');
  expect(JSON.parse(kept as string)[0].after).toEqual({
    feature: 'proportion.face-front.eye-gap',
    said: { sentence: { key: 'features.proportion.eye-gap.title' } },
  });
  expect(await rows("select sentence from rules where id = '5'")).toEqual([{ sentence: 'say "proportion.eye-line"' }]);
});

test('three servers that start at once bring it up to date once', async () => {
  const ran: string[] = [];
  await Promise.all([0, 1, 2].map(() => migrate((tag, i) => ran.push(`${tag}:${i}`))));
  expect(new Set(ran).size).toBe(ran.length);
  expect(await shape()).toEqual(whole);
});

test('a statement that cannot run is told, and not taken for one that has', async () => {
  await db.query('create table `user` (id int)');
  await expect(migrate()).rejects.toMatchObject({ code: 'ER_TABLE_EXISTS_ERROR' });
});
