/** Lesson plans with their steps. */
import { sql } from 'drizzle-orm';
import { check, int, mysqlTable, text, uniqueIndex, varchar } from 'drizzle-orm/mysql-core';
import { studies } from './studies';
import { id, jsonText, key } from './types';

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
  },
  (t) => [
    uniqueIndex('plan_steps_position').on(t.planId, t.position),
    check('plan_steps_minutes', sql`(${t.minutes} is null or ${t.minutes} > 0) and (${t.dryMinutes} is null or ${t.dryMinutes} >= 0)`),
  ],
);
