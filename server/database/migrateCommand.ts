/** Brings a database to the newest schema; run by the launcher before any server starts. */
import { join } from 'node:path';
import { migrate } from 'drizzle-orm/mysql2/migrator';
import { openDatabase } from './connection';

export async function migrateDatabase(url: string, root: string): Promise<void> {
  const { db, pool } = openDatabase(url);
  try {
    await migrate(db, { migrationsFolder: join(root, 'server', 'migrations') });
  } finally {
    await pool.end();
  }
}
