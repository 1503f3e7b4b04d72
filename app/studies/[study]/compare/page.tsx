import Link from 'next/link';
import { CompareBench } from '@/ui/compare/CompareBench';
import { EmptyBench } from '@/ui/shared/EmptyBench';
import { comparisonOf, listPieces } from '@/server/pieces/pieces';
import { groupsIn } from '@/server/studies/groups';
import { rulesWithAnswers } from '@/server/studies/rules';
import { listWorks } from '@/server/studies/works';
import { openStudy } from '../../../session';
import { layeredOf } from '../../../subject';
import { sayHere, titled } from '../../../voice';

export const generateMetadata = titled('steps.compare');

export default async function ComparePage({
  params,
  searchParams,
}: {
  params: Promise<{ study: string }>;
  searchParams: Promise<{ piece?: string; source?: string }>;
}) {
  const { study } = await params;
  const { study: opened } = await openStudy(study);
  const pieces = await listPieces(study);
  const works = (await listWorks(study)).filter((w) => !w.foil);
  const { piece: wanted, source: against } = await searchParams;
  // Without a choice, an original that has been compared.
  const piece = pieces.find((p) => p.id === wanted) ?? pieces.find((p) => p.kind === 'original' && p.closeness !== null) ?? pieces[0];
  if (!piece || !works.length) {
    const say = await sayHere();
    return (
      <EmptyBench>
        <p>
          {say('compare.needs')}{' '}
          <Link className="underline" href={`/studies/${study}/${works.length ? 'pieces' : 'look'}`}>
            {say(works.length ? 'pieces.handIn' : 'shared.noPictureGo')}
          </Link>
        </p>
      </EmptyBench>
    );
  }
  const { comparison, renewing, notes } = await comparisonOf(piece.id);
  const rules = await rulesWithAnswers(study, piece.id);
  const source = works.find((w) => w.id === against) ?? works.find((w) => w.id === comparison?.nearestWorkId) ?? works[0];
  const slim = works.map((w) => ({
    id: w.id,
    title: w.title,
    pictureId: w.pictureId,
    widthMm: w.widthMm,
    heightMm: w.heightMm,
    pictureWidth: w.pictureWidth,
    pictureHeight: w.pictureHeight,
    layered: layeredOf(w),
  }));
  return (
    <CompareBench
      studyId={study}
      aim={opened.aim}
      led={opened.led}
      version={opened.version}
      pieces={pieces}
      piece={piece}
      source={slim.find((w) => w.id === source.id)!}
      sources={slim}
      groups={groupsIn(works)}
      comparison={comparison}
      renewing={renewing}
      notes={notes}
      answers={rules.flatMap((r) => (r.met === null ? [] : [{ ruleId: r.id, met: r.met }]))}
      rules={rules}
    />
  );
}
