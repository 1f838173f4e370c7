import { expect, test } from '@playwright/test';
import { axeFaults } from './axe';
import { keyBound, bench, confirmed, saved } from './support';

test('the strips say how the hand takes them off, and go on paper one zone a page, without a name', async ({
  page,
}) => {
  const made = await page.request.post('/api/visits', {
    data: {
      clientId: 'ottilie',
      zones: [
        { zone: 'knee', side: 'left' },
        { zone: 'brow', side: 'left' },
      ],
    },
  });
  const { visitId } = (await made.json()) as { visitId: string };
  const { plan } = await bench(page.request, visitId);
  const [knee, brow] = plan.zones;
  await page.goto(`/visits/${visitId}/strips`);
  const first = knee?.strips[0];
  if (!first || !brow) throw new Error('the knee has strips');
  expect(first.pulls).toBeGreaterThan(1);
  await page
    .getByRole('button', { name: `Strip ${first.number}`, exact: true })
    .first()
    .press('Enter');
  await expect(page.getByText(first.handwork ?? '')).toBeVisible();
  // the browser's own print: a page for each zone, nothing else of the app on it
  await expect(page.getByRole('button', { name: 'Print the strips' })).toBeVisible();
  const pdf = (
    await page.pdf({ format: 'A4', margin: { top: '12mm', bottom: '12mm', left: '12mm', right: '12mm' } })
  ).toString('latin1');
  expect(pdf.match(/\/Type\s*\/Page[^s]/g)).toHaveLength(2);
  await page.evaluate(() => window.dispatchEvent(new Event('beforeprint')));
  const paper = page.locator('[data-paper]');
  await expect(paper).toHaveCount(1);
  expect(await paper.textContent()).not.toContain('Ottilie');
  expect(await paper.textContent()).toContain('test on your wrist');
  expect(await paper.getByRole('row', { includeHidden: true }).count()).toBe(
    2 + plan.zones.reduce((n, z) => n + z.strips.length, 0),
  );
  await page.evaluate(() => window.dispatchEvent(new Event('afterprint')));
  await expect(paper).toHaveCount(0);
});

