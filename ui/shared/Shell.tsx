'use client';
import Link from 'next/link';
import type { ReactNode } from 'react';
import { SignOut } from './SignOut';
import { useSay } from '../words/Words';

type Section = 'studies' | 'classes' | 'cupboard' | 'settings';

/** Frame of every signed-in page: name, sections, who is signed in. */
export function Shell({ section, teacher, children }: { section: Section; teacher: string; children: ReactNode }) {
  const say = useSay();
  const sections: [Section, string][] = [
    ['studies', '/studies'],
    ['classes', '/classes'],
    ['cupboard', '/cupboard'],
    ['settings', '/settings'],
  ];
  return (
    <div className="flex min-h-screen flex-col">
      <header className="no-print flex flex-wrap items-baseline gap-x-6 gap-y-1 border-b border-base-300 px-5 py-2">
        <Link href="/studies" className="font-title text-xl font-semibold">
          {say('app.name')}
        </Link>
        <nav aria-label={say('app.sections')} className="flex gap-4">
          {sections.map(([name, href]) => (
            <Link
              key={name}
              href={href}
              aria-current={section === name ? 'page' : undefined}
              className={section === name ? 'font-semibold underline underline-offset-4' : 'hover:underline'}
            >
              {say(`app.nav.${name}`)}
            </Link>
          ))}
        </nav>
        <span className="ms-auto flex items-baseline gap-3 text-sm">
          <span>{say.typed(teacher)}</span>
          <SignOut />
        </span>
      </header>
      <main className="flex flex-1 flex-col">{children}</main>
    </div>
  );
}
