/** Knows which part of a photograph and of the sheet squared up from it show the same place. */
import { applyHomography, fitHomography, invertHomography, rectangleCorners } from '@/core/capture/homography';
import type { Point } from '@/core/raster/image';
import { bounded, Nearness, WHOLE } from '../shared/looking/nearness';

/** The sheet lies in the photograph at these corners: top left, top right, bottom right, bottom left, shares of its sides. */
export type Corners = readonly Point[];

const long = ([ax, ay]: Point, [bx, by]: Point) => Math.hypot(bx - ax, by - ay);

/** Share of the photograph's side that the sheet takes, so many times nearer it is seen by itself. */
const shareOf = ([tl, tr, br, bl]: Corners): number => Math.sqrt(0.25 * (long(tl, tr) + long(bl, br)) * (long(tl, bl) + long(tr, br)) || 1);

/** How near the photograph is seen where the sheet is seen so near. */
export function inPhotograph(view: Nearness, corners: Corners): Nearness {
  if (view.zoom <= 1.01) return WHOLE;
  const [x, y] = applyHomography(fitHomography(rectangleCorners(1, 1), corners), [view.x, view.y]);
  return bounded({ zoom: view.zoom / shareOf(corners), x, y });
}

/** How near the sheet is seen where the photograph is seen so near. */
export function onSheet(view: Nearness, corners: Corners): Nearness {
  const zoom = view.zoom * shareOf(corners);
  if (zoom <= 1.01) return WHOLE;
  const [x, y] = applyHomography(invertHomography(fitHomography(rectangleCorners(1, 1), corners)), [view.x, view.y]);
  return bounded({ zoom, x, y });
}
