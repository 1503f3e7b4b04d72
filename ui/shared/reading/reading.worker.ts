/** Interactive readings, off the page's main thread: squint, value steps, the reading window, recipes. Same core, same pixels as on the server. */
import { expose, transfer } from 'comlink';
import { LaidAnswer, laidFor } from '../../../core/colour/laid';
import type { Material } from '../../../core/colour/materials';
import type { Kit } from '../../../core/colour/kit';
import { MixAnswer, mixerFor } from '../../../core/colour/mixing';
import { findWork } from '../../../core/capture/findWork';
import { frameOf } from '../../../core/capture/frame';
import { inMastersPalette, inMastersValues, Regrouped } from '../../../core/colour/regroup';
import { lightnessPlane } from '../../../core/colour/lab';
import { posterise, readValues, squint, ValueStep } from '../../../core/colour/values';
import { ShownReading } from '../../../core/marks/reading';
import { MarksWhere } from '../../../core/marks/where';
import { Fineness, lineSheet, PartAs, partPicture } from '../../../core/composition/lineSheet';
import { FoundAs, partAt } from '../../../core/composition/foundParts';
import { Landmarks } from '../../../core/proportion/align';
import { drawGhost, ghostMap } from '../../../core/proportion/ghost';
import { DrawnShape, Meeting, meetingsOf, readShapes, Whole, wholeOf } from '../../../core/proportion/shapeList';
import { FittedShape, fitShapes } from '../../../core/proportion/shapes';
import { nearestEdge } from '../../../core/proportion/snapping';
import { cropImage, Rect, RgbImage } from '../../../core/raster/image';
import { reduceToLongSide } from '../../../core/raster/resample';
import { Places, placesOf } from '../../../core/style/places';
import { ReadAs } from '../../../core/style/prepare';
import { measurePatch } from '../../../core/style/profile';
import { lately } from './lately';

async function decode(url: string): Promise<RgbImage> {
  const response = await fetch(url);
  if (!response.ok) throw new Error('The picture could not be fetched.');
  const bitmap = await createImageBitmap(await response.blob(), {
    colorSpaceConversion: 'none',
    premultiplyAlpha: 'none',
  });
  const canvas = new OffscreenCanvas(bitmap.width, bitmap.height);
  const context = canvas.getContext('2d', { willReadFrequently: true })!;
  context.drawImage(bitmap, 0, 0);
  const rgba = context.getImageData(0, 0, bitmap.width, bitmap.height).data;
  const data = new Uint8Array(bitmap.width * bitmap.height * 3);
  for (let i = 0, j = 0; i < rgba.length; i += 4, j += 3) {
    data[j] = rgba[i];
    data[j + 1] = rgba[i + 1];
    data[j + 2] = rgba[i + 2];
  }
  return { width: bitmap.width, height: bitmap.height, data };
}

/** A few pictures at a time: source and piece, and the ones looked at just before. */
const open = lately(4, (url: string) => url, decode);

/** A picture ready to tell where things lie in it; two are kept, source and piece. */
const placed = lately(
  2,
  (...from: [url: string, as: ReadAs]) => JSON.stringify(from),
  async (url, as) => placesOf(await open(url), as),
);

export interface ShownPicture {
  width: number;
  height: number;
  rgba: Uint8ClampedArray;
}

function shown(image: RgbImage): ShownPicture {
  const rgba = new Uint8ClampedArray(image.width * image.height * 4);
  for (let i = 0, j = 0; j < image.data.length; i += 4, j += 3) {
    rgba[i] = image.data[j];
    rgba[i + 1] = image.data[j + 1];
    rgba[i + 2] = image.data[j + 2];
    rgba[i + 3] = 255;
  }
  return transfer({ width: image.width, height: image.height, rgba }, [rgba.buffer]);
}

/** The mixer of the kit asked for last is kept: colour after colour is asked of one kit. */
const mixerOf = lately(1, (...of: [kit: Kit, sheet: string | null]) => JSON.stringify(of), mixerFor);

