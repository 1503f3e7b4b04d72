/**
 * Knows what it costs in effect to work with a tool, ink or paper of one's own in place of the master's: from what the material is known to do
 * and what was measured on the works. What is not known of the material, or was not measured, is not told.
 */
import type { Material } from '../colour/materials';
import { amount, message, Message } from '../message';

/** With what the master worked. */
export interface Used {
  what: string;
  /** Where it was read; empty for what is inferred. */
  source: string;
  /** What the class takes instead: a thing of the cupboard, or in the teacher's words; empty for the same. */
  instead: string;
}

/** What of the works is measured that a material may not be able to do; null where it was not. */
export interface Asked {
  /** Width of the finest usual lines, mm. */
  lineMm: number | null;
  /** How much a line swells: widest over narrowest part, 1 for none. */
  swell: number | null;
  /** Water goes over the line. */
  washed: boolean;
  /** Broken, scraped edges and grain, which want a tooth. */
  grain: boolean;
}

/** From so much on lines are seen to swell. */
const SWELLS = 1.3;
/** A line so many times too broad is seen at a glance. */
const BROADER = 1.5;

/** What is lost or gained with a material, the gravest first; empty where nothing is known against it. */
export function costsOf(
  { kind, properties: p }: Pick<Material, 'kind' | 'properties'>,
  { lineMm, swell, washed, grain }: Asked,
): Message[] {
  const out: Message[] = [];
  const said = (key: string, values = {}) => out.push(message(`plan.costs.${key}`, values));
  const draws = kind !== 'paper' && kind !== 'paint';
  if (draws && washed && p.waterproof === false) said('runs');
  if (draws && lineMm !== null && p.leastMm !== undefined && p.leastMm > lineMm * BROADER)
    said('broader', {
      least: amount(p.leastMm, 'mm'),
      most: amount(p.mostMm ?? p.leastMm, 'mm'),
      line: amount(lineMm, 'mm'),
      times: Math.round((p.leastMm / lineMm) * 10) / 10,
    });
  if (draws && lineMm !== null && p.mostMm !== undefined && p.mostMm < lineMm / BROADER)
    said('finer', { most: amount(p.mostMm, 'mm'), line: amount(lineMm, 'mm') });
  if (draws && swell !== null && swell >= SWELLS && p.taper === false) said('noSwell');
  if (
    draws &&
    swell !== null &&
    swell < SWELLS &&
    p.taper === true &&
    p.leastMm !== undefined &&
    p.mostMm !== undefined &&
    p.mostMm > 2 * p.leastMm
  )
    said('swells');
  if (kind === 'paper' && washed && p.wetStrong === false) said('cockles');
  if (kind === 'paper' && grain && p.tooth === 'smooth') said('smooth');
  if (kind === 'paper' && !grain && p.tooth === 'rough') said('rough');
  if (kind === 'paint' && p.opacity === 'opaque' && washed) said('covers');
  return out;
}
