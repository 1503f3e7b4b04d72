'use client';
import { Handle } from './Handle';

type At = [number, number];

interface Props {
  /** Upper left, upper right, lower right, lower left, in the picture's px. */
  corners: readonly At[];
  width: number;
  height: number;
  unit: number;
  label: (corner: 'tl' | 'tr' | 'br' | 'bl', at: At) => string;
  onCorners: (corners: At[]) => void;
}

const CORNERS = ['tl', 'tr', 'br', 'bl'] as const;

/** Four corners on a picture, to be moved by pointer or arrow keys, and what they enclose. */
export function FourCorners({ corners, width, height, unit, label, onCorners }: Props) {
  const outline = corners.map((p) => p.join(',')).join(' ');
  const move = (i: number, [x, y]: readonly [number, number]) =>
    onCorners(corners.map((p, k): At => (k === i ? [Math.max(0, Math.min(width, x)), Math.max(0, Math.min(height, y))] : p)));
  return (
    <>
      <polygon points={outline} fill="none" stroke="#000" strokeWidth={3.2 * unit} />
      <polygon points={outline} fill="none" stroke="#fff" strokeWidth={1.4 * unit} />
      {corners.map((at, i) => (
        <Handle key={i} at={at} label={label(CORNERS[i], at)} unit={1.3 * unit} step={2} onMove={(to) => move(i, to)} />
      ))}
    </>
  );
}
