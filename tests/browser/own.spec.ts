/** A teacher's own things get in: a cupboard filled by hand, from a set and from a file, and a class that changes. */
import { expect, Page, test } from '@playwright/test';
import { differenceCiede2000 } from 'culori';
import sharp from 'sharp';

import { demo, faults, madePicture, open, origin, ownStudy } from './steps';

async function newTeacher(page: Page): Promise<void> {
  await open(page, `${origin()}/sign-in`);
  const made = await page.request.post(`${origin()}/api/auth/sign-up/email`, {
    headers: { origin: origin() },
    data: { email: `own-${Date.now()}-${Math.random()}@fennick.example`, password: 'a-long-enough-one', name: 'Own' },
  });
  expect(made.ok()).toBe(true);
}

test('an empty cupboard is filled by hand, by Lab and from a photograph, changed, and every step taken back', async ({ page }) => {
  await newTeacher(page);
  await open(page, `${origin()}/cupboard`);
  await page.getByLabel('Name', { exact: true }).fill('Shelf');
  await page.getByRole('button', { name: 'Make the kit' }).click();
  await expect(page.getByRole('heading', { name: 'Into Shelf' })).toBeVisible();
  await page.getByLabel('Name', { exact: true }).fill('ochre');
  await page.getByLabel('Colour laid thick').fill('no colour');
  await expect(page.getByText(/This is no colour/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Put it in' })).toBeDisabled();
  await page.getByLabel('Colour laid thick').fill('62 14 48');
  await page.getByLabel('Covering').selectOption('opaque');
  await page.getByRole('button', { name: 'Put it in' }).click();
  await page.getByRole('button', { name: 'ochre: change' }).click();
  await expect(page.getByLabel('Colour laid thick')).toHaveValue(/^#[0-9a-f]{6}$/);
  await expect(page.getByLabel('Covering')).toHaveValue('opaque');
  // A photograph of one colour gives that colour, whatever was typed before.
  const bytes = await page.evaluate(async () => {
    const canvas = new OffscreenCanvas(60, 60);
    const context = canvas.getContext('2d')!;
    context.fillStyle = '#336699';
    context.fillRect(0, 0, 60, 60);
    return [...new Uint8Array(await (await canvas.convertToBlob({ type: 'image/png' })).arrayBuffer())];
  });
  await page
    .getByLabel('Pick from a photograph')
    .first()
    .setInputFiles({ name: 'swatch.png', mimeType: 'image/png', buffer: Buffer.from(bytes) });
  await page.locator('canvas').click({ position: { x: 30, y: 30 } });
  await expect(page.getByLabel('Colour laid thick')).toHaveValue('#336699');
  await page.getByLabel('Name', { exact: true }).fill('slate blue');
  await page.getByRole('button', { name: 'Change it' }).click();
  await expect(page.getByRole('button', { name: 'slate blue: change' })).toBeVisible();
  expect(await faults(page)).toEqual([]);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: 'ochre: change' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: 'ochre: change' })).toBeHidden();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText(/Nothing here yet/)).toBeVisible();
  await page.getByRole('button', { name: 'Redo' }).click();
  await expect(page.getByLabel('Name of the kit')).toHaveValue('Shelf');
});

