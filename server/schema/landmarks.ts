/** Points placed on a work, a piece or a reference, one set a template. */
import { sql } from 'drizzle-orm';
import { check, int, mysqlTable, uniqueIndex, varchar } from 'drizzle-orm/mysql-core';
import { pieces } from './pieces';
import { referencePictures } from './references';
import { studies, works } from './studies';
import { id, instant, jsonText, key } from './types';

export const landmarkSets = mysqlTable(
  'landmark_sets',
  {
    id: id(),
    studyId: key('study_id')
      .notNull()
      .references(() => studies.id, { onDelete: 'cascade' }),
    /** Just one of the three is set. */
    workId: key('work_id').references(() => works.id, { onDelete: 'cascade' }),
    pieceId: key('piece_id').references(() => pieces.id, { onDelete: 'cascade' }),
    referenceId: key('reference_id').references(() => referencePictures.id, { onDelete: 'cascade' }),
    template: varchar('template', { length: 40 }).notNull(),
    points: jsonText<Record<string, [number, number]>>('points').notNull(),
    version: int('version').notNull().default(1),
    updatedAt: instant('updated_at').notNull(),
  },
  (t) => [
    uniqueIndex('landmark_sets_work').on(t.workId, t.template),
    uniqueIndex('landmark_sets_piece').on(t.pieceId, t.template),
    uniqueIndex('landmark_sets_reference').on(t.referenceId, t.template),
    check('landmark_sets_one', sql`(${t.workId} is not null) + (${t.pieceId} is not null) + (${t.referenceId} is not null) = 1`),
  ],
);
