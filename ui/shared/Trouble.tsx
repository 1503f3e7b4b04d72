import type { ReactNode } from 'react';
import { text } from '../text/en';

/** A page that says what went wrong, that nothing is lost, and what to do. */
export function Trouble({ title, children, actions }: { title: string; children: ReactNode; actions: ReactNode }) {
  return (
    <main className="flex min-h-screen flex-col items-center justify-center gap-4 p-6">
      <p className="font-title text-xl font-semibold">{text.name}</p>
      <section className="grid max-w-xl gap-4 border-t-2 border-base-content/60 pt-4">
        <h1 className="text-3xl font-semibold">{title}</h1>
        <div className="grid gap-2 text-lg">{children}</div>
        <div className="flex flex-wrap gap-3">{actions}</div>
      </section>
    </main>
  );
}
