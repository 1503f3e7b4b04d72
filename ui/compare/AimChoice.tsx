'use client';
import type { Aim } from '@/core/style/aim';
import { Notice } from '../shared/Notice';
import { send } from '../shared/request';
import { useAct } from '../shared/useAct';
import { text } from '../text/en';

/** What a copy is held to, chosen for the whole study; copies are then compared anew. */
export function AimChoice({ studyId, aim, version }: { studyId: string; aim: Aim; version: number }) {
  const { act, busy, problem } = useAct();
  return (
    <section className="mt-2 text-sm">
      <label className="grid grid-cols-[7rem_1fr] items-center gap-2">
        {text.compare.aim}
        <select
          className="select select-sm w-full"
          value={aim}
          disabled={busy}
          onChange={(e) => void act(() => send('PATCH', `/api/studies/${studyId}`, { version, aim: e.target.value }))}
        >
          {Object.entries(text.compare.aims).map(([id, name]) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
      </label>
      <p>{text.compare.heldTo[aim]}</p>
      <Notice message={problem} />
    </section>
  );
}
