/** Knows how any row, with everything the schema hangs off it, is read, told apart before and after a change, and put back. */
import { and, eq, getTableColumns, inArray, is, sql, SQL } from 'drizzle-orm';
import { getTableConfig, MySqlColumn, MySqlTable } from 'drizzle-orm/mysql-core';
import type { Transaction } from '../database/connection';
import { isDuplicate, isOrphan } from '../database/failures';
import * as schema from '../schema';
import type { RowChange } from '../schema/edits';

type Row = Record<string, unknown>;

/** Which rows a change may touch: those of one table, and where `tree` is set all that hangs off them. */
export interface Scope {
  table: MySqlTable;
  where: SQL;
  tree?: boolean;
}

const TABLES = Object.values(schema).filter((t) => is(t, MySqlTable));
const byName = new Map(TABLES.map((t) => [getTableConfig(t).name, t]));
const nameOf = (table: MySqlTable): string => getTableConfig(table).name;

/** What is no part of a thing though it goes with it: work waiting for it, and the log itself. */
const NO_PART: ReadonlySet<MySqlTable> = new Set<MySqlTable>([schema.jobs, schema.edits, schema.editPictures]);

/** Counted and reckoned by the server itself: a change of these alone is no edit, and undo leaves them be. */
const OWN_ACCOUNT: Readonly<Record<string, readonly string[]>> = { pieces: ['state', 'messages', 'rectifiedId', 'sharpness'] };
const counted = (table: MySqlTable, name: string): boolean =>
  name === 'version' || name === 'updatedAt' || (OWN_ACCOUNT[nameOf(table)] ?? []).includes(name);

interface Link {
  table: MySqlTable;
  /** Name of the column, in code, that points to the parent's id. */
  column: string;
  parentColumn: string;
}

const codeName = (table: MySqlTable, column: MySqlColumn): string =>
  Object.entries(getTableColumns(table)).find(([, c]) => c.name === column.name)![0];

/** The tables whose rows the engine deletes along with a row of this one, by the schema's own foreign keys. */
export function partsOf(parent: MySqlTable): Link[] {
  return TABLES.filter((t) => !NO_PART.has(t)).flatMap((table) =>
    getTableConfig(table)
      .foreignKeys.filter((k) => k.onDelete === 'cascade' && k.reference().foreignTable === parent)
      .map((k) => {
        const { columns, foreignColumns } = k.reference();
        return { table, column: codeName(table, columns[0]), parentColumn: codeName(parent, foreignColumns[0]) };
      }),
  );
}

/** Columns of a table that name a picture. */
const pictureColumns = (table: MySqlTable): string[] =>
  getTableConfig(table)
    .foreignKeys.filter((k) => k.reference().foreignTable === schema.pictures)
    .map((k) => codeName(table, k.reference().columns[0]));

function keyOf(table: MySqlTable): string[] {
  const { primaryKeys, columns } = getTableConfig(table);
  const primary = primaryKeys[0]?.columns ?? columns.filter((c) => c.primary);
  return primary.map((c) => codeName(table, c));
}

interface Seen {
  table: MySqlTable;
  key: Row;
  row: Row;
}

/** Rows of the scopes by table and key, parents before what hangs off them. */
export async function readRows(tx: Transaction, scopes: readonly Scope[]): Promise<Map<string, Seen>> {
  const seen = new Map<string, Seen>();
  const read = async ({ table, where, tree }: Scope): Promise<void> => {
    const rows = (await tx.select().from(table).where(where)) as Row[];
    for (const row of rows) {
      const key = Object.fromEntries(keyOf(table).map((k) => [k, row[k]]));
      seen.set(`${nameOf(table)} ${JSON.stringify(key)}`, { table, key, row });
    }
    if (!tree || !rows.length) return;
    for (const part of partsOf(table)) {
      const column = getTableColumns(part.table)[part.column];
      await read({
        table: part.table,
        where: inArray(
          column,
          rows.map((r) => r[part.parentColumn]),
        ),
        tree,
      });
    }
  };
  for (const scope of scopes) await read(scope);
  return seen;
}

