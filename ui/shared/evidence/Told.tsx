'use client';
import { ChevronDown } from 'lucide-react';
import { ReactNode, useId, useState } from 'react';
import type { Message, Typed } from '@/core/message';
import { useSay } from '../../words/Words';
import { useLight } from '../layers/Layers';
import type { Lit } from '../layers/layers';

interface Props {
  /** The reading in a sentence. */
  said: Message | Typed;
  /** What it lights on the picture while it is pointed at or focused: a feature's name, or a place of its own. */
  lights: string | Lit | null;
  /** What it opens to. */
  children: ReactNode;
}

/** A measured sentence: pointed at it shows where on the picture, opened it shows what it rests on. */
export function Told({ said, lights, children }: Props) {
  const [open, setOpen] = useState(false);
  const light = useLight(lights);
  const id = useId();
  return (
    <div {...light}>
      <Opener said={said} open={open} onToggle={() => setOpen(!open)} controls={id} />
      <div id={id} hidden={!open}>
        {open && <Opened>{children}</Opened>}
      </div>
    </div>
  );
}

/** A sentence that opens to something. */
export function Opener({
  said,
  open,
  onToggle,
  controls,
}: {
  said: Message | Typed;
  open: boolean;
  onToggle: () => void;
  controls: string;
}) {
  const say = useSay();
  return (
    <button
      type="button"
      aria-expanded={open}
      aria-controls={controls}
      onClick={onToggle}
      className="group flex w-full items-start gap-1 text-start hover:bg-base-200"
    >
      <span className="flex-1">{say(said)}</span>
      <ChevronDown aria-hidden className={`mt-1 size-4 flex-none opacity-50 group-hover:opacity-100 ${open ? 'rotate-180' : ''}`} />
    </button>
  );
}

/** What it opens to. */
export const Opened = ({ children }: { children: ReactNode }) => (
  <div className="mt-1 mb-2 grid gap-2 border-s-2 border-base-300 ps-3 text-sm">{children}</div>
);

/** What a reading rests on, in words: its spread, how it was measured, and what would make it surer. */
export function Grounds({ spread, how, surer }: { spread: Message | null; how: Message; surer: readonly Message[] }) {
  const say = useSay();
  return (
    <dl className="grid gap-1">
      {spread && (
        <div>
          <dt className="inline font-semibold">{say('evidence.spread')}</dt> <dd className="inline">{say(spread)}</dd>
        </div>
      )}
      <div>
        <dt className="inline font-semibold">{say('evidence.measured')}</dt> <dd className="inline">{say(how)}</dd>
      </div>
      {surer.length > 0 && (
        <div>
          <dt className="inline font-semibold">{say('evidence.better')}</dt>{' '}
          <dd className="inline">{surer.map((s) => say(s)).join(' ')}</dd>
        </div>
      )}
    </dl>
  );
}
