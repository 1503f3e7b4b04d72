/** Knows how to read a JSON file so that a mistake is named with its field and its remedy. */
import { CoreError } from '../errors';

export class FormatError extends CoreError {}

export function parseJson(text: string, what: string): Record<string, unknown> {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    throw new FormatError(`${what}: the file is not JSON; save it again as plain JSON text`);
  }
  if (typeof value !== 'object' || value === null || Array.isArray(value))
    throw new FormatError(`${what}: the file must hold one JSON object`);
  return value as Record<string, unknown>;
}

export function expectFormat(value: Record<string, unknown>, format: string, what: string): void {
  if (value.format !== format)
    throw new FormatError(`${what}: field "format" must be "${format}", but is ${JSON.stringify(value.format) ?? 'missing'}`);
}

export function isPoint(value: unknown): value is [number, number] {
  return Array.isArray(value) && value.length === 2 && value.every((v) => typeof v === 'number' && Number.isFinite(v));
}
