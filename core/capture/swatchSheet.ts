/**
 * Knows the swatch sheet: where each material's boxes, the corner marks and the neutral patch stand on the paper, and how a photograph of the painted
 * sheet is read back, box by box, against the bare paper round each.
 */
import { ciede2000 } from '../colour/difference';
import { labFromLinear } from '../colour/lab';
import { isLaid, isMixed, Material } from '../colour/materials';
import { hexFromLinear, Triple } from '../colour/srgb';
import { WHITE_PAPER } from '../colour/wash';
import { CoreError } from '../errors';
import { Message, message } from '../message';
import { components } from '../raster/components';
import { mask, Point, RgbImage } from '../raster/image';
import { median } from '../raster/statistics';
import { findSheet } from './findSheet';
import { applyHomography, fitHomography, Homography, rectangleCorners } from './homography';
import { resampleSheet } from './rectify';

/** x, y, width and height on the paper, mm from its upper left. */
type Place = [x: number, y: number, w: number, h: number];

interface SwatchBox {
  /** Which of the materials it is for. */
  material: number;
  /** Paint to white or water; null laid thick. */
  parts: [number, number] | null;
  at: Place;
}

interface SwatchPage {
  boxes: SwatchBox[];
  /** Where each material's name stands. */
  names: { material: number; at: [x: number, y: number] }[];
}

export interface SwatchSheet {
  paper: readonly [widthMm: number, heightMm: number];
  pages: SwatchPage[];
}

const MARK = 7;
/** From the paper's edge to the outer side of a mark. */
const MARK_IN = 9;
const BOX: [number, number] = [21, 15];
const [GAP, BETWEEN, NAME, TOP, BOTTOM, SIDE] = [3.5, 6, 4.5, 34, 24, 18];
/** A grey card of its own may be laid here, else the paper's white is all there is. */
export const NEUTRAL: Place = [SIDE, 19, 24, 11];

/** The four corner marks, clockwise from the upper left, which is a ring where the others are full. */
export const marksOn = ([w, h]: SwatchSheet['paper']): Place[] => [
  [MARK_IN, MARK_IN, MARK, MARK],
  [w - MARK_IN - MARK, MARK_IN, MARK, MARK],
  [w - MARK_IN - MARK, h - MARK_IN - MARK, MARK, MARK],
  [MARK_IN, h - MARK_IN - MARK, MARK, MARK],
];
/** Share of the ring's side that is bare inside. */
export const RING_INSIDE = 0.5;

/** What a material is painted in: thick, and let down as it is used. */
function askedOf(material: Pick<Material, 'kind' | 'name'>, white: string | null): ([number, number] | null)[] {
  if (isLaid(material.kind) || material.name === white) return [null];
  // In a kit that has a white everything is let down with it, since that is how its mixes are reckoned.
  if (white === null && material.kind === 'ink') return [null, [1, 1], [1, 3], [1, 7]];
  return white === null ? [null, [1, 2], [1, 6]] : [null, [1, 4]];
}

/** The sheet for a kit's colours, on as many pages as they need; a paper narrower than a row of boxes is refused. */
export function swatchSheet(
  materials: readonly Pick<Material, 'kind' | 'name' | 'masstone'>[],
  white: string | null,
  paper: SwatchSheet['paper'],
): SwatchSheet {
  const [w, h] = paper;
  const pages: SwatchPage[] = [];
  let page: SwatchPage | null = null;
  let [x, y] = [SIDE, TOP];
  materials.forEach((material, i) => {
    if (!isMixed(material.kind) && !isLaid(material.kind)) return;
    const asked = askedOf(material, white);
    const wide = asked.length * BOX[0] + (asked.length - 1) * GAP;
    if (wide > w - 2 * SIDE) throw new CoreError('paper.narrow');
    if (page && x + wide > w - SIDE) [x, y] = [SIDE, y + NAME + BOX[1] + BETWEEN];
    if (!page || y + NAME + BOX[1] > h - BOTTOM) {
      page = { boxes: [], names: [] };
      pages.push(page);
      [x, y] = [SIDE, TOP];
      if (y + NAME + BOX[1] > h - BOTTOM) throw new CoreError('paper.narrow');
    }
    page.names.push({ material: i, at: [x, y + NAME - 1.2] });
    asked.forEach((parts, k) => page!.boxes.push({ material: i, parts, at: [x + k * (BOX[0] + GAP), y + NAME, ...BOX] }));
    x += wide + BETWEEN;
  });
  return { paper, pages };
}

interface ReadBox extends SwatchBox {
  /** As it is beside the paper's white; null where nothing is painted. */
  hex: string | null;
  /** Median ΔE00 of its parts to the whole: how evenly it is laid. */
  spread: number;
}

