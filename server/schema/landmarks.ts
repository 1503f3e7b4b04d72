/** Points placed on a work, a piece or a reference: sets by template and name. */
import { sql } from 'drizzle-orm';
import { check, int, mysqlTable, uniqueIndex, varchar } from 'drizzle-orm/mysql-core';
import type { OwnTemplate } from '../../core/proportion/ownTemplate';
import { user } from './accounts';
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
    /** Which figure it is, where there are several; empty for the one that is. */
    name: varchar('name', { length: 60 }).notNull().default(''),
    points: jsonText<Record<string, [number, number]>>('points').notNull(),
    /** Points that are not to be seen in the picture: nobody is asked for them again. */
    hidden: jsonText<string[]>('hidden'),
    /** Points placed a second time without looking at the first: how surely they are placed. */
    again: jsonText<Record<string, [number, number]>>('again'),
    version: int('version').notNull().default(1),
    updatedAt: instant('updated_at').notNull(),
  },
  (t) => [
    uniqueIndex('landmark_sets_work').on(t.workId, t.template, t.name),
    uniqueIndex('landmark_sets_piece').on(t.pieceId, t.template, t.name),
    uniqueIndex('landmark_sets_reference').on(t.referenceId, t.template, t.name),
    check('landmark_sets_one', sql`(${t.workId} is not null) + (${t.pieceId} is not null) + (${t.referenceId} is not null) = 1`),
  ],
);

/** Kinds of points that a teacher has made; a set of one is of the template `own-ID`. */
export const ownTemplates = mysqlTable(
  'own_templates',
  {
    id: id(),
    teacherId: key('teacher_id')
      .notNull()
      .references(() => user.id, { onDelete: 'cascade' }),
    name: varchar('name', { length: 80 }).notNull(),
    template: jsonText<OwnTemplate>('template').notNull(),
    version: int('version').notNull().default(1),
  },
  (t) => [uniqueIndex('own_templates_name').on(t.teacherId, t.name)],
);
