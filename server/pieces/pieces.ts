/** Knows what students hand in: photographs, their corners, notes on what was found, and rules kept or missed. */
import { Message, message } from '../../core/message';
import { and, asc, eq, inArray, sql } from 'drizzle-orm';
import { alias } from 'drizzle-orm/mysql-core';
import type { Comparison } from '../../core/style/compare';
import { changing, database, newId } from '../database/connection';
import { unlessTaken } from '../database/failures';
import { logged, loggedRemoval } from '../edits/log';
import { sentence, conflict, notFound, UserError } from '../errors';
import { checkPicture } from '../pictures/decode';
import { pictureOf, putPicture } from '../pictures/store';
import { askToProcess } from '../queue/asking';
import { underWay } from '../queue/queue';
import { comparisons, findingNotes, jobs, landmarkSets, pictures, pieces, ruleAnswers, students } from '../schema';
import { printedMm } from '../../core/lesson/sheets';
import { shownName } from '../../core/formats/rosterFile';
import { listed, PlacedSet, setsOn } from '../studies/landmarkRows';
import { lockStudy, ownStudent, pieceOf, PieceRow, ruleOf, studyOf, within } from '../accounts/ownership';
import { ruleSentence } from '../../core/style/words';

interface NewPiece {
  studentId: string | null;
  kind: PieceRow['kind'];
  /** Null takes the next free number. */
  attempt: number | null;
  title: string;
  paperWidthMm: number;
  paperHeightMm: number;
  /** A photograph of a sheet where nothing is said. */
  capture?: PieceRow['capture'];
  /** Of a file that comes whole: as large as the sheet, as it prints, or of no size. */
  size?: 'sheet' | 'print' | 'none';
}

/** How a piece comes, and on what sheet. */
type Coming = Pick<NewPiece, 'capture' | 'size' | 'paperWidthMm' | 'paperHeightMm'>;

/** A photographed sheet is the one given. What comes whole has its own shape, as long as that one or as it prints; an object has no size. */
function sheetOf({ width, height }: { width: number; height: number }, { capture, size, paperWidthMm, paperHeightMm }: Coming) {
  if (capture === 'photograph') return { paperWidthMm, paperHeightMm, sized: true };
  const long = capture === 'whole' && size === 'print' ? printedMm(Math.max(width, height)) : Math.max(paperWidthMm, paperHeightMm);
  const k = long / Math.max(width, height);
  return { paperWidthMm: width * k, paperHeightMm: height * k, sized: capture === 'whole' && size !== 'none' };
}

/** Takes in a photograph of a student's sheet; everything else happens in the background. */
export async function addPiece(teacherId: string, studyId: string, bytes: Buffer, name: string, given: NewPiece): Promise<string> {
  await ownStudent(database(), await studyOf(teacherId, studyId), given.studentId);
  const checked = await checkPicture(bytes, name);
  const { size: _size, ...known } = given;
  const capture = given.capture ?? 'photograph';
  const about = { ...known, capture, ...sheetOf(checked, { ...given, capture }) };
  const maker = about.studentId ?? '';
  const id = newId();
  const store = () =>
    changing(async (tx) => {
      const photoId = await putPicture(tx, bytes, { teacherId, role: 'original', name, ...checked });
      // Alone in the study from here on, so that two photographs sent at once get two numbers.
      await ownStudent(tx, await lockStudy(tx, teacherId, studyId), about.studentId);
      const [{ last }] = await tx
        .select({ last: sql<number | null>`max(${pieces.attempt})` })
        .from(pieces)
        .where(and(eq(pieces.studyId, studyId), eq(pieces.maker, maker), eq(pieces.kind, about.kind)));
      await tx.insert(pieces).values({
        ...about,
        id,
        studyId,
        maker,
        attempt: about.attempt ?? Number(last ?? 0) + 1,
        photoId,
        corners: null,
        messages: [],
        createdAt: new Date(),
      });
      await askToProcess(tx, teacherId, { id, studyId });
    });
  await unlessTaken(store, () => new UserError(409, sentence('attempt', { n: about.attempt ?? 0 }), 'attempt'));
  return id;
}

const about = (teacherId: string, { id, studyId, studentId }: PieceRow, subject: string, label: Message) => ({
  teacherId,
  studyId,
  studentId,
  subject,
  subjectId: id,
  label,
});
const itself = (id: string) => ({ table: pieces, where: eq(pieces.id, id) });

