import { expect, test, type APIRequestContext, type Page } from '@playwright/test';
import { axeFaults } from './axe';
import { ready } from './support';

const BALM = 'Tin of balm';

/** Something for sale that no other test knows, sold once. */
async function sellBalm(request: APIRequestContext): Promise<void> {
  const act = async (data: object): Promise<void> =>
    expect((await request.post('/api/shelf', { data })).ok(), JSON.stringify(data)).toBe(true);
  const thing = { name: BALM, kind: 'retail', unit: 'piece', pack: 1, deliveryDays: 4, reserve: 0, supplier: '' };
  await act({ thing });
  const shelf = (await (await request.get('/api/shelf')).json()) as {
    rows: { id: string; name: string }[];
    others: { id: string; name: string }[];
  };
  const itemId = [...shelf.rows, ...shelf.others].find((r) => r.name === BALM)?.id ?? '';
  await act({ delivery: { itemId, lot: 'B-1', amount: 3, expiresOn: null } });
  await act({ sale: { itemId, amount: 1 } });
}

const card = (page: Page) => page.getByRole('article', { name: `${BALM}, not entered` });

test('a day: a sale is entered, undone and entered again, a package sold, the day closed and closed for good', async ({
  page,
  request,
}) => {
  await sellBalm(request);
  await page.goto('/ledger');
  await ready(page);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^An hour of .+€\d+/);
  expect(await axeFaults(page)).toEqual([]);
  await page.getByRole('link', { name: 'Day', exact: true }).click();
  await expect(page).toHaveURL(/\/ledger\/day$/);
  await ready(page);
  // no price is entered: nothing can be tapped before one is said
  await expect(card(page).getByRole('button', { name: 'Cash' })).toBeDisabled();
  await card(page).getByRole('spinbutton').fill('12.5');
  await card(page).getByRole('button', { name: 'Cash' }).click();
  await expect(page.getByText(`${BALM}: entered.`)).toBeVisible();
  await expect(card(page)).toBeHidden();
  await page.getByRole('button', { name: `Undo ${BALM}` }).click();
  await page.getByRole('button', { name: 'Undo it' }).click();
  await expect(page.getByText(`${BALM}: undone.`)).toBeVisible();
  await card(page).getByRole('spinbutton').fill('11');
  await card(page).getByRole('button', { name: 'Card' }).press('Enter');
  await expect(card(page)).toBeHidden();
  await page.reload();
  await ready(page);
  await expect(page.getByRole('row').filter({ hasText: BALM }).filter({ hasText: '€11.00' })).toHaveCount(1);
  expect(await axeFaults(page)).toEqual([]);
  // yesterday: a package is entered for it, then it is closed
  await page.getByRole('link', { name: 'the day before' }).click();
  await expect(page).toHaveURL(/on=\d{4}-\d\d-\d\d$/);
  await ready(page);
  await page.getByText('Sell a gift, package or deposit').click();
  await page.getByRole('button', { name: 'Package' }).click();
  await expect(page.getByText('Still open: how much, whose, how many visits.')).toBeVisible();
  await page.getByRole('spinbutton', { name: 'How much it is sold for' }).fill('90');
  await page.getByRole('spinbutton', { name: 'For how many visits' }).fill('5');
  await page.getByRole('combobox', { name: 'Whose it is' }).fill('Corwin');
  await page.getByTitle('Corwin Asare').click();
  await page.getByRole('group').getByRole('button', { name: 'Transfer' }).click();
  await expect(page.getByText('Package of €90.00: entered.')).toBeVisible();
  await page.getByRole('spinbutton', { name: /^Cash counted/ }).fill('3');
  await expect(page.getByText('€3.00 more than the lines say.')).toBeVisible();
  await page.getByRole('button', { name: /^Close \w+day$/ }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/ is closed$/);
  await expect(page.getByText('Cash counted €3.00, the lines say €0.00.')).toBeVisible();
  await page.reload();
  await ready(page);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/ is closed$/);
  await expect(page.getByRole('button', { name: /^Close / })).toHaveCount(0);
  const on = new URL(page.url()).searchParams.get('on') ?? '';
  const late = await request.post('/api/ledger', {
    data: {
      onDate: on,
      act: { credit: { kind: 'gift', clientId: null, amountMinor: 1, paid: 'cash', uses: 0, item: null, words: '' } },
    },
  });
  expect(late.status()).toBe(422);
  expect(await late.text()).toContain('closed');
  // the book has it, and the table for the accountant
  await page.getByRole('link', { name: 'Book', exact: true }).click();
  await ready(page);
  await expect(
    page.getByRole('listitem').filter({ hasText: 'Package Corwin Asare: €90.00, 5 of 5 visits' }),
  ).toBeVisible();
  expect(await axeFaults(page)).toEqual([]);
  const csv = await (await request.get(`/api/ledger/csv?table=lines&from=${on}&to=${on}`)).text();
  expect(csv).toContain(',90.00,0.00,0,transfer,');
  expect((await request.get('/api/ledger/csv?table=all&from=x&to=y')).status()).toBe(422);
});

test('the year: a figure is said and taken back; what if is asked by keys and answers', async ({ page }) => {
  await page.goto('/ledger');
  await ready(page);
  const left = page.getByRole('heading', { name: /^From wish to truth/ });
  const before = await left.textContent();
  await page.getByRole('button', { name: /^Weeks off: 6/ }).click();
  await page.getByRole('spinbutton', { name: /Weeks off in a year/ }).fill('10');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByRole('button', { name: /^Weeks off: 10/ })).toBeVisible();
  await expect(left).not.toHaveText(before ?? '');
  await page.reload();
  await ready(page);
  await page.getByRole('button', { name: /^Weeks off: 10/ }).click();
  await page.getByRole('spinbutton', { name: /Weeks off in a year/ }).fill('6');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(left).toHaveText(before ?? '');
  await page.getByRole('button', { name: 'Another table' }).click();
  const handle = page.getByRole('slider', { name: /^Another table/ });
  await handle.press('End');
  await expect(page.getByRole('status').filter({ hasText: '100 % of it taken' })).toBeVisible();
  await handle.press('Home');
  await expect(page.getByRole('status').filter({ hasText: 'less' })).toBeVisible();
  await page.getByRole('button', { name: 'By person' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/ines|bao|rook/i);
});
