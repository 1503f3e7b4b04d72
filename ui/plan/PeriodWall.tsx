'use client';
import { useDrag } from '@use-gesture/react';
import { useState } from 'react';
import { figure, Message, typed } from '@/core/message';
import type { Dated } from '@/core/lesson/calendar';
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
  again: 'turn',
  'clear-up': 'all',
  talk: 'all',
};
export const whoIsAt = (e: Entry) => e.who ?? WHO[e.kind];

const EDGE: Record<EntryKind, string> = {
  look: 'border-s-4 border-base-content/40',
  'hand-out': 'border-s-4 border-base-content/20',
  'warm-up': 'border-s-4 border-base-content/60',
  watch: 'border-s-4 border-double border-base-content',
  turn: 'border-s-8 border-base-content',
  meanwhile: 'border-s-4 border-dashed border-base-content/60',
  wait: 'border-s-4 border-dotted border-base-content/40',
  spare: 'border-s-4 border-base-content/20',
  again: 'border-s-4 border-base-content/60',
  'clear-up': 'border-s-4 border-base-content/20',
  talk: 'border-s-4 border-base-content/40',
};

export const clock = (minutes: number) => `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, '0')}`;

/** Height of a minute on the screen, px; the least an entry is high, and from when on its text has room. */
const MINUTE = 9;
const LEAST = 26;
const ROOM = 54;
/** What a title of two lines takes of it. */
const TITLE = 62;

interface WallProps {
  periods: readonly (readonly Entry[])[];
  /** The other group's, side by side with the first group's. */
  second?: readonly (readonly Entry[])[] | null;
  dates?: readonly Dated[];
  chosen?: number | null;
  onChoose?: (step: number) => void;
  /** Drags a turn to so many more minutes. */
  onMinutes?: (step: number, more: number) => void;
  /** Set in the columns of a paper instead of side by side. */
  flowing?: boolean;
}

/** The periods side by side, each entry as high as it is long, with the time on the clock after the bell. */
export function PeriodWall({ periods, second, dates = [], chosen, onChoose, onMinutes, flowing }: WallProps) {
  const say = useSay();
  const lane = (entries: readonly Entry[], p: number) => (
    <ol className={flowing ? '[&>*]:mb-1' : 'grid content-start gap-px'}>
      {entries.map((e, i) => (
        <WallEntry
          key={i}
          entry={e}
          from={dates[p]?.begins ?? 0}
          flowing={flowing}
          chosen={e.step !== null && e.step === chosen}
          onChoose={onChoose}
          onMinutes={onMinutes}
        />
      ))}
    </ol>
  );
  return (
    <div className={flowing ? '[&>*]:mb-4' : 'flex gap-4 overflow-x-auto pb-2'}>
      {periods.map((entries, p) => (
        <section
          key={p}
          aria-label={say('plan.period', { n: p + 1 })}
          className={flowing ? '' : `flex-1 basis-0 break-inside-avoid-page ${second ? 'min-w-[30rem]' : 'min-w-64'}`}
        >
          <h2 className="mb-1 break-after-avoid font-semibold">
            {say('plan.period', { n: p + 1 })}{' '}
            <span className="text-sm font-normal">
              {dates[p]
                ? say(dates[p].joined ? 'plan.joined' : 'plan.dated', {
                    day: typed(say.day(dates[p].day)),
                    at: typed(clock(dates[p].begins)),
                  })
                : say('plan.minutes', { n: entries.reduce((s, e) => s + e.minutes, 0) })}
            </span>
          </h2>
          {second ? (
            <div className={flowing ? '' : 'grid grid-cols-2 gap-2'}>
              {([entries, second[p]] as const).map((of, g) => (
                <div key={g}>
                  <h3 className="text-sm">{say(`plan.groups.${g ? 'second' : 'first'}`)}</h3>
                  {lane(of, p)}
                </div>
              ))}
            </div>
          ) : (
            lane(entries, p)
          )}
        </section>
      ))}
    </div>
  );
}

interface EntryProps extends Pick<WallProps, 'flowing' | 'onChoose' | 'onMinutes'> {
  entry: Entry;
  /** When the period begins, minutes after midnight; 0 where nobody has said. */
  from: number;
  chosen: boolean;
}

