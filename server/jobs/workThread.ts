/** What runs in a worker thread: decoding, squaring up and measuring, away from the server's main thread. */
import { SAMPLE_HANDS } from '../../atelier/hands';
import { flattened } from '../../core/capture/flatten';
import { rectify } from '../../core/capture/rectify';
import { readSwatches } from '../../core/capture/swatchSheet';
import { CoreError } from '../../core/errors';
import { cropAndTurn } from '../../core/raster/crop';
import { sharpnessOf } from '../../core/raster/sharpness';
import { placer, registerLayouts } from '../../core/style/register';
import { measurePicture, ProfileWithMaps } from '../../core/style/profile';
import { compare, Comparison } from '../../core/style/compare';
import { labFromHex } from '../../core/colour/lab';
import { missInWords, mixerFor } from '../../core/colour/mixing';
import { lineSheet, partPicture } from '../../core/composition/lineSheet';
import { fitShapes } from '../../core/proportion/shapes';
import { cropImage } from '../../core/raster/image';
import { reduceToLongSide } from '../../core/raster/resample';
import { sentencesOf } from '../../words/languages';
import { speaker } from '../../words/say';
import { UserError } from '../errors';
import { drawReport } from '../exports/reportPdf';
import { drawSheets } from '../exports/sheetPdf';
import { installRoot } from '../root';
import { decodeUpright, encodeJpeg, encodePng, encodePreview, HARDLY_PRESSED } from '../pictures/decode';
import { photograph } from '../../core/capture/copyStand';
import type {
  CompareTask,
  DrawSampleTask,
  MadePicture,
  MeasureTask,
  PartsTask,
  RegisterTask,
  ReportTask,
  Results,
  SheetsTask,
  SquaredUp,
  SquareUpTask,
  StandPhotograph,
  StandTask,
  UserErrorData,
  UprightTask,
  WorkTask,
} from '../threads/tasks';

const PREVIEW_SIDE = 1400;

const buffer = (bytes: Uint8Array) => Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength);

async function measureTask(t: MeasureTask): Promise<ProfileWithMaps> {
  return measurePicture(await decodeUpright(buffer(t.bytes), t.name), t.options);
}

async function squareUpTask(t: SquareUpTask): Promise<SquaredUp> {
  const photo = await decodeUpright(buffer(t.bytes), t.name);
  const photoPreview = await encodePreview(photo, PREVIEW_SIDE);
  const squared = rectify(photo, { paper: t.paper, corners: t.corners ?? undefined, pxPerMm: t.pxPerMm });
  const picture = squared.image && {
    png: await encodePng(squared.image, HARDLY_PRESSED),
    preview: await encodePreview(squared.image, PREVIEW_SIDE),
    width: squared.image.width,
    height: squared.image.height,
  };
  return {
    corners: squared.corners,
    confidence: squared.confidence,
    falloff: squared.lighting.falloff,
    warnings: squared.warnings,
    picture,
    sharpness: squared.image && sharpnessOf(squared.image),
    photoPreview,
  };
}

async function uprightTask(t: UprightTask): Promise<MadePicture> {
  let image = await decodeUpright(buffer(t.bytes), t.name);
  if (t.crop) image = cropAndTurn(image, t.crop);
  if (t.flat) image = flattened(image, t.flat.corners, t.flat.ratio);
  return {
    png: await encodePng(image),
    preview: await encodePreview(image, PREVIEW_SIDE),
    width: image.width,
    height: image.height,
  };
}

async function compareTask(t: CompareTask): Promise<Comparison> {
  return compare(t.sources, t.piece, t.options);
}

async function standTask(t: StandTask): Promise<StandPhotograph> {
  const sheet = await decodeUpright(buffer(t.bytes), t.name);
  const photo = photograph(sheet, t.settings);
  return { jpeg: await encodeJpeg(photo.image, t.quality), corners: photo.corners };
}

const SAMPLE_PX_PER_MM = 4;

/** One of an invented hand's works as a PNG. */
async function drawSampleTask(t: DrawSampleTask): Promise<Uint8Array> {
  const hand = SAMPLE_HANDS.find((h) => h.key === t.hand)!;
  return encodePng((await hand.draw(hand.works[t.index], SAMPLE_PX_PER_MM)).image);
}

const PRINT_SIDE = 760;

