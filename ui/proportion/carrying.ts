/** Knows what is carried over from a work: its points, its shapes and its own size, as the sheets are drawn from them. */
import { typed } from '@/core/message';
import { buildUp } from '@/core/proportion/buildUp';
import type { BodyRulers } from '@/core/proportion/bodyRulers';
import { CarrySource, CarryWishes, placingOf } from '@/core/proportion/carryOver';
import { meetingsOf, ReadShape } from '@/core/proportion/shapeList';
import type { Kind } from '../shared/kinds';

export interface CarriedWork {
  title: string;
  widthMm: number | null;
  frame: readonly [number, number, number, number];
}

type Points = Readonly<Record<string, readonly [number, number]>>;

/** The source of the sheets, by the points of one set and the shapes of the work as they are read; a sheet it does not fit is told by name. */
export function sourceOf(
  { title, widthMm, frame }: CarriedWork,
  kind: Kind | null,
  points: Points,
  read: readonly ReadShape[],
  wishes: CarryWishes,
  rulers: BodyRulers,
): CarrySource {
  const [x, y, w, h] = frame;
  const all = (kind?.template.points ?? []).filter((p) => points[p.name]);
  const placing = placingOf(wishes, { ratio: [w, h], widthMm });
  return {
    ratio: [w, h],
    widthMm,
    points: all.map((p) => ({
      name: p.name,
      said: kind!.pointSaid(p.name),
      at: [(points[p.name][0] - x) / w, (points[p.name][1] - y) / h] as const,
    })),
    joined: kind?.template.joined ?? [],
    unit: kind?.template.unit ?? null,
    steps: read.length ? buildUp(read, frame, placing, rulers, meetingsOf(read, frame), wishes.order) : [],
    title: typed(title),
  };
}
