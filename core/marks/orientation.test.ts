import sharp from 'sharp';
import { gaussian } from '../raster/filters';
import { plane, Plane } from '../raster/image';
import { lightnessPlane } from '../colour/lab';
import { axialDifference, normal, seededRandom } from '../raster/statistics';
import { rasterOf } from '../../tests/support/pictures';
import { noiseOf } from './ink';
import { angleDensity, axialMean, directionTurn, orientationField, principalDirections } from './orientation';

const SIDE = 192;

function waves(angles: readonly number[]): Plane {
  const out = plane(SIDE, SIDE);
  for (let y = 0; y < SIDE; y++)
    for (let x = 0; x < SIDE; x++)
      for (const a of angles) {
        const t = (a * Math.PI) / 180;
        // Soft lines 12 px apart, over each other where they cross.
        const wave = Math.cos((2 * Math.PI * (x * Math.sin(t) + y * Math.cos(t))) / 12);
        out.data[y * SIDE + x] = Math.max(out.data[y * SIDE + x], 40 * Math.max(0, wave) ** 6);
      }
  return out;
}
const read = (source: Plane) => {
  const field = orientationField(source, noiseOf(source));
  const density = angleDensity(field, [0, 0, source.width, source.height]);
  return { directions: principalDirections(density), turn: directionTurn(field, [0, 0, source.width, source.height]) };
};

test('every direction comes back within a degree, the axes no more than the rest', () => {
  for (let a = 3; a < 180; a += 13) {
    const { directions, turn } = read(waves([a]));
    expect(Math.abs(axialDifference(directions[0].angle, a))).toBeLessThan(1);
    expect(turn.coherence).toBeGreaterThan(0.95);
    expect(turn.turn).toBeLessThan(3);
  }
});

test('two sets are told as two, not as what lies between them', () => {
  const { directions, turn } = read(waves([20, 95]));
  expect(turn.coherence).toBeLessThan(0.5);
  expect(directions.length).toBeGreaterThanOrEqual(2);
  for (const a of [20, 95]) expect(Math.min(...directions.slice(0, 2).map((d) => Math.abs(axialDifference(d.angle, a))))).toBeLessThan(2);
});

test('texture that runs no way has none, also after it was saved and rescaled', async () => {
  const r = seededRandom(5);
  const soft = gaussian({ width: 320, height: 320, data: Float32Array.from({ length: 320 * 320 }, () => normal(r)) }, 2.2);
  const bytes = Buffer.from(
    soft.data.map((v) => Math.min(255, Math.max(0, 150 + 260 * v))).reduce<number[]>((all, v) => (all.push(v, v, v), all), []),
  );
  const picture = () => sharp(bytes, { raw: { width: 320, height: 320, channels: 3 } });
  const means: number[] = [];
  for (const quality of [60, 80, 95])
    for (const width of [320, 257, 211]) {
      const jpeg = await picture().resize(width).jpeg({ quality }).toBuffer();
      const { turn } = read(lightnessPlane(await rasterOf(sharp(jpeg))));
      expect(turn.coherence).toBeLessThan(0.12);
      means.push(turn.meanAngle);
    }
  expect(means).toHaveLength(9);
});

test('axial means go round: 179° and 1° lie about 0°', () => {
  const { angle, resultant } = axialMean([179, 1], [1, 1]);
  expect(Math.abs(axialDifference(angle, 0))).toBeLessThan(1e-9);
  expect(resultant).toBeGreaterThan(0.99);
  expect(axialMean([0, 90], [1, 1]).resultant).toBeLessThan(1e-9);
  expect(axialMean([], [])).toMatchObject({ resultant: 0 });
});
