/** Knows the paint kit file, oldhand.kit/1: paints by name and pigment with their masstone and a tint. */
import { Kit, Paint } from '../colour/mixing';
import { expectFormat, FormatError, parseJson } from './json';

const HEX = /^#[0-9a-f]{6}$/i;

function readPaint(value: unknown, at: number): Paint {
  const what = `kit: paint ${at + 1}`;
  if (typeof value !== 'object' || value === null) throw new FormatError(`${what} must be an object with name, pigment and masstone`);
  const p = value as Record<string, unknown>;
  if (typeof p.name !== 'string' || !p.name.trim()) throw new FormatError(`${what}: field "name" is missing; give the paint a name`);
  const named = `kit: paint "${p.name}"`;
  if (typeof p.masstone !== 'string' || !HEX.test(p.masstone)) throw new FormatError(`${named}: field "masstone" must be written #rrggbb`);
  let tint: Paint['tint'] = null;
  if (p.tint !== null && p.tint !== undefined) {
    const t = p.tint as Record<string, unknown>;
    const parts = t.parts;
    if (typeof t.hex !== 'string' || !HEX.test(t.hex)) throw new FormatError(`${named}: field "tint.hex" must be written #rrggbb`);
    if (!Array.isArray(parts) || parts.length !== 2 || !parts.every((n) => typeof n === 'number' && n > 0 && Number.isFinite(n)))
      throw new FormatError(`${named}: field "tint.parts" must be two numbers above 0, paint : white`);
    tint = { hex: t.hex, parts: [parts[0], parts[1]] };
  }
  const strength = p.strength ?? 1;
  if (typeof strength !== 'number' || !(strength > 0) || !Number.isFinite(strength))
    throw new FormatError(`${named}: field "strength" must be a number above 0`);
  return {
    name: p.name,
    pigment: typeof p.pigment === 'string' ? p.pigment : '',
    masstone: p.masstone,
    tint,
    strength,
  };
}

export function parseKitFile(text: string): Kit {
  const value = parseJson(text, 'kit');
  expectFormat(value, 'oldhand.kit/1', 'kit');
  if (!Array.isArray(value.paints) || value.paints.length === 0) throw new FormatError('kit: field "paints" must list at least one paint');
  if (value.paints.length > 40) throw new FormatError('kit: field "paints" lists more than 40 paints; split the kit');
  const paints = value.paints.map(readPaint);
  const names = new Set(paints.map((p) => p.name));
  if (names.size < paints.length) throw new FormatError('kit: two paints have the same name; rename one');
  const white = value.white ?? null;
  if (white !== null && (typeof white !== 'string' || !names.has(white)))
    throw new FormatError(`kit: field "white" names ${JSON.stringify(white)}, which is not among its paints`);
  return { name: typeof value.name === 'string' ? value.name : '', white, paints };
}
