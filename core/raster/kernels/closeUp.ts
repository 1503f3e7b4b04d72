/**
 * Knows one picture at several softnesses, in Lab, and the sums that are read of it. Its planes stay in the compiled loops' memory until
 * another close-up is read: they are made again when they are asked for later.
 */
import { Plane, Rect, RgbImage } from '../image';
import { labAt, softenAt, Softening } from './kernels';
import { Arena, Instance, ownInstance } from './memory';

export interface CloseUp {
  width: number;
  height: number;
  image: RgbImage;
  linear: Float32Array;
  softness: readonly Softening[];
}

interface Rest {
  close: CloseUp;
  instance: Instance;
  /** Address of L*, not softened. */
  lightness: number;
  /** Addresses of the planes by softness; the finest of a and b is not softened. */
  L: number[];
  a: number[];
  b: number[];
  rise: number;
  /** Room for a mask, and the one that lies there: many sums in turn ask for the same. */
  mask: number;
  masked: Uint8Array | null;
  free: number;
}

/** Which softness the rise of the colour is read at. */
const RISE_AT = 1;

let resting: Rest | null = null;

/** Lets go of the planes, and of the memory they are in. */
export function putAway(): void {
  resting = null;
}

function laidOut(close: CloseUp): Rest {
  if (resting?.close === close) return resting;
  const own = resting?.close.image.data.length === close.image.data.length ? resting.instance : ownInstance();
  resting = null;
  const { width: w, height: h } = close;
  const arena = new Arena(own);
  const plane = () => arena.room(4 * w * h);
  const [L, a, b] = [close.softness.map(plane), close.softness.map(plane), close.softness.map(plane)];
  const [rise, lightness, mask] = [plane(), plane(), arena.room(w * h)];
  const { free } = arena;
  labAt(arena, close.image, close.linear, [lightness, a[0], b[0]]);
  close.softness.forEach((by, k) => {
    for (const [from, to] of [
      [lightness, L[k]],
      ...(k
        ? [
            [a[0], a[k]],
            [b[0], b[k]],
          ]
        : []),
    ])
      softenAt(new Arena(own, free), from, to, w, h, by);
  });
  own.run.rise(L[RISE_AT], a[RISE_AT], b[RISE_AT], rise, w, h);
  return (resting = { close, instance: own, lightness, L, a, b, rise, mask, masked: null, free });
}

/** The sums of a close-up's px; `only` marks those that count (all where null) and is not written to afterwards, `rect` lies inside the picture. */
export interface Sums {
  /** L* of every px, and distance in Lab of every px from a colour; none of them softened. */
  lightness: () => Plane;
  apart: (lab: readonly number[]) => Plane;
  /** Over every `stride`th px, with differences over `step` px to each side, at softness `k`: `sizeSums` of assembly/closeUp.ts. */
  size: (k: number, step: number, stride: number, rect: Rect, only: Uint8Array | null) => Float64Array;
  /** Between softness `k` and the next: number of px, squares and cubes in L*, squares in a* and b* (0 for the finest). */
  band: (k: number, rect: Rect, only: Uint8Array | null) => Float64Array;
  /** Runs of px that rise by less than `most`: number looked at, lengths squared, all, in runs of 12 and of 40 px. */
  runs: (most: number, rect: Rect, only: Uint8Array | null) => Float64Array;
  /** Steps of at least `least` a px: number of px looked at and of crests, their height, rim, how many outlined, how many even. */
  borders: (reach: number, least: number, rect: Rect, only: Uint8Array | null) => Float64Array;
  /** Number of px, and of those that rise by less than `most`. */
  under: (most: number, only: Uint8Array | null) => Float64Array;
  /** Crests of ridges at softness `k` (their height over the sides, under 0 for light ones) where `taken` is not set. */
  crests: (k: number, step: number, faint: number, taken: Uint8Array) => { strength: Float32Array; crest: Uint8Array };
}

/** The sums of one close-up; to be used at once, not kept. */
export function sumsOf(close: CloseUp): Sums {
  const rest = laidOut(close);
  const { width: w, height: h } = close;
  const { run } = rest.instance;
  const asked = (only: Uint8Array | null, count: number, work: (to: number, only: number) => void): Float64Array => {
    const arena = new Arena(rest.instance, rest.free);
    const to = arena.room(8 * count);
    if (only && rest.masked !== only) {
      arena.put(rest.mask, only);
      rest.masked = only;
    }
    work(to, only ? rest.mask : 0);
    return arena.doubles(to, count).slice();
  };
  const { lightness, L, a, b, rise } = rest;
  const taken = (at: number): Plane => ({ width: w, height: h, data: new Arena(rest.instance).floats(at, w * h) });
  return {
    lightness: () => taken(lightness),
    apart: (lab) => {
      const to = new Arena(rest.instance, rest.free).room(4 * w * h);
      run.apart(lightness, a[0], b[0], to, w * h, lab[0], lab[1], lab[2]);
      return taken(to);
    },
    size: (k, step, stride, rect, only) =>
      asked(only, 11, (to, mask) => run.sizeSums(L[k], a[k], b[k], w, h, ...rect, step, stride, mask, to)),
    band: (k, rect, only) =>
      asked(only, 4, (to, mask) => run.bandSums(L[k], L[k + 1], a[k], a[k + 1], b[k], b[k + 1], k > 0, w, ...rect, mask, to)),
    runs: (most, rect, only) => asked(only, 5, (to, mask) => run.runSums(rise, mask, w, ...rect, most, to)),
    borders: (reach, least, rect, only) => asked(only, 6, (to, mask) => run.borderSums(L[1], rise, mask, w, h, ...rect, reach, least, to)),
    under: (most, only) => asked(only, 2, (to, mask) => run.countUnder(rise, mask, w * h, most, to)),
    crests: (k, step, faint, taken) => {
      const arena = new Arena(rest.instance, rest.free);
      const [set, strength, crest, way] = [arena.write(taken), arena.room(4 * w * h), arena.room(w * h), arena.room(w * h)];
      run.crests(L[k], w, h, step, faint, set, strength, crest, way);
      return { strength: arena.floats(strength, w * h), crest: arena.bytes(crest, w * h) };
    },
  };
}
