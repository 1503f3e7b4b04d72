/** Knows how a work's picture is put in the place of another: cropped, turned, laid flat; and how a part of it becomes a work of its own. */
import { and, asc, eq, gt, sql } from 'drizzle-orm';
import { flatOf } from '../../core/capture/flatten';
import { heldInside, leaningCorners } from '../../core/capture/leaning';
import { message, typed } from '../../core/message';
import { Carry, carryPatch, carryPoint, carryPoints, Crop, wholeCrop } from '../../core/raster/crop';
import { database, newId } from '../database/connection';
import { logged } from '../edits/log';
import { conflict, sentence, UserError } from '../errors';
import { placeOf } from '../pictures/readings';
import { getBlob, pictureOf } from '../pictures/store';
import { putMade } from '../pictures/takeIn';
import { askToMeasure } from '../queue/asking';
import { landmarkSets, pins, works } from '../schema';
import type { Frame } from '../schema/studies';
import type { UprightTask } from '../threads/tasks';
import { inThread } from '../threads/threads';
import { inStudy, within, workOf, WorkRow } from '../accounts/ownership';
import { carryDrawn, drawnOn } from './shapes';
import { aboutWork as about, checkInside, itself, roomForWork, scaleOf, setWork } from './works';

/** What a picture is made into, and where what lay in it comes to lie. */
interface Remaking {
  task: Pick<UprightTask, 'crop' | 'flat'>;
  carry: Carry;
  label: 'crop' | 'straighten';
}

interface Size {
  width: number;
  height: number;
}

/** A place given in shares of one picture, in shares of the picture made from it; null where any of it is no longer there. */
function carriedShare([x, y, w, h]: Frame, from: Size, to: Size, carry: Carry): Frame | null {
  const patch = carryPatch([x * from.width, y * from.height, w * from.width, h * from.height], carry);
  return patch && [patch[0] / to.width, patch[1] / to.height, patch[2] / to.width, patch[3] / to.height];
}

/** Puts another picture in the place of a work's; the original upload is kept, points, patches, shapes and lines go along. */
async function remake(
  teacherId: string,
  id: string,
  version: number,
  into: (picture: { width: number; height: number }, work: WorkRow) => Remaking,
): Promise<void> {
  const before = await workOf(teacherId, id);
  if (before.version !== version) throw conflict('work');
  // A part keeps the scale of the whole and its place there only as it was cut.
  if (before.partOf !== null) throw new UserError(400, sentence('part.remade'));
  const picture = await pictureOf(database(), teacherId, before.pictureId);
  const { task, carry, label } = into(picture, before);
  const made = await inThread({ task: 'upright', bytes: await getBlob(database(), picture.sha256), name: picture.name, ...task });
  await within(workOf, teacherId, id, async (tx, work) => {
    const uprightId = await putMade(tx, teacherId, 'upright', picture.id, picture.name, made);
    const scopes = [
      itself(id),
      partsIn(id),
      { table: landmarkSets, where: eq(landmarkSets.workId, id) },
      { table: pins, where: eq(pins.workId, id) },
      drawnOn(id),
    ];
    await logged(tx, about(teacherId, work, message(`edits.${label}`, { title: typed(work.title) })), scopes, async () => {
      // The frame was that of the picture as it was; what is left out lies where it comes to lie.
      const kept = (work.leftOut ?? []).flatMap((outline, i) => {
        const carried = outline.map((p) => carry(p));
        return carried.every((p) => p !== null) ? [{ outline: carried, why: work.leftOutAs?.[i] ?? null }] : [];
      });
      const leftOut = kept.length ? kept.map((k) => k.outline) : null;
      const leftOutAs = kept.length && kept.every((k) => k.why !== null) ? kept.map((k) => k.why!) : null;
      await setWork(tx, id, version, { pictureId: uprightId, frame: null, leftOut, leftOutAs, place: placeOf(null, leftOut) });
      for (const part of await tx.select().from(works).where(eq(works.partOf, id))) {
        const partAt = part.partAt && carriedShare(part.partAt, picture, made, carry);
        await tx
          .update(works)
          .set({ partAt, version: part.version + 1 })
          .where(eq(works.id, part.id));
      }
      for (const set of await tx.select().from(landmarkSets).where(eq(landmarkSets.workId, id)))
        await tx
          .update(landmarkSets)
          .set({
            points: carryPoints(set.points, carry),
            again: set.again && carryPoints(set.again, carry),
            version: set.version + 1,
          })
          .where(eq(landmarkSets.id, set.id));
      for (const pin of await tx.select().from(pins).where(eq(pins.workId, id))) {
        const patch = carryPatch(pin.patch, carry);
        if (patch) await tx.update(pins).set({ patch }).where(eq(pins.id, pin.id));
        else await tx.delete(pins).where(eq(pins.id, pin.id));
      }
      await carryDrawn(tx, id, carry);
    });
  });
}

