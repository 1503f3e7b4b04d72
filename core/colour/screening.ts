/**
 * Knows which mixes of a kit are worth judging for a colour: of one paint and of two all of them, of three those that a search finds which begins at the
 * best of two. Mixes are looked at by bands of the spectrum; judging them is another's.
 */
import { ciede2000From } from './difference';
import { labFromLinear } from './lab';
import { MOST_PARTS, ReadyKit } from './kit';
import { Pigment, seenOf } from './pigment';
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

/** Sets of which three paints are all searched; beyond, only those about the best pairs. */
const ALL_TRIPLES = 300;
const PAIRS_BEGUN = 80;
/** Mixes of each set, and sets, that are handed on to be judged. */
const [PER_SET, PER_THREE, MOST_SETS] = [4, 32, 160];
/** Sets of three that are looked at whole. */
const MOST_WHOLE = 60;

/** Three paints are held at a time, and white beside them. */
const WHITE = 3;
const HELD = 4;

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

  /** The paints that are held, white last: absorption of each and scattering of each, band by band; then what no curve gives. */
  const held = new Float64Array(2 * HELD * bands);
  const [weights, powers] = [new Float64Array(HELD), new Float64Array(HELD)];
  const residues = new Float64Array(3 * HELD);
  const hold = (chosen: readonly number[]): void => {
    held.fill(0);
    weights.fill(0);
    for (let p = 0; p < HELD; p++) {
      const paint = p === WHITE ? white : paints[chosen[p]];
      if (!paint) continue;
      for (let i = 0; i < bands; i++) {
        held[2 * HELD * i + p] = paint.absorbs[i];
        held[2 * HELD * i + HELD + p] = paint.scatters[i];
      }
      weights[p] = paint.weight;
      for (let c = 0; c < 3; c++) residues[HELD * c + p] = paint.weight * paint.residue[c];
      powers[p] = p === WHITE ? 0 : ready.powers[chosen[p]];
    }
  };

  /** Linear light of so many parts of the held paints and of white or water, by bands, into `linear`. */
  const mix = (p: number, q: number, r: number, down: number): void => {
    for (let i = 0, at = 0; i < bands; i++, at += 2 * HELD)
      curve[i] = seenOf(
        p * held[at] + q * held[at + 1] + r * held[at + 2] + down * held[at + 3],
        p * held[at + 4] + q * held[at + 5] + r * held[at + 6] + down * held[at + 7],
      );
    linearFromBands(curve, linear);
    const whole = p * weights[0] + q * weights[1] + r * weights[2] + down * weights[3];
    for (let c = 0, at = 0; c < 3; c++, at += HELD)
      linear[c] += (p * residues[at] + q * residues[at + 1] + r * residues[at + 2] + down * residues[at + 3]) / whole;
    if (white || !down) return;
    const body = p + q + r;
    washedInto(linear, body / (body + down), ready.sheet, (p * powers[0] + q * powers[1] + r * powers[2]) / body);
  };

  const table = tableOf(n, white !== null, hold, (way) => {
    const m = way.length - 1;
    mix(m > 0 ? way[0] : 0, m > 1 ? way[1] : 0, 0, way[m]);
    return labFromLinear(linear[0], linear[1], linear[2]);
  });

  return (asked) => {
    const far = ciede2000From(asked);
    const found: { candidate: Candidate; score: number }[][] = [];
    const pairs: { at: number; score: number; way: number[] }[] = [];
    let i = 0;
    table.sets.forEach((chosen, at) => {
      const ways = table.ways[chosen.length];
      const kept = nearestOf(ways, PER_SET, (most) => {
        const score = far(table.lab[3 * i], table.lab[3 * i + 1], table.lab[3 * i + 2], most);
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
    const score = (parts: number[]): number => {
      mix(parts[0], parts[1], parts[2], parts[3]);
      const [L, a, b] = labFromLinear(linear[0], linear[1], linear[2]);
      return far(L, a, b);
    };
    const reached = [...begun.values()].map(({ chosen, starts }) => {
      hold(chosen);
      const once = rememberedBy(score);
      return { chosen, score: Math.min(...starts.map((s) => descended(s, once))) };
    });
    // A way down can end beside the best: the sets that come nearest are looked at whole.
    for (const { chosen } of reached.sort((p, q) => p.score - q.score).slice(0, MOST_WHOLE)) {
      const ways = table.ways[3];
      let k = 0;
      hold(chosen);
      const kept = nearestOf(ways, PER_THREE, () => score(ways[k++]));
      found.push(kept.map(({ way, score: s }) => ({ candidate: { chosen, parts: way.slice(0, 3), down: way[3] }, score: s })));
    }
    const least = (set: { score: number }[]) => Math.min(...set.map((f) => f.score));
    found.sort((p, q) => least(p) - least(q));
    return found.slice(0, MOST_SETS).flatMap((set) => set.map((f) => f.candidate));
  };
}

function tableOf(n: number, hasWhite: boolean, hold: (set: number[]) => void, labOf: (way: number[]) => readonly number[]): Table {
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
  for (const set of sets) {
    hold(set);
    for (const way of ways[set.length]) {
      lab.set(labOf(way), 3 * i);
      i++;
    }
  }
  return { sets, ways, lab };
}

/** The nearest few of the ways, nearest first; `score` is asked once a way, in order, and told what it has to better to be of use. */
function nearestOf(ways: readonly number[][], most: number, score: (most: number) => number): { way: number[]; score: number }[] {
  const kept: { way: number[]; score: number }[] = [];
  for (const way of ways) {
    const s = score(kept.length === most ? kept[most - 1].score : Infinity);
    if (kept.length === most && s >= kept[most - 1].score) continue;
    let at = kept.length;
    while (at > 0 && kept[at - 1].score > s) at--;
    kept.splice(at, 0, { way, score: s });
    if (kept.length > most) kept.pop();
  }
  return kept;
}

const SEEN = new Float64Array((MOST_PARTS + 1) ** 4);
const SEEN_BY = new Int32Array(SEEN.length);
let asking = 0;

/** The same score, reckoned once for the same parts of three paints and what lets them down, until another is remembered. */
function rememberedBy(score: (parts: number[]) => number): (parts: number[]) => number {
  const now = (asking = (asking + 1) | 0);
  return (parts) => {
    let at = 0;
    for (let i = 0; i < 4; i++) at = at * (MOST_PARTS + 1) + parts[i];
    if (SEEN_BY[at] === now) return SEEN[at];
    SEEN_BY[at] = now;
    return (SEEN[at] = score(parts));
  };
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
