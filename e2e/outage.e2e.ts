import { expect, test, type Page } from '@playwright/test';
import { ownServer } from './ownServer';
import { keyBound, ready, type ServerBench } from './support';
import { prepared } from './table';

// what a tablet keeps is the point here
test.use({ serviceWorkers: 'allow' });

/** The worker has kept the page that stands open, with its parts. */
const isKept = (page: Page, path: string): Promise<boolean> =>
  page.evaluate(async (at) => {
    const pages = await caches.open('strickle-pages-1');
    const parts = await (await caches.open('strickle-parts-1')).keys();
    return (await pages.match(at)) !== undefined && parts.length > 10;
  }, path);
const keptThere = (page: Page): Promise<void> =>
  expect.poll(() => isKept(page, new URL(page.url()).pathname)).toBe(true);
/** Ottilie's visit of today, opened from Today. */
async function openedVisit(page: Page, base: string): Promise<string> {
  await page.goto(`${base}/`);
  await ready(page);
  await page.getByRole('button', { name: 'Ottilie Brandvik' }).first().click();
  await expect(page).toHaveURL(/\/consult$/);
  return page.url().split('/').at(-2) ?? '';
}
const SAYS = 'The server does not answer. This is what this tablet has kept';

test('a table that is loaded anew during an outage stands as it stood, goes on, and all of it arrives', async ({
  page,
}) => {
  const server = await ownServer();
  const { base } = server;
  try {
    await server.start();
    const visitId = await openedVisit(page, base);
    const kinds = async (): Promise<readonly string[]> =>
      ((await (await page.request.get(`${base}/api/visits/${visitId}`)).json()) as ServerBench).journal
        .map((e) => e.kind)
        .filter((k) => k !== 'step');
    await page.getByRole('button', { name: /^Asked/ }).click();
    await expect(page).toHaveURL(/\/chart$/);
    await page.goto(`${base}/visits/${visitId}/work`);
    await page.getByRole('button', { name: /^As last time/ }).click();
    await prepared(page);
    await keyBound(page, 'w');
    await keptThere(page);
    // after the page was kept: what the server has acknowledged since must stand there too
    await page.keyboard.press('w');
    await page.waitForTimeout(6000);
    await page.keyboard.press('PageDown');
    await expect.poll(kinds).toEqual(['wrist', 'laid']);
    const act = (): Promise<string | null> => page.locator('[data-state][data-act]').getAttribute('data-act');
    const before = await act();
    // it is kept a moment after it was heard
    await page.waitForTimeout(1000);

    await server.kill();
    await page.reload();
    await expect(page.getByText(SAYS)).toBeVisible();
    // the strip lies there as before
    await expect.poll(act).toBe(before);
    expect(before).not.toBe('wrist');
    await keyBound(page, 'h');
    await page.keyboard.press('h');
    await expect(page.getByRole('main').getByText('Server away: kept on this tablet')).toBeVisible();
    // and once more: what was done during the outage stays over another reload
    await page.reload();
    await expect(page.getByText(SAYS)).toBeVisible();
    await server.start();
    await expect.poll(kinds).toEqual(['wrist', 'laid', 'hold']);
    await expect(page.getByText(SAYS)).toBeHidden();
  } finally {
    await server.kill();
  }
});

test('a client’s form that is loaded anew during an outage holds every answer and takes more', async ({ page }) => {
  const server = await ownServer();
  const { base } = server;
  try {
    await server.start();
    const visitId = await openedVisit(page, base);
    const origin = { headers: { origin: base } };
    const handed = await page.request.post(`${base}/api/visits/${visitId}/form`, {
      ...origin,
      data: { personId: 'ines', newPin: '2468' },
    });
    const { formId } = (await handed.json()) as { formId: string };
    await page.goto(`${base}/form/${formId}`);
    await ready(page);
    await keptThere(page);
    // after the page was kept: what the server has acknowledged since must stand there too
    await page.getByRole('button', { name: 'Next' }).click();
    await page.getByRole('button', { name: /A scrub/ }).click();
    await page.getByLabel('When last?').selectOption('3 days ago');
    await expect(page.getByText('Saved', { exact: true })).toBeVisible();
    const said = async (): Promise<string> => {
      const form = (await (await page.request.get(`${base}/api/forms/${formId}`)).json()) as { data: unknown };
      return JSON.stringify(form.data);
    };
    await expect.poll(said).toContain('physical-exfoliant');

    await server.kill();
    await page.reload();
    await expect(page.getByText(SAYS)).toBeVisible();
    await expect(page.getByRole('button', { name: /A scrub/ })).toHaveAttribute('aria-pressed', 'true');
    await expect(page.getByLabel('When last?')).toHaveValue('3');
    await page.getByLabel('When last?').selectOption({ index: 1 });
    await expect(page.getByText('Kept on this tablet')).toBeVisible();
    await server.start();
    await expect(page.getByText('Saved', { exact: true })).toBeVisible();
    await expect(page.getByText(SAYS)).toBeHidden();
    await page.reload();
    await ready(page);
    await expect(page.getByLabel('When last?')).not.toHaveValue('3');
  } finally {
    await server.kill();
  }
});

test('is an application of its own to the browser, and keeps nothing once somebody came to the door', async ({
  page,
}) => {
  const server = await ownServer('start');
  const { base } = server;
  try {
    await server.start();
    const manifest = (await (await page.request.get(`${base}/manifest.webmanifest`)).json()) as {
      display: string;
      icons: { src: string }[];
    };
    expect(manifest.display).toBe('standalone');
    expect(manifest.icons.length).toBeGreaterThan(1);
    for (const { src } of manifest.icons) expect((await page.request.get(base + src)).ok()).toBe(true);
    await page.goto(`${base}/first`);
    await expect(page.getByRole('heading', { level: 1 }).first()).toBeVisible();
    await page.evaluate(async () => {
      await navigator.serviceWorker.register('/sw.js');
      await navigator.serviceWorker.ready;
      const pages = await caches.open('strickle-pages-1');
      await pages.put('/visits/a/work', new Response('health notes'));
    });
    // as the door does when it is opened
    await page.evaluate(async () => {
      const known = await navigator.serviceWorker.getRegistration();
      known?.active?.postMessage({ kind: 'forget' });
    });
    await expect.poll(() => page.evaluate(() => caches.has('strickle-pages-1'))).toBe(false);
  } finally {
    await server.kill();
  }
});
