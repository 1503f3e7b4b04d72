/** Knows how far a picture is from being a copy: what stands where, whatever was mirrored, moved or recoloured. */
import { clamp } from '../raster/statistics';
import { Layout, likenessOfForms, placed, Registration, registerLayouts } from './layout';

export interface Invention {
  /** 0 for the same picture, 100 for one that shares nothing of the layout. */
  score: number;
  /** Index of the source work it comes nearest to, and how that one was laid over it. */
  nearest: number;
  registration: Registration;
}

/** Overlap of the worked shapes when the source is laid over the piece as registered, 0–1. */
function shapeOverlap(source: Layout, piece: Layout, r: Registration): number {
  let both = 0;
  let either = 0;
  for (let y = 0; y < source.height; y++)
    for (let x = 0; x < source.width; x++) {
      const [u, v] = placed(r, source, x, y);
      const [px, py] = [Math.floor(u * piece.width), Math.floor(v * piece.height)];
      if (px < 0 || py < 0 || px >= piece.width || py >= piece.height) continue;
      const [a, b] = [source.shape[y * source.width + x] > 50, piece.shape[py * piece.width + px] > 50];
      if (a && b) both++;
      if (a || b) either++;
    }
  return either > 0 ? both / either : 0;
}

/** Own invention of a piece against every source work; 100 when there is none. */
export function inventionOf(sources: readonly Layout[], piece: Layout): Invention | null {
  let best: { likeness: number; nearest: number; registration: Registration } | null = null;
  sources.forEach((source, nearest) => {
    const registration = registerLayouts(source, piece);
    // Where the darks lie, and how the smaller forms stand in them, count alike; silhouettes only where those agree too.
    const inner = (clamp(registration.correlation, 0, 1) + likenessOfForms(source, piece, registration)) / 2;
    const likeness = inner * (0.9 + 0.1 * shapeOverlap(source, piece, registration));
    if (!best || likeness > best.likeness) best = { likeness, nearest, registration };
  });
  if (!best) return null;
  const { likeness, nearest, registration } = best as { likeness: number; nearest: number; registration: Registration };
  // Other pictures of one hand reach about 0.5 to 0.7 by chance of the best placing, redrawn copies 0.8 and more: see the accuracy notes.
  return { score: 100 * clamp((0.84 - likeness) / (0.84 - 0.42), 0, 1), nearest, registration };
}
