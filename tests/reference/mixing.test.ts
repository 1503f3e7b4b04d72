/** Mixing: in direction against spectral.js, and against what every paint box shows. */
import { Color as SpectralColor, mix } from 'spectral.js';
import { DEMO_KIT } from '../../atelier/kit';
import { ciede2000 } from '../../core/colour/difference';
import { labFromHex, labFromLinear, lchFromLab } from '../../core/colour/lab';
import type { Kit } from '../../core/colour/kit';
import { missInWords, mixFor } from '../../core/colour/mixing';
import {
  absorptionOf,
  fittedPigment,
  insideReflectance,
  mixLinear,
  Pigment,
  plainPigment,
  reflectanceOf,
  seenOf,
  seenReflectance,
} from '../../core/colour/pigment';
import { median, quantile } from '../../core/raster/statistics';
import { linearFromReflectance, reflectanceFromLinear } from '../../core/colour/reflectance';
import { english } from '../support/english';
import { encodedFromHex, linearFromEncoded } from '../../core/colour/srgb';

const hue = (hex: string) => lchFromLab(labFromHex(hex))[2];
const twoPaints = (a: string, b: string): Kit => ({
  name: 'two',
  white: null,
  paints: [a, b].map((masstone, i) => ({ name: `p${i}`, pigment: '', masstone, tint: null, strength: 1 })),
});

/** The colour two paints give in equal parts: ask for it until it is a recipe. */
function equalMix(a: string, b: string): string {
  const kit: Kit = { ...twoPaints(a, b), white: null };
  const spectral = mix([new SpectralColor(a), 1], [new SpectralColor(b), 1]).toString();
  const found = mixFor(spectral, kit, 60).recipes.find((r) => r.parts.length === 2 && r.parts.every((p) => p.paint !== 'water'));
  return found!.hex;
}

test('blue and yellow give green, as spectral.js has it', () => {
  const own = hue(equalMix('#1b3f9c', '#f7d417'));
  const theirs = hue(mix([new SpectralColor('#1b3f9c'), 1], [new SpectralColor('#f7d417'), 1]).toString());
  for (const h of [own, theirs]) {
    expect(h).toBeGreaterThan(110);
    expect(h).toBeLessThan(190);
  }
});

test('a colour mixed with itself stays', () => {
  const best = mixFor('#8a5a2b', twoPaints('#8a5a2b', '#8a5a2b')).recipes[0];
  expect(best.deltaE).toBeLessThan(0.5);
});

test('reconstructed reflectance lies in 0–1 and gives its colour back', () => {
  for (const hex of ['#f2ece0', '#22318a', '#b8252c', '#0b4f45', '#f6c915', '#808080', '#1f1f22']) {
    const linear = encodedFromHex(hex).map(linearFromEncoded);
    const curve = reflectanceFromLinear(linear);
    expect(Math.min(...curve)).toBeGreaterThan(0);
    expect(Math.max(...curve)).toBeLessThan(1);
    linearFromReflectance(curve).forEach((v, i) => expect(v).toBeCloseTo(Math.min(0.98, Math.max(0.002, linear[i])), 4));
  }
  linearFromReflectance(new Float64Array(36).fill(1)).forEach((v) => expect(v).toBeCloseTo(1, 12));
});

test('a calibrated paint gives its own tint back from its parts', () => {
  const white = DEMO_KIT.paints[0];
  const base = plainPigment(white.name, white.masstone);
  for (const { name, masstone, tint, strength } of DEMO_KIT.paints.slice(1)) {
    const pigment = fittedPigment(name, masstone, [tint!], strength, base);
    const got = labFromLinear(...mixLinear([pigment, base], tint!.parts));
    expect([name, ciede2000(got, labFromHex(tint!.hex)) < 3]).toEqual([name, true]);
    const answer = mixFor(tint!.hex, { name: '', white: white.name, paints: [white, { name, pigment: '', masstone, tint, strength }] });
    expect(answer.recipes[0].deltaE).toBeLessThan(3);
  }
});

