'use client';
import { useEffect, useRef } from 'react';
import type { ShownPicture } from '../shared/reading/reading.worker';

/** Pixels from the reading worker on a canvas that fills its place. */
export function ShownCanvas({
  picture,
  label,
  className,
  style,
}: {
  picture: ShownPicture | null;
  label: string;
  className?: string;
  style?: React.CSSProperties;
}) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    if (!picture || !canvas.current) return;
    canvas.current.width = picture.width;
    canvas.current.height = picture.height;
    canvas.current.getContext('2d')!.putImageData(new ImageData(new Uint8ClampedArray(picture.rgba), picture.width, picture.height), 0, 0);
  }, [picture]);
  return (
    <canvas
      ref={canvas}
      role="img"
      aria-label={label}
      className={className}
      style={{ ...style, visibility: picture ? 'visible' : 'hidden' }}
    />
  );
}
