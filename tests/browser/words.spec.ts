/** Every screen and print sheet in a made-up language: what still shows English did not come through words/. */
import { expect, Page, test } from '@playwright/test';
import { compared, demo, open, origin } from './steps';

type Pseudo = 'en-x-pseudo' | 'ar-x-pseudo';

async function speak(page: Page, language: string | null): Promise<void> {
  const settings = (await (await page.request.get(`${origin()}/api/settings`)).json()) as Record<string, unknown>;
  const answer = await page.request.put(`${origin()}/api/settings`, { headers: { origin: origin() }, data: { ...settings, language } });
  expect(answer.status()).toBe(200);
}

/** What a person reads or hears on a page: its texts, and the names and hints of its controls. */
const readable = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const said: string[] = [document.title];
    const walk = (node: Node) => {
      if (node instanceof Text) {
        if (node.data.trim()) said.push(node.data.trim());
        return;
      }
      if (!(node instanceof Element) || ['SCRIPT', 'STYLE', 'NOSCRIPT', 'NEXT-ROUTE-ANNOUNCER'].includes(node.tagName)) return;
      for (const name of ['aria-label', 'aria-valuetext', 'title', 'alt', 'placeholder', 'label']) {
        const value = node.getAttribute(name)?.trim();
        if (value) said.push(value);
      }
      // What stands in a text field is what a person typed.
      if (node.tagName !== 'TEXTAREA') node.childNodes.forEach(walk);
    };
    walk(document.body);
    return said;
  });

/** The text without what a person typed, which stands between the marks that keep its direction apart. */
function withoutTyped(text: string): string {
  let before;
  do {
    before = text;
    text = text.replace(/\u2068[^\u2068\u2069]*\u2069/g, '');
  } while (text !== before);
  return text;
}

/** What of a page's texts is still in English: every vowel of the made-up language bears a mark. */
const english = (texts: readonly string[]): string[] => [...new Set(texts.map(withoutTyped).filter((t) => /[aeiouyAEIOUY]/.test(t)))];

interface Screens {
  /** Screens by name, and what is done on each before it is read. */
  [name: string]: { path: string; act?: (page: Page) => Promise<void> };
}

const openAll = async (page: Page) => {
  await page.evaluate(() => document.querySelectorAll('details').forEach((d) => (d.open = true)));
};

