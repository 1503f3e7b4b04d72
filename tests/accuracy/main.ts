/** Prints every error table; words given name the parts wanted, and a number how many seeds their sets have. */
import sharp from 'sharp';
import { RgbImage } from '../../core/raster/image';
import { colourAccuracy } from './colour';
import { handsAccuracy } from './hands';
import { marksAccuracy } from './marks';
import { rectifyAccuracy } from './rectify';
import { shapesAccuracy } from './shapes';
import { spreadAccuracy } from './spread';
import { styleAccuracy } from './style';

async function jpeg70(image: RgbImage): Promise<RgbImage> {
  const raw = { width: image.width, height: image.height, channels: 3 as const };
  const squeezed = await sharp(Buffer.from(image.data), { raw }).jpeg({ quality: 70 }).toBuffer();
  return { ...raw, data: new Uint8Array(await sharp(squeezed).removeAlpha().raw().toBuffer()) };
}

interface Part {
  title: string;
  many: number;
  about: (many: number) => string;
  print: (many: number) => string | Promise<string>;
}

const PARTS: Readonly<Record<string, Part>> = {
  marks: { title: 'Marks', many: 20, about: (n) => `${n} patches of 300 px a kind and medium in each set.`, print: marksAccuracy },
  rectify: {
    title: 'Squaring up',
    many: 8,
    about: (n) =>
      `${6 * n} photographs of 1200 by 900 px in each set: works of the six hands, turned to 20°, the camera tilted to 25°, light falling off to 40 %, a cast, some with a shadow, things lying across an edge, noise, blur and a bent lens; a grey card beside the sheet.`,
    print: rectifyAccuracy,
  },
  colour: {
    title: 'Palette, ground, temperature, edges',
    many: 12,
    about: (n) => `${n} painted sheets of known colours in each set, one in three painted to its edges.`,
    print: (n) => colourAccuracy(n, jpeg70),
  },
  shapes: {
    title: 'Basic shapes',
    many: 40,
    about: (n) => `${n} outlines a shape in each set, rounded, wavering by about 2 %, open by up to 8 %.`,
    print: shapesAccuracy,
  },
  style: {
    title: 'Range, comparison, own invention',
    many: 6,
    about: (n) =>
      `${n} works a hand in each set. Area under the curve, leaving each work out in turn: 1 where it always comes out nearer to its own hand than any work of the others; mean closeness of its own and of the others’ works in brackets.`,
    print: styleAccuracy,
  },
  hands: {
    title: 'Real hands',
    many: 0,
    about: () =>
      'Pictures by real people, not by this project: each of a hand’s works left out in turn and held against its others, and every other picture against all of them; the hand under test left out of what was fitted. They are not part of the project.',
    print: () => handsAccuracy(pictures),
  },
  spread: {
    title: 'Honesty of the spreads',
    many: 2,
    about: (n) =>
      `${n} works a hand in each set. An honest spread holds about 80 % within 1.28 of itself; the last column tells what it would have to be multiplied by.`,
    print: (n) => spreadAccuracy(n, jpeg70),
  },
};

const given = process.argv.slice(2);
const flag = given.indexOf('--pictures');
const pictures = flag < 0 ? null : (given[flag + 1] ?? null);
const words = given.filter((_, i) => flag < 0 || (i !== flag && i !== flag + 1));
const asked = words.filter((w) => w in PARTS);
const seeds = words.map(Number).find((n) => n > 0);
for (const [name, part] of Object.entries(PARTS)) {
  if (asked.length && !asked.includes(name)) continue;
  const many = seeds ?? part.many;
  process.stderr.write(`${part.title} …\n`);
  process.stdout.write(`## ${part.title}\n\n${part.about(many)}\n\n${await part.print(many)}\n\n`);
}
