import type { Piece } from './piece';
import { useSay } from '../words/Words';

const CAPTURES: readonly Piece['capture'][] = ['photograph', 'whole', 'object'];
const SIZES = ['sheet', 'print', 'none'] as const;

/** How a piece comes, and how large it is where that is not told by a sheet. */
export interface Coming {
  capture: Piece['capture'];
  size: (typeof SIZES)[number];
}

/** Chooses how a piece comes. */
export function HowItComes({ coming, onComing }: { coming: Coming; onComing: (next: Coming) => void }) {
  const say = useSay();
  const { capture, size } = coming;
  return (
    <>
      <select
        aria-label={say('pieces.capture')}
        className="select w-full"
        value={capture}
        onChange={(e) => onComing({ ...coming, capture: e.target.value as Coming['capture'] })}
      >
        {CAPTURES.map((c) => (
          <option key={c} value={c}>
            {say(`pieces.captures.${c}`)}
          </option>
        ))}
      </select>
      {capture === 'whole' && (
        <select
          aria-label={say('pieces.size')}
          className="select w-full"
          value={size}
          onChange={(e) => onComing({ ...coming, size: e.target.value as Coming['size'] })}
        >
          {SIZES.map((s) => (
            <option key={s} value={s}>
              {say(`pieces.sizes.${s}`)}
            </option>
          ))}
        </select>
      )}
    </>
  );
}
