/** Knows the periods that were held: what each turn took, and what that says of the next lesson. */
import { and, asc, desc, eq, lte, sql } from 'drizzle-orm';
import type { CupboardThing } from '../../core/colour/materials';
import { wholeStep } from '../../core/lesson/ownStep';
import { Learned, learnedFrom, TurnHeld } from '../../core/lesson/learning';
import { inStudy } from '../accounts/ownership';
import { database, newId } from '../database/connection';
import { lessonRuns, user } from '../schema';
import { listed } from '../studies/landmarkRows';
import type { OwnStepView } from './ownSteps';

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

interface Known {
  /** What steps really took in all lessons of a teacher, by technique or by the name of a step of their own. */
  learned: Record<string, Learned>;
  library: OwnStepView[];
  cupboard: CupboardThing[];
  facts: { text: string; source: string | null }[];
}

/** What a teacher's lesson in a study is planned with beside the plan: times learnt, steps kept, the cupboard, and what is written of the works. */
export async function knownOf(teacherId: string, studyId: string): Promise<Known> {
  const [row] = await database()
    .select({
      // Named in full: of one table alone columns are named without it.
      held: sql<string | TurnHeld[][] | null>`(
        select json_arrayagg(json_extract(lesson_runs.turns, '$')) from lesson_runs
        join studies on studies.id = lesson_runs.study_id where studies.teacher_id = ${teacherId})`,
      steps: sql<string | OwnStepView[] | null>`(
        select json_arrayagg(json_object('id', own_steps.id, 'step', json_extract(own_steps.step, '$')) order by own_steps.name)
        from own_steps where own_steps.teacher_id = ${teacherId})`,
      cupboard: sql<string | CupboardThing[] | null>`(
        select json_arrayagg(json_object('kind', materials.kind, 'name', materials.name, 'masstone', materials.masstone,
          'properties', json_extract(materials.properties, '$')) order by materials.name)
        from materials join kits on kits.id = materials.kit_id where kits.teacher_id = ${teacherId})`,
      facts: sql<string | Known['facts'] | null>`(
        select json_arrayagg(json_object('text', facts.text, 'source', facts.source))
        from facts join works on works.id = facts.work_id where works.study_id = ${studyId} and works.foil = false)`,
    })
    .from(user)
    .where(eq(user.id, teacherId));
  return {
    learned: Object.fromEntries(learnedFrom(listed(row?.held ?? null).flat())),
    library: listed(row?.steps ?? null).map(({ id, step }) => ({ id, step: wholeStep(step) })),
    cupboard: listed(row?.cupboard ?? null),
    facts: listed(row?.facts ?? null),
  };
}
