/** Knows a study's works by the master: adding a picture, its size and place, cropping, facts and kept patches. */
import { Message, message, several, typed } from '../../core/message';
import { and, asc, eq, inArray, sql } from 'drizzle-orm';
import { PROFILE_VERSION, type ProfileWithMaps } from '../../core/style/profile';
import { flatOf } from '../../core/capture/flatten';
import { workNamed } from '../../core/formats/workName';
import { Carry, carryPatch, carryPoint, carryPoints, Crop, wholeCrop } from '../../core/raster/crop';
import { changing, database, newId, type Transaction } from '../database/connection';
import { logged, loggedRemoval } from '../edits/log';
import { sentence, conflict, UserError } from '../errors';
import { placeOf } from '../pictures/readings';
import { getBlob, pictureOf } from '../pictures/store';
import { putMade, takeInPicture } from '../pictures/takeIn';
import { listed, PlacedSet, setsOn } from './landmarkRows';
import { askToMeasure } from '../queue/asking';
import { facts, jobs, landmarkSets, pictures, pins, profiles, workGroups, works } from '../schema';
import type { Frame, Outline } from '../schema/studies';
import type { UprightTask } from '../threads/tasks';
import { inThread } from '../threads/threads';
import { lockStudy, studyOf, within, workOf, WorkRow } from '../accounts/ownership';

const MOST_WORKS = 24;
const MOST_NOTED = 200;

async function groupNamed(tx: Transaction, studyId: string, name: string): Promise<string | null> {
  const trimmed = name.trim();
  if (!trimmed) return null;
  await tx
    .insert(workGroups)
    .values({ id: newId(), studyId, name: trimmed })
    .onDuplicateKeyUpdate({ set: { name: trimmed } });
  const [row] = await tx
    .select({ id: workGroups.id })
    .from(workGroups)
    .where(and(eq(workGroups.studyId, studyId), eq(workGroups.name, trimmed)));
  return row.id;
}

export interface WorkFields {
  title: string;
  dated: string;
  widthMm: number | null;
  heightMm: number | null;
  group: string;
  foil: boolean;
  impressions: string;
  credit: string;
  frame: Frame | null;
  leftOut: Outline[] | null;
}

export async function addWork(
  teacherId: string,
  studyId: string,
  bytes: Buffer,
  name: string,
  fields: Partial<WorkFields>,
): Promise<string> {
  await studyOf(teacherId, studyId);
  const taken = await takeInPicture(teacherId, bytes, name);
  const named = workNamed(name);
  const id = newId();
  await changing(async (tx) => {
    const pictureId = await taken.store(tx);
    await lockStudy(tx, teacherId, studyId);
    const [{ n, last }] = await tx
      .select({ n: sql<number>`count(*)`, last: sql<number | null>`max(${works.position})` })
      .from(works)
      .where(eq(works.studyId, studyId));
    if (Number(n) >= MOST_WORKS) throw new UserError(400, sentence('most.works', { n: MOST_WORKS }), 'picture');
    await tx.insert(works).values({
      id,
      studyId,
      groupId: await groupNamed(tx, studyId, fields.group ?? ''),
      pictureId,
      title: (fields.title?.trim() || named.title).slice(0, 120),
      dated: fields.dated ?? named.dated,
      widthMm: fields.widthMm ?? null,
      heightMm: fields.heightMm ?? null,
      foil: fields.foil ?? false,
      impressions: fields.impressions ?? '',
      credit: fields.credit ?? '',
      position: Number(last ?? -1) + 1,
    });
    await askToMeasure(tx, teacherId, { id, studyId });
  });
  return id;
}

/** Sets fields of a work whose present version is the one the screen showed. */
async function setWork(tx: Transaction, id: string, version: number, set: Partial<WorkRow>): Promise<void> {
  const [result] = await tx
    .update(works)
    .set({ ...set, version: version + 1 })
    .where(and(eq(works.id, id), eq(works.version, version)));
  if (result.affectedRows !== 1) throw conflict('work');
}

