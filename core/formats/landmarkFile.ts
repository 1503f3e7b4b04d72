/** Knows the landmark file, oldhand.landmarks/1: a template's name and its points in picture pixels. */
import { isTemplate, TemplateName, TEMPLATES } from '../proportion/templates';
import { expectFormat, FormatError, isPoint, parseJson } from './json';

export interface LandmarkFile {
  template: TemplateName | 'free';
  points: Record<string, [number, number]>;
}

export function parseLandmarkFile(text: string, what = 'landmarks'): LandmarkFile {
  const value = parseJson(text, what);
  expectFormat(value, 'oldhand.landmarks/1', what);
  const template = value.template;
  if (typeof template !== 'string' || (template !== 'free' && !isTemplate(template)))
    throw new FormatError(
      `${what}: field "template" must be one of ${[...Object.keys(TEMPLATES), 'free'].join(', ')}, but is ${JSON.stringify(template) ?? 'missing'}`,
    );
  const points = value.points;
  if (typeof points !== 'object' || points === null || Array.isArray(points))
    throw new FormatError(`${what}: field "points" must be an object of names and [x, y]`);
  for (const [name, point] of Object.entries(points))
    if (!isPoint(point)) throw new FormatError(`${what}: point "${name}" must be [x, y] in pixels, two numbers`);
  return { template: template as LandmarkFile['template'], points: points as Record<string, [number, number]> };
}
