import { PiecesBench } from '@/ui/pieces/PiecesBench';
import { listPieces } from '@/server/pieces/pieces';
import { listClasses, studyOf } from '@/server/studies/studies';
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
  const study = await orNotFound(studyOf(teacher.id, id));
  const pieces = await listPieces(teacher.id, id);
  const roster = (await listClasses(teacher.id)).find((c) => c.id === study.classId)?.students ?? [];
  return (
    <PiecesBench
      studyId={id}
      roster={roster.map((s) => ({ id: s.id, name: `${s.firstName} ${s.initial}`.trim() }))}
      pieces={pieces}
      current={(await searchParams).piece ?? null}
    />
  );
}