function WallEntry({ entry: e, from, flowing, chosen, onChoose, onMinutes }: EntryProps) {
  const say = useSay();
  const high = Math.max(LEAST, e.minutes * MINUTE);
  const roomy = high >= ROOM;
  const told = (e.kind === 'turn' ? e.part !== 2 : e.kind !== 'hand-out' && e.kind !== 'clear-up') && (flowing || high >= TITLE + 20);
  return (
    <li
      className={`relative break-inside-avoid overflow-hidden bg-base-100 ps-2 ${EDGE[e.kind]} ${chosen ? 'bg-base-300' : ''} ${flowing ? 'py-1' : 'pt-0.5'}`}
      style={flowing ? undefined : { height: high }}
    >
      <div className="grid grid-cols-[2.8rem_1fr_auto] items-start gap-2 pe-2">
        <span className="pt-0.5 text-sm">{clock(from + e.start)}</span>
        <span className={flowing || roomy ? '' : 'truncate'} title={flowing ? undefined : say(e.title)}>
          {e.step !== null && onChoose ? (
            <button type="button" className="text-start font-semibold hover:underline" onClick={() => onChoose(e.step!)}>
              {say(e.title)}
            </button>
          ) : (
            <span className={e.kind === 'turn' ? 'font-semibold' : ''}>{say(e.title)}</span>
          )}
          {e.part && <span className="text-sm"> {say('plan.begun', { part: e.part === 1 ? 'one' : 'two' })}</span>}
          {e.round && <span className="ms-2 text-xs">{say('plan.round', e.round)}</span>}
          {(flowing || !roomy) && <span className="ms-2 text-xs">{say(`plan.who.${whoIsAt(e)}`)}</span>}
        </span>
        <span className="pt-0.5 text-end text-sm whitespace-nowrap">
          {say('units.minutes', { n: figure(e.minutes) })}
          {!flowing && roomy && <span className="block text-xs">{say(`plan.who.${whoIsAt(e)}`)}</span>}
        </span>
      </div>
      {told && (
        <p
          className={`text-sm ${flowing ? 'ms-14' : 'ms-[3.3rem] me-2 overflow-hidden'}`}
          // As many whole lines as there is room for under the title.
          style={
            flowing ? undefined : { display: '-webkit-box', WebkitBoxOrient: 'vertical', WebkitLineClamp: Math.floor((high - TITLE) / 20) }
          }
        >
          {say(e.text)}
        </p>
      )}
      {!flowing && e.kind === 'turn' && onMinutes && (
        <Longer name={e.title} minutes={e.minutes} onMore={(more) => onMinutes(e.step!, more)} />
      )}
    </li>
  );
}

/** The lower edge of a turn: dragged, or moved by arrow keys, it makes the turn longer or shorter. */
function Longer({ name, minutes, onMore }: { name: Message; minutes: number; onMore: (more: number) => void }) {
  const say = useSay();
  const [drawn, setDrawn] = useState(0);
  const bind = useDrag(({ movement: [, dy], last }) => {
    const more = Math.max(1 - minutes, Math.round(dy / MINUTE));
    if (!last) return setDrawn(more);
    setDrawn(0);
    if (more) onMore(more);
  });
  return (
    <div
      {...bind()}
      role="slider"
      tabIndex={0}
      aria-label={say('plan.longer', { step: name })}
      aria-orientation="vertical"
      aria-valuemin={1}
      aria-valuemax={240}
      aria-valuenow={minutes + drawn}
      aria-valuetext={say('units.minutes', { n: figure(minutes + drawn) })}
      className="absolute inset-x-0 bottom-0 flex h-2.5 cursor-row-resize touch-none items-end justify-center"
      onKeyDown={(e) => {
        const by = { ArrowUp: -1, ArrowDown: 1 }[e.key];
        if (!by || minutes + by < 1) return;
        e.preventDefault();
        onMore(by);
      }}
    >
      <span className="mb-0.5 h-1 w-10 rounded bg-base-content/40" />
      {drawn !== 0 && (
        <span className="absolute end-2 bottom-2 bg-base-100 px-1 text-sm font-semibold">
          {say('units.minutes', { n: figure(minutes + drawn) })}
        </span>
      )}
    </div>
  );
}
