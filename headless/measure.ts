/** `measure`: a picture's profile. */
import { named } from '../core/colour/names';
import { parseLandmarkFile } from '../core/formats/landmarkFile';
import { readTemplateFile } from '../core/formats/templateFile';
import { amount, figure, message, several, typed } from '../core/message';
import { Landmarks } from '../core/proportion/align';
import { measureName, OwnKinds } from '../core/proportion/measures';
import { OwnTemplate } from '../core/proportion/ownTemplate';
import { isTemplate } from '../core/proportion/templates';
import { RgbImage } from '../core/raster/image';
import { isSheetSure } from '../core/style/features';
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
  { read, own }: Files,
  say: Say,
): Promise<ProfileOptions['landmarks']> {
  if (path === undefined) return null;
  const sets = parseLandmarkFile(await read(path, what), what, [...own.keys()]);
  for (const { template, points } of sets) {
    checkInside(points, image, what);
    const kind = own.get(template);
    const strange = kind && Object.keys(points).find((p) => !kind.points.some((q) => q.name === p));
    if (strange !== undefined) throw new Unusable('pointOfOwn', { what: typed(what), name: typed(strange), template: typed(kind!.name) });
  }
  if (sets.some(turnedHead)) warn('turned', picture, say);
  return sets;
}

/** Files beside the pictures: how one is read, and the kinds of points that --template made known. */
export interface Files {
  read: ReadText;
  own: OwnKinds;
}

/** What is never called otherwise in a landmark file: the one template that was given. */
const ONLY = 'own';

/** The templates of --template FILE, by their names; a single one is known as `own`, too. A measure goes by its own name. */
export async function filesOf(words: Words, read: ReadText): Promise<Files> {
  const own = new Map<string, OwnTemplate>();
  for (const path of all(words, 'template')) {
    const template = readTemplateFile(await read(path, '--template'), '--template');
    if (isTemplate(template.name) || template.name === 'free' || own.has(template.name))
      throw new Unusable('templateName', { name: typed(template.name) });
    own.set(template.name, { ...template, measures: template.measures.map((m) => ({ ...m, id: m.name })) });
  }
  const [only, ...more] = own.values();
  if (only && !more.length && !own.has(ONLY)) own.set(ONLY, only);
  return { read, own };
}

/** Without what the contract does not have: a measure of one's own goes by its name as it is. */
export const untitled = <T extends { title?: string }>({ title: _title, ...rest }: T): Omit<T, 'title'> => rest;

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
  const files = await filesOf(words, read);
  const landmarks = await landmarksFor({ path: last(words, 'landmarks'), what: '--landmarks' }, path, image, files, say);
  const framed = last(words, 'frame');
  const { profile, frame } = measurePicture(image, {
    widthMm,
    frame: framed === undefined ? null : rectangle('frame', framed),
    patches,
    colours,
    values,
    landmarks,
    own: files.own,
  });
  const mmPerPixel = widthMm === null ? null : widthMm / frame[2];
  const json = {
    format: 'oldhand.profile/1',
    picture: { file: path, sha256, width: image.width, height: image.height, mmPerPixel },
    frame,
    ...profile,
    proportions: profile.proportions.map(untitled),
    features: Object.fromEntries(Object.entries(profile.features).map(([name, f]) => [name, untitled(f)])),
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
    p.ground
      ? message(isSheetSure(p.features) ? 'headless.ground' : 'headless.groundDoubt', {
          hex: typed(p.ground.hex),
          share: share(p.ground.share),
        })
      : message('headless.noGround'),
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
              name: isTemplate(template) ? measureName(template, name) : typed(name),
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
