/** Knows the surface a picture is worked on: texture energy by band in what lies beside the strokes. */
import { Beside } from '../raster/kernels/kernels';

/** Softness (px, mark size) between which each band lies. */
export const BAND_EDGES = [0.6, 1.2, 2.5, 4] as const;
export const SURFACE_BANDS = ['grain', 'tooth', 'speckle'] as const;
export type SurfaceBand = (typeof SURFACE_BANDS)[number];

/** Sums over a window from which a mean over many windows is made: Lab units squared, noise taken off, and pixels. */
export interface SurfaceEnergy {
  energy: Record<SurfaceBand, number>;
  pixels: number;
}

/** Variance that white noise of standard deviation 1 has between two Gaussian softnesses. */
function noiseBetween(fine: number, coarse: number): number {
  return 1 / (4 * Math.PI * fine ** 2) + 1 / (4 * Math.PI * coarse ** 2) - 1 / (Math.PI * (fine ** 2 + coarse ** 2));
}

/** Pixels this far from every stroke lie beside them. */
export const ASIDE = 4;

/** Energy by band where no stroke is, between the four softnesses; `noise` is the standard deviation of pixel noise, whose share is taken off. */
export function surfaceEnergy({ squares, pixels }: Beside, noise: number): SurfaceEnergy {
  const energy: Record<SurfaceBand, number> = { grain: squares[0], tooth: squares[1], speckle: squares[2] };
  SURFACE_BANDS.forEach((band, k) => {
    energy[band] = Math.max(0, energy[band] - pixels * noise ** 2 * noiseBetween(BAND_EDGES[k], BAND_EDGES[k + 1]));
  });
  return { energy, pixels };
}

/** Root mean square of each band over windows, Lab units; null where fewer than `least` pixels lie beside strokes. */
export function surfaceOf(windows: readonly SurfaceEnergy[], least = 2000): Record<SurfaceBand, number> | null {
  const pixels = windows.reduce((s, w) => s + w.pixels, 0);
  if (pixels < least) return null;
  const root = (band: SurfaceBand) => Math.sqrt(windows.reduce((s, w) => s + w.energy[band], 0) / pixels);
  return { grain: root('grain'), tooth: root('tooth'), speckle: root('speckle') };
}
