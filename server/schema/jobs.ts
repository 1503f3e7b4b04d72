/** The queue: work to be done in the background, claimed under a lease so that a killed server loses nothing. */
import { boolean, index, int, mysqlEnum, mysqlTable, uniqueIndex, varchar } from 'drizzle-orm/mysql-core';
import { user } from './accounts';
import { pieces } from './pieces';
import { studies, works } from './studies';
import { id, instant, key, said } from './types';

export const jobs = mysqlTable(
  'jobs',
  {
    id: id(),
    teacherId: key('teacher_id')
      .notNull()
      .references(() => user.id, { onDelete: 'cascade' }),
    studyId: key('study_id')
      .notNull()
      .references(() => studies.id, { onDelete: 'cascade' }),
    /** What it is about; the job goes when that goes. */
    workId: key('work_id').references(() => works.id, { onDelete: 'cascade' }),
    pieceId: key('piece_id').references(() => pieces.id, { onDelete: 'cascade' }),
    kind: mysqlEnum('kind', ['measure-work', 'process-piece', 'compare-piece']).notNull(),
    /** The same work asked for twice is one row. */
    workKey: varchar('work_key', { length: 120 }).notNull(),
    state: mysqlEnum('state', ['queued', 'running', 'done', 'failed', 'cancelled']).notNull().default('queued'),
    priority: int('priority').notNull().default(0),
    /** Asked for again while it ran: it runs once more. */
    again: boolean('again').notNull().default(false),
    /** How often it has been taken; a holder is known by it. */
    claims: int('claims').notNull().default(0),
    /** Errors thrown, and leases that ran out under a server that died. */
    attempts: int('attempts').notNull().default(0),
    lost: int('lost').notNull().default(0),
    /** Version of the readings it was asked for. */
    core: int('core').notNull().default(0),
    owner: varchar('owner', { length: 60 }).notNull().default(''),
    leaseUntil: instant('lease_until'),
    messages: said('told').notNull(),
    createdAt: instant('created_at').notNull(),
    finishedAt: instant('finished_at'),
  },
  (t) => [
    uniqueIndex('jobs_key').on(t.workKey),
    index('jobs_ready').on(t.state, t.priority, t.createdAt),
    index('jobs_study').on(t.studyId, t.state),
    index('jobs_owner').on(t.owner, t.state),
  ],
);
