/** Knows how a study is begun again for another class: its works with what was found out of them, rules and plan, but nobody's pieces. */
import { and, asc, eq, getTableColumns, inArray, isNotNull, SQL } from 'drizzle-orm';
import type { MySqlColumn, MySqlTable } from 'drizzle-orm/mysql-core';
import { classOf, onDesk, studyOf } from '../accounts/ownership';
import { newId, type Transaction } from '../database/connection';
import { askToMeasure } from '../queue/asking';
import {
  facts,
  landmarkSets,
  motifs,
  pins,
  plans,
  planSteps,
  referencePictures,
  rules,
  shapeLists,
  studies,
  workGroups,
  works,
} from '../schema';

type Row = Record<string, unknown>;
type Ids = Map<string, string>;

/** Copies the rows of a table under new ids; `links` names the columns that point to rows copied before, or to these, by their new ids. */
async function copyRows(
  tx: Transaction,
  table: MySqlTable & { id: MySqlColumn },
  where: SQL | undefined,
  links: Record<string, Ids | 'self'>,
  more: Row = {},
): Promise<Ids> {
  const rows = (await tx.select().from(table).where(where).orderBy(asc(table.id))) as Row[];
  const ids: Ids = new Map(rows.map((r) => [r.id as string, newId()]));
  const versioned = 'version' in getTableColumns(table) ? { version: 1 } : {};
  const copies = rows.map((r) => ({
    ...r,
    ...versioned,
    ...more,
    ...Object.fromEntries(
      Object.entries(links).map(([column, to]) => [
        column,
        r[column] === null ? null : (to === 'self' ? ids : to).get(r[column] as string),
      ]),
    ),
    id: ids.get(r.id as string),
  }));
  // What others of them point to comes first.
  const own = Object.keys(links).find((column) => links[column] === 'self');
  for (const pass of own ? [(c: Row) => c[own] === null, (c: Row) => c[own] !== null] : [() => true]) {
    const some = copies.filter(pass);
    if (some.length) await tx.insert(table).values(some as (typeof table.$inferInsert)[]);
  }
  return ids;
}

/** A study like another, for another class or for nobody yet; the picture bytes are shared, and what was measured holds. */
export function copyStudy(teacherId: string, id: string, fields: { title: string; classId: string | null }): Promise<string> {
  const copy = newId();
  return onDesk(teacherId, async (tx) => {
    const before = await studyOf(teacherId, id, tx);
    if (fields.classId !== null) await classOf(teacherId, fields.classId, tx);
    const now = new Date();
    await tx.insert(studies).values({ ...before, ...fields, id: copy, version: 1, archivedAt: null, createdAt: now, updatedAt: now });
    const here: Ids = new Map([[id, copy]]);
    const of = { studyId: here };
    const groups = await copyRows(tx, workGroups, eq(workGroups.studyId, id), of);
    const copied = await copyRows(tx, works, eq(works.studyId, id), { ...of, groupId: groups, partOf: 'self' });
    const old = [...copied.keys(), ''];
    for (const table of [facts, pins] as const) await copyRows(tx, table, inArray(table.workId, old), { workId: copied });
    await copyRows(tx, landmarkSets, and(eq(landmarkSets.studyId, id), isNotNull(landmarkSets.workId)), { ...of, workId: copied });
    const models = and(eq(referencePictures.studyId, id), isNotNull(referencePictures.workId));
    const stood = await copyRows(tx, referencePictures, models, { ...of, workId: copied });
    await copyRows(tx, landmarkSets, inArray(landmarkSets.referenceId, [...stood.keys(), '']), { ...of, referenceId: stood });
    await copyRows(tx, shapeLists, eq(shapeLists.studyId, id), { ...of, workId: copied });
    await copyRows(tx, rules, eq(rules.studyId, id), of);
    for (const [, motif] of await copyRows(tx, motifs, eq(motifs.studyId, id), of)) {
      // What was seen is kept by work.
      const [{ seen }] = await tx.select({ seen: motifs.seen }).from(motifs).where(eq(motifs.id, motif));
      const theirs = Object.fromEntries(Object.entries(seen).flatMap(([w, s]) => (copied.has(w) ? [[copied.get(w)!, s]] : [])));
      await tx.update(motifs).set({ seen: theirs }).where(eq(motifs.id, motif));
    }
    const planned = await copyRows(tx, plans, eq(plans.studyId, id), of);
    await copyRows(tx, planSteps, inArray(planSteps.planId, [...planned.keys(), '']), { planId: planned });
    for (const work of copied.values()) await askToMeasure(tx, teacherId, { id: work, studyId: copy });
    return copy;
  });
}