export interface ReadSwatches {
  boxes: ReadBox[];
  /** Whether a grey card lay on the neutral patch. */
  card: boolean;
  warnings: Message[];
}

const PX_PER_MM = 4;
/** A mark is looked for so far from where it should be, mm; the sheet's own edge may be bent or cut. */
const REACH = 7;
/** Darker than this share of the paper round it is mark. */
const DARK = 0.45;
/** Bare paper in linear light: under this the photograph is too dark to tell darks apart, over that it is burnt out. */
const [LEAST_LIGHT, MOST_LIGHT] = [0.1, 0.985];
/** Ratio of red to blue on bare paper beyond which so little is left of one that colours cannot be set right. */
const MOST_CAST = 2.2;
const UNEVEN = 0.45;
/** As near to the bare paper as this, nothing is painted. */
const BARE = 2.5;
/** Linear light of an 18 % grey card. */
const CARD = 0.18;

/** A squared-up sheet in linear light, told by mm. */
interface Squared {
  width: number;
  height: number;
  linear: Float32Array;
}

function square(photo: RgbImage, toPhoto: Homography, [w, h]: SwatchSheet['paper']): Squared {
  const [width, height] = [Math.round(w * PX_PER_MM), Math.round(h * PX_PER_MM)];
  return { width, height, linear: resampleSheet(photo, toPhoto, width, height) };
}

/** Values of one channel within a place; `step` px apart. */
function valuesIn({ width, height, linear }: Squared, [x, y, w, h]: Place, channel: number, step = 1): number[] {
  const out: number[] = [];
  const [x0, x1] = [Math.max(0, Math.round(x * PX_PER_MM)), Math.min(width, Math.round((x + w) * PX_PER_MM))];
  const [y0, y1] = [Math.max(0, Math.round(y * PX_PER_MM)), Math.min(height, Math.round((y + h) * PX_PER_MM))];
  for (let v = y0; v < y1; v += step) for (let u = x0; u < x1; u += step) out.push(linear[3 * (v * width + u) + channel]);
  return out;
}

const colourIn = (sheet: Squared, place: Place, step = 1): Triple =>
  [0, 1, 2].map((c) => median(valuesIn(sheet, place, c, step))) as Triple;

/** The middle of the mark near where it should be, mm, and whether it is the ring; null where no dark of its size is there. */
function markNear(sheet: Squared, [mx, my, m]: Place): { at: Point; ring: boolean } | null {
  const { width, height, linear } = sheet;
  const [x0, y0] = [Math.max(0, Math.round((mx - REACH) * PX_PER_MM)), Math.max(0, Math.round((my - REACH) * PX_PER_MM))];
  const [x1, y1] = [Math.min(width, Math.round((mx + m + REACH) * PX_PER_MM)), Math.min(height, Math.round((my + m + REACH) * PX_PER_MM))];
  const green = (x: number, y: number) => linear[3 * (y * width + x) + 1];
  const lights: number[] = [];
  for (let y = y0; y < y1; y += 2) for (let x = x0; x < x1; x += 2) lights.push(green(x, y));
  lights.sort((a, b) => a - b);
  const paper = lights[Math.floor(0.8 * lights.length)];
  const dark = mask(x1 - x0, y1 - y0);
  for (let y = y0; y < y1; y++)
    for (let x = x0; x < x1; x++) if (green(x, y) <= DARK * paper) dark.data[(y - y0) * dark.width + x - x0] = 1;
  // The largest dark that does not run out of the window: the table beside the sheet does.
  const [best] = components(dark)
    .list.filter((c) => !c.touchesEdge)
    .sort((a, b) => b.area - a.area);
  if (!best) return null;
  const [left, top, right, bottom] = best.box;
  const [bw, bh] = [right - left + 1, bottom - top + 1];
  if ([bw, bh].some((side) => Math.abs(side / PX_PER_MM - m) > 0.35 * m)) return null;
  // Middles of px lie half a px from their corners.
  const [cx, cy] = [x0 + best.centre[0] + 0.5, y0 + best.centre[1] + 0.5];
  const ring = green(Math.round(cx), Math.round(cy)) > DARK * paper;
  return best.area / (bw * bh) < 0.5 ? null : { at: [cx / PX_PER_MM, cy / PX_PER_MM], ring };
}

