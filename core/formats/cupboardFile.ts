/**
 * Knows the two open files of a kit from the cupboard: oldhand.kit/1, whose paints any mixing reads, with the other things beside them under
 * `materials`; and a table of comma-separated values, one material a line, for spreadsheets.
 */
import Papa from 'papaparse';
import {
  CupboardKit,
  isMixed,
  Material,
  MATERIAL_KINDS,
  MaterialKind,
  mixable,
  Properties,
  PROPERTIES,
  propertiesFor,
} from '../colour/materials';
import { typedColour } from '../colour/typedColour';
import { several, typed } from '../message';
import { expectFormat, FormatError, parseJson } from './json';
import { MOST_TINTS, readPaint } from './kitFile';

export const MOST_MATERIALS = 200;
const KIT_FORMAT = 'oldhand.kit/1';
const MOST_NAME = 80;
const MOST_PIGMENT = 60;

type Fields = Record<string, unknown>;

const isKind = (value: unknown): value is MaterialKind => MATERIAL_KINDS.some((k) => k === value);

/** Yes or no as files and people write it; null for anything else. */
function flagIn(value: unknown): boolean | null {
  if (typeof value === 'boolean') return value;
  const said = String(value).trim().toLowerCase();
  if (['yes', 'true', '1', 'x'].includes(said)) return true;
  return ['no', 'false', '0'].includes(said) ? false : null;
}

/** One property as a file gives it; undefined where it is not given. */
function propertyOf(name: keyof Properties, value: unknown, material: string): unknown {
  if (value === undefined || value === null || value === '') return undefined;
  const asked = PROPERTIES[name];
  const wrong = () =>
    new FormatError('cupboard.property', { name: typed(material), property: typed(name), is: typed(String(value).slice(0, 40)) });
  if (asked.as === 'text') return String(value).slice(0, asked.most);
  if (asked.as === 'choice') {
    if (!asked.of.includes(String(value))) throw wrong();
    return value;
  }
  if (asked.as === 'flag') {
    const flag = flagIn(value);
    if (flag === null) throw wrong();
    return flag;
  }
  const n = typeof value === 'number' ? value : Number(String(value).trim().replace(',', '.'));
  if (!(n >= asked.least && n <= asked.most)) throw wrong();
  return n;
}

const propertiesOf = (kind: MaterialKind, from: Fields, name: string): Properties =>
  propertiesFor(
    kind,
    Object.fromEntries((Object.keys(PROPERTIES) as (keyof Properties)[]).map((p) => [p, propertyOf(p, from[p], name)])) as Properties,
  );

/** What a kit holds, names told once each and no more than it may hold. */
function checked(kit: CupboardKit): CupboardKit {
  if (!kit.materials.length) throw new FormatError('cupboard.none');
  if (kit.materials.length > MOST_MATERIALS) throw new FormatError('cupboard.many', { n: kit.materials.length, most: MOST_MATERIALS });
  const seen = new Set<string>();
  for (const { name, pigment } of kit.materials) {
    if (name.length > MOST_NAME || pigment.length > MOST_PIGMENT)
      throw new FormatError('cupboard.long', { name: typed(name.slice(0, 40)), most: MOST_NAME, pigment: MOST_PIGMENT });
    if (seen.has(name.toLowerCase())) throw new FormatError('cupboard.twice', { name: typed(name) });
    seen.add(name.toLowerCase());
  }
  if (kit.white !== null && !mixable(kit).paints.some((p) => p.name === kit.white))
    throw new FormatError('kit.whiteField', { name: typed(kit.white.slice(0, 80)) });
  return kit;
}

/** Fields that are read of a paint or a material; the rest is kept as it came. */
const KNOWN = new Set(['kind', 'name', 'pigment', 'masstone', 'tint', 'tints', 'strength', ...Object.keys(PROPERTIES)]);
const MOST_EXTRA = 2000;

/** What is not known here, where there is any and no more than a note's worth. */
function extraOf(fields: Fields): Pick<Material, 'extra'> {
  const rest = Object.fromEntries(Object.entries(fields).filter(([k]) => !KNOWN.has(k)));
  const size = Object.keys(rest).length ? JSON.stringify(rest).length : 0;
  return size > 0 && size <= MOST_EXTRA ? { extra: rest } : {};
}

