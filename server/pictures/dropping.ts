/** Knows which pictures nothing refers to any more, and how they go: rows, readings, and the bytes nobody else has. */
import { and, eq, inArray, lt, ne, notExists, or, sql } from 'drizzle-orm';
import { alias, type MySqlColumn } from 'drizzle-orm/mysql-core';
import { changing, database, type Transaction } from '../database/connection';
import { blobs, editPictures, pictures, pieces, planSteps, referencePictures, works } from '../schema';

interface Kin {
  id: string;
  madeFrom: string;
  role: string;
  sha256: string;
}

/** Every column that gives a picture its use. */
const USES: readonly MySqlColumn[] = [
  works.pictureId,
  pieces.photoId,
  pieces.rectifiedId,
  referencePictures.pictureId,
  planSteps.pictureId,
  editPictures.pictureId,
];

const KIN = { id: pictures.id, madeFrom: pictures.madeFrom, role: pictures.role, sha256: pictures.sha256 };

/** The pictures with all they were made from and all that was made from any of these. */
async function family(tx: Transaction, ids: readonly string[]): Promise<Map<string, Kin>> {
  const kin = new Map<string, Kin>();
  let open = [...new Set(ids)].filter(Boolean);
  while (open.length) {
    const rows = await tx
      .select(KIN)
      .from(pictures)
      .where(or(inArray(pictures.id, open), inArray(pictures.madeFrom, open)));
    const fresh = rows.filter((r) => !kin.has(r.id));
    for (const r of fresh) kin.set(r.id, r);
    open = [...new Set(fresh.flatMap((r) => [r.id, r.madeFrom]).filter(Boolean))];
  }
  return kin;
}

/** Those in use, what they were made from, and the previews of all these. */
function kept(kin: Map<string, Kin>, used: ReadonlySet<string>): Set<string> {
  const keep = new Set<string>();
  for (const id of used) for (let k = kin.get(id); k && !keep.has(k.id); k = kin.get(k.madeFrom)) keep.add(k.id);
  for (const k of kin.values()) if (k.role === 'preview' && keep.has(k.madeFrom)) keep.add(k.id);
  return keep;
}

/** Deletes of these bytes whatever no picture has any more. */
async function dropBytes(tx: Transaction, hashes: readonly string[]): Promise<void> {
  if (!hashes.length) return;
  const sorted = [...new Set(hashes)].sort();
  // Held first: an upload of the same bytes is either seen here, or waits and stores them anew.
  await tx.select({ sha256: blobs.sha256 }).from(blobs).where(inArray(blobs.sha256, sorted)).for('update');
  const still = await tx.selectDistinct({ sha256: pictures.sha256 }).from(pictures).where(inArray(pictures.sha256, sorted));
  const gone = sorted.filter((h) => !still.some((s) => s.sha256 === h));
  if (gone.length) await tx.delete(blobs).where(inArray(blobs.sha256, gone));
}

/**
 * Deletes those of the pictures, with their kin, that nothing refers to any more: for the end of a transaction that has
 * deleted what did refer to them. Gives how many went.
 */
export async function dropPictures(tx: Transaction, ids: readonly string[]): Promise<number> {
  const kin = await family(tx, ids);
  if (!kin.size) return 0;
  const all = [...kin.keys()].sort();
  // Held first, so that nobody begins to use one while its uses are counted.
  await tx.select({ id: pictures.id }).from(pictures).where(inArray(pictures.id, all)).for('update');
  const used = new Set<string>();
  for (const column of USES)
    for (const row of await tx.selectDistinct({ id: column }).from(column.table).where(inArray(column, all))) used.add(row.id as string);
  const keep = kept(kin, used);
  const gone = [...kin.values()].filter((k) => !keep.has(k.id));
  if (!gone.length) return 0;
  await tx.delete(pictures).where(
    inArray(
      pictures.id,
      gone.map((k) => k.id),
    ),
  );
  await dropBytes(
    tx,
    gone.map((k) => k.sha256),
  );
  return gone.length;
}

const BATCH = 200;

/** Deletes what a broken-off change or an earlier version left behind: pictures without a use for an hour, bytes without a picture. */
export async function sweepPictures(now = new Date()): Promise<{ pictures: number; blobs: number }> {
  const db = database();
  const before = new Date(now.getTime() - 3_600_000);
  const child = alias(pictures, 'child');
  const parent = alias(pictures, 'parent');
  const nowhere = USES.map((column) =>
    notExists(
      db
        .select({ one: sql`1` })
        .from(column.table)
        .where(eq(column, pictures.id)),
    ),
  );
  const made = db
    .select({ one: sql`1` })
    .from(child)
    .where(and(eq(child.madeFrom, pictures.id), ne(child.role, 'preview')));
  const unused = await db
    .select({ id: pictures.id })
    .from(pictures)
    .where(and(ne(pictures.role, 'preview'), lt(pictures.createdAt, before), notExists(made), ...nowhere));
  const from = db
    .select({ one: sql`1` })
    .from(parent)
    .where(eq(parent.id, pictures.madeFrom));
  const orphans = await db
    .select({ id: pictures.id })
    .from(pictures)
    .where(and(ne(pictures.madeFrom, ''), notExists(from)));
  let gone = 0;
  const ids = [...unused, ...orphans].map((r) => r.id);
  for (let i = 0; i < ids.length; i += BATCH) gone += await changing((tx) => dropPictures(tx, ids.slice(i, i + BATCH)));
  const bare = await db
    .select({ sha256: blobs.sha256 })
    .from(blobs)
    .where(sql`not exists (select 1 from ${pictures} where ${pictures.sha256} = ${blobs.sha256})`);
  for (let i = 0; i < bare.length; i += BATCH)
    await changing((tx) =>
      dropBytes(
        tx,
        bare.slice(i, i + BATCH).map((b) => b.sha256),
      ),
    );
  return { pictures: gone, blobs: bare.length };
}
