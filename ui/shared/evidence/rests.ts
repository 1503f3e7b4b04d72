/** What readings rest on, as the charts and words beside them are told it. */
import type { PaletteEntry } from '@/core/colour/palette';
import type { ValueStep } from '@/core/colour/values';
import type { MarkDistributions } from '@/core/marks/distributions';
import type { Reading } from '@/core/marks/reading';
import type { FeatureSet } from '@/core/style/features';
import type { Known } from '@/core/style/surer';

type Sized = 'spacing' | 'lineWidth' | 'strokeLength';

/** What readings of one picture, or of a patch of it, were put together from. */
export interface Rests {
  /** The flat features with their spreads; none of a patch. */
  features: FeatureSet | null;
  marks: MarkDistributions | null;
  /** Sizes told, px of the picture, to be marked in their charts. */
  sizes: Record<Sized, number | null>;
  lightness: readonly number[] | null;
  steps: readonly ValueStep[];
  palette: readonly PaletteEntry[];
  known: Omit<Known, 'counted'>;
  mmPerPixel: number | null;
}

/** The sizes that a reading tells, px of the picture. */
export const sizesIn = ({ spacing, lineWidth, strokeLength }: Pick<Reading, Sized>): Rests['sizes'] => ({
  spacing: spacing?.px ?? null,
  lineWidth: lineWidth?.px ?? null,
  strokeLength: strokeLength?.px ?? null,
});
