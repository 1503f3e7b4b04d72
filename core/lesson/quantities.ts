/** Knows how much is needed: sheets from parent sheets, millilitres for an area, paint for a measured palette. */
import { DRAWN, MarkKind } from '../marks/kinds';
import { figure, Message, message, Typed, typed } from '../message';
import { sparesFor } from './cutting';
import { ITEMS, Item, ItemId, PER } from './items';
import type { Technique } from './technique';

const A4_MM2 = 297 * 210;

export interface ColourNeed {
  name: Message;
  hex: string;
  /** Millilitres for the whole class, waste included. */
  ml: number;
}

/** Millilitres that one coat of a whole A4 sheet takes, where a teacher knows better than the usual figure. */
export type Coats = Partial<Record<ItemId, number>>;

/** How much is on the shelf, by the thing or by the name a teacher gave it. */
export type Shelf = Readonly<Record<string, number>>;

/** By what a need is known on the shelf: the thing, or a teacher's own name for it. */
export const shelfKey = ({ id, name }: Pick<Needed, 'id' | 'name'>): string => id ?? ('typed' in name ? name.typed : name.key);

export const coatOf = (id: ItemId, coats: Coats): number => coats[id] ?? (ITEMS[id] as Item).coat ?? 0;

/**
 * Paint for a measured palette: share × sheet area × what a coat takes × class, and the waste on top.
 * Shares 0–1, sheet in mm, `coat` in ml for an A4 sheet; at least 1 ml each, since less cannot be mixed evenly.
 */
export function paintForPalette(
  palette: readonly { name: Message; hex: string; share: number }[],
  sheetMm: readonly [number, number],
  classSize: number,
  coat: number,
  layers = 1,
  waste = 0.25,
): ColourNeed[] {
  const sheets = (sheetMm[0] * sheetMm[1]) / A4_MM2;
  return palette.map(({ name, hex, share }) => ({
    name,
    hex,
    ml: Math.max(1, Math.ceil(share * sheets * coat * layers * classSize * (1 + waste) - 1e-9)),
  }));
}

/** Below this lightness and chroma a colour beside drawn ink is the ink's own, CIELAB. */
const INK = { l: 32, chroma: 22 };

/** The colours of a palette that are mixed: not the sheet's own and, where a lesson draws in ink, not that of the line. */
export const mixedOf = <T extends { ground: boolean; lab: readonly [number, number, number] }>(
  palette: readonly T[],
  inked: boolean,
): T[] => palette.filter((c) => !c.ground && !(inked && c.lab[0] < INK.l && Math.hypot(c.lab[1], c.lab[2]) < INK.chroma));

type Tone = { lab: readonly [number, number, number] };

/** Lighter than the sheet by so much, a colour is a light laid on it, L*. */
const LIGHTER = 6;
export const liesLight = (c: Tone, sheet: Tone | undefined): boolean => !!sheet && c.lab[0] > sheet.lab[0] + LIGHTER;

/** The darkest of some colours; null of none. */
export const darkestOf = <C extends Tone>(colours: readonly C[]): C | null =>
  colours.reduce<C | null>((d, c) => (d && d.lab[0] <= c.lab[0] ? d : c), null);

/** Shares of the sheet each kind of material works on, 0–1. */
export interface WorkedShares {
  line: number;
  wash: number;
  paint: number;
  light: number;
}

/** Shares as measured on a work: what is drawn on, what is washed or painted, what is lighter than the sheet. */
export function sharesOf(
  palette: readonly { share: number; ground: boolean; accent: boolean; lab: readonly [number, number, number] }[],
  markShare: (kind: MarkKind) => number | null,
): WorkedShares {
  const sheet = palette.find((c) => c.ground);
  const light = palette.filter((c) => !c.ground && (c.accent || liesLight(c, sheet)));
  const rest = palette.filter((c) => !c.ground && !light.includes(c));
  const sum = (list: readonly { share: number }[]) => list.reduce((s, c) => s + c.share, 0);
  return {
    line: Math.max(
      0.05,
      [...DRAWN].reduce((s, kind) => s + (markShare(kind) ?? 0), 0),
    ),
    wash: Math.max(0.05, sum(rest)),
    paint: Math.max(0.05, sum(rest) + sum(light)),
    light: Math.max(0.02, sum(light)),
  };
}

export interface Needed {
  /** Of a thing of the house; null for what a teacher wrote. */
  id: ItemId | null;
  name: Message | Typed;
  unit: Item['unit'];
  amount: number;
  how: Message;
  /** What was reckoned with for one coat of an A4 sheet, ml; null for what goes by the piece. */
  coat: number | null;
}

/** "12 sheets", "40 ml". */
export const amountNeeded = ({ unit, amount }: Pick<Needed, 'unit' | 'amount'>): Message => message(`amounts.${unit}`, { n: amount });