/** As it will stand in the log: dates become text, so both sides are compared as such. */
const plain = (row: Row): Row => JSON.parse(JSON.stringify(row)) as Row;
const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/** What differs between two readings; of a row that stayed, the changed columns only. */
export function difference(before: Map<string, Seen>, after: Map<string, Seen>): RowChange[] {
  const changes: RowChange[] = [];
  for (const [name, { table, key, row }] of before) {
    const now = after.get(name)?.row;
    if (!now) {
      changes.push({ table: nameOf(table), key, before: plain(row), after: null });
      continue;
    }
    const names = Object.keys(row).filter((n) => !counted(table, n) && !same(row[n], now[n]));
    const only = (r: Row) => plain(Object.fromEntries(names.map((n) => [n, r[n]])));
    if (names.length) changes.push({ table: nameOf(table), key, before: only(row), after: only(now) });
  }
  for (const [name, { table, key, row }] of after)
    if (!before.has(name)) changes.push({ table: nameOf(table), key, before: null, after: plain(row) });
  return changes;
}

/** Pictures that undoing or redoing the changes would need. */
export function picturesIn(changes: readonly RowChange[]): string[] {
  const ids = changes.flatMap((c) => pictureColumns(byName.get(c.table)!).flatMap((n) => [c.before?.[n], c.after?.[n]]));
  return [...new Set(ids.filter((id): id is string => typeof id === 'string'))];
}

/** Something stands in the way of an undo; `reason` ends the sentence that says so. */
export class Clash extends Error {
  constructor(readonly reason: 'taken' | 'gone') {
    super(reason);
  }
}

/** Dates that have been through JSON become dates again. */
function revived(table: MySqlTable, row: Row): Row {
  const out = { ...row };
  for (const [name, column] of Object.entries(getTableColumns(table)))
    if (column.dataType === 'date' && typeof out[name] === 'string') out[name] = new Date(out[name]);
  return out;
}

const whereKey = (table: MySqlTable, key: Row): SQL => and(...Object.entries(key).map(([n, v]) => eq(getTableColumns(table)[n], v)))!;

/**
 * Puts the changed rows back as they were (undo) or as they became (redo). Versions go on counting, so that a window
 * that still shows an older state is refused. Throws Clash where something stands in the way; what hung off a thing and
 * has lost its other side meanwhile (an answer to a rule that is gone) is left out.
 */
export async function putChanges(tx: Transaction, changes: readonly RowChange[], to: 'before' | 'after'): Promise<void> {
  const from = to === 'before' ? 'after' : 'before';
  for (const change of [...changes].reverse()) {
    const table = byName.get(change.table)!;
    if (change[to] === null) await tx.delete(table).where(whereKey(table, change.key));
  }
  for (const [i, change] of changes.entries()) {
    const table = byName.get(change.table)!;
    const columns = getTableColumns(table);
    const wanted = change[to];
    if (wanted === null) continue;
    const row = revived(table, wanted);
    if (change[from] === null) {
      if (typeof row.version === 'number') row.version += 1;
      try {
        await tx.insert(table).values(row as typeof table.$inferInsert);
      } catch (error) {
        if (!isDuplicate(error) && !isOrphan(error)) throw error;
        if (i === 0) throw new Clash(isDuplicate(error) ? 'taken' : 'gone');
      }
      continue;
    }
    if ('version' in columns) row.version = sql`${columns.version} + 1`;
    const [done] = await tx
      .update(table)
      .set(row as Partial<typeof table.$inferInsert>)
      .where(whereKey(table, change.key))
      .catch((error: unknown) => {
        if (isDuplicate(error)) throw new Clash('taken');
        if (isOrphan(error)) throw new Clash('gone');
        throw error;
      });
    if (done.affectedRows === 0) throw new Clash('gone');
  }
}
