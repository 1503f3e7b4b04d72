/** Works of one's own on Look: from a phone's own kind of file, put in order, a part cut out, a place left out, and the hand beside a foil. */
import { readFileSync } from 'node:fs';
import { expect, Page, test } from '@playwright/test';
import { demo, faults, open, origin } from './steps';

const strip = (page: Page) => page.getByRole('navigation', { name: /works/i }).locator('a');

/** A study of the demo's own teacher with two works of the sample hand and a foil. */
async function harbour(page: Page): Promise<string> {
  const answer = await page.request.post(`${origin()}/api/studies`, {
    headers: { origin: origin() },
    data: { title: 'Ropes', master: 'A hand', kind: 'master', aim: 'study', medium: 'pen-and-wash', paperWidthMm: 297, paperHeightMm: 210 },
  });
  const { id } = (await answer.json()) as { id: string };
  for (const [hand, work, foil] of [
    ['raake', 0, false],
    ['raake', 1, false],
    ['skarn', 0, true],
  ] as const) {
    const sent = await page.request.post(`${origin()}/api/studies/${id}/samples`, {
      headers: { origin: origin() },
      data: { hand, work, foil },
    });
    expect(sent.ok()).toBe(true);
  }
  return id;
}

test('works are put in order by keyboard, a part is cut out at the whole’s scale, a place left out, and a phone’s picture stands model', async ({
  page,
}) => {
  await demo(page);
  const study = await harbour(page);
  await open(page, `${origin()}/studies/${study}/look`);
  const [first, second] = await strip(page).allInnerTexts();
  await page.getByRole('button', { name: `Put “${first}” elsewhere in the row` }).focus();
  await page.keyboard.press('Space');
  await page.waitForTimeout(200);
  await page.keyboard.press('ArrowRight');
  await page.waitForTimeout(200);
  await page.keyboard.press('Space');
  await expect(strip(page).first()).toHaveText(second);
  await page.reload();
  await expect(strip(page).first()).toHaveText(second);
  // A part.
  await page.getByRole('button', { name: 'Study a part' }).click();
  await page.getByRole('button', { name: /^Right side of the frame/ }).press('Shift+ArrowLeft');
  await page.getByLabel('What it shows').fill('The knot');
  await page.getByRole('button', { name: 'Make it a work of its own' }).click();
  await expect(page.getByText(/^A part of “/)).toBeVisible();
  await expect(page.getByText(/^At the scale of the whole: [\d.]+\smm × [\d.]+\smm/)).toBeVisible();
  await expect(page.getByLabel(/Real width/)).toHaveCount(0);
  await expect(strip(page).nth(1)).toHaveText('The knot');
  expect(await faults(page)).toEqual([]);
  // A place left out, with its reason, and one corner more.
  await strip(page).first().click();
  await page.getByRole('button', { name: 'What is read' }).click();
  await expect(page.getByText(/This frame was found/)).toBeVisible();
  await page.getByRole('button', { name: 'Leave out a place' }).click();
  await page.getByRole('combobox', { name: /^Place 1/ }).selectOption('glare');
  await expect(page.getByRole('button', { name: /^Corner \d of place 1/ })).toHaveCount(4);
  await page.getByRole('button', { name: 'Pull a further corner out of side 1 of place 1' }).press('ArrowUp');
  await expect(page.getByRole('button', { name: /^Corner \d of place 1/ })).toHaveCount(5);
  await page.getByRole('button', { name: /^Corner 2 of place 1/ }).press('Delete');
  await expect(page.getByRole('button', { name: /^Corner \d of place 1/ })).toHaveCount(4);
  await page.getByRole('button', { name: 'Read it so' }).click();
  await expect(page.getByText('One place is left out of every reading.')).toBeVisible();
  // What stood model, as a phone saved it.
  await page.getByLabel('Whose it is').fill('Estate');
  await page
    .getByLabel('Add it')
    .setInputFiles({ name: 'IMG_0007.HEIC', mimeType: 'image/heic', buffer: readFileSync('tests/support/fields-p3.heic') });
  await page.getByRole('link', { name: 'Place its points and see what was changed' }).click();
  await expect(page.getByText(/Changed against “IMG 0007”|Changed against “IMG_0007”/)).toBeVisible();
  await expect(page.getByText(/Place the same points on both pictures/)).toBeVisible();
  await open(page, `${origin()}/studies/${study}/look`);
  // Four edits, four times back.
  for (let k = 0; k < 3; k++) {
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByText(/^Undone/)).toBeVisible();
  }
  await expect(strip(page).first()).toHaveText(first);
  await expect(page.getByText('The knot')).toHaveCount(0);
});

test('the hand is told beside a foil, strongest first, and its range is ticked into the rules', async ({ page }) => {
  test.setTimeout(240_000);
  await demo(page);
  const study = await harbour(page);
  await open(page, `${origin()}/studies/${study}/look`);
  await page.getByRole('link', { name: 'The hand' }).click();
  await expect(page.getByRole('heading', { name: 'What parts the two, strongest first' })).toBeVisible({ timeout: 180_000 });
  await expect(page.getByText(/^This hand: /)).toBeVisible();
  await expect(page.getByText(/^Beside it: /)).toBeVisible();
  const parted = page.locator('section', { has: page.getByRole('heading', { name: 'What parts the two, strongest first' }) });
  expect(await parted.getByRole('listitem').count()).toBeGreaterThan(2);
  const shared = page.locator('section', { has: page.getByRole('heading', { name: 'What every work shares, steadiest first' }) });
  await shared
    .getByRole('button', { name: /^Make it a rule/ })
    .first()
    .click();
  await expect(shared.getByRole('button', { pressed: true })).toHaveCount(1);
  await expect(page.getByText('Range of 2 works.')).toBeVisible();
  expect(await faults(page)).toEqual([]);
});
