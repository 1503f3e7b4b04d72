'use client';
import { message, typed } from '@/core/message';
import { Shapes } from 'lucide-react';
import { useState } from 'react';
import { Notice } from '../shared/Notice';
import { send } from '../shared/request';
import { useChange } from '../shared/server/useChange';
import { useSay } from '../words/Words';

interface Choice {
  key: string;
  name: string;
  lived: string;
  works: number;
}

/** Works by invented hands to try the tools on, or to set beside the master's as a foil. */
export function SampleWorks({ studyId, choices, open }: { studyId: string; choices: Choice[]; open: boolean }) {
  const say = useSay();
  const [key, setKey] = useState(choices[0].key);
  const [foil, setFoil] = useState(false);
  const [drawn, setDrawn] = useState<number | null>(null);
  const [shown, setShown] = useState(open);
  const { act, busy, problem } = useChange();
  const hand = choices.find((c) => c.key === key)!;
  const many = foil ? 1 : hand.works;
  const draw = () =>
    void act(async () => {
      for (let work = 0; work < many; work++) {
        setDrawn(work);
        await send('POST', `/api/studies/${studyId}/samples`, { hand: key, work, foil });
      }
    }).finally(() => setDrawn(null));
  return (
    <details className="mt-3 border border-base-300 px-3 py-2" open={shown} onToggle={(e) => setShown(e.currentTarget.open)}>
      <summary className="cursor-pointer font-semibold">{say('look.samples.title')}</summary>
      <label className="mt-2 grid gap-1">
        {say('look.samples.hand')}
        <select className="select select-sm w-full" value={key} onChange={(e) => setKey(e.target.value)}>
          {choices.map((c) => (
            <option key={c.key} value={c.key}>
              {say('look.samples.choice', { name: typed(c.name), lived: typed(c.lived) })}
            </option>
          ))}
        </select>
      </label>
      <p className="mt-1 text-sm">
        {say('look.samples.about', { medium: message(`samples.${key}.medium`), manner: message(`samples.${key}.manner`) })}
      </p>
      <label className="mt-1 flex items-center gap-2 text-sm">
        <input type="checkbox" className="checkbox checkbox-sm" checked={foil} onChange={(e) => setFoil(e.target.checked)} />
        {say('look.samples.foil')}
      </label>
      <div className="mt-2 flex items-center gap-3">
        <button type="button" className="btn btn-sm" disabled={busy} onClick={draw}>
          <Shapes aria-hidden className="size-4" /> {foil ? say('look.samples.addFoil') : say('look.samples.add', { n: hand.works })}
        </button>
        {drawn !== null && (
          <span role="status" className="text-sm">
            {say('look.samples.drawing', { n: drawn + 1, all: many })}
          </span>
        )}
      </div>
      <Notice said={problem} />
    </details>
  );
}
