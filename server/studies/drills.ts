/** Knows the rounds of drills that were done in a study, by a student, by the class or by a teacher alone. */
import { and, asc, desc, eq, lte } from 'drizzle-orm';
import type { Drill, DrillAnswer } from '../../core/proportion/drills';
import { inStudy } from '../accounts/ownership';
import { database, newId } from '../database/connection';
import { notFound } from '../errors';
import { rosterOf } from '../classes/classes';
import { drillRounds } from '../schema';

type DrillWho = 'student' | 'class' | 'oneself';

export interface RoundView {
  id: string;
  studentId: string | null;
  who: DrillWho;
  drill: Drill;
  answers: DrillAnswer[];
  at: Date;
}

/** The newest of a study's rounds that are kept. */
const MOST_ROUNDS = 2000;

export const roundsOf = async (studyId: string): Promise<RoundView[]> =>
  (await database().select().from(drillRounds).where(eq(drillRounds.studyId, studyId)).orderBy(asc(drillRounds.at))).map(
    ({ studyId: _study, drill, ...r }) => ({ ...r, drill: drill as Drill }),
  );

/** Keeps a round; a student has to be on the study's roster. What was answered is no edit: it is not undone. */
export function keepRound(
  teacherId: string,
  studyId: string,
  { who, studentId, drill, answers }: Pick<RoundView, 'who' | 'studentId' | 'drill' | 'answers'>,
): Promise<string> {
  return inStudy(teacherId, studyId, async (tx) => {
    if (who === 'student' && !(await rosterOf(studyId)).some((s) => s.id === studentId)) throw notFound('student');
    const id = newId();
    await tx
      .insert(drillRounds)
      .values({ id, studyId, who, studentId: who === 'student' ? studentId : null, drill, answers, at: new Date() });
    const ofStudy = eq(drillRounds.studyId, studyId);
    const [over] = await tx
      .select({ at: drillRounds.at })
      .from(drillRounds)
      .where(ofStudy)
      .orderBy(desc(drillRounds.at))
      .limit(1)
      .offset(MOST_ROUNDS);
    if (over) await tx.delete(drillRounds).where(and(ofStudy, lte(drillRounds.at, over.at)));
    return id;
  });
}
