import { PlanSheet } from '@/ui/plan/PlanSheet';
import { planOf } from '@/server/lessons/plans';
import { openStudy } from '../../../../session';
import { titled } from '../../../../voice';

export const generateMetadata = titled('plan.sheet.title');

export default async function PlanSheetPage({ params }: { params: Promise<{ study: string }> }) {
  const { study, teacher } = await openStudy((await params).study);
  return (
    <PlanSheet
      page={await planOf(study)}
      study={study.title}
      master={study.master}
      date={new Date().toISOString().slice(0, 10)}
      paper={teacher.settings.paper === 'A4' ? 'A4' : 'letter'}
    />
  );
}
