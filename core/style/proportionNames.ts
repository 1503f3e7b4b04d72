/** Knows how features of proportion are named: `proportion.TEMPLATE.MEASURE`. */
import { measureOf } from '../proportion/measures';
import type { Measure } from '../proportion/template';
import { isTemplate, TemplateName } from '../proportion/templates';

const START = 'proportion.';

export const isProportion = (feature: string): boolean => feature.startsWith(START);

export const proportionFeature = (template: string, measure: string): string => `${START}${template}.${measure}`;

/** Template and measure of a feature so named; null for every other name. */
export function measureIn(feature: string): { template: TemplateName; measure: Measure } | null {
  if (!isProportion(feature)) return null;
  const [template, name] = feature.slice(START.length).split('.');
  const measure = isTemplate(template) && name !== undefined ? measureOf(template, name) : null;
  return measure && { template: template as TemplateName, measure };
}
