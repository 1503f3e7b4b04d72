/** Knows how sheets at true scale become a PDF: one page each where they fit the printer's paper, else tiles that overlap. */
import { message } from '../../core/message';
import { Ink, OVERLAP, PaperMark, PaperSheet, RIM, Tile, tilesOf } from '../../core/proportion/paper';
import { letterOf } from '../../core/proportion/carryOver';
import { typed } from '../../core/message';
import type { Say } from '../../words/say';
import type { SheetFile } from '../threads/sheetFile';
import { hexFromLab } from '../../core/colour/lab';
import { Pages } from './page';

/** Points of a PDF to the millimetre. */
export const PT = 72 / 25.4;
const INKS: Readonly<Record<Ink, string>> = { strong: '#000000', plain: '#4d4d4d', pale: '#a6a6a6' };
const greyOf = (lightness: number): string => hexFromLab([lightness, 0, 0]);
const PALE = 0.42;
/** The bar that shows the scale is so long, mm. */
const BAR = 100;

/** The pictures of the sheets by name; null for one that is not there. */
export type SheetPictures = Readonly<Record<string, Uint8Array | null>>;

function draw(pages: Pages, marks: readonly PaperMark[], pictures: SheetPictures, say: Say): void {
  const { pdf } = pages;
  for (const m of marks) {
    if (m.kind === 'line') {
      const [[x, y], ...rest] = m.points;
      pdf.moveTo(x * PT, y * PT);
      for (const [u, v] of rest) pdf.lineTo(u * PT, v * PT);
      if (m.closed) pdf.closePath();
      pdf.lineWidth(m.width * PT).lineJoin('round');
      if (m.dash) pdf.dash(m.dash * PT, { space: m.dash * 0.7 * PT });
      if (m.fill === undefined) pdf.stroke(INKS[m.ink]);
      else pdf.fillAndStroke(greyOf(m.fill), INKS[m.ink]);
      if (m.dash) pdf.undash();
    } else if (m.kind === 'text')
      pages.textAt(say(m.said), m.at[0] * PT, m.at[1] * PT, {
        size: m.size * PT,
        colour: INKS[m.ink ?? 'strong'],
        face: m.strong ? 'strong' : 'text',
        anchor: m.anchor ?? 'start',
        width: m.width === undefined ? undefined : m.width * PT,
      });
    else {
      const bytes = pictures[m.of];
      if (!bytes) continue;
      const [x, y, w, h] = m.box.map((v) => v * PT);
      pdf.save();
      if (m.clip) {
        const [a, b, c, d] = m.clip.map((v) => v * PT);
        pdf.rect(a, b, c, d).clip();
      }
      if (m.pale) pdf.opacity(PALE);
      pages.imageAt(bytes, x, y, w, h);
      pdf.restore();
    }
  }
}

/** The bar that shows whether it was printed at true scale, its left end at x, mm of the page. */
function bar(pages: Pages, x: number, y: number, say: Say): void {
  const { pdf } = pages;
  pdf.moveTo(x * PT, y * PT).lineTo((x + BAR) * PT, y * PT);
  for (let k = 0; k <= 10; k++) {
    const high = k % 5 === 0 ? 2 : 1.1;
    pdf.moveTo((x + 10 * k) * PT, (y - high) * PT).lineTo((x + 10 * k) * PT, y * PT);
  }
  pdf.lineWidth(0.2 * PT).stroke(INKS.strong);
  pages.textAt(say('carry.bar'), (x + BAR + 2) * PT, (y - 0.8) * PT, { size: 2.4 * PT, colour: INKS.plain, face: 'text', anchor: 'start' });
}

/** Margins under which the head would lie on what is drawn. */
const HEAD = 13;

function whole(
  pages: Pages,
  { title, marks }: PaperSheet,
  [w, h]: readonly [number, number],
  file: SheetFile,
  pictures: SheetPictures,
  say: Say,
): void {
  pages.newPage([w * PT, h * PT]);
  draw(pages, marks, pictures, say);
  // The head keeps to the rim, where nothing is drawn on sheets with a usual margin.
  const rim = Math.min(HEAD, 0.06 * Math.min(w, h));
  pages.textAt(`${say(title)}. ${file.about}`, 15 * PT, (rim / 2 + 1) * PT, {
    size: 2.8 * PT,
    colour: INKS.plain,
    face: 'text',
    anchor: 'start',
  });
  if (w >= BAR + 20) bar(pages, 15, h - Math.max(3, rim / 2), say);
}

