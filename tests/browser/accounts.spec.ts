/** Sign-in, sign-up, and that one teacher's things do not exist for another. */
import { expect, Page, test } from '@playwright/test';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { demo, open, origin } from './steps';

/** Method and path of every route of the application that names something by its id. */
function namedRoutes(): { method: string; pattern: RegExp }[] {
  const root = join(import.meta.dirname, '..', '..', 'app', 'api');
  return readdirSync(root, { recursive: true, encoding: 'utf8' })
    .filter((f) => f.endsWith('route.ts') && /\[\w+\]/.test(f))
    .flatMap((f) => {
      const path = f.replace(/\/route\.ts$/, '').replace(/\[\w+\]/g, '[^/]+');
      const methods = [...readFileSync(join(root, f), 'utf8').matchAll(/export const (GET|POST|PUT|PATCH|DELETE)\b/g)];
      return methods.map(([, method]) => ({ method, pattern: new RegExp(`^/api/${path}$`) }));
    });
}

/** The first of the demo's pieces to arrive. */
async function firstPiece(page: Page, study: string): Promise<string> {
  for (;;) {
    const [piece] = (await (await page.request.get(`${origin()}/api/studies/${study}/pieces`)).json()) as { id: string }[];
    if (piece) return piece.id;
    await page.waitForTimeout(500);
  }
}

test('a new teacher makes an account and begins a study; a wrong password is told', async ({ page }) => {
  await open(page, `${origin()}/`);
  await expect(page).toHaveURL(/sign-in/);
  await page.getByLabel('E-mail').fill('nobody@fennick.example');
  await page.getByLabel(/^Password/).fill('not-the-password');
  await page.getByRole('button', { name: 'Sign in', exact: true }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'not right' })).toBeVisible();
  await page.getByRole('button', { name: 'I have no account here yet' }).click();
  await page.getByLabel('Your name').fill('Ines M');
  await page.getByLabel('E-mail').fill(`ines-${Date.now()}@fennick.example`);
  await page.getByLabel(/^Password/).fill('a-long-enough-one');
  await page.getByRole('button', { name: 'Make an account' }).click();
  await expect(page.getByRole('heading', { name: 'Studies' })).toBeVisible();
  await page.getByRole('link', { name: 'New study' }).click();
  await page.getByRole('button', { name: 'Begin the study' }).click();
  await expect(page.getByText('Give the study a name.')).toBeVisible();
});

test('a teacher changes name, e-mail and password; the last two only with the password there is', async ({ page }) => {
  const email = `ida-${Date.now()}@fennick.example`;
  await open(page, `${origin()}/sign-in`);
  const made = await page.request.post(`${origin()}/api/auth/sign-up/email`, {
    headers: { origin: origin() },
    data: { email, password: 'a-long-enough-one', name: 'Ida M' },
  });
  expect(made.ok()).toBe(true);
  await open(page, `${origin()}/settings`);
  await page.getByLabel('Your name').fill('Ida N');
  await page.getByRole('button', { name: 'Change it' }).click();
  await expect(page.getByText('Ida N').first()).toBeVisible();
  await page.getByLabel(/^New password/).fill('another-long-one');
  await page.getByLabel('Present password').fill('not-the-password');
  await page.getByRole('button', { name: 'Change it' }).click();
  await expect(page.getByText('This is not your present password.')).toBeVisible();
  await page.getByLabel('Present password').fill('a-long-enough-one');
  await page.getByRole('button', { name: 'Change it' }).click();
  await expect(page.getByText('Changed.')).toBeVisible();
  const enter = (password: string) =>
    page.request.post(`${origin()}/api/auth/sign-in/email`, { headers: { origin: origin() }, data: { email, password } });
  expect((await enter('a-long-enough-one')).status()).toBe(401);
  expect((await enter('another-long-one')).ok()).toBe(true);
});

