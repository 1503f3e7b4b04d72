import Link from 'next/link';
import type { ReactNode } from 'react';
import { text } from '../text/en';
import { SignOut } from './SignOut';

type Section = 'studies' | 'classes' | 'cupboard' | 'settings';

/** Frame of every signed-in page: name, sections, who is signed in. */
export function Shell({ section, teacher, children }: { section: Section; teacher: string; children: ReactNode }) {
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
          {text.name}
        </Link>
        <nav aria-label="Sections" className="flex gap-4">
          {sections.map(([name, href]) => (
            <Link
              key={name}
              href={href}
              aria-current={section === name ? 'page' : undefined}
              className={section === name ? 'font-semibold underline underline-offset-4' : 'hover:underline'}
            >
              {text.nav[name]}
            </Link>
          ))}
        </nav>
        <span className="ml-auto flex items-baseline gap-3 text-sm">
          <span>{teacher}</span>
          <SignOut />
        </span>
      </header>
      <main className="flex flex-1 flex-col">{children}</main>
    </div>
  );
}
