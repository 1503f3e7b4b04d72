'use client';
import { Check, CircleAlert, X } from 'lucide-react';
import { amount, typed } from '@/core/message';
import { useSay } from '../../words/Words';
import type { Upload } from './useUploads';

/** Pictures on their way in: each by name, how much has gone, and what comes next. */
export function Uploads({ uploads, onForget }: { uploads: readonly Upload[]; onForget: (key: number) => void }) {
  const say = useSay();
  return (
    <div role="status" className="w-full">
      {uploads.length > 0 && (
        <ul className="my-2 grid gap-2 text-sm">
          {uploads.map(({ key, name, share, stage, problem }) => (
            <li key={key} className="grid gap-0.5">
              <span className="flex items-start gap-2">
                <span className="min-w-0 flex-1 truncate font-semibold">{say.typed(name)}</span>
                {stage === 'taken' && <Check aria-hidden className="size-4" />}
                {stage === 'refused' && (
                  <button type="button" aria-label={say('uploads.forget', { name: typed(name) })} onClick={() => onForget(key)}>
                    <X aria-hidden className="size-4" />
                  </button>
                )}
              </span>
              {stage === 'refused' ? (
                <span role="alert" className="flex items-start gap-1 text-error">
                  <CircleAlert aria-hidden className="mt-0.5 size-4 flex-none" /> {problem && say(problem)}
                </span>
              ) : (
                <>
                  <progress
                    className="progress w-full"
                    value={stage === 'upright' ? undefined : share}
                    max={1}
                    aria-label={say('uploads.of', { name: typed(name) })}
                  />
                  <span>{say(`uploads.${stage}`, { share: amount(Math.round(100 * share) / 100, 'share') })}</span>
                </>
              )}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