test('another teacher gets 404 on every page and every route of a study, and no one gets in unsigned', async ({ page, playwright }) => {
  const { ids } = await demo(page);
  const piece = await firstPiece(page, ids.study);
  // The demo has no kind of points of its own until one is made.
  const kept = await page.request.post(`${origin()}/api/studies/${ids.study}/templates`, {
    headers: { origin: origin() },
    data: { template: { name: 'Buoy', points: [{ name: 'foot', at: [0, 1] }], shapes: [], unit: null, measures: [] } },
  });
  const template = `/api/studies/${ids.study}/templates/${((await kept.json()) as { id: string }).id}`;
  const motifMade = await page.request.post(`${origin()}/api/studies/${ids.study}/motifs`, {
    headers: { origin: origin() },
    data: { name: `Buoy ${Date.now()}` },
  });
  const motif = `/api/studies/${ids.study}/motifs/${((await motifMade.json()) as { id: string }).id}`;
  const paths = [
    ...[
      'look',
      'about',
      'proportion',
      'marks',
      'colour',
      'plan',
      'plan/sheet',
      'plan/run',
      'plan/warm-ups',
      'board',
      'make',
      'make/sheet',
      'pieces',
      'compare',
      'hanging',
      'report',
    ].map((s) => ['GET', `/studies/${ids.study}/${s}`]),
    ['GET', `/api/pictures/${ids.picture}`],
    ...ids.routes,
    ['GET', `/api/pieces/${piece}`],
    ['DELETE', `/api/pieces/${piece}`],
    ['PATCH', `/api/pieces/${piece}`],
    ['PUT', `/api/pieces/${piece}/corners`],
    ['PUT', `/api/pieces/${piece}/sheet`],
    ['PUT', `/api/pieces/${piece}/capture`],
    ['PUT', `/api/pieces/${piece}/notes`],
    ['POST', `/api/pieces/${piece}/notes`],
    ['GET', `/api/landmarks/piece/${piece}`],
    ['PUT', `/api/landmarks/piece/${piece}`],
    ['GET', `/api/pieces/${piece}/registered?work=${ids.work}`],
    ['PATCH', motif],
    ['DELETE', motif],
    ['GET', template],
    ['PATCH', template],
    ['DELETE', template],
  ];
  // No route that names something is left out of the list.
  for (const { method, pattern } of namedRoutes())
    expect(
      paths.some(([m, path]) => m === method && pattern.test(path.split('?')[0])),
      `${method} ${pattern.source} is tried`,
    ).toBe(true);
  const other = await playwright.request.newContext({ baseURL: origin(), extraHTTPHeaders: { origin: origin() } });
  const unsigned = await playwright.request.newContext({ baseURL: origin(), extraHTTPHeaders: { origin: origin() } });
  const made = await other.post('/api/auth/sign-up/email', {
    data: { email: `other-${Date.now()}@fennick.example`, password: 'a-long-enough-one', name: 'Other' },
  });
  expect(made.ok()).toBe(true);
  for (const [method, path] of paths) {
    const send = { method, data: method === 'GET' ? undefined : {}, maxRedirects: 0 };
    const theirs = await other.fetch(path, send);
    // A body that is not even looked at may be refused first, but never served.
    expect([404, 400], `${method} ${path}`).toContain(theirs.status());
    if (method === 'GET') expect(theirs.status(), path).toBe(404);
    const nobody = await unsigned.fetch(path, send);
    expect([401, 307], `${method} ${path} unsigned`).toContain(nobody.status());
  }
  await other.dispose();
  await unsigned.dispose();
});

test('pages carry the security headers, and a change from another site is refused', async ({ page }) => {
  const response = await page.goto(`${origin()}/sign-in`);
  const headers = response!.headers();
  expect(headers['x-content-type-options']).toBe('nosniff');
  expect(headers['x-frame-options']).toBe('DENY');
  expect(headers['content-security-policy']).toContain("default-src 'self'");
  expect(headers['x-powered-by']).toBeUndefined();
  await demo(page);
  const foreign = await page.request.post('/api/studies', { headers: { origin: 'http://elsewhere.example' }, data: {} }).catch(() => null);
  const status = foreign
    ? foreign.status()
    : (
        await page.request.fetch(`${origin()}/api/studies`, {
          method: 'POST',
          headers: { origin: 'http://elsewhere.example' },
          data: {},
        })
      ).status();
  expect(status).toBe(403);
});
