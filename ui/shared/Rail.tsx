'use client';
import Link from 'next/link';
import { usePathname } from 'next/navigation';
import { text } from '../text/en';

export type StepName = keyof typeof text.steps;
/** The steps that have a bench so far, in working order. */
const STEPS: readonly StepName[] = ['look', 'proportion', 'marks', 'colour', 'plan', 'make', 'pieces', 'compare', 'hanging'];

/** The steps of a study in their working order, hung on a rail; a filled peg has something to show. It never bars the way. */
export function Rail({ studyId, done }: { studyId: string; done: Record<StepName, boolean> }) {
  const path = usePathname();
  const next = STEPS.find((s) => !done[s]);
  return (
    <nav aria-label="Steps of the study" className="rail no-print mx-5 mt-4 flex min-h-[3.6rem] flex-wrap justify-between gap-x-2">
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
            {text.steps[step]}
            <span className="sr-only">, {done[step] ? text.shared.done : text.shared.open}</span>
            {step === next && !here && <span className="block text-xs">next</span>}
          </Link>
        );
      })}
    </nav>
  );
}