const PAPERS: readonly ItemId[] = ['paper', 'heavy-paper', 'toothed-paper'];

/** The list for the tables: tools once however many steps use them, liquids and sheets summed. */
export function materialsFor(
  uses: readonly Partial<Record<ItemId, number>>[],
  classSize: number,
  sheetMm: readonly [number, number],
  shares: WorkedShares,
  ink: 'waterproof' | 'washable',
  coats: Coats = {},
): Needed[] {
  const most = new Map<ItemId, number>();
  const sum = new Map<ItemId, number>();
  for (const use of uses)
    for (const [id, n] of Object.entries(use) as [ItemId, number][]) {
      most.set(id, Math.max(most.get(id) ?? 0, n));
      sum.set(id, (sum.get(id) ?? 0) + n);
    }
  // One kind of drawing paper is enough: the most demanding step chooses it.
  const papers = PAPERS.filter((p) => most.has(p));
  const paper = papers.at(-1);
  const sheets = Math.max(0, ...papers.map((p) => most.get(p)!));
  for (const p of papers) if (p !== paper) most.delete(p);
  if (paper) most.set(paper, sheets);
  const area = (sheetMm[0] * sheetMm[1]) / A4_MM2;
  const order = Object.keys(ITEMS);
  return [...most.keys()]
    .map((id): Needed => {
      const it: Item = ITEMS[id];
      const needed = (amount: number, how: Message, coat: number | null = null): Needed => ({
        id,
        name: message(`items.${id}`, { ink }),
        unit: it.unit,
        amount,
        how,
        coat,
      });
      if (it.byArea) {
        const share = it.byArea === 'sheet' ? 1 : shares[it.byArea];
        const coat = coatOf(id, coats);
        const each = sum.get(id)! * coat * area * share * (1 + (it.waste ?? 0));
        return needed(
          Math.max(1, Math.ceil(each * classSize - 1e-9)),
          message('amounts.how.liquid', { each: figure(each, each < 1 ? 1 : 0) }),
          coat,
        );
      }
      if (PAPERS.includes(id)) {
        const spare = sparesFor(classSize);
        return needed(classSize * most.get(id)! + spare, message('amounts.how.paper', { each: most.get(id)!, spare }));
      }
      const count = id === 'scrap' ? Math.min(3, sum.get(id)!) : most.get(id)!;
      return needed(PER[it.per](classSize) * count, message(`amounts.how.${it.per}`, { count }));
    })
    .sort((a, b) => Number(a.unit === 'piece') - Number(b.unit === 'piece') || order.indexOf(a.id!) - order.indexOf(b.id!));
}

/** What steps of a teacher's own ask for, a thing of one name once, at the most any step asks for. */
export function ownNeeds(steps: readonly Technique[], classSize: number): Needed[] {
  const most = new Map<string, { n: number; per: Item['per'] }>();
  for (const { what, n, per } of steps.flatMap((t) => t.own?.items ?? [])) if (n > (most.get(what)?.n ?? 0)) most.set(what, { n, per });
  return [...most].map(([what, { n, per }]) => ({
    id: null,
    name: typed(what),
    unit: 'piece',
    amount: PER[per](classSize) * n,
    how: message(`amounts.how.${per}`, { count: n }),
    coat: null,
  }));
}

/** The needs of several groups as one list: a thing once, with what each needs of it added up. */
export function summed(lists: readonly (readonly Needed[])[]): Needed[] {
  const out = new Map<string, Needed>();
  for (const need of lists.flat()) {
    const there = out.get(shelfKey(need));
    out.set(shelfKey(need), there ? { ...there, amount: there.amount + need.amount } : need);
  }
  return [...out.values()];
}

/** What a pack of a thing holds, in its unit, and costs, in whatever money the teacher reckons; 0 where nobody has said. */
export interface Price {
  pack: number;
  cost: number;
}
export type Prices = Readonly<Record<string, Price>>;

export interface ToGet {
  need: Needed;
  amount: number;
  /** Whole packs of it, and what they cost; null where no price was said. */
  packs: number | null;
  cost: number | null;
}

/** What is still to be got: what is needed less what is on the shelf, in whole packs. */
export function toGet(materials: readonly Needed[], shelf: Shelf, prices: Prices): ToGet[] {
  return materials.flatMap((need): ToGet[] => {
    const amount = need.amount - (shelf[shelfKey(need)] ?? 0);
    if (!(amount > 0)) return [];
    const price = prices[shelfKey(need)];
    const packs = price ? Math.ceil(amount / price.pack - 1e-9) : null;
    return [{ need, amount, packs, cost: price && price.cost > 0 ? packs! * price.cost : null }];
  });
}
