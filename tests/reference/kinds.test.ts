/** Kinds of mark on patches of stroke models that share no code, by seeds that nothing was fitted on; and the fit itself. */
import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { MARK_KINDS, MarkKind } from '../../core/marks/kinds';
import { KIND_MODEL } from '../../core/marks/kindModel';
import { readTrees } from '../../core/marks/trees';
import { normal, seededRandom } from '../../core/raster/statistics';
import { evidenceCode } from '../fit/evidenceCode';
import { amongPlaces, fitKinds, HeldOut, leaveOneOut, reliabilityOf } from '../fit/kinds';
import { Example } from '../fit/material';
import { MODEL_NAMES, ModelName } from '../renderers';

test('what was fitted was fitted with this very evidence: after a change of either, run `npm run fit -- --pictures FOLDER`', () => {
  expect(KIND_MODEL.code).toBe(evidenceCode());
  for (const kind of MARK_KINDS) expect(KIND_MODEL.weights[kind]).toHaveLength(KIND_MODEL.clues.length + 1);
  const { roots, bytes } = readTrees(KIND_MODEL.trees);
  expect(roots).toHaveLength(40);
  expect(bytes.length).toBeLessThan(200_000);
  const rising = KIND_MODEL.reliability.map(([, right]) => right);
  expect([...rising].sort((a, b) => a - b)).toEqual(rising);
});

test('without the pictures the fit refuses, and says what it wants', () => {
  const { status, stderr } = spawnSync(process.execPath, [join('launcher', 'fit.mjs'), 'kinds'], { encoding: 'utf8' });
  expect(status).not.toBe(0);
  expect(stderr).toMatch(/--pictures must name a folder/);
}, 60_000);

interface Row {
  model: ModelName;
  kind: MarkKind;
  read: MarkKind | null;
  confidence: number;
}
let rows: Row[] = [];
let twice: string[] = [];
beforeAll(() => {
  const run = "import('./launcher/script.mjs').then((m) => process.stdout.write(m.runScript('fit/tried')))";
  const { stdout, stderr } = spawnSync(process.execPath, ['-e', run], { encoding: 'utf8', maxBuffer: 1e7 });
  if (!stdout) throw new Error(stderr);
  ({ rows, twice } = JSON.parse(stdout) as { rows: Row[]; twice: string[] });
}, 480_000);

/** Without a sheet to know it by, bare is even paint. */
const right = ({ kind, read }: Row) => read === kind || (kind === 'blank' && read === 'flat');
const share = (list: readonly Row[]) => list.filter(right).length / list.length;

test('of the patches of all models four in five are told rightly, and of what is told surely nine in ten', () => {
  const told = rows.filter((r) => r.read !== null);
  const sure = told.filter((r) => r.confidence >= 0.8);
  console.log(
    `${rows.length} patches: ${told.length} told, ${(100 * share(told)).toFixed(0)} % rightly; ${sure.length} surely, ${(100 * share(sure)).toFixed(0)} % rightly`,
  );
  expect(told.length / rows.length).toBeGreaterThan(0.75);
  expect(share(told)).toBeGreaterThan(0.75);
  expect(sure.length).toBeGreaterThan(40);
  expect(share(sure)).toBeGreaterThan(0.9);
});

// Of figures before a ground, a window often shows little but ground, and says little of how they are filled.
test.each(MODEL_NAMES)('%s: what is told is mostly right', (model) => {
  expect(share(rows.filter((r) => r.model === model && r.read !== null))).toBeGreaterThan(model === 'forms' ? 0.35 : 0.6);
});

test('of shapes, solids and led brushes seven in ten are told rightly, and of what is told surely six in seven', () => {
  const told = rows.filter((r) => ['vector', 'solids', 'flow'].includes(r.model) && r.read !== null);
  const sure = told.filter((r) => r.confidence >= 0.8);
  expect(told.length).toBeGreaterThan(70);
  expect(share(told)).toBeGreaterThan(0.7);
  expect(sure.length).toBeGreaterThan(30);
  expect(share(sure)).toBeGreaterThan(6 / 7);
});