test('a ready set is saved as a table and read back; a broken table says its line, and felt pens answer in Colour', async ({ page }) => {
  await newTeacher(page);
  await open(page, `${origin()}/cupboard`);
  await page.getByLabel('Begin with').selectOption('feltPens');
  await page.getByRole('button', { name: 'Make the kit' }).click();
  await expect(page.getByRole('button', { name: 'light green: change' })).toBeVisible();
  await page.getByText('Save as a file').click();
  const saving = page.waitForEvent('download');
  await page.getByRole('link', { name: 'CSV table' }).click();
  const table = await (await saving).path();
  await page.getByLabel(/From a file/).setInputFiles(table);
  await expect(page.getByLabel('Name of the kit')).toHaveCount(2);
  await page
    .getByLabel(/From a file/)
    .setInputFiles({ name: 'bad.csv', mimeType: 'text/csv', buffer: Buffer.from('name,colour\nred,#ff0000\nblue,blau\n') });
  await expect(page.getByText(/Line 3.*blau/)).toBeVisible();
  await expect(page.getByLabel('Name of the kit')).toHaveCount(2);
  const study = await ownStudy(page, 'Pens');
  const sent = await page.request.post(`${origin()}/api/studies/${study}/works`, {
    headers: { origin: origin() },
    multipart: { picture: { name: 'ferry.png', mimeType: 'image/png', buffer: await madePicture(600, 420, 14) } },
  });
  expect(sent.ok()).toBe(true);
  await open(page, `${origin()}/studies/${study}/colour`);
  await page.locator('section', { hasText: 'Palette' }).getByRole('button').first().click({ timeout: 60_000 });
  await expect(page.getByText('One of them')).toBeVisible();
});

test('a swatch sheet is printed, painted, photographed on the stand and read back; too dark a photograph says so and changes nothing', async ({
  page,
}) => {
  test.setTimeout(240_000);
  await newTeacher(page);
  await open(page, `${origin()}/cupboard`);
  await page.getByLabel('Begin with').selectOption('poster');
  await page.getByRole('button', { name: 'Make the kit' }).click();
  await page.getByRole('button', { name: 'By photograph' }).click();
  const address = await page.getByRole('link', { name: 'Print the swatch sheet' }).getAttribute('href');
  await open(page, `${origin()}${address}`);
  // Painted: other colours than the set's own, and a tint between each and the paper.
  const paint = (name: string): [number, number, number] => [...name].reduce<[number, number, number]>((c, l, i) => {
      const v = [...c] as [number, number, number];
      v[i % 3] = 40 + ((v[i % 3] + 37 * l.charCodeAt(0)) % 150);
      return v;
    }, [60, 60, 60]); // prettier-ignore
  const boxes = await page.locator('[data-box]').evaluateAll((list) => list.map((g) => g.getAttribute('data-box')!));
  expect(boxes).toContain('primary blue 1:4');
  const colours = Object.fromEntries(
    boxes.map((b) => {
      const [, name, tint] = /^(.*?)( 1:4)?$/.exec(b)!;
      const rgb = paint(name).map((v) => Math.round(tint ? v + 0.55 * (243 - v) : v));
      return [b, `#${rgb.map((v) => v.toString(16).padStart(2, '0')).join('')}`];
    }),
  );
  await page.evaluate((fills) => {
    for (const g of document.querySelectorAll('[data-box]'))
      g.querySelector('rect')!.setAttribute('fill', fills[g.getAttribute('data-box')!]);
    (document.querySelector('[data-swatches]') as HTMLElement).style.background = '#f3f3f3';
  }, colours);
  const png = await page.locator('[data-swatches="1"]').screenshot();
  // The stand-in camera photographs it as it would a work.
  const study = await ownStudy(page, 'Swatches');
  const headers = { origin: origin() };
  const path = `${origin()}/api/studies/${study}`;
  await page.request.post(`${path}/works`, { headers, multipart: { picture: { name: 'sheet.png', mimeType: 'image/png', buffer: png } } });
  const works = async () => (await (await page.request.get(`${path}/works`)).json()) as { pictureId: string }[];
  const wishes = { table: 'wood', title: 'photographed', rotation: 5, tilt: 8, falloff: 15, warmth: 5, blur: 0.5, noise: 2 };
  await page.request.post(`${path}/stand`, { headers, data: { ...wishes, pictureId: (await works())[0].pictureId } });
  const photo = await (await page.request.get(`${origin()}/api/pictures/${(await works())[1].pictureId}`)).body();
  const send = async (buffer: Buffer) =>
    page.getByLabel('Choose the photograph').setInputFiles({ name: 'swatches.jpg', mimeType: 'image/jpeg', buffer });
  await open(page, `${origin()}/cupboard`);
  await page.getByRole('button', { name: 'By photograph' }).click();
  await send(await sharp(photo).linear(0.22, 0).jpeg({ quality: 95 }).toBuffer());
  await expect(page.getByText(/too dark to tell dark colours apart/)).toBeVisible();
  await send(await sharp(photo).jpeg({ quality: 95 }).toBuffer());
  await expect(page.getByRole('button', { name: /Take 11 colours over|Take 10 colours over/ })).toBeVisible();
  await expect(page.getByRole('row')).toHaveCount(12);
  expect(await faults(page)).toEqual([]);
  await page.getByRole('button', { name: /colours over/ }).click();
  await expect(page.getByRole('button', { name: /colours over/ })).toBeHidden();
  const [{ materials }] = (await (await page.request.get(`${origin()}/api/kits`)).json()) as { materials: { name: string; masstone: string; tint: { hex: string } | null }[] }[]; // prettier-ignore
  const blue = materials.find((m) => m.name === 'primary blue')!;
  const apart = differenceCiede2000();
  expect(apart(blue.masstone, colours['primary blue'])).toBeLessThan(4);
  expect(apart(blue.tint!.hex, colours['primary blue 1:4'])).toBeLessThan(4);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(async () => JSON.stringify(await (await page.request.get(`${origin()}/api/kits`)).json())).toContain('#164c8b');
});