function fromJson(text: string): CupboardKit {
  const value = parseJson(text, 'kit');
  expectFormat(value, KIT_FORMAT, 'kit');
  const list = (field: 'paints' | 'materials'): Fields[] => {
    const given = value[field] ?? [];
    if (!Array.isArray(given)) throw new FormatError('cupboard.list', { field: typed(field) });
    return given as Fields[];
  };
  const paints = list('paints').map((fields, i): Material => {
    const paint = readPaint(fields, i);
    const kind = fields.kind === 'ink' ? 'ink' : 'paint';
    return { ...paint, name: paint.name.trim(), kind, properties: propertiesOf(kind, fields, paint.name), ...extraOf(fields) };
  });
  const others = list('materials').map((fields, i): Material => {
    const kind: unknown = fields?.kind;
    if (!isKind(kind) || isMixed(kind)) throw new FormatError('cupboard.kind', { n: i + 1, kinds: several(MATERIAL_KINDS.map(typed)) });
    // A tool has no colour of its own.
    const paint = readPaint(kind === 'tool' ? { ...fields, masstone: '#000000' } : fields, i);
    const masstone = kind === 'tool' ? null : paint.masstone;
    return {
      ...paint,
      name: paint.name.trim(),
      masstone,
      tint: null,
      kind,
      properties: propertiesOf(kind, fields, paint.name),
      ...extraOf(fields),
    };
  });
  const { white = null, name } = value;
  return checked({
    name: typeof name === 'string' ? name : '',
    white: white === null ? null : String(white),
    materials: [...paints, ...others],
  });
}

export function kitAsJson({ name, white, materials }: CupboardKit): string {
  const paint = ({ kind, properties, name: own, pigment, masstone, tint, tints = [], strength, extra }: Material) => ({
    ...extra,
    ...(kind === 'paint' ? {} : { kind }),
    name: own,
    pigment,
    ...(masstone === null ? {} : { masstone }),
    ...(isMixed(kind) ? { tint, ...(tints.length ? { tints: [...(tint ? [tint] : []), ...tints] } : {}), strength } : {}),
    ...properties,
  });
  const [mixed, others] = [materials.filter((m) => isMixed(m.kind)), materials.filter((m) => !isMixed(m.kind))];
  return `${JSON.stringify({ format: KIT_FORMAT, name, white, paints: mixed.map(paint), ...(others.length ? { materials: others.map(paint) } : {}) }, null, 2)}\n`;
}

/** Columns of the table, in the order they are written; read in any order, and only `name` must be there. */
const COLUMNS = [
  'kind',
  'name',
  'pigment',
  'colour',
  'tint',
  'tint-parts',
  'tints',
  'strength',
  'white',
  ...Object.keys(PROPERTIES),
] as const;
/** One of several further tints: `#rrggbb 1:3`. */
const FURTHER = /^(#[0-9a-f]{6})\s+(\d{1,3})\s*:\s*(\d{1,3})$/i;
const PARTS = /^\s*(\d{1,3})\s*:\s*(\d{1,3})\s*$/;

function fromCsv(text: string): CupboardKit {
  const { data, meta } = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    delimitersToGuess: [',', ';', '\t'],
    transformHeader: (h) => (h.trim().toLowerCase() === 'color' ? 'colour' : plainHeader(h)),
  });
  const columns = meta.fields ?? [];
  if (!columns.includes('name')) throw new FormatError('cupboard.columns', { columns: several(COLUMNS.slice(0, 6).map(typed)) });
  if (data.length > MOST_MATERIALS) throw new FormatError('cupboard.many', { n: data.length, most: MOST_MATERIALS });
  let white: string | null = null;
  const materials = data.map((row, i): Material => {
    // The heads of the columns are the first line.
    const line = i + 2;
    const cell = (column: string) => (row[column] ?? '').trim();
    const name = cell('name');
    if (!name) throw new FormatError('cupboard.name', { line });
    const kind = cell('kind') || 'paint';
    if (!isKind(kind)) throw new FormatError('cupboard.kind', { n: line, kinds: several(MATERIAL_KINDS.map(typed)) });
    const colour = (column: string): string => {
      const read = typedColour(cell(column));
      if ('hex' in read) return read.hex;
      throw new FormatError('cupboard.colour', { line, column: typed(column), is: typed(cell(column).slice(0, 40)) });
    };
    const parts = PARTS.exec(cell('tint-parts'));
    const tint =
      cell('tint') && isMixed(kind)
        ? { hex: colour('tint'), parts: [Number(parts?.[1] ?? 1), Number(parts?.[2] ?? 4)] as [number, number] }
        : null;
    if (tint && (!parts || tint.parts.some((n) => n < 1))) throw new FormatError('cupboard.parts', { line });
    const tints = (isMixed(kind) && cell('tints') ? cell('tints').split(/[;|]/) : []).map((text) => {
      const further = FURTHER.exec(text.trim());
      if (!further || Number(further[2]) < 1 || Number(further[3]) < 1) throw new FormatError('cupboard.tints', { line });
      return { hex: further[1].toLowerCase(), parts: [Number(further[2]), Number(further[3])] as [number, number] };
    });
    if (tints.length > MOST_TINTS) throw new FormatError('kit.tints', { name: typed(name), n: MOST_TINTS });
    const strength = cell('strength') ? Number(cell('strength').replace(',', '.')) : 1;
    if (!(strength > 0)) throw new FormatError('kit.strength', { name: typed(name) });
    const isWhite = cell('white') === '' ? false : flagIn(cell('white'));
    if (isWhite === null)
      throw new FormatError('cupboard.property', { name: typed(name), property: typed('white'), is: typed(cell('white').slice(0, 40)) });
    if (isWhite) white = name;
    return {
      kind,
      name,
      pigment: cell('pigment'),
      masstone: kind === 'tool' ? null : colour('colour'),
      tint,
      ...(tints.length ? { tints } : {}),
      strength,
      properties: propertiesOf(kind, row, name),
    };
  });
  return checked({ name: '', white, materials });
}