/** Corners placed by hand, photograph px; the sheet is squared up anew. */
export function placeCorners(teacherId: string, id: string, version: number, corners: [number, number][]): Promise<void> {
  return within(pieceOf, teacherId, id, async (tx, piece) => {
    if (piece.version !== version) throw conflict('piece');
    await logged(tx, about(teacherId, piece, 'corners', message('edits.corners')), [itself(id)], () =>
      tx.update(pieces).set({ corners, placedByHand: true }).where(eq(pieces.id, id)),
    );
  });
}

/** Says on what sheet a piece was made, where it was not the study's; it is squared up to that anew. */
export function changeSheet(
  teacherId: string,
  id: string,
  version: number,
  sheet: { paperWidthMm: number; paperHeightMm: number },
): Promise<void> {
  return within(pieceOf, teacherId, id, async (tx, piece) => {
    if (piece.version !== version) throw conflict('piece');
    await logged(tx, about(teacherId, piece, 'sheet', message('edits.sheet')), [itself(id)], () =>
      tx.update(pieces).set(sheet).where(eq(pieces.id, id)),
    );
  });
}

/** Says that a piece came another way than was thought when it was handed in; it is made ready and measured anew, on the study's sheet. */
export function changeCapture(
  teacherId: string,
  id: string,
  version: number,
  coming: Required<Pick<NewPiece, 'capture' | 'size'>>,
): Promise<void> {
  return within(pieceOf, teacherId, id, async (tx, piece) => {
    if (piece.version !== version) throw conflict('piece');
    const photo = await pictureOf(tx, teacherId, piece.photoId);
    const { paperWidthMm, paperHeightMm } = await studyOf(teacherId, piece.studyId);
    const sheet = sheetOf(photo, { ...coming, paperWidthMm, paperHeightMm });
    await logged(tx, about(teacherId, piece, 'capture', message('edits.capture')), [itself(id)], () =>
      tx
        .update(pieces)
        .set({ capture: coming.capture, ...sheet, corners: null, placedByHand: false })
        .where(eq(pieces.id, id)),
    );
  });
}

export const removePiece = (teacherId: string, id: string): Promise<void> =>
  within(pieceOf, teacherId, id, (tx, piece) =>
    loggedRemoval(
      tx,
      about(teacherId, piece, 'piece', message('edits.removePiece', { kind: message(`pieces.kinds.${piece.kind}`), n: piece.attempt })),
      itself(id),
    ),
  );

/** Why a piece waits though nothing works on it. */
type Halted = { state: 'failed' | 'stopped'; messages: Message[] } | null;

interface PieceView extends Omit<PieceRow, 'state'> {
  state: PieceRow['state'] | 'stopped';
  student: string | null;
  photoWidth: number;
  photoHeight: number;
  /** Size of the squared-up picture, px. */
  uprightWidth: number | null;
  uprightHeight: number | null;
  /** Landmarks placed on it, by template, px of the squared-up picture. */
  sets: PlacedSet[];
  closeness: number | null;
  ownInvention: number | null;
  /** Comparing was stopped or given up, though the piece itself is ready. */
  halted: Halted;
}

/** The pieces of a study of the caller's own, student by student. */
export async function listPieces(studyId: string): Promise<PieceView[]> {
  const upright = alias(pictures, 'upright');
  const rows = await database()
    .select({
      piece: pieces,
      firstName: students.firstName,
      initial: students.initial,
      nth: students.nth,
      photoWidth: pictures.width,
      photoHeight: pictures.height,
      uprightWidth: upright.width,
      uprightHeight: upright.height,
      sets: setsOn(landmarkSets.pieceId, pieces.id),
      closeness: comparisons.closeness,
      ownInvention: comparisons.ownInvention,
      job: { kind: jobs.kind, state: jobs.state, messages: jobs.messages },
    })
    .from(pieces)
    .innerJoin(pictures, eq(pictures.id, pieces.photoId))
    .leftJoin(upright, eq(upright.id, pieces.rectifiedId))
    .leftJoin(students, eq(students.id, pieces.studentId))
    .leftJoin(comparisons, eq(comparisons.pieceId, pieces.id))
    .leftJoin(jobs, and(eq(jobs.pieceId, pieces.id), inArray(jobs.state, ['failed', 'cancelled'])))
    .where(eq(pieces.studyId, studyId))
    .orderBy(asc(students.position), asc(pieces.kind), asc(pieces.attempt));
  const byId = new Map<string, PieceView>();
  for (const { piece, job, firstName, initial, nth, sets, ...more } of rows) {
    const student = firstName === null ? null : shownName({ firstName, initial: initial ?? '', nth: nth ?? 1 });
    const view = byId.get(piece.id) ?? { ...piece, ...more, sets: listed(sets), student, halted: null };
    byId.set(piece.id, view);
    if (!job) continue;
    const halted = { state: job.state === 'failed' ? 'failed' : 'stopped', messages: job.messages } as const;
    // What was given up or stopped is told by its job; the piece itself still waits.
    if (job.kind === 'process-piece' && piece.state === 'waiting') Object.assign(view, { ...halted, halted });
    if (job.kind === 'compare-piece' && piece.state === 'ready') view.halted = halted;
  }
  return [...byId.values()];
}