test('a class is pasted from a table, changed through the year, and begun anew; nobody’s last name is taken', async ({ page }) => {
  await newTeacher(page);
  await open(page, `${origin()}/classes`);
  await page.getByLabel('Name', { exact: true }).fill('7A');
  await page.getByLabel(/Students, one a line/).fill('Surname;Forename;Born\nReed;Abel;2011-02-03\nKant;Bruna;2011-05-06');
  await expect(page.getByText('2 students: Abel R and Bruna K')).toBeVisible();
  await page.getByRole('button', { name: 'Add the class' }).click();
  // Two fields left in quick succession: the second is saved over what the first one made.
  await page.getByLabel('School of the class').fill('Fennick Lane');
  await page.getByLabel('Name of the class').fill('7B');
  await page.getByLabel('Name of the class').blur();
  const kept = async () => ((await (await page.request.get(`${origin()}/api/classes`)).json()) as { name: string; school: string }[])[0];
  await expect.poll(async () => [(await kept()).name, (await kept()).school]).toEqual(['7B', 'Fennick Lane']);
  await page.getByRole('button', { name: 'Bruna K: change' }).click();
  await page.getByLabel('draws with the left hand').check();
  await page.getByLabel('Table').fill('3');
  await page.getByRole('button', { name: 'Change it' }).click();
  await expect(page.getByText('table 3 · left-handed')).toBeVisible();
  await page.getByRole('button', { name: 'Earlier in the list' }).click();
  await expect(page.getByRole('button', { name: /: change$/ }).first()).toHaveAccessibleName('Bruna K: change');
  await page.getByRole('button', { name: 'Close' }).click();
  await page.getByRole('button', { name: 'Add students' }).click();
  await page.getByLabel(/Students, one a line/).fill('Abel R');
  await page.getByRole('button', { name: 'Put 1 student on the list' }).click();
  await expect(page.getByRole('button', { name: 'Abel R 2: change' })).toBeVisible();
  expect(await faults(page)).toEqual([]);
  const classes = await (await page.request.get(`${origin()}/api/classes`)).text();
  expect(classes).not.toMatch(/Reed|Kant|2011/);
  await page.getByRole('button', { name: /Next year/ }).click();
  await page.getByLabel('Name of next year’s class').fill('8A');
  await page.getByRole('button', { name: 'Begin it' }).click();
  await expect(page.getByText('Put away (1)')).toBeVisible();
  await expect(page.getByLabel('Name of the class').first()).toHaveValue('8A');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Name of the class').first()).toHaveValue('7B');
});

