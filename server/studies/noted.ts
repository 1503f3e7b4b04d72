/** Knows what is written down of a work: facts with where they were read, and patches kept with what was measured there. */
import { and, asc, eq, sql } from 'drizzle-orm';
import { message, typed } from '../../core/message';
import { database, newId, type Transaction } from '../database/connection';
import { logged, loggedRemoval } from '../edits/log';
import { sentence, UserError } from '../errors';
import { facts, pins, works } from '../schema';
import { within, workOf } from '../accounts/ownership';
import { aboutWork as about } from './works';

const MOST_NOTED = 200;

interface Fact {
  id: string;
  text: string;
  source: string | null;
}

interface Pin {
  id: string;
  patch: [number, number, number, number];
  reading: unknown;
}

const byWork = <Row extends { workId: string }, View>(rows: readonly Row[], view: (row: Row) => View): Map<string, View[]> => {
  const out = new Map<string, View[]>();
  for (const row of rows) out.set(row.workId, [...(out.get(row.workId) ?? []), view(row)]);
  return out;
};

/** Facts of every work of a study, by work. */
export async function factsOf(studyId: string): Promise<Map<string, Fact[]>> {
  const rows = await database()
    .select({ fact: facts })
    .from(facts)
    .innerJoin(works, eq(works.id, facts.workId))
    .where(eq(works.studyId, studyId));
  return byWork(
    rows.map((r) => r.fact),
    ({ id, text, source }) => ({ id, text, source }),
  );
}

/** Patches kept of every work of a study, by work, oldest first. */
export async function pinsOf(studyId: string): Promise<Map<string, Pin[]>> {
  const rows = await database()
    .select({ pin: pins })
    .from(pins)
    .innerJoin(works, eq(works.id, pins.workId))
    .where(eq(works.studyId, studyId))
    .orderBy(asc(pins.createdAt));
  return byWork(
    rows.map((r) => r.pin),
    ({ id, patch, reading }) => ({ id, patch, reading }),
  );
}

async function roomFor(tx: Transaction, table: typeof facts | typeof pins, workId: string, what: 'facts' | 'pins'): Promise<void> {
  const [{ n }] = await tx
    .select({ n: sql<number>`count(*)` })
    .from(table)
    .where(eq(table.workId, workId));
  if (Number(n) >= MOST_NOTED) throw new UserError(400, sentence(`most.${what}`, { n: MOST_NOTED }));
}

export function addFact(teacherId: string, workId: string, text: string, source: string | null): Promise<string> {
  const id = newId();
  return within(workOf, teacherId, workId, async (tx, work) => {
    await roomFor(tx, facts, workId, 'facts');
    await logged(
      tx,
      about(teacherId, work, message('edits.fact', { title: typed(work.title) })),
      [{ table: facts, where: eq(facts.id, id) }],
      () => tx.insert(facts).values({ id, workId, text, source }),
    );
    return id;
  });
}

export function removeFact(teacherId: string, workId: string, factId: string): Promise<void> {
  const where = and(eq(facts.id, factId), eq(facts.workId, workId))!;
  return within(workOf, teacherId, workId, (tx, work) =>
    loggedRemoval(tx, about(teacherId, work, message('edits.removeFact', { title: typed(work.title) })), { table: facts, where }),
  );
}

export function addPin(teacherId: string, workId: string, patch: [number, number, number, number], reading: unknown): Promise<string> {
  const id = newId();
  return within(workOf, teacherId, workId, async (tx, work) => {
    await roomFor(tx, pins, workId, 'pins');
    await logged(
      tx,
      about(teacherId, work, message('edits.pin', { title: typed(work.title) })),
      [{ table: pins, where: eq(pins.id, id) }],
      () => tx.insert(pins).values({ id, workId, patch, reading, createdAt: new Date() }),
    );
    return id;
  });
}

export function removePin(teacherId: string, workId: string, pinId: string): Promise<void> {
  const where = and(eq(pins.id, pinId), eq(pins.workId, workId))!;
  return within(workOf, teacherId, workId, (tx, work) =>
    loggedRemoval(tx, about(teacherId, work, message('edits.removePin', { title: typed(work.title) })), { table: pins, where }),
  );
}
