/** A teacher's log of edits, of a study or of what no study owns: the rows each changed, and the pictures that undoing it would need. */
import { boolean, index, int, mysqlTable, primaryKey, varchar } from 'drizzle-orm/mysql-core';
import { user } from './accounts';
import { pictures } from './pictures';
import { students, studies } from './studies';
import { instant, jsonText, key, said } from './types';

/** One row before and after; only the changed columns where it was there on both sides. */
export interface RowChange {
  table: string;
  key: Record<string, unknown>;
  before: Record<string, unknown> | null;
  after: Record<string, unknown> | null;
}

export const edits = mysqlTable(
  'edits',
  {
    id: int('id').autoincrement().primaryKey(),
    teacherId: key('teacher_id')
      .notNull()
      .references(() => user.id, { onDelete: 'cascade' }),
    /** Null: about the cupboard or a class. */
    studyId: key('study_id').references(() => studies.id, { onDelete: 'cascade' }),
    /** Whose piece or reference it was about: deleting the student deletes what the log remembers of them. */
    studentId: key('student_id').references(() => students.id, { onDelete: 'cascade' }),
    subject: varchar('subject', { length: 20 }).notNull(),
    subjectId: key('subject_id').notNull(),
    label: said('label').notNull(),
    changes: jsonText<RowChange[]>('changes').notNull(),
    undone: boolean('undone').notNull().default(false),
    /** Met something that stands in its way: passed over, so that the rest can still be undone. */
    passed: boolean('passed').notNull().default(false),
    at: instant('at').notNull(),
  },
  (t) => [index('edits_study').on(t.studyId, t.id), index('edits_teacher').on(t.teacherId, t.studyId, t.id), index('edits_at').on(t.at)],
);

export const editPictures = mysqlTable(
  'edit_pictures',
  {
    editId: int('edit_id')
      .notNull()
      .references(() => edits.id, { onDelete: 'cascade' }),
    pictureId: key('picture_id')
      .notNull()
      .references(() => pictures.id),
  },
  (t) => [primaryKey({ columns: [t.editId, t.pictureId] })],
);
