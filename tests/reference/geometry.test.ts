/** Geometry and raster operations against OpenCV (WebAssembly), an SVD route, and brute force. */
import { Matrix, SingularValueDecomposition } from 'ml-matrix';
import { applyHomography, fitHomography } from '../../core/capture/homography';
import { align, applyAlignment } from '../../core/proportion/align';
import { fitEllipse } from '../../core/proportion/ellipse';
import { clippedArea, convexHull, signedArea } from '../../core/proportion/polygon';
import { minimumRectangle } from '../../core/proportion/rectangle';
import { distanceInside } from '../../core/raster/distance';
import { gradientBy, SCHARR } from '../../core/raster/gradient';
import { Plane, Point } from '../../core/raster/image';
import { normal, seededRandom } from '../../core/raster/statistics';
import { multiOtsu } from '../../core/raster/threshold';
import { opencv } from '../support/opencv';

jest.setTimeout(300_000);

/* eslint-disable @typescript-eslint/no-explicit-any */
let cv: any;
beforeAll(async () => {
  ({ cv } = await opencv());
});

function greyPlane(seed: number, w: number, h: number): { plane: Plane; mat: any } {
  const r = seededRandom(seed);
  const data = Float32Array.from({ length: w * h }, () => Math.floor(r() * 256));
  const mat = cv.matFromArray(h, w, cv.CV_8UC1, Array.from(data));
  return { plane: { width: w, height: h, data }, mat };
}

test('homography of four corners carries points as OpenCV does', () => {
  const r = seededRandom(5);
  for (let k = 0; k < 20; k++) {
    const from: Point[] = [
      [0, 0],
      [297, 0],
      [297, 210],
      [0, 210],
    ];
    const to = from.map(([x, y]): Point => [4 * x + 100 + 60 * normal(r), 4 * y + 80 + 60 * normal(r)]);
    const a = cv.matFromArray(4, 1, cv.CV_32FC2, from.flat());
    const b = cv.matFromArray(4, 1, cv.CV_32FC2, to.flat());
    const m = cv.getPerspectiveTransform(a, b);
    const theirs = Array.from(m.data64F as Float64Array);
    const own = fitHomography(from, to);
    for (const p of [
      [10, 20],
      [150, 100],
      [290, 200],
    ] as Point[]) {
      const [x, y] = applyHomography(own, p);
      const [u, v] = applyHomography(theirs, p);
      expect(Math.hypot(x - u, y - v)).toBeLessThan(1e-2);
    }
    [a, b, m].forEach((d) => d.delete());
  }
});

test('Otsu cuts where OpenCV cuts, and several levels beat every other choice of cuts', () => {
  for (let seed = 1; seed <= 8; seed++) {
    const r = seededRandom(seed);
    const values = Array.from({ length: 4000 }, () => Math.max(0, Math.min(255, Math.round((r() < 0.4 ? 70 : 180) + 22 * normal(r)))));
    const mat = cv.matFromArray(40, 100, cv.CV_8UC1, values);
    const out = new cv.Mat();
    const theirs = cv.threshold(mat, out, 0, 255, cv.THRESH_BINARY + cv.THRESH_OTSU);
    const counts = new Float64Array(256);
    values.forEach((v) => counts[v]++);
    const [own] = multiOtsu(counts, 2);
    // OpenCV names the last value of the dark class, multiOtsu the first of the light one.
    expect(Math.abs(own - 1 - theirs)).toBeLessThanOrEqual(1);
    mat.delete();
    out.delete();
  }
  const r = seededRandom(99);
  const counts = Float64Array.from({ length: 24 }, () => Math.floor(50 * r()));
  const between = (cuts: number[]) =>
    [0, ...cuts, 24].slice(0, -1).reduce((s, from, i, all) => {
      const to = [0, ...cuts, 24][i + 1];
      let [w, m] = [0, 0];
      for (let b = from; b < to; b++) {
        w += counts[b];
        m += counts[b] * b;
      }
      return s + (w > 0 ? (m * m) / w : 0) + 0 * all.length;
    }, 0);
  const best = between(multiOtsu(counts, 4));
  for (let a = 1; a < 22; a++)
    for (let b = a + 1; b < 23; b++) for (let c = b + 1; c < 24; c++) expect(between([a, b, c])).toBeLessThanOrEqual(best + 1e-6);
});

