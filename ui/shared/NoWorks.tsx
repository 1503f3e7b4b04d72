'use client';
import Link from 'next/link';
import { useSay } from '../words/Words';

/** What a bench says before the study has a picture. */
export function NoWorks({ studyId }: { studyId: string }) {
  const say = useSay();
  return (
    <div className="bench m-5 flex flex-1 items-center justify-center p-10">
      <p className="bench-note rounded px-5 py-4 text-lg">
        {say('shared.noPicture')}{' '}
        <Link className="underline" href={`/studies/${studyId}/look`}>
          {say('shared.noPictureGo')}
        </Link>
      </p>
    </div>
  );
}
