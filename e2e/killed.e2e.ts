import { expect, test, type Page } from '@playwright/test';
import type { ServerBench } from './support';
import { keyBound, ready } from './support';
import { ownServer } from './ownServer';
import { prepared } from './table';

const saved = (page: Page): Promise<void> => expect(page.locator('[data-sync="saved"]').first()).toBeVisible();
/** The pieces of a page that come after it: killed before that it is a page half loaded, which says so. */
const whole = (page: Page): Promise<void> => page.waitForTimeout(2500);
const away = (page: Page): Promise<void> => expect(page.locator('[data-sync="waiting"]').first()).toBeVisible();

test('a whole visit with the server killed and started again at five places: nothing lost, nothing done twice', async ({
  page,
}) => {
  const server = await ownServer();
  const { base } = server;
  const bench = async (id: string): Promise<ServerBench> =>
    (await (await page.request.get(`${base}/api/visits/${id}?plan=wait`)).json()) as ServerBench;
  /** Dies, something is done meanwhile, comes back, and what was done arrives. */
  const dies = async (meanwhile: () => Promise<void>): Promise<void> => {
    await server.kill();
    await meanwhile();
    await away(page);
    await server.start();
    await saved(page);
  };
  try {
    await server.start();
    await page.goto(`${base}/`);
    await ready(page);
    await page.getByRole('button', { name: 'Ottilie Brandvik' }).first().click();
    await expect(page).toHaveURL(/\/consult$/);
    const visitId = page.url().split('/').at(-2) ?? '';
    await whole(page);
    const at = `${base}/visits/${visitId}`;
    await saved(page);

    // 1 at the consultation
    await dies(async () => {
      await page.getByRole('button', { name: /Show$/ }).click();
      await page.getByRole('radiogroup', { name: 'Coffee or stimulants today' }).getByText('Yes').click();
      // the page that holds what waits stays where it is
      await page.getByRole('link', { name: /^Chart/ }).click();
      await page.waitForTimeout(500);
      await expect(page).toHaveURL(/\/consult$/);
    });
    await page.getByRole('button', { name: /^Asked/ }).click();
    await expect(page).toHaveURL(/\/chart$/);
    // 2 on the chart, once all of it has come
    await expect(page.getByRole('application')).toHaveAttribute('data-hairs', /[1-9]/);
    await whole(page);
    const strokes = (await bench(visitId)).zones[0]?.data.strokes.length ?? 0;
    await dies(async () => {
      await page.getByRole('application').focus();
      await page.keyboard.press('Shift+ArrowRight');
    });
    expect((await bench(visitId)).zones[0]?.data.strokes.length).toBeGreaterThan(strokes);
    await page.goto(`${at}/work`);
    await page.getByRole('button', { name: /^As last time/ }).click();
    await prepared(page);
    await keyBound(page, 'w');
    await whole(page);
    // 3 at the table, with wax on the skin
    await page.keyboard.press('w');
    // as long as a lay takes at least
    await page.waitForTimeout(6000);
    await page.keyboard.press('PageDown');
    const acts = async (): Promise<number> => (await bench(visitId)).journal.filter((e) => e.kind !== 'step').length;
    await expect.poll(acts).toBe(2);
    const { plan, planHash } = await bench(visitId);
    await server.kill();
    await page.keyboard.press('h');
    await expect(page.getByRole('main').getByText('Server away: kept on this tablet')).toBeVisible();
    await server.start();
    await expect.poll(acts).toBe(3);
    expect(await bench(visitId)).toMatchObject({ planHash });
    // 4 at the reading
    await page.goto(`${at}/read`);
    await ready(page);
    await whole(page);
    await dies(() => page.getByRole('radio', { name: 'pink' }).click());
    // 5 at the end: asked while it is away, and again when it is back
    await page.goto(`${at}/return`);
    await ready(page);
    await expect(page.getByRole('list', { name: 'Free places' })).toBeVisible();
    await whole(page);
    await page.getByRole('checkbox', { name: /Told/ }).check();
    const close = page.getByRole('button', { name: /Book .* and close the visit$/ });
    await server.kill();
    await close.click();
    await expect(page.getByText('The server does not answer.')).toBeVisible();
    await server.start();
    await close.click();
    await expect(page).toHaveURL(/:\d+\/$/);

    const after = await bench(visitId);
    expect(after).toMatchObject({ visit: { status: 'closed' }, planHash });
    expect(after.plan.zones).toEqual(plan.zones);
    expect(JSON.stringify(after.visit.consult)).toContain('caffeine');
    expect(after.journal.map((e) => e.kind).filter((k) => k !== 'step')).toEqual(['wrist', 'laid', 'hold']);
    expect(new Set(after.journal.map((e) => e.id)).size).toBe(after.journal.length);
    const record = (await (await page.request.get(`${base}/api/clients/ottilie/record`)).json()) as {
      bookings: { id: string; startsAtMs: number; status: string }[];
      visits: { id: string; readings: unknown[] }[];
    };
    // beside the one of today, which lies ahead or behind by the hour at which this runs
    expect(
      record.bookings.filter(
        (b) => b.id !== 'demo-booking-ottilie' && b.status === 'booked' && b.startsAtMs > Date.now(),
      ),
    ).toHaveLength(1);
    expect(record.visits.find((v) => v.id === visitId)?.readings).toHaveLength(1);
  } finally {
    await server.kill();
  }
});
