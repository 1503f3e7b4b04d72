/** Knows everything that is a teacher's, as a ZIP: every row that hangs off the account, table by table, and the pictures. */
import { and, eq, ne } from 'drizzle-orm';
import { changing, database } from '../database/connection';
import { readRows } from '../edits/rows';
import { pictures, user } from '../schema';
import { pathOf, zipStream } from './zip';

/** How one signs in is nobody's to carry about, and readings can be taken again. */
const LEFT_OUT: ReadonlySet<string> = new Set(['session', 'account', 'profiles']);

export async function everythingOf(teacherId: string): Promise<ReadableStream<Uint8Array>> {
  const rows = await changing((tx) => readRows(tx, [{ table: user, where: eq(user.id, teacherId), tree: true }]));
  const tables: Record<string, unknown[]> = {};
  for (const [name, { row }] of rows) {
    const table = name.slice(0, name.indexOf(' '));
    if (!LEFT_OUT.has(table)) (tables[table] ??= []).push(row);
  }
  // Small pictures for screens are made again from the others.
  const kept = await database()
    .select({ id: pictures.id, mime: pictures.mime, sha256: pictures.sha256 })
    .from(pictures)
    .where(and(eq(pictures.teacherId, teacherId), ne(pictures.role, 'preview')));
  const files = kept.map((p) => ({ path: pathOf(p), sha256: p.sha256 }));
  return zipStream('everything.json', { format: 'oldhand.everything/1', savedAt: new Date().toISOString(), tables }, files);
}
