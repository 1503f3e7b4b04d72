import { turnedAs } from '@/core/lesson/sheets';
import { buildUp } from '@/core/proportion/buildUp';
import { meetingsOf } from '@/core/proportion/shapeList';
import { placeOnSheet } from '@/core/proportion/transfer';
import { Board } from '@/ui/plan/Board';
import { planFrom } from '@/ui/plan/lesson';
import { planOf } from '@/server/lessons/plans';
import { rulersOf } from '@/server/studies/bodyRulers';
import type { StudyRow } from '@/server/accounts/ownership';
import { firstBuilt, readIn } from '@/server/studies/shapes';
import { listWorks } from '@/server/studies/works';
import { openStudy } from '../../../session';
import { titled } from '../../../voice';

export const generateMetadata = titled('board.title');

type Work = Awaited<ReturnType<typeof listWorks>>[number];

/** The build-up of the first work that shapes are drawn on. */
async function builtUp(works: readonly Work[], study: StudyRow) {
  const drawn = await firstBuilt(study.id);
  const work = drawn && works.find((w) => w.id === drawn.workId);
  if (!drawn || !work) return { steps: [], ratio: 1 };
  const frame = work.frame ?? ([0, 0, work.pictureWidth, work.pictureHeight] as const);
  const of = [frame[2], frame[3]] as const;
  const read = await readIn(drawn.shapes, frame);
  const placing = placeOnSheet(of, turnedAs([study.paperWidthMm, study.paperHeightMm], of), 'fit', 0);
  const steps = buildUp(read, frame, placing, await rulersOf(study), meetingsOf(read, frame));
  return { steps: steps.map(({ outline, said }) => ({ outline, said })), ratio: of[0] / of[1] };
}

export default async function BoardPage({
  params,
  searchParams,
}: {
  params: Promise<{ study: string }>;
  searchParams: Promise<{ period?: string; group?: string }>;
}) {
  const { study } = await openStudy((await params).study);
  const page = await planOf(study);
  const { period: wanted, group } = await searchParams;
  const asked = Math.round(Number(wanted ?? 1)) - 1;
  const period = Math.min(planFrom(page).periods.length - 1, Math.max(0, Number.isFinite(asked) ? asked : 0));
  const works = (await listWorks(study.id)).filter((w) => !w.foil);
  return (
    <Board
      studyId={study.id}
      page={page}
      period={period}
      second={group === '2'}
      source={works[0] ? { pictureId: works[0].pictureId, title: works[0].title } : null}
      build={await builtUp(works, study)}
    />
  );
}
