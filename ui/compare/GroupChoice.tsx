'use client';
import type { Piece } from '../pieces/piece';
import { Notice } from '../shared/Notice';
import { send } from '../shared/request';
import { useChange } from '../shared/server/useChange';
import { useSay } from '../words/Words';

export interface Group {
  id: string;
  name: string;
  works: number;
}

/** Which of the master's works this piece is held against: all, or one group of them, whose range is narrower. */
export function GroupChoice({ piece, groups, all }: { piece: Piece; groups: readonly Group[]; all: number }) {
  const say = useSay();
  const { act, busy, problem } = useChange();
  if (!groups.length) return null;
  return (
    <section className="mt-2 text-sm">
      <label className="grid grid-cols-[7rem_1fr] items-center gap-2">
        {say('compare.group')}
        <select
          className="select select-sm w-full"
          value={piece.groupId ?? ''}
          disabled={busy}
          onChange={(e) =>
            void act(() => send('PATCH', `/api/pieces/${piece.id}`, { version: piece.version, groupId: e.target.value || null }))
          }
        >
          <option value="">{say('compare.groupAll', { n: all })}</option>
          {groups.map((g) => (
            <option key={g.id} value={g.id}>
              {say('compare.groupOf', { name: say.typed(g.name), n: g.works })}
            </option>
          ))}
        </select>
      </label>
      {groups.some((g) => g.id === piece.groupId && g.works < 3) && <p>{say('compare.groupFew')}</p>}
      <Notice said={problem} />
    </section>
  );
}
