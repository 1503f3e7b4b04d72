import { english, toldBy } from '../../tests/support/english';
import { message, typed } from '../message';
import type { PaperMark } from './paper';
import { PartChoice, partsSheet } from './partsSheet';

const TITLE = message('partsSheet.sheet', { study: typed('Harbour') });
const part = (key: string, ratio = 1): PartChoice => ({ key, said: typed(key), ratio });
const pictures = (marks: readonly PaperMark[]) => marks.filter((m): m is Extract<PaperMark, { kind: 'picture' }> => m.kind === 'picture');

test('parts stand in boxes in reading order, each whole and undistorted, empty boxes after them, over as many pages as they need', () => {
  const parts = Array.from({ length: 17 }, (_, i) => part(`p${i}`, 0.4 + 0.2 * i));
  const sheets = partsSheet(parts, { columns: 3, empty: 2 }, [210, 297], TITLE);
  const all = sheets.flatMap((s) => pictures(s.marks));
  expect(all.map((m) => m.of)).toEqual(parts.map((p) => p.key));
  all.forEach((m, i) => {
    const [x, y, w, h] = m.box;
    expect(w / h).toBeCloseTo(parts[i].ratio, 9);
    expect(x >= 15 && y >= 18 && x + w <= 195 && y + h <= 282).toBe(true);
  });
  const own = sheets.flatMap((s) => s.marks).filter((m) => m.kind === 'text' && english(m.said) === 'your own');
  expect(own).toHaveLength(2);
  expect(sheets.length).toBe(Math.ceil(19 / 9));
  // Boxes of one page do not lie over each other.
  const boxes = pictures(sheets[0].marks).map((m) => m.box);
  boxes.forEach(([x, y, w, h], i) =>
    boxes.slice(i + 1).forEach(([u, v, a, b]) => expect(x + w <= u || u + a <= x || y + h <= v || v + b <= y).toBe(true)),
  );
});

test.each<[string, number, number, number, RegExp]>([
  ['nothing at all', 0, 3, 0, /choose at least one/],
  ['too many side by side', 2, 9, 0, /from 1 to 6/],
  ['half an empty box', 2, 3, 0.5, /whole number up to 60/],
  ['too many', 61, 3, 0, /at most 60/],
])('told by its field: %s', (_, n, columns, empty, said) => {
  expect(
    toldBy(() =>
      partsSheet(
        Array.from({ length: n }, (_, i) => part(`p${i}`)),
        { columns, empty },
        [210, 297],
        TITLE,
      ),
    ),
  ).toMatch(said);
});
