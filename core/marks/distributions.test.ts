import { blankPatch, drawLine } from '../../tests/support/patches';
import { directionShares, distributionsOf, histogramOf } from './distributions';
import { showPatch } from './reading';

test('a histogram counts every number once, and what lies beyond its last step there', () => {
  const values = [...Array.from({ length: 200 }, (_, i) => 1 + (i % 20) / 10), 400];
  const h = histogramOf(values)!;
  expect(h.counts.reduce((a, b) => a + b, 0)).toBe(values.length);
  expect(h.counts[h.counts.length - 1]).toBeGreaterThanOrEqual(1);
  expect(h.step * h.counts.length).toBeLessThan(4);
  expect(histogramOf([1, 2, 3, 4])).toBeNull();
  expect(histogramOf([0, 0, 0, 0, 0, 0])).toBeNull();
});

test('directions are shares by 5°; nothing has none', () => {
  const density = new Float64Array(180);
  density[31] = 3;
  density[121] = 1;
  const shares = directionShares(density)!;
  expect([shares[6], shares[24]]).toEqual([0.75, 0.25]);
  expect(shares.reduce((a, b) => a + b, 0)).toBeCloseTo(1);
  expect(directionShares(new Float64Array(180))).toBeNull();
});

test('lengths of strokes that run off are counted apart, on the same steps, in px of the picture', () => {
  const strokes = [10, 12, 14, 16, 18, 20].map((length, i) => ({ length, cut: i % 2 === 1 }));
  const { lengths } = distributionsOf({ density: new Float64Array(180), strokes, widths: [], gaps: [], across: null }, 3, [0, 0]);
  expect(lengths!.counts.reduce((a, b) => a + b, 0)).toBe(3);
  expect(lengths!.cut.reduce((a, b) => a + b, 0)).toBe(3);
  expect(lengths!.counts[Math.floor(30 / lengths!.step)]).toBe(1);
});

test('what a patch of hatching was read from: its crossings stand a gap apart and lie on the strokes, where the patch lies', () => {
  const image = blankPatch(300, 300);
  for (let x = -300; x < 600; x += 15)
    drawLine(
      image,
      [
        [x, 300],
        [x + 173, 0],
      ],
      3,
      [30, 30, 40],
    );
  const corner = [1000, 400] as const;
  const { reading, distributions, strokes } = showPatch(
    image,
    [92.9, -0.3, 6.7],
    { factor: 2, pictureWidth: 2000, mmPerPixel: null },
    corner,
  );
  // 15 px along a row, at 60°: 13 px straight across, each worth two of the picture.
  expect(reading.spacing!.px / 26).toBeCloseTo(1, 1);
  const { across, gaps, widths, directions } = distributions;
  expect(across!.crests.length).toBeGreaterThan(8);
  const steps = across!.crests.slice(1).map((c, i) => c - across!.crests[i]);
  for (const step of steps) expect(step).toBeCloseTo(13, -0.5);
  expect(gaps!.counts.indexOf(Math.max(...gaps!.counts))).toBe(Math.floor(26 / gaps!.step));
  expect(widths!.counts.reduce((a, b) => a + b, 0)).toBeGreaterThan(50);
  expect(directions!.indexOf(Math.max(...directions!))).toBe(12);
  const [[x0, y0], [x1, y1]] = [across!.from, across!.to];
  // Square to strokes at 60°.
  expect(Math.abs(Math.atan2(y1 - y0, x1 - x0) * (180 / Math.PI))).toBeCloseTo(30, 0);
  const dark = across!.crests.filter((c) => {
    const t = c / (across!.values.length - 1);
    const [x, y] = [(x0 + t * (x1 - x0) - corner[0]) / 2, (y0 + t * (y1 - y0) - corner[1]) / 2];
    return image.data[3 * (Math.floor(y) * 300 + Math.floor(x))] < 150;
  });
  expect(dark.length / across!.crests.length).toBeGreaterThan(0.8);
  for (let i = 0; i < strokes.points.length; i += 2) {
    expect(strokes.points[i]).toBeGreaterThanOrEqual(1000);
    expect(strokes.points[i + 1]).toBeLessThanOrEqual(1000);
  }
});
