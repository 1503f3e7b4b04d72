/**
 * Brings a database to the newest schema; run by the launcher before any server starts. MariaDB cannot take a whole
 * migration back, so each statement is written down before and after it runs: a kill in the middle is gone on from.
 */
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { createConnection, type Connection, type RowDataPacket } from 'mysql2/promise';
import { readDatabaseUrl } from './hosts';

const LOG = '__oldhand_migrations';
const LEASE = '__oldhand_migrating';
const LEASE_SECONDS = 60;
const BREAK = '--> statement-breakpoint';

/** What the engine says of something that is there (or gone) already: the mark of a statement that ran unrecorded. */
const DONE_ALREADY = new Set([
  'ER_TABLE_EXISTS_ERROR',
  'ER_DUP_FIELDNAME',
  'ER_DUP_KEYNAME',
  'ER_MULTIPLE_PRI_KEY',
  'ER_CANT_DROP_FIELD_OR_KEY',
  'ER_DUP_CONSTRAINT_NAME',
  'ER_FK_DUP_NAME',
  'ER_CHECK_CONSTRAINT_DUP_NAME',
]);
/** A foreign key of this name is there already; the engine tells it by number only. */
const isDoubleKey = (error: { message?: string }) => /errno: 121/.test(error.message ?? '');

interface Migration {
  tag: string;
  when: number;
  statements: string[];
}

async function migrationsIn(root: string): Promise<Migration[]> {
  const folder = join(root, 'server', 'migrations');
  const journal = JSON.parse(await readFile(join(folder, 'meta', '_journal.json'), 'utf8')) as { entries: { tag: string; when: number }[] };
  return Promise.all(
    journal.entries.map(async ({ tag, when }) => {
      const text = await readFile(join(folder, `${tag}.sql`), 'utf8');
      return {
        tag,
        when,
        statements: text
          .split(BREAK)
          .map((s) => s.trim())
          .filter(Boolean),
      };
    }),
  );
}

async function connect(url: string): Promise<Connection> {
  const { hosts, ...account } = readDatabaseUrl(url);
  let last: unknown;
  for (const host of hosts) {
    try {
      return await createConnection({ ...account, ...host, connectTimeout: 5000, timezone: 'Z' });
    } catch (error) {
      last = error;
    }
  }
  throw last;
}

const rowsOf = async (db: Connection, sql: string, values: unknown[] = []) => (await db.query<RowDataPacket[]>(sql, values as never))[0];
const hasTable = async (db: Connection, name: string) => (await rowsOf(db, 'show tables like ?', [name])).length > 0;

/** Statements by migration: whether each was begun and done. */
async function written(db: Connection): Promise<Map<string, boolean>> {
  const rows = await rowsOf(db, `select tag, statement, done from \`${LOG}\``);
  return new Map(rows.map((r) => [`${r.tag}:${r.statement}`, Boolean(r.done)]));
}

/** Migrations an earlier version wrote down whole, in its own table. */
async function takeOver(db: Connection, migrations: Migration[]): Promise<boolean> {
  if (!(await hasTable(db, '__drizzle_migrations'))) return false;
  const [last] = await rowsOf(db, 'select max(created_at) as at from `__drizzle_migrations`');
  for (const m of migrations.filter((m) => m.when <= Number(last.at ?? 0)))
    for (const i of m.statements.keys())
      await db.query(`insert ignore into \`${LOG}\` (tag, statement, done) values (?, ?, 1)`, [m.tag, i]);
  return true;
}

const pause = (ms: number) => new Promise((done) => setTimeout(done, ms));

/**
 * One at a time brings the schema up to date, however many servers start at once. A named lock ends with its connection;
 * a cluster has none, so there a row is leased, renewed over this connection of its own, and runs out when its holder dies.
 */
