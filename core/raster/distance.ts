/** Knows how far every pixel lies from the nearest one outside a mask (Felzenszwalb and Huttenlocher 2012, exact). */
export { distance as distanceInside } from './kernels/kernels';
