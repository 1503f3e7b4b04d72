/** Plan, Make, Hanging and the report, as a teacher uses them before, in and after the lesson. */
import { expect, test } from '@playwright/test';
import { compared, demo, faults, madePicture, open, origin, ownStudy, saved } from './steps';

test('another ink, another order and half the minutes change the plan; it is kept, undone and printed', async ({ page }) => {
  await demo(page);
  const study = await ownStudy(page, `Plan ${Date.now()}`);
  const address = `${origin()}/studies/${study}/plan`;
  await open(page, address);
  await page.getByLabel('Medium').selectOption('pen-and-wash');
  await expect(page.getByText(/periods? of 50 minutes for one student/).first()).toBeVisible();
  const minutes = () => page.locator('li', { has: page.getByRole('button', { name: 'Move “Draw the line in ink”' }) }).innerText();
  const before = await minutes();
  await page.getByLabel(/^Ink/).selectOption('washable');
  await expect(page.getByText(/“Draw the line in ink” is not waterproof/).first()).toBeVisible();
  // The first wash is carried above the line by keys: then nothing runs.
  const grip = page.getByRole('button', { name: 'Move “First wash, pale”' });
  await grip.focus();
  await page.keyboard.press('Space');
  for (let i = 0; i < 3; i++) {
    await page.waitForTimeout(300);
    await page.keyboard.press('ArrowUp');
  }
  await page.waitForTimeout(300);
  const moved = saved(page, 'PUT', /\/plan$/);
  await page.keyboard.press('Space');
  await moved;
  await expect(page.getByText(/“Draw the line in ink” is not waterproof: “First wash, pale”/)).toHaveCount(0);
  const halved = saved(page, 'PUT', /\/plan$/);
  await page.getByLabel('Minutes a period').fill('30');
  await halved;
  await expect(page.getByText(/periods? of 30 minutes/).first()).toBeVisible();
  expect(await minutes()).not.toBe(before);
  await expect(page.getByText(/To fit, steps are shortened|Even at the fewest minutes/)).toBeVisible();
  await open(page, address);
  await expect(page.getByText(/periods? of 30 minutes/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText(/periods? of 50 minutes/).first()).toBeVisible();
  await page.getByRole('link', { name: 'Print the plan' }).click();
  await expect(page.getByLabel('Check bar of 100 mm')).toBeVisible();
  // The bar is 100 of the drawing's 182 mm; 96 px are an inch.
  const box = (await page.getByLabel('Check bar of 100 mm').boundingBox())!;
  expect(Math.abs((box.width * 25.4) / 96 - 182)).toBeLessThan(0.5);
  const refused = await page.request.put(`${origin()}/api/studies/${study}/plan`, {
    headers: { origin: origin() },
    data: {
      version: 99,
      medium: 'pen',
      ink: 'washable',
      contact: 'straight-in',
      erasing: true,
      youngest: 13,
      minutesPerPeriod: 50,
      periods: 1,
      classSize: 0,
      steps: [{ technique: 'pen-line' }],
    },
  });
  expect(refused.status()).toBe(400);
  expect(((await refused.json()) as { error: string; field: string }).field).toBe('classSize');
});

test('a step of one’s own is written with options, kept for other lessons, follows the rules, and a rule is broken on purpose', async ({
  page,
}) => {
  await demo(page);
  const study = await ownStudy(page, `Own step ${Date.now()}`);
  const address = `${origin()}/studies/${study}/plan`;
  await open(page, address);
  await page.getByLabel('Medium').selectOption('pen');
  await page.getByLabel(/^Ink/).selectOption('washable');
  await page.getByRole('button', { name: 'Write a step of your own' }).click();
  const form = page.getByRole('dialog');
  await form.getByLabel('What it is called').fill('Coffee wash');
  await form.getByRole('button', { name: 'Put it into the lesson' }).click();
  await expect(form.getByText(/field “does” needs/)).toBeVisible();
  await form.getByLabel('What the students do').fill('Lay cold coffee over every shadow.');
  await form.getByRole('button', { name: 'Add a way' }).click();
  await form.getByLabel('Way 1', { exact: true }).fill('weak');
  await form.getByLabel('Way 2', { exact: true }).fill('strong');
  await form.getByLabel('Dries in, minutes').fill('25');
  await form.getByLabel('wets the sheet').check();
  await form.getByLabel(/^It is/).selectOption('wash');
  expect(await faults(page)).toEqual([]);
  const kept = saved(page, 'POST', /\/steps$/);
  await form.getByRole('button', { name: 'Put it in and keep it for other lessons' }).click();
  await kept;
  await expect(page.getByText(/is not waterproof: “Coffee wash” will carry it/).first()).toBeVisible();
  const told = page.getByRole('button', { name: '“Coffee wash”: I mean it so' });
  const many = await told.count();
  expect(many).toBeGreaterThan(0);
  await told.first().click();
  await expect(told).toHaveCount(0);
  await expect(page.getByText(/broken here on purpose/)).toBeVisible();
  // The way that is chosen stands in the periods, and is carried into later steps.
  const chosen = saved(page, 'PUT', /\/plan$/);
  await page.getByLabel('weak:').check();
  await chosen;
  await expect(page.getByText('Coffee wash: weak').first()).toBeVisible();
  const longer = page.getByRole('slider', { name: /Lower edge of “Coffee wash: weak”/ });
  const before = Number(await longer.getAttribute('aria-valuenow'));
  await longer.focus();
  await page.keyboard.press('ArrowDown');
  await expect(longer).toHaveAttribute('aria-valuenow', String(before + 1));
  // It waits in the library of another study, and comes back as a file.
  await open(page, `${origin()}/studies/${await ownStudy(page, `Other ${Date.now()}`)}/plan`);
  await page.getByText(/^Steps of your own \(/).click();
  const saving = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Save as a file' }).click();
  const file = await (await saving).path();
  await page.getByRole('button', { name: 'Take “Coffee wash” out of the library' }).click();
  await expect(page.getByRole('button', { name: 'Take “Coffee wash” out of the library' })).toHaveCount(0);
  await page.getByLabel('From a file').setInputFiles(file);
  await page.getByLabel('Add a technique').selectOption({ label: 'Coffee wash' });
  await expect(page.getByRole('button', { name: 'Move “Coffee wash”' })).toBeVisible();
  await page
    .getByLabel('From a file')
    .setInputFiles({ name: 'kit.json', mimeType: 'application/json', buffer: Buffer.from('{"format":"oldhand.kit/1"}') });
  await expect(page.getByText(/steps file: it must be JSON/)).toBeVisible();
});

test('the periods get their days, the board holds a lesson by keys, and what it took is learned; warm-ups and run sheet print', async ({
  page,
}) => {
  const { ids } = await demo(page);
  const study = await ownStudy(page, `Board ${Date.now()}`);
  const address = `${origin()}/studies/${study}/plan`;
  await open(page, address);
  await page.getByLabel('Medium').selectOption('pen');
  await page.getByRole('button', { name: 'Give the periods their days' }).click();
  await page.getByLabel('First day').fill('2027-02-01');
  const dated = saved(page, 'PUT', /\/plan$/);
  await page.getByLabel('Begins at').fill('10:15');
  await dated;
  await expect(page.getByRole('heading', { name: /Period 1.*1 February 2027, 10:15/ })).toBeVisible();
  const file = await page.request.get(`${origin()}/api/studies/${study}/plan/calendar`);
  expect(await file.text()).toMatch(/DTSTART:20270201T101500/);
  await page.clock.install({ time: new Date('2027-02-01T10:15:00Z') });
  await page.goto(`${origin()}/studies/${study}/board?period=1`);
  const board = page.locator('[data-board]');
  await expect(board.getByRole('heading', { name: 'Look together' })).toBeVisible();
  await page.keyboard.press(' ');
  await page.clock.fastForward('02:00');
  // Letters that can be read from the back: four hundredths of the screen's height and more.
  const high = await board.locator('h1').evaluate((h) => parseFloat(getComputedStyle(h).fontSize) / window.innerHeight);
  expect(high).toBeGreaterThan(0.06);
  const to = async (title: RegExp) => {
    for (let i = 0; i < 12 && !(await board.getByRole('heading', { name: title }).isVisible()); i++)
      await page.keyboard.press('ArrowRight');
    await expect(board.getByRole('heading', { name: title })).toBeVisible();
  };
  await to(/^Draft lightly/);
  const left = async () => {
    const text = await board.getByRole('timer').innerText();
    const [m, s] = text.replace('+', '').split(':').map(Number);
    return (text.startsWith('+') ? -1 : 1) * (60 * m + s);
  };
  const before = await left();
  await page.keyboard.press('+');
  await expect.poll(left).toBeGreaterThan(before + 100);
  await page.clock.fastForward('30:00');
  await expect(board.getByText('Time is up')).toBeVisible();
  // A page that is loaded again goes on where it was.
  await page.reload();
  await expect(board.getByRole('heading', { name: /^Draft lightly/ })).toBeVisible();
  const kept = saved(page, 'POST', /\/runs$/);
  await board.getByRole('button', { name: 'End and keep the times' }).click();
  await kept;
  const [run] = (await (await page.request.get(`${origin()}/api/studies/${study}/plan/runs`)).json()) as {
    turns: { of: string; took: number }[];
  }[];
  expect(run.turns.find((t) => t.of === 'pencil-draft')?.took).toBeGreaterThanOrEqual(29);
  await open(page, address);
  await page.getByRole('button', { name: 'Draft lightly in pencil', exact: true }).last().click();
  await expect(page.getByText(/Took \d+ minutes in the middle of/)).toBeVisible();
  expect(await faults(page)).toEqual([]);
  await page.getByRole('link', { name: 'Run sheet' }).click();
  await expect(page.getByRole('columnheader', { name: 'hand out' }).first()).toBeVisible();
  await open(page, `${origin()}/studies/${ids.study}/plan/warm-ups`);
  await page.getByLabel(/^Dabs/).check();
  const pdf = await page.request.get(`${origin()}${await page.getByRole('link', { name: 'Open the PDF' }).getAttribute('href')}`);
  expect(pdf.headers()['content-type']).toBe('application/pdf');
  expect(await faults(page)).toEqual([]);
});

test('a lesson that does not fit says what would make it fit; two groups, few tools, layers and prices are kept', async ({ page }) => {
  await demo(page);
  const study = await ownStudy(page, `Room ${Date.now()}`);
  const address = `${origin()}/studies/${study}/plan`;
  await open(page, address);
  await page.getByLabel('Medium').selectOption('pen-and-wash');
  await page.getByLabel('Students', { exact: true }).fill('24');
  // Eight pens for twenty-four: in three groups, which takes longer than the period.
  await page.getByLabel('Periods', { exact: true }).fill('2');
  await page.getByLabel(/^On the shelf: pen-holder/).fill('8');
  await page.getByLabel(/^On the shelf: pen-holder/).blur();
  await expect(page.getByText('group 3 of 3').first()).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Any one of these makes it fit' })).toBeVisible();
  expect(await faults(page)).toEqual([]);
  const taken = saved(page, 'PUT', /\/plan$/);
  await page
    .getByRole('button', { name: /^Do so: .* more: \d+\.$/ })
    .last()
    .click();
  await taken;
  await expect(page.getByRole('heading', { name: 'Any one of these makes it fit' })).toHaveCount(0);
  // Tools for all: what that moves is told.
  await page.getByLabel(/^On the shelf: pen-holder/).fill('24');
  await page.getByLabel(/^On the shelf: pen-holder/).blur();
  await expect(page.getByText('group 3 of 3')).toHaveCount(0);
  await expect(page.getByText('What that moved:')).toBeVisible();
  // Two groups: the second does without the pen.
  await page.getByLabel('Two groups work at different things').check();
  await page.getByLabel('In the second group').fill('9');
  await page.getByRole('button', { name: 'Hatch the shadows, first set', exact: true }).last().click();
  const grouped = saved(page, 'PUT', /\/plan$/);
  await page.getByLabel('Who does it').selectOption('first');
  await grouped;
  const lanes = (group: string) => page.locator('h3', { hasText: group }).locator('xpath=following-sibling::ol');
  await expect(lanes('second group').getByText('First wash, pale').first()).toBeVisible();
  await expect(lanes('second group').getByText('Hatch the shadows')).toHaveCount(0);
  await expect(lanes('first group').getByText('Hatch the shadows').first()).toBeVisible();
  // How the master laid a wash: known, one part in three; the layers follow.
  await page.getByRole('button', { name: 'First wash, pale', exact: true }).last().click();
  await page.getByLabel('parts of water to one').fill('3');
  await page.getByLabel('parts of water to one').blur();
  await page.getByLabel('How the master laid it').selectOption('known');
  await expect(page.getByRole('row', { name: /First wash, pale \(known\).*1 : 3/ })).toBeVisible();
  // What the class takes instead, from the cupboard, and what that costs.
  await page.getByText('What the master used, and what you take').click();
  await page.getByLabel('What you take instead (1)').fill('sepia ink');
  await page.getByLabel('What you take instead (1)').blur();
  await expect(page.getByText('Runs in water: no wash over it.')).toBeVisible();
  await page.getByText('Still to get', { exact: true }).click();
  await page.getByLabel(/^In a pack of heavy paper/).fill('10');
  await page.getByLabel(/^In a pack of heavy paper/).blur();
  const priced = saved(page, 'PUT', /\/plan$/);
  await page.getByLabel(/^A pack of heavy paper/).fill('4.5');
  await page.getByLabel(/^A pack of heavy paper/).blur();
  await priced;
  await expect(page.getByText('All that has a price: 13.50.')).toBeVisible();
  await page.getByText('On each table of four, and helpers’ rounds').click();
  await expect(page.getByText(/bring .*round brush/).first()).toBeVisible();
  expect(await faults(page)).toEqual([]);
  // All of it is there when the page is opened again, on the board of the second group and on the run sheet.
  await open(page, address);
  await expect(page.getByText('All that has a price: 13.50.')).toHaveCount(1);
  await expect(page.getByRole('row', { name: /First wash, pale \(known\)/ })).toBeVisible();
  await open(page, `${address}/run`);
  await expect(page.getByRole('heading', { name: /Period 1 , second group|Period 1, second group/ })).toBeVisible();
  await page.goto(`${origin()}/studies/${study}/board?period=1&group=2`);
  await expect(page.locator('[data-board]').getByLabel('Who does it')).toHaveValue('second');
});

test('a rehearsal ladder takes the rules up one after another, and pieces led from one exemplar are judged for manner', async ({
  page,
}) => {
  const { ids } = await demo(page);
  await open(page, `${origin()}/studies/${ids.study}/plan`);
  const laddered = saved(page, 'PUT', /\/plan$/);
  await page.getByRole('button', { name: 'As many tries toward the manner as time allows' }).click();
  await laddered;
  await expect(page.getByRole('button', { name: 'Move “A timed sketch in your own hand”' })).toBeVisible();
  await page.getByRole('button', { name: 'A try toward the manner', exact: true }).last().click();
  await expect(page.getByText('Kept to here')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: 'Move “A timed sketch in your own hand”' })).toHaveCount(0);
  const [piece] = await compared(page, ids.study, 1, 'original');
  await open(page, `${origin()}/studies/${ids.study}/compare?piece=${piece.id}`);
  await expect(page.getByText(/own invention \d+ of 100/)).toBeVisible();
  await page.getByLabel(/^All pieces of this study follow one exemplar/).click();
  await expect(page.getByText(/^Closeness \d+ of 100, in manner\.$/)).toBeVisible();
  await expect(page.getByText(/counts for nothing here/)).toBeVisible();
  expect(await faults(page)).toEqual([]);
  await page.getByLabel(/^All pieces of this study follow one exemplar/).click();
  await expect(page.getByText(/own invention \d+ of 100/)).toBeVisible({ timeout: 60_000 });
});

