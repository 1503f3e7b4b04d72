/** Knows where the marks lie in a picture: strokes traced, which way they run, and what kind each place holds; window by window. */
import { SheetTone } from '../colour/sheetTone';
import { Mask, RgbImage } from '../raster/image';
import { putAway } from '../raster/kernels/closeUp';
import { turnsIn } from '../raster/kernels/kernels';
import { packStrokes, Traced } from './traced';
import { TileReading, tilesOf, widened, Window, workWindow } from './tiles';
import { Workup } from './workup';

export interface MarksWhere {
  strokes: Traced;
  /** By turns: x and y of a small field's middle, the direction along its strokes in degrees as seen, and how much they keep to it, 0–1. */
  ticks: Float32Array;
  /** Side of the fields the ticks stand for, px of the picture. */
  field: number;
  tiles: Pick<TileReading, 'rect' | 'kind' | 'confidence' | 'detail' | 'belief' | 'area'>[];
}

/** Side of the fields that get a tick of their own, mark-size px. */
const FIELD = 32;
/** Fields whose strokes keep less to one direction run no way that could be shown; nor those with lines on less than this part of them: there it is paper. */
const [LEAST_ORDER, LEAST_LINED] = [0.35, 0.06];

function ticksOf({ field, lines }: Workup, { rect: [ox, oy], own: [x0, y0, w, h] }: Window): number[] {
  const out: number[] = [];
  const [nx, ny] = [Math.max(1, Math.round(w / FIELD)), Math.max(1, Math.round(h / FIELD))];
  for (let j = 0; j < ny; j++)
    for (let i = 0; i < nx; i++) {
      const [left, right] = [0, 1].map((k) => x0 - ox + Math.floor(((i + k) * w) / nx));
      const [top, bottom] = [0, 1].map((k) => y0 - oy + Math.floor(((j + k) * h) / ny));
      const [c, s, total] = turnsIn(field, [left, top, right - left, bottom - top], 1);
      let lined = 0;
      for (let y = top; y < bottom; y++) for (let x = left; x < right; x++) lined += lines.data[y * lines.width + x];
      const order = total > 0 ? Math.hypot(c, s) / total : 0;
      if (order < LEAST_ORDER || lined < LEAST_LINED * (right - left) * (bottom - top)) continue;
      out.push(ox + (left + right) / 2, oy + (top + bottom) / 2, ((Math.atan2(s, c) * 90) / Math.PI + 180) % 180, order);
    }
  return out;
}

/** The marks of one of the windows that cover a mark-size picture; places in px of the picture, which has `factor` times as many along a side. */
export function marksIn(
  image: RgbImage,
  window: Window,
  ground: readonly number[] | null,
  tone: SheetTone | null,
  leftOut: Mask | null,
  factor: number,
): MarksWhere {
  const { rect, own } = window;
  const work = workWindow(image, rect, ground, tone);
  const tiles = widened(work, tilesOf(work, rect, image.width, image.height, leftOut));
  const ticks = Float32Array.from(ticksOf(work, window), (v, k) => (k % 4 < 2 ? v * factor : v));
  const isOwn = (u: number, v: number) => u >= own[0] && v >= own[1] && u < own[0] + own[2] && v < own[1] + own[3];
  const seen = work.strokes.filter(({ points }) => {
    const [x, y] = points[points.length >> 1];
    const [u, v] = [x + rect[0], y + rect[1]];
    return isOwn(u, v) && !leftOut?.data[Math.round(v) * leftOut.width + Math.round(u)];
  });
  putAway();
  return {
    strokes: packStrokes(seen, [rect[0], rect[1]], factor),
    ticks,
    field: FIELD * factor,
    tiles: tiles
      .filter(({ rect: [x, y, w, h] }) => isOwn(x + w / 2, y + h / 2))
      .map(({ rect: at, kind, confidence, detail, belief, area }) => ({
        rect: [at[0] * factor, at[1] * factor, at[2] * factor, at[3] * factor],
        kind,
        confidence,
        detail,
        belief,
        area,
      })),
  };
}