function tile(
  pages: Pages,
  sheet: PaperSheet,
  t: Tile,
  of: { columns: number; rows: number },
  page: readonly [number, number],
  file: SheetFile,
  pictures: SheetPictures,
  say: Say,
): void {
  const { pdf } = pages;
  const [x, y, w, h] = t.part;
  pages.newPage([page[0] * PT, page[1] * PT]);
  pdf.save();
  pdf.rect(RIM * PT, RIM * PT, w * PT, h * PT).clip();
  pdf.translate((RIM - x) * PT, (RIM - y) * PT);
  draw(pages, sheet.marks, pictures, say);
  pdf.restore();
  // Where the next tile's edge comes to lie: crosses in the corners of the overlap, a dashed line along it.
  const dashed = (ax: number, ay: number, bx: number, by: number) =>
    pdf
      .moveTo(ax * PT, ay * PT)
      .lineTo(bx * PT, by * PT)
      .lineWidth(0.15 * PT)
      .dash(2, { space: 2 })
      .stroke(INKS.plain)
      .undash();
  const cross = (cx: number, cy: number) =>
    pdf
      .moveTo((cx - 2.5) * PT, cy * PT)
      .lineTo((cx + 2.5) * PT, cy * PT)
      .moveTo(cx * PT, (cy - 2.5) * PT)
      .lineTo(cx * PT, (cy + 2.5) * PT)
      .lineWidth(0.2 * PT)
      .stroke(INKS.strong);
  const [right, bottom] = [RIM + w, RIM + h];
  const joins = {
    left: t.column > 0 ? RIM + OVERLAP : null,
    right: t.column < of.columns - 1 ? right - OVERLAP : null,
    top: t.row > 0 ? RIM + OVERLAP : null,
    bottom: t.row < of.rows - 1 ? bottom - OVERLAP : null,
  };
  for (const at of [joins.left, joins.right]) if (at !== null) dashed(at, RIM, at, bottom);
  for (const at of [joins.top, joins.bottom]) if (at !== null) dashed(RIM, at, right, at);
  const xs = [joins.left ?? RIM, joins.right ?? right];
  const ys = [joins.top ?? RIM, joins.bottom ?? bottom];
  for (const cx of xs) for (const cy of ys) cross(cx, cy);
  pdf
    .rect(RIM * PT, RIM * PT, w * PT, h * PT)
    .lineWidth(0.1 * PT)
    .stroke(INKS.pale);
  const foot = page[1] - RIM - 2;
  bar(pages, RIM, foot, say);
  pages.textAt(
    say('carry.tile', {
      tile: typed(`${letterOf(t.column)}${t.row + 1}`),
      last: typed(`${letterOf(of.columns - 1)}${of.rows}`),
      overlap: message('units.mm', { n: typed(String(OVERLAP)) }),
    }),
    (page[0] - RIM) * PT,
    (foot - 0.8) * PT,
    { size: 2.6 * PT, colour: INKS.strong, face: 'strong', anchor: 'end' },
  );
  pages.textAt(`${say(sheet.title)}. ${file.about}`, RIM * PT, (RIM / 2) * PT, {
    size: 2.4 * PT,
    colour: INKS.plain,
    face: 'text',
    anchor: 'start',
  });
}

/** All sheets as one PDF, each at true scale in the PDF's own units. */
export function drawSheets(root: string, file: SheetFile, pictures: SheetPictures, say: Say): Promise<Buffer> {
  const [first] = file.sheets;
  const pages = new Pages(root, null, { about: { title: say(first.title), author: file.author }, language: say.locale, footer: () => '' });
  for (const sheet of file.sheets) {
    const { columns, rows, tiles, turned } = tilesOf(sheet.size, file.page);
    if (tiles.length === 1) whole(pages, sheet, sheet.size, file, pictures, say);
    else {
      const page: [number, number] = turned ? [file.page[1], file.page[0]] : [file.page[0], file.page[1]];
      for (const t of tiles) tile(pages, sheet, t, { columns, rows }, page, file, pictures, say);
    }
  }
  return pages.finish();
}
