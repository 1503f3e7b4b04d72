/** Teachers and their sign-in, in the shape the accounts library asks for, and their settings. */
import { bigint, boolean, index, int, mysqlEnum, mysqlTable, text, uniqueIndex, varchar } from 'drizzle-orm/mysql-core';
import type { Language } from '../../words/languages';
import { id, instant, key } from './types';

export const user = mysqlTable(
  'user',
  {
    id: id(),
    name: varchar('name', { length: 120 }).notNull(),
    email: varchar('email', { length: 190 }).notNull(),
    emailVerified: boolean('email_verified').notNull().default(false),
    image: text('image'),
    units: mysqlEnum('units', ['mm', 'inch']).notNull().default('mm'),
    spelling: mysqlEnum('spelling', ['british', 'american']).notNull().default('british'),
    paper: mysqlEnum('paper', ['A4', 'Letter']).notNull().default('A4'),
    hand: mysqlEnum('hand', ['right', 'left']).notNull().default('right'),
    /** Light or dark; `auto` as the machine has it. */
    theme: mysqlEnum('theme', ['auto', 'day', 'night']).notNull().default('auto'),
    timeZone: varchar('time_zone', { length: 60 }).notNull().default('UTC'),
    /** Null: as the browser asks for. */
    language: varchar('language', { length: 20 }).$type<Language>(),
    createdAt: instant('created_at').notNull(),
    updatedAt: instant('updated_at').notNull(),
  },
  (t) => [uniqueIndex('user_email').on(t.email)],
);

const ofUser = () =>
  key('user_id')
    .notNull()
    .references(() => user.id, { onDelete: 'cascade' });

export const session = mysqlTable(
  'session',
  {
    id: id(),
    userId: ofUser(),
    token: varchar('token', { length: 190 }).notNull(),
    expiresAt: instant('expires_at').notNull(),
    ipAddress: varchar('ip_address', { length: 64 }),
    userAgent: text('user_agent'),
    createdAt: instant('created_at').notNull(),
    updatedAt: instant('updated_at').notNull(),
  },
  (t) => [uniqueIndex('session_token').on(t.token), index('session_expires').on(t.expiresAt)],
);

export const account = mysqlTable('account', {
  id: id(),
  accountId: varchar('account_id', { length: 190 }).notNull(),
  providerId: varchar('provider_id', { length: 60 }).notNull(),
  userId: ofUser(),
  accessToken: text('access_token'),
  refreshToken: text('refresh_token'),
  idToken: text('id_token'),
  accessTokenExpiresAt: instant('access_token_expires_at'),
  refreshTokenExpiresAt: instant('refresh_token_expires_at'),
  scope: text('scope'),
  password: text('password'),
  createdAt: instant('created_at').notNull(),
  updatedAt: instant('updated_at').notNull(),
});

export const verification = mysqlTable(
  'verification',
  {
    id: id(),
    identifier: varchar('identifier', { length: 190 }).notNull(),
    value: text('value').notNull(),
    expiresAt: instant('expires_at').notNull(),
    createdAt: instant('created_at'),
    updatedAt: instant('updated_at'),
  },
  (t) => [index('verification_identifier').on(t.identifier)],
);

export const rateLimit = mysqlTable(
  'rate_limit',
  {
    id: id(),
    key: varchar('key', { length: 190 }).notNull(),
    count: int('count').notNull(),
    lastRequest: bigint('last_request', { mode: 'number' }).notNull(),
  },
  (t) => [uniqueIndex('rate_limit_key').on(t.key), index('rate_limit_last').on(t.lastRequest)],
);
