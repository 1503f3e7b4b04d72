/** Knows a teacher's paint kits. */
import { asc, eq } from 'drizzle-orm';
import { Kit } from '../../core/colour/mixing';
import { database } from '../database/connection';
import { kits, paints } from '../schema';

export async function listKits(teacherId: string): Promise<(Kit & { id: string })[]> {
  const rows = await database()
    .select({ kit: kits, paint: paints })
    .from(kits)
    .leftJoin(paints, eq(paints.kitId, kits.id))
    .where(eq(kits.teacherId, teacherId))
    .orderBy(asc(kits.name), asc(paints.position));
  const byId = new Map<string, Kit & { id: string }>();
  for (const { kit, paint: p } of rows) {
    const there = byId.get(kit.id) ?? { id: kit.id, name: kit.name, white: kit.white, paints: [] };
    byId.set(kit.id, there);
    if (p)
      there.paints.push({
        name: p.name,
        pigment: p.pigment,
        masstone: p.masstone,
        tint: p.tintHex && p.tintPaint && p.tintWhite ? { hex: p.tintHex, parts: [p.tintPaint, p.tintWhite] } : null,
        strength: p.strength,
      });
  }
  return [...byId.values()];
}
