'use client';
import { X } from 'lucide-react';
import { useSay } from '../words/Words';

/** The head of a form that opened beside what it changes, and the way out of it. */
export function PanelHead({ title, onClose }: { title: string; onClose: () => void }) {
  const say = useSay();
  return (
    <div className="flex items-start gap-2">
      <h2 className="flex-1 text-xl font-semibold">{title}</h2>
      <button type="button" className="btn btn-ghost btn-sm" aria-label={say('shared.close')} onClick={onClose}>
        <X aria-hidden className="size-5" />
      </button>
    </div>
  );
}
