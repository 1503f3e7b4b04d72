/**
 * Knows what takes a layer off the sheet again, and how much of it comes off. Common practice of the trade, no source; papers and makes differ,
 * and a teacher's own step says it for itself.
 */
import type { LessonMedium } from './media';
import { lays, Lifting, Technique } from './technique';

export interface LiftingContext {
  ink: 'waterproof' | 'washable';
  medium: LessonMedium;
}

/** Painted in it, what is dry stays. */
const SET_FOR_GOOD: ReadonlySet<LessonMedium> = new Set<LessonMedium>(['acrylic', 'print']);
/** Washes of these are ink, and bound or not as the bottle is. */
const WASHED_IN_INK: ReadonlySet<LessonMedium> = new Set<LessonMedium>(['pen-and-wash', 'brush-ink', 'pen']);
const COLOURED = new Set(['colour-dashes', 'colour-overlay']);

/** What lifts it and how far; null where it leaves nothing on the sheet. */
export function liftingOf(t: Technique, { ink, medium }: LiftingContext): Lifting | null {
  if (t.own?.lifts) return t.own.lifts;
  const inked = t.ink || (t.role === 'wash' && WASHED_IN_INK.has(medium));
  if (inked) return { by: 'water', far: ink === 'waterproof' ? 'not' : 'partly' };
  if (lays(t, 'dusty')) return { by: 'kneaded-eraser', far: 'partly' };
  if (lays(t, 'waxy')) return { by: 'scraper', far: lays(t, 'thick') ? 'mostly' : 'partly' };
  if (lays(t, 'waterproof')) return { by: 'water', far: 'not' };
  if (lays(t, 'rewettable')) return { by: 'water', far: 'partly' };
  if (['wash', 'ground', 'paint', 'print'].includes(t.role) || lays(t, 'thick'))
    return { by: 'water', far: SET_FOR_GOOD.has(medium) ? 'not' : 'partly' };
  if (COLOURED.has(t.id)) return { by: 'eraser', far: 'partly' };
  if (t.id === 'big-shapes' || t.id === 'pencil-draft' || t.id === 'grid-transfer') return { by: 'eraser', far: 'wholly' };
  if (lays(t, 'smearing')) return { by: 'eraser', far: 'mostly' };
  return null;
}
