/** Knows what a master changed against what stood model: each measure in the work beside the same in the model, beyond what placing points can tell. */
import { extentOf, Landmarks } from './align';
import { measureProportions, Proportion } from './measures';
import { TemplateName } from './templates';

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

/** Standard deviation with which a person puts a point, as a share of the extent of all of them: common practice, no source. */
const PLACING = 0.004;
/** Changes of fewer standard deviations are what a second placing might bring. */
const LEAST_SURE = 2;

const logged = ({ unit }: Pick<Proportion, 'unit'>): boolean => unit !== 'degrees' && unit !== 'offset';

/** Variance that placing puts into each measure (of its logarithm for ratios), to first order by central differences. */
function variances(template: TemplateName, points: Landmarks): Map<string, number> {
  const step = PLACING * extentOf(Object.values(points));
  const out = new Map<string, number>();
  if (!(step > 0)) return out;
  const scaled = (p: Proportion): number | null =>
    p.value === null ? null : !logged(p) ? p.value : p.value > 0 ? Math.log(p.value) : null;
  for (const [name, [x, y]] of Object.entries(points))
    for (const [dx, dy] of [
      [step, 0],
      [0, step],
    ]) {
      const at = (sign: number): Landmarks => ({ ...points, [name]: [x + sign * dx, y + sign * dy] });
      const [up, down] = [measureProportions(template, at(1)), measureProportions(template, at(-1))];
      up.forEach((p, i) => {
        const [a, b] = [scaled(p), scaled(down[i])];
        if (a === null || b === null) return;
        // One placing's deviation moves the measure by half of what the two sides differ by.
        out.set(p.name, (out.get(p.name) ?? 0) + ((a - b) / 2) ** 2);
      });
    }
  return out;
}

/** What differs in a work from its model, surest first; points in px of each picture, of one template. */
export function changesFrom(template: TemplateName, model: Landmarks, work: Landmarks): Change[] {
  const [before, after] = [measureProportions(template, model), measureProportions(template, work)];
  const [unsure, unsureAfter] = [variances(template, model), variances(template, work)];
  const changes = before.flatMap((m, i): Change[] => {
    const [from, to] = [m.value, after[i].value];
    if (from === null || to === null || (logged(m) && !(from > 0 && to > 0))) return [];
    const sd = Math.sqrt((unsure.get(m.name) ?? 0) + (unsureAfter.get(m.name) ?? 0));
    const by = logged(m) ? Math.log(to / from) : to - from;
    const sure = sd > 0 ? Math.abs(by) / sd : 0;
    return sure < LEAST_SURE ? [] : [{ measure: m.name, unit: m.unit, from, to, times: logged(m) ? to / from : null, sure }];
  });
  return changes.sort((a, b) => b.sure - a.sure);
}
