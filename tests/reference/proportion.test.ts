/** Proportions against nature's common practice and Vitruvius. */
import { measureOf, measureProportions } from '../../core/proportion/measures';
import { TEMPLATE_NAMES, TEMPLATES } from '../../core/proportion/templates';

// Common practice of drawing schools, no source: eyes halfway, one eye between the eyes, mouth corners under the pupils.
const FACE: Record<string, [number, number]> = {
  crown: [100, 0],
  chin: [100, 150],
  hairline: [100, 30],
  'brow-left': [80, 70],
  'brow-right': [120, 70],
  'eye-left-outer': [70, 75],
  'eye-left-inner': [90, 75],
  'eye-right-inner': [110, 75],
  'eye-right-outer': [130, 75],
  'pupil-left': [80, 75],
  'pupil-right': [120, 75],
  'nose-left': [90, 108],
  'nose-right': [110, 108],
  'nose-base': [100, 110],
  'mouth-left': [80, 123.3333],
  'mouth-right': [120, 123.3333],
  'mouth-centre': [100, 123.3333],
  'face-left': [50, 75],
  'face-right': [150, 75],
  'neck-left': [70, 160],
  'neck-right': [130, 160],
  'neck-base': [100, 199.5],
};

const vitruvius = (measure: string): number => TEMPLATE_NAMES.flatMap((t) => measureOf(t, measure) ?? [])[0].vitruvius!;
const value = (list: ReturnType<typeof measureProportions>, name: string) => list.find((p) => p.name === name)!;

test('a face drawn by the schoolbook reads factor 1 on every measure with a canon', () => {
  for (const p of measureProportions('face-front', FACE).filter((q) => q.factor !== null)) expect(p.factor).toBeCloseTo(1, 1);
  expect(value(measureProportions('face-front', FACE), 'eye-tilt').value).toBeCloseTo(0, 9);
});

test('Vitruvius’ thirds of the face and the foot, one sixth of the height (De architectura III.1)', () => {
  expect(vitruvius('brow-third')).toBeCloseTo(1 / 3, 12);
  expect(vitruvius('foot-length')).toBeCloseTo(1 / 6, 12);
  const thirds = {
    ...FACE,
    hairline: [100, 30] as [number, number],
    'brow-left': [80, 70] as [number, number],
    'brow-right': [120, 70] as [number, number],
    'nose-base': [100, 110] as [number, number],
  };
  const list = measureProportions('face-front', thirds);
  expect(value(list, 'brow-third').value).toBeCloseTo(vitruvius('brow-third'), 9);
  expect(value(list, 'nose-third').value).toBeCloseTo(vitruvius('nose-third'), 9);
  const figure = measureProportions('figure-standing', {
    crown: [0, 0],
    chin: [0, 10],
    sole: [0, 80],
    heel: [0, 80],
    toe: [80 / 6, 80],
  });
  expect(value(figure, 'heads-tall').value).toBeCloseTo(vitruvius('heads-tall'), 9);
  expect(value(figure, 'foot-length').value).toBeCloseTo(vitruvius('foot-length'), 9);
});

test('tilts are anticlockwise as seen, lean is off the plumb line, hidden points give null', () => {
  const tilted = { ...FACE, 'eye-right-outer': [130, 65] as [number, number] };
  expect(value(measureProportions('face-front', tilted), 'eye-tilt').value).toBeCloseTo((Math.atan2(10, 60) * 180) / Math.PI, 9);
  const higher = { ...FACE, 'pupil-right': [120, 72] as [number, number] };
  expect(value(measureProportions('face-front', higher), 'eye-level').value).toBeCloseTo(3 / 150, 9);
  const leaning = measureProportions('figure-standing', { crown: [-10, 0], chin: [0, 20], sole: [0, 100] });
  expect(value(leaning, 'lean').value).toBeCloseTo((Math.atan2(10, 100) * 180) / Math.PI, 9);
  expect(value(leaning, 'shoulder-width').value).toBeNull();
  expect(measureProportions('face-front', {}).every((p) => p.value === null && p.factor === null)).toBe(true);
});

test('every measure has a point for each thing it names, and templates hold no point twice', () => {
  for (const { points } of Object.values(TEMPLATES)) expect(new Set(points.map((p) => p.name)).size).toBe(points.length);
  expect(TEMPLATES['face-front'].points).toHaveLength(36);
  expect(TEMPLATES['figure-standing'].points).toHaveLength(23);
});