async function screensOf(page: Page): Promise<Screens> {
  const { ids } = await demo(page);
  const [copy] = await compared(page, ids.study, 1, 'copy');
  const [original] = await compared(page, ids.study, 1, 'original');
  const references = (await (await page.request.get(`${origin()}/api/studies/${ids.study}/references`)).json()) as { id: string }[];
  const [{ id: kit }] = (await (await page.request.get(`${origin()}/api/kits`)).json()) as { id: string }[];
  const of = (step: string) => `/studies/${ids.study}/${step}`;
  const key = (name: string) => (p: Page) => p.keyboard.press(name);
  return {
    studies: { path: '/studies' },
    deleting: {
      path: '/studies',
      act: async (p) => void (await p.locator('main li button').first().click(), await p.locator('dialog').waitFor()),
    },
    classes: { path: '/classes', act: openAll },
    'a student': { path: '/classes', act: async (p) => void (await p.locator('main section li button').first().click()) },
    cupboard: { path: '/cupboard', act: openAll },
    'colours by photograph': {
      path: '/cupboard',
      act: async (p) => void (await p.locator('main section button:has(svg.lucide-camera)').first().click()),
    },
    'swatch sheet': { path: `/cupboard/sheet?kit=${kit}` },
    'a material': { path: '/cupboard', act: async (p) => void (await p.locator('main section li button').first().click()) },
    settings: { path: '/settings' },
    'new study': {
      path: '/studies/new',
      act: async (p) => void (await p.locator('form .btn-primary').click(), await p.locator('.text-error').first().waitFor()),
    },
    look: { path: of('look'), act: async (p) => void (await openAll(p), await p.keyboard.press('?')) },
    camera: {
      path: of('look'),
      act: async (p) =>
        void (await p
          .locator('aside button', { has: p.locator('svg') })
          .nth(1)
          .click()),
    },
    cropping: { path: of('look'), act: async (p) => void (await p.locator('aside button:has(svg.lucide-crop)').click()) },
    straightening: { path: of('look'), act: async (p) => void (await p.locator('aside button:has(svg.lucide-scan)').click()) },
    'a part': { path: of('look'), act: async (p) => void (await p.locator('aside button:has(svg.lucide-frame)').click()) },
    'what is read': {
      path: of('look'),
      act: async (p) =>
        void (
          await p.locator('aside button:has(svg.lucide-eye-off)').click(),
          await p.locator('.bench-note button:has(svg.lucide-plus)').click()
        ),
    },
    'the hand': {
      path: of('look/hand'),
      act: async (p) => void (await p.locator('aside ul li').first().waitFor({ timeout: 120_000 })),
    },
    'about the study': { path: of('about') },
    proportion: { path: of('proportion'), act: openAll },
    face: { path: `${of('proportion')}?template=face-front`, act: openAll },
    marks: { path: of('marks'), act: async (p) => void (await p.locator('aside .text-lg').nth(1).waitFor(), await openAll(p)) },
    colour: {
      path: of('colour'),
      act: async (p) =>
        void (await p.locator('aside button[aria-pressed]').nth(1).click(), await p.locator('aside ol li').first().waitFor()),
    },
    plan: { path: of('plan'), act: async (p) => void (await p.locator('ol button[aria-expanded]').nth(2).click()) },
    'a step written': {
      path: of('plan'),
      act: async (p) => void (await p.locator('button:has(svg.lucide-pen-line)').last().click(), await openAll(p)),
    },
    board: { path: `${of('board')}?period=1` },
    'warm-ups': { path: `${of('plan')}/warm-ups` },
    'plan sheet': { path: `${of('plan')}/sheet` },
    'run sheet': { path: `${of('plan')}/run` },
    make: { path: of('make'), act: async (p) => void (await p.waitForTimeout(800), await openAll(p)) },
    'ghost sheet': { path: `${of('make')}/sheet?reference=${references[0].id}&template=figure-standing` },
    shapes: { path: `${of('proportion')}?view=shapes` },
    inventory: { path: `${of('proportion')}?view=inventory` },
    'carrying over': { path: `${of('proportion')}?work=${ids.work}&view=carry` },
    'parts to choose': { path: `${of('proportion')}?view=parts` },
    'train the eye': { path: `${of('proportion')}?view=eye` },
    pieces: { path: of('pieces') },
    corners: { path: `${of('pieces')}?piece=${copy.id}` },
    'points of a piece': { path: `${of('pieces')}?piece=${copy.id}&points=figure-standing`, act: openAll },
    'compare a copy': { path: `${of('compare')}?piece=${copy.id}`, act: openAll },
    'compare an original': { path: `${of('compare')}?piece=${original.id}`, act: async (p) => void (await openAll(p), await key('?')(p)) },
    hanging: { path: of('hanging') },
    'nothing there': { path: '/studies/none/look' },
  };
}

async function eachScreen(page: Page, language: Pseudo, look: (name: string) => Promise<void>): Promise<void> {
  const screens = await screensOf(page);
  await speak(page, language);
  try {
    for (const [name, { path, act }] of Object.entries(screens)) {
      await open(page, origin() + path);
      await act?.(page);
      await look(name);
    }
  } finally {
    await speak(page, null);
  }
}

