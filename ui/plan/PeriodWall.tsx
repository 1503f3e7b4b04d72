'use client';
import { figure } from '@/core/message';
import type { Entry, EntryKind } from '@/core/lesson/schedule';
import { useSay } from '../words/Words';

/** Who does what, told by a word; the patterns only help the eye. */
const WHO: Record<EntryKind, 'all' | 'turn' | 'watch' | 'meanwhile' | 'wait' | 'spare'> = {
  look: 'all',
  'hand-out': 'all',
  'warm-up': 'turn',
  watch: 'watch',
  turn: 'turn',
  meanwhile: 'meanwhile',
  wait: 'wait',
  spare: 'spare',
  'clear-up': 'all',
  talk: 'all',
};
const EDGE: Record<EntryKind, string> = {
  look: 'border-s-4 border-base-content/40',
  'hand-out': 'border-s-4 border-base-content/20',
  'warm-up': 'border-s-4 border-base-content/60',
  watch: 'border-s-4 border-double border-base-content',
  turn: 'border-s-8 border-base-content',
  meanwhile: 'border-s-4 border-dashed border-base-content/60',
  wait: 'border-s-4 border-dotted border-base-content/40',
  spare: 'border-s-4 border-base-content/20',
  'clear-up': 'border-s-4 border-base-content/20',
  talk: 'border-s-4 border-base-content/40',
};

const clock = (minutes: number) => `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, '0')}`;

/** The periods side by side, each entry with the time on the clock after the bell and how long it takes. */
export function PeriodWall({
  periods,
  chosen,
  onChoose,
  flowing,
}: {
  periods: readonly (readonly Entry[])[];
  chosen?: number | null;
  onChoose?: (step: number) => void;
  /** Set in the columns of a paper instead of side by side. */
  flowing?: boolean;
}) {
  const say = useSay();
  return (
    <div className={flowing ? '[&>*]:mb-4' : 'grid gap-5 xl:grid-cols-2 print:grid-cols-2'}>
      {periods.map((entries, p) => (
        <section key={p} aria-label={say('plan.period', { n: p + 1 })} className={flowing ? '' : 'break-inside-avoid-page'}>
          <h3 className="mb-1 break-after-avoid font-semibold">
            {say('plan.period', { n: p + 1 })}{' '}
            <span className="text-sm font-normal">{say('plan.minutes', { n: entries.reduce((s, e) => s + e.minutes, 0) })}</span>
          </h3>
          <ol className={flowing ? '[&>*]:mb-1' : 'grid gap-1'}>
            {entries.map((e, i) => (
              <li
                key={i}
                className={`break-inside-avoid bg-base-100 py-1 ps-2 ${EDGE[e.kind]} ${e.step !== null && e.step === chosen ? 'bg-base-300' : ''}`}
              >
                <div className="grid grid-cols-[3rem_1fr_4.5rem] items-baseline gap-2">
                  <span className="text-sm">{clock(e.start)}</span>
                  <span>
                    {e.step !== null && onChoose ? (
                      <button type="button" className="text-start font-semibold hover:underline" onClick={() => onChoose(e.step!)}>
                        {say(e.title)}
                      </button>
                    ) : (
                      <span className={e.kind === 'turn' ? 'font-semibold' : ''}>{say(e.title)}</span>
                    )}
                    {e.part && <span className="text-sm"> {say('plan.begun', { part: e.part === 1 ? 'one' : 'two' })}</span>}
                    <span className="ms-2 text-xs">{say(`plan.who.${WHO[e.kind]}`)}</span>
                  </span>
                  <span className="text-end text-sm">{say('units.minutes', { n: figure(e.minutes) })}</span>
                </div>
                {(e.kind === 'turn' ? e.part !== 2 : e.kind !== 'hand-out' && e.kind !== 'clear-up') && (
                  <p className="ms-14 text-sm">{say(e.text)}</p>
                )}
              </li>
            ))}
          </ol>
        </section>
      ))}
    </div>
  );
}
