/** Knows the measures of each template: ratios, angles and offsets, with nature's proportion beside them. */
import { Message, message } from '../message';
import { Landmarks } from './align';
import { Measure, MeasureLine } from './template';
import { TemplateName, TEMPLATES } from './templates';

export interface Proportion extends Pick<Measure, 'name' | 'unit' | 'canon'> {
  template: TemplateName;
  /** Name of the set of points, where a picture has several. */
  set: string | null;
  value: number | null;
  /** value ÷ canon; null for angles, offsets, and measures without canon. */
  factor: number | null;
}

/** What a measure is called. */
export const measureName = (measure: string): Message => message(`features.proportion.${measure}.title`);

/** A template's measure by its name; null where it has none so named. */
export const measureOf = (template: TemplateName, name: string): Measure | null =>
  TEMPLATES[template].measures.find((m) => m.name === name) ?? null;

/** Where on the picture a measure is read: its length, what it is held against, and helps to an axis; nothing where it cannot be read. */
export const linesOf = (template: TemplateName, name: string, points: Landmarks): MeasureLine[] => {
  const of = measureOf(template, name)?.of;
  return of && of(points) !== null ? of.lines(points) : [];
};

/** Points of one subject on a picture. */
export interface LandmarkSet {
  template: TemplateName | 'free';
  /** Where there are several: which figure it is. */
  name: string | null;
  points: Landmarks;
}

/** All measures of all sets, in the templates' order; free points have none. */
export const proportionsOf = (sets: readonly LandmarkSet[]): Proportion[] =>
  sets.flatMap(({ template, name, points }) => (template === 'free' ? [] : measureProportions(template, points, name)));

/** All measures of a template from its landmarks, in the template's order; null where a needed point is missing. */
export function measureProportions(template: TemplateName, points: Landmarks, set: string | null = null): Proportion[] {
  return TEMPLATES[template].measures.map(({ name, unit, canon, of }) => {
    const value = of(points);
    const compared = value !== null && canon !== null && unit !== 'degrees' && unit !== 'offset';
    return { template, set, name, value, unit, canon, factor: compared ? value / canon : null };
  });
}