const about = (teacherId: string, { id, studyId }: WorkRow, label: Message) => ({
  teacherId,
  studyId,
  subject: 'work',
  subjectId: id,
  label,
});
const itself = (id: string) => ({ table: works, where: eq(works.id, id) });

const LEAST_SIDE = 16;

/** Px by which a drawn crop may stick out, since it is cut to the picture; a frame is read as it stands. */
const SLACK = { frame: 0, crop: 1 };

function checkInside([x, y, w, h]: Frame, { width, height }: { width: number; height: number }, field: keyof typeof SLACK): void {
  const slack = SLACK[field];
  if (x < 0 || y < 0 || w < LEAST_SIDE || h < LEAST_SIDE || x + w > width + slack || y + h > height + slack)
    throw new UserError(400, sentence(field), field);
}

/** Changes a work; `version` is the one the screen showed. Gives the new version. */
export function updateWork(teacherId: string, id: string, version: number, fields: Partial<WorkFields>): Promise<number> {
  return within(workOf, teacherId, id, async (tx, work) => {
    const { group, ...plain } = fields;
    if (plain.frame) checkInside(plain.frame, await pictureOf(tx, teacherId, work.pictureId), 'frame');
    const { frame = work.frame, leftOut = work.leftOut } = plain;
    const set = {
      ...plain,
      place: placeOf(frame, leftOut),
      ...(group === undefined ? {} : { groupId: await groupNamed(tx, work.studyId, group) }),
    };
    const what = several((Object.keys(fields) as (keyof WorkFields)[]).map((f) => message(`edits.field.${f}`)));
    await logged(tx, about(teacherId, work, message('edits.work', { fields: what, title: typed(work.title) })), [itself(id)], () =>
      setWork(tx, id, version, set),
    );
    return version + 1;
  });
}

export const removeWork = (teacherId: string, id: string): Promise<void> =>
  within(workOf, teacherId, id, (tx, work) =>
    loggedRemoval(tx, about(teacherId, work, message('edits.remove', { title: typed(work.title) })), itself(id)),
  );

/** What a picture is made into, and where what lay in it comes to lie. */
interface Remaking {
  task: Pick<UprightTask, 'crop' | 'flat'>;
  carry: Carry;
  label: 'crop' | 'straighten';
}

/** Puts another picture in the place of a work's; the original upload is kept, points and patches go along. */
async function remake(
  teacherId: string,
  id: string,
  version: number,
  into: (picture: { width: number; height: number }, work: WorkRow) => Remaking,
): Promise<void> {
  const before = await workOf(teacherId, id);
  if (before.version !== version) throw conflict('work');
  const picture = await pictureOf(database(), teacherId, before.pictureId);
  const { task, carry, label } = into(picture, before);
  const made = await inThread({ task: 'upright', bytes: await getBlob(database(), picture.sha256), name: picture.name, ...task });
  await within(workOf, teacherId, id, async (tx, work) => {
    const uprightId = await putMade(tx, teacherId, 'upright', picture.id, picture.name, made);
    const scopes = [itself(id), { table: landmarkSets, where: eq(landmarkSets.workId, id) }, { table: pins, where: eq(pins.workId, id) }];
    await logged(tx, about(teacherId, work, message(`edits.${label}`, { title: typed(work.title) })), scopes, async () => {
      // What was framed or left out lay in the picture as it was.
      await setWork(tx, id, version, { pictureId: uprightId, frame: null, leftOut: null, place: '' });
      for (const set of await tx.select().from(landmarkSets).where(eq(landmarkSets.workId, id)))
        await tx
          .update(landmarkSets)
          .set({ points: carryPoints(set.points, carry), version: set.version + 1 })
          .where(eq(landmarkSets.id, set.id));
      for (const pin of await tx.select().from(pins).where(eq(pins.workId, id))) {
        const patch = carryPatch(pin.patch, carry);
        if (patch) await tx.update(pins).set({ patch }).where(eq(pins.id, pin.id));
        else await tx.delete(pins).where(eq(pins.id, pin.id));
      }
    });
  });
}

