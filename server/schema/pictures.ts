/** Pictures by content: bytes in chunks of 1 MB, and who has which picture under which name. */
import { sql } from 'drizzle-orm';
import { check, index, int, mysqlEnum, mysqlTable, primaryKey, uniqueIndex, varchar } from 'drizzle-orm/mysql-core';
import { user } from './accounts';
import { id, instant, key, longBlob } from './types';

export const blobs = mysqlTable('blobs', {
  sha256: varchar('sha256', { length: 64 }).primaryKey(),
  bytes: int('bytes').notNull(),
  /** False until every chunk is in; an unfinished one is cleared and written again. */
  complete: int('complete').notNull().default(0),
});

export const blobChunks = mysqlTable(
  'blob_chunks',
  {
    sha256: varchar('sha256', { length: 64 })
      .notNull()
      .references(() => blobs.sha256, { onDelete: 'cascade' }),
    seq: int('seq').notNull(),
    data: longBlob('data').notNull(),
  },
  (t) => [primaryKey({ columns: [t.sha256, t.seq] })],
);

export const pictures = mysqlTable(
  'pictures',
  {
    id: id(),
    teacherId: key('teacher_id')
      .notNull()
      .references(() => user.id, { onDelete: 'cascade' }),
    sha256: varchar('sha256', { length: 64 })
      .notNull()
      .references(() => blobs.sha256),
    /** What it is: as uploaded, turned upright and lossless, small for screens, squared up from a photograph. */
    role: mysqlEnum('role', ['original', 'upright', 'preview', 'rectified']).notNull(),
    /** The picture it was made from; null for an upload. Empty string stands in the unique key for null. */
    madeFrom: key('made_from').notNull().default(''),
    name: varchar('name', { length: 190 }).notNull(),
    mime: varchar('mime', { length: 40 }).notNull(),
    width: int('width').notNull(),
    height: int('height').notNull(),
    createdAt: instant('created_at').notNull(),
  },
  (t) => [
    index('pictures_made_from').on(t.madeFrom, t.role),
    index('pictures_created').on(t.createdAt),
    uniqueIndex('pictures_made').on(t.teacherId, t.madeFrom, t.role, t.sha256),
    check('pictures_size', sql`${t.width} > 0 and ${t.height} > 0`),
  ],
);
