/** Any subject has points: chosen by its picture, placed with help, several of a kind on one picture, and kinds of one's own. */
import { readFileSync } from 'node:fs';
import { expect, Page, test } from '@playwright/test';
import { compared, demo, faults, madePicture, open, origin, ownStudy, saved } from './steps';

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
  // Over the works of the group: what the hand does to nature, surest first, ticked as it is told.
  const manner = page.getByRole('region', { name: /^What this hand does to nature/ });
  await expect(manner.getByRole('listitem').first()).toContainText('Clearly not nature’s 7.5 heads (3 works, 8 figures)');
  const ticked = saved(page, 'POST', /\/rules$/);
  await manner.getByRole('button', { name: /^Make it a rule: Length of the neck/ }).click();
  await ticked;
  await expect(manner.getByRole('button', { name: /^A rule already: Length of the neck/ })).toBeVisible();
  await page.getByRole('button', { name: 'Plumb and level' }).click();
  await expect(page.getByText(/^lowest point of the chin: right under or over top of the head/)).toBeVisible();
  const view = ids.works.find((w) => w.title === 'Harbour lights')!;
  await open(page, `${origin()}/studies/${ids.study}/proportion?work=${view.id}`);
  await expect(page.getByRole('row', { name: /How far down the picture the horizon lies/ })).toContainText('22 %');
});

test('dividers are set and walked along a line by keys, and say how often the one goes into the other and how it leans', async ({
  page,
}) => {
  const { click } = await bench(page, 'Dividers');
  await page.getByRole('button', { name: 'Dividers', exact: true }).click();
  await expect(page.getByText('The span goes into the line 4 and a bit less than ¼ times.')).toBeVisible();
  await expect(page.getByText('The line stands plumb.')).toBeVisible();
  // Ten px at a time: 60 px of 600 become 120, and the line of 252 px holds two and a tenth of them.
  await page.getByRole('button', { name: 'Dividers, other end' }).focus();
  for (let i = 0; i < 6; i++) await page.keyboard.press('Shift+ArrowDown');
  await expect(page.getByText('The span goes into the line a bit more than 2 times.')).toBeVisible();
  await page.getByRole('button', { name: 'Line, end' }).focus();
  for (let i = 0; i < 9; i++) await page.keyboard.press('Shift+ArrowRight');
  await expect(page.getByText(/The line leans (19|20)° to the left of plumb, 7[01]° from level/)).toBeVisible();
  // A line along an edge is kept, and lies on a card at its angle.
  await page.getByLabel('What the line lies along').fill('the yard');
  await page.getByRole('button', { name: 'Keep the line' }).click();
  await expect(page.getByText(/the yard: 7[01]° from level/)).toBeVisible();
  await page.getByRole('button', { name: 'Keep the line' }).click();
  await page.getByRole('button', { name: 'Let line 2 go' }).click();
  await expect(page.getByText(/line 2:/)).toBeHidden();
  const carried = page.getByRole('link', { name: 'Carry the kept lines to the paper' });
  const pdf = await page.request.get(
    (await carried.getAttribute('href'))!.replace(/.*work=([^&]+).*/, `${origin()}/api/works/$1/carry?method=sighting`),
  );
  expect(pdf.headers()['content-type']).toBe('application/pdf');
  // With dividers in hand a click places no point.
  await click(0.9, 0.9);
  await expect(page.getByText('The span goes into the line')).toBeVisible();
  expect(await faults(page)).toEqual([]);
});

test('a piece is held against a work by its points: what has grown is told first, and arrows lead to where it went', async ({ page }) => {
  const { ids } = await demo(page);
  const [piece] = await compared(page, ids.study, 1);
  const ferry = ids.works.find((w) => w.title.startsWith('Evening ferry'))!;
  type Sets = { template: string; name: string; points: Record<string, [number, number]>; version: number }[];
  const setsOf = async (of: string) => (await (await page.request.get(`${origin()}/api/landmarks/${of}`)).json()) as Sets;
  const { points } = (await setsOf(`work/${ferry.id}`)).find((s) => s.name === 'figure 3')!;
  const [cx, cy] = points['neck-base'];
  const grown = Object.fromEntries(
    Object.entries(points).map(([n, [x, y]]) => [n, n === 'crown' || n === 'chin' ? [cx + 1.5 * (x - cx), cy + 1.5 * (y - cy)] : [x, y]]),
  );
  const mine = (await setsOf(`piece/${piece.id}`)).find((s) => s.template === 'figure-standing');
  const sent = await page.request.put(`${origin()}/api/landmarks/piece/${piece.id}`, {
    headers: { origin: origin() },
    data: { template: 'figure-standing', version: mine?.version ?? 0, points: grown, label: { key: 'edits.points' } },
  });
  expect(sent.ok()).toBe(true);
  await open(page, `${origin()}/studies/${ids.study}/pieces?piece=${piece.id}&points=figure-standing`);
  await page.getByLabel('Against').selectOption({ label: 'Evening ferry, foredeck, figure 3' });
  await expect(page.getByText(/^head and neck: 4\d\s% larger against the whole/).first()).toBeVisible();
  expect(await page.locator('[data-arrows] path').count()).toBeGreaterThan(2);
  expect(await faults(page)).toEqual([]);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText(/^head and neck: 4\d\s% larger/)).toBeHidden();
});
