/**
 * Knows which mixes of a kit are worth judging for a colour: of one paint and of two all of them, of three those that a search finds which begins at the
 * best of two. Mixes are looked at by bands of the spectrum and by a plain measure near the asked colour; judging them is another's.
 */
import { ciede2000 } from './difference';
import { labFromLinear } from './lab';
import { MOST_PARTS, ReadyKit } from './kit';
import { Pigment, reflectanceOf, seenReflectance } from './pigment';
import { byBand, linearFromBands } from './reflectance';
import { washedInto } from './wash';

/** Parts of some of the kit's paints, and of white or water. */
export interface Candidate {
  chosen: number[];
  parts: number[];
  down: number;
}

interface Banded {
  absorbs: Float64Array;
  scatters: Float64Array;
  residue: readonly number[];
  weight: number;
}

const banded = ({ absorbs, scatters, residue, weight }: Pigment): Banded => ({
  absorbs: byBand(absorbs),
  scatters: byBand(scatters),
  residue,
  weight,
});

const gcd = (a: number, b: number): number => (b ? gcd(b, a % b) : a);

/** All ways to share at most `MOST_PARTS` whole parts among so many paints, one or more each, and white or water, none or more; none twice as strong. */
function wholeParts(count: number): number[][] {
  const out: number[][] = [];
  const visit = (parts: number[], left: number): void => {
    if (parts.length === count) {
      for (let down = 0; down <= left; down++) {
        const all = [...parts, down];
        if (all.reduce(gcd) === 1) out.push(all);
      }
      return;
    }
    for (let n = 1; n <= left - (count - 1 - parts.length); n++) visit([...parts, n], left - n);
  };
  visit([], MOST_PARTS);
  return out;
}

/** How far L*, a*, b* are from the asked colour, in any measure that grows with it. */
type Measure = (L: number, a: number, b: number) => number;

/**
 * How far a colour is from the asked one, squared: differences of lightness, chroma and hue weighed as CIE94 and, for lightness, CIEDE2000 weigh
 * them round the asked colour.
 */
function measureRound([L, a, b]: readonly number[]): Measure {
  const C = Math.hypot(a, b);
  const dl = (L - 50) ** 2;
  const [sl, sc, sh] = [1 + (0.015 * dl) / Math.sqrt(20 + dl), 1 + 0.045 * C, 1 + 0.015 * C];
  return (l, u, v) => {
    const dC = Math.hypot(u, v) - C;
    const dH2 = Math.max(0, (u - a) ** 2 + (v - b) ** 2 - dC * dC);
    return ((l - L) / sl) ** 2 + (dC / sc) ** 2 + dH2 / (sh * sh);
  };
}

/** Sets of which three paints are all searched; beyond, only those about the best pairs. */
const ALL_TRIPLES = 300;
const PAIRS_BEGUN = 80;
/** Mixes of each set, and sets, that are handed on to be judged. */
const [PER_SET, PER_THREE, MOST_SETS] = [4, 16, 160];
/** Where nothing comes nearer than this the plain measure, which holds near the asked colour, no longer tells which miss is the least. */
const OUT_OF_REACH = 16;
/** Sets of three that are looked at whole. */
const MOST_WHOLE = 60;

/** Mixes of one or two paints, reckoned once: what they are, and their Lab. */
interface Table {
  sets: number[][];
  ways: number[][][];
  /** Three a mix, in the order of the sets and their ways. */
  lab: Float32Array;
}

