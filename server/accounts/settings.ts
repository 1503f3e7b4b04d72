/** Knows a teacher's settings: units, spelling, paper, hand. */
import { eq } from 'drizzle-orm';
import { changing, database } from '../database/connection';
import { teacherSettings } from '../schema';

export type Settings = Omit<typeof teacherSettings.$inferSelect, 'userId'>;

const DEFAULT_SETTINGS: Settings = {
  units: 'mm',
  spelling: 'british',
  paper: 'A4',
  timeZone: 'UTC',
  hand: 'right',
  language: null,
};

export async function settingsOf(teacherId: string): Promise<Settings> {
  const [row] = await database().select().from(teacherSettings).where(eq(teacherSettings.userId, teacherId));
  return row ?? DEFAULT_SETTINGS;
}

export async function saveSettings(teacherId: string, settings: Settings): Promise<void> {
  await changing((tx) =>
    tx
      .insert(teacherSettings)
      .values({ userId: teacherId, ...settings })
      .onDuplicateKeyUpdate({ set: settings }),
  );
}
