/** Knows the file of a teacher's own template, oldhand.template/1, and which templates can be used. */
import { CoreError } from '../errors';
import { typed } from '../message';
import { EDGES, MIDDLES, NEEDS, OWN_KINDS, OwnKind, OwnMeasure, OwnShape, OwnTemplate, SHAPES } from '../proportion/ownTemplate';
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

/** What each kind of measure is called in the file, and where several are called the same, by `from` which one it is. */
const IN_FILE: Readonly<Record<OwnKind, { kind: string; from?: string }>> = {
  ratio: { kind: 'ratio' },
  level: { kind: 'angle' },
  plumb: { kind: 'angle', from: 'plumb' },
  corner: { kind: 'angle' },
  under: { kind: 'plumb' },
  levelWith: { kind: 'level' },
  share: { kind: 'share' },
  edge: { kind: 'from-edge' },
  middle: { kind: 'from-edge' },
};
const FILE_KINDS = ['length', 'ratio', 'angle', 'plumb', 'level', 'share', 'from-edge'] as const;

/** A measure of the file as one of ours; what it lacks is told when it is checked. */
function fromFile(m: Fields): Fields {
  const kind = oneOf(m.kind, FILE_KINDS, 'kind', typeof m.name === 'string' ? m.name : '');
  const of = Array.isArray(m.of) ? m.of : [];
  const from = m.from ?? null;
  const own: Record<(typeof FILE_KINDS)[number], OwnKind> = {
    length: 'ratio',
    ratio: 'ratio',
    angle: of.length === 3 ? 'corner' : from === 'plumb' ? 'plumb' : 'level',
    plumb: 'under',
    level: 'levelWith',
    share: 'share',
    'from-edge': MIDDLES.some((middle) => middle === from) ? 'middle' : 'edge',
  };
  return { ...m, kind: own[kind], points: m.of, against: m.over, from: kind === 'from-edge' ? (from ?? 'nearest') : null };
}

/** Points without a place in the diagram stand round a ring, in their order. */
const onRing = (i: number, n: number): [number, number] => [
  0.5 - 0.4 * Math.sin((2 * Math.PI * i) / n),
  0.5 - 0.4 * Math.cos((2 * Math.PI * i) / n),
];

/**
 * A template from its file: points by name (or as objects with `name` and perhaps `at`), measures by kind, `of` and `over`. `places` and
 * `shapes` are ours beside what every such file has.
 */
export function readTemplateFile(text: string, what = 'template'): OwnTemplate {
  const value = parseJson(text, what);
  expectFormat(value, FORMAT, what);
  const places = isObject(value.places) ? value.places : {};
  const points = Array.isArray(value.points)
    ? value.points.map((p: unknown, i, all) => {
        const name = isObject(p) ? p.name : p;
        const at = (isObject(p) ? p.at : undefined) ?? (typeof name === 'string' && Object.hasOwn(places, name) ? places[name] : undefined);
        return { name, at: at ?? onRing(i, all.length) };
      })
    : value.points;
  return checkedTemplate({ ...value, points, measures: listOf(value.measures ?? [], 'measures', MOST_OWN_MEASURES).map(fromFile) });
}

export function templateAsJson({ name, points, unit, measures, shapes }: OwnTemplate): string {
  const file = {
    format: FORMAT,
    name,
    points: points.map((p) => p.name),
    unit,
    measures: measures.map(({ id, name: called, kind, points: of, against, from, canon }) => ({
      name: called,
      kind: IN_FILE[kind].kind,
      of,
      over: against,
      canon,
      ...((IN_FILE[kind].from ?? from) && { from: IN_FILE[kind].from ?? from }),
      id,
    })),
    places: Object.fromEntries(points.map((p) => [p.name, p.at])),
    shapes,
  };
  return `${JSON.stringify(file, null, 2)}\n`;
}
