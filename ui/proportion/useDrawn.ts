'use client';
import { useEffect, useMemo, useRef, useState } from 'react';
import { Message } from '@/core/message';
import type { KeptLine } from '@/core/proportion/keptLines';
import { DrawnShape, Meeting, readShapes, ReadShape, Whole } from '@/core/proportion/shapeList';
import type { FittedShape } from '@/core/proportion/shapes';
import { readingWorker } from '../shared/reading/client';
import { get, send } from '../shared/request';
import { KEYS } from '../shared/server/keys';
import { useSaved } from '../shared/server/useSaved';
import { useSettled } from '../shared/useSettled';

export interface Drawn {
  shapes: DrawnShape[];
  lines: KeptLine[];
  version: number;
}

type Parts = Pick<Drawn, 'shapes' | 'lines'>;

/** What is drawn over one work, shapes and kept lines, saved as it is drawn. */
export function useDrawn(workId: string, first: Drawn) {
  const path = `/api/works/${workId}/shapes`;
  const { value, show, save, problem } = useSaved<Drawn, Parts>({
    key: [...KEYS.landmarks, 'drawn', workId],
    first,
    load: () => get<Drawn>(path),
    valueOf: (drawn) => drawn,
    store: async ({ shapes, lines }, { version }, label) => {
      const answer = await send<{ version: number }>('PUT', path, { version, shapes, lines, label });
      return { shapes, lines, version: answer.version };
    },
    pause: 300,
  });
  const { shapes, lines } = value;
  const put = (part: Partial<Parts>, label: Message) => {
    show({ shapes, lines, ...part });
    save(label);
  };
  return { shapes, lines, put, problem };
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
