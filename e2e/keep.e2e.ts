import { expect, test } from '@playwright/test';
import type { Consult } from '../src/server/db/schema/documents';
import { bench, ready, saved } from './support';

test('a brow’s line comes nearer in steps, is moved by hand, keys and undo; the other side follows; the plan keeps clear of it', async ({
  page,
}) => {
  const made = await page.request.post('/api/visits', {
    data: {
      clientId: 'hedda',
      zones: [
        { zone: 'brow', side: 'left' },
        { zone: 'brow', side: 'right' },
      ],
    },
  });
  const { visitId } = (await made.json()) as { visitId: string };
  for (const side of ['left', 'right']) {
    const { visit, zones } = await bench(page.request, visitId);
    const data = zones.find((z) => z.side === side)?.data;
    const longer = { ...data, hair: { ...(data?.['hair'] as object), lengthMm: 8 } };
    const put = await page.request.put(`/api/visits/${visitId}/charts/brow/${side}`, {
      data: { version: visit.version, data: longer },
    });
    expect(put.ok()).toBe(true);
  }
  const zone = async (side: string) =>
    (await bench(page.request, visitId)).plan.zones.find((z) => z.zone === 'brow' && z.side === side);
  const agreed = async (): Promise<readonly string[]> =>
    ((await bench(page.request, visitId)).visit.consult as Consult).agreed.howMuch
      .filter((h) => h.zone === 'brow')
      .map((h) => h.choice);
  await page.goto(`/visits/${visitId}/chart`);
  await ready(page);
  const steps = page.getByRole('radiogroup', { name: 'How far the line comes nearer' });
  await expect(steps.getByRole('radio', { name: /^Step 2, tidy/ })).toBeChecked();
  await expect(page.getByText('Both sides alike.')).toBeVisible();
  const before = (await zone('left'))?.hairs ?? 0;

  await steps.getByRole('radio', { name: /^Step 5, reshape/ }).click();
  await saved(page);
  await expect(page.getByText('1.5 mm off the lower edge')).toBeVisible();
  // both brows are agreed together, and the right one follows
  await expect.poll(agreed).toEqual(['reshape', 'reshape']);
  await expect.poll(async () => (await zone('left'))?.hairs ?? 0).toBeGreaterThan(before);
  await expect.poll(async () => (await zone('right'))?.hairs).toBe((await zone('left'))?.hairs);

  await expect(page.getByText(/^About \d+ hairs$/)).toBeVisible();

  // a point by keys: half a millimetre a press
  const arch = page.getByRole('button', { name: /^What stays, arch:/ });
  await arch.focus();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowDown');
  await saved(page);
  await expect(page.getByText('Moved by hand.')).toBeVisible();
  await expect(page.getByText('Both sides alike.')).toBeVisible();
  const byKeys = await arch.getAttribute('aria-label');
  // and under the finger or the mouse
  const box = (await arch.boundingBox()) ?? { x: 0, y: 0, width: 0, height: 0 };
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2 - 30, { steps: 5 });
  await page.mouse.up();
  await saved(page);
  await expect(arch).not.toHaveAttribute('aria-label', byKeys ?? '');
  await page.getByRole('button', { name: /^Undo/ }).click();
  await saved(page);
  await expect(arch).toHaveAttribute('aria-label', byKeys ?? '');
  await page.reload();
  await ready(page);
  await expect(arch).toHaveAttribute('aria-label', byKeys ?? '');

  // the right brow, changed itself, stands apart and says by how much; one press brings it back
  await page.getByRole('button', { name: /^Brow, right/ }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Brow, right');
  const tail = page.getByRole('button', { name: /^What stays, tail:/ });
  await tail.focus();
  await page.keyboard.press('Shift+ArrowDown');
  await saved(page);
  await expect(page.getByText(/mm apart from the left\./)).toBeVisible();
  await page.getByRole('button', { name: 'As on the left' }).click();
  await saved(page);
  await expect(page.getByText('Both sides alike.')).toBeVisible();

  // strips show what stays
  await page.goto(`/visits/${visitId}/strips`);
  await ready(page);
  await expect(page.getByText('stays').first()).toBeVisible();
  const kept = await zone('left');
  expect(kept?.keep.length).toBe(1);
  expect(kept?.agreed).toBe('reshape');

  // a line of nonsense is refused by its field, and what is there stays
  const { visit, zones } = await bench(page.request, visitId);
  const data = zones.find((z) => z.zone === 'brow' && z.side === 'left')?.data as object;
  const bad = await page.request.put(`/api/visits/${visitId}/charts/brow/left`, {
    data: { version: visit.version, data: { ...data, keep: { outcome: 'tidy', step: 9 } } },
  });
  expect(bad.status()).toBe(422);
  expect(JSON.stringify(await bad.json())).toContain('keep.step');
});

test('what is agreed for a lip is changed where one sees it, by touch on a narrow screen too', async ({ page }) => {
  await page.setViewportSize({ width: 360, height: 780 });
  const made = await page.request.post('/api/visits', {
    data: { clientId: 'ottilie', zones: [{ zone: 'upper-lip', side: 'middle' }] },
  });
  const { visitId } = (await made.json()) as { visitId: string };
  const lip = async () => (await bench(page.request, visitId)).plan.zones[0];
  await page.goto(`/visits/${visitId}/chart`);
  await ready(page);
  await page.getByRole('radio', { name: 'Corners only' }).click();
  await saved(page);
  await expect.poll(async () => (await lip())?.agreed).toBe('corners');
  await expect.poll(async () => (await lip())?.keep.length).toBe(1);
  const point = page.getByRole('button', { name: /^What stays, line 1, point 2/ });
  await point.focus();
  await page.keyboard.press('ArrowLeft');
  await saved(page);
  await expect(point).toHaveAttribute('aria-label', /0\.5 mm/);
  await page.getByRole('radio', { name: 'All of it' }).click();
  await saved(page);
  await expect.poll(async () => (await lip())?.keep.length).toBe(0);
});
