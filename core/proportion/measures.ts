/** Knows the measures of each template: ratios, angles and offsets, with nature's proportion beside them. */
import { Message, message } from '../message';
import { Landmarks } from './align';
import { boundsOf } from '../raster/image';
import { framed, Measure, MeasureLine, Template } from './template';
import { OwnTemplate, templateFrom } from './ownTemplate';
import { isTemplate, TemplateName, TEMPLATES } from './templates';
import { laidTogether } from './templates/twoBodies';

/** The frame of a picture, [x, y, w, h] px: what a view or a still life is measured by. */
export type Frame = readonly [number, number, number, number];

/** One measure of a template as it is read. */
export interface ReadMeasure extends Pick<Measure, 'name' | 'unit' | 'canon'> {
  value: number | null;
  /** value ÷ canon; null for angles, offsets, and measures without canon. */
  factor: number | null;
}

/** Such a measure of a template of the house. */
export interface Proportion extends ReadMeasure {
  template: string;
  /** Name of the set of points, where a picture has several. */
  set: string | null;
  /** What a teacher calls it, where it is a measure of their own. */
  title?: string;
}

/** A teacher's own kinds of points, by what sets of them have as their template. */
export type OwnKinds = ReadonlyMap<string, OwnTemplate>;
const NO_OWN: OwnKinds = new Map();

/** Under which name words tell a measure. */
export const saidAs = ({ name, said }: Pick<Measure, 'name' | 'said'>): string => said ?? name;

/** What a template's measure is called. */
export const measureName = (template: TemplateName, name: string): Message => {
  const measure = measureOf(template, name);
  return message(`features.proportion.${measure ? saidAs(measure) : name}.title`);
};

/** A template's measure by its name; null where it has none so named. */
export const measureOf = (template: TemplateName, name: string): Measure | null =>
  TEMPLATES[template].measures.find((m) => m.name === name) ?? null;

/** Where on the picture a measure is read: its length, what it is held against, and helps to an axis; nothing where it cannot be read. */
export function linesOf({ measures }: Template, name: string, points: Landmarks, frame: Frame | null = null): MeasureLine[] {
  const of = measures.find((m) => m.name === name)?.of;
  const there = framed(points, frame);
  return of && of(there) !== null ? of.lines(there) : [];
}

/** Points of one subject on a picture. */
export interface LandmarkSet {
  template: TemplateName | 'free' | (string & {});
  /** Where there are several: which figure it is. */
  name: string | null;
  points: Landmarks;
}

/** Figures of which two beside each other are told of together. */
const BODIES: readonly string[] = [
  'figure-standing',
  'figure-seated',
  'figure-part',
  'figure-bent',
  'animal-side',
] satisfies TemplateName[];

/** Two bodies for each figure and the next one to its right; none where they have been placed by hand. */
function bodiesOf(sets: readonly LandmarkSet[]): LandmarkSet[] {
  if (sets.some((s) => s.template === 'two-bodies')) return [];
  const middle = ({ points }: LandmarkSet) => {
    const { left, right } = boundsOf(Object.values(points));
    return left + right;
  };
  const figures = sets.filter((s) => BODIES.includes(s.template) && Object.keys(s.points).length > 1).sort((a, b) => middle(a) - middle(b));
  return figures.slice(1).flatMap((right, i): LandmarkSet[] => {
    const points = laidTogether(figures[i].points, right.points);
    return points ? [{ template: 'two-bodies', name: [figures[i].name, right.name].filter(Boolean).join(' + ') || null, points }] : [];
  });
}

/** All measures of all sets in the frame of their picture, in the templates' order, and of each two figures beside each other; free points have none, nor have those of an unknown kind. */
export const proportionsOf = (sets: readonly LandmarkSet[], frame: Frame | null, own: OwnKinds = NO_OWN): Proportion[] =>
  [...sets, ...bodiesOf(sets)].flatMap(({ template, name, points }) => {
    if (isTemplate(template)) return measureProportions(template, points, frame, name);
    const kind = own.get(template);
    if (!kind) return [];
    return readAll(templateFrom(kind), points, frame).map((m) => ({
      template,
      set: name,
      ...m,
      title: kind.measures.find(({ id }) => id === m.name)?.name,
    }));
  });

/** All measures of any template from its landmarks, in its order; null where a needed point, or the frame, is missing. */
export function readAll({ measures }: Template, points: Landmarks, frame: Frame | null): ReadMeasure[] {
  const there = framed(points, frame);
  return measures.map(({ name, unit, canon, of }) => {
    const value = of(there);
    const compared = value !== null && canon !== null && unit !== 'degrees' && unit !== 'offset';
    return { name, value, unit, canon, factor: compared ? value / canon : null };
  });
}

/** The same of a template of the house, by its name. */
export const measureProportions = (
  template: TemplateName,
  points: Landmarks,
  frame: Frame | null = null,
  set: string | null = null,
): Proportion[] => readAll(TEMPLATES[template], points, frame).map((m) => ({ template, set, ...m }));
