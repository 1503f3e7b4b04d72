/**
 * Knows one picture at several softnesses, in Lab, and the sums that are read of it: what is broadly soft by ever fewer px (a pyramid, Burt and
 * Adelson 1983). Its planes stay in the compiled loops' memory until another close-up is read: they are made again when they are asked for later.
 */
import { Plane, Rect, RgbImage } from '../image';
import { labAt, softenAt, Softening } from './kernels';
import { Arena, keepAnew, keeping, letGo, once } from './memory';

export interface CloseUp {
  width: number;
  height: number;
  image: RgbImage;
  linear: Float32Array;
  /** How the three finest softnesses come from the picture; the third only for ridges. */
  fine: readonly [Softening, Softening, Softening];
  /** How the third and each broader one comes from every second px of the one before, in those px. */
  broad: readonly Softening[];
}

/** How many px lie from one to the next of the planes at softness k. */
export const everyAt = (k: number): number => 1 << Math.max(0, k - 1);

type Planes = readonly [L: number, a: number, b: number];

interface Rest {
  close: CloseUp;
  /** Address of L*, not softened. */
  lightness: number;
  /** The third softness at every px. */
  ridged: number;
  /** Addresses by softness of the planes of L*, a* and b*; the finest of the last two is not softened. */
  soft: Planes[];
  /** The same by as few px as the next softness has. */
  spaced: Planes[];
  rise: number;
  /** What is asked of them; made once, as it is asked for by piece after piece. */
  sums: Sums | null;
}

let resting: Rest | null = null;

/** Lets go of the planes, of what else was kept beside them, and of the memory they are in. */
export function putAway(): void {
  resting = null;
  letGo();
}

function laidOut(close: CloseUp): Rest {
  if (resting?.close === close) return resting;
  resting = null;
  keepAnew();
  const size = (k: number): Size => sizeAt(close, k);
  return (resting = keeping((arena) => {
    const planes = ({ w, h }: Size): Planes => [arena.room(4 * w * h), arena.room(4 * w * h), arena.room(4 * w * h)];
    const soften = (from: number, to: number, by: Softening, { w, h }: Size) =>
      arena.aside((scratch) => softenAt(scratch, from, to, w, h, by));
    const [lightness, rise, ridged] = planes(size(0));
    const soft = Array.from({ length: close.broad.length + 2 }, (_, k) => planes(size(k)));
    const spaced = soft.slice(1).map((_, k) => (k ? planes(size(k + 1)) : soft[0]));
    const [finest, fine] = soft;
    const plain = [lightness, finest[1], finest[2]] as const;
    arena.aside((scratch) => labAt(scratch, close.image, close.linear, plain));
    soften(lightness, finest[0], close.fine[0], size(0));
    plain.forEach((from, c) => soften(from, fine[c], close.fine[1], size(1)));
    soften(lightness, ridged, close.fine[2], size(0));
    close.broad.forEach((by, n) => {
      const k = n + 2;
      const { w, h } = size(k - 1);
      soft[k - 1].forEach((from, c) => {
        arena.run.halved(from, w, h, spaced[k - 1][c]);
        soften(spaced[k - 1][c], soft[k][c], by, size(k));
      });
    });
    arena.run.rise(...fine, rise, close.width, close.height);
    return { close, lightness, ridged, soft, spaced, rise, sums: null };
  }));
}

interface Size {
  w: number;
  h: number;
}

/** Size of the planes at softness k. */
function sizeAt({ width, height }: CloseUp, k: number): Size {
  const every = everyAt(k);
  return { w: Math.ceil(width / every), h: Math.ceil(height / every) };
}

/** Those of every so many px that lie inside a rectangle. */
function spacedIn([x, y, w, h]: Rect, every: number): Rect {
  const [left, top] = [Math.ceil(x / every), Math.ceil(y / every)];
  return [left, top, Math.ceil((x + w) / every) - left, Math.ceil((y + h) / every) - top];
}

/** Where ridges are looked for: the softness, px between what is compared, and how far one keeps others off, px. */
export interface RidgeSize {
  k: 1 | 2;
  step: number;
  margin: number;
}

/** Height over the sides (L*) down to which a ridge is followed, and from which it is clear; and the fewest px of one. */
interface RidgeLimits {
  faint: number;
  clear: number;
  least: number;
}

/** Px numbers along a ridge, and its mean height over what lies beside it, L*: under 0 for a light one. */
export interface Chain {
  points: Int32Array;
  height: number;
}

