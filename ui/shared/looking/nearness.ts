/** Knows how near a picture is looked at and which part of it is seen. */
import { clamp } from '@/core/raster/statistics';

/** How near a picture is looked at, and which part of it stands in the middle, 0–1. */
export interface Nearness {
  zoom: number;
  x: number;
  y: number;
}

/** How much larger than the picture as a whole the frame is, along each side; 1 where the picture fills it. */
export type Room = readonly [x: number, y: number];

export const WHOLE: Nearness = { zoom: 1, x: 0.5, y: 0.5 };
const FILLED: Room = [1, 1];
const MOST = 12;
/** What a double click comes nearer by. */
const CLOSE = 2.5;

/** The same view with the zoom within its bounds and no edge of the picture farther inside the frame than need be. */
export function bounded({ zoom, x, y }: Nearness, room: Room = FILLED): Nearness {
  const z = clamp(zoom, 1, MOST);
  const [hx, hy] = room.map((r) => Math.min(0.5, r / 2 / z));
  return { zoom: z, x: clamp(x, hx, 1 - hx), y: clamp(y, hy, 1 - hy) };
}

/** Nearer or farther by a factor, keeping the point at (u, v) of the frame, 0–1, where it is. */
export function zoomedAt(view: Nearness, factor: number, u: number, v: number, room: Room = FILLED): Nearness {
  const zoom = clamp(view.zoom * factor, 1, MOST);
  const shift = 1 / view.zoom - 1 / zoom;
  return bounded({ zoom, x: view.x + (u - 0.5) * room[0] * shift, y: view.y + (v - 0.5) * room[1] * shift }, room);
}

/** The whole, or near where it was clicked. */
export const swapped = (view: Nearness, u: number, v: number, room: Room = FILLED): Nearness =>
  view.zoom > 1.01 ? WHOLE : zoomedAt(view, CLOSE, u, v, room);

/** Moved so that what was dragged by (dx, dy) of the frame, 0–1, follows. */
export const dragged = (view: Nearness, dx: number, dy: number, room: Room = FILLED): Nearness =>
  bounded({ zoom: view.zoom, x: view.x - (dx * room[0]) / view.zoom, y: view.y - (dy * room[1]) / view.zoom }, room);

/** Part of the frame by which an arrow key moves the view. */
const STEP = 0.15;

/** What a key does to the view; null for any other key. */
export function keyed(view: Nearness, key: string, room: Room = FILLED): Nearness | null {
  const to = { ArrowLeft: [1, 0], ArrowRight: [-1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }[key];
  if (to) return view.zoom > 1.01 ? dragged(view, to[0] * STEP, to[1] * STEP, room) : null;
  if (key === '+' || key === '=') return zoomedAt(view, 1.4, 0.5, 0.5, room);
  if (key === '-') return zoomedAt(view, 1 / 1.4, 0.5, 0.5, room);
  return key === '0' ? WHOLE : null;
}

/** A place of a picture that something small is looked for at. */
export interface Toward {
  /** Names it: once it was left it is not gone to again. */
  key: string;
  /** Px of the picture, as is `span`: what lies so far apart there is to be told apart. */
  at: readonly [number, number];
  span: number;
}

/** Nearer together on the screen than the first things are hard to hit; they are shown so far apart as the second; px. */
const [TIGHT, CLEAR] = [14, 42];

/** The view of a place where what is to be told apart is; the view as it was where that can be seen in it. `across` is the width of the whole picture, px of the screen. */
export function nearerTo({ at: [x, y], span }: Toward, view: Nearness, width: number, height: number, across: number): Nearness {
  const shown = (span * across) / width;
  if (!(shown > 0) || shown * view.zoom >= TIGHT) return view;
  return { zoom: clamp(CLEAR / shown, 1, MOST), x: x / width, y: y / height };
}
