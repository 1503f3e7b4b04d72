/** Beside points: shapes and their build-up, what is always and never there, carrying over on sheets, drills of the eye. */
import { expect, Page, test } from '@playwright/test';
import { demo, faults, open, origin, saved } from './steps';

/** Places on the picture of the bench, as shares of it. */
async function onPicture(page: Page): Promise<(x: number, y: number) => [number, number]> {
  const { x, y, width, height } = (await page.locator('.bench-frame img').first().boundingBox())!;
  return (u, v) => [x + u * width, y + v * height];
}

test('parts drawn round or found are held against basic shapes, built up big to small, ticked into the rules, and undone', async ({
  page,
}) => {
  const { ids } = await demo(page);
  // The demo's first work is built up already, from the sea to the lantern.
  await open(
    page,
    `${origin()}/studies/${ids.study}/proportion?work=${ids.works.find((w) => w.title.startsWith('Evening ferry'))!.id}&view=shapes`,
  );
  await expect(page.getByText(/“sea” stops at|“sea” and/).first()).toBeVisible();
  await expect(page.getByText('gap between two capes: a gap of')).toBeVisible();
  await page.getByRole('combobox', { name: /^Drawn/ }).selectOption({ label: 'what hangs from what' });
  await page.getByRole('button', { name: 'Build it up' }).click();
  await expect(page.getByText('Step 1 of 9')).toBeVisible();
  await expect(page.getByText(/^sea: a trapezoid/)).toBeVisible();
  const own = ids.works.find((w) => w.title === 'Waiting at the slip')!.id;
  await open(page, `${origin()}/studies/${ids.study}/proportion?work=${own}&view=shapes`);
  await expect(page.getByText('No shape yet.')).toBeVisible();
  expect(await faults(page)).toEqual([]);
  const at = await onPicture(page);
  const round = async (places: [number, number][]) => {
    // After a line that was refused it is still to be drawn.
    const draw = page.getByRole('button', { name: 'Draw round a part' });
    if ((await draw.getAttribute('aria-pressed')) !== 'true') await draw.click();
    await page.mouse.move(...at(...places[0]));
    await page.mouse.down();
    for (const p of places.slice(1)) await page.mouse.move(...at(...p), { steps: 5 });
    await page.mouse.up();
  };
  // A loop is told, and nothing is kept of it.
  await round([
    [0.2, 0.5],
    [0.4, 0.8],
    [0.4, 0.5],
    [0.2, 0.8],
  ]);
  await expect(page.getByText('That line crosses itself.')).toBeVisible();
  let kept = saved(page, 'PUT', /\/works\/[\w-]+\/shapes/);
  await round([
    [0.2, 0.45],
    [0.3, 0.45],
    [0.36, 0.92],
    [0.12, 0.92],
  ]);
  await kept;
  await expect(page.getByLabel('Basic shape of “shape 1”')).toContainText('trapezoid');
  kept = saved(page, 'PUT', /\/works\/[\w-]+\/shapes/);
  await page.getByRole('button', { name: 'of one colour' }).click();
  await page.mouse.click(...at(0.9, 0.44));
  await kept;
  await expect(page.getByLabel('Basic shape of “shape 2”')).toContainText('oval');
  await page.getByLabel('Name of shape 1').fill('cape');
  await expect(page.getByText('“cape” takes up')).toBeVisible();
  await page.getByRole('button', { name: 'Build it up' }).click();
  await expect(page.getByText('Step 1 of 2')).toBeVisible();
  await expect(page.getByText(/^cape: a trapezoid, standing upright/)).toBeVisible();
  await page.getByRole('button', { name: 'Next step' }).click();
  await expect(page.getByText(/^shape 2: an? (oval|egg)/)).toBeVisible();
  expect(await faults(page)).toEqual([]);
  await page.getByRole('button', { name: 'Back to the shapes' }).click();
  const strip = await page.request.get(`${origin()}${await page.getByRole('link', { name: 'Print the build-up' }).getAttribute('href')}`);
  expect(strip.headers()['content-type']).toBe('application/pdf');
  const ticked = saved(page, 'POST', /\/rules$/);
  await page.getByRole('button', { name: /^Make it a rule: It leaves .* free below/ }).click();
  await ticked;
  await expect(page.getByRole('button', { name: /^A rule already: .*free below/ })).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Name of shape 1')).toHaveValue('cape');
});

