/** Knows how a piece stands to a master's works: findings, closeness by group, and own invention. */
import { CoreError } from '../errors';
import type { Proportion } from '../proportion/measures';
import { mean } from '../raster/statistics';
import { Aim, Asked, ASKED, copyTolerance, signatureOf } from './aim';
import { boundChances } from './discovery';
import { Feature, FEATURE_GROUPS, FeatureGroup, FeatureSet, featureSpec, FeatureUnit, scaled, unscaled } from './features';
import { Invention, inventionOf } from './invention';
import { Layout } from './layout';
import { Priors, PRIORS } from './priors';
import { eachProportion } from './proportionFeatures';
import { isProportion } from './proportionNames';
import { boundsOf, featureDifference, foreseenSpread, Range, rangeOf } from './range';
import { placer, registerLayouts } from './register';
import { studentTwoSided } from './student';
import { paletteDistance, Weighted } from './transport';
import { FIELD_COLUMNS, FIELD_ROWS } from './words';

/** What comparison needs of a measured picture. */
export interface Measured {
  features: FeatureSet;
  palette: readonly Weighted[];
  layout: Layout;
  /** Its measures set by set, where it has landmarks. */
  proportions?: readonly Proportion[];
  /** Width in mm, or null; decides whether sizes are compared in mm. */
  widthMm: number | null;
  /** Cut out of another of the works, whose readings hold what it shows: only its proportions and its layout count beside that one. */
  part?: boolean;
}

interface Finding {
  group: FeatureGroup;
  feature: string;
  unit: FeatureUnit;
  /** What a teacher calls it, where it is a measure of their own. */
  title?: string;
  /** `low` is null where there is no too little: a distance. */
  master: { low: number | null; mid: number; high: number };
  piece: number;
  /** 0 inside the range; outside in half-widths, above positive. */
  distance: number;
}

export interface Comparison {
  as: 'copy' | 'original';
  closeness: { overall: number | null; groups: Record<FeatureGroup, number | null> };
  ownInvention: number;
  findings: Finding[];
  /** Index of the source work whose layout comes nearest. */
  nearest: number;
}

const titled = ({ title }: Feature) => (title === undefined ? {} : { title });

