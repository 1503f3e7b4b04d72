/** Draws layers over a picture, in the picture's own px, by light and dark alone, so that no colour stands beside its colours. */
import { EDGE_HANDLINGS } from '@/core/marks/edges';
import { finishByRegion } from '@/core/marks/finish';
import type { MarkKind } from '@/core/marks/kinds';
import type { MarksWhere } from '@/core/marks/where';
import type { MeasureLine } from '@/core/proportion/template';
import type { Rect } from '@/core/raster/image';
import { TEMPERATURES } from '@/core/colour/temperature';
import type { Places } from '@/core/style/places';
import { ACCENTS, Lit, SHEET } from './layers';

type Pen = CanvasRenderingContext2D;
type At = readonly [x: number, y: number];

/** What is drawn, how many px of the picture one px of the screen is, and the pen. */
interface Sheet {
  pen: Pen;
  unit: number;
}

/** A line that is seen on light and on dark: white within black. */
function twice({ pen, unit }: Sheet, path: Path2D, width: number, dash: readonly number[] = []) {
  pen.lineCap = 'round';
  pen.lineJoin = 'round';
  pen.setLineDash([]);
  pen.strokeStyle = '#000';
  pen.lineWidth = (width + 1.6) * unit;
  pen.stroke(path);
  pen.setLineDash(dash.map((d) => d * unit));
  pen.strokeStyle = '#fff';
  pen.lineWidth = width * unit;
  pen.stroke(path);
  pen.setLineDash([]);
}

/** The page's own type, asked for once. */
let family: string | null = null;

function lettered({ pen, unit }: Sheet, text: string, [x, y]: At, size = 14) {
  pen.font = `600 ${size * unit}px ${(family ??= getComputedStyle(document.body).fontFamily)}`;
  pen.textAlign = 'center';
  pen.textBaseline = 'middle';
  pen.lineJoin = 'round';
  pen.lineWidth = 3 * unit;
  pen.strokeStyle = '#000';
  pen.strokeText(text, x, y);
  pen.fillStyle = '#fff';
  pen.fillText(text, x, y);
}

const path = (points: Iterable<At>, closed = false): Path2D => {
  const out = new Path2D();
  let first = true;
  for (const [x, y] of points) {
    if (first) out.moveTo(x, y);
    else out.lineTo(x, y);
    first = false;
  }
  if (closed) out.closePath();
  return out;
};

/** Strokes as they were traced. */
export function drawStrokes(sheet: Sheet, all: readonly MarksWhere['strokes'][], [dx, dy]: At = [0, 0]) {
  const lines = new Path2D();
  for (const { points, starts } of all)
    for (let k = 0; k + 1 < starts.length; k++) {
      lines.moveTo(points[2 * starts[k]] + dx, points[2 * starts[k] + 1] + dy);
      for (let i = starts[k] + 1; i < starts[k + 1]; i++) lines.lineTo(points[2 * i] + dx, points[2 * i + 1] + dy);
    }
  twice(sheet, lines, 1);
}

/** Short ticks along the strokes, the longer the more they keep to one way. */
export function drawTicks(sheet: Sheet, marks: readonly MarksWhere[]) {
  const lines = new Path2D();
  // Where fields lie closer than ticks can be told apart, some of them are left out, evenly.
  const least = 11 * sheet.unit;
  for (const { ticks, field } of marks) {
    const every = Math.max(1, Math.ceil(least / field));
    for (let k = 0; k < ticks.length; k += 4) {
      const [x, y, angle, order] = [ticks[k], ticks[k + 1], (ticks[k + 2] * Math.PI) / 180, ticks[k + 3]];
      if (every > 1 && (Math.floor(x / field) % every || Math.floor(y / field) % every)) continue;
      const half = 0.42 * order * field * every;
      const [cx, cy] = [Math.cos(angle) * half, -Math.sin(angle) * half];
      lines.moveTo(x - cx, y - cy);
      lines.lineTo(x + cx, y + cy);
    }
  }
  twice(sheet, lines, 1.6);
}

const spread = (n: number) => Array.from({ length: n }, (_, i) => (2 * i) / (n - 1) - 1);

