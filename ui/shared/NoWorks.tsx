'use client';
import Link from 'next/link';
import { EmptyBench } from './EmptyBench';
import { useSay } from '../words/Words';

/** What a bench says before the study has a picture. */
export function NoWorks({ studyId }: { studyId: string }) {
  const say = useSay();
  return (
    <EmptyBench>
      <p>
        {say('shared.noPicture')}{' '}
        <Link className="underline" href={`/studies/${studyId}/look`}>
          {say('shared.noPictureGo')}
        </Link>
      </p>
      <p className="text-base">{say('studies.sample')}</p>
    </EmptyBench>
  );
}
