import { PlanSheet } from '@/ui/plan/PlanSheet';
import { settingsOf } from '@/server/accounts/settings';
import { planOf } from '@/server/lessons/plans';
import { studyOf } from '@/server/studies/studies';
import { orNotFound, requireTeacher } from '../../../../session';

export const metadata = { title: 'Plan, to print' };

export default async function PlanSheetPage({ params }: { params: Promise<{ study: string }> }) {
  const teacher = await requireTeacher();
  const { study: id } = await params;
  const study = await orNotFound(studyOf(teacher.id, id));
  const { paper } = await settingsOf(teacher.id);
  return (
    <PlanSheet
      page={await planOf(teacher.id, id)}
      study={study.title}
      master={study.master}
      date={new Date().toISOString().slice(0, 10)}
      paper={paper === 'A4' ? 'A4' : 'letter'}
    />
  );
}
