/** Knows the one connection pool of this process. */
import { drizzle, MySql2Database } from 'drizzle-orm/mysql2';
import { createPool, Pool } from 'mysql2/promise';
import * as schema from '../schema';

export type Database = MySql2Database<typeof schema>;

interface Held {
  pool: Pool;
  db: Database;
}

const holder = globalThis as { __oldhandDatabase?: Held };

export function openDatabase(url: string): Held {
  const pool = createPool({ uri: url, connectionLimit: 8, timezone: 'Z', charset: 'utf8mb4', supportBigNumbers: true });
  return { pool, db: drizzle(pool, { schema, mode: 'planetscale' }) };
}

/** The database that DATABASE_URL names; one pool a process, kept over hot reloads. */
export function database(): Database {
  if (!holder.__oldhandDatabase) {
    const url = process.env.DATABASE_URL;
    if (!url) throw new Error('DATABASE_URL is not set; start the application with ./oldhand start');
    holder.__oldhandDatabase = openDatabase(url);
  }
  return holder.__oldhandDatabase.db;
}

/** A new identifier for a row. */
export function newId(): string {
  return crypto.randomUUID();
}

const DEADLOCK = new Set(['ER_LOCK_DEADLOCK', 'ER_LOCK_WAIT_TIMEOUT', 'ER_CHECKREAD']);

/** MySQL's own code of an error, wherever the driver wrapped it. */
function errorCode(error: unknown): string {
  for (let e = error as { code?: unknown; cause?: unknown } | undefined; e; e = e.cause as typeof e)
    if (typeof e.code === 'string') return e.code;
  return '';
}

export const isDuplicate = (error: unknown): boolean => errorCode(error) === 'ER_DUP_ENTRY';
export const isDeadlock = (error: unknown): boolean => DEADLOCK.has(errorCode(error));

/** Runs a transaction again when the server gave it up for another's sake; at most four times. */
export async function retrying<T>(work: () => Promise<T>): Promise<T> {
  for (let attempt = 0; ; attempt++) {
    try {
      return await work();
    } catch (error) {
      if (attempt >= 3 || !isDeadlock(error)) throw error;
      await new Promise((done) => setTimeout(done, 30 * 2 ** attempt));
    }
  }
}