test('strips are cut, joined, turned, drawn, moved and taken away by mouse, keys and touch; rules answer at once; what is saved is what is planned; undo, back to the plan', async ({
  page,
}) => {
  const made = await page.request.post('/api/visits', {
    data: { clientId: 'ottilie', zones: [{ zone: 'lower-leg-front', side: 'left' }] },
  });
  const { visitId } = (await made.json()) as { visitId: string };
  const planned = (await bench(page.request, visitId)).plan.zones[0];
  if (!planned) throw new Error('the leg is planned');
  await page.goto(`/visits/${visitId}/strips`);
  await page.getByRole('button', { name: 'Change strips' }).click();
  const sheet = page.getByRole('application');
  await expect(page.locator('[data-laid="yes"]')).toBeVisible();
  const strips = sheet.locator('[data-strip]');
  await expect(strips).toHaveCount(planned.strips.length);
  const violations = await axeFaults(page);
  expect(violations.map((v) => `${v.id} ${v.nodes[0]?.html.slice(0, 120) ?? ''}`)).toEqual([]);
  /** Where a point of the sheet lies on the screen. */
  const onScreen = (x: number, y: number): Promise<{ x: number; y: number }> =>
    sheet.evaluate(
      (svg, [u, v]) => {
        const p = new DOMPoint(u, v).matrixTransform(
          (svg as unknown as SVGSVGElement).getScreenCTM() ?? new DOMMatrix(),
        );
        return { x: p.x, y: p.y };
      },
      [x, y] as const,
    );
  const first = planned.strips[0]?.outline ?? [];
  const [mx, my] = [
    first.reduce((s, p) => s + p[0], 0) / first.length,
    first.reduce((s, p) => s + p[1], 0) / first.length,
  ];
  // the mouse cuts the first strip across
  await page.getByRole('button', { name: 'Cut', exact: true }).click();
  const [from, to] = [await onScreen(mx - 3, my), await onScreen(mx + 3, my)];
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  for (let k = 1; k <= 6; k++) {
    await page.mouse.move(from.x + ((to.x - from.x) * k) / 6, from.y + ((to.y - from.y) * k) / 6);
  }
  await page.mouse.up();
  await expect(strips).toHaveCount(planned.strips.length + 1);
  await expect(page.getByText('All saved')).toBeVisible();
  const cut = (await bench(page.request, visitId)).plan.zones[0];
  expect(cut).toMatchObject({ byHand: true });
  expect(cut?.strips).toHaveLength(planned.strips.length + 1);
  expect(cut?.cover.coveredShare).toBeGreaterThan(0.98);
  // a finger joins the halves again
  await page.getByRole('button', { name: 'Join', exact: true }).click();
  for (const dy of [-1, 1]) {
    const p = await onScreen(mx, my + dy);
    await page.touchscreen.tap(p.x, p.y);
  }
  await expect(strips).toHaveCount(planned.strips.length);
  // keys: choose, turn until the rule speaks, undo
  await page.getByRole('button', { name: 'Choose', exact: true }).click();
  await sheet.focus();
  await page.keyboard.press('Tab');
  await page.getByRole('button', { name: 'Turn ↻' }).focus();
  for (let k = 0; k < 4; k++) await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'Rules' })).toContainText('would be pulled across');
  await expect(page.getByText('All saved')).toBeVisible();
  expect((await bench(page.request, visitId)).plan.zones[0]?.stripFaults.map((f) => f.code)).toContain('off-growth');
  for (let k = 0; k < 4; k++) await page.keyboard.press('z');
  await expect(page.getByRole('region', { name: 'Rules' })).not.toContainText('would be pulled across');
  // taken away by key, given to the neighbours
  await page.getByRole('region', { name: 'Rules' }).waitFor();
  await page.getByRole('button', { name: '5', exact: true }).click();
  await page.getByRole('button', { name: 'Take away' }).press('Enter');
  await expect(page.getByRole('region', { name: 'Rules' })).toContainText(
    'of the hair is covered; the rest would stay',
  );
  await page.getByRole('button', { name: 'Give free hair to the neighbours' }).click();
  await expect(page.getByRole('region', { name: 'Rules' })).not.toContainText('the rest would stay');
  // drawn round a place in the middle: a strip of its own, the others give way; moved by the mouse; both taken back
  const drag = async (points: readonly (readonly [number, number])[]): Promise<void> => {
    for (const [k, [x, y]] of points.entries()) {
      const p = await onScreen(x, y);
      await page.mouse.move(p.x, p.y);
      if (k === 0) await page.mouse.down();
    }
    await page.mouse.up();
  };
  const [w, h] = planned.sheetCm;
  const there = await strips.count();
  await page.getByRole('button', { name: 'Draw', exact: true }).click();
  await drag(
    Array.from(
      { length: 13 },
      (_, k) => [w / 2 + 2 * Math.cos((k * Math.PI) / 6), h / 2 + 2 * Math.sin((k * Math.PI) / 6)] as const,
    ),
  );
  await expect.poll(() => strips.count()).toBeGreaterThan(there);
  await expect(page.getByRole('region', { name: 'The chosen strip' })).toBeVisible();
  await page.getByRole('button', { name: 'Move', exact: true }).click();
  const drawnBefore = await strips.last().getAttribute('d');
  await drag([
    [w / 2, h / 2],
    [w / 2 + 0.6, h / 2 + 0.3],
    [w / 2 + 1.2, h / 2 + 0.6],
  ]);
  await expect.poll(() => strips.last().getAttribute('d')).not.toBe(drawnBefore);
  for (let k = 0; k < 2; k++) await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(strips).toHaveCount(there);
  // an edit that cannot be: said, and nothing changed
  const before = await strips.count();
  await page.getByRole('button', { name: 'Cut', exact: true }).click();
  // looked for where the sheet lies then: what was taken back may still move it
  await expect(async () => {
    const [a, b] = [await onScreen(-1, -1), await onScreen(1, -1)];
    await page.mouse.move(a.x, a.y);
    await page.mouse.down();
    await page.mouse.move((a.x + b.x) / 2, a.y);
    await page.mouse.move(b.x, b.y);
    await page.mouse.up();
    await expect(page.getByText('Draw the cut across a strip.')).toBeVisible({ timeout: 3000 });
  }).toPass();
  await expect(strips).toHaveCount(before);
  await page.getByRole('button', { name: 'Done' }).click();
  // a reload keeps them; back to the plan drops them
  await expect(page.getByText('All saved')).toBeVisible();
  await page.reload();
  await expect(page.getByText(/Changed by hand/)).toBeVisible();
  await page.getByRole('button', { name: 'Change strips' }).click();
  await page.getByRole('button', { name: 'As planned' }).click();
  await page.getByRole('button', { name: 'Drop it' }).click();
  await expect(page.getByText(/Changed by hand/)).toBeHidden();
  await expect(page.getByText('All saved')).toBeVisible();
  expect((await bench(page.request, visitId)).plan.zones[0]).toMatchObject({ byHand: false });
});