/** Strokes on grey, read once while a first picture is on its way: the loops are compiled by being run. */
const warmed = lately(
  1,
  () => '',
  () => {
    const side = 160;
    const data = Uint8Array.from({ length: 3 * side * side }, (_, i) => ((Math.floor(i / 3) % side) % 9 < 3 ? 60 : 200));
    measurePatch({ width: side, height: side, data }, [0, 0, side, side], null, { pictureWidth: side, mmPerPixel: null });
  },
);

/** Shapes that were fitted just before are asked for again with every change of their list. */
const fitted = lately(
  60,
  (outline: string) => outline,
  (outline) => fitShapes(JSON.parse(outline) as [number, number][]),
);

/** Px round a reach that an edge's softness is read from. */
const SNAP_MARGIN = 8;
/** A picture as a file of its own. */
function asPng(image: RgbImage): Promise<Blob> {
  const { width, height, rgba } = shown(image);
  const canvas = new OffscreenCanvas(width, height);
  canvas.getContext('2d')!.putImageData(new ImageData(new Uint8ClampedArray(rgba), width, height), 0, 0);
  return canvas.convertToBlob({ type: 'image/png' });
}

const SHOWN_SIDE = 900;
/** Corners found with less are no better than a guess. */
const SURE_CORNERS = 0.5;