/** Where the paper's own mm lie in the photograph, by its edges first and then by its marks. */
function placed(photo: RgbImage, paper: SwatchSheet['paper']): Squared {
  const [w, h] = paper;
  const seen = findSheet(photo, Math.max(w, h) / Math.min(w, h));
  if (!seen) throw new CoreError('swatches.noSheet');
  const size: [number, number] = [Math.round(w * PX_PER_MM), Math.round(h * PX_PER_MM)];
  const marks = marksOn(paper);
  // The sheet may lie any way up: the ring says which.
  for (let turn = 0; turn < 4; turn++) {
    const corners = [0, 1, 2, 3].map((k) => seen.corners[(k + turn) % 4]);
    const long = (i: number) => Math.hypot(corners[(i + 1) % 4][0] - corners[i][0], corners[(i + 1) % 4][1] - corners[i][1]);
    const upright = w > h === long(0) + long(2) > long(1) + long(3);
    if (!upright && Math.max(w, h) / Math.min(w, h) > 1.02) continue;
    const toPhoto = fitHomography(rectangleCorners(...size), corners);
    const lying = square(photo, toPhoto, paper);
    const found = marks.map((m) => markNear(lying, m));
    if (!found.every((f) => f !== null)) continue;
    if (!found[0].ring || found.slice(1).some((f) => f.ring)) continue;
    // From the marks' middles, where they truly lie, to where they should.
    const should = marks.map(([x, y, m]): Point => [(x + m / 2) * PX_PER_MM, (y + m / 2) * PX_PER_MM]);
    const inPhoto = found.map(({ at: [u, v] }) => applyHomography(toPhoto, [u * PX_PER_MM, v * PX_PER_MM]));
    return square(photo, fitHomography(should, inPhoto), paper);
  }
  throw new CoreError('swatches.noMarks');
}

/** Bare paper just outside a box, on its two long sides. */
function paperRound(sheet: Squared, [x, y, w, h]: Place): Triple {
  const strips: Place[] = [
    [x + 2, y + h + 0.9, w - 4, 1.6],
    [x + w + 0.9, y + 2, 1.6, h - 4],
    [x - 2.5, y + 2, 1.6, h - 4],
  ];
  return [0, 1, 2].map((c) => median(strips.flatMap((s) => valuesIn(sheet, s, c)))) as Triple;
}

const CELLS = 5;

/** Reads one page of a painted sheet. Throws CoreError where the photograph cannot be used, saying why. */
export function readSwatches(photo: RgbImage, { paper, pages }: SwatchSheet, page: number): ReadSwatches {
  const sheet = placed(photo, paper);
  const boxes = pages[page].boxes;
  const whites = boxes.map((b) => paperRound(sheet, b.at));
  const light = whites.map((w) => 0.2126 * w[0] + 0.7152 * w[1] + 0.0722 * w[2]);
  if (median(light) < LEAST_LIGHT) throw new CoreError('swatches.dark');
  if (median(whites.map((w) => Math.max(...w))) > MOST_LIGHT) throw new CoreError('swatches.burnt');
  const cast = median(whites.map((w) => w[0] / w[2]));
  if (cast > MOST_CAST || cast < 1 / MOST_CAST) throw new CoreError(cast > 1 ? 'swatches.warm' : 'swatches.blue');
  const warnings: Message[] = [];
  if (Math.min(...light) / Math.max(...light) < 1 - UNEVEN) warnings.push(message('swatches.uneven'));
  // A card tells what white is; else the paper round each box is taken for white paper.
  const [nx, ny, nw, nh] = NEUTRAL;
  const inside: Place = [nx + 3, ny + 3, nw - 6, nh - 6];
  const neutral = colourIn(sheet, inside);
  const beside = paperRound(sheet, NEUTRAL);
  const card = neutral.every((v, c) => v < 0.6 * beside[c]);
  const paperAs = card ? (beside.map((v, c) => (CARD * v) / neutral[c]) as Triple) : WHITE_PAPER;
  const read = boxes.map((box, i): ReadBox => {
    const [x, y, w, h] = box.at;
    const core: Place = [x + 0.2 * w, y + 0.2 * h, 0.6 * w, 0.6 * h];
    const right = (seen: Triple): Triple => seen.map((v, c) => (v / whites[i][c]) * paperAs[c]) as Triple;
    const whole = labFromLinear(...right(colourIn(sheet, core)));
    const cells: number[] = [];
    for (let v = 0; v < CELLS; v++)
      for (let u = 0; u < CELLS; u++) {
        const cell: Place = [core[0] + (u * core[2]) / CELLS, core[1] + (v * core[3]) / CELLS, core[2] / CELLS, core[3] / CELLS];
        cells.push(ciede2000(whole, labFromLinear(...right(colourIn(sheet, cell)))));
      }
    const bare = ciede2000(whole, labFromLinear(...paperAs)) < BARE;
    return { ...box, hex: bare ? null : hexFromLinear(right(colourIn(sheet, core))), spread: median(cells) };
  });
  return { boxes: read, card, warnings };
}
