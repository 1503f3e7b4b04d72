/** What must hold for any kit and any colour asked for. */
import { english } from '../../tests/support/english';
import fc from 'fast-check';
import { DEMO_KIT } from '../../atelier/kit';
import { ciede2000 } from './difference';
import { labFromHex } from './lab';
import type { Kit, Paint } from './kit';
import { missInWords, mixFor } from './mixing';
import { linearFromReflectance, reflectanceFromLinear } from './reflectance';

const hex = fc
  .tuple(fc.integer({ min: 0, max: 255 }), fc.integer({ min: 0, max: 255 }), fc.integer({ min: 0, max: 255 }))
  .map((c) => `#${c.map((v) => v.toString(16).padStart(2, '0')).join('')}`);

test('every recipe keeps the contract: three paints and white at most, twelve whole parts, best first, ΔE to what is printed', () => {
  fc.assert(
    fc.property(hex, (target) => {
      const { recipes, withinReach, words } = mixFor(target, DEMO_KIT);
      expect(recipes.length).toBeGreaterThan(0);
      let before = 0;
      for (const r of recipes) {
        expect(r.parts.filter((p) => p.paint !== DEMO_KIT.white).length).toBeLessThanOrEqual(3);
        expect(r.parts.every((p) => Number.isInteger(p.parts) && p.parts > 0)).toBe(true);
        expect(r.parts.reduce((s, p) => s + p.parts, 0)).toBeLessThanOrEqual(12);
        expect(new Set(r.parts.map((p) => p.paint)).size).toBe(r.parts.length);
        expect(r.deltaE).toBeCloseTo(ciede2000(labFromHex(target), labFromHex(r.hex)), 9);
        expect(r.deltaE).toBeGreaterThanOrEqual(before);
        before = r.deltaE;
      }
      expect(withinReach).toBe(recipes[0].deltaE <= 3);
      expect(english(words)).not.toMatch(/NaN|undefined|mixing\.|[{}]/);
    }),
    { seed: 31, numRuns: 12 },
  );
});

test('a paint’s own masstone is mixed from that paint alone', () => {
  for (const paint of DEMO_KIT.paints) {
    const [best] = mixFor(paint.masstone, DEMO_KIT).recipes;
    expect([paint.name, best.deltaE < 1]).toEqual([paint.name, true]);
    expect(best.parts.map((p) => p.paint)).toEqual([paint.name]);
  }
});

test('more paints in the cupboard never make the best recipe worse', () => {
  fc.assert(
    fc.property(hex, fc.integer({ min: 2, max: DEMO_KIT.paints.length - 1 }), (target, few) => {
      const white = DEMO_KIT.paints.find((p) => p.name === DEMO_KIT.white)!;
      const others = DEMO_KIT.paints.filter((p) => p !== white);
      const some: Kit = { ...DEMO_KIT, paints: [white, ...others.slice(0, few)] };
      const best = (kit: Kit) => mixFor(target, kit).recipes[0].deltaE;
      // The search keeps a choice of mixtures, so that it may miss the very best by a little.
      expect(best(DEMO_KIT)).toBeLessThanOrEqual(best(some) + 0.75);
    }),
    { seed: 32, numRuns: 6 },
  );
});

test('a kit without white is let down with water, and one paint alone still answers', () => {
  const paint: Paint = { name: 'burnt umber', pigment: 'PBr7', masstone: '#4a2c1e', tint: null, strength: 1 };
  const { recipes } = mixFor('#b09a88', { name: 'one', white: null, paints: [paint] });
  expect(recipes[0].parts.every((p) => p.paint === 'burnt umber' || p.paint === 'water')).toBe(true);
  expect(recipes[0].deltaE).toBeLessThan(ciede2000(labFromHex('#b09a88'), labFromHex('#4a2c1e')));
});

test('what misses is said in a painter’s words, and the right way round', () => {
  const lch = (L: number, C: number, h: number) => [L, C * Math.cos((h * Math.PI) / 180), C * Math.sin((h * Math.PI) / 180)];
  expect(english(missInWords(lch(50, 40, 40), lch(62, 40, 40)))).toMatch(/lighter/);
  expect(english(missInWords(lch(50, 40, 40), lch(38, 40, 40)))).toMatch(/darker/);
  expect(english(missInWords(lch(50, 60, 40), lch(50, 30, 40)))).toMatch(/duller/);
  expect(english(missInWords(lch(50, 30, 40), lch(50, 60, 40)))).toMatch(/brighter|stronger|purer|vivid/);
  expect(english(missInWords(lch(50, 50, 90), lch(50, 50, 60)))).toMatch(/redder|more orange/);
  expect(english(missInWords(lch(50, 50, 200), lch(50, 50, 230)))).toMatch(/bluer/);
});

test('any colour’s reconstructed reflectance lies between nothing and everything, and gives the colour back', () => {
  fc.assert(
    fc.property(fc.tuple(...[0, 1, 2].map(() => fc.double({ min: 0.002, max: 0.98, noNaN: true }))), (rgb) => {
      const curve = reflectanceFromLinear(rgb);
      for (const v of curve) expect(v > 0 && v <= 1).toBe(true);
      linearFromReflectance(curve).forEach((v, i) => expect(Math.abs(v - rgb[i])).toBeLessThan(0.004));
    }),
    { seed: 33, numRuns: 120 },
  );
});
