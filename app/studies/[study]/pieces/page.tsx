import { PiecePoints } from '@/ui/pieces/PiecePoints';
import { PiecesBench } from '@/ui/pieces/PiecesBench';
import { ownTemplatesOf } from '@/server/studies/ownTemplates';
import { landmarksIn, landmarksOf } from '@/server/studies/landmarks';
import { listReferences } from '@/server/studies/references';
import { listWorks } from '@/server/studies/works';
import { allowedFor, sourcesOf } from './sources';
import { listPieces } from '@/server/pieces/pieces';
import { youngestOf } from '@/server/studies/bodyRulers';
import { rosterOf } from '@/server/classes/classes';
import { openStudy } from '../../../session';
import { titled } from '../../../voice';

export const generateMetadata = titled('steps.pieces');

export default async function PiecesPage({
  params,
  searchParams,
}: {
  params: Promise<{ study: string }>;
  searchParams: Promise<{ piece?: string; points?: string; set?: string }>;
}) {
  const { study: id } = await params;
  const { teacher, study } = await openStudy(id);
  const pieces = await listPieces(id);
  const { piece: wanted, points, set } = await searchParams;
  const piece = pieces.find((p) => p.id === wanted);
  if (piece?.rectifiedId && points) {
    const sets = await landmarksOf(teacher.id, 'piece', piece.id);
    const name = set ?? sets.find((s) => s.template === points)?.name ?? '';
    return (
      <PiecePoints
        key={`${piece.id}:${points}:${name}`}
        base={`/studies/${id}/pieces`}
        piece={{ ...piece, rectifiedId: piece.rectifiedId }}
        size={{ width: piece.uprightWidth ?? 1, height: piece.uprightHeight ?? 1 }}
        points={points}
        own={await ownTemplatesOf(teacher.id)}
        set={name}
        sets={sets}
        sources={sourcesOf(piece, points, await listWorks(id), await listReferences(id), await landmarksIn(id))}
        allowed={allowedFor(piece, study.aim, await youngestOf(id))}
      />
    );
  }
  return <PiecesBench studyId={id} roster={await rosterOf(id)} pieces={pieces} current={wanted ?? null} />;
}
