/** Knows how much is needed: sheets from parent sheets, millilitres for an area, paint for a measured palette. */
import { DRAWN, MarkKind } from '../marks/kinds';
import { figure, Message, message } from '../message';
import { sparesFor } from './cutting';
import { ITEMS, Item, ItemId } from './items';

const A4_MM2 = 297 * 210;

export interface ColourNeed {
  name: Message;
  hex: string;
  /** Millilitres for the whole class, waste included. */
  ml: number;
}

/** Common practice, no source: one millilitre of gouache covers about 90 cm² in one coat. */
const GOUACHE_CM2_PER_ML = 90;

/**
 * Paint for a measured palette: share × sheet area ÷ coverage × layers × class, and the waste on top.
 * Shares 0–1, sheet in mm; at least 1 ml each, since less cannot be mixed evenly.
 */
export function paintForPalette(
  palette: readonly { name: Message; hex: string; share: number }[],
  sheetMm: readonly [number, number],
  classSize: number,
  layers = 1,
  waste = 0.25,
): ColourNeed[] {
  const cm2 = (sheetMm[0] * sheetMm[1]) / 100;
  return palette.map(({ name, hex, share }) => ({
    name,
    hex,
    ml: Math.max(1, Math.ceil(((share * cm2) / GOUACHE_CM2_PER_ML) * layers * classSize * (1 + waste))),
  }));
}

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
  const light = palette.filter((c) => !c.ground && (c.accent || (sheet && c.lab[0] > sheet.lab[0] + 6)));
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
  id: ItemId;
  name: Message;
  unit: Item['unit'];
  amount: number;
  how: Message;
}

/** "12 sheets", "40 ml". */
export const amountNeeded = ({ unit, amount }: Pick<Needed, 'unit' | 'amount'>): Message => message(`amounts.${unit}`, { n: amount });

const PER: Record<Item['per'], (size: number) => number> = {
  student: (n) => n,
  pair: (n) => Math.ceil(n / 2),
  table: (n) => Math.ceil(n / 4),
  class: () => 1,
};
const PAPERS: readonly ItemId[] = ['paper', 'heavy-paper', 'toothed-paper'];

/** The list for the tables: tools once however many steps use them, liquids and sheets summed. */
export function materialsFor(
  uses: readonly Partial<Record<ItemId, number>>[],
  classSize: number,
  sheetMm: readonly [number, number],
  shares: WorkedShares,
  ink: 'waterproof' | 'washable',
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
      const needed = (amount: number, how: Message): Needed => ({ id, name: message(`items.${id}`, { ink }), unit: it.unit, amount, how });
      if (it.byArea) {
        const share = it.byArea === 'sheet' ? 1 : shares[it.byArea];
        const each = sum.get(id)! * area * share * (1 + (it.waste ?? 0));
        return needed(Math.max(1, Math.ceil(each * classSize)), message('amounts.how.liquid', { each: figure(each, each < 1 ? 1 : 0) }));
      }
      if (PAPERS.includes(id)) {
        const spare = sparesFor(classSize);
        return needed(classSize * most.get(id)! + spare, message('amounts.how.paper', { each: most.get(id)!, spare }));
      }
      const count = id === 'scrap' ? Math.min(3, sum.get(id)!) : most.get(id)!;
      return needed(PER[it.per](classSize) * count, message(`amounts.how.${it.per}`, { count }));
    })
    .sort((a, b) => Number(a.unit === 'piece') - Number(b.unit === 'piece') || order.indexOf(a.id) - order.indexOf(b.id));
}
