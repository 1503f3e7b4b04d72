/** Knows what shows a rule best: the place of the work where its marks lie closest together, the colours it speaks of, or the whole. */
import { DRAWN, HATCHED, MarkKind } from '../marks/kinds';
import type { OrderedColour } from './colourOrder';

/** A place as 0–1 of the picture proper, a few colours, or all of it. */
export type RulePicture = { place: readonly [x: number, y: number] } | { colours: readonly string[] } | { whole: true };

interface Read {
  /** Where which kind of mark was read, 0–1 of the picture proper. */
  places: readonly { x: number; y: number; kind: MarkKind | null }[];
  /** Where the strongest contrast lies. */
  focus: readonly [number, number];
  palette: readonly Pick<OrderedColour, 'hex' | 'ground' | 'accent' | 'share'>[];
}

const WHOLE: RulePicture = { whole: true };
const MOST_COLOURS = 5;
/** Places no farther apart are neighbours, as a share of a side. */
const NEAR = 0.14;

/** The place with most of its kind around it; null where there is none. */
function thickest(places: Read['places'], kinds: ReadonlySet<MarkKind>): RulePicture | null {
  const own = places.filter((p) => p.kind !== null && kinds.has(p.kind));
  let best: { place: readonly [number, number]; n: number } | null = null;
  for (const p of own) {
    const n = own.filter((o) => Math.hypot(o.x - p.x, o.y - p.y) < NEAR).length;
    if (!best || n > best.n) best = { place: [p.x, p.y], n };
  }
  return best && { place: best.place };
}

/** What shows a rule about a feature; of a sentence of one's own, the whole. */
export function pictureOfRule(feature: string, { places, focus, palette }: Read): RulePicture {
  const colours = (list: Read['palette']): RulePicture =>
    list.length ? { colours: list.slice(0, MOST_COLOURS).map((c) => c.hex) } : WHOLE;
  if (feature === 'colour.accent') return colours(palette.filter((c) => c.accent));
  if (feature.startsWith('colour.ground')) return colours(palette.filter((c) => c.ground));
  if (feature.startsWith('colour.')) return colours([...palette].sort((a, b) => b.share - a.share));
  if (feature.startsWith('marks.share.')) return thickest(places, new Set([feature.slice('marks.share.'.length) as MarkKind])) ?? WHOLE;
  if (feature.startsWith('marks.line')) return thickest(places, new Set<MarkKind>(['line'])) ?? thickest(places, DRAWN) ?? WHOLE;
  if (feature.startsWith('marks.')) return thickest(places, HATCHED) ?? thickest(places, DRAWN) ?? { place: focus };
  if (feature.startsWith('value.') || feature.startsWith('edges.')) return { place: focus };
  return WHOLE;
}
