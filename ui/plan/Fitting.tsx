'use client';
import { useState } from 'react';
import type { Change } from '@/core/lesson/smallest';
import type { Message } from '@/core/message';
import { useSay } from '../words/Words';

/** Where the lesson does not fit: the smallest changes after which it would, each to be taken. */
export function Ways({ ways, onTake }: { ways: readonly Change[]; onTake: (to: Change['to']) => void }) {
  const say = useSay();
  if (!ways.length) return null;
  return (
    <section aria-labelledby="plan-ways">
      <h2 id="plan-ways" className="font-semibold">
        {say('plan.ways.title')}
      </h2>
      <ul className="mt-1 grid gap-1">
        {ways.map(({ said, to }, i) => (
          <li key={i} className="flex items-center gap-2">
            <button
              type="button"
              className="btn btn-xs border-base-content/50"
              aria-label={`${say('plan.ways.take')}: ${say(said)}`}
              onClick={() => onTake(to)}
            >
              {say('plan.ways.take')}
            </button>
            <span>{say(said)}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}

const MOST_MOVED = 4;

/** What the last change has moved, in a line; all of it where it is opened. */
export function MovedBy({ moved }: { moved: readonly Message[] }) {
  const say = useSay();
  const [all, setAll] = useState(false);
  const shown = all ? moved : moved.slice(0, MOST_MOVED);
  return (
    <p className="min-h-6 text-sm" role="status">
      {moved.length > 0 && (
        <>
          <strong>{say('plan.moved.title')}</strong> {shown.map((m) => say(m)).join(' ')}{' '}
          {moved.length > shown.length && (
            <button type="button" className="link" onClick={() => setAll(true)}>
              {say('plan.moved.more', { n: moved.length - shown.length })}
            </button>
          )}
        </>
      )}
    </p>
  );
}
