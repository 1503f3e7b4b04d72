import fc from 'fast-check';
import type { Kit, Paint } from './kit';
import { mixerFor } from './mixing';
import { hexFromLinear, linearFromHex, Triple } from './srgb';
import { dilutionPower, washed, WHITE_PAPER } from './wash';

const INK = '#2a1c14';
const ink = (masstone = INK, tints: Paint['tints'] = []): Paint => ({ name: 'ink', pigment: '', masstone, tint: null, tints, strength: 1 });

describe('a paint thinned with water', () => {
  test('undiluted it is itself on white paper, and endlessly thin it is the sheet', () => {
    const linear = linearFromHex('#7a3020');
    washed(linear, 1).forEach((v, c) => expect(v).toBeCloseTo(linear[c], 9));
    washed(linear, 0, [0.5, 0.4, 0.3]).forEach((v, c) => expect(v).toBeCloseTo([0.5, 0.4, 0.3][c], 9));
  });

  test('half as much passes the square root of the light: two thin layers are one thick one (Beer and Lambert)', () => {
    const linear: Triple = [0.3, 0.2, 0.09];
    const once = washed(linear, 0.5);
    const twice = washed(linear, 0.5, once);
    twice.forEach((v, c) => expect(v).toBeCloseTo(linear[c], 9));
  });

  test('over a toned sheet nothing is lighter than the sheet, and the same wash is darker by the sheet’s own tone', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.05, max: 1, noNaN: true }),
        fc.tuple(...[0, 1, 2].map(() => fc.double({ min: 0.05, max: 0.85, noNaN: true }))),
        (share, sheet) => {
          const over = washed(linearFromHex('#446688'), share, sheet as unknown as Triple);
          const white = washed(linearFromHex('#446688'), share);
          over.forEach((v, c) => {
            expect(v).toBeLessThanOrEqual(sheet[c] + 1e-12);
            expect(v / sheet[c]).toBeCloseTo(white[c] / WHITE_PAPER[c], 9);
          });
        },
      ),
    );
  });

  test('the power by which density falls is read from a strip of dilutions, and kept within what strips show', () => {
    const strip = (power: number) =>
      ([[1, 1], [1, 3], [1, 7]] as [number, number][]).map((parts) => ({ hex: hexFromLinear(washed(linearFromHex(INK), parts[0] / (parts[0] + parts[1]), WHITE_PAPER, power)), parts })); // prettier-ignore
    for (const power of [0.7, 1, 1.4]) expect(dilutionPower(INK, strip(power))).toBeCloseTo(power, 1);
    expect(dilutionPower(INK, [])).toBe(1);
    expect(dilutionPower(INK, [{ hex: '#ffffff', parts: [1, 1] }])).toBe(1);
    expect(dilutionPower(INK, [{ hex: INK, parts: [1, 9] }])).toBeGreaterThanOrEqual(0.4);
  });
});

test('an ink’s own strip gives its dilutions back as recipes, on white paper; on a grey sheet more ink is never asked for the same colour', () => {
  const tints = ([[1, 1], [1, 3], [1, 7]] as [number, number][]).map((parts) => ({ hex: hexFromLinear(washed(linearFromHex(INK), parts[0] / (parts[0] + parts[1]), WHITE_PAPER, 0.75)), parts })); // prettier-ignore
  const kit: Kit = { name: 'ink', white: null, paints: [ink(INK, tints)] };
  const mix = mixerFor(kit);
  for (const t of tints) {
    const [best] = mix(t.hex).recipes;
    expect(best.deltaE).toBeLessThan(1);
    expect(best.parts.map((p) => p.parts)).toEqual(t.parts);
  }
  const water = (answer: ReturnType<typeof mix>) => answer.recipes[0].parts.find((p) => p.paint === 'water')?.parts ?? 0;
  const grey = mixerFor(kit, '#b8b4ac');
  const target = tints[1].hex;
  expect(water(grey(target))).toBeGreaterThanOrEqual(water(mix(target)));
  // A colour lighter than the sheet cannot be had on it.
  expect(grey('#f0ece4').withinReach).toBe(false);
  // On white paper twelve parts reach nearer to it.
  expect(mix('#f0ece4').recipes[0].deltaE).toBeLessThan(grey('#f0ece4').recipes[0].deltaE);
});
