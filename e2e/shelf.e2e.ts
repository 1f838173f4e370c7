import { expect, test, type Locator, type Page } from '@playwright/test';
import { axeFaults } from './axe';
import { ready } from './support';

const row = (page: Page, name: string): Locator => page.getByRole('article', { name });
const side = (page: Page): Locator => page.getByRole('complementary', { name: 'Orders and lots' });

test('the shelf: a delivery comes, the shelf is counted, retail is sold down to what is kept, a lot is recalled', async ({
  page,
  request,
}) => {
  await page.goto('/pots');
  await ready(page);
  await page.getByRole('link', { name: 'Shelf' }).click();
  await expect(page).toHaveURL(/\/shelf$/);
  await ready(page);
  // what other tests have poured from it is their affair
  const before = (await (await request.get('/api/shelf')).json()) as { rows: { id: string; amount: number }[] };
  const cream = before.rows.find((r) => r.id === 'cream-hard')?.amount ?? 0;
  await expect(row(page, 'Cream hard wax, tablets')).toContainText(`${cream} g`);
  expect(await axeFaults(page)).toEqual([]);
  // a delivery
  await side(page).getByRole('combobox', { name: 'What came' }).fill('Cream');
  await page.getByTitle('Cream hard wax, tablets').last().click();
  await expect(side(page).getByRole('spinbutton', { name: 'How much came' })).toHaveValue('1000');
  await side(page).getByRole('textbox', { name: 'Lot', exact: true }).fill('C-119');
  await side(page).getByRole('button', { name: 'Onto the shelf' }).click();
  await expect(page.getByText('1,000 g of Cream hard wax, tablets stands on the shelf.')).toBeVisible();
  await expect(row(page, 'Cream hard wax, tablets')).toContainText(
    `${(cream + 1000).toLocaleString('en-GB')} g in 2 lots`,
  );
  // counted: only what was looked at
  await page.getByRole('button', { name: /^Count the shelf, about \d+ min$/ }).click();
  await expect(page.getByRole('button', { name: 'Keep the count of 0' })).toBeDisabled();
  await page.getByRole('spinbutton', { name: 'Counted: Sticks' }).fill('388');
  await page.getByRole('spinbutton', { name: 'Counted: Gloves, medium' }).fill('60');
  await page.getByRole('button', { name: 'Keep the count of 2' }).click();
  await expect(page.getByText('2 things counted.')).toBeVisible();
  await expect(row(page, 'Sticks')).toContainText('388');
  // sold down to what the table keeps
  const gel = row(page, 'Soothing gel, for sale');
  await gel.getByRole('button', { name: 'Sell one' }).click();
  await expect(gel).toContainText('1 may be sold, 3 kept for the table');
  await gel.getByRole('button', { name: 'Sell one' }).click();
  await expect(gel.getByRole('button', { name: 'Sell one' })).toBeDisabled();
  // as it is after a reload, and out as a table
  await page.reload();
  await ready(page);
  await expect(row(page, 'Sticks')).toContainText('388');
  const csv = await request.get('/api/shelf/orders');
  expect(csv.headers()['content-type']).toContain('text/csv');
  expect(await csv.text()).toMatch(/^order by,what,packs/);
  // who met a lot, by keys
  await side(page).getByRole('textbox', { name: 'Lot to recall' }).fill('F-207');
  await page.keyboard.press('Enter');
  await expect(side(page).getByText(/met F-207 on \d+ visits?\./)).toBeVisible();
  await side(page).getByRole('listitem').getByRole('link').first().click();
  await expect(page).toHaveURL(/\/clients\//);
  await page.goBack();
  await expect(page).toHaveURL(/\/shelf$/);
});

test('a thing of one’s own comes onto the list, is bought by other terms, and stands there with what came', async ({
  page,
}) => {
  await page.goto('/shelf');
  await ready(page);
  await side(page).getByText('How a thing is bought, another thing').click();
  await side(page).getByRole('textbox', { name: 'Name of the thing' }).fill('Aftercare oil');
  await side(page).getByRole('spinbutton', { name: 'kept' }).fill('2');
  await side(page).getByRole('button', { name: 'Onto the list' }).click();
  await expect(page.getByText('Aftercare oil is on the list: take in what came.')).toBeVisible();
  // a name stands once, and what was typed stays
  await side(page).getByRole('textbox', { name: 'Name of the thing' }).fill('aftercare oil');
  await side(page).getByRole('button', { name: 'Onto the list' }).click();
  await expect(page.getByText(/There is one of that name already/)).toBeVisible();
  await expect(side(page).getByRole('textbox', { name: 'Name of the thing' })).toHaveValue('aftercare oil');
  await side(page).getByRole('combobox', { name: 'What came' }).fill('Aftercare');
  await page.getByTitle('Aftercare oil').last().click();
  await side(page).getByRole('spinbutton', { name: 'How much came' }).fill('5');
  await side(page).getByRole('button', { name: 'Onto the shelf' }).click();
  await expect(row(page, 'Aftercare oil')).toContainText('3 may be sold, 2 kept for the table');
  expect(await axeFaults(page)).toEqual([]);
});

test('the shelf refuses what is not there, what is past and what is nothing', async ({ request }) => {
  const post = async (data: object): Promise<number> => (await request.post('/api/shelf', { data })).status();
  expect(await post({ delivery: { itemId: 'nothing', lot: '', amount: 5, expiresOn: null } })).toBe(404);
  expect(await post({ delivery: { itemId: 'stick', lot: '', amount: 0, expiresOn: null } })).toBe(422);
  expect(await post({ delivery: { itemId: 'stick', lot: '', amount: 5, expiresOn: '2020-01-01' } })).toBe(422);
  expect(await post({ sale: { itemId: 'stick', amount: 1 } })).toBe(422);
  expect(await post({ count: [] })).toBe(422);
});
