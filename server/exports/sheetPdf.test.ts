/** Sheets as a PDF: true scale in its own units, tiles that say what they are, letters the fonts hold. */
import { inflateSync } from 'node:zlib';
import sharp from 'sharp';
import { typed } from '../../core/message';
import { PaperSheet, tilesOf } from '../../core/proportion/paper';
import { en } from '../../words/en';
import { PLAIN_VOICE, speaker } from '../../words/say';
import { installRoot } from '../root';
import { drawSheets, PT } from './sheetPdf';

const say = speaker(en, PLAIN_VOICE);
const A4 = [210, 297] as const;
const square = (size: readonly [number, number]): PaperSheet => ({
  size,
  title: { key: 'carry.sheet.grid', values: { work: typed('Quay') } },
  marks: [
    {
      kind: 'line',
      points: [
        [20, 30],
        [70, 30],
        [70, 80],
        [20, 80],
      ],
      width: 0.25,
      ink: 'strong',
      closed: true,
    },
    { kind: 'picture', of: 'source', box: [80, 90, 40, 30], pale: true },
    { kind: 'text', at: [30, 100], said: typed('2⅓ fingers'), size: 3, width: 15 },
  ],
});

async function pdfOf(...sheets: PaperSheet[]): Promise<{ pages: string[]; sizes: string[]; streams: string }> {
  const source = await sharp({ create: { width: 40, height: 30, channels: 3, background: '#888888' } })
    .jpeg()
    .toBuffer();
  const file = await drawSheets(
    installRoot(),
    { sheets, page: A4, about: 'Harbour, today', author: 'Old Hand' },
    { source, lines: null },
    say,
  );
  const text = file.toString('latin1');
  const sizes = [...text.matchAll(/\/MediaBox \[([^\]]*)\]/g)].map((m) => m[1]);
  // Pages are drawn in streams of operators.
  const pages = [...text.matchAll(/stream\r?\n/g)].flatMap((m) => {
    const from = m.index + m[0].length;
    try {
      const drawn = inflateSync(file.subarray(from, text.indexOf('endstream', from))).toString('latin1');
      return /^1 0 0 -1 0 /.test(drawn) ? [drawn] : [];
    } catch {
      return [];
    }
  });
  return { pages, sizes, streams: pages.join('\n') };
}
/** Is there a corner of a line at this place, mm of the page, to a hundredth of a point? */
const drawnAt = (page: string, x: number, y: number): boolean =>
  [...page.matchAll(/^([\d.]+) ([\d.]+) [ml]$/gm)].some((m) => Math.hypot(Number(m[1]) - x * PT, Number(m[2]) - y * PT) < 0.01);

test('a sheet is a page of its own size, what is drawn on it at its place to a hundredth of a point', async () => {
  const { pages, sizes } = await pdfOf(square([297, 210]));
  expect(pages).toHaveLength(1);
  const [, , w, h] = sizes[0].split(' ').map(Number);
  expect(w).toBeCloseTo(841.89, 1);
  expect(h).toBeCloseTo(595.28, 1);
  for (const [x, y] of [
    [20, 30],
    [70, 30],
    [70, 80],
  ])
    expect(drawnAt(pages[0], x, y)).toBe(true);
  // The bar that shows the scale: 100 mm are 283.46 points.
  const all = [...pages[0].matchAll(/([\d.]+) ([\d.]+) m\n([\d.]+) ([\d.]+) l/g)].map((m) => m.slice(1).map(Number));
  expect(all.some(([x0, y0, x1, y1]) => y0 === y1 && Math.abs(x1 - x0 - 283.4646) < 0.01)).toBe(true);
});

test('one larger than the printer’s paper is put together from pages of that paper, as many as were reckoned', async () => {
  const { pages, sizes } = await pdfOf(square([841, 594]));
  expect(pages).toHaveLength(tilesOf([841, 594], A4).tiles.length);
  for (const size of new Set(sizes)) expect(size.split(' ').map((v) => Math.round(Number(v)))).toEqual([0, 0, 595, 842]);
  // The first tile shows the sheet's corner moved by the printer's rim.
  expect(pages[0]).toMatch(/1 0 0 1 22\.677\d* 22\.677\d* cm/);
});
