import { expect, test, type Page } from '@playwright/test';
import { ZONES } from '../src/core/anatomy';
import { feltLimitC, workingWindow } from '../src/core/heat';
import { choiceFlips, type VisitCase } from '../src/core/plan';
import { SHIPPED_PRODUCTS } from '../src/core/products';
import { bench, ready, saved } from './support';

/** A visit of one's own, so that no other test meets it. */
async function freshVisit(page: Page, clientId = 'saoirse'): Promise<string> {
  const made = await page.request.post('/api/visits', {
    data: {
      clientId,
      zones: [
        { zone: 'underarm', side: 'left' },
        { zone: 'underarm', side: 'right' },
      ],
    },
  });
  expect(made.ok()).toBe(true);
  return ((await made.json()) as { visitId: string }).visitId;
}
const caseOf = async (page: Page, visitId: string): Promise<VisitCase> =>
  (await (await page.request.get(`/api/visits/${visitId}/case`)).json()) as VisitCase;
const number = async (page: Page, attribute: string): Promise<number> =>
  Number(await page.locator(`[${attribute}]`).first().getAttribute(attribute));

test('the thickness slider moves window, felt heat and set time by the engine’s own figures; what is tried can be planned with and taken back', async ({
  page,
}) => {
  const visitId = await freshVisit(page, 'ottilie');
  const fresh = await bench(page.request, visitId);
  for (const [i, z] of fresh.zones.entries()) {
    const put = await page.request.put(`/api/visits/${visitId}/charts/${z.zone}/${z.side}`, {
      data: {
        version: fresh.visit.version + i,
        data: {
          ...z.data,
          hair: { ...(z.data['hair'] as object), lengthMm: 8 },
          product: 'film-hard',
          way: 'with',
          reason: 'a slab to be tried',
        },
      },
    });
    expect(put.ok()).toBe(true);
  }
  await page.goto(`/visits/${visitId}/match`);
  await expect(page.locator('[data-flips=known]')).toBeVisible();
  const before = await bench(page.request, visitId);
  const [zone] = before.plan.zones;
  const product = SHIPPED_PRODUCTS.find((p) => p.id === zone?.choice?.product);
  if (!zone?.heat || !product?.manners.tab) throw new Error('film wax was asked for');
  const { sensitivity = 3 } = (await caseOf(page, visitId)).client;
  const { skin } = ZONES.underarm;
  const { tab: manner } = product.manners;
  const lowerLimitK = feltLimitC(skin, sensitivity) - zone.heat.limitC;
  const windowAt = (thicknessMm: number) =>
    workingWindow({ product, manner, mannerName: 'tab', skin, sensitivity, roomC: 22, lowerLimitK, thicknessMm });
  const slab = page.getByRole('slider', { name: /^Thickness/ });
  await expect(slab).not.toHaveAttribute('aria-disabled', 'true');
  const feltBefore = await number(page, 'data-felt');
  await slab.focus();
  for (let k = 0; k < 5; k++) await page.keyboard.press('ArrowRight');
  const thicker = Math.round((zone.heat.thicknessMm + 0.5) * 10) / 10;
  await expect(page.getByText(`Thickness ${thicker} mm`)).toBeVisible();
  expect(Math.abs((await number(page, 'data-feel-max')) - windowAt(thicker).feelMaxC)).toBeLessThan(0.1);
  expect(await number(page, 'data-feel-max')).toBeLessThan(windowAt(zone.heat.thicknessMm).feelMaxC);
  expect(await number(page, 'data-felt')).not.toBe(feltBefore);
  // beyond the window nothing can be planned
  const touch = page.getByRole('slider', { name: /^At touch/ });
  await touch.focus();
  await page.keyboard.press('End');
  await expect(page.getByText(/^Over the window, which ends at/)).toBeVisible();
  await page.getByRole('button', { name: 'thinner grips' }).click();
  await expect(page.getByRole('button', { name: 'Plan with it' })).toBeDisabled();
  await page.getByRole('button', { name: 'Leave it' }).click();
  await expect(page.getByText(`Thickness ${zone.heat.thicknessMm} mm`)).toBeVisible();
  // a thinner slab, by mouse on the rail, is taken with its reason, on both sides
  await slab.locator('..').click({ position: { x: 2, y: 6 } });
  await expect(page.getByText(`Thickness ${product.manners.tab.thicknessMm.min} mm`)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Plan with it' })).toBeDisabled();
  await page.getByRole('button', { name: 'thinner grips' }).click();
  await page.getByRole('button', { name: 'Plan with it' }).click();
  await saved(page);
  await expect(page.getByText(/^By hand: 1\.5 mm/)).toBeVisible();
  const after = await bench(page.request, visitId);
  for (const z of after.plan.zones) expect(z.heat?.thicknessMm).toBe(1.5);
  expect(after.plan.zones[0]?.strips[0]?.thicknessMm).toBe(1.5);
  await page.reload();
  await expect(page.getByText('thinner grips', { exact: false }).first()).toBeVisible();
  await expect(page.getByText(/1\.5 mm thick, as asked for by hand/)).toBeVisible();
  // by touch: the rail's far end, then left alone again
  await expect(slab).not.toHaveAttribute('aria-disabled', 'true');
  const box = await slab.locator('..').boundingBox();
  await slab.locator('..').tap({ position: { x: (box?.width ?? 100) - 3, y: 6 } });
  await expect(page.getByText(`Thickness ${product.manners.tab.thicknessMm.max} mm`)).toBeVisible();
  await page.getByRole('button', { name: 'Leave it' }).tap();
  await page.getByRole('button', { name: 'Back to the model' }).click();
  await saved(page);
  await expect(page.getByText(/^By hand: 1\.5 mm/)).toBeHidden();
  expect((await bench(page.request, visitId)).plan.zones[0]?.heat?.thicknessMm).toBe(zone.heat.thicknessMm);
});

test('what would flip the choice, and every figure at the desk, are those of the core; waxed skin has its own window', async ({
  page,
}) => {
  const visitId = await freshVisit(page);
  await page.goto(`/visits/${visitId}/match`);
  const flips = choiceFlips(await caseOf(page, visitId), 0);
  if (!flips.ok) throw new Error(flips.error.code);
  const section = page.locator('[data-flips=known]');
  await expect(section.getByRole('listitem')).toHaveCount(flips.value.length);
  for (const f of flips.value) {
    await expect(section).toContainText(
      f.input === 'length' ? `${f.at} mm` : `${f.input === 'coarseness' ? 'Coarseness' : 'Sensitivity'} ${f.at}`,
    );
  }
  // cost stands nowhere until it is asked for
  await expect(page.getByRole('columnheader', { name: 'material' })).toBeHidden();
  await page.getByText('All figures, with cost').click();
  const plan = (await bench(page.request, visitId)).plan;
  const eligible = plan.zones[0]?.options.filter((o) => o.eligible) ?? [];
  await expect(page.getByRole('row')).toHaveCount(eligible.length + 1);
  await expect(page.getByRole('row').nth(1)).toContainText(`${Math.round(100 * (eligible[0]?.removedShare ?? 0))} %`);
  await page.getByRole('radiogroup', { name: 'Skin' }).getByText('waxed skin').click();
  await expect(page.getByText('On waxed skin the same wax feels hotter', { exact: false })).toBeVisible();
  const later = plan.zones[0]?.heat?.laterPass;
  if (!later) throw new Error('a second pass is planned');
  await expect(
    page.getByRole('img', {
      name: new RegExp(`^Working heat at touch ${Math.round(later.min)} to ${Math.round(later.max)} degrees`),
    }),
  ).toBeVisible();
});

test('the catalogue by mouse, keys and touch: a wrong figure is kept as a draft and refused, a right one is planned with; files go out and come in', async ({
  page,
}) => {
  await page.goto('/studio');
  await page.getByRole('link', { name: 'Products' }).click();
  await page.getByRole('link', { name: 'Film hard wax, beads' }).click();
  await expect(page.getByRole('heading', { name: 'Film hard wax, beads' })).toBeVisible();
  const usual = page.locator('[data-path="manners.tab.thicknessMm.usual"]');
  await usual.fill('9');
  await expect(page.getByText('Must lie between 0.05 and 6 mm.')).toBeVisible();
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText(/not right yet. Nothing was sent/)).toBeVisible();
  await page.reload();
  await expect(page.getByText('Not saved yet: kept on this tablet')).toBeVisible();
  await expect(usual).toHaveValue(/^9/);
  await page.getByRole('button', { name: 'Give up the changes' }).click();
  await expect(usual).toHaveValue(/^2/);
  // the fit from what is seen says what does not fit
  await page.getByRole('button', { name: 'Fit', exact: true }).click();
  await expect(page.getByText(/^The model now says: slow 0\.0 K from what you saw, set/)).toBeVisible();
  await page.goBack();
  await expect(page).toHaveURL(/\/products$/);
  // a product of one's own, begun from another
  await page.getByRole('link', { name: 'Copy' }).first().click();
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('The name takes 2–80 letters.')).toBeVisible();
  await page.getByLabel('Name').fill('House film wax, beads');
  await page.getByRole('checkbox', { name: 'honey' }).click();
  await page.keyboard.press('Tab');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page).toHaveURL(/\/products$/);
  const own = page.getByRole('article').filter({ hasText: 'House film wax, beads' });
  await expect(own).toContainText('Contains honey');
  const visitId = await freshVisit(page);
  expect(
    (await bench(page.request, visitId)).plan.zones[0]?.options.some((o) => o.product === 'house-film-wax-beads'),
  ).toBe(true);
  await own.getByRole('checkbox').click();
  await expect(own.getByRole('checkbox')).not.toBeChecked();
  expect(
    (await bench(page.request, visitId)).plan.zones[0]?.options.some((o) => o.product === 'house-film-wax-beads'),
  ).toBe(false);
  // files
  const text = await (await page.request.get('/api/products/export')).text();
  const choose = async (content: string): Promise<void> => {
    await page
      .locator('input[type=file]')
      .setInputFiles({ name: 'products.json', mimeType: 'application/json', buffer: Buffer.from(content) });
  };
  await choose(text.replace('"grip": 0.85', '"grip": 8.5'));
  await expect(page.getByRole('alert').filter({ hasText: 'products[0].grip' })).toBeVisible();
  await choose('no json');
  await expect(page.getByRole('alert').filter({ hasText: 'not JSON' })).toBeVisible();
  await choose(
    text
      .replaceAll('house-film-wax-beads', 'house-film-two')
      .replace('House film wax, beads', 'House film wax, second'),
  );
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('House film wax, second');
  // by key: a dialog that still opens moves away under a pointer on a machine that stalls
  await dialog.getByRole('button', { name: 'Take in' }).press('Enter');
  await expect(page.getByRole('article').filter({ hasText: 'House film wax, second' })).toBeVisible();
  // put back what other tests plan with
  const second = page.getByRole('article').filter({ hasText: 'House film wax, second' });
  await second.getByRole('checkbox').click();
  await expect(second.getByRole('checkbox')).not.toBeChecked();
});

test('what counts is moved by keys, kept, and put back; by touch too', async ({ browser }) => {
  const context = await browser.newContext({ hasTouch: true, viewport: { width: 1280, height: 800 } });
  const page = await context.newPage();
  await page.goto('/products');
  await ready(page);
  const time = page.getByRole('slider', { name: /^Time/ });
  await time.focus();
  // quick steps: one save after the other, none refused as stale
  for (let k = 0; k < 4; k++) await page.keyboard.press('ArrowRight');
  await expect(page.getByText('Time 2.0 ×')).toBeVisible();
  await expect(page.getByText(/Another tablet has saved/)).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'As shipped' })).toBeVisible();
  await page.waitForLoadState('networkidle');
  await page.reload();
  await expect(page.getByText('Time 2.0 ×')).toBeVisible();
  await page.getByRole('button', { name: 'As shipped' }).tap();
  await expect(page.getByText('Time 1.0 ×')).toBeVisible();
  await expect(page.getByRole('button', { name: 'As shipped' })).toBeHidden();
  await context.close();
});
