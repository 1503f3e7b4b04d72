/** `rectify`: a photograph of a sheet, squared up and evened out. */
import { rectify } from '../core/capture/rectify';
import { last, number, points, rectangle, Words, wordSettings } from './options';
import { openPicture, savePicture } from './picture';
import { spell } from '../core/style/words';
import { Unusable } from './unusable';

export async function rectifyFile(words: Words): Promise<{ json: unknown; plain: string }> {
  const [path, ...more] = words.positional;
  if (!path || more.length) throw new Unusable('rectify: name one photograph');
  const paperText = last(words, 'paper');
  const sides = paperText?.match(/^(\d+(?:\.\d+)?)[xX×](\d+(?:\.\d+)?)$/);
  if (!sides)
    throw new Unusable(
      `--paper: ${paperText === undefined ? 'is missing' : `"${paperText}" is not understood`}; write the sheet in mm as WxH, such as 297x210`,
    );
  const out = last(words, 'out');
  if (out === undefined) throw new Unusable('--out: is missing; name the file to write');
  const corners = last(words, 'corners');
  const grey = last(words, 'grey');
  const density = last(words, 'px-per-mm');
  const { image: photo } = await openPicture(path);
  const { image, ...told } = rectify(photo, {
    paper: [Number(sides[1]), Number(sides[2])],
    corners: corners === undefined ? undefined : points('corners', corners),
    grey: grey === undefined ? undefined : rectangle('grey', grey),
    pxPerMm: density === undefined ? undefined : number('px-per-mm', density, 0.1, 100),
  });
  if (image) await savePicture(image, out, told.pixelsPerMm);
  const { corners: seen, found, confidence, pixelsPerMm, lighting, warnings } = told;
  for (const w of warnings) process.stderr.write(`warning: ${w}\n`);
  const plain = seen
    ? `${found ? 'Sheet found' : 'Corners as given'}; written to ${out} at ${pixelsPerMm} px per mm. The light fell off by ${(100 * lighting.falloff).toFixed(0)} %.`
    : 'No sheet was found. Give its corners with --corners.';
  return {
    json: { format: 'oldhand.rectified/1', corners: seen, found, confidence, pixelsPerMm, lighting, warnings },
    plain: spell(plain, wordSettings(words)),
  };
}
