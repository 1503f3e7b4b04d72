/**
 * Knows which order of steps spoils, smears or loses something, and says why and what to do.
 * The rules are common practice of the trade, no source; where schools differ both orders are legal and only their risk is told.
 */
import { Message, message, Typed } from '../message';
import { liftingOf } from './lifting';
import type { LessonMedium } from './media';
import { beside, lays, nameOf, Technique } from './technique';

/** Questions on which good teachers disagree, and the schools of each; the first is no school's. */
export const SCHOOLS = {
  /** When the outline is drawn: as the lesson has it, first, last, or not at all. */
  outline: ['any', 'first', 'last', 'none'],
  /** Which comes first, the drawn lines or the tones that are washed and painted. */
  lineOrTone: ['any', 'line', 'tone'],
  /** How tones go over into each other: as the lesson has it, rubbed, or by layers of equal pressure alone. */
  blending: ['any', 'rubbed', 'layers'],
} as const;
export type Schools = { [Q in keyof typeof SCHOOLS]: (typeof SCHOOLS)[Q][number] };
export type Question = keyof Schools;
export const QUESTIONS = Object.keys(SCHOOLS) as Question[];
/** Where nobody has said which school is theirs. */
export const NO_SCHOOL: Schools = { outline: 'any', lineOrTone: 'any', blending: 'any' };

export interface OrderContext extends Schools {
  medium: LessonMedium;
  ink: 'waterproof' | 'washable';
  contact: 'light-pencil' | 'straight-in';
  /** Whether the class may rub out at all. */
  erasing: boolean;
}

export interface OrderWarning {
  rule: string;
  /** Places in the list of steps, from 0: the step that does harm or comes too early, and the one it concerns. */
  step: number;
  other: number | null;
  /** Whether something is spoilt, or only at risk, or merely made harder. */
  weight: 'spoils' | 'risks' | 'mind';
  reason: Message;
  remedy: Message;
}

/** Does later water carry a layer away even when it is dry? */
const runs = (t: Technique, { ink }: OrderContext): boolean => (t.ink ? ink === 'washable' : lays(t, 'rewettable'));

/** In rubbed and dusty media dark and light alternate: what is pale is worked in. */
const worked = (a: Technique, b: Technique): boolean => lays(a, 'dusty') && lays(b, 'dusty');

interface Found {
  step: number;
  other: number | null;
}

type School = { [Q in Question]: readonly [Q, Schools[Q]] }[Question];

interface Rule {
  name: string;
  weight: OrderWarning['weight'];
  /** The school it comes from: it is told only where that one is chosen. */
  of?: School;
  /** The school that does otherwise on purpose: where that one is chosen, it is silent. */
  not?: School;
  found: (steps: readonly Technique[], context: OrderContext) => Found[];
}

/** Every pair of an earlier and a later step that a rule is broken by. */
const pairs =
  (
    broken: (
      before: Technique,
      after: Technique,
      between: readonly Technique[],
      earlier: readonly Technique[],
      context: OrderContext,
    ) => boolean,
  ) =>
  (steps: readonly Technique[], context: OrderContext): Found[] => {
    const out: Found[] = [];
    for (let j = 0; j < steps.length; j++)
      for (let i = 0; i < j; i++)
        if (broken(steps[i], steps[j], steps.slice(i + 1, j), steps.slice(0, i), context)) out.push({ step: j, other: i });
    return out;
  };

/** Only the first that each later step is told about. */
const once =
  (found: Rule['found']): Rule['found'] =>
  (steps, context) =>
    found(steps, context).filter((w, k, all) => all.findIndex((o) => o.step === w.step) === k);

/** Every single step that a rule is broken by. */
const single =
  (broken: (step: Technique, before: readonly Technique[], after: readonly Technique[], context: OrderContext) => boolean) =>
  (steps: readonly Technique[], context: OrderContext): Found[] =>
    steps.flatMap((s, i) => (broken(s, steps.slice(0, i), steps.slice(i + 1), context) ? [{ step: i, other: null }] : []));

/** What is rubbed lies as what it was before. */
const leavesDust = (t: Technique) => lays(t, 'dusty') && t.role !== 'blend';
const fixed = (between: readonly Technique[]) => between.some((s) => s.role === 'fix');
export const isLine = (t: Technique) => t.role === 'line';
/** Filled with colour, in whatever medium. */
export const isField = (t: Technique) => t.role === 'fill' || t.role === 'paint';
const drawn = (t: Technique) => isLine(t) || t.role === 'draft';
/** Drawn by the line: outlines, and tones made of lines. */
export const inLine = (t: Technique) => isLine(t) || (t.role === 'tone' && !!t.fine);
/** Tones that are washed: what covers is a matter of the outline. */
export const inTone = (t: Technique) => t.role === 'wash';
/** Rubbed into each other, where wax is not rubbed closed. */
export const rubbed = (t: Technique) => t.role === 'blend' && !lays(t, 'waxy');
/** What follows a drawing and covers its place. */
const follows = (t: Technique) => ['line', 'wash', 'paint', 'tone', 'fill'].includes(t.role);

