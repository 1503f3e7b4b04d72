/** Widths of lines drawn with coverage integrated over the pixel, also finer than one. */
import { blankPatch, drawLine } from '../../tests/support/patches';
import { RgbImage } from '../raster/image';
import { seededRandom } from '../raster/statistics';
import { distanceInside } from '../raster/distance';
import { depthAt, readWidths, WidthReading } from './lineWidth';
import { workUp } from './workup';

const SHEET = [92.9, -0.3, 6.7];
const INK = [30, 32, 45] as const;

function widths(image: RgbImage): WidthReading | null {
  const { depart, skeleton, lines, field } = workUp(image, SHEET);
  return readWidths(depart, skeleton, lines, field);
}

/** Lines 26 px apart that lean by 20°, each as wide as `width` says along it, 0–1. */
function ruled(width: (along: number) => number): RgbImage {
  const image = blankPatch(220, 220);
  const [c, s] = [Math.cos(0.35), Math.sin(0.35)];
  for (let v = -60; v < 200; v += 26)
    for (let k = 0; k < 40; k++) {
      const [a, b] = [k, k + 1].map((j): [number, number] => [20 + 4.5 * j * c, 30 + v + 4.5 * j * s]);
      drawLine(image, [a, b], width(k / 40), INK);
    }
  return image;
}

test.each([1.4, 2, 3, 4.5, 6, 9])('lines %s px wide are read within a tenth', (width) => {
  const read = widths(ruled(() => width))!;
  expect(Math.abs(read.px / width - 1)).toBeLessThan(0.1);
  expect(read.thick / read.thin).toBeLessThan(1.25);
});

test('lines that swell are told from even ones by their thin and thick', () => {
  const read = widths(ruled((along) => 2 + 4 * along))!;
  expect(read.thin).toBeGreaterThan(1.8);
  expect(read.thin).toBeLessThan(3.2);
  expect(read.thick).toBeGreaterThan(4.8);
  expect(read.thick).toBeLessThan(6.4);
  expect([...read.each].sort((a, b) => a - b)).toEqual(read.each);
});

test('a line between a dark field and a pale one is as wide to both', () => {
  const image = blankPatch(220, 220);
  for (let y = 0; y < 220; y++)
    for (let x = 0; x < 220; x++) image.data.set(x % 60 < 30 ? [236, 230, 216] : [150, 146, 138], 3 * (y * 220 + x));
  for (let x = 30; x < 220; x += 30)
    drawLine(
      image,
      [
        [x, 10],
        [x, 210],
      ],
      4,
      INK,
    );
  expect(Math.abs(widths(image)!.px / 4 - 1)).toBeLessThan(0.15);
});

test('too little line says nothing', () => {
  const image = blankPatch(100, 100);
  expect(widths(image)).toBeNull();
  drawLine(
    image,
    [
      [40, 50],
      [52, 50],
    ],
    3,
    INK,
  );
  expect(widths(image)).toBeNull();
});

test('how deep a px lies in a mask is what the distance transform of the whole says', () => {
  const random = seededRandom(4);
  const [width, height] = [47, 31];
  const mask = { width, height, data: Uint8Array.from({ length: width * height }, () => (random() < 0.93 ? 1 : 0)) };
  const whole = distanceInside(mask);
  for (let i = 0; i < mask.data.length; i++) expect(depthAt(mask, i)).toBeCloseTo(whole.data[i], 5);
  expect(depthAt({ width: 5, height: 4, data: new Uint8Array(20).fill(1) }, 7)).toBe(Infinity);
});
