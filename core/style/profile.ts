/** Knows how to take a whole picture apart into its profile: the readings, and the flat features drawn from them. */
import { CoreError } from '../errors';
import { typed } from '../message';
import { ciede2000 } from '../colour/difference';
import { labPlanes, LabPlanes } from '../colour/lab';
import { evened, sheetToneOf } from '../colour/sheetTone';
import { LEFT_OUT, Palette, PaletteEntry, readPalette } from '../colour/palette';
import { temperatureShares, TemperatureShares } from '../colour/temperature';
import { focusOf, readValues, Values } from '../colour/values';
import { Composition, readComposition, workedArea } from '../composition/composition';
import { EdgeShares, readEdges } from '../marks/edges';
import { departure } from '../marks/ink';
import { MARK_KINDS } from '../marks/kinds';
import { Direction } from '../marks/orientation';
import { MarkScale, OverallMarks, Reading, readOverall, readPatch } from '../marks/reading';
import { colourSlack } from '../marks/slack';
import { SURFACE_BANDS } from '../marks/surface';
import { TEXTURE_NAMES } from '../marks/texture';
import { LandmarkSet, Proportion, proportionsOf } from '../proportion/measures';
import { frameOf } from '../capture/frame';
import { cropImage, Mask, Point, Rect, rectInside, RgbImage } from '../raster/image';
import { filled, keptOf, maskOf } from '../raster/leftOut';
import { reduceToLongSide } from '../raster/resample';
import { sharpnessOf } from '../raster/sharpness';
import { histogramQuantiles } from '../raster/statistics';
import { Feature, FEATURES, featureSpec, FeatureSet } from './features';
import { Layout, layoutOf } from './layout';
import { withProportions } from './proportionFeatures';
import { readingSpread } from './readingError';
import { atRung, Resolution, Rung } from './scale';

/** Raised whenever the same picture would read, or be compared, differently. */
export const PROFILE_VERSION = 9;

const FORM_SIDE = 1024;
const MARK_SIDE = 4096;
const MARK_PX_PER_MM = 10;
/** A picture proper of fewer px along a side holds nothing to measure. */
const LEAST_FRAME = 16;

export interface ProfileOptions {
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
  patches?: readonly Rect[];
  colours?: number;
  values?: number;
  landmarks?: readonly LandmarkSet[] | null;
}

export interface Profile {
  ground: { hex: string; lab: [number, number, number]; share: number } | null;
  palette: PaletteEntry[];
  values: Values;
  temperature: TemperatureShares;
  chroma: { mean: number; p90: number };
  marks: { overall: Reading; patches: ({ patch: Rect } & Reading)[] };
  edges: EdgeShares;
  composition: Omit<Composition, 'margin'>;
  proportions: Proportion[];
  features: FeatureSet;
}

export interface ProfileWithMaps {
  profile: Profile;
  /** The picture proper in the file's px; places and shares refer to it. */
  frame: Rect;
  /** Share of its px that carry detail. */
  sharpness: number;
  /** Where which kind was read; for maps on screen. */
  kinds: OverallMarks['map'];
  /** Where the strongest contrast lies, 0–1. */
  focus: readonly [number, number];
  layout: Layout;
}

/** The picture at mark size: native, or at most 10 px/mm where the scale is known, long side at most 4096. */
function markSize(image: RgbImage, mmPerPixel: number | null): { image: RgbImage; factor: number } {
  let side = Math.min(MARK_SIDE, Math.max(image.width, image.height));
  if (mmPerPixel !== null) side = Math.min(side, Math.ceil(Math.max(image.width, image.height) * mmPerPixel * MARK_PX_PER_MM));
  side = Math.max(side, Math.min(64, Math.max(image.width, image.height)));
  const reduced = reduceToLongSide(image, side);
  return { image: reduced, factor: image.width / reduced.width };
}

/** Reads one patch given in the picture's own pixels; throws when it does not lie inside. */
export function measurePatch(
  image: RgbImage,
  patch: Rect,
  ground: readonly number[] | null,
  { mmPerPixel, pictureWidth }: Pick<MarkScale, 'mmPerPixel' | 'pictureWidth'>,
): Reading {
  if (!rectInside(patch, image.width, image.height))
    throw new CoreError('patch', { patch: typed(patch.join(',')), width: image.width, height: image.height });
  const whole = patch.map(Math.round) as unknown as Rect;
  const cut = cropImage(image, [
    whole[0],
    whole[1],
    Math.min(whole[2], image.width - whole[0]),
    Math.min(whole[3], image.height - whole[1]),
  ]);
  const { image: small, factor } = markSize(cut, mmPerPixel);
  return readPatch(small, ground, { factor, pictureWidth, mmPerPixel });
}

