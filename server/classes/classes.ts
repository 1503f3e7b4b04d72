/** Knows classes: lists of first names and an initial, made, changed and put away, each step to be undone; and who hands in for a study. */
import { and, asc, eq, exists, inArray, isNull, max, or, sql } from 'drizzle-orm';
import { shownName, toldApart } from '../../core/formats/rosterFile';
import { message, typed } from '../../core/message';
import { classOf, onDesk, inItsClasses } from '../accounts/ownership';
import { database, newId, type Transaction } from '../database/connection';
import { unlessTaken } from '../database/failures';
import { logged } from '../edits/log';
import { conflict, notFound, sentence, UserError } from '../errors';
import { classes, pieces, students } from '../schema';

type StudentRow = typeof students.$inferSelect;

/** What is known of a student; a first name at least. */
type StudentFields = Pick<StudentRow, 'firstName' | 'initial' | 'leftHanded' | 'needs' | 'seat' | 'table'>;
export type NewStudent = Pick<StudentFields, 'firstName' | 'initial'> & Partial<StudentFields>;

export interface ClassWithStudents {
  id: string;
  name: string;
  school: string;
  archived: boolean;
  version: number;
  /** With the picture of the piece each handed in last. */
  students: (StudentFields & Pick<StudentRow, 'id' | 'nth' | 'left' | 'version'> & { name: string; pieceId: string | null })[];
}

const MOST_STUDENTS = 60;

/** Picture of the piece a student handed in last, squared up where it has been. */
const LAST_PIECE = sql<string | null>`(
  select coalesce(${pieces.rectifiedId}, ${pieces.photoId}) from ${pieces}
  where ${pieces.studentId} = ${students.id} order by ${pieces.createdAt} desc, ${pieces.id} desc limit 1)`;

export async function listClasses(teacherId: string): Promise<ClassWithStudents[]> {
  const rows = await database()
    .select({ group: classes, student: students, pieceId: LAST_PIECE })
    .from(classes)
    .leftJoin(students, eq(students.classId, classes.id))
    .where(eq(classes.teacherId, teacherId))
    .orderBy(asc(classes.name), asc(students.position), asc(students.firstName));
  const byId = new Map<string, ClassWithStudents>();
  for (const { group, student, pieceId } of rows) {
    const { id, name, school, version } = group;
    const there = byId.get(id) ?? { id, name, school, version, archived: group.archivedAt !== null, students: [] };
    byId.set(id, there);
    if (!student) continue;
    const { classId: _class, position: _position, ...known } = student;
    there.students.push({ ...known, name: shownName(known), pieceId });
  }
  return [...byId.values()];
}

/** Classes that can be chosen for a study, with how many are on each list; one put away only where it is `chosen` already. */
export async function classesToChoose(
  teacherId: string,
  ...chosen: readonly (string | null)[]
): Promise<{ id: string; name: string; count: number }[]> {
  const rows = await database()
    .select({ id: classes.id, name: classes.name, count: sql<number>`count(${students.id})` })
    .from(classes)
    .leftJoin(students, and(eq(students.classId, classes.id), eq(students.left, false)))
    .where(
      and(eq(classes.teacherId, teacherId), or(isNull(classes.archivedAt), inArray(classes.id, ['', ...chosen.filter((c) => c !== null)]))),
    )
    .groupBy(classes.id, classes.name)
    .orderBy(asc(classes.name));
  return rows.map((c) => ({ ...c, count: Number(c.count) }));
}

/**
 * Who hands in for a study, by the name shown: those on its classes' lists, and whoever handed in and has left it since; empty
 * where one person studies alone. The study must be the caller's own.
 */
export async function rosterOf(studyId: string): Promise<{ id: string; name: string }[]> {
  const handedIn = exists(
    database()
      .select({ id: pieces.id })
      .from(pieces)
      .where(and(eq(pieces.studyId, studyId), eq(pieces.studentId, students.id))),
  );
  const rows = await database()
    .select({ id: students.id, firstName: students.firstName, initial: students.initial, nth: students.nth, className: classes.name })
    .from(students)
    .innerJoin(classes, eq(classes.id, students.classId))
    .where(or(and(inItsClasses(studyId), eq(students.left, false)), handedIn))
    .orderBy(asc(classes.name), asc(classes.id), asc(students.position), asc(students.firstName));
  // Where two classes take part, two of one name are told apart by theirs.
  const names = rows.map(shownName);
  return rows.map((s, i) => ({
    id: s.id,
    name: names.filter((n) => n === names[i]).length > 1 ? `${names[i]} (${s.className})` : names[i],
  }));
}