test('recipes keep the contract: at most three paints with white, 12 parts, best first, ΔE to the printed hex', () => {
  for (const target of ['#4f8a74', '#6a6488', '#d9c08a', '#f26a12']) {
    const answer = mixFor(target, DEMO_KIT);
    expect(answer.recipes.length).toBeGreaterThan(0);
    let before = 0;
    for (const r of answer.recipes) {
      expect(r.parts.filter((p) => p.paint !== 'titanium white').length).toBeLessThanOrEqual(3);
      expect(r.parts.reduce((s, p) => s + p.parts, 0)).toBeLessThanOrEqual(12);
      expect(r.parts.every((p) => Number.isInteger(p.parts) && p.parts >= 1)).toBe(true);
      expect(r.deltaE).toBeCloseTo(ciede2000(labFromHex(target), labFromHex(r.hex)), 9);
      expect(r.deltaE).toBeGreaterThanOrEqual(before - 1e-9);
      before = r.deltaE;
    }
    expect(answer.withinReach).toBe(answer.recipes[0].deltaE <= 3);
  }
});

test('a vivid blue is out of reach of a kit of earths, and the words say which way', () => {
  const earths: Kit = {
    name: 'earths',
    white: 'titanium white',
    paints: DEMO_KIT.paints.filter((p) => ['titanium white', 'yellow ochre', 'burnt sienna', 'carbon black'].includes(p.name)),
  };
  const answer = mixFor('#2040d0', earths);
  expect(answer.withinReach).toBe(false);
  expect(english(answer.words)).toMatch(/duller/);
  expect(english(missInWords([50, 40, 20], [50, 40, 20]))).toMatch(/no eye/);
  expect(english(missInWords([50, 10, 10], [70, 10, 10]))).toMatch(/lighter/);
});

describe('theory against its sources', () => {
  test('Kubelka and Munk: an infinitely thick layer of R = 0.5 has K/S = 0.25, and their relation turns back on itself', () => {
    // Kubelka and Munk 1931, K/S = (1 − R)² ÷ 2R; the figures follow from it by hand.
    expect(absorptionOf(0.5)).toBeCloseTo(0.25, 12);
    expect(absorptionOf(0.1)).toBeCloseTo(4.05, 12);
    for (const r of [0.02, 0.3, 0.9]) expect(reflectanceOf(absorptionOf(r))).toBeCloseTo(r, 12);
  });

  test('Saunderson: what is seen is less than what is inside, most in the middle, nothing at black and white', () => {
    // Saunderson 1942: R = (1 − k₁)(1 − k₂) r ÷ (1 − k₂ r) without glare; beside a white of the same surface 1 − k₁ falls out. k₂ = 0.4 as he gives it;
    // r = 0.5 then gives 0.6 · 0.5 ÷ 0.8 = 0.375 by hand.
    expect(seenReflectance(0.5)).toBeCloseTo(0.375, 12);
    expect(seenReflectance(0)).toBe(0);
    expect(seenReflectance(1)).toBeCloseTo(1, 12);
    for (const r of [0.02, 0.3, 0.9]) expect(insideReflectance(seenReflectance(r))).toBeCloseTo(r, 12);
    // The two steps in one division, as mixes are reckoned.
    for (const [k, s] of [
      [0.01, 1],
      [0.7, 0.4],
      [9, 0.2],
    ])
      expect(seenOf(k, s)).toBeCloseTo(seenReflectance(reflectanceOf(k / s)), 12);
  });
});

