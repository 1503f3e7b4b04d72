'use client';
import { ImagePlus, Trash2 } from 'lucide-react';
import Link from 'next/link';
import { useState } from 'react';
import { FileButton } from '../shared/FileButton';
import { Field } from '../shared/Field';
import { Notice } from '../shared/Notice';
import { send, sendPicture } from '../shared/request';
import { useChange } from '../shared/server/useChange';
import { PICTURE_FILES } from '../shared/pictureFiles';
import { useSay } from '../words/Words';
import type { LookWork } from './work';

/** What stood model for a work: the master's own photograph, cartoon or motif, so that what was changed can be measured. */
export function Models({ work }: { work: LookWork }) {
  const say = useSay();
  const { act, busy, refused, other } = useChange();
  const [credit, setCredit] = useState('');
  const take = (file: File) =>
    void act(() => sendPicture(`/api/studies/${work.studyId}/references`, file, file.name, { workId: work.id, credit }));
  return (
    <section>
      <h2 className="text-lg font-semibold">{say('look.models.title')}</h2>
      <p className="text-sm">{say('look.models.how')}</p>
      <ul className="mt-2 grid gap-2">
        {work.models.map((m) => (
          <li key={m.id} className="grid grid-cols-[auto_1fr_auto] items-center gap-3">
            <img src={`/api/pictures/${m.pictureId}?size=small`} alt="" className="h-16 w-auto" />
            <span>
              {say.typed(m.title)} <span className="text-sm italic">{say.typed(m.credit)}</span>
              <br />
              <Link className="link text-sm" href={`/studies/${work.studyId}/proportion?work=${work.id}&model=${m.id}`}>
                {say('look.models.points')}
              </Link>
            </span>
            <button
              type="button"
              className="btn btn-square btn-ghost btn-sm"
              aria-label={say('look.models.remove')}
              disabled={busy}
              onClick={() => void act(() => send('DELETE', `/api/references/${m.id}`))}
            >
              <Trash2 aria-hidden className="size-4" />
            </button>
          </li>
        ))}
      </ul>
      <div className="mt-2 grid grid-cols-[1fr_auto] items-end gap-2">
        <Field label={say('look.models.credit')} problem={refused('credit')}>
          <input
            className="input w-full"
            maxLength={120}
            placeholder={say('look.models.creditExample')}
            value={credit}
            onChange={(e) => setCredit(e.target.value)}
          />
        </Field>
        <FileButton icon={ImagePlus} label={say('look.models.add')} accept={PICTURE_FILES} onFile={take} />
      </div>
      <Notice said={other(['credit'])} />
    </section>
  );
}
