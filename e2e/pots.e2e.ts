import { expect, test, type Locator, type Page } from '@playwright/test';
import { axeFaults } from './axe';
import { bench, confirmed, openVisit, ready } from './support';
import { actNow, mainKey, prepared } from './table';

const pot = (page: Page, name = 'Film hard wax'): Locator => page.getByRole('article', { name });
const inBar = (page: Page): Locator => page.getByRole('list', { name: 'Pots' });

async function measured(page: Page, tempC: number): Promise<void> {
  await pot(page)
    .getByLabel(/^Measured in/)
    .fill(String(tempC));
  await pot(page).getByRole('button', { name: 'Note what I measured' }).click();
  await expect(pot(page).getByTestId('heat')).toHaveText(`${tempC}°`);
}

test('a pot measured by hand stands in the bar of every page with the window of the visit that is next', async ({
  page,
  request,
}) => {
  await bench(request, await openVisit(request, 'ottilie'));
  await page.goto('/pots');
  await ready(page);
  await measured(page, 57);
  await expect(pot(page)).toContainText('by hand');
  await expect(pot(page)).toContainText('in the window');
  await expect(inBar(page).getByRole('link', { name: /Film hard wax.*57°.*in the window/ })).toBeVisible();
  expect(await axeFaults(page)).toEqual([]);
  // what is no heat is not taken, and nothing changes
  await pot(page)
    .getByLabel(/^Measured in/)
    .fill('abc');
  await expect(pot(page).getByRole('button', { name: 'Note what I measured' })).toBeDisabled();
  await page.reload();
  await ready(page);
  await expect(pot(page).getByTestId('heat')).toHaveText('57°');
  await page.goto('/clients');
  await expect(inBar(page).getByRole('link', { name: /57°/ })).toBeVisible();
  // the thermostat is set anew: what was measured before says nothing any more
  await page.goto('/pots');
  await ready(page);
  await pot(page)
    .getByLabel(/^Thermostat of/)
    .fill('60');
  await page.keyboard.press('Enter');
  await expect(pot(page)).toContainText('set to 60°');
  await expect(pot(page).getByTestId('heat')).toHaveText('–');
  await expect(page.getByText('film hard wax, beads, set to 60°')).toBeVisible();
});

test('a load from too warm a pot is warned of, wants the wrist or a second press, and the record says it', async ({
  page,
  request,
}) => {
  const made = await request.post('/api/visits', {
    data: { clientId: 'saoirse', zones: [{ zone: 'lower-leg-front', side: 'left' }] },
  });
  const { visitId: id } = (await made.json()) as { visitId: string };
  const { visit, zones } = await confirmed(request, id);
  const chosen = { ...zones[0]?.data, confirmed: true, product: 'film-hard', way: 'with', reason: 'client asks' };
  const put = await request.put(`/api/visits/${id}/charts/lower-leg-front/left`, {
    data: { version: visit.version, data: chosen },
  });
  expect(put.ok()).toBe(true);
  await bench(request, id);
  await page.goto('/pots');
  await ready(page);
  await measured(page, 66);
  await page.goto(`/visits/${id}/work`);
  await ready(page);
  await prepared(page);
  await expect(page.getByText(/Pot 66°, by hand: the wrist decides/)).toBeVisible();
  // a key that is locked a moment longer, because the machine stalls, is pressed again
  await expect(async () => {
    if ((await actNow(page)) === 'wrist') await mainKey(page).click();
    await expect(page.getByRole('heading', { name: /^Lay 1$/ })).toBeVisible({ timeout: 2000 });
  }).toPass();
  const warning = page.getByText(/^Pot 66°, over \d\d°: stir, cool, wrist anew\.$/);
  await expect(warning).toBeVisible();
  expect(await axeFaults(page)).toEqual([]);
  const journal = async (): Promise<readonly { kind: string; pot?: { tempC: number; from: string } }[]> =>
    ((await (await request.get(`/api/visits/${id}`)).json()) as { journal: { kind: string }[] }).journal;
  const laid = async () => (await journal()).filter((e) => e.kind === 'laid').length;
  // the wrist has said yes a moment ago: it decides, and no second press is wanted
  await expect(async () => {
    if ((await laid()) === 0) await mainKey(page).click();
    await expect(page.getByText('Press once more')).toHaveCount(0);
    await expect.poll(laid, { timeout: 2000 }).toBe(1);
  }).toPass();
  const events = await journal();
  expect(events.find((e) => e.kind === 'wrist')?.pot).toEqual({ tempC: 66, from: 'hand' });
  expect(events.find((e) => e.kind === 'laid')?.pot).toEqual({ tempC: 66, from: 'hand' });
  // for the tests that follow nothing is known of it any more
  const set = await request.post('/api/pots/pot-1/notes', { data: { kind: 'set', tempC: 57 } });
  expect(set.ok()).toBe(true);
});