/** Paints made of known curves, 380 to 750 nm by 10: where they absorb, and how they scatter, which no swatch tells by itself. */
const NM = Array.from({ length: 38 }, (_, i) => 380 + 10 * i);
const band = (at: number, wide: number, high: number) => (nm: number) => high * Math.exp(-(((nm - at) / wide) ** 2));
const rise = (at: number, wide: number, high: number) => (nm: number) => high / (1 + Math.exp((at - nm) / wide));
const fall = (at: number, wide: number, high: number) => (nm: number) => high / (1 + Math.exp((nm - at) / wide));
const TRUE: Record<string, { k: (nm: number) => number; s: (nm: number) => number }> = {
  white: { k: (nm) => 0.004 + fall(400, 8, 0.4)(nm), s: () => 1 },
  yellow: { k: fall(505, 11, 2.6), s: (nm) => 0.42 + 0.0004 * (nm - 380) },
  ochre: { k: (nm) => 0.15 + fall(545, 28, 1.4)(nm), s: () => 0.7 },
  orange: { k: (nm) => 0.01 + fall(575, 11, 3)(nm), s: () => 0.45 },
  red: { k: (nm) => 0.02 + fall(598, 12, 3.4)(nm), s: (nm) => 0.22 + 0.0005 * (nm - 380) },
  rose: { k: (nm) => 0.03 + band(535, 52, 3.2)(nm) + fall(420, 15, 0.4)(nm), s: () => 0.12 },
  blue: { k: (nm) => 0.04 + band(600, 62, 2.8)(nm) + rise(640, 20, 0.9)(nm), s: (nm) => 0.3 - 0.0004 * (nm - 380) },
  cyan: { k: (nm) => 0.02 + band(640, 70, 6)(nm) + band(400, 25, 0.3)(nm), s: () => 0.1 },
  green: { k: (nm) => 0.05 + band(660, 75, 4.5)(nm) + fall(455, 16, 2.2)(nm), s: () => 0.16 },
  umber: { k: (nm) => 0.6 + fall(600, 45, 2.2)(nm), s: () => 0.4 },
  black: { k: () => 4, s: () => 0.18 },
};

/** The colour of a mix of these, reckoned here and by spectral.js's own tables: nothing of the core is in it. */
function truly(parts: Record<string, number>): string {
  const R = NM.map((nm) => {
    let [k, s] = [0, 0];
    for (const [name, n] of Object.entries(parts)) {
      k += n * TRUE[name].k(nm);
      s += n * TRUE[name].s(nm);
    }
    const q = k / s;
    const r = 1 + q - Math.sqrt(q * q + 2 * q);
    // A film somewhat glossier than the core takes paints to be.
    return (0.5 * r) / (1 - 0.5 * r);
  });
  return new SpectralColor(R).toString().toLowerCase();
}

test('from masstones and tints of paints whose curves are known, mixes are foretold within ΔE00 3 in the median', () => {
  const names = Object.keys(TRUE).filter((n) => n !== 'white');
  const base = plainPigment('white', truly({ white: 1 }));
  const fitted = (tints: [number, number][]) =>
    Object.fromEntries(
      names.map((n) => [
        n,
        fittedPigment(
          n,
          truly({ [n]: 1 }),
          tints.map((parts) => ({ hex: truly({ [n]: parts[0], white: parts[1] }), parts })),
          1,
          base,
        ),
      ]),
    );
  const mixes: Record<string, number>[] = [];
  names.forEach((a, i) =>
    names.slice(i + 1).forEach((b, j) => {
      mixes.push({ [a]: 1, [b]: 1 }, { [a]: 3, [b]: 1, white: 2 }, { [a]: 1, [b]: 2, white: 6 });
      const c = names[(i + 2 * j + 5) % names.length];
      if (c !== a && c !== b) mixes.push({ [a]: 2, [b]: 1, [c]: 1, white: 3 });
    }),
  );
  const off = (pigments: Record<string, Pigment>) =>
    mixes.map((parts) => {
      const all = Object.keys(parts).map((n) => (n === 'white' ? base : pigments[n]));
      return ciede2000(labFromLinear(...mixLinear(all, Object.values(parts))), labFromHex(truly(parts)));
    });
  const one = off(fitted([[1, 4]]));
  const two = off(fitted([[1, 4], [1, 12]])); // prettier-ignore
  const even = off(Object.fromEntries(names.map((n) => [n, plainPigment(n, truly({ [n]: 1 }))])));
  const told = (list: number[]) => `${median(list).toFixed(2)} (nine in ten under ${quantile(list, 0.9).toFixed(1)})`;
  console.log(`mixes foretold within ΔE00, median of ${mixes.length}: one tint ${told(one)}, two ${told(two)}, none ${told(even)}`);
  expect(median(one)).toBeLessThan(3);
  expect(median(two)).toBeLessThanOrEqual(median(one) + 0.2);
  expect(quantile(two, 0.9)).toBeLessThan(6);
  // Without a tint nothing is known of how strong a paint is.
  expect(median(even)).toBeGreaterThan(median(one) + 1);
});