test('the shoulder is thinned out by one tick, and strips with a fault are refused by path', async ({ page }) => {
  const made = await page.request.post('/api/visits', {
    data: { clientId: 'ottilie', zones: [{ zone: 'shoulder', side: 'left' }] },
  });
  const { visitId } = (await made.json()) as { visitId: string };
  const before = await bench(page.request, visitId);
  const [zone] = before.zones;
  if (!zone) throw new Error('one zone');
  const put = (data: object) =>
    page.request.put(`/api/visits/${visitId}/charts/shoulder/left`, {
      data: { version: before.visit.version, data: { ...zone.data, ...data } },
    });
  const bad = await put({
    handStrips: {
      family: 'hard',
      way: 'with',
      strips: [
        {
          outline: [
            [1, 1],
            [2, 2],
            [3, 3],
          ],
        },
      ],
    },
  });
  expect(bad.status()).toBe(422);
  expect(JSON.stringify(await bad.json())).toContain('handStrips.strips[0].outline');
  expect((await put({ product: 'film-hard', way: 'with' })).status()).toBe(200);
  await page.goto(`/visits/${visitId}/strips`);
  // a shoulder fades where nothing else was agreed; by hand it ends, and fades again
  const tick = page.getByRole('checkbox', { name: /Thin the border out in dabs/ });
  await expect(tick).toBeChecked();
  const shoulder = async () => (await bench(page.request, visitId)).plan.zones[0];
  const faded = await shoulder();
  expect(faded?.fade).toBe(true);
  await tick.uncheck();
  await saved(page);
  await expect.poll(async () => (await shoulder())?.fade).toBe(false);
  expect(faded?.strips.length).toBeGreaterThan((await shoulder())?.strips.length ?? 99);
  await tick.check();
  await saved(page);
  await expect.poll(async () => (await shoulder())?.strips.length).toBe(faded?.strips.length);
});

