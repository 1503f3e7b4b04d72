/** Knows what goes into a study's report, gathered from what has been measured, ruled, planned and noted. */
import { message } from '../../core/message';
import { mixable, richest } from '../../core/colour/materials';
import { makePlan } from '../../core/lesson/plan';
import { advise } from '../../core/style/advice';
import { nextStep, ruleEvidence, ruleSentence, sayFinding } from '../../core/style/words';
import type { Voice } from '../../words/say';
import { database } from '../database/connection';
import { UserError } from '../errors';
import { planOf } from '../lessons/plans';
import { wishesOf } from '../../core/lesson/wishes';
import { answersOf, comparisonOf, listPieces } from '../pieces/pieces';
import { derivedPicture, getBlob, pictureOf } from '../pictures/store';
import { listKits } from '../cupboard/kits';
import { RuleRow, studyOf } from '../accounts/ownership';
import { classNamesOf } from '../studies/studies';
import { listRules } from '../studies/rules';
import { rosterOf } from '../classes/classes';
import { settingsOf, todayIn } from '../accounts/settings';
import { listWorks } from '../studies/works';
import { inThread } from '../threads/threads';
import { ReportDocument, ReportProgress, ReportStudent } from '../threads/reportDocument';

type Bare = ReportStudent['piece'];

/** The screen-sized picture; the thread makes it smaller for print. */
async function shown(teacherId: string, id: string): Promise<Bare> {
  const db = database();
  const picture = await pictureOf(db, teacherId, id);
  const preview = (await derivedPicture(db, picture.id, 'preview')) ?? picture;
  return { bytes: await getBlob(db, preview.sha256), width: picture.width, height: picture.height };
}

type PieceView = Awaited<ReturnType<typeof listPieces>>[number];

/** The piece a student's page is about: the newest original, else copy, else warm-up, that has been compared. */
function chosen(pieces: readonly PieceView[]): PieceView | null {
  const ready = pieces.filter((p) => p.closeness !== null && p.rectifiedId);
  for (const kind of ['original', 'copy', 'warm-up']) {
    const tries = ready.filter((p) => p.kind === kind).sort((a, b) => b.attempt - a.attempt);
    if (tries.length) return tries[0];
  }
  return null;
}

interface Gathered {
  teacherId: string;
  /** All pieces follow one exemplar. */
  led: boolean;
  rules: RuleRow[];
  works: Awaited<ReturnType<typeof listWorks>>;
  /** Pictures already fetched, by id: many pages show the same source. */
  pictures: Map<string, Promise<Bare>>;
}

const pictureIn = (gathered: Gathered, id: string): Promise<Bare> => {
  const there = gathered.pictures.get(id) ?? shown(gathered.teacherId, id);
  gathered.pictures.set(id, there);
  return there;
};

const ruleIn = (r: RuleRow) => ({ kind: r.kind, sentence: ruleSentence(r), evidence: ruleEvidence(r) });

async function studentPage(gathered: Gathered, name: string | null, pieces: readonly PieceView[]): Promise<ReportStudent | null> {
  const piece = chosen(pieces);
  if (!piece?.rectifiedId) return null;
  const { comparison, notes } = await comparisonOf(piece.id);
  const answers = await answersOf(piece.id);
  if (!comparison) return null;
  const noteOf = (feature: string) => notes.find((n) => n.feature === feature);
  const aside = new Set(notes.filter((n) => n.setAside).map((n) => n.feature));
  const ruled = new Set(gathered.rules.map((r) => r.feature).filter(Boolean));
  const { works, next } = advise(comparison.findings, aside, ruled);
  const source = gathered.works.find((w) => w.id === comparison.nearestWorkId) ?? gathered.works[0];
  return {
    name,
    kind: piece.kind,
    attempt: piece.attempt,
    title: piece.title,
    piece: await shown(gathered.teacherId, piece.rectifiedId),
    source: await pictureIn(gathered, source.pictureId),
    sourceTitle: source.title,
    closeness: comparison.closeness.overall ?? 0,
    ownInvention: gathered.led ? null : comparison.ownInvention,
    works: works.map(sayFinding),
    findings: next.map((f) => ({ said: sayFinding(f), next: nextStep(f), note: noteOf(f.feature)?.note ?? '' })),
    rules: gathered.rules.map((r) => {
      const finding = comparison.findings.find((f) => f.feature === r.feature);
      const met = r.kind === 'feature' ? (finding ? finding.distance === 0 : null) : (answers.find((a) => a.ruleId === r.id)?.met ?? null);
      return { rule: ruleIn(r), kept: met };
    }),
    course: pieces
      .filter((p) => p.kind === piece.kind && p.closeness !== null)
      .sort((a, b) => a.attempt - b.attempt)
      .map((p) => ({ attempt: p.attempt, closeness: p.closeness! })),
  };
}

/** The report of a study as PDF bytes and a name for the file; tells how far it is as its pages are made. */
export async function studyReport(
  teacherId: string,
  studyId: string,
  voice: Voice,
  onProgress?: (now: ReportProgress) => void,
): Promise<{ pdf: Uint8Array; name: string }> {
  const study = await studyOf(teacherId, studyId);
  const settings = await settingsOf(teacherId);
  const works = (await listWorks(studyId)).filter((w) => !w.foil);
  if (!works.length) throw new UserError(400, message('report.needsWork'));
  const gathered: Gathered = { teacherId, led: study.led, rules: await listRules(studyId), works, pictures: new Map() };
  const pieces = await listPieces(studyId);
  const roster = await rosterOf(studyId);
  const people = roster.length ? roster : [{ id: '', name: null }];
  const students: ReportStudent[] = [];
  const without: (string | null)[] = [];
  for (const person of people) {
    const page = await studentPage(
      gathered,
      person.name,
      pieces.filter((p) => p.maker === person.id),
    );
    if (page) students.push(page);
    else without.push(person.name);
  }
  const planView = await planOf(study);
  const kits = (await listKits(teacherId)).map((k) => ({ ...k, mixed: mixable(k) })).filter((k) => k.mixed.paints.length > 0);
  const kit = richest(kits)?.mixed;
  const report: ReportDocument = {
    voice,
    title: study.title,
    master: study.master,
    about: study.about,
    className: (await classNamesOf(studyId)).join(', ') || null,
    date: todayIn(settings),
    paper: settings.paper === 'A4' ? 'A4' : 'LETTER',
    works: await Promise.all(
      works.map(async (w) => ({
        picture: await pictureIn(gathered, w.pictureId),
        title: w.title,
        dated: w.dated,
        sizeMm: w.widthMm && w.heightMm ? ([w.widthMm, w.heightMm] as [number, number]) : null,
      })),
    ),
    rules: gathered.rules.map(ruleIn),
    palette: planView.palette.map((c) => ({
      hex: c.hex,
      name: c.name,
      share: c.share,
      as: c.ground ? 'ground' : c.accent ? 'accent' : 'colour',
      recipe: null,
    })),
    paletteFrom: planView.measuredOn,
    kit: kit?.name ?? null,
    plan: makePlan(wishesOf(planView)),
    lesson: { minutes: planView.plan.minutesPerPeriod, students: planView.plan.classSize, ink: planView.plan.ink },
    students,
    without,
  };
  const pdf = await inThread({ task: 'report', report, kit: kit ?? null }, onProgress);
  return {
    pdf,
    name: `${
      study.title
        .replace(/[^\p{L}\p{N}]+/gu, '-')
        .replace(/^-|-$/g, '')
        .toLowerCase() || 'study'
    }.pdf`,
  };
}
