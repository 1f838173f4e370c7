import { expect, test, type Page } from '@playwright/test';
import { axeFaults } from './axe';
import { bench, confirmed, ready } from './support';

const handle = (page: Page) => page.getByRole('slider', { name: 'Day of the next visit' });
const places = (page: Page) => page.getByRole('list', { name: 'Free places' }).getByRole('button');
const title = (page: Page) => page.getByRole('heading', { level: 1 }).first();

test('the day is dragged and keyed, three free places follow it, a date that counts is answered; booked and closed', async ({
  page,
  request,
}) => {
  // a client whom no other test of this part works on: this visit is closed for good
  const made = await request.post('/api/visits', {
    data: { clientId: 'idris', zones: [{ zone: 'underarm', side: 'left' }] },
  });
  const { visitId } = (await made.json()) as { visitId: string };
  await confirmed(request, visitId);
  await page.goto(`/visits/${visitId}/return`);
  await ready(page);
  await expect(places(page)).toHaveCount(3);
  await expect(places(page).first()).toHaveAttribute('aria-pressed', 'true');
  await expect(title(page)).toContainText('Back on');
  expect(await axeFaults(page)).toEqual([]);
  // by key: the day moves, and with it what is long enough
  const before = Number(await handle(page).getAttribute('aria-valuenow'));
  await handle(page).focus();
  await page.keyboard.press('ArrowRight');
  await expect(handle(page)).toHaveAttribute('aria-valuenow', String(before + 1));
  await page.keyboard.press('PageDown');
  await expect(handle(page)).toHaveAttribute('aria-valuenow', String(before - 6));
  // by mouse, to the right end
  const box = await handle(page).boundingBox();
  if (!box) throw new Error('no handle');
  const y = box.y + box.height / 2;
  await page.mouse.move(box.x + box.width / 2, y);
  await page.mouse.down();
  await page.mouse.move(box.x + 220, y, { steps: 5 });
  await page.mouse.up();
  await expect.poll(async () => Number(await handle(page).getAttribute('aria-valuenow'))).toBeGreaterThan(before + 5);
  // a place is taken; the main act names it
  await expect(places(page).nth(1)).toBeVisible();
  await places(page).nth(1).click();
  const name = (await places(page).nth(1).locator('strong').textContent()) ?? '';
  await expect(places(page).nth(1)).toHaveAttribute('aria-pressed', 'true');
  const book = page.getByRole('button', { name: /and close the visit$/ });
  await expect(book).toHaveText(`Book ${name}, and close the visit`);
  await expect(book).toBeDisabled();
  // a date that counts, far away
  const field = page.getByLabel('Must be smooth on');
  const far = new Date(Date.now() + 150 * 86_400_000).toISOString().slice(0, 10);
  await field.fill(far);
  await field.press('Enter');
  await expect(page.getByText(/^Come about /)).toBeVisible();
  // advised for home, kept over a reload
  const scrub = page.getByRole('group', { name: 'Advised for home' }).getByRole('button', { name: /scrub/ });
  await scrub.click();
  await expect(scrub).toHaveAttribute('aria-pressed', 'true');
  expect((await bench(request, visitId)).homeCare.advised).toEqual(['scrub']);
  await page.getByRole('checkbox', { name: /Told/ }).check();
  await book.click();
  await expect(page).toHaveURL(/:\d+\/$/);
  expect((await bench(request, visitId)).visit.status).toBe('closed');
  const record = (await (await request.get('/api/clients/idris/record')).json()) as {
    bookings: { startsAtMs: number; status: string }[];
  };
  expect(record.bookings.filter((b) => b.status === 'booked' && b.startsAtMs > Date.now() + 86_400_000)).toHaveLength(
    1,
  );
  // at the next visit it is asked about; an answer stands after a reload
  const again = await request.post('/api/visits', {
    data: { clientId: 'idris', zones: [{ zone: 'underarm', side: 'left' }] },
  });
  await page.goto(`/visits/${((await again.json()) as { visitId: string }).visitId}/consult`);
  await ready(page);
  const asked = page.getByRole('region', { name: 'Home care since last time' });
  const partly = asked.getByRole('button', { name: 'partly' });
  await partly.click();
  await expect(partly).toHaveAttribute('aria-pressed', 'true');
  // a second press takes it back: nothing was said then
  await partly.click();
  await expect(partly).toHaveAttribute('aria-pressed', 'false');
  await partly.click();
  await expect(partly).toHaveAttribute('aria-pressed', 'true');
  await page.reload();
  await ready(page);
  await expect(partly).toHaveAttribute('aria-pressed', 'true');
  await page.goto('/clients/idris');
  await expect(page.getByText('At home: scrub, partly kept')).toBeVisible();
});
