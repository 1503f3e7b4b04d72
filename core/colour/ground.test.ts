/** Which colour is the bare sheet, and whether that hangs on a little more or less of it. */
import { findGround } from './ground';

const [W, H] = [96, 72];
const PAPER = { lab: [93, 0, 6], share: 0 };
const BLUE = { lab: [40, 0, -40], share: 0 };
const RED = { lab: [45, 55, 30], share: 0 };

/** Which cluster each px has, and what of the picture each takes. */
function asked(at: (x: number, y: number) => number, colours: readonly { lab: number[]; share: number }[]) {
  const labels = Uint8Array.from({ length: W * H }, (_, i) => at(i % W, Math.floor(i / W)));
  const clusters = colours.map((c, k) => ({ ...c, share: labels.filter((l) => l === k).length / labels.length }));
  return findGround(labels, clusters, W, H);
}

const onBorder = (x: number, y: number) => x < 4 || y < 4 || x >= W - 4 || y >= H - 4;

test('paper all round and between the marks is the sheet, beyond doubt', () => {
  expect(asked((x, y) => (onBorder(x, y) || (x + y) % 3 ? 0 : 1), [PAPER, BLUE])).toEqual({ index: 0, sure: true });
});

test('a picture painted to its edge in strong colours has none, beyond doubt', () => {
  expect(asked((x) => (x < W / 2 ? 0 : 1), [BLUE, RED])).toEqual({ index: null, sure: true });
});

test('two halves into which grain has parted one sheet are one, and no doubt', () => {
  const grey = { lab: [88, 0, 5], share: 0 };
  expect(asked((x, y) => (x > 30 && x < 50 && y > 20 && y < 50 ? 2 : (x + y) % 2), [PAPER, grey, BLUE])).toMatchObject({ sure: true });
});

test.each([
  [0.05, null, true],
  [0.11, null, false],
  [0.125, 0, false],
  [0.3, 0, true],
])('paper on %d of each border: sheet %p, sure %p', (share, index, sure) => {
  // A stretch from the middle of each side on; paper within, and blue along the rest of the sides.
  const open = (v: number, length: number) => v >= length / 2 && v < length / 2 + share * length;
  const at = (x: number, y: number) => (!onBorder(x, y) || open(x, W) || open(y, H) ? 0 : 1);
  expect(asked(at, [PAPER, BLUE])).toEqual({ index, sure });
});
