'use client';
import { Download, Trash2, Upload } from 'lucide-react';
import { typed } from '@/core/message';
import { FileButton } from '../shared/FileButton';
import { Notice } from '../shared/Notice';
import { send } from '../shared/request';
import { useChange } from '../shared/server/useChange';
import { useSay } from '../words/Words';
import type { KeptStep } from './lesson';

/** The steps a teacher keeps for all lessons: saved as a file, read from one, taken out. */
export function Library({ studyId, library }: { studyId: string; library: readonly KeptStep[] }) {
  const say = useSay();
  const { act, problem } = useChange();
  const path = `/api/studies/${studyId}/steps`;
  return (
    <details>
      <summary className="font-semibold">{say('plan.library', { n: library.length })}</summary>
      <ul className="mt-1 grid gap-1 text-sm">
        {library.map(({ id, step }) => (
          <li key={id} className="flex items-center justify-between gap-2">
            {say.typed(step.name)}
            <button
              type="button"
              className="btn btn-ghost btn-xs"
              aria-label={say('plan.takeOut', { step: typed(step.name) })}
              onClick={() => void act(() => send('DELETE', `${path}/${id}`))}
            >
              <Trash2 aria-hidden className="size-4" />
            </button>
          </li>
        ))}
      </ul>
      <div className="mt-2 flex flex-wrap gap-2">
        {library.length > 0 && (
          <a className="btn btn-sm" href={`${path}?as=file`} download>
            <Download aria-hidden className="size-4" /> {say('plan.libraryOut')}
          </a>
        )}
        <FileButton
          icon={Upload}
          small
          label={say('plan.libraryIn')}
          accept=".json,application/json"
          onFile={(file) => void act(async () => send('POST', path, { file: await file.text() }))}
        />
      </div>
      {!library.length && <p className="mt-1 text-sm">{say('plan.libraryEmpty')}</p>}
      <Notice said={problem} />
    </details>
  );
}
