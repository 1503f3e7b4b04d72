import { minutesLeft, Watch, watched } from './watch';

/** What is shown after each count of things left, a second apart. */
function shown(counts: readonly number[]): (Watch | null)[] {
  let watch: Watch | null = null;
  return counts.map((left, i) => (watch = watched(watch, left, 1000 * i)));
}

test('the whole stays as it was when the watch began, and what is done does not become undone', () => {
  const all = shown([20, 18, 19, 12, 12, 3]);
  expect(all.map((w) => w!.all)).toEqual([20, 20, 20, 20, 20, 20]);
  expect(all.map((w) => w!.left)).toEqual([20, 18, 18, 12, 12, 3]);
});

test('what is added is a whole of its own; when all is done nothing is shown, and the next work begins anew', () => {
  expect(shown([4, 2, 9, 5]).map((w) => w!.all)).toEqual([4, 4, 9, 9]);
  expect(shown([4, 0, 2])).toEqual([{ all: 4, left: 4, since: 0 }, null, { all: 2, left: 2, since: 2000 }]);
});

test('minutes are told once something has been done, at the pace so far', () => {
  expect(minutesLeft({ all: 10, left: 10, since: 0 }, 50_000)).toBeNull();
  expect(minutesLeft({ all: 10, left: 5, since: 0 }, 600_000)).toBe(10);
  expect(minutesLeft({ all: 10, left: 1, since: 0 }, 9_000)).toBe(1);
});
