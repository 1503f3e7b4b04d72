import { HangingBench } from '@/ui/hanging/HangingBench';
import { listPieces } from '@/server/pieces/pieces';
import { orNotFound, requireTeacher } from '../../../session';

export const metadata = { title: 'Hanging' };

export default async function HangingPage({ params }: { params: Promise<{ study: string }> }) {
  const teacher = await requireTeacher();
  const { study } = await params;
  const pieces = (await orNotFound(listPieces(teacher.id, study))).flatMap((p) =>
    p.closeness === null || p.ownInvention === null
      ? []
      : [
          {
            id: p.id,
            name: p.student ?? 'You',
            kind: p.kind,
            attempt: p.attempt,
            pictureId: p.rectifiedId ?? p.photoId,
            closeness: p.closeness,
            ownInvention: p.ownInvention,
          },
        ],
  );
  return <HangingBench studyId={study} pieces={pieces} />;
}
