/** Any subject has points: chosen by its picture, placed with help, several of a kind on one picture, and kinds of one's own. */
import { readFileSync } from 'node:fs';
import { expect, Page, test } from '@playwright/test';
import { demo, faults, madePicture, open, origin, ownStudy, saved } from './steps';

/** A work of one's own on the bench of proportion, nothing placed on it yet. */
async function bench(page: Page, title: string): Promise<{ study: string; click: (x: number, y: number) => Promise<void> }> {
  await open(page, `${origin()}/sign-in`);
  const made = await page.request.post(`${origin()}/api/auth/sign-up/email`, {
    headers: { origin: origin() },
    data: { email: `points-${Date.now()}-${Math.random()}@fennick.example`, password: 'a-long-enough-one', name: 'Points' },
  });
  expect(made.ok()).toBe(true);
  const study = await ownStudy(page, title);
  const sent = await page.request.post(`${origin()}/api/studies/${study}/works`, {
    headers: { origin: origin() },
    multipart: { picture: { name: 'quay.png', mimeType: 'image/png', buffer: await madePicture(900, 600, 12) } },
  });
  expect(sent.ok()).toBe(true);
  await open(page, `${origin()}/studies/${study}/proportion`);
  const picture = page.getByRole('img', { name: 'quay' }).first();
  // Places as shares of the picture.
  const click = async (x: number, y: number) => {
    const { width, height } = (await picture.boundingBox())!;
    await picture.click({ position: { x: x * width, y: y * height }, force: true });
  };
  return { study, click };
}

