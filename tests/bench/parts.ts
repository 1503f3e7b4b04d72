/** How long parts of a profile take against well-known libraries doing the same: OpenCV in WebAssembly, a plain k-means. */
import { kmeans } from 'ml-kmeans';
import { ANSGRAVE_HAND } from '../../atelier/hands/ansgrave';
import { lightnessPlane, oklabFromLinear } from '../../core/colour/lab';
import { readPalette } from '../../core/colour/palette';
import { linearFromByte } from '../../core/colour/srgb';
import { orientationField } from '../../core/marks/orientation';
import { reduceToLongSide } from '../../core/raster/resample';
import { median } from '../../core/raster/statistics';
import { opencv } from '../support/opencv';

const ROUNDS = 7;
const SIDE = 1024;
const COLOURS = 6;

/** Median ms of each of the works, taken in turns since a shared machine is faster at one time than at another. */
function inTurns(...works: (() => unknown)[]): number[] {
  const times = works.map(() => [] as number[]);
  for (const work of works) work();
  for (let i = 0; i < ROUNDS; i++)
    works.forEach((work, k) => {
      const begun = performance.now();
      work();
      times[k].push(performance.now() - begun);
    });
  return times.map(median);
}

const { image } = await ANSGRAVE_HAND.draw(ANSGRAVE_HAND.works[0], 10);
const { cv } = await opencv();

/** Scharr derivatives, their products, the Gaussian window, angle and energy: what our map gives. */
function opencvTensor(tone: { width: number; height: number; data: Float32Array }): number {
  const mats: { delete(): void }[] = [];
  const mat = () => {
    const m = new cv.Mat();
    mats.push(m);
    return m;
  };
  const source = cv.matFromArray(tone.height, tone.width, cv.CV_32F, tone.data);
  mats.push(source);
  const [dx, dy, xx, yy, xy, difference, twice, angle, size] = Array.from({ length: 9 }, mat);
  cv.Scharr(source, dx, cv.CV_32F, 1, 0, 1 / 32);
  cv.Scharr(source, dy, cv.CV_32F, 0, 1, 1 / 32);
  cv.multiply(dx, dx, xx);
  cv.multiply(dy, dy, yy);
  cv.multiply(dx, dy, xy);
  for (const m of [xx, yy, xy]) cv.GaussianBlur(m, m, new cv.Size(0, 0), 1.6);
  cv.subtract(xx, yy, difference);
  cv.addWeighted(xy, 2, xy, 0, 0, twice);
  cv.cartToPolar(difference, twice, size, angle, true);
  const first = angle.data32F[0];
  for (const m of mats) m.delete();
  return first;
}

const tone = lightnessPlane(reduceToLongSide(image, 2048));
const [tensorMs, opencvMs] = inTurns(
  () => orientationField(tone, 1),
  () => opencvTensor(tone),
);

const form = reduceToLongSide(image, SIDE);
const lightness = lightnessPlane(form);
/** Every pixel in Oklab, as a plain k-means takes them. */
const points = Array.from({ length: form.width * form.height }, (_, i): number[] => {
  const [r, g, b] = form.data.subarray(3 * i, 3 * i + 3);
  return oklabFromLinear(linearFromByte[r], linearFromByte[g], linearFromByte[b]);
});
const [paletteMs, kmeansMs] = inTurns(
  () => readPalette(form, lightness, COLOURS),
  () => kmeans(points, COLOURS, { seed: 1, maxIterations: 24, initialization: 'random' }),
);

process.stdout.write(
  `${JSON.stringify({ tensorMs, opencvMs, tensorPixels: tone.data.length, paletteMs, kmeansMs, palettePixels: points.length })}\n`,
);