/** Heads as they are written here whatever their capitals. */
function plainHeader(head: string): string {
  const plain = head.trim().toLowerCase().replace(/\s+/g, '-');
  return COLUMNS.find((c) => c.toLowerCase() === plain) ?? plain;
}

export function kitAsCsv({ white, materials }: CupboardKit): string {
  const rows = materials.map((m) => ({
    kind: m.kind,
    name: m.name,
    pigment: m.pigment,
    colour: m.masstone ?? '',
    tint: m.tint?.hex ?? '',
    'tint-parts': m.tint ? m.tint.parts.join(':') : '',
    tints: (m.tints ?? []).map((t) => `${t.hex} ${t.parts.join(':')}`).join('; '),
    strength: isMixed(m.kind) ? m.strength : '',
    white: m.name === white ? 'yes' : '',
    ...Object.fromEntries(Object.entries(m.properties).map(([k, v]) => [k, typeof v === 'boolean' ? (v ? 'yes' : 'no') : v])),
  }));
  return `${Papa.unparse(rows, { columns: [...COLUMNS], newline: '\r\n', escapeFormulae: true })}\r\n`;
}

/** A kit from either file, told apart by how it begins. */
export const readCupboardFile = (text: string): CupboardKit => (text.trimStart().startsWith('{') ? fromJson(text) : fromCsv(text));

const NAMESPACE = 'xmlns="http://www.w3.org/2000/svg"';
const escaped = (text: string) => text.replace(/[&<>"]/g, (c) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[c]!);

/** The colours of a kit as a drawing: one named rectangle each, the tint beside the thick paint; 1 unit is 1 mm. */
export function kitAsSvg({ name, materials }: CupboardKit): string {
  const coloured = materials.filter((m) => m.masstone !== null);
  const [across, w, h] = [4, 42, 30];
  const rows = Math.ceil(coloured.length / across);
  const parts = coloured.map((m, i) => {
    const [x, y] = [8 + (i % across) * (w + 6), 18 + Math.floor(i / across) * (h + 16)];
    const thick = m.tint ? 0.6 * w : w;
    return [
      `<g><title>${escaped(m.name)}</title><rect x="${x}" y="${y}" width="${thick}" height="${h}" fill="${m.masstone}"/>`,
      m.tint ? `<rect x="${x + thick}" y="${y}" width="${w - thick}" height="${h}" fill="${m.tint.hex}"/>` : '',
      `<text x="${x}" y="${y + h + 5}" font-size="4">${escaped(m.name)}</text>`,
      `<text x="${x}" y="${y + h + 9.5}" font-size="3.2">${escaped([m.pigment, m.masstone].filter(Boolean).join('  '))}</text></g>`,
    ].join('');
  });
  const [width, height] = [10 + across * (w + 6), 18 + Math.max(1, rows) * (h + 16)];
  const size = `width="${width}mm" height="${height}mm" viewBox="0 0 ${width} ${height}"`;
  return `<svg ${NAMESPACE} ${size} font-family="sans-serif"><text x="8" y="11" font-size="6">${escaped(name)}</text>${parts.join('')}</svg>\n`;
}
