'use client';
import { Amount, Figure, figure } from '@/core/message';
import type { Comparison } from '@/core/style/compare';
import { valueWithUnit } from '@/core/style/words';
import { useSay } from '../words/Words';

type Finding = Comparison['findings'][number];

/** Part of the strip left free beyond what is shown, on either side. */
const ROOM = 0.12;

/** The master's range as a bar, its middle as a line, and where the piece stands to it. */
export function HeldAgainst({ finding: { feature, unit, master, piece } }: { finding: Finding }) {
  const say = useSay();
  const low = master.low ?? Math.min(0, master.mid);
  const [least, most] = [Math.min(low, piece), Math.max(master.high, piece)];
  const width = most - least || 1;
  const at = (v: number) => 100 * (ROOM + ((v - least) / width) * (1 - 2 * ROOM));
  const value = (v: number): Amount | Figure | null =>
    valueWithUnit(feature, v, unit) ?? (unit === 'L*' || unit === 'C*' ? figure(v) : null);
  const [lowest, mid, highest, own] = [low, master.mid, master.high, piece].map(value);
  return (
    <figure>
      <svg viewBox="0 0 100 14" className="w-full" role="img" aria-label={say('evidence.charts.range')}>
        <line x1="0" x2="100" y1="7" y2="7" stroke="currentColor" strokeWidth="0.3" opacity="0.5" />
        <rect x={at(low)} width={at(master.high) - at(low)} y="4" height="6" fill="currentColor" opacity="0.35" />
        <line x1={at(master.mid)} x2={at(master.mid)} y1="2.5" y2="11.5" stroke="currentColor" strokeWidth="0.6" />
        <circle cx={at(piece)} cy="7" r="2.4" fill="currentColor" />
      </svg>
      <figcaption>
        {lowest && mid && highest && own
          ? master.low === null
            ? say('evidence.heldUpTo', { high: highest, piece: own })
            : say('evidence.held', { low: lowest, mid, high: highest, piece: own })
          : say('evidence.heldPlain')}
      </figcaption>
    </figure>
  );
}
