/** Colour against published tables and two outside libraries. */
import Color from 'colorjs.io';
import { converter, differenceCiede2000 } from 'culori';
import { ciede2000 } from '../../core/colour/difference';
import { hexFromLab, labFromHex, lchFromLab, lightnessFromLuminance, oklabFromLinear } from '../../core/colour/lab';
import { encodedFromHex, encodedFromLinear, linearFromEncoded } from '../../core/colour/srgb';
import { seededRandom } from '../../core/raster/statistics';

// G. Sharma, W. Wu, E. N. Dalal: The CIEDE2000 color-difference formula, Color Research and Application 30 (2005), table 1.
const SHARMA: readonly (readonly number[])[] = [
  [50, 2.6772, -79.7751, 50, 0, -82.7485, 2.0425],
  [50, 3.1571, -77.2803, 50, 0, -82.7485, 2.8615],
  [50, 2.8361, -74.02, 50, 0, -82.7485, 3.4412],
  [50, -1.3802, -84.2814, 50, 0, -82.7485, 1],
  [50, -1.1848, -84.8006, 50, 0, -82.7485, 1],
  [50, -0.9009, -85.5211, 50, 0, -82.7485, 1],
  [50, 0, 0, 50, -1, 2, 2.3669],
  [50, -1, 2, 50, 0, 0, 2.3669],
  [50, 2.49, -0.001, 50, -2.49, 0.0009, 7.1792],
  [50, 2.49, -0.001, 50, -2.49, 0.001, 7.1792],
  [50, 2.49, -0.001, 50, -2.49, 0.0011, 7.2195],
  [50, 2.49, -0.001, 50, -2.49, 0.0012, 7.2195],
  [50, -0.001, 2.49, 50, 0.0009, -2.49, 4.8045],
  [50, -0.001, 2.49, 50, 0.001, -2.49, 4.8045],
  [50, -0.001, 2.49, 50, 0.0011, -2.49, 4.7461],
  [50, 2.5, 0, 50, 0, -2.5, 4.3065],
  [50, 2.5, 0, 73, 25, -18, 27.1492],
  [50, 2.5, 0, 61, -5, 29, 22.8977],
  [50, 2.5, 0, 56, -27, -3, 31.903],
  [50, 2.5, 0, 58, 24, 15, 19.4535],
  [50, 2.5, 0, 50, 3.1736, 0.5854, 1],
  [50, 2.5, 0, 50, 3.2972, 0, 1],
  [50, 2.5, 0, 50, 1.8634, 0.5757, 1],
  [50, 2.5, 0, 50, 3.2592, 0.335, 1],
  [60.2574, -34.0099, 36.2677, 60.4626, -34.1751, 39.4387, 1.2644],
  [63.0109, -31.0961, -5.8663, 62.8187, -29.7946, -4.0864, 1.263],
  [61.2901, 3.7196, -5.3901, 61.4292, 2.248, -4.962, 1.8731],
  [35.0831, -44.1164, 3.7933, 35.0232, -40.0716, 1.5901, 1.8645],
  [22.7233, 20.0904, -46.694, 23.0331, 14.973, -42.5619, 2.0373],
  [36.4612, 47.858, 18.3852, 36.2715, 50.5065, 21.2231, 1.4146],
  [90.8027, -2.0831, 1.441, 91.1528, -1.6435, 0.0447, 1.4441],
  [90.9257, -0.5406, -0.9208, 88.6381, -0.8985, -0.7239, 1.5381],
  [6.7747, -0.2908, -2.4247, 5.8714, -0.0985, -2.2286, 0.6377],
  [2.0776, 0.0795, -1.135, 0.9033, -0.0636, -0.5514, 0.9082],
];

test.each(SHARMA.map((row, i) => [i + 1, row] as const))(
  'CIEDE2000, published pair %i, both ways round',
  (_pair, [L1, a1, b1, L2, a2, b2, expected]) => {
    expect(ciede2000([L1, a1, b1], [L2, a2, b2])).toBeCloseTo(expected, 4);
    expect(ciede2000([L2, a2, b2], [L1, a1, b1])).toBeCloseTo(expected, 4);
  },
);

const random = seededRandom(3);
const hexes = Array.from(
  { length: 60 },
  () =>
    `#${Math.floor(random() * 0xffffff)
      .toString(16)
      .padStart(6, '0')}`,
);

test('Lab, LCh and Oklab of sRGB agree with culori and colorjs.io, and CIEDE2000 with culori', () => {
  const lab65 = converter('lab65');
  const oklab = converter('oklab');
  for (const [i, hex] of hexes.entries()) {
    const own = labFromHex(hex);
    const theirs = lab65(hex)!;
    [theirs.l, theirs.a, theirs.b].forEach((v, k) => expect(own[k]).toBeCloseTo(v, 2));
    const js = new Color(hex).to('lab-d65').coords as number[];
    js.forEach((v, k) => expect(own[k]).toBeCloseTo(v, 2));
    const ok = oklab(hex)!;
    const [r, g, b] = encodedFromHex(hex).map(linearFromEncoded);
    oklabFromLinear(r, g, b).forEach((v, k) => expect(v).toBeCloseTo([ok.l, ok.a, ok.b][k], 4));
    const other = labFromHex(hexes[(i + 1) % hexes.length]);
    expect(ciede2000(own, other)).toBeCloseTo(differenceCiede2000()(hex, hexes[(i + 1) % hexes.length]), 2);
  }
});

test('sRGB round trips exactly through Lab for every grey and for random colours', () => {
  for (let v = 0; v < 256; v += 5) {
    const hex = `#${v.toString(16).padStart(2, '0').repeat(3)}`;
    expect(hexFromLab(labFromHex(hex))).toBe(hex);
  }
  for (const hex of hexes) expect(hexFromLab(labFromHex(hex))).toBe(hex);
});

test('the transfer curve meets IEC 61966-2-1 at its joint and ends, and mid grey card is #767676', () => {
  expect(linearFromEncoded(0.04045)).toBeCloseTo(0.0031308, 6);
  expect(encodedFromLinear(1)).toBeCloseTo(1, 12);
  // An 18 % reflectance in sRGB, as photographers' practice has it.
  expect(Math.round(encodedFromLinear(0.18) * 255)).toBe(0x76);
  expect(lightnessFromLuminance(0.184186518)).toBeCloseTo(50, 1);
  expect(lchFromLab([50, 0, -10])[2]).toBeCloseTo(270, 9);
});

test('contrast of the interface colours reaches WCAG 2.2 AA (4.5 : 1) for text on the bench note and the page', () => {
  // WCAG 2.2, success criterion 1.4.3: ratio (L1 + 0.05) / (L2 + 0.05) of relative luminances.
  const luminance = (hex: string) => {
    const [r, g, b] = encodedFromHex(hex).map(linearFromEncoded);
    return 0.2126 * r + 0.7152 * g + 0.0722 * b;
  };
  const ratio = (a: string, b: string) => {
    const [high, low] = [luminance(a), luminance(b)].sort((p, q) => q - p);
    return (high + 0.05) / (low + 0.05);
  };
  expect(ratio('#ffffff', '#333333')).toBeGreaterThan(4.5);
  expect(ratio('#000000', '#ffffff')).toBeCloseTo(21, 1);
  expect(ratio('#1b1b1b', '#f2f2f2')).toBeGreaterThan(4.5);
});
