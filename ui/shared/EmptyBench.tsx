import type { ReactNode } from 'react';
import { Drawings } from './Drawings';

/** A bench with nothing on it yet: faintly what will stand there, and what to do. */
export function EmptyBench({ children }: { children: ReactNode }) {
  return (
    <div className="bench relative flex min-h-0 flex-1 items-center justify-center overflow-hidden p-4">
      <Drawings className="absolute inset-0 opacity-35" />
      <div className="bench-note relative grid max-w-md gap-2 rounded px-5 py-4 text-center text-lg">{children}</div>
    </div>
  );
}
