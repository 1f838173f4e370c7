import { expect, test } from '@playwright/test';
import { bench, confirmed, keyBound, ready, saved } from './support';
import { later, ownClock, workOn } from './table';

test('zones go in rounds: the client turns once, zones are put earlier and later, the nape is worked seated on wish', async ({
  page,
}) => {
  const made = await page.request.post('/api/visits', {
    data: {
      clientId: 'ottilie',
      zones: [
        { zone: 'nape', side: 'middle' },
        { zone: 'underarm', side: 'left' },
        { zone: 'underarm', side: 'right' },
        { zone: 'upper-lip', side: 'middle' },
      ],
    },
  });
  const { visitId } = (await made.json()) as { visitId: string };
  const rounds = async (): Promise<readonly string[]> =>
    (await bench(page.request, visitId)).plan.schedule.rounds.map((r) => [r.position, ...r.zones].join(' '));
  const zonesOf = async (): Promise<string> => (await rounds()).map((r) => r.split(' ').slice(1).join(' ')).join(' ');
  expect(new Set((await rounds()).map((r) => r.split(' ')[0]))).toEqual(new Set(['face-up', 'face-down']));
  await page.goto(`/visits/${visitId}/strips`);
  await ready(page);
  const zones = page.getByRole('group', { name: 'Zones in the order of work' });
  await expect(zones.getByText('Client face up')).toBeVisible();
  await expect(zones.getByText('Client face down')).toBeVisible();
  await expect(zones.getByText('turn', { exact: true })).toHaveCount(1);
  // the order in one sentence, and what it costs
  await zones.getByRole('button', { name: /^Underarm, left/ }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^(From|Patch|One|Middle)/);
  await expect(page.getByText(/First pass, all zones, \d+:\d\d/)).toBeVisible();

  // by touch or mouse, and by keys
  const before = await zonesOf();
  const move = page.getByRole('group', { name: 'When this zone is worked' });
  const isLast = await move.getByRole('button', { name: 'later' }).isDisabled();
  await move.getByRole('button', { name: isLast ? 'earlier' : 'later' }).click();
  await saved(page);
  await expect.poll(zonesOf).not.toBe(before);
  await page.reload();
  await ready(page);
  await zones.getByRole('button', { name: /^Underarm, left/ }).focus();
  await page.keyboard.press(isLast ? 'Alt+ArrowRight' : 'Alt+ArrowLeft');
  await saved(page);
  await expect.poll(zonesOf).toBe(before);

  await zones.getByRole('button', { name: /^Nape/ }).click();
  const lies = page.getByRole('group', { name: 'How the client lies for it' });
  await lies.getByRole('button', { name: 'seated' }).click();
  await saved(page);
  await expect.poll(async () => (await rounds()).some((r) => r.startsWith('seated nape'))).toBe(true);
  await expect(zones.getByText('Client seated')).toBeVisible();
  await lies.getByRole('button', { name: 'seated' }).click();
  await expect.poll(async () => (await rounds()).some((r) => r.startsWith('face-down nape'))).toBe(true);
  // what cannot be is refused by its field
  const { visit } = await bench(page.request, visitId);
  const bad = await page.request.put(`/api/visits/${visitId}/consult`, {
    data: { version: visit.version, consult: { ...(visit.consult as object), order: [1] } },
  });
  expect(bad.status()).toBe(422);
  expect(await bad.text()).toContain('order');
  await page.setViewportSize({ width: 360, height: 780 });
  // once the page has settled at that width
  await expect.poll(() => page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(360);
});

test('the client turns as an act of its own, never with wax on the skin', async ({ page }) => {
  const made = await page.request.post('/api/visits', {
    data: {
      clientId: 'ottilie',
      zones: [
        { zone: 'upper-lip', side: 'middle' },
        { zone: 'nape', side: 'middle' },
      ],
    },
  });
  const { visitId } = (await made.json()) as { visitId: string };
  const { plan, planHash } = await confirmed(page.request, visitId);
  const [up, down] = plan.schedule.rounds;
  expect([up?.position, down?.position]).toEqual(['face-up', 'face-down']);
  await ownClock(page);
  await page.goto(`/visits/${visitId}/work`);
  await keyBound(page, 'PageDown');
  await workOn(page, { until: (now) => now === 'lay' });
  let laid = 0;
  await workOn(page, { until: () => laid++ > 0 });
  await expect.poll(async () => (await bench(page.request, visitId)).journal.at(-1)?.kind).toBe('laid');
  const act = { id: 'turned-too-early', atMs: Date.now(), kind: 'turned', position: 'face-down' };
  const early = await page.request.post(`/api/visits/${visitId}/journal`, { data: { plan: planHash, events: [act] } });
  expect(early.status()).toBe(422);
  expect(await early.text()).toContain('Wax is on the skin');
  const turn = page.getByRole('heading', { name: 'Turn: face down' });
  await workOn(page, { until: (now) => now === 'turn' });
  await expect(turn).toBeVisible();
  await later(page, 2);
  await page.getByRole('button', { name: 'Turned' }).click();
  await expect(turn).toBeHidden();
  await expect
    .poll(async () => (await bench(page.request, visitId)).journal.some((e) => e.kind === 'turned'))
    .toBe(true);
  // taken back it is asked again
  await page.keyboard.press('PageUp');
  await expect(turn).toBeVisible();
});

test('what was agreed reaches the plan: of the lip only the corners go, and the strips show what stays', async ({
  page,
}) => {
  const made = await page.request.post('/api/visits', {
    data: { clientId: 'ottilie', zones: [{ zone: 'upper-lip', side: 'middle' }] },
  });
  const { visitId } = (await made.json()) as { visitId: string };
  const all = (await bench(page.request, visitId)).plan.zones[0];
  expect(all?.keep).toEqual([]);
  await page.goto(`/visits/${visitId}/consult`);
  await ready(page);
  await page
    .getByRole('radiogroup', { name: 'How much: Upper lip' })
    .getByText('Corners only', { exact: true })
    .click();
  await saved(page);
  await expect.poll(async () => (await bench(page.request, visitId)).plan.zones[0]?.agreed).toBe('corners');
  const corners = (await bench(page.request, visitId)).plan.zones[0];
  expect(corners?.hairAreaCm2).toBeLessThan(0.75 * (all?.hairAreaCm2 ?? 0));
  await page.goto(`/visits/${visitId}/strips`);
  await ready(page);
  await expect(page.getByText('stays', { exact: true })).toBeVisible();
});
