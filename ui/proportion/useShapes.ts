'use client';
import { useEffect, useMemo, useRef, useState } from 'react';
import { Message } from '@/core/message';
import { DrawnShape, Meeting, readShapes, ReadShape, Whole } from '@/core/proportion/shapeList';
import type { FittedShape } from '@/core/proportion/shapes';
import { readingWorker } from '../shared/reading/client';
import { get, send } from '../shared/request';
import { KEYS } from '../shared/server/keys';
import { useSaved } from '../shared/server/useSaved';
import { useSettled } from '../shared/useSettled';

export interface ShapeList {
  shapes: DrawnShape[];
  version: number;
}

/** The shapes of one work, saved as they are drawn. */
export function useShapeList(workId: string, first: ShapeList) {
  const path = `/api/works/${workId}/shapes`;
  const { value, show, save, problem } = useSaved<ShapeList, DrawnShape[]>({
    key: [...KEYS.landmarks, 'shapes', workId],
    first,
    load: () => get<ShapeList>(path),
    valueOf: (list) => list.shapes,
    store: async (shapes, { version }, label) => {
      const answer = await send<{ version: number }>('PUT', path, { version, shapes, label });
      return { shapes, version: answer.version };
    },
    pause: 300,
  });
  const put = (shapes: DrawnShape[], label: Message) => {
    show(shapes);
    save(label);
  };
  return { shapes: value, put, problem };
}

type Frame = readonly [number, number, number, number];

/** What stops at what, and what the whole does: reckoned in the worker. */
export interface Relations {
  meetings: Meeting[];
  whole: Whole | null;
}

/** The newest fit of each shape, and of which outline it is. */
type Fits = ReadonlyMap<string, { outline: string; fit: FittedShape[] }>;

/**
 * What the shapes are read as, fitted in the worker once their outlines have come to rest; while one is being changed it keeps the basic
 * shape it had. A shape that has never been fitted is not among them.
 */
export function useReadShapes(shapes: readonly DrawnShape[], frame: Frame): ReadShape[] {
  const [fits, setFits] = useState<Fits>(new Map());
  const asked = useRef(new Map<string, string>());
  const settled = useSettled(shapes);
  useEffect(() => {
    for (const { id, outline: at } of settled) {
      const outline = JSON.stringify(at);
      if (asked.current.get(id) === outline) continue;
      asked.current.set(id, outline);
      void readingWorker()
        .fit(at)
        // Another outline may have been asked for meanwhile.
        .then((fit) => asked.current.get(id) === outline && setFits((was) => new Map([...was, [id, { outline, fit }]])))
        .catch(() => undefined);
    }
  }, [settled]);
  return useMemo(() => {
    const ready = shapes.filter((s) => fits.has(s.id));
    return readShapes(ready, frame, new Map(ready.map((s) => [s.id, fits.get(s.id)!.fit])));
  }, [shapes, fits, frame]);
}

const NONE: Relations = { meetings: [], whole: null };

/** The relations of the shapes once they have come to rest. */
export function useRelations(shapes: readonly DrawnShape[], frame: Frame): Relations {
  const [relations, setRelations] = useState(NONE);
  const settled = useSettled(shapes);
  useEffect(() => {
    let stale = false;
    void readingWorker()
      .relations([...settled], frame)
      .then((now) => !stale && setRelations(now))
      .catch(() => undefined);
    return () => {
      stale = true;
    };
  }, [settled, frame]);
  return relations;
}