/** Crops a work's picture and turns it: by quarters without a loss, by any other angle resampled. */
export const cropWork = (teacherId: string, id: string, version: number, { lean = 0, ...frame }: Crop & { lean?: number }): Promise<void> =>
  remake(teacherId, id, version, (picture) => {
    checkInside([frame.x, frame.y, frame.w, frame.h], picture, 'crop');
    if (lean !== 0) {
      const held = heldInside({ ...frame, lean }, picture.width, picture.height);
      return laidFlat(leaningCorners(held), picture, sidesOf(held), 'crop');
    }
    const crop = wholeCrop(frame, picture.width, picture.height);
    return { task: { crop, flat: null }, carry: (at) => carryPoint(at, crop), label: 'crop' };
  });

const sidesOf = ({ w, h, turn }: Crop): number => (turn % 180 ? h / w : w / h);

function laidFlat(corners: [number, number][], { width, height }: Size, ratio: number | null, label: Remaking['label']): Remaking {
  const flat = flatOf(corners, width, height, ratio);
  const carry: Carry = (at) => {
    const [x, y] = flat.place(at);
    return x < 0 || y < 0 || x > flat.width || y > flat.height ? null : [x, y];
  };
  return { task: { crop: null, flat: { corners, ratio } }, carry, label };
}

/** Lays a work flat that was photographed at a slant, by its four corners; in its own proportions where both its sides are known. */
export const straightenWork = (teacherId: string, id: string, version: number, corners: [number, number][]): Promise<void> =>
  remake(teacherId, id, version, (picture, { widthMm, heightMm }) =>
    laidFlat(corners, picture, widthMm && heightMm ? widthMm / heightMm : null, 'straighten'),
  );

/** The parts cut out of a work. */
const partsIn = (id: string) => ({ table: works, where: eq(works.partOf, id) });

/**
 * Makes a part of a work, px of its picture, a work of its own beside it, at the scale of the whole. Gives its id.
 */
export async function addPart(teacherId: string, id: string, rect: Crop, title: string): Promise<string> {
  const whole = await workOf(teacherId, id);
  if (whole.partOf !== null) throw new UserError(400, sentence('part.ofPart'));
  const picture = await pictureOf(database(), teacherId, whole.pictureId);
  checkInside([rect.x, rect.y, rect.w, rect.h], picture, 'crop');
  const crop = wholeCrop({ ...rect, turn: 0 }, picture.width, picture.height);
  const made = await inThread({ task: 'upright', bytes: await getBlob(database(), picture.sha256), name: picture.name, crop, flat: null });
  const partId = newId();
  await within(workOf, teacherId, id, async (tx, work) => {
    if (work.pictureId !== whole.pictureId) throw conflict('work');
    await roomForWork(tx, work.studyId);
    const pictureId = await putMade(tx, teacherId, 'upright', picture.id, picture.name, made);
    const mm = await scaleOf(work, picture.width);
    const later = { table: works, where: and(eq(works.studyId, work.studyId), gt(works.position, work.position))! };
    await logged(tx, about(teacherId, work, message('edits.part', { title: typed(work.title) })), [itself(partId), later], async () => {
      await tx
        .update(works)
        .set({ position: sql`${works.position} + 1` })
        .where(later.where);
      await tx.insert(works).values({
        id: partId,
        studyId: work.studyId,
        groupId: work.groupId,
        pictureId,
        title: title.slice(0, 120),
        dated: work.dated,
        widthMm: mm(crop.w),
        heightMm: mm(crop.h),
        foil: work.foil,
        impressions: '',
        credit: work.credit,
        partOf: id,
        partAt: [crop.x / picture.width, crop.y / picture.height, crop.w / picture.width, crop.h / picture.height],
        position: work.position + 1,
      });
    });
    await askToMeasure(tx, teacherId, { id: partId, studyId: work.studyId });
  });
  return partId;
}

/** Puts the works of a study in order: those named first, as they are named, then the others as they stood. */
export function orderWorks(teacherId: string, studyId: string, ids: readonly string[]): Promise<void> {
  return inStudy(teacherId, studyId, async (tx) => {
    const where = eq(works.studyId, studyId);
    const about = { teacherId, studyId, subject: 'study', subjectId: studyId, label: message('edits.worksOrder') };
    await logged(tx, about, [{ table: works, where }], async () => {
      const there = await tx.select({ id: works.id }).from(works).where(where).orderBy(asc(works.position));
      const place = new Map(ids.map((id, i) => [id, i]));
      const sorted = there.map((w, i) => ({ id: w.id, at: place.get(w.id) ?? ids.length + i })).sort((a, b) => a.at - b.at);
      for (const [position, { id }] of sorted.entries()) await tx.update(works).set({ position }).where(eq(works.id, id));
    });
  });
}
