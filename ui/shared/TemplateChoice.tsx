'use client';
import Link from 'next/link';
import { TEMPLATE_NAMES } from '@/core/proportion/templates';
import { houseKind, Kind, OwnKept, ownKind } from './kinds';
import { TemplateDiagram } from './TemplateDiagram';
import { useSay } from '../words/Words';

interface Props {
  current: Kind;
  href: (key: string) => string;
  /** Kinds that have points on this picture already. */
  placed: ReadonlySet<string>;
  /** Nothing is chosen yet: the pictures of all kinds stand open. */
  open: boolean;
  /** A teacher's own kinds; null where only those of the house are of use. */
  own?: readonly OwnKept[] | null;
  /** Where a kind of one's own is made. */
  making?: string;
}

/** What is in the picture, chosen by a small picture of it: each kind of points has its own address. */
export function TemplateChoice({ current, href, placed, open, own = null, making }: Props) {
  const say = useSay();
  const kinds = [...TEMPLATE_NAMES.map(houseKind), ...(own ?? []).map(ownKind)];
  return (
    <details key={`${current.key}:${open}`} open={open} className="mt-3 border border-base-300">
      <summary className="flex cursor-pointer items-center gap-3 p-2">
        {open ? (
          <span className="text-lg font-semibold">{say('proportion.choose')}</span>
        ) : (
          <>
            <TemplateDiagram template={current.template} className="h-12 w-14 flex-none" />
            <span className="min-w-0 flex-1">
              <span className="block font-semibold">{say(current.title)}</span>
              <span className="text-sm underline">{say('proportion.template')}</span>
            </span>
          </>
        )}
      </summary>
      <ul className="grid grid-cols-3 gap-1 p-2">
        {kinds.map((k) => (
          <li key={k.key}>
            <Link
              href={href(k.key)}
              aria-current={k.key === current.key && !open ? 'true' : undefined}
              className={`pickable flex h-full flex-col items-center gap-1 p-1 text-center text-sm leading-tight ${k.key === current.key && !open ? 'font-semibold' : ''}`}
            >
              <TemplateDiagram template={k.template} className="h-16 w-full" />
              {say(k.title)}
              {placed.has(k.key) && <span className="text-xs">{say('proportion.hasPoints')}</span>}
            </Link>
          </li>
        ))}
        {making && (
          <li>
            <Link href={making} className="pickable flex h-full flex-col items-center gap-1 p-1 text-center text-sm leading-tight">
              <svg aria-hidden viewBox="0 0 100 100" className="h-16 w-full" fill="none" stroke="currentColor" strokeWidth={1.6}>
                <path d="M20 70L44 24L80 60M44 24L52 84" strokeDasharray="4 4" />
                {[
                  [20, 70],
                  [44, 24],
                  [80, 60],
                  [52, 84],
                ].map(([x, y]) => (
                  <circle key={x} cx={x} cy={y} r={4} fill="var(--color-base-100)" />
                ))}
              </svg>
              {say('proportion.noneOfThese')}
            </Link>
          </li>
        )}
      </ul>
    </details>
  );
}
