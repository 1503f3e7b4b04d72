/** Knows how to square up a photograph of a sheet, even out its light and take off its colour cast. */
import { CoreError } from '../errors';
import { Message, message, typed } from '../message';
import { encodeTable, linearFromByte } from '../colour/srgb';
import { Point, Rect, rectInside, RgbImage } from '../raster/image';
import { litEvenly, squaredUp } from '../raster/kernels/kernels';
import { median } from '../raster/statistics';
import { signedArea } from '../proportion/polygon';
import { findSheet, orderCorners } from './findSheet';
import { applyHomography, fitHomography, Homography, invertHomography, rectangleCorners } from './homography';
import { fitLight, LightSurface } from './lighting';

export interface RectifyOptions {
  /** Sheet in mm: its horizontal side in the result first. */
  paper: readonly [number, number];
  corners?: readonly Point[];
  /** Rectangle of the photograph that shows a neutral 18 % card. */
  grey?: Rect;
  pxPerMm?: number;
}

export interface Rectified {
  found: boolean;
  corners: [number, number][] | null;
  confidence: number;
  pixelsPerMm: number;
  lighting: { falloff: number; cast: [number, number, number] };
  warnings: Message[];
  image: RgbImage | null;
}

/** Linear light of an 18 % card, which sRGB writes #767676. */
const CARD = linearFromByte[0x76];
const MOST_PIXELS = 40e6;

/** Corners so that the first is the result's top left: a photograph that shows the sheet the other way is turned 90° anticlockwise. */
function turnToPaper(corners: readonly Point[], [w, h]: readonly [number, number]): Point[] {
  const side = (i: number) => Math.hypot(corners[(i + 1) % 4][0] - corners[i][0], corners[(i + 1) % 4][1] - corners[i][1]);
  const [across, down] = [side(0) + side(2), side(1) + side(3)];
  const square = Math.max(w, h) / Math.min(w, h) < 1.02;
  const agrees = square || w > h === across > down;
  return agrees ? corners.slice() : [...corners.slice(1), corners[0]];
}

function checkCorners(corners: readonly Point[], photo: RgbImage): void {
  const slack = 0.5 * Math.max(photo.width, photo.height);
  if (corners.length !== 4) throw new CoreError('corners.four');
  for (const [x, y] of corners)
    if (!(x > -slack && y > -slack && x < photo.width + slack && y < photo.height + slack))
      throw new CoreError('corners.outside', { x: typed(String(x)), y: typed(String(y)), width: photo.width, height: photo.height });
  if (Math.abs(signedArea(corners)) < 100) throw new CoreError('corners.flat');
}

/**
 * Resamples the photograph into a w × h px sheet in linear light. Where the photograph has more pixels than the result
 * the mean of a lattice of samples holds back what the result cannot carry; else Catmull-Rom between pixels.
 */
export function resampleSheet(photo: RgbImage, toPhoto: Homography, w: number, h: number): Float32Array {
  const spanAt = (x: number, y: number) => {
    const [a, b, c] = [applyHomography(toPhoto, [x, y]), applyHomography(toPhoto, [x + 1, y]), applyHomography(toPhoto, [x, y + 1])];
    return Math.max(Math.hypot(b[0] - a[0], b[1] - a[1]), Math.hypot(c[0] - a[0], c[1] - a[1]));
  };
  const densest = Math.max(spanAt(0, 0), spanAt(w, 0), spanAt(w, h), spanAt(0, h), spanAt(w / 2, h / 2));
  const n = Math.min(6, Math.max(1, Math.ceil(densest - 0.15)));
  return squaredUp(photo, toPhoto, [w, h], n, linearFromByte);
}

/** What each px of a row is multiplied by to be lit evenly, at every eighth of them: light changes slowly. */
function factorsOf(light: LightSurface | null, level: number, w: number, h: number): Float32Array {
  const each = (w >> 3) + 2;
  const out = new Float32Array(each * h).fill(1);
  if (light)
    for (let y = 0; y < h; y++) for (let k = 0; k < each; k++) out[y * each + k] = level / light.at((8 * k + 0.5) / w, (y + 0.5) / h);
  return out;
}

