import { expect, test, type Locator, type Page } from '@playwright/test';
import { sheetFor, ZONES } from '../src/core/anatomy';
import { growthAt, growthField } from '../src/core/field';
import { angleBetweenDeg } from '../src/core/shared';
import { bench, keyBound, openVisit, saved } from './support';

/** Screen point of a place on the sheet, cm. */
async function at(canvas: Locator, [x, y]: readonly [number, number]): Promise<{ x: number; y: number }> {
  const box = await canvas.boundingBox();
  const px = Number(await canvas.getAttribute('data-px-per-cm'));
  const [ox, oy] = ((await canvas.getAttribute('data-origin')) ?? '0,0').split(',').map(Number);
  return { x: (box?.x ?? 0) + (ox ?? 0) + x * px, y: (box?.y ?? 0) + (oy ?? 0) + y * px };
}

const fieldOf = (strokes: Parameters<typeof growthField>[3], size: readonly [number, number]) => {
  const sheet = sheetFor(ZONES.underarm, 'left', {}, size);
  if (!sheet.ok) throw new Error(sheet.error.code);
  return growthField(ZONES.underarm, 'left', sheet.value, strokes);
};

async function chart(page: Page, booking: string, request: Parameters<typeof openVisit>[0]): Promise<{ canvas: Locator; visitId: string }> {
  const visitId = await openVisit(request, booking);
  await page.goto(`/visits/${visitId}/chart`);
  const canvas = page.getByRole('application');
  await expect(canvas).toBeVisible();
  await keyBound(page, 'c');
  await page.waitForTimeout(300);
  return { canvas, visitId };
}

test('a mouse drag turns the hair under the brush and is saved; undo takes it back', async ({ page, request }) => {
  const { canvas, visitId } = await chart(page, 'anselm', request);
  const from = await at(canvas, [2.2, 9.5]);
  const to = await at(canvas, [6.5, 9.5]);
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  for (let k = 1; k <= 12; k++) await page.mouse.move(from.x + ((to.x - from.x) * k) / 12, from.y);
  await page.mouse.up();
  await saved(page);
  await expect.poll(async () => (await bench(request, visitId)).zones[0]?.data.strokes.length).toBeGreaterThan(5);
  const after = await bench(request, visitId);
  const size = after.plan.zones[0]?.sheetCm ?? [9, 13];
  const field = fieldOf(after.zones[0]?.data.strokes ?? [], size);
  expect(angleBetweenDeg(growthAt(field, [5, 9.5]), [1, 0])).toBeLessThan(25);
  // far from the brush it still grows as it did
  expect(angleBetweenDeg(growthAt(field, [4.5, 1.5]), [0, -1])).toBeLessThan(30);
  await page.keyboard.press('z');
  await expect.poll(async () => (await bench(request, visitId)).zones[0]?.data.strokes.length).toBe(0);
});

test('touch combs too, and the arrow keys do what the brush does', async ({ page, request }) => {
  const { canvas, visitId } = await chart(page, 'anselm', request);
  const cdp = await page.context().newCDPSession(page);
  const points = await Promise.all([3, 3.5, 4, 4.5, 5, 5.5, 6].map((x) => at(canvas, [x, 3])));
  const [first, ...rest] = points;
  await cdp.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: [first ?? { x: 0, y: 0 }] });
  for (const p of rest) await cdp.send('Input.dispatchTouchEvent', { type: 'touchMove', touchPoints: [p] });
  await cdp.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] });
  await expect.poll(async () => (await bench(request, visitId)).zones[0]?.data.strokes.length).toBeGreaterThan(5);
  const combed = (await bench(request, visitId)).zones[0]?.data.strokes ?? [];
  expect(combed.some((s) => s.towards[0] > 0.9)).toBe(true);
  await canvas.focus();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Shift+ArrowLeft');
  await expect.poll(async () => (await bench(request, visitId)).zones[0]?.data.strokes.some((s) => s.towards[0] < -0.9)).toBe(true);
});

test('a mark gets its clearance, costs hair area, and no strip lies on it', async ({ page, request }) => {
  const { canvas, visitId } = await chart(page, 'anselm', request);
  const before = (await bench(request, visitId)).plan.zones[0]?.hairAreaCm2 ?? 0;
  await page.keyboard.press('m');
  await expect(page.getByRole('button', { name: /^Mark/ })).toHaveAttribute('aria-pressed', 'true');
  const spot = await at(canvas, [4.5, 4]);
  await page.mouse.click(spot.x, spot.y);
  await expect.poll(async () => (await bench(request, visitId)).zones[0]?.data.marks.length).toBe(1);
  const { plan } = await bench(request, visitId);
  expect(plan.zones[0]?.hairAreaCm2).toBeLessThan(before - 1.5);
  for (const s of plan.zones[0]?.strips ?? []) for (const [x, y] of s.outline) expect(Math.hypot(x - 4.5, y - 4)).toBeGreaterThan(0.7);
  await page.keyboard.press('e');
  await page.mouse.click(spot.x, spot.y);
  await expect.poll(async () => (await bench(request, visitId)).zones[0]?.data.marks.length).toBe(0);
});

test('the two tests of the hand become strokes; undo and redo; the chart as an SVG file that names nobody', async ({ page, request }) => {
  const { visitId } = await chart(page, 'anselm', request);
  const before = (await bench(request, visitId)).zones[0]?.data.strokes.length ?? 0;
  const count = async (): Promise<number> => (await bench(request, visitId)).zones[0]?.data.strokes.length ?? -1;
  await page.getByRole('button', { name: 'Find the way' }).click();
  const [fingers, trace] = [page.getByRole('radiogroup', { name: /^1\. Brush/ }), page.getByRole('radiogroup', { name: /^2\. Spread/ })];
  await fingers.getByRole('radio', { name: 'left', exact: true }).click();
  await trace.getByRole('radio', { name: 'up', exact: true }).click();
  await expect(page.getByText('The two tests do not agree')).toBeVisible();
  await trace.getByRole('radio', { name: 'up and left' }).click();
  await page.getByRole('button', { name: 'Put it on the chart' }).click();
  await expect.poll(count).toBe(before + 1);
  const stroke = (await bench(request, visitId)).zones[0]?.data.strokes.at(-1);
  expect(angleBetweenDeg([stroke?.towards[0] ?? 0, stroke?.towards[1] ?? 0], [Math.cos(Math.PI / 8), Math.sin(Math.PI / 8)])).toBeLessThan(1);
  await page.keyboard.press('z');
  await expect.poll(count).toBe(before);
  await page.keyboard.press('Shift+Z');
  await expect.poll(count).toBe(before + 1);
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'As SVG' }).click();
  expect((await download).suggestedFilename()).toBe('chart-underarm-left.svg');
});
