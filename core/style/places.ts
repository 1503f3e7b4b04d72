/** Knows where in a picture lies what its profile tells of: each colour, warm and cool, edges, darks, bare lights, contrast, and the marks. */
import { isVividAccent, LEFT_OUT } from '../colour/palette';
import { temperatureAt } from '../colour/temperature';
import { focusOf, readValues, ValueStep } from '../colour/values';
import { Composition, readComposition } from '../composition/composition';
import { BareLight, bareLights } from '../composition/lights';
import { EDGE_HANDLINGS, readEdges } from '../marks/edges';
import { MarksWhere, marksIn } from '../marks/where';
import { coveringWindows } from '../marks/tiles';
import { Point, Rect, RgbImage } from '../raster/image';
import { keptOf } from '../raster/leftOut';
import { markSheet, paintedPixels, prepare, Prepared, ReadAs } from './prepare';

/** Places at form size: the picture proper at most 1024 px along its long side. */
export interface Places {
  /** The picture proper in the file's px. */
  frame: Rect;
  width: number;
  height: number;
  /** The palette's colours (accents are its vivid ones), and for every px which of them it is; 255 for what is left out. */
  colours: { hex: string; ground: boolean; accent: boolean }[];
  labels: Uint8Array;
  /** For every px the number of its temperature in `TEMPERATURES`; 255 for what is bare or left out. */
  temperature: Uint8Array;
  /** L* of every px, rounded. */
  lightness: Uint8Array;
  steps: ValueStep[];
  /** Points along borders between value steps: x and y by turns, and the number of how each is handled in `EDGE_HANDLINGS`. */
  edges: { at: Float32Array; handling: Uint8Array };
  /** Null where no bare sheet is seen. */
  lights: BareLight[] | null;
  /** The worked area as a whole; null where no bare sheet is seen, so that all of it is worked. */
  area: Composition | null;
  /** Where the strongest contrast lies, 0–1. */
  focus: Point;
  /** How many windows the marks are read in. */
  windows: number;
}

/** A picture ready to tell where things lie in it. */
export interface Placed {
  places: Places;
  /** The marks of one window, places in the file's px. */
  marks: (window: number) => MarksWhere;
}

/** All places of a picture; the marks when they are asked for, since they take longest. Deterministic. */
export function placesOf(image: RgbImage, as: ReadAs): Placed {
  const sheet = prepare(image, as);
  const { frame, form, lab, palette, leftOut, worked, ground, tone } = sheet;
  const mark = markSheet(sheet);
  const { steps } = readValues({ data: keptOf(lab.L.data, leftOut) }, 5);
  const { points } = readEdges(lab.L, mark.image, steps, leftOut);
  const windows = coveringWindows(mark.image.width, mark.image.height);
  return {
    places: {
      frame,
      width: form.width,
      height: form.height,
      colours: palette.entries.map((e) => ({ hex: e.hex, ground: e.ground, accent: isVividAccent(e) })),
      labels: palette.labels,
      temperature: temperaturesOf(sheet),
      lightness: Uint8Array.from(lab.L.data, (v) => Math.round(v)),
      steps,
      edges: {
        at: Float32Array.from(points.flatMap((p) => [p.at[0] + 0.5, p.at[1] + 0.5])),
        handling: Uint8Array.from(points, (p) => EDGE_HANDLINGS.indexOf(p.handling)),
      },
      lights: ground && bareLights(worked, leftOut),
      area: ground && readComposition(worked, leftOut),
      focus: focusOf(form, leftOut).at,
      windows: windows.length,
    },
    marks: (k) => shifted(marksIn(mark.image, windows[k], ground?.lab ?? null, tone, mark.leftOut, mark.scale.factor), frame),
  };
}

function temperaturesOf({ lab: { a, b }, palette, worked }: Prepared): Uint8Array {
  const painted = paintedPixels(palette, worked);
  const out = new Uint8Array(a.data.length);
  for (let i = 0; i < out.length; i++) {
    out[i] = painted[i] ? temperatureAt(a.data[i], b.data[i]) : LEFT_OUT;
  }
  return out;
}

/** Places of the picture proper in px of the file that it lies in. */
function shifted(marks: MarksWhere, [dx, dy]: Rect): MarksWhere {
  const move = (v: number, k: number, each: number) => v + (k % each === 0 ? dx : k % each === 1 ? dy : 0);
  return {
    ...marks,
    strokes: { ...marks.strokes, points: marks.strokes.points.map((v, k) => move(v, k, 2)) },
    ticks: marks.ticks.map((v, k) => move(v, k, 4)),
    tiles: marks.tiles.map((t) => ({ ...t, rect: [t.rect[0] + dx, t.rect[1] + dy, t.rect[2], t.rect[3]] })),
  };
}