/** A small sign for each kind of mark, in a square from −1 to 1; `?` where it cannot be told. */
const SIGNS: Record<MarkKind, (pen: Path2D) => void> = {
  blank: () => undefined,
  flat: (p) => p.rect(-0.8, -0.8, 1.6, 1.6),
  'smooth-shading': (p) => [0.3, 0.6, 0.9].forEach((r) => (p.moveTo(r, 0), p.arc(0, 0, r, 0, 7))),
  wash: (p) => spread(3).forEach((v) => (p.moveTo(-1, 0.6 * v), p.bezierCurveTo(-0.3, 0.6 * v - 0.5, 0.3, 0.6 * v + 0.5, 1, 0.6 * v))),
  stipple: (p) =>
    spread(3).forEach((x) => spread(3).forEach((y) => (p.moveTo(0.8 * x + 0.04, 0.8 * y), p.arc(0.8 * x, 0.8 * y, 0.04, 0, 7)))),
  'parallel-hatch': (p) => spread(4).forEach((v) => (p.moveTo(-0.9, 0.8 * v + 0.25), p.lineTo(0.9, 0.8 * v - 0.25))),
  'cross-hatch': (p) =>
    spread(3).forEach(
      (v) => (p.moveTo(-0.9, 0.7 * v + 0.3), p.lineTo(0.9, 0.7 * v - 0.3), p.moveTo(0.7 * v - 0.3, -0.9), p.lineTo(0.7 * v + 0.3, 0.9)),
    ),
  'contour-hatch': (p) =>
    spread(3).forEach((v) => (p.moveTo(-0.9, 0.6 * v + 0.4), p.quadraticCurveTo(0, 0.6 * v - 0.7, 0.9, 0.6 * v + 0.4))),
  scribble: (p) => (p.moveTo(-1, 0.5), spread(7).forEach((v, i) => p.lineTo(0.9 * v, i % 2 ? 0.7 : -0.7))),
  line: (p) => (p.moveTo(-0.9, 0.6), p.bezierCurveTo(-0.2, -1.1, 0.2, 1, 0.9, -0.6)),
  dabs: (p) =>
    [
      [-0.55, -0.5],
      [0.45, -0.35],
      [-0.25, 0.5],
      [0.7, 0.55],
    ].forEach(([x, y]) => (p.moveTo(x + 0.34, y), p.ellipse(x, y, 0.34, 0.16, 0.6, 0, 7))),
};

/** The kind read in each tile, by its sign. */
export function drawKinds(sheet: Sheet, marks: readonly MarksWhere[], only: MarkKind | null = null) {
  const signs = new Path2D();
  const frames = new Path2D();
  for (const { tiles } of marks)
    for (const { rect, kind } of tiles) {
      if (only && kind !== only) continue;
      frames.rect(...(rect as [number, number, number, number]));
      const middle: At = [rect[0] + rect[2] / 2, rect[1] + rect[3] / 2];
      const size = Math.min(0.3 * Math.min(rect[2], rect[3]), 16 * sheet.unit);
      if (!kind) lettered(sheet, '?', middle, size / sheet.unit);
      else {
        const own = new Path2D();
        SIGNS[kind](own);
        signs.addPath(own, new DOMMatrix().translate(...middle).scale(size));
      }
    }
  sheet.pen.strokeStyle = 'rgba(128,128,128,.6)';
  sheet.pen.lineWidth = 0.5 * sheet.unit;
  sheet.pen.stroke(frames);
  twice(sheet, signs, 1.4);
}

/** A kind's sign by itself, for the legend: a path in a square of this side. */
export function signOf(kind: MarkKind, side: number): Path2D {
  const [own, out] = [new Path2D(), new Path2D()];
  SIGNS[kind](own);
  out.addPath(own, new DOMMatrix().translate(side / 2, side / 2).scale(0.38 * side));
  return out;
}

/** Where form-size places lie in the picture. */
const onto = ({ frame: [x0, y0, w, h], width, height }: Places) => ({ x0, y0, kx: w / width, ky: h / height });

/** Borders between light and dark by how they are handled: a large disc outlined, a small one sharp, a ring soft, a cross lost. */
export function drawEdges(sheet: Sheet, places: Places, only: Lit['handling'] | null = null) {
  const { x0, y0, kx, ky } = onto(places);
  const { at, handling } = places.edges;
  const { pen, unit } = sheet;
  const of = EDGE_HANDLINGS.map(() => new Path2D());
  const every = Math.max(1, Math.ceil((3 * unit) / kx));
  for (let i = 0; i < handling.length; i += every) {
    const name = EDGE_HANDLINGS[handling[i]];
    if (only && name !== only) continue;
    const [x, y] = [x0 + at[2 * i] * kx, y0 + at[2 * i + 1] * ky];
    const p = of[handling[i]];
    const r = { outlined: 2.6, sharp: 1.2, soft: 2.4, lost: 1.8 }[name] * unit;
    if (name === 'lost') {
      p.moveTo(x - r, y - r);
      p.lineTo(x + r, y + r);
      p.moveTo(x - r, y + r);
      p.lineTo(x + r, y - r);
    } else {
      p.moveTo(x + r, y);
      p.arc(x, y, r, 0, 7);
    }
  }
  EDGE_HANDLINGS.forEach((name, k) => {
    if (name === 'outlined' || name === 'sharp') {
      pen.strokeStyle = '#000';
      pen.lineWidth = 1.6 * unit;
      pen.stroke(of[k]);
      pen.fillStyle = '#fff';
      pen.fill(of[k]);
    } else twice(sheet, of[k], 0.8);
  });
}

