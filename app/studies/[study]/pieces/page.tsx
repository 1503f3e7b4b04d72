import { isTemplate } from '@/core/proportion/templates';
import { PiecePoints } from '@/ui/pieces/PiecePoints';
import { PiecesBench } from '@/ui/pieces/PiecesBench';
import { pictureSize } from '@/server/pictures/serve';
import { landmarksOf } from '@/server/studies/landmarks';
import { listPieces } from '@/server/pieces/pieces';
import { rosterOf } from '@/server/studies/studies';
import { orNotFound, requireTeacher } from '../../../session';

export const metadata = { title: 'Pieces' };

export default async function PiecesPage({
  params,
  searchParams,
}: {
  params: Promise<{ study: string }>;
  searchParams: Promise<{ piece?: string; points?: string }>;
}) {
  const teacher = await requireTeacher();
  const { study: id } = await params;
  const pieces = await orNotFound(listPieces(teacher.id, id));
  const { piece: wanted, points } = await searchParams;
  const piece = pieces.find((p) => p.id === wanted);
  if (piece?.rectifiedId && points && isTemplate(points)) {
    const { width, height } = await pictureSize(teacher.id, piece.rectifiedId);
    return (
      <PiecePoints
        key={`${piece.id}:${points}`}
        base={`/studies/${id}/pieces`}
        piece={{ ...piece, rectifiedId: piece.rectifiedId }}
        size={{ width, height }}
        template={points}
        sets={await landmarksOf(teacher.id, 'piece', piece.id)}
      />
    );
  }
  return <PiecesBench studyId={id} roster={await rosterOf(teacher.id, id)} pieces={pieces} current={wanted ?? null} />;
}
