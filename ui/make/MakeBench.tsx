'use client';
import { ImagePlus, Printer } from 'lucide-react';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useRef } from 'react';
import { typed } from '@/core/message';
import type { TemplateName } from '@/core/proportion/templates';
import { Bench } from '../shared/Bench';
import { sendPicture } from '../shared/request';
import { Uploads } from '../shared/uploads/Uploads';
import { useUploads } from '../shared/uploads/useUploads';
import { EmptyBench } from '../shared/EmptyBench';
import { WorkStrip } from '../shared/WorkStrip';
import { PICTURE_FILES } from '../shared/pictureFiles';
import { Drawing } from './Drawing';
import type { MasterWork, Reference, Rule } from './reference';
import { useSay } from '../words/Words';

interface Props {
  studyId: string;
  references: Reference[];
  current: string | null;
  template: TemplateName;
  works: MasterWork[];
  groups: { id: string; name: string }[];
  /** The group whose manner is followed; null for all works. */
  group: string | null;
  roster: { id: string; name: string }[];
  rules: Rule[];
}

/** The student's own picture, on its way from reference to manner. */
export function MakeBench(props: Props) {
  const say = useSay();
  const { studyId, references, current, template, groups, group } = props;
  const router = useRouter();
  const inGroup = group ? `&group=${group}` : '';
  const reference = references.find((r) => r.id === current) ?? references[0] ?? null;
  const choose = useRef<HTMLInputElement>(null);
  const { uploads, take, forget } = useUploads();
  const base = `/studies/${studyId}/make`;
  const adding = (
    <>
      <input
        ref={choose}
        type="file"
        accept={PICTURE_FILES}
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
      key={`${reference.id}:${template}:${group}`}
      {...props}
      reference={reference}
      head={
        <>
          <div className="flex flex-wrap items-center gap-2">
            {adding}
            <Link className="btn btn-sm" href={`${base}/sheet?reference=${reference.id}&template=${template}${inGroup}`}>
              <Printer aria-hidden className="size-4" /> {say('make.print')}
            </Link>
          </div>
          {groups.length > 0 && (
            <label className="mt-2 flex items-center gap-2 text-sm">
              {say('make.inMannerOf')}
              <select
                className="select select-sm"
                value={group ?? ''}
                onChange={(e) =>
                  router.push(`${base}?reference=${reference.id}&template=${template}${e.target.value ? `&group=${e.target.value}` : ''}`)
                }
              >
                <option value="">{say('hand.sheet.all')}</option>
                {groups.map((g) => (
                  <option key={g.id} value={g.id}>
                    {say('hand.sheet.group', { name: say.typed(g.name) })}
                  </option>
                ))}
              </select>
            </label>
          )}
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