test('a postcard photographed at a slant is laid flat by the corners that are found, and comes back with undo', async ({ page }) => {
  await newTeacher(page);
  const study = await ownStudy(page, 'Postcards');
  const picture = await madePicture(600, 420, 14);
  const slanted = await page.evaluate(
    async ({ bytes }) => {
      const bitmap = await createImageBitmap(new Blob([new Uint8Array(bytes)]));
      const canvas = new OffscreenCanvas(1000, 800);
      const context = canvas.getContext('2d')!;
      context.fillStyle = '#2d2a28';
      context.fillRect(0, 0, 1000, 800);
      // Turned on a dark table.
      context.setTransform(1.15, 0.16, -0.16, 1.15, 190, 110);
      context.drawImage(bitmap, 0, 0);
      return [...new Uint8Array(await (await canvas.convertToBlob({ type: 'image/png' })).arrayBuffer())];
    },
    { bytes: [...picture] },
  );
  const sent = await page.request.post(`${origin()}/api/studies/${study}/works`, {
    headers: { origin: origin() },
    multipart: { picture: { name: 'ferry_1921.png', mimeType: 'image/png', buffer: Buffer.from(slanted) } },
  });
  expect(sent.ok()).toBe(true);
  await open(page, `${origin()}/studies/${study}/look`);
  await expect(page.getByLabel('Dated')).toHaveValue('1921');
  await page.getByRole('button', { name: 'Straighten by its corners' }).click();
  await expect(page.getByText('These corners were found')).toBeVisible();
  expect(await faults(page)).toEqual([]);
  await page.getByRole('button', { name: 'Straighten it' }).click();
  await expect(page.getByRole('button', { name: 'Straighten it' })).toBeHidden();
  const works = async () =>
    (await (await page.request.get(`${origin()}/api/studies/${study}/works`)).json()) as { pictureWidth: number; pictureHeight: number }[];
  const shape = async () => (await works()).map((w) => w.pictureWidth / w.pictureHeight)[0];
  await expect.poll(async () => Math.abs((await shape()) / (600 / 420) - 1)).toBeLessThan(0.03);
  await expect(page.getByRole('button', { name: 'Crop or turn' })).toBeVisible();
  await page.getByLabel('Real width (mm)').fill('300');
  await page.getByRole('button', { name: /Fill in 21\d mm/ }).click();
  await expect(page.getByLabel('height (mm)')).toHaveValue(/21\d/);
  for (let i = 0; i < 3; i++) await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(async () => (await works())[0].pictureWidth).toBe(1000);
});

test('a study is changed after its birth, begun again, and put away', async ({ page }) => {
  await newTeacher(page);
  const study = await ownStudy(page, 'Harbour');
  await open(page, `${origin()}/studies/${study}/look`);
  await page.getByRole('link', { name: /About this study/ }).click();
  await page.getByLabel('What do you call this study?').first().fill('Harbour, autumn');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Harbour, autumn');
  await page.getByLabel('Sheet for the class').selectOption('B4');
  await expect(page.getByText(/For 2 sheets, 1 of them spare, get 2/)).toBeVisible();
  await page.getByRole('button', { name: 'Take this sheet' }).click();
  await expect(page.getByRole('button', { name: 'Take this sheet' })).toBeHidden();
  expect(await faults(page)).toEqual([]);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Sheet for the class')).toHaveValue('A4');
  const again = page.locator('form', { hasText: 'Begin it again for another class' });
  await again.getByLabel('What do you call this study?').fill('Harbour, spring');
  await again.getByRole('button', { name: 'Begin it again' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Harbour, spring');
  await page.getByRole('button', { name: 'Put this study away' }).click();
  await expect(page.getByRole('button', { name: 'Take this study out again' })).toBeVisible();
  await open(page, `${origin()}/studies`);
  await expect(page.getByText('Put away (1)')).toBeVisible();
});

test('the demo’s cupboard and classes have no accessibility faults that axe can find', async ({ page }) => {
  await demo(page);
  for (const path of ['cupboard', 'classes']) {
    await open(page, `${origin()}/${path}`);
    expect(await faults(page)).toEqual([]);
  }
});
