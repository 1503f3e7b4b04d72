/** Knows how to read mark-making: of one patch, and of a whole picture's worked part from windows spread over it. */
import { SheetTone } from '../colour/sheetTone';
import { Mask, mask, Point, Rect, RgbImage } from '../raster/image';
import { putAway } from '../raster/kernels/closeUp';
import { axialDifference, clamp, mean, median, medianError, quantile, standardDeviation, weightedQuantile } from '../raster/statistics';
import { amongThemselves } from './among';
import { crossingOf, gatherEvidence } from './evidence';
import { chanceOf, CROSSED, decideKind, DRAWN, EVEN, HATCHED, isLikely, MARK_KINDS, MarkKind, ONE_WAY, STROKES, weighKinds } from './kinds';
import { addCourses, coursesOf, crossingAmong } from './crossing';
import { distributionsOf, MarkDistributions } from './distributions';
import { readWidths, WidthReading } from './lineWidth';
import { axialMean, Direction, principalDirections } from './orientation';
import { Across, wayAcross } from './spacing';
import { censoredQuantile, Stroke } from './strokes';
import { SURFACE_BANDS, SurfaceBand, SurfaceEnergy, surfaceOf } from './surface';
import { textureOf, TextureSums, textureSums } from './texture';
import { chooseWindows, tileAt, TilePlaces, tilePlaces, TileReading, tilesOf, wholeOf, widened, workWindow } from './tiles';
import { packStrokes, Traced } from './traced';
import { Workup, workUp } from './workup';

interface Size {
  px: number;
  mm: number | null;
  permille: number;
}

export interface Reading {
  /** Null where it cannot be told. */
  kind: MarkKind | null;
  confidence: number;
  directions: Direction[];
  coherence: number;
  crossing: number | null;
  spacing: (Size & { variation: number }) | null;
  lineWidth: (Size & { thin: number; thick: number }) | null;
  strokeLength: (Size & { short: number; long: number }) | null;
  straightness: number | null;
  coverage: number;
}

/** How pixels of the worked raster relate to the picture and to the sheet. */
export interface MarkScale {
  /** Picture pixels per worked pixel, 1 or more. */
  factor: number;
  /** Width of the whole picture in its own pixels. */
  pictureWidth: number;
  mmPerPixel: number | null;
}

function size(px: number, scale: MarkScale): Size {
  const own = px * scale.factor;
  return {
    px: own,
    mm: scale.mmPerPixel === null ? null : own * scale.mmPerPixel,
    permille: (1000 * own) / scale.pictureWidth,
  };
}

/** Strokes of which it can be told how long they are or are at least, each met once however long, at their full length. */
function longEnough(strokes: readonly Stroke[], width: Pick<WidthReading, 'px'> | null): Stroke[] {
  // Thinning eats about half a width at each end.
  const ends = width ? width.px : 2;
  const long: Stroke[] = [];
  for (const s of strokes) if (s.begun && s.length >= Math.max(8, 2.5 * ends)) long.push({ ...s, length: s.length + ends });
  return long;
}

const uncut = (strokes: readonly Stroke[]): Stroke[] => strokes.filter((s) => !s.cut);

/** From strokes that are long enough. */
function lengthReading(long: readonly Stroke[], scale: MarkScale): Pick<Reading, 'strokeLength' | 'straightness'> {
  const free = uncut(long);
  if (free.length < 5) return { strokeLength: null, straightness: long.length >= 5 ? median(long.map((s) => s.straightness)) : null };
  const [short, middle, most] = [0.1, 0.5, 0.9].map((q) => censoredQuantile(long, q));
  return {
    strokeLength: { ...size(middle, scale), short: short * scale.factor, long: most * scale.factor },
    straightness: median(free.map((s) => s.straightness)),
  };
}

/** A patch's reading, and what it was read from. */
export interface ShownReading {
  reading: Reading;
  distributions: MarkDistributions;
  /** Strokes traced, px of the picture. */
  strokes: Traced;
}

/** Mark reading of one patch, already cut out; at least 16 px each way, else the sizes are null. */
export const readPatch = (image: RgbImage, ground: readonly number[] | null, scale: MarkScale): Reading =>
  patchOf(image, ground, scale).reading;

