/** Knows the usual lesson in a medium: its steps in the order that the class's habits and the teacher's schools ask for. */
import { mediumOf, LessonMedium } from './media';
import { inLine, inTone, isField, isLine, OrderContext, QUESTIONS, rubbed, Schools } from './order';
import type { WorkedShares } from './quantities';
import type { Technique } from './technique';
import { techniqueOf, techniquesFor } from './techniques';
import { PlanStep, stepOf } from './wishes';

/** Shares where nothing has been measured yet; common practice, no source. */
export const USUAL_SHARES: WorkedShares = { line: 0.5, wash: 0.5, paint: 1, light: 0.05 };

/** Techniques that a class which goes straight in with the final tool leaves out. */
export const DRAFTED: readonly string[] = ['pencil-draft', 'rub-out-pencil', 'lighten-draft'];

/** From this share of the sheet on line is the manner's. */
const MUCH_LINE = 0.3;

const known = (id: string): Technique => techniqueOf(id)!;
const isRubbedOut = (t: Technique) => t.role === 'rub-out';
const isDraft = (t: Technique) => t.role === 'ground' || t.role === 'draft';

/** Some of the steps taken out and put back in their order right before, or right after, the others that a test holds for; as they are where they stand so. */
function moved(
  ids: readonly string[],
  what: (t: Technique) => boolean,
  where: 'before' | 'after',
  of: (t: Technique) => boolean,
): string[] {
  const [some, rest] = [ids.filter((id) => what(known(id))), ids.filter((id) => !what(known(id)))];
  const at = rest.map(known);
  if (at.every((t) => !of(t)) || !some.length) return [...ids];
  const all = ids.map(known);
  const stands =
    where === 'before' ? all.findIndex(of) > all.map(what).lastIndexOf(true) : all.map(of).lastIndexOf(true) < all.findIndex(what);
  if (stands) return [...ids];
  const place = where === 'before' ? at.findIndex(of) : at.map(of).lastIndexOf(true) + 1;
  return [...rest.slice(0, place), ...some, ...rest.slice(place)];
}

/** The steps in the order of the schools, as far as the medium has both sides of a question. */
function bySchool(ids: readonly string[], { outline, lineOrTone, blending }: Schools, medium: LessonMedium, erasing: boolean): string[] {
  let out = [...ids];
  if (lineOrTone === 'line') out = moved(out, inLine, 'before', inTone);
  if (lineOrTone === 'tone' && out.some((id) => inTone(known(id)))) {
    out = moved(out, inLine, 'after', inTone);
    // Under a wash pencil stays: it is made pale before, not rubbed out after.
    const draft = out.findIndex((id) => id === 'pencil-draft');
    out = out.filter((id) => id !== 'rub-out-pencil' && id !== 'lighten-draft');
    if (draft >= 0 && erasing) out.splice(draft + 1, 0, 'lighten-draft');
  }
  // The pencil goes when something holds the drawing.
  if (outline === 'last') out = moved(moved(out, isLine, 'after', isField), isRubbedOut, 'after', isLine);
  if (outline === 'first') out = moved(out, isLine, 'before', isField);
  if (outline === 'none' && out.some((id) => isField(known(id))))
    out = moved(
      out.filter((id) => !isLine(known(id))),
      isRubbedOut,
      'after',
      isField,
    );
  if (blending === 'layers') out = out.filter((id) => !rubbed(known(id)));
  if (blending === 'rubbed' && !out.some((id) => rubbed(known(id)))) {
    const rub = techniquesFor(medium).find((t) => rubbed(t) && out.some((id) => t.after!.includes(id)));
    if (rub) out.splice(out.findIndex((id) => rub.after!.includes(id)) + 1, 0, rub.id);
  }
  return out;
}

/** Whether a school makes a difference to a lesson in a medium: whether both sides of its question are there. */
export function questionsOf(medium: LessonMedium): (keyof Schools)[] {
  const all = techniquesFor(medium);
  const has: Record<keyof Schools, boolean> = {
    outline: all.some(isLine) && all.some(isField),
    lineOrTone: all.some(inLine) && all.some(inTone),
    blending: all.some(rubbed),
  };
  return QUESTIONS.filter((q) => has[q]);
}

/** The usual steps of a medium under the class's settings; a master of line has one drawn. */
export function usualSteps(
  medium: LessonMedium,
  { contact, erasing, ...schools }: Pick<OrderContext, 'contact' | 'erasing'> & Schools,
  shares: Pick<WorkedShares, 'line'> = USUAL_SHARES,
): PlanStep[] {
  const { usual, line } = mediumOf(medium);
  const ids = usual
    .filter((id) => contact !== 'straight-in' || !DRAFTED.includes(id))
    .filter((id) => erasing || known(id).role !== 'rub-out');
  if (line && shares.line >= MUCH_LINE && !ids.some((id) => isLine(known(id)))) {
    // After what places it, before what is laid over it; opaque colour and cut paper have it last.
    const last = ids.some((id) => isField(known(id)));
    ids.splice(last ? ids.length : ids.filter((id) => isDraft(known(id))).length, 0, line);
  }
  return bySchool(ids, schools, medium, erasing && contact !== 'straight-in').map((id) => stepOf(id));
}