/** Bare shapes: those shut in filled with white lines, those open to the edge by their rim alone. */
export function drawLights(sheet: Sheet, places: Places) {
  const [x0, y0, w, h] = places.frame;
  for (const { rims, within } of places.lights ?? []) {
    const shape = new Path2D();
    for (const rim of rims)
      shape.addPath(
        path(
          rim.map(([x, y]): At => [x0 + x * w, y0 + y * h]),
          true,
        ),
      );
    if (within) {
      sheet.pen.fillStyle = 'rgba(0,0,0,.45)';
      sheet.pen.fill(shape, 'evenodd');
    }
    twice(sheet, shape, within ? 1.6 : 1, within ? [] : [5, 5]);
  }
}

/** A veil at form size: the grey that covers a px, null where it stays clear. */
function veil({ width, height }: Places, greyOf: (i: number) => number | null): HTMLCanvasElement {
  const out = document.createElement('canvas');
  out.width = width;
  out.height = height;
  const image = new ImageData(width, height);
  for (let i = 0; i < width * height; i++) {
    const grey = greyOf(i);
    if (grey === null) continue;
    image.data.fill(grey, 4 * i, 4 * i + 3);
    image.data[4 * i + 3] = VEILED;
  }
  out.getContext('2d')!.putImageData(image, 0, 0);
  return out;
}

/** How much of a picture a veil takes, of 255; and the bench's own grey. */
const [VEILED, BENCH_GREY] = [220, 118];

/** A veil over everything but what is shown; null where nothing is told apart. */
export function dimmed(places: Places, lit: Lit): HTMLCanvasElement | null {
  const clear = clearOf(places, lit);
  return clear && veil(places, (i) => (clear(i) ? null : BENCH_GREY));
}

/** Which px stay clear where a colour, a temperature or a part of the darks is shown; null where nothing is told apart. */
function clearOf(places: Places, lit: Lit): ((i: number) => boolean) | null {
  const { colour, temperature, between, outside } = lit;
  if (colour !== undefined) {
    const meant = places.colours.map((c) => (colour === ACCENTS ? c.accent : colour === SHEET ? c.ground : c.hex === colour));
    return (i) => meant[places.labels[i]];
  }
  if (temperature) {
    const n = TEMPERATURES.indexOf(temperature);
    return (i) => places.temperature[i] === n;
  }
  if (outside) return (i) => places.lightness[i] < outside[0] || places.lightness[i] >= outside[1];
  return between ? (i) => places.lightness[i] >= between[0] && places.lightness[i] < between[1] : null;
}

const TEMPERED = { warm: 245, cool: 25, neutral: 128 };

/** Warm, cool and neither as pale, dark and middling veils. */
export const temperatureVeil = (places: Places): HTMLCanvasElement =>
  veil(places, (i) => {
    const name = TEMPERATURES[places.temperature[i]];
    return name ? TEMPERED[name] : null;
  });

export function drawVeil({ pen }: Sheet, { frame: [x, y, w, h] }: Places, image: HTMLCanvasElement) {
  pen.imageSmoothingEnabled = true;
  pen.drawImage(image, x, y, w, h);
}

/** Where the strongest contrast lies. */
export function drawContrast(sheet: Sheet, { frame: [x0, y0, w, h], focus: [x, y] }: Places) {
  const [cx, cy] = [x0 + x * w, y0 + y * h];
  const r = 0.045 * Math.max(w, h);
  const ring = new Path2D();
  ring.arc(cx, cy, r, 0, 7);
  for (const [u, v] of [
    [1, 0],
    [-1, 0],
    [0, 1],
    [0, -1],
  ]) {
    ring.moveTo(cx + u * r, cy + v * r);
    ring.lineTo(cx + 1.5 * u * r, cy + 1.5 * v * r);
  }
  twice(sheet, ring, 2);
}

