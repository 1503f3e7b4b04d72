/** Knows the periods that were held: what each turn took, and what that says of the next lesson. */
import { asc, desc, eq, lte, and } from 'drizzle-orm';
import { Learned, learnedFrom, TurnHeld } from '../../core/lesson/learning';
import { inStudy } from '../accounts/ownership';
import { database, newId } from '../database/connection';
import { lessonRuns, studies } from '../schema';

export interface RunView {
  id: string;
  period: number;
  turns: TurnHeld[];
  at: Date;
}

/** The newest of a study's that are kept. */
const MOST_RUNS = 400;

export const runsOf = async (studyId: string): Promise<RunView[]> =>
  (await database().select().from(lessonRuns).where(eq(lessonRuns.studyId, studyId)).orderBy(asc(lessonRuns.at))).map(
    ({ id, period, turns, at }) => ({ id, period, turns, at }),
  );

/** Keeps a period; what was held is no edit: it is not undone. */
export function keepRun(teacherId: string, studyId: string, { period, turns }: Pick<RunView, 'period' | 'turns'>): Promise<string> {
  return inStudy(teacherId, studyId, async (tx) => {
    const id = newId();
    await tx.insert(lessonRuns).values({ id, studyId, period, turns, at: new Date() });
    const of = eq(lessonRuns.studyId, studyId);
    const [over] = await tx
      .select({ at: lessonRuns.at })
      .from(lessonRuns)
      .where(of)
      .orderBy(desc(lessonRuns.at))
      .limit(1)
      .offset(MOST_RUNS);
    if (over) await tx.delete(lessonRuns).where(and(of, lte(lessonRuns.at, over.at)));
    return id;
  });
}

/** What steps really took in all lessons of a teacher, by technique or by the name of a step of their own. */
export async function learnedOf(teacherId: string): Promise<Record<string, Learned>> {
  const rows = await database()
    .select({ turns: lessonRuns.turns })
    .from(lessonRuns)
    .innerJoin(studies, eq(studies.id, lessonRuns.studyId))
    .where(eq(studies.teacherId, teacherId));
  return Object.fromEntries(learnedFrom(rows.flatMap((r) => r.turns)));
}
