/** Knows how a reference would look in the master's values and palette: a study aid, not a picture. */
import { CoreError } from '../errors';
import { gaussian } from '../raster/filters';
import { plane, RgbImage } from '../raster/image';
import { labFromHex, labPlanes, lightnessPlane, luminanceFromLightness } from './lab';
import { byteFromLinear, encodedFromHex, hexFromEncoded } from './srgb';
import { readValues, squint, stepIndices } from './values';

export interface Regrouped {
  image: RgbImage;
  /** Steps or colours used, with the master's share and the share they take here. */
  parts: { hex: string; master: number; here: number }[];
}

const RANK_BINS = 1600;

/**
 * Which share band each pixel's lightness falls in, by its mid-rank (equal pixels share the middle of their ranks, so that
 * a flat field is never torn apart or pushed over as a whole by one count).
 */
function bandsByRank(lightness: Float32Array, shares: readonly number[]): Uint8Array {
  const bins = new Float64Array(RANK_BINS);
  const binOf = (L: number) => Math.min(RANK_BINS - 1, Math.max(0, Math.floor((L * RANK_BINS) / 100)));
  for (const L of lightness) bins[binOf(L)]++;
  let below = 0;
  let band = 0;
  let upTo = shares[0];
  const bandOf = new Uint8Array(RANK_BINS);
  for (let b = 0; b < RANK_BINS; b++) {
    const rank = (below + bins[b] / 2) / lightness.length;
    while (band < shares.length - 1 && rank > upTo) upTo += shares[++band];
    bandOf[b] = band;
    below += bins[b];
  }
  const out = new Uint8Array(lightness.length);
  for (let i = 0; i < out.length; i++) out[i] = bandOf[binOf(lightness[i])];
  return out;
}

/**
 * Labels gathered into shapes: each pixel takes the label that is commonest round it (Gaussian weight, 0.4 % of the long
 * side), so that the rims between two fields and mere grain do not make fields of their own.
 */
function asShapes(labels: Uint8Array, count: number, width: number, height: number): Uint8Array {
  const sigma = 0.004 * Math.max(width, height);
  const out = labels.slice();
  const most = new Float32Array(labels.length);
  for (let k = 0; k < count; k++) {
    const field = plane(width, height);
    for (let i = 0; i < labels.length; i++) if (labels[i] === k) field.data[i] = 1;
    const near = gaussian(field, sigma).data;
    for (let i = 0; i < labels.length; i++)
      if (near[i] > most[i]) {
        most[i] = near[i];
        out[i] = k;
      }
  }
  return out;
}

/**
 * The reference in `count` value steps (2–9) as large, dark for dark, as the master's, each in the grey that step has in
 * the master's picture. The master's steps are found by multi-level Otsu, the reference is cut at the same shares.
 */
export function inMastersValues(reference: RgbImage, master: RgbImage, count: number): Regrouped {
  const theirs = lightnessPlane(master);
  const { steps } = readValues(theirs, count);
  const sums = steps.map(() => ({ L: 0, n: 0 }));
  stepIndices(theirs.data, steps).forEach((k, i) => {
    sums[k].L += theirs.data[i];
    sums[k].n++;
  });
  const soft = squint(reference, 0.004 * Math.max(reference.width, reference.height));
  const lightness = lightnessPlane(soft);
  const bands = asShapes(
    bandsByRank(
      lightness.data,
      steps.map((s) => s.share),
    ),
    count,
    lightness.width,
    lightness.height,
  );
  const greys = sums.map(({ L, n }) => byteFromLinear(luminanceFromLightness(n ? L / n : 50)));
  const here = new Float64Array(count);
  const data = new Uint8Array(lightness.data.length * 3);
  for (let i = 0; i < lightness.data.length; i++) {
    const k = bands[i];
    here[k]++;
    data.fill(greys[k], i * 3, i * 3 + 3);
  }
  return {
    image: { width: lightness.width, height: lightness.height, data },
    parts: steps.map((s, k) => ({
      hex: hexFromEncoded([greys[k] / 255, greys[k] / 255, greys[k] / 255]),
      master: s.share,
      here: here[k] / lightness.data.length,
    })),
  };
}

