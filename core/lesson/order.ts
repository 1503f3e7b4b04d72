/**
 * Knows which order of steps spoils, smears or loses something, and says why and what to do.
 * The rules are common practice of the trade, no source; where schools differ both orders are legal and only their risk is told.
 */
import { Technique } from './technique';

export interface OrderContext {
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
  reason: string;
  remedy: string;
}

/** How a layer behaves under later water, once the bottle of ink is known. */
export function runsWhenWetted(t: Technique, { ink }: OrderContext): 'never' | 'until-dry' | 'always' {
  if (t.runs !== 'as-ink') return t.runs;
  return ink === 'waterproof' ? 'until-dry' : 'always';
}

type Rule = (steps: readonly Technique[], context: OrderContext) => OrderWarning[];

/** Every pair of an earlier and a later step for which something is to be said. */
function pairs(
  steps: readonly Technique[],
  told: (before: Technique, after: Technique, i: number, j: number) => Omit<OrderWarning, 'step' | 'other'> | null,
): OrderWarning[] {
  const out: OrderWarning[] = [];
  for (let j = 0; j < steps.length; j++)
    for (let i = 0; i < j; i++) {
      const say = told(steps[i], steps[j], i, j);
      if (say) out.push({ ...say, step: j, other: i });
    }
  return out;
}

const fixedBetween = (steps: readonly Technique[], i: number, j: number) => steps.slice(i + 1, j).some((s) => s.role === 'fix');

