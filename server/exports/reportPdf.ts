/** Knows how the report of a study looks on paper: the rules, the palette, the plan, and a page for each student. */
import { AMOUNT_WORDS } from '../../core/lesson/plan';
import { Pages } from './page';
import { ReportDocument, ReportStudent } from '../threads/reportDocument';

const percent = (v: number) => `${v < 0.02 ? (100 * v).toFixed(1) : Math.round(100 * v)} %`;

function opening(pages: Pages, report: ReportDocument): void {
  pages.say(report.title, { face: 'title', size: 26, gap: 4 });
  pages.say(`after ${report.master}`, { size: 13 });
  pages.small([report.className && `Class ${report.className}`, report.date].filter(Boolean).join(', '));
  if (report.about) {
    pages.y += 6;
    pages.say(report.about, { size: 11 });
  }
  pages.y += 8;
  const across = 3;
  const cell = pages.width / across;
  report.works.forEach((w, i) => {
    if (i % across === 0) {
      if (i > 0) pages.y += 158;
      pages.need(160);
    }
    const top = pages.y;
    const high = pages.picture(w.picture, (i % across) * cell, top, [cell - 12, 118]);
    pages.y = top + high + 3;
    pages.say(w.title, { size: 9, face: 'strong', left: (i % across) * cell, width: cell - 12, gap: 0 });
    pages.small(w.told, { left: (i % across) * cell, width: cell - 12 });
    pages.y = top;
  });
  if (report.works.length) pages.y += 160;
}

function rules(pages: Pages, report: ReportDocument): void {
  pages.heading('The rules of this hand');
  if (!report.rules.length) pages.say('No rule has been written down yet.');
  report.rules.forEach((r, i) => {
    pages.need(34);
    pages.say(`${i + 1}.  ${r.kind === 'feature' ? '' : `${r.kind[0].toUpperCase()}${r.kind.slice(1)}: `}${r.sentence}`, {
      size: 11,
      gap: 0,
    });
    if (r.evidence) pages.small(r.evidence, { left: 18 });
    else pages.y += 3;
  });
}

function palette(pages: Pages, report: ReportDocument): void {
  pages.heading('The palette');
  if (!report.palette.length) {
    pages.say('No colours have been measured yet.');
    return;
  }
  pages.small(
    `Measured on “${report.paletteFrom}”.${report.kit ? ` Recipes in parts from ${report.kit}; they are predictions: mix a little, let it dry, compare.` : ''}`,
  );
  for (const c of report.palette) {
    pages.need(32);
    const top = pages.y + 2;
    pages.swatch(c.hex, 0, top, 46, 24);
    if (c.recipe) pages.swatch(c.recipe.hex, 46, top, 46, 24);
    pages.y = top;
    pages.say(`${c.name}, ${percent(c.share)}${c.told}`, { left: 104, face: 'strong', gap: 0 });
    if (c.recipe) pages.small(c.recipe.words, { left: 104, gap: 0 });
    pages.y = Math.max(pages.y, top + 28);
  }
  if (report.kit) pages.small('Left half: the master’s colour. Right half: the nearest mix.');
}

function plan(pages: Pages, report: ReportDocument): void {
  const held = report.plan;
  if (!held) return;
  pages.newPage();
  pages.heading('The lesson', 1);
  pages.say(held.told);
  held.periods.forEach((entries, i) => {
    pages.heading(`Period ${i + 1}`, 3);
    pages.table(
      [1, 5, 9, 1.6],
      entries.map((e) => [
        `${Math.floor(e.start / 60)}:${String(e.start % 60).padStart(2, '0')}`,
        e.title + (e.part ? ` (${e.part === 1 ? 'begun' : 'ended'})` : ''),
        e.part === 2 ? '' : e.text,
        `${e.minutes} min`,
      ]),
    );
  });
  if (held.warnings.length) {
    pages.heading('Mind', 3);
    for (const w of held.warnings) pages.say(`${w.reason} ${w.remedy}`, { gap: 4 });
  }
  pages.heading('On the tables', 3);
  pages.table(
    [6, 2, 6],
    held.materials.map((m) => [m.name, AMOUNT_WORDS[m.unit](m.amount), m.how]),
  );
  pages.heading('Cautions', 3);
  for (const c of held.cautions) pages.say(`–  ${c}`, { size: 9 });
}

