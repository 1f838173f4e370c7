import { expect, test, type Locator, type Page } from '@playwright/test';
import { axeFaults } from './axe';
import { ready } from './support';

const card = (page: Page, name: RegExp): Locator => page.getByRole('button', { name });
/** Wednesday of the week after next: nothing of the demo lies there. */
const far = (): string => {
  const day = new Date(Date.now() + 16 * 86_400_000);
  day.setUTCDate(day.getUTCDate() + ((3 - day.getUTCDay() + 7) % 7));
  return day.toISOString().slice(0, 10);
};

test('the week: booked by a tap, moved by keys and by mouse, a clash offers the free place, given up', async ({
  page,
  request,
}) => {
  const on = far();
  const week = async () =>
    (await (await request.get(`/api/week?on=${on}`)).json()) as {
      people: { id: string; name: string }[];
      bookings: {
        id: string;
        clientName: string;
        on: string;
        startMin: number;
        personId: string;
        what: string;
        minutes: number;
        table: string | null;
      }[];
    };
  const startOf = async (name: string): Promise<number> =>
    (await week()).bookings.find((b) => b.clientName.startsWith(name))?.startMin ?? -1;
  const [first] = (await week()).people;
  await page.goto('/');
  await page.getByRole('link', { name: 'Week', exact: true }).click();
  await expect(page).toHaveURL(/\/week$/);
  await page.goto(`/week?on=${on}`);
  await ready(page);
  const track = page.locator(`[data-column="${on} ${first?.id}"]`);
  const book = async (name: string, y: number, service?: string): Promise<void> => {
    await track.click({ position: { x: 20, y } });
    const field = page.getByRole('combobox', { name: 'Client to book' });
    await field.fill(name);
    await page
      .getByTitle(new RegExp(`^${name}`))
      .first()
      .click();
    const minutes = page.getByRole('spinbutton', { name: 'Minutes to book' });
    await expect(minutes).toBeVisible();
    if (service !== undefined) {
      await page.getByRole('combobox', { name: 'For which services' }).fill(service);
      await page.getByTitle(service).first().click();
      await page.keyboard.press('Escape');
      await expect(page.getByText(/^\d+ min by the list/)).toBeVisible();
      await minutes.fill('40');
    }
    await page.getByRole('button', { name: /^Book \d\d:\d\d$/ }).click();
    await expect(page.getByText(new RegExp(`^${name}.*is booked`))).toBeVisible();
  };
  await book('Hedda', 70);
  await book('Juno', 300, 'Upper lip');
  const lip = (await week()).bookings.find((b) => b.clientName.startsWith('Juno'));
  expect(lip).toMatchObject({ what: 'upper lip', minutes: 40, table: 'Window' });
  expect(await axeFaults(page)).toEqual([]);
  // by keys: a quarter later
  const start = await startOf('Hedda');
  await card(page, /^Hedda/).focus();
  await page.keyboard.press('m');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect.poll(() => startOf('Hedda')).toBe(start + 15);
  // Escape leaves it where it was
  await card(page, /^Hedda/).focus();
  await page.keyboard.press('m');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Escape');
  expect(await startOf('Hedda')).toBe(start + 15);
  // by mouse onto the other: refused, and the free place is taken
  const [from, to] = [await card(page, /^Hedda/).boundingBox(), await card(page, /^Juno/).boundingBox()];
  if (!from || !to) throw new Error('no cards');
  await page.mouse.move(from.x + 12, from.y + 6);
  await page.mouse.down();
  await page.mouse.move(to.x + 12, to.y + 8, { steps: 8 });
  await page.mouse.up();
  await expect(page.getByRole('heading', { name: /meets Juno’s visit/ })).toBeVisible();
  await page.getByRole('button', { name: /^\d\d:\d\d free$/ }).click();
  await expect(page.getByText(/^Hedda.* is on .* now\.$/)).toBeVisible();
  const [hedda, juno] = [await startOf('Hedda'), await startOf('Juno')];
  expect(hedda).not.toBe(start + 15);
  expect(Math.abs(hedda - juno)).toBeGreaterThanOrEqual(15);
  // nobody can have missed what lies ahead; given up, as it is after a reload
  await card(page, /^Juno/).click();
  await expect(page.getByRole('button', { name: 'Cancel the booking' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Did not come' })).toHaveCount(0);
  await page.reload();
  await ready(page);
  await card(page, /^Hedda/).click();
  await page.getByRole('button', { name: 'Cancel the booking' }).click();
  await page.getByRole('button', { name: 'Give it up' }).click();
  await expect(card(page, /^Hedda/)).toHaveCount(0);
  // whom the demo has booked in that week depends on the day of loading
  const names = (await week()).bookings.map((b) => b.clientName.split(' ')[0]);
  expect([names.includes('Juno'), names.includes('Hedda')]).toEqual([true, false]);
});
