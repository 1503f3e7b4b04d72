import sharp from 'sharp';
import { SAMPLE_HANDS } from '../../atelier/hands';
import { drawnPicture, rasterOf } from '../../tests/support/pictures';
import { Rect, RgbImage } from '../raster/image';
import { frameOf } from './frame';

const raw = ({ width, height, data }: RgbImage) => sharp(Buffer.from(data), { raw: { width, height, channels: 3 } });
/** A picture that fills its file: fields of several colours to the edges, and a dark bar. */
const painted = () =>
  rasterOf(
    sharp(
      Buffer.from(
        `<svg xmlns="http://www.w3.org/2000/svg" width="600" height="420"><rect width="600" height="150" fill="#9db7c9"/><rect y="150" width="600" height="270" fill="#5d6b3c"/><circle cx="420" cy="190" r="90" fill="#a4432c"/><path d="M0 330 L600 260 L600 420 L0 420 Z" fill="#c8a35a"/><rect x="80" y="90" width="40" height="260" fill="#22202a"/></svg>`,
      ),
    ),
  );

function near(found: Rect, wanted: Rect, by: number) {
  found.forEach((v, k) => expect(Math.abs(v - wanted[k])).toBeLessThanOrEqual(by));
}

test.each([
  ['a mount of cream card', '#efe8d8', { top: 60, left: 50, right: 50, bottom: 80 }],
  ['a grey table', '#7a7a78', { top: 40, left: 40, right: 40, bottom: 40 }],
  ['a black border of a scan', '#040404', { top: 12, left: 12, right: 12, bottom: 12 }],
] as const)('%s round a picture is trimmed', async (_, background, round) => {
  const mounted = await rasterOf(raw(await painted()).extend({ ...round, background }));
  near(frameOf(mounted), [round.left, round.top, 600, 420], 2);
});

test('a mount on a table is two borders, and both are trimmed; with noise and JPEG as well', async () => {
  const mounted = await raw(await painted())
    .extend({ top: 50, left: 50, right: 50, bottom: 50, background: '#f2efe6' })
    .png()
    .toBuffer();
  const table = sharp(mounted).extend({ top: 40, left: 70, right: 30, bottom: 40, background: '#6b5a48' });
  near(frameOf(await rasterOf(sharp(await table.jpeg({ quality: 60 }).toBuffer()))), [120, 90, 600, 420], 4);
});

test('a sheet in a scanner’s corner has its white trimmed on two sides', async () => {
  const scanned = await rasterOf(raw(await painted()).extend({ right: 90, bottom: 70, background: '#ffffff' }));
  near(frameOf(scanned), [0, 0, 600, 420], 2);
});

test('a drawing’s own bare margin is not trimmed, nor anything of a picture that fills its file', async () => {
  const drawing = await rasterOf(drawnPicture());
  expect(frameOf(drawing)).toEqual([0, 0, drawing.width, drawing.height]);
  const picture = await painted();
  expect(frameOf(picture)).toEqual([0, 0, 600, 420]);
});

test('no picture of the six hands loses anything, and each is found again on a mount and on grey', async () => {
  const lost: string[] = [];
  for (const hand of SAMPLE_HANDS)
    for (const work of hand.works) {
      const { image } = await hand.draw(work, 1.5);
      const whole = frameOf(image);
      if (whole.join() !== [0, 0, image.width, image.height].join()) lost.push(`${work.title}: ${whole.join(' ')}`);
      const grey = await rasterOf(raw(image).extend({ top: 30, left: 30, right: 30, bottom: 30, background: '#7a7a7a' }));
      const found = frameOf(grey);
      if (Math.max(Math.abs(found[0] - 30), Math.abs(found[2] - image.width)) > 4) lost.push(`${work.title} on grey: ${found.join(' ')}`);
    }
  expect(lost).toEqual([]);
}, 120_000);

test('an even picture, or one of a few px, is its own frame', () => {
  for (const side of [1, 5, 40])
    expect(frameOf({ width: side, height: side, data: new Uint8Array(side * side * 3).fill(180) })).toEqual([0, 0, side, side]);
});
