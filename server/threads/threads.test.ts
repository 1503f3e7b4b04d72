/** Whoever waits at a screen is not kept waiting by what nobody waits for. */
import { leave, sheetBytes } from '../../tests/support/school';
import { connectedFor } from '../database/connection';
import { UserError } from '../errors';
import { inThread } from './threads';

afterAll(leave);

test('a crop asked for behind six pictures being measured is done before the third of them', async () => {
  const bytes = await sheetBytes(13);
  const order: string[] = [];
  const measuring = [1, 2, 3, 4, 5, 6].map((i) =>
    connectedFor('background', () => inThread({ task: 'measure', bytes, name: 'a', options: { widthMm: 297 } })).then(() =>
      order.push(`measured ${i}`),
    ),
  );
  await inThread({ task: 'upright', bytes, name: 'a', crop: { x: 0, y: 0, w: 100, h: 100, turn: 0 }, flat: null });
  order.push('cropped');
  await Promise.all(measuring);
  expect(order.indexOf('cropped')).toBeLessThanOrEqual(2);
  expect(order).toHaveLength(7);
});

test('what a thread tells a person arrives as it was told', async () => {
  const broken = inThread({ task: 'upright', bytes: Buffer.from('no picture'), name: 'sheet.png', crop: null, flat: null });
  await expect(broken).rejects.toBeInstanceOf(UserError);
  await expect(broken).rejects.toMatchObject({ status: 415, field: 'picture', message: expect.stringMatching(/“sheet\.png”/) });
});
