import Link from 'next/link';
import type { TemplateName } from '@/core/proportion/templates';

const NAMES: Record<TemplateName, string> = {
  'face-front': 'Face from the front',
  'figure-standing': 'Standing figure',
};

/** Which points are placed: each template has its own address. */
export function TemplateChoice({ current, href }: { current: TemplateName; href: (template: TemplateName) => string }) {
  return (
    <div className="mt-3 flex flex-wrap gap-2" role="group" aria-label="Template">
      {(Object.keys(NAMES) as TemplateName[]).map((t) => (
        <Link
          key={t}
          href={href(t)}
          aria-current={t === current ? 'true' : undefined}
          className={`btn btn-sm ${t === current ? 'btn-neutral' : ''}`}
        >
          {NAMES[t]}
        </Link>
      ))}
    </div>
  );
}
