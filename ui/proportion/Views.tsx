'use client';
import Link from 'next/link';
import { useSay } from '../words/Words';
import { View, VIEWS } from './viewNames';

export function Views({ studyId, workId, current }: { studyId: string; workId: string; current: View }) {
  const say = useSay();
  return (
    <nav aria-label={say('proportion.views.choice')} className="flex flex-wrap gap-x-3 gap-y-1 border-b border-base-300 pb-2 text-sm">
      {VIEWS.map((view) => (
        <Link
          key={view}
          aria-current={view === current ? 'page' : undefined}
          className={view === current ? 'font-semibold underline underline-offset-4' : 'hover:underline'}
          href={`/studies/${studyId}/proportion?${new URLSearchParams({ work: workId, ...(view !== 'points' && { view }) })}`}
        >
          {say(`proportion.views.${view}`)}
        </Link>
      ))}
    </nav>
  );
}
