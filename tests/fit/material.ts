/** Patches whose kind is known, with their clues: drawn by stroke models that share no code, and cut from real pictures and named by eye. */
import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import sharp from 'sharp';
import { cluesOf } from '../../core/marks/clues';
import { gatherEvidence } from '../../core/marks/evidence';
import { MARK_KINDS, MarkKind } from '../../core/marks/kinds';
import { workUp } from '../../core/marks/workup';
import { cropImage, Rect, RgbImage } from '../../core/raster/image';
import { measurePicture } from '../../core/style/profile';
import { kindsOf, makePatch, MODEL_NAMES } from '../renderers';
import { rasterOf } from '../support/pictures';

export interface Example {
  /** The stroke model or the hand it comes from; pictures by nobody else here are hands of their own. */
  source: string;
  real: boolean;
  /** What it is; where a second is named it could as well be called that. */
  kinds: MarkKind[];
  groundKnown: boolean;
  clues: Record<string, number>;
}

function cluesIn(image: RgbImage, ground: readonly number[] | null): Record<string, number> {
  return cluesOf(gatherEvidence(workUp(image, ground), [[0, 0, image.width, image.height]])[0]);
}

/** Without a sheet to know it by, bare is even colour. */
const asSeen = (kinds: readonly MarkKind[], groundKnown: boolean): MarkKind[] =>
  kinds.map((k) => (k === 'blank' && !groundKnown ? 'flat' : k));

/** `many` patches of every kind that each model makes, from the seed on. */
export async function drawnExamples(many: number, seed: number): Promise<Example[]> {
  const out: Example[] = [];
  for (const model of MODEL_NAMES)
    for (const kind of kindsOf(model))
      for (let s = seed; s < seed + many; s++) {
        const { image, ground } = await makePatch(model, kind, s);
        out.push({ source: model, real: false, kinds: asSeen([kind], !!ground), groundKnown: !!ground, clues: cluesIn(image, ground) });
      }
  return out;
}

type Label = [rect: Rect, ...kinds: MarkKind[]];

function readLabels(): Record<string, Label[]> {
  const labels = JSON.parse(readFileSync(join(process.cwd(), 'tests', 'fit', 'labels.json'), 'utf8')) as Record<string, Label[]>;
  for (const [, ...kinds] of Object.values(labels).flat())
    for (const k of kinds) if (!MARK_KINDS.includes(k)) throw new Error(`tests/fit/labels.json: ${k} is no kind of mark`);
  return labels;
}

/** Labelled patches of the pictures of a folder, known by their bytes. Each is given twice: as it is, and at four fifths of its size. */
export async function realExamples(folder: string): Promise<Example[]> {
  const labels = readLabels();
  const out: Example[] = [];
  for (const file of readdirSync(folder).sort()) {
    const bytes = readFileSync(join(folder, file));
    const own = labels[createHash('sha256').update(bytes).digest('hex')];
    if (!own) continue;
    const image = await rasterOf(sharp(bytes));
    const ground = measurePicture(image, {}).profile.ground?.lab ?? null;
    const source = /^(hand-[a-z])-/.exec(file)?.[1] ?? file;
    for (const [rect, ...kinds] of own) {
      const cut = cropImage(image, rect);
      const raw = { width: cut.width, height: cut.height, channels: 3 } as const;
      const smaller = await rasterOf(sharp(cut.data, { raw }).resize(Math.round(0.8 * cut.width), Math.round(0.8 * cut.height)));
      for (const patch of [cut, smaller])
        out.push({ source, real: true, kinds: asSeen(kinds, !!ground), groundKnown: !!ground, clues: cluesIn(patch, ground) });
    }
  }
  return out;
}
