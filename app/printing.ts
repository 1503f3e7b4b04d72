/** Knows how sheets a teacher asked for are printed: on their paper, in their voice, with the study and the day under every title. */
import { sizeNamed } from '@/core/lesson/sheets';
import { message, typed } from '@/core/message';
import { todayIn } from '@/server/accounts/settings';
import type { Teacher } from '@/server/accounts/auth';
import type { SheetFile } from '@/server/threads/sheetFile';
import { sentencesOf } from '@/words/languages';
import { speaker, Voice } from '@/words/say';
import { voiceHere } from './voice';

/** What the teacher's printer takes, mm. */
export const pageOf = ({ settings }: Pick<Teacher, 'settings'>) => sizeNamed(settings.paper)!;

/** The sheets as they are drawn in a thread. */
export async function printed(
  teacher: Teacher,
  study: { title: string },
  sheets: SheetFile['sheets'],
): Promise<{ file: SheetFile; voice: Voice }> {
  const voice = await voiceHere();
  const say = speaker(await sentencesOf(voice), voice);
  const about = say(message('carry.sheetAbout', { study: typed(study.title), date: typed(say.day(todayIn(teacher.settings))) }));
  return { file: { sheets, page: pageOf(teacher), about, author: say('app.name') }, voice };
}
