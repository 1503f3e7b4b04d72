import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import sharp from 'sharp';
import { drawnPicture, fourFields, pictureBomb } from '../../tests/support/pictures';
import { UserError } from '../errors';
import { checkPicture, decodeUpright, encodeJpeg, encodePng, encodePreview } from './decode';

const told = async (work: Promise<unknown>): Promise<UserError> => {
  const error = await work.then(
    () => null,
    (e: unknown) => e,
  );
  expect(error).toBeInstanceOf(UserError);
  return error as UserError;
};
/** Colour of the middle of one of the four fields, row by row. */
const field = (image: { width: number; data: ArrayLike<number> }, row: 0 | 1, column: 0 | 1): number[] => {
  const at = 3 * ((10 + 20 * row) * image.width + 10 + 20 * column);
  return [image.data[at], image.data[at + 1], image.data[at + 2]];
};

describe('what an upload is, by its content', () => {
  test('a text file called .png, an SVG and an empty file are each refused by name, with what to use instead', async () => {
    const text = await told(checkPicture(Buffer.from('only words'), 'sheet.png'));
    expect([text.status, text.field]).toEqual([415, 'picture']);
    expect(text.message).toMatch(/“sheet\.png” is not a picture, whatever its name says.*JPEG/);
    const svg = await told(checkPicture(Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>'), 'a.jpg'));
    expect(svg.status).toBe(415);
    expect((await told(checkPicture(Buffer.alloc(0), 'b.jpg'))).message).toMatch(/“b\.jpg” is empty/);
  });

  test('a header that claims 900 megapixels is refused before anything is unpacked', async () => {
    const bomb = await pictureBomb(30_000, 30_000);
    expect(bomb.length).toBeLessThan(400);
    const before = process.memoryUsage().rss;
    const error = await told(checkPicture(bomb, 'bomb.png'));
    expect(error.status).toBe(413);
    expect(error.message).toMatch(/900 megapixels; at most 40/);
    expect(process.memoryUsage().rss - before).toBeLessThan(100e6);
  });

  test('just under 40 megapixels passes, just over does not', async () => {
    expect(await checkPicture(await pictureBomb(8000, 5000), 'a.png')).toMatchObject({ width: 8000, height: 5000 });
    expect((await told(checkPicture(await pictureBomb(8001, 5000), 'a.png'))).status).toBe(413);
  });

  test('printing colours without a profile are refused; with one they are turned into screen colours', async () => {
    const bare = await fourFields().toColourspace('cmyk').tiff().toBuffer();
    const stripped = await sharp(bare).metadata();
    if (!stripped.icc) expect((await told(checkPicture(bare, 'print.tif'))).message).toMatch(/CMYK.*Save it as RGB/);
    const profiled = await fourFields().withIccProfile('cmyk').toColourspace('cmyk').tiff().toBuffer();
    expect((await sharp(profiled).metadata()).space).toBe('cmyk');
    await checkPicture(profiled, 'print.tif');
    const [r, g, b] = field(await decodeUpright(profiled, 'print.tif'), 0, 0);
    expect(r).toBeGreaterThan(180);
    expect(Math.max(g, b)).toBeLessThan(90);
  });

  test('each format is named and measured as it will stand upright', async () => {
    const sheet = drawnPicture(300, 200);
    for (const [format, mime] of [
      ['jpeg', 'image/jpeg'],
      ['png', 'image/png'],
      ['webp', 'image/webp'],
      ['tiff', 'image/tiff'],
      ['gif', 'image/gif'],
    ] as const)
      expect(await checkPicture(await sheet.clone().toFormat(format).toBuffer(), 'x')).toEqual({ mime, width: 300, height: 200 });
    const turned = await sheet.clone().jpeg().withMetadata({ orientation: 8 }).toBuffer();
    expect(await checkPicture(turned, 'x')).toMatchObject({ width: 200, height: 300 });
  });
});

describe('decoding to upright 8-bit sRGB', () => {
  test('a JPEG cut short is told as damaged, not shown half grey', async () => {
    const whole = await drawnPicture(800, 600).jpeg({ quality: 95 }).toBuffer();
    const error = await told(decodeUpright(whole.subarray(0, Math.floor(whole.length / 2)), 'cut.jpg'));
    expect(error.status).toBe(415);
    expect(error.message).toMatch(/“cut\.jpg” is damaged or was cut short/);
  });

  test('a quarter turn in the orientation tag brings each field where the viewer sees it', async () => {
    // Tag 6: to be turned a quarter clockwise, so the stored bottom left becomes the top left.
    const turned = await decodeUpright(await fourFields().withMetadata({ orientation: 6 }).png().toBuffer(), 'x');
    expect(field(turned, 0, 0)).toEqual([255, 255, 255]);
    expect(field(turned, 0, 1)).toEqual([255, 0, 0]);
    expect(field(turned, 1, 1)).toEqual([0, 160, 0]);
    expect(field(turned, 1, 0)).toEqual([0, 0, 255]);
  });

  test('a wide-gamut picture with its profile comes out in the same colours', async () => {
    const wide = await fourFields().withIccProfile('p3').png().toBuffer();
    const stored = await sharp(wide, { ignoreIcc: true }).raw().toBuffer();
    // The stored numbers really differ; only reading the profile gives the colours back.
    expect(stored[0]).toBeLessThan(245);
    const [r, g, b] = field(await decodeUpright(wide, 'x'), 0, 0);
    expect(r).toBeGreaterThan(252);
    expect(Math.max(g, b)).toBeLessThan(8);
  });

  test('a phone’s own kind of picture is taken, in its own colours; cut short it is told as damaged', async () => {
    const heic = readFileSync(join(__dirname, '../../tests/support/fields-p3.heic'));
    expect(await checkPicture(heic, 'IMG_0007.HEIC')).toEqual({ mime: 'image/heic', width: 80, height: 60 });
    const image = await decodeUpright(heic, 'IMG_0007.HEIC');
    const [r, g, b] = [0, 1, 2].map((c) => image.data[3 * (15 * 80 + 60) + c]);
    expect(Math.abs(r - 0xc0) + Math.abs(g - 0x20) + Math.abs(b - 0x18)).toBeLessThan(10);
    const error = await told(decodeUpright(heic.subarray(0, 900), 'IMG_0007.HEIC'));
    expect(error.message).toMatch(/“IMG_0007\.HEIC” is damaged or was cut short/);
  });

  test('16 bits, greys, an index of colours and see-through parts all become three plain channels', async () => {
    const deep = await decodeUpright(await fourFields().toColourspace('rgb16').png().toBuffer(), 'x');
    expect(field(deep, 0, 1)).toEqual([0, 160, 0]);
    const grey = await decodeUpright(await fourFields().greyscale().toColourspace('b-w').png().toBuffer(), 'x');
    expect(grey.data.length).toBe(40 * 40 * 3);
    expect(new Set(field(grey, 0, 0)).size).toBe(1);
    const indexed = await decodeUpright(await fourFields().png({ palette: true, colours: 8 }).toBuffer(), 'x');
    expect(field(indexed, 1, 1)).toEqual([0, 0, 255]);
    const clear = await decodeUpright(
      await sharp({ create: { width: 40, height: 40, channels: 4, background: { r: 200, g: 0, b: 0, alpha: 0 } } })
        .png()
        .toBuffer(),
      'x',
    );
    expect(field(clear, 0, 0)).toEqual([255, 255, 255]);
  });

  test('what is kept for measuring loses nothing; what is shown is no larger than asked and never enlarged', async () => {
    const image = await decodeUpright(await drawnPicture(300, 200).png().toBuffer(), 'x');
    const again = await decodeUpright(await encodePng(image), 'x');
    expect(Buffer.compare(Buffer.from(again.data), Buffer.from(image.data))).toBe(0);
    expect(await sharp(await encodePreview(image, 120)).metadata()).toMatchObject({ format: 'jpeg', width: 120, height: 80 });
    expect((await sharp(await encodePreview(image, 2000)).metadata()).width).toBe(300);
    expect((await encodeJpeg(image, 40)).length).toBeLessThan((await encodeJpeg(image, 95)).length);
  });
});