test('the five ways of carrying over show their sheets and print them; what cannot be is told by its field', async ({ page }) => {
  const { ids } = await demo(page);
  await open(page, `${origin()}/studies/${ids.study}/proportion?work=${ids.work}&view=carry`);
  await expect(page.getByText('The picture is 248 mm × 175 mm on the sheet, squares of 31 mm.')).toBeVisible();
  expect(await faults(page)).toEqual([]);
  for (const name of ['square grid', 'folded sheet', 'quadrants and a clear sheet', 'sighting: angles and lengths']) {
    await page.getByRole('radio', { name }).check();
    const sheet = await page.request.get(`${origin()}${await page.getByRole('link', { name: 'Open the PDF' }).getAttribute('href')}`);
    expect(sheet.headers()['content-type']).toBe('application/pdf');
    expect((await sheet.body()).subarray(0, 5).toString()).toBe('%PDF-');
  }
  await page.getByRole('button', { name: 'Sheet 2 of' }).click();
  await expect(page.getByRole('img', { name: /^Sighting sheet for/ })).toContainText('lowest point of the chin');
  await page.getByRole('radio', { name: 'square grid' }).check();
  await page.getByLabel('Margin, mm').fill('120');
  await expect(page.getByText('margin: 120 mm leaves no sheet to draw on; give at most 100 mm')).toBeVisible();
  await page.getByLabel('Margin, mm').fill('15');
  await page.getByRole('combobox', { name: /^Sheet/ }).selectOption({ label: 'A1' });
  await expect(page.getByText(/the sheet itself is put together from 1\d/)).toBeVisible();
  // The address holds it all.
  await page.reload();
  await expect(page.getByText(/the sheet itself is put together from 1\d/)).toBeVisible();
});

test('a motif is looked for work by work, counted, and made a rule', async ({ page }) => {
  const { ids } = await demo(page);
  await open(page, `${origin()}/studies/${ids.study}/proportion?work=${ids.works[0].id}&view=inventory`);
  const name = `gulls ${Date.now()}`;
  await page.getByLabel('A motif or feature to look for').fill(name);
  const added = saved(page, 'POST', /\/motifs$/);
  await page.getByRole('button', { name: 'Add' }).first().click();
  await added;
  const item = page.getByRole('listitem').filter({ hasText: name });
  for (const work of ids.works.slice(0, 2)) {
    await open(page, `${origin()}/studies/${ids.study}/proportion?work=${work.id}&view=inventory`);
    const kept = saved(page, 'PATCH', /\/motifs\//);
    await item.getByRole('radio', { name: 'left out' }).check();
    await kept;
  }
  await expect(item).toContainText('left out in 2');
  expect(await faults(page)).toEqual([]);
  const ticked = saved(page, 'POST', /\/rules$/);
  await item.getByRole('button', { name: /^Make it a rule/ }).click();
  await ticked;
  await expect(page.getByText(`${name}: left out in 2 of 2 works.`)).toBeVisible();
});

test('a round of a drill asks eight questions, tells signed errors, and is kept for who did it', async ({ page }) => {
  const { ids } = await demo(page);
  await open(page, `${origin()}/studies/${ids.study}/proportion?work=${ids.work}&view=eye`);
  // The class has done it week by week, and saw lengths larger less and less.
  await page.getByRole('combobox', { name: /^Who/ }).selectOption({ label: 'the class together' });
  await expect(page.getByText(/^4 rounds so far\. You see lengths larger than they are, by/)).toBeVisible();
  await expect(page.getByRole('img', { name: /^Size of the error/ })).toBeVisible();
  await page.getByRole('combobox', { name: /^Who/ }).selectOption({ label: 'I alone' });
  await page.getByRole('button', { name: 'Begin' }).click();
  const kept = saved(page, 'POST', /\/drills$/);
  for (let n = 1; n <= 8; n++) {
    await expect(page.getByText(`Question ${n} of 8`)).toBeVisible();
    await page.getByLabel('How many times').fill('90');
    await page.getByRole('button', { name: 'That is my answer' }).click();
  }
  await kept;
  await expect(page.getByText(/^You see lengths larger than they are, by/).first()).toBeVisible();
  await expect(page.getByRole('row')).toHaveCount(9);
  await expect(page.getByText(/^One round so far\./)).toBeVisible();
  expect(await faults(page)).toEqual([]);
  await page.getByRole('combobox', { name: /^Who/ }).selectOption({ label: 'the class together' });
  await expect(page.getByText(/^4 rounds so far/)).toBeVisible();
});
