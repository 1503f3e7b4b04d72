/** Knows a step of a teacher's own: written from nothing or from a known technique, and followed by the same rules of order and time. */
import { CoreError } from '../errors';
import { typed } from '../message';
import { AGE_BANDS, bandOf } from '../proportion/bodyRulers';
import { isCaution } from './hazards';
import { FAR, LAYS, Lays, LIFTERS, Lifting, OwnStep, ROLES, SAID, Said, SHARED_BY, Technique, WHO_IS_AT_IT } from './technique';
import { techniqueOf } from './techniques';

const MOST = { name: 80, text: 500, options: 6, items: 20 };

type Given = Partial<Record<keyof OwnStep, unknown>>;

const wrong = (field: string, why: string, more: Record<string, string | number> = {}) =>
  new CoreError(`step.${why}`, { field: typed(field), ...more });

function textOf(value: unknown, field: string, most: number, needed = false): string {
  const text = value === undefined || value === null ? '' : typeof value === 'string' ? value.trim() : null;
  if (text === null || text.length > most || (needed && !text)) throw wrong(field, needed ? 'named' : 'text', { n: most });
  return text;
}

function wholeOf(value: unknown, field: string, low: number, high: number): number {
  if (!Number.isInteger(value) || (value as number) < low || (value as number) > high) throw wrong(field, 'whole', { low, high });
  return value as number;
}

function listOf<T>(value: unknown, field: string, most: number, each: (v: Record<string, unknown>, i: number) => T): T[] {
  if (value === undefined || value === null) return [];
  if (!Array.isArray(value) || value.length > most) throw wrong(field, 'list', { n: most });
  return value.map((v, i) => {
    if (typeof v !== 'object' || v === null) throw wrong(`${field} ${i + 1}`, 'list', { n: most });
    return each(v as Record<string, unknown>, i);
  });
}

function someOf<T extends string>(value: unknown, field: string, known: (v: string) => v is T): T[] {
  if (value === undefined || value === null) return [];
  if (!Array.isArray(value) || !value.every((v): v is T => typeof v === 'string' && known(v))) throw wrong(field, 'known');
  return [...new Set(value)];
}

const isLays = (v: string): v is Lays => LAYS.some((l) => l === v);
const isTechnique = (v: string): v is string => techniqueOf(v) !== null;

/** A step as it was given, every field of which can be used; else a CoreError names the field. */
export function checkedStep(value: unknown): OwnStep {
  if (typeof value !== 'object' || value === null) throw new CoreError('step.none');
  const g = value as Given;
  const usual = wholeOf(g.usual, 'usual', 1, 240);
  const least = wholeOf(g.least ?? usual, 'least', 1, 240);
  if (least > usual) throw new CoreError('step.least', { least, usual });
  const options = listOf(g.options, 'options', MOST.options, (o, i) => ({
    name: textOf(o.name, `options ${i + 1}`, MOST.name, true),
    how: textOf(o.how, `options ${i + 1}`, MOST.text),
  }));
  if (options.length === 1) throw new CoreError('step.options');
  const role = ROLES.find((r) => r === g.role);
  if (!role) throw wrong('role', 'known');
  const byAge = (typeof g.byAge === 'object' && g.byAge !== null ? g.byAge : {}) as Record<string, unknown>;
  const given = lays(g);
  return {
    ...(Object.fromEntries(SAID.map((s) => [s, textOf(g[s], s, MOST.text, s === 'does')])) as Record<Said, string>),
    name: textOf(g.name, 'name', MOST.name, true),
    options,
    role,
    least,
    usual,
    byAge: Object.fromEntries(
      AGE_BANDS.filter((b) => byAge[b] !== undefined && byAge[b] !== null).map((b) => [b, wholeOf(byAge[b], `byAge ${b}`, 1, 240)]),
    ),
    demonstration: wholeOf(g.demonstration ?? 3, 'demonstration', 0, 60),
    dry: wholeOf(g.dry ?? 0, 'dry', 0, 600),
    lays: given,
    value: g.value === 'light' || g.value === 'dark' ? g.value : null,
    fine: g.fine === true,
    after: someOf(g.after, 'after', isTechnique),
    forbids: someOf(g.forbids, 'forbids', isTechnique),
    lifts: liftsOf(g.lifts),
    shuns: someOf(g.shuns, 'shuns', isLays),
    who: WHO_IS_AT_IT.find((w) => w === g.who) ?? 'turn',
    items: listOf(g.items, 'items', MOST.items, (it, i) => ({
      what: textOf(it.what, `items ${i + 1}`, MOST.name, true),
      n: wholeOf(it.n ?? 1, `items ${i + 1}`, 1, 999),
      per: SHARED_BY.find((p) => p === it.per) ?? 'student',
    })),
    cautions: someOf(g.cautions, 'cautions', isCaution),
    caution: textOf(g.caution, 'caution', MOST.text),
  };
}

