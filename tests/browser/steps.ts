/** What browser tests do again and again. */
import AxeBuilder from '@axe-core/playwright';
import { expect, Page } from '@playwright/test';
import { NEW_STUDY } from '../support/study';

export { madePicture } from '../support/pictures';

export const origin = (): string => process.env.OLDHAND_TEST_ORIGIN ?? '';

/** Opens an address and waits until the page has come alive, so that clicks and files are not lost. */
export async function open(page: Page, address: string): Promise<void> {
  await page.goto(address);
  await page.locator('html[data-alive]').waitFor({ state: 'attached' });
}

/**
 * Accessibility faults axe finds on a page at rest: with its title streamed in, nothing being saved, and every colour taken to the
 * end of its change (not waited for: a change on a page that paints nothing never ends by itself). Each names the rule and the
 * first element that breaks it.
 */
export async function faults(page: Page): Promise<string[]> {
  await expect(page).toHaveTitle(/./);
  await expect(page.locator('button:disabled', { hasText: 'Saving' })).toHaveCount(0);
  await page.evaluate(() => {
    for (const change of document.getAnimations()) if (change.effect?.getComputedTiming().iterations !== Infinity) change.finish();
  });
  const { violations } = await new AxeBuilder({ page }).analyze();
  return violations.map((v) => `${v.id}: ${v.nodes[0].html.slice(0, 160)}`);
}

/** Answered when a change has been stored. */
export const saved = (page: Page, method: string, path: RegExp) =>
  page.waitForResponse((r) => r.request().method() === method && path.test(r.url()) && r.ok(), { timeout: 60_000 });

interface DemoIds {
  study: string;
  work: string;
  picture: string;
  works: { id: string; pictureId: string; title: string }[];
  /** Method and path of every route that names something of the demo's. */
  routes: [string, string][];
}

