/** Fits how kinds of mark are told; prints the data file's object and the tables of what was left out. */
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { MODEL_NAMES, ModelName } from '../renderers';
import { evidenceCode, hashOf } from './evidenceCode';
import { amongPlaces, fitKinds, leaveOneOut, reliabilityOf } from './kinds';
import { drawnExamples, Example, pictureTiles, realExamples } from './material';
import { picturesFolder } from './pictures';
import { heldOutTables } from './tables';

/** Patches of each kind by each renderer, and the first of their seeds. */
const [MANY, SEED] = [26, 1000];

/** What examples come from; while it stays the same they need not be gathered again. */
const NAMED = [join('tests', 'fit', 'material.ts'), join('tests', 'fit', 'labels.json')];
const drawnBy = (model: ModelName) =>
  ['index', 'patch', model].map((file) => join('tests', 'renderers', `${file}.ts`)).filter((file) => existsSync(file));

/** Gathering takes minutes: it is kept in build/ under a hash of all it comes from. */
async function remembered<T>(what: string, sources: readonly string[], gather: () => Promise<T>): Promise<T> {
  const file = join('build', 'fit', `${what}-${evidenceCode()}-${hashOf(sources)}-${MANY}-${SEED}.json`);
  if (existsSync(file)) return JSON.parse(readFileSync(file, 'utf8')) as T;
  const examples = await gather();
  mkdirSync(join('build', 'fit'), { recursive: true });
  writeFileSync(file, JSON.stringify(examples));
  return examples;
}

async function main(args: readonly string[]): Promise<void> {
  const folder = picturesFolder(args);
  const real = await remembered('real', NAMED, () => realExamples(folder));
  if (real.length < 100) {
    process.stderr.write(
      `fit: only ${real.length} labelled patches found in ${folder}; the pictures of tests/fit/labels.json are wanted\n`,
    );
    process.exit(2);
  }
  const examples: Example[] = [];
  for (const model of MODEL_NAMES)
    examples.push(...(await remembered(model, [...NAMED, ...drawnBy(model)], () => drawnExamples(model, MANY, SEED))));
  examples.push(...real);
  const { judged, sharper } = leaveOneOut(examples, await remembered('places', NAMED, () => pictureTiles(folder)));
  const data = {
    code: evidenceCode(),
    ...fitKinds(examples),
    sharper,
    reliability: reliabilityOf(judged),
    reliabilityAmong: reliabilityOf(amongPlaces(judged)),
  };
  process.stdout.write(JSON.stringify({ data, tables: heldOutTables(judged) }));
}

void main(process.argv.slice(2));
