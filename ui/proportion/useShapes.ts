'use client';
import { useEffect, useMemo, useState } from 'react';
import { Message } from '@/core/message';
import { DrawnShape, meetingsOf, readShapes, wholeOf } from '@/core/proportion/shapeList';
import type { FittedShape } from '@/core/proportion/shapes';
import { readingWorker } from '../shared/reading/client';
import { get, send } from '../shared/request';
import { KEYS } from '../shared/server/keys';
import { useSaved } from '../shared/server/useSaved';

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

/** What the shapes are read as: fitted in the worker, one after another; a shape that is not fitted yet is not among them. */
export function useReadShapes(shapes: readonly DrawnShape[], frame: Frame) {
  const [fits, setFits] = useState<ReadonlyMap<string, FittedShape[]>>(new Map());
  useEffect(() => {
    let stale = false;
    for (const { outline } of shapes) {
      const key = JSON.stringify(outline);
      if (fits.has(key)) continue;
      void readingWorker()
        .fit(outline)
        .then((fit) => !stale && setFits((was) => new Map([...was, [key, fit]])))
        .catch(() => undefined);
    }
    return () => {
      stale = true;
    };
  }, [shapes, fits]);
  return useMemo(() => {
    const ready = shapes.filter((s) => fits.has(JSON.stringify(s.outline)));
    const read = readShapes(ready, frame, new Map(ready.map((s) => [s.id, fits.get(JSON.stringify(s.outline))!])));
    return { read, meetings: meetingsOf(read, frame), whole: wholeOf(read, frame) };
  }, [shapes, fits, frame]);
}
