/** Knows what is carried over from a work: its points, its shapes and its own size, as the sheets are drawn from them. */
import { message, typed } from '@/core/message';
import { buildUp } from '@/core/proportion/buildUp';
import type { BodyRulers } from '@/core/proportion/bodyRulers';
import { CarrySource, CarryWishes, placingOf } from '@/core/proportion/carryOver';
import type { KeptLine } from '@/core/proportion/keptLines';
import { meetingsOf, ReadShape } from '@/core/proportion/shapeList';
import { Kind, kindOf, OwnKept } from '../shared/kinds';

export interface CarriedWork {
  title: string;
  widthMm: number | null;
  frame: readonly [number, number, number, number];
}

interface Placed {
  template: string;
  name: string;
  points: Readonly<Record<string, readonly [number, number]>>;
}

/** What is carried over of a work's figures: all of them, in the place of a template's name. */
export const ALL_FIGURES = 'all';

/** A figure: what its points are of, and where they lie. */
interface Figure {
  kind: Kind;
  name: string;
  points: Placed['points'];
}

/** The figures that are meant: one by its template and name, or all. */
export const figuresOf = (sets: readonly Placed[], own: readonly OwnKept[], template: string, name: string): Figure[] =>
  sets
    .filter((s) => template === ALL_FIGURES || (s.template === template && s.name === name))
    .flatMap((s) => {
      const kind = kindOf(s.template, own);
      return kind ? [{ kind, name: s.name, points: s.points }] : [];
    });

/** The source of the sheets, by points, shapes as they are read, and kept lines; a sheet it does not fit is told by name. */
export function sourceOf(
  { title, widthMm, frame }: CarriedWork,
  figures: readonly Figure[],
  read: readonly ReadShape[],
  lines: readonly KeptLine[],
  wishes: CarryWishes,
  rulers: BodyRulers,
): CarrySource {
  const [x, y, w, h] = frame;
  const at = ([px, py]: readonly [number, number]) => [(px - x) / w, (py - y) / h] as const;
  const placing = placingOf(wishes, { ratio: [w, h], widthMm });
  const each = figures.map(({ kind, name, points }, i) => {
    // Points of several figures have their own names beside each other.
    const own = (point: string) => (figures.length > 1 ? `${i}:${point}` : point);
    return {
      points: kind.template.points
        .filter((p) => points[p.name])
        .map((p) => {
          const said = kind.pointSaid(p.name);
          const figure = name ? typed(name) : kind.title;
          return {
            name: own(p.name),
            said: figures.length > 1 ? message('carry.ofFigure', { point: said, figure }) : said,
            at: at(points[p.name]),
          };
        }),
      joined: kind.template.joined.map((names) => names.map(own)),
      unit: kind.template.unit?.every((n) => points[n]) ? ([own(kind.template.unit[0]), own(kind.template.unit[1])] as const) : null,
    };
  });
  return {
    ratio: [w, h],
    widthMm,
    points: each.flatMap((f) => f.points),
    joined: each.flatMap((f) => f.joined),
    lines: lines.map((l) => ({ said: typed(l.name), ends: [at(l.ends[0]), at(l.ends[1])] as const })),
    // One unit for all: that of the first figure that has its own.
    unit: each.find((f) => f.unit)?.unit ?? null,
    steps: read.length ? buildUp(read, frame, placing, rulers, meetingsOf(read, frame), wishes.order) : [],
    title: typed(title),
  };
}
