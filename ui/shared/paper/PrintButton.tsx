'use client';
import { useSay } from '../../words/Words';

export function PrintButton() {
  const say = useSay();
  return (
    <button type="button" className="no-print btn btn-primary mb-4" onClick={() => window.print()}>
      {say('shared.print')}
    </button>
  );
}
