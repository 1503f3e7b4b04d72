/** Error tables of the mark readings over generated patches: every kind in every medium, train and test seeds apart. */
import { drawPatch, Patch, PATCH_KINDS, PATCH_MEDIA, PatchMedium } from '../../atelier/patches';
import { HATCHED } from '../../core/marks/kinds';
import { Reading, readPatch } from '../../core/marks/reading';
import { axialDifference, median } from '../../core/raster/statistics';
import { percent, seedSets, table } from './tables';

interface Row {
  patch: Patch['truth'];
  reading: Reading;
}

function readAll(seeds: readonly number[]): Row[] {
  const rows: Row[] = [];
  for (const kind of PATCH_KINDS)
    for (const medium of PATCH_MEDIA)
      for (const seed of seeds) {
        const { image, ground, truth } = drawPatch(kind, medium, seed);
        rows.push({ patch: truth, reading: readPatch(image, ground, { factor: 1, pictureWidth: 1000, mmPerPixel: null }) });
      }
  return rows;
}

/** Median error of a size over the rows that have both, and the share of rows that gave one. */
function sizeErrors(rows: readonly Row[], truth: (p: Patch['truth']) => number | null, read: (r: Reading) => number | null) {
  const wanted = rows.filter((r) => truth(r.patch) !== null);
  const both = wanted.filter((r) => read(r.reading) !== null);
  const errors = both.map((r) => Math.abs(read(r.reading)! / truth(r.patch)! - 1));
  return { error: errors.length ? median(errors) : NaN, told: wanted.length ? both.length / wanted.length : NaN };
}

function sizesOf(rows: readonly Row[]) {
  const turned = rows.filter((r) => r.patch.kind === 'parallel-hatch');
  const directions = turned.flatMap((r) =>
    r.reading.directions[0] ? [Math.abs(axialDifference(r.patch.angle!, r.reading.directions[0].angle))] : [90],
  );
  const crossed = rows.filter((r) => r.patch.kind === 'cross-hatch' && r.reading.crossing !== null);
  const crossing = crossed.map((r) => {
    const c = r.patch.crossing! % 180;
    return Math.abs(Math.min(c, 180 - c) - r.reading.crossing!);
  });
  const lined = rows.filter((r) => HATCHED.has(r.patch.kind) && r.reading.kind === r.patch.kind);
  const spacing = sizeErrors(
    lined,
    (p) => p.spacing,
    (r) => r.spacing?.px ?? null,
  );
  const width = sizeErrors(
    rows.filter((r) => r.patch.kind === r.reading.kind),
    (p) => p.width,
    (r) => r.lineWidth?.px ?? null,
  );
  const length = sizeErrors(
    turned.filter((r) => r.reading.kind === 'parallel-hatch'),
    (p) => p.length,
    (r) => r.strokeLength?.px ?? null,
  );
  return {
    kind: percent(rows.filter((r) => r.reading.kind === r.patch.kind).length / rows.length),
    direction: `${median(directions).toFixed(2)}°`,
    crossing: crossing.length ? `${median(crossing).toFixed(1)}°` : '–',
    spacing: `${percent(spacing.error)} (told ${percent(spacing.told)})`,
    width: percent(width.error),
    length: `${percent(length.error)} (told ${percent(length.told)})`,
  };
}

/** How often readings given with about a confidence are right. */
function reliability(rows: readonly Row[]): string {
  const bins = [0, 0.3, 0.5, 0.6, 0.7, 0.8, 0.9, 0.95, 1.0001];
  return table(
    ['confidence', 'readings', 'mean confidence', 'right'],
    bins.slice(0, -1).map((low, i) => {
      const own = rows.filter((r) => r.reading.confidence >= low && r.reading.confidence < bins[i + 1]);
      const right = own.filter((r) => r.reading.kind === r.patch.kind).length;
      const mean = own.reduce((s, r) => s + r.reading.confidence, 0) / own.length;
      return [
        `${low} to ${Math.min(1, bins[i + 1])}`,
        String(own.length),
        own.length ? mean.toFixed(2) : '–',
        own.length ? percent(right / own.length) : '–',
      ];
    }),
  );
}

function confusion(rows: readonly Row[]): string {
  return table(
    ['drawn', 'right', 'read as instead'],
    PATCH_KINDS.map((kind) => {
      const own = rows.filter((r) => r.patch.kind === kind);
      const wrong = new Map<string, number>();
      for (const r of own)
        if (r.reading.kind !== kind)
          wrong.set(`${r.reading.kind} (${r.patch.medium})`, (wrong.get(`${r.reading.kind} (${r.patch.medium})`) ?? 0) + 1);
      const right = own.filter((r) => r.reading.kind === kind).length;
      return [
        kind,
        `${right} of ${own.length}`,
        [...wrong]
          .sort((a, b) => b[1] - a[1])
          .map(([k, n]) => `${k} ${n}`)
          .join(', '),
      ];
    }),
  );
}

function section(name: string, rows: readonly Row[]): string {
  const byMedium = PATCH_MEDIA.map((m: PatchMedium) => [m, ...Object.values(sizesOf(rows.filter((r) => r.patch.medium === m)))]);
  return [
    `### ${name}`,
    table(
      ['medium', 'kind right', 'direction', 'crossing', 'spacing', 'width', 'length'],
      [...byMedium, ['all', ...Object.values(sizesOf(rows))]],
    ),
    confusion(rows),
    reliability(rows),
  ].join('\n\n');
}

/** The marks' part of the accuracy notes; `many` seeds a kind and medium for each set. */
export function marksAccuracy(many: number): string {
  return seedSets(many)
    .map((set) => section(set.name, readAll(set.seeds)))
    .join('\n\n');
}
