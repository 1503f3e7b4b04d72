import { blankPatch, drawLine } from '../../tests/support/patches';
import { RgbImage } from '../raster/image';
import { axialDifference } from '../raster/statistics';
import { amongThemselves, together } from './among';
import { coveringWindows } from './tiles';
import { MarksWhere, marksIn } from './where';

const GROUND = [92.9, -0.3, 6.7];
const [WIDTH, HEIGHT] = [800, 500];

/** Even strokes at 30° as seen over the left half of a bare sheet. */
function hatched(): RgbImage {
  const image = blankPatch(WIDTH, HEIGHT);
  for (let k = -40; k < 60; k++) {
    const [x, y] = [k * 24, 250];
    // Along the stroke x grows and y falls.
    const ends = [-90, 90].map((t): [number, number] => [x * 0.5 + t * Math.cos(Math.PI / 6), y + x * 0.4 - t * Math.sin(Math.PI / 6)]);
    if (ends.every(([u, v]) => u > 20 && u < 380 && v > 20 && v < 480)) drawLine(image, ends, 3, [30, 30, 40]);
  }
  return image;
}

test('the windows’ own parts cover every px of a picture once', () => {
  for (const [w, h] of [
    [800, 500],
    [384, 90],
    [1153, 1537],
  ]) {
    const times = new Uint8Array(w * h);
    for (const { rect, own } of coveringWindows(w, h)) {
      expect([own[0] >= rect[0], own[1] >= rect[1], own[0] + own[2] <= rect[0] + rect[2], own[1] + own[3] <= rect[1] + rect[3]]).toEqual([
        true,
        true,
        true,
        true,
      ]);
      for (let y = own[1]; y < own[1] + own[3]; y++) for (let x = own[0]; x < own[0] + own[2]; x++) times[y * w + x]++;
    }
    expect(times.every((n) => n === 1)).toBe(true);
  }
});

describe('marks of a hatched half sheet', () => {
  const image = hatched();
  const all: MarksWhere[] = [];
  beforeAll(() => {
    for (const window of coveringWindows(WIDTH, HEIGHT)) all.push(marksIn(image, window, GROUND, null, null, 2));
  });

  test('strokes lie where they were drawn, in px of a picture twice as large, and none is traced twice', () => {
    let [n, off] = [0, 0];
    const middles: [number, number][] = [];
    for (const { strokes } of all)
      for (let k = 0; k + 1 < strokes.starts.length; k++) {
        const [a, b] = [strokes.starts[k], strokes.starts[k + 1] - 1];
        const at = (i: number): [number, number] => [strokes.points[2 * i], strokes.points[2 * i + 1]];
        const [[x0, y0], [x1, y1]] = [at(a), at(b)];
        if (Math.hypot(x1 - x0, y1 - y0) < 40) continue;
        n++;
        expect(Math.max(x0, x1)).toBeLessThan(2 * 390);
        if (Math.abs(axialDifference(30, (Math.atan2(y0 - y1, x1 - x0) * 180) / Math.PI)) > 4) off++;
        middles.push([(x0 + x1) / 2, (y0 + y1) / 2]);
        // Ink under the middle of the traced line.
        const [mx, my] = at((a + b) >> 1);
        expect(image.data[3 * (Math.floor(my / 2) * WIDTH + Math.floor(mx / 2))]).toBeLessThan(140);
      }
    expect(n).toBeGreaterThan(8);
    expect(off).toBe(0);
    for (let i = 0; i < n; i++)
      for (let j = 0; j < i; j++) expect(Math.hypot(middles[i][0] - middles[j][0], middles[i][1] - middles[j][1])).toBeGreaterThan(8);
  });

  test('ticks run the strokes’ way, and none stands on bare paper', () => {
    const ticks = all.flatMap(({ ticks: t }) => Array.from({ length: t.length / 4 }, (_, k) => t.subarray(4 * k, 4 * k + 4)));
    expect(ticks.length).toBeGreaterThan(20);
    for (const [x, , angle, order] of ticks) {
      expect(x).toBeLessThan(2 * 400);
      expect(order).toBeGreaterThan(0.35);
      expect(Math.abs(axialDifference(30, angle))).toBeLessThan(12);
    }
  });

  test('tiles lie side by side over the whole picture; the right half is blank', () => {
    const tiles = all.flatMap((m) => m.tiles);
    const right = tiles.filter((t) => t.rect[0] > 2 * 420);
    expect(right.length).toBeGreaterThan(3);
    for (const t of right) expect(t.kind).toBe('blank');
    expect(tiles.some((t) => t.kind === 'parallel-hatch')).toBe(true);
  });

  test('windows that are put together judge their tiles among all of them, however many there are so far', () => {
    const tiles = together(all).flatMap((w) => w.tiles);
    expect(tiles).toEqual(amongThemselves(all.flatMap((w) => w.tiles)));
    expect(together(together(all).slice(0, 1))).toEqual(together(all.slice(0, 1)));
    expect(together(all).map((w) => w.tiles.length)).toEqual(all.map((w) => w.tiles.length));
    // What is bare stays so.
    expect(tiles.filter((t) => t.kind === 'blank').length).toBe(all.flatMap((w) => w.tiles).filter((t) => t.kind === 'blank').length);
  });
});
