/** Knows how to bring marks down to centre lines one pixel wide (Zhang and Suen 1984). */
import { Mask } from './image';

/** The skeleton of a mask; two-pass parallel thinning over the set pixels only. */
export function thin(source: Mask): Mask {
  const { width: w, height: h } = source;
  const data = source.data.slice();
  const alive = new Int32Array(w * h);
  let count = 0;
  for (let y = 1; y < h - 1; y++)
    for (let i = y * w + 1, end = y * w + w - 1; i < end; i++) if (data[i]) alive[count++] = i;
  // A frame of unset pixels spares every bounds check below.
  for (let x = 0; x < w; x++) data[x] = data[(h - 1) * w + x] = 0;
  for (let y = 0; y < h; y++) data[y * w] = data[y * w + w - 1] = 0;
  let changed = true;
  const drop = new Int32Array(count);
  while (changed) {
    changed = false;
    for (let pass = 0; pass < 2; pass++) {
      let dropped = 0;
      for (let k = 0; k < count; k++) {
        const i = alive[k];
        const p2 = data[i - w];
        const p3 = data[i - w + 1];
        const p4 = data[i + 1];
        const p5 = data[i + w + 1];
        const p6 = data[i + w];
        const p7 = data[i + w - 1];
        const p8 = data[i - 1];
        const p9 = data[i - w - 1];
        const b = p2 + p3 + p4 + p5 + p6 + p7 + p8 + p9;
        if (b < 2 || b > 6) continue;
        const a =
          (p2 < p3 ? 1 : 0) +
          (p3 < p4 ? 1 : 0) +
          (p4 < p5 ? 1 : 0) +
          (p5 < p6 ? 1 : 0) +
          (p6 < p7 ? 1 : 0) +
          (p7 < p8 ? 1 : 0) +
          (p8 < p9 ? 1 : 0) +
          (p9 < p2 ? 1 : 0);
        if (a !== 1) continue;
        if (pass === 0 ? p2 * p4 * p6 || p4 * p6 * p8 : p2 * p4 * p8 || p2 * p6 * p8) continue;
        drop[dropped++] = i;
      }
      if (!dropped) continue;
      changed = true;
      for (let k = 0; k < dropped; k++) data[drop[k]] = 0;
      let kept = 0;
      for (let k = 0; k < count; k++) if (data[alive[k]]) alive[kept++] = alive[k];
      count = kept;
    }
  }
  return { width: w, height: h, data };
}
