/**
 * What is known of a technique: what the student does, what it lays on the sheet, and what it asks for.
 * Minutes, drying times and amounts are common practice for a sheet of about A4, no source; teachers change them.
 */
import { Message, message, Typed, typed, Values } from '../message';
import { CautionId } from './hazards';
import { ItemId } from './items';
import type { AgeBand } from '../proportion/bodyRulers';

/** What a step does to the picture; `apart` is done beside the sheet, `finish` after it. */
export const ROLES = [
  'ground',
  'draft',
  'resist',
  'line',
  'tone',
  'wash',
  'paint',
  'light',
  'accent',
  'fill',
  'blend',
  'rub-out',
  'fix',
  'print',
  'apart',
  'finish',
] as const;
type Role = (typeof ROLES)[number];

/**
 * What a step lays: it wets the sheet; lies as dust until fixed; keeps water off, and pens slide on it; stands so thick that a pen skips;
 * covers what lies under it, or only darkens it; water no longer moves it once it is dry, or moves it always; a hand smears it; it presses
 * grooves into the paper.
 */
export const LAYS = [
  'wet',
  'dusty',
  'waxy',
  'thick',
  'opaque',
  'transparent',
  'waterproof',
  'rewettable',
  'smearing',
  'indenting',
] as const;
export type Lays = (typeof LAYS)[number];

export const SAID = ['does', 'watch', 'easier', 'bolder', 'extra', 'stuck'] as const;
export type Said = (typeof SAID)[number];

/** One of several ways to do it, with what it looks like or asks for. */
interface StepOption {
  name: string;
  how: string;
}

/** What takes a layer off again, and how much of it comes off. */
export const LIFTERS = ['eraser', 'kneaded-eraser', 'water', 'scraper'] as const;
export const FAR = ['wholly', 'mostly', 'partly', 'not'] as const;
type Lifter = (typeof LIFTERS)[number];
export interface Lifting {
  by: Lifter;
  far: (typeof FAR)[number];
}

/** What it needs on the tables. */
export const SHARED_BY = ['student', 'pair', 'table', 'class'] as const;
export const WHO_IS_AT_IT = ['turn', 'all', 'watch', 'meanwhile'] as const;
export type Who = (typeof WHO_IS_AT_IT)[number];

interface OwnItem {
  what: string;
  n: number;
  per: (typeof SHARED_BY)[number];
}

export interface OwnStep extends Record<Said, string> {
  name: string;
  /** At least two, or none. */
  options: StepOption[];
  role: Role;
  least: number;
  usual: number;
  /** Where an age takes its own time. */
  byAge: Partial<Record<AgeBand, number>>;
  demonstration: number;
  dry: number;
  lays: Lays[];
  /** How dark it lies. */
  value: 'light' | 'dark' | null;
  /** It draws a line that needs a dry, firm sheet. */
  fine: boolean;
  /** Known techniques one of which must come before it, and such as must not come after it. */
  after: string[];
  forbids: string[];
  /** What takes it off again; null leaves that to what it lays. What it must not touch: layers that lie so. */
  lifts: Lifting | null;
  shuns: Lays[];
  /** Who is at it: the students by themselves, all together, those who watch, or whoever waits until something is dry. */
  who: Who;
  items: OwnItem[];
  cautions: CautionId[];
  /** What to mind that no usual caution says. */
  caution: string;
}

export interface Technique {
  /** What is said of it stands under `techniques` in `words/`, by this name. */
  id: string;
  role: Role;
  /** Fewest minutes in which it can be done, and what it usually takes. */
  least: number;
  usual: number;
  demonstration: number;
  /** Minutes until another step may touch the sheet. */
  dry: number;
  lays: readonly Lays[];
  /** Whether water moves it depends on the bottle of ink. */
  ink?: true;
  /** How dark it lies: lights and darks have their order. */
  value?: 'light' | 'dark';
  /** One of these must come before it; none of those may come after it. */
  after?: readonly string[];
  forbids?: readonly string[];
  /** It must not touch layers that lie so. */
  shuns?: readonly Lays[];
  /** With this it takes layers off. */
  lifter?: Lifter;
  /** Ways to do it, by name: what each is and gives stands with its other words. */
  ways?: readonly string[];
  /** A drawing line that needs a dry, firm sheet. */
  fine?: true;
  items: Partial<Record<ItemId, number>>;
  cautions: readonly CautionId[];
  /** A teacher's own words for it, and what else is their own. */
  own?: OwnStep;
}

export const lays = (t: Technique, what: Lays): boolean => t.lays.includes(what);

/** One of the ways to do a step, as it can be shown. */
export interface Way {
  id: string;
  name: Message | Typed;
  how: Message | Typed;
}

/** The ways to do it that a lesson can choose from or leave to the students. */
export const waysOf = (t: Technique): Way[] =>
  t.own
    ? t.own.options.map(({ name, how }) => ({ id: name, name: typed(name), how: typed(how) }))
    : (t.ways ?? []).map((id) => ({
        id,
        name: message(`techniques.${t.id}.ways.${id}.name`),
        how: message(`techniques.${t.id}.ways.${id}.how`),
      }));

/** The way that is taken; null where none is, or where it is no longer one of them. */
export const wayTaken = (t: Technique, id: string | null): Way | null => waysOf(t).find((w) => w.id === id) ?? null;

/** Nothing of it touches the sheet. */
export const beside = (t: Technique): boolean => t.role === 'apart';

/** What a technique of the house is called. */
export const techniqueName = (id: string): Message => message(`techniques.${id}.name`);

export const nameOf = (t: Technique): Message | Typed => (t.own ? typed(t.own.name) : techniqueName(t.id));

/** One of the sentences about a step, with what the lesson can name; null where a teacher's own step says nothing. */
export function saysOf(t: Technique, what: Said, values: Values): Message | Typed | null {
  if (!t.own) return message(`techniques.${t.id}.${what}`, values);
  return t.own[what] ? typed(t.own[what]) : null;
}
