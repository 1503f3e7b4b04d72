/** Classes, studies, the master's works and what has been written down of them. */
import { sql } from 'drizzle-orm';
import type { Message } from '../../core/message';
import type { BodyRulers } from '../../core/proportion/bodyRulers';
import type { LeftOutAs } from '../../core/raster/leftOut';
import {
  boolean,
  check,
  double,
  index,
  int,
  mysqlEnum,
  mysqlTable,
  primaryKey,
  text,
  uniqueIndex,
  varchar,
  AnyMySqlColumn,
} from 'drizzle-orm/mysql-core';
import { user } from './accounts';
import { pictures } from './pictures';
import { id, instant, jsonText, key } from './types';

export const classes = mysqlTable(
  'classes',
  {
    id: id(),
    teacherId: key('teacher_id')
      .notNull()
      .references(() => user.id, { onDelete: 'cascade' }),
    name: varchar('name', { length: 80 }).notNull(),
    school: varchar('school', { length: 120 }).notNull().default(''),
    /** Put away: no longer offered, with all that was handed in still there. */
    archivedAt: instant('archived_at'),
    version: int('version').notNull().default(1),
    createdAt: instant('created_at').notNull(),
  },
  (t) => [uniqueIndex('classes_name').on(t.teacherId, t.name)],
);

/** Students are minors: a first name and an initial, nothing more. */
export const students = mysqlTable(
  'students',
  {
    id: id(),
    classId: key('class_id')
      .notNull()
      .references(() => classes.id, { onDelete: 'cascade' }),
    firstName: varchar('first_name', { length: 40 }).notNull(),
    initial: varchar('initial', { length: 2 }).notNull().default(''),
    /** Tells those of one name apart: the second is 2. */
    nth: int('nth').notNull().default(1),
    position: int('position').notNull().default(0),
    leftHanded: boolean('left_handed').notNull().default(false),
    /** What a lesson has to heed, in the teacher's own words. */
    needs: varchar('needs', { length: 300 }).notNull().default(''),
    seat: varchar('seat', { length: 20 }).notNull().default(''),
    table: varchar('at_table', { length: 20 }).notNull().default(''),
    /** No longer comes: not on the list, with what was handed in still there. */
    left: boolean('left_class').notNull().default(false),
    version: int('version').notNull().default(1),
  },
  (t) => [uniqueIndex('students_names').on(t.classId, t.firstName, t.initial, t.nth)],
);

export const studies = mysqlTable(
  'studies',
  {
    id: id(),
    teacherId: key('teacher_id')
      .notNull()
      .references(() => user.id, { onDelete: 'cascade' }),
    classId: key('class_id').references(() => classes.id, { onDelete: 'set null' }),
    title: varchar('title', { length: 120 }).notNull(),
    master: varchar('master', { length: 120 }).notNull(),
    kind: mysqlEnum('kind', ['master', 'period']).notNull().default('master'),
    aim: mysqlEnum('aim', ['replica', 'study', 'remembered']).notNull().default('study'),
    /** All follow one exemplar: pieces are judged for their manner, not for sharing its layout. */
    led: boolean('led').notNull().default(false),
    medium: varchar('medium', { length: 60 }).notNull().default('pen-and-wash'),
    about: text('about').notNull(),
    paperWidthMm: double('paper_width_mm').notNull().default(297),
    paperHeightMm: double('paper_height_mm').notNull().default(210),
    /** What else is used beside the medium; null for nothing. */
    otherMedia: jsonText<string[]>('other_media'),
    /** The class's own body rulers, mm; null for those usual at its age. */
    bodyRulers: jsonText<BodyRulers>('body_rulers'),
    /** Put away: no longer among the studies one works on. */
    archivedAt: instant('archived_at'),
    version: int('version').notNull().default(1),
    createdAt: instant('created_at').notNull(),
    updatedAt: instant('updated_at').notNull(),
  },
  (t) => [index('studies_teacher').on(t.teacherId), check('studies_paper', sql`${t.paperWidthMm} > 0 and ${t.paperHeightMm} > 0`)],
);

/** Classes that take part in a study beside its own. */
export const studyClasses = mysqlTable(
  'study_classes',
  {
    studyId: key('study_id')
      .notNull()
      .references(() => studies.id, { onDelete: 'cascade' }),
    classId: key('class_id')
      .notNull()
      .references(() => classes.id, { onDelete: 'cascade' }),
  },
  (t) => [primaryKey({ columns: [t.studyId, t.classId] })],
);

const ofStudy = () =>
  key('study_id')
    .notNull()
    .references(() => studies.id, { onDelete: 'cascade' });

