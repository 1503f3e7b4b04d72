'use client';
import { Plus } from 'lucide-react';
import { isLessonMedium, mediumName } from '@/core/lesson/media';
import { typed } from '@/core/message';
import Link from 'next/link';
import { DeleteForGood } from '../shared/DeleteForGood';
import { useSay } from '../words/Words';

export interface StudyCard {
  id: string;
  title: string;
  master: string;
  medium: string;
  className: string | null;
  works: number;
  pieces: number;
  coverId: string | null;
  href: string;
}

export function StudyList({ studies }: { studies: StudyCard[] }) {
  const say = useSay();
  return (
    <div className="mx-auto w-full max-w-6xl p-6">
      <div className="mb-5 flex items-baseline justify-between">
        <h1 className="text-3xl font-semibold">{say('studies.title')}</h1>
        <Link href="/studies/new" className="btn btn-primary">
          <Plus aria-hidden className="size-5" />
          {say('studies.new')}
        </Link>
      </div>
      {studies.length === 0 && <p className="max-w-prose text-lg">{say('studies.none')}</p>}
      <ul className="grid gap-6 sm:grid-cols-2">
        {studies.map((s) => (
          <li key={s.id} className="flex flex-col gap-2">
            <Link href={s.href} className="flex gap-4 border-t-2 border-base-content/60 pt-3 hover:bg-base-200">
              <span className="bench flex h-36 w-44 shrink-0 items-center justify-center p-2">
                {s.coverId && <img src={`/api/pictures/${s.coverId}?size=small`} alt="" className="max-h-full max-w-full" />}
              </span>
              <span className="flex flex-col gap-1">
                <span className="font-title text-xl font-semibold">{say.typed(s.title)}</span>
                <span>{say('shared.after', { master: typed(s.master) })}</span>
                <span>{isLessonMedium(s.medium) ? say(mediumName(s.medium)) : say.typed(s.medium)}</span>
                <span>{s.className === null ? say('studies.alone') : say.typed(s.className)}</span>
                <span>{say('studies.counts', { works: s.works, pieces: s.pieces })}</span>
              </span>
            </Link>
            <DeleteForGood
              what="study"
              label={say('deleting.study')}
              from={`/api/studies/${s.id}?going`}
              path={`/api/studies/${s.id}`}
              then="/studies"
            />
          </li>
        ))}
      </ul>
    </div>
  );
}
