/** Knows the parts a sheet can be put together from: shapes drawn on the works, whole works, and drawings of the teacher's own. */
import { asc, eq } from 'drizzle-orm';
import { boundsOf, Point } from '../../core/raster/image';
import { database } from '../database/connection';
import { pictures, referencePictures, shapeLists, works } from '../schema';

export interface PartView {
  key: string;
  name: string;
  /** Of the work it is cut from; the reference's own title for a drawing of one's own. */
  from: string;
  of: 'shape' | 'work' | 'own';
  pictureId: string;
  width: number;
  height: number;
  /** Px of the picture; null for all of it. */
  outline: [number, number][] | null;
  /** Width over height. */
  ratio: number;
}

const ratioOf = (outline: readonly Point[]): number => {
  const { left, top, right, bottom } = boundsOf(outline);
  return Math.max(1, right - left) / Math.max(1, bottom - top);
};

/** All of them, those of a work together; a drawing of one's own is a reference that belongs to no student. */
export async function partsOf(studyId: string): Promise<PartView[]> {
  const db = database();
  const sized = { width: pictures.width, height: pictures.height };
  const drawn = await db
    .select({ id: works.id, title: works.title, pictureId: works.pictureId, shapes: shapeLists.shapes, ...sized })
    .from(works)
    .innerJoin(pictures, eq(pictures.id, works.pictureId))
    .leftJoin(shapeLists, eq(shapeLists.workId, works.id))
    .where(eq(works.studyId, studyId))
    .orderBy(asc(works.position));
  const own = await db
    .select({
      id: referencePictures.id,
      title: referencePictures.title,
      pictureId: referencePictures.pictureId,
      studentId: referencePictures.studentId,
      workId: referencePictures.workId,
      ...sized,
    })
    .from(referencePictures)
    .innerJoin(pictures, eq(pictures.id, referencePictures.pictureId))
    .where(eq(referencePictures.studyId, studyId));
  return [
    ...drawn.flatMap(({ id, title, pictureId, shapes, width, height }): PartView[] => [
      ...(shapes ?? [])
        .filter((s) => !s.gap)
        .map((s): PartView => ({
          key: s.id,
          name: s.name,
          from: title,
          of: 'shape',
          pictureId,
          width,
          height,
          outline: s.outline,
          ratio: ratioOf(s.outline),
        })),
      { key: id, name: title, from: title, of: 'work', pictureId, width, height, outline: null, ratio: width / height },
    ]),
    ...own
      .filter((r) => r.studentId === null && r.workId === null)
      .map(({ id, title, pictureId, width, height }): PartView => ({
        key: id,
        name: title,
        from: title,
        of: 'own',
        pictureId,
        width,
        height,
        outline: null,
        ratio: width / height,
      })),
  ];
}