/** The same with what it was read from; `corner` is where the patch lies in the picture, px of it. */
export function showPatch(image: RgbImage, ground: readonly number[] | null, scale: MarkScale, corner: Point): ShownReading {
  const at: Point = [corner[0] / scale.factor, corner[1] / scale.factor];
  const { reading, work, evidence, strokes, long, width } = patchOf(image, ground, scale);
  const angle = reading.spacing && evidence.directions[0]?.angle;
  const gathered = {
    density: reading.directions.length ? evidence.density : new Float64Array(180),
    strokes: reading.strokeLength || reading.straightness !== null ? long : [],
    widths: reading.lineWidth && width ? width.each : [],
    gaps: reading.spacing ? evidence.spacing!.gaps : [],
    across: typeof angle === 'number' ? wayAcross(work.depart, wholeOf(work), angle) : null,
  };
  return {
    reading,
    distributions: distributionsOf(gathered, scale.factor, at),
    strokes: packStrokes(reading.lineWidth || reading.strokeLength ? strokes : [], at, scale.factor),
  };
}

function patchOf(image: RgbImage, ground: readonly number[] | null, scale: MarkScale) {
  const work = workUp(image, ground);
  const [e] = gatherEvidence(work, [wholeOf(work)]);
  const belief = weighKinds(e);
  const lined = isLikely(belief, STROKES);
  const width = isLikely(belief, DRAWN) ? readWidths(work.depart, work.skeleton, work.lines, work.field) : null;
  const spacing = isLikely(belief, HATCHED) ? e.spacing : null;
  const strokes = isLikely(belief, ONE_WAY) ? work.follow() : work.strokes;
  const long = lined ? longEnough(strokes, width) : [];
  putAway();
  const directions = lined ? e.directions : e.directions.filter(() => e.coherence > 0.15 && !isLikely(belief, EVEN));
  const reading: Reading = {
    ...decideKind(belief),
    directions,
    coherence: clamp(e.coherence, 0, 1),
    crossing: (isLikely(belief, CROSSED) ? crossingAmong(coursesOf(work.strokes)) : null) ?? crossingOf(directions),
    spacing: spacing && { ...size(spacing.px, scale), variation: spacing.variation },
    lineWidth: lined && width ? { ...size(width.px, scale), thin: width.thin * scale.factor, thick: width.thick * scale.factor } : null,
    ...lengthReading(long, scale),
    coverage: clamp(e.coverage, 0, 1),
  };
  return { reading, work, evidence: e, strokes, long, width };
}

const ENOUGH_STROKES = 500;

export interface OverallMarks {
  reading: Reading;
  /** Share of the worked area under each kind; null where too few places were read. */
  shares: (Record<MarkKind, number> & { untold: number }) | null;
  /** Kinds and how finished the place is (0 untouched), where they were read, centres 0–1 of the picture, for the map. */
  map: { x: number; y: number; kind: MarkKind | null; detail: number }[];
  /** Sampling error of each number as its windows or strokes show it: of the mean for direction and coverage, of the median for straightness and evenness, of one window for sizes. */
  spread: {
    spacing: number | null;
    spacingVariation: number | null;
    lineWidth: number | null;
    strokeLength: number | null;
    straightness: number | null;
    direction: number | null;
    coverage: number;
  };
  /** Root mean square by band beside the strokes, Lab units; and its standard deviation over windows. */
  surface: { mean: Record<SurfaceBand, number>; spread: Record<SurfaceBand, number> } | null;
  /** How the worked part looks close to, by flat names, with the error its windows show. */
  texture: ReturnType<typeof textureOf>;
  /** How the single strokes are spread. */
  distributions: MarkDistributions;
  /** Least and most worked tile, as shares of the fine detail. */
  finish: number | null;
}

/** Share of the worked area that must be hatched before the whole picture has a spacing, and be in strokes before they are told of. */
const [LEAST_HATCHED, LEAST_STROKED] = [0.08, 0.15];

/** How far evenness may be off that was read at fewer than five places. */
const FEW_VARIATIONS = 0.1;

/** Fewer strokes than this in a whole picture say nothing of how it is drawn. */
const LEAST_STROKES = 20;

/** Fewer worked tiles than this say nothing of what shares the kinds have in a picture, and how its strokes run. */
const LEAST_TILES = 8;

/** How far a stroke of the hatching may lean from its tile's direction; outlines and crossing strokes lean farther. */
const ASTRAY = 20;

