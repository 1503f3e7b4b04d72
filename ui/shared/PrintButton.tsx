'use client';

export function PrintButton() {
  return (
    <button type="button" className="no-print btn btn-primary mb-4" onClick={() => window.print()}>
      Print at 100 %
    </button>
  );
}
