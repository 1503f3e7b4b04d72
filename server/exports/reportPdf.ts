/** Knows how the report of a study looks on paper: the rules, the palette, the plan, and a page for each student. */
import { amountNeeded } from '../../core/lesson/quantities';
import { amount, figure, message, Message, several, typed } from '../../core/message';
import { sentencesOf } from '../../words/languages';
import { Say, speaker } from '../../words/say';
import { ReportDocument, ReportPicture, ReportProgress, ReportRecipe, ReportStudent } from '../threads/reportDocument';
import { Pages } from './page';

/** The report with whoever puts it into words. */
interface Spoken extends ReportDocument {
  say: Say;
}

const nameOf = (name: string | null): Message => (name === null ? message('app.you') : message('shared.plain', { text: typed(name) }));

const ruleOf = ({ kind, sentence }: ReportDocument['rules'][number]): Message => message('rules.sentence', { kind, sentence });

function opening(pages: Pages, report: Spoken): void {
  const { say } = report;
  pages.say(say.typed(report.title), { face: 'title', size: 26, gap: 4 });
  pages.say(say('shared.after', { master: typed(report.master) }), { size: 13 });
  const day = say.day(report.date);
  pages.small(report.className ? say.list([say('report.class', { name: typed(report.className) }), day]) : day);
  if (report.about) {
    pages.y += 6;
    pages.say(say.typed(report.about), { size: 11 });
  }
  pages.y += 8;
  const across = 3;
  const cell = pages.width / across;
  for (let first = 0; first < report.works.length; first += across) {
    const row = report.works.slice(first, first + across);
    pages.need(160);
    const top = pages.y;
    const high = Math.max(...row.map((w, i) => pages.picture(w.picture, i * cell, top, [cell - 12, 118])));
    // Captions stand on one line under pictures of unequal height.
    const ends = row.map((w, i) => {
      const place = { left: i * cell, width: cell - 12 };
      pages.y = top + high + 3;
      pages.say(say.typed(w.title), { size: 9, face: 'strong', gap: 0, ...place });
      const size = w.sizeMm && say('report.size', { width: amount(w.sizeMm[0], 'mm'), height: amount(w.sizeMm[1], 'mm') });
      pages.small([say.typed(w.dated), size].filter(Boolean).join(', '), place);
      return pages.y;
    });
    pages.y = Math.max(...ends) + 8;
  }
}

function rules(pages: Pages, report: Spoken): void {
  const { say } = report;
  pages.heading(say('report.rules'));
  if (!report.rules.length) pages.say(say('make.noRules'));
  report.rules.forEach((r, i) => {
    pages.need(34);
    pages.say(say('report.numbered', { n: i + 1, words: ruleOf(r) }), { size: 11, gap: 0 });
    const evidence = say('shared.plain', { text: r.evidence });
    if (evidence) pages.small(evidence, { left: 18 });
    else pages.y += 3;
  });
}

function palette(pages: Pages, report: Spoken): void {
  const { say } = report;
  pages.heading(say('report.palette'));
  if (!report.palette.length) {
    pages.say(say('report.noColours'));
    return;
  }
  const lines = [say('report.measuredOn', { work: typed(report.paletteFrom ?? '') })];
  if (report.kit) lines.push(say('report.recipes', { kit: typed(report.kit) }));
  pages.small(lines.join(' '));
  for (const c of report.palette) {
    pages.need(32);
    const top = pages.y + 2;
    pages.swatch(c.hex, 0, top, 46, 24);
    if (c.recipe) pages.swatch(c.recipe.hex, 46, top, 46, 24);
    pages.y = top;
    pages.say(say('report.colour', { colour: c.name, share: amount(c.share, 'share'), as: c.as }), { left: 104, face: 'strong', gap: 0 });
    if (c.recipe) {
      const parts = several(c.recipe.parts.map((p) => message('mixing.parts', { n: p.parts, paint: typed(p.paint) })));
      pages.small(say('report.recipe', { parts, miss: c.recipe.miss }), { left: 104, gap: 0 });
    }
    pages.y = Math.max(pages.y, top + 28);
  }
  if (report.kit) pages.small(say('report.halves'));
}

