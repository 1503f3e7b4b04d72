/** The benches as a teacher uses them: a study of one's own from a picture, points, marks, colour, rules, undo. */
import { expect, test } from '@playwright/test';
import { demo, faults, madePicture, open, origin, ownStudy } from './steps';

test('a picture is dropped into a new study, measured in the background, and read on every bench', async ({ page }) => {
  await demo(page);
  const study = await ownStudy(page, `Trial ${Date.now()}`);
  await open(page, `${origin()}/studies/${study}/marks`);
  await expect(page.getByText('This bench needs a picture to measure.')).toBeVisible();
  await open(page, `${origin()}/studies/${study}/look`);
  await page
    .getByLabel('Choose pictures of works')
    .setInputFiles({ name: 'postcard.png', mimeType: 'image/png', buffer: await madePicture() });
  await expect(page.getByRole('img', { name: 'postcard' })).toBeVisible({ timeout: 180_000 });
  await page.getByLabel('Real width (mm)').fill('180');
  await page.getByLabel('Real width (mm)').blur();
  await expect(page.getByText('Without the real width')).toHaveCount(0);
  await page.getByLabel('What strikes you first?').fill('Everything leans.');
  const saved = page.waitForResponse((r) => r.request().method() === 'PATCH' && !!r.request().postData()?.includes('leans'));
  await page.getByLabel('What strikes you first?').blur();
  expect((await saved).ok()).toBe(true);
  await open(page, page.url());
  await expect(page.getByLabel('What strikes you first?')).toHaveValue('Everything leans.');
  await open(page, `${origin()}/studies/${study}/marks`);
  await expect(page.getByText(/This (looks like|is probably) strokes side by side/)).toBeVisible({ timeout: 180_000 });
  await expect(page.getByText(/Mostly strokes side by side/)).toBeVisible({ timeout: 240_000 });
  // 14 px across rows that lean: 14 · cos of the lean, in mm of a 180 mm sheet 900 px wide.
  const spacing = 14 * Math.cos(Math.atan2(300, 520)) * (180 / 900);
  const said = await page
    .getByText(/Strokes stand [\d.]+\smm apart/)
    .first()
    .innerText();
  expect(Math.abs(Number(said.match(/stand ([\d.]+)/)![1]) / spacing - 1)).toBeLessThan(0.06);
  await open(page, `${origin()}/studies/${study}/colour`);
  await page.getByRole('button', { name: /red/ }).first().click();
  await expect(page.getByText(/ΔE \d/).first()).toBeVisible({ timeout: 180_000 });
  await expect(page.getByText(/Within reach|Out of reach/)).toBeVisible();
});

test('readings come from the pixels: another picture reads otherwise', async ({ page }) => {
  await demo(page);
  const study = await ownStudy(page, `Altered ${Date.now()}`);
  const read = async (buffer: Buffer) => {
    const answer = await page.request.post(`${origin()}/api/studies/${study}/works`, {
      headers: { origin: origin() },
      multipart: { picture: { name: 'p.png', mimeType: 'image/png', buffer } },
    });
    const { id } = (await answer.json()) as { id: string };
    for (;;) {
      const { profile } = (await (await page.request.get(`${origin()}/api/works/${id}`)).json()) as {
        profile: { profile: { features: Record<string, { value: number }> } } | null;
      };
      if (profile) return profile.profile.features['marks.spacing'].value;
      await page.waitForTimeout(500);
    }
  };
  const near = await read(await madePicture(900, 640, 14));
  const far = await read(await madePicture(900, 640, 24));
  expect(far / near).toBeCloseTo(24 / 14, 1);
});

test('a point is placed, nudged by keys, undone and redone over a reload; a stale window is refused', async ({ page, context }) => {
  const { ids } = await demo(page);
  const face = ids.works.find((w) => w.title.startsWith('Harbour'))!;
  const address = `${origin()}/studies/${ids.study}/proportion?work=${face.id}&template=figure-standing`;
  await open(page, address);
  await expect(page.getByText('Next point: top of the head. Click on it in the picture.')).toBeVisible();
  const stale = await context.newPage();
  await open(stale, address);
  await expect(stale.getByText('Next point: top of the head. Click on it in the picture.')).toBeVisible();
  const picture = page.getByRole('img', { name: 'Harbour lights' });
  await picture.click({ position: { x: 200, y: 60 }, force: true });
  await expect(page.getByText('Next point: lowest point of the chin. Click on it in the picture.')).toBeVisible();
  await expect(page.getByText('1 of 23 points')).toBeVisible();
  const handle = page.getByRole('button', { name: /^top of the head, at/ });
  const before = await handle.getAttribute('aria-label');
  await handle.focus();
  await page.keyboard.press('ArrowRight');
  await expect(handle).not.toHaveAttribute('aria-label', before!);
  await expect(page.getByText(/Saved\./)).toBeVisible();
  await open(page, page.url());
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: before! })).toBeVisible();
  await page.getByRole('button', { name: 'Redo' }).click();
  await expect(page.getByRole('button', { name: before! })).toHaveCount(0);
  await stale.getByRole('img', { name: 'Harbour lights' }).click({ position: { x: 260, y: 90 }, force: true });
  await expect(stale.getByText(/changed in another window meanwhile/)).toBeVisible();
  await expect(stale.getByText('1 of 23 points')).toBeVisible();
});

