/** Lesson plans with their steps. */
import { sql } from 'drizzle-orm';
import { boolean, check, index, int, mysqlTable, text, uniqueIndex, varchar } from 'drizzle-orm/mysql-core';
import type { Laying } from '../../core/lesson/laying';
import type { Group } from '../../core/lesson/wishes';
import type { OwnStep } from '../../core/lesson/technique';
import type { TurnHeld } from '../../core/lesson/learning';
import { user } from './accounts';
import { pictures } from './pictures';
import { studies } from './studies';
import { id, instant, jsonText, key } from './types';

export const plans = mysqlTable(
  'plans',
  {
    id: id(),
    studyId: key('study_id')
      .notNull()
      .references(() => studies.id, { onDelete: 'cascade' }),
    medium: varchar('medium', { length: 60 }).notNull(),
    minutesPerPeriod: int('minutes_per_period').notNull(),
    periods: int('periods').notNull(),
    classSize: int('class_size').notNull(),
    settings: jsonText<unknown>('settings').notNull(),
    version: int('version').notNull().default(1),
  },
  (t) => [
    uniqueIndex('plans_study').on(t.studyId),
    check(
      'plans_minutes',
      sql`${t.minutesPerPeriod} between 10 and 240 and ${t.periods} between 1 and 12 and ${t.classSize} between 1 and 60`,
    ),
  ],
);

export const planSteps = mysqlTable(
  'plan_steps',
  {
    id: id(),
    planId: key('plan_id')
      .notNull()
      .references(() => plans.id, { onDelete: 'cascade' }),
    position: int('position').notNull(),
    technique: varchar('technique', { length: 60 }).notNull(),
    /** As the teacher set them; null leaves them to the plan. */
    minutes: int('minutes'),
    dryMinutes: int('dry_minutes'),
    note: text('note').notNull(),
    /** The step in the teacher's own words; null for a known technique as it is. */
    own: jsonText<OwnStep>('own'),
    /** Which of its options is taken, by name. */
    taken: varchar('taken', { length: 80 }),
    /** Rules broken here on purpose. */
    kept: jsonText<string[]>('kept'),
    /** What it looks like when it is done. */
    pictureId: key('picture_id').references(() => pictures.id),
    /** Which of two groups does it. */
    group: varchar('for_group', { length: 8 }).$type<Group>().notNull().default('both'),
    /** With what and how thin the master laid it; null leaves that to the plan. */
    laying: jsonText<Laying>('laying'),
    /** The build-up of the work's shapes is shown at it. */
    built: boolean('built').notNull().default(false),
  },
  (t) => [
    uniqueIndex('plan_steps_position').on(t.planId, t.position),
    check('plan_steps_minutes', sql`(${t.minutes} is null or ${t.minutes} > 0) and (${t.dryMinutes} is null or ${t.dryMinutes} >= 0)`),
  ],
);

/** Steps a teacher has written, kept for all of their lessons. */
export const ownSteps = mysqlTable(
  'own_steps',
  {
    id: id(),
    teacherId: key('teacher_id')
      .notNull()
      .references(() => user.id, { onDelete: 'cascade' }),
    name: varchar('name', { length: 80 }).notNull(),
    step: jsonText<OwnStep>('step').notNull(),
    version: int('version').notNull().default(1),
  },
  (t) => [uniqueIndex('own_steps_name').on(t.teacherId, t.name)],
);

/** Periods as they were held: what each turn took. */
export const lessonRuns = mysqlTable(
  'lesson_runs',
  {
    id: id(),
    studyId: key('study_id')
      .notNull()
      .references(() => studies.id, { onDelete: 'cascade' }),
    period: int('period').notNull(),
    turns: jsonText<TurnHeld[]>('turns').notNull(),
    at: instant('at').notNull(),
  },
  (t) => [index('lesson_runs_study').on(t.studyId, t.at)],
);
