import { PiecesBench } from '@/ui/pieces/PiecesBench';
import { listPieces } from '@/server/pieces/pieces';
import { rosterOf } from '@/server/studies/studies';
import { orNotFound, requireTeacher } from '../../../session';

export const metadata = { title: 'Pieces' };

export default async function PiecesPage({
  params,
  searchParams,
}: {
  params: Promise<{ study: string }>;
  searchParams: Promise<{ piece?: string }>;
}) {
  const teacher = await requireTeacher();
  const { study: id } = await params;
  const pieces = await orNotFound(listPieces(teacher.id, id));
  return (
    <PiecesBench
      studyId={id}
      roster={await rosterOf(teacher.id, id)}
      pieces={pieces}
      current={(await searchParams).piece ?? null}
    />
  );
}
