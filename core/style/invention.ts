/** Knows how far a picture is from being a copy: what stands where, whatever was mirrored, turned, moved, cut or recoloured. */
import { clamp, median } from '../raster/statistics';
import { foundAgain, Keypoint, unpacked } from './keypoints';
import { Layout } from './layout';
import { likenessOfForms } from './likeness';
import { placer, Registration, registerLayouts } from './register';

export interface Invention {
  /** 0 for the same picture; about 70 for one no more like the works than they are like each other. */
  score: number;
  /** Index of the source work it comes nearest to, and how that one was laid over it. */
  nearest: number;
  registration: Registration;
}

/** Overlap of the worked shapes when the source is laid over the piece as registered, 0–1. */
function shapeOverlap(source: Layout, piece: Layout, r: Registration): number {
  const place = placer(r, source, piece);
  let both = 0;
  let either = 0;
  for (let y = 0; y < source.height; y++)
    for (let x = 0; x < source.width; x++) {
      const [u, v] = place(x, y);
      const [px, py] = [Math.floor(u * piece.width), Math.floor(v * piece.height)];
      if (px < 0 || py < 0 || px >= piece.width || py >= piece.height) continue;
      const [a, b] = [source.shape[y * source.width + x] > 50, piece.shape[py * piece.width + px] > 50];
      if (a && b) both++;
      if (a || b) either++;
    }
  return either > 0 ? both / either : 0;
}

/** A layout with its points ready to be looked for. */
interface Known {
  layout: Layout;
  points: Keypoint[];
}

interface Alike {
  /** 0–1: where the darks lie and how the smaller forms stand in them, at the best placing. */
  likeness: number;
  /** Points of the one found again in the other in one placing. */
  again: number;
  registration: Registration;
}

function alike(source: Known, piece: Known): Alike {
  const registration = registerLayouts(source.layout, piece.layout);
  // Where the darks lie, and how the smaller forms stand in them, count alike; silhouettes only where those agree too.
  const inner = (clamp(registration.correlation, 0, 1) + likenessOfForms(source.layout, piece.layout, registration)) / 2;
  return {
    likeness: inner * (0.9 + 0.1 * shapeOverlap(source.layout, piece.layout, registration)),
    again: foundAgain(source.points, piece.points)?.count ?? 0,
    registration,
  };
}

/** Redrawn copies come to this likeness and more: see the accuracy notes. */
const COPY = 0.84;
/** How alike different works of one hand usually are, and how much that differs from hand to hand; it counts for so many of a study's works. */
const USUAL = { likeness: 0.5, apart: 0.09, works: 2 };
/** Works looked at to learn how alike they are; more would say little more. */
const MOST_WORKS = 8;
/** Points found again by chance between different pictures: at most 6 on real ones that nothing was set on. */
const CHANCE_POINTS = 7;

interface Null {
  /** Likeness of a further, different work to the nearest of the study's works. */
  usual: number;
  /** Points of a work that are found again in another: a hand may repeat its motif. */
  points: number;
}

/** What was found among the last few sets of works: a class of thirty is held against the same ones. */
const remembered = new Map<string, Null>();
const MOST_REMEMBERED = 24;

/** Nearly the same for no two sets of pictures: their cells' sums, to the last digit. */
const fingerprint = (works: readonly Known[]): string =>
  works
    .map(
      ({ layout: l }) => `${l.width},${l.height},${l.weight.reduce((s, v, i) => s + v * ((i % 97) + 1), 0)},${l.points.forms.slice(0, 64)}`,
    )
    .join(';');

function amongWorks(works: readonly Known[]): Null {
  const key = fingerprint(works);
  const known = remembered.get(key);
  if (known) return known;
  const found = readAmong(works);
  remembered.set(key, found);
  if (remembered.size > MOST_REMEMBERED) remembered.delete(remembered.keys().next().value!);
  return found;
}

/** How alike the study's works are to each other: each held against the nearest of the others, corrected for how many there are to come near to. */
function readAmong(works: readonly Known[]): Null {
  const step = Math.max(1, works.length / MOST_WORKS);
  const chosen = Array.from({ length: Math.min(works.length, MOST_WORKS) }, (_, k) => works[Math.floor(k * step)]);
  const best = chosen.map(() => 0);
  const again = chosen.map(() => 0);
  for (let i = 0; i < chosen.length; i++)
    for (let j = 0; j < i; j++) {
      const { likeness, again: points } = alike(chosen[i], chosen[j]);
      for (const k of [i, j]) {
        best[k] = Math.max(best[k], likeness);
        again[k] = Math.max(again[k], points);
      }
    }
  // The nearest of many comes nearer than the nearest of few: by the normal's expected largest (Blom 1958), to first order.
  const reach = (n: number) => (n > 1 ? Math.sqrt(2 * Math.log(n)) * 0.8 : 0);
  const more = USUAL.apart * (reach(works.length) - reach(Math.max(1, chosen.length - 1)));
  const alone = USUAL.likeness + USUAL.apart * reach(works.length);
  if (chosen.length < 2) return { usual: Math.min(alone, COPY - 0.12), points: 0 };
  // By the median: two versions of one motif among the works are no measure of the rest.
  const shown = median(best) + more;
  const usual = (shown * chosen.length + alone * USUAL.works) / (chosen.length + USUAL.works);
  return { usual: Math.min(usual, COPY - 0.1), points: median(again) };
}

/** Curve from likeness to score: half of 100 where a piece stands at this part of the way from a copy to a different work. */
const HALF = 0.66;

/** A source work; `part` where it is cut out of another one of them. */
export interface Source {
  layout: Layout;
  part?: boolean;
}

/**
 * Own invention of a piece against every source work; null when there is none. Its zero is a copy, its usual value what the works are to
 * each other; a piece that is less like them than that comes nearer to 100. A part of a work says nothing of how alike different works are.
 */
export function inventionOf(sources: readonly Source[], piece: Layout): Invention | null {
  if (!sources.length) return null;
  const known = (layout: Layout): Known => ({ layout, points: unpacked(layout.points) });
  const works = sources.map((s) => known(s.layout));
  const own = known(piece);
  const each = works.map((w) => alike(w, own));
  const { usual, points } = amongWorks(works.filter((_, i) => !sources[i].part));
  // A work that is found again point by point is the nearest, wherever its darks may seem to lie.
  const least = Math.max(CHANCE_POINTS, 1.5 * points);
  const sure = (a: Alike) => clamp((a.again - least) / least, 0, 1);
  const nearness = (a: Alike) => Math.max(a.likeness, sure(a));
  const nearest = each.reduce((best, a, i) => (nearness(a) > nearness(each[best]) ? i : best), 0);
  const way = clamp((COPY - each[nearest].likeness) / (COPY - usual), 0, 3);
  const score = (100 * way * way) / (way * way + HALF * HALF);
  return { score: score * (1 - sure(each[nearest])), nearest, registration: each[nearest].registration };
}
