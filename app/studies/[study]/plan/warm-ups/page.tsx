import { warmStrokesOf, warmUpsFor } from '@/core/lesson/warmUps';
import { planOf } from '@/server/lessons/plans';
import { WarmUps } from '@/ui/plan/WarmUps';
import { openStudy } from '../../../../session';
import { titled } from '../../../../voice';

export const generateMetadata = titled('warmUps.page');

export default async function WarmUpsPage({ params }: { params: Promise<{ study: string }> }) {
  const { study, teacher } = await openStudy((await params).study);
  const { strokes, sheetMm, measuredOn, plan } = await planOf(study);
  const practised = warmStrokesOf(strokes, sheetMm[0]);
  return (
    <WarmUps
      studyId={study.id}
      strokes={practised}
      suits={warmUpsFor(plan.medium, practised)}
      measuredOn={strokes.gap || strokes.width ? measuredOn : null}
      printer={teacher.settings.paper}
      leftHanded={teacher.settings.hand === 'left'}
    />
  );
}
