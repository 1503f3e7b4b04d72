/** Knows the lesson plan of a study: its steps and settings, kept with undo, and what the measured works tell it. */
import { asc, eq, sql } from 'drizzle-orm';
import { named } from '../../core/colour/names';
import type { Calendar } from '../../core/lesson/calendar';
import { pictureOfRule } from '../../core/lesson/rulePicture';
import type { LessonRule } from '../../core/lesson/rulesAt';
import { checkedStep, wholeStep } from '../../core/lesson/ownStep';
import { makePlan } from '../../core/lesson/plan';
import { USUAL_SHARES, usualSteps } from '../../core/lesson/usual';
import { MeasuredStrokes, NO_STROKES, OWN, PlanStep, Room, SecondGroup, strokesOf } from '../../core/lesson/wishes';
import { NO_SCHOOL, Schools } from '../../core/lesson/order';
import type { Used } from '../../core/lesson/substitute';
import { Coats, Prices, sharesOf, Shelf, WorkedShares } from '../../core/lesson/quantities';
import { isLessonMedium, LessonMedium } from '../../core/lesson/media';
import { techniqueOf } from '../../core/lesson/techniques';
import { PaletteEntry } from '../../core/colour/palette';
import { Message, message, typed } from '../../core/message';
import { ruleSentence } from '../../core/style/words';
import { database, newId, type Querying, type Transaction } from '../database/connection';
import { logged } from '../edits/log';
import { conflict, sentence, UserError } from '../errors';
import { pictureOf } from '../pictures/store';
import { plans, planSteps, students, studies } from '../schema';
import { listRules } from '../studies/rules';
import { ReadWork, worksWithReadings } from '../studies/works';
import { inItsClasses, inStudy, StudyRow } from '../accounts/ownership';

interface PlanSettings extends Schools {
  ink: 'waterproof' | 'washable';
  contact: 'light-pencil' | 'straight-in';
  erasing: boolean;
  youngest: number;
  second: SecondGroup | null;
  room: Room;
  coats: Coats;
  shelf: Shelf;
  prices: Prices;
  /** With what the master worked, as far as somebody has said, and what is taken instead. */
  used: Used[];
  /** When the class meets; null where nobody has said. */
  calendar: Calendar | null;
}

/** What plans of before had no word for. */
const LATER = {
  ...NO_SCHOOL,
  second: null,
  room: { sinks: null, rack: null },
  coats: {},
  shelf: {},
  prices: {},
  used: [],
  calendar: null,
} satisfies Partial<PlanSettings>;

export interface StoredPlan extends PlanSettings {
  medium: LessonMedium;
  minutesPerPeriod: number;
  periods: number;
  classSize: number;
  steps: PlanStep[];
}

/** The plan as stored, or null, for which version 0 stands; and how many students the study's classes have. */
async function readPlan(tx: Querying, studyId: string): Promise<{ plan: StoredPlan | null; version: number; students: number }> {
  const rows = await tx
    .select({
      row: plans,
      step: planSteps,
      size: sql<number>`(select count(*) from ${students} where ${inItsClasses(studyId)} and ${students.left} = false)`,
    })
    .from(studies)
    .leftJoin(plans, eq(plans.studyId, studies.id))
    .leftJoin(planSteps, eq(planSteps.planId, plans.id))
    .where(eq(studies.id, studyId))
    .orderBy(asc(planSteps.position));
  const size = Number(rows[0]?.size ?? 0);
  const row = rows[0]?.row;
  if (!row) return { plan: null, version: 0, students: size };
  const steps = rows.flatMap((r) => r.step ?? []);
  return {
    version: row.version,
    students: size,
    plan: {
      ...LATER,
      ...(row.settings as PlanSettings),
      medium: isLessonMedium(row.medium) ? row.medium : 'pen-and-wash',
      minutesPerPeriod: row.minutesPerPeriod,
      periods: row.periods,
      classSize: row.classSize,
      steps: steps.map((s) => ({
        technique: s.technique,
        own: s.own && wholeStep(s.own),
        minutes: s.minutes,
        dry: s.dryMinutes,
        note: s.note,
        option: s.taken,
        kept: s.kept ?? [],
        pictureId: s.pictureId,
        group: s.group,
        laying: s.laying,
        built: s.built,
      })),
    },
  };
}

async function putPlan(tx: Transaction, studyId: string, id: string, plan: StoredPlan, version: number): Promise<void> {
  const { steps, medium, minutesPerPeriod, periods, classSize, ...settings } = plan;
  const set = { medium, minutesPerPeriod, periods, classSize, settings, version };
  await tx
    .insert(plans)
    .values({ id, studyId, ...set })
    .onDuplicateKeyUpdate({ set });
  await tx.delete(planSteps).where(eq(planSteps.planId, id));
  if (steps.length)
    await tx.insert(planSteps).values(
      steps.map((s, position) => ({
        id: newId(),
        planId: id,
        position,
        technique: s.technique,
        minutes: s.minutes,
        dryMinutes: s.dry,
        note: s.note,
        own: s.own,
        taken: s.option,
        kept: s.kept.length ? [...s.kept] : null,
        pictureId: s.pictureId,
        group: s.group,
        laying: s.laying,
        built: s.built,
      })),
    );
}