function liftsOf(value: unknown): Lifting | null {
  if (value === undefined || value === null) return null;
  const { by, far } = value as Partial<Record<keyof Lifting, unknown>>;
  const [lifter, much] = [LIFTERS.find((l) => l === by), FAR.find((f) => f === far)];
  if (!lifter || !much) throw wrong('lifts', 'known');
  return { by: lifter, far: much };
}

function lays(g: Given): Lays[] {
  const found = someOf(g.lays, 'lays', isLays);
  for (const [a, b] of [
    ['opaque', 'transparent'],
    ['waterproof', 'rewettable'],
  ] as const)
    if (found.includes(a) && found.includes(b)) throw new CoreError('step.both', { a: typed(a), b: typed(b) });
  return found;
}

/** The step as the rules and the schedule take it: a known technique changed, or one of its own. `youngest` in years. */
export function asTechnique(own: OwnStep, id: string, youngest: number): Technique {
  const { least, usual, demonstration, dry, role, value, fine, after, forbids, cautions } = own;
  const known = techniqueOf(id);
  const takes = own.byAge[bandOf(youngest)] ?? usual;
  return {
    id,
    role,
    least: Math.min(least, takes),
    usual: takes,
    demonstration,
    dry,
    lays: own.lays,
    ...(known?.ink && { ink: true }),
    ...(value && { value }),
    ...(after.length && { after }),
    ...(forbids.length && { forbids }),
    ...(own.shuns.length && { shuns: own.shuns }),
    ...(known?.lifter && { lifter: known.lifter }),
    ...(fine && { fine: true }),
    // What a changed technique asks for it still asks for; what is written beside it comes on top.
    items: known?.items ?? {},
    cautions,
    own,
  };
}

/** A known technique as a step of one's own to begin with; `said` gives its sentences in the teacher's language. */
export function fromTechnique(t: Technique, name: string, said: (what: Said) => string): OwnStep {
  if (t.own) return t.own;
  return {
    ...(Object.fromEntries(SAID.map((s) => [s, said(s)])) as Record<Said, string>),
    name,
    options: [],
    role: t.role,
    least: t.least,
    usual: t.usual,
    byAge: {},
    demonstration: t.demonstration,
    dry: t.dry,
    lays: [...t.lays],
    value: t.value ?? null,
    fine: t.fine === true,
    after: [...(t.after ?? [])],
    forbids: [],
    lifts: null,
    shuns: [...(t.shuns ?? [])],
    who: 'turn',
    items: [],
    cautions: [...t.cautions],
    caution: '',
  };
}

/** A step from nothing. */
export const NEW_STEP: OwnStep = {
  name: '',
  does: '',
  watch: '',
  easier: '',
  bolder: '',
  extra: '',
  stuck: '',
  options: [],
  role: 'tone',
  least: 5,
  usual: 10,
  byAge: {},
  demonstration: 3,
  dry: 0,
  lays: [],
  value: null,
  fine: false,
  after: [],
  forbids: [],
  lifts: null,
  shuns: [],
  who: 'turn',
  items: [],
  cautions: [],
  caution: '',
};

/** A step as it was stored, with what steps of its time had no word for. */
export const wholeStep = (stored: Partial<OwnStep>): OwnStep => ({ ...NEW_STEP, ...stored });