/** The worked area's centre, and the basic shape it fills. */
export function drawArea(sheet: Sheet, { frame: [x0, y0, w, h], area }: Places) {
  if (!area) return;
  const at = ([x, y]: At): At => [x0 + x * w, y0 + y * h];
  twice(sheet, path(area.envelope.points.map(at), true), 1.6, [9, 6]);
  const [x, y] = at(area.centre);
  const r = 9 * sheet.unit;
  const cross = new Path2D();
  cross.arc(x, y, r, 0, 7);
  cross.moveTo(x - 1.6 * r, y);
  cross.lineTo(x + 1.6 * r, y);
  cross.moveTo(x, y - 1.6 * r);
  cross.lineTo(x, y + 1.6 * r);
  twice(sheet, cross, 1.6);
}

const thirdLines = ([x, y, w, h]: Rect): Path2D => {
  const lines = new Path2D();
  for (const t of [1 / 3, 2 / 3]) {
    lines.moveTo(x + t * w, y);
    lines.lineTo(x + t * w, y + h);
    lines.moveTo(x, y + t * h);
    lines.lineTo(x + w, y + t * h);
  }
  return lines;
};

export const drawThirds = (sheet: Sheet, frame: Rect) => twice(sheet, thirdLines(frame), 1);

/** How much is done in each ninth: as many bars of five. */
export function drawFinish(sheet: Sheet, frame: Rect, marks: readonly MarksWhere[], only: number | null = null) {
  const [x0, y0, w, h] = frame;
  drawThirds(sheet, frame);
  const places = marks.flatMap((m) =>
    m.tiles.map(({ rect, detail }) => ({ x: (rect[0] + rect[2] / 2 - x0) / w, y: (rect[1] + rect[3] / 2 - y0) / h, detail })),
  );
  const { fields } = finishByRegion(places);
  const most = Math.max(...fields.map((v) => v ?? 0));
  const { unit } = sheet;
  fields.forEach((value, i) => {
    if (value === null || (only !== null && only !== i)) return;
    const [cx, cy] = [x0 + ((i % 3) + 0.5) * (w / 3), y0 + (Math.floor(i / 3) + 0.5) * (h / 3)];
    const n = most > 0 ? Math.max(0, Math.round((5 * value) / most)) : 0;
    const bars = new Path2D();
    for (let k = 0; k < n; k++) {
      const y = cy + (2 - k) * 7 * unit;
      bars.moveTo(cx - 11 * unit, y);
      bars.lineTo(cx + 11 * unit, y);
    }
    if (!n) bars.arc(cx, cy, 3 * unit, 0, 7);
    twice(sheet, bars, 3);
  });
}

/** Patches kept, by their number. */
export function drawPatches(sheet: Sheet, patches: readonly Rect[]) {
  patches.forEach((rect, i) => {
    const frame = new Path2D();
    frame.rect(...(rect as [number, number, number, number]));
    twice(sheet, frame, 1.4, [8, 5]);
    lettered(sheet, String(i + 1), [rect[0] + 10 * sheet.unit, rect[1] + 12 * sheet.unit]);
  });
}

/** Points by themselves, where they are not handles already. */
export function drawPoints(sheet: Sheet, points: readonly At[]) {
  const dots = new Path2D();
  for (const [x, y] of points) {
    dots.moveTo(x + 3 * sheet.unit, y);
    dots.arc(x, y, 3 * sheet.unit, 0, 7);
  }
  twice(sheet, dots, 1.4);
}

/** A measure: its length, what it is held against dashed, and helps to the axis dotted. */
export function drawMeasure(sheet: Sheet, lines: readonly MeasureLine[]) {
  const ends = new Path2D();
  for (const { from, to, as } of lines) {
    twice(sheet, path([from, to]), { length: 3, unit: 2, help: 0.8 }[as], { length: [], unit: [9, 7], help: [2, 4] }[as]);
    if (as === 'help') continue;
    // Short bars square to the line, where it begins and ends.
    const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
    const n = Math.hypot(dx, dy) || 1;
    const [ux, uy] = [(-dy / n) * 6 * sheet.unit, (dx / n) * 6 * sheet.unit];
    for (const [x, y] of [from, to]) {
      ends.moveTo(x - ux, y - uy);
      ends.lineTo(x + ux, y + uy);
    }
  }
  twice(sheet, ends, 2);
}