test('a reference is bent toward the manner by the slider, part by part, and reduced to the master’s steps', async ({ page }) => {
  const { ids } = await demo(page);
  await open(page, `${origin()}/studies/${ids.study}/make`);
  const ghost = page.getByLabel('The reference bent toward the manner');
  await expect(ghost).toHaveCSS('visibility', 'visible', { timeout: 180_000 });
  await expect(page.getByRole('row', { name: /Height, counted in heads.*×\s0\.6\d?\s.*4\.5/ })).toBeVisible();
  const pixels = () =>
    ghost.evaluate((c: HTMLCanvasElement) => {
      const d = c.getContext('2d')!.getImageData(0, 0, c.width, c.height).data;
      let sum = 0;
      for (let i = 0; i < d.length; i += 4) sum = (sum * 31 + d[i]) % 1_000_003;
      return sum;
    });
  const full = await pixels();
  const kept = saved(page, 'PATCH', /\/references\//);
  await page.getByLabel('From reference to manner').fill('20');
  await kept;
  await expect.poll(pixels).not.toBe(full);
  const ticked = saved(page, 'POST', /\/references\//);
  await page.getByLabel(/Passengers are four and a half heads tall/).check();
  await ticked;
  await open(page, page.url());
  await expect(page.getByLabel('From reference to manner')).toHaveValue('20');
  await expect(page.getByLabel(/Passengers are four and a half heads tall/)).toBeChecked();
  await page.getByRole('button', { name: 'Master’s values' }).click();
  const steps = page.getByLabel('The reference in the master’s value steps');
  await expect(steps).toHaveCSS('visibility', 'visible', { timeout: 180_000 });
  const greys = await steps.evaluate(
    (c: HTMLCanvasElement) => new Set(new Uint32Array(c.getContext('2d')!.getImageData(0, 0, c.width, c.height).data.buffer)).size,
  );
  expect(greys).toBe(5);
  await page.getByRole('link', { name: 'Print the ghost' }).click();
  await expect(page.getByLabel(/^Ghost of .*20\s% toward the manner/)).toHaveCSS('visibility', 'visible', { timeout: 180_000 });
});

test('a student’s own picture becomes a reference; its points are asked for one by one', async ({ page }) => {
  await demo(page);
  const study = await ownStudy(page, `Reference ${Date.now()}`);
  await open(page, `${origin()}/studies/${study}/make`);
  await expect(page.getByText(/A reference is the picture a student draws from/)).toBeVisible();
  await page.getByLabel('Add a reference').setInputFiles({ name: 'neighbour.png', mimeType: 'image/png', buffer: await madePicture() });
  await expect(page.getByText('Next point: top of the head. Click on it in the picture.')).toBeVisible({ timeout: 120_000 });
  await expect(page.getByText(/No work of the study has these points placed yet/)).toBeVisible();
  await page.locator('html[data-alive]').waitFor({ state: 'attached' });
  const placed = saved(page, 'PUT', /\/landmarks\/reference\//);
  await page
    .getByRole('img', { name: 'neighbour' })
    .first()
    .click({ position: { x: 120, y: 60 }, force: true });
  await placed;
  await expect(page.getByText('1 of 23 points')).toBeVisible();
});

test('compared pieces hang on the wall, open from the list, and take points by hand', async ({ page }) => {
  const { ids } = await demo(page);
  const ready = await compared(page, ids.study, 2);
  await open(page, `${origin()}/studies/${ids.study}/hanging`);
  await expect(page.getByLabel(/pieces by closeness and own invention/)).toBeVisible();
  const one = ready.find((p) => p.kind === 'original') ?? ready[0];
  await page.getByRole('link', { name: one.student }).first().click();
  await expect(page).toHaveURL(/compare\?piece=/);
  await expect(page.getByRole('heading', { name: new RegExp(one.student) })).toBeVisible();
  await open(page, `${origin()}/studies/${ids.study}/pieces?piece=${one.id}&points=face-front`);
  await expect(page.getByText('Next point: top of the skull. Click on it in the picture.')).toBeVisible();
  const placed = saved(page, 'PUT', /\/landmarks\/piece\//);
  await page
    .getByRole('img', { name: new RegExp(`^${one.student}`) })
    .first()
    .click({ position: { x: 150, y: 80 }, force: true });
  await placed;
  await expect(page.getByText('1 of 36 points')).toBeVisible();
});

test('the report is one PDF with a page for each student who has a compared piece', async ({ page }) => {
  const { ids } = await demo(page);
  await compared(page, ids.study, 2);
  const answer = await page.request.get(`${origin()}/api/studies/${ids.study}/report`, { timeout: 180_000 });
  expect(answer.headers()['content-type']).toBe('application/pdf');
  const pdf = await answer.body();
  expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
  const pages = pdf.toString('latin1').match(/\/Type \/Page\b(?!s)/g)!.length;
  const students = new Set((await compared(page, ids.study, 2)).map((p) => p.student)).size;
  // Title with rules, palette, plan, the class at a glance, and one a student; more may have arrived meanwhile.
  expect(pages).toBeGreaterThanOrEqual(4 + Math.min(2, students));
  const empty = await page.request.get(`${origin()}/api/studies/${await ownStudy(page, `Bare ${Date.now()}`)}/report`);
  expect(empty.status()).toBe(400);
  expect(((await empty.json()) as { error: string }).error).toMatch(/at least one work/);
});

test('the report is made while one looks, goes on when one leaves, and is opened when it is ready', async ({ page }) => {
  const { ids } = await demo(page);
  await open(page, `${origin()}/studies/${ids.study}/look`);
  await page.getByRole('link', { name: 'Report', exact: true }).first().click();
  await expect(page).toHaveURL(/report$/);
  // One that was made a moment ago is still there; this one is made from the beginning.
  await page.getByRole('button', { name: 'Make it anew' }).click({ timeout: 120_000 });
  await expect(page.getByText('it goes on being made')).toBeVisible();
  await page.goto(`${origin()}/studies/${ids.study}/hanging`);
  await open(page, `${origin()}/studies/${ids.study}/report`);
  await expect(page.getByText(/It is ready: \d+ pages/)).toBeVisible({ timeout: 120_000 });
  const pages = Number((await page.getByText(/It is ready/).textContent())!.match(/\d+/));
  expect(pages).toBeGreaterThan(3);
  expect(await faults(page)).toEqual([]);
  const href = await page.getByRole('link', { name: 'Open the report' }).getAttribute('href');
  const answer = await page.request.get(`${origin()}${href}`);
  expect(answer.headers()['content-type']).toBe('application/pdf');
});

test('plan, make, pieces, compare and hanging have no accessibility faults that axe can find', async ({ page }) => {
  const { ids } = await demo(page);
  await compared(page, ids.study, 1);
  for (const path of ['plan', 'plan/run', 'plan/warm-ups', 'board', 'make', 'pieces', 'compare', 'hanging']) {
    await open(page, `${origin()}/studies/${ids.study}/${path}`);
    await page.waitForTimeout(1500);
    expect(await faults(page), path).toEqual([]);
  }
});