test('what is in a picture is chosen by a small picture; a view is measured in its frame, what is not there is left out, and all is undone', async ({
  page,
}) => {
  const { click } = await bench(page, 'A view');
  await expect(page.getByText('What is in the picture?')).toBeVisible();
  // Until it is said, a click places nothing.
  await click(0.5, 0.5);
  await expect(page.getByText(/Next point/)).toBeHidden();
  expect(await faults(page)).toEqual([]);
  await page.getByRole('link', { name: /^View: harbour/ }).click();
  await expect(page.getByText('Next point: horizon at the left edge')).toBeVisible();
  for (const [x, y] of [
    [0.02, 0.25],
    [0.98, 0.25],
  ]) {
    const placed = saved(page, 'PUT', /\/landmarks\/work\//);
    await click(x, y);
    await placed;
  }
  await expect(page.getByRole('row', { name: /How far down the picture the horizon lies/ })).toContainText('25 %');
  await expect(page.getByText('Next point: highest point of the skyline')).toBeVisible();
  await page.getByRole('button', { name: 'Later' }).click();
  await expect(page.getByText('Next point: lowest point of the skyline')).toBeVisible();
  const hidden = saved(page, 'PUT', /\/landmarks\/work\//);
  await page.getByRole('button', { name: 'Not to be seen' }).click();
  await hidden;
  await expect(page.getByText('2 of 8 points. Saved.')).toBeVisible();
  await page.reload();
  // What was put off is asked for again, what is not to be seen is not.
  await expect(page.getByText('Next point: highest point of the skyline')).toBeVisible();
  await expect(page.getByText('2 of 8 points. Saved.')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('2 of 9 points. Saved.')).toBeVisible();
});

test('a twin is mirrored by a button, a click snaps to an edge, and a second figure has a name of its own', async ({ page }) => {
  const { click, study } = await bench(page, 'Two figures');
  await page.getByRole('link', { name: 'Standing figure', exact: true }).click();
  await expect(page.getByText('Next point: top of the head')).toBeVisible();
  const put = async (x: number, y: number) => {
    const placed = saved(page, 'PUT', /\/landmarks\/work\//);
    await click(x, y);
    await placed;
  };
  await put(0.3, 0.2);
  await put(0.3, 0.3);
  await put(0.3, 0.8);
  await put(0.3, 0.33);
  await put(0.25, 0.36);
  await expect(page.getByText('Next point: right shoulder')).toBeVisible();
  const mirrored = saved(page, 'PUT', /\/landmarks\/work\//);
  await page.getByRole('button', { name: 'Mirror its twin' }).click();
  await mirrored;
  const [work] = (await (await page.request.get(`${origin()}/api/studies/${study}/works`)).json()) as { id: string }[];
  const sets = async () =>
    (await (await page.request.get(`${origin()}/api/landmarks/work/${work.id}`)).json()) as {
      name: string;
      points: Record<string, [number, number]>;
    }[];
  const [{ points }] = await sets();
  expect(points['shoulder-left'][0] + points['shoulder-right'][0]).toBeCloseTo(2 * points.crown[0], 0);
  await page.getByRole('link', { name: 'Another one of the kind' }).click();
  await expect(page.getByText('Next point: top of the head')).toBeVisible();
  await page.getByLabel('snap to the nearest edge').check();
  await put(0.7, 0.2);
  await expect.poll(async () => (await sets()).map((s) => s.name)).toEqual(['', 'number 2']);
  await page.getByLabel('Name of this figure').fill('the child');
  await page.getByLabel('Name of this figure').blur();
  await expect(page.getByRole('link', { name: 'the child' })).toHaveAttribute('aria-current', 'true');
  await page.getByRole('button', { name: 'Remove its points' }).click();
  await expect.poll(async () => (await sets()).map((s) => s.name)).toEqual(['']);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(async () => (await sets()).map((s) => s.name)).toEqual(['', 'the child']);
});

test('points of one’s own are named, joined and measured, kept for other pictures, changed with what lies there, and saved as a file', async ({
  page,
}) => {
  const { click } = await bench(page, 'A boat');
  await page.getByRole('link', { name: /None of these/ }).click();
  await expect(page.getByRole('heading', { name: 'Points of your own' })).toBeVisible();
  for (const [x, y] of [
    [0.2, 0.7],
    [0.8, 0.7],
    [0.5, 0.3],
  ])
    await click(x, y);
  await page.getByLabel('Name of this kind').fill('Lugger');
  for (const [i, name] of ['bow', 'stern', 'mast top'].entries()) await page.getByLabel(`Name of point ${i + 1}`).fill(name);
  const unit = page.locator('section', { hasText: 'Unit: the distance between' }).last();
  await unit.getByLabel('Point 1', { exact: true }).selectOption('bow');
  await unit.getByLabel('Point 2', { exact: true }).selectOption('stern');
  await page.getByRole('button', { name: 'Add a measure' }).click();
  await page.getByLabel('Name of measure 1').fill('How far back the mast stands');
  await page.getByLabel('What is measured').selectOption('under');
  const measure = page.locator('form fieldset').first();
  await measure.getByLabel('Point 1', { exact: true }).first().selectOption('mast top');
  await measure.getByLabel('Point 2', { exact: true }).selectOption('bow');
  expect(await faults(page)).toEqual([]);
  await page.getByRole('button', { name: 'Keep this kind of points' }).click();
  await expect(page.getByRole('row', { name: /How far back the mast stands/ })).toContainText('50 %');
  await expect(page.getByText('3 of 3 points. Saved.')).toBeVisible();
  const saving = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Save as a file' }).click();
  const file = readFileSync(await (await saving).path(), 'utf8');
  expect(JSON.parse(file)).toMatchObject({ format: 'oldhand.template/1', name: 'Lugger', unit: ['bow', 'stern'] });
  // A point with another name is called so where it lies, too.
  await page.getByRole('link', { name: 'Change this kind of points' }).click();
  await page.getByLabel('Name of point 1').fill('stem');
  await page.getByRole('button', { name: 'Change this kind of points' }).click();
  await expect(page.getByText('3 of 3 points. Saved.')).toBeVisible();
  await page.getByText('All points').click();
  await expect(page.getByRole('button', { name: '● stem' })).toBeVisible();
  // Its file of before is another kind only by another name.
  await page.getByText('Something else is in the picture').click();
  await page.getByRole('link', { name: /None of these/ }).click();
  await page.getByLabel('From a file').setInputFiles({ name: 'own.json', mimeType: 'application/json', buffer: Buffer.from(file) });
  await expect(page.getByText(/You have a kind of points “Lugger” already/)).toBeVisible();
  await page
    .getByLabel('From a file')
    .setInputFiles({ name: 'own.json', mimeType: 'application/json', buffer: Buffer.from(file.replace('"Lugger"', '"Cutter"')) });
  await expect(page.getByText('Next point: bow. Click on it in the picture.')).toBeVisible();
});

test('three passengers of one work are three sets, counted each, and the view among the demo’s works is measured', async ({ page }) => {
  const { ids } = await demo(page);
  const ferry = ids.works.find((w) => w.title.startsWith('Evening ferry'))!;
  await open(page, `${origin()}/studies/${ids.study}/proportion?work=${ferry.id}`);
  await expect(page.getByRole('group', { name: 'Which figure' }).getByRole('link', { name: /^figure/ })).toHaveCount(3);
  await page.getByRole('button', { name: /^Height, counted in heads/ }).click();
  // Two others on this work, and those on the three other works with standing figures.
  await expect(page.getByText(/On other works: (?:.* heads(?:, | and )?){6,}/)).toBeVisible();
  const view = ids.works.find((w) => w.title === 'Harbour lights')!;
  await open(page, `${origin()}/studies/${ids.study}/proportion?work=${view.id}`);
  await expect(page.getByRole('row', { name: /How far down the picture the horizon lies/ })).toContainText('22 %');
});
