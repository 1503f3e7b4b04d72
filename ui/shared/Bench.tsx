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
  jobFirst,
  children,
}: {
  tools?: ReactNode;
  picture: ReactNode;
  strip?: ReactNode;
  /** On a phone what there is to do stands over the picture, not under it. */
  jobFirst?: boolean;
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
    <div className="bench-page flex min-h-0 flex-1 flex-col lg:flex-row">
      <section
        className={`flex min-h-0 min-w-0 flex-none flex-col max-lg:h-[52%] lg:flex-1 ${jobFirst ? 'max-sm:h-auto max-sm:flex-1' : 'max-sm:h-[44%]'}`}
      >
        <div className="no-print flex flex-none items-start gap-1 px-3 py-1">
          <div className="min-w-0 flex-1">{tools}</div>
          <fieldset className="flex flex-none items-center gap-1 py-1 text-sm">
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
        <div className="bench relative min-h-0 flex-1" data-surround={surround}>
          <div className="bench-frame absolute inset-3 flex">{picture}</div>
        </div>
        <PanelLock value={setLocked}>{strip}</PanelLock>
      </section>
      <aside
        className={`relative min-h-0 w-full flex-1 overflow-y-auto border-base-300 p-4 max-lg:border-t lg:w-[25rem] lg:flex-none lg:border-s ${jobFirst ? 'max-sm:order-first max-sm:max-h-[60%] max-sm:flex-none' : ''}`}
      >
        {locked && <p role="status">{say('shared.loading')}</p>}
        <div inert={locked} className={locked ? 'opacity-50' : undefined}>
          {children}
        </div>
      </aside>
    </div>
  );
}
