import { PlanBench } from '@/ui/plan/PlanBench';
import { heedOf } from '@/server/classes/classes';
import { planOf } from '@/server/lessons/plans';
import { knownOf } from '@/server/lessons/runs';
import { openStudy } from '../../../session';
import { titled } from '../../../voice';

export const generateMetadata = titled('steps.plan');

export default async function PlanPage({ params }: { params: Promise<{ study: string }> }) {
  const { teacher, study } = await openStudy((await params).study);
  return (
    <PlanBench
      studyId={study.id}
      page={await planOf(study)}
      heed={await heedOf(study.id, teacher.settings.hand)}
      {...await knownOf(teacher.id, study.id)}
    />
  );
}