test('the plan goes out as PDF and SVG without a name; prices are entered by keys, a margin stands at the desk only', async ({
  page,
}) => {
  const made = await page.request.post('/api/visits', {
    data: {
      clientId: 'ottilie',
      zones: [
        { zone: 'underarm', side: 'left' },
        { zone: 'underarm', side: 'right' },
      ],
    },
  });
  const { visitId } = (await made.json()) as { visitId: string };
  const { plan } = await bench(page.request, visitId);
  const pdf = (await (await page.request.get(`/api/visits/${visitId}/strips`)).body()).toString('latin1');
  expect(pdf.match(/\/Type \/Page\b[^s]/g)).toHaveLength(2);
  const svg = await (await page.request.get(`/api/visits/${visitId}/strips?zone=underarm&side=left`)).text();
  expect(svg.match(/<g>/g)).toHaveLength(plan.zones[0]?.strips.length ?? 0);
  for (const text of [pdf, svg]) expect(text.toLowerCase()).not.toContain('ottilie');
  expect((await page.request.get(`/api/visits/${visitId}/strips?zone=chin&side=middle`)).status()).toBe(404);
  await page.goto('/prices');
  const price = page.getByRole('spinbutton', { name: 'Price of Underarms' });
  await expect(price).toBeVisible();
  await price.focus();
  await page.keyboard.press('ControlOrMeta+a');
  await page.keyboard.type('24.5');
  await page.getByRole('button', { name: 'Save the list' }).press('Enter');
  await expect(page.getByText('Saved.')).toBeVisible();
  await page.reload();
  await expect(price).toHaveValue('24.50');
  const bad = await page.request.put('/api/prices', {
    data: { version: 1, money: { labourMinorPerHour: -1, roomMinorPerHour: 0, priceMinor: {} } },
  });
  expect(bad.status()).toBe(422);
  await page.goto(`/visits/${visitId}/strips`);
  const desk = page.locator('[data-desk]');
  await expect(desk.getByText('Left over').first()).toBeHidden();
  await desk.getByText('Money, for the desk').click();
  await expect(desk.getByText('€24.50')).toBeVisible();
  await expect(desk.getByRole('row')).toHaveCount(4);
  await page.goto(`/visits/${visitId}/work`);
  await expect(page.getByText('€')).toHaveCount(0);
});