/** What each rule says stands under `order` in `words/`, by its name. */
const RULES: readonly Rule[] = [
  // Water over something that runs.
  {
    name: 'water-over-running',
    weight: 'spoils',
    found: once(pairs((a, b, _between, _earlier, context) => lays(b, 'wet') && runs(a, context))),
  },
  {
    name: 'water-over-dust',
    weight: 'spoils',
    found: once(pairs((a, b, between) => lays(b, 'wet') && lays(a, 'dusty') && !fixed(between))),
  },
  // Graphite under water stays for good.
  {
    name: 'pencil-under-wash',
    weight: 'risks',
    found: once(pairs((a, b, _between, earlier) => a.role === 'wash' && b.role === 'rub-out' && earlier.some((s) => s.role === 'draft'))),
  },
  // A resist keeps off only what comes after it.
  { name: 'resist-after-wash', weight: 'spoils', found: once(pairs((a, b) => b.role === 'resist' && a.role === 'wash')) },
  // Wax first: pencil and pen slide off it.
  { name: 'line-over-wax', weight: 'risks', found: pairs((a, b) => a.role === 'resist' && !!b.fine) },
  // Transparent media go from light to dark.
  {
    name: 'light-after-dark',
    weight: 'spoils',
    found: pairs((a, b) => lays(a, 'transparent') && lays(b, 'transparent') && a.value === 'dark' && b.value === 'light'),
  },
  // Opaque lights come last; in dusty media they are worked in.
  {
    name: 'light-covered',
    weight: 'spoils',
    found: pairs(
      (a, b) =>
        lays(a, 'opaque') &&
        a.value === 'light' &&
        !worked(a, b) &&
        (b.role === 'tone' || b.role === 'blend' || b.role === 'rub-out' || lays(b, 'wet')),
    ),
  },
  // A pen skips on thick paint and wax.
  { name: 'pen-on-thick', weight: 'risks', found: pairs((a, b) => lays(a, 'thick') && !!b.fine && b.role !== 'accent') },
  // What smears comes last; an outline over it, or rubbing it closed, is what some do on purpose.
  {
    name: 'smear-fill-last',
    weight: 'risks',
    found: pairs(
      (a, b) =>
        a.role === 'fill' &&
        lays(a, 'smearing') &&
        !beside(b) &&
        // Water rolls off wax: crayon and wash go together.
        !(lays(a, 'waxy') && lays(b, 'wet')) &&
        !['fill', 'fix', 'rub-out', 'line', 'blend', 'light', 'finish'].includes(b.role),
    ),
  },
  // A field needs an edge to stop at: a drawn one, or an outline.
  {
    name: 'outline-before-fill',
    weight: 'mind',
    not: ['outline', 'last'],
    found: pairs(
      (a, b, _between, earlier, { outline }) =>
        a.role === 'fill' && b.role === 'line' && (outline === 'first' ? !earlier.some((s) => s.role === 'line') : !earlier.some(drawn)),
    ),
  },
  // The school that puts the outline last, kept to.
  {
    name: 'outline-last',
    weight: 'mind',
    of: ['outline', 'last'],
    found: once(pairs((a, b) => a.role === 'line' && b.role === 'fill')),
  },
  // The school that leaves forms to their colour alone.
  {
    name: 'outline-none',
    weight: 'mind',
    of: ['outline', 'none'],
    found: single((s, before, after) => isLine(s) && [...before, ...after].some(isField)),
  },
  // The school that draws first and lays tones then, and the one that lays tones first, kept to.
  {
    name: 'line-first',
    weight: 'mind',
    of: ['lineOrTone', 'line'],
    found: once(pairs((a, b) => inTone(a) && inLine(b))),
  },
  {
    name: 'tone-first',
    weight: 'mind',
    of: ['lineOrTone', 'tone'],
    found: once(pairs((a, b) => inLine(a) && inTone(b))),
  },
  // The school that does not rub.
  { name: 'not-rubbed', weight: 'mind', of: ['blending', 'layers'], found: single(rubbed) },
  // Ground before everything that touches the sheet.
  { name: 'ground-first', weight: 'spoils', found: once(pairs((a, b) => b.role === 'ground' && !beside(a))) },
  // The eraser lifts dust it should not.
  { name: 'rub-out-dust', weight: 'spoils', found: pairs((a, b, between) => lays(a, 'dusty') && b.role === 'rub-out' && !fixed(between)) },
  // Rubbed out with nothing laid that holds the drawing: the guide is gone.
  {
    name: 'guide-gone',
    weight: 'risks',
    found: (steps) =>
      steps.flatMap((b, j) => {
        const before = steps.slice(0, j);
        const next = steps.findIndex((s, k) => k > j && follows(s));
        return b.role === 'rub-out' && next >= 0 && before.some((s) => s.role === 'draft') && !before.some(follows)
          ? [{ step: j, other: next }]
          : [];
      }),
  },
  // Lights are taken out of what does not come off.
  {
    name: 'does-not-lift',
    weight: 'risks',
    found: (steps, context) =>
      steps.flatMap((b, j) => {
        if (!b.lifter || !b.after) return [];
        const under = steps.flatMap((a, i) => (i < j && b.after!.includes(a.id) ? [i] : []));
        const stays = (i: number) => liftingOf(steps[i], context)?.far === 'not';
        return under.length && under.every(stays) ? [{ step: j, other: under[under.length - 1] }] : [];
      }),
  },
  // It does not hold on, or is spoilt by, what lies there.
  {
    name: 'must-not-touch',
    weight: 'risks',
    found: once(pairs((a, b, between) => !!b.shuns?.some((l) => lays(a, l) && !(l === 'dusty' && fixed(between))))),
  },
  // What a teacher's own step does not bear after it.
  { name: 'forbidden-after', weight: 'spoils', found: pairs((a, b) => !!a.forbids?.includes(b.id)) },
  // Something it builds on is missing.
  { name: 'nothing-before', weight: 'risks', found: single((s, before) => !!s.after && !before.some((b) => s.after!.includes(b.id))) },
  // Too many washes.
  {
    name: 'too-many-washes',
    weight: 'risks',
    found: (steps) => {
      const wet = steps.flatMap((s, i) => (s.role === 'wash' || s.role === 'ground' ? [i] : []));
      return wet.length > 3 ? [{ step: wet[3], other: wet[0] }] : [];
    },
  },
  // Dust needs fixing in the end.
  {
    name: 'unfixed',
    weight: 'mind',
    found: single((s, _before, after) => leavesDust(s) && !after.some((later) => leavesDust(later) || later.role === 'fix')),
  },
  // A pressed groove shows white through every soft tone laid over it.
  {
    name: 'groove-under-tone',
    weight: 'risks',
    found: once(pairs((a, b) => lays(a, 'indenting') && b.role === 'tone' && (lays(b, 'smearing') || lays(b, 'dusty')))),
  },
  // Glue and paint do not take on wax and oil.
  {
    name: 'nothing-holds-on-wax',
    weight: 'risks',
    found: once(pairs((a, b) => lays(a, 'waxy') && a.role === 'fill' && (b.role === 'paint' || b.role === 'ground'))),
  },
  // Class settings against the steps.
  { name: 'no-erasing', weight: 'mind', found: single((s, _before, _after, { erasing }) => s.role === 'rub-out' && !erasing) },
  {
    name: 'straight-in',
    weight: 'mind',
    found: single((s, _before, _after, { contact }) => s.id === 'pencil-draft' && contact === 'straight-in'),
  },
];

