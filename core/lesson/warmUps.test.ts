import { amount } from '../message';
import type { PaperMark, PaperSheet } from '../proportion/paper';
import { LESSON_MEDIA } from './media';
import { hatched, USUAL_STROKES, WARM_UPS, warmStrokesOf, warmUpSheets, warmUpsFor } from './warmUps';

const A4 = [210, 297] as const;
const lines = (s: PaperSheet) => s.marks.filter((m): m is Extract<PaperMark, { kind: 'line' }> => m.kind === 'line');
const STROKES = { gap: 1.6, slant: 152, crossing: 78, length: 9, width: 0.4 };

describe('hatching', () => {
  test.each([0, 30, 90, 152, 180])('at %s° strokes lie exactly a gap apart, at the slant, inside the box', (slant) => {
    const box = [20, 30, 60, 40] as const;
    const strokes = hatched(box, 1.6, slant);
    expect(strokes.length).toBeGreaterThan(20);
    const t = (slant * Math.PI) / 180;
    const off = strokes.map(([[x, y]]) => x * Math.sin(t) + y * Math.cos(t)).sort((a, b) => a - b);
    off.slice(1).forEach((v, i) => expect(v - off[i]).toBeCloseTo(1.6, 6));
    for (const [[x, y], [u, v]] of strokes) {
      // Degrees from level, anticlockwise as seen; y runs down.
      expect(Math.abs(Math.sin(Math.atan2(-(v - y), u - x) - t))).toBeLessThan(1e-9);
      for (const [px, py] of [
        [x, y],
        [u, v],
      ]) {
        expect(px).toBeGreaterThanOrEqual(20 - 1e-9);
        expect(px).toBeLessThanOrEqual(80 + 1e-9);
        expect(py).toBeGreaterThanOrEqual(30 - 1e-9);
        expect(py).toBeLessThanOrEqual(70 + 1e-9);
      }
    }
  });

  test('a left hand begins on the right', () => {
    const middle = ([[x], [u]]: [readonly [number, number], readonly [number, number]]) => (x + u) / 2;
    const [right, left] = [false, true].map((hand) => hatched([0, 0, 60, 40], 2, 70, hand));
    expect(middle(right[0])).toBeLessThan(middle(right.at(-1)!));
    expect(middle(left[0])).toBeGreaterThan(middle(left.at(-1)!));
  });
});

describe('warm-ups', () => {
  test('every sheet stays on its page, between the head and the bar that shows the scale, for either hand', () => {
    for (const page of [A4, [215.9, 279.4] as const])
      for (const hand of [false, true])
        for (const sheet of warmUpSheets(WARM_UPS, STROKES, page, hand)) {
          expect(sheet.size).toEqual(page);
          expect(lines(sheet).length).toBeGreaterThanOrEqual(3);
          const points = lines(sheet).flatMap((m) => m.points);
          const [xs, ys] = [0, 1].map((k) => points.map((p) => p[k]));
          const [left, right, top, bottom] = [xs, ys].flatMap((v) => [
            v.reduce((a, c) => Math.min(a, c)),
            v.reduce((a, c) => Math.max(a, c)),
          ]);
          expect(Math.min(left, page[0] - right, page[1] - bottom)).toBeGreaterThanOrEqual(10);
          expect(top).toBeGreaterThanOrEqual(18);
        }
  });

  test('the second set of the crossings meets the first at the measured angle', () => {
    const [sheet] = warmUpSheets(['crossing'], STROKES, A4);
    const ways = new Set(
      lines(sheet)
        .filter((m) => m.ink !== 'pale' && m.points.length === 2)
        .map(({ points: [[x, y], [u, v]] }) => Math.round((((Math.atan2(-(v - y), u - x) * 180) / Math.PI + 360) % 180) * 10) / 10),
    );
    expect([...ways].sort((a, b) => a - b)).toEqual([50, 152]);
  });

  test('value steps are even in lightness', () => {
    const [sheet] = warmUpSheets(['values'], STROKES, A4);
    const fills = lines(sheet)
      .flatMap((m) => m.fill ?? [])
      .slice(0, 6);
    expect(fills).toEqual([96, 80, 64, 48, 32, 16]);
  });

  test('what was measured is practised in mm: of the work, or on the sheet where its size is not known', () => {
    const none = { gap: null, slant: null, crossing: null, length: null, width: null };
    expect(warmStrokesOf(none, 297)).toEqual(USUAL_STROKES);
    expect(warmStrokesOf({ ...none, gap: amount(1.6, 'mm'), slant: 152 }, 297)).toMatchObject({ gap: 1.6, slant: 152 });
    expect(warmStrokesOf({ ...none, gap: amount(10, 'permille') }, 297).gap).toBeCloseTo(2.97, 9);
  });

  test('every medium has its own, crossings only after a master who crosses', () => {
    for (const medium of LESSON_MEDIA) {
      expect(warmUpsFor(medium, { crossing: 80 }).length).toBeGreaterThan(0);
      expect(warmUpsFor(medium, { crossing: null })).not.toContain('crossing');
    }
    expect(() => warmUpSheets([], STROKES, A4)).toThrow();
    expect(() => warmUpSheets(['gap'], { ...STROKES, gap: 0 }, A4)).toThrow();
  });
});
