/** `hand`: what is constant in a hand, what varies, what parts it from another. */
import { message, typed } from '../core/message';
import type { Measured } from '../core/style/compare';
import { handOf, partsOf } from '../core/style/hand';
import { oneScale, OneScale, ownRung } from '../core/style/scale';
import { sayParting, sayTrait } from '../core/style/words';
import { Say } from '../words/say';
import { askedAs, Known, known, measured, measuredTiles } from './known';
import type { ReadText } from './measure';
import { Words } from './options';
import { Unusable } from './unusable';

/** The finest scale that all but the too poor reach. */
function scaleOf(works: readonly Known[]): OneScale {
  const tried = works.map((w) => oneScale(works, w));
  return tried.reduce((best, s) => (s.rung.px > best.rung.px ? s : best));
}

const MOST_SAID = 6;

export async function handFiles(words: Words, read: ReadText, say: Say): Promise<{ json: unknown; plain: string }> {
  if (words.positional.length) throw new Unusable('notUnderstoodHand', { word: typed(words.positional[0]) });
  const asked = (['source', 'foil'] as const).map((what) => askedAs(what, words).map((a) => ({ ...a, what })));
  if (!asked[0].length) throw new Unusable('missingMore', { name: typed('source'), remedy: 'source' });
  const all: Known[] = [];
  for (const a of asked.flat()) all.push(await known(a, a.what, read));
  const { rung, tooPoor } = scaleOf(all);
  const warn = (key: string, path: string) =>
    process.stderr.write(say('headless.warning', { words: message(`headless.${key}`, { path: typed(path) }) }) + '\n');
  const side = async (works: readonly Known[]): Promise<Measured[]> => {
    if (works.length === 1) {
      warn('tiles', works[0].path);
      return measuredTiles(works[0], rung);
    }
    const out: Measured[] = [];
    for (const w of works) {
      const poor = tooPoor.includes(all.indexOf(w));
      if (poor) warn('tooPoor', w.path);
      out.push(await measured(w, poor ? ownRung(w) : rung, !poor));
    }
    return out;
  };
  const works = await side(all.slice(0, asked[0].length));
  const foil = asked[1].length ? await side(all.slice(asked[0].length)) : null;
  const { constant, varies } = handOf(works);
  const parts = foil ? partsOf(works, foil) : null;
  const said = {
    constant: constant.map((t) => ({ ...t, words: say(sayTrait(t, 'constant')) })),
    varies: varies.map(({ constancy: _constancy, ...t }) => ({ ...t, words: say(sayTrait(t, 'varies')) })),
    ...(parts && { parts: parts.map((p) => ({ ...p, words: say(sayParting(p)) })) }),
  };
  const few = Object.values(said).flatMap((list) => list.slice(0, MOST_SAID).map((t) => t.words));
  return { json: { format: 'oldhand.hand/1', ...said }, plain: few.join('\n') };
}
