/** Patches whose kind is known, with their clues: drawn by stroke models that share no code, and cut from real pictures and named by eye. */
import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import sharp from 'sharp';
import { labPlanes } from '../../core/colour/lab';
import { cluesOf } from '../../core/marks/clues';
import { gatherEvidence } from '../../core/marks/evidence';
import { MARK_KINDS, MarkKind } from '../../core/marks/kinds';
import { chooseWindows, tilesOf, workWindow } from '../../core/marks/tiles';
import { workUp } from '../../core/marks/workup';
import { cropImage, Rect, RgbImage } from '../../core/raster/image';
import { markSheet, prepare } from '../../core/style/prepare';
import { measurePicture } from '../../core/style/profile';
import { kindsOf, makePatch, ModelName } from '../renderers';
import { rasterOf } from '../support/pictures';
import { picturesIn } from './pictures';

export interface Example {
  /** The stroke model or the hand it comes from; pictures by nobody else here are hands of their own. */
  source: string;
  real: boolean;
  /** Which picture it lies in; of drawn patches, as of `source`. */
  picture: string;
  /** What it is; where a second is named it could as well be called that. */
  kinds: MarkKind[];
  /** The same named once more, without sight of the first names. */
  again: MarkKind[];
  /** Light and dark exchanged: for the fit alone, never to be judged. */
  reversed: boolean;
  groundKnown: boolean;
  clues: Record<string, number>;
}

function cluesIn(image: RgbImage, ground: readonly number[] | null): Record<string, number> {
  return cluesOf(gatherEvidence(workUp(image, ground), [[0, 0, image.width, image.height]])[0]);
}

/** Without a sheet to know it by, bare is even colour. */
const asSeen = (kinds: readonly MarkKind[], groundKnown: boolean): MarkKind[] =>
  kinds.map((k) => (k === 'blank' && !groundKnown ? 'flat' : k));

/** `many` patches of every kind that a model makes, from the seed on. */
export async function drawnExamples(model: ModelName, many: number, seed: number): Promise<Example[]> {
  const out: Example[] = [];
  for (const kind of kindsOf(model))
    for (let s = seed; s < seed + many; s++) {
      const { image, ground } = await makePatch(model, kind, s);
      const kinds = asSeen([kind], !!ground);
      out.push({
        source: model,
        real: false,
        picture: model,
        kinds,
        again: kinds,
        reversed: false,
        groundKnown: !!ground,
        clues: cluesIn(image, ground),
      });
    }
  return out;
}

/** A rectangle and what it was called, twice: the second time in another order, without sight of the first. */
type Label = [rect: Rect, kinds: MarkKind[], again: MarkKind[]];

function readLabels(): Record<string, Label[]> {
  const labels = JSON.parse(readFileSync(join(process.cwd(), 'tests', 'fit', 'labels.json'), 'utf8')) as Record<string, Label[]>;
  for (const [, kinds, again] of Object.values(labels).flat())
    for (const k of [...kinds, ...again]) if (!MARK_KINDS.includes(k)) throw new Error(`tests/fit/labels.json: ${k} is no kind of mark`);
  return labels;
}

/** What is light made dark, as on black paper or a negative; a mark of chalk is the same mark as one of ink. */
const exchanged = (data: RgbImage['data']) => Uint8Array.from(data, (v) => 255 - v);

function exchangedSheet(hex: string): number[] {
  const { L, a, b } = labPlanes({ width: 1, height: 1, data: exchanged(Uint8Array.from(Buffer.from(hex.slice(1), 'hex'))) });
  return [L.data[0], a.data[0], b.data[0]];
}

/** Labelled patches of the pictures of a folder, known by their bytes. Each is given as it is, at four fifths of its size, and reversed. */
export async function realExamples(folder: string): Promise<Example[]> {
  const labels = readLabels();
  const out: Example[] = [];
  for (const file of picturesIn(folder)) {
    const bytes = readFileSync(join(folder, file));
    const own = labels[createHash('sha256').update(bytes).digest('hex')];
    if (!own) continue;
    const image = await rasterOf(sharp(bytes));
    const sheet = measurePicture(image, {}).profile.ground;
    const ground = sheet?.lab ?? null;
    const source = /^(hand-[a-z])-/.exec(file)?.[1] ?? file;
    for (const [rect, kinds, again] of own) {
      const cut = cropImage(image, rect);
      const raw = { width: cut.width, height: cut.height, channels: 3 } as const;
      const smaller = await rasterOf(sharp(cut.data, { raw }).resize(Math.round(0.8 * cut.width), Math.round(0.8 * cut.height)));
      const [first, second] = [kinds, again].map((k) => asSeen(k, !!ground));
      const known = { source, real: true, picture: file, kinds: first, again: second, groundKnown: !!ground };
      for (const patch of [cut, smaller]) out.push({ ...known, reversed: false, clues: cluesIn(patch, ground) });
      const negative = { ...cut, data: exchanged(cut.data) };
      out.push({ ...known, reversed: true, clues: cluesIn(negative, sheet && exchangedSheet(sheet.hex)) });
    }
  }
  return out;
}

/** Clues of one place of a whole picture. */
export type Place = Pick<Example, 'groundKnown' | 'clues'>;

/** All worked places of each picture of a folder, as the picture is read. */
export async function pictureTiles(folder: string): Promise<Record<string, Place[]>> {
  const out: Record<string, Place[]> = {};
  for (const file of picturesIn(folder)) {
    const sheet = prepare(await rasterOf(sharp(join(folder, file))), {});
    const { image, leftOut } = markSheet(sheet);
    out[file] = chooseWindows(image.width, image.height).flatMap((rect) => {
      const work = workWindow(image, rect, sheet.ground?.lab ?? null, sheet.tone);
      const tiles = tilesOf(work, rect, image.width, image.height, leftOut).filter((t) => t.area);
      return tiles.map(({ evidence }): Place => ({ groundKnown: evidence.groundKnown, clues: cluesOf(evidence) }));
    });
  }
  return out;
}
