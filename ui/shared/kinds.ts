import { amount, Amount, Message, typed, Typed } from '@/core/message';
import { measureName, ReadMeasure } from '@/core/proportion/measures';
import { ownKey, OwnTemplate, templateFrom } from '@/core/proportion/ownTemplate';
import type { Template } from '@/core/proportion/template';
import { isTemplate, pointName, templateName, TemplateName, TEMPLATES } from '@/core/proportion/templates';
import { proportionFeature } from '@/core/style/proportionNames';
import { measureWithUnit } from '@/core/style/words';

/** A teacher's own kind of points, as it is kept. */
export interface OwnKept {
  id: string;
  template: OwnTemplate;
  version: number;
}

/** A kind of points: one of the house, or a teacher's own; both are placed and read alike. */
export interface Kind {
  /** What sets of it have as their template. */
  key: string;
  template: Template;
  /** Its name in the house; null for a teacher's own. */
  house: TemplateName | null;
  own: OwnKept | null;
  title: Message | Typed;
  pointSaid: (point: string) => Message | Typed;
  measureSaid: (measure: string) => Message | Typed;
  featureOf: (measure: string) => string;
  value: (measure: Pick<ReadMeasure, 'name' | 'unit'> & { value: number }) => Amount;
}

export const houseKind = (house: TemplateName): Kind => ({
  key: house,
  template: TEMPLATES[house],
  house,
  own: null,
  title: templateName(house),
  pointSaid: (point) => pointName(house, point),
  measureSaid: (measure) => measureName(house, measure),
  featureOf: (measure) => proportionFeature(house, measure),
  value: (m) => measureWithUnit({ template: house, ...m }),
});

export const ownKind = (own: OwnKept): Kind => ({
  key: ownKey(own.id),
  template: templateFrom(own.template),
  house: null,
  own,
  title: typed(own.template.name),
  pointSaid: typed,
  measureSaid: (measure) => typed(own.template.measures.find((m) => m.id === measure)?.name ?? measure),
  featureOf: (measure) => `proportion.${ownKey(own.id)}.${measure}`,
  value: ({ unit, value }) => amount(value, unit === 'degrees' ? 'degrees' : 'share'),
});

/** The kind a set is of; null where it is one no longer known. */
export function kindOf(key: string | undefined, own: readonly OwnKept[]): Kind | null {
  if (key === undefined) return null;
  if (isTemplate(key)) return houseKind(key);
  const kept = own.find((o) => ownKey(o.id) === key);
  return kept ? ownKind(kept) : null;
}
