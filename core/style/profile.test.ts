/** A profile's frame, left-out places and scale. */
import sharp from 'sharp';
import { drawnPicture, rasterOf } from '../../tests/support/pictures';
import { Point, RgbImage } from '../raster/image';
import { isSheetSure } from './features';
import { measurePicture } from './profile';
import { tellColour } from './readings';

const raw = ({ width, height, data }: RgbImage) => sharp(Buffer.from(data), { raw: { width, height, channels: 3 } });
let image: RgbImage;
beforeAll(async () => {
  image = await rasterOf(drawnPicture(900, 640, 14));
});

test('the frame given is all that is read: as if the rest had been cut away', async () => {
  const cut = await rasterOf(raw(image).extract({ left: 60, top: 40, width: 700, height: 560 }));
  const framed = measurePicture(image, { frame: [60, 40, 700, 560], widthMm: 200 });
  const alone = measurePicture(cut, { frame: [0, 0, 700, 560], widthMm: 200 });
  expect(framed.frame).toEqual([60, 40, 700, 560]);
  expect(framed.profile).toEqual(alone.profile);
  // The scale is that of the frame.
  expect(framed.profile.marks.overall.spacing!.mm! / framed.profile.marks.overall.spacing!.px).toBeCloseTo(200 / 700, 9);
});

test('a frame outside the picture or next to nothing is refused by name', () => {
  for (const frame of [
    [-5, 0, 100, 100],
    [0, 0, 2000, 100],
    [10, 10, 4, 300],
  ] as const)
    expect(() => measurePicture(image, { frame })).toThrow(expect.objectContaining({ message: expect.stringContaining('frame') }));
});

test('a place left out counts for nothing: its colour, its marks and its darkness are gone, the rest reads as before', () => {
  const { profile: whole } = measurePicture(image, {});
  // The red field, with a little round it.
  const outline: Point[] = [
    [112, 112],
    [280, 112],
    [280, 240],
    [112, 240],
  ];
  const { profile: without } = measurePicture(image, { leftOut: [outline] });
  const red = (p: typeof whole) => p.palette.filter((e) => e.lch[1] > 30).reduce((s, e) => s + e.share, 0);
  expect(red(whole)).toBeGreaterThan(0.02);
  expect(red(without)).toBe(0);
  expect(without.palette.reduce((s, e) => s + e.share, 0)).toBeCloseTo(1, 6);
  expect(Math.abs(without.marks.overall.spacing!.px / whole.marks.overall.spacing!.px - 1)).toBeLessThan(0.02);
  expect(without.chroma.mean).toBeLessThan(whole.chroma.mean - 0.5);
});

test('all left out is an error that says so', () => {
  const outline: Point[] = [
    [-10, -10],
    [2000, -10],
    [2000, 2000],
    [-10, 2000],
  ];
  expect(() => measurePicture(image, { leftOut: [outline] })).toThrow(
    expect.objectContaining({ message: expect.stringContaining('allLeftOut') }),
  );
});

test('at one rung an enlarged picture reads like its original', async () => {
  const enlarged = await rasterOf(raw(image).resize(1800, null, { kernel: 'cubic' }));
  const rung = { per: 'mm', px: 3 } as const;
  const [a, b] = [image, enlarged].map((i) => measurePicture(i, { widthMm: 300, rung }).profile.features);
  for (const name of ['marks.spacing', 'marks.lineWidth', 'marks.smallDetail', 'marks.coverage', 'value.mean'])
    expect(Math.abs(b[name].value! / a[name].value! - 1)).toBeLessThan(0.1);
});

// Strokes every so many px along a row, leaning 300 px in 520: a tile of 128 px holds four to thirteen of them.
test.each([10, 14, 18, 24, 28])('a whole sheet hatched every %i px has that spacing, whatever part of it a tile sees', async (spacing) => {
  const { profile } = measurePicture(await rasterOf(drawnPicture(900, 640, spacing)));
  const across = spacing * Math.cos(Math.atan2(300, 520));
  expect(profile.marks.overall.spacing!.px / across).toBeGreaterThan(0.97);
  expect(profile.marks.overall.spacing!.px / across).toBeLessThan(1.03);
});

test.each([
  [0.125, false],
  [0.4, true],
])('with bare paper on %d of each side the sheet is sure: %p, and only then is told what hangs on it', (share, sure) => {
  const [width, height] = [480, 360];
  const blue = [40, 70, 160];
  const data = new Uint8Array(3 * width * height);
  const open = (v: number, length: number) => v >= length / 2 && v < length / 2 + share * length;
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const rim = x < 20 || y < 20 || x >= width - 20 || y >= height - 20;
      data.set(rim && !open(x, width) && !open(y, height) ? blue : [238, 232, 218], 3 * (y * width + x));
    }
  const { profile } = measurePicture({ width, height, data }, { frame: [0, 0, width, height] });
  expect(profile.ground).not.toBeNull();
  expect(isSheetSure(profile.features)).toBe(sure);
  for (const name of ['composition.coverage', 'composition.margin', 'colour.groundL', 'marks.coverage'])
    expect(profile.features[name].value !== null).toBe(sure);
  expect(profile.features['value.mean'].value).not.toBeNull();
  const said = tellColour({ ...profile, sheetSure: sure }).map((t) => t.said.key);
  expect(said).toContain(sure ? 'readings.ground' : 'readings.groundDoubt');
});
