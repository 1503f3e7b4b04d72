'use client';
import type { Aim } from '@/core/style/aim';
import { Notice } from '../shared/Notice';
import { send } from '../shared/request';
import { useChange } from '../shared/server/useChange';
import { useSay } from '../words/Words';

const AIMS: readonly Aim[] = ['replica', 'study', 'remembered'];

interface LedProps {
  studyId: string;
  led: boolean;
  version: number;
}

/** Whether all pieces of the study follow one exemplar; they are then compared anew, for their manner. */
export function LedChoice({ studyId, led, version }: LedProps) {
  const say = useSay();
  const { act, busy, problem } = useChange();
  return (
    <section className="mt-2 text-sm">
      <label className="flex items-start gap-2">
        <input
          type="checkbox"
          className="checkbox checkbox-sm"
          checked={led}
          disabled={busy}
          onChange={(e) => void act(() => send('PATCH', `/api/studies/${studyId}`, { version, led: e.target.checked }))}
        />
        <span>{say('compare.led')}</span>
      </label>
      <Notice said={problem} />
    </section>
  );
}

/** What a copy is held to, chosen for the whole study; copies are then compared anew. */
export function AimChoice({ studyId, aim, version }: { studyId: string; aim: Aim; version: number }) {
  const say = useSay();
  const { act, busy, problem } = useChange();
  return (
    <section className="mt-2 text-sm">
      <label className="grid grid-cols-[7rem_1fr] items-center gap-2">
        {say('compare.aim')}
        <select
          className="select select-sm w-full"
          value={aim}
          disabled={busy}
          onChange={(e) => void act(() => send('PATCH', `/api/studies/${studyId}`, { version, aim: e.target.value }))}
        >
          {AIMS.map((id) => (
            <option key={id} value={id}>
              {say(`compare.aims.${id}`)}
            </option>
          ))}
        </select>
      </label>
      <p>{say(`compare.heldTo.${aim}`)}</p>
      <Notice said={problem} />
    </section>
  );
}
