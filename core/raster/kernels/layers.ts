/**
 * Knows the layers that reading marks starts from, made in one go from how far each px departs from the sheet: so that what only leads from one
 * to the next never leaves the compiled loops' memory.
 */
import { Mask, Plane } from '../image';
import { besideAt, Beside, componentsAt, eachComponent, FromComponent, sauvolaAt, softenAt, Softening, spreadAt } from './kernels';
import { Arena, once } from './memory';

/** How marks are told from the sheet: softened by `soft`, over `bare`, and over `part` of the highest within `reach` px or with nothing bare there. */
export interface Marking {
  soft: Softening;
  /** Softening under which nothing bare is looked for. */
  softer: Softening;
  bare: number;
  part: number;
  reach: number;
}

export interface Layering {
  marking: Marking;
  /** Softenings from fine to coarse: of what lines are found in, of the texture's two sides with one between them, and of the tone. */
  fine: Softening;
  middle: Softening;
  coarse: Softening;
  tone: Softening;
  /** How lines are found (`sauvolaMask`), the smallest that is a stroke (px²), and how far from one its side begins, px. */
  lines: { radius: number; k: number; floor: number };
  speck: number;
  aside: number;
  /** Within so many px nothing is bare where a px counts as covered; null where that is not asked. */
  inside: number | null;
}

export interface MarkLayers<T> {
  marked: Mask;
  lines: Mask;
  /** What hangs together of the lines. */
  list: T[];
  covered: Uint8Array | null;
  tone: Plane;
  /** What lies between `softer` and `coarse`, and how `middle` rises, units a px. */
  texture: Plane;
  rise: Plane;
  /** Between `fine`, `softer`, `middle` and `coarse` where no stroke is near. */
  beside: Beside;
}

/** Softens a plane that lies at an address; gives where the soft one lies. */
function softAt(arena: Arena, from: number, w: number, h: number, by: Softening): number {
  const to = arena.room(4 * w * h);
  softenAt(arena, from, to, w, h, by);
  return to;
}

function markedAt(arena: Arena, from: number, softer: number, w: number, h: number, { soft, bare, part, reach }: Marking): number {
  const [highest, lowest, to] = [arena.room(4 * w * h), arena.room(4 * w * h), arena.room(w * h)];
  const judged = softAt(arena, from, w, h, soft);
  spreadAt(arena, judged, highest, w, h, reach, false);
  spreadAt(arena, softer, lowest, w, h, reach, true);
  arena.run.marks(judged, highest, lowest, to, w * h, bare, part);
  return to;
}

/** Marked px of a plane that is 0 on the sheet. */
export const markedBy = ({ width, height, data }: Plane, marking: Marking): Mask =>
  once((arena) => {
    const from = arena.write(data);
    const marked = markedAt(arena, from, softAt(arena, from, width, height, marking.softer), width, height, marking);
    return { width, height, data: arena.bytes(marked, width * height) };
  });

/** All layers of a plane that is 0 on the sheet; `each` makes something of what hangs together of its lines. */
export function layersOf<T>({ width, height, data }: Plane, how: Layering, each: FromComponent<T>): MarkLayers<T> {
  const n = width * height;
  return once((arena) => {
    const { run } = arena;
    const from = arena.write(data);
    const soft = (by: Softening) => softAt(arena, from, width, height, by);
    const [fine, softer, middle, coarse] = [soft(how.fine), soft(how.marking.softer), soft(how.middle), soft(how.coarse)];
    const marked = markedAt(arena, from, softer, width, height, how.marking);
    const [lines, strokes, covered, lowest, rise] = [arena.room(n), arena.room(n), arena.room(n), arena.room(4 * n), arena.room(4 * n)];
    sauvolaAt(arena, fine, lines, width, height, how.lines);
    const { labels, sums, count } = componentsAt(arena, lines, width, height);
    run.large(labels, sums, strokes, n, how.speck);
    if (how.inside !== null) {
      spreadAt(arena, softer, lowest, width, height, how.inside, true);
      run.over(lowest, covered, n, how.marking.bare);
    }
    run.slope(middle, rise, width, height);
    const beside = besideAt(arena, strokes, [fine, softer, middle, coarse], width, height, how.aside);
    run.less(softer, coarse, n);
    const plane = (at: number): Plane => ({ width, height, data: arena.floats(at, n) });
    const mask = (at: number): Mask => ({ width, height, data: arena.bytes(at, n) });
    return {
      marked: mask(marked),
      lines: mask(lines),
      list: eachComponent(arena, sums, count, each),
      covered: how.inside === null ? null : arena.bytes(covered, n),
      tone: plane(soft(how.tone)),
      texture: plane(softer),
      rise: plane(rise),
      beside,
    };
  });
}
