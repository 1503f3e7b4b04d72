import { Board } from '@/ui/plan/Board';
import { planFrom } from '@/ui/plan/lesson';
import { planOf } from '@/server/lessons/plans';
import { listWorks } from '@/server/studies/works';
import { openStudy } from '../../../session';
import { titled } from '../../../voice';

export const generateMetadata = titled('board.title');

export default async function BoardPage({
  params,
  searchParams,
}: {
  params: Promise<{ study: string }>;
  searchParams: Promise<{ period?: string }>;
}) {
  const { study } = await openStudy((await params).study);
  const page = await planOf(study);
  const asked = Math.round(Number((await searchParams).period ?? 1)) - 1;
  const period = Math.min(planFrom(page).periods.length - 1, Math.max(0, Number.isFinite(asked) ? asked : 0));
  const work = (await listWorks(study.id)).find((w) => !w.foil);
  return <Board studyId={study.id} page={page} period={period} source={work ? { pictureId: work.pictureId, title: work.title } : null} />;
}
