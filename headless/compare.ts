/** `compare`: a piece held against a master's works. */
import { figure, message, several, typed } from '../core/message';
import { compare } from '../core/style/compare';
import { FeatureGroup } from '../core/style/features';
import { oneScale } from '../core/style/scale';
import { groupName, sayFinding } from '../core/style/words';
import { Say } from '../words/say';
import { askedAs, Known, known, measured, measuredWorks } from './known';
import { filesOf, ReadText, untitled } from './measure';
import { last, number, Words } from './options';
import { Unusable } from './unusable';

export async function compareFiles(words: Words, read: ReadText, say: Say): Promise<{ json: unknown; plain: string }> {
  if (words.positional.length) throw new Unusable('notUnderstood', { word: typed(words.positional[0]) });
  const sources = askedAs('source', words);
  const path = last(words, 'piece');
  const as = last(words, 'as') ?? 'original';
  if (!sources.length) throw new Unusable('missingMore', { name: typed('source'), remedy: 'source' });
  if (path === undefined) throw new Unusable('missingMore', { name: typed('piece'), remedy: 'piece' });
  if (as !== 'copy' && as !== 'original') throw new Unusable('as', { as: typed(as) });
  const pieceWidth = last(words, 'piece-width-mm');
  const files = await filesOf(words, read);
  const works: Known[] = [];
  for (const s of sources) works.push(await known(s, 'source', files, say));
  const piece = await known(
    {
      path,
      widthMm: pieceWidth === undefined ? null : number('piece-width-mm', pieceWidth, 1, 20000),
      landmarks: last(words, 'piece-landmarks'),
    },
    'piece',
    files,
    say,
  );
  const { rung, tooPoor } = oneScale(works, piece);
  const readWorks = await measuredWorks(works, { rung, tooPoor: tooPoor.map((i) => works[i]) }, say);
  const { nearest: _nearest, ...result } = compare(readWorks, await measured(piece, rung), { as });
  const findings = result.findings.map((f) => ({ ...untitled(f), words: say(sayFinding(f)) }));
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
