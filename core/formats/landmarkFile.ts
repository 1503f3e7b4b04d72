/** Knows the landmark file, oldhand.landmarks/1: a template's name and its points in picture pixels. */
import { isTemplate, TemplateName, TEMPLATES } from '../proportion/templates';
import { typed } from '../message';
import { expectFormat, FormatError, given, isPoint, parseJson } from './json';

export interface LandmarkFile {
  template: TemplateName | 'free';
  points: Record<string, [number, number]>;
}

export function parseLandmarkFile(text: string, what = 'landmarks'): LandmarkFile {
  const value = parseJson(text, what);
  expectFormat(value, 'oldhand.landmarks/1', what);
  const template = value.template;
  if (typeof template !== 'string' || (template !== 'free' && !isTemplate(template)))
    throw new FormatError('landmarks.template', {
      what: typed(what),
      known: typed([...Object.keys(TEMPLATES), 'free'].join(', ')),
      is: given(template),
    });
  const points = value.points;
  if (typeof points !== 'object' || points === null || Array.isArray(points))
    throw new FormatError('landmarks.points', { what: typed(what) });
  for (const [name, point] of Object.entries(points))
    if (!isPoint(point)) throw new FormatError('landmarks.point', { what: typed(what), name: typed(name) });
  return { template: template as LandmarkFile['template'], points: points as Record<string, [number, number]> };
}
