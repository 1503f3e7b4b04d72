/** Knows which parts of a picture are most and least finished: how much is done in each ninth of it. */

export interface FinishMap {
  /** Mean detail of the nine fields, row by row from the top left; null where nothing was read. */
  fields: (number | null)[];
  /** The fields with most and least done, 0 to 8; null where they hardly differ. */
  most: number | null;
  least: number | null;
}

/** Fields whose detail differs by less than this are as finished as each other. */
const ALIKE = 0.06;

/** Finish by region from places (0–1 of the picture) and how much is done there. */
export function finishByRegion(places: readonly { x: number; y: number; detail: number }[]): FinishMap {
  const sums = Array.from({ length: 9 }, () => ({ sum: 0, n: 0 }));
  for (const { x, y, detail } of places) {
    const field = sums[Math.min(2, Math.floor(3 * y)) * 3 + Math.min(2, Math.floor(3 * x))];
    field.sum += detail;
    field.n++;
  }
  const fields = sums.map(({ sum, n }) => (n ? sum / n : null));
  const read = fields.flatMap((v, i) => (v === null ? [] : [{ v, i }])).sort((a, b) => b.v - a.v);
  if (read.length < 2 || read[0].v - read[read.length - 1].v < ALIKE) return { fields, most: null, least: null };
  return { fields, most: read[0].i, least: read[read.length - 1].i };
}
