/** Knows a teacher's cupboard: kits of materials, made, filled, changed and removed, each step to be undone. */
import { and, asc, eq, max, sql, SQL } from 'drizzle-orm';
import { CupboardKit, isMixed, Material, mixable, propertiesFor } from '../../core/colour/materials';
import { READY_SETS, ReadySet } from '../../core/colour/readySets';
import { MOST_MATERIALS } from '../../core/formats/cupboardFile';
import { message, typed } from '../../core/message';
import { onDesk } from '../accounts/ownership';
import { database, newId, type Querying, type Transaction } from '../database/connection';
import { unlessTaken } from '../database/failures';
import { logged, loggedRemoval } from '../edits/log';
import { conflict, notFound, sentence, UserError } from '../errors';
import { kits, materials } from '../schema';

type MaterialRow = typeof materials.$inferSelect;
type StoredMaterial = Material & { id: string; version: number };
export interface StoredKit extends CupboardKit {
  id: string;
  version: number;
  materials: StoredMaterial[];
}

/** More kits than any cupboard holds. */
const MOST_KITS = 60;

const materialIn = (r: MaterialRow): StoredMaterial => ({
  id: r.id,
  version: r.version,
  kind: r.kind,
  name: r.name,
  pigment: r.pigment,
  masstone: r.masstone,
  tint: r.tintHex && r.tintPaint && r.tintWhite ? { hex: r.tintHex, parts: [r.tintPaint, r.tintWhite] } : null,
  ...(r.tints?.length ? { tints: r.tints } : {}),
  strength: r.strength,
  properties: r.properties,
  ...(r.extra ? { extra: r.extra } : {}),
});

const columnsOf = ({ kind, name, pigment, masstone, tint, tints = [], strength, properties, extra = null }: Material) => ({
  kind,
  name,
  pigment,
  masstone: kind === 'tool' ? null : masstone,
  tintHex: isMixed(kind) ? (tint?.hex ?? null) : null,
  tintPaint: isMixed(kind) ? (tint?.parts[0] ?? null) : null,
  tintWhite: isMixed(kind) ? (tint?.parts[1] ?? null) : null,
  tints: isMixed(kind) && tints.length ? [...tints] : null,
  strength,
  properties: propertiesFor(kind, properties),
  extra,
});

async function readKits(where: SQL | undefined, db: Querying = database()): Promise<StoredKit[]> {
  const rows = await db
    .select({ kit: kits, material: materials })
    .from(kits)
    .leftJoin(materials, eq(materials.kitId, kits.id))
    .where(where)
    .orderBy(asc(kits.name), asc(materials.position));
  const byId = new Map<string, StoredKit>();
  for (const { kit, material } of rows) {
    const there = byId.get(kit.id) ?? { id: kit.id, name: kit.name, white: kit.white, version: kit.version, materials: [] };
    byId.set(kit.id, there);
    if (material) there.materials.push(materialIn(material));
  }
  return [...byId.values()];
}

export const listKits = (teacherId: string): Promise<StoredKit[]> => readKits(eq(kits.teacherId, teacherId));

export async function kitOf(teacherId: string, id: string, db: Querying = database()): Promise<StoredKit> {
  const [found] = await readKits(and(eq(kits.id, id), eq(kits.teacherId, teacherId)), db);
  if (!found) throw notFound('kit');
  return found;
}

const about = (teacherId: string, id: string, label: 'kit' | 'removeKit' | 'material' | 'removeMaterial', name: string) => ({
  teacherId,
  studyId: null,
  subject: 'kit',
  subjectId: id,
  label: message(`edits.${label}`, { name: typed(name) }),
});

/** Says whose name is taken where the database refuses it. */
const named = <T>(what: 'sameKit' | 'sameMaterial', name: string, work: () => Promise<T>): Promise<T> =>
  unlessTaken(work, () => new UserError(409, sentence(what, { name: typed(name) }), 'name'));

/** The name, or where it is taken the name with the first number that is not. */
async function freeName(tx: Transaction, teacherId: string, wanted: string): Promise<string> {
  const taken = new Set(
    (await tx.select({ name: kits.name }).from(kits).where(eq(kits.teacherId, teacherId))).map((k) => k.name.toLowerCase()),
  );
  if (taken.size >= MOST_KITS) throw new UserError(400, sentence('most.kits', { n: MOST_KITS }));
  for (let n = 1; ; n++) {
    const name = n === 1 ? wanted : `${wanted.slice(0, 110)} ${n}`;
    if (!taken.has(name.toLowerCase())) return name;
  }
}

/** A new kit with what it holds; one of the same name gets a number. */
export function addKit(teacherId: string, { name: wanted, white, materials: list }: CupboardKit): Promise<string> {
  const id = newId();
  return onDesk(teacherId, async (tx) => {
    const name = await freeName(tx, teacherId, wanted);
    const scope = { table: kits, where: eq(kits.id, id), tree: true };
    await logged(tx, about(teacherId, id, 'kit', name), [scope], async () => {
      await tx.insert(kits).values({ id, teacherId, name, white });
      if (list.length)
        await tx.insert(materials).values(list.map((m, position) => ({ id: newId(), kitId: id, position, ...columnsOf(m) })));
    });
    return id;
  });
}

