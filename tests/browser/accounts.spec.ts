/** Sign-in, sign-up, and that one teacher's things do not exist for another. */
import { expect, test } from '@playwright/test';
import { demo, open, origin } from './steps';

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

test('another teacher gets 404 on every page and every route of a study, and no one gets in unsigned', async ({
  page,
  playwright,
}) => {
  const { ids } = await demo(page);
  const paths = [
    ...[
      'look',
      'proportion',
      'marks',
      'colour',
      'plan',
      'plan/sheet',
      'make',
      'make/sheet',
      'pieces',
      'compare',
      'hanging',
    ].map((s) => ['GET', `/studies/${ids.study}/${s}`]),
    ['GET', `/api/pictures/${ids.picture}`],
    ...ids.routes,
  ];
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
  const foreign = await page.request
    .post('/api/studies', { headers: { origin: 'http://elsewhere.example' }, data: {} })
    .catch(() => null);
  const status = foreign
    ? foreign.status()
    : (
        await page.request.fetch(`${origin()}/api/studies`, {
          method: 'POST',
          headers: { origin: 'http://elsewhere.example' },
          data: {},
        })
      ).status();
  expect(status).toBe(400);
});
