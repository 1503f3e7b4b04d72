/** Knows what has to be measured or compared anew once rows have changed, whoever changed them: an edit, an undo, a redo. */
import { and, eq, inArray, sql } from 'drizzle-orm';
import { ownKey } from '../../core/proportion/ownTemplate';
import type { Transaction } from '../database/connection';
import { askToCompare, askToMeasure, askToProcess, compareAgain } from '../queue/asking';
import { landmarkSets, pieces, works } from '../schema';
import type { RowChange } from '../schema/edits';

const CORNERS_FIRST = 8;

interface Where {
  teacherId: string;
  studyId: string;
}

const touches = (c: RowChange, ...names: string[]): boolean => names.some((n) => (c.before && n in c.before) || (c.after && n in c.after));

/** Asks for measuring; gives whether what is there already has to be compared at once. */
async function ofWorks(tx: Transaction, { teacherId, studyId }: Where, changes: RowChange[]): Promise<boolean> {
  let compare = false;
  for (const c of changes) {
    const id = c.key.id as string;
    const [there] = await tx.select({ id: works.id }).from(works).where(eq(works.id, id));
    // What is measured is compared when that is done; what is gone, or only changed sides, at once.
    if (!there) compare = true;
    else if (touches(c, 'pictureId', 'widthMm', 'place')) await askToMeasure(tx, teacherId, { id, studyId });
    else if (touches(c, 'foil')) compare = true;
    else if (touches(c, 'groupId')) {
      // Only what is held against the group it left or came to.
      const sides = [c.before?.groupId, c.after?.groupId].filter((g): g is string => typeof g === 'string');
      const held = sides.length
        ? await tx
            .select({ id: pieces.id, studyId: pieces.studyId })
            .from(pieces)
            .where(and(eq(pieces.studyId, studyId), eq(pieces.state, 'ready'), inArray(pieces.groupId, sides)))
        : [];
      await askToCompare(tx, teacherId, ...held);
    }
  }
  return compare;
}

async function ofPieces(tx: Transaction, { teacherId, studyId }: Where, changes: RowChange[]): Promise<void> {
  for (const c of changes) {
    const id = c.key.id as string;
    const [row] = await tx.select({ state: pieces.state }).from(pieces).where(eq(pieces.id, id));
    if (!row) continue;
    const isNew = c.before === null || c.after === null;
    if (!isNew && touches(c, 'capture', 'corners', 'placedByHand', 'paperWidthMm', 'paperHeightMm')) {
      await tx
        .update(pieces)
        .set({ state: 'waiting', version: sql`${pieces.version} + 1` })
        .where(eq(pieces.id, id));
      await askToProcess(tx, teacherId, { id, studyId }, CORNERS_FIRST);
    } else if ((isNew || touches(c, 'groupId')) && row.state === 'ready') await askToCompare(tx, teacherId, { id, studyId });
    else if (isNew) await askToProcess(tx, teacherId, { id, studyId });
  }
}

/** Asks for everything that the changes have put out of date, in the transaction that makes them. */
export async function reckonAnew(tx: Transaction, where: Where, changes: readonly RowChange[]): Promise<void> {
  const of = (table: string) => changes.filter((c) => c.table === table);
  await ofPieces(tx, where, of('pieces'));
  let all = await ofWorks(tx, where, of('works'));
  all ||= of('studies').some((c) => touches(c, 'aim', 'led'));
  // Another sentence of a rule changes nothing that is measured.
  all ||= of('rules').some((c) => (c.before?.feature ?? '') !== (c.after?.feature ?? ''));
  const points = of('landmark_sets');
  if (points.length) {
    const side = { workId: landmarkSets.workId, pieceId: landmarkSets.pieceId };
    const sides = points.map((c) => ({ ...c.after, ...c.before }) as Partial<Record<keyof typeof side, string>>);
    const kept = await tx
      .select(side)
      .from(landmarkSets)
      .where(
        inArray(
          landmarkSets.id,
          points.map((c) => c.key.id as string),
        ),
      );
    const touched = [...sides, ...kept];
    all ||= touched.some((s) => s.workId);
    const ids = [...new Set(touched.flatMap((s) => s.pieceId ?? []))];
    const ready = ids.length ? await tx.select({ id: pieces.id, studyId: pieces.studyId }).from(pieces).where(inArray(pieces.id, ids)) : [];
    await askToCompare(tx, where.teacherId, ...ready);
  }
  // A kind of points lies in any of the teacher's studies.
  const kinds = of('own_templates').map((c) => ownKey(c.key.id as string));
  const elsewhere = kinds.length
    ? await tx.selectDistinct({ studyId: landmarkSets.studyId }).from(landmarkSets).where(inArray(landmarkSets.template, kinds))
    : [];
  const studies = new Set([...(all ? [where.studyId] : []), ...elsewhere.map((s) => s.studyId)]);
  for (const studyId of studies) await compareAgain(tx, where.teacherId, studyId);
}
