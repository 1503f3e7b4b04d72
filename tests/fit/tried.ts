/** Prints how patches of every stroke model read, by seeds that nothing was fitted on; run as a script, since drawing them inside the test runner takes ten times as long. */
import { createHash } from 'node:crypto';
import { readPatch } from '../../core/marks/reading';
import { kindsOf, makePatch, MODEL_NAMES } from '../renderers';

const SEEDS = [90_001, 90_002, 90_003];

const hashOf = (data: Uint8Array | Uint8ClampedArray) => createHash('sha256').update(data).digest('hex');

async function main(): Promise<void> {
  const rows = [];
  for (const model of MODEL_NAMES)
    for (const kind of kindsOf(model))
      for (const seed of SEEDS) {
        const { image, ground } = await makePatch(model, kind, seed);
        const { kind: read, confidence } = readPatch(image, ground, { factor: 1, pictureWidth: 600, mmPerPixel: null });
        rows.push({ model, kind, read, confidence });
      }
  const twice = await Promise.all([4, 4, 5].map(async (seed) => hashOf((await makePatch('bristle', 'dabs', seed)).image.data)));
  process.stdout.write(JSON.stringify({ rows, twice }));
}

void main();
