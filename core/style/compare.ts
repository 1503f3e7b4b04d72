/** Knows how a piece stands to a master's works: findings, closeness by group, and own invention. */
import { CoreError } from '../errors';
import { clamp } from '../raster/statistics';
import { Aim, Asked, ASKED, copyRange, signatureOf } from './aim';
import { SURFACE_BANDS } from '../marks/surface';
import { Feature, FEATURE_GROUPS, FeatureGroup, FeatureSet, featureSpec, FeatureUnit } from './features';
import { Invention, inventionOf } from './invention';
import { Layout, placed, registerLayouts } from './layout';
import { featureDifference, Range, rangeOf } from './range';
import { paletteDistance, Weighted } from './transport';
import { FIELD_COLUMNS, FIELD_ROWS } from './words';

/** What comparison needs of a measured picture. */
export interface Measured {
  features: FeatureSet;
  palette: readonly Weighted[];
  layout: Layout;
  /** Width in mm, or null; decides whether sizes are compared in mm. */
  widthMm: number | null;
}

interface Finding {
  group: FeatureGroup;
  feature: string;
  unit: FeatureUnit;
  master: { low: number; mid: number; high: number };
  piece: number;
  /** 0 inside the range; outside in half-widths, above positive. */
  distance: number;
}

export interface Comparison {
  as: 'copy' | 'original';
  closeness: { overall: number; groups: Record<FeatureGroup, number | null> };
  ownInvention: number;
  findings: Finding[];
  /** Index of the source work whose layout comes nearest. */
  nearest: number;
}

/** Features that say little by themselves, or owe much to how the picture was taken: findings, but counted a quarter toward closeness. */
const LIGHT_NAMES = new Set(['marks.coherence', 'colour.warm', 'colour.cool', ...SURFACE_BANDS.map((b) => `marks.${b}`)]);
const LIGHT = (name: string) => name.startsWith('marks.share.') || LIGHT_NAMES.has(name);

interface Scored extends Finding {
  deviation: number;
}

/** A size given per thousandth of a picture's width, in mm of that width. */
export const inMm = (f: Feature, widthMm: number): Feature => {
  const k = widthMm / 1000;
  return {
    ...f,
    unit: 'mm',
    value: f.value === null ? null : f.value * k,
    spread: f.spread === null ? null : f.spread * k,
  };
};

/** Sizes in mm where both sides know their width, else per thousandth of the picture's width. */
function inCommonUnits(name: string, m: Measured, mm: boolean): Feature | undefined {
  const f = m.features[name];
  return f && mm && featureSpec(name)?.size ? inMm(f, m.widthMm!) : f;
}

function judge(name: string, range: Range, value: number, unit: FeatureUnit): Scored {
  const spec = featureSpec(name);
  const offset = spec ? featureDifference(spec, range.mid, value) : value - range.mid;
  const half = (range.high - range.low) / 2;
  const distance = Math.abs(offset) <= half ? 0 : Math.sign(offset) * (Math.abs(offset) / half - 1);
  const finding = {
    group: spec ? spec.group : ('colour' as const),
    feature: name,
    unit,
    master: { low: range.low, mid: range.mid, high: range.high },
    // Beside a range across 0°, a direction is given on the range's side.
    piece: spec?.axial ? range.mid + offset : value,
    distance,
  };
  return { ...finding, deviation: Math.abs(offset) / range.sd };
}

function paletteFinding(sources: readonly Measured[], piece: Measured): Scored | null {
  if (!sources.length || !piece.palette.length) return null;
  const distances = sources.map((s) => paletteDistance(s.palette, piece.palette));
  const value = distances.reduce((a, b) => a + b, 0) / distances.length;
  const among: Feature[] = [];
  for (let i = 0; i < sources.length; i++)
    for (let j = i + 1; j < sources.length; j++)
      among.push({
        group: 'colour',
        unit: 'ΔE',
        value: paletteDistance(sources[i].palette, sources[j].palette),
        spread: null,
      });
  const usual = 4.5;
  const mid = among.length ? among.reduce((s, f) => s + f.value!, 0) / among.length : usual;
  // Judged from the demo: photographs of pieces without a fault of colour stand up to 7 off, its works 4 from each other.
  const sd = Math.max(1.6, 0.4 * mid);
  return judge('colour.palette', { low: Math.max(0, mid - 2 * sd), mid, high: mid + 2 * sd, sd, works: sources.length }, value, 'ΔE');
}

