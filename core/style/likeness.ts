/** Knows how alike two layouts are when one lies over the other: block by block, as a redrawn one would slip. */
import { Plane, Rect } from '../raster/image';
import { sampleBilinear } from '../raster/resample';
import { Layout } from './layout';
import { bandOf, Placing, placer } from './register';

const BLOCKS = 4;
/** How far a block may have slipped in redrawing, in shares of the sheet. */
const SLIP = [-0.03, -0.015, 0, 0.015, 0.03];

/** Correlation of one block of a source with what lies under it, both about 0; and how much stands in it. Null where half falls beside. */
function correlateBlock(a: Plane, b: Plane, [x0, y0, w, h]: Rect, place: ReturnType<typeof placer>): { c: number; weight: number } | null {
  let [n, saa, sbb, sab] = [0, 0, 0, 0];
  for (let y = y0; y < y0 + h; y++)
    for (let x = x0; x < x0 + w; x++) {
      const [u, v] = place(x, y);
      if (u < 0 || v < 0 || u > 1 || v > 1) continue;
      const vb = sampleBilinear(b, u * b.width - 0.5, v * b.height - 0.5);
      const va = a.data[y * a.width + x];
      n++;
      saa += va * va;
      sbb += vb * vb;
      sab += va * vb;
    }
  if (n < 0.5 * w * h) return null;
  return { c: saa > 1e-6 && sbb > 1e-6 ? sab / Math.sqrt(saa * sbb) : 0, weight: Math.sqrt(saa / n) };
}

/**
 * How alike the smaller forms are, 0–1, when a source lies over a piece as registered: normalised correlation block by
 * block, each block let slip a little as a redrawn one would, weighted by how much stands in it.
 */
export function likenessOfForms(source: Layout, piece: Layout, placing: Placing): number {
  const a = bandOf(source, 0.008, 0.035);
  const b = bandOf(piece, 0.008, 0.035);
  const slips = SLIP.flatMap((x) =>
    SLIP.map((y) => placer({ ...placing, shift: [placing.shift[0] + x, placing.shift[1] + y] }, source, piece)),
  );
  let [sum, weights] = [0, 0];
  for (let j = 0; j < BLOCKS; j++)
    for (let i = 0; i < BLOCKS; i++) {
      const [x0, x1] = [i, i + 1].map((k) => Math.floor((k * a.width) / BLOCKS));
      const [y0, y1] = [j, j + 1].map((k) => Math.floor((k * a.height) / BLOCKS));
      const tried = slips.flatMap((slip) => correlateBlock(a, b, [x0, y0, x1 - x0, y1 - y0], slip) ?? []);
      if (!tried.length) continue;
      const best = tried.reduce((p, q) => (q.c > p.c ? q : p));
      sum += best.c * best.weight;
      weights += best.weight;
    }
  return weights > 0 ? Math.max(0, sum / weights) : 0;
}
