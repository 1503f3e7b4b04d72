/** Knows the shapes a work is built of: one list a work, each change logged, a stale change refused. */
import { eq } from 'drizzle-orm';
import { Message } from '../../core/message';
import type { Frame } from '../../core/proportion/measures';
import { checkedShapes, DrawnShape, readShapes, ReadShape } from '../../core/proportion/shapeList';
import { inStudy, workOf } from '../accounts/ownership';
import { database, newId } from '../database/connection';
import { logged } from '../edits/log';
import { conflict } from '../errors';
import { pictures, shapeLists } from '../schema';
import { inThread } from '../threads/threads';

export interface ShapeList {
  shapes: DrawnShape[];
  version: number;
}

const NONE: ShapeList = { shapes: [], version: 0 };

/** The shapes of a work of the caller's own. */
export async function shapesOf(workId: string): Promise<ShapeList> {
  const [row] = await database().select().from(shapeLists).where(eq(shapeLists.workId, workId));
  return row ? { shapes: row.shapes, version: row.version } : NONE;
}

/** Shapes as they are read in the picture proper, fitted in a thread of their own. */
export async function readIn(shapes: readonly DrawnShape[], frame: Frame): Promise<ReadShape[]> {
  if (!shapes.length) return [];
  const fits = await inThread({ task: 'fit-shapes', outlines: shapes.map((s) => s.outline) });
  return readShapes(shapes, frame, new Map(shapes.map((s, i) => [s.id, fits[i]])));
}

/** Stores all shapes of a work; `version` 0 says that there were none before. Gives the new version. */
export async function drawShapes(
  teacherId: string,
  workId: string,
  version: number,
  value: unknown,
  label: Message | null,
): Promise<number> {
  const { studyId, pictureId } = await workOf(teacherId, workId);
  const [{ width, height }] = await database()
    .select({ width: pictures.width, height: pictures.height })
    .from(pictures)
    .where(eq(pictures.id, pictureId));
  const shapes = checkedShapes(value, [width, height]);
  return inStudy(teacherId, studyId, async (tx) => {
    const where = eq(shapeLists.workId, workId);
    const [row] = await tx.select({ id: shapeLists.id, version: shapeLists.version }).from(shapeLists).where(where);
    if ((row?.version ?? 0) !== version) throw conflict('shapes');
    await logged(tx, { teacherId, studyId, subject: 'shapes', subjectId: workId, label }, [{ table: shapeLists, where }], async () => {
      if (row)
        await tx
          .update(shapeLists)
          .set({ shapes, version: version + 1 })
          .where(where);
      else await tx.insert(shapeLists).values({ id: newId(), studyId, workId, shapes });
    });
    return version + 1;
  });
}