/** The PDF drawn, its palette's recipes found, its pictures made small enough to print as their pages come. */
async function reportTask({ report, kit, progress }: ReportTask): Promise<Uint8Array> {
  const made = new Map<Uint8Array, Promise<Uint8Array>>();
  const forPrint = (bytes: Uint8Array): Promise<Uint8Array> => {
    const small = made.get(bytes) ?? decodeUpright(buffer(bytes), '').then((image) => encodePreview(image, PRINT_SIDE));
    made.set(bytes, small);
    return small;
  };
  const mix = once(() => (kit?.paints.length ? mixerFor(kit) : null));
  return drawReport(report, installRoot(), {
    forPrint,
    recipeFor: (hex) => {
      const best = mix()?.(hex).recipes[0];
      return best ? { hex: best.hex, parts: best.parts, miss: missInWords(labFromHex(hex), labFromHex(best.hex)) } : null;
    },
    onProgress: (now) => progress?.postMessage(now),
  });
}

/** Px along the long side of a picture that is drawn after, and of one cleaned to line. */
const [SOURCE_SIDE, LINES_SIDE] = [1500, 2200];

async function sheetsTask({ bytes, name, frame, fineness, file, voice }: SheetsTask): Promise<Uint8Array> {
  const marks = file.sheets.flatMap((s) => s.marks);
  const needs = (of: 'source' | 'lines') => marks.some((m) => m.kind === 'picture' && m.of === of);
  const picture = cropImage(await decodeUpright(buffer(bytes), name), frame);
  const lines = needs('lines') ? await encodePng(lineSheet(reduceToLongSide(picture, LINES_SIDE), fineness)) : null;
  const source = needs('source') ? await encodePreview(picture, SOURCE_SIDE) : null;
  return drawSheets(installRoot(), file, { source, lines }, speaker(await sentencesOf(voice), voice));
}

async function partsTask({ parts, as, file, voice }: PartsTask): Promise<Uint8Array> {
  const open = new Map<Uint8Array, ReturnType<typeof decodeUpright>>();
  const made: Record<string, Uint8Array> = {};
  for (const { key, bytes, name, outline } of parts) {
    const picture = open.get(bytes) ?? decodeUpright(buffer(bytes), name);
    open.set(bytes, picture);
    made[key] = await encodePng(partPicture(await picture, outline, as));
  }
  return drawSheets(installRoot(), file, made, speaker(await sentencesOf(voice), voice));
}

function registerTask({ source, piece }: RegisterTask): Results['register'] {
  const laid = registerLayouts(source, piece, 'copy');
  const place = placer(laid, source, piece);
  // Cells are told by their middles.
  const [w, h] = [source.width - 0.5, source.height - 0.5];
  return { correlation: laid.correlation, corners: [place(-0.5, -0.5), place(w, -0.5), place(-0.5, h)] };
}

/** What is made only when it is asked for, and then kept. */
function once<T>(make: () => T): () => T {
  let made: { value: T } | null = null;
  return () => (made ??= { value: make() }).value;
}

export default async function work(t: WorkTask): Promise<unknown> {
  try {
    return await carryOut(t);
  } catch (error) {
    if (error instanceof UserError)
      return { userError: { status: error.status, said: error.said, field: error.field } } satisfies UserErrorData;
    if (error instanceof CoreError) return { userError: { status: 400, said: error.said, field: null } } satisfies UserErrorData;
    throw error;
  }
}

async function carryOut(t: WorkTask): Promise<unknown> {
  switch (t.task) {
    case 'measure':
      return measureTask(t);
    case 'sharpness':
      return sharpnessOf(await decodeUpright(buffer(t.bytes), t.name));
    case 'square-up':
      return squareUpTask(t);
    case 'upright':
      return uprightTask(t);
    case 'compare':
      return compareTask(t);
    case 'stand':
      return standTask(t);
    case 'report':
      return reportTask(t);
    case 'register':
      return registerTask(t);
    case 'fit-shapes':
      return t.outlines.map((outline) => fitShapes(outline));
    case 'parts':
      return partsTask(t);
    case 'sheets':
      return sheetsTask(t);
    case 'draw-sample':
      return drawSampleTask(t);
    case 'read-swatches':
      return readSwatches(await decodeUpright(buffer(t.bytes), t.name), t.sheet, t.page);
  }
}
