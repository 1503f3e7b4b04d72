/** `measure`: a picture's profile. */
import { parseLandmarkFile } from '../core/formats/landmarkFile';
import { measurePicture, Profile, ProfileOptions } from '../core/style/profile';
import { spell, sizeWords, kindName, WordSettings } from '../core/style/words';
import { Landmarks } from '../core/proportion/align';
import { RgbImage } from '../core/raster/image';
import { all, last, number, rectangle, Words, wordSettings } from './options';
import { openPicture } from './picture';
import { Unusable } from './unusable';

export type ReadText = (path: string, what: string) => Promise<string>;

/** Landmarks from a file, each inside the picture. */
export async function landmarksFor(
  path: string | undefined,
  what: string,
  image: RgbImage,
  read: ReadText,
): Promise<ProfileOptions['landmarks']> {
  if (path === undefined) return null;
  const file = parseLandmarkFile(await read(path, what), what);
  checkInside(file.points, image, what);
  return file;
}

function checkInside(points: Landmarks, image: RgbImage, what: string): void {
  for (const [name, [x, y]] of Object.entries(points))
    if (x < -0.5 * image.width || y < -0.5 * image.height || x > 1.5 * image.width || y > 1.5 * image.height)
      throw new Unusable(
        `${what}: point "${name}" at ${x}, ${y} lies far outside the picture, which is ${image.width} by ${image.height} px`,
      );
}

export async function measure(words: Words, read: ReadText): Promise<{ json: unknown; plain: string }> {
  const [path, ...more] = words.positional;
  if (!path || more.length) throw new Unusable('measure: name one picture');
  const settings = wordSettings(words);
  const widthMm = last(words, 'width-mm') === undefined ? null : number('width-mm', last(words, 'width-mm')!, 1, 20000);
  const colours = last(words, 'colours') === undefined ? 6 : number('colours', last(words, 'colours')!, 1, 24);
  const values = last(words, 'values') === undefined ? 5 : number('values', last(words, 'values')!, 2, 12);
  if (!Number.isInteger(colours) || !Number.isInteger(values)) throw new Unusable('--colours and --values: give whole numbers');
  const patches = all(words, 'patch').map((p) => rectangle('patch', p));
  const { image, sha256 } = await openPicture(path);
  const mmPerPixel = widthMm === null ? null : widthMm / image.width;
  const landmarks = await landmarksFor(last(words, 'landmarks'), '--landmarks', image, read);
  const { profile } = measurePicture(image, { mmPerPixel, patches, colours, values, landmarks });
  const json = {
    format: 'oldhand.profile/1',
    picture: { file: path, sha256, width: image.width, height: image.height, mmPerPixel },
    ...profile,
  };
  return { json, plain: plainProfile(profile, settings) };
}

function plainProfile(p: Profile, settings: WordSettings): string {
  const r = p.marks.overall;
  const percent = (v: number) => `${(100 * v).toFixed(v < 0.02 ? 1 : 0)} %`;
  const size = (s: { mm: number | null; permille: number } | null) =>
    s === null ? null : s.mm === null ? `${s.permille.toFixed(1)} ‰ of the width` : sizeWords(s.mm, settings);
  const lines = [
    p.ground ? `Ground ${p.ground.hex}, ${percent(p.ground.share)} of the picture.` : 'No bare ground shows.',
    `Colours: ${p.palette.map((c) => `${c.name} ${percent(c.share)}${c.accent ? ' (accent)' : ''}`).join(', ')}.`,
    `Values: ${p.values.key} key, darkest ${p.values.dark.toFixed(0)}, lightest ${p.values.light.toFixed(0)}.`,
    `Marks: mostly ${kindName(r.kind)}${r.spacing ? `, ${size(r.spacing)} apart (±${(100 * r.spacing.variation).toFixed(0)} %)` : ''}${r.lineWidth ? `, lines ${size(r.lineWidth)} wide` : ''}${r.directions.length ? `, at ${r.directions.map((d) => `${d.angle.toFixed(0)}°`).join(' and ')}` : ''}.`,
    `Edges: ${percent(p.edges.outlined)} outlined, ${percent(p.edges.sharp)} sharp, ${percent(p.edges.soft)} soft, ${percent(p.edges.lost)} lost.`,
    ...p.proportions
      .filter((q) => q.value !== null)
      .map((q) => `${q.name}: ${q.value!.toFixed(3)} ${q.unit}${q.factor === null ? '' : `, ${q.factor.toFixed(2)} of nature’s`}.`),
  ];
  return spell(lines.join('\n'), settings);
}