/** Is this a stroke that can be followed: of a tile hatched in one direction, and running its way? */
function followed({ points }: Stroke, places: TilePlaces): boolean {
  const near = tileAt(places, points[points.length >> 1]);
  if (!near.oneWay) return false;
  const [a, b] = [points[0], points[points.length - 1]];
  const lean = (Math.atan2(a[1] - b[1], b[0] - a[0]) * 180) / Math.PI;
  return Math.abs(axialDifference(lean, near.evidence.meanAngle)) < ASTRAY;
}

/** Where strokes side by side are so nearly as likely as not, their lengths are read both ways. */
const UNCLEAR = 0.15;

/** Lengths of strokes that neither another nor the window cuts off, px. */
function freeLengths(strokes: readonly Stroke[]): number[] {
  const out: number[] = [];
  for (const s of strokes) if (!s.cut && s.length > 8) out.push(s.length);
  return out;
}

/** Logarithm of how many times a window's length changes when its strokes are, or are not, followed over the hollows of the paper; 0 where it is clear which. */
function lengthDoubt(tiles: readonly TileReading[], { strokes, follow }: Workup, own: number): number {
  const chance = Math.max(...tiles.map((t) => chanceOf(t.belief, ONE_WAY)));
  if (Math.abs(chance - 0.5) > UNCLEAR) return 0;
  const other = freeLengths(chance > 0.5 ? strokes : follow());
  return other.length > 5 ? Math.abs(Math.log(median(other) / own)) : 0;
}

/** Spread of the lengths of windows, px: how they differ, and how otherwise they could be read; null where neither shows. */
function lengthSpread({ length, lengthDoubt: doubt }: WindowReadings): number | null {
  const among = rangeSpread(length);
  const either = length.length ? 0.5 * mean(doubt) * median(length) : 0;
  return among === null && !either ? null : Math.hypot(among ?? 0, either);
}

/** Spread of the weighted values as a standard deviation from the 16–84 % range; null with fewer than 3. */
function rangeSpread(values: readonly number[]): number | null {
  return values.length < 3 ? null : (quantile(values, 0.84) - quantile(values, 0.16)) / 2;
}

interface WindowReadings {
  gaps: number[];
  /** The way across the strokes that crossed most of them, px of the worked raster. */
  across: Across | null;
  spacing: number[];
  variation: number[];
  width: WidthReading[];
  weight: number[];
  angle: number[];
  length: number[];
  lengthDoubt: number[];
  /** Courses of the strokes where they cross, px by degrees. */
  courses: Float64Array;
}

function surfaceReading(surfaces: readonly SurfaceEnergy[]): OverallMarks['surface'] {
  const mean = surfaceOf(surfaces);
  if (!mean) return null;
  const each = surfaces.flatMap((s) => surfaceOf([s], 500) ?? []);
  const spread = { ...mean };
  for (const band of SURFACE_BANDS)
    spread[band] = each.length > 2 ? standardDeviation(each.map((e) => e[band])) / Math.sqrt(each.length) : 0.3 * mean[band];
  return { mean, spread };
}

