'use client';
import { SquareStack } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { typed } from '@/core/message';
import { useSay } from '../../words/Words';
import { useLayers } from './Layers';
import { LAYERS } from './layers';

/** A button that opens the list of layers, over the picture and without moving it. */
export function LayerMenu({ tabIndex }: { tabIndex: number }) {
  const say = useSay();
  const { on, toggle } = useLayers();
  const [open, setOpen] = useState(false);
  const box = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (!open) return;
    const away = (e: PointerEvent) => box.current?.contains(e.target as Node) || setOpen(false);
    const escape = (e: KeyboardEvent) => e.key === 'Escape' && setOpen(false);
    window.addEventListener('pointerdown', away);
    window.addEventListener('keydown', escape);
    return () => {
      window.removeEventListener('pointerdown', away);
      window.removeEventListener('keydown', escape);
    };
  }, [open]);
  return (
    <div ref={box} onKeyDown={(e) => open && /^(Arrow|Home|End)/.test(e.key) && e.stopPropagation()}>
      <button
        type="button"
        tabIndex={tabIndex}
        aria-expanded={open}
        title={say('layers.open')}
        onClick={() => setOpen(!open)}
        className={`flex flex-none items-center gap-1 rounded px-2 py-1 text-sm ${on.size ? 'bg-neutral text-neutral-content' : 'hover:bg-base-300'}`}
      >
        <SquareStack aria-hidden className="size-4" />
        {say('layers.title')}
        <span className="w-4 text-xs tabular-nums">{on.size > 0 && say.number(on.size)}</span>
      </button>
      {open && (
        <fieldset className="absolute top-full start-0 z-20 grid max-h-[65vh] w-max max-w-[92vw] grid-cols-1 gap-x-6 overflow-y-auto border border-base-300 bg-base-100 p-3 text-sm shadow-md sm:grid-cols-2">
          <legend className="sr-only">{say('layers.title')}</legend>
          {LAYERS.map(({ name, key }) => (
            <label key={name} className="flex cursor-pointer items-center gap-2 py-1" title={say(`layers.${name}.hint`)}>
              <input type="checkbox" className="checkbox checkbox-sm" checked={on.has(name)} onChange={() => toggle(name)} />
              <span className="flex-1">{say(`layers.${name}.label`)}</span>
              <kbd
                className="text-xs opacity-80 pointer-coarse:hidden"
                aria-label={say('bench.tool', { hint: say(`layers.${name}.label`), key: typed(key) })}
              >
                {say.typed(key)}
              </kbd>
            </label>
          ))}
        </fieldset>
      )}
    </div>
  );
}
