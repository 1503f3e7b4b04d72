/** Knows the steps a teacher has written: kept for all of their lessons, one of a name. */
import { and, asc, count, eq } from 'drizzle-orm';
import { message, typed } from '../../core/message';
import { checkedStep, wholeStep } from '../../core/lesson/ownStep';
import type { OwnStep } from '../../core/lesson/technique';
import { inStudy } from '../accounts/ownership';
import { database, newId } from '../database/connection';
import { logged, loggedRemoval } from '../edits/log';
import { notFound, sentence, UserError } from '../errors';
import { ownSteps } from '../schema';

export interface OwnStepView {
  id: string;
  step: OwnStep;
}

const MOST_STEPS = 200;

export const ownStepsOf = async (teacherId: string): Promise<OwnStepView[]> =>
  (await database().select().from(ownSteps).where(eq(ownSteps.teacherId, teacherId)).orderBy(asc(ownSteps.name))).map(({ id, step }) => ({
    id,
    step: wholeStep(step),
  }));

/** Keeps steps; one of a name that is there already takes its place. The study is where it was done, and where it is undone. */
export async function keepSteps(teacherId: string, studyId: string, values: readonly unknown[]): Promise<void> {
  const steps = values.map(checkedStep);
  return inStudy(teacherId, studyId, async (tx) => {
    const of = eq(ownSteps.teacherId, teacherId);
    const label = message('edits.keepStep', { n: steps.length, name: typed(steps[0].name) });
    await logged(tx, { teacherId, studyId, subject: 'step', subjectId: teacherId, label }, [{ table: ownSteps, where: of }], async () => {
      for (const step of steps) {
        const { name } = step;
        const [row] = await tx
          .select({ id: ownSteps.id, version: ownSteps.version })
          .from(ownSteps)
          .where(and(of, eq(ownSteps.name, name)));
        if (row)
          await tx
            .update(ownSteps)
            .set({ step, version: row.version + 1 })
            .where(eq(ownSteps.id, row.id));
        else await tx.insert(ownSteps).values({ id: newId(), teacherId, name, step });
      }
      const [{ n }] = await tx.select({ n: count() }).from(ownSteps).where(of);
      if (n > MOST_STEPS) throw new UserError(400, sentence('most.ownSteps', { n: MOST_STEPS }));
    });
  });
}

/** Takes one out of the library; lessons that have it keep it. */
export function dropStep(teacherId: string, studyId: string, id: string): Promise<void> {
  return inStudy(teacherId, studyId, async (tx) => {
    const where = and(eq(ownSteps.id, id), eq(ownSteps.teacherId, teacherId))!;
    const [row] = await tx.select({ name: ownSteps.name }).from(ownSteps).where(where);
    if (!row) throw notFound('step');
    const label = message('edits.dropStep', { name: typed(row.name) });
    await loggedRemoval(tx, { teacherId, studyId, subject: 'step', subjectId: id, label }, { table: ownSteps, where });
  });
}
