'use client';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { Landmarks } from '@/core/proportion/align';
import { bendToManner, mannerFactors, onTheWay } from '@/core/proportion/manner';
import type { TemplateName } from '@/core/proportion/templates';
import { readingWorker, wholePicture } from '../shared/reading/client';
import type { ShownPicture } from '../shared/reading/reading.worker';
import type { MasterWork } from './reference';

/** What the master's measured factors make of a reference's points; null where either has too few. */
export function useManner(template: TemplateName, works: readonly MasterWork[], reference: Landmarks) {
  const factors = useMemo(
    () =>
      mannerFactors(
        template,
        works.map((w) => w.points[template] ?? []),
      ),
    [template, works],
  );
  const bent = useMemo(
    () => (factors.length && Object.keys(reference).length >= 3 ? bendToManner(template, reference, factors) : null),
    [template, reference, factors],
  );
  return { factors, bent };
}

/** The bent picture, drawn in the worker; while it draws, the newest wish waits and older ones are dropped. */
export function useGhost(
  picture: { pictureId: string; pictureWidth: number; pictureHeight: number },
  template: TemplateName,
  reference: Landmarks,
  manner: Landmarks | null,
  strength: number,
  parts: Readonly<Record<string, number>>,
  side: number,
): { ghost: (ShownPicture & { folded: number }) | null; points: Landmarks } {
  const points = useMemo(
    () => (manner ? onTheWay(template, reference, manner, strength, parts) : reference),
    [template, reference, manner, strength, parts],
  );
  const [ghost, setGhost] = useState<(ShownPicture & { folded: number }) | null>(null);
  const busy = useRef(false);
  const wanted = useRef<(() => Promise<void>) | null>(null);
  const { pictureId, pictureWidth, pictureHeight } = picture;
  const able = manner !== null;
  useEffect(() => {
    if (!able) return;
    let gone = false;
    wanted.current = async () => {
      const made = await readingWorker().ghost(wholePicture(pictureId), [pictureWidth, pictureHeight], reference, points, side);
      if (!gone) setGhost(made);
    };
    const run = async () => {
      if (busy.current) return;
      busy.current = true;
      try {
        while (wanted.current) {
          const next = wanted.current;
          wanted.current = null;
          await next().catch(() => undefined);
        }
      } finally {
        busy.current = false;
      }
    };
    void run();
    return () => {
      gone = true;
    };
  }, [able, pictureId, pictureWidth, pictureHeight, reference, points, side]);
  return { ghost: able ? ghost : null, points };
}
