'use client';
import { useRouter } from 'next/navigation';
import { Fragment, ReactNode } from 'react';
import { send } from '../shared/request';
import { useChange } from '../shared/server/useChange';
import { CornerFrame } from './CornerFrame';
import { CropFrame } from './CropFrame';
import { PartFrame } from './PartFrame';
import { PlaceFrame } from './PlaceFrame';
import type { LookWork } from './work';
import { Notice } from '../shared/Notice';

/** Laid flat by its corners, cropped and turned, a part of it made a work, or what of it is read. */
export type HowRemade = 'crop' | 'flat' | 'part' | 'place';

/** A work's picture on the bench, or the frame by which it is being remade. */
export function Remaking({ work, how, whole, onEnd }: { work: LookWork; how: HowRemade | null; whole: ReactNode; onEnd: () => void }) {
  const { act, busy, problem } = useChange();
  const router = useRouter();
  const { version } = work;
  const done = (change: () => Promise<unknown>) => void act(change).then((ok) => ok && onEnd());
  const common = { pictureId: work.pictureId, width: work.pictureWidth, height: work.pictureHeight, busy, onCancel: onEnd };
  const path = `/api/works/${work.id}`;
  if (how === null) return whole;
  const frames: Record<HowRemade, () => ReactNode> = {
    flat: () => <CornerFrame {...common} onDone={(corners) => done(() => send('POST', `${path}/straighten`, { version, corners }))} />,
    crop: () => <CropFrame {...common} onDone={(crop) => done(() => send('POST', `${path}/crop`, { version, ...crop }))} />,
    part: () => (
      <PartFrame
        {...common}
        mmPerPixel={work.widthMm === null ? null : work.widthMm / (work.frame?.[2] ?? work.pictureWidth)}
        onDone={(part) =>
          done(async () => {
            const { id } = await send<{ id: string }>('POST', `${path}/parts`, part);
            router.push(`/studies/${work.studyId}/look?work=${id}`);
          })
        }
      />
    ),
    place: () => (
      <PlaceFrame
        {...common}
        frame={work.frame}
        leftOut={work.leftOut}
        leftOutAs={work.leftOutAs}
        onDone={(place) => done(() => send('PATCH', path, { version, ...place }))}
      />
    ),
  };
  return (
    <>
      <Fragment key={`${how} ${work.pictureId}`}>{frames[how]()}</Fragment>
      <Notice said={problem} />
    </>
  );
}
