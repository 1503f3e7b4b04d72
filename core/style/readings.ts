/** Knows what a reading of marks or colour says in sentences: one for each feature that can become a rule. */
import { named } from '../colour/names';
import { isVividAccent, type PaletteEntry } from '../colour/palette';
import type { TemperatureShares } from '../colour/temperature';
import type { Values as ValueReading } from '../colour/values';
import { finishByRegion } from '../marks/finish';
import { DRAWN, type MarkKind } from '../marks/kinds';
import type { Reading } from '../marks/reading';
import { amount, Amount, figure, Message, message, Values } from '../message';
import type { FeatureSet } from './features';
import { fieldName } from './words';

export interface Telling {
  feature: string;
  said: Message;
}

export const kindName = (kind: MarkKind): Message => message(`kinds.${kind}`);

const size = ({ mm, permille }: { mm: number | null; permille: number }): Amount =>
  mm === null ? amount(permille, 'permille') : amount(mm, 'mm');

const evenness = (v: number): string => (v < 0.1 ? 'veryEven' : v < 0.18 ? 'even' : v < 0.3 ? 'uneven' : 'veryUneven');

/** How sure the kind is, in a sentence. */
export function tellKind({ kind, confidence }: Pick<Reading, 'kind' | 'confidence'>): Message {
  if (!kind) return message('readings.kind.unknown');
  const sure = confidence > 0.85 ? 'likely' : confidence > 0.6 ? 'perhaps' : 'unsure';
  return message(`readings.kind.${sure}`, { kind: kindName(kind) });
}

/** What a whole work is mostly made of. */
export const tellWhole = (kind: MarkKind | null): Message =>
  kind ? message('readings.whole', { kind: kindName(kind) }) : message('readings.wholeUnknown');

/** What a reading says of a window or of the worked part of a whole picture. */
export function tellReading(r: Reading, of: 'window' | 'work'): Telling[] {
  const out: Telling[] = [];
  const tell = (name: string, said: string, values?: Values) =>
    out.push({ feature: `marks.${name}`, said: message(`readings.${said}`, values) });
  // What single strokes lie in a tone says nothing of it.
  const tone = r.kind ? !DRAWN.has(r.kind) : !r.lineWidth;
  if (!tone) {
    if (r.spacing)
      tell('spacing', 'spacing', {
        gap: size(r.spacing),
        evenness: evenness(r.spacing.variation),
        give: amount(r.spacing.variation, 'share'),
      });
    if (r.directions.length) tell('direction', 'direction', { angle: amount(r.directions[0].angle, 'degrees') });
    if (r.crossing !== null)
      tell('crossing', 'crossing', {
        angle: amount(r.crossing, 'degrees'),
        how: r.crossing > 70 ? 'square' : r.crossing < 25 ? 'narrow' : 'between',
      });
    if (r.lineWidth)
      tell('lineWidth', 'lineWidth', { width: size(r.lineWidth), swell: r.lineWidth.thick > 1.6 * r.lineWidth.thin ? 'yes' : 'no' });
    if (r.strokeLength) tell('strokeLength', 'strokeLength', { length: size(r.strokeLength) });
    if (r.straightness !== null) tell('straightness', 'straightness', { bent: r.straightness > 0.985 ? 'no' : 'yes' });
  }
  tell('coverage', tone ? 'coverageTonal' : 'coverage', { share: amount(r.coverage, 'share'), of });
  return out;
}

/** What the surface, the colour's keeping to its line and the finish say of a whole work. */
export function tellSurface(
  features: FeatureSet,
  places: readonly { x: number; y: number; detail: number }[],
  widthMm: number | null,
): Telling[] {
  const out: Telling[] = [];
  const slack = features['marks.colourSlack']?.value ?? null;
  if (slack !== null) {
    const mm = widthMm === null ? null : (slack * widthMm) / 1000;
    const kept = mm === null ? slack < 1.5 : mm < 0.4;
    out.push({
      feature: 'marks.colourSlack',
      said: kept ? message('readings.slack.kept') : message('readings.slack.strays', { size: size({ mm, permille: slack }) }),
    });
  }
  const [grain, tooth, speckle] = ['grain', 'tooth', 'speckle'].map((b) => features[`marks.${b}`]?.value ?? null);
  if (grain !== null && tooth !== null && speckle !== null) {
    const most = Math.max(grain, tooth, speckle);
    const band = most === grain ? 'grain' : most === tooth ? 'tooth' : 'speckle';
    out.push({ feature: `marks.${band}`, said: message(`readings.surface.${most < 1 ? 'smooth' : band}`) });
  }
  const { most, least } = finishByRegion(places);
  if (most !== null && least !== null)
    out.push({ feature: 'marks.finish', said: message('readings.finish', { most: fieldName(most), least: fieldName(least) }) });
  return out;
}

interface Edges {
  outlined: number;
  sharp: number;
  soft: number;
  lost: number;
}

export const tellEdges = (e: Edges): Telling => ({
  feature: 'edges.outlined',
  said: message('readings.edges', {
    outlined: amount(e.outlined, 'share'),
    sharp: amount(e.sharp, 'share'),
    soft: amount(e.soft, 'share'),
    lost: amount(e.lost, 'share'),
  }),
});

export interface ColourRead {
  palette: readonly PaletteEntry[];
  values: ValueReading;
  temperature: TemperatureShares;
  chroma: { mean: number };
  /** Whether the palette's ground is surely the bare sheet. */
  sheetSure: boolean;
}

/** A colour under this share is no main colour; warm and cool this near to each other keep the balance. */
const MAIN_SHARE = 0.03;
const EVEN = 0.02;

function tellBalance({ warm, cool, balance }: TemperatureShares): Message {
  if (balance === null) return message('readings.balance.none');
  const how = Math.abs(warm - cool) < EVEN ? 'even' : warm > cool ? 'warm' : 'cool';
  return message(`readings.balance.${how}`, { share: amount(Math.max(warm, cool), 'share') });
}

/** How dark and light a picture is, on the scale from black to white. */
export const tellValues = ({ key, dark, light }: ValueReading): Message =>
  message('readings.values', { key, dark: figure(dark), light: figure(light) });

export function tellColour({ palette, values, temperature, chroma, sheetSure }: ColourRead): Telling[] {
  const colours = named(palette);
  const ground = colours.find((c) => c.ground);
  const accents = colours.filter(isVividAccent);
  const out: Telling[] = [];
  if (ground)
    out.push({ feature: 'colour.groundL', said: message(sheetSure ? 'readings.ground' : 'readings.groundDoubt', { colour: ground.name }) });
  out.push({ feature: 'colour.count', said: message('readings.count', { n: palette.filter((c) => c.share > MAIN_SHARE).length }) });
  if (accents.length) {
    const share = amount(
      accents.reduce((s, a) => s + a.share, 0),
      'share',
    );
    out.push({ feature: 'colour.accent', said: message('readings.accent', { colour: accents[0].name, share }) });
  }
  out.push({ feature: 'colour.balance', said: tellBalance(temperature) });
  const how = chroma.mean < 15 ? 'quiet' : chroma.mean < 30 ? 'moderate' : 'strong';
  out.push({ feature: 'colour.chroma', said: message('readings.chroma', { how }) });
  out.push({ feature: 'value.range', said: message('readings.valueRange', { n: figure(values.range) }) });
  return out;
}