/** Colour differences count less than lightness when a pixel looks for its place in the palette. */
const COLOUR_WEIGHT = 0.55;
/** A pixel may take an accent only when it is vivid and of nearly its hue (C*, degrees), or as light as a pale accent (L*). */
const VIVID = 40;
const HUE_NEAR = 30;
const LIGHT_NEAR = 4;

/**
 * The reference in the master's palette: lightness is carried over by rank, so that the master's darks and lights take
 * about their own shares; warm and cool are judged against the reference's own middle. Accents stay for what is vivid already.
 */
export function inMastersPalette(reference: RgbImage, palette: readonly { hex: string; share: number; accent: boolean }[]): Regrouped {
  if (!palette.length) throw new CoreError('palette');
  const soft = squint(reference, 0.004 * Math.max(reference.width, reference.height));
  const entries = palette.map((p) => ({ ...p, lab: labFromHex(p.hex), rgb: encodedFromHex(p.hex).map((v) => Math.round(v * 255)) }));
  const plain = entries.filter((e) => !e.accent);
  const usable = plain.length ? plain : entries;
  const byLight = usable.slice().sort((a, b) => a.lab[0] - b.lab[0]);
  const total = byLight.reduce((s, e) => s + e.share, 0) || 1;
  const { L, a, b } = labPlanes(soft);
  const n = L.data.length;
  const bands = bandsByRank(
    L.data,
    byLight.map((e) => e.share / total),
  );
  const average = (v: Float32Array) => v.reduce((s, x) => s + x, 0) / n;
  const theirs = ([1, 2] as const).map((k) => usable.reduce((s, e) => s + e.share * e.lab[k], 0) / total);
  const shift = [theirs[0] - average(a.data), theirs[1] - average(b.data)];
  const labels = new Uint8Array(n);
  for (let i = 0; i < n; i++) {
    const wantL = byLight[bands[i]].lab[0];
    const [wa, wb] = [a.data[i] + shift[0], b.data[i] + shift[1]];
    let least = Infinity;
    for (const e of usable) {
      const d = (e.lab[0] - wantL) ** 2 + COLOUR_WEIGHT * ((e.lab[1] - wa) ** 2 + (e.lab[2] - wb) ** 2);
      if (d < least) [least, labels[i]] = [d, entries.indexOf(e)];
    }
  }
  const shapes = asShapes(labels, entries.length, L.width, L.height);
  const accents = entries.filter((e) => e.accent && plain.length);
  for (const e of accents) {
    const vivid = Math.hypot(e.lab[1], e.lab[2]) > VIVID;
    for (let i = 0; i < n; i++) {
      const turn = Math.abs(Math.atan2(b.data[i], a.data[i]) - Math.atan2(e.lab[2], e.lab[1])) * (180 / Math.PI);
      const entry = vivid
        ? Math.hypot(a.data[i], b.data[i]) > VIVID && Math.min(turn, 360 - turn) < HUE_NEAR
        : Math.abs(L.data[i] - e.lab[0]) < LIGHT_NEAR && Math.hypot(a.data[i] - e.lab[1], b.data[i] - e.lab[2]) < VIVID / 4;
      if (entry) shapes[i] = entries.indexOf(e);
    }
  }
  const data = new Uint8Array(n * 3);
  const here = new Float64Array(entries.length);
  for (let i = 0; i < n; i++) {
    here[shapes[i]]++;
    for (let c = 0; c < 3; c++) data[i * 3 + c] = entries[shapes[i]].rgb[c];
  }
  return {
    image: { width: L.width, height: L.height, data },
    parts: entries.map((e, k) => ({ hex: e.hex, master: e.share, here: here[k] / n })),
  };
}
