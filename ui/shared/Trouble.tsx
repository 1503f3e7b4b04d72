'use client';
import type { ReactNode } from 'react';
import { useSay } from '../words/Words';

/** A page that says what went wrong, that nothing is lost, and what to do. */
export function Trouble({ title, children, actions }: { title: string; children: ReactNode; actions: ReactNode }) {
  const say = useSay();
  return (
    <main className="flex min-h-screen items-center justify-center p-6">
      <section className="grid w-full max-w-xl gap-4">
        <p className="border-b-2 border-base-content/60 pb-2 font-title text-xl font-semibold">{say('app.name')}</p>
        <h1 className="text-3xl font-semibold">{title}</h1>
        <div className="grid gap-2 text-lg">{children}</div>
        <div className="flex flex-wrap gap-3">{actions}</div>
      </section>
    </main>
  );
}
