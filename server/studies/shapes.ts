/** Knows what is drawn over a work, its shapes and kept lines: one list a work, each change logged, a stale change refused. */
import { and, asc, eq } from 'drizzle-orm';
import { Message } from '../../core/message';
import { carryLines, checkedLines, KeptLine } from '../../core/proportion/keptLines';
import type { Frame } from '../../core/proportion/measures';
import type { Carry } from '../../core/raster/crop';
import { carryShapes, checkedShapes, DrawnShape, readShapes, ReadShape } from '../../core/proportion/shapeList';
import { inStudy, workOf } from '../accounts/ownership';
import { database, newId, type Transaction } from '../database/connection';
import { logged } from '../edits/log';
import { conflict } from '../errors';
import { pictures, shapeLists, works } from '../schema';
import { inThread } from '../threads/threads';

export interface ShapeList {
  shapes: DrawnShape[];
  lines: KeptLine[];
  version: number;
}

const NONE: ShapeList = { shapes: [], lines: [], version: 0 };

/** What is drawn over a work of the caller's own. */
export async function shapesOf(workId: string): Promise<ShapeList> {
  const [row] = await database().select().from(shapeLists).where(eq(shapeLists.workId, workId));
  return row ? { shapes: row.shapes, lines: row.lines ?? [], version: row.version } : NONE;
}

/** The shapes of the first of a study's works, in their order, that has any; foils have no say. Null where none has. */
export async function firstBuilt(studyId: string): Promise<{ workId: string; shapes: DrawnShape[] } | null> {
  const rows = await database()
    .select({ workId: works.id, shapes: shapeLists.shapes })
    .from(shapeLists)
    .innerJoin(works, eq(works.id, shapeLists.workId))
    .where(and(eq(works.studyId, studyId), eq(works.foil, false)))
    .orderBy(asc(works.position));
  return rows.find((r) => r.shapes.some((s) => !s.gap)) ?? null;
}

/** Shapes as they are read in the picture proper, fitted in a thread of their own. */
export async function readIn(shapes: readonly DrawnShape[], frame: Frame): Promise<ReadShape[]> {
  if (!shapes.length) return [];
  const fits = await inThread({ task: 'fit-shapes', outlines: shapes.map((s) => s.outline) });
  return readShapes(shapes, frame, new Map(shapes.map((s, i) => [s.id, fits[i]])));
}

/** Stores what is drawn over a work, as far as it is given; `version` 0 says that there was nothing before. Gives the new version. */
export async function drawShapes(
  teacherId: string,
  workId: string,
  version: number,
  given: { shapes?: unknown; lines?: unknown },
  label: Message | null,
): Promise<number> {
  const { studyId, pictureId } = await workOf(teacherId, workId);
  const [{ width, height }] = await database()
    .select({ width: pictures.width, height: pictures.height })
    .from(pictures)
    .where(eq(pictures.id, pictureId));
  const shapes = given.shapes === undefined ? undefined : checkedShapes(given.shapes, [width, height]);
  const lines = given.lines === undefined ? undefined : checkedLines(given.lines, [width, height]);
  return inStudy(teacherId, studyId, async (tx) => {
    const where = drawnOn(workId).where;
    const [row] = await tx.select({ id: shapeLists.id, version: shapeLists.version }).from(shapeLists).where(where);
    if ((row?.version ?? 0) !== version) throw conflict('shapes');
    await logged(tx, { teacherId, studyId, subject: 'shapes', subjectId: workId, label }, [drawnOn(workId)], async () => {
      if (row)
        await tx
          .update(shapeLists)
          .set({ shapes, lines, version: version + 1 })
          .where(where);
      else await tx.insert(shapeLists).values({ id: newId(), studyId, workId, shapes: shapes ?? [], lines });
    });
    return version + 1;
  });
}

/** What is drawn over a work, for the log. */
export const drawnOn = (workId: string) => ({ table: shapeLists, where: eq(shapeLists.workId, workId) });

/** Takes what is drawn over a work along to a picture made from its own. */
export async function carryDrawn(tx: Transaction, workId: string, carry: Carry): Promise<void> {
  const [row] = await tx.select().from(shapeLists).where(drawnOn(workId).where);
  if (row)
    await tx
      .update(shapeLists)
      .set({ shapes: carryShapes(row.shapes, carry), lines: carryLines(row.lines ?? [], carry), version: row.version + 1 })
      .where(eq(shapeLists.id, row.id));
}
