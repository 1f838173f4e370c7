import { expect, test } from '@playwright/test';
import { bench, saved } from './support';

test('why it stands first is in its row; what matters most today by touch and keys; what the house reaches for first changes the plan', async ({
  browser,
}) => {
  const context = await browser.newContext({ hasTouch: true, viewport: { width: 1280, height: 800 } });
  const page = await context.newPage();
  const made = await page.request.post('/api/visits', {
    data: { clientId: 'saoirse', zones: [{ zone: 'lower-leg-front', side: 'left' }] },
  });
  const { visitId } = (await made.json()) as { visitId: string };
  const before = await bench(page.request, visitId);
  await page.goto(`/visits/${visitId}/match`);
  const rows = page.getByRole('radiogroup', { name: 'Products and ways' });
  const zone = before.plan.zones[0];
  const chosen = zone?.options.find((o) => o.product === zone.choice?.product && o.way === zone.choice.way);
  if (!zone?.choice || !chosen) throw new Error('a leg has a product');
  const first = rows.getByRole('radio', { checked: true });
  await expect(first).toContainText(zone.choice.because[0]?.text ?? 'no reason');
  await expect(first).toContainText(`${Math.round(100 * chosen.removedShare)} %`);
  // every part of the cost at the desk, and they add up
  await page.getByText('All figures, with cost').click();
  await expect(page.getByRole('row').nth(1)).toContainText(chosen.cost.toFixed(1));
  expect(Object.values(chosen.parts).reduce((a, b) => a + b, 0)).toBeCloseTo(chosen.cost, 1);
  // what matters most: by touch, kept over a reload, taken back by a key
  await page.getByRole('button', { name: 'Quickest' }).tap();
  await expect(page.getByRole('button', { name: 'Quickest' })).toHaveAttribute('aria-pressed', 'true');
  await saved(page);
  const quick = (await bench(page.request, visitId)).plan.zones[0];
  const minutesOf = (o: { readonly parts: { readonly minutes: number }; readonly allMinutes: number } | undefined) =>
    (o?.parts.minutes ?? 0) / (o?.allMinutes ?? 1);
  expect(minutesOf(quick?.options.find((o) => o.eligible))).toBeCloseTo(3, 1);
  await page.reload();
  await expect(page.getByRole('button', { name: 'Quickest' })).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('button', { name: 'Quickest' }).press('Enter');
  await expect(page.getByRole('button', { name: 'Quickest' })).toHaveAttribute('aria-pressed', 'false');
  await saved(page);
  // the house reaches for sugar first, and back
  await page.goto('/products');
  await page.getByText('sugar', { exact: true }).tap();
  await expect(page.getByRole('button', { name: 'As shipped' })).toBeVisible();
  await page.waitForLoadState('networkidle');
  const sugar = (await bench(page.request, visitId)).plan.zones[0];
  expect(sugar?.choice?.family).toBe('sugar');
  await page.getByRole('button', { name: 'As shipped' }).click();
  await expect(page.getByRole('button', { name: 'As shipped' })).toBeHidden();
  await page.waitForLoadState('networkidle');
  expect((await bench(page.request, visitId)).plan.zones[0]?.choice?.product).toBe(zone.choice.product);
  await context.close();
});