/** What of a picture decides the scale it can be compared at. */
export function resolutionOf(
  image: RgbImage,
  o: Pick<ProfileOptions, 'widthMm' | 'frame' | 'sharpness'>,
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

/** The whole profile. Deterministic; see the command-line contract for every field's meaning and unit. */
export function measurePicture(image: RgbImage, options: ProfileOptions = {}): ProfileWithMaps {
  const reduced = reduceToLongSide(image, FORM_SIDE);
  const resolution = resolutionOf(image, options, reduced);
  const { frame, sharpness, widthMm } = resolution;
  const mmPerPixel = widthMm === null ? null : widthMm / frame[2];
  const proper = frame[2] === image.width && frame[3] === image.height ? image : cropImage(image, frame);
  const outlines = (options.leftOut ?? []).map((o) => o.map(([x, y]): Point => [x - frame[0], y - frame[1]]));
  const { image: read, leftOut: leftOutOf } = withoutPlaces(atRung(proper, resolution, options.rung ?? null), proper.width, outlines);
  const form = read === image ? reduced : reduceToLongSide(read, FORM_SIDE);
  const leftOut = leftOutOf(form);
  const lab = labPlanes(form);
  const palette = readPalette(form, lab.L, options.colours ?? 6, leftOut);
  const groundEntry = palette.ground === null ? null : palette.entries[palette.ground];
  const ground = groundEntry && { hex: groundEntry.hex, lab: groundEntry.lab, share: groundEntry.share };
  const tone = sheetToneOf(form, palette);
  const even = tone ? evened(form, tone, [0, 0, form.width, form.height], form.width, form.height) : form;
  const worked = workedArea(ground ? departure(even, ground.lab) : null, form.width, form.height);
  if (leftOut) for (let i = 0; i < worked.data.length; i++) if (leftOut.data[i]) worked.data[i] = 0;
  const lightness = keptOf(lab.L.data, leftOut);
  const values = readValues({ data: lightness }, options.values ?? 5);
  const painted = ground || leftOut ? paintedPixels(palette, worked) : null;
  const temperature = temperatureShares(lab, painted);
  const mark = markSize(read, widthMm === null ? null : widthMm / read.width).image;
  const scale = { factor: proper.width / mark.width, pictureWidth: proper.width, mmPerPixel };
  const marks = readOverall(mark, ground?.lab ?? null, scale, leftOutOf(mark), tone);
  const edges = readEdges(lab.L, mark, values.steps, leftOut);
  const composition = readComposition(worked, leftOut);
  const focus = focusOf(form, leftOut);
  const chroma = chromaOf(keptOf(chromaPlane(lab), leftOut));
  const proportions = proportionsOf(options.landmarks ?? []);
  const patches = (options.patches ?? []).map((patch) => ({
    patch,
    ...measurePatch(image, patch, ground?.lab ?? null, { mmPerPixel, pictureWidth: proper.width }),
  }));
  const { margin, ...shape } = composition;
  const features = collect({
    palette,
    ground,
    values,
    temperature,
    chroma,
    marks,
    edges: edges.shares,
    composition: shape,
    margin,
    focus: focus.contrast,
    proportions,
    lab,
    lightness,
    bare: ground !== null,
  });
  return {
    profile: {
      ground,
      palette: palette.entries,
      values,
      temperature,
      chroma,
      marks: { overall: marks.reading, patches },
      edges: edges.shares,
      composition: shape,
      proportions,
      features,
    },
    frame,
    sharpness,
    kinds: marks.map,
    focus: focus.at,
    layout: layoutOf(form, worked),
  };
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
function paintedPixels(palette: Palette, worked: Mask): Uint8Array {
  const out = new Uint8Array(worked.data.length);
  for (let i = 0; i < out.length; i++)
    out[i] = palette.labels[i] === LEFT_OUT || (palette.labels[i] === palette.ground && !worked.data[i]) ? 0 : 1;
  return out;
}

function chromaPlane({ a, b }: LabPlanes): Float32Array {
  const out = new Float32Array(a.data.length);
  for (let i = 0; i < out.length; i++) out[i] = Math.sqrt(a.data[i] ** 2 + b.data[i] ** 2);
  return out;
}

function chromaOf(c: Float32Array): { mean: number; p90: number } {
  let sum = 0;
  for (let i = 0; i < c.length; i++) sum += c[i];
  return { mean: sum / c.length, p90: histogramQuantiles(c, 0, 180, [0.9])[0] };
}

/** Colour nearer to its line than so many px may as well lie on it: blur, a line's own width and saving do as much. */
const LEAST_SLACK = 3;

interface Gathered {
  palette: Palette;
  ground: Profile['ground'];
  values: Values;
  temperature: TemperatureShares;
  chroma: { mean: number; p90: number };
  marks: OverallMarks;
  edges: EdgeShares;
  composition: Profile['composition'];
  margin: number;
  focus: number;
  proportions: Proportion[];
  lab: LabPlanes;
  /** L* of every px that is not left out. */
  lightness: Float32Array;
  bare: boolean;
}

/**
 * Share of small vivid colours that stand far from the rest: the palette's accents, and vivid colours grown beyond an
 * accent's size (to 8 %), so that a light drawn too large reads as more, not as none.
 */
function vividShare(entries: readonly PaletteEntry[]): number {
  return entries
    .filter(
      (e) =>
        (e.accent && e.lch[1] > 30) ||
        (e.share < 0.08 && e.lch[1] > 55 && entries.every((o) => o === e || o.share < e.share || ciede2000(o.lab, e.lab) > 18)),
    )
    .reduce((s, e) => s + e.share, 0);
}

/** Two ways as strong as each other (a grid, two crossing sets) are no slant: which of them comes first is chance. */
const AS_STRONG = 0.85;

function mainDirection([first, second]: readonly Direction[]): number | null {
  return !first || (second && second.weight > AS_STRONG * first.weight) ? null : first.angle;
}

function collect(g: Gathered): FeatureSet {
  const r = g.marks.reading;
  let [dark, light] = [0, 0];
  for (let i = 0; i < g.lightness.length; i++)
    if (g.lightness[i] < 35) dark++;
    else if (g.lightness[i] > 75) light++;
  const entropy = -g.palette.entries.reduce((s, e) => s + (e.share > 0 ? e.share * Math.log(e.share) : 0), 0);
  const accent = vividShare(g.palette.entries);
  const permille = (px: number | null | undefined, size: { permille: number; px: number } | null) =>
    size && px ? (px * size.permille) / size.px : null;
  const line = r.lineWidth;
  const slack = colourSlack(g.lab);
  const perMille = 1000 / g.lab.L.width;
  // Each value with what its windows or places show of its error; the reading's own error is added below.
  const { spread } = g.marks;
  const values: Record<string, readonly [number | null, (number | null)?]> = {
    'marks.direction': [mainDirection(r.directions), spread.direction],
    'marks.crossing': [r.crossing],
    'marks.coherence': [r.directions.length ? r.coherence : null],
    'marks.spacing': [r.spacing?.permille ?? null, permille(spread.spacing, r.spacing)],
    'marks.spacingVariation': [r.spacing?.variation ?? null],
    'marks.lineWidth': [line?.permille ?? null, permille(spread.lineWidth, line)],
    'marks.lineSwell': [line && line.thin > 0 ? line.thick / line.thin : null],
    'marks.strokeLength': [r.strokeLength?.permille ?? null, permille(spread.strokeLength, r.strokeLength)],
    'marks.straightness': [r.straightness],
    'marks.coverage': [r.coverage, spread.coverage],
    'edges.outlined': [g.edges.outlined],
    'edges.sharp': [g.edges.sharp],
    'edges.soft': [g.edges.soft],
    'edges.lost': [g.edges.lost],
    'marks.colourSlack': slack && slack.px >= LEAST_SLACK ? [slack.px * perMille, slack.spread * perMille] : [null],
    'marks.finish': [g.marks.finish],
    'colour.groundL': [g.ground?.lab[0] ?? null],
    'colour.groundChroma': [g.ground ? Math.hypot(g.ground.lab[1], g.ground.lab[2]) : null],
    'colour.count': [Math.exp(entropy)],
    'colour.chroma': [g.chroma.mean],
    'colour.chromaHigh': [g.chroma.p90],
    'colour.warm': [g.temperature.warm],
    'colour.cool': [g.temperature.cool],
    'colour.balance': [g.temperature.balance],
    'colour.accent': [accent],
    'value.mean': [g.values.mean],
    'value.dark': [g.values.dark],
    'value.light': [g.values.light],
    'value.range': [g.values.range],
    'value.darkShare': [dark / g.lightness.length],
    'value.lightShare': [light / g.lightness.length],
    'value.focusContrast': [g.focus],
    'composition.centreX': [g.composition.centre[0]],
    'composition.centreY': [g.composition.centre[1]],
    'composition.coverage': [g.composition.coverage],
    'composition.margin': [g.bare ? g.margin : 0],
    'composition.envelope': [g.composition.envelope.fit],
  };
  for (const band of SURFACE_BANDS) values[`marks.${band}`] = [g.marks.surface?.mean[band] ?? null, g.marks.surface?.spread[band]];
  for (const k of TEXTURE_NAMES) values[`marks.${k}`] = [g.marks.texture?.value[k] ?? null, g.marks.texture?.spread[k]];
  for (const kind of [...MARK_KINDS, 'untold'] as const) values[`marks.share.${kind}`] = [g.marks.shares?.[kind] ?? null];
  const read = Object.fromEntries(
    Object.keys(FEATURES).map((name): [string, Feature] => {
      const { group, unit } = featureSpec(name)!;
      const [value, sampled] = values[name];
      return [name, { group, value, unit, spread: value === null ? null : readingSpread(name, unit, value, sampled) }];
    }),
  );
  return withProportions(read, g.proportions);
}
