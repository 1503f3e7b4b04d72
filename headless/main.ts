/** The headless face of the core: one command, one JSON document on standard output. */
import { CoreError } from '../core/errors';
import { ciede2000 } from '../core/colour/difference';
import { figure, message, typed } from '../core/message';
import { sentencesOf } from '../words/languages';
import { Say, speaker } from '../words/say';
import { all, has, last, numbers, points, readWords, voiceOf, voiceWished, Words } from './options';
import { Unusable } from './unusable';

interface Outcome {
  json: unknown;
  plain: string;
}

type Command = (words: readonly string[], say: Say) => Promise<{ words: Words; outcome: Outcome }>;

async function textOf(path: string, what: string): Promise<string> {
  const { readFile } = await import('node:fs/promises');
  try {
    return await readFile(path, 'utf8');
  } catch {
    throw new Unusable('noFile', { what: typed(what), path: typed(path) });
  }
}

function required(w: Words, name: string): string {
  const value = last(w, name);
  if (value === undefined) throw new Unusable('missing', { name: typed(name) });
  return value;
}

const COMMANDS: Record<string, Command> = {
  measure: async (input, say) => {
    const words = readWords(input, ['width-mm', 'frame', 'patch', 'colours', 'values', 'landmarks', 'template']);
    const { measure } = await import('./measure');
    return { words, outcome: await measure(words, textOf, say) };
  },
  rectify: async (input, say) => {
    const words = readWords(input, ['paper', 'corners', 'grey', 'px-per-mm', 'out']);
    const { rectifyFile } = await import('./rectify');
    return { words, outcome: await rectifyFile(words, say) };
  },
  compare: async (input, say) => {
    const words = readWords(input, [
      'source',
      'source-width-mm',
      'source-landmarks',
      'piece',
      'piece-width-mm',
      'piece-landmarks',
      'as',
      'template',
    ]);
    const { compareFiles } = await import('./compare');
    return { words, outcome: await compareFiles(words, textOf, say) };
  },
  hand: async (input, say) => {
    const words = readWords(input, [
      'source',
      'source-width-mm',
      'source-landmarks',
      'foil',
      'foil-width-mm',
      'foil-landmarks',
      'template',
    ]);
    const { handFiles } = await import('./hand');
    return { words, outcome: await handFiles(words, textOf, say) };
  },
  mix: async (input, say) => {
    const words = readWords(input, ['target', 'kit']);
    const target = required(words, 'target');
    const { parseKitFile } = await import('../core/formats/kitFile');
    const { mixFor } = await import('../core/colour/mixing');
    const kit = parseKitFile(await textOf(required(words, 'kit'), '--kit'));
    const found = mixFor(target, kit);
    const answer = { ...found, words: say(found.words) };
    const lines = answer.recipes.map((r) =>
      say('headless.recipe', {
        deltaE: message('units.deltaE', { n: figure(r.deltaE, 1) }),
        hex: typed(r.hex),
        parts: typed(r.parts.map((p) => `${p.parts} ${p.paint}`).join(' + ')),
      }),
    );
    return {
      words,
      outcome: { json: { format: 'oldhand.mix/1', ...answer }, plain: [answer.words, ...lines].join('\n') },
    };
  },
  'colour-difference': async (input, say) => {
    // A Lab colour may begin with a minus sign, never with two.
    const words = readWords(input, []);
    if (words.positional.length !== 2) throw new Unusable('twoColours');
    const [one, two] = words.positional.map((p) => numbers('colour', p, 3));
    const deltaE = ciede2000(one, two);
    return { words, outcome: { json: { deltaE }, plain: say('headless.difference', { n: figure(deltaE, 4) }) } };
  },
  'fit-shapes': async (input, say) => {
    const words = readWords(input, ['polygon']);
    const { fitShapes } = await import('../core/proportion/shapes');
    const polygon = points('polygon', required(words, 'polygon'));
    if (polygon.length > 20000) throw new Unusable('manyPoints');
    const shapes = fitShapes(polygon);
    return {
      words,
      outcome: {
        json: { shapes },
        plain: shapes.map((s) => say('headless.overlap', { kind: typed(s.kind), share: figure(100 * s.overlap, 1) })).join('\n'),
      },
    };
  },
  align: async (input, say) => {
    const words = readWords(input, ['from', 'to']);
    const { align } = await import('../core/proportion/align');
    const { allPoints, parseLandmarkFile } = await import('../core/formats/landmarkFile');
    const [a, b] = await Promise.all(
      (['from', 'to'] as const).map(async (n) => allPoints(parseLandmarkFile(await textOf(required(words, n), `--${n}`), `--${n}`))),
    );
    const json = align(a, b);
    return {
      words,
      outcome: {
        json,
        plain: say('headless.aligned', {
          scale: figure(json.scale, 4),
          rotation: figure(json.rotation, 2),
          x: figure(json.shift[0], 1),
          y: figure(json.shift[1], 1),
          rms: figure(json.rms, 2),
        }),
      },
    };
  },
};

export const COMMAND_NAMES = Object.keys(COMMANDS);

/** Runs one command; prints its document and returns the exit code. */
export async function run(name: string, input: readonly string[]): Promise<number> {
  const voice = voiceWished(input);
  const say = speaker(await sentencesOf(voice), voice);
  try {
    const command = COMMANDS[name];
    if (!command) throw new Unusable('noCommand', { name: typed(name) });
    const { words, outcome } = await command(input, say);
    voiceOf(words);
    if (all(words, 'json').length > 1) process.stderr.write(say('headless.warning', { words: message('headless.jsonTwice') }) + '\n');
    const text = has(words, 'json') ? JSON.stringify(outcome.json) : outcome.plain;
    await new Promise<void>((done) => process.stdout.write(text + '\n', () => done()));
    return 0;
  } catch (error) {
    if (error instanceof Unusable || error instanceof CoreError) {
      process.stderr.write(say(error.said).replace(/\s*\n\s*/g, ' ') + '\n');
      return 2;
    }
    throw error;
  }
}