test('Scharr derivatives equal OpenCV’s away from the border', () => {
  const { plane, mat } = greyPlane(7, 40, 30);
  const out = new cv.Mat();
  const own = gradientBy(plane, SCHARR);
  for (const [dx, dy, mine] of [
    [1, 0, own.dx],
    [0, 1, own.dy],
  ] as const) {
    cv.Scharr(mat, out, cv.CV_32F, dx, dy, 1 / 32, 0, cv.BORDER_REPLICATE);
    for (let y = 1; y < 29; y++) for (let x = 1; x < 39; x++) expect(mine.data[y * 40 + x]).toBeCloseTo(out.data32F[y * 40 + x], 3);
  }
  mat.delete();
  out.delete();
});

test('distance inside a mask equals OpenCV’s exact transform', () => {
  const r = seededRandom(11);
  const [w, h] = [60, 45];
  const data = Uint8Array.from({ length: w * h }, () => (r() < 0.97 ? 1 : 0));
  const mat = cv.matFromArray(h, w, cv.CV_8UC1, Array.from(data));
  const out = new cv.Mat();
  cv.distanceTransform(mat, out, cv.DIST_L2, cv.DIST_MASK_PRECISE);
  const own = distanceInside({ width: w, height: h, data });
  for (let i = 0; i < w * h; i++) expect(own.data[i]).toBeCloseTo(out.data32F[i], 3);
  mat.delete();
  out.delete();
});

test('least-squares ellipse agrees with OpenCV’s fit on noisy outlines', () => {
  const r = seededRandom(13);
  for (let k = 0; k < 15; k++) {
    const [rx, ry, t] = [60 + 60 * r(), 25 + 25 * r(), Math.PI * r()];
    const points = Array.from({ length: 80 }, (_, i): Point => {
      const a = (2 * Math.PI * i) / 80;
      const [u, v] = [rx * Math.cos(a) + 0.5 * normal(r), ry * Math.sin(a) + 0.5 * normal(r)];
      return [200 + u * Math.cos(t) - v * Math.sin(t), 150 + u * Math.sin(t) + v * Math.cos(t)];
    });
    const mat = cv.matFromArray(80, 1, cv.CV_32FC2, points.flat());
    const theirs = cv.fitEllipse(mat);
    const own = fitEllipse(points)!;
    expect(own.cx).toBeCloseTo(theirs.center.x, 0);
    expect(own.cy).toBeCloseTo(theirs.center.y, 0);
    expect(own.rx / (Math.max(theirs.size.width, theirs.size.height) / 2)).toBeCloseTo(1, 1);
    expect(own.ry / (Math.min(theirs.size.width, theirs.size.height) / 2)).toBeCloseTo(1, 1);
    const rect = cv.minAreaRect(mat);
    const box = minimumRectangle(points);
    expect((box.w * box.h) / (rect.size.width * rect.size.height)).toBeCloseTo(1, 2);
    mat.delete();
  }
});

