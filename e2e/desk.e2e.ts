import { expect, test, type Locator, type Page } from '@playwright/test';
import { axeFaults } from './axe';
import { readFileSync } from 'node:fs';
import ICAL from 'ical.js';
import { openVisit, ready } from './support';

const DAY_MS = 86_400_000;
/** A choice by its words. */
const label = (page: Page, name: string): Locator => page.locator('label').filter({ hasText: new RegExp(`^${name}$`) });
/** A day of the week after next: nothing is booked there by the demo. */
const inDays = (days: number): string => new Date(Date.now() + days * DAY_MS).toISOString().slice(0, 10);

test('who is ready when: as they were worked, with sugar sooner, and from there into the week', async ({ page }) => {
  await page.goto('/ready');
  await ready(page);
  const rows = page.getByRole('listitem').filter({ has: page.getByRole('link', { name: /^Wilhelmina/ }) });
  await expect(rows).toHaveCount(1);
  // the left edge of the bar: when it opens
  const bar = async (): Promise<string> => {
    const style = (await rows.locator('[style*="width"]').getAttribute('style')) ?? '';
    return Number(/left:\s*([\d.]+)/.exec(style)?.[1]).toFixed(2);
  };
  const before = await bar();
  await label(page, 'With sugar').click();
  await expect.poll(bar).not.toBe(before);
  await label(page, 'As last time').click();
  await expect.poll(bar).toBe(before);
  // keys: the radio group by arrows
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('radio', { name: 'With hard wax' })).toBeChecked();
  await rows.getByRole('link', { name: 'To the week' }).click();
  await expect(page).toHaveURL(/\/week\?on=/);
  await page.goBack();
  await expect(page).toHaveURL(/\/ready$/);
  await page.goto('/clients');
  await ready(page);
  await expect(page.getByRole('link', { name: /Wilhelmina.*last \d/s })).toBeVisible();
});

/** Counts the motions in which lists of the page open from here on. */
async function motionsSeen(page: Page): Promise<() => Promise<number>> {
  await page.evaluate(() => {
    const { dataset } = document.documentElement;
    dataset['motions'] = '0';
    const isMotion = (node: Node): boolean =>
      node instanceof HTMLElement && /ant-slide-\w+-(enter|appear)-active/.test(node.className);
    new MutationObserver((changes) => {
      const seen = changes.filter((c) => isMotion(c.target) || [...c.addedNodes].some(isMotion)).length;
      dataset['motions'] = String(Number(dataset['motions']) + seen);
    }).observe(document.body, { subtree: true, childList: true, attributes: true, attributeFilter: ['class'] });
  });
  return () => page.evaluate(() => Number(document.documentElement.dataset['motions']));
}

test('somebody waits, is offered the first place that suits, is booked by one tap; without motion', async ({
  page,
}) => {
  await page.emulateMedia({ reducedMotion: 'reduce' });
  await page.goto('/week');
  await ready(page);
  await page.getByRole('button', { name: 'Somebody waits' }).click();
  const motions = await motionsSeen(page);
  await page.getByRole('combobox', { name: 'Client who waits' }).fill('Wilh');
  await page
    .getByTitle(/^Wilhelmina/)
    .first()
    .click();
  expect(await motions()).toBe(0);
  // where nobody asks for less, lists open as they do everywhere; heard without a new page
  await page.emulateMedia({ reducedMotion: 'no-preference' });
  await page.getByRole('combobox', { name: 'With whom' }).click();
  await expect(page.getByTitle('with Bao', { exact: true }).first()).toBeVisible();
  expect(await motions()).toBeGreaterThan(0);
  await page.keyboard.press('Escape');
  await page.getByRole('textbox', { name: 'A word on it' }).fill('before the race');
  await page.getByRole('button', { name: 'Put on the list' }).click();
  await expect(page.getByRole('heading', { name: 'Waiting, 1' })).toBeVisible();
  await expect(page.getByText(/before the race/)).toBeVisible();
  const offer = page.getByRole('button', { name: /^Book \w{3} \d+ \w{3}, \d\d:\d\d, / });
  await page.getByRole('button', { name: 'Offer it by message' }).click();
  await expect(page.getByRole('button', { name: /^Offered .*; offer again$/ })).toBeVisible();
  await offer.click();
  await expect(page.getByText(/^Wilhelmina.* is booked: /)).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Waiting', exact: true })).toBeVisible();
  expect(await axeFaults(page)).toEqual([]);
});

test('a calendar goes out as a file, comes in as away time, and its private address can be closed', async ({
  page,
  request,
}) => {
  await page.goto('/hours');
  await ready(page);
  await label(page, 'Rook').click();
  await expect(page.getByRole('heading', { name: 'Rook’s calendar' })).toBeVisible();
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Calendar file' }).click(),
  ]);
  const text = readFileSync(await file.path(), 'utf8');
  const calendar = new ICAL.Component(ICAL.parse(text) as [string, ...unknown[]]);
  expect(calendar.getAllSubcomponents('vevent').length).toBeGreaterThan(0);
  expect(text).not.toContain('Roux');
  // wrong input first: nothing is taken, and it is said
  const input = page.getByLabel('Calendar file of Rook');
  await input.setInputFiles({ name: 'a.ics', mimeType: 'text/calendar', buffer: Buffer.from('name,phone') });
  await expect(page.getByText('This is no iCalendar file (.ics). Nothing was changed.')).toBeVisible();
  const on = inDays(16).replaceAll('-', '');
  const school = ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//x//y//EN', 'BEGIN:VEVENT', 'UID:s', 'SUMMARY:School']
    .concat([`DTSTART:${on}T110000`, `DTEND:${on}T130000`, 'END:VEVENT', 'END:VCALENDAR', ''])
    .join('\r\n');
  await input.setInputFiles({ name: 'b.ics', mimeType: 'text/calendar', buffer: Buffer.from(school) });
  await page.getByRole('button', { name: 'Take 1' }).click();
  await expect(page.getByText(/1 busy time of Rook taken/)).toBeVisible();
  await page.getByRole('button', { name: 'Private address for a calendar program' }).click();
  const address = (await page.locator('code').innerText()).trim();
  expect((await request.get(address)).ok()).toBe(true);
  // a calendar program has no cookie: it is no tablet, and becomes none
  const stranger = await fetch(address);
  expect(stranger.headers.get('set-cookie')).toBeNull();
  expect(await stranger.text()).toContain('BEGIN:VEVENT');
  expect((await fetch(address.replace(/.{8}\.ics$/, 'AAAAAAAA.ics'))).status).toBe(404);
  await page.getByRole('button', { name: 'Close the address' }).click();
  await expect.poll(async () => (await request.get(address)).status()).toBe(404);
  expect(await axeFaults(page)).toEqual([]);
});