function plan(pages: Pages, report: Spoken): void {
  const { say, plan: made, lesson } = report;
  if (!made) return;
  pages.need(260);
  pages.heading(say('report.lesson'), 1);
  const summary = message('plan.summary', { periods: made.periods.length, minutes: lesson.minutes, students: lesson.students });
  pages.say(say('report.lessonOf', { summary, ink: lesson.ink }));
  made.periods.forEach((entries, i) => {
    pages.heading(say('plan.period', { n: i + 1 }), 3);
    pages.table(
      [1, 5, 9, 1.6],
      entries.map((e) => [
        `${Math.floor(e.start / 60)}:${String(e.start % 60).padStart(2, '0')}`,
        e.part ? `${say(e.title)} ${say('plan.begun', { part: e.part === 1 ? 'one' : 'two' })}` : say(e.title),
        e.part === 2 ? '' : say(e.text),
        say('units.minutes', { n: figure(e.minutes) }),
      ]),
    );
  });
  if (made.warnings.length) {
    pages.heading(say('plan.warnings'), 3);
    for (const w of made.warnings) pages.say(`${say(w.reason)} ${say(w.remedy)}`, { gap: 4 });
  }
  pages.heading(say('plan.materials'), 3);
  pages.table(
    [6, 2, 6],
    made.materials.map((m) => [say(m.name), say(amountNeeded(m)), say(m.how)]),
  );
  pages.heading(say('plan.cautions'), 3);
  for (const c of made.cautions) pages.say(`–  ${say(c)}`, { size: 9 });
}

function overview(pages: Pages, report: Spoken): void {
  const { say } = report;
  if (!report.students.length) return;
  // Its head, and at least some lines of the table.
  pages.need(150);
  pages.heading(say('report.overview'), 1);
  pages.say(say('report.overviewHow'));
  pages.y += 6;
  pages.table(
    [3.2, 2.6, 2.4, 1.5, 12.3],
    report.students.map((s) => [
      say(nameOf(s.name)),
      say('pieces.nth', { kind: message(`pieces.kinds.${s.kind}`), n: s.attempt }),
      say.number(s.closeness),
      s.ownInvention === null ? '–' : say.number(s.ownInvention),
      s.findings[0] ? say(s.findings[0].said) : say('report.nothingOutside'),
    ]),
    (['who', 'piece', 'closeness', 'own', 'next'] as const).map((c) => say(`report.columns.${c}`)),
  );
  if (report.without.length) pages.say(say('report.without', { names: several(report.without.map(nameOf)) }), { size: 9 });
}

