'use client';
import type { Message } from '@/core/message';
import { CircleAlert } from 'lucide-react';
import { useSay } from '../words/Words';

/** An error told beside what it is about; read out by screen readers. */
export function Notice({ said }: { said: Message | null }) {
  const say = useSay();
  return (
    <div role="alert" aria-live="assertive">
      {said && (
        <p className="my-2 flex items-start gap-2 rounded border border-error px-3 py-2 text-error">
          <CircleAlert aria-hidden className="mt-0.5 size-5 shrink-0" />
          <span>{say(said)}</span>
        </p>
      )}
    </div>
  );
}
