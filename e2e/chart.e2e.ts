import { expect, test, type Locator, type Page } from '@playwright/test';
import { sheetFor, ZONES } from '../src/core/anatomy';
import { growthAt, growthField, type DensityPlace } from '../src/core/field';
import { angleBetweenDeg } from '../src/core/shared';
import { bench, calm, keyBound, openVisit, saved, still } from './support';

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

/** An act that waits behind More. */
async function more(page: Page, name: string): Promise<void> {
  await page.getByRole('button', { name: 'More', exact: true }).click();
  const item = page.getByRole('menuitem', { name });
  await expect(item).toBeVisible();
  await calm(page);
  await item.click();
}

async function chart(
  page: Page,
  booking: string,
  request: Parameters<typeof openVisit>[0],
): Promise<{ canvas: Locator; visitId: string }> {
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

test('D says where hair is thin: by drag, by keys, seen in the drawing, kept over a reload, taken back by undo', async ({
  page,
  request,
}) => {
  const { canvas, visitId } = await chart(page, 'anselm', request);
  const places = async (): Promise<readonly DensityPlace[]> =>
    (await bench(request, visitId)).zones[0]?.data.densities ?? [];
  const drawn = async (): Promise<number> => Number(await canvas.getAttribute('data-hairs'));
  const before = await drawn();
  await page.keyboard.press('d');
  await expect(page.getByRole('button', { name: 'Density' })).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('button', { name: 'Thinner hair' }).click();
  const from = await at(canvas, [2.5, 9]);
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  for (let k = 1; k <= 10; k++) await page.mouse.move(from.x + k * 14, from.y);
  await page.mouse.up();
  await saved(page);
  await expect.poll(async () => (await places()).length).toBeGreaterThan(2);
  expect((await places()).every((p) => p.density === 1)).toBe(true);
  expect(await drawn()).toBeLessThan(before - 50);
  await page.reload();
  await keyBound(page, 'd');
  await expect(page.getByText(/places thinner or thicker/)).toBeVisible();
  const kept = (await places()).length;
  // keys: the brush is moved, Enter feels there
  await page.keyboard.press('d');
  for (let k = 0; k < 4; k++) await page.keyboard.press('+');
  await page.getByRole('application').focus();
  for (let k = 0; k < 8; k++) await page.keyboard.press('ArrowUp');
  await page.keyboard.press('Enter');
  await expect.poll(async () => (await places()).at(-1)?.density).toBe(5);
  await page.keyboard.press('z');
  await expect.poll(async () => (await places()).length).toBe(kept);
  expect((await bench(request, visitId)).plan.zones[0]?.strips.every((s) => s.density !== null)).toBe(true);
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
  await expect
    .poll(async () => (await bench(request, visitId)).zones[0]?.data.strokes.some((s) => s.towards[0] < -0.9))
    .toBe(true);
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
  for (const s of plan.zones[0]?.strips ?? []) {
    for (const [x, y] of s.outline) expect(Math.hypot(x - 4.5, y - 4)).toBeGreaterThan(0.7);
  }
  await page.keyboard.press('e');
  await page.mouse.click(spot.x, spot.y);
  await expect.poll(async () => (await bench(request, visitId)).zones[0]?.data.marks.length).toBe(0);
});

test('the two tests of the hand become strokes; undo and redo; the chart as an SVG file that names nobody', async ({
  page,
  request,
}) => {
  const { visitId } = await chart(page, 'anselm', request);
  const before = (await bench(request, visitId)).zones[0]?.data.strokes.length ?? 0;
  const count = async (): Promise<number> => (await bench(request, visitId)).zones[0]?.data.strokes.length ?? -1;
  await more(page, 'Find growth by touch');
  await still(page);
  const [fingers, trace] = [
    page.getByRole('radiogroup', { name: /^1\. Brush/ }),
    page.getByRole('radiogroup', { name: /^2\. Spread/ }),
  ];
  await fingers.getByRole('radio', { name: 'left', exact: true }).click();
  await trace.getByRole('radio', { name: 'up', exact: true }).click();
  await expect(page.getByText('The two tests do not agree')).toBeVisible();
  await trace.getByRole('radio', { name: 'up and left' }).click();
  await page.getByRole('button', { name: 'Put it on the chart' }).click();
  await expect.poll(count).toBe(before + 1);
  const stroke = (await bench(request, visitId)).zones[0]?.data.strokes.at(-1);
  expect(
    angleBetweenDeg([stroke?.towards[0] ?? 0, stroke?.towards[1] ?? 0], [Math.cos(Math.PI / 8), Math.sin(Math.PI / 8)]),
  ).toBeLessThan(1);
  await page.keyboard.press('z');
  await expect.poll(count).toBe(before);
  await page.keyboard.press('Shift+Z');
  await expect.poll(count).toBe(before + 1);
  const download = page.waitForEvent('download');
  await more(page, 'Export');
  expect((await download).suggestedFilename()).toBe('chart-underarm-left.svg');
});

test('the crossing comb turns a share of the hair, by mouse and by its key', async ({ page, request }) => {
  const { canvas, visitId } = await chart(page, 'anselm', request);
  const before = (await bench(request, visitId)).plan.zones[0]?.crossingShare ?? 0;
  await page.keyboard.press('x');
  await page.getByRole('radio', { name: 'half' }).click();
  const points = await Promise.all(Array.from({ length: 14 }, (_, k) => at(canvas, [2.5 + 0.3 * k, 10.5])));
  await page.mouse.move(points[0]?.x ?? 0, points[0]?.y ?? 0);
  await page.mouse.down();
  for (const p of points) await page.mouse.move(p.x, p.y);
  await page.mouse.up();
  await expect
    .poll(async () =>
      (await bench(request, visitId)).zones[0]?.data.strokes.some((s) => (s as { share?: number }).share === 0.5),
    )
    .toBe(true);
  await saved(page);
  const after = await bench(request, visitId);
  expect(after.plan.zones[0]?.crossingShare ?? 0).toBeGreaterThan(before);
  // the rest of the hair grows as it did
  const size = after.plan.zones[0]?.sheetCm ?? [9, 13];
  const main = (after.zones[0]?.data.strokes ?? []).filter((s) => (s as { share?: number }).share === undefined);
  expect(
    angleBetweenDeg(
      growthAt(fieldOf(after.zones[0]?.data.strokes ?? [], size), [4, 10.5]),
      growthAt(fieldOf(main, size), [4, 10.5]),
    ),
  ).toBeLessThan(0.01);
  await page.keyboard.press('z');
  await saved(page);
});

test('known marks are looked at again: one is still there, one is gone; a note stays with its mark', async ({
  page,
  request,
}) => {
  const visitId = await openVisit(request, 'anselm');
  const now = await bench(request, visitId);
  const marks = [
    { kind: 'mole', at: [4, 4], radiusMm: 3, since: '2026-01-05', unseen: true },
    { kind: 'scar', at: [5, 9], radiusMm: 5, unseen: true },
  ];
  const put = await request.put(`/api/visits/${visitId}/charts/underarm/left`, {
    data: { version: now.visit.version, data: { ...now.zones[0]?.data, marks } },
  });
  expect(put.status()).toBe(200);
  await page.goto(`/visits/${visitId}/chart`);
  const again = page.getByRole('region', { name: 'Marks to look at again' });
  await expect(again.getByText('2 marks from before')).toBeVisible();
  await again.getByRole('listitem').filter({ hasText: 'mole' }).getByRole('button', { name: 'Still there' }).click();
  await again.getByRole('button', { name: 'Gone' }).click();
  await expect(again).toHaveCount(0);
  const note = page.getByRole('textbox', { name: 'Note on the mole' });
  await note.fill('flat, brown');
  await note.press('Enter');
  await expect
    .poll(async () => (await bench(request, visitId)).zones[0]?.data.marks)
    .toEqual([{ kind: 'mole', at: [4, 4], radiusMm: 3, since: '2026-01-05', note: 'flat, brown' }]);
  await page.reload();
  await expect(page.getByRole('textbox', { name: 'Note on the mole' })).toHaveValue('flat, brown');
});

test('the guided test ends with hair under the skin noted; length has a shortest and a longest; the sheet is measured', async ({
  page,
  request,
}) => {
  const { visitId } = await chart(page, 'anselm', request);
  await page.getByRole('button', { name: 'Short, or under the skin?' }).click();
  const dialog = page.getByRole('dialog', { name: 'Short, or under the skin?' });
  for (const [question, answer] of [
    ['stand up under your fingertip', 'No'],
    ['tweezers lift it', 'No'],
    ['skin over it', 'Yes'],
  ] as const) {
    await expect(dialog.getByText(question)).toBeVisible();
    await dialog.getByRole('button', { name: answer, exact: true }).click();
  }
  await expect(dialog.getByText('no digging')).toBeVisible();
  await dialog.getByRole('button', { name: 'Note it on the chart' }).click();
  const hair = async (): Promise<Record<string, unknown>> =>
    ((await bench(request, visitId)).zones[0]?.data['hair'] ?? {}) as Record<string, unknown>;
  await expect.poll(async () => (await hair())['flags']).toEqual(['under-skin']);
  await expect(page.getByRole('button', { name: 'Under skin', exact: true })).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('button', { name: 'Longest hair, half a millimetre more' }).click();
  await expect
    .poll(async () => Number((await hair())['longestMm']))
    .toBeGreaterThan(Number((await hair())['lengthMm']));
  expect((await hair())['shortestMm']).toBeUndefined();
  await more(page, 'Measure');
  await page.getByLabel('Across, cm').fill('11');
  await page.getByRole('button', { name: 'Use these' }).click();
  await expect(page.getByText(/11 × .* cm, measured/)).toBeVisible();
  await expect.poll(async () => (await bench(request, visitId)).plan.zones[0]?.basis).toBe('measured');
  // what lies on the undo pile belongs to the other size
  await expect(page.getByRole('button', { name: /^Undo/ })).toBeDisabled();
  await more(page, 'Measure');
  await page.getByRole('button', { name: 'Back to the scaled size' }).click();
  await expect.poll(async () => (await bench(request, visitId)).plan.zones[0]?.basis).not.toBe('measured');
});

test('a chart goes out as a drawing and comes back in; a strange file is refused and nothing changed', async ({
  page,
  request,
}) => {
  const { visitId } = await chart(page, 'anselm', request);
  await saved(page);
  const strokes = async (): Promise<unknown> => (await bench(request, visitId)).zones[0]?.data.strokes;
  const before = await strokes();
  const file = page.locator('input[type=file]');
  await file.setInputFiles({
    name: 'other.svg',
    mimeType: 'image/svg+xml',
    buffer: Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"></svg>'),
  });
  await expect(page.getByText('The file was not taken')).toBeVisible();
  expect(await strokes()).toEqual(before);
  const drawn = {
    strickle: 'chart',
    version: 1,
    zone: {
      zone: 'underarm',
      side: 'right',
      sheetCm: [10, 10],
      hair: { lengthMm: 9, coarseness: 2, density: 2 },
      strokes: [{ at: [2, 3], towards: [1, 0] }],
    },
  };
  await file.setInputFiles({
    name: 'chart.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(drawn)),
  });
  await expect(page.getByText('mirrored from the other side')).toBeVisible();
  await expect
    .poll(async () => ((await strokes()) as { towards: number[] }[]).map((s) => s.towards))
    .toEqual([[-1, 0]]);
  const download = page.waitForEvent('download');
  await more(page, 'Export');
  const path = await (await download).path();
  await page.keyboard.press('z');
  await expect.poll(strokes).toEqual(before);
  await file.setInputFiles(path);
  await expect
    .poll(async () => ((await strokes()) as { towards: number[] }[]).map((s) => s.towards))
    .toEqual([[-1, 0]]);
});

test('the body shows the zones: a tap goes to one of today, another is added', async ({ page, request }) => {
  const visitId = await openVisit(request, 'anselm');
  await page.goto(`/visits/${visitId}/chart`);
  await keyBound(page, 'c');
  const count = (await bench(request, visitId)).zones.length;
  await more(page, 'Zones on the body');
  const dialog = page.getByRole('dialog', { name: 'Zones on the body' });
  await dialog.getByRole('button', { name: /^Nape, / }).click();
  await expect.poll(async () => (await bench(request, visitId)).zones.length).toBe(count + 1);
  await expect(dialog.getByRole('button', { name: /^Nape, today/ })).toBeVisible();
  await dialog.getByRole('button', { name: /^Nape, today/ }).click();
  await expect(page.getByRole('heading', { name: 'Nape', level: 1 })).toBeVisible();
});

test('on a wide screen a leg lies along the table, and the hand combs it as it lies', async ({ page, request }) => {
  await page.setViewportSize({ width: 1920, height: 1080 });
  const { canvas, visitId } = await chart(page, 'teodora', request);
  await expect(canvas).not.toHaveAttribute('data-along-cm', '');
  const box = await canvas.boundingBox();
  const [x, y] = [(box?.x ?? 0) + (box?.width ?? 0) / 2, (box?.y ?? 0) + (box?.height ?? 0) / 2];
  await page.mouse.move(x, y - 60);
  await page.mouse.down();
  // across the shin, from its outer side to the inner
  for (let k = 1; k <= 12; k++) await page.mouse.move(x, y - 60 + k * 10);
  await page.mouse.up();
  await saved(page);
  const strokes = async () => (await bench(request, visitId)).zones[0]?.data.strokes ?? [];
  await expect.poll(async () => (await strokes()).length).toBeGreaterThan(2);
  const last = (await strokes()).at(-1);
  // the left sheet: the inner side is to its left
  expect(last?.towards[0]).toBeLessThan(0);
  expect(Math.abs(last?.towards[1] ?? 1)).toBeLessThan(0.5);
  await page.keyboard.press('z');
});