export const workGroups = mysqlTable(
  'work_groups',
  {
    id: id(),
    studyId: ofStudy(),
    name: varchar('name', { length: 60 }).notNull(),
    position: int('position').notNull().default(0),
  },
  (t) => [uniqueIndex('work_groups_name').on(t.studyId, t.name)],
);

export type Frame = [x: number, y: number, w: number, h: number];
export type Outline = [x: number, y: number][];

export const works = mysqlTable(
  'works',
  {
    id: id(),
    studyId: ofStudy(),
    groupId: key('group_id').references(() => workGroups.id, { onDelete: 'set null' }),
    pictureId: key('picture_id')
      .notNull()
      .references(() => pictures.id),
    title: varchar('title', { length: 120 }).notNull(),
    dated: varchar('dated', { length: 40 }).notNull().default(''),
    widthMm: double('width_mm'),
    heightMm: double('height_mm'),
    /** The picture proper in picture px, where the teacher has said so; null where it is found. */
    frame: jsonText<Frame>('frame'),
    /** Outlines, in picture px, of what is left out of every reading. */
    leftOut: jsonText<Outline[]>('left_out'),
    /** Why each of them is, in their order; null where nobody has said. */
    leftOutAs: jsonText<LeftOutAs[]>('left_out_as'),
    /** The work it is a part of, such as one figure of a crowd, and where it lies there: shares of that picture's width and height. */
    partOf: key('part_of').references((): AnyMySqlColumn => works.id, { onDelete: 'cascade' }),
    partAt: jsonText<Frame>('part_at'),
    /** Key of frame and places left out among the readings; empty for neither. */
    place: varchar('place', { length: 64 }).notNull().default(''),
    foil: boolean('foil').notNull().default(false),
    impressions: text('impressions').notNull(),
    /** Where it hangs, and on whose licence it is shown. */
    credit: varchar('credit', { length: 300 }).notNull().default(''),
    position: int('position').notNull().default(0),
    version: int('version').notNull().default(1),
  },
  (t) => [
    index('works_study').on(t.studyId),
    check('works_size', sql`(${t.widthMm} is null or ${t.widthMm} > 0) and (${t.heightMm} is null or ${t.heightMm} > 0)`),
  ],
);

export const facts = mysqlTable('facts', {
  id: id(),
  workId: key('work_id')
    .notNull()
    .references(() => works.id, { onDelete: 'cascade' }),
  text: text('text').notNull(),
  /** Where it was read; null means inferred. */
  source: varchar('source', { length: 190 }),
});

/** Readings of one picture by one version of the core at one known width (0 where unknown), in one place, at one rung of the ladder of scales. */
export const profiles = mysqlTable(
  'profiles',
  {
    id: id(),
    pictureId: key('picture_id')
      .notNull()
      .references(() => pictures.id, { onDelete: 'cascade' }),
    profileVersion: int('profile_version').notNull(),
    widthMm: double('width_mm').notNull().default(0),
    place: varchar('place', { length: 64 }).notNull().default(''),
    /** Empty for the picture as finely as it is known. */
    rung: varchar('rung', { length: 12 }).notNull().default(''),
    document: jsonText<unknown>('document').notNull(),
    createdAt: instant('created_at').notNull(),
  },
  (t) => [uniqueIndex('profiles_reading').on(t.pictureId, t.profileVersion, t.widthMm, t.place, t.rung)],
);

/** A patch kept from the reading window, in picture pixels. */
export const pins = mysqlTable('pins', {
  id: id(),
  workId: key('work_id')
    .notNull()
    .references(() => works.id, { onDelete: 'cascade' }),
  patch: jsonText<[number, number, number, number]>('patch').notNull(),
  reading: jsonText<unknown>('reading').notNull(),
  createdAt: instant('created_at').notNull(),
});

/** What the core said of a ticked reading, and of where it was measured. */
export interface RuleSaid {
  sentence: Message;
  evidence: Message;
}

export const rules = mysqlTable(
  'rules',
  {
    id: id(),
    studyId: ofStudy(),
    kind: mysqlEnum('kind', ['feature', 'always', 'never']).notNull(),
    /** Name of the measured feature; empty for a sentence a person answers. */
    feature: varchar('feature', { length: 80 }).notNull().default(''),
    /** As a person wrote it; empty where the reading was ticked as it was told, which `said` holds. */
    sentence: varchar('sentence', { length: 300 }).notNull(),
    said: jsonText<RuleSaid>('said'),
    evidence: varchar('evidence', { length: 500 }).notNull().default(''),
    position: int('position').notNull().default(0),
    version: int('version').notNull().default(1),
  },
  (t) => [index('rules_study').on(t.studyId), check('rules_feature', sql`${t.kind} <> 'feature' or ${t.feature} <> ''`)],
);
