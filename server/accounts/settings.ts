/** Knows a teacher's settings: units, spelling, language, paper, hand. They come with the session, so that no page asks twice. */
import { eq } from 'drizzle-orm';
import { changing, database } from '../database/connection';
import { notFound } from '../errors';
import { user } from '../schema';

export const SETTINGS = ['units', 'spelling', 'paper', 'hand', 'timeZone', 'language'] as const;

export type Settings = Pick<typeof user.$inferSelect, (typeof SETTINGS)[number]>;

/** The settings alone, from whatever holds them. */
export const settingsIn = ({ units, spelling, paper, hand, timeZone, language }: Settings): Settings => ({
  units,
  spelling,
  paper,
  hand,
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