/** What a lesson of a study has to heed: who draws with the left hand, and what is noted of whom. */
export interface Heed {
  leftHanded: string[];
  /** Who studies alone draws with the left hand. */
  oneself: boolean;
  needs: { name: string; text: string }[];
}

/** The same, of those on the lists of the study's classes, or where it has none of the teacher, who draws with that hand; the study must be the caller's own. */
export async function heedOf(studyId: string, hand: 'left' | 'right'): Promise<Heed> {
  const rows = await database()
    .select({ student: students })
    .from(students)
    .where(and(inItsClasses(studyId), eq(students.left, false)))
    .orderBy(asc(students.classId), asc(students.position), asc(students.firstName));
  const named = rows.map(({ student }) => ({ ...student, name: shownName(student) }));
  return {
    leftHanded: named.filter((s) => s.leftHanded).map((s) => s.name),
    oneself: rows.length === 0 && hand === 'left',
    needs: named.filter((s) => s.needs !== '').map((s) => ({ name: s.name, text: s.needs })),
  };
}

const about = (teacherId: string, id: string, label: 'class' | 'roster' | 'student', name: string, studentId: string | null = null) => ({
  teacherId,
  studyId: null,
  subject: 'class',
  subjectId: id,
  label: message(`edits.${label}`, { name: typed(name) }),
  studentId,
});

const whole = (id: string) => [{ table: classes, where: eq(classes.id, id), tree: true }];
const rosterIn = (id: string) => [{ table: students, where: eq(students.classId, id) }];

const named = <T>(name: string, work: () => Promise<T>): Promise<T> =>
  unlessTaken(work, (error) =>
    // Letters that only the database takes for the same.
    /students_names/.test(String((error as { cause?: unknown }).cause ?? error))
      ? new UserError(400, sentence('sameNames'), 'students')
      : new UserError(409, sentence('sameClass', { name: typed(name) }), 'name'),
  );

/** Puts students at the end of a class, equal names told apart by a number. */
async function enter(tx: Transaction, classId: string, wanted: readonly NewStudent[]): Promise<void> {
  const there = await tx.select().from(students).where(eq(students.classId, classId));
  if (there.length + wanted.length > MOST_STUDENTS) throw new UserError(400, sentence('most.students'), 'students');
  if (!wanted.length) return;
  const first = 1 + there.reduce((m, s) => Math.max(m, s.position), -1);
  const apart = toldApart(wanted, there);
  await tx.insert(students).values(apart.map((s, i) => ({ ...s, id: newId(), classId, position: first + i })));
}

/** A new class with its students, in the order given. */
export async function createClass(teacherId: string, name: string, school: string, roster: readonly NewStudent[]): Promise<string> {
  const id = newId();
  await onDesk(teacherId, (tx) =>
    named(name, () =>
      logged(tx, about(teacherId, id, 'class', name), whole(id), async () => {
        await tx.insert(classes).values({ id, teacherId, name, school, createdAt: new Date() });
        await enter(tx, id, roster);
      }),
    ),
  );
  return id;
}

interface ClassChange {
  name?: string;
  school?: string;
  archived?: boolean;
}

export function changeClass(teacherId: string, id: string, version: number, { archived, ...fields }: ClassChange): Promise<number> {
  return onDesk(teacherId, async (tx) => {
    const before = await classOf(teacherId, id, tx);
    if (before.version !== version) throw conflict('class');
    const where = eq(classes.id, id);
    const archivedAt = archived === undefined ? {} : { archivedAt: archived ? new Date() : null };
    const name = fields.name ?? before.name;
    await named(name, () =>
      logged(tx, about(teacherId, id, 'class', name), [{ table: classes, where }], () =>
        tx
          .update(classes)
          .set({ ...fields, ...archivedAt, version: version + 1 })
          .where(where),
      ),
    );
    return version + 1;
  });
}

