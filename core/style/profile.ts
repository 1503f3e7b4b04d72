/** Knows how to take a whole picture apart into its profile: the readings, and the flat features drawn from them. */
import { CoreError } from '../errors';
import { typed } from '../message';
import { ciede2000 } from '../colour/difference';
import { LabPlanes } from '../colour/lab';
import { isVividAccent, Palette, PaletteEntry } from '../colour/palette';
import { temperatureShares, TemperatureShares } from '../colour/temperature';
import { focusOf, readValues, Values } from '../colour/values';
import { Composition, readComposition } from '../composition/composition';
import type { MarkDistributions } from '../marks/distributions';
import { EdgeShares, readEdges } from '../marks/edges';
import { MARK_KINDS } from '../marks/kinds';
import { Direction } from '../marks/orientation';
import { MarkScale, OverallMarks, Reading, readOverall, ShownReading, showPatch } from '../marks/reading';
import { colourSlack } from '../marks/slack';
import { SURFACE_BANDS } from '../marks/surface';
import { TEXTURE_NAMES } from '../marks/texture';
import { LandmarkSet, OwnKinds, Proportion, proportionsOf } from '../proportion/measures';
import { cropImage, Point, Rect, rectInside, RgbImage } from '../raster/image';
import { keptOf } from '../raster/leftOut';
import { histogram, pairLengths } from '../raster/kernels/kernels';
import { histogramQuantiles, sumOf } from '../raster/statistics';
import { Feature, FEATURES, featureSpec, FeatureSet } from './features';
import { Layout, layoutOf } from './layout';
import { markSheet, markSize, paintedPixels, prepare, Prepared, ReadAs } from './prepare';
import { withProportions } from './proportionFeatures';
import { readingSpread } from './readingError';

/** Raised whenever the same picture would read, or be compared, differently. */
export const PROFILE_VERSION = 14;

export interface ProfileOptions extends ReadAs {
  patches?: readonly Rect[];
  colours?: number;
  values?: number;
  landmarks?: readonly LandmarkSet[] | null;
  /** Kinds of points beside those of the house, by the template their sets name. */
  own?: OwnKinds;
}

export interface Profile {
  ground: Prepared['ground'];
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
  /** What the readings were put together from, for charts: of the marks, and the share of px in each 2 L* from black to white. */
  distributions: MarkDistributions & { lightness: number[] };
}

/** Reads one patch given in the picture's own pixels, with what it was read from; throws when it does not lie inside. */
export function measurePatch(
  image: RgbImage,
  patch: Rect,
  ground: readonly number[] | null,
  { mmPerPixel, pictureWidth }: Pick<MarkScale, 'mmPerPixel' | 'pictureWidth'>,
): ShownReading {
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
  return showPatch(small, ground, { factor, pictureWidth, mmPerPixel }, [whole[0], whole[1]]);
}

/** The whole profile. Deterministic; see the command-line contract for every field's meaning and unit. */
export function measurePicture(image: RgbImage, options: ProfileOptions = {}): ProfileWithMaps {
  const sheet = prepare(image, options, options.colours);
  const { frame, sharpness, form, leftOut, lab, palette, ground, worked, tone, mmPerPixel } = sheet;
  const lightness = keptOf(lab.L.data, leftOut);
  const values = readValues({ data: lightness }, options.values ?? 5);
  const painted = ground || leftOut ? paintedPixels(palette, worked) : null;
  const temperature = temperatureShares(lab, painted);
  const mark = markSheet(sheet);
  const marks = readOverall(mark.image, ground?.lab ?? null, mark.scale, mark.leftOut, tone);
  const edges = readEdges(lab.L, mark.image, values.steps, leftOut);
  const composition = readComposition(worked, leftOut);
  const focus = focusOf(form, leftOut);
  const chroma = chromaOf(keptOf(pairLengths(lab.a.data, lab.b.data), leftOut));
  const proportions = proportionsOf(options.landmarks ?? [], frame, options.own);
  const patches = (options.patches ?? []).map((patch) => ({
    patch,
    ...measurePatch(image, patch, ground?.lab ?? null, { mmPerPixel, pictureWidth: frame[2] }).reading,
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
    layout: layoutOf(lab.L, worked),
    distributions: { ...placed(marks.distributions, frame), lightness: lightnessShares(lightness) },
  };
}

/** Places of the picture proper in px of the file that it lies in. */
function placed(marks: MarkDistributions, [dx, dy]: Rect): MarkDistributions {
  const move = ([x, y]: Point): Point => [x + dx, y + dy];
  return { ...marks, across: marks.across && { ...marks.across, from: move(marks.across.from), to: move(marks.across.to) } };
}

const lightnessShares = (lightness: Float32Array): number[] =>
  Array.from(histogram(lightness, 0, 100, 50), (n) => Math.round((1e5 * n) / lightness.length) / 1e5);

const chromaOf = (c: Float32Array): { mean: number; p90: number } => ({
  mean: sumOf(c) / c.length,
  p90: histogramQuantiles(c, 0, 180, [0.9])[0],
});

/** Colour nearer to its line than so many px may as well lie on it: blur, a line's own width and saving do as much. */
const LEAST_SLACK = 3;

interface Gathered {
  palette: Palette;
  ground: Prepared['ground'];
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
        isVividAccent(e) ||
        (e.share < 0.08 && e.lch[1] > 55 && entries.every((o) => o === e || o.share < e.share || ciede2000(o.lab, e.lab) > 18)),
    )
    .reduce((s, e) => s + e.share, 0);
}

/** Two ways as strong as each other (a grid, two crossing sets) are no slant: which of them comes first is chance. */
const AS_STRONG = 0.85;

function mainDirection([first, second]: readonly Direction[]): number | null {
  return !first || (second && second.weight > AS_STRONG * first.weight) ? null : first.angle;
}

/** What hangs on which colour the bare sheet is: not told where that is not sure, since the next saving may decide it otherwise. */
const HANGS_ON_SHEET: ReadonlySet<string> = new Set([
  'marks.coverage',
  'colour.groundL',
  'colour.groundChroma',
  'composition.centreX',
  'composition.centreY',
  'composition.coverage',
  'composition.margin',
  'composition.envelope',
]);

/** How many values lie under and over two limits. */
function beyond(values: Float32Array, low: number, high: number): { dark: number; light: number } {
  let [dark, light] = [0, 0];
  for (let i = 0; i < values.length; i++) {
    dark += values[i] < low ? 1 : 0;
    light += values[i] > high ? 1 : 0;
  }
  return { dark, light };
}

function collect(g: Gathered): FeatureSet {
  const r = g.marks.reading;
  const { dark, light } = beyond(g.lightness, 35, 75);
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
    'marks.spacingVariation': [r.spacing?.variation ?? null, spread.spacingVariation],
    'marks.lineWidth': [line?.permille ?? null, permille(spread.lineWidth, line)],
    'marks.lineSwell': [line && line.thin > 0 ? line.thick / line.thin : null],
    'marks.strokeLength': [r.strokeLength?.permille ?? null, permille(spread.strokeLength, r.strokeLength)],
    'marks.straightness': [r.straightness, spread.straightness],
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
  const features = Object.fromEntries(
    Object.keys(FEATURES).map((name): [string, Feature] => {
      const { group, unit } = featureSpec(name)!;
      const [read, sampled] = values[name];
      const value = !g.palette.groundSure && HANGS_ON_SHEET.has(name) ? null : read;
      return [name, { group, value, unit, spread: value === null ? null : readingSpread(name, unit, value, sampled) }];
    }),
  );
  return withProportions(features, g.proportions);
}
