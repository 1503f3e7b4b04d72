/** What is done with proportion beside points: shapes over a work, motifs over the works, drills of the eye. */
import { int, index, mysqlEnum, mysqlTable, uniqueIndex, varchar } from 'drizzle-orm/mysql-core';
import type { DrawnShape } from '../../core/proportion/shapeList';
import type { DrillAnswer } from '../../core/proportion/drills';
import type { KeptLine } from '../../core/proportion/keptLines';
import type { Seen } from '../../core/style/inventory';
import { students, studies, works } from './studies';
import { id, instant, jsonText, key } from './types';

const ofStudy = () =>
  key('study_id')
    .notNull()
    .references(() => studies.id, { onDelete: 'cascade' });

/** What is drawn over a work: the shapes it is built of, in the order they are drawn, and lines kept along its edges. */
export const shapeLists = mysqlTable(
  'shape_lists',
  {
    id: id(),
    studyId: ofStudy(),
    workId: key('work_id')
      .notNull()
      .references(() => works.id, { onDelete: 'cascade' }),
    shapes: jsonText<DrawnShape[]>('shapes').notNull(),
    /** Lines laid along edges, kept to be carried over. */
    lines: jsonText<KeptLine[]>('lines'),
    version: int('version').notNull().default(1),
  },
  (t) => [uniqueIndex('shape_lists_work').on(t.workId)],
);

/** A motif or feature looked for in every work: what a master always or never does. */
export const motifs = mysqlTable(
  'motifs',
  {
    id: id(),
    studyId: ofStudy(),
    name: varchar('name', { length: 80 }).notNull(),
    /** By work; a work nobody has looked at is not in it. */
    seen: jsonText<Record<string, Seen>>('seen').notNull(),
    position: int('position').notNull().default(0),
    version: int('version').notNull().default(1),
  },
  (t) => [uniqueIndex('motifs_name').on(t.studyId, t.name)],
);

/** One round of a drill, by a student, the class as a whole, or a teacher alone. */
export const drillRounds = mysqlTable(
  'drill_rounds',
  {
    id: id(),
    studyId: ofStudy(),
    studentId: key('student_id').references(() => students.id, { onDelete: 'cascade' }),
    who: mysqlEnum('who', ['student', 'class', 'oneself']).notNull(),
    drill: varchar('drill', { length: 20 }).notNull(),
    answers: jsonText<DrillAnswer[]>('answers').notNull(),
    at: instant('at').notNull(),
  },
  (t) => [index('drill_rounds_study').on(t.studyId, t.at)],
);
