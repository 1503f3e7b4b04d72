/** What is typed is kept and belongs to the thing it was typed on; what is deleted is gone; what is refused for a moment comes again. */
import { expect, Page, test } from '@playwright/test';
import { demo, madePicture, open, origin, ownStudy } from './steps';

const headers = () => ({ origin: origin() });

async function newTeacher(page: Page): Promise<void> {
  await open(page, `${origin()}/sign-in`);
  const made = await page.request.post(`${origin()}/api/auth/sign-up/email`, {
    headers: headers(),
    data: { email: `kept-${Date.now()}-${Math.random()}@fennick.example`, password: 'a-long-enough-one', name: 'Kept' },
  });
  expect(made.ok()).toBe(true);
}

async function work(page: Page, study: string, name: string, spacing: number): Promise<string> {
  const answer = await page.request.post(`${origin()}/api/studies/${study}/works`, {
    headers: headers(),
    multipart: { picture: { name, mimeType: 'image/png', buffer: await madePicture(600, 420, spacing) } },
  });
  expect(answer.ok()).toBe(true);
  return ((await answer.json()) as { id: string }).id;
}

const stored = async (page: Page, study: string) =>
  (await (await page.request.get(`${origin()}/api/studies/${study}/works`)).json()) as { id: string; title: string; impressions: string }[];

test('a title typed and the page reloaded at once is not lost, and the save state says what is so', async ({ page }) => {
  await newTeacher(page);
  const study = await ownStudy(page, 'Typing');
  await work(page, study, 'ferry.png', 14);
  await open(page, `${origin()}/studies/${study}/look`);
  // Nothing reaches the server while the first page lives.
  await page.route('**/api/works/*', (route) => (route.request().method() === 'PATCH' ? undefined : route.continue()));
  await page.getByLabel('Title').fill('Evening ferry');
  await expect(page.getByText('Not saved yet …')).toBeVisible();
  await page.unroute('**/api/works/*');
  await page.reload();
  await expect(page.getByLabel('Title')).toHaveValue('Evening ferry');
  await expect.poll(async () => (await stored(page, study))[0].title).toBe('Evening ferry');
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
});

test('while another work is loading the panel is locked: what is typed then is saved to neither', async ({ page }) => {
  await newTeacher(page);
  const study = await ownStudy(page, 'Choosing');
  const first = await work(page, study, 'first.png', 15);
  const second = await work(page, study, 'second.png', 18);
  await open(page, `${origin()}/studies/${study}/look?work=${first}`);
  await page.getByLabel('What strikes you first?').fill('It leans.');
  let go = () => {};
  const held = new Promise<void>((done) => (go = done));
  await page.route(`**/look?work=${second}*`, async (route) => {
    await held;
    await route.continue();
  });
  await page.getByRole('link', { name: 'second' }).click();
  await expect(page.getByText('One moment …')).toBeVisible();
  await page
    .getByLabel('What strikes you first?')
    .click({ force: true, timeout: 2000 })
    .catch(() => undefined);
  await page.keyboard.type('This is about the second.');
  go();
  await expect(page.getByLabel('Title')).toHaveValue('second');
  await page.getByLabel('What strikes you first?').fill('It glows.');
  await expect.poll(async () => (await stored(page, study)).map((w) => w.impressions)).toEqual(['It leans.', 'It glows.']);
});

test('a study is deleted by its name, and its photographs are gone with it', async ({ page }) => {
  await newTeacher(page);
  const study = await ownStudy(page, 'To go');
  await work(page, study, 'ferry.png', 16);
  const [{ pictureId }] = (await (await page.request.get(`${origin()}/api/studies/${study}/works`)).json()) as { pictureId: string }[];
  const picture = `${origin()}/api/pictures/${pictureId}`;
  expect((await page.request.get(picture)).status()).toBe(200);
  await open(page, `${origin()}/studies`);
  await page.getByRole('button', { name: 'Delete this study' }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByText('Gone with it: 1 work and 0 pieces')).toBeVisible();
  const final = dialog.getByRole('button', { name: 'Delete for good' });
  await dialog.getByRole('textbox').fill('To stay');
  await expect(final).toBeDisabled();
  await dialog.getByRole('textbox').fill('to go');
  await final.click();
  await expect(page.getByText('No study yet.')).toBeVisible();
  expect((await page.request.get(picture)).status()).toBe(404);
});

test('a picture refused because others are coming in is sent again by the page', async ({ page }) => {
  await newTeacher(page);
  const study = await ownStudy(page, 'Rush');
  let refused = 0;
  await page.route(`**/api/studies/${study}/works`, (route) =>
    refused++ < 2
      ? route.fulfill({
          status: 503,
          headers: { 'retry-after': '1' },
          json: { error: 'Others first.', field: 'picture' },
        })
      : route.continue(),
  );
  await open(page, `${origin()}/studies/${study}/look`);
  const buffer = await madePicture(600, 420, 17);
  await page.getByLabel('Choose pictures of works').setInputFiles({ name: 'rush.png', mimeType: 'image/png', buffer });
  await expect(page.getByLabel('Title')).toHaveValue('rush');
  expect(refused).toBe(3);
});

test('measuring that was stopped says so, and is taken up again', async ({ page }) => {
  const { ids } = await demo(page);
  // A study of its own, with nothing measured yet.
  const study = await ownStudy(page, 'Stopping');
  for (let i = 0; i < 4; i++) await work(page, study, `w${i}.png`, 20 + i);
  await page.request.delete(`${origin()}/api/studies/${study}/progress`, { headers: headers() });
  await open(page, `${origin()}/studies/${study}/look`);
  await expect(page.getByText(/\d stopped/)).toBeVisible();
  await page.getByRole('status').getByRole('button', { name: 'Measure' }).click();
  await expect(page.getByText(/\d stopped/)).toBeHidden();
  await expect
    .poll(async () => (await (await page.request.get(`${origin()}/api/studies/${study}/progress`)).json()) as object, {
      timeout: 180_000,
    })
    .toEqual({ queued: 0, running: 0, done: 4, failed: 0, stopped: 0, left: 0 });
  await page.request.delete(`${origin()}/api/studies/${study}`, { headers: headers(), data: { name: 'Stopping' } });
  expect(ids.study).not.toBe(study);
});
