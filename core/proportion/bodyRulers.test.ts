import fc from 'fast-check';
import { AGE_BANDS, bandOf, laidOff, RULER_LIMITS, RULERS, USUAL_RULERS } from './bodyRulers';
import { PARTS } from './spans';

const rulers = { finger: 15, hand: 68, fist: 80 };

test('a length is laid off with the ruler that goes into it most simply', () => {
  expect(laidOff(30, rulers)).toEqual({ ruler: 'finger', steps: { whole: 2, part: 0, as: 'just' } });
  expect(laidOff(68, rulers)).toMatchObject({ ruler: 'hand', steps: { whole: 1, part: 0 } });
  expect(laidOff(120, rulers)).toMatchObject({ ruler: 'fist', steps: { whole: 1, part: 3 } });
  expect(laidOff(7, rulers)).toBeNull();
  expect(laidOff(0, rulers)).toBeNull();
});

test('what is said is never farther off than an eighth of the ruler it is said in, and never a long count', () => {
  fc.assert(
    fc.property(fc.double({ min: 8, max: 320, noNaN: true }), (mm) => {
      const { ruler, steps } = laidOff(mm, rulers)!;
      expect(Math.abs((steps.whole + PARTS[steps.part]) * rulers[ruler] - mm)).toBeLessThanOrEqual(rulers[ruler] / 8 + 1e-9);
      expect(steps.whole).toBeLessThanOrEqual(4);
    }),
    { seed: 3 },
  );
});

test('rulers grow with age, each within what a ruler may measure', () => {
  expect([5, 7, 8, 10, 11, 13, 14, 40].map(bandOf)).toEqual([
    'under8',
    'under8',
    'under11',
    'under11',
    'under14',
    'under14',
    'older',
    'older',
  ]);
  for (const r of RULERS) {
    const widths = AGE_BANDS.map((b) => USUAL_RULERS[b][r]);
    expect(widths).toEqual([...widths].sort((a, b) => a - b));
    for (const w of widths) expect(w >= RULER_LIMITS[r][0] && w <= RULER_LIMITS[r][1]).toBe(true);
  }
});