/** The sums of a close-up's px; `only` marks those that count (all where null) and is not written to afterwards, `rect` lies inside the picture. */
export interface Sums {
  /** Of every px, not softened: distance in Lab from a colour; and how much darker it is than what `light` makes of all L*. */
  apart: (lab: readonly number[]) => Plane;
  darker: (light: (lightness: Float32Array) => number) => Plane;
  /** At softness `k`, over the px it has (those of every second row where it has all): `sizeSums` of assembly/closeUp.ts. */
  size: (k: number, rect: Rect, only: Uint8Array | null) => Float64Array;
  /** Between softness `k` and the next, over the px this has: their number, squares and cubes in L*, squares in a* and b* (0 for the finest). */
  band: (k: number, rect: Rect, only: Uint8Array | null) => Float64Array;
  /** Runs of px that rise by less than `most`: number looked at, lengths squared, all, in runs of 12 and of 40 px. */
  runs: (most: number, rect: Rect, only: Uint8Array | null) => Float64Array;
  /** Steps of at least `least` a px: number of px looked at and of crests, their height, rim, how many outlined, how many even. */
  borders: (reach: number, least: number, rect: Rect, only: Uint8Array | null) => Float64Array;
  /** Number of px, and of those that rise by less than `most`. */
  under: (most: number, only: Uint8Array | null) => Float64Array;
  /** Ridges at softnesses 1 or 2, one size after another, each where those before took nothing. */
  ridges: (sizes: readonly RidgeSize[], limits: RidgeLimits) => Chain[][];
}

/** The sums of one close-up; to be used at once, not kept. */
export function sumsOf(close: CloseUp): Sums {
  const rest = laidOut(close);
  return (rest.sums ??= sumsOver(rest));
}

type Run = Arena['run'];

/** So many doubles that the loops are asked for, over the px that `only` marks. */
const asked = (only: Uint8Array | null, count: number, work: (run: Run, to: number, only: number) => void): Float64Array =>
  once((arena) => {
    const to = arena.room(8 * count);
    work(arena.run, to, only ? arena.place(only) : 0);
    return arena.doubles(to, count).slice();
  });

function sumsOver({ close, lightness, soft, spaced, ridged, rise }: Rest): Sums {
  const { width: w, height: h } = close;
  const made = (work: (arena: Arena, to: number) => void): Plane =>
    keeping((arena) => {
      const to = arena.room(4 * w * h);
      work(arena, to);
      return { width: w, height: h, data: arena.held(arena.floats(to, w * h), to) };
    });
  return {
    apart: (lab) => made(({ run }, to) => run.apart(lightness, soft[0][1], soft[0][2], to, w * h, lab[0], lab[1], lab[2])),
    darker: (light) => {
      const lightest = light(once((arena) => arena.held(arena.floats(lightness, w * h), lightness)));
      return made(({ run }, to) => run.darker(lightness, to, w * h, lightest));
    },
    size: (k, rect, only) =>
      asked(only, 11, (run, to, mask) => {
        const [every, size] = [everyAt(k), sizeAt(close, k)];
        run.sizeSums(...soft[k], size.w, size.h, ...spacedIn(rect, every), every, mask, w, to);
      }),
    band: (k, rect, only) =>
      asked(only, 4, (run, to, mask) => {
        const every = everyAt(k + 1);
        const [[l, a, b], [m, c, d]] = [spaced[k], soft[k + 1]];
        run.bandSums(l, m, a, c, b, d, k > 0, sizeAt(close, k + 1).w, ...spacedIn(rect, every), every, mask, w, to);
      }),
    runs: (most, rect, only) => asked(only, 5, (run, to, mask) => run.runSums(rise, mask, w, ...rect, most, to)),
    borders: (reach, least, rect, only) =>
      asked(only, 6, (run, to, mask) => run.borderSums(soft[1][0], rise, mask, w, h, ...rect, reach, least, to)),
    under: (most, only) => asked(only, 2, (run, to, mask) => run.countUnder(rise, mask, w * h, most, to)),
    ridges: (sizes, { faint, clear, least }) =>
      once((arena) => {
        const [taken, crest, way] = [arena.write(new Uint8Array(w * h)), arena.room(w * h), arena.room(w * h)];
        const [strength, found, points, chains] = [4, 4, 4, 16 / least].map((bytes) => arena.room(Math.ceil(bytes * w * h)));
        return sizes.map(({ k, step, margin }) => {
          const L = k === 1 ? soft[1][0] : ridged;
          const count = arena.run.ridges(L, w, h, step, faint, clear, least, margin, taken, strength, crest, way, found, points, chains);
          const told = arena.doubles(chains, 2 * count);
          const all = arena.wholes(points, count ? told[2 * count - 2] : 0);
          const list: Chain[] = [];
          for (let n = 0; n < count; n++)
            list.push({ points: all.subarray(n ? told[2 * n - 2] : 0, told[2 * n]), height: told[2 * n + 1] });
          return list;
        });
      }),
  };
}
