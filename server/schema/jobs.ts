/** The queue: work to be done in the background, claimed under a lease so that a killed server loses nothing. */
import { datetime, index, int, mysqlEnum, mysqlTable, text, uniqueIndex, varchar } from 'drizzle-orm/mysql-core';
import { user } from './accounts';
import { jsonText } from './types';

const instant = (name: string) => datetime(name, { mode: 'date', fsp: 3 });

export const jobs = mysqlTable(
  'jobs',
  {
    id: varchar('id', { length: 36 }).primaryKey(),
    teacherId: varchar('teacher_id', { length: 36 })
      .notNull()
      .references(() => user.id, { onDelete: 'cascade' }),
    studyId: varchar('study_id', { length: 36 }).notNull().default(''),
    kind: mysqlEnum('kind', ['measure-work', 'process-piece', 'compare-piece']).notNull(),
    /** The same work asked for twice is one row. */
    workKey: varchar('work_key', { length: 120 }).notNull(),
    payload: jsonText<Record<string, string>>('payload').notNull(),
    state: mysqlEnum('state', ['queued', 'running', 'done', 'failed', 'cancelled']).notNull().default('queued'),
    priority: int('priority').notNull().default(0),
    attempts: int('attempts').notNull().default(0),
    owner: varchar('owner', { length: 60 }).notNull().default(''),
    leaseUntil: instant('lease_until'),
    told: text('told').notNull(),
    createdAt: instant('created_at').notNull(),
    finishedAt: instant('finished_at'),
  },
  (t) => [
    uniqueIndex('jobs_key').on(t.workKey),
    index('jobs_ready').on(t.state, t.priority, t.createdAt),
    index('jobs_study').on(t.studyId, t.state),
  ],
);
