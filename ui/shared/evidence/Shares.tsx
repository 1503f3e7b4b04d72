'use client';
import { useSay } from '../../words/Words';

/** Shares as bars under each other, the largest first; what has none is left out. */
export function Shares({ of }: { of: readonly (readonly [name: string, share: number])[] }) {
  const say = useSay();
  const shown = of.filter(([, share]) => share >= 0.005).sort((a, b) => b[1] - a[1]);
  return (
    <ul className="grid gap-1">
      {shown.map(([name, share]) => (
        <li key={name} className="grid grid-cols-[minmax(0,1fr)_6rem_3rem] items-center gap-2">
          <span>{name}</span>
          <span aria-hidden className="h-3 border border-base-content/50">
            <span className="block h-full bg-base-content/70" style={{ width: `${100 * share}%` }} />
          </span>
          <span className="text-end">{say.amount(share, 'share')}</span>
        </li>
      ))}
    </ul>
  );
}
