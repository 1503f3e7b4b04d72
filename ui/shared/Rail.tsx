'use client';
import Link from 'next/link';
import { usePathname } from 'next/navigation';
import { useSay } from '../words/Words';

/** The steps that have a bench so far, in working order. */
const STEPS = ['look', 'proportion', 'marks', 'colour', 'plan', 'make', 'pieces', 'compare', 'hanging'] as const;

export type StepName = (typeof STEPS)[number];

/** The steps of a study in their working order, hung on a rail; a filled peg has something to show. It never bars the way. */
export function Rail({ studyId, done }: { studyId: string; done: Record<StepName, boolean> }) {
  const say = useSay();
  const path = usePathname();
  const next = STEPS.find((s) => !done[s]);
  return (
    <nav aria-label={say('steps.label')} className="rail no-print mx-5 mt-4 flex min-h-[3.6rem] flex-wrap justify-between gap-x-2">
      {STEPS.map((step) => {
        const href = `/studies/${studyId}/${step}`;
        const here = path.startsWith(href);
        return (
          <Link
            key={step}
            href={href}
            data-done={done[step]}
            aria-current={here ? 'page' : undefined}
            className={`px-2 pb-1 text-center ${here ? 'font-semibold' : ''}`}
          >
            {say(`steps.${step}`)}
            <span className="sr-only">, {say(done[step] ? 'steps.done' : 'steps.open')}</span>
            {step === next && !here && <span className="block text-xs">{say('steps.next')}</span>}
          </Link>
        );
      })}
    </nav>
  );
}
