/** Knows the rules of a study: measured ones ticked on the benches, and always or never sentences. */
import { message } from '../../core/message';
import { ruleSentence } from '../../core/style/words';
import { and, asc, eq } from 'drizzle-orm';
import { database, newId } from '../database/connection';
import { logged, loggedRemoval } from '../edits/log';
import { sentence, conflict, notFound, UserError } from '../errors';
import { ruleAnswers, rules } from '../schema';
import { inStudy, RuleRow, ruleOf } from '../accounts/ownership';

type RuleFields = Pick<RuleRow, 'kind' | 'feature' | 'sentence' | 'evidence'> & Partial<Pick<RuleRow, 'said'>>;

/** The rules of a study of the caller's own, in order. */
export function listRules(studyId: string): Promise<RuleRow[]> {
  return database().select().from(rules).where(eq(rules.studyId, studyId)).orderBy(asc(rules.position));
}

/** The same, with what a person answered for one piece; null where nobody has. */
export async function rulesWithAnswers(studyId: string, pieceId: string): Promise<(RuleRow & { met: boolean | null })[]> {
  const rows = await database()
    .select({ rule: rules, met: ruleAnswers.met })
    .from(rules)
    .leftJoin(ruleAnswers, and(eq(ruleAnswers.ruleId, rules.id), eq(ruleAnswers.pieceId, pieceId)))
    .where(eq(rules.studyId, studyId))
    .orderBy(asc(rules.position));
  return rows.map(({ rule, met }) => ({ ...rule, met }));
}

const MOST_RULES = 60;
const about = (teacherId: string, studyId: string, id: string, label: 'rule' | 'removeRule', rule: Pick<RuleRow, 'said' | 'sentence'>) => ({
  teacherId,
  studyId,
  subject: 'rule',
  subjectId: id,
  label: message(`edits.${label}`, { rule: ruleSentence(rule) }),
});

/** Adds a rule; a feature already ruled on keeps one rule, with the newer sentence. */
export function addRule(teacherId: string, studyId: string, wanted: RuleFields): Promise<string> {
  const fields = { said: null, ...wanted };
  return inStudy(teacherId, studyId, async (tx) => {
    const all = await tx.select().from(rules).where(eq(rules.studyId, studyId));
    const same = fields.kind === 'feature' ? all.find((r) => r.feature === fields.feature) : undefined;
    if (!same && all.length >= MOST_RULES) throw new UserError(400, sentence('most.rules', { n: MOST_RULES }));
    const id = same?.id ?? newId();
    const position = 1 + all.reduce((m, r) => Math.max(m, r.position), 0);
    const where = eq(rules.id, id);
    await logged(tx, about(teacherId, studyId, id, 'rule', fields), [{ table: rules, where }], () =>
      same
        ? tx
            .update(rules)
            .set({ ...fields, version: same.version + 1 })
            .where(where)
        : tx.insert(rules).values({ id, studyId, position, ...fields }),
    );
    return id;
  });
}

export function changeRule(
  teacherId: string,
  studyId: string,
  id: string,
  version: number,
  fields: Partial<Pick<RuleFields, 'sentence' | 'evidence'>>,
): Promise<void> {
  return inStudy(teacherId, studyId, async (tx) => {
    const before = await ruleOf(teacherId, id, tx);
    if (before.studyId !== studyId) throw notFound('rule');
    if (before.version !== version) throw conflict('rule');
    const where = eq(rules.id, id);
    await logged(tx, about(teacherId, studyId, id, 'rule', { ...before, ...fields }), [{ table: rules, where }], () =>
      tx
        .update(rules)
        .set({ ...fields, version: version + 1 })
        .where(where),
    );
  });
}

export function removeRule(teacherId: string, studyId: string, id: string): Promise<void> {
  return inStudy(teacherId, studyId, async (tx) => {
    const before = await ruleOf(teacherId, id, tx);
    if (before.studyId !== studyId) throw notFound('rule');
    await loggedRemoval(tx, about(teacherId, studyId, id, 'removeRule', before), { table: rules, where: eq(rules.id, id) });
  });
}
