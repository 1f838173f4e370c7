import { expect, test, type Page } from '@playwright/test';
import { axeFaults } from './axe';
import { ready } from './support';

const title = (page: Page) => page.getByRole('heading', { level: 1 });
const step = (page: Page) => page.getByRole('list', { name: 'Steps of a batch' }).locator('[aria-current="step"]');
const minutesLeft = async (page: Page): Promise<number> => {
  const [, min = 'NaN'] = /About (\d+) min/.exec((await page.locator('section').first().textContent()) ?? '') ?? [];
  return Number(min);
};

test('a batch is weighed, boiled, taken off at a heat that was read, tried on the dish, boiled on, cooled, jarred', async ({
  page,
}) => {
  await page.clock.install();
  await page.goto('/pots');
  await ready(page);
  await page.getByRole('link', { name: 'Kitchen' }).click();
  await expect(title(page)).toHaveText('Weigh sugar, water and lemon');
  await expect(page.getByText('It burns deep and it sticks.')).toBeVisible();
  expect(await axeFaults(page)).toEqual([]);
  // too much for the pot is refused before it can foam over
  const jar = page.getByRole('spinbutton', { name: 'In the jar' });
  await jar.fill('4000');
  await expect(page.getByRole('alert').filter({ hasText: 'It would foam over' })).toBeVisible();
  await expect(page.getByRole('button', { name: /onto the heat/ })).toBeDisabled();
  await jar.fill('1000');
  await expect(page.getByTestId('sugar')).toHaveText('900 g');
  await page.getByRole('button', { name: /onto the heat/ }).click();
  await expect(step(page)).toContainText('Boil');
  // the page's clock goes on: what is left of the plan grows less
  await page.getByRole('button', { name: 'It boils and is clear' }).click();
  await expect(step(page)).toContainText('Cook');
  const before = await minutesLeft(page);
  await page.clock.fastForward('05:00');
  await expect.poll(() => minutesLeft(page)).toBeLessThanOrEqual(before - 4);
  // the end waits for a heat that was read; kept over a reload
  await expect(page.getByRole('button', { name: 'Off the heat: read it first' })).toBeDisabled();
  const reads = page.getByRole('spinbutton', { name: 'Heat read in the pot' });
  await reads.fill('110');
  await reads.press('Enter');
  await expect(page.getByTestId('heat')).toHaveText('110°');
  await page.getByRole('group', { name: 'Colour now' }).getByRole('button', { name: 'gold', exact: true }).click();
  await page.getByRole('button', { name: /^Crystals/ }).click();
  await expect(page.getByRole('button', { name: /^Crystals.*noted/ })).toBeVisible();
  expect(await axeFaults(page)).toEqual([]);
  await page.reload();
  await ready(page);
  await expect(page.getByTestId('heat')).toHaveText('110°');
  await expect(page.getByRole('button', { name: 'gold', exact: true })).toHaveAttribute('aria-pressed', 'true');
  await reads.fill('117');
  await page.getByRole('button', { name: 'Off the heat at 117°' }).click();
  // too soft on the dish: back on the heat, two kelvin further
  await page.getByRole('button', { name: 'Too soft: back on the heat' }).click();
  await expect(title(page)).toHaveText('Stir slowly. At 121° take it off.');
  await reads.fill('121');
  await page.getByRole('button', { name: 'Off the heat at 121°' }).click();
  await page.getByRole('button', { name: 'Right: into the cold bath' }).click();
  await page.getByRole('button', { name: 'Hands can take it' }).click();
  await page.getByRole('button', { name: 'It is opaque' }).click();
  await page.getByRole('spinbutton', { name: 'Weighed in the jar' }).fill('985');
  await page.getByRole('textbox', { name: 'How it turned out' }).fill('good and clear');
  await page.getByRole('button', { name: /^In the jar: S-\d+$/ }).click();
  await expect(title(page)).toHaveText('Weigh sugar, water and lemon');
  const log = page.getByRole('complementary', { name: 'Batches' }).getByRole('listitem').first();
  await expect(log).toContainText('121°');
  await expect(log).toContainText('985 g');
  await expect(log).toContainText('good and clear');
  // the jar stands on the shelf with the lot of its batch
  const [, lot = ''] = /(S-\d+)/.exec((await log.textContent()) ?? '') ?? [];
  const shelf = (await (await page.request.get('/api/shelf')).json()) as {
    rows: { id: string; lots: { lot: string; amount: number }[] }[];
  };
  const jars = shelf.rows.find((r) => r.id === 'sugar-firm')?.lots ?? [];
  expect(jars.find((l) => l.lot === lot)?.amount).toBe(985);
  // a batch that was good is cooked again
  await log.getByRole('button').first().click();
  await expect(jar).toHaveValue('985');
});

test('the kitchen refuses what is no heat and what comes out of order, and changes nothing', async ({ request }) => {
  const asks = [
    request.post('/api/kitchen', { data: { firmness: 'firm', sugarG: 99_999 } }),
    request.post('/api/kitchen', { data: { firmness: 'brittle', sugarG: 900 } }),
    request.post('/api/kitchen/nobody', { data: { heat: 100 } }),
    request.post('/api/kitchen/nobody', { data: { heat: 900 } }),
    request.put('/api/kitchen/settings', { data: { version: 1, kitchen: {} } }),
  ];
  const codes = (await Promise.all(asks)).map((r) => r.status());
  expect(codes).toEqual([422, 422, 404, 422, 422]);
  const kitchen = (await (await request.get('/api/kitchen')).json()) as { open: unknown };
  expect(kitchen.open).toBeNull();
});
