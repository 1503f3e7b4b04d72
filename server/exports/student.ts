/** Knows everything that is kept about one student, as a ZIP with JSON: for a guardian who asks. */
import { eq, inArray } from 'drizzle-orm';
import { ruleSentence } from '../../core/style/words';
import type { Say } from '../../words/say';
import { database } from '../database/connection';
import {
  comparisons,
  editPictures,
  edits,
  findingNotes,
  landmarkSets,
  pictures,
  pieces,
  profiles,
  referenceChecks,
  referencePictures,
  ruleAnswers,
  rules,
  studies,
} from '../schema';
import { shownName } from '../../core/formats/rosterFile';
import { studentOf } from '../accounts/ownership';
import { InZip, pathOf, zipStream } from './zip';

interface Kept {
  document: unknown;
  /** Pictures by the path they have in the archive. */
  files: InZip[];
  name: string;
}

/** Everything by foreign key: what is not reached from the student is not about the student. */
async function keptOf(teacherId: string, studentId: string, say: Say): Promise<Kept> {
  const db = database();
  const student = await studentOf(teacherId, studentId);
  const handedIn = await db
    .select({ piece: pieces, study: studies.title, master: studies.master })
    .from(pieces)
    .innerJoin(studies, eq(studies.id, pieces.studyId))
    .where(eq(pieces.studentId, studentId));
  const references = await db.select().from(referencePictures).where(eq(referencePictures.studentId, studentId));
  const log = await db.select().from(edits).where(eq(edits.studentId, studentId));
  const pieceIds = handedIn.map((o) => o.piece.id);
  const referenceIds = references.map((r) => r.id);
  const some = <T>(list: readonly unknown[], rows: () => Promise<T[]>) => (list.length ? rows() : Promise.resolve([]));
  const notes = await some(pieceIds, () => db.select().from(findingNotes).where(inArray(findingNotes.pieceId, pieceIds)));
  const answers = await some(pieceIds, () =>
    db
      .select({ pieceId: ruleAnswers.pieceId, sentence: rules.sentence, said: rules.said, met: ruleAnswers.met })
      .from(ruleAnswers)
      .innerJoin(rules, eq(rules.id, ruleAnswers.ruleId))
      .where(inArray(ruleAnswers.pieceId, pieceIds)),
  );
  const found = await some(pieceIds, () => db.select().from(comparisons).where(inArray(comparisons.pieceId, pieceIds)));
  const points = await some(pieceIds, () => db.select().from(landmarkSets).where(inArray(landmarkSets.pieceId, pieceIds)));
  const referencePoints = await some(referenceIds, () =>
    db.select().from(landmarkSets).where(inArray(landmarkSets.referenceId, referenceIds)),
  );
  const ticks = await some(referenceIds, () =>
    db
      .select({ referenceId: referenceChecks.referenceId, sentence: rules.sentence, said: rules.said, done: referenceChecks.done })
      .from(referenceChecks)
      .innerJoin(rules, eq(rules.id, referenceChecks.ruleId))
      .where(inArray(referenceChecks.referenceId, referenceIds)),
  );
  const logHeld = await some(log, () =>
    db
      .select({ id: editPictures.pictureId })
      .from(editPictures)
      .where(
        inArray(
          editPictures.editId,
          log.map((e) => e.id),
        ),
      ),
  );
  const pictureIds = [
    ...new Set(
      [
        ...handedIn.flatMap(({ piece }) => [piece.photoId, piece.rectifiedId]),
        ...references.map((r) => r.pictureId),
        ...logHeld.map((h) => h.id),
      ].filter((id): id is string => id !== null),
    ),
  ];
  const rows = await some(pictureIds, () => db.select().from(pictures).where(inArray(pictures.id, pictureIds)));
  const readings = await some(pictureIds, () => db.select().from(profiles).where(inArray(profiles.pictureId, pictureIds)));
  const fileOf = new Map(rows.map((p) => [p.id, pathOf(p)]));
  const file = (id: string | null) => (id === null ? null : (fileOf.get(id) ?? null));
  const readingsOf = (id: string | null) =>
    readings.filter((r) => r.pictureId === id).map(({ profileVersion, widthMm, document }) => ({ profileVersion, widthMm, document }));
  const document = {
    format: 'oldhand.student/1',
    student: {
      firstName: student.firstName,
      initial: student.initial,
      class: student.className,
      leftHanded: student.leftHanded,
      needs: student.needs,
      seat: student.seat,
      table: student.table,
    },
    pieces: handedIn.map(({ piece, study, master }) => ({
      study,
      master,
      kind: piece.kind,
      attempt: piece.attempt,
      title: piece.title,
      handedIn: piece.createdAt,
      sheetMm: [piece.paperWidthMm, piece.paperHeightMm],
      photograph: file(piece.photoId),
      squaredUp: file(piece.rectifiedId),
      cornersPx: piece.corners,
      state: piece.state,
      said: piece.messages.map((m) => say(m)).join(' '),
      points: points.filter((p) => p.pieceId === piece.id).map(({ template, name, points }) => ({ template, name, points })),
      notes: notes.filter((note) => note.pieceId === piece.id).map(({ feature, setAside, note }) => ({ feature, setAside, note })),
      rules: answers.filter((a) => a.pieceId === piece.id).map(({ met, ...rule }) => ({ rule: say(ruleSentence(rule)), met })),
      comparison: found.find((c) => c.pieceId === piece.id)?.document ?? null,
      readings: readingsOf(piece.rectifiedId),
    })),
    references: references.map((r) => ({
      title: r.title,
      credit: r.credit,
      picture: file(r.pictureId),
      strength: r.strength,
      parts: r.parts,
      points: referencePoints.filter((p) => p.referenceId === r.id).map(({ template, name, points }) => ({ template, name, points })),
      rules: ticks.filter((t) => t.referenceId === r.id).map(({ done, ...rule }) => ({ rule: say(ruleSentence(rule)), done })),
    })),
    /** What was changed or removed and can still be brought back: it ends by itself. */
    edits: log.map(({ label, at, changes, undone }) => ({ label: label.map((m) => say(m)).join(' '), at, undone, changes })),
    otherPictures: logHeld.map((h) => file(h.id)),
  };
  return { document, files: rows.map((p) => ({ path: fileOf.get(p.id)!, sha256: p.sha256 })), name: shownName(student) };
}

/** The archive as a stream, one picture in memory at a time, and a name for the file. */
export async function studentArchive(
  teacherId: string,
  studentId: string,
  say: Say,
): Promise<{ stream: ReadableStream<Uint8Array>; name: string }> {
  const { document, files, name } = await keptOf(teacherId, studentId, say);
  const stream = zipStream('student.json', document, files);
  return { stream, name: `${name.replace(/[^\p{L}\p{N}]+/gu, '-').replace(/^-|-$/g, '') || 'student'}.zip` };
}
