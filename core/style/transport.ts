/** Knows how far one palette is from another: the least work that turns its shares into the other's (Rubner, Tomasi and Guibas 2000). */
import { ciede2000 } from '../colour/difference';

export interface Weighted {
  lab: readonly number[];
  share: number;
}

/**
 * Transport distance in ΔE00 between two palettes whose shares are brought to sum 1; 0 for equal palettes.
 * Exact, by successive shortest augmenting paths over the small bipartite graph.
 */
export function paletteDistance(a: readonly Weighted[], b: readonly Weighted[]): number {
  const norm = (p: readonly Weighted[]) => {
    const total = p.reduce((s, e) => s + e.share, 0);
    return p.filter((e) => e.share > 0).map((e) => ({ lab: e.lab, share: e.share / total }));
  };
  const [from, to] = [norm(a), norm(b)];
  const [n, m] = [from.length, to.length];
  if (!n || !m) return 0;
  const cost = from.map((p) => to.map((q) => ciede2000(p.lab, q.lab)));
  const flow = from.map(() => new Array<number>(m).fill(0));
  const left = from.map((p) => p.share);
  const need = to.map((q) => q.share);
  for (let guard = 0; guard < 400 && left.some((v) => v > 1e-9); guard++) {
    // Bellman and Ford over nodes: sources 0…n−1, sinks n…n+m−1.
    const dist = new Array<number>(n + m).fill(Infinity);
    const back = new Array<number>(n + m).fill(-1);
    left.forEach((v, i) => v > 1e-9 && (dist[i] = 0));
    for (let round = 0; round < n + m; round++) {
      let changed = false;
      for (let i = 0; i < n; i++)
        for (let j = 0; j < m; j++) {
          if (dist[i] + cost[i][j] < dist[n + j] - 1e-12) {
            dist[n + j] = dist[i] + cost[i][j];
            back[n + j] = i;
            changed = true;
          }
          if (flow[i][j] > 1e-12 && dist[n + j] - cost[i][j] < dist[i] - 1e-12) {
            dist[i] = dist[n + j] - cost[i][j];
            back[i] = n + j;
            changed = true;
          }
        }
      if (!changed) break;
    }
    let end = -1;
    for (let j = 0; j < m; j++) if (need[j] > 1e-9 && dist[n + j] < Infinity && (end < 0 || dist[n + j] < dist[n + end])) end = j;
    if (end < 0) break;
    const path: number[] = [n + end];
    while (back[path[0]] >= 0) path.unshift(back[path[0]]);
    let amount = Math.min(left[path[0]], need[end]);
    for (let k = 1; k < path.length; k++) if (path[k - 1] >= n) amount = Math.min(amount, flow[path[k]][path[k - 1] - n]);
    for (let k = 1; k < path.length; k++) {
      if (path[k] >= n) flow[path[k - 1]][path[k] - n] += amount;
      else flow[path[k]][path[k - 1] - n] -= amount;
    }
    left[path[0]] -= amount;
    need[end] -= amount;
  }
  return flow.reduce((s, row, i) => s + row.reduce((t, f, j) => t + f * cost[i][j], 0), 0);
}
