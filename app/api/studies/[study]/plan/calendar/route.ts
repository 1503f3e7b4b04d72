import { CoreError } from '@/core/errors';
import { asCalendar } from '@/server/lessons/calendarFile';
import { message, typed } from '@/core/message';
import { studyOf } from '@/server/accounts/ownership';
import { fileAnswer, handle } from '@/server/door/http';
import { planOf } from '@/server/lessons/plans';
import { datesOf, planFrom } from '@/ui/plan/lesson';
import { sentencesOf } from '@/words/languages';
import { speaker } from '@/words/say';
import { voiceHere } from '@/app/voice';

/** The periods of a lesson with their days, as a calendar file. */
export const GET = handle(async ({ teacher, params }) => {
  const study = await studyOf(teacher.id, params.study);
  const view = await planOf(study);
  const plan = planFrom(view);
  const dates = datesOf(plan, view.plan);
  if (!dates.length) throw new CoreError('calendar.none');
  const voice = await voiceHere();
  const say = speaker(await sentencesOf(voice), voice);
  const periods = dates.map((d, i) => ({
    ...d,
    uid: `${study.id}-${i + 1}@oldhand`,
    title: say(message('plan.dates.event', { study: typed(study.title), n: i + 1 })),
    // What is done in it, a line each.
    about: plan.periods[i]
      .filter((e) => e.kind === 'turn')
      .map((e) => say(e.title))
      .join('\n'),
  }));
  return fileAnswer(asCalendar(periods), 'text/calendar', `${study.title}.ics`);
});
