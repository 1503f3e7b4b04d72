'use client';
import { CircleAlert } from 'lucide-react';
import type { ReactNode } from 'react';
import type { Message } from '@/core/message';
import { useSay } from '../words/Words';

/** A field under its label, with what was refused of it told right beneath. */
export function Field({ label, problem, children }: { label: string; problem?: Message | null; children: ReactNode }) {
  const say = useSay();
  return (
    <label className="grid content-start gap-1">
      <span>{label}</span>
      {children}
      {problem && (
        <span role="alert" className="flex items-start gap-1 text-sm text-error">
          <CircleAlert aria-hidden className="mt-0.5 size-4 flex-none" /> {say(problem)}
        </span>
      )}
    </label>
  );
}
