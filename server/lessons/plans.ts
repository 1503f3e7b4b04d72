/** Knows the lesson plan of a study: its steps and settings, kept with undo, and what the measured works tell it. */
import { and, asc, eq } from 'drizzle-orm';
import { makePlan, PlanStep, USUAL_SHARES, usualSteps } from '../../core/lesson/plan';
import { sharesOf, WorkedShares } from '../../core/lesson/quantities';
import { LessonMedium } from '../../core/lesson/technique';
import { isLessonMedium, techniqueOf } from '../../core/lesson/techniques';
import { PaletteEntry } from '../../core/colour/palette';
import { database, newId } from '../database/connection';
import { conflict, Told } from '../errors';
import { plans, planSteps, students, works } from '../schema';
import { record, registerSubject, Transaction } from '../studies/edits';
import { studyOf } from '../studies/studies';
import { profileOf } from '../studies/works';

interface PlanSettings {
  ink: 'waterproof' | 'washable';
  contact: 'light-pencil' | 'straight-in';
  erasing: boolean;
  youngest: number;
}

export interface StoredPlan extends PlanSettings {
  medium: LessonMedium;
  minutesPerPeriod: number;
  periods: number;
  classSize: number;
  steps: PlanStep[];
}

/** The plan as stored, or null; version 0 says that none has been. */
async function readPlan(tx: Transaction | ReturnType<typeof database>, studyId: string): Promise<{ plan: StoredPlan | null; version: number }> {
  const [row] = await tx.select().from(plans).where(eq(plans.studyId, studyId));
  if (!row) return { plan: null, version: 0 };
  const steps = await tx.select().from(planSteps).where(eq(planSteps.planId, row.id)).orderBy(asc(planSteps.position));
  return {
    version: row.version,
    plan: {
      ...(row.settings as PlanSettings),
      medium: isLessonMedium(row.medium) ? row.medium : 'pen-and-wash',
      minutesPerPeriod: row.minutesPerPeriod,
      periods: row.periods,
      classSize: row.classSize,
      steps: steps.map((s) => ({ technique: s.technique, minutes: s.minutes, dry: s.dryMinutes, note: s.note })),
    },
  };
} // prettier-ignore

async function putPlan(tx: Transaction, studyId: string, plan: StoredPlan | null, version: number): Promise<void> {
  const [row] = await tx.select({ id: plans.id }).from(plans).where(eq(plans.studyId, studyId));
  if (plan === null) {
    if (row) await tx.delete(plans).where(eq(plans.id, row.id));
    return;
  }
  const { steps, medium, minutesPerPeriod, periods, classSize, ...settings } = plan;
  const id = row?.id ?? newId();
  const set = { medium, minutesPerPeriod, periods, classSize, settings, version };
  await tx.insert(plans).values({ id, studyId, ...set }).onDuplicateKeyUpdate({ set }); // prettier-ignore
  await tx.delete(planSteps).where(eq(planSteps.planId, id));
  if (steps.length)
    await tx.insert(planSteps).values(
      steps.map((s, position) => ({ id: newId(), planId: id, position, technique: s.technique, minutes: s.minutes, dryMinutes: s.dry, note: s.note })),
    ); // prettier-ignore
}

registerSubject('plan', async (tx, studyId, _subjectId, state) => {
  const { version } = await readPlan(tx, studyId);
  await putPlan(tx, studyId, state as StoredPlan | null, version + 1);
});

/** What a new plan starts from: the study's medium, the class's size, periods of fifty minutes. */
async function firstPlan(teacherId: string, studyId: string): Promise<StoredPlan> {
  const study = await studyOf(teacherId, studyId);
  const medium = isLessonMedium(study.medium) ? study.medium : 'pen-and-wash';
  const size = study.classId ? (await database().select({ id: students.id }).from(students).where(eq(students.classId, study.classId))).length : 1; // prettier-ignore
  const settings = { ink: 'waterproof', contact: 'light-pencil', erasing: true, youngest: 13 } as const;
  const plan: StoredPlan = { ...settings, medium, minutesPerPeriod: 50, periods: 1, classSize: Math.max(1, size), steps: usualSteps(medium, settings) }; // prettier-ignore
  // The fewest periods in which the usual lesson has to be shortened by half the slack at most.
  const fits = (periods: number) => {
    const made = makePlan({ ...plan, periods, sheetMm: [study.paperWidthMm, study.paperHeightMm], shares: USUAL_SHARES }); // prettier-ignore
    return made.periods.length <= periods && made.squeeze <= 0.5;
  };
  const periods = [1, 2, 3, 4, 5, 6].find(fits) ?? 6;
  return { ...plan, periods };
}

export interface PlanView {
  plan: StoredPlan;
  version: number;
  sheetMm: [number, number];
  shares: WorkedShares;
  /** The palette the lesson's paint is reckoned from, and the work it was measured on; empty before anything is measured. */
  palette: PaletteEntry[];
  measuredOn: string | null;
}

export async function planOf(teacherId: string, studyId: string): Promise<PlanView> {
  const study = await studyOf(teacherId, studyId);
  const stored = await readPlan(database(), studyId);
  const sources = await database().select().from(works).where(and(eq(works.studyId, studyId), eq(works.foil, false))).orderBy(asc(works.position)); // prettier-ignore
  let measured: { title: string; palette: PaletteEntry[]; shares: WorkedShares } | null = null;
  for (const work of sources) {
    const read = await profileOf(work.pictureId, work.widthMm);
    if (!read) continue;
    const { palette, features } = read.profile;
    measured = { title: work.title, palette, shares: sharesOf(palette, (kind) => features[`marks.share.${kind}`]?.value ?? null) }; // prettier-ignore
    break;
  }
  return {
    plan: stored.plan ?? (await firstPlan(teacherId, studyId)),
    version: stored.version,
    sheetMm: [study.paperWidthMm, study.paperHeightMm],
    shares: measured?.shares ?? USUAL_SHARES,
    palette: measured?.palette ?? [],
    measuredOn: measured?.title ?? null,
  };
}

/** Stores a plan; `version` is the one the screen showed. Gives the new version. */
export async function savePlan(
  teacherId: string,
  studyId: string,
  version: number,
  plan: StoredPlan,
  label: string,
): Promise<number> {
  await studyOf(teacherId, studyId);
  for (const s of plan.steps)
    if (!techniqueOf(s.technique))
      throw new Told(400, `There is no technique “${s.technique}”. Choose one from the list.`, 'steps');
  return database().transaction(async (tx) => {
    await tx.select({ id: plans.id }).from(plans).where(eq(plans.studyId, studyId)).for('update');
    const before = await readPlan(tx, studyId);
    if (before.version !== version) throw conflict('This plan');
    await putPlan(tx, studyId, plan, version + 1);
    await record(tx, { studyId, subject: 'plan', subjectId: studyId, label, before: before.plan, after: plan });
    return version + 1;
  });
}
