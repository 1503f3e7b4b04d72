/**
 * Knows how a piece of a picture is built up, whatever it is made with: how much ridge, step and dot there is at each size, in light and in colour;
 * which way it runs at each size; how long it stays one colour; and whether what lies between is rimmed, outlined or even.
 */
import { Rect } from '../raster/image';
import { CloseUp, SOFTNESS } from './closeUp';
import { readRidges, Ridge, RidgeReading, ridgesOf } from './ridges';

/** Softnesses (numbers of `SOFTNESS`) at which ridges, steps and directions are read. */
const SIZES = [1, 2, 3] as const;

/** At the broader sizes every second and every fourth px says enough. */
const STRIDES = [1, 2, 4] as const;
/** Side (px) of the neighbourhoods in which each size has a direction of its own. */
const NEIGHBOURHOODS = [8, 16, 32] as const;

/** Everything that is read of any rectangle of a window, made once a window. */
export interface Build {
  width: number;
  height: number;
  close: CloseUp;
  /** Rise of the colour at softness 1.2, Lab units a px. */
  rise: Float32Array;
  ridges: Ridge[];
  /** Where no bare sheet is near; null where no sheet is known. */
  covered: Uint8Array | null;
}

/** `covered` marks the px that lie well inside of what is painted over; null where no sheet is known. */
export function buildOf(close: CloseUp, covered: Uint8Array | null): Build {
  const { width, height } = close;
  const rise = new Float32Array(width * height);
  const [L, a, b] = [close.L[1].data, close.a[1].data, close.b[1].data];
  for (let y = 1; y < height - 1; y++)
    for (let i = y * width + 1, end = y * width + width - 1; i < end; i++) {
      const [lx, ly, ax, ay] = [L[i + 1] - L[i - 1], L[i + width] - L[i - width], a[i + 1] - a[i - 1], a[i + width] - a[i - width]];
      const [bx, by] = [b[i + 1] - b[i - 1], b[i + width] - b[i - width]];
      rise[i] = Math.sqrt(lx * lx + ly * ly + ax * ax + ay * ay + bx * bx + by * by) / 2;
    }
  // The outermost px rise like their neighbours: left at 0 they would be long runs of one colour.
  for (let x = 0; x < width; x++) {
    rise[x] = rise[x + width];
    rise[(height - 1) * width + x] = rise[(height - 2) * width + x];
  }
  for (let y = 0; y < height; y++) {
    rise[y * width] = rise[y * width + 1];
    rise[(y + 1) * width - 1] = rise[(y + 1) * width - 2];
  }
  return { width, height, close, rise, ridges: ridgesOf(close), covered };
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

function sizeReading({ width, height, close }: Build, n: number, [x0, y0, w, h]: Rect, only: Uint8Array | null): SizeReading {
  const k = SIZES[n];
  const [L, a, b] = [close.L[k].data, close.a[k].data, close.b[k].data];
  // Differences as far apart as the softness lets them be without loss.
  const step = Math.max(1, Math.round(SOFTNESS[k] / 1.6));
  const down = step * width;
  const stride = STRIDES[n];
  const side = NEIGHBOURHOODS[n];
  const across = Math.ceil(w / side);
  // Sums of the colour's tensor (Di Zenzo 1986) by neighbourhood.
  const p = new Float64Array(across * Math.ceil(h / side));
  const q = new Float64Array(p.length);
  let [energy, count, slope, darkRidge, lightRidge, darkDot, lightDot, saddle] = [0, 0, 0, 0, 0, 0, 0, 0];
  for (let y = Math.max(y0, step); y < Math.min(y0 + h, height - step); y += stride)
    for (let x = Math.max(x0, step); x < Math.min(x0 + w, width - step); x += stride) {
      const i = y * width + x;
      if (only && !only[i]) continue;
      count++;
      const lx = L[i + step] - L[i - step];
      const ly = L[i + down] - L[i - down];
      const ax = a[i + step] - a[i - step];
      const ay = a[i + down] - a[i - down];
      const bx = b[i + step] - b[i - step];
      const by = b[i + down] - b[i - down];
      const xx = lx * lx + ax * ax + bx * bx;
      const yy = ly * ly + ay * ay + by * by;
      const cell = Math.floor((y - y0) / side) * across + Math.floor((x - x0) / side);
      energy += xx + yy;
      p[cell] += xx - yy;
      q[cell] += 2 * (lx * ly + ax * ay + bx * by);
      slope += lx * lx + ly * ly;
      const here = L[i];
      const hxx = L[i + step] + L[i - step] - 2 * here;
      const hyy = L[i + down] + L[i - down] - 2 * here;
      const hxy = (L[i + down + step] + L[i - down - step] - L[i + step - down] - L[i + down - step]) / 4;
      const half = (hxx + hyy) / 2;
      const root = Math.sqrt(((hxx - hyy) / 2) ** 2 + hxy * hxy);
      const high = half + root;
      const low = half - root;
      const size = high * high + low * low;
      if (high > 2.5 * Math.abs(low)) darkRidge += size;
      else if (-low > 2.5 * Math.abs(high)) lightRidge += size;
      else if (low > 0) darkDot += size;
      else if (high < 0) lightDot += size;
      else saddle += size;
    }
  let [c, s, along] = [0, 0, 0];
  for (let i = 0; i < p.length; i++) {
    c += p[i];
    s += q[i];
    along += Math.hypot(p[i], q[i]);
  }
  const all = darkRidge + lightRidge + darkDot + lightDot + saddle + 1e-9;
  return {
    energy: (SOFTNESS[k] * Math.sqrt(energy / Math.max(1, count))) / (2 * step),
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

function runsIn({ rise, width }: Build, [x0, y0, w, h]: Rect, most: number, only: Uint8Array | null): Runs {
  let [square, total, middling, long, read] = [0, 0, 0, 0, 0];
  const same = (i: number) => {
    if (only && !only[i]) return false;
    read++;
    return rise[i] < most;
  };
  const end = (run: number) => {
    square += run * run;
    total += run;
    if (run >= 12) middling += run;
    if (run >= 40) long += run;
  };
  for (let y = y0; y < y0 + h; y += 2) {
    let run = 0;
    for (let i = y * width + x0, stop = i + w; i < stop; i++)
      if (same(i)) run++;
      else if (run) {
        end(run);
        run = 0;
      }
    end(run);
  }
  for (let x = x0; x < x0 + w; x += 2) {
    let run = 0;
    for (let i = y0 * width + x, stop = i + h * width; i < stop; i += width)
      if (same(i)) run++;
      else if (run) {
        end(run);
        run = 0;
      }
    end(run);
  }
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

function bordersIn(build: Build, [x0, y0, w, h]: Rect, only: Uint8Array | null): Borders {
  const { width, height, rise } = build;
  const L = build.close.L[1].data;
  const reach = 12;
  let [n, tall, rim, outlined, even, read] = [0, 0, 0, 0, 0, 0];
  for (let y = Math.max(y0, 1); y < Math.min(y0 + h, height - 1); y += 2)
    for (let x = Math.max(x0, 1); x < Math.min(x0 + w, width - 1); x += 2) {
      const i = y * width + x;
      if (only && !only[i]) continue;
      read++;
      if (rise[i] < LEAST_STEP) continue;
      const dx = L[i + 1] - L[i - 1];
      const dy = L[i + width] - L[i - width];
      const steep = Math.sqrt(dx * dx + dy * dy);
      if (steep < LEAST_STEP) continue;
      const ux = dx / steep;
      const uy = dy / steep;
      const [left, top] = [Math.round(x - reach * ux), Math.round(y - reach * uy)];
      const [right, bottom] = [Math.round(x + reach * ux), Math.round(y + reach * uy)];
      if (Math.min(left, right, top, bottom) < 0 || Math.max(left, right) >= width || Math.max(top, bottom) >= height) continue;
      const at = (t: number): number => Math.round(y + t * uy) * width + Math.round(x + t * ux);
      if (rise[at(-1.5)] > rise[i] || rise[at(1.5)] > rise[i]) continue;
      const [d2, d1, dark, light, l1, l2] = [L[at(-reach)], L[at(2 - reach)], L[at(-4)], L[at(4)], L[at(reach - 2)], L[at(reach)]];
      const step = light - dark;
      if (step < 2) continue;
      n++;
      tall += step;
      const deep = (d1 + d2) / 2;
      rim += Math.max(-1, Math.min(1, (deep - dark) / step));
      if (deep - dark > 0.5 * step) outlined++;
      if (Math.abs(d1 - d2) < 1 && Math.abs(l1 - l2) < 1 && rise[at(-reach)] < 0.5 && rise[at(reach)] < 0.5) even++;
    }
  return n
    ? { share: n / read, height: tall / n, rim: rim / n, outlined: outlined / n, between: even / n }
    : { share: 0, height: 0, rim: 0, outlined: 0, between: 0 };
}

/** Detail by size: root mean square in light, in colour (from the second size on), and its lean to dark or light. */
interface DetailBand {
  light: number;
  colour: number;
  dark: number;
}

function detailIn({ close, width }: Build, [x0, y0, w, h]: Rect, only: Uint8Array | null): DetailBand[] {
  const bands: DetailBand[] = [];
  for (let k = 0; k + 1 < SOFTNESS.length; k++) {
    const [l, m] = [close.L[k].data, close.L[k + 1].data];
    const [a, c, b, d] = [close.a[k].data, close.a[k + 1].data, close.b[k].data, close.b[k + 1].data];
    let [square, cube, colour, n] = [0, 0, 0, 1e-9];
    for (let y = y0; y < y0 + h; y += 2)
      for (let i = y * width + x0 + ((y >> 1) & 1), end = y * width + x0 + w; i < end; i += 2) {
        if (only && !only[i]) continue;
        n++;
        const off = l[i] - m[i];
        square += off * off;
        cube += off * off * off;
        colour += (a[i] - c[i]) ** 2 + (b[i] - d[i]) ** 2;
      }
    const light = Math.sqrt(square / n);
    bands.push({ light, colour: Math.sqrt(colour / n), dark: -Math.asinh(cube / n / Math.max(0.1, light) ** 3) });
  }
  return bands;
}

export interface BuildReading {
  /** Share of the piece that lies well inside of what is painted over; the rest is read of that part alone where it is large enough. */
  covered: number;
  sizes: SizeReading[];
  bands: DetailBand[];
  even: Runs;
  plain: Runs;
  borders: Borders;
  ridges: RidgeReading;
}

/** Rise (Lab units a px) under which colour stays the same, and under which it goes over softly. */
const [SAME, SOFT] = [0.5, 1.6];

/** Where at least so much of a piece is painted over, that part says what it is made of; its border against the sheet is another matter. */
const ENOUGH = 0.25;

/** How the piece inside `rect` of a window is built. */
export function readBuild(build: Build, rect: Rect): BuildReading {
  const covered = build.covered ? shareOf(build.covered, build.width, rect) : 1;
  const only = covered >= ENOUGH ? build.covered : null;
  return {
    covered,
    sizes: SIZES.map((_, n) => sizeReading(build, n, rect, only)),
    bands: detailIn(build, rect, only),
    even: runsIn(build, rect, SAME, only),
    plain: runsIn(build, rect, SOFT, only),
    borders: bordersIn(build, rect, only),
    ridges: readRidges(build.ridges, rect, build.width, only),
  };
}

function shareOf(set: Uint8Array, width: number, [x0, y0, w, h]: Rect): number {
  let n = 0;
  for (let y = y0; y < y0 + h; y++) for (let i = y * width + x0, end = i + w; i < end; i++) n += set[i];
  return n / (w * h);
}
