/** Knows what students hand in: photographs, their corners, notes on what was found, and rules kept or missed. */
import { and, asc, eq, sql } from 'drizzle-orm';
import type { Comparison } from '../../core/style/compare';
import { database, isDuplicate, newId } from '../database/connection';
import { conflict, notFound, Told } from '../errors';
import { checkPicture } from '../pictures/decode';
import { pictureOf, putPicture } from '../pictures/store';
import {
  comparisons,
  findingNotes,
  jobs,
  landmarkSets,
  pieces,
  ruleAnswers,
  rules,
  students,
  studies,
} from '../schema';
import { loggedSubject } from '../studies/bundles';
import { record, registerSubject, Transaction } from '../studies/edits';
import { landmarksOn } from '../studies/landmarkRows';
import { studyOf } from '../studies/studies';
import { askToCompare, askToProcess } from './asking';

export type PieceRow = typeof pieces.$inferSelect;

export async function pieceOf(teacherId: string, id: string): Promise<PieceRow> {
  const [row] = await database()
    .select({ piece: pieces })
    .from(pieces)
    .innerJoin(studies, eq(studies.id, pieces.studyId))
    .where(and(eq(pieces.id, id), eq(studies.teacherId, teacherId)));
  if (!row) throw notFound('This piece');
  return row.piece;
}

export interface NewPiece {
  studentId: string | null;
  kind: PieceRow['kind'];
  /** Null takes the next free number. */
  attempt: number | null;
  title: string;
  paperWidthMm: number;
  paperHeightMm: number;
}

/** Takes in a photograph of a student's sheet; everything else happens in the background. */
export async function addPiece(
  teacherId: string,
  studyId: string,
  bytes: Buffer,
  name: string,
  about: NewPiece,
): Promise<string> {
  const study = await studyOf(teacherId, studyId);
  const db = database();
  if (about.studentId !== null) {
    const [row] = await db.select({ classId: students.classId }).from(students).where(eq(students.id, about.studentId)); // prettier-ignore
    if (!row || row.classId !== study.classId) throw notFound('This student');
  }
  const checked = await checkPicture(bytes, name);
  const photoId = await putPicture(db, bytes, {
    teacherId,
    role: 'original',
    name,
    mime: checked.mime,
    width: checked.width,
    height: checked.height,
  });
  const maker = about.studentId ?? '';
  const [{ last }] = await db
    .select({ last: sql<number | null>`max(${pieces.attempt})` })
    .from(pieces)
    .where(and(eq(pieces.studyId, studyId), eq(pieces.maker, maker), eq(pieces.kind, about.kind)));
  const id = newId();
  try {
    await db.insert(pieces).values({
      id,
      studyId,
      studentId: about.studentId,
      maker,
      kind: about.kind,
      attempt: about.attempt ?? Number(last ?? 0) + 1,
      title: about.title,
      photoId,
      paperWidthMm: about.paperWidthMm,
      paperHeightMm: about.paperHeightMm,
      corners: null,
      told: '',
      createdAt: new Date(),
    });
  } catch (error) {
    if (isDuplicate(error))
      throw new Told(
        409,
        `There is already an attempt ${about.attempt} of this kind by this student. Choose another number.`,
        'attempt',
      );
    throw error;
  }
  await askToProcess(teacherId, { id, studyId }, 1);
  return id;
}

interface Corners {
  corners: PieceRow['corners'];
  placedByHand: boolean;
}

async function putCorners(tx: Transaction, id: string, state: Corners): Promise<void> {
  await tx.update(pieces).set({ ...state, state: 'waiting', version: sql`${pieces.version} + 1` }).where(eq(pieces.id, id)); // prettier-ignore
}

registerSubject(
  'corners',
  (tx, _studyId, id, state) => putCorners(tx, id, state as Corners),
  (teacherId, studyId, id) => askToProcess(teacherId, { id, studyId }, 8),
);

/** Corners placed by hand, photograph px; the sheet is squared up anew. */
export async function placeCorners(
  teacherId: string,
  id: string,
  version: number,
  corners: [number, number][],
): Promise<void> {
  const piece = await pieceOf(teacherId, id);
  await database().transaction(async (tx) => {
    const [row] = await tx.select().from(pieces).where(eq(pieces.id, id)).for('update');
    if (row?.version !== version) throw conflict('This piece');
    const after = { corners, placedByHand: true };
    await putCorners(tx, id, after);
    const before = { corners: row.corners, placedByHand: row.placedByHand };
    await record(tx, { studyId: piece.studyId, subject: 'corners', subjectId: id, label: 'corners of a photograph', before, after }); // prettier-ignore
  });
  await askToProcess(teacherId, piece, 8);
}

const logged = loggedSubject(
  'piece',
  [
    { table: pieces, of: (id) => eq(pieces.id, id) },
    { table: comparisons, of: (id) => eq(comparisons.pieceId, id) },
    { table: findingNotes, of: (id) => eq(findingNotes.pieceId, id) },
    { table: ruleAnswers, of: (id) => eq(ruleAnswers.pieceId, id) },
    { table: landmarkSets, of: (id) => landmarksOn('piece', id) },
  ],
  async (teacherId, studyId, id) => {
    const [row] = await database().select({ state: pieces.state }).from(pieces).where(eq(pieces.id, id));
    if (row) await (row.state === 'ready' ? askToCompare : askToProcess)(teacherId, { id, studyId });
  },
);

export async function removePiece(teacherId: string, id: string): Promise<void> {
  const piece = await pieceOf(teacherId, id);
  await logged.remove(piece.studyId, id, `removing ${piece.kind} ${piece.attempt}`);
}