/** A finding with what it is judged by. */
interface Judged extends Finding {
  /** How far from the middle, in standard deviations foreseen for a further work of the hand. */
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

/** Features of a picture known too poorly for its marks to be judged by. */
export const withoutMarks = (features: FeatureSet): FeatureSet =>
  Object.fromEntries(Object.entries(features).map(([name, f]) => [name, f.group === 'marks' ? { ...f, value: null, spread: null } : f]));

/** Sizes in mm where both sides know their width, else per thousandth of the picture's width. */
function inCommonUnits(name: string, m: Measured, mm: boolean): Feature | undefined {
  const f = m.features[name];
  return f && mm && featureSpec(name)?.size ? inMm(f, m.widthMm!) : f;
}

/** What a work shows of a feature: one reading, or one for each of its sets of points. */
function shown(name: string, work: Measured, mm: boolean): Feature[] {
  if (isProportion(name) && work.proportions?.length) return eachProportion(name, work.proportions);
  const reading = inCommonUnits(name, work, mm);
  return reading ? [reading] : [];
}

/** A reading of the piece beside the range it is held against. */
interface Held {
  name: string;
  reading: Feature & { value: number };
  range: Range;
  foreseen: number;
  offset: number;
}

function held(name: string, range: Range, reading: Feature & { value: number }): Held {
  const { spec, centre } = range;
  const away = featureDifference(spec, centre, scaled(spec, reading.value));
  return { name, reading, range, foreseen: foreseenSpread(range, reading), offset: spec.oneSided ? Math.max(0, away) : away };
}

/** How often chance alone takes a further work of the hand as far. */
const chanceOf = ({ range, foreseen, offset }: Held): number =>
  studentTwoSided(offset / foreseen, range.df) / (range.spec.oneSided ? 2 : 1);

function distanceFrom(value: number, { low, mid, high }: Finding['master']): number {
  if (value > high) return (value - high) / Math.max(high - mid, 1e-9);
  return low !== null && value < low ? (value - low) / Math.max(mid - low, 1e-9) : 0;
}

/** What lies beyond chance, judged over all that is held against a range. */
function judgeAll(list: readonly Held[]): Judged[] {
  const chances = boundChances(list.map((h) => ({ family: h.range.spec.family, p: chanceOf(h) })));
  return list.map(({ name, reading, range, foreseen, offset }, i) => {
    const { spec } = range;
    const master = boundsOf(range, foreseen, chances[i]);
    // Beside a range across 0°, a direction is given on the range's side.
    const piece = spec.axial ? master.mid + offset : reading.value;
    return {
      group: spec.group,
      feature: name,
      unit: reading.unit,
      ...titled(reading),
      master,
      piece,
      distance: distanceFrom(piece, master),
      deviation: Math.abs(offset) / foreseen,
    };
  });
}

/** A value held to a tolerance that an aim asks, not to what works of a hand vary by. */
function judgeAsked(finding: Pick<Finding, 'group' | 'feature' | 'unit' | 'piece' | 'title'>, mid: number, half: number): Judged {
  const master = { low: mid - half, mid, high: mid + half };
  return {
    ...finding,
    master,
    distance: distanceFrom(finding.piece, master),
    deviation: (2 * Math.abs(finding.piece - mid)) / half,
  };
}

/** Distance of a palette from the works' palettes, held against the works' distances from each other. */
function paletteHeld(sources: readonly Measured[], piece: Measured, priors: Priors): Held | null {
  if (!sources.length || !piece.palette.length) return null;
  const feature = (value: number): Feature & { value: number } => ({ group: 'colour', unit: 'ΔE', value, spread: null });
  const meanDistance = (of: Measured, to: readonly Measured[]) => mean(to.map((s) => paletteDistance(s.palette, of.palette)));
  const among =
    sources.length > 1
      ? sources.map((s) =>
          meanDistance(
            s,
            sources.filter((o) => o !== s),
          ),
        )
      : [priors['colour.palette']?.usual ?? 4.5];
  const range = rangeOf('colour.palette', among.map(feature), priors);
  return range && held('colour.palette', range, feature(meanDistance(piece, sources)));
}

/** A copy held against the work it was made from, place by place after registering: nine fields' darkness and the whole's size, lean and place. */
function placeFindings(source: Measured, piece: Measured): Judged[] {
  const [a, b] = [source.layout, piece.layout];
  const r = registerLayouts(a, b, 'copy');
  const place = placer(r, a, b);
  const out: Judged[] = [];
  const push = (group: FeatureGroup, feature: string, unit: FeatureUnit, mid: number, half: number, piece: number) =>
    out.push(judgeAsked({ group, feature, unit, piece }, mid, half));
  push('composition', 'place.scale', 'ratio', 1, 0.04, r.scale);
  push('composition', 'place.turn', 'degrees', 0, 2, r.turn);
  push('composition', 'place.stretch', 'ratio', 1, 0.04, r.stretch);
  // In mm where the sheet's width is known.
  const [unit, wide] = piece.widthMm === null ? (['ratio', 1] as const) : (['mm', piece.widthMm] as const);
  const high = piece.widthMm === null ? 1 : piece.widthMm * b.tall;
  push('composition', 'place.shiftX', unit, 0, 0.03 * wide, r.shift[0] * wide);
  push('composition', 'place.shiftY', unit, 0, 0.03 * high, r.shift[1] * high);
  for (let j = 0; j < 3; j++)
    for (let i = 0; i < 3; i++) {
      let [sa, sb, n] = [0, 0, 0];
      for (let y = Math.floor((j * a.height) / 3); y < Math.floor(((j + 1) * a.height) / 3); y++)
        for (let x = Math.floor((i * a.width) / 3); x < Math.floor(((i + 1) * a.width) / 3); x++) {
          const [u, v] = place(x, y);
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

/** Degrees of freedom of the curve by which a deviation counts: heavy tails, so that one fault does not hide all else. */
const TAILS = 2;
/** At this mean deviation (logarithms of likelihood) closeness is one half, and how steeply it falls there. */
const [HALF, STEEPNESS] = [1.3, 3];
/** Power of the mean over a group's features: over 1, so that one clear fault counts for more than many small ones. */
const PRONOUNCED = 1.5;

/** Closeness of so much mean deviation, 0 to 100. */
const closenessAt = (deviation: number): number => 100 / (1 + (deviation / HALF) ** STEEPNESS);

/** Where things stand on the sheet hardly tells hands apart: by itself it does so in 59 of 100 cases, the other groups in 89 to 93. */
const USUAL_WEIGHTS: Partial<Record<FeatureGroup, number>> = { composition: 0.5 };

/** How much less likely a deviation is than none, under Student's t: logarithm, 0 or more. */
const unlikelihood = (z: number): number => ((TAILS + 1) / 2) * Math.log1p((z * z) / TAILS);

/** Mean over a group's findings, null where it has none: what is nearly the same counted once told hands apart less well (0.91 against 0.93 by marks). */
const deviationsByGroup = (findings: readonly Judged[]) =>
  Object.fromEntries(
    FEATURE_GROUPS.map((group): [FeatureGroup, number | null] => {
      const each = findings.filter((f) => f.group === group).map((f) => unlikelihood(f.deviation));
      return [group, each.length ? mean(each.map((v) => v ** PRONOUNCED)) ** (1 / PRONOUNCED) : null];
    }),
  ) as Record<FeatureGroup, number | null>;

/** The most a piece can come to that misses a rule of the study by so many half-widths: 80 at one, 60 far out. */
const ruledMost = (missedBy: number): number => 100 - (40 * missedBy) / (1 + missedBy);

function closenessOf(
  findings: readonly Judged[],
  weights: Partial<Record<FeatureGroup, number>>,
  ruled: ReadonlySet<string>,
): Comparison['closeness'] {
  const deviations = deviationsByGroup(findings);
  const groups = Object.fromEntries(FEATURE_GROUPS.map((g) => [g, deviations[g] === null ? null : closenessAt(deviations[g])])) as Record<
    FeatureGroup,
    number | null
  >;
  let sum = 0;
  let total = 0;
  for (const g of FEATURE_GROUPS) {
    const v = deviations[g];
    const w = (weights[g] ?? 1) * (USUAL_WEIGHTS[g] ?? 1);
    if (v === null || !(w > 0)) continue;
    sum += w * v;
    total += w;
  }
  if (!total) return { overall: null, groups };
  const missed = Math.max(0, ...findings.filter((f) => ruled.has(f.feature)).map((f) => Math.abs(f.distance)));
  return { overall: Math.min(closenessAt(sum / total), ruledMost(missed)), groups };
}

export interface CompareOptions {
  as: 'copy' | 'original';
  /** What the study wants of a copy; without one it is held against the master's range and place by place. */
  aim?: Aim;
  /** All pieces follow one exemplar: they are held for their manner, and where things stand is nobody's own. */
  led?: boolean;
  weights?: Partial<Record<FeatureGroup, number>>;
  /** Features that a rule of the study is about: a piece that clearly misses one is not close. */
  ruled?: readonly string[];
  /** How features vary within a hand; those that ship with the application where none are given. */
  priors?: Priors;
}

/** The piece's readings that are features of comparison, in the units both sides have. */
function readingsOf(piece: Measured, mm: boolean): [name: string, reading: Feature & { value: number }][] {
  return Object.keys(piece.features).flatMap((name): [string, Feature & { value: number }][] => {
    const reading = inCommonUnits(name, piece, mm)!;
    const spec = featureSpec(name, reading.unit);
    return reading.value === null || !spec || spec.uncompared ? [] : [[name, { ...reading, value: reading.value }]];
  });
}

/** The works whose readings make a range: a part would count its work twice. */
function counted(sources: readonly Measured[]): readonly Measured[] {
  const whole = sources.filter((s) => !s.part);
  return whole.length ? whole : sources;
}

/** Every reading of the piece judged: against the hand's range, or, for a copy's proportions, against what its aim asks. */
function judgeReadings(
  sources: readonly Measured[],
  piece: Measured,
  { asked, nearest, priors }: { asked: Asked | null; nearest: number; priors: Priors },
): Judged[] {
  const mm = piece.widthMm !== null && sources.every((s) => s.widthMm !== null);
  const ranged: Held[] = [];
  const copied: Judged[] = [];
  const mids = new Map<string, number>();
  for (const [name, reading] of readingsOf(piece, mm)) {
    const spec = featureSpec(name, reading.unit)!;
    const model = inCommonUnits(name, sources[nearest], mm)?.value ?? null;
    // A copy's proportions are those of the work it was made from, where that one shows them.
    if (spec.group === 'proportion' && asked?.proportion && model !== null) {
      const about = { group: spec.group, feature: name, unit: spec.unit, piece: reading.value, ...titled(reading) };
      copied.push(judgeAsked(about, model, copyTolerance(model, spec.unit, asked.proportion)));
      mids.set(name, model);
      continue;
    }
    const all = spec.group === 'proportion' ? sources : counted(sources);
    const works = asked?.oneWork && model !== null ? [sources[nearest]] : all;
    const range = rangeOf(
      name,
      works.flatMap((s) => shown(name, s, mm)),
      priors,
    );
    if (!range) continue;
    ranged.push(held(name, range, reading));
    if (spec.group === 'proportion') mids.set(name, unscaled(spec, range.centre));
  }
  const palette = paletteHeld(asked?.oneWork ? [sources[nearest]] : counted(sources), piece, priors);
  if (palette) ranged.push(palette);
  const kept = asked?.signature ? signatureOf(mids, asked.signature) : null;
  const open = (name: string) => !kept || !mids.has(name) || kept.has(name);
  return [...judgeAll(ranged.filter((h) => open(h.name))), ...copied.filter((f) => open(f.feature))];
}

/**
 * Holds a piece against a master's works. At least one source; features missing on either side are left out. A copy's
 * aim decides what it is held against: the very work, place by place, with proportions within 3 % (replica); the
 * master's range, main places, proportions within 6 % (study); the range and the signature proportions (remembered).
 */
export function compare(sources: readonly Measured[], piece: Measured, options: CompareOptions): Comparison {
  if (!sources.length) throw new CoreError('source');
  const invention: Invention | null = inventionOf(sources, piece.layout);
  const nearest = invention?.nearest ?? 0;
  const copy = options.as === 'copy';
  const asked = copy && options.aim ? ASKED[options.aim] : null;
  const all = judgeReadings(sources, piece, { asked, nearest, priors: options.priors ?? PRIORS });
  if (copy && (asked?.places ?? true)) all.push(...placeFindings(sources[nearest], piece));
  const judged = options.led ? all.filter((f) => f.group !== 'composition') : all;
  judged.sort((a, b) => Math.abs(b.distance) - Math.abs(a.distance) || b.deviation - a.deviation);
  return {
    as: options.as,
    closeness: closenessOf(judged, options.weights ?? {}, new Set(options.ruled)),
    ownInvention: invention?.score ?? 100,
    findings: judged.map(({ deviation: _deviation, ...f }) => f),
    nearest,
  };
}