function overview(pages: Pages, report: ReportDocument): void {
  if (!report.students.length) return;
  pages.newPage();
  pages.heading('The class at a glance', 1);
  pages.say(
    'Closeness is how near a piece comes to the master’s hand, own invention how far its layout and shapes are from every work of his or hers. Neither is better; together they say what kind of piece it is.',
  );
  pages.y += 6;
  pages.table(
    [4, 3, 2, 2, 9],
    [
      ['who', 'piece', 'closeness', 'own', 'next'],
      ...report.students.map((s) => [
        s.name,
        `${s.kind} ${s.attempt}`,
        String(Math.round(s.closeness)),
        String(Math.round(s.ownInvention)),
        s.findings[0]?.words ?? 'Nothing lies outside the master’s range.',
      ]),
    ],
    true,
  );
  if (report.without.length) pages.say(`Without a measured piece yet: ${report.without.join(', ')}.`, { size: 9 });
}

function student(pages: Pages, report: ReportDocument, s: ReportStudent): void {
  pages.newPage();
  pages.say(s.name, { face: 'title', size: 20, gap: 0 });
  pages.small(`${s.title ? `“${s.title}”, ` : ''}${s.kind}, attempt ${s.attempt}`);
  pages.y += 4;
  const half = pages.width / 2;
  const top = pages.y;
  const heights = [pages.picture(s.piece, 0, top, [half - 8, 230]), pages.picture(s.source, half, top, [half - 8, 230])];
  pages.y = top + Math.max(...heights) + 3;
  const under = pages.y;
  pages.small('the piece', { width: half - 8 });
  pages.y = under;
  pages.small(`“${s.sourceTitle}”, the work it is nearest to`, { left: half, width: half - 8 });
  pages.y = under + 16;
  pages.say(`Closeness ${Math.round(s.closeness)} of 100; own invention ${Math.round(s.ownInvention)}.`, { size: 11 });
  if (s.works.length) {
    pages.heading('What works', 3);
    for (const w of s.works) pages.say(w, { size: 12 });
  }
  pages.heading(s.findings.length === 1 ? 'One thing to try' : 'To try next', 3);
  if (!s.findings.length)
    pages.say('Every reading lies within the master’s range. Choose a harder subject, or leave the range on purpose.', { size: 12 });
  s.findings.forEach((f, i) => {
    pages.say(`${i + 1}.  ${f.words}`, { size: 12, gap: 0 });
    if (f.next) pages.say(f.next, { size: 10.5, left: 18, colour: '#333333', gap: 0 });
    if (f.note) pages.say(`Your teacher: ${f.note}`, { size: 10.5, left: 18, colour: '#333333', gap: 0 });
    pages.y += 4;
  });
  if (s.rules.length) {
    pages.heading('The rules', 3);
    pages.table(
      [2, 12],
      s.rules.map((r) => [r.state, r.sentence]),
    );
  }
  if (s.course.length > 1) pages.say(`From try to try: ${s.course.map((c) => `${c.attempt}: ${Math.round(c.closeness)}`).join(', ')}.`);
  pages.y += 6;
  pages.small(
    `Label: ${s.title ? `“${s.title}”, ` : ''}${s.name}, after ${report.master}${report.className ? `, ${report.className}` : ''}.`,
  );
}

/** The whole report as a PDF. `root` is where the application is installed, for its fonts. */
export async function drawReport(report: ReportDocument, root: string): Promise<Buffer> {
  const pages = new Pages(
    root,
    report.paper,
    { title: report.title, author: 'Old Hand' },
    `${report.title}, ${report.date}. Measured on this machine; no full names.`,
  );
  opening(pages, report);
  rules(pages, report);
  palette(pages, report);
  plan(pages, report);
  overview(pages, report);
  for (const s of report.students) student(pages, report, s);
  return pages.finish();
}
