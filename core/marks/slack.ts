/** Knows how far colour strays from its line: the distance of colour borders to the drawn line that runs beside them. */
import { LabPlanes } from '../colour/lab';
import { erodeMin, gaussianSoftening } from '../raster/filters';
import { depthBetween, Rise } from '../raster/kernels/kernels';
import { filledRise } from '../raster/kernels/layers';
import { everyThirdFrom, Plane, plane } from '../raster/image';
import { derivativeKernels, gaussianGradient, Gradient } from '../raster/gradient';
import { mean, standardDeviation, sumOf } from '../raster/statistics';

export interface ColourSlack {
  /** Mean distance from a colour border to its line, form-size px. */
  px: number;
  /** Standard error of that mean, over eight stretches of the borders. */
  spread: number;
  /** Share of the colour borders that have a line running beside them. */
  lined: number;
}

/** How far beside a line its sides are looked for, px, and how dark it must stand out (L*). */
const LINE_REACH = 5;
/** How soft a line is looked at, and what lies around it. */
const [NEAR, AROUND] = [0.8, 4].map(gaussianSoftening);
const LINE_DEPTH = 9;
/** How soft is what is filled in under a line: 1.5 px. */
const FILL = gaussianSoftening(1.5);
/** Contrast of a colour border over 6 px (Lab) above which it counts. */
const BORDER = 9;
/** A border rises at least so steeply, Lab a px. */
const STEEP = BORDER / 6;
/** Lines farther off than this share of the long side belong to something else. */
const FAR = 0.02;
/** How far line and border may differ in direction, as a cosine. */
const ALONG = Math.cos((25 * Math.PI) / 180);
/** A border is where the colour changes most within so many px along its normal. */
const CREST = 5;
const LEAST_LINED = 0.5;
/** With fewer line pixels than this share of the picture there is no line for colour to keep to. */
const LEAST_LINES = 0.002;
const LEAST_POINTS = 60;

/** How far each pixel is darker than both sides of it, a few px away in some direction: a line is, a narrow strip of colour is not. */
function lineDepth(lightness: Plane): Plane {
  const w = lightness.width;
  const steps: number[] = [];
  for (const [dx, dy] of [
    [1, 0],
    [0, 1],
    [1, 1],
    [1, -1],
  ])
    for (let d = 2; d <= LINE_REACH; d++) steps.push(Math.max(1, Math.round(d / Math.hypot(dx, dy))) * (dy * w + dx));
  // A line is darker than what lies around it as a whole, too.
  return depthBetween(lightness, NEAR, AROUND, LINE_REACH, Int32Array.from(new Set(steps)));
}

/** 1 where there is no line, 0 on it. */
function clearOfLines({ width, height, data }: Plane): Plane {
  const out = plane(width, height);
  for (let i = 0; i < data.length; i++) out.data[i] = data[i] > 0.75 * LINE_DEPTH ? 0 : 1;
  return out;
}

/** Every third px that is steep enough for a border, at least `reach` from the frame. */
function steepPlaces(steepness: Float32Array, w: number, h: number, reach: number): number[] {
  const out: number[] = [];
  for (let y = reach; y < h - reach; y++)
    for (let x = everyThirdFrom(reach, y), i = y * w + x; x < w - reach; x += 3, i += 3) if (steepness[i] >= STEEP) out.push(i);
  return out;
}

/**
 * Colour slack of a form-size picture; null where fewer than half of the colour borders have a line beside them.
 * A line counts as a border's own when it is the nearest within 2 % of the long side that runs the same way to 25°.
 */
export function colourSlack({ L, a, b }: LabPlanes): ColourSlack | null {
  const { width: w, height: h } = L;
  const depth = lineDepth(L);
  const keep = clearOfLines(depth);
  if (keep.data.length - sumOf(keep.data) < LEAST_LINES * keep.data.length) return null;
  const clear = erodeMin(keep, 1);
  const reach = Math.max(6, Math.round(FAR * Math.max(w, h)));
  const by = { ...derivativeKernels(1.2), least: STEEP };
  const ways = filledRise([L, a, b], clear, FILL, by, (fields, rise) => bordersIn(fields, rise, w, h, reach));
  const borders = ways.length;
  if (borders < LEAST_POINTS) return null;
  const across = gaussianGradient(depth, 1.2);
  const distances: number[] = [];
  for (const way of ways) {
    const off = nearestLine(depth, across, way, reach);
    if (off !== null) distances.push(off);
  }
  if (distances.length < LEAST_LINED * borders) return null;
  const eighth = Math.ceil(distances.length / 8);
  const parts = Array.from({ length: 8 }, (_, k) => distances.slice(k * eighth, (k + 1) * eighth)).filter((d) => d.length > 4);
  return {
    px: mean(distances),
    spread: parts.length > 2 ? standardDeviation(parts.map((d) => mean(d))) / Math.sqrt(parts.length) : 1,
    lined: distances.length / borders,
  };
}

/** Borders of colour, in rows: the ways across them, at least `reach` px from the frame. */
function bordersIn(fields: readonly Float32Array[], { steepness, nx, ny }: Rise, w: number, h: number, reach: number): Way[] {
  const out: Way[] = [];
  for (const i of steepPlaces(steepness, w, h, reach)) {
    const x = i % w;
    const way: Way = { x, y: (i - x) / w, ux: nx[i], uy: ny[i], w };
    if (isCrest(steepness, way) && contrastOver(fields, way) >= BORDER * BORDER) out.push(way);
  }
  return out;
}

/** A straight way from a px of a raster of width w on. */
interface Way {
  x: number;
  y: number;
  ux: number;
  uy: number;
  w: number;
}

/** Number of the px that lies `k` px along a way. */
const pxOn = ({ x, y, ux, uy, w }: Way, k: number): number => Math.round(y + k * uy) * w + Math.round(x + k * ux);

/** Does the colour change most where a way begins? */
function isCrest(steepness: Float32Array, way: Way): boolean {
  const own = steepness[pxOn(way, 0)];
  for (let k = 1; k <= CREST; k++) if (steepness[pxOn(way, k)] > own || steepness[pxOn(way, -k)] > own) return false;
  return true;
}

/** Difference between both sides of a border, squared, Lab. */
function contrastOver(fields: readonly Float32Array[], way: Way): number {
  const [p, q] = [pxOn(way, -6), pxOn(way, 6)];
  let squared = 0;
  for (const data of fields) squared += (data[p] - data[q]) ** 2;
  return squared;
}

/** Distance along a border's normal to the crest of the nearest line along the border; null for none. */
function nearestLine(depth: Plane, across: Gradient, way: Way, reach: number): number | null {
  let best: number | null = null;
  for (const side of [1, -1])
    for (let k = 0; k < reach - 1; k++) {
      if (best !== null && k >= best) break;
      const i = pxOn(way, side * k);
      if (depth.data[i] < LINE_DEPTH) continue;
      // Climb to the crest.
      let top = k;
      while (top < reach - 1 && depth.data[pxOn(way, side * (top + 1))] > depth.data[pxOn(way, side * top)]) top++;
      // On a line's flanks its darkness rises across it: along the border's normal, if it runs along the border.
      let along = 0;
      for (const f of [top - 2, top - 1, top + 1, top + 2]) {
        const j = pxOn(way, side * f);
        const [dx, dy] = [across.dx.data[j], across.dy.data[j]];
        const size = Math.hypot(dx, dy);
        if (size > 0.3) along = Math.max(along, Math.abs(dx * way.ux + dy * way.uy) / size);
      }
      if (along >= ALONG) best = best === null ? top : Math.min(best, top);
      break;
    }
  return best;
}
