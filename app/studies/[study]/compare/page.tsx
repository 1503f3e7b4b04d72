import Link from 'next/link';
import { CompareBench } from '@/ui/compare/CompareBench';
import { settingsOf } from '@/server/accounts/settings';
import { comparisonOf, listPieces } from '@/server/pieces/pieces';
import { listRules } from '@/server/studies/rules';
import { studyOf } from '@/server/studies/studies';
import { listWorks } from '@/server/studies/works';
import { orNotFound, requireTeacher } from '../../../session';

export const metadata = { title: 'Compare' };

export default async function ComparePage({
  params,
  searchParams,
}: {
  params: Promise<{ study: string }>;
  searchParams: Promise<{ piece?: string; source?: string }>;
}) {
  const teacher = await requireTeacher();
  const { study } = await params;
  const pieces = await orNotFound(listPieces(teacher.id, study));
  const works = (await listWorks(teacher.id, study)).filter((w) => !w.foil);
  const { piece: wanted, source: against } = await searchParams;
  // Without a choice, an original that has been compared.
  const piece =
    pieces.find((p) => p.id === wanted) ??
    pieces.find((p) => p.kind === 'original' && p.closeness !== null) ??
    pieces[0];
  if (!piece || !works.length)
    return (
      <div className="bench m-5 flex flex-1 items-center justify-center p-10">
        <p className="bench-note rounded px-5 py-4 text-lg">
          Comparing needs a work by the master and a piece.{' '}
          <Link className="underline" href={`/studies/${study}/${works.length ? 'pieces' : 'look'}`}>
            {works.length ? 'Hand in a piece' : 'Add a work at Look'}
          </Link>
          .
        </p>
      </div>
    );
  const { comparison, notes, answers } = await comparisonOf(teacher.id, piece.id);
  const source =
    works.find((w) => w.id === against) ?? works.find((w) => w.id === comparison?.nearestWorkId) ?? works[0];
  const { units, spelling } = await settingsOf(teacher.id);
  const slim = works.map((w) => ({
    id: w.id,
    title: w.title,
    pictureId: w.pictureId,
    widthMm: w.widthMm,
    heightMm: w.heightMm,
    pictureWidth: w.pictureWidth,
    pictureHeight: w.pictureHeight,
  }));
  return (
    <CompareBench
      studyId={study}
      aim={(await studyOf(teacher.id, study)).aim}
      pieces={pieces}
      piece={piece}
      source={slim.find((w) => w.id === source.id)!}
      sources={slim}
      comparison={comparison}
      notes={notes}
      answers={answers}
      rules={await listRules(teacher.id, study)}
      words={{ spelling, units }}
    />
  );
}
