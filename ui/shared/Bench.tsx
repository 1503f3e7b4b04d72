'use client';
import { ReactNode, useEffect, useState } from 'react';
import { PanelLock } from './panelLock';
import { useSay } from '../words/Words';

type Surround = 'grey' | 'white' | 'black';

/** The working bench: pictures on a true neutral ground, readings beside them. The ground can be turned near-white or near-black. */
export function Bench({
  tools,
  picture,
  strip,
  children,
}: {
  tools?: ReactNode;
  picture: ReactNode;
  strip?: ReactNode;
  children: ReactNode;
}) {
  const say = useSay();
  const [surround, setSurround] = useState<Surround>('grey');
  const [locked, setLocked] = useState(false);
  useEffect(() => {
    const kept = localStorage.getItem('oldhand.surround');
    // Read once after mounting: the server cannot know it.
    // eslint-disable-next-line react-hooks/set-state-in-effect
    if (kept === 'white' || kept === 'black') setSurround(kept);
  }, []);
  const choose = (s: Surround) => {
    setSurround(s);
    localStorage.setItem('oldhand.surround', s);
  };
  return (
    <div className="flex flex-1 flex-col gap-0 lg:flex-row">
      <section className="flex min-w-0 flex-1 flex-col">
        <div className="no-print flex flex-wrap items-center justify-between gap-2 px-5 py-2">
          {tools}
          <fieldset className="flex items-center gap-1 text-sm">
            <legend className="sr-only">{say('bench.ground')}</legend>
            {(['white', 'grey', 'black'] as const).map((s) => (
              <label key={s} className="flex cursor-pointer items-center gap-1 px-1">
                <input type="radio" name="surround" className="sr-only peer" checked={surround === s} onChange={() => choose(s)} />
                <span
                  aria-hidden
                  className="size-5 border border-base-content peer-checked:outline-2 peer-checked:outline-offset-2 peer-focus-visible:outline-4"
                  style={{ background: { white: '#f2f2f2', grey: '#767676', black: '#161616' }[s] }}
                />
                <span className="sr-only">{say(`bench.grounds.${s}`)}</span>
              </label>
            ))}
          </fieldset>
        </div>
        <div className="bench relative flex min-h-[420px] flex-1 flex-col p-4" data-surround={surround}>
          {picture}
        </div>
        <PanelLock value={setLocked}>{strip}</PanelLock>
      </section>
      <aside className="w-full shrink-0 overflow-y-auto border-s border-base-300 p-4 lg:max-h-[calc(100vh-7.2rem)] lg:w-[25rem]">
        {locked && <p role="status">{say('shared.loading')}</p>}
        <div inert={locked} className={locked ? 'opacity-50' : undefined}>
          {children}
        </div>
      </aside>
    </div>
  );
}
