/** Knows which set pixels hang together (eight neighbours), and the size, box and centre of each group. */
import { Mask } from './image';

export interface Component {
  label: number;
  area: number;
  box: [left: number, top: number, right: number, bottom: number];
  centre: [number, number];
  /** Second moments about the centre: xx, xy, yy in px². */
  moments: [number, number, number];
  touchesEdge: boolean;
}

/** Labels (0 for unset, 1 … n) and the components, in scan order. */
export function components(source: Mask): { labels: Int32Array; list: Component[] } {
  const { width: w, height: h, data } = source;
  const labels = new Int32Array(w * h);
  const stack = new Int32Array(w * h);
  let top = 0;
  const list: Component[] = [];
  for (let start = 0; start < data.length; start++) {
    if (!data[start] || labels[start]) continue;
    const label = list.length + 1;
    let area = 0;
    let sx = 0;
    let sy = 0;
    let sxx = 0;
    let sxy = 0;
    let syy = 0;
    let left = w;
    let right = 0;
    let upper = h;
    let bottom = 0;
    labels[start] = label;
    stack[top++] = start;
    while (top > 0) {
      const i = stack[--top];
      const x = i % w;
      const y = (i - x) / w;
      area++;
      sx += x;
      sy += y;
      sxx += x * x;
      sxy += x * y;
      syy += y * y;
      if (x < left) left = x;
      if (x > right) right = x;
      if (y < upper) upper = y;
      if (y > bottom) bottom = y;
      for (let dy = y > 0 ? -1 : 0; dy <= (y < h - 1 ? 1 : 0); dy++)
        for (let dx = x > 0 ? -1 : 0; dx <= (x < w - 1 ? 1 : 0); dx++) {
          const j = i + dy * w + dx;
          if (data[j] && !labels[j]) {
            labels[j] = label;
            stack[top++] = j;
          }
        }
    }
    const cx = sx / area;
    const cy = sy / area;
    list.push({
      label,
      area,
      box: [left, upper, right, bottom],
      centre: [cx, cy],
      moments: [sxx / area - cx * cx, sxy / area - cx * cy, syy / area - cy * cy],
      touchesEdge: left === 0 || upper === 0 || right === w - 1 || bottom === h - 1,
    });
  }
  return { labels, list };
}
