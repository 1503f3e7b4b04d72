'use client';
import { Plus } from 'lucide-react';
import { isLessonMedium, mediumName } from '@/core/lesson/media';
import { typed } from '@/core/message';
import Link from 'next/link';
import { Drawings } from '../shared/Drawings';
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
  archived: boolean;
}

export function StudyList({ studies }: { studies: StudyCard[] }) {
  const say = useSay();
  const [here, away] = [studies.filter((s) => !s.archived), studies.filter((s) => s.archived)];
  return (
    <div className="mx-auto w-full max-w-6xl p-6">
      <div className="mb-5 flex items-baseline justify-between">
        <h1 className="text-3xl font-semibold">{say('studies.title')}</h1>
        <Link href="/studies/new" className="btn btn-primary">
          <Plus aria-hidden className="size-5" />
          {say('studies.new')}
        </Link>
      </div>
      {studies.length === 0 && (
        <div className="grid items-center gap-6 lg:grid-cols-2">
          <Drawings className="min-h-96" />
          <div className="grid max-w-prose gap-3 text-lg">
            <p>{say('studies.none')}</p>
            <p>{say('studies.sample')}</p>
          </div>
        </div>
      )}
      <Cards studies={here} />
      {away.length > 0 && (
        <details className="mt-8">
          <summary className="cursor-pointer text-lg font-semibold">{say('studies.away', { n: away.length })}</summary>
          <Cards studies={away} />
        </details>
      )}
    </div>
  );
}

function Cards({ studies }: { studies: readonly StudyCard[] }) {
  const say = useSay();
  return (
    <ul className="grid gap-6 sm:grid-cols-2">
      {studies.map((s) => (
        <li key={s.id} className={`flex flex-col gap-2 ${studies.length === 1 ? 'sm:col-span-2' : ''}`}>
          <Link href={s.href} className="group flex flex-col gap-3">
            <span
              className={`bench flex items-center justify-center p-5 group-hover:outline-2 ${studies.length === 1 ? 'h-[27rem] max-sm:h-72' : 'h-80'}`}
            >
              {s.coverId ? (
                <img src={`/api/pictures/${s.coverId}?size=screen`} alt="" className="max-h-full max-w-full" />
              ) : (
                <span className="bench-note rounded px-3 py-2">{say('shared.noPicture')}</span>
              )}
            </span>
            <span className="flex flex-col">
              <span className="font-title text-2xl font-semibold group-hover:underline">{say.typed(s.title)}</span>
              <span className="text-lg">{say('shared.after', { master: typed(s.master) })}</span>
              <span>
                {[
                  isLessonMedium(s.medium) ? say(mediumName(s.medium)) : say.typed(s.medium),
                  s.className === null ? say('studies.alone') : say.typed(s.className),
                  say('studies.counts', { works: s.works, pieces: s.pieces }),
                ].join(' · ')}
              </span>
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
  );
}
