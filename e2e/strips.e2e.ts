import { expect, test } from '@playwright/test';
import { bench } from './support';

test('the strips say how the hand takes them off, and go on paper one zone a page, without a name', async ({ page }) => {
  const made = await page.request.post('/api/visits', { data: { clientId: 'ottilie', zones: [{ zone: 'knee', side: 'left' }, { zone: 'brow', side: 'left' }] } });
  const { visitId } = (await made.json()) as { visitId: string };
  const { plan } = await bench(page.request, visitId);
  const [knee, brow] = plan.zones;
  await page.goto(`/visits/${visitId}/strips`);
  const first = knee?.strips[0];
  if (!first || !brow) throw new Error('the knee has strips');
  expect(first.pulls).toBeGreaterThan(1);
  await page.getByRole('button', { name: String(first.order), exact: true }).first().click();
  await expect(page.getByText(first.handwork ?? '')).toBeVisible();
  // the browser's own print: a page for each zone, nothing else of the app on it
  await expect(page.getByRole('button', { name: 'Print the strips' })).toBeVisible();
  const pdf = (await page.pdf({ format: 'A4', margin: { top: '12mm', bottom: '12mm', left: '12mm', right: '12mm' } })).toString('latin1');
  expect(pdf.match(/\/Type\s*\/Page[^s]/g)).toHaveLength(2);
  await page.evaluate(() => window.dispatchEvent(new Event('beforeprint')));
  const paper = page.locator('[data-paper]');
  await expect(paper).toHaveCount(1);
  expect(await paper.textContent()).not.toContain('Ottilie');
  expect(await paper.textContent()).toContain('test on your wrist');
  expect(await paper.getByRole('row', { includeHidden: true }).count()).toBe(2 + plan.zones.reduce((n, z) => n + z.strips.length, 0));
  await page.evaluate(() => window.dispatchEvent(new Event('afterprint')));
  await expect(paper).toHaveCount(0);
});
