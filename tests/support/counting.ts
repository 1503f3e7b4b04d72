/** Counts everything a database holds, table by table and byte by byte. */
import { is, sql } from 'drizzle-orm';
import { getTableConfig, MySqlTable } from 'drizzle-orm/mysql-core';
import { database } from '../../server/database/connection';
import * as schema from '../../server/schema';

export const TABLES: MySqlTable[] = Object.values(schema).filter((t) => is(t, MySqlTable));

/** Rows of every table, and the bytes of all pictures; two readings are equal only when nothing was left behind. */
export async function everything(): Promise<Record<string, number>> {
  const db = database();
  const out: Record<string, number> = {};
  for (const table of TABLES) {
    const [{ n }] = await db.select({ n: sql<number>`count(*)` }).from(table);
    out[getTableConfig(table).name] = Number(n);
  }
  const [{ bytes }] = await db.select({ bytes: sql<number>`coalesce(sum(length(${schema.blobChunks.data})), 0)` }).from(schema.blobChunks);
  return { ...out, bytes: Number(bytes) };
}
