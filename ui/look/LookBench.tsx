'use client';
import { Camera, Fingerprint, ImagePlus } from 'lucide-react';
import Link from 'next/link';
import { useRef, useState } from 'react';
import { Bench } from '../shared/Bench';
import { EmptyBench } from '../shared/EmptyBench';
import { useStepped } from '../shared/EditBar';
import { LayersOver } from '../shared/layers/Layers';
import { PictureView } from '../shared/looking/PictureView';
import { ToolRow } from '../shared/looking/ToolRow';
import { useLooking } from '../shared/looking/tools';
import { sendPicture } from '../shared/request';
import { Uploads } from '../shared/uploads/Uploads';
import { useUploads } from '../shared/uploads/useUploads';
import { PICTURE_FILES } from '../shared/pictureFiles';
import { OrderedWorks } from './OrderedWorks';
import { HowRemade, Remaking } from './Remaking';
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
  const [remaking, setRemaking] = useState<HowRemade | null>(null);
  const [standing, setStanding] = useState(false);
  const choose = useRef<HTMLInputElement>(null);
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
        accept={PICTURE_FILES}
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
      {work && (
        <Link className="btn btn-sm" href={`/studies/${studyId}/look/hand`}>
          <Fingerprint aria-hidden className="size-4" /> {say('hand.sheet.title')}
        </Link>
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
            <Remaking
              work={work}
              how={remaking}
              onEnd={() => setRemaking(null)}
              whole={
                <PictureView
                  pictureId={work.pictureId}
                  width={work.pictureWidth}
                  height={work.pictureHeight}
                  alt={say.typed(work.title)}
                  on={looking.on}
                  layered={work.layered}
                />
              }
            />
          ) : (
            <EmptyBench>
              <p>{say('look.drop')}</p>
              <p className="text-base">{say('studies.sample')}</p>
            </EmptyBench>
          )
        }
        strip={works.length > 0 && <OrderedWorks studyId={studyId} works={works} current={work?.id ?? ''} />}
      >
        <div className="flex flex-wrap items-center gap-2">{adding}</div>
        {standing && work && <StandCamera studyId={studyId} work={work} onClose={() => setStanding(false)} />}
        {work ? (
          <WorkForm
            key={`${work.id}:${stepped}`}
            work={work}
            whole={works.find((w) => w.id === work.partOf) ?? null}
            parts={works.filter((w) => w.partOf === work.id)}
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