/** Crops and turns a work's picture. */
export const cropWork = (teacherId: string, id: string, version: number, frame: Crop): Promise<void> =>
  remake(teacherId, id, version, (picture) => {
    checkInside([frame.x, frame.y, frame.w, frame.h], picture, 'crop');
    const crop = wholeCrop(frame, picture.width, picture.height);
    return { task: { crop, flat: null }, carry: (at) => carryPoint(at, crop), label: 'crop' };
  });

/** Lays a work flat that was photographed at a slant, by its four corners; in its own proportions where both its sides are known. */
export const straightenWork = (teacherId: string, id: string, version: number, corners: [number, number][]): Promise<void> =>
  remake(teacherId, id, version, (picture, { widthMm, heightMm }) => {
    const ratio = widthMm && heightMm ? widthMm / heightMm : null;
    const flat = flatOf(corners, picture.width, picture.height, ratio);
    const carry: Carry = (at) => {
      const [x, y] = flat.place(at);
      return x < 0 || y < 0 || x > flat.width || y > flat.height ? null : [x, y];
    };
    return { task: { crop: null, flat: { corners, ratio } }, carry, label: 'straighten' };
  });

interface Fact {
  id: string;
  text: string;
  source: string | null;
}

interface Pin {
  id: string;
  patch: [number, number, number, number];
  reading: unknown;
}

export interface WorkView extends WorkRow {
  group: string | null;
  pictureWidth: number;
  pictureHeight: number;
  /** Landmarks placed on it, by template, and patches kept of it, oldest first; px of the picture. */
  sets: PlacedSet[];
  patches: [number, number, number, number][];
  /** Why its readings are missing or old: stopped by the teacher, or given up with what is told. */
  halted: { state: 'stopped' | 'failed'; messages: Message[] } | null;
}

/** Patches kept of a work, as one value of its row. */
const PATCHES = sql<string | WorkView['patches'] | null>`(
  select json_arrayagg(json_extract(${pins.patch}, '$') order by ${pins.createdAt})
  from ${pins} where ${pins.workId} = ${works.id})`;
/** The works of a study of the caller's own, in order, with their pictures' sizes and what has been placed on them. */
export async function listWorks(studyId: string): Promise<WorkView[]> {
  const rows = await database()
    .select({
      work: works,
      group: workGroups.name,
      width: pictures.width,
      height: pictures.height,
      state: jobs.state,
      messages: jobs.messages,
      sets: setsOn(landmarkSets.workId, works.id),
      patches: PATCHES,
    })
    .from(works)
    .innerJoin(pictures, eq(pictures.id, works.pictureId))
    .leftJoin(workGroups, eq(workGroups.id, works.groupId))
    .leftJoin(jobs, and(eq(jobs.workId, works.id), inArray(jobs.state, ['failed', 'cancelled'])))
    .where(eq(works.studyId, studyId))
    .orderBy(asc(works.position));
  return rows.map(({ work, group, width, height, state, messages, sets, patches }) => ({
    ...work,
    group,
    pictureWidth: width,
    pictureHeight: height,
    sets: listed(sets),
    patches: listed(patches),
    halted:
      state === 'failed' || state === 'cancelled' ? { state: state === 'failed' ? 'failed' : 'stopped', messages: messages ?? [] } : null,
  }));
}

