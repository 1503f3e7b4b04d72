import { english } from '../../tests/support/english';
import { FEATURES } from './features';
import { howMeasured, Known, surerBy } from './surer';

const KNOWN: Known = { widthMm: 300, pxPerMm: 8, counted: 400, sheet: true, works: 6 };

test('of every feature it can be said how it is measured', () => {
  for (const feature of [...Object.keys(FEATURES), 'colour.palette', 'place.scale', 'proportion.face-front.eye-line'])
    expect([feature, english(howMeasured(feature))]).toEqual([feature, expect.stringMatching(/^[a-z].* .*\.$/)]);
});

test('what is as sure as it gets needs nothing; what lacks something is told what', () => {
  const keys = (feature: string, known: Partial<Known>) =>
    surerBy(feature, { ...KNOWN, ...known }).map((m) => m.key.replace('evidence.surer.', ''));
  expect(keys('marks.spacing', {})).toEqual([]);
  expect(keys('marks.spacing', { widthMm: null, pxPerMm: null, works: 1 })).toEqual(['width', 'works']);
  // A direction is no size: it wants no width.
  expect(keys('marks.direction', { widthMm: null, pxPerMm: null })).toEqual([]);
  expect(keys('marks.strokeLength', { counted: 20, pxPerMm: 2 })).toEqual(['nearer', 'more']);
  expect(keys('composition.coverage', { sheet: false })).toEqual(['sheet']);
  expect(keys('proportion.face-front.eye-line', {})).toEqual(['lens']);
});
