/** What students hand in, attempt by attempt, and how each stood to the master. */
import { sql } from 'drizzle-orm';
import { boolean, check, double, index, int, mysqlEnum, mysqlTable, primaryKey, text, uniqueIndex, varchar } from 'drizzle-orm/mysql-core';
import { pictures } from './pictures';
import { rules, students, studies, workGroups } from './studies';
import { id, instant, jsonText, key, said } from './types';

export const pieces = mysqlTable(
  'pieces',
  {
    id: id(),
    studyId: key('study_id')
      .notNull()
      .references(() => studies.id, { onDelete: 'cascade' }),
    /** Null where the teacher studies alone; the unique key then counts by the empty text. */
    studentId: key('student_id').references(() => students.id, { onDelete: 'cascade' }),
    maker: key('maker').notNull().default(''),
    kind: mysqlEnum('kind', ['warm-up', 'copy', 'original']).notNull(),
    attempt: int('attempt').notNull(),
    title: varchar('title', { length: 120 }).notNull().default(''),
    photoId: key('photo_id')
      .notNull()
      .references(() => pictures.id),
    rectifiedId: key('rectified_id').references(() => pictures.id),
    /** Sheet as it lies in the upright picture, mm. */
    paperWidthMm: double('paper_width_mm').notNull(),
    paperHeightMm: double('paper_height_mm').notNull(),
    /** How it came: photographed on a table, whole (a scan, digital work), or as the photograph of an arrangement or an object. */
    capture: mysqlEnum('capture', ['photograph', 'whole', 'object']).notNull().default('photograph'),
    /** False where it has no size in the world: then the sheet only keeps its shape. */
    sized: boolean('sized').notNull().default(true),
    /** Corners in photograph px, clockwise; null until found or placed. */
    corners: jsonText<[number, number][]>('corners'),
    placedByHand: boolean('placed_by_hand').notNull().default(false),
    state: mysqlEnum('state', ['waiting', 'ready', 'no-sheet', 'failed']).notNull().default('waiting'),
    /** Share of the squared-up picture's px that carry detail; null until it is squared up. */
    sharpness: double('sharpness'),
    messages: said('told').notNull(),
    /** The works it is held against; null for all that are no foils. */
    groupId: key('group_id').references(() => workGroups.id, { onDelete: 'set null' }),
    version: int('version').notNull().default(1),
    createdAt: instant('created_at').notNull(),
  },
  (t) => [
    uniqueIndex('pieces_attempt').on(t.studyId, t.maker, t.kind, t.attempt),
    index('pieces_study').on(t.studyId),
    index('pieces_state').on(t.state),
    check('pieces_paper', sql`${t.paperWidthMm} > 0 and ${t.paperHeightMm} > 0 and ${t.attempt} >= 1`),
  ],
);

const ofPiece = () =>
  key('piece_id')
    .notNull()
    .references(() => pieces.id, { onDelete: 'cascade' });

export const comparisons = mysqlTable('comparisons', {
  pieceId: ofPiece().primaryKey(),
  /** What went in: the piece's picture and landmarks, the works and theirs; another stamp means out of date. */
  stamp: varchar('stamp', { length: 64 }).notNull(),
  closeness: double('closeness').notNull(),
  ownInvention: double('own_invention').notNull(),
  document: jsonText<unknown>('document').notNull(),
  createdAt: instant('created_at').notNull(),
});

export const findingNotes = mysqlTable(
  'finding_notes',
  {
    pieceId: ofPiece(),
    feature: varchar('feature', { length: 80 }).notNull(),
    setAside: boolean('set_aside').notNull().default(false),
    note: text('note').notNull(),
    version: int('version').notNull().default(1),
  },
  (t) => [primaryKey({ columns: [t.pieceId, t.feature] })],
);

export const ruleAnswers = mysqlTable(
  'rule_answers',
  {
    pieceId: ofPiece(),
    ruleId: key('rule_id')
      .notNull()
      .references(() => rules.id, { onDelete: 'cascade' }),
    met: boolean('met').notNull(),
  },
  (t) => [primaryKey({ columns: [t.pieceId, t.ruleId] })],
);
