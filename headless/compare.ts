/** `compare`: a piece held against a master's works. */
import { figure, message, several, typed } from '../core/message';
import { compare, Measured } from '../core/style/compare';
import { FeatureGroup } from '../core/style/features';
import { measurePicture } from '../core/style/profile';
import { groupName, sayFinding } from '../core/style/words';
import { Say } from '../words/say';
import { landmarksFor, ReadText } from './measure';
import { last, number, Words } from './options';
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
    if (!before) throw new Unusable('follows', { name: typed(name) });
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

export async function compareFiles(words: Words, read: ReadText, say: Say): Promise<{ json: unknown; plain: string }> {
  if (words.positional.length) throw new Unusable('notUnderstood', { word: typed(words.positional[0]) });
  const sources = askedSources(words);
  const path = last(words, 'piece');
  const as = last(words, 'as') ?? 'original';
  if (!sources.length) throw new Unusable('missingMore', { name: typed('source'), remedy: 'source' });
  if (path === undefined) throw new Unusable('missingMore', { name: typed('piece'), remedy: 'piece' });
  if (as !== 'copy' && as !== 'original') throw new Unusable('as', { as: typed(as) });
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
  const { nearest: _nearest, ...result } = compare(works, piece, { as });
  const findings = result.findings.map((f) => ({ ...f, words: say(sayFinding(f)) }));
  const groups = (Object.entries(result.closeness.groups) as [FeatureGroup, number | null][]).map(([g, v]) =>
    v === null ? message('headless.groupNone', { group: groupName(g) }) : message('headless.group', { group: groupName(g), n: figure(v) }),
  );
  const closeness = message('headless.closeness', {
    overall: figure(result.closeness.overall),
    groups: several(groups),
    own: figure(result.ownInvention),
  });
  const farthest = findings.filter((f) => f.distance !== 0).slice(0, 8);
  return {
    json: { format: 'oldhand.comparison/1', ...result, findings },
    plain: [say(closeness), ...farthest.map((f) => f.words)].join('\n'),
  };
}
