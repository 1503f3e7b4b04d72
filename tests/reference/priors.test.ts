/** What works of one hand usually vary by, fitted on hands whose spread is known. */
import { Measured } from '../../core/style/compare';
import { Feature, FEATURES, FeatureSet } from '../../core/style/features';
import { Layout } from '../../core/style/layout';
import { normal, seededRandom } from '../../core/raster/statistics';
import { priorsFrom } from '../fit/priors';

const SPREAD = 3;
const known = (group: Feature['group'], value: number | null): Feature => ({ group, value, unit: 'share', spread: null });
const NONE: FeatureSet = Object.fromEntries(Object.keys(FEATURES).map((name) => [name, known('marks', null)]));

/** Eight works by each of `many` hands about middles of their own; only works of the first have crossing strokes. */
function hands(many: number): Measured[][] {
  const r = seededRandom(5);
  return Array.from({ length: many }, (_, hand) => {
    const [middle, hue] = [50 + 15 * normal(r), 360 * r()];
    return Array.from({ length: 8 }, (): Measured => ({
      features: {
        ...NONE,
        'value.mean': known('value', middle + SPREAD * normal(r)),
        'marks.crossing': known('marks', hand ? null : 60 + 4 * normal(r)),
      },
      palette: [{ lab: [60 + 5 * normal(r), 30 * Math.cos(hue), 30 * Math.sin(hue)], share: 1 }],
      layout: {} as Layout,
      widthMm: null,
    }));
  });
}

test('a spread is found again from ten hands, the hands’ own middles aside; what one hand alone shows is no prior', () => {
  const priors = priorsFrom(hands(10));
  expect(Math.abs(priors['value.mean'].within / SPREAD - 1)).toBeLessThan(0.2);
  expect(priors['value.mean'].between).toBeGreaterThan(2 * SPREAD);
  expect(priors['value.mean'].hands).toBe(10);
  expect(priors['marks.crossing']).toBeUndefined();
  expect(priors['colour.palette'].hands).toBe(10);
});