test('the simulated sensor says that it is one, tells on its own, and falls silent by its fault', async ({ page }) => {
  await page.goto('/pots');
  await ready(page);
  const sugar = pot(page, 'Firm sugar paste');
  await sugar.getByText('Weigh, fill, way of heating, sensor').click();
  await sugar.getByRole('combobox', { name: /^Sensor of/ }).press('ArrowDown');
  await page.getByTitle('Simulated sensor').last().click();
  await expect(sugar.getByTestId('heat')).toHaveText(/2\d°/, { timeout: 60_000 });
  await expect(sugar).toContainText('simulated sensor');
  await sugar.getByRole('combobox', { name: /^Fault to try/ }).press('ArrowDown');
  await page.getByTitle('Loose plug: silent now and then').click();
  await expect(sugar.getByText('The sensor tells nothing')).toBeVisible({ timeout: 60_000 });
  await expect(sugar.getByTestId('heat')).toHaveText('–');
  // by hand again, as the tests that follow find it
  await sugar.getByRole('combobox', { name: /^Sensor of/ }).press('ArrowDown');
  await page.getByTitle('Measured by hand').last().click();
  await expect(sugar).toContainText('not measured');
});

test('a pot is weighed and filled up, how it felt is noted, and it is set as on the last day when it was right', async ({
  page,
}) => {
  await page.goto('/pots');
  await ready(page);
  const cream = pot(page, 'Cream hard wax');
  await cream.getByText('Weigh, fill, way of heating, sensor').click();
  const grams = cream.getByRole('spinbutton', { name: /^Wax in/ });
  await grams.fill('300');
  // what is seen at this pot leads to the figures of its wax
  const fit = cream.getByRole('link', { name: /fit it from what is seen/ });
  await expect(fit).toHaveAttribute('href', /^\/products\/[a-z-]+#fit$/);
  await cream.getByRole('button', { name: 'Weighed' }).click();
  await expect(cream.getByText(/^300 g, lot C-118/)).toBeVisible();
  await grams.fill('80');
  await cream.getByRole('button', { name: 'Added' }).click();
  await expect(cream.getByText(/^380 g, lot C-118/)).toBeVisible();
  // more than any pot holds is refused, and what was typed stands
  await grams.fill('4900');
  await cream.getByRole('button', { name: 'Added' }).click();
  await expect(page.getByText(/no pot holds more than 5000 g/)).toBeVisible();
  await expect(grams).toHaveValue('4900');
  await cream.getByRole('button', { name: 'right', exact: true }).click();
  await expect(page.getByText(/cream hard wax, tablets, wrist: right/)).toBeVisible();
  await cream.getByRole('button', { name: 'Off', exact: true }).click();
  await expect(cream).toContainText('switched off');
  await cream.getByRole('button', { name: /^As on \d+ \w+: 58°$/ }).click();
  await expect(cream).toContainText('set to 58°');
  await page.reload();
  await ready(page);
  await expect(pot(page, 'Cream hard wax').getByText(/^380 g, lot C-118/)).toBeVisible();
  expect(await axeFaults(page)).toEqual([]);
});
