/** Knows what a master changed against what stood model: each measure in the work beside the same in the model, beyond what placing points can tell. */
import { Landmarks } from './align';
import { measureProportions, Proportion } from './measures';
import { asRatio, placingVariances } from './placingSpread';
import { TemplateName, TEMPLATES } from './templates';

export interface Change {
  measure: string;
  unit: Proportion['unit'];
  /** In the model and in the work, in the measure's own unit. */
  from: number;
  to: number;
  /** to ÷ from; null for angles and offsets, which have a difference instead. */
  times: number | null;
  /** How many of its standard deviations the change is. */
  sure: number;
}

/** Changes of fewer standard deviations are what a second placing might bring. */
const LEAST_SURE = 2;

/** What differs in a work from its model, surest first; points in px of each picture, of one template. */
export function changesFrom(template: TemplateName, model: Landmarks, work: Landmarks): Change[] {
  const [before, after] = [measureProportions(template, model), measureProportions(template, work)];
  const [unsure, unsureAfter] = [placingVariances(TEMPLATES[template], model), placingVariances(TEMPLATES[template], work)];
  const changes = before.flatMap((m, i): Change[] => {
    const [from, to] = [m.value, after[i].value];
    if (from === null || to === null || (asRatio(m) && !(from > 0 && to > 0))) return [];
    const sd = Math.sqrt((unsure.get(m.name) ?? 0) + (unsureAfter.get(m.name) ?? 0));
    const by = asRatio(m) ? Math.log(to / from) : to - from;
    const sure = sd > 0 ? Math.abs(by) / sd : 0;
    return sure < LEAST_SURE ? [] : [{ measure: m.name, unit: m.unit, from, to, times: asRatio(m) ? to / from : null, sure }];
  });
  return changes.sort((a, b) => b.sure - a.sure);
}
