/** `compare`: a piece held against a master's works. */
import { compare, Measured } from '../core/style/compare';
import { measurePicture } from '../core/style/profile';
import { landmarksFor, ReadText } from './measure';
import { last, number, Words, wordSettings } from './options';
import { openPicture } from './picture';
import { Unusable } from './unusable';

interface Asked {
  path: string;
  widthMm: number | null;
  landmarks?: string;
}

/** Sources in order, with the width and landmarks that follow each. */
function askedSources(words: Words): Asked[] {
  const out: Asked[] = [];
  for (const { name, value } of words.options) {
    if (name === 'source') out.push({ path: value, widthMm: null });
    if (name !== 'source-width-mm' && name !== 'source-landmarks') continue;
    const before = out.at(-1);
    if (!before) throw new Unusable(`--${name}: must follow the --source it belongs to`);
    if (name === 'source-width-mm') before.widthMm = number(name, value, 1, 20000);
    else before.landmarks = value;
  }
  return out;
}

async function measured(asked: Asked, what: string, read: ReadText): Promise<Measured> {
  const { image } = await openPicture(asked.path);
  const landmarks = await landmarksFor(asked.landmarks, `--${what}-landmarks`, image, read);
  const { profile, layout } = measurePicture(image, {
    mmPerPixel: asked.widthMm === null ? null : asked.widthMm / image.width,
    landmarks,
  });
  return { features: profile.features, palette: profile.palette, layout, widthMm: asked.widthMm };
}

export async function compareFiles(words: Words, read: ReadText): Promise<{ json: unknown; plain: string }> {
  if (words.positional.length)
    throw new Unusable(`compare: "${words.positional[0]}" is not understood; name works with --source and the piece with --piece`);
  const sources = askedSources(words);
  const path = last(words, 'piece');
  const as = last(words, 'as') ?? 'original';
  if (!sources.length) throw new Unusable('--source: is missing; name at least one work by the master');
  if (path === undefined) throw new Unusable('--piece: is missing; name the piece to compare');
  if (as !== 'copy' && as !== 'original') throw new Unusable(`--as: "${as}" must be copy or original`);
  const pieceWidth = last(words, 'piece-width-mm');
  const works: Measured[] = [];
  for (const s of sources) works.push(await measured(s, 'source', read));
  const piece = await measured(
    {
      path,
      widthMm: pieceWidth === undefined ? null : number('piece-width-mm', pieceWidth, 1, 20000),
      landmarks: last(words, 'piece-landmarks'),
    },
    'piece',
    read,
  );
  const { nearest: _nearest, ...result } = compare(works, piece, { as, words: wordSettings(words) });
  const groups = Object.entries(result.closeness.groups).map(([g, v]) => `${g} ${v === null ? 'nothing to compare' : v.toFixed(0)}`);
  const plain = [
    `Closeness ${result.closeness.overall.toFixed(0)} of 100 (${groups.join(', ')}); own invention ${result.ownInvention.toFixed(0)}.`,
    ...result.findings
      .filter((f) => f.distance !== 0)
      .slice(0, 8)
      .map((f) => f.words),
  ];
  return { json: { format: 'oldhand.comparison/1', ...result }, plain: plain.join('\n') };
}
