/** Lesson plans with their steps, and the cupboard's paint kits. */
import { sql } from 'drizzle-orm';
import { check, double, int, mysqlEnum, mysqlTable, text, uniqueIndex, varchar } from 'drizzle-orm/mysql-core';
import { user } from './accounts';
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

export const kits = mysqlTable(
  'kits',
  {
    id: id(),
    teacherId: key('teacher_id')
      .notNull()
      .references(() => user.id, { onDelete: 'cascade' }),
    name: varchar('name', { length: 120 }).notNull(),
    white: varchar('white', { length: 80 }),
    medium: mysqlEnum('medium', ['gouache', 'watercolour', 'acrylic', 'tempera', 'ink']).notNull().default('gouache'),
  },
  (t) => [uniqueIndex('kits_name').on(t.teacherId, t.name)],
);

export const paints = mysqlTable(
  'paints',
  {
    id: id(),
    kitId: key('kit_id')
      .notNull()
      .references(() => kits.id, { onDelete: 'cascade' }),
    position: int('position').notNull(),
    name: varchar('name', { length: 80 }).notNull(),
    pigment: varchar('pigment', { length: 60 }).notNull().default(''),
    masstone: varchar('masstone', { length: 7 }).notNull(),
    tintHex: varchar('tint_hex', { length: 7 }),
    tintPaint: int('tint_paint'),
    tintWhite: int('tint_white'),
    strength: double('strength').notNull().default(1),
  },
  (t) => [uniqueIndex('paints_name').on(t.kitId, t.name), check('paints_strength', sql`${t.strength} > 0`)],
);
