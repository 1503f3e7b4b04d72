/**
 * Knows what all readings of a picture start from: the picture proper without what is left out, its colours, its bare sheet and worked area at
 * form size, and itself at mark size.
 */
import { CoreError } from '../errors';
import { typed } from '../message';
import { labPlanes, LabPlanes } from '../colour/lab';
import { LEFT_OUT, Palette, readPalette } from '../colour/palette';
import { evened, SheetTone, sheetToneOf } from '../colour/sheetTone';
import { workedArea } from '../composition/composition';
import { frameOf } from '../capture/frame';
import { departure } from '../marks/ink';
import { MarkScale } from '../marks/reading';
import { cropImage, Mask, Point, Rect, rectInside, RgbImage } from '../raster/image';
import { filled, maskOf } from '../raster/leftOut';
import { reduceToLongSide } from '../raster/resample';
import { sharpnessOf } from '../raster/sharpness';
import { atRung, Resolution, Rung } from './scale';

const FORM_SIDE = 1024;
const MARK_SIDE = 4096;
const MARK_PX_PER_MM = 10;
/** A picture proper of fewer px along a side holds nothing to measure. */
const LEAST_FRAME = 16;
const COLOURS = 6;

/** How a picture is to be read. */
export interface ReadAs {
  /** Real width of the picture proper. */
  widthMm?: number | null;
  /** Where the picture proper lies in the file; found where none is given. */
  frame?: Rect | null;
  /** Outlines in the file's px of what is left out of every reading. */
  leftOut?: readonly (readonly Point[])[] | null;
  /** Share of the px that carry detail, where it has been judged already. */
  sharpness?: number;
  /** The scale of a comparison; without one the picture is read as finely as it is known. */
  rung?: Rung | null;
}

export interface Prepared {
  /** The picture proper in the file's px. */
  frame: Rect;
  /** Share of its px that carry detail. */
  sharpness: number;
  widthMm: number | null;
  mmPerPixel: number | null;
  /** The picture proper at the scale it is read at. */
  read: RgbImage;
  /** Long side at most 1024 px, and of that size all that follows. */
  form: RgbImage;
  leftOut: Mask | null;
  lab: LabPlanes;
  palette: Palette;
  /** The bare sheet; null where none is seen. */
  ground: { hex: string; lab: [number, number, number]; share: number } | null;
  tone: SheetTone | null;
  worked: Mask;
  /** Where places left out lie in the picture proper at another size. */
  leftOutOf: (at: RgbImage) => Mask | null;
}

/** The picture at mark size: native, or at most 10 px/mm where the scale is known, long side at most 4096. */
export function markSize(image: RgbImage, mmPerPixel: number | null): { image: RgbImage; factor: number } {
  let side = Math.min(MARK_SIDE, Math.max(image.width, image.height));
  if (mmPerPixel !== null) side = Math.min(side, Math.ceil(Math.max(image.width, image.height) * mmPerPixel * MARK_PX_PER_MM));
  side = Math.max(side, Math.min(64, Math.max(image.width, image.height)));
  const reduced = reduceToLongSide(image, side);
  return { image: reduced, factor: image.width / reduced.width };
}

/** What of a picture decides the scale it can be compared at. */
export function resolutionOf(
  image: RgbImage,
  o: Pick<ReadAs, 'widthMm' | 'frame' | 'sharpness'>,
  reduced?: RgbImage,
): Resolution & { frame: Rect } {
  const frame = checkedFrame(image, o.frame ?? null) ?? frameOf(image, reduced ?? reduceToLongSide(image, FORM_SIDE));
  return { width: frame[2], height: frame[3], widthMm: o.widthMm ?? null, sharpness: o.sharpness ?? sharpnessOf(image, frame), frame };
}

function checkedFrame(image: RgbImage, frame: Rect | null): Rect | null {
  if (!frame) return null;
  const whole = frame.map(Math.round) as unknown as Rect;
  if (!rectInside(whole, image.width, image.height) || Math.min(whole[2], whole[3]) < LEAST_FRAME)
    throw new CoreError('frame', { frame: typed(frame.join(',')), width: image.width, height: image.height, least: LEAST_FRAME });
  return whole;
}

/** Takes a picture in; `colours` is the most its palette has. */
export function prepare(image: RgbImage, as: ReadAs, colours = COLOURS): Prepared {
  // Where the frame is given, the whole picture need not be looked at.
  const reduced = as.frame ? undefined : reduceToLongSide(image, FORM_SIDE);
  const resolution = resolutionOf(image, as, reduced);
  const { frame, sharpness, widthMm } = resolution;
  const proper = frame[2] === image.width && frame[3] === image.height ? image : cropImage(image, frame);
  const outlines = (as.leftOut ?? []).map((o) => o.map(([x, y]): Point => [x - frame[0], y - frame[1]]));
  const { image: read, leftOut: leftOutOf } = withoutPlaces(atRung(proper, resolution, as.rung ?? null), proper.width, outlines);
  const form = read === image && reduced ? reduced : reduceToLongSide(read, FORM_SIDE);
  const leftOut = leftOutOf(form);
  const lab = labPlanes(form);
  const palette = readPalette(form, lab.L, colours, leftOut);
  const entry = palette.ground === null ? null : palette.entries[palette.ground];
  const ground = entry && { hex: entry.hex, lab: entry.lab, share: entry.share };
  const tone = sheetToneOf(form, palette);
  const even = tone ? labPlanes(evened(form, tone, [0, 0, form.width, form.height], form.width, form.height)) : lab;
  const worked = workedArea(ground ? departure(even, ground.lab) : null, form.width, form.height);
  if (leftOut) for (let i = 0; i < worked.data.length; i++) if (leftOut.data[i]) worked.data[i] = 0;
  const mmPerPixel = widthMm === null ? null : widthMm / frame[2];
  return { frame, sharpness, widthMm, mmPerPixel, read, form, leftOut, lab, palette, ground, tone, worked, leftOutOf };
}

/** A prepared picture at mark size. */
export function markSheet({ read, widthMm, frame, mmPerPixel, leftOutOf }: Prepared): {
  image: RgbImage;
  scale: MarkScale;
  leftOut: Mask | null;
} {
  const { image } = markSize(read, widthMm === null ? null : widthMm / read.width);
  return { image, scale: { factor: frame[2] / image.width, pictureWidth: frame[2], mmPerPixel }, leftOut: leftOutOf(image) };
}

/** A picture with places left out filled from round them, and where they lie at any of its sizes; outlines in px of a picture `width` px wide. */
function withoutPlaces(image: RgbImage, width: number, outlines: readonly (readonly Point[])[]) {
  const leftOut = (at: RgbImage): Mask | null => {
    if (!outlines.length) return null;
    const k = at.width / width;
    const places = maskOf(
      outlines.map((o) => o.map(([x, y]): Point => [x * k, y * k])),
      at.width,
      at.height,
    );
    if (places.data.every((v) => v === 1)) throw new CoreError('allLeftOut');
    return places.data.some((v) => v === 1) ? places : null;
  };
  const here = leftOut(image);
  return { image: here ? filled(image, here) : image, leftOut };
}

/** Where the picture is worked or painted: not the ground's colour, or within the worked area. */
export function paintedPixels(palette: Palette, worked: Mask): Uint8Array {
  const { data } = worked;
  const { labels, ground } = palette;
  const out = new Uint8Array(data.length);
  for (let i = 0; i < out.length; i++) out[i] = labels[i] === LEFT_OUT || (labels[i] === ground && !data[i]) ? 0 : 1;
  return out;
}
