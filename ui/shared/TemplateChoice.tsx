'use client';
import Link from 'next/link';
import { TEMPLATE_NAMES, templateName, TemplateName } from '@/core/proportion/templates';
import { TemplateDiagram } from './TemplateDiagram';
import { useSay } from '../words/Words';

interface Props {
  current: TemplateName;
  href: (template: TemplateName) => string;
  /** Kinds that have points on this picture already. */
  placed: ReadonlySet<string>;
  /** Nothing is chosen yet: the pictures of all kinds stand open. */
  open: boolean;
}

/** What is in the picture, chosen by a small picture of it: each kind of points has its own address. */
export function TemplateChoice({ current, href, placed, open }: Props) {
  const say = useSay();
  return (
    <details key={`${current}:${open}`} open={open} className="mt-3 border border-base-300">
      <summary className="flex cursor-pointer items-center gap-3 p-2">
        <TemplateDiagram template={current} className="h-12 w-14 flex-none" />
        <span className="min-w-0 flex-1">
          <span className="block font-semibold">{say(templateName(current))}</span>
          <span className="text-sm underline">{say('proportion.template')}</span>
        </span>
      </summary>
      <ul className="grid grid-cols-3 gap-1 p-2">
        {TEMPLATE_NAMES.map((t) => (
          <li key={t}>
            <Link
              href={href(t)}
              aria-current={t === current ? 'true' : undefined}
              className={`pickable flex h-full flex-col items-center gap-1 p-1 text-center text-sm leading-tight ${t === current ? 'font-semibold' : ''}`}
            >
              <TemplateDiagram template={t} className="h-16 w-full" />
              {say(templateName(t))}
              {placed.has(t) && <span className="text-xs">{say('proportion.hasPoints')}</span>}
            </Link>
          </li>
        ))}
      </ul>
    </details>
  );
}
