import { PiecePoints } from '@/ui/pieces/PiecePoints';
import { PiecesBench } from '@/ui/pieces/PiecesBench';
import { ownTemplatesOf } from '@/server/studies/ownTemplates';
import { landmarksIn, landmarksOf } from '@/server/studies/landmarks';
import { listReferences } from '@/server/studies/references';
import { listWorks } from '@/server/studies/works';
import { allowedFor, sourcesOf } from './sources';
import { listPieces } from '@/server/pieces/pieces';
import { rosterOf } from '@/server/classes/classes';
import { openStudy } from '../../../session';
import { titled } from '../../../voice';

export const generateMetadata = titled('steps.pieces');

export default async function PiecesPage({
  params,
  searchParams,
}: {
  params: Promise<{ study: string }>;
  searchParams: Promise<{ piece?: string; points?: string }>;
}) {
  const { study: id } = await params;
  const { teacher, study } = await openStudy(id);
  const pieces = await listPieces(id);
  const { piece: wanted, points } = await searchParams;
  const piece = pieces.find((p) => p.id === wanted);
  if (piece?.rectifiedId && points) {
    return (
      <PiecePoints
        key={`${piece.id}:${points}`}
        base={`/studies/${id}/pieces`}
        piece={{ ...piece, rectifiedId: piece.rectifiedId }}
        size={{ width: piece.uprightWidth ?? 1, height: piece.uprightHeight ?? 1 }}
        points={points}
        own={await ownTemplatesOf(teacher.id)}
        sets={await landmarksOf(teacher.id, 'piece', piece.id)}
        sources={sourcesOf(piece, points, await listWorks(id), await listReferences(id), await landmarksIn(id))}
        allowed={allowedFor(piece, study.aim)}
      />
    );
  }
  return <PiecesBench studyId={id} roster={await rosterOf(id)} pieces={pieces} current={wanted ?? null} />;
}