test('what the first pass left is gone over again in small strips, and only there', async ({ page }) => {
  const made = await page.request.post('/api/visits', {
    data: { clientId: 'ottilie', zones: [{ zone: 'underarm', side: 'left' }] },
  });
  const { visitId } = (await made.json()) as { visitId: string };
  const before = await bench(page.request, visitId);
  const [zone] = before.zones;
  if (!zone) throw new Error('one zone');
  expect(
    (
      await page.request.put(`/api/visits/${visitId}/charts/underarm/left`, {
        data: { version: before.visit.version, data: { ...zone.data, product: 'film-hard', way: 'with' } },
      })
    ).status(),
  ).toBe(200);
  const { plan, planHash } = await confirmed(page.request, visitId);
  const strips = plan.zones[0]?.strips ?? [];
  const at = Date.now() - 400_000;
  const events = [
    { id: 'w', atMs: at, kind: 'wrist', product: 'film-hard' },
    ...strips.flatMap((s, i) => [
      // a second coat is a second lay
      ...Array.from({ length: plan.zones[0]?.choice?.coats ?? 1 }, (_, coat) => ({
        id: `l${i}-${coat}`,
        atMs: at + 60_000 * i + 1000 + 12_000 * coat,
        kind: 'laid',
        strip: s.id,
      })),
      { id: `p${i}`, atMs: at + 60_000 * i + 50_000, kind: 'pulled', strip: s.id },
      {
        id: `m${i}`,
        atMs: at + 60_000 * i + 51_000,
        kind: 'mark',
        strip: s.id,
        mark: i === 0 ? 'some-left' : i === 1 ? 'sore' : 'clean',
      },
    ]),
  ];
  expect(
    (await page.request.post(`/api/visits/${visitId}/journal`, { data: { events, plan: planHash } })).status(),
  ).toBe(200);
  await page.goto(`/visits/${visitId}/read`);
  const foot = page.getByRole('group', { name: 'What to do now' });
  const lay = foot.getByRole('button', { name: /^Lay / });
  await page.getByRole('radio', { name: 'pink' }).click();
  // no further wax on skin that was not looked at
  await expect(page.getByText('Look at the skin and say how it is')).toBeVisible();
  await expect(lay).toBeHidden();
  await page.getByRole('radiogroup', { name: 'Bleeding' }).getByRole('radio', { name: 'none' }).click();
  await expect(page.getByText(/^Clean up strip 1: pass 2 of 2 at most, test on your wrist/)).toBeVisible();
  await expect(lay).toBeVisible();
  // on very red skin there is none
  await page.getByRole('radio', { name: 'very red' }).click();
  await expect(lay).toBeHidden();
  await page.getByRole('radio', { name: 'pink' }).click();
  // a picture, and hair that was stroked as it grows: the patch counts itself and the chart learns it
  const like = page.getByRole('group', { name: /^Strip \d+ is like$/ });
  await expect(like.getByRole('button', { pressed: true })).toHaveCount(0);
  await like.getByRole('button', { name: /^Sparse/ }).click();
  await expect(page.getByText(/of \d+ still to look at/)).toBeVisible();
  const sheet = page.getByRole('application');
  const box = (await sheet.boundingBox()) ?? { x: 0, y: 0, width: 0, height: 0 };
  const stroke = async (): Promise<void> => {
    for (const down of [0.26, 0.31]) {
      await page.mouse.move(box.x + 0.42 * box.width, box.y + down * box.height);
      await page.mouse.down();
      await page.mouse.move(box.x + 0.58 * box.width, box.y + (down - 0.01) * box.height, { steps: 5 });
      await page.mouse.up();
    }
  };
  await stroke();
  await expect(sheet.getByText(/^\d+ left$/)).toBeVisible();
  const violations = await axeFaults(page);
  expect(violations.map((v) => `${v.id}: ${v.nodes[0]?.html ?? ''}`)).toEqual([]);
  // each touch can be taken back; hair taken away is no answer that nothing is left
  const nothing = page.getByRole('button', { name: 'Nothing left' });
  await nothing.click();
  await expect(nothing).toHaveAttribute('aria-pressed', 'true');
  const back = page.getByRole('main').getByRole('button', { name: 'Undo' });
  await back.click();
  await expect(sheet.getByText(/^\d+ left$/)).toBeVisible();
  await back.click();
  await back.click();
  await expect(sheet.getByText(/^\d+ left$/)).toBeHidden();
  await expect(nothing).toHaveAttribute('aria-pressed', 'false');
  await saved(page);
  expect((await bench(page.request, visitId)).readings[0]?.data.said).not.toContain('left');
  await stroke();
  await page.getByRole('radio', { name: 'growing another way' }).click();
  await page.getByRole('button', { name: 'Comb it so' }).click();
  await expect(page.getByText('Combed so for next time.')).toBeVisible();
  await saved(page);
  const read = (await bench(page.request, visitId)).readings[0]?.data;
  expect(read?.likes).toEqual([{ strip: expect.any(String), like: 'sparse' }]);
  expect(read?.hairs?.length).toBeGreaterThan(6);
  expect(read?.hairs?.filter((h) => h.kind !== 'other-way' || h.way === null)).toEqual([]);
  expect(read?.combed?.length).toBeGreaterThan(0);
  // it is laid as a round of its own, and worked like the first
  await lay.click();
  await expect(page).toHaveURL(/\/work$/);
  await expect(page.getByRole('heading', { name: 'Dry' })).toBeVisible();
  // it is on the page at once and in the file a moment later
  const rounds = async (): Promise<number> =>
    (await bench(page.request, visitId)).journal.filter((e) => e.kind === 'round').length;
  await expect.poll(rounds).toBe(1);
  // no act follows another faster than a hand
  await keyBound(page, 'PageDown');
  await page.waitForTimeout(900);
  await page.keyboard.press('PageDown');
  await expect(page.getByRole('heading', { name: 'Test on your wrist' })).toBeVisible();
  await expect(page.getByText('Waxed skin: cooler, less wax.')).toBeVisible();
  await page.waitForTimeout(900);
  await page.keyboard.press('PageDown');
  await expect(page.getByRole('heading', { name: /^Lay \d+$/ })).toBeVisible();
  await expect(page.getByText('pass 2 of')).toBeVisible();
  await page.reload();
  await expect(page.getByRole('heading', { name: /^Lay \d+$/ })).toBeVisible();
});
