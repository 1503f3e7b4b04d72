/** `compare`: a piece held against a master's works. */
import { figure, message, several, typed } from '../core/message';
import type { Rect } from '../core/raster/image';
import { compare, Measured, withoutMarks } from '../core/style/compare';
import { FeatureGroup } from '../core/style/features';
import { measurePicture, ProfileOptions, resolutionOf } from '../core/style/profile';
import { oneScale, ownRung, Resolution, Rung } from '../core/style/scale';
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

interface Known extends Resolution {
  path: string;
  frame: Rect;
  landmarks: ProfileOptions['landmarks'];
}

/** What decides the scale a picture is compared at; the picture itself is opened again to be read, so that one at a time is held. */
async function known(asked: Asked, what: string, read: ReadText): Promise<Known> {
  const { image } = await openPicture(asked.path);
  const landmarks = await landmarksFor(asked.landmarks, `--${what}-landmarks`, image, read);
  return { path: asked.path, landmarks, ...resolutionOf(image, { widthMm: asked.widthMm }) };
}

async function measured({ path, ...options }: Known, rung: Rung, marks = true): Promise<Measured> {
  const { profile, layout } = measurePicture((await openPicture(path)).image, { ...options, rung });
  return {
    features: marks ? profile.features : withoutMarks(profile.features),
    palette: profile.palette,
    layout,
    widthMm: options.widthMm,
  };
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
  const works: Known[] = [];
  for (const s of sources) works.push(await known(s, 'source', read));
  const piece = await known(
    {
      path,
      widthMm: pieceWidth === undefined ? null : number('piece-width-mm', pieceWidth, 1, 20000),
      landmarks: last(words, 'piece-landmarks'),
    },
    'piece',
    read,
  );
  const { rung, tooPoor } = oneScale(works, piece);
  const readWorks: Measured[] = [];
  for (const [i, w] of works.entries()) {
    const poor = tooPoor.includes(i);
    if (poor) process.stderr.write(say('headless.warning', { words: message('headless.tooPoor', { path: typed(w.path) }) }) + '\n');
    readWorks.push(await measured(w, poor ? ownRung(w) : rung, !poor));
  }
  const { nearest: _nearest, ...result } = compare(readWorks, await measured(piece, rung), { as });
  const findings = result.findings.map((f) => ({ ...f, words: say(sayFinding(f)) }));
  const groups = (Object.entries(result.closeness.groups) as [FeatureGroup, number | null][]).map(([g, v]) =>
    v === null ? message('headless.groupNone', { group: groupName(g) }) : message('headless.group', { group: groupName(g), n: figure(v) }),
  );
  const closeness = message('headless.closeness', {
    overall: figure(result.closeness.overall ?? 0),
    groups: several(groups),
    own: figure(result.ownInvention),
  });
  const farthest = findings.filter((f) => f.distance !== 0).slice(0, 8);
  return {
    json: { format: 'oldhand.comparison/1', ...result, findings },
    plain: [say(closeness), ...farthest.map((f) => f.words)].join('\n'),
  };
}
