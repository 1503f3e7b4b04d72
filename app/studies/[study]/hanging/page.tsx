import { HangingBench } from '@/ui/hanging/HangingBench';
import { listPieces } from '@/server/pieces/pieces';
import { openStudy } from '../../../session';
import { titled } from '../../../voice';

export const generateMetadata = titled('steps.hanging');

export default async function HangingPage({ params }: { params: Promise<{ study: string }> }) {
  const { study } = await params;
  await openStudy(study);
  const pieces = (await listPieces(study)).flatMap((p) =>
    p.closeness === null || p.ownInvention === null
      ? []
      : [
          {
            id: p.id,
            name: p.student,
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
