/** Knows a teacher's settings: units, spelling, language, paper, hand, light or dark, time zone. They come with the session, so that no page asks twice. */
import { eq } from 'drizzle-orm';
import { Size, sizeNamed } from '../../core/lesson/sheets';
import { changing, database } from '../database/connection';
import { notFound } from '../errors';
import { user } from '../schema';

export const SETTINGS = ['units', 'spelling', 'paper', 'hand', 'theme', 'timeZone', 'language'] as const;

export type Settings = Pick<typeof user.$inferSelect, (typeof SETTINGS)[number]>;

/** The settings alone, from whatever holds them. */
export const settingsIn = ({ units, spelling, paper, hand, theme, timeZone, language }: Settings): Settings => ({
  units,
  spelling,
  paper,
  hand,
  theme,
  timeZone,
  language,
});

export async function settingsOf(teacherId: string): Promise<Settings> {
  const [row] = await database().select().from(user).where(eq(user.id, teacherId));
  if (!row) throw notFound('account');
  return settingsIn(row);
}

export async function saveSettings(teacherId: string, settings: Settings): Promise<void> {
  await changing((tx) => tx.update(user).set(settingsIn(settings)).where(eq(user.id, teacherId)));
}

/** What the teacher prints on, upright; mm. */
export const paperIn = ({ paper }: Pick<Settings, 'paper'>): Size => sizeNamed(paper) ?? sizeNamed('A4')!;

/** The day it is where the teacher is, YYYY-MM-DD: what is printed in the evening bears that evening's date. */
export const todayIn = ({ timeZone }: Pick<Settings, 'timeZone'>, now = new Date()): string =>
  new Intl.DateTimeFormat('en-CA', { timeZone, year: 'numeric', month: '2-digit', day: '2-digit' }).format(now);

/** Whether the machine knows such a time zone. */
export function isTimeZone(name: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: name });
    return true;
  } catch {
    return false;
  }
}