interface PieceView extends PieceRow {
  student: string | null;
  photoWidth: number;
  photoHeight: number;
  closeness: number | null;
  ownInvention: number | null;
}

export async function listPieces(teacherId: string, studyId: string): Promise<PieceView[]> {
  await studyOf(teacherId, studyId);
  const db = database();
  const rows = await db
    .select({
      piece: pieces,
      firstName: students.firstName,
      initial: students.initial,
      closeness: comparisons.closeness,
      ownInvention: comparisons.ownInvention,
      failure: jobs.told,
    })
    .from(pieces)
    .leftJoin(students, eq(students.id, pieces.studentId))
    .leftJoin(comparisons, eq(comparisons.pieceId, pieces.id))
    .leftJoin(jobs, and(eq(jobs.workKey, sql`concat('process-piece:', ${pieces.id})`), eq(jobs.state, 'failed')))
    .where(eq(pieces.studyId, studyId))
    .orderBy(asc(students.position), asc(pieces.kind), asc(pieces.attempt));
  return Promise.all(
    rows.map(async (r) => {
      const photo = await pictureOf(db, teacherId, r.piece.photoId);
      return {
        ...r.piece,
        // Work that was given up is told by its job; the piece itself still waits.
        ...(r.failure === null || r.piece.state !== 'waiting' ? {} : { state: 'failed' as const, told: r.failure }),
        student: r.firstName === null ? null : `${r.firstName} ${r.initial ?? ''}`.trim(),
        photoWidth: photo.width,
        photoHeight: photo.height,
        closeness: r.closeness,
        ownInvention: r.ownInvention,
      };
    }),
  );
}

type StoredComparison = Comparison & { nearestWorkId: string };

export async function comparisonOf(
  teacherId: string,
  pieceId: string,
): Promise<{
  comparison: StoredComparison | null;
  notes: { feature: string; setAside: boolean; note: string }[];
  answers: { ruleId: string; met: boolean }[];
}> {
  await pieceOf(teacherId, pieceId);
  const db = database();
  const [row] = await db.select({ document: comparisons.document }).from(comparisons).where(eq(comparisons.pieceId, pieceId)); // prettier-ignore
  return {
    comparison: (row?.document as StoredComparison | undefined) ?? null,
    notes: await db.select({ feature: findingNotes.feature, setAside: findingNotes.setAside, note: findingNotes.note }).from(findingNotes).where(eq(findingNotes.pieceId, pieceId)),
    answers: await db.select({ ruleId: ruleAnswers.ruleId, met: ruleAnswers.met }).from(ruleAnswers).where(eq(ruleAnswers.pieceId, pieceId)),
  }; // prettier-ignore
}

interface Note {
  feature: string;
  setAside: boolean;
  note: string;
}

async function putNote(tx: Transaction, pieceId: string, { feature, setAside, note }: Note): Promise<void> {
  await tx.insert(findingNotes).values({ pieceId, feature, setAside, note }).onDuplicateKeyUpdate({ set: { setAside, note } }); // prettier-ignore
}

registerSubject('note', (tx, _studyId, pieceId, state) => putNote(tx, pieceId, state as Note));

/** Sets a finding aside, takes it back, or notes something on it. */
export async function noteFinding(teacherId: string, pieceId: string, after: Note): Promise<void> {
  const piece = await pieceOf(teacherId, pieceId);
  await database().transaction(async (tx) => {
    const [there] = await tx.select().from(findingNotes).where(and(eq(findingNotes.pieceId, pieceId), eq(findingNotes.feature, after.feature))); // prettier-ignore
    const before: Note = there ?? { feature: after.feature, setAside: false, note: '' };
    await putNote(tx, pieceId, after);
    const label = before.setAside === after.setAside ? 'a note on a finding' : 'setting a finding aside';
    await record(tx, { studyId: piece.studyId, subject: 'note', subjectId: pieceId, label, before, after });
  });
}

interface Answer {
  ruleId: string;
  /** Null where nobody has answered. */
  met: boolean | null;
}

async function putAnswer(tx: Transaction, pieceId: string, { ruleId, met }: Answer): Promise<void> {
  if (met === null) await tx.delete(ruleAnswers).where(and(eq(ruleAnswers.pieceId, pieceId), eq(ruleAnswers.ruleId, ruleId))); // prettier-ignore
  else await tx.insert(ruleAnswers).values({ pieceId, ruleId, met }).onDuplicateKeyUpdate({ set: { met } }); // prettier-ignore
}

registerSubject('answer', (tx, _studyId, pieceId, state) => putAnswer(tx, pieceId, state as Answer));

/** Whether a piece keeps an always or never sentence, answered by a person. */
export async function answerRule(teacherId: string, pieceId: string, ruleId: string, met: boolean): Promise<void> {
  const piece = await pieceOf(teacherId, pieceId);
  const [rule] = await database().select({ studyId: rules.studyId, sentence: rules.sentence }).from(rules).where(eq(rules.id, ruleId)); // prettier-ignore
  if (rule?.studyId !== piece.studyId) throw notFound('This rule');
  await database().transaction(async (tx) => {
    const [there] = await tx.select().from(ruleAnswers).where(and(eq(ruleAnswers.pieceId, pieceId), eq(ruleAnswers.ruleId, ruleId))); // prettier-ignore
    await putAnswer(tx, pieceId, { ruleId, met });
    const label = `answer to “${rule.sentence.slice(0, 80)}”`;
    await record(tx, { studyId: piece.studyId, subject: 'answer', subjectId: pieceId, label, before: { ruleId, met: there?.met ?? null }, after: { ruleId, met } }); // prettier-ignore
  });
}