/** The master's own works with their readings by the present core; null where these have not been taken yet. */
export async function worksWithReadings(
  studyId: string,
): Promise<{ id: string; title: string; pictureId: string; read: ProfileWithMaps | null }[]> {
  const rows = await database()
    .select({ id: works.id, title: works.title, pictureId: works.pictureId, read: profiles.document })
    .from(works)
    .leftJoin(
      profiles,
      and(
        eq(profiles.pictureId, works.pictureId),
        eq(profiles.profileVersion, PROFILE_VERSION),
        eq(profiles.widthMm, sql`coalesce(${works.widthMm}, 0)`),
        eq(profiles.place, works.place),
        eq(profiles.rung, ''),
      ),
    )
    .where(and(eq(works.studyId, studyId), eq(works.foil, false)))
    .orderBy(asc(works.position));
  return rows.map((r) => ({ ...r, read: r.read as ProfileWithMaps | null }));
}

const byWork = <Row extends { workId: string }, View>(rows: readonly Row[], view: (row: Row) => View): Map<string, View[]> => {
  const out = new Map<string, View[]>();
  for (const row of rows) out.set(row.workId, [...(out.get(row.workId) ?? []), view(row)]);
  return out;
};

/** Facts of every work of a study, by work. */
export async function factsOf(studyId: string): Promise<Map<string, Fact[]>> {
  const rows = await database()
    .select({ fact: facts })
    .from(facts)
    .innerJoin(works, eq(works.id, facts.workId))
    .where(eq(works.studyId, studyId));
  return byWork(
    rows.map((r) => r.fact),
    ({ id, text, source }) => ({ id, text, source }),
  );
}

/** Patches kept of every work of a study, by work, oldest first. */
export async function pinsOf(studyId: string): Promise<Map<string, Pin[]>> {
  const rows = await database()
    .select({ pin: pins })
    .from(pins)
    .innerJoin(works, eq(works.id, pins.workId))
    .where(eq(works.studyId, studyId))
    .orderBy(asc(pins.createdAt));
  return byWork(
    rows.map((r) => r.pin),
    ({ id, patch, reading }) => ({ id, patch, reading }),
  );
}

async function roomFor(tx: Transaction, table: typeof facts | typeof pins, workId: string, what: 'facts' | 'pins'): Promise<void> {
  const [{ n }] = await tx
    .select({ n: sql<number>`count(*)` })
    .from(table)
    .where(eq(table.workId, workId));
  if (Number(n) >= MOST_NOTED) throw new UserError(400, sentence(`most.${what}`, { n: MOST_NOTED }));
}

export function addFact(teacherId: string, workId: string, text: string, source: string | null): Promise<string> {
  const id = newId();
  return within(workOf, teacherId, workId, async (tx, work) => {
    await roomFor(tx, facts, workId, 'facts');
    await logged(
      tx,
      about(teacherId, work, message('edits.fact', { title: typed(work.title) })),
      [{ table: facts, where: eq(facts.id, id) }],
      () => tx.insert(facts).values({ id, workId, text, source }),
    );
    return id;
  });
}

export function removeFact(teacherId: string, workId: string, factId: string): Promise<void> {
  const where = and(eq(facts.id, factId), eq(facts.workId, workId))!;
  return within(workOf, teacherId, workId, (tx, work) =>
    loggedRemoval(tx, about(teacherId, work, message('edits.removeFact', { title: typed(work.title) })), { table: facts, where }),
  );
}

export function addPin(teacherId: string, workId: string, patch: [number, number, number, number], reading: unknown): Promise<string> {
  const id = newId();
  return within(workOf, teacherId, workId, async (tx, work) => {
    await roomFor(tx, pins, workId, 'pins');
    await logged(
      tx,
      about(teacherId, work, message('edits.pin', { title: typed(work.title) })),
      [{ table: pins, where: eq(pins.id, id) }],
      () => tx.insert(pins).values({ id, workId, patch, reading, createdAt: new Date() }),
    );
    return id;
  });
}

export function removePin(teacherId: string, workId: string, pinId: string): Promise<void> {
  const where = and(eq(pins.id, pinId), eq(pins.workId, workId))!;
  return within(workOf, teacherId, workId, (tx, work) =>
    loggedRemoval(tx, about(teacherId, work, message('edits.removePin', { title: typed(work.title) })), { table: pins, where }),
  );
}
