/** Knows the connections of this process: one pool for each use, so that uploads and measuring never take a page's. */
import { AsyncLocalStorage } from 'node:async_hooks';
import { drizzle, MySql2Database } from 'drizzle-orm/mysql2';
import { createPool, createPoolCluster, type Pool, type PoolConnection } from 'mysql2/promise';
import { sentence, UserError } from '../errors';
import * as schema from '../schema';
import { isDeadlock, isLost, isSevered } from './failures';
import { readDatabaseUrl } from './hosts';

export type Database = MySql2Database<typeof schema>;
export type Transaction = Parameters<Parameters<Database['transaction']>[0]>[0];
export type Querying = Database | Transaction;

/** What connections are for, and how many each use may hold at once. */
const LIMITS = { pages: 8, uploads: 4, background: 6 } as const;
type Use = keyof typeof LIMITS;

/** As much of a pool as drizzle needs. */
type Client = Pick<Pool, 'query' | 'execute' | 'getConnection' | 'end'>;

interface Pools {
  pools: Partial<Record<Use, Client>>;
  databases: Partial<Record<Use, Database>>;
  use: AsyncLocalStorage<Use>;
}

const holder = globalThis as { __oldhandDatabase?: Pools };
const poolsOfProcess = (): Pools => (holder.__oldhandDatabase ??= { pools: {}, databases: {}, use: new AsyncLocalStorage() });

/** Everything that `work` asks of the database goes over the connections kept for this use. */
export const connectedFor = <T>(use: Use, work: () => Promise<T>): Promise<T> => poolsOfProcess().use.run(use, work);
export const connectionUse = (): Use => poolsOfProcess().use.getStore() ?? 'pages';

const pause = (ms: number) => new Promise((done) => setTimeout(done, ms));
/** Pauses while a database comes back: its restart takes a second or two. */
const PAUSES = [80, 250, 700, 1500, 2500];
/** A node that answers nothing at all is given up after this long. */
const ANSWER_MS = 45_000;
const NODE_REST_MS = 5000;

async function whileLost<T>(work: () => Promise<T>): Promise<T> {
  for (let attempt = 0; ; attempt++) {
    try {
      return await work();
    } catch (error) {
      if (attempt >= PAUSES.length || !isLost(error)) throw error;
      await pause(PAUSES[attempt]);
    }
  }
}