type StoredComparison = Comparison & { nearestWorkId: string };

interface NoteView {
  feature: string;
  setAside: boolean;
  note: string;
  version: number;
}

interface Found {
  comparison: StoredComparison | null;
  /** It is being made anew: the piece, or what it is held against, was changed since. */
  renewing: boolean;
  notes: NoteView[];
}

/** What was found of a piece of the caller's own, and what was noted on it. */
export async function comparisonOf(pieceId: string): Promise<Found> {
  const db = database();
  const [row] = await db
    .select({ document: comparisons.document, job: jobs.id })
    .from(comparisons)
    .leftJoin(jobs, and(eq(jobs.pieceId, comparisons.pieceId), underWay))
    .where(eq(comparisons.pieceId, pieceId))
    .limit(1);
  const notes = await db
    .select({ feature: findingNotes.feature, setAside: findingNotes.setAside, note: findingNotes.note, version: findingNotes.version })
    .from(findingNotes)
    .where(eq(findingNotes.pieceId, pieceId));
  return { comparison: (row?.document as StoredComparison | undefined) ?? null, renewing: !!row?.job, notes };
}

/** What a person answered of a piece's always and never sentences. */
export const answersOf = (pieceId: string): Promise<{ ruleId: string; met: boolean }[]> =>
  database().select({ ruleId: ruleAnswers.ruleId, met: ruleAnswers.met }).from(ruleAnswers).where(eq(ruleAnswers.pieceId, pieceId));

/** Sets a finding aside, takes it back, or notes something on it; `version` is the one the screen showed, 0 where there was no note. Gives the new one. */
export function noteFinding(teacherId: string, pieceId: string, { feature, setAside, note, version }: NoteView): Promise<number> {
  return within(pieceOf, teacherId, pieceId, async (tx, piece) => {
    const where = and(eq(findingNotes.pieceId, pieceId), eq(findingNotes.feature, feature))!;
    const [there] = await tx.select().from(findingNotes).where(where);
    if ((there?.version ?? 0) !== version) throw conflict('note');
    const label = (there?.setAside ?? false) === setAside ? message('edits.note') : message('edits.setAside');
    await logged(tx, about(teacherId, piece, 'note', label), [{ table: findingNotes, where }], () =>
      there
        ? tx
            .update(findingNotes)
            .set({ setAside, note, version: version + 1 })
            .where(where)
        : tx.insert(findingNotes).values({ pieceId, feature, setAside, note }),
    );
    return version + 1;
  });
}

/** Whether a piece keeps an always or never sentence, answered by a person. */
export function answerRule(teacherId: string, pieceId: string, ruleId: string, met: boolean): Promise<void> {
  return within(pieceOf, teacherId, pieceId, async (tx, piece) => {
    const rule = await ruleOf(teacherId, ruleId, tx);
    if (rule.studyId !== piece.studyId) throw notFound('rule');
    const where = and(eq(ruleAnswers.pieceId, pieceId), eq(ruleAnswers.ruleId, ruleId))!;
    await logged(
      tx,
      about(teacherId, piece, 'answer', message('edits.answer', { rule: ruleSentence(rule) })),
      [{ table: ruleAnswers, where }],
      () => tx.insert(ruleAnswers).values({ pieceId, ruleId, met }).onDuplicateKeyUpdate({ set: { met } }),
    );
  });
}