async function alone(url: string): Promise<() => Promise<void>> {
  const db = await connect(url);
  try {
    const [got] = await rowsOf(db, 'select get_lock(?, 600) as got', [LEASE]);
    if (Number(got.got) !== 1) throw new Error('another server has been bringing the database up to date for ten minutes');
    return () => db.end();
  } catch (error) {
    if (!/cluster|wsrep|not.*support/i.test((error as Error).message)) throw error;
  }
  const owner = crypto.randomUUID();
  await db.query(`create table if not exists \`${LEASE}\` (id int primary key, owner varchar(60) not null, until bigint not null)`);
  await db.query(`insert ignore into \`${LEASE}\` values (1, '', 0)`);
  const renew = async () => {
    const now = Date.now();
    const sql = `update \`${LEASE}\` set owner = ?, until = ? where id = 1 and (owner = ? or owner = '' or until < ?)`;
    const [done] = await db.query(sql, [owner, now + LEASE_SECONDS * 1000, owner, now]).catch(() => [null]);
    return (done as { affectedRows: number } | null)?.affectedRows === 1;
  };
  for (let waited = 0; !(await renew()); waited++) {
    if (waited > 1200) throw new Error('another server has been bringing the database up to date for ten minutes');
    await pause(500);
  }
  const beat = setInterval(() => void renew(), (LEASE_SECONDS * 1000) / 4);
  return async () => {
    clearInterval(beat);
    await db.query(`update \`${LEASE}\` set owner = '', until = 0 where owner = ?`, [owner]);
    await db.end();
  };
}

/** Tags of the migrations that have not run whole yet, and whether the database holds anything of an earlier version. */
export async function pendingMigrations(url: string, root: string): Promise<{ pending: string[]; holdsData: boolean }> {
  const db = await connect(url);
  try {
    const migrations = await migrationsIn(root);
    const holdsData = (await hasTable(db, 'user')) && (await rowsOf(db, 'select 1 from `user` limit 1')).length > 0;
    if (!(await hasTable(db, LOG))) {
      const old = (await hasTable(db, '__drizzle_migrations'))
        ? await rowsOf(db, 'select max(created_at) as at from `__drizzle_migrations`')
        : [];
      return { pending: migrations.filter((m) => m.when > Number(old[0]?.at ?? 0)).map((m) => m.tag), holdsData };
    }
    const log = await written(db);
    const whole = (m: Migration) => m.statements.every((_, i) => log.get(`${m.tag}:${i}`));
    return { pending: migrations.filter((m) => !whole(m)).map((m) => m.tag), holdsData };
  } finally {
    await db.end();
  }
}

/** Runs what has not run yet. `onStatement` is called before each statement. */
export async function migrateDatabase(
  url: string,
  root: string,
  onStatement: (tag: string, statement: number) => void = () => {},
): Promise<void> {
  const migrations = await migrationsIn(root);
  const release = await alone(url);
  const db = await connect(url);
  try {
    await db.query(
      `create table if not exists \`${LOG}\` (tag varchar(120) not null, statement int not null, done tinyint not null, at timestamp not null default current_timestamp, primary key (tag, statement))`,
    );
    const inherited = await takeOver(db, migrations);
    const log = await written(db);
    for (const { tag, statements } of migrations)
      for (const [i, statement] of statements.entries()) {
        const state = log.get(`${tag}:${i}`);
        if (state === true) continue;
        onStatement(tag, i);
        await db.query(`insert ignore into \`${LOG}\` (tag, statement, done) values (?, ?, 0)`, [tag, i]);
        try {
          await db.query(statement);
        } catch (error) {
          // Begun before and then killed; or a folder that an earlier version left half made.
          const ran = DONE_ALREADY.has((error as { code?: string }).code ?? '') || isDoubleKey(error as Error);
          if (!ran || (state === undefined && !inherited)) throw error;
        }
        await db.query(`update \`${LOG}\` set done = 1 where tag = ? and statement = ?`, [tag, i]);
      }
  } finally {
    await db.end();
    await release();
  }
}