const READS = /^\s*\(?\s*select\b(?![\s\S]*\bfor update\b)/i;
const sqlOf = (query: unknown): string => (typeof query === 'string' ? query : ((query as { sql?: string }).sql ?? ''));

/** Gives up what is never answered, as from a host that was switched off: its connection then has no end of its own. */
function answered<T>(work: Promise<T>): Promise<T> {
  let timer: NodeJS.Timeout | undefined;
  const silent = new Promise<never>((_, fail) => {
    const error = Object.assign(new Error('the database gave no answer'), { code: 'PROTOCOL_SEQUENCE_TIMEOUT' });
    timer = setTimeout(() => fail(error), ANSWER_MS).unref();
  });
  return Promise.race([work, silent]).finally(() => clearTimeout(timer));
}

/** A client whose reads are asked again when the database went away in the middle: a read changes nothing. */
function lasting(client: Client): Client {
  const again = (name: 'query' | 'execute') =>
    ((query: unknown, values?: unknown) => {
      const run = () => answered((client[name] as (q: unknown, v: unknown) => Promise<unknown>).call(client, query, values));
      return READS.test(sqlOf(query)) ? whileLost(run) : run();
    }) as Client['query'];
  return {
    query: again('query'),
    execute: again('execute') as Client['execute'],
    getConnection: () => whileLost(() => client.getConnection()),
    end: () => client.end(),
  };
}

interface Core {
  _clusterId?: string;
  on: (event: 'error', listener: () => void) => void;
}
const coreOf = (connection: PoolConnection): Core => (connection as unknown as { connection: Core }).connection;

const quieted = new WeakSet<object>();
/** A connection that dies says so to whoever asked it something; said once more to nobody, it would end the process. */
function quiet(core: Core): void {
  if (quieted.has(core)) return;
  quieted.add(core);
  core.on('error', () => {});
}

/** One host: the library's own pool. */
function poolClient(url: string, limit: number): Client {
  const { hosts, ...account } = readDatabaseUrl(url);
  const pool = createPool({ ...OPTIONS, ...account, ...hosts[0], connectionLimit: limit });
  pool.on('connection', (core) => quiet(core as unknown as Core));
  return pool;
}

/** Several hosts: the first that answers is used; one that fails rests a while and is then tried again. */
function clusterClient(url: string, limit: number): Client {
  const { hosts, ...account } = readDatabaseUrl(url);
  const cluster = createPoolCluster({
    canRetry: true,
    removeNodeErrorCount: 1,
    restoreNodeTimeout: NODE_REST_MS,
    defaultSelector: 'ORDER',
  });
  const add = (i: number) => cluster.add(`n${i}`, { ...OPTIONS, ...account, ...hosts[i], connectionLimit: limit });
  hosts.forEach((_, i) => add(i));
  const nodes = cluster.of('*', 'ORDER');
  const resting = new Set<string>();
  /** A node that is gone refuses connections, and the library rests it; one that lost the others accepts them still, and has to be set aside by hand. */
  const rest = (id: string) => {
    if (resting.has(id)) return;
    resting.add(id);
    (cluster as unknown as { remove: (id: string) => void }).remove(id);
    setTimeout(() => {
      resting.delete(id);
      add(Number(id.slice(1)));
    }, NODE_REST_MS).unref();
  };
  const take = async (): Promise<PoolConnection> => {
    const connection = (await nodes.getConnection()) as PoolConnection;
    quiet(coreOf(connection));
    const id = coreOf(connection)._clusterId;
    for (const name of ['query', 'execute'] as const) {
      const plain = (connection[name] as (...words: unknown[]) => Promise<unknown>).bind(connection);
      (connection as unknown as Record<string, unknown>)[name] = async (...words: unknown[]) => {
        try {
          return await plain(...words);
        } catch (error) {
          if (id !== undefined && isSevered(error)) rest(id);
          throw error;
        }
      };
    }
    return connection;
  };
  const once = (name: 'query' | 'execute') =>
    (async (...words: unknown[]) => {
      const connection = await take();
      try {
        return await (connection[name] as (...w: unknown[]) => Promise<unknown>)(...words);
      } finally {
        connection.release();
      }
    }) as never;
  return { query: once('query'), execute: once('execute'), getConnection: take, end: () => cluster.end() };
}

const OPTIONS = {
  timezone: 'Z',
  charset: 'utf8mb4',
  supportBigNumbers: true,
  connectTimeout: 5000,
  enableKeepAlive: true,
  keepAliveInitialDelay: 5000,
} as const;

/** A pool over what the address names, one host or several, and drizzle over the pool. */
function openDatabase(url: string, limit: number): { pool: Client; db: Database } {
  const several = readDatabaseUrl(url).hosts.length > 1;
  const client = several ? clusterClient(url, limit) : poolClient(url, limit);
  const pool = lasting(client);
  return { pool, db: drizzle(pool as Pool, { schema, mode: 'planetscale' }) };
}

/** The database that DATABASE_URL names; one pool a use and process, kept over hot reloads. */
export function database(): Database {
  const use = connectionUse();
  const { databases, pools } = poolsOfProcess();
  const there = databases[use];
  if (there) return there;
  const url = process.env.DATABASE_URL;
  if (!url) throw new Error('DATABASE_URL is not set; start the application with ./oldhand start');
  const { db, pool } = openDatabase(url, LIMITS[use]);
  pools[use] = pool;
  return (databases[use] = db);
}

/** Lets go of every connection of this process. */
export async function closeDatabase(): Promise<void> {
  const { pools } = poolsOfProcess();
  delete holder.__oldhandDatabase;
  await Promise.all(Object.values(pools).map((pool) => pool.end()));
}

/** A new identifier for a row. */
export function newId(): string {
  return crypto.randomUUID();
}

const MOST_TRIES = 6;

/**
 * Runs a change whole or not at all. It runs again when the engine gave it up for another's sake, and when the database
 * went away before it was asked to commit; once it has been asked, nobody here knows what became of it, and that is told.
 */
export async function changing<T>(work: (tx: Transaction) => Promise<T>): Promise<T> {
  for (let attempt = 1; ; attempt++) {
    let committing = false;
    try {
      return await database().transaction(
        async (tx) => {
          const made = await work(tx);
          committing = true;
          return made;
        },
        { isolationLevel: 'read committed' },
      );
    } catch (error) {
      if (attempt < MOST_TRIES && (isDeadlock(error) || (attempt < 3 && isLost(error) && !committing))) {
        await pause(25 * 2 ** attempt * (0.5 + Math.random()));
        continue;
      }
      if (isLost(error) && committing) throw new UserError(503, sentence('databaseSaving'));
      throw error;
    }
  }
}
