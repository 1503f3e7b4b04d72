/** One frame for every step: fixed to the window, the picture still while readings scroll, near and far by wheel, keys and double click, kept between steps. */
import { expect, Page, test } from '@playwright/test';
import { demo, open, origin } from './steps';

const STEPS = ['look', 'proportion', 'marks', 'colour', 'make', 'pieces', 'compare', 'hanging'];

const boxOf = async (page: Page, name: RegExp) => (await page.getByRole('img', { name }).first().boundingBox())!;

test('on every step and width the window does not scroll, header and rail stay low, and the picture stays where it is while readings scroll', async ({
  page,
}) => {
  const { ids } = await demo(page);
  for (const [width, height] of [
    [1280, 800],
    [768, 1024],
    [400, 800],
  ]) {
    await page.setViewportSize({ width, height });
    for (const step of STEPS) {
      await open(page, `${origin()}/studies/${ids.study}/${step}`);
      const bench = page.locator('.bench-frame').first();
      await expect(bench).toBeVisible();
      const before = (await bench.boundingBox())!;
      const page1 = await page.evaluate(() => [
        document.documentElement.scrollWidth - innerWidth,
        document.documentElement.scrollHeight - innerHeight,
      ]);
      expect([step, width, ...page1]).toEqual([step, width, 0, 0]);
      const rail = (await page.getByRole('navigation', { name: 'Steps' }).boundingBox())!;
      expect(rail.y + rail.height).toBeLessThan(100);
      expect(before.height).toBeGreaterThan(height * 0.15);
      await page
        .locator('aside')
        .first()
        .evaluate((e) => (e.scrollTop = 400));
      expect(await bench.boundingBox()).toEqual(before);
    }
  }
});

test('a picture comes nearer under the pointer, by keys and by a double click, shows where one is, and is as near on the next step', async ({
  page,
}) => {
  const { ids } = await demo(page);
  await open(page, `${origin()}/studies/${ids.study}/look`);
  const title = /Evening ferry/;
  const whole = await boxOf(page, title);
  const at = [whole.x + whole.width * 0.3, whole.y + whole.height * 0.4] as const;
  await page.mouse.move(...at);
  await page.mouse.wheel(0, -400);
  await expect.poll(async () => (await boxOf(page, title)).width / whole.width).toBeGreaterThan(2);
  const near = await boxOf(page, title);
  expect((at[0] - near.x) / near.width).toBeCloseTo(0.3, 1);
  expect((at[1] - near.y) / near.height).toBeCloseTo(0.4, 1);
  await page.mouse.down();
  await page.mouse.move(at[0] + 60, at[1] + 40, { steps: 5 });
  await page.mouse.up();
  expect((await boxOf(page, title)).x).toBeGreaterThan(near.x + 30);
  await page.getByRole('link', { name: /^Colour/ }).click();
  await expect(page).toHaveURL(/colour/);
  await expect.poll(async () => (await boxOf(page, title)).width / whole.width).toBeGreaterThan(2);
  await page.getByRole('button', { name: 'Whole' }).click();
  await expect.poll(async () => (await boxOf(page, title)).width).toBeCloseTo(whole.width, 0);
  await page.getByRole('group', { name: title }).focus();
  await page.keyboard.press('+');
  await expect.poll(async () => (await boxOf(page, title)).width / whole.width).toBeCloseTo(1.4, 1);
  await page.keyboard.press('0');
  await page.mouse.dblclick(...at);
  await expect.poll(async () => (await boxOf(page, title)).width / whole.width).toBeCloseTo(2.5, 1);
});

test('a point keeps its size on the screen and its place in the picture, however near the picture is', async ({ page }) => {
  const { ids } = await demo(page);
  await open(page, `${origin()}/studies/${ids.study}/proportion`);
  const point = page.getByRole('button', { name: /^crown|^top of the head/i }).first();
  const before = (await point.boundingBox())!;
  await page.mouse.move(before.x + before.width / 2, before.y + before.height / 2);
  await page.mouse.wheel(0, -400);
  const picture = page.getByRole('img', { name: /Evening ferry/ });
  await expect.poll(async () => (await picture.boundingBox())!.width).toBeGreaterThan(1500);
  const after = (await point.boundingBox())!;
  expect(Math.abs(after.width - before.width)).toBeLessThan(3);
  expect(after.x + after.width / 2).toBeCloseTo(before.x + before.width / 2, -1);
});

test('by keys one is at the bench in two steps, and the tools are one stop, gone through by arrows', async ({ page }) => {
  const { ids } = await demo(page);
  await open(page, `${origin()}/studies/${ids.study}/marks`);
  await expect(page.getByText(/of the window/)).toBeVisible();
  await page.keyboard.press('Tab');
  await expect(page.getByRole('link', { name: 'To the bench' })).toBeFocused();
  await page.keyboard.press('Enter');
  await page.keyboard.press('Tab');
  const squint = page.getByRole('button', { name: /^Squint/ });
  await expect(squint).toBeFocused();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('button', { name: /^Values/ })).toBeFocused();
  await page.keyboard.press('Home');
  await page.keyboard.press('ArrowLeft');
  await expect(page.getByRole('button', { name: /^Layers/ })).toBeFocused();
  await page.keyboard.press('ArrowLeft');
  await expect(page.getByRole('button', { name: /all keys/ })).toBeFocused();
  const bench = (await page.locator('.bench-frame').boundingBox())!;
  await page.keyboard.press('Enter');
  await expect(page.getByText('see with half-closed eyes')).toBeVisible();
  expect(await page.locator('.bench-frame').boundingBox()).toEqual(bench);
  await page.keyboard.press('Escape');
  await page.keyboard.press('Tab');
  await page.keyboard.press('Tab');
  await expect(page.getByRole('group', { name: /Evening ferry/ })).toBeFocused();
});
