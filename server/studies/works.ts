/** Knows a study's works by the master: adding a picture, its size and place, cropping, measuring in the background. */
import { and, asc, eq, isNull, sql } from 'drizzle-orm';
import { carryPatch, carryPoints, Crop, wholeCrop } from '../../core/raster/crop';
import { PROFILE_VERSION, ProfileWithMaps } from '../../core/style/profile';
import { database, newId } from '../database/connection';
import { conflict, notFound, Told } from '../errors';
import { ask } from '../jobs/queue';
import { inThread } from '../jobs/threads';
import { getBlob, pictureOf } from '../pictures/store';
import { putMade, takeInPicture } from '../pictures/takeIn';
import { compareAgain } from '../pieces/asking';
import { facts, landmarkSets, pins, profiles, studies, workGroups, works } from '../schema';
import { loggedSubject } from './bundles';
import type { Transaction } from './edits';
import { landmarksOn } from './landmarkRows';
import { studyOf } from './studies';

export type WorkRow = typeof works.$inferSelect;

const MOST_WORKS = 24;

export async function workOf(teacherId: string, id: string): Promise<WorkRow> {
  const [row] = await database()
    .select({ work: works })
    .from(works)
    .innerJoin(studies, eq(studies.id, works.studyId))
    .where(and(eq(works.id, id), eq(studies.teacherId, teacherId)));
  if (!row) throw notFound('This work');
  return row.work;
}

async function groupNamed(studyId: string, name: string): Promise<string | null> {
  const trimmed = name.trim();
  if (!trimmed) return null;
  const db = database();
  await db.insert(workGroups).values({ id: newId(), studyId, name: trimmed }).onDuplicateKeyUpdate({ set: { name: trimmed } }); // prettier-ignore
  const [row] = await db.select({ id: workGroups.id }).from(workGroups).where(and(eq(workGroups.studyId, studyId), eq(workGroups.name, trimmed))); // prettier-ignore
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
}

async function askToMeasure(teacherId: string, work: Pick<WorkRow, 'id' | 'studyId'>): Promise<void> {
  await ask(database(), {
    teacherId,
    studyId: work.studyId,
    kind: 'measure-work',
    workKey: `measure-work:${work.id}`,
    payload: { workId: work.id },
    priority: 5,
  });
}

export async function addWork(
  teacherId: string,
  studyId: string,
  bytes: Buffer,
  name: string,
  fields: Partial<WorkFields>,
): Promise<string> {
  await studyOf(teacherId, studyId);
  const db = database();
  const [{ n }] = await db.select({ n: sql<number>`count(*)` }).from(works).where(eq(works.studyId, studyId)); // prettier-ignore
  if (Number(n) >= MOST_WORKS)
    throw new Told(400, `A study holds at most ${MOST_WORKS} works. Remove one first.`, 'picture');
  const { uprightId } = await takeInPicture(teacherId, bytes, name);
  const id = newId();
  await db.insert(works).values({
    id,
    studyId,
    groupId: await groupNamed(studyId, fields.group ?? ''),
    pictureId: uprightId,
    title: (fields.title?.trim() || name.replace(/\.[^.]+$/, '')).slice(0, 120),
    dated: fields.dated ?? '',
    widthMm: fields.widthMm ?? null,
    heightMm: fields.heightMm ?? null,
    foil: fields.foil ?? false,
    impressions: fields.impressions ?? '',
    position: Number(n),
  });
  await askToMeasure(teacherId, { id, studyId });
  return id;
}

const logged = loggedSubject(
  'work',
  [
    { table: works, of: (id) => eq(works.id, id) },
    { table: facts, of: (id) => eq(facts.workId, id) },
    { table: pins, of: (id) => eq(pins.workId, id) },
    { table: landmarkSets, of: (id) => landmarksOn('work', id) },
  ],
  async (teacherId, studyId, id) => {
    const [row] = await database().select({ id: works.id }).from(works).where(eq(works.id, id));
    if (row) await askToMeasure(teacherId, { id, studyId });
    else await compareAgain(teacherId, studyId);
  },
);