/** A copy held against the work it was made from, place by place after registering: nine fields' darkness and the whole's size and place. */
function placeFindings(source: Measured, piece: Measured): Scored[] {
  const [a, b] = [source.layout, piece.layout];
  const r = registerLayouts(a, b, false);
  const out: Scored[] = [];
  const push = (group: FeatureGroup, feature: string, unit: FeatureUnit, mid: number, half: number, value: number) => {
    const off = value - mid;
    const distance = Math.abs(off) <= half ? 0 : Math.sign(off) * (Math.abs(off) / half - 1);
    out.push({
      group,
      feature,
      unit,
      master: { low: mid - half, mid, high: mid + half },
      piece: value,
      distance,
      deviation: (2 * Math.abs(off)) / half,
    });
  };
  push('composition', 'place.scale', 'ratio', 1, 0.04, r.scale);
  push('composition', 'place.shiftX', 'ratio', 0, 0.03, r.shift[0]);
  push('composition', 'place.shiftY', 'ratio', 0, 0.03, r.shift[1]);
  for (let j = 0; j < 3; j++)
    for (let i = 0; i < 3; i++) {
      let [sa, sb, n] = [0, 0, 0];
      for (let y = Math.floor((j * a.height) / 3); y < Math.floor(((j + 1) * a.height) / 3); y++)
        for (let x = Math.floor((i * a.width) / 3); x < Math.floor(((i + 1) * a.width) / 3); x++) {
          const [u, v] = placed(r, a, x, y);
          const [px, py] = [Math.floor(u * b.width), Math.floor(v * b.height)];
          if (px < 0 || py < 0 || px >= b.width || py >= b.height) continue;
          sa += a.weight[y * a.width + x];
          sb += b.weight[py * b.width + px];
          n++;
        }
      if (!n) continue;
      push('value', `place.weight.${FIELD_ROWS[j]}-${FIELD_COLUMNS[i]}`, 'L*', sa / n, 5, sb / n);
    }
  return out;
}

function closenessOf(findings: readonly Scored[], weights: Partial<Record<FeatureGroup, number>>): Comparison['closeness'] {
  const groups = Object.fromEntries(
    FEATURE_GROUPS.map((group): [FeatureGroup, number | null] => {
      let sum = 0;
      let total = 0;
      for (const f of findings) {
        if (f.group !== group) continue;
        const w = LIGHT(f.feature) ? 0.25 : 1;
        // Falls smoothly with the whole deviation: half at about two and a half standard deviations.
        sum += w / (1 + (f.deviation / 2.5) ** 2);
        total += w;
      }
      return [group, total > 0 ? 100 * clamp(sum / total, 0, 1) : null];
    }),
  ) as Record<FeatureGroup, number | null>;
  let sum = 0;
  let total = 0;
  for (const g of FEATURE_GROUPS) {
    const v = groups[g];
    const w = weights[g] ?? 1;
    if (v === null || !(w > 0)) continue;
    sum += w * v;
    total += w;
  }
  return { overall: total > 0 ? sum / total : 0, groups };
}

export interface CompareOptions {
  as: 'copy' | 'original';
  /** What the study wants of a copy; without one it is held against the master's range and place by place. */
  aim?: Aim;
  weights?: Partial<Record<FeatureGroup, number>>;
}

interface HeldTo {
  range: Range;
  reading: Feature & { value: number };
}

/** The range each of the piece's readings is held against, by feature name, in the units both sides have. */
function rangesFor(sources: readonly Measured[], piece: Measured, mm: boolean, asked: Asked | null, nearest: number) {
  const ranges = new Map<string, HeldTo>();
  for (const name of Object.keys(piece.features)) {
    const reading = inCommonUnits(name, piece, mm)!;
    const spec = featureSpec(name);
    if (reading.value === null || !spec) continue;
    const values = (works: readonly Measured[]) => works.flatMap((s) => inCommonUnits(name, s, mm) ?? []);
    const model = inCommonUnits(name, sources[nearest], mm)?.value ?? null;
    // A copy's proportions are those of the work it was made from, where that one shows them.
    const range =
      spec.group === 'proportion' && asked?.proportion && model !== null
        ? copyRange(model, spec.unit, asked.proportion)
        : rangeOf(name, values(asked?.oneWork && model !== null ? [sources[nearest]] : sources));
    if (range) ranges.set(name, { range, reading: { ...reading, value: reading.value } });
  }
  return ranges;
}

/**
 * Holds a piece against a master's works. At least one source; features missing on either side are left out. A copy's
 * aim decides what it is held against: the very work, place by place, with proportions within 3 % (replica); the
 * master's range, main places, proportions within 6 % (study); the range and the signature proportions (remembered).
 */
export function compare(sources: readonly Measured[], piece: Measured, options: CompareOptions): Comparison {
  if (!sources.length) throw new CoreError('source');
  const mm = piece.widthMm !== null && sources.every((s) => s.widthMm !== null);
  const invention: Invention | null = inventionOf(
    sources.map((s) => s.layout),
    piece.layout,
  );
  const nearest = invention?.nearest ?? 0;
  const copy = options.as === 'copy';
  const asked = copy && options.aim ? ASKED[options.aim] : null;
  const ranges = rangesFor(sources, piece, mm, asked, nearest);
  if (asked?.signature) {
    const mids = new Map([...ranges].filter(([n]) => n.startsWith('proportion.')).map(([n, r]) => [n, r.range.mid]));
    const kept = signatureOf(mids, asked.signature);
    for (const name of mids.keys()) if (!kept.has(name)) ranges.delete(name);
  }
  const scored = [...ranges].map(([name, { range, reading }]) => judge(name, range, reading.value, reading.unit));
  const palette = paletteFinding(asked?.oneWork ? [sources[nearest]] : sources, piece);
  if (palette) scored.push(palette);
  if (copy && (asked?.places ?? true)) scored.push(...placeFindings(sources[nearest], piece));
  scored.sort((a, b) => Math.abs(b.distance) - Math.abs(a.distance) || b.deviation - a.deviation);
  return {
    as: options.as,
    closeness: closenessOf(scored, options.weights ?? {}),
    ownInvention: invention?.score ?? 100,
    findings: scored.map(({ deviation: _deviation, ...f }) => f),
    nearest,
  };
}