// What a stranger's renderer would be told; the fit prints its table beside the coefficients.
test('each model left out of the fit, over three in four are told rightly, and of what is told surely nine in ten', () => {
  const table = readFileSync(join('docs', 'kinds.md'), 'utf8');
  const [, all, right, sureRight, sure] = /\| all renderers \| (\d+) \| ([\d.]+) % \| [\d.]+ % \| ([\d.]+) % of (\d+) \|/
    .exec(table)!
    .map(Number);
  expect(right).toBeGreaterThan(77);
  expect(sureRight).toBeGreaterThan(90);
  expect(sure / all).toBeGreaterThan(0.45);
  for (const model of MODEL_NAMES) expect(table).toContain(`\n| ${model} |`);
});

test('the same seed makes the same patch, another seed another', () => {
  expect(twice[0]).toBe(twice[1]);
  expect(twice[2]).not.toBe(twice[0]);
});

/** Examples of three kinds, told apart by two numbers. */
function examples(many: number, seed: number, source: string): Example[] {
  const r = seededRandom(seed);
  const middles: [MarkKind, number, number][] = [
    ['wash', 0, 0],
    ['dabs', 4, 0],
    ['line', 0, 4],
  ];
  return Array.from({ length: many }, (_, i) => {
    const [kind, x, y] = middles[i % 3];
    const known = { real: false, picture: source, kinds: [kind], again: [kind], reversed: false, groundKnown: true };
    return { source, ...known, clues: { x: x + normal(r), y: y + normal(r) } };
  });
}

test('the fit tells apart what can be told apart, and what it says of its own sureness rises', () => {
  const material = ['a', 'b', 'c', 'd'].flatMap((source, i) => examples(90, i + 1, source));
  const { judged, sharper } = leaveOneOut(material);
  expect(judged).toHaveLength(material.length);
  const share = judged.filter((j) => j.example.kinds.includes(j.kind)).length / judged.length;
  // Middles four deviations apart: the best rule is right in 95 to 98 of 100.
  expect(share).toBeGreaterThan(0.94);
  const reliability = reliabilityOf(judged);
  expect(reliability[0]).toEqual([0, 0]);
  for (let k = 1; k < reliability.length; k++) expect(reliability[k][1]).toBeGreaterThanOrEqual(reliability[k - 1][1]);
  // Where both say the same, so surely, a power says hardly more.
  expect(sharper).toBeGreaterThanOrEqual(1);
  const { weights } = fitKinds(material);
  // The further in x, the more it is dabs; the further in y, the more it is line.
  expect(weights.dabs[0]).toBeGreaterThan(weights.wash[0]);
  expect(weights.line[1]).toBeGreaterThan(weights.wash[1]);
});

test('what is reversed is fitted on and never judged; a place is judged among the others of its picture where they are known', () => {
  const drawn = ['a', 'b', 'c'].flatMap((source, i) => examples(60, i + 11, source));
  const reversed = examples(60, 30, 'c').map((e) => ({ ...e, reversed: true }));
  const { judged } = leaveOneOut([...drawn, ...reversed]);
  expect(judged).toHaveLength(drawn.length);
  expect(judged.every((j) => !j.example.reversed && j.among === null)).toBe(true);
  expect(amongPlaces(judged)).toEqual([]);
  // Nearly every place of c is of washes: what of it lies between is taken for one, too; the rest stays as it is.
  const washes = examples(300, 40, 'c').filter((e) => e.kinds[0] === 'wash');
  const among = amongPlaces(leaveOneOut([...drawn, ...reversed], { c: washes }).judged);
  expect(among.map((j) => j.example.source)).toEqual(Array.from({ length: 60 }, () => 'c'));
  const told = (of: readonly HeldOut[]) => of.filter((j) => j.kind === 'wash').length;
  expect(told(among)).toBeGreaterThanOrEqual(told(judged.filter((j) => j.example.source === 'c')));
  for (const j of among.filter((j) => j.example.kinds[0] === 'wash' && j.kind === 'wash'))
    expect(j.chance).toBeGreaterThanOrEqual(judged.find((o) => o.example === j.example)!.chance);
});
