/** Every layer by key and by list, every kind of evidence, and what a reading lights: the picture stays where it is through all of it. */
import { expect, Page, test } from '@playwright/test';
import { demo, faults, open, origin } from './steps';

const canvas = (page: Page, which = 0) => page.locator('canvas[data-layers]').nth(which);

/** How much of a layer's canvas is drawn on, of 10,000. */
const inkOn = (page: Page, which = 0) =>
  canvas(page, which).evaluate((c: HTMLCanvasElement) => {
    const { data } = c.getContext('2d')!.getImageData(0, 0, c.width, c.height);
    let n = 0;
    for (let i = 3; i < data.length; i += 4) if (data[i]) n++;
    return Math.round((1e4 * n) / (data.length / 4));
  });

const allRead = (page: Page, which = 0) =>
  expect
    .poll(
      async () => {
        const [done, all] = ((await canvas(page, which).getAttribute('data-read')) || '0/1').split('/');
        return done === all;
      },
      { timeout: 60_000 },
    )
    .toBe(true);

test('each layer is drawn over the picture by its key and by the list, and taken away again; the picture does not move', async ({
  page,
}) => {
  const { ids } = await demo(page);
  await open(page, `${origin()}/studies/${ids.study}/look`);
  const picture = page.getByRole('img', { name: /Evening ferry/ });
  const before = (await picture.boundingBox())!;
  expect(await inkOn(page)).toBe(0);
  await page.keyboard.press('t');
  await allRead(page);
  await page.keyboard.press('t');
  await expect.poll(() => inkOn(page)).toBe(0);
  await page.getByRole('button', { name: /^Layers/ }).click();
  const listed = page.getByRole('group', { name: 'Layers' }).locator('label');
  await expect(listed).toHaveCount(14);
  const layers = (await listed.allInnerTexts()).map((t) => t.trim().split(/\s*\n\s*|\s+(?=\S$)/));
  await page.keyboard.press('Escape');
  // A colour is shown where one is chosen, a patch where one is kept; of all others the demo's work has something to show.
  for (const [name, key] of layers.filter(([l]) => !/colour lives|patches/.test(l))) {
    await page.keyboard.press(key);
    await expect(canvas(page)).toHaveAttribute('data-layers', /\w/);
    await expect.poll(() => inkOn(page), name).toBeGreaterThan(0);
    expect(await picture.boundingBox()).toEqual(before);
    await page.keyboard.press(key);
    await expect.poll(() => inkOn(page)).toBe(0);
  }
  await page.getByRole('button', { name: /^Layers/ }).click();
  await page.getByRole('checkbox', { name: /Strongest contrast/ }).check();
  await expect(page.getByText('The ring stands where')).toBeVisible();
  await expect.poll(() => inkOn(page)).toBeGreaterThan(0);
  expect(await picture.boundingBox()).toEqual(before);
  expect(await faults(page)).toEqual([]);
  await page.keyboard.press('Escape');
  await expect(page.getByRole('checkbox', { name: /Strongest contrast/ })).toBeHidden();
  // Layers stay on from step to step.
  await page.getByRole('link', { name: /^Colour/ }).click();
  await expect(page).toHaveURL(/colour/);
  await expect.poll(() => inkOn(page)).toBeGreaterThan(0);
  await page.keyboard.press('?');
  await expect(page.getByText('x · Strongest contrast')).toBeVisible();
});

/** Opens a sentence, waits for its chart and words, and closes it. */
async function opened(page: Page, said: RegExp, chart: RegExp | null): Promise<void> {
  const sentence = page.getByRole('button', { name: said }).and(page.locator('[aria-expanded]')).last();
  await sentence.click();
  await expect(page.getByText('How it was measured:')).toBeVisible();
  if (chart) await expect(page.getByRole('img', { name: chart })).toBeVisible();
  await sentence.click();
  await expect(page.getByText('How it was measured:')).toBeHidden();
}

