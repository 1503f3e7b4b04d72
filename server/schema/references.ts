/** What students draw from: their own reference pictures, how far each part follows the manner, and which rules are ticked off. */
import { sql } from 'drizzle-orm';
import { boolean, check, double, index, int, mysqlTable, primaryKey, varchar } from 'drizzle-orm/mysql-core';
import { pictures } from './pictures';
import { rules, students, studies, works } from './studies';
import { id, instant, jsonText, key } from './types';

export const referencePictures = mysqlTable(
  'reference_pictures',
  {
    id: id(),
    studyId: key('study_id')
      .notNull()
      .references(() => studies.id, { onDelete: 'cascade' }),
    /** Null where everybody may use it, or the teacher studies alone. */
    studentId: key('student_id').references(() => students.id, { onDelete: 'cascade' }),
    /** The work it stood model for: the master's own photograph, cartoon or motif. Null for what students draw from. */
    workId: key('work_id').references(() => works.id, { onDelete: 'cascade' }),
    pictureId: key('picture_id')
      .notNull()
      .references(() => pictures.id),
    title: varchar('title', { length: 120 }).notNull(),
    /** Whose photograph or drawing it is. */
    credit: varchar('credit', { length: 120 }).notNull().default(''),
    /** 0 follows the reference, 1 the manner; by part where a part differs from the rest. */
    strength: double('strength').notNull().default(1),
    parts: jsonText<Record<string, number>>('parts').notNull(),
    version: int('version').notNull().default(1),
    createdAt: instant('created_at').notNull(),
  },
  (t) => [index('reference_pictures_study').on(t.studyId), check('reference_pictures_strength', sql`${t.strength} between 0 and 1`)],
);

export const referenceChecks = mysqlTable(
  'reference_checks',
  {
    referenceId: key('reference_id')
      .notNull()
      .references(() => referencePictures.id, { onDelete: 'cascade' }),
    ruleId: key('rule_id')
      .notNull()
      .references(() => rules.id, { onDelete: 'cascade' }),
    done: boolean('done').notNull(),
  },
  (t) => [primaryKey({ columns: [t.referenceId, t.ruleId] })],
);