/** A ready set, its colours named as `called` calls them. */
export function addReadySet(teacherId: string, key: ReadySet, name: string, called: (colour: string) => string): Promise<string> {
  const { white, materials: list } = READY_SETS[key];
  return addKit(teacherId, { name, white: white && called(white), materials: list.map((m) => ({ ...m, name: called(m.name) })) });
}

export async function copyKit(teacherId: string, id: string): Promise<string> {
  return addKit(teacherId, await kitOf(teacherId, id));
}

function checkWhite(kit: CupboardKit): void {
  if (kit.white !== null && !mixable(kit).paints.some((p) => p.name === kit.white))
    throw new UserError(400, sentence('noWhite', { name: typed(kit.white) }), 'white');
}

export function changeKit(
  teacherId: string,
  id: string,
  version: number,
  fields: { name?: string; white?: string | null },
): Promise<number> {
  return onDesk(teacherId, async (tx) => {
    const before = await kitOf(teacherId, id, tx);
    if (before.version !== version) throw conflict('kit');
    if (fields.white !== undefined) checkWhite({ ...before, white: fields.white });
    const where = eq(kits.id, id);
    await named('sameKit', fields.name ?? before.name, () =>
      logged(tx, about(teacherId, id, 'kit', fields.name ?? before.name), [{ table: kits, where }], () =>
        tx
          .update(kits)
          .set({ ...fields, version: version + 1 })
          .where(where),
      ),
    );
    return version + 1;
  });
}

export function removeKit(teacherId: string, id: string): Promise<void> {
  return onDesk(teacherId, async (tx) => {
    const { name } = await kitOf(teacherId, id, tx);
    await loggedRemoval(tx, about(teacherId, id, 'removeKit', name), { table: kits, where: eq(kits.id, id) });
  });
}

export function addMaterial(teacherId: string, kitId: string, material: Material): Promise<string> {
  const id = newId();
  return onDesk(teacherId, async (tx) => {
    await kitOf(teacherId, kitId, tx);
    const [{ last, count }] = await tx
      .select({ last: max(materials.position), count: sql<number>`count(*)` })
      .from(materials)
      .where(eq(materials.kitId, kitId));
    if (Number(count) >= MOST_MATERIALS) throw new UserError(400, sentence('most.materials', { n: MOST_MATERIALS }));
    const where = eq(materials.id, id);
    await named('sameMaterial', material.name, () =>
      logged(tx, about(teacherId, kitId, 'material', material.name), [{ table: materials, where }], () =>
        tx.insert(materials).values({ id, kitId, position: (last ?? -1) + 1, ...columnsOf(material) }),
      ),
    );
    return id;
  });
}

export async function materialOf(
  teacherId: string,
  id: string,
  db: Querying = database(),
): Promise<{ row: MaterialRow; kit: typeof kits.$inferSelect }> {
  const [found] = await db
    .select({ row: materials, kit: kits })
    .from(materials)
    .innerJoin(kits, eq(kits.id, materials.kitId))
    .where(and(eq(materials.id, id), eq(kits.teacherId, teacherId)));
  if (!found) throw notFound('material');
  return found;
}

/** A kit's white follows its material: renamed with it, and none once it is gone or no paint any more. */
async function followWhite(tx: Transaction, kit: typeof kits.$inferSelect, from: string, to: string | null): Promise<void> {
  if (kit.white !== from || from === to) return;
  await tx
    .update(kits)
    .set({ white: to, version: sql`${kits.version} + 1` })
    .where(eq(kits.id, kit.id));
}

export function changeMaterial(teacherId: string, id: string, version: number, material: Material): Promise<void> {
  return onDesk(teacherId, async (tx) => {
    const { row, kit } = await materialOf(teacherId, id, tx);
    if (row.version !== version) throw conflict('material');
    const where = eq(materials.id, id);
    const scopes = [
      { table: materials, where },
      { table: kits, where: eq(kits.id, kit.id) },
    ];
    await named('sameMaterial', material.name, () =>
      logged(tx, about(teacherId, kit.id, 'material', material.name), scopes, async () => {
        await tx
          .update(materials)
          .set({ ...columnsOf({ ...material, extra: row.extra }), version: version + 1 })
          .where(where);
        await followWhite(tx, kit, row.name, isMixed(material.kind) ? material.name : null);
      }),
    );
  });
}

export function removeMaterial(teacherId: string, id: string): Promise<void> {
  return onDesk(teacherId, async (tx) => {
    const { row, kit } = await materialOf(teacherId, id, tx);
    const where = eq(materials.id, id);
    const scopes = [
      { table: materials, where },
      { table: kits, where: eq(kits.id, kit.id) },
    ];
    await logged(tx, about(teacherId, kit.id, 'removeMaterial', row.name), scopes, async () => {
      await tx.delete(materials).where(where);
      await followWhite(tx, kit, row.name, null);
    });
  });
}
