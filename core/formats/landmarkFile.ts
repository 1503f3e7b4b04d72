/** Knows the landmark file, oldhand.landmarks/1: one or several sets of points in picture pixels, each by a template. */
import type { LandmarkSet } from '../proportion/measures';
import { isTemplate, TEMPLATES } from '../proportion/templates';
import { typed } from '../message';
import { expectFormat, FormatError, given, isPoint, parseJson } from './json';

/** A set whose points are whatever the file says, not only those of its template. */
export interface LandmarkFileSet extends LandmarkSet {
  points: Record<string, [number, number]>;
}

type Raw = Record<string, unknown>;

const isObject = (v: unknown): v is Raw => typeof v === 'object' && v !== null && !Array.isArray(v);

function readSet(value: Raw, what: string, own: readonly string[]): LandmarkFileSet {
  const { template, points, name } = value;
  if (typeof template !== 'string' || (template !== 'free' && !isTemplate(template) && !own.includes(template)))
    throw new FormatError('landmarks.template', {
      what: typed(what),
      known: typed([...Object.keys(TEMPLATES), 'free', ...own].join(', ')),
      is: given(template),
    });
  if (name !== undefined && name !== null && typeof name !== 'string')
    throw new FormatError('landmarks.name', { what: typed(what), is: given(name) });
  if (!isObject(points)) throw new FormatError('landmarks.points', { what: typed(what) });
  for (const [point, at] of Object.entries(points))
    if (!isPoint(at)) throw new FormatError('landmarks.point', { what: typed(what), name: typed(point) });
  return { template, name: name ?? null, points: points as LandmarkFileSet['points'] };
}

/** The sets of a file: its own, or those it lists under `sets`, of which each has its own name; `own` names kinds beside the house's. */
export function parseLandmarkFile(text: string, what = 'landmarks', own: readonly string[] = []): LandmarkFileSet[] {
  const value = parseJson(text, what);
  expectFormat(value, 'oldhand.landmarks/1', what);
  if (value.sets === undefined) return [readSet(value, what, own)];
  if (!Array.isArray(value.sets) || !value.sets.length || !value.sets.every(isObject))
    throw new FormatError('landmarks.sets', { what: typed(what) });
  const sets = value.sets.map((s) => readSet(s as Raw, what, own));
  const names = sets.map((s) => s.name);
  const twice = names.find((n, i) => names.indexOf(n) < i);
  if (twice !== undefined) throw new FormatError('landmarks.twice', { what: typed(what), name: typed(twice ?? '') });
  return sets;
}

/** The points of all sets together; where there are several, each point is named with its set. */
export const allPoints = (sets: readonly LandmarkFileSet[]): LandmarkFileSet['points'] =>
  Object.fromEntries(
    sets.flatMap(({ name, points }) =>
      Object.entries(points).map(([point, at]): [string, [number, number]] => [sets.length > 1 ? `${name ?? ''}.${point}` : point, at]),
    ),
  );
