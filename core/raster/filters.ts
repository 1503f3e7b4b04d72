/** Knows how to smooth planes: Gaussians by direct kernel or by repeated boxes, with edges repeated. */
import { Plane } from './image';
import { filtered, softening, Softening } from './kernels/kernels';

export { box, dilateMax, erodeMin, separable } from './kernels/kernels';

/** Normalised Gaussian kernel out to three sigmas; sigma in px. */
function gaussianKernel(sigma: number): Float32Array {
  const radius = Math.max(1, Math.ceil(3 * sigma));
  const kernel = new Float32Array(2 * radius + 1);
  let sum = 0;
  for (let i = -radius; i <= radius; i++) sum += kernel[i + radius] = Math.exp((-i * i) / (2 * sigma * sigma));
  for (let i = 0; i < kernel.length; i++) kernel[i] /= sum;
  return kernel;
}

/** How a Gaussian blur of sigma px is made: by its kernel; a wide one by three running boxes (Wells 1986), error under 3 %. */
export function gaussianSoftening(sigma: number): Softening {
  if (sigma < 3.5) return { kernel: gaussianKernel(sigma) };
  const ideal = Math.sqrt((12 * sigma * sigma) / 3 + 1);
  let low = Math.floor(ideal);
  if (low % 2 === 0) low--;
  const count = Math.round((12 * sigma * sigma - 3 * low * low - 12 * low - 9) / (-4 * low - 4));
  const radius = (pass: number) => ((pass < count ? low : low + 2) - 1) / 2;
  return { radii: [radius(0), radius(1), radius(2)] };
}

/** Gaussian blur, sigma in px. */
export function gaussian(source: Plane, sigma: number): Plane {
  return sigma <= 0 ? { ...source, data: source.data.slice() } : filtered(source, softening(gaussianSoftening(sigma)));
}
