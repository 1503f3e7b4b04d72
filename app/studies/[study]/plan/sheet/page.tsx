import { PlanSheet } from '@/ui/plan/PlanSheet';
import { heedOf } from '@/server/classes/classes';
import { planOf } from '@/server/lessons/plans';
import { listWorks } from '@/server/studies/works';
import { todayIn } from '@/server/accounts/settings';
import { openStudy } from '../../../../session';
import { titled } from '../../../../voice';

export const generateMetadata = titled('plan.sheet.title');

export default async function PlanSheetPage({ params }: { params: Promise<{ study: string }> }) {
  const { study, teacher } = await openStudy((await params).study);
  const works = await listWorks(study.id);
  return (
    <PlanSheet
      page={await planOf(study)}
      heed={await heedOf(study.id, teacher.settings.hand)}
      study={study.title}
      master={study.master}
      date={todayIn(teacher.settings)}
      pictureId={works.find((w) => !w.foil)?.pictureId ?? null}
      paper={teacher.settings.paper === 'A4' ? 'A4' : 'letter'}
    />
  );
}
