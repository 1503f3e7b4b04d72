'use client';
import { ImagePlus, Printer } from 'lucide-react';
import Link from 'next/link';
import { useRef } from 'react';
import { typed } from '@/core/message';
import type { TemplateName } from '@/core/proportion/templates';
import { Bench } from '../shared/Bench';
import { sendPicture } from '../shared/request';
import { Uploads } from '../shared/uploads/Uploads';
import { useUploads } from '../shared/uploads/useUploads';
import { EmptyBench } from '../shared/EmptyBench';
import { WorkStrip } from '../shared/WorkStrip';
import { Drawing } from './Drawing';
import type { MasterWork, Reference, Rule } from './reference';
import { useSay } from '../words/Words';

interface Props {
  studyId: string;
  references: Reference[];
  current: string | null;
  template: TemplateName;
  works: MasterWork[];
  roster: { id: string; name: string }[];
  rules: Rule[];
}

/** The student's own picture, on its way from reference to manner. */
export function MakeBench(props: Props) {
  const say = useSay();
  const { studyId, references, current, template } = props;
  const reference = references.find((r) => r.id === current) ?? references[0] ?? null;
  const choose = useRef<HTMLInputElement>(null);
  const { uploads, take, forget } = useUploads();
  const base = `/studies/${studyId}/make`;
  const adding = (
    <>
      <input
        ref={choose}
        type="file"
        accept="image/*"
        className="sr-only"
        aria-label={say('make.add')}
        onChange={(e) =>
          void take(e.target.files, async (file, onProgress) => {
            const { id } = await sendPicture<{ id: string }>(`/api/studies/${studyId}/references`, file, file.name, {}, onProgress);
            window.location.assign(`${base}?reference=${id}`);
          })
        }
      />
      <button type="button" className="btn btn-sm" onClick={() => choose.current?.click()}>
        <ImagePlus aria-hidden className="size-4" /> {say('make.add')}
      </button>
      <Uploads uploads={uploads} onForget={forget} />
    </>
  );
  if (!reference)
    return (
      <Bench
        picture={
          <EmptyBench>
            <p>{say('make.none')}</p>
          </EmptyBench>
        }
      >
        <div className="flex flex-wrap items-center gap-2">{adding}</div>
      </Bench>
    );
  return (
    <Drawing
      key={`${reference.id}:${template}`}
      {...props}
      reference={reference}
      head={
        <>
          <div className="flex flex-wrap items-center gap-2">
            {adding}
            <Link className="btn btn-sm" href={`${base}/sheet?reference=${reference.id}&template=${template}`}>
              <Printer aria-hidden className="size-4" /> {say('make.print')}
            </Link>
          </div>
        </>
      }
      strip={
        <WorkStrip
          label={say('make.references')}
          works={references.map((r) => ({
            id: r.id,
            title: r.student ? say('make.named', { student: typed(r.student), title: typed(r.title) }) : say.typed(r.title),
            pictureId: r.pictureId,
          }))}
          current={reference.id}
          href={base}
          query="reference"
        />
      }
    />
  );
}
