/** Knows the places of one picture beside each other: what it is mostly made of is likelier in each of them. */
import { Belief, beliefOf, decideKind, MARK_KINDS } from './kinds';
import { KIND_MODEL } from './kindModel';
import type { TileReading } from './tiles';
import type { MarksWhere } from './where';

/** So many places that say nothing are counted with a picture's own, so that few places change little. */
const PLACES_OF_NO_PICTURE = 50;
const ROUNDS = 20;
/** The power to which a picture's shares count in each of its places: places side by side err alike, and are fewer witnesses than they seem. */
const WITNESS = 0.7;

/**
 * What shares the kinds have over one picture, from their chances in its places: the maximum a posteriori estimate of the classes' prior
 * chances after Saerens, Latinne and Decaestecker (2002), begun with all kinds alike and held to that by a Dirichlet prior.
 */
export function usualKinds(places: readonly Belief[]): Belief {
  const count = MARK_KINDS.length;
  // One row a place: a window's worth of places is added at a time while a picture is looked at.
  const chances = Float64Array.from(places.flatMap((place) => MARK_KINDS.map((k) => place[k])));
  let usual = new Float64Array(count).fill(1 / count);
  for (let round = 0; round < ROUNDS; round++) {
    const sums = new Float64Array(count).fill(PLACES_OF_NO_PICTURE / count);
    for (let row = 0; row < chances.length; row += count) {
      let total = 0;
      for (let k = 0; k < count; k++) total += chances[row + k] * usual[k];
      for (let k = 0; k < count; k++) sums[k] += (chances[row + k] * usual[k]) / total;
    }
    usual = sums.map((v) => v / (places.length + PLACES_OF_NO_PICTURE));
  }
  return beliefOf(usual);
}

/** A place's chances where it is known what shares the kinds have in its picture. */
export function among(place: Belief, usual: Belief): Belief {
  const weighed = new Float64Array(MARK_KINDS.length);
  let total = 0;
  for (let i = 0; i < weighed.length; i++) total += weighed[i] = place[MARK_KINDS[i]] * usual[MARK_KINDS[i]] ** WITNESS;
  for (let i = 0; i < weighed.length; i++) weighed[i] /= total;
  return beliefOf(weighed);
}

/** Tiles of one picture, each judged among all that are worked: what a picture is mostly made of is likelier in each place of it. */
export function amongThemselves<T extends Pick<TileReading, 'belief' | 'area'>>(tiles: readonly T[]): T[] {
  const usual = usualKinds(tiles.filter((t) => t.area).map((t) => t.belief));
  return tiles.map((t) => (t.area ? { ...t, ...decideKind(among(t.belief, usual), KIND_MODEL.reliabilityAmong) } : t));
}

/** Windows of one picture with their tiles judged among all of them, as in the picture's own reading; more may follow. */
export function together(windows: readonly MarksWhere[]): MarksWhere[] {
  const judged = amongThemselves(windows.flatMap((w) => w.tiles));
  let at = 0;
  return windows.map((w) => ({ ...w, tiles: judged.slice(at, (at += w.tiles.length)) }));
}
