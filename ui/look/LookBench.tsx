'use client';
import { Camera, ImagePlus } from 'lucide-react';
import { useRef, useState } from 'react';
import { Bench } from '../shared/Bench';
import { EmptyBench } from '../shared/EmptyBench';
import { useStepped } from '../shared/EditBar';
import { LayersOver } from '../shared/layers/Layers';
import { PictureView } from '../shared/looking/PictureView';
import { ToolRow } from '../shared/looking/ToolRow';
import { useLooking } from '../shared/looking/tools';
import { Notice } from '../shared/Notice';
import { send, sendPicture } from '../shared/request';
import { Uploads } from '../shared/uploads/Uploads';
import { useUploads } from '../shared/uploads/useUploads';
import { useChange } from '../shared/server/useChange';
import { WorkStrip } from '../shared/WorkStrip';
import { CornerFrame } from './CornerFrame';
import { CropFrame } from './CropFrame';
import { SampleWorks } from './SampleWorks';
import { StandCamera } from './StandCamera';
import { WorkForm } from './WorkForm';
import type { LookWork } from './work';
import { useSay } from '../words/Words';

interface Props {
  studyId: string;
  works: LookWork[];
  current: string | null;
  samples: React.ComponentProps<typeof SampleWorks>['choices'];
}

/** Pictures taken in one go. */
const MOST_AT_ONCE = 8;

export function LookBench(props: Props) {
  return (
    <LayersOver>
      <Looks {...props} />
    </LayersOver>
  );
}

function Looks({ studyId, works, current, samples }: Props) {
  const say = useSay();
  const looking = useLooking();
  const stepped = useStepped();
  const { uploads, take: upload, forget } = useUploads();
  const [remaking, setRemaking] = useState<'crop' | 'flat' | null>(null);
  const [standing, setStanding] = useState(false);
  const choose = useRef<HTMLInputElement>(null);
  const { act, busy, problem } = useChange();
  const work = works.find((w) => w.id === current) ?? works[0] ?? null;
  const take = (files: FileList | null) =>
    void upload(Array.from(files ?? []).slice(0, MOST_AT_ONCE), (file, onProgress) =>
      sendPicture(`/api/studies/${studyId}/works`, file, file.name, {}, onProgress),
    );
  const adding = (
    <>
      <input
        ref={choose}
        type="file"
        accept="image/*"
        multiple
        className="sr-only"
        aria-label={say('look.choose')}
        onChange={(e) => take(e.target.files)}
      />
      <button type="button" className="btn btn-sm" onClick={() => choose.current?.click()}>
        <ImagePlus aria-hidden className="size-4" /> {say('look.add')}
      </button>
      {work && (
        <button type="button" className="btn btn-sm" onClick={() => setStanding(true)}>
          <Camera aria-hidden className="size-4" /> {say('stand.title')}
        </button>
      )}
      <Uploads uploads={uploads} onForget={forget} />
    </>
  );
  return (
    <div
      className="flex min-h-0 flex-1 flex-col"
      onDragOver={(e) => e.preventDefault()}
      onDrop={(e) => {
        e.preventDefault();
        take(e.dataTransfer.files);
      }}
    >
      <Bench
        tools={<ToolRow {...looking} />}
        picture={
          work ? (
            remaking === 'flat' ? (
              <CornerFrame
                key={work.pictureId}
                pictureId={work.pictureId}
                width={work.pictureWidth}
                height={work.pictureHeight}
                busy={busy}
                onCancel={() => setRemaking(null)}
                onDone={(corners) =>
                  void act(() => send('POST', `/api/works/${work.id}/straighten`, { version: work.version, corners })).then(
                    (ok) => ok && setRemaking(null),
                  )
                }
              />
            ) : remaking === 'crop' ? (
              <CropFrame
                pictureId={work.pictureId}
                width={work.pictureWidth}
                height={work.pictureHeight}
                onCancel={() => setRemaking(null)}
                onDone={(crop) =>
                  void act(() => send('POST', `/api/works/${work.id}/crop`, { version: work.version, ...crop })).then(
                    (ok) => ok && setRemaking(null),
                  )
                }
              />
            ) : (
              <PictureView
                pictureId={work.pictureId}
                width={work.pictureWidth}
                height={work.pictureHeight}
                alt={say.typed(work.title)}
                on={looking.on}
                layered={work.layered}
              />
            )
          ) : (
            <EmptyBench>
              <p>{say('look.drop')}</p>
              <p className="text-base">{say('studies.sample')}</p>
            </EmptyBench>
          )
        }
        strip={works.length > 0 && <WorkStrip works={works} current={work?.id ?? ''} href={`/studies/${studyId}/look`} />}
      >
        <div className="flex flex-wrap items-center gap-2">{adding}</div>
        <Notice said={problem} />
        {standing && work && <StandCamera studyId={studyId} work={work} onClose={() => setStanding(false)} />}
        {work ? (
          <WorkForm
            key={`${work.id}:${stepped}`}
            work={work}
            onRemake={setRemaking}
            groups={[...new Set(works.map((w) => w.group).filter((g): g is string => !!g))]}
          />
        ) : (
          <p className="mt-4">{say('look.empty')}</p>
        )}
        <SampleWorks studyId={studyId} choices={samples} open={!work} />
      </Bench>
    </div>
  );
}
