import { expect, test } from '@playwright/test';
import { axeFaults } from './axe';
import { ready } from './support';

test('the trail: what was written and whose card was looked at stands there, is looked through, and follows line by line', async ({
  page,
}) => {
  await page.goto('/');
  await page.context().addCookies([{ name: 'strickle-person', value: 'bao', url: new URL(page.url()).origin }]);
  const strip = { level: 'leg', piece: 'plain', points: 70, out: 90, broken: 9, left: 1, fault: null };
  expect((await page.request.post('/api/practice/strips', { data: strip })).ok()).toBe(true);
  // what is refused leaves no line
  expect((await page.request.post('/api/practice/strips', { data: { ...strip, points: -1 } })).status()).toBe(422);
  await page.goto('/clients/teodora');
  await ready(page);
  await page.goto('/studio');
  await page.getByRole('link', { name: 'The trail' }).click();
  await ready(page);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Every line follows from the one before');
  const lines = page.getByRole('listitem').filter({ hasText: /\d\d:\d\d/ });
  await expect(lines.filter({ hasText: 'Card looked at: Teodora' }).first()).toContainText('Bao');
  await expect(lines.filter({ hasText: 'Bao' }).filter({ hasText: 'Practice written' }).first()).toBeVisible();
  expect(await axeFaults(page)).toEqual([]);
  await page.getByRole('combobox', { name: 'What kind' }).click();
  await page.getByTitle('looked at', { exact: true }).click();
  await expect(lines.filter({ hasText: 'Practice written' })).toHaveCount(0);
  await expect(lines.first()).toContainText('looked at');
  // by keys: somebody else did nothing of it
  await page.getByRole('combobox', { name: 'By whom' }).press('ArrowDown');
  await page.getByTitle('Rook').click();
  await expect(page.getByText('No line is like that.')).toBeVisible();
  const table = await page.request.get('/api/studio/trail/csv?person=bao');
  expect(await table.text()).toContain('GET /clients/teodora');
  for (const wrong of ['on=2027-02-30', 'kind=all', 'person=%2F', 'before=0']) {
    expect((await page.request.get(`/api/studio/trail?${wrong}`)).status()).toBe(422);
  }
  await page.setViewportSize({ width: 360, height: 780 });
  // the list that was open closes beside it
  await expect.poll(() => page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(360);
  await page.reload();
  await ready(page);
  await expect(lines.first()).toBeVisible();
  await expect.poll(() => page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(360);
});
