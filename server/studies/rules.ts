/** Knows the rules of a study: measured ones ticked on the benches, and always or never sentences. */
import { and, asc, eq, sql } from 'drizzle-orm';
import { database, newId } from '../database/connection';
import { conflict, notFound, Told } from '../errors';
import { rules } from '../schema';
import { record, registerSubject, Transaction } from './edits';
import { studyOf } from './studies';

export type RuleRow = typeof rules.$inferSelect;

export interface RuleFields {
  kind: RuleRow['kind'];
  feature: string;
  sentence: string;
  evidence: string;
}

registerSubject('rule', async (tx, studyId, subjectId, state) =>
  putRule(tx, studyId, subjectId, state as RuleRow | null),
);

async function putRule(tx: Transaction, studyId: string, id: string, state: RuleRow | null): Promise<void> {
  if (state === null) {
    await tx.delete(rules).where(eq(rules.id, id));
    return;
  }
  const { version: _version, ...rest } = state;
  await tx.insert(rules).values({ ...rest, studyId }).onDuplicateKeyUpdate({ set: { ...rest, version: sql`${rules.version} + 1` } }); // prettier-ignore
}

export async function listRules(teacherId: string, studyId: string): Promise<RuleRow[]> {
  await studyOf(teacherId, studyId);
  return database().select().from(rules).where(eq(rules.studyId, studyId)).orderBy(asc(rules.position)); // prettier-ignore
}

const MOST_RULES = 60;

/** Adds a rule; a feature already ruled on keeps one rule, with the newer sentence. */
export async function addRule(teacherId: string, studyId: string, fields: RuleFields): Promise<string> {
  await studyOf(teacherId, studyId);
  return database().transaction(async (tx) => {
    const all = await tx.select().from(rules).where(eq(rules.studyId, studyId));
    const same = fields.kind === 'feature' ? all.find((r) => r.feature === fields.feature) : undefined;
    if (!same && all.length >= MOST_RULES)
      throw new Told(400, `A study holds at most ${MOST_RULES} rules. Remove one first.`);
    const id = same?.id ?? newId();
    const position = same?.position ?? 1 + all.reduce((m, r) => Math.max(m, r.position), 0);
    const after: RuleRow = { id, studyId, position, version: 1, ...fields };
    await putRule(tx, studyId, id, after);
    await record(tx, {
      studyId,
      subject: 'rule',
      subjectId: id,
      label: `rule “${fields.sentence.slice(0, 80)}”`,
      before: same ?? null,
      after,
    });
    return id;
  });
}

async function ruleOf(tx: Transaction, studyId: string, id: string): Promise<RuleRow> {
  const [row] = await tx.select().from(rules).where(and(eq(rules.id, id), eq(rules.studyId, studyId))).for('update'); // prettier-ignore
  if (!row) throw notFound('This rule');
  return row;
}

export async function changeRule(
  teacherId: string,
  studyId: string,
  id: string,
  version: number,
  fields: Partial<Pick<RuleFields, 'sentence' | 'evidence'>>,
): Promise<void> {
  await studyOf(teacherId, studyId);
  await database().transaction(async (tx) => {
    const before = await ruleOf(tx, studyId, id);
    if (before.version !== version) throw conflict('This rule');
    const after = { ...before, ...fields };
    await putRule(tx, studyId, id, after);
    await record(tx, {
      studyId,
      subject: 'rule',
      subjectId: id,
      label: `rule “${after.sentence.slice(0, 80)}”`,
      before,
      after,
    });
  });
}

export async function removeRule(teacherId: string, studyId: string, id: string): Promise<void> {
  await studyOf(teacherId, studyId);
  await database().transaction(async (tx) => {
    const before = await ruleOf(tx, studyId, id);
    await putRule(tx, studyId, id, null);
    await record(tx, {
      studyId,
      subject: 'rule',
      subjectId: id,
      label: `removing “${before.sentence.slice(0, 80)}”`,
      before,
      after: null,
    });
  });
}