function meanOf(photo: RgbImage, [x, y, w, h]: Rect): [number, number, number] {
  const channels: [number[], number[], number[]] = [[], [], []];
  for (let yy = Math.round(y); yy < y + h - 0.5; yy++)
    for (let xx = Math.round(x); xx < x + w - 0.5; xx++)
      for (let c = 0; c < 3; c++) channels[c].push(linearFromByte[photo.data[(yy * photo.width + xx) * 3 + c]]);
  // The median keeps a scratch or a highlight on the card from counting.
  return channels.map((v) => median(v)) as [number, number, number];
}

/**
 * Squares up a photograph of a sheet. Corners given are used as they are (put clockwise if they are not); else the sheet
 * is found, and `found` false with no image says that it was not. Throws on unusable numbers, naming the field.
 */
export function rectify(photo: RgbImage, options: RectifyOptions): Rectified {
  const [pw, ph] = options.paper;
  const pxPerMm = options.pxPerMm ?? 10;
  if (!(pw > 0 && ph > 0 && pw <= 5000 && ph <= 5000)) throw new CoreError('paper.size');
  if (!(pxPerMm > 0) || pw * ph * pxPerMm * pxPerMm > MOST_PIXELS) throw new CoreError('density');
  if (options.grey && !rectInside(options.grey, photo.width, photo.height)) throw new CoreError('grey.outside');
  const warnings: Message[] = [];
  const given = options.corners;
  if (given) checkCorners(given, photo);
  const aspect = Math.max(pw, ph) / Math.min(pw, ph);
  const seen = given
    ? { corners: signedArea(given) > 0 ? given.slice() : orderCorners(given), confidence: 1, inside: false }
    : findSheet(photo, aspect);
  if (!seen)
    return {
      found: false,
      corners: null,
      confidence: 0,
      pixelsPerMm: pxPerMm,
      lighting: { falloff: 0, cast: [1, 1, 1] },
      warnings: [message('capture.no-sheet')],
      image: null,
    };
  const corners = turnToPaper(seen.corners, options.paper);
  const w = Math.max(1, Math.round(pw * pxPerMm));
  const h = Math.max(1, Math.round(ph * pxPerMm));
  const toPhoto = fitHomography(rectangleCorners(w, h), corners);
  const linear = resampleSheet(photo, toPhoto, w, h);
  const light = fitLight(linear, w, h);
  if (!light) warnings.push(message('capture.little-ground'));
  const gains: [number, number, number] = [1, 1, 1];
  let level = light ? light.mean : 1;
  const cast: [number, number, number] = [1, 1, 1];
  if (options.grey) {
    const card = meanOf(photo, options.grey);
    if (Math.min(...card) <= 0.002 || Math.max(...card) >= 0.98) throw new CoreError('grey.burnt');
    const [x, y, gw, gh] = options.grey;
    const [u, v] = applyHomography(invertHomography(toPhoto), [x + gw / 2, y + gh / 2]);
    if (light) level = light.at(u / w, v / h);
    for (let c = 0; c < 3; c++) {
      gains[c] = CARD / card[c];
      cast[c] = card[1] / card[c];
    }
    const aside = Math.max(-u / w, u / w - 1, -v / h, v / h - 1);
    if (aside > 0.35) warnings.push(message('capture.card-aside'));
  }
  const data = litEvenly(linear, [w, h], factorsOf(light, level, w, h), gains, encodeTable);
  if (seen.inside) warnings.push(message('capture.perhaps-inside'));
  else if (seen.confidence < 0.65) warnings.push(message('capture.corners-uncertain'));
  return {
    found: !given,
    corners: corners.map((p) => [p[0], p[1]]),
    confidence: seen.confidence,
    pixelsPerMm: pxPerMm,
    lighting: { falloff: light ? light.falloff : 0, cast },
    warnings,
    image: { width: w, height: h, data },
  };
}