function student(pages: Pages, report: Spoken, s: ReportStudent): void {
  const { say } = report;
  pages.newPage();
  pages.say(say(nameOf(s.name)), { face: 'title', size: 20, gap: 0 });
  const attempt = message('pieces.attempt', { kind: message(`pieces.kinds.${s.kind}`), n: s.attempt });
  pages.small(s.title ? say('report.titled', { title: typed(s.title), piece: attempt }) : say(attempt));
  pages.y += 4;
  const half = pages.width / 2;
  const top = pages.y;
  const heights = [pages.picture(s.piece, 0, top, [half - 8, 230]), pages.picture(s.source, half, top, [half - 8, 230])];
  pages.y = top + Math.max(...heights) + 3;
  const under = pages.y;
  pages.small(say('report.thePiece'), { width: half - 8 });
  pages.y = under;
  pages.small(say('report.nearest', { title: typed(s.sourceTitle) }), { left: half, width: half - 8 });
  pages.y = under + 16;
  pages.say(
    say(s.ownInvention === null ? 'compare.closenessLed' : 'compare.closeness', {
      closeness: figure(s.closeness),
      own: figure(s.ownInvention ?? 0),
    }),
    { size: 11 },
  );
  if (s.works.length) {
    pages.heading(say('report.works'), 3);
    for (const w of s.works) pages.say(say(w), { size: 12 });
  }
  pages.heading(say(s.findings.length === 1 ? 'report.one' : 'report.next'), 3);
  if (!s.findings.length) pages.say(say('report.allWithin'), { size: 12 });
  const aside = { size: 10.5, left: 18, colour: '#333333', gap: 0 };
  s.findings.forEach((f, i) => {
    pages.say(say('report.numbered', { n: i + 1, words: f.said }), { size: 12, gap: 0 });
    if (f.next) pages.say(say(f.next), aside);
    if (f.note) pages.say(say('report.teacher', { note: typed(f.note) }), aside);
    pages.y += 4;
  });
  if (s.rules.length) {
    pages.heading(say('report.theRules'), 3);
    pages.table(
      [2, 12],
      s.rules.map(({ rule, kept }) => [
        say(kept === null ? 'compare.notSeen' : kept ? 'compare.kept' : 'compare.missed'),
        say(ruleOf(rule)),
      ]),
    );
  }
  if (s.course.length > 1)
    pages.say(
      say('report.course', {
        tries: several(s.course.map((c) => message('report.try', { n: c.attempt, closeness: figure(c.closeness) }))),
      }),
    );
  pages.y += 6;
  pages.small(
    say('report.label', {
      titled: s.title ? 'yes' : 'no',
      title: typed(s.title),
      name: nameOf(s.name),
      master: typed(report.master),
      classed: report.className ? 'yes' : 'no',
      class: typed(report.className ?? ''),
    }),
  );
}

interface Making {
  /** A picture's bytes as they are put on paper. */
  forPrint?: (bytes: Uint8Array) => Promise<Uint8Array>;
  /** How a colour is mixed from the kit; null without paints. */
  recipeFor?: (hex: string) => ReportRecipe | null;
  onProgress?: (now: ReportProgress) => void;
}

/** The whole report as a PDF. `root` is where the application is installed, for its fonts. */
export async function drawReport(
  document: ReportDocument,
  root: string,
  { forPrint, recipeFor, onProgress }: Making = {},
): Promise<Buffer> {
  const say = speaker(await sentencesOf(document.voice), document.voice);
  const report: Spoken = { ...document, say };
  const foot = message('report.foot', { study: typed(report.title), date: typed(say.day(report.date)) });
  const pages = new Pages(root, report.paper, {
    about: { title: report.title, author: say('app.name') },
    language: say.locale,
    footer: (n, all) => say('report.page', { foot, n, all }),
  });
  const small = async <P extends ReportPicture>(picture: P): Promise<P> =>
    forPrint ? { ...picture, bytes: await forPrint(picture.bytes) } : picture;
  const parts: (() => void | Promise<void>)[] = [
    async () => opening(pages, { ...report, works: await inTurn(report.works, async (w) => ({ ...w, picture: await small(w.picture) })) }),
    () => rules(pages, report),
    () => palette(pages, { ...report, palette: report.palette.map((c) => ({ ...c, recipe: recipeFor ? recipeFor(c.hex) : c.recipe })) }),
    () => plan(pages, report),
    () => overview(pages, report),
    ...report.students.map((s) => async () => student(pages, report, { ...s, piece: await small(s.piece), source: await small(s.source) })),
  ];
  for (const [i, part] of parts.entries()) {
    await part();
    onProgress?.({ pages: pages.count, done: i + 1, all: parts.length });
  }
  return pages.finish();
}

async function inTurn<A, B>(list: readonly A[], work: (a: A) => Promise<B>): Promise<B[]> {
  const out: B[] = [];
  for (const a of list) out.push(await work(a));
  return out;
}