/** Sets fields of a work whose present version is the one the screen showed. */
async function setWork(tx: Transaction, id: string, version: number, set: Partial<WorkRow>): Promise<void> {
  const [result] = await tx.update(works).set({ ...set, version: version + 1 }).where(and(eq(works.id, id), eq(works.version, version))); // prettier-ignore
  if (result.affectedRows !== 1) throw conflict('This work');
}

const FIELD_WORDS: Record<keyof WorkFields, string> = {
  title: 'title',
  dated: 'date',
  widthMm: 'width',
  heightMm: 'height',
  group: 'group',
  foil: 'foil',
  impressions: 'first impressions',
};

/** Changes a work; `version` is the one the screen showed. Gives the new version. */
export async function updateWork(
  teacherId: string,
  id: string,
  version: number,
  fields: Partial<WorkFields>,
): Promise<number> {
  const work = await workOf(teacherId, id);
  const { group, ...plain } = fields;
  const set = { ...plain, ...(group === undefined ? {} : { groupId: await groupNamed(work.studyId, group) }) };
  const what = (Object.keys(fields) as (keyof WorkFields)[]).map((f) => FIELD_WORDS[f]).join(', ');
  await logged.change(work.studyId, id, `${what} of “${work.title}”`, (tx) => setWork(tx, id, version, set));
  if (fields.widthMm !== undefined && fields.widthMm !== work.widthMm) await askToMeasure(teacherId, work);
  else if (fields.foil !== undefined && fields.foil !== work.foil) await compareAgain(teacherId, work.studyId);
  return version + 1;
}

export async function removeWork(teacherId: string, id: string): Promise<void> {
  const work = await workOf(teacherId, id);
  await logged.remove(work.studyId, id, `removing “${work.title}”`);
  await compareAgain(teacherId, work.studyId);
}

/** Crops and turns a work's picture; the original upload is kept, points and patches go along. */
export async function cropWork(teacherId: string, id: string, version: number, frame: Crop): Promise<void> {
  const work = await workOf(teacherId, id);
  const db = database();
  const picture = await pictureOf(db, teacherId, work.pictureId);
  if (
    frame.x < 0 ||
    frame.y < 0 ||
    frame.w < 16 ||
    frame.h < 16 ||
    frame.x + frame.w > picture.width + 1 ||
    frame.y + frame.h > picture.height + 1
  )
    throw new Told(400, 'The cropping frame must lie inside the picture and be at least 16 px each way.', 'crop');
  const crop = wholeCrop(frame, picture.width, picture.height);
  const made = await inThread({ task: 'upright', bytes: await getBlob(db, picture.sha256), name: picture.name, crop });
  const uprightId = await putMade(teacherId, 'upright', picture.id, picture.name, made);
  await logged.change(work.studyId, id, `cropping “${work.title}”`, async (tx) => {
    await setWork(tx, id, version, { pictureId: uprightId });
    for (const set of await tx.select().from(landmarkSets).where(landmarksOn('work', id)))
      await tx.update(landmarkSets).set({ points: carryPoints(set.points, crop), version: set.version + 1 }).where(eq(landmarkSets.id, set.id)); // prettier-ignore
    for (const pin of await tx.select().from(pins).where(eq(pins.workId, id))) {
      const patch = carryPatch(pin.patch, crop);
      if (patch) await tx.update(pins).set({ patch }).where(eq(pins.id, pin.id));
      else await tx.delete(pins).where(eq(pins.id, pin.id));
    }
  });
  await askToMeasure(teacherId, work);
}

export interface WorkView extends WorkRow {
  group: string | null;
  pictureWidth: number;
  pictureHeight: number;
  facts: { id: string; text: string; source: string | null }[];
  pins: { id: string; patch: [number, number, number, number]; reading: unknown }[];
}