/** Signs in to the demo by its button and tells what is in it. */
export async function demo(page: Page): Promise<{ ids: DemoIds }> {
  await open(page, `${origin()}/sign-in`);
  await page.getByRole('button', { name: 'Look round with the demo class' }).click();
  await expect(page).toHaveURL(/studies/);
  const studies = (await (await page.request.get(`${origin()}/api/studies`)).json()) as { id: string; title: string }[];
  const study = studies.find((s) => s.title.startsWith('Harbour'))!.id;
  const works = (await (await page.request.get(`${origin()}/api/studies/${study}/works`)).json()) as DemoIds['works'];
  const rules = (await (await page.request.get(`${origin()}/api/studies/${study}/rules`)).json()) as { id: string }[];
  const references = (await (await page.request.get(`${origin()}/api/studies/${study}/references`)).json()) as {
    id: string;
  }[];
  const reference = references[0].id;
  const [{ id: ownClass, students }] = (await (await page.request.get(`${origin()}/api/classes`)).json()) as {
    id: string;
    students: { id: string }[];
  }[];
  const student = students[0].id;
  const [{ id: kit, materials }] = (await (await page.request.get(`${origin()}/api/kits`)).json()) as {
    id: string;
    materials: { id: string }[];
  }[];
  const material = materials[0].id;
  const work = works[0].id;
  const routes: [string, string][] = [
    ['GET', `/api/studies/${study}`],
    ['PATCH', `/api/studies/${study}`],
    ['DELETE', `/api/studies/${study}`],
    ['POST', `/api/studies/${study}/copy`],
    ['GET', `/api/studies/${study}/templates`],
    ['POST', `/api/studies/${study}/templates`],
    ['GET', `/api/studies/${study}/parts?empty=1`],
    ['GET', `/api/studies/${study}/motifs`],
    ['POST', `/api/studies/${study}/motifs`],
    ['GET', `/api/studies/${study}/drills`],
    ['POST', `/api/studies/${study}/drills`],
    ['GET', `/api/studies/${study}/works`],
    ['POST', `/api/studies/${study}/works`],
    ['GET', `/api/studies/${study}/rules`],
    ['POST', `/api/studies/${study}/rules`],
    ['PATCH', `/api/studies/${study}/rules/${rules[0].id}`],
    ['DELETE', `/api/studies/${study}/rules/${rules[0].id}`],
    ['GET', `/api/studies/${study}/edits`],
    ['POST', `/api/studies/${study}/edits`],
    ['GET', `/api/studies/${study}/progress`],
    ['POST', `/api/studies/${study}/progress`],
    ['DELETE', `/api/studies/${study}/progress`],
    ['GET', `/api/classes/${ownClass}`],
    ['PATCH', `/api/classes/${ownClass}`],
    ['DELETE', `/api/classes/${ownClass}`],
    ['POST', `/api/classes/${ownClass}/students`],
    ['POST', `/api/classes/${ownClass}/next`],
    ['GET', `/api/kits/${kit}`],
    ['PATCH', `/api/kits/${kit}`],
    ['DELETE', `/api/kits/${kit}`],
    ['POST', `/api/kits/${kit}/materials`],
    ['POST', `/api/kits/${kit}/swatches`],
    ['PUT', `/api/kits/${kit}/swatches`],
    ['PATCH', `/api/materials/${material}`],
    ['DELETE', `/api/materials/${material}`],
    ['GET', `/api/students/${student}`],
    ['PATCH', `/api/students/${student}`],
    ['DELETE', `/api/students/${student}`],
    ['GET', `/api/students/${student}/everything`],
    ['POST', `/api/studies/${study}/stand`],
    ['POST', `/api/studies/${study}/samples`],
    ['PUT', `/api/studies/${study}/works/order`],
    ['GET', `/api/studies/${study}/hand`],
    ['GET', `/api/studies/${study}/plan`],
    ['PUT', `/api/studies/${study}/plan`],
    ['GET', `/api/studies/${study}/plan/calendar`],
    ['POST', `/api/studies/${study}/plan/pictures`],
    ['GET', `/api/studies/${study}/plan/runs`],
    ['POST', `/api/studies/${study}/plan/runs`],
    ['GET', `/api/studies/${study}/steps`],
    ['POST', `/api/studies/${study}/steps`],
    ['DELETE', `/api/studies/${study}/steps/none`],
    ['GET', `/api/studies/${study}/warm-ups?sheet=gap`],
    ['GET', `/api/studies/${study}/report`],
    ['POST', `/api/studies/${study}/report`],
    ['GET', `/api/studies/${study}/pieces`],
    ['POST', `/api/studies/${study}/pieces`],
    ['GET', `/api/studies/${study}/references`],
    ['POST', `/api/studies/${study}/references`],
    ['PATCH', `/api/references/${reference}`],
    ['POST', `/api/references/${reference}`],
    ['DELETE', `/api/references/${reference}`],
    ['GET', `/api/landmarks/reference/${reference}`],
    ['PUT', `/api/landmarks/reference/${reference}`],
    ['GET', `/api/works/${work}/shapes`],
    ['PUT', `/api/works/${work}/shapes`],
    ['GET', `/api/works/${work}/carry`],
    ['GET', `/api/works/${work}`],
    ['PATCH', `/api/works/${work}`],
    ['DELETE', `/api/works/${work}`],
    ['POST', `/api/works/${work}/crop`],
    ['POST', `/api/works/${work}/straighten`],
    ['POST', `/api/works/${work}/parts`],
    ['POST', `/api/works/${work}/facts`],
    ['DELETE', `/api/works/${work}/facts?id=none`],
    ['POST', `/api/works/${work}/pins`],
    ['DELETE', `/api/works/${work}/pins?id=none`],
    ['GET', `/api/landmarks/work/${work}`],
    ['PUT', `/api/landmarks/work/${work}`],
    ['PATCH', `/api/landmarks/work/${work}`],
  ];
  return { ids: { study, work, picture: works[0].pictureId, works, routes } };
}

/** A study of this page's own teacher, empty. */
export async function ownStudy(page: Page, title: string): Promise<string> {
  const answer = await page.request.post(`${origin()}/api/studies`, {
    headers: { origin: origin() },
    data: { ...NEW_STUDY, title },
  });
  expect(answer.ok()).toBe(true);
  return ((await answer.json()) as { id: string }).id;
}

interface Compared {
  id: string;
  student: string;
  kind: string;
  closeness: number | null;
}

/** Waits until so many pieces of a study, of a kind where one is named, have been compared. */
export async function compared(page: Page, study: string, many: number, kind?: string): Promise<Compared[]> {
  for (;;) {
    const list = (await (await page.request.get(`${origin()}/api/studies/${study}/pieces`)).json()) as Compared[];
    const ready = list.filter((p) => p.closeness !== null && (kind === undefined || p.kind === kind));
    if (ready.length >= many) return ready;
    await page.waitForTimeout(1000);
  }
}