export function screenOf(ready: ReadyKit): (asked: readonly number[]) => Candidate[] {
  const paints = ready.pigments.map(banded);
  const white = ready.white && banded(ready.white);
  const n = paints.length;
  const bands = white?.absorbs.length ?? paints[0]?.absorbs.length ?? 0;
  const curve = new Float64Array(bands);
  const linear = new Float64Array(3);

  /** Linear light of a mix, by bands, into `linear`. */
  const mix = (chosen: readonly number[], parts: ArrayLike<number>, down: number): void => {
    const m = chosen.length;
    const k = white ? down : 0;
    for (let i = 0; i < bands; i++) {
      let a = k && k * white!.absorbs[i];
      let s = k && k * white!.scatters[i];
      for (let p = 0; p < m; p++) {
        const paint = paints[chosen[p]];
        a += parts[p] * paint.absorbs[i];
        s += parts[p] * paint.scatters[i];
      }
      curve[i] = seenReflectance(reflectanceOf(a / s));
    }
    linearFromBands(curve, linear);
    let whole = k && k * white!.weight;
    for (let p = 0; p < m; p++) whole += parts[p] * paints[chosen[p]].weight;
    for (let c = 0; c < 3; c++) {
      let left = k && k * white!.weight * white!.residue[c];
      for (let p = 0; p < m; p++) left += parts[p] * paints[chosen[p]].weight * paints[chosen[p]].residue[c];
      linear[c] += left / whole;
    }
    if (white || !down) return;
    let [body, power] = [0, 0];
    for (let p = 0; p < m; p++) {
      body += parts[p];
      power += parts[p] * ready.powers[chosen[p]];
    }
    washedInto(linear, body / (body + down), ready.sheet, power / body);
  };

  const table = tableOf(n, white !== null, (chosen, way) => {
    mix(chosen, way, way[chosen.length]);
    return labFromLinear(linear[0], linear[1], linear[2]);
  });

  const search = (far: Measure): { candidates: Candidate[]; score: number } => {
    const found: { candidate: Candidate; score: number }[][] = [];
    const pairs: { at: number; score: number; way: number[] }[] = [];
    let i = 0;
    table.sets.forEach((chosen, at) => {
      const ways = table.ways[chosen.length];
      const kept = nearestOf(ways, PER_SET, () => {
        const score = far(table.lab[3 * i], table.lab[3 * i + 1], table.lab[3 * i + 2]);
        i++;
        return score;
      });
      if (!kept.length) return;
      found.push(kept.map(({ way, score }) => ({ candidate: { chosen, parts: way.slice(0, -1), down: way[way.length - 1] }, score })));
      if (chosen.length === 2) pairs.push({ at, score: kept[0].score, way: kept[0].way });
    });
    pairs.sort((p, q) => p.score - q.score);
    // Three paints: from each of their pairs, best first, with one part of the third.
    const begun = new Map<string, { chosen: number[]; starts: number[][] }>();
    const few = (n * (n - 1) * (n - 2)) / 6 <= ALL_TRIPLES ? pairs.length : PAIRS_BEGUN;
    for (const { at, way } of pairs.slice(0, few))
      for (let third = 0; third < n; third++) {
        const pair = table.sets[at];
        if (pair.includes(third)) continue;
        const chosen = [...pair, third].sort((a, b) => a - b);
        const of = (paint: number) => (paint === third ? 1 : way[pair.indexOf(paint)]);
        const start = [...chosen.map(of), way[2]];
        while (start.reduce((a, b) => a + b, 0) > MOST_PARTS) start[start.indexOf(Math.max(...start))]--;
        const key = chosen.join();
        const there = begun.get(key) ?? { chosen, starts: [] };
        if (there.starts.length < 2) there.starts.push(start);
        begun.set(key, there);
      }
    const score = (chosen: readonly number[], parts: number[]): number => {
      mix(chosen, parts, parts[3]);
      const [L, a, b] = labFromLinear(linear[0], linear[1], linear[2]);
      return far(L, a, b);
    };
    const reached = [...begun.values()].map(({ chosen, starts }) => ({
      chosen,
      score: Math.min(...starts.map((s) => descended(s, (parts) => score(chosen, parts)))),
    }));
    // A way down can end beside the best: the sets that come nearest are looked at whole.
    for (const { chosen } of reached.sort((p, q) => p.score - q.score).slice(0, MOST_WHOLE)) {
      const ways = table.ways[3];
      let k = 0;
      const kept = nearestOf(ways, PER_THREE, () => score(chosen, ways[k++]));
      found.push(kept.map(({ way, score: s }) => ({ candidate: { chosen, parts: way.slice(0, 3), down: way[3] }, score: s })));
    }
    const least = (set: { score: number }[]) => Math.min(...set.map((f) => f.score));
    found.sort((p, q) => least(p) - least(q));
    return {
      candidates: found.slice(0, MOST_SETS).flatMap((set) => set.map((f) => f.candidate)),
      score: found.length ? least(found[0]) : 0,
    };
  };
  return (asked) => {
    const near = search(measureRound(asked));
    return near.score < OUT_OF_REACH ? near.candidates : search((L, a, b) => ciede2000(asked, [L, a, b])).candidates;
  };
}

function tableOf(n: number, hasWhite: boolean, labOf: (chosen: number[], way: number[]) => readonly number[]): Table {
  const sets: number[][] = hasWhite ? [[]] : [];
  for (let a = 0; a < n; a++) {
    sets.push([a]);
    for (let b = a + 1; b < n; b++) sets.push([a, b]);
  }
  // White alone is a colour; water alone is none.
  const ways = [[[1]], wholeParts(1), wholeParts(2), wholeParts(3)];
  const count = sets.reduce((s, set) => s + ways[set.length].length, 0);
  const lab = new Float32Array(3 * count);
  let i = 0;
  for (const set of sets)
    for (const way of ways[set.length]) {
      lab.set(labOf(set, way), 3 * i);
      i++;
    }
  return { sets, ways, lab };
}

/** The nearest few of the ways, nearest first; `score` is asked once a way, in order. */
function nearestOf(ways: readonly number[][], most: number, score: () => number): { way: number[]; score: number }[] {
  const kept: { way: number[]; score: number }[] = [];
  for (const way of ways) {
    const s = score();
    if (kept.length === most && s >= kept[most - 1].score) continue;
    let at = kept.length;
    while (at > 0 && kept[at - 1].score > s) at--;
    kept.splice(at, 0, { way, score: s });
    if (kept.length > most) kept.pop();
  }
  return kept;
}

/** From a start the steepest way down by one part more, one less, or one for another, three paints keeping a part each at least: the score at its end. */
function descended(start: number[], score: (parts: number[]) => number): number {
  const parts = start.slice();
  let best = score(parts);
  for (;;) {
    let [by, more, less] = [best, -1, -1];
    const total = parts[0] + parts[1] + parts[2] + parts[3];
    for (let up = -1; up < 4; up++)
      for (let down = -1; down < 4; down++) {
        if (up === down) continue;
        if (down >= 0 && parts[down] <= (down < 3 ? 1 : 0)) continue;
        if (up >= 0 && down < 0 && total >= MOST_PARTS) continue;
        if (up >= 0) parts[up]++;
        if (down >= 0) parts[down]--;
        const s = score(parts);
        if (s < by - 1e-9) [by, more, less] = [s, up, down];
        if (up >= 0) parts[up]--;
        if (down >= 0) parts[down]++;
      }
    if (more < 0 && less < 0) return best;
    if (more >= 0) parts[more]++;
    if (less >= 0) parts[less]--;
    best = by;
  }
}