/** Reads the worked part of a whole mark-size picture, less what is left out, on a sheet whose tone may change. Deterministic; at most 18 windows of some 384 px. */
export function readOverall(
  image: RgbImage,
  ground: readonly number[] | null,
  scale: MarkScale,
  leftOut: Mask | null = null,
  tone: SheetTone | null = null,
): OverallMarks {
  const tiles: TileReading[] = [];
  const density = new Float64Array(180);
  const lineDensity = new Float64Array(180);
  const strokes: Stroke[] = [];
  const surfaces: SurfaceEnergy[] = [];
  const textures: TextureSums[] = [];
  const windows: WindowReadings = {
    gaps: [],
    across: null,
    spacing: [],
    variation: [],
    width: [],
    weight: [],
    angle: [],
    length: [],
    lengthDoubt: [],
    courses: new Float64Array(180),
  };
  for (const rect of chooseWindows(image.width, image.height)) {
    const work = workWindow(image, rect, ground, tone);
    const windowTiles = widened(work, tilesOf(work, rect, image.width, image.height, leftOut));
    if (!windowTiles.length) continue;
    tiles.push(...windowTiles);
    surfaces.push(work.surface);
    textures.push(textureSums(work.build.close, workedIn(work, rect, leftOut)));
    const lined = windowTiles.filter((t) => t.stroked).length / windowTiles.length;
    if (!lined) continue;
    // Directions and lengths are those of the hatching: outlines, horizons and masts run their own ways.
    const hatchedTiles = windowTiles.filter((t) => t.stroked && !t.single);
    for (const t of hatchedTiles.length ? hatchedTiles : windowTiles.filter((t) => t.single)) {
      const into = hatchedTiles.length ? density : lineDensity;
      for (let k = 0; k < into.length; k++) into[k] += t.evidence.density[k];
      if (hatchedTiles.length) windows.angle.push(t.evidence.meanAngle);
    }
    const width = readWidths(work.depart, work.skeleton, work.lines, work.field);
    if (width) {
      windows.width.push(width);
      windows.weight.push(lined);
    }
    for (const t of windowTiles)
      if (t.evidence.spacing && t.hatched) {
        windows.gaps.push(...t.evidence.spacing.gaps);
        windows.spacing.push(t.evidence.spacing.px);
        windows.variation.push(t.evidence.spacing.variation);
      }
    windows.across = clearer(windows.across, acrossIn(work, windowTiles, rect));
    const places = tilePlaces(windowTiles, rect, image.width, image.height);
    if (windowTiles.some((t) => t.crossed)) addCourses(windows.courses, work.strokes, places);
    // Some hundreds of strokes say how long they are.
    if (strokes.length >= ENOUGH_STROKES) continue;
    const oneWay = windowTiles.some((t) => t.oneWay);
    const seen = oneWay ? work.follow() : work.strokes;
    const clear: Stroke[] = [];
    for (const s of seen) if (followed(s, places)) clear.push(s);
    strokes.push(...(clear.length >= 12 ? clear : seen));
    const free = freeLengths(seen);
    if (free.length <= 5) continue;
    const middle = median(free);
    windows.length.push(middle);
    windows.lengthDoubt.push(lengthDoubt(windowTiles, work, middle));
  }
  putAway();
  return summarise(amongThemselves(tiles), density.some((v) => v > 0) ? density : lineDensity, strokes, windows, surfaces, textures, scale);
}

/** The way across a window's strokes in the tile where most of them are counted. */
function acrossIn({ depart }: Workup, tiles: readonly TileReading[], [ox, oy]: Rect): Across | null {
  const counted = (t: TileReading) => (t.hatched && t.evidence.directions.length ? (t.evidence.spacing?.gaps.length ?? 0) : 0);
  const most = tiles.reduce((best, t) => (counted(t) > counted(best) ? t : best), tiles[0]);
  if (!counted(most)) return null;
  const { rect, evidence } = most;
  const across = wayAcross(depart, [rect[0] - ox, rect[1] - oy, rect[2], rect[3]], evidence.directions[0].angle);
  const move = ([x, y]: Point): Point => [x + ox, y + oy];
  return across && { ...across, from: move(across.from), to: move(across.to) };
}

const clearer = (a: Across | null, b: Across | null): Across | null => (a && b ? (b.crests.length > a.crests.length ? b : a) : (a ?? b));

/** What of a window is worked and not left out. */
function workedIn({ worked }: Workup, [ox, oy]: Rect, leftOut: Mask | null): Mask {
  if (!leftOut) return worked;
  const { width, height } = worked;
  const out = mask(width, height);
  for (let y = 0, i = 0; y < height; y++)
    for (let x = 0; x < width; x++, i++) out.data[i] = leftOut.data[(oy + y) * leftOut.width + ox + x] ? 0 : worked.data[i];
  return out;
}

