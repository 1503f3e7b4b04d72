import { PlanBench } from '@/ui/plan/PlanBench';
import { planOf } from '@/server/lessons/plans';
import { orNotFound, requireTeacher } from '../../../session';

export const metadata = { title: 'Plan' };

export default async function PlanPage({ params }: { params: Promise<{ study: string }> }) {
  const teacher = await requireTeacher();
  const { study } = await params;
  return <PlanBench studyId={study} page={await orNotFound(planOf(teacher.id, study))} />;
}
