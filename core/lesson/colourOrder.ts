/** Knows in which step each colour of a palette is laid, and what is mixed once for all the steps it comes back in. */
import type { Laying } from './laying';
import { darkestOf, liesLight } from './quantities';
import { lays, Technique } from './technique';

export interface OrderedColour {
  hex: string;
  share: number;
  ground: boolean;
  accent: boolean;
  lab: readonly [number, number, number];
}

interface Step {
  knows: Technique;
  laying: Laying | null;
}

const MIXED_FOR: ReadonlySet<Technique['role']> = new Set<Technique['role']>(['wash', 'paint', 'fill']);

/** One part of the list for each of so many steps, as even as can be, in order. */
function dealt<T>(list: readonly T[], steps: number): T[][] {
  return Array.from({ length: steps }, (_, k) =>
    list.slice(Math.floor((k * list.length) / steps), Math.floor(((k + 1) * list.length) / steps)),
  );
}

/**
 * For each step the colours laid in it: as the teacher set them, else guessed. See-through colour goes from light to dark over the washes; body colour
 * is all laid at the first step of it, the largest first, and comes back in a further coat; accents and lights have steps of their own where
 * there are such.
 */
export function coloursAt<C extends OrderedColour>(steps: readonly Step[], palette: readonly C[]): C[][] {
  const sheet = palette.find((c) => c.ground);
  const own = (role: Technique['role']) => steps.some((s) => s.knows.role === role);
  const light = (c: C) => !c.ground && liesLight(c, sheet) && own('light');
  const accent = (c: C) => c.accent && !light(c) && own('accent');
  const main = palette.filter((c) => !c.ground && !accent(c) && !light(c));
  const washes = steps.filter((s) => s.knows.role === 'wash');
  const shadeOf = new Map(
    dealt(
      [...main].sort((a, b) => b.lab[0] - a.lab[0]),
      Math.max(1, washes.length),
    ).map((part, k) => [washes[k], part]),
  );
  return steps.map((s) => {
    const { knows: t, laying } = s;
    if (laying?.colours) return palette.filter((c) => laying.colours!.includes(c.hex));
    if (t.role === 'wash') return shadeOf.get(s) ?? [];
    if (t.role === 'ground') return sheet ? [sheet] : [];
    if (t.role === 'accent') return palette.filter(accent);
    if (t.role === 'light') return lays(t, 'opaque') ? palette.filter(light) : [];
    if (MIXED_FOR.has(t.role) && !washes.length) return [...main].sort((a, b) => b.share - a.share);
    return [];
  });
}

export interface Batch<C> {
  colour: C;
  /** Steps it is laid in, from 0. */
  steps: number[];
  /** Coats of it in all: a second one of half its strength counts half. */
  coats: number;
}

/** How often over a technique lays its colour: from what it asks for of it. */
const COATS = ['gouache', 'watercolour', 'wash-ink', 'acrylic', 'white-gouache'] as const;
const coatsOf = (t: Technique): number => COATS.reduce((most, id) => Math.max(most, t.items[id] ?? 0), 0) || 1;

/** Each colour once, in the order of the steps that need it first; what comes back is one batch. */
export function batchesOf<C extends OrderedColour>(steps: readonly Step[], at: readonly (readonly C[])[]): Batch<C>[] {
  const out = new Map<string, Batch<C>>();
  at.forEach((colours, step) => {
    for (const colour of colours) {
      const batch = out.get(colour.hex) ?? { colour, steps: [], coats: 0 };
      out.set(colour.hex, { ...batch, steps: [...batch.steps, step], coats: batch.coats + coatsOf(steps[step].knows) });
    }
  });
  return [...out.values()];
}

/** So dark a colour on so little of the sheet is missed in the hurry, L* and share. */
const SMALL_DARK = { l: 40, share: 0.12 };

/** The small dark of a palette: the darkest of its colours, where it is dark and there is little of it; null where there is none such. */
export function smallDark<C extends OrderedColour>(palette: readonly C[]): C | null {
  const darkest = darkestOf(palette.filter((c) => !c.ground && !c.accent));
  return darkest && darkest.lab[0] < SMALL_DARK.l && darkest.share < SMALL_DARK.share ? darkest : null;
}