/** What a new plan starts from: the study's medium, the class's size, periods of fifty minutes. */
function firstPlan(study: StudyRow, shares: WorkedShares, students: number): StoredPlan {
  const medium = isLessonMedium(study.medium) ? study.medium : 'pen-and-wash';
  const settings: PlanSettings = { ink: 'waterproof', contact: 'light-pencil', erasing: true, youngest: 13, ...LATER };
  const plan: StoredPlan = {
    ...settings,
    medium,
    minutesPerPeriod: 50,
    periods: 1,
    classSize: Math.max(1, students),
    steps: usualSteps(medium, settings, shares),
  };
  // The fewest periods in which the usual lesson has to be shortened by half the slack at most.
  const fits = (periods: number) => {
    const made = makePlan({
      ...plan,
      periods,
      lengths: [],
      sheetMm: [study.paperWidthMm, study.paperHeightMm],
      shares: USUAL_SHARES,
      strokes: NO_STROKES,
    });
    return made.periods.length <= periods && made.squeeze <= 0.5;
  };
  const periods = [1, 2, 3, 4, 5, 6].find(fits) ?? 6;
  return { ...plan, periods };
}

/** A picture, and where in it the picture proper lies: left, top, width and height as shares of the file's. */
interface SourceView {
  pictureId: string;
  frame: [number, number, number, number];
}

function sourceOf({ pictureId, pictureWidth: w, pictureHeight: h, read }: ReadWork): SourceView {
  const [x, y, fw, fh] = read!.frame;
  return { pictureId, frame: [x / w, y / h, fw / w, fh / h] };
}

export interface PlanView {
  plan: StoredPlan;
  version: number;
  sheetMm: [number, number];
  shares: WorkedShares;
  /** The palette the lesson's paint is reckoned from, and the work it was measured on; empty before anything is measured. */
  palette: (PaletteEntry & { name: Message })[];
  strokes: MeasuredStrokes;
  measuredOn: string | null;
  /** The picture it was measured on, and where in it the picture proper lies, as shares; null before anything is measured. */
  source: SourceView | null;
  /** How much a line swells, widest over narrowest; null where it was not measured. */
  swell: number | null;
  /** The rules of the study, to be kept to at their steps. */
  rules: LessonRule[];
}

/** The plan of a study of the caller's own. */
export async function planOf(study: StudyRow): Promise<PlanView> {
  const stored = await readPlan(database(), study.id);
  const source = (await worksWithReadings(study.id)).find((w) => w.read && !w.part);
  const read = source?.read;
  const profile = read?.profile;
  const measured = profile && {
    title: source!.title,
    palette: named(profile.palette),
    strokes: strokesOf(profile.marks.overall),
    swell: profile.features['marks.lineSwell']?.value ?? null,
    shares: sharesOf(profile.palette, (kind) => profile.features[`marks.share.${kind}`]?.value ?? null),
  };
  return {
    plan: stored.plan ?? firstPlan(study, measured?.shares ?? USUAL_SHARES, stored.students),
    version: stored.version,
    sheetMm: [study.paperWidthMm, study.paperHeightMm],
    shares: measured?.shares ?? USUAL_SHARES,
    palette: measured?.palette ?? [],
    strokes: measured?.strokes ?? NO_STROKES,
    measuredOn: measured?.title ?? null,
    source: read ? sourceOf(source) : null,
    swell: measured?.swell ?? null,
    rules: (await listRules(study.id)).map((r) => ({
      feature: r.feature,
      said: message('rules.sentence', { kind: r.kind, sentence: ruleSentence(r) }),
      picture: read ? pictureOfRule(r.feature, { places: read.kinds, focus: read.focus, palette: read.profile.palette }) : null,
    })),
  };
}

/** Stores a plan; `version` is the one the screen showed. Gives the new version. */
export async function savePlan(teacherId: string, studyId: string, version: number, plan: StoredPlan, label: Message): Promise<number> {
  const steps = plan.steps.map((s) => {
    if (s.own === null && !techniqueOf(s.technique)) throw new UserError(400, sentence('technique', { name: typed(s.technique) }), 'steps');
    return { ...s, technique: techniqueOf(s.technique) ? s.technique : OWN, own: s.own && checkedStep(s.own) };
  });
  return inStudy(teacherId, studyId, async (tx) => {
    const [row] = await tx.select({ id: plans.id, version: plans.version }).from(plans).where(eq(plans.studyId, studyId));
    if ((row?.version ?? 0) !== version) throw conflict('plan');
    for (const { pictureId } of steps) if (pictureId !== null) await pictureOf(tx, teacherId, pictureId);
    const about = { teacherId, studyId, subject: 'plan', subjectId: studyId, label };
    const scopes = [{ table: plans, where: eq(plans.studyId, studyId), tree: true }];
    await logged(tx, about, scopes, () => putPlan(tx, studyId, row?.id ?? newId(), { ...plan, steps }, version + 1));
    return version + 1;
  });
}
