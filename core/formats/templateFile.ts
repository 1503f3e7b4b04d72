/** Knows the file of a teacher's own template, oldhand.template/1, and which templates can be used. */
import { CoreError } from '../errors';
import { typed } from '../message';
import { EDGES, MIDDLES, NEEDS, OWN_KINDS, OwnMeasure, OwnShape, OwnTemplate, SHAPES } from '../proportion/ownTemplate';
import { expectFormat, given, isPoint, parseJson } from './json';

const FORMAT = 'oldhand.template/1';
const MOST_OWN_POINTS = 60;
const MOST_OWN_MEASURES = 40;
const MOST_SHAPES = 40;
export const MOST_POINT_NAME = 40;
const MOST_NAME = 80;

/** Letters, digits, blanks and hyphens, beginning with a letter or digit: what a point may be called. */
export const isPointName = (name: unknown): name is string =>
  typeof name === 'string' && name.length <= MOST_POINT_NAME && /^[\p{L}\p{N}][\p{L}\p{N} -]*$/u.test(name);

type Fields = Record<string, unknown>;
const isObject = (v: unknown): v is Fields => typeof v === 'object' && v !== null && !Array.isArray(v);
const listOf = (value: unknown, field: string, most: number): Fields[] => {
  if (!Array.isArray(value) || value.length > most || !value.every(isObject))
    throw new CoreError('template.list', { field: typed(field), n: most });
  return value;
};
const oneOf = <T extends string>(value: unknown, of: readonly T[], field: string, name: string): T => {
  const found = of.find((o) => o === value);
  if (!found)
    throw new CoreError('template.choice', { field: typed(field), name: typed(name), known: typed(of.join(', ')), is: given(value) });
  return found;
};

/** A template as it was given, if every part of it can be used; what it says beside is dropped. */
export function checkedTemplate(value: unknown): OwnTemplate {
  if (!isObject(value)) throw new CoreError('template.object');
  const name = typeof value.name === 'string' ? value.name.trim() : '';
  if (!name || name.length > MOST_NAME) throw new CoreError('template.name', { n: MOST_NAME });
  const points = listOf(value.points, 'points', MOST_OWN_POINTS).map((p) => {
    if (!isPointName(p.name)) throw new CoreError('template.pointName', { is: given(p.name), n: MOST_POINT_NAME });
    if (!isPoint(p.at)) throw new CoreError('template.place', { name: typed(p.name) });
    return { name: p.name, at: [p.at[0], p.at[1]] as const };
  });
  const names = points.map((p) => p.name);
  const twice = names.find((n, i) => names.indexOf(n) < i);
  if (twice) throw new CoreError('template.twice', { name: typed(twice) });
  const known = (list: unknown, field: string, of: string): string[] => {
    if (!Array.isArray(list)) throw new CoreError('template.points', { field: typed(field), name: typed(of) });
    for (const n of list) if (!names.includes(n)) throw new CoreError('template.noPoint', { name: typed(of), is: given(n) });
    return list as string[];
  };
  const pair = (list: unknown, field: string, of: string): [string, string] | null => {
    if (list === null || list === undefined) return null;
    const [a, b, ...more] = known(list, field, of);
    if (!a || !b || more.length || a === b) throw new CoreError('template.pair', { field: typed(field), name: typed(of) });
    return [a, b];
  };
  const shapes = listOf(value.shapes ?? [], 'shapes', MOST_SHAPES).map((s): OwnShape => {
    const as = oneOf(s.as, SHAPES, 'as', name);
    const on = known(s.points, 'points', as);
    if (as === 'line' ? on.length < 2 : on.length !== (as === 'triangle' ? 3 : 2)) throw new CoreError('template.shape', { as });
    return { as, points: on };
  });
  const unit = pair(value.unit, 'unit', name);
  const measures = listOf(value.measures ?? [], 'measures', MOST_OWN_MEASURES).map((m, i): OwnMeasure => {
    const called = typeof m.name === 'string' ? m.name.trim() : '';
    if (!called || called.length > MOST_NAME) throw new CoreError('template.measureName', { i: i + 1, n: MOST_NAME });
    const kind = oneOf(m.kind, OWN_KINDS, 'kind', called);
    const needs = NEEDS[kind];
    const on = known(m.points, 'points', called);
    if (on.length !== needs.points || new Set(on).size < on.length)
      throw new CoreError('template.measurePoints', { name: typed(called), n: needs.points });
    const against = needs.byUnit ? pair(m.against, 'against', called) : null;
    if (needs.byUnit && !against && !unit) throw new CoreError('template.noUnit', { name: typed(called) });
    const from = needs.from ? oneOf(m.from, kind === 'edge' ? EDGES : MIDDLES, 'from', called) : null;
    const canon = m.canon ?? null;
    if (canon !== null && !(typeof canon === 'number' && canon > 0 && canon < 1000))
      throw new CoreError('template.canon', { name: typed(called), is: given(canon) });
    const id = typeof m.id === 'string' && /^[a-z0-9]{1,12}$/.test(m.id) ? m.id : `m${i + 1}`;
    return { id, name: called, kind, points: on, against, from, canon };
  });
  const ids = measures.map((m) => m.id);
  return { name, points, shapes, unit, measures: measures.map((m, i) => (ids.indexOf(m.id) < i ? { ...m, id: `n${i + 1}` } : m)) };
}

export function readTemplateFile(text: string, what = 'template'): OwnTemplate {
  const value = parseJson(text, what);
  expectFormat(value, FORMAT, what);
  return checkedTemplate(value);
}

export const templateAsJson = (template: OwnTemplate): string => `${JSON.stringify({ format: FORMAT, ...template }, null, 2)}\n`;
