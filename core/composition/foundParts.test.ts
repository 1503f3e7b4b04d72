import { overlapOfBoth } from '../proportion/polygon';
import { Point, RgbImage } from '../raster/image';
import { seededRandom } from '../raster/statistics';
import { partAt } from './foundParts';
import { lineSheet, partPicture, valueSheet } from './lineSheet';

const [W, H] = [600, 400];

/** A pale sheet with a green field, a dark disc on it, and hatching to the right, with grain. */
function picture(): RgbImage {
  const random = seededRandom(5);
  const data = new Uint8Array(W * H * 3);
  for (let y = 0; y < H; y++)
    for (let x = 0; x < W; x++) {
      let rgb = [232, 222, 196];
      if (x > 60 && x < 320 && y > 120 && y < 320) rgb = [150, 170, 120];
      if (Math.hypot(x - 180, y - 210) < 55) rgb = [35, 40, 60];
      if (x > 400 && x < 540 && y > 100 && y < 300 && (x + y) % 9 < 3) rgb = [60, 60, 80];
      data.set(
        rgb.map((v) => Math.max(0, Math.min(255, v + 10 * (random() - 0.5)))),
        3 * (y * W + x),
      );
    }
  return { width: W, height: H, data };
}
const box = (x: number, y: number, w: number, h: number): Point[] => [
  [x, y],
  [x + w, y],
  [x + w, y + h],
  [x, y + h],
];
const disc = Array.from({ length: 60 }, (_, i): Point => [
  180 + 55 * Math.cos((2 * Math.PI * i) / 60),
  210 + 55 * Math.sin((2 * Math.PI * i) / 60),
]);

describe('the part under a place', () => {
  const image = picture();
  test('of one colour, with what stands in it filled over', () => {
    expect(overlapOfBoth(partAt(image, [90, 150], 'colour')!, box(60, 120, 260, 200))).toBeGreaterThan(0.95);
  });
  test('a dark mass on a middle tone', () => {
    expect(overlapOfBoth(partAt(image, [180, 210], 'dark')!, disc)).toBeGreaterThan(0.9);
    expect(partAt(image, [20, 20], 'dark')).toBeNull();
  });
  test('what is drawn, strokes and the white between them together', () => {
    expect(overlapOfBoth(partAt(image, [470, 200], 'drawn')!, box(400, 100, 140, 200))).toBeGreaterThan(0.85);
    expect(partAt(image, [580, 20], 'drawn')).toBeNull();
  });
});

describe('a picture cleaned', () => {
  const image = picture();
  const dark = ({ data, width }: RgbImage, x0: number, y0: number, x1: number, y1: number) => {
    let n = 0;
    for (let y = y0; y < y1; y++) for (let x = x0; x < x1; x++) if (data[3 * (y * width + x)] < 128) n++;
    return n;
  };
  test('to line: rims and strokes stay, even fields and grain go', () => {
    const line = lineSheet(image, 'middle');
    expect([line.width, line.height]).toEqual([W, H]);
    expect(dark(line, 0, 0, 50, H)).toBe(0);
    expect(dark(line, 240, 150, 300, 300)).toBe(0);
    // The disc's rim, about its length times the line's width, and nothing in its middle.
    expect(dark(line, 115, 145, 245, 275)).toBeGreaterThan(2 * Math.PI * 55 * 0.8);
    expect(dark(line, 160, 190, 200, 230)).toBe(0);
    expect(dark(line, 410, 110, 530, 290)).toBeGreaterThan(2000);
  });
  test('to line, forms only: strokes go, forms stay', () => {
    const line = lineSheet(image, 'coarse');
    expect(dark(line, 115, 145, 245, 275)).toBeGreaterThan(250);
    expect(dark(line, 430, 130, 510, 270)).toBeLessThan(dark(lineSheet(image, 'fine'), 430, 130, 510, 270));
  });
  test('to values: as many as asked, each area even', () => {
    const { data } = valueSheet(image, 3);
    const values = new Set<number>();
    for (let i = 0; i < data.length; i += 3) values.add(data[i]);
    expect(values.size).toBe(3);
  });
});

describe('a part cut out', () => {
  const image = picture();
  test('is its outline with a little round it, white beyond, in line, value or as it is', () => {
    for (const as of ['line', 'value', 'asItIs'] as const) {
      const cut = partPicture(image, disc, as);
      expect(cut.width).toBeGreaterThanOrEqual(110);
      expect(cut.width).toBeLessThan(125);
      expect([...cut.data.slice(0, 3)]).toEqual([255, 255, 255]);
    }
    const middle = ({ data, width, height }: RgbImage) => data[3 * (Math.floor(height / 2) * width + Math.floor(width / 2))];
    expect(middle(partPicture(image, disc, 'asItIs'))).toBeLessThan(60);
    expect(middle(partPicture(image, disc, 'line'))).toBe(255);
    expect(partPicture(image, null, 'asItIs').width).toBe(W);
  });
});
