/** Knows classes: lists of first names and an initial, and who hands in for a study. */
import { typed } from '../../core/message';
import { asc, eq, sql } from 'drizzle-orm';
import { changing, database, newId } from '../database/connection';
import { isDuplicate } from '../database/failures';
import { sentence, UserError } from '../errors';
import { classes, pieces, students, studies } from '../schema';

interface Name {
  firstName: string;
  initial: string;
}

export interface ClassWithStudents {
  id: string;
  name: string;
  school: string;
  /** With the picture of the piece each handed in last. */
  students: (Name & { id: string; pieceId: string | null })[];
}

export const shownName = ({ firstName, initial }: Name): string => `${firstName} ${initial}`.trim();

/** Picture of the piece a student handed in last, squared up where it has been. */
const LAST_PIECE = sql<string | null>`(
  select coalesce(${pieces.rectifiedId}, ${pieces.photoId}) from ${pieces}
  where ${pieces.studentId} = ${students.id} order by ${pieces.createdAt} desc, ${pieces.id} desc limit 1)`;

export async function listClasses(teacherId: string): Promise<ClassWithStudents[]> {
  const rows = await database()
    .select({
      id: classes.id,
      name: classes.name,
      school: classes.school,
      student: { id: students.id, firstName: students.firstName, initial: students.initial, pieceId: LAST_PIECE },
    })
    .from(classes)
    .leftJoin(students, eq(students.classId, classes.id))
    .where(eq(classes.teacherId, teacherId))
    .orderBy(asc(classes.name), asc(students.position), asc(students.firstName));
  const byId = new Map<string, ClassWithStudents>();
  for (const { student, ...group } of rows) {
    const there = byId.get(group.id) ?? { ...group, students: [] };
    byId.set(group.id, there);
    if (student) there.students.push(student);
  }
  return [...byId.values()];
}

/** Who hands in for a study, by the name shown; empty where one person studies alone. The study must be the caller's own. */
export async function rosterOf(studyId: string): Promise<{ id: string; name: string }[]> {
  const rows = await database()
    .select({ id: students.id, firstName: students.firstName, initial: students.initial })
    .from(students)
    .innerJoin(studies, eq(studies.classId, students.classId))
    .where(eq(studies.id, studyId))
    .orderBy(asc(students.position), asc(students.firstName));
  return rows.map((s) => ({ id: s.id, name: shownName(s) }));
}

/** As the database compares names: without accents and capitals. */
const plainName = (name: Name): string => shownName(name).normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();

function checkRoster(roster: readonly Name[]): void {
  const seen = new Map<string, number>();
  for (const [i, name] of roster.entries()) {
    const before = seen.get(plainName(name));
    if (before !== undefined)
      throw new UserError(
        400,
        sentence('sameName', { line: i + 1, name: typed(shownName(name)), before: before + 1, other: typed(shownName(roster[before])) }),
        'students',
      );
    seen.set(plainName(name), i);
  }
}

/** A new class with its students, in the order given. */
export async function createClass(teacherId: string, name: string, school: string, roster: Name[]): Promise<string> {
  checkRoster(roster);
  const id = newId();
  try {
    await changing(async (tx) => {
      await tx.insert(classes).values({ id, teacherId, name, school, createdAt: new Date() });
      if (roster.length) await tx.insert(students).values(roster.map((s, position) => ({ ...s, id: newId(), classId: id, position })));
    });
  } catch (error) {
    if (!isDuplicate(error)) throw error;
    throw /students_name/.test(String((error as { cause?: unknown }).cause ?? error))
      ? new UserError(400, sentence('sameNames'), 'students')
      : new UserError(409, sentence('sameClass', { name: typed(name) }), 'name');
  }
  return id;
}