test('each kind of evidence opens beside the picture, which stays still', async ({ page }) => {
  const { ids } = await demo(page);
  await open(page, `${origin()}/studies/${ids.study}/marks`);
  const picture = page.getByRole('img', { name: /Evening ferry/ }).first();
  await expect(page.getByText(/of the window/)).toBeVisible();
  const before = (await picture.boundingBox())!;
  await opened(page, /^Strokes stand/, /straight across the strokes/);
  await opened(page, /^Strokes stand/, /gaps there are of each size/);
  await opened(page, /^Most strokes slant/, /rose of directions/);
  await opened(page, /^Two sets of strokes/, /rose of directions/);
  await opened(page, /^Lines are/, /each line width/);
  await opened(page, /^A stroke is/, /strokes there are of each length/);
  await opened(page, /^Where light meets dark/, null);
  await opened(page, /^Mostly /, null);
  expect(await picture.boundingBox()).toEqual(before);
  // The window shows the strokes it traced.
  expect(Number(await page.locator('[data-traced]').getAttribute('data-traced'))).toBeGreaterThan(10);
  await open(page, `${origin()}/studies/${ids.study}/colour`);
  await opened(page, /^One small touch/, /colours of the palette/);
  await opened(page, /^Lights and darks lie/, /has each lightness/);
  expect(await picture.boundingBox()).toEqual(before);
  expect(await faults(page)).toEqual([]);
});

test('what a reading speaks of lights up while it is pointed at or focused, and goes out again', async ({ page }) => {
  const { ids } = await demo(page);
  await open(page, `${origin()}/studies/${ids.study}/colour`);
  await page
    .getByRole('button', { name: /vivid orange/ })
    .first()
    .hover();
  await expect(canvas(page)).toHaveAttribute('data-layers', 'colours');
  // All but the lantern is dimmed.
  await expect.poll(() => inkOn(page), { timeout: 20_000 }).toBeGreaterThan(5000);
  await page.mouse.move(300, 400);
  await expect.poll(() => inkOn(page)).toBe(0);
  await open(page, `${origin()}/studies/${ids.study}/proportion`);
  await page
    .getByRole('button', { name: /Height, counted in heads/ })
    .and(page.locator('[aria-expanded]'))
    .focus();
  await expect(canvas(page)).toHaveAttribute('data-layers', 'points');
  await expect.poll(() => inkOn(page)).toBeGreaterThan(3);
  await page.keyboard.press('Enter');
  await expect(page.getByText('The full line is the length')).toBeVisible();
});

test('measures come with the biggest departure first, and in the order of any column', async ({ page }) => {
  const { ids } = await demo(page);
  await open(page, `${origin()}/studies/${ids.study}/proportion`);
  const names = () => page.locator('tbody [aria-expanded] span').allInnerTexts();
  const first = await names();
  expect(first.length).toBeGreaterThan(3);
  await expect(page.getByRole('columnheader', { name: 'times' })).toHaveAttribute('aria-sort', 'descending');
  await page.getByRole('button', { name: 'measure', exact: true }).click();
  await expect(page.getByRole('columnheader', { name: 'measure' })).toHaveAttribute('aria-sort', 'ascending');
  expect(await names()).toEqual([...first].sort((a, b) => a.localeCompare(b, 'en')));
  await page.getByRole('button', { name: 'times', exact: true }).click();
  expect(await names()).toEqual(first);
});

test('a finding shows its place on the source and on the piece, and where the piece stands to the range', async ({ page }) => {
  const { ids } = await demo(page);
  await open(page, `${origin()}/studies/${ids.study}/compare`);
  const finding = page.getByRole('button', { name: /strokes stand (much )?farther apart/ });
  // Run by itself, it waits until the demo's works have been measured.
  await finding.click({ timeout: 240_000 });
  await expect(page.getByRole('img', { name: /master’s range/ })).toBeVisible();
  await expect(page.getByText(/This piece: 2\.\d\smm/)).toBeVisible();
  for (const which of [0, 1]) {
    await expect(canvas(page, which)).toHaveAttribute('data-layers', 'strokes');
    await allRead(page, which);
    expect(await inkOn(page, which)).toBeGreaterThan(50);
  }
});
