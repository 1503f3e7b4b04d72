import { PlanSheet } from '@/ui/plan/PlanSheet';
import { planOf } from '@/server/lessons/plans';
import { openStudy } from '../../../../session';
import { settingsHere, titled } from '../../../../voice';

export const generateMetadata = titled('plan.sheet.title');

export default async function PlanSheetPage({ params }: { params: Promise<{ study: string }> }) {
  const { study } = await openStudy((await params).study);
  const settings = await settingsHere();
  return (
    <PlanSheet
      page={await planOf(study)}
      study={study.title}
      master={study.master}
      date={new Date().toISOString().slice(0, 10)}
      paper={settings?.paper === 'A4' ? 'A4' : 'letter'}
    />
  );
}
