/**
 * Knows a class list: first name and initial, pasted or as a table of comma-separated values, and what else a table offers. A last name is never
 * taken, only its first letter.
 */
import Papa from 'papaparse';
import { typed } from '../message';
import { FormatError } from './json';

export interface Name {
  firstName: string;
  initial: string;
}

/** A name as it is shown: the second of two equal ones with a 2. */
export const shownName = ({ firstName, initial, nth = 1 }: Name & { nth?: number }): string =>
  `${firstName} ${initial}${nth > 1 ? ` ${nth}` : ''}`.trim();

/** As names are compared: without accents and capitals. */
const plainName = ({ firstName, initial }: Name): string =>
  `${firstName} ${initial}`.trim().normalize('NFD').replace(/\p{M}/gu, '').toLowerCase().replace(/ß/g, 'ss');

/** Names with a number each, 1 for the first of its name, so that none is both in the list and among those there already. */
export function toldApart<T extends Name>(list: readonly T[], there: readonly (Name & { nth: number })[]): (T & { nth: number })[] {
  const taken = new Set(there.map((s) => `${plainName(s)} ${s.nth}`));
  return list.map((s) => {
    let nth = 1;
    while (taken.has(`${plainName(s)} ${nth}`)) nth++;
    taken.add(`${plainName(s)} ${nth}`);
    return { ...s, nth };
  });
}

const MOST_LINES = 200;
const MOST_NAME = 40;

/** "Abel R", "Abel Reed", "Reed, Abel" or "Abel", as first name and initial. */
export function nameIn(text: string): Name {
  const plain = text.trim().replace(/\s+/g, ' ');
  const [last, first] = plain.split(/,\s*/);
  if (first) return { firstName: first.slice(0, MOST_NAME), initial: initialOf(last) };
  const [, before, rest] = /^(.*?)(?:\s+(\p{L}[\p{L}'’-]*)\.?)?$/u.exec(plain) ?? [];
  return { firstName: (before || plain).slice(0, MOST_NAME), initial: rest ? initialOf(rest) : '' };
}

const initialOf = (name: string): string => /\p{L}/u.exec(name)?.[0].toUpperCase() ?? '';

/** What a column may be taken as; all others are left where they are. */
export const ROSTER_COLUMNS = ['name', 'firstName', 'lastName', 'seat', 'table', 'leftHanded', 'needs'] as const;
export type RosterColumn = (typeof ROSTER_COLUMNS)[number];

/** Heads by which schools' lists name their columns, in the two languages spoken here; common practice. */
const HEADS: readonly [RosterColumn, RegExp][] = [
  ['firstName', /^(first[ -]?name|given ?name|forename|vorname|rufname)s?$/],
  ['lastName', /^(last[ -]?name|surname|family ?name|initial|nachname|familienname)s?$/],
  ['name', /^(name|student|pupil|schüler|schülerin|schüler\/in)s?$/],
  ['seat', /^(seat|place|platz|sitzplatz)$/],
  ['table', /^(table|desk|tisch)$/],
  ['leftHanded', /^(left[ -]?handed|left|linkshänder|linkshändig)$/],
  ['needs', /^(needs|support|förderbedarf|bedarf)$/],
];

export interface RosterTable {
  /** Heads of the columns; empty strings where the list has none. */
  heads: string[];
  /** What each is taken as unless one says otherwise. */
  guess: (RosterColumn | null)[];
  rows: string[][];
}

/** A pasted list or a table; with a line of heads where it names at least one column. */
export function readRosterTable(text: string): RosterTable {
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy', delimitersToGuess: ['\t', ';', ','] });
  // One name a line may hold a comma: "Reed, Abel".
  const lines = text.split(/\r?\n/).filter((l) => l.trim());
  const plain = /[\t;]/.test(text) || data.some((r) => r.length > 2) ? null : lines.map((l) => [l.trim()]);
  const guessed = (data[0] ?? []).map((h) => HEADS.find(([, like]) => like.test(h.trim().toLowerCase()))?.[0] ?? null);
  const headed = guessed.some((g) => g !== null);
  if (!data.length) throw new FormatError('roster.empty');
  if (data.length - Number(headed) > MOST_LINES)
    throw new FormatError('roster.many', { n: data.length - Number(headed), most: MOST_LINES });
  if (headed) return { heads: data[0].map((h) => h.trim()), guess: guessed, rows: data.slice(1) };
  if (plain) return { heads: [''], guess: ['name'], rows: plain };
  const width = Math.max(...data.map((r) => r.length));
  const guess = Array.from({ length: width }, (_, i): RosterColumn | null => (['firstName', 'lastName'] as const)[i] ?? null);
  return { heads: Array.from({ length: width }, () => ''), guess, rows: data };
}

export interface RosterEntry extends Name {
  seat?: string;
  table?: string;
  leftHanded?: boolean;
  needs?: string;
}

const YES = /^(yes|y|x|1|true|left|l|ja|j|links)$/i;

/** The students of a table, each column taken as it is said. */
export function rosterFrom({ rows }: RosterTable, as: readonly (RosterColumn | null)[]): RosterEntry[] {
  const at = (column: RosterColumn) => as.indexOf(column);
  if (at('name') < 0 && at('firstName') < 0) throw new FormatError('roster.noName');
  return rows.map((row, i) => {
    const cell = (column: RosterColumn) => (at(column) < 0 ? '' : (row[at(column)] ?? '').trim());
    const name: Name =
      at('firstName') < 0
        ? nameIn(cell('name'))
        : { firstName: cell('firstName').slice(0, MOST_NAME), initial: initialOf(cell('lastName')) };
    if (!name.firstName) throw new FormatError('roster.line', { line: i + 1, is: typed(row.join(', ').slice(0, 60)) });
    return {
      ...name,
      ...(cell('seat') && { seat: cell('seat').slice(0, 20) }),
      ...(cell('table') && { table: cell('table').slice(0, 20) }),
      ...(YES.test(cell('leftHanded')) && { leftHanded: true }),
      ...(cell('needs') && { needs: cell('needs').slice(0, 300) }),
    };
  });
}

/** A class list as a table, as it is read again. */
export function rosterAsCsv(students: readonly (Required<RosterEntry> & { nth: number })[]): string {
  const rows = students.map((s) => ({
    'first-name': s.firstName,
    initial: s.initial,
    seat: s.seat,
    table: s.table,
    'left-handed': s.leftHanded ? 'yes' : '',
    needs: s.needs,
  }));
  return `${Papa.unparse(rows, { columns: ['first-name', 'initial', 'seat', 'table', 'left-handed', 'needs'], newline: '\r\n', escapeFormulae: true })}\r\n`;
}