/** More students, behind those that are there. */
export function addStudents(teacherId: string, classId: string, list: readonly NewStudent[]): Promise<void> {
  return onDesk(teacherId, async (tx) => {
    const { name } = await classOf(teacherId, classId, tx);
    await logged(tx, about(teacherId, classId, 'roster', name), rosterIn(classId), () => enter(tx, classId, list));
  });
}

/** Next year's class from this one: those who still come, with all that is known of them; this one is put away. */
export function nextYear(teacherId: string, classId: string, name: string): Promise<string> {
  const id = newId();
  return onDesk(teacherId, async (tx) => {
    const before = await classOf(teacherId, classId, tx);
    const roster = await tx
      .select()
      .from(students)
      .where(and(eq(students.classId, classId), eq(students.left, false)))
      .orderBy(asc(students.position));
    const scopes = [...whole(id), { table: classes, where: eq(classes.id, classId) }];
    await named(name, () =>
      logged(tx, about(teacherId, id, 'class', name), scopes, async () => {
        await tx.insert(classes).values({ id, teacherId, name, school: before.school, createdAt: new Date() });
        await enter(
          tx,
          id,
          roster.map(({ firstName, initial, leftHanded, needs, seat, table }) => ({ firstName, initial, leftHanded, needs, seat, table })),
        );
        await tx
          .update(classes)
          .set({ archivedAt: new Date(), version: before.version + 1 })
          .where(eq(classes.id, classId));
      }),
    );
    return id;
  });
}

export type StudentChange = Partial<StudentFields> & { left?: boolean; classId?: string };

/** Changes what is known of a student; into another class they come at its end. */
export function changeStudent(teacherId: string, id: string, version: number, { classId, ...fields }: StudentChange): Promise<void> {
  return onDesk(teacherId, async (tx) => {
    const [found] = await tx
      .select({ student: students })
      .from(students)
      .innerJoin(classes, eq(classes.id, students.classId))
      .where(and(eq(students.id, id), eq(classes.teacherId, teacherId)));
    if (!found) throw notFound('student');
    const before = found.student;
    if (before.version !== version) throw conflict('student');
    const into = classId ?? before.classId;
    if (into !== before.classId) await classOf(teacherId, into, tx);
    const name = { firstName: fields.firstName ?? before.firstName, initial: fields.initial ?? before.initial };
    const others = (await tx.select().from(students).where(eq(students.classId, into))).filter((s) => s.id !== id);
    if (into !== before.classId && others.length >= MOST_STUDENTS) throw new UserError(400, sentence('most.students'), 'classId');
    const [{ nth }] = toldApart([name], others);
    const where = eq(students.id, id);
    const moved = into === before.classId ? {} : { classId: into, position: 1 + others.reduce((m, s) => Math.max(m, s.position), -1) };
    await logged(tx, about(teacherId, into, 'student', shownName({ ...name, nth }), id), [{ table: students, where }], () =>
      tx
        .update(students)
        .set({ ...fields, ...moved, nth, version: version + 1 })
        .where(where),
    );
  });
}

/** Puts the students of a class into an order; those not named stay behind them as they are. */
export function orderStudents(teacherId: string, classId: string, ids: readonly string[]): Promise<void> {
  return onDesk(teacherId, async (tx) => {
    const { name } = await classOf(teacherId, classId, tx);
    await logged(tx, about(teacherId, classId, 'roster', name), rosterIn(classId), async () => {
      for (const [position, id] of ids.entries())
        await tx
          .update(students)
          .set({ position })
          .where(and(eq(students.id, id), eq(students.classId, classId)));
      const [{ last }] = await tx
        .select({ last: max(students.position) })
        .from(students)
        .where(inArray(students.id, [...ids, '']));
      await tx
        .update(students)
        .set({ position: sql`${students.position} + ${(last ?? 0) + 1}` })
        .where(and(eq(students.classId, classId), ids.length ? sql`${students.id} not in ${ids}` : undefined));
    });
  });
}