const RULES: readonly Rule[] = [
  // Water over something that runs.
  (steps, context) =>
    pairs(steps, (a, b, i, j) =>
      b.wets && runsWhenWetted(a, context) === 'always' && !(a.dusty && fixedBetween(steps, i, j))
        ? {
            rule: 'water-over-running',
            weight: 'spoils',
            reason: a.dusty
              ? `“${a.name}” lies as dust: water turns it to mud.`
              : `“${a.name}” is not waterproof: “${b.name}” will carry it over the sheet.`,
            remedy: a.dusty
              ? 'Fix it in between, or wash first and draw when it is dry.'
              : 'Take waterproof ink, or lay the wash first and draw when it is dry. If the bleeding is wanted, say so in class.',
          }
        : null,
    ),
  // Graphite under water stays for good.
  (steps) =>
    pairs(steps, (a, b, i, j) =>
      a.role === 'wash' && b.id === 'rub-out-pencil' && steps.slice(0, i).some((s) => s.role === 'draft') && i < j
        ? {
            rule: 'pencil-under-wash',
            weight: 'risks',
            reason: `Pencil under “${a.name}” is sealed in: it can no longer be rubbed out, and rubbing roughens the wash.`,
            remedy: 'Rub out before the first wash, or keep the pencil so pale that it may stay.',
          }
        : null,
    ).filter((w, k, all) => all.findIndex((o) => o.step === w.step) === k),
  // A resist keeps off only what comes after it.
  (steps) =>
    pairs(steps, (a, b) =>
      b.role === 'resist' && a.role === 'wash'
        ? {
            rule: 'resist-after-wash',
            weight: 'spoils',
            reason: `“${b.name}” keeps off only what comes after it; “${a.name}” has already taken the lights.`,
            remedy: `Move “${b.name}” before the first wash.`,
          }
        : null,
    ).filter((w, k, all) => all.findIndex((o) => o.step === w.step) === k),
  // Wax first: pencil and pen slide off it.
  (steps) =>
    pairs(steps, (a, b) =>
      a.role === 'resist' && b.fine
        ? {
            rule: 'line-over-wax',
            weight: 'risks',
            reason: `The pen skips where “${a.name}” has been.`,
            remedy: 'Draw the line first, then protect the lights.',
          }
        : null,
    ),
  // Transparent media go from light to dark.
  (steps) =>
    pairs(steps, (a, b) =>
      a.role === 'wash' && b.role === 'wash' && a.value === 'dark' && b.value === 'light'
        ? {
            rule: 'light-after-dark',
            weight: 'spoils',
            reason: `Transparent colour only darkens: “${b.name}” cannot lighten “${a.name}”, it will lift and muddy it.`,
            remedy: 'Go from light to dark.',
          }
        : null,
    ),
  // Opaque lights come last.
  (steps) =>
    pairs(steps, (a, b) =>
      a.opaque && (b.wets || b.role === 'tone' || b.role === 'blend' || b.role === 'rub-out') && b.role !== 'fix'
        ? {
            rule: 'light-covered',
            weight: 'spoils',
            reason: `“${b.name}” after “${a.name}” dirties or lifts the lights.`,
            remedy: `Keep “${a.name}” for the end.`,
          }
        : null,
    ),
  // A pen skips on thick paint and wax.
  (steps) =>
    pairs(steps, (a, b) =>
      a.thick && b.fine && b.role !== 'accent'
        ? {
            rule: 'pen-on-thick',
            weight: 'risks',
            reason: `A pen skips and clogs on “${a.name}”.`,
            remedy: 'Draw the line before, or use a fine brush.',
          }
        : null,
    ),
  // What smears comes last.
  (steps) =>
    pairs(steps, (a, b) =>
      a.role === 'fill' && a.smears && b.role !== 'fill' && b.role !== 'fix' && b.role !== 'rub-out'
        ? {
            rule: 'smear-fill-last',
            weight: 'risks',
            reason: `“${a.name}” smears: the hand drags it about during “${b.name}”.`,
            remedy: `Move “${a.name}” to the end; a sheet under the hand.`,
          }
        : null,
    ),
  // Outline a field before filling it.
  (steps) =>
    pairs(steps, (a, b) =>
      a.role === 'fill' && b.role === 'line'
        ? {
            rule: 'outline-before-fill',
            weight: 'mind',
            reason: `“${b.name}” comes after “${a.name}”: the fill has no edge to stop at.`,
            remedy: 'Outline a field before filling it.',
          }
        : null,
    ),
  // Ground before everything.
  (steps) =>
    pairs(steps, (a, b) =>
      b.role === 'ground'
        ? {
            rule: 'ground-first',
            weight: 'spoils',
            reason: `“${b.name}” goes over the whole sheet and over “${a.name}”.`,
            remedy: 'Tone the sheet before anything else.',
          }
        : null,
    ).filter((w, k, all) => all.findIndex((o) => o.step === w.step) === k),
  // The eraser lifts dust it should not.
  (steps) =>
    pairs(steps, (a, b, i, j) =>
      a.dusty && b.role === 'rub-out' && !fixedBetween(steps, i, j)
        ? {
            rule: 'rub-out-dust',
            weight: 'spoils',
            reason: `Rubbing out lifts “${a.name}” too.`,
            remedy: 'Rub out before the dusty layers.',
          }
        : null,
    ),
  // Rubbing out before ink is on: nothing is lost, but the guide is gone.
  (steps) =>
    steps.flatMap((b, j) =>
      b.id === 'rub-out-pencil' && !steps.slice(0, j).some((s) => s.role === 'line') && steps.slice(j).some((s) => s.role === 'line')
        ? [
            {
              rule: 'guide-gone',
              step: j,
              other: steps.findIndex((s, k) => k > j && s.role === 'line'),
              weight: 'mind' as const,
              reason: 'The pencil is rubbed out before the line is drawn: the guide is gone.',
              remedy: 'Draw the line first, or leave the pencil faint until then.',
            },
          ]
        : [],
    ),
  // Something it builds on is missing.
  (steps) =>
    steps.flatMap((b, j) =>
      b.after && !steps.slice(0, j).some((s) => b.after!.includes(s.id))
        ? [
            {
              rule: 'nothing-before',
              step: j,
              other: null,
              weight: 'risks' as const,
              reason: `“${b.name}” builds on a step that has not come yet.`,
              remedy: 'Move it later, or add the step before it.',
            },
          ]
        : [],
    ),
  // Too many washes.
  (steps) => {
    const wet = steps.map((s, i) => [s, i] as const).filter(([s]) => s.role === 'wash' || s.role === 'ground');
    return wet.length > 3
      ? [
          {
            rule: 'too-many-washes',
            step: wet[3][1],
            other: wet[0][1],
            weight: 'risks',
            reason: 'More than three wet layers turn muddy and make thin paper buckle.',
            remedy: 'Join two washes, or take heavy, stretched paper.',
          },
        ]
      : [];
  },
  // Dust needs fixing in the end.
  (steps) => {
    const last = steps.reduce((found, s, i) => (s.dusty ? i : found), -1);
    return last >= 0 && !steps.slice(last + 1).some((s) => s.role === 'fix')
      ? [
          {
            rule: 'unfixed',
            step: last,
            other: null,
            weight: 'mind',
            reason: `“${steps[last].name}” stays as dust and rubs off in the folder.`,
            remedy: 'Fix it at the end, or keep it under a cover sheet.',
          },
        ]
      : [];
  },
  // Class settings against the steps.
  (steps, { contact, erasing }) =>
    steps.flatMap((s, i) => [
      ...(s.role === 'rub-out' && !erasing
        ? [
            {
              rule: 'no-erasing',
              step: i,
              other: null,
              weight: 'mind' as const,
              reason: 'This class does not rub out.',
              remedy: 'Leave the step out: draw lightly and restate.',
            },
          ]
        : []),
      ...(s.id === 'pencil-draft' && contact === 'straight-in'
        ? [
            {
              rule: 'straight-in',
              step: i,
              other: null,
              weight: 'mind' as const,
              reason: 'This class goes straight in with the final tool.',
              remedy: 'Leave the pencil draft out and warm up longer on scrap.',
            },
          ]
        : []),
    ]),
];

const WEIGHT = { spoils: 0, risks: 1, mind: 2 } as const;

/** Everything the order of steps does wrong, what spoils first. Drying is the schedule's business. */
export function orderWarnings(steps: readonly Technique[], context: OrderContext): OrderWarning[] {
  return RULES.flatMap((rule) => rule(steps, context)).sort((a, b) => WEIGHT[a.weight] - WEIGHT[b.weight] || a.step - b.step);
}

/** Why a step has to wait until the one before it is dry; null where nothing is lost. */
export function whyWait(wet: Technique, next: Technique): string | null {
  if (wet.dry <= 0) return null;
  if (next.role === 'rub-out') return 'Rub out only when it is dry: damp ink smears and damp paper tears.';
  if (next.role === 'resist') return null;
  if (next.wets)
    return wet.wets ? 'A wet layer on a damp one runs together and turns muddy.' : 'Water on damp ink carries it away, waterproof or not.';
  if (next.fine) return wet.wets ? 'On a damp sheet the line feathers.' : null;
  if (next.role === 'fix') return null;
  if (next.role === 'line' || next.opaque || next.role === 'accent')
    return wet.wets ? 'On a damp layer the touch sinks in and runs.' : null;
  return wet.wets ? 'A damp layer tears and lifts under the next.' : null;
}
