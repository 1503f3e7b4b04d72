/** The headless face of the core: one command, one JSON document on standard output. */
import { CoreError } from '../core/errors';
import { ciede2000 } from '../core/colour/difference';
import { all, has, last, numbers, points, readWords, Words, wordSettings } from './options';
import { Unusable } from './unusable';

interface Outcome {
  json: unknown;
  plain: string;
}

type Command = (words: readonly string[]) => Promise<{ words: Words; outcome: Outcome }>;

async function textOf(path: string, what: string): Promise<string> {
  const { readFile } = await import('node:fs/promises');
  try {
    return await readFile(path, 'utf8');
  } catch {
    throw new Unusable(`${what}: ${path}: there is no such file, or it cannot be read`);
  }
}

function required(w: Words, name: string): string {
  const value = last(w, name);
  if (value === undefined) throw new Unusable(`--${name}: is missing`);
  return value;
}

const COMMANDS: Record<string, Command> = {
  measure: async (input) => {
    const words = readWords(input, ['width-mm', 'patch', 'colours', 'values', 'landmarks']);
    const { measure } = await import('./measure');
    return { words, outcome: await measure(words, textOf) };
  },
  rectify: async (input) => {
    const words = readWords(input, ['paper', 'corners', 'grey', 'px-per-mm', 'out']);
    const { rectifyFile } = await import('./rectify');
    return { words, outcome: await rectifyFile(words) };
  },
  compare: async (input) => {
    const words = readWords(input, ['source', 'source-width-mm', 'source-landmarks', 'piece', 'piece-width-mm', 'piece-landmarks', 'as']);
    const { compareFiles } = await import('./compare');
    return { words, outcome: await compareFiles(words, textOf) };
  },
  mix: async (input) => {
    const words = readWords(input, ['target', 'kit']);
    const target = required(words, 'target');
    const { parseKitFile } = await import('../core/formats/kitFile');
    const { mixFor } = await import('../core/colour/mixing');
    const kit = parseKitFile(await textOf(required(words, 'kit'), '--kit'));
    const { spell } = await import('../core/style/words');
    const found = mixFor(target, kit);
    const answer = { ...found, words: spell(found.words, wordSettings(words)) };
    const lines = answer.recipes.map(
      (r) => `ΔE ${r.deltaE.toFixed(1)}  ${r.hex}  ${r.parts.map((p) => `${p.parts} ${p.paint}`).join(' + ')}`,
    );
    return {
      words,
      outcome: { json: { format: 'oldhand.mix/1', ...answer }, plain: [answer.words, ...lines].join('\n') },
    };
  },
  'colour-difference': async (input) => {
    // A Lab colour may begin with a minus sign, never with two.
    const words = readWords(input, []);
    if (words.positional.length !== 2) throw new Unusable('colour-difference: give two colours, each L,a,b');
    const [one, two] = words.positional.map((p) => numbers('colour', p, 3));
    const deltaE = ciede2000(one, two);
    return { words, outcome: { json: { deltaE }, plain: `ΔE00 ${deltaE.toFixed(4)}` } };
  },
  'fit-shapes': async (input) => {
    const words = readWords(input, ['polygon']);
    const { fitShapes } = await import('../core/proportion/shapes');
    const polygon = points('polygon', required(words, 'polygon'));
    if (polygon.length > 20000) throw new Unusable('--polygon: more than 20000 points; give fewer');
    const shapes = fitShapes(polygon);
    return {
      words,
      outcome: {
        json: { shapes },
        plain: shapes.map((s) => `${s.kind}  ${(100 * s.overlap).toFixed(1)} % overlap`).join('\n'),
      },
    };
  },
  align: async (input) => {
    const words = readWords(input, ['from', 'to']);
    const { align } = await import('../core/proportion/align');
    const { parseLandmarkFile } = await import('../core/formats/landmarkFile');
    const [a, b] = await Promise.all(
      (['from', 'to'] as const).map(async (n) => parseLandmarkFile(await textOf(required(words, n), `--${n}`), `--${n}`)),
    );
    const json = align(a.points, b.points);
    return {
      words,
      outcome: {
        json,
        plain: `scale ${json.scale.toFixed(4)}, turned ${json.rotation.toFixed(2)}°, moved ${json.shift.map((v) => v.toFixed(1)).join(', ')} px; r.m.s. ${json.rms.toFixed(2)} px`,
      },
    };
  },
};

export const COMMAND_NAMES = Object.keys(COMMANDS);

/** Runs one command; prints its document and returns the exit code. */
export async function run(name: string, input: readonly string[]): Promise<number> {
  try {
    const command = COMMANDS[name];
    if (!command) throw new Unusable(`${name}: no such command`);
    const { words, outcome } = await command(input);
    wordSettings(words);
    if (all(words, 'json').length > 1) process.stderr.write('warning: --json was given more than once\n');
    const text = has(words, 'json') ? JSON.stringify(outcome.json) : outcome.plain;
    await new Promise<void>((done) => process.stdout.write(text + '\n', () => done()));
    return 0;
  } catch (error) {
    if (error instanceof Unusable || error instanceof CoreError) {
      process.stderr.write(error.message.replace(/\s*\n\s*/g, ' ') + '\n');
      return 2;
    }
    throw error;
  }
}
