/** Knows the body rulers of a study's class: its own, or those usual at the age its plan names. */
import { eq } from 'drizzle-orm';
import { bandOf, BodyRulers, USUAL_RULERS } from '../../core/proportion/bodyRulers';
import type { StudyRow } from '../accounts/ownership';
import { database } from '../database/connection';
import { plans } from '../schema';

/** Where no plan says how old a class is. */
const USUAL_AGE = 13;

/** Age of a class's youngest, by the study's plan. */
export async function youngestOf(studyId: string): Promise<number> {
  const [row] = await database().select({ settings: plans.settings }).from(plans).where(eq(plans.studyId, studyId));
  const age = (row?.settings as { youngest?: unknown } | undefined)?.youngest;
  return typeof age === 'number' ? age : USUAL_AGE;
}

export const rulersOf = async (study: Pick<StudyRow, 'id' | 'bodyRulers'>): Promise<BodyRulers> =>
  study.bodyRulers ?? USUAL_RULERS[bandOf(await youngestOf(study.id))];
