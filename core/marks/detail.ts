/** Knows how much detail of one size there is, in light and in colour, and whether it is dark on light or light on dark. */

/** Sizes of detail: each lies between one softness of a close-up and the next. */
export const DETAIL_SIZES = [0, 1, 2, 3] as const;

export interface Detail {
  /** Root mean square in L*. */
  light: number;
  /** Root mean square in a* and b*, Lab units; nothing so fine as the finest is told by colour: 0 there. */
  colour: number;
  /** Skewness in L*, its inverse hyperbolic sine: over 0 for dark marks on light, under 0 for light on dark. */
  dark: number;
}

/** From the sums over some px: their number, squares and cubes of what lies between two softnesses in L*, squares of that in colour. */
export function detailOf([n, square, cube, colour]: ArrayLike<number> & Iterable<number>): Detail {
  const count = Math.max(1, n);
  const light = Math.sqrt(square / count);
  return { light, colour: Math.sqrt(colour / count), dark: -Math.asinh(cube / count / Math.max(0.1, light) ** 3) };
}
