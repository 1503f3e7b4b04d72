import { linesOf, measureProportions } from './measures';
import { TEMPLATE_NAMES, TEMPLATES } from './templates';

const FRAME = [0, 0, 400, 600] as const;

/** Every point a little off where it usually stands, in a frame of 400 × 600 px. */
const standing = (template: (typeof TEMPLATE_NAMES)[number]) =>
  Object.fromEntries(
    TEMPLATES[template].points.map(({ name, at }, i): [string, [number, number]] => [
      name,
      [60 + 260 * at[0] + (i % 3), 80 + 400 * at[1] + (i % 5)],
    ]),
  );
const long = ({ from, to }: { from: readonly [number, number]; to: readonly [number, number] }) =>
  Math.hypot(to[0] - from[0], to[1] - from[1]);

test.each(TEMPLATE_NAMES)('%s: every measure that can be read shows where, and one length over one unit is the measure', (template) => {
  const points = standing(template);
  let held = 0;
  for (const { name, value, unit } of measureProportions(template, points, FRAME)) {
    const lines = linesOf(TEMPLATES[template], name, points, FRAME);
    const [lengths, units] = ['length', 'unit'].map((as) => lines.filter((l) => l.as === as));
    expect([name, lengths.length > 0]).toEqual([name, value !== null]);
    for (const l of lines) expect([...l.from, ...l.to].every(Number.isFinite)).toBe(true);
    if (unit === 'degrees' || lengths.length !== 1 || units.length !== 1 || value === null) continue;
    expect([name, long(lengths[0]) / long(units[0])]).toEqual([name, expect.closeTo(Math.abs(value), 6)]);
    held++;
  }
  expect(held).toBeGreaterThan(0);
});

test('a measure whose point is hidden shows nothing; of a pair the side that is seen is shown', () => {
  const { chin: _chin, ...noChin } = standing('face-front');
  expect(linesOf(TEMPLATES['face-front'], 'neck-length', noChin)).toEqual([]);
  const { 'wrist-left': _wrist, ...oneHand } = standing('figure-standing');
  const lengths = linesOf(TEMPLATES['figure-standing'], 'hand-length', oneHand).filter((l) => l.as === 'length');
  expect(lengths).toEqual([{ from: oneHand['wrist-right'], to: oneHand['fingertip-right'], as: 'length' }]);
});
