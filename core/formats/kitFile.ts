/** Knows the paint kit file, oldhand.kit/1: paints by name and pigment with their masstone and a tint. */
import type { Kit, Paint } from '../colour/kit';
import type { Tint } from '../colour/pigment';
import { typed } from '../message';
import { expectFormat, FormatError, parseJson } from './json';

/** More tints than anybody paints of one colour. */
export const MOST_TINTS = 8;
const HEX = /^#[0-9a-f]{6}$/i;

export function readPaint(value: unknown, at: number): Paint {
  const place = { n: at + 1 };
  if (typeof value !== 'object' || value === null) throw new FormatError('kit.object', place);
  const p = value as Record<string, unknown>;
  if (typeof p.name !== 'string' || !p.name.trim()) throw new FormatError('kit.name', place);
  const named = { name: typed(p.name) };
  if (typeof p.masstone !== 'string' || !HEX.test(p.masstone)) throw new FormatError('kit.masstone', named);
  const tintIn = (given: unknown): Tint => {
    const t = (given ?? {}) as Record<string, unknown>;
    const parts = t.parts;
    if (typeof t.hex !== 'string' || !HEX.test(t.hex)) throw new FormatError('kit.tint', named);
    if (!Array.isArray(parts) || parts.length !== 2 || !parts.every((n) => typeof n === 'number' && n > 0 && Number.isFinite(n)))
      throw new FormatError('kit.tintParts', named);
    return { hex: t.hex, parts: [parts[0], parts[1]] };
  };
  const given = p.tints ?? [];
  if (!Array.isArray(given) || given.length > MOST_TINTS) throw new FormatError('kit.tints', { ...named, n: MOST_TINTS });
  const all = given.map(tintIn);
  const tint = p.tint === null || p.tint === undefined ? (all[0] ?? null) : tintIn(p.tint);
  // The first of `tints` is `tint`.
  const tints = all.filter((t) => t.hex !== tint?.hex || t.parts.join() !== tint.parts.join());
  const strength = p.strength ?? 1;
  if (typeof strength !== 'number' || !(strength > 0) || !Number.isFinite(strength)) throw new FormatError('kit.strength', named);
  return {
    name: p.name,
    pigment: typeof p.pigment === 'string' ? p.pigment : '',
    masstone: p.masstone,
    tint,
    ...(tints.length ? { tints } : {}),
    strength,
  };
}

export function parseKitFile(text: string): Kit {
  const value = parseJson(text, 'kit');
  expectFormat(value, 'oldhand.kit/1', 'kit');
  if (!Array.isArray(value.paints) || value.paints.length === 0) throw new FormatError('kit.none');
  if (value.paints.length > 40) throw new FormatError('kit.many');
  const paints = value.paints.map(readPaint);
  const names = new Set(paints.map((p) => p.name));
  if (names.size < paints.length) throw new FormatError('kit.twice');
  const white = value.white ?? null;
  if (white !== null && (typeof white !== 'string' || !names.has(white)))
    throw new FormatError('kit.whiteField', { name: typed(typeof white === 'string' ? white : JSON.stringify(white).slice(0, 80)) });
  return { name: typeof value.name === 'string' ? value.name : '', white, paints };
}
