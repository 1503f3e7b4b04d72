'use client';
import Link from 'next/link';
import { amount, typed } from '@/core/message';
import { useSay } from '../words/Words';
import type { LookWork } from './work';

/** Where a part lies in its work: in words, and on a small picture of the whole. */
export function PartOf({ work, whole }: { work: LookWork; whole: LookWork }) {
  const say = useSay();
  const at = work.partAt;
  return (
    <div className="grid grid-cols-[auto_1fr] items-start gap-3">
      <Link href={`/studies/${work.studyId}/look?work=${whole.id}`} className="relative block w-28">
        <img src={`/api/pictures/${whole.pictureId}?size=small`} alt={say.typed(whole.title)} className="block w-full" />
        {at && (
          <span
            aria-hidden
            className="absolute border-2 border-white outline-1 outline-black"
            style={{ left: `${100 * at[0]}%`, top: `${100 * at[1]}%`, width: `${100 * at[2]}%`, height: `${100 * at[3]}%` }}
          />
        )}
      </Link>
      <div>
        <p>{say('look.part.of', { title: typed(whole.title) })}</p>
        {at ? (
          <p className="text-sm">
            {say('look.part.lies', {
              across: amount(at[0] + at[2] / 2, 'share'),
              down: amount(at[1] + at[3] / 2, 'share'),
              share: amount(at[2] * at[3], 'share'),
            })}
          </p>
        ) : (
          <p className="text-sm">{say('look.part.lost')}</p>
        )}
        {work.widthMm !== null && work.heightMm !== null && (
          <p className="text-sm">{say('look.part.scale', { width: amount(work.widthMm, 'mm'), height: amount(work.heightMm, 'mm') })}</p>
        )}
        <p className="text-sm">{say('look.part.counts')}</p>
      </div>
    </div>
  );
}