test('alignment equals the SVD route (Umeyama 1991) to 1e-9, and its residuals are exact', () => {
  const r = seededRandom(17);
  for (let k = 0; k < 40; k++) {
    const n = 2 + Math.floor(r() * 9);
    const a: Record<string, [number, number]> = {};
    const b: Record<string, [number, number]> = {};
    for (let i = 0; i < n; i++) {
      a[`p${i}`] = [500 * r(), 500 * r()];
      b[`p${i}`] = [500 * r(), 500 * r()];
    }
    b.elsewhere = [1, 2];
    const own = align(a, b);
    const names = Object.keys(a);
    const mean = (s: typeof a) => [0, 1].map((j) => names.reduce((t, q) => t + s[q][j], 0) / n);
    const [ma, mb] = [mean(a), mean(b)];
    const cov = Matrix.zeros(2, 2);
    let variance = 0;
    for (const q of names)
      for (let i = 0; i < 2; i++) {
        variance += (a[q][i] - ma[i]) ** 2 / n;
        for (let j = 0; j < 2; j++) cov.set(i, j, cov.get(i, j) + ((b[q][i] - mb[i]) * (a[q][j] - ma[j])) / n);
      }
    const svd = new SingularValueDecomposition(cov);
    const [u, v] = [svd.leftSingularVectors, svd.rightSingularVectors];
    const sign = Math.sign(det(u) * det(v)) || 1;
    const S = Matrix.diag([1, sign]);
    const R = u.mmul(S).mmul(v.transpose());
    const scale = (svd.diagonal[0] + sign * svd.diagonal[1]) / variance;
    expect(own.scale).toBeCloseTo(scale, 9);
    for (const q of names) {
      const moved = [0, 1].map((i) => scale * (R.get(i, 0) * (a[q][0] - ma[0]) + R.get(i, 1) * (a[q][1] - ma[1])) + mb[i]);
      const mine = applyAlignment(own, a[q]);
      expect(Math.hypot(mine[0] - moved[0], mine[1] - moved[1])).toBeLessThan(1e-8);
      expect(own.residuals[q][0]).toBeCloseTo(b[q][0] - mine[0], 8);
    }
    expect(own.residuals.elsewhere).toBeUndefined();
  }
});

function det(m: Matrix): number {
  return m.get(0, 0) * m.get(1, 1) - m.get(0, 1) * m.get(1, 0);
}

test('the worked example of Umeyama (1991), numbers from memory: no reflection though one would fit without error', () => {
  const own = align({ a: [0, 0], b: [1, 0], c: [0, 2] }, { a: [0, 0], b: [-1, 0], c: [0, 2] });
  expect(own.scale).toBeCloseTo(0.721, 3);
  expect(Math.cos((own.rotation * Math.PI) / 180)).toBeCloseTo(0.832, 3);
  expect(own.shift[0]).toBeCloseTo(-0.8, 9);
  expect(own.shift[1]).toBeCloseTo(0.4, 9);
  // His error, σy² − tr(DS)² ÷ σx², reckoned by hand: both variances are 10/9, tr(DS)² is 52/81, so 8/15.
  expect(own.rms ** 2).toBeCloseTo(8 / 15, 9);
});

test('a known turn is read anticlockwise as seen, with y downward', () => {
  // Turning (1, 0) up the page is anticlockwise: in pixels it becomes (0, −1).
  const { rotation, scale, shift } = align({ a: [0, 0], b: [1, 0] }, { a: [10, 20], b: [10, 18] });
  expect(rotation).toBeCloseTo(90, 12);
  expect(scale).toBeCloseTo(2, 12);
  expect(shift).toEqual([10, 20]);
});

test('clipped area equals counting of random points', () => {
  const r = seededRandom(23);
  const subject: Point[] = [
    [0, 0],
    [90, 10],
    [40, 45],
    [95, 80],
    [5, 90],
  ];
  const clip = convexHull([
    [20, -5],
    [80, 20],
    [70, 85],
    [10, 60],
  ]);
  const inside = (poly: readonly Point[], x: number, y: number) => {
    let odd = false;
    for (let i = 0, j = poly.length - 1; i < poly.length; j = i++)
      if (poly[i][1] > y !== poly[j][1] > y && x < poly[i][0] + ((y - poly[i][1]) / (poly[j][1] - poly[i][1])) * (poly[j][0] - poly[i][0]))
        odd = !odd;
    return odd;
  };
  let hits = 0;
  const n = 200_000;
  for (let k = 0; k < n; k++) {
    const [x, y] = [100 * r(), 100 * r() - 5];
    if (inside(subject, x, y) && inside(clip, x, y)) hits++;
  }
  expect(clippedArea(subject, clip) / ((hits / n) * 10_000)).toBeCloseTo(1, 1);
  expect(Math.abs(signedArea(clip))).toBeGreaterThan(0);
});
