import { lately } from './lately';

test('what was made lately is not made again; the one made longest ago makes room', () => {
  const made: string[] = [];
  const square = lately(
    2,
    (n: number) => String(n),
    (n) => (made.push(String(n)), n * n),
  );
  expect([square(2), square(3), square(2), square(3)]).toEqual([4, 9, 4, 9]);
  expect(made).toEqual(['2', '3']);
  square(4);
  square(3);
  expect(made).toEqual(['2', '3', '4']);
  square(2);
  expect(made).toEqual(['2', '3', '4', '2']);
});

test('what failed is tried again', async () => {
  let turn = 0;
  const get = lately(
    3,
    (url: string) => url,
    async (url) => {
      if (turn++ === 0) throw new Error('the line was lost');
      return url.length;
    },
  );
  await expect(get('picture')).rejects.toThrow('lost');
  expect(await get('picture')).toBe(7);
  expect(await get('picture')).toBe(7);
  expect(turn).toBe(2);
});
