/** Knows the measures of each template: ratios, angles and offsets, with nature's proportion beside them. */
import { Message, message } from '../message';
import { Landmarks } from './align';
import { Measure } from './template';
import { TemplateName, TEMPLATES } from './templates';

export interface Proportion extends Pick<Measure, 'name' | 'unit' | 'canon'> {
  value: number | null;
  /** value ÷ canon; null for angles, offsets, and measures without canon. */
  factor: number | null;
}

/** What a measure is called. */
export const measureName = (measure: string): Message => message(`features.proportion.${measure}.title`);

const MEASURES: ReadonlyMap<string, Measure> = new Map(
  Object.values(TEMPLATES).flatMap((t) => t.measures.map((m): [string, Measure] => [m.name, m])),
);

/** A measure by its name; null where no template has it. */
export const measureOf = (name: string): Measure | null => MEASURES.get(name) ?? null;

/** All measures of a template from its landmarks, in the template's order; null where a needed point is missing. */
export function measureProportions(template: TemplateName, points: Landmarks): Proportion[] {
  return TEMPLATES[template].measures.map(({ name, unit, canon, of }) => {
    const value = of(points);
    const compared = value !== null && canon !== null && unit !== 'degrees' && unit !== 'offset';
    return { name, value, unit, canon, factor: compared ? value / canon : null };
  });
}
