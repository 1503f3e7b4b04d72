'use client';
import { several, typed } from '@/core/message';
import { useSay } from '../words/Words';

export interface HeedView {
  leftHanded: string[];
  oneself: boolean;
  needs: { name: string; text: string }[];
}

/** Whom the lesson has to heed, and how; nothing where nothing is noted. */
export function Heed({ heed: { leftHanded, oneself, needs } }: { heed: HeedView }) {
  const say = useSay();
  if (!leftHanded.length && !oneself && !needs.length) return null;
  return (
    <section className="break-inside-avoid">
      <h2 className="text-lg font-semibold">{say('plan.heed.title')}</h2>
      <ul className="grid gap-1">
        {leftHanded.length > 0 && <li>{say('plan.heed.left', { n: leftHanded.length, names: several(leftHanded.map(typed)) })}</li>}
        {oneself && <li>{say('plan.heed.oneself')}</li>}
        {needs.map((s) => (
          <li key={s.name}>{say('plan.heed.need', { name: typed(s.name), need: typed(s.text) })}</li>
        ))}
      </ul>
    </section>
  );
}
