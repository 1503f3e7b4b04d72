/** `measure`: a picture's profile. */
import { named } from '../core/colour/names';
import { parseLandmarkFile } from '../core/formats/landmarkFile';
import { amount, figure, message, several, typed } from '../core/message';
import { Landmarks } from '../core/proportion/align';
import { measureName } from '../core/proportion/measures';
import { RgbImage } from '../core/raster/image';
import { measurePicture, Profile, ProfileOptions } from '../core/style/profile';
import { proportionFeature } from '../core/style/proportionNames';
import { tellReading, tellWhole } from '../core/style/readings';
import { valueWithUnit } from '../core/style/words';
import { Say } from '../words/say';
import { all, last, number, rectangle, Words } from './options';
import { openPicture } from './picture';
import { turnedHead } from '../core/proportion/turned';
import { Unusable } from './unusable';
import { warn } from './warnings';

export type ReadText = (path: string, what: string) => Promise<string>;

/** Landmarks of a picture from a file, each inside it; a head that has turned is said. */
export async function landmarksFor(
  { path, what }: { path: string | undefined; what: string },
  picture: string,
  image: RgbImage,
  read: ReadText,
  say: Say,
): Promise<ProfileOptions['landmarks']> {
  if (path === undefined) return null;
  const sets = parseLandmarkFile(await read(path, what), what);
  for (const { points } of sets) checkInside(points, image, what);
  if (sets.some(turnedHead)) warn('turned', picture, say);
  return sets;
}

function checkInside(points: Landmarks, { width, height }: RgbImage, what: string): void {
  for (const [name, [x, y]] of Object.entries(points))
    if (x < -0.5 * width || y < -0.5 * height || x > 1.5 * width || y > 1.5 * height)
      throw new Unusable('pointOutside', { what: typed(what), name: typed(name), x: typed(String(x)), y: typed(String(y)), width, height });
}

/** A number among the options, or what stands for it. */
function given<T>(words: Words, name: string, low: number, high: number, otherwise: T): number | T {
  const text = last(words, name);
  return text === undefined ? otherwise : number(name, text, low, high);
}

export async function measure(words: Words, read: ReadText, say: Say): Promise<{ json: unknown; plain: string }> {
  const [path, ...more] = words.positional;
  if (!path || more.length) throw new Unusable('onePicture', { command: 'measure' });
  const widthMm = given(words, 'width-mm', 1, 20000, null);
  const colours = given(words, 'colours', 1, 24, 6);
  const values = given(words, 'values', 2, 12, 5);
  if (!Number.isInteger(colours) || !Number.isInteger(values)) throw new Unusable('wholeNumbers');
  const patches = all(words, 'patch').map((p) => rectangle('patch', p));
  const { image, sha256 } = await openPicture(path);
  const landmarks = await landmarksFor({ path: last(words, 'landmarks'), what: '--landmarks' }, path, image, read, say);
  const framed = last(words, 'frame');
  const { profile, frame } = measurePicture(image, {
    widthMm,
    frame: framed === undefined ? null : rectangle('frame', framed),
    patches,
    colours,
    values,
    landmarks,
  });
  const mmPerPixel = widthMm === null ? null : widthMm / frame[2];
  const json = {
    format: 'oldhand.profile/1',
    picture: { file: path, sha256, width: image.width, height: image.height, mmPerPixel },
    frame,
    ...profile,
    palette: named(profile.palette).map(({ name, ground, accent, ...entry }) => ({ ...entry, name: say(name), ground, accent })),
  };
  return { json, plain: plainProfile(profile, say) };
}

function plainProfile(p: Profile, say: Say): string {
  const share = (v: number) => amount(v, 'share');
  const list = named(p.palette).map((c) =>
    message('headless.colour', { name: c.name, share: share(c.share), accent: c.accent ? 'yes' : 'no' }),
  );
  const { outlined, sharp, soft, lost } = p.edges;
  return [
    p.ground ? message('headless.ground', { hex: typed(p.ground.hex), share: share(p.ground.share) }) : message('headless.noGround'),
    message('headless.colours', { list: several(list) }),
    message('headless.values', { key: p.values.key, dark: figure(p.values.dark), light: figure(p.values.light) }),
    tellWhole(p.marks.overall.kind),
    ...tellReading(p.marks.overall, 'work').map((t) => t.said),
    message('headless.edges', { outlined: share(outlined), sharp: share(sharp), soft: share(soft), lost: share(lost) }),
    ...p.proportions.flatMap(({ template, name, value, unit, factor }) =>
      value === null
        ? []
        : [
            message('headless.proportion', {
              name: measureName(template, name),
              value: valueWithUnit(proportionFeature(template, name), value, unit) ?? figure(value, 2),
              factor: factor === null ? 'none' : 'some',
              times: figure(factor ?? 0, 2),
            }),
          ],
    ),
  ]
    .map((m) => say(m))
    .join('\n');
}
