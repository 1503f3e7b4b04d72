'use client';
import { useEffect, useLayoutEffect, useMemo, useRef } from 'react';
import { linesOf } from '@/core/proportion/measures';
import type { Template } from '@/core/proportion/template';
import { isTemplate, TEMPLATES } from '@/core/proportion/templates';
import type { Rect } from '@/core/raster/image';
import * as draw from './draw';
import { useLayers } from './Layers';
import { Legend } from './Legend';
import type { LayerName, Lit } from './layers';
import { Subject, useWhere, Where } from './where';

export interface Layered extends Subject {
  /** Landmarks placed on it, by template; `kind` is that of a teacher's own. */
  sets?: readonly { template: string; points: Record<string, readonly [number, number]>; kind?: Template }[];
  patches?: readonly Rect[];
  /** Points stand on it as handles already. */
  handled?: boolean;
}

interface Props {
  subject: Layered;
  /** Size of the picture, px. */
  width: number;
  height: number;
  /** Where the picture's corner lies on this canvas, and how many px of the screen one of its px is. */
  at: readonly [left: number, top: number, scale: number];
  mirror?: boolean;
  flip?: boolean;
  /** Its signs are told beside it. */
  legend?: boolean;
  /** How many px of the canvas are drawn for one of the screen: more where it is seen enlarged. */
  fine?: number;
}

const PLACES: ReadonlySet<LayerName> = new Set(['edges', 'colours', 'temperature', 'steps', 'contrast', 'area', 'lights', 'thirds']);
const MARKS: ReadonlySet<LayerName> = new Set(['strokes', 'directions', 'kinds', 'finish']);
const MOST_SIDE = 4096;

const wants = (shown: ReadonlySet<LayerName>, of: ReadonlySet<LayerName>) => [...shown].some((name) => of.has(name));

/** The layers of one picture, over it; redrawn as it is moved, as more of it has been read, and as readings light their places. */
export function LayerCanvas({ subject, width, height, at, mirror = false, flip = false, legend = false, fine = 1 }: Props) {
  const { on, lit, chosen } = useLayers();
  const canvas = useRef<HTMLCanvasElement>(null);
  // What is lit stands alone: its place would be lost among others.
  const shown = useMemo<ReadonlySet<LayerName>>(() => (lit ? new Set([lit.layer]) : on), [on, lit]);
  const [placesWanted, marksWanted] = [wants(shown, PLACES), wants(shown, MARKS)];
  const where = useWhere(subject, { places: placesWanted || marksWanted, marks: marksWanted });
  const veil = useVeil(where, shown, lit ?? standing(on, chosen));
  const [left, top, scale] = at;
  const paint = useRef<() => void>(() => undefined);
  useLayoutEffect(() => {
    paint.current = () => {
      const element = canvas.current;
      if (!element) return;
      const [w, h] = [element.clientWidth, element.clientHeight];
      const sharp = Math.min(devicePixelRatio * fine, MOST_SIDE / Math.max(w, h, 1));
      element.width = Math.max(1, Math.round(w * sharp));
      element.height = Math.max(1, Math.round(h * sharp));
      const pen = element.getContext('2d')!;
      pen.clearRect(0, 0, element.width, element.height);
      if (!shown.size || !(scale > 0)) return;
      pen.setTransform(sharp * scale, 0, 0, sharp * scale, sharp * left, sharp * top);
      if (mirror || flip) pen.transform(mirror ? -1 : 1, 0, 0, flip ? -1 : 1, mirror ? width : 0, flip ? height : 0);
      paintLayers({ pen, unit: 1 / (scale * fine) }, { subject, width, height, shown, lit, where, veil });
    };
    paint.current();
  }, [subject, width, height, shown, lit, where, veil, left, top, scale, mirror, flip, fine]);
  useEffect(() => {
    const seen = new ResizeObserver(() => paint.current());
    if (canvas.current) seen.observe(canvas.current);
    return () => seen.disconnect();
  }, []);
  return (
    <>
      <canvas
        ref={canvas}
        aria-hidden
        data-layers={[...shown].join(' ')}
        data-read={where.places ? `${where.marks.length}/${where.places.windows}` : ''}
        className="pointer-events-none absolute inset-0 h-full w-full"
      />
      {legend && <Legend shown={shown} where={where} places={placesWanted} marks={marksWanted} />}
    </>
  );
}

/** What a layer that is switched on shows by itself. */
function standing(on: ReadonlySet<LayerName>, chosen: string | null): Lit | null {
  if (on.has('colours') && chosen) return { layer: 'colours', colour: chosen };
  return on.has('steps') ? { layer: 'steps', outside: [35, 75] } : null;
}

/** The veil that leaves clear what is lit, made anew only when that changes. */
function useVeil({ places }: Where, shown: ReadonlySet<LayerName>, told: Lit | null): HTMLCanvasElement | null {
  const temperature = shown.has('temperature') && !told?.temperature;
  const of = JSON.stringify(told);
  return useMemo(() => {
    if (!places) return null;
    const lit = JSON.parse(of) as Lit | null;
    const dimmed = lit && draw.dimmed(places, lit);
    if (dimmed) return dimmed;
    return temperature ? draw.temperatureVeil(places) : null;
  }, [places, of, temperature]);
}

interface Painted {
  subject: Layered;
  width: number;
  height: number;
  shown: ReadonlySet<LayerName>;
  lit: Lit | null;
  where: Where;
  veil: HTMLCanvasElement | null;
}

function paintLayers(sheet: Parameters<typeof draw.drawPoints>[0], { subject, width, height, shown, lit, where, veil }: Painted) {
  const { places, marks } = where;
  const frame = places?.frame ?? subject.as.frame ?? ([0, 0, width, height] as const);
  const has = (name: LayerName) => shown.has(name);
  if (places) {
    if (veil) draw.drawVeil(sheet, places, veil);
    if (has('lights')) draw.drawLights(sheet, places);
    if (has('edges')) draw.drawEdges(sheet, places, lit?.handling);
    if (has('area')) draw.drawArea(sheet, places);
    if (has('contrast')) draw.drawContrast(sheet, places);
  }
  if (has('thirds')) draw.drawThirds(sheet, frame);
  if (has('kinds')) draw.drawKinds(sheet, marks);
  if (has('finish')) draw.drawFinish(sheet, frame, marks, lit?.field ?? null);
  if (has('strokes'))
    draw.drawStrokes(
      sheet,
      marks.map((m) => m.strokes),
    );
  if (lit?.way) draw.drawMeasure(sheet, [{ ...lit.way, as: 'length' }]);
  if (has('directions')) draw.drawTicks(sheet, marks);
  if (has('patches')) draw.drawPatches(sheet, subject.patches ?? []);
  if (has('points')) {
    const sets = subject.sets ?? [];
    if (!subject.handled)
      draw.drawPoints(
        sheet,
        sets.flatMap((s) => Object.values(s.points)),
      );
    const measure = lit?.measure;
    for (const { template, points, kind = isTemplate(template) ? TEMPLATES[template] : null } of sets)
      if (kind && measure?.template === template) draw.drawMeasure(sheet, linesOf(kind, measure.name, points, frame));
  }
}
