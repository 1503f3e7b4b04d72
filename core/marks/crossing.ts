/**
 * Knows the angle at which sets of strokes cross, by the courses of the strokes themselves: where strokes meet at a narrow angle the slopes of the
 * picture lie between the two, and outvote both where the strokes stand close.
 */
import { axialDifference } from '../raster/statistics';
import { crossingOf } from './evidence';
import { Direction, principalDirections } from './orientation';
import { Stroke } from './strokes';
import { tileAt, TilePlaces, TileReading } from './tiles';

/** A stroke's course is read over so many of its points, some 12 px. */
const SPAN = 3;
/** Softness of the density of courses, degrees. */
const SOFT = 3;
/** Nearer to each other than this (degrees), two directions leave a third between them where their strokes meet. */
const BLENDED = 60;
/** Fewer px of stroke than this tell no crossing. */
const LEAST_LENGTH = 400;

/** Adds to a density by degrees how long strokes run each way, where their middles lie on crossed tiles (all over where no tiles are given). */
export function addCourses(
  density: Float64Array,
  strokes: readonly Stroke[],
  tiles: TilePlaces<Pick<TileReading, 'crossed'>> | null,
): void {
  for (const { points } of strokes)
    for (let i = 0; i + SPAN < points.length; i++) {
      if (tiles && !tileAt(tiles, points[i + 1]).crossed) continue;
      const [a, b] = [points[i], points[i + SPAN]];
      const [dx, dy] = [b[0] - a[0], a[1] - b[1]];
      const angle = (Math.atan2(dy, dx) * 180) / Math.PI;
      density[Math.floor(angle + 360) % 180] += Math.hypot(dx, dy) / SPAN;
    }
}

/** The density of all courses of some strokes. */
export function coursesOf(strokes: readonly Stroke[]): Float64Array {
  const density = new Float64Array(180);
  addCourses(density, strokes, null);
  return density;
}

function softened(density: Float64Array): Float64Array {
  const out = new Float64Array(180);
  for (let k = -4 * SOFT; k <= 4 * SOFT; k++) {
    const g = Math.exp((-k * k) / (2 * SOFT * SOFT));
    for (let i = 0; i < 180; i++) out[(i + k + 180) % 180] += g * density[i];
  }
  return out;
}

/** The directions of the sets, without what lies between two of them: there their strokes meet, none runs that way. */
function setsOf(directions: readonly Direction[]): Direction[] {
  const away = (d: Direction) => directions.filter((o) => o !== d).map((o) => axialDifference(d.angle, o.angle));
  return directions.filter((d) => {
    const before = away(d).filter((v) => v < 0);
    const after = away(d).filter((v) => v > 0);
    return !before.length || !after.length || Math.min(...after) - Math.max(...before) >= BLENDED;
  });
}

/** The angle (degrees, 0–90) between the two strongest sets of a density of courses; null where there are no two, or too little to tell. */
export function crossingAmong(density: Float64Array): number | null {
  if (density.reduce((s, v) => s + v, 0) < LEAST_LENGTH) return null;
  return crossingOf(setsOf(principalDirections(softened(density))));
}