test('in a made-up language no screen and no print sheet shows English', async ({ page, browser }) => {
  const found: Record<string, string[]> = {};
  let texts = 0;
  await eachScreen(page, 'en-x-pseudo', async (name) => {
    const read = await readable(page);
    texts += read.length;
    const left = english(read);
    if (left.length) found[name] = left;
  });
  expect(found).toEqual({});
  expect(texts).toBeGreaterThan(1500);
  const stranger = await browser.newContext({ locale: 'en-x-pseudo' });
  const signIn = await stranger.newPage();
  await open(signIn, `${origin()}/sign-in`);
  expect(english(await readable(signIn))).toEqual([]);
  await signIn.locator('input[name=email]').fill('nobody@example.org');
  await signIn.locator('input[name=password]').fill('not the password');
  await signIn.locator('form .btn-primary').click();
  await expect(signIn.locator('form [role=alert] p')).toBeVisible();
  await signIn.locator('form .link').click();
  expect(english(await readable(signIn))).toEqual([]);
  await stranger.close();
});

test('in a made-up language that runs from right to left every screen holds, and print stays left to right', async ({ page }) => {
  const wide: Record<string, number> = {};
  await eachScreen(page, 'ar-x-pseudo', async (name) => {
    const seen = await page.evaluate(() => {
      const name = document.querySelector('header a')?.getBoundingClientRect();
      return {
        direction: document.documentElement.dir,
        over: document.documentElement.scrollWidth - document.documentElement.clientWidth,
        nameEndsRight: name ? window.innerWidth - name.right < 40 : true,
        sheet: getComputedStyle(document.querySelector('[dir=ltr]') ?? document.body).direction,
      };
    });
    expect([name, seen.direction, seen.nameEndsRight]).toEqual([name, 'rtl', true]);
    if (seen.over > 1) wide[name] = seen.over;
    if (name.endsWith('sheet')) expect([name, seen.sheet]).toEqual([name, 'ltr']);
  });
  expect(wide).toEqual({});
});

test('German is chosen in Settings, and what the core said before is said in it, undo and refusals too', async ({ page }) => {
  const { ids } = await demo(page);
  const [piece] = await compared(page, ids.study, 1);
  await open(page, `${origin()}/settings`);
  await page.getByLabel('Language').selectOption('Deutsch');
  await expect(page.getByRole('heading', { name: 'Einstellungen' })).toBeVisible();
  await expect(page.locator('html')).toHaveAttribute('lang', 'de-DE');
  try {
    await open(page, `${origin()}/studies/${ids.study}/compare?piece=${piece.id}`);
    await expect(page.getByText('Außerhalb des Bereichs des Meisters')).toBeVisible();
    await open(page, `${origin()}/studies/${ids.study}/marks?work=${ids.work}`);
    const reading = page.locator('aside li', { hasText: 'Striche stehen' });
    const box = reading.locator('[aria-pressed]');
    const ticked = (await box.getAttribute('aria-pressed')) === 'true';
    if (ticked) await box.click();
    await expect(box).toHaveAttribute('aria-pressed', 'false');
    await box.click();
    // What is ticked is the hand's range over the works of its group, not what this one shows.
    await expect(page.getByLabel('Regel', { exact: true }).last()).toHaveValue(/^Abstand der Striche: 1,\d\smm bis [\d,]+\smm/);
    await expect(page.getByTitle(/^Regel „Abstand der Striche/)).toBeEnabled();
    const answer = await page.request.patch(`${origin()}/api/works/${ids.work}`, {
      headers: { origin: origin() },
      data: { version: 1, title: '' },
    });
    expect(await answer.json()).toMatchObject({ said: { key: 'errors.work.title' }, error: 'Give the work a title.', field: 'title' });
    await speak(page, 'en');
    await open(page, `${origin()}/studies/${ids.study}/marks?work=${ids.work}`);
    // The same rule, as it was ticked, in the language of whoever reads it now.
    await expect(page.getByLabel('Rule', { exact: true }).last()).toHaveValue(/^Gap between strokes: 1\.\d\smm to [\d.]+\smm/);
  } finally {
    await speak(page, null);
  }
});
