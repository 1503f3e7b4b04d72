type Point = readonly [number, number];

/** Area of what lies inside an odd number of these rims, where none crosses another: the sum of their signed areas, holes running the other way. */
export const contourArea = (rims: readonly (readonly Point[])[]): number =>
  Math.abs(
    rims.reduce(
      (all, rim) =>
        all +
        rim.reduce((sum, [x, y], i) => {
          const [u, v] = rim[(i + 1) % rim.length];
          return sum + (x * v - u * y) / 2;
        }, 0),
      0,
    ),
  );