export async function listWorks(teacherId: string, studyId: string): Promise<WorkView[]> {
  await studyOf(teacherId, studyId);
  const db = database();
  const rows = await db.select({ work: works, group: workGroups.name }).from(works).leftJoin(workGroups, eq(workGroups.id, works.groupId)).where(eq(works.studyId, studyId)).orderBy(asc(works.position)); // prettier-ignore
  return Promise.all(
    rows.map(async ({ work, group }) => {
      const picture = await pictureOf(db, teacherId, work.pictureId);
      return {
        ...work,
        group,
        pictureWidth: picture.width,
        pictureHeight: picture.height,
        facts: await db.select({ id: facts.id, text: facts.text, source: facts.source }).from(facts).where(eq(facts.workId, work.id)),
        pins: await db.select({ id: pins.id, patch: pins.patch, reading: pins.reading }).from(pins).where(eq(pins.workId, work.id)).orderBy(asc(pins.createdAt)),
      };
    }),
  ); // prettier-ignore
}

/** Asks for new readings of every work that an older core has read; what was compared with them follows. Gives their number. */
export async function askForOutdated(): Promise<number> {
  const rows = await database()
    .select({ id: works.id, studyId: works.studyId, teacherId: studies.teacherId })
    .from(works)
    .innerJoin(studies, eq(studies.id, works.studyId))
    .leftJoin(
      profiles,
      and(
        eq(profiles.pictureId, works.pictureId),
        eq(profiles.profileVersion, PROFILE_VERSION),
        eq(profiles.widthMm, sql`coalesce(${works.widthMm}, 0)`),
      ),
    )
    .where(isNull(profiles.id));
  for (const { teacherId, ...work } of rows) await askToMeasure(teacherId, work);
  return rows.length;
}

/** Readings of a picture at a known width by the present core; null until they have been taken. */
export async function profileOf(pictureId: string, widthMm: number | null): Promise<ProfileWithMaps | null> {
  const [row] = await database()
    .select({ document: profiles.document })
    .from(profiles)
    .where(
      and(
        eq(profiles.pictureId, pictureId),
        eq(profiles.profileVersion, PROFILE_VERSION),
        eq(profiles.widthMm, widthMm ?? 0),
      ),
    );
  return (row?.document as ProfileWithMaps | undefined) ?? null;
}

/** Measures a picture unless that has been done already; the result is stored once. */
export async function ensureProfile(
  teacherId: string,
  pictureId: string,
  widthMm: number | null,
): Promise<ProfileWithMaps> {
  const there = await profileOf(pictureId, widthMm);
  if (there) return there;
  const db = database();
  const picture = await pictureOf(db, teacherId, pictureId);
  const document = await inThread({
    task: 'measure',
    bytes: await getBlob(db, picture.sha256),
    name: picture.name,
    widthMm,
  });
  await db
    .insert(profiles)
    .values({
      id: newId(),
      pictureId,
      profileVersion: PROFILE_VERSION,
      widthMm: widthMm ?? 0,
      document,
      createdAt: new Date(),
    })
    .onDuplicateKeyUpdate({ set: { profileVersion: PROFILE_VERSION } });
  return document;
}

export async function addFact(teacherId: string, workId: string, text: string, source: string | null): Promise<string> {
  const work = await workOf(teacherId, workId);
  const id = newId();
  await logged.change(work.studyId, workId, `a fact about “${work.title}”`, async (tx) => {
    await tx.insert(facts).values({ id, workId, text, source });
  });
  return id;
}

export async function removeFact(teacherId: string, workId: string, factId: string): Promise<void> {
  const work = await workOf(teacherId, workId);
  await logged.change(work.studyId, workId, `removing a fact about “${work.title}”`, async (tx) => {
    await tx.delete(facts).where(and(eq(facts.id, factId), eq(facts.workId, workId)));
  });
}

export async function addPin(
  teacherId: string,
  workId: string,
  patch: [number, number, number, number],
  reading: unknown,
): Promise<string> {
  const work = await workOf(teacherId, workId);
  const id = newId();
  await logged.change(work.studyId, workId, `a patch kept on “${work.title}”`, async (tx) => {
    await tx.insert(pins).values({ id, workId, patch, reading, createdAt: new Date() });
  });
  return id;
}

export async function removePin(teacherId: string, workId: string, pinId: string): Promise<void> {
  const work = await workOf(teacherId, workId);
  await logged.change(work.studyId, workId, `removing a patch from “${work.title}”`, async (tx) => {
    await tx.delete(pins).where(and(eq(pins.id, pinId), eq(pins.workId, workId)));
  });
}
