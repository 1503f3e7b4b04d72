/** `hand`: what is constant in a hand, what varies, what parts it from another. */
import { typed } from '../core/message';
import type { Measured } from '../core/style/compare';
import { handOf, partsOf } from '../core/style/hand';
import { commonScale } from '../core/style/scale';
import { sayParting, sayTrait } from '../core/style/words';
import { Say } from '../words/say';
import { askedAs, Known, known, measuredTiles, measuredWorks } from './known';
import { warn } from './warnings';
import { filesOf, ReadText, untitled } from './measure';
import { Words } from './options';
import { Unusable } from './unusable';

const MOST_SAID = 6;

export async function handFiles(words: Words, read: ReadText, say: Say): Promise<{ json: unknown; plain: string }> {
  if (words.positional.length) throw new Unusable('notUnderstoodHand', { word: typed(words.positional[0]) });
  const asked = (['source', 'foil'] as const).map((what) => askedAs(what, words).map((a) => ({ ...a, what })));
  if (!asked[0].length) throw new Unusable('missingMore', { name: typed('source'), remedy: 'source' });
  const files = await filesOf(words, read);
  const all: Known[] = [];
  for (const a of asked.flat()) all.push(await known(a, a.what, files, say));
  const { rung, tooPoor } = commonScale(all);
  const side = async (works: readonly Known[]): Promise<Measured[]> => {
    if (works.length > 1) return measuredWorks(works, { rung, tooPoor: tooPoor.map((i) => all[i]) }, say);
    warn('tiles', works[0].path, say);
    return measuredTiles(works[0], rung);
  };
  const works = await side(all.slice(0, asked[0].length));
  const foil = asked[1].length ? await side(all.slice(asked[0].length)) : null;
  const { constant, varies } = handOf(works);
  const parts = foil ? partsOf(works, foil) : null;
  const said = {
    constant: constant.map((t) => ({ ...untitled(t), words: say(sayTrait(t, 'constant')) })),
    varies: varies.map(({ constancy: _constancy, ...t }) => ({ ...untitled(t), words: say(sayTrait(t, 'varies')) })),
    ...(parts && { parts: parts.map((p) => ({ ...untitled(p), words: say(sayParting(p)) })) }),
  };
  const few = Object.values(said).flatMap((list) => list.slice(0, MOST_SAID).map((t) => t.words));
  return { json: { format: 'oldhand.hand/1', ...said }, plain: few.join('\n') };
}
