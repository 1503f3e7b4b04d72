'use client';
import { CircleUser } from 'lucide-react';
import Link from 'next/link';
import type { ReactNode } from 'react';
import { EditBar } from './EditBar';
import { SignOut } from './SignOut';
import { useSay } from '../words/Words';

type Section = 'studies' | 'classes' | 'cupboard' | 'settings';

const SECTIONS: readonly [Section, string][] = [
  ['studies', '/studies'],
  ['classes', '/classes'],
  ['cupboard', '/cupboard'],
  ['settings', '/settings'],
];

interface Props {
  section: Section;
  teacher: string;
  bar?: ReactNode;
  more?: ReactNode;
  /** What is changed here can be taken back from here: the cupboard, the classes. */
  undo?: boolean;
  children: ReactNode;
}

/** Frame of every signed-in page: name, sections, who is signed in. With `bar` (a study's own) it is fixed to the window, and only parts of it scroll; `more` stands in the menu where the bar is too narrow for it. */
export function Shell({ section, teacher, bar, more, undo, children }: Props) {
  const say = useSay();
  const links = SECTIONS.map(([name, href]) => (
    <Link
      key={name}
      href={href}
      aria-current={section === name ? 'page' : undefined}
      className={section === name ? 'font-semibold underline underline-offset-4' : 'hover:underline'}
    >
      {say(`app.nav.${name}`)}
    </Link>
  ));
  return (
    <div
      className={bar ? 'relative flex h-dvh flex-col overflow-hidden print:h-auto print:overflow-visible' : 'flex min-h-screen flex-col'}
    >
      <a
        href={bar ? '#bench' : '#main'}
        className="no-print sr-only z-40 bg-base-100 p-2 underline focus:not-sr-only focus:absolute focus:start-2 focus:top-1"
      >
        {say(bar ? 'app.skipToBench' : 'app.skip')}
      </a>
      <header
        className={`no-print flex flex-none items-center gap-x-4 border-b border-base-300 px-4 max-sm:gap-x-2 max-sm:px-3 ${bar ? 'h-11' : 'flex-wrap gap-y-1 py-2'}`}
      >
        <Link href="/studies" className="flex-none font-title text-xl font-semibold max-sm:text-base">
          {say('app.name')}
        </Link>
        <nav aria-label={say('app.sections')} className={`flex flex-none gap-3 ${bar ? 'max-lg:hidden' : ''}`}>
          {links}
        </nav>
        {bar}
        {undo && (
          <div className="ms-auto">
            <EditBar studyId={null} />
          </div>
        )}
        <details className={`dropdown dropdown-end flex-none text-sm ${undo ? '' : 'ms-auto'}`}>
          <summary className="btn btn-ghost btn-sm max-w-40 font-normal max-sm:px-1">
            <CircleUser aria-hidden className="size-5 sm:hidden" />
            <span className="truncate max-sm:sr-only">{say.typed(teacher)}</span> <span aria-hidden>▾</span>
          </summary>
          <div className="dropdown-content z-30 grid min-w-44 gap-2 border border-base-300 bg-base-100 p-3 text-base">
            {bar && (
              <div className="grid gap-2 lg:hidden">
                {links}
                {more}
              </div>
            )}
            <SignOut />
          </div>
        </details>
      </header>
      <main id="main" tabIndex={-1} className="flex min-h-0 flex-1 flex-col outline-none">
        {children}
      </main>
    </div>
  );
}