function summarise(
  tiles: readonly TileReading[],
  density: Float64Array,
  strokes: readonly Stroke[],
  windows: WindowReadings,
  surfaces: readonly SurfaceEnergy[],
  textures: readonly TextureSums[],
  scale: MarkScale,
): OverallMarks {
  const worked = tiles.reduce((s, t) => s + t.area, 0);
  const shares = { ...(Object.fromEntries(MARK_KINDS.map((k) => [k, 0])) as Record<MarkKind, number>), untold: 0 };
  const sure = { ...shares };
  for (const t of tiles) {
    if (!t.area) continue;
    shares[t.kind ?? 'untold'] += t.area / worked;
    if (t.kind) sure[t.kind] += (t.confidence * t.area) / worked;
  }
  let kind: MarkKind | null = worked > 0 ? null : 'blank';
  if (worked > 0) for (const k of MARK_KINDS) if (shares[k] > (kind ? shares[kind] : 0)) kind = k;
  // What most of a picture is cannot be told where most of it cannot be.
  if (kind && shares.untold > Math.max(0.5, shares[kind])) kind = null;
  const shareThat = (is: (t: TileReading) => boolean) => active.reduce((s, t) => s + (is(t) ? t.area / worked : 0), 0);
  const active = tiles.filter((t) => t.area);
  const coverages = active.map((t) => t.evidence.coverage);
  const coverage = active.length ? active.reduce((s, t) => s + t.evidence.coverage * t.area, 0) / worked : 0;
  // What few strokes a picture of tones seems to hold are its rims and its grain.
  const stroked = active.length >= LEAST_TILES && shareThat((t) => t.stroked) >= LEAST_STROKED;
  const directions = stroked ? principalDirections(density) : [];
  const angles = Float64Array.from({ length: 180 }, (_, i) => i + 0.5);
  const { angle: meanAngle, resultant } = axialMean(angles, density);
  const spread =
    windows.angle.length > 2
      ? standardDeviation(windows.angle.map((a) => ((a - meanAngle + 270) % 180) - 90)) / Math.sqrt(windows.angle.length)
      : null;
  const width =
    stroked && windows.width.length
      ? (['px', 'thin', 'thick'] as const).map((k) =>
          weightedQuantile(
            windows.width.map((x) => x[k]),
            windows.weight,
            0.5,
          ),
        )
      : null;
  const widthReading = width && { px: width[0], thin: width[1], thick: width[2] };
  const long = stroked && strokes.length >= LEAST_STROKES ? longEnough(strokes, widthReading) : [];
  const followedStrokes = lengthReading(long, scale);
  // A few hatched places in a picture of washes say nothing of how the whole is hatched.
  const spacing = windows.spacing.length >= 2 && shareThat((t) => t.hatched) >= LEAST_HATCHED ? median(windows.spacing) : null;
  const detail = active.map((t) => t.detail);
  const own = (v: number | null) => (v === null ? null : v * scale.factor);
  return {
    reading: {
      kind,
      confidence: !(worked > 0) ? 0.9 : kind ? clamp(sure[kind] / shares[kind], 0, 0.99) : clamp(1 - shares.untold, 0, 0.39),
      directions,
      coherence: clamp(resultant, 0, 1),
      crossing: shareThat((t) => t.crossed) >= LEAST_HATCHED ? crossingAmong(windows.courses) : null,
      spacing: spacing === null ? null : { ...size(spacing, scale), variation: median(windows.variation) },
      lineWidth: widthReading && {
        ...size(widthReading.px, scale),
        thin: widthReading.thin * scale.factor,
        thick: widthReading.thick * scale.factor,
      },
      ...followedStrokes,
      coverage: clamp(coverage, 0, 1),
    },
    shares: active.length >= LEAST_TILES ? shares : null,
    map: tiles.map((t) => ({ x: t.centre[0], y: t.centre[1], kind: t.kind, detail: t.detail })),
    spread: {
      spacing: own(rangeSpread(windows.spacing)),
      spacingVariation: spacing === null ? null : (medianError(windows.variation) ?? FEW_VARIATIONS),
      lineWidth: own(rangeSpread(windows.width.map((w) => w.px))),
      strokeLength: own(lengthSpread(windows)),
      straightness: followedStrokes.straightness === null ? null : medianError(uncut(long).map((s) => s.straightness)),
      direction: spread,
      coverage: standardDeviation(coverages) / Math.sqrt(Math.max(1, coverages.length)),
    },
    surface: surfaceReading(surfaces),
    texture: textureOf(textures),
    distributions: distributionsOf(
      {
        density: directions.length ? density : new Float64Array(180),
        strokes: followedStrokes.strokeLength ? long : [],
        widths: widthReading ? windows.width.flatMap((w) => w.each) : [],
        gaps: spacing === null ? [] : windows.gaps,
        across: spacing === null ? null : windows.across,
      },
      scale.factor,
      [0, 0],
    ),
    finish: detail.length > 3 ? quantile(detail, 0.9) - quantile(detail, 0.1) : null,
  };
}
