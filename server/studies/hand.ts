/** Knows what makes a study's hand: what its works share and where they change, and what parts them from a foil or another group of works. */
import { and, asc, eq, inArray, isNull, sql } from 'drizzle-orm';
import type { Measured } from '../../core/style/compare';
import { handOf, handRanges, HandRange, partsOf, Parting, Trait } from '../../core/style/hand';
import { commonScale } from '../../core/style/scale';
import { database } from '../database/connection';
import { AsKnown, asKnown, atScale, measured } from '../pictures/atOneScale';
import { AtScale, ensureProfile, profileOf } from '../pictures/readings';
import { landmarkSets, profiles, workGroups, works } from '../schema';
import { studyOf, WorkRow } from '../accounts/ownership';
import { isBeside, isOfHand } from './groups';
import { kindsIn, ownTemplatesOf } from './ownTemplates';
import { OWN_READINGS } from './works';

export interface HandView {
  /** Readings taken of those that are needed; the rest is there when all are. */
  done: number;
  all: number;
  hand: {
    works: number;
    beside: number;
    constant: Trait[];
    varies: Trait[];
    parts: Parting[] | null;
  } | null;
}

async function takingPart(studyId: string, groupId: string | null, beside: string | null): Promise<{ own: WorkRow[]; other: WorkRow[] }> {
  const rows = await database()
    .select()
    .from(works)
    .where(and(eq(works.studyId, studyId), isNull(works.partOf)))
    .orderBy(asc(works.position));
  return { own: rows.filter((w) => isOfHand(w, groupId)), other: rows.filter((w) => isBeside(w, groupId, beside)) };
}

/**
 * The hand of a study of the caller's own, of all its works or of one group. All are read at one scale; what has not been yet is read one
 * picture a call, so that whoever waits sees how far it is. A foil never enters what the hand's works share.
 */
export async function handOfStudy(teacherId: string, studyId: string, groupId: string | null, beside: string | null): Promise<HandView> {
  await studyOf(teacherId, studyId);
  const { own, other } = await takingPart(studyId, groupId, beside);
  const everyone = [...own, ...other];
  const all = 2 * everyone.length;
  let done = 0;
  let taken = false;
  /** A reading if it is there already, or is the one this call takes. */
  const read = async (work: WorkRow, at: AtScale | null) => {
    const there = await profileOf(work, at?.rung ?? null);
    if (there || taken) return there;
    taken = true;
    return ensureProfile(teacherId, work, at);
  };
  const known: AsKnown[] = [];
  for (const w of everyone) {
    const reading = await read(w, null);
    if (!reading) return { done, all, hand: null };
    known.push(asKnown(w, reading));
    done++;
  }
  if (!own.length) return { done, all, hand: null };
  const { rung, tooPoor } = commonScale(known);
  const sets = await database()
    .select()
    .from(landmarkSets)
    .where(
      inArray(
        landmarkSets.workId,
        everyone.map((w) => w.id),
      ),
    );
  const kinds = kindsIn(await ownTemplatesOf(teacherId));
  const readings: Measured[] = [];
  for (const [i, w] of everyone.entries()) {
    const poor = tooPoor.includes(i);
    const reading = await read(w, atScale(known[i], rung, poor));
    if (!reading) return { done, all, hand: null };
    readings.push(
      measured(
        reading,
        sets.filter((s) => s.workId === w.id),
        w,
        kinds,
        !poor,
      ),
    );
    done++;
  }
  const [ours, theirs] = [readings.slice(0, own.length), readings.slice(own.length)];
  // One work says nothing of what stays from work to work.
  const traits = ours.length > 1 ? handOf(ours) : { constant: [], varies: [] };
  return {
    done,
    all,
    hand: { works: ours.length, beside: theirs.length, ...traits, parts: theirs.length ? partsOf(ours, theirs) : null },
  };
}

/** The ranges a rule ticked beside a work is made of: over the whole works of its group, or of all where it has none. */
export interface RuledBy {
  ranges: HandRange[];
  group: string | null;
}

/** Of a whole reading the features alone: the rest is ten times as much. */
const FEATURES = sql`json_extract(${profiles.document}, '$.profile.features')`.mapWith(profiles.document);

export async function ruledBy(studyId: string, work: Pick<WorkRow, 'foil' | 'groupId'>): Promise<RuledBy> {
  if (work.foil) return { ranges: [], group: null };
  const read = await database()
    .select({ group: workGroups.name, widthMm: works.widthMm, features: FEATURES })
    .from(works)
    .innerJoin(profiles, OWN_READINGS)
    .leftJoin(workGroups, eq(workGroups.id, works.groupId))
    .where(
      and(
        eq(works.studyId, studyId),
        eq(works.foil, false),
        isNull(works.partOf),
        work.groupId === null ? undefined : eq(works.groupId, work.groupId),
      ),
    )
    .orderBy(asc(works.position));
  return {
    ranges: handRanges(read.map((w) => ({ widthMm: w.widthMm, features: w.features as Measured['features'] }))),
    group: work.groupId === null ? null : (read[0]?.group ?? null),
  };
}
