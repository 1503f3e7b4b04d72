/** Knows a study's works by the master: adding a picture, its size and place, and the list of them. */
import { Message, message, several, typed } from '../../core/message';
import { and, asc, eq, inArray, sql } from 'drizzle-orm';
import { PROFILE_VERSION, type ProfileWithMaps } from '../../core/style/profile';
import type { LeftOutAs } from '../../core/raster/leftOut';
import { workNamed } from '../../core/formats/workName';
import { changing, database, newId, type Transaction } from '../database/connection';
import { logged, loggedRemoval } from '../edits/log';
import { sentence, conflict, UserError } from '../errors';
import { placeOf, profileOf } from '../pictures/readings';
import { pictureOf } from '../pictures/store';
import { takeInPicture } from '../pictures/takeIn';
import { listed, PlacedSet, setsOn } from './landmarkRows';
import { askToMeasure } from '../queue/asking';
import { jobs, landmarkSets, pictures, pins, profiles, workGroups, works } from '../schema';
import type { Frame, Outline } from '../schema/studies';
import { lockStudy, studyOf, within, workOf, WorkRow } from '../accounts/ownership';

const MOST_WORKS = 24;

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

/** Refuses more works than a study holds; gives the position of its last. */
export async function roomForWork(tx: Transaction, studyId: string): Promise<number> {
  const [{ n, last }] = await tx
    .select({ n: sql<number>`count(*)`, last: sql<number | null>`max(${works.position})` })
    .from(works)
    .where(eq(works.studyId, studyId));
  if (Number(n) >= MOST_WORKS) throw new UserError(400, sentence('most.works', { n: MOST_WORKS }), 'picture');
  return Number(last ?? -1);
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
  leftOutAs: LeftOutAs[] | null;
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
    const last = await roomForWork(tx, studyId);
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
      position: last + 1,
    });
    await askToMeasure(tx, teacherId, { id, studyId });
  });
  return id;
}

/** Sets fields of a work whose present version is the one the screen showed. */
export async function setWork(tx: Transaction, id: string, version: number, set: Partial<WorkRow>): Promise<void> {
  const [result] = await tx
    .update(works)
    .set({ ...set, version: version + 1 })
    .where(and(eq(works.id, id), eq(works.version, version)));
  if (result.affectedRows !== 1) throw conflict('work');
}

export const aboutWork = (teacherId: string, { id, studyId }: WorkRow, label: Message) => ({
  teacherId,
  studyId,
  subject: 'work',
  subjectId: id,
  label,
});
export const itself = (id: string) => ({ table: works, where: eq(works.id, id) });

const LEAST_SIDE = 16;

/** Px by which a drawn crop may stick out, since it is cut to the picture; a frame is read as it stands. */
const SLACK = { frame: 0, crop: 1 };

export function checkInside([x, y, w, h]: Frame, { width, height }: { width: number; height: number }, field: keyof typeof SLACK): void {
  const slack = SLACK[field];
  if (x < 0 || y < 0 || w < LEAST_SIDE || h < LEAST_SIDE || x + w > width + slack || y + h > height + slack)
    throw new UserError(400, sentence(field), field);
}

/** How many mm so many px of a work's picture are; null where its width is not known. That width is the one of the picture proper. */
export async function scaleOf(whole: WorkRow, pictureWidth: number): Promise<(px: number) => number | null> {
  const { widthMm } = whole;
  if (widthMm === null) return () => null;
  const proper = whole.frame?.[2] ?? (await profileOf(whole))?.frame[2] ?? pictureWidth;
  return (px) => (px * widthMm) / proper;
}

/** The parts of a work at its scale. */
async function scaleParts(tx: Transaction, teacherId: string, whole: WorkRow): Promise<void> {
  const parts = await tx.select().from(works).where(eq(works.partOf, whole.id));
  if (!parts.length) return;
  const { width, height } = await pictureOf(tx, teacherId, whole.pictureId);
  const mm = await scaleOf(whole, width);
  for (const { id, partAt, version } of parts)
    if (partAt) await setWork(tx, id, version, { widthMm: mm(partAt[2] * width), heightMm: mm(partAt[3] * height) });
}

/** Changes a work; `version` is the one the screen showed. Gives the new version. */
export function updateWork(teacherId: string, id: string, version: number, fields: Partial<WorkFields>): Promise<number> {
  return within(workOf, teacherId, id, async (tx, work) => {
    const { group, ...plain } = fields;
    if (plain.frame) checkInside(plain.frame, await pictureOf(tx, teacherId, work.pictureId), 'frame');
    const { frame = work.frame, leftOut = work.leftOut } = plain;
    if (work.partOf !== null && (plain.widthMm !== undefined || plain.heightMm !== undefined))
      throw new UserError(400, sentence('part.sized'), 'widthMm');
    const set = {
      ...plain,
      // Reasons are given of the outlines they came with.
      ...(plain.leftOut !== undefined && plain.leftOutAs === undefined ? { leftOutAs: null } : {}),
      place: placeOf(frame, leftOut),
      ...(group === undefined ? {} : { groupId: await groupNamed(tx, work.studyId, group) }),
    };
    const what = several((Object.keys(fields) as (keyof WorkFields)[]).map((f) => message(`edits.field.${f}`)));
    const parts = { table: works, where: eq(works.partOf, id) };
    const label = message('edits.work', { fields: what, title: typed(work.title) });
    await logged(tx, aboutWork(teacherId, work, label), [itself(id), parts], async () => {
      await setWork(tx, id, version, set);
      if (plain.widthMm !== undefined || plain.frame !== undefined) await scaleParts(tx, teacherId, { ...work, ...set });
    });
    return version + 1;
  });
}

export const removeWork = (teacherId: string, id: string): Promise<void> =>
  within(workOf, teacherId, id, (tx, work) =>
    loggedRemoval(tx, aboutWork(teacherId, work, message('edits.remove', { title: typed(work.title) })), itself(id)),
  );

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

/** One of the master's own works with its readings by the present core; null where these have not been taken yet. */
export interface ReadWork {
  id: string;
  title: string;
  pictureId: string;
  groupId: string | null;
  group: string | null;
  widthMm: number | null;
  /** The file's, px. */
  pictureWidth: number;
  pictureHeight: number;
  /** Cut out of another of the works. */
  part: boolean;
  read: ProfileWithMaps | null;
}

/** Which readings are a work's own: by the present core, as finely as its picture is known. */
export const OWN_READINGS = and(
  eq(profiles.pictureId, works.pictureId),
  eq(profiles.profileVersion, PROFILE_VERSION),
  eq(profiles.widthMm, sql`coalesce(${works.widthMm}, 0)`),
  eq(profiles.place, works.place),
  eq(profiles.rung, ''),
);

/** The master's own works, parts of them included, in order. */
export async function worksWithReadings(studyId: string): Promise<ReadWork[]> {
  const { id, title, pictureId, groupId, widthMm, partOf } = works;
  const file = { pictureWidth: pictures.width, pictureHeight: pictures.height };
  const rows = await database()
    .select({ id, title, pictureId, groupId, widthMm, partOf, ...file, group: workGroups.name, read: profiles.document })
    .from(works)
    .innerJoin(pictures, eq(pictures.id, works.pictureId))
    .leftJoin(workGroups, eq(workGroups.id, works.groupId))
    .leftJoin(profiles, OWN_READINGS)
    .where(and(eq(works.studyId, studyId), eq(works.foil, false)))
    .orderBy(asc(works.position));
  return rows.map(({ partOf: whole, read, ...w }) => ({ ...w, part: whole !== null, read: read as ProfileWithMaps | null }));
}
