// Whole visits at the table, by the pedal, with a clock of their own: each family worked to its end, nothing lost or
// doubled.

import { expect, test, type APIRequestContext } from '@playwright/test';
import { bench, confirmed, keyBound, saved } from './support';
import { actNow, field, ownClock, pedal, workOn } from './table';

async function visitOf(
  request: APIRequestContext,
  zones: readonly { readonly zone: string; readonly side: string }[],
  choice: { readonly product: string; readonly way: string },
): Promise<string> {
  const made = await request.post('/api/visits', { data: { clientId: 'corwin', zones } });
  const { visitId } = (await made.json()) as { visitId: string };
  for (const z of zones) {
    const before = await bench(request, visitId);
    const data = before.zones.find((own) => own.zone === z.zone && own.side === z.side)?.data;
    const put = await request.put(`/api/visits/${visitId}/charts/${z.zone}/${z.side}`, {
      data: {
        version: before.visit.version,
        data: { ...data, hair: { ...(data?.['hair'] as object), lengthMm: 9 }, ...choice, reason: 'as asked' },
      },
    });
    expect(put.ok()).toBe(true);
  }
  return visitId;
}

const CASES = [
  ['hand sugar', [{ zone: 'forearm', side: 'left' }], { product: 'sugar-firm', way: 'moulded' }, 'Mould'],
  ['sugar under cloth', [{ zone: 'forearm', side: 'left' }], { product: 'sugar-soft', way: 'strip' }, 'Spread'],
  ['an ear', [{ zone: 'ear', side: 'left' }], { product: 'film-hard', way: 'with' }, 'Lay'],
] as const;

for (const [name, zones, choice, word] of CASES) {
  test(`a whole visit by the pedal: ${name}`, async ({ page, request }) => {
    const visitId = await visitOf(request, zones, choice);
    const { plan } = await confirmed(request, visitId);
    const strips = plan.zones.flatMap((z) => z.strips.map((s) => s.id));
    expect(plan.zones.map((z) => z.choice?.product)).toEqual(zones.map(() => choice.product));
    expect(strips.length).toBeGreaterThan(0);
    await ownClock(page);
    await page.goto(`/visits/${visitId}/work`);
    await keyBound(page, 'PageDown');
    const laid: string[] = [];
    await workOn(page, {
      until: (act) => act === 'done',
      hand: async () => {
        const title = await page.getByRole('heading', { level: 1 }).first().getAttribute('aria-label');
        if ((await actNow(page)) === 'lay') laid.push((title ?? '').split(' ')[0] ?? '');
        await pedal(page);
      },
      most: 600,
    });
    expect(laid.length).toBeGreaterThanOrEqual(strips.length);
    expect(laid).toContain(word);
    await expect(field(page)).toHaveAttribute('data-act', 'done');
    await saved(page);
    const { journal } = (await bench(request, visitId)) as unknown as {
      journal: readonly { readonly id: string; readonly kind: string; readonly strip?: string }[];
    };
    expect(
      journal
        .filter((e) => e.kind === 'pulled')
        .map((e) => e.strip)
        .sort(),
    ).toEqual([...strips].sort());
    expect(new Set(journal.map((e) => e.id)).size).toBe(journal.length);
    expect(journal.filter((e) => e.kind === 'step').map((e) => e.kind).length).toBeGreaterThan(7);
  });
}

test('a brow with its stop point: the client looks before anything goes further', async ({ page, request }) => {
  const visitId = await visitOf(request, [{ zone: 'brow', side: 'left' }], { product: 'film-hard', way: 'with' });
  const { visit } = await bench(request, visitId);
  const before = visit.consult as { readonly agreed: object };
  const agreed = { ...before.agreed, howMuch: [{ zone: 'brow', side: 'left', choice: 'reshape' }] };
  const put = await request.put(`/api/visits/${visitId}/consult`, {
    data: { version: visit.version, consult: { ...before, agreed } },
  });
  expect(put.ok()).toBe(true);
  const { plan } = await confirmed(request, visitId);
  const strips = plan.zones.flatMap((z) => z.strips.map((s) => s.id));
  expect(strips.length).toBeGreaterThan(1);
  await ownClock(page);
  await page.goto(`/visits/${visitId}/work`);
  await keyBound(page, 'PageDown');
  const titles: string[] = [];
  await workOn(page, {
    until: (act) => act === 'done',
    hand: async () => {
      titles.push((await page.getByRole('heading', { level: 1 }).first().getAttribute('aria-label')) ?? '');
      await pedal(page);
    },
    most: 400,
  });
  // the look comes once all of it is off, before the finish
  const look = titles.indexOf('Mirror');
  expect(titles.filter((t) => t === 'Mirror')).toHaveLength(2);
  expect(titles.slice(look + 1).some((t) => /^(Lay|Pull|Coat)/.test(t))).toBe(false);
  expect(titles.slice(0, look).filter((t) => /^Pull/.test(t))).toHaveLength(strips.length);
  await saved(page);
  const steps = (await bench(request, visitId)).journal.filter((e) => e.kind === 'step').map((e) => e.step);
  expect(steps).toContain('look@brow/left');
});

test('two tabs at one table: what one does the other sees, and no strip is laid twice', async ({
  page,
  context,
  request,
}) => {
  const visitId = await visitOf(request, [{ zone: 'underarm', side: 'left' }], { product: 'film-hard', way: 'with' });
  await confirmed(request, visitId);
  const other = await context.newPage();
  for (const tab of [page, other]) {
    await tab.goto(`/visits/${visitId}/work`);
    await keyBound(tab, 'PageDown');
  }
  await page.getByRole('button', { name: /^All \d are done$/ }).click();
  await expect(other.getByRole('heading', { name: 'Test on your wrist' })).toBeVisible();
  await other.waitForTimeout(900);
  await other.keyboard.press('PageDown');
  await expect(page.getByRole('heading', { name: 'Lay 1' })).toBeVisible();
  // both at once, once the brake is off
  await page.waitForTimeout(7000);
  await Promise.all([page.keyboard.press('PageDown'), other.keyboard.press('PageDown')]);
  for (const tab of [page, other]) await expect(field(tab)).not.toHaveAttribute('data-act', 'wrist');
  const laid = async () => (await bench(request, visitId)).journal.filter((e) => e.kind === 'laid').length;
  await expect.poll(laid).toBeGreaterThan(0);
  await saved(page);
  const { journal, plan } = await bench(request, visitId);
  const first = (journal as readonly { readonly kind: string; readonly strip?: string }[]).filter(
    (e) => e.kind === 'laid',
  );
  const coats = plan.zones[0]?.choice?.coats ?? 1;
  expect(first.length).toBeLessThanOrEqual(coats);
  expect(new Set(first.map((e) => e.strip)).size).toBe(1);
  await other.close();
});
