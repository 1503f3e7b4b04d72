/** Knows pictures by their content: bytes once in chunks of 1 MB, and a row for whoever has them under which name. */
import { createHash } from 'node:crypto';
import { and, asc, eq } from 'drizzle-orm';
import { newId, type Querying, type Transaction } from '../database/connection';
import { isDuplicate } from '../database/failures';
import { notFound } from '../errors';
import { blobChunks, blobs, pictures } from '../schema';

export type PictureRow = typeof pictures.$inferSelect;

/** Below the 16 MB that a school's server may allow a packet, with room to spare. */
const CHUNK = 1024 * 1024;

/**
 * Stores bytes once, whoever sends them. The row is held until the transaction ends, also where the bytes are there
 * already: whoever would delete them waits, and then finds them in use.
 */
async function putBlob(tx: Transaction, bytes: Buffer): Promise<string> {
  const sha256 = createHash('sha256').update(bytes).digest('hex');
  await tx
    .insert(blobs)
    .values({ sha256, bytes: bytes.length, complete: 0 })
    .onDuplicateKeyUpdate({ set: { bytes: bytes.length } });
  const [{ complete }] = await tx.select({ complete: blobs.complete }).from(blobs).where(eq(blobs.sha256, sha256)).for('update');
  if (complete) return sha256;
  await tx.delete(blobChunks).where(eq(blobChunks.sha256, sha256));
  for (let seq = 0; seq * CHUNK < bytes.length; seq++)
    await tx.insert(blobChunks).values({ sha256, seq, data: bytes.subarray(seq * CHUNK, (seq + 1) * CHUNK) });
  await tx.update(blobs).set({ complete: 1 }).where(eq(blobs.sha256, sha256));
  return sha256;
}

export async function getBlob(db: Querying, sha256: string): Promise<Buffer> {
  const rows = await db
    .select({ data: blobChunks.data })
    .from(blobChunks)
    .where(eq(blobChunks.sha256, sha256))
    .orderBy(asc(blobChunks.seq));
  if (!rows.length) throw notFound('picture');
  return Buffer.concat(rows.map((r) => r.data));
}

export interface NewPicture {
  teacherId: string;
  role: PictureRow['role'];
  madeFrom?: string;
  name: string;
  mime: string;
  width: number;
  height: number;
}

/**
 * Stores a picture for a teacher, in the transaction that gives it its use; the same picture made the same way twice is
 * one row, held until the transaction ends.
 */
export async function putPicture(tx: Transaction, bytes: Buffer, about: NewPicture): Promise<string> {
  const sha256 = await putBlob(tx, bytes);
  const madeFrom = about.madeFrom ?? '';
  const there = and(
    eq(pictures.teacherId, about.teacherId),
    eq(pictures.madeFrom, madeFrom),
    eq(pictures.role, about.role),
    eq(pictures.sha256, sha256),
  );
  for (;;) {
    const id = newId();
    try {
      await tx.insert(pictures).values({ ...about, id, madeFrom, sha256, name: about.name.slice(0, 190), createdAt: new Date() });
      return id;
    } catch (error) {
      if (!isDuplicate(error)) throw error;
    }
    // Gone again where it was just being deleted: then it is stored anew.
    const [row] = await tx.select({ id: pictures.id }).from(pictures).where(there).for('update');
    if (row) return row.id;
  }
}

export async function pictureOf(db: Querying, teacherId: string, id: string): Promise<PictureRow> {
  const [row] = await db
    .select()
    .from(pictures)
    .where(and(eq(pictures.id, id), eq(pictures.teacherId, teacherId)));
  if (!row) throw notFound('picture');
  return row;
}

/** A picture made from another, when it has been made already. */
export async function derivedPicture(db: Querying, fromId: string, role: PictureRow['role']): Promise<PictureRow | null> {
  const [row] = await db
    .select()
    .from(pictures)
    .where(and(eq(pictures.madeFrom, fromId), eq(pictures.role, role)));
  return row ?? null;
}
