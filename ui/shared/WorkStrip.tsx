'use client';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { ComponentType, Fragment, MouseEvent, ReactNode, useContext, useEffect, useTransition } from 'react';
import { PanelLock } from './panelLock';
import { useSay } from '../words/Words';

export interface StripWork {
  id: string;
  title: string;
  pictureId: string;
}

/** The study's works in a row under the bench; each state of a bench has its own address. */
export function WorkStrip({
  works,
  current,
  href,
  query = 'work',
  also = '',
  label,
  around: Around,
}: {
  works: readonly StripWork[];
  current: string;
  href: string;
  query?: string;
  /** What else stands in the address. */
  also?: string;
  label?: string;
  /** What stands round each of them. */
  around?: ComponentType<{ work: StripWork; children: ReactNode }>;
}) {
  const say = useSay();
  const to = (w: StripWork) => `${href}?${query}=${w.id}${also && `&${also}`}`;
  const router = useRouter();
  const [moving, move] = useTransition();
  const lock = useContext(PanelLock);
  useEffect(() => {
    lock(moving);
    return () => lock(false);
  }, [lock, moving]);
  const go = (e: MouseEvent, to: string) => {
    if (e.metaKey || e.ctrlKey || e.shiftKey || e.button !== 0) return;
    e.preventDefault();
    lock(true);
    move(() => router.push(to));
  };
  return (
    <nav
      aria-label={label ?? say('shared.works')}
      className="no-print flex flex-none gap-2 overflow-x-auto border-t border-base-300 px-4 py-1"
    >
      {works.map((w) => {
        const link = (
          <Link
            href={to(w)}
            aria-current={w.id === current ? 'true' : undefined}
            className={`flex shrink-0 flex-col items-center p-1 text-xs ${w.id === current ? 'outline-2 outline-base-content' : ''}`}
            onClick={(e) => go(e, to(w))}
          >
            <img src={`/api/pictures/${w.pictureId}?size=small`} alt="" draggable={false} className="h-12 w-auto max-sm:h-8" />
            <span className="max-w-28 truncate">{say.typed(w.title)}</span>
          </Link>
        );
        return Around ? (
          <Around key={w.id} work={w}>
            {link}
          </Around>
        ) : (
          <Fragment key={w.id}>{link}</Fragment>
        );
      })}
    </nav>
  );
}
