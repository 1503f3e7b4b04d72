/** Knows where pictures' bytes lie: by content hash, in chunks of 1 MB, in the database. */
import { createHash } from 'node:crypto';
import { and, asc, eq } from 'drizzle-orm';
import { Database, isDuplicate, newId, retrying } from '../database/connection';
import { notFound } from '../errors';
import { blobChunks, blobs, pictures } from '../schema';

const CHUNK = 1024 * 1024;

export type PictureRow = typeof pictures.$inferSelect;

/** Stores bytes once; safe when two processes store the same at the same time. */
async function putBlob(db: Database, bytes: Buffer): Promise<string> {
  const sha256 = createHash('sha256').update(bytes).digest('hex');
  const [there] = await db.select({ complete: blobs.complete }).from(blobs).where(eq(blobs.sha256, sha256));
  if (there?.complete) return sha256;
  await retrying(() =>
    db.transaction(async (tx) => {
      await tx
        .insert(blobs)
        .values({ sha256, bytes: bytes.length, complete: 0 })
        .onDuplicateKeyUpdate({ set: { bytes: bytes.length } });
      await tx.delete(blobChunks).where(eq(blobChunks.sha256, sha256));
      for (let seq = 0; seq * CHUNK < bytes.length; seq++)
        await tx.insert(blobChunks).values({ sha256, seq, data: bytes.subarray(seq * CHUNK, (seq + 1) * CHUNK) });
      await tx.update(blobs).set({ complete: 1 }).where(eq(blobs.sha256, sha256));
    }),
  );
  return sha256;
}

export async function getBlob(db: Database, sha256: string): Promise<Buffer> {
  const rows = await db
    .select({ data: blobChunks.data })
    .from(blobChunks)
    .where(eq(blobChunks.sha256, sha256))
    .orderBy(asc(blobChunks.seq));
  if (!rows.length) throw notFound('This picture');
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

/** Stores a picture for a teacher; the same picture made the same way twice is one row. */
export async function putPicture(db: Database, bytes: Buffer, about: NewPicture): Promise<string> {
  const sha256 = await putBlob(db, bytes);
  const id = newId();
  const madeFrom = about.madeFrom ?? '';
  try {
    await db
      .insert(pictures)
      .values({ ...about, id, madeFrom, sha256, name: about.name.slice(0, 190), createdAt: new Date() });
    return id;
  } catch (error) {
    if (!isDuplicate(error)) throw error;
    const [row] = await db
      .select({ id: pictures.id })
      .from(pictures)
      .where(
        and(
          eq(pictures.teacherId, about.teacherId),
          eq(pictures.madeFrom, madeFrom),
          eq(pictures.role, about.role),
          eq(pictures.sha256, sha256),
        ),
      );
    return row.id;
  }
}

export async function pictureOf(db: Database, teacherId: string, id: string): Promise<PictureRow> {
  const [row] = await db.select().from(pictures).where(and(eq(pictures.id, id), eq(pictures.teacherId, teacherId))); // prettier-ignore
  if (!row) throw notFound('This picture');
  return row;
}

/** A picture made from another, when it has been made already. */
export async function derivedPicture(
  db: Database,
  fromId: string,
  role: PictureRow['role'],
): Promise<PictureRow | null> {
  const [row] = await db.select().from(pictures).where(and(eq(pictures.madeFrom, fromId), eq(pictures.role, role))); // prettier-ignore
  return row ?? null;
}