const WEIGHT = { spoils: 0, risks: 1, mind: 2 } as const;

/** Everything the order of steps does wrong, what spoils first. Drying is the schedule's business. */
export function orderWarnings(steps: readonly Technique[], context: OrderContext): OrderWarning[] {
  const chosen = ([question, school]: School) => context[question] === school;
  const told = RULES.filter(({ of, not }) => (!of || chosen(of)) && !(not && chosen(not)));
  const all = told
    .flatMap(({ name, weight, found }) =>
      found(steps, context).map(({ step, other }): OrderWarning => {
        const values: Record<'a' | 'b', Message | Typed> = { a: nameOf(steps[other ?? step]), b: nameOf(steps[step]) };
        return {
          rule: name,
          step,
          other,
          weight,
          reason: message(`order.${name}.reason`, values),
          remedy: message(`order.${name}.remedy`, values),
        };
      }),
    )
    .sort((a, b) => WEIGHT[a.weight] - WEIGHT[b.weight] || a.step - b.step);
  // Where a more particular rule says why two do not go together, the plain one is silent.
  const particular = (w: OrderWarning) => all.some((o) => o.rule !== w.rule && o.step === w.step && o.other === w.other);
  return all.filter((w) => w.rule !== 'must-not-touch' || !particular(w));
}

/** Why a step has to wait until the one before it is dry; null where nothing is lost. */
export function whyWait(wet: Technique, next: Technique): Message | null {
  const why = (key: string) => message(`drying.${key}`);
  if (wet.dry <= 0 || next.role === 'resist' || beside(next) || beside(wet)) return null;
  if (next.role === 'rub-out') return why('rub-out');
  const wets = lays(wet, 'wet');
  if (lays(next, 'wet')) return why(wets ? 'wet-on-damp' : 'water-on-ink');
  if (!wets || next.role === 'fix') return null;
  if (next.fine) return why('feathers');
  return why(next.role === 'line' || lays(next, 'opaque') || next.role === 'accent' ? 'sinks' : 'tears');
}
