import { RunSheet } from '@/ui/plan/RunSheet';
import { heedOf } from '@/server/classes/classes';
import { planOf } from '@/server/lessons/plans';
import { todayIn } from '@/server/accounts/settings';
import { openStudy } from '../../../../session';
import { titled } from '../../../../voice';

export const generateMetadata = titled('run.page');

export default async function RunSheetPage({ params }: { params: Promise<{ study: string }> }) {
  const { study, teacher } = await openStudy((await params).study);
  return (
    <RunSheet
      page={await planOf(study)}
      heed={await heedOf(study.id, teacher.settings.hand)}
      study={study.title}
      date={todayIn(teacher.settings)}
      paper={teacher.settings.paper === 'A4' ? 'A4' : 'letter'}
    />
  );
}
