/** `rectify`: a photograph of a sheet, squared up and evened out. */
import { rectify } from '../core/capture/rectify';
import { last, number, points, rectangle, Words } from './options';
import { openPicture, savePicture } from './picture';
import { amount, figure, message, typed } from '../core/message';
import { Say } from '../words/say';
import { Unusable } from './unusable';

export async function rectifyFile(words: Words, say: Say): Promise<{ json: unknown; plain: string }> {
  const [path, ...more] = words.positional;
  if (!path || more.length) throw new Unusable('onePicture', { command: 'rectify' });
  const paperText = last(words, 'paper');
  const sides = paperText?.match(/^(\d+(?:\.\d+)?)[xX×](\d+(?:\.\d+)?)$/);
  if (!sides) throw new Unusable('paper', { given: paperText === undefined ? 'none' : 'some', text: typed(paperText ?? '') });
  const out = last(words, 'out');
  if (out === undefined) throw new Unusable('missingMore', { name: typed('out'), remedy: 'out' });
  const corners = last(words, 'corners');
  const grey = last(words, 'grey');
  const density = last(words, 'px-per-mm');
  const { image: photo } = await openPicture(path);
  const { image, ...result } = rectify(photo, {
    paper: [Number(sides[1]), Number(sides[2])],
    corners: corners === undefined ? undefined : points('corners', corners),
    grey: grey === undefined ? undefined : rectangle('grey', grey),
    pxPerMm: density === undefined ? undefined : number('px-per-mm', density, 0.1, 100),
  });
  if (image) await savePicture(image, out, result.pixelsPerMm);
  const { corners: seen, found, confidence, pixelsPerMm, lighting, warnings } = result;
  const spoken = warnings.map((w) => say(w));
  for (const line of spoken) process.stderr.write(say('headless.warning', { words: typed(line) }) + '\n');
  const plain = seen
    ? message('headless.found', {
        found: found ? 'yes' : 'no',
        out: typed(out),
        density: figure(pixelsPerMm),
        falloff: amount(lighting.falloff, 'share'),
      })
    : message('headless.notFound');
  return {
    json: { format: 'oldhand.rectified/1', corners: seen, found, confidence, pixelsPerMm, lighting, warnings: spoken },
    plain: say(plain),
  };
}
