'use client';
import Link from 'next/link';
import { usePathname } from 'next/navigation';
import { useEffect, useRef } from 'react';
import { useSay } from '../words/Words';

/** The steps that have a bench so far, in working order. */
const STEPS = ['look', 'proportion', 'marks', 'colour', 'plan', 'make', 'pieces', 'compare', 'hanging'] as const;

export type StepName = (typeof STEPS)[number];

/** The steps of a study in their working order, hung on a rail; a filled peg has something to show. It never bars the way. */
export function Rail({ studyId, done }: { studyId: string; done: Record<StepName, boolean> }) {
  const say = useSay();
  const path = usePathname();
  const next = STEPS.find((s) => !done[s]);
  const rail = useRef<HTMLElement>(null);
  // On a narrow screen the step one is at stands in sight.
  useEffect(() => {
    const [line, here] = [rail.current, rail.current?.querySelector<HTMLElement>('[aria-current]')];
    if (line && here) line.scrollLeft = here.offsetLeft - line.offsetLeft - (line.clientWidth - here.offsetWidth) / 2;
  }, [path]);
  return (
    <nav
      ref={rail}
      aria-label={say('steps.label')}
      className="rail no-print flex flex-none justify-between gap-x-1 overflow-x-auto border-b border-base-300 px-4"
    >
      {STEPS.map((step) => {
        const href = `/studies/${studyId}/${step}`;
        const here = path.startsWith(href);
        return (
          <Link
            key={step}
            href={href}
            data-done={done[step]}
            aria-current={here ? 'page' : undefined}
            className={`flex-none px-2 pb-1 text-center text-sm whitespace-nowrap ${here ? 'font-semibold' : ''}`}
          >
            {say(`steps.${step}`)}
            <span className="sr-only">, {say(done[step] ? 'steps.done' : 'steps.open')}</span>
            {step === next && !here && <span className="ms-1 text-xs italic">{say('steps.next')}</span>}
          </Link>
        );
      })}
    </nav>
  );
}
