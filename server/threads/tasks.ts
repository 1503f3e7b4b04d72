/** The tasks that worker threads carry out and what each gives back, as plain data. */
import type { MessagePort } from 'node:worker_threads';
import type { StandSettings } from '../../core/capture/copyStand';
import type { ReadSwatches, SwatchSheet } from '../../core/capture/swatchSheet';
import type { Kit } from '../../core/colour/kit';
import type { Fineness, PartAs } from '../../core/composition/lineSheet';
import type { Message } from '../../core/message';
import type { FittedShape } from '../../core/proportion/shapes';
import type { Crop } from '../../core/raster/crop';
import type { Comparison, CompareOptions, Measured } from '../../core/style/compare';
import type { Layout } from '../../core/style/layout';
import type { ProfileOptions, ProfileWithMaps } from '../../core/style/profile';
import type { Voice } from '../../words/say';
import type { UserError } from '../errors';
import type { ReportDocument } from './reportDocument';
import type { SheetFile } from './sheetFile';

export interface MeasureTask {
  task: 'measure';
  bytes: Uint8Array;
  name: string;
  options: ProfileOptions;
}

export interface SquareUpTask {
  task: 'square-up';
  bytes: Uint8Array;
  name: string;
  paper: [number, number];
  corners: [number, number][] | null;
  pxPerMm: number;
}

/** Share of a picture's px that carry detail. */
interface SharpnessTask {
  task: 'sharpness';
  bytes: Uint8Array;
  name: string;
}

export interface UprightTask {
  task: 'upright';
  bytes: Uint8Array;
  name: string;
  crop: Crop | null;
  /** Corners by which it is laid flat, and its width over its height where that is known. */
  flat: { corners: [number, number][]; ratio: number | null } | null;
}

export interface CompareTask {
  task: 'compare';
  sources: Measured[];
  piece: Measured;
  options: CompareOptions;
}

export interface StandTask {
  task: 'stand';
  bytes: Uint8Array;
  name: string;
  settings: StandSettings;
  quality: number;
}

export interface ReportTask {
  task: 'report';
  report: ReportDocument;
  /** The paints its palette is mixed from. */
  kit: Kit | null;
  /** Told how far it is. */
  progress?: MessagePort;
}

export interface DrawSampleTask {
  task: 'draw-sample';
  hand: string;
  index: number;
}

/** Reads one page of a painted swatch sheet in its photograph. */
interface ReadSwatchesTask {
  task: 'read-swatches';
  bytes: Uint8Array;
  name: string;
  sheet: SwatchSheet;
  page: number;
}

/** Sheets to draw on: the picture proper and what it is cleaned to, and all of it as a PDF. */
export interface SheetsTask {
  task: 'sheets';
  bytes: Uint8Array;
  name: string;
  /** The picture proper, px. */
  frame: [number, number, number, number];
  fineness: Fineness;
  file: SheetFile;
  voice: Voice;
}

/** One layout laid over another: how well they agree, and where three corners of the first come to lie, shares of the second. */
export interface RegisterTask {
  task: 'register';
  source: Layout;
  piece: Layout;
}

/** A part of a picture: within its outline, px of the file. */
export interface PartPicture {
  key: string;
  bytes: Uint8Array;
  name: string;
  outline: [number, number][] | null;
}

/** A sheet of parts, each cleaned to line or to three values, or as it is. */
export interface PartsTask {
  task: 'parts';
  parts: PartPicture[];
  as: PartAs;
  file: SheetFile;
  voice: Voice;
}

/** Basic shapes for outlines, best first. */
interface FitTask {
  task: 'fit-shapes';
  outlines: [number, number][][];
}

export type WorkTask =
  | FitTask
  | PartsTask
  | RegisterTask
  | SheetsTask
  | MeasureTask
  | SharpnessTask
  | SquareUpTask
  | UprightTask
  | CompareTask
  | StandTask
  | ReportTask
  | DrawSampleTask
  | ReadSwatchesTask;

export interface MadePicture {
  png: Uint8Array;
  preview: Uint8Array;
  width: number;
  height: number;
}

export interface SquaredUp {
  corners: [number, number][] | null;
  confidence: number;
  falloff: number;
  warnings: Message[];
  picture: MadePicture | null;
  /** Share of the squared-up picture's px that carry detail. */
  sharpness: number | null;
  photoPreview: Uint8Array;
}

export interface StandPhotograph {
  jpeg: Uint8Array;
  corners: [number, number][];
}

export interface Results {
  measure: ProfileWithMaps;
  sharpness: number;
  'square-up': SquaredUp;
  upright: MadePicture;
  compare: Comparison;
  stand: StandPhotograph;
  report: Uint8Array;
  'draw-sample': Uint8Array;
  'read-swatches': ReadSwatches;
  sheets: Uint8Array;
  parts: Uint8Array;
  'fit-shapes': FittedShape[][];
  register: { correlation: number; corners: [number, number][] };
}

/** A told error loses its class on the way between threads, so it travels as plain data. */
export interface UserErrorData {
  userError: { status: UserError['status']; said: Message; field: string | null };
}
