/** Knows how a thing with everything that hangs off it is read out as plain rows and put back, for undo. */
import { getTableColumns, SQL } from 'drizzle-orm';
import type { MySqlTable } from 'drizzle-orm/mysql-core';
import { database } from '../database/connection';
import { record, registerSubject, Transaction } from './edits';

interface Part {
  table: MySqlTable;
  of: (id: string) => SQL;
}

/** The thing's own table first, then what hangs off it, in an order in which rows can be inserted. */
type Parts = readonly Part[];

/** Rows of each part, in the order of the parts; null when there is no such thing. */
type Bundle = Record<string, unknown>[][] | null;

async function readBundle(tx: Transaction, parts: Parts, id: string): Promise<Bundle> {
  const rows: Record<string, unknown>[][] = [];
  for (const { table, of } of parts) rows.push(await tx.select().from(table).where(of(id)));
  return rows[0].length ? rows : null;
}

/** Dates that have been through JSON become dates again. */
function revived(table: MySqlTable, row: Record<string, unknown>): Record<string, unknown> {
  const out = { ...row };
  for (const [name, column] of Object.entries(getTableColumns(table)))
    if (column.dataType === 'date' && typeof out[name] === 'string') out[name] = new Date(out[name]);
  return out;
}

/**
 * Puts a bundle in place of whatever is there now; null takes the thing away. Its version goes on counting, so that a
 * window that still shows an older state is refused.
 */
async function putBundle(tx: Transaction, parts: Parts, id: string, bundle: Bundle): Promise<void> {
  const [present] = (await tx.select().from(parts[0].table).where(parts[0].of(id))) as { version?: number }[];
  for (const { table, of } of [...parts].reverse()) await tx.delete(table).where(of(id));
  if (!bundle) return;
  for (const [i, { table }] of parts.entries())
    for (const row of bundle[i]) {
      const next = revived(table, row);
      if (i === 0 && typeof next.version === 'number') next.version = 1 + Math.max(next.version, present?.version ?? 0);
      await tx.insert(table).values(next as typeof table.$inferInsert);
    }
}

interface Logged {
  /** Makes a change of one and writes down what was before and after. */
  change(studyId: string, id: string, label: string, work: (tx: Transaction) => Promise<void>): Promise<void>;
  /** Takes one away with everything that hangs off it. */
  remove(studyId: string, id: string, label: string): Promise<void>;
}

/** Makes a subject of the log out of a thing and its parts. */
export function loggedSubject(
  name: string,
  parts: Parts,
  after?: (teacherId: string, studyId: string, id: string) => Promise<void>,
): Logged {
  registerSubject(name, (tx, _studyId, id, state) => putBundle(tx, parts, id, state as Bundle), after);
  const change: Logged['change'] = (studyId, id, label, work) =>
    database().transaction(async (tx) => {
      const before = await readBundle(tx, parts, id);
      await work(tx);
      const now = await readBundle(tx, parts, id);
      await record(tx, { studyId, subject: name, subjectId: id, label: label.slice(0, 190), before, after: now });
    });
  return {
    change,
    remove: (studyId, id, label) => change(studyId, id, label, (tx) => putBundle(tx, parts, id, null)),
  };
}
