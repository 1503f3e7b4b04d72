'use client';
import Link from 'next/link';
import { TEMPLATE_NAMES, templateName, TemplateName } from '@/core/proportion/templates';
import { useSay } from '../words/Words';

/** Which points are placed: each template has its own address. */
export function TemplateChoice({ current, href }: { current: TemplateName; href: (template: TemplateName) => string }) {
  const say = useSay();
  return (
    <div className="mt-3 flex flex-wrap gap-2" role="group" aria-label={say('proportion.template')}>
      {TEMPLATE_NAMES.map((t) => (
        <Link
          key={t}
          href={href(t)}
          aria-current={t === current ? 'true' : undefined}
          className={`btn btn-sm ${t === current ? 'btn-neutral' : ''}`}
        >
          {say(templateName(t))}
        </Link>
      ))}
    </div>
  );
}