const api = {
  /** Half-closed eyes: blur of `strength` thousandths of the long side, in linear light. */
  async squint(url: string, strength: number): Promise<ShownPicture> {
    return shown(squint(reduceToLongSide(await open(url), SHOWN_SIDE), (strength * SHOWN_SIDE) / 1000));
  },
  async values(url: string, steps: number): Promise<ShownPicture & { steps: ValueStep[] }> {
    const L = lightnessPlane(reduceToLongSide(await open(url), SHOWN_SIDE));
    const { steps: read } = readValues(L, steps);
    const picture = shown(posterise(L, read));
    return transfer({ ...picture, steps: read }, [picture.rgba.buffer]);
  },
  /** `properWidth` px of the picture proper are `widthMm`. */
  async patch(
    url: string,
    rect: Rect,
    ground: number[] | null,
    properWidth: number,
    widthMm: number | null,
  ): Promise<ShownReading & { ms: number }> {
    const opening = open(url);
    warmed();
    const image = await opening;
    const begun = performance.now();
    const shownReading = measurePatch(image, rect, ground, {
      pictureWidth: properWidth,
      mmPerPixel: widthMm === null ? null : widthMm / properWidth,
    });
    return { ...shownReading, ms: performance.now() - begun };
  },
  /** The edge of a form nearest to a place within a reach, all in px of the picture; null where there is none. */
  async edge(url: string, at: [number, number], reach: number): Promise<[number, number] | null> {
    const image = await open(url);
    const r = Math.ceil(reach) + SNAP_MARGIN;
    const [x0, y0] = [0, 1].map((k) => Math.max(0, Math.floor(at[k]) - r));
    const [w, h] = [Math.min(image.width - x0, 2 * r + 1), Math.min(image.height - y0, 2 * r + 1)];
    if (w < 4 || h < 4) return null;
    const found = nearestEdge(lightnessPlane(cropImage(image, [x0, y0, w, h])), [at[0] - x0, at[1] - y0], reach);
    return found && [x0 + found[0], y0 + found[1]];
  },
  /** The picture proper cleaned to line, as a PNG. */
  async lines(url: string, frame: Rect, fineness: Fineness): Promise<Blob> {
    return asPng(lineSheet(reduceToLongSide(cropImage(await open(url), frame), SHOWN_SIDE), fineness));
  },
  /** A part of a picture within its outline, px of it, as it will be printed, as a PNG. */
  async cleaned(url: string, outline: [number, number][] | null, as: PartAs): Promise<Blob> {
    return asPng(partPicture(await open(url), outline, as));
  },
  /** The basic shapes an outline is nearest to, best first. */
  async fit(outline: [number, number][]): Promise<FittedShape[]> {
    return fitted(JSON.stringify(outline));
  },
  /** What stops at what among the shapes of a picture, and what the whole does in its frame. */
  async relations(shapes: DrawnShape[], frame: Rect): Promise<{ meetings: Meeting[]; whole: Whole | null }> {
    const fits = await Promise.all(shapes.map(async (s) => [s.id, await fitted(JSON.stringify(s.outline))] as const));
    const read = readShapes(shapes, frame, new Map(fits));
    return { meetings: meetingsOf(read, frame), whole: wholeOf(read, frame) };
  },
  /** Outline of the part under a place, px of the picture; null where there is none of the kind. */
  async part(url: string, at: [number, number], as: FoundAs): Promise<[number, number][] | null> {
    return partAt(await open(url), at, as)?.map(([x, y]): [number, number] => [x, y]) ?? null;
  },
  /** Corners of a work in its photograph, where one is seen; px of it, from the upper left clockwise. */
  async corners(url: string): Promise<[number, number][] | null> {
    const found = findWork(await open(url));
    return found && found.confidence > SURE_CORNERS ? found.corners.map(([x, y]): [number, number] => [x, y]) : null;
  },
  /** The picture proper, without a mount or a scan's border; px. */
  async frame(url: string): Promise<[number, number, number, number]> {
    const [x, y, w, h] = frameOf(await open(url));
    return [x, y, w, h];
  },
  /** Where everything lies that a profile tells of, but the marks. */
  async places(url: string, as: ReadAs): Promise<Places> {
    return (await placed(url, as)).places;
  },
  /** The marks of one of the windows that cover the picture. */
  async marks(url: string, as: ReadAs, window: number): Promise<MarksWhere> {
    const marks = (await placed(url, as)).marks(window);
    return transfer(marks, [marks.strokes.points.buffer, marks.strokes.starts.buffer, marks.ticks.buffer]);
  },
  /** The reference bent so that `reference` points (px of a width × height frame) stand at `bent`; long side `side` px. */
  async ghost(
    url: string,
    frame: readonly [number, number],
    reference: Landmarks,
    bent: Landmarks,
    side: number,
  ): Promise<ShownPicture & { folded: number }> {
    const picture = reduceToLongSide(await open(url), side);
    const { image, folded } = drawGhost(picture, ghostMap(reference, bent, ...frame), frame);
    const made = shown(image);
    return transfer({ ...made, folded }, [made.rgba.buffer]);
  },
  /** The reference in the master's value steps. */
  async mastersValues(url: string, master: string, steps: number): Promise<ShownPicture & Pick<Regrouped, 'parts'>> {
    const [reference, theirs] = await Promise.all([open(url), open(master)]);
    const regrouped = inMastersValues(reduceToLongSide(reference, SHOWN_SIDE), reduceToLongSide(theirs, SHOWN_SIDE), steps);
    const made = shown(regrouped.image);
    return transfer({ ...made, parts: regrouped.parts }, [made.rgba.buffer]);
  },
  /** The reference in the master's palette. */
  async mastersPalette(
    url: string,
    palette: readonly { hex: string; share: number; accent: boolean }[],
  ): Promise<ShownPicture & Pick<Regrouped, 'parts'>> {
    const regrouped = inMastersPalette(reduceToLongSide(await open(url), SHOWN_SIDE), palette);
    const made = shown(regrouped.image);
    return transfer({ ...made, parts: regrouped.parts }, [made.rgba.buffer]);
  },
  async lay(target: string, materials: readonly Material[], sheet?: string): Promise<LaidAnswer> {
    return laidFor(target, materials, sheet);
  },
  /** `sheet` is what washes of a kit without white lie on; null for white paper. */
  async mix(target: string, kit: Kit, sheet: string | null): Promise<MixAnswer> {
    return mixerOf(kit, sheet)(target);
  },
};

export type ReadingApi = typeof api;
expose(api);
