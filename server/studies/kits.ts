/** Knows a teacher's paint kits. */
import { asc, eq } from 'drizzle-orm';
import { Kit } from '../../core/colour/mixing';
import { database } from '../database/connection';
import { kits, paints } from '../schema';

export async function listKits(teacherId: string): Promise<(Kit & { id: string })[]> {
  const db = database();
  const rows = await db.select().from(kits).where(eq(kits.teacherId, teacherId)).orderBy(asc(kits.name)); // prettier-ignore
  return Promise.all(
    rows.map(async (k) => ({
      id: k.id,
      name: k.name,
      white: k.white,
      paints: (await db.select().from(paints).where(eq(paints.kitId, k.id)).orderBy(asc(paints.position))).map((p) => ({
        name: p.name,
        pigment: p.pigment,
        masstone: p.masstone,
        tint: p.tintHex && p.tintPaint && p.tintWhite ? { hex: p.tintHex, parts: [p.tintPaint, p.tintWhite] as [number, number] } : null,
        strength: p.strength,
      })),
    })),
  ); // prettier-ignore
}