test('the hours of one person are their own; coming late says what still fits', async ({ page }) => {
  await page.goto('/hours');
  await ready(page);
  await label(page, 'Bao').click();
  await page.getByRole('checkbox', { name: /works as the studio is open/ }).uncheck();
  await page.getByRole('switch', { name: 'Monday open' }).click();
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('Saved.')).toBeVisible();
  await page.reload();
  await ready(page);
  await label(page, 'Bao, own hours').click();
  await expect(page.getByRole('switch', { name: 'Monday open' })).not.toBeChecked();
  await page.getByRole('checkbox', { name: /works as the studio is open/ }).check();
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('Saved.')).toBeVisible();
  await page.goto('/week');
  await ready(page);
  await page
    .getByRole('button', { name: /^Corwin Asare/ })
    .first()
    .click();
  await page.getByText('Coming late').click();
  await label(page, '20').click();
  await expect(page.getByText(/^All of it (still fits: over at|is over at) \d\d:\d\d/)).toBeVisible();
});

test('the care card as a PDF and into the simulated post box; reminders written once; a message as a file', async ({
  page,
  request,
}) => {
  const visitId = await openVisit(request, 'teodora');
  await request.get(`/api/visits/${visitId}?plan=wait`);
  await page.goto(`/visits/${visitId}/return`);
  await ready(page);
  const [card] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Card, A5' }).click(),
  ]);
  expect(
    readFileSync(await card.path())
      .subarray(0, 5)
      .toString(),
  ).toBe('%PDF-');
  await page.getByRole('button', { name: 'Post it' }).click();
  await page.getByRole('link', { name: 'Simulated post box' }).click();
  await expect(page.getByText('Simulated: nothing is sent from here.')).toBeVisible();
  const write = page.getByRole('button', { name: /^Write \d+ reminders?$/ });
  await write.click();
  await expect(write).toHaveCount(0);
  await page.reload();
  await expect(page.getByRole('heading', { name: /messages in the post box$/ })).toBeVisible();
  await expect(write).toHaveCount(0);
  await page.getByText('After your wax', { exact: true }).first().click();
  const [mail] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Export as .eml' }).first().click(),
  ]);
  expect(readFileSync(await mail.path(), 'utf8')).toContain('Subject: ');
  expect(await axeFaults(page)).toEqual([]);
});

test('the day: pots under the visits, a remedy one tap away, the tray ticked off and kept, other days by arrows', async ({
  page,
}) => {
  await page.goto('/');
  await ready(page);
  await expect(page.getByRole('heading', { level: 1 })).not.toBeEmpty();
  // the curve of each pot is worked out beside the page; a lane says in words what it shows
  const lane = page.getByRole('img', { name: /^Film hard wax.*: / });
  await expect(lane).toBeVisible();
  await expect(page.getByText('working it out …')).toHaveCount(0);
  const marit = page.getByRole('listitem').filter({ hasText: 'Marit Ovesen' }).filter({ hasText: 'Nothing holds' });
  await expect(marit.getByRole('button', { name: /^Move to \w{3} \d+ \w{3}, \d\d:\d\d$/ })).toBeVisible();
  const jory = page.getByRole('listitem').filter({ hasText: 'guardian' });
  await expect(jory.getByRole('button', { name: 'To the consultation' })).toBeVisible();
  expect(await axeFaults(page)).toEqual([]);
  await page.getByRole('link', { name: 'The day after' }).click();
  await expect(page).toHaveURL(/\?on=/);
  await page.goBack();
  await expect(page).toHaveURL(/\/$/);
  const tomorrow = new Date(Date.now() + 2 * DAY_MS).toISOString().slice(0, 10);
  await page.goto(`/?on=${tomorrow}`);
  await ready(page);
  const first = page.getByRole('checkbox').first();
  const key = await page.getByText(/^0 of \d+$/).innerText();
  await first.focus();
  await page.keyboard.press('Space');
  await expect(page.getByText(key.replace('0 of', '1 of'))).toBeVisible();
  await page.reload();
  await ready(page);
  await expect(first).toBeChecked();
  const [card] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Tray card, A5' }).click(),
  ]);
  expect(
    readFileSync(await card.path())
      .subarray(0, 5)
      .toString(),
  ).toBe('%PDF-');
  // a tall screen and a phone: nothing runs out at the side
  const over: number[] = [];
  for (const width of [820, 360]) {
    await page.setViewportSize({ width, height: 1000 });
    await page.goto('/');
    await ready(page);
    over.push(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth));
  }
  expect(over).toEqual([0, 0]);
});
