import sharp, { type KernelEnum } from 'sharp';
import { drawnPicture, rasterOf } from '../../tests/support/pictures';
import { RgbImage } from './image';
import { sharpnessOf } from './sharpness';

const drawn = () => rasterOf(drawnPicture(700, 520, 12));
const raw = ({ width, height, data }: RgbImage) => sharp(Buffer.from(data), { raw: { width, height, channels: 3 } });
const enlarged = (image: RgbImage, factor: number, kernel: keyof KernelEnum) =>
  rasterOf(raw(image).resize(Math.round(image.width * factor), null, { kernel }));

test('a picture as sharp as its pixels allow carries detail in all of them', async () => {
  const image = await drawn();
  expect(sharpnessOf(image)).toBe(1);
  expect(sharpnessOf(await rasterOf(sharp(await raw(image).jpeg({ quality: 70 }).toBuffer())))).toBeGreaterThan(0.85);
});

test.each([
  ['cubic', 2],
  ['cubic', 3],
  ['lanczos3', 2],
  ['linear', 3],
] as const)('an enlarged picture (%s, %d times) is known to hold no more than before', async (kernel, factor) => {
  const share = sharpnessOf(await enlarged(await drawn(), factor, kernel));
  expect(share * factor).toBeGreaterThan(0.7);
  expect(share * factor).toBeLessThan(1.3);
});

test('a blurred picture counts as a smaller one; its pixel count alone says nothing', async () => {
  const image = await drawn();
  const [a, b] = [await rasterOf(raw(image).blur(2)), await rasterOf(raw(image).blur(4))].map((i) => sharpnessOf(i));
  expect(a).toBeLessThan(0.7);
  expect(b).toBeLessThan(0.7 * a);
});

test('an even picture cannot be judged, and only the part asked for is', async () => {
  expect(sharpnessOf({ width: 64, height: 64, data: new Uint8Array(64 * 64 * 3).fill(200) })).toBe(1);
  // The left half blurred, the right half sharp.
  const image = await drawn();
  const left = await raw(image).extract({ left: 0, top: 0, width: 350, height: 520 }).blur(4).png().toBuffer();
  const half = await rasterOf(
    sharp(
      await raw(image)
        .composite([{ input: left, left: 0, top: 0 }])
        .png()
        .toBuffer(),
    ),
  );
  expect(sharpnessOf(half, [350, 0, 350, 520])).toBe(1);
  expect(sharpnessOf(half, [0, 0, 340, 520])).toBeLessThan(0.5);
});

test('a picture of a few px is no error', () => {
  for (const side of [1, 3, 9])
    expect(
      sharpnessOf({ width: side, height: side, data: Uint8Array.from({ length: side * side * 3 }, (_, i) => (i * 97) % 256) }),
    ).toBeGreaterThan(0);
});
