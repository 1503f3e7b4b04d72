'use client';
import { arrayMove, useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { GripVertical } from 'lucide-react';
import { useState } from 'react';
import { typed } from '@/core/message';
import { Ordering } from '../shared/Ordering';
import { send } from '../shared/request';
import { useChange } from '../shared/server/useChange';
import { StripWork, WorkStrip } from '../shared/WorkStrip';
import { useSay } from '../words/Words';

interface Props {
  studyId: string;
  works: readonly StripWork[];
  current: string;
}

/** The study's works under the bench, put in the order in which they are looked at: it holds on every bench. */
export function OrderedWorks({ studyId, works, current }: Props) {
  const { act } = useChange();
  const stored = works.map((w) => w.id);
  // As it was moved, until the page brings the same.
  const [moved, setMoved] = useState<{ from: string; ids: string[] } | null>(null);
  const key = stored.join();
  const ids = moved?.from === key ? moved.ids : stored;
  const sorted = ids.flatMap((id) => works.find((w) => w.id === id) ?? []);
  return (
    <Ordering
      ids={ids}
      across
      name={(i) => typed(sorted[i]?.title ?? '')}
      onMove={(from, to) => {
        const next = arrayMove(ids, from, to);
        setMoved({ from: key, ids: next });
        void act(() => send('PUT', `/api/studies/${studyId}/works/order`, { ids: next })).then((ok) => !ok && setMoved(null));
      }}
    >
      <WorkStrip works={sorted} current={current} href={`/studies/${studyId}/look`} around={Movable} />
    </Ordering>
  );
}

function Movable({ work, children }: { work: StripWork; children: React.ReactNode }) {
  const say = useSay();
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition } = useSortable({ id: work.id });
  return (
    <div ref={setNodeRef} className="flex shrink-0 items-start" style={{ transform: CSS.Translate.toString(transform), transition }}>
      {children}
      <button
        ref={setActivatorNodeRef}
        type="button"
        className="flex w-6 cursor-grab touch-none justify-center self-stretch py-2 text-base-content/70"
        aria-label={say('look.order', { title: typed(work.title) })}
        {...attributes}
        {...listeners}
      >
        <GripVertical aria-hidden className="size-4" />
      </button>
    </div>
  );
}
