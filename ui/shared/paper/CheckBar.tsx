'use client';
import { useSay } from '../../words/Words';

/** A bar of exactly 100 mm: whoever prints a sheet can see whether it came out at true scale. */
export function CheckBar() {
  const say = useSay();
  return (
    <svg width="182mm" height="6mm" viewBox="0 0 182 6" role="img" aria-label={say('shared.checkBarName')}>
      <path d="M0.2 1.5v3h100v-3" fill="none" stroke="#000" strokeWidth="0.25" />
      <text x="103" y="4.4" fontSize="3">
        {say('shared.checkBar')}
      </text>
    </svg>
  );
}
