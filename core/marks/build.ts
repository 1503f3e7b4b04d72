/**
 * Knows how a piece of a picture is built up, whatever it is made with: how much ridge, step and dot there is at each size, in light and in colour;
 * which way it runs at each size; how long it stays one colour; and whether what lies between is rimmed, outlined or even.
 */
import { Rect } from '../raster/image';
import { everyAt, Sums, sumsOf } from '../raster/kernels/closeUp';
import { CloseUp, SOFTNESS } from './closeUp';
import { Detail, DETAIL_SIZES, detailOf } from './detail';
import { readRidges, Ridge, RidgeReading, ridgesOf } from './ridges';

/** Softnesses (numbers of `SOFTNESS`) at which ridges, steps and directions are read. */
const SIZES = [1, 2, 3] as const;

/** Everything that is read of any rectangle of a window, made once a window. */
export interface Build {
  width: number;
  height: number;
  close: CloseUp;
  ridges: Ridge[];
  /** Where no bare sheet is near; null where no sheet is known. */
  covered: Uint8Array | null;
}

/** `covered` marks the px that lie well inside of what is painted over; null where no sheet is known. */
export function buildOf(close: CloseUp, covered: Uint8Array | null): Build {
  return { width: close.width, height: close.height, close, ridges: ridgesOf(close), covered };
}

interface SizeReading {
  /** Root mean square rise of the colour, Lab units per softness. */
  energy: number;
  /** Resultant of the directions over the whole piece, and inside neighbourhoods: alike where all runs one way, apart where it turns or crosses. */
  coherence: number;
  local: number;
  /** Shares of the curvature of L* that are dark ridges, light ridges, dark dots, light dots; the rest is saddles. */
  darkRidge: number;
  lightRidge: number;
  darkDot: number;
  lightDot: number;
  /** Curvature over rise: high for lines and dots, low for steps and slopes. */
  bend: number;
}

function sizeReading(sums: Sums, n: number, rect: Rect, only: Uint8Array | null): SizeReading {
  const k = SIZES[n];
  // Directions by the colour's tensor (Di Zenzo 1986).
  const [count, energy, slope, darkRidge, lightRidge, darkDot, lightDot, saddle, c, s, along] = sums.size(k, rect, only);
  const all = darkRidge + lightRidge + darkDot + lightDot + saddle + 1e-9;
  return {
    energy: (SOFTNESS[k] * Math.sqrt(energy / Math.max(1, count))) / (2 * everyAt(k)),
    coherence: energy > 0 ? Math.hypot(c, s) / energy : 0,
    local: energy > 0 ? along / energy : 0,
    darkRidge: darkRidge / all,
    lightRidge: lightRidge / all,
    darkDot: darkDot / all,
    lightDot: lightDot / all,
    bend: Math.sqrt(all / (slope / 4 + 1e-9)),
  };
}

/** Lengths over which colour stays the same, along rows and columns. */
interface Runs {
  /** Mean length, px, weighted by length; and shares of all px in runs of at least 12 and 40 px. */
  mean: number;
  middling: number;
  long: number;
}

function runsIn(sums: Sums, rect: Rect, most: number, only: Uint8Array | null): Runs {
  const [read, square, total, middling, long] = sums.runs(most, rect, only);
  return { mean: total ? square / total : 0, middling: middling / Math.max(1, read), long: long / Math.max(1, read) };
}

/** What lies on both sides of the steps between tones. */
interface Borders {
  /** Share of px at the crest of a step, and its mean height, L*. */
  share: number;
  height: number;
  /** How much darker the darker side is close to the step than farther in, over the step: a wash's rim is over 0. */
  rim: number;
  /** Share of the steps that are the sides of a dark line. */
  outlined: number;
  /** Share of the steps with even colour on both sides. */
  between: number;
}

const LEAST_STEP = 1.2;
/** How far to the sides of a step it is looked at, px. */
const ASIDE = 12;

function bordersIn(sums: Sums, rect: Rect, only: Uint8Array | null): Borders {
  const [read, n, tall, rim, outlined, even] = sums.borders(ASIDE, LEAST_STEP, rect, only);
  return n
    ? { share: n / read, height: tall / n, rim: rim / n, outlined: outlined / n, between: even / n }
    : { share: 0, height: 0, rim: 0, outlined: 0, between: 0 };
}

export interface BuildReading {
  /** Share of the piece that lies well inside of what is painted over; the rest is read of that part alone where it is large enough. */
  covered: number;
  sizes: SizeReading[];
  bands: Detail[];
  even: Runs;
  plain: Runs;
  borders: Borders;
  ridges: RidgeReading;
}

/** Rise (Lab units a px) under which colour stays the same, and under which it goes over softly. */
const [SAME, SOFT] = [0.5, 1.6];

/** Where at least so much of a piece is painted over, that part says what it is made of; its border against the sheet is another matter. */
const ENOUGH = 0.25;

/** How the piece inside `rect` of a window is built, of which so many px are covered. */
export function readBuild(build: Build, rect: Rect, count: number): BuildReading {
  const n = rect[2] * rect[3];
  const covered = count / n;
  const only = covered >= ENOUGH ? build.covered : null;
  const sums = sumsOf(build.close);
  return {
    covered,
    sizes: SIZES.map((_, n) => sizeReading(sums, n, rect, only)),
    bands: DETAIL_SIZES.map((k) => detailOf(sums.band(k, rect, only))),
    even: runsIn(sums, rect, SAME, only),
    plain: runsIn(sums, rect, SOFT, only),
    borders: bordersIn(sums, rect, only),
    ridges: readRidges(build.ridges, rect, build.width, only, only ? 1 + count : n),
  };
}
