import { expect, test } from '@playwright/test';
import { axeFaults } from './axe';
import { ownServer } from './ownServer';
import { ready } from './support';

test('an empty studio is led to its first plan: left in the middle, gone on with, by keys and by hand', async ({
  browser,
}) => {
  const server = await ownServer('start');
  await server.start();
  try {
    const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
    await page.goto(`${server.base}/`);
    await expect(page).toHaveURL(/\/first$/);
    await expect(page.getByRole('button', { name: 'That is its name' })).toBeDisabled();
    expect(await axeFaults(page)).toEqual([]);
    await page.getByRole('textbox', { name: 'Name of the studio' }).fill('Low Tide');
    await page.getByRole('button', { name: 'That is its name' }).press('Enter');
    await page.getByRole('textbox', { name: /^Your name/ }).fill('Mara');
    await page.getByLabel('A PIN, four to eight digits').fill('24');
    await expect(page.getByRole('button', { name: 'That is me' })).toBeDisabled();
    await page.getByLabel('A PIN, four to eight digits').fill('2468');
    await page.getByRole('button', { name: 'That is me' }).click();
    await expect(page.getByRole('heading', { name: 'Which waxes stand on your shelf?' })).toBeVisible();
    // left, and gone on with: what was taken is there
    await page.reload();
    await expect(page.getByRole('heading', { name: 'Which waxes stand on your shelf?' })).toBeVisible();
    await expect(page.getByRole('button', { name: /^1 Name/ })).toContainText('Low Tide');
    await page.getByRole('button', { name: /^Film hard wax/ }).click();
    await page.getByRole('button', { name: /^Firm sugar paste/ }).click();
    await expect(page.getByText('Without soft wax large legs and arms take longer.')).toBeVisible();
    expect(await axeFaults(page)).toEqual([]);
    await page.getByRole('button', { name: 'These 2 stand here' }).click();
    await page.getByRole('switch', { name: 'Saturday open' }).click();
    await page.getByRole('button', { name: 'These are our hours' }).click();
    await page.getByRole('textbox', { name: 'First and last name' }).fill('Ada Finch');
    await page.getByRole('button', { name: 'Make the card' }).click();
    await expect(page.getByRole('heading', { name: /^Comb this arm/ })).toBeVisible();
    await expect(page.getByRole('button', { name: 'To your day' })).toBeDisabled();
    const sheet = page.getByRole('application');
    await sheet.focus();
    for (let k = 0; k < 8; k++) await page.keyboard.press('ArrowDown');
    await page.keyboard.press('Shift+ArrowDown');
    await expect(page.getByRole('heading', { name: 'Your first plan' })).toBeVisible();
    await expect(page.getByText(/^\d+ strips, about \d+ min at the table, an estimate\.$/)).toBeVisible();
    await page.getByRole('button', { name: 'To your day' }).click();
    await expect(page).toHaveURL(`${server.base}/`);
    await ready(page);
    // it does not come back, and what was said is there
    await page.goto(`${server.base}/first`);
    await expect(page).toHaveURL(`${server.base}/`);
    await page.goto(`${server.base}/hours`);
    await expect(page.getByRole('switch', { name: 'Saturday open' })).not.toBeChecked();
    await page.goto(`${server.base}/clients`);
    await expect(page.getByRole('link', { name: /Ada Finch/ })).toBeVisible();
    // another browser needs the PIN
    const stranger = await (await browser.newContext({ storageState: { cookies: [], origins: [] } })).newPage();
    await stranger.goto(`${server.base}/`);
    await expect(stranger).toHaveURL(/\/door$/);
    await expect(stranger.getByRole('heading', { name: 'Low Tide' })).toBeVisible();
  } finally {
    await server.kill();
  }
});
