/** Wishes of a lesson for tests: a class of thirteen-year-olds, A4 sheets, fifty minutes. */
import { NO_SCHOOL } from '../../core/lesson/order';
import { USUAL_SHARES } from '../../core/lesson/usual';
import { NO_STROKES, PlanStep, PlanWishes, stepOf } from '../../core/lesson/wishes';

export const lessonWishes = (steps: readonly (string | PlanStep)[], more: Partial<PlanWishes> = {}): PlanWishes => ({
  ink: 'waterproof',
  contact: 'light-pencil',
  erasing: true,
  ...NO_SCHOOL,
  second: null,
  room: { sinks: null, rack: null },
  medium: 'pen-and-wash',
  steps: steps.map((s) => (typeof s === 'string' ? stepOf(s) : s)),
  minutesPerPeriod: 50,
  lengths: [],
  periods: 3,
  classSize: 24,
  sheetMm: [297, 210],
  strokes: NO_STROKES,
  youngest: 13,
  shares: USUAL_SHARES,
  coats: {},
  shelf: {},
  ...more,
});
