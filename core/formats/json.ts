/** Knows how to read a JSON file so that a mistake is named with its field and its remedy. */
import { CoreError } from '../errors';
import { Message, message, Typed, typed } from '../message';

export class FormatError extends CoreError {}

/** A value as it stands in the file, or that it is missing. */
export const given = (value: unknown): Typed | Message =>
  value === undefined ? message('unusable.json.missing') : typed(JSON.stringify(value).slice(0, 80));

export function parseJson(text: string, what: string): Record<string, unknown> {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    throw new FormatError('json.broken', { what: typed(what) });
  }
  if (typeof value !== 'object' || value === null || Array.isArray(value)) throw new FormatError('json.object', { what: typed(what) });
  return value as Record<string, unknown>;
}

export function expectFormat(value: Record<string, unknown>, format: string, what: string): void {
  if (value.format !== format) throw new FormatError('json.format', { what: typed(what), format: typed(format), is: given(value.format) });
}

export function isPoint(value: unknown): value is [number, number] {
  return Array.isArray(value) && value.length === 2 && value.every((v) => typeof v === 'number' && Number.isFinite(v));
}
