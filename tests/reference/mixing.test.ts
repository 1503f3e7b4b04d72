/** Mixing: in direction against spectral.js, and against what every paint box shows. */
import { Color as SpectralColor, mix } from 'spectral.js';
import { DEMO_KIT } from '../../atelier/kit';
import { ciede2000 } from '../../core/colour/difference';
import { labFromHex, lchFromLab } from '../../core/colour/lab';
import { calibratedStrength, Kit, missInWords, mixFor } from '../../core/colour/mixing';
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
  for (const paint of DEMO_KIT.paints.slice(1)) {
    const strength = calibratedStrength(paint, white);
    expect(strength).toBeGreaterThan(0.02);
    const answer = mixFor(paint.tint!.hex, { name: '', white: white.name, paints: [white, paint] });
    expect(answer.recipes[0].deltaE).toBeLessThan(9);
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