test('a rule is ticked from a reading, edited as a sentence, and removed; always and never sentences are kept', async ({ page }) => {
  const { ids } = await demo(page);
  await open(page, `${origin()}/studies/${ids.study}/colour`);
  const tick = page.getByRole('button', { name: /^Make it a rule: Lights and darks lie/ });
  await tick.click();
  await expect(page.getByRole('button', { name: /^A rule already: Lights and darks lie/ })).toBeVisible();
  await page.getByLabel('Always or never').selectOption('never');
  await page.getByLabel('New sentence').fill('a face in profile');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  const rule = page.getByLabel('Rule', { exact: true }).last();
  await expect(rule).toHaveValue('a face in profile');
  await rule.fill('A face is seen in profile.');
  await rule.blur();
  await page.waitForTimeout(800);
  await open(page, page.url());
  await expect(page.getByLabel('Rule', { exact: true }).last()).toHaveValue('A face is seen in profile.');
  await page.getByRole('button', { name: 'Remove: A face is seen in profile.' }).click();
  await expect(page.getByRole('button', { name: 'Remove: A face is seen in profile.' })).toHaveCount(0);
});

test('looking tools answer to their keys, and the picture is reduced in linear light by the worker', async ({ page }) => {
  const { ids } = await demo(page);
  await open(page, `${origin()}/studies/${ids.study}/look`);
  await page.keyboard.press('v');
  await expect(page.getByRole('button', { name: /Values/ })).toHaveAttribute('aria-pressed', 'true');
  const canvas = page.getByLabel(/reduced to a few values/);
  await expect(canvas).toHaveCSS('visibility', 'visible', { timeout: 180_000 });
  const greys = await canvas.evaluate((c: HTMLCanvasElement) => {
    const d = c.getContext('2d')!.getImageData(0, 0, c.width, c.height).data;
    const seen = new Set<number>();
    for (let i = 0; i < d.length; i += 4) seen.add(d[i]);
    return seen.size;
  });
  expect(greys).toBe(5);
  await page.keyboard.press('?');
  await expect(page.getByText('see shapes, not things')).toBeVisible();
});

test('unusable uploads each get a clear answer and leave the study as it was', async ({ page }) => {
  const { ids } = await demo(page);
  const send = (name: string, mimeType: string, buffer: Buffer) =>
    page.request.post(`${origin()}/api/studies/${ids.study}/works`, {
      headers: { origin: origin() },
      multipart: { picture: { name, mimeType, buffer } },
    });
  const { default: sharp } = await import('sharp');
  const whole = await sharp({ create: { width: 800, height: 600, channels: 3, background: '#88aacc' } })
    .jpeg()
    .toBuffer();
  const noisy = await sharp(Buffer.from(Array.from({ length: 600 * 400 * 3 }, (_, i) => (i * 7919) % 251)), {
    raw: { width: 600, height: 400, channels: 3 },
  })
    .jpeg()
    .toBuffer();
  const bomb = await sharp({ create: { width: 9000, height: 9000, channels: 3, background: '#fff' }, limitInputPixels: false })
    .png()
    .toBuffer();
  const cmyk = await sharp(whole).toColourspace('cmyk').tiff().toBuffer();
  const cases: [string, Buffer, number, RegExp][] = [
    ['notes.png', Buffer.from('These are only words.'), 415, /not a picture/],
    ['cut.jpg', noisy.subarray(0, Math.floor(noisy.length / 2)), 415, /damaged or was cut short/],
    ['bomb.png', bomb, 413, /megapixels/],
    ['plates.tif', cmyk, 415, /CMYK/],
    ['empty.png', Buffer.alloc(0), 400, /empty/],
  ];
  for (const [name, buffer, status, words] of cases) {
    const answer = await send(name, 'image/png', buffer);
    expect([name, answer.status()]).toEqual([name, status]);
    expect(((await answer.json()) as { error: string }).error).toMatch(words);
  }
  const works = (await (await page.request.get(`${origin()}/api/studies/${ids.study}/works`)).json()) as unknown[];
  expect(works).toHaveLength(ids.works.length);
});

test('the benches have no accessibility faults that axe can find', async ({ page }) => {
  const { ids } = await demo(page);
  for (const path of ['look', 'proportion', 'marks', 'colour']) {
    await open(page, `${origin()}/studies/${ids.study}/${path}`);
    await page.waitForTimeout(1500);
    expect(await faults(page), path).toEqual([]);
  }
});
