import { expect, test } from '@playwright/test';
import { ownServer } from './ownServer';
import { bench, confirmed, keyBound, openVisit, saved, type ServerBench } from './support';
import { later, ownClock, prepared, workOn } from './table';

test('closing the browser at the table and opening it again resumes at the same act', async ({ browser, request }) => {
  const visitId = await openVisit(request, 'corwin');
  const first = await browser.newPage({ baseURL: test.info().project.use.baseURL ?? '' });
  await ownClock(first);
  await first.goto(`/visits/${visitId}/consult`);
  await first.getByRole('button', { name: 'Asked: nothing else has changed' }).click();
  await expect(first).toHaveURL(/chart$/);
  await first.goto(`/visits/${visitId}/work`);
  // not before every zone has been looked at: one key says so
  await expect(first.getByRole('heading', { name: 'Look first' })).toBeVisible();
  await keyBound(first, 'a');
  await first.keyboard.press('a');
  await keyBound(first, 'w');
  // by keys alone, as the pedal sends them: what prepares skin and hands, the wrist, then the wax
  await workOn(first, { until: (act) => act === 'wrist' });
  await later(first, 2);
  await first.keyboard.press('w');
  await expect(first.getByRole('heading', { name: 'Lay 1' })).toBeVisible();
  // a foot that slips on the pedal lays nothing
  await first.keyboard.press('PageDown');
  await first.keyboard.press('PageDown');
  await expect(first.getByRole('heading', { name: 'Lay 1' })).toBeVisible();
  let laid = 0;
  await workOn(first, { until: () => ++laid > 3 });
  const act = await first.getByRole('heading', { level: 1 }).first().getAttribute('aria-label');
  await expect
    .poll(async () => (await bench(request, visitId)).journal.filter((e) => e.kind !== 'step').length)
    .toBe(4);
  await first.close();
  const again = await browser.newPage({ baseURL: test.info().project.use.baseURL ?? '' });
  await again.goto(`/visits/${visitId}`);
  await expect(again).toHaveURL(/work$/);
  const title = again.getByRole('heading', { level: 1 }).first();
  // the same strip; a wait may be over by now
  await expect(title).toHaveAttribute('aria-label', new RegExp(`${(act ?? '').split(' ').at(-1)}$`));
  await keyBound(again, 'PageUp');
  // back one, another strip, hold, stop: each leaves its event, and stop can be taken back
  await again.keyboard.press('PageUp');
  await expect.poll(async () => (await bench(request, visitId)).journal.at(-1)?.kind).toBe('undo');
  await again.keyboard.press('a');
  await again.getByRole('dialog', { name: 'Which strip?' }).getByRole('button').first().click();
  await again.keyboard.press('h');
  await expect(again.getByRole('heading', { name: 'All held' })).toBeVisible();
  await again.keyboard.press('h');
  await again.keyboard.press('0');
  const aid = again.getByRole('heading', { name: 'Cool running water, now' });
  await expect(aid).toBeVisible();
  await expect(again.getByRole('timer')).toContainText('20');
  await again.keyboard.press('PageUp');
  await expect(aid).toBeHidden();
  await again.close();
});

test('the same event sent twice is written once, and a chart changed meanwhile does not renumber the table', async ({
  request,
}) => {
  const visitId = await openVisit(request, 'petra');
  const before = await confirmed(request, visitId);
  const [worked] = before.plan.zones.filter((z) => z.strips.length > 0);
  const strip = worked?.strips[0]?.id ?? '';
  const events = [
    { id: 'twice-0', atMs: 1_799_999_999_000, kind: 'wrist', product: worked?.choice?.product },
    { id: 'twice-1', atMs: 1_800_000_000_000, kind: 'laid', strip },
  ];
  const acts = { data: { events, plan: before.planHash } };
  for (let k = 0; k < 2; k++) {
    expect((await request.post(`/api/visits/${visitId}/journal`, acts)).ok()).toBe(true);
  }
  expect((await bench(request, visitId)).journal).toHaveLength(2);
  const [zone] = before.zones;
  if (!zone) throw new Error('the demo visit has zones');
  const put = await request.put(`/api/visits/${visitId}/charts/${zone.zone}/${zone.side}`, {
    data: {
      version: before.visit.version,
      data: { ...zone.data, product: 'sugar-firm', way: 'moulded', reason: 'test' },
    },
  });
  expect(put.ok()).toBe(true);
  expect((await bench(request, visitId)).plan.zones[0]?.strips).toEqual(before.plan.zones[0]?.strips);
});

test('the server away: what is done at the table waits on the tablet and arrives', async ({
  page,
  request,
  context,
}) => {
  const made = await request.post('/api/visits', {
    data: { clientId: 'wilhelmina', zones: [{ zone: 'underarm', side: 'left' }] },
  });
  const { visitId } = (await made.json()) as { visitId: string };
  await ownClock(page);
  await page.goto(`/visits/${visitId}/consult`);
  await page.getByRole('button', { name: /^Asked/ }).click();
  await expect(page).toHaveURL(/chart$/);
  await page.getByRole('group', { name: 'What to do now' }).getByRole('button').last().click();
  await expect(page).toHaveURL(/match$/);
  await saved(page);
  await page.goto(`/visits/${visitId}/work`);
  await prepared(page);
  await saved(page);
  await keyBound(page, 'w');
  await later(page, 2);
  await context.setOffline(true);
  await page.keyboard.press('w');
  await later(page, 12);
  await page.keyboard.press('PageDown');
  await expect(page.getByRole('main').getByText('Server away: kept on this tablet')).toBeVisible();
  const act = await page.getByRole('heading', { level: 1 }).first().getAttribute('aria-label');
  await context.setOffline(false);
  await expect
    .poll(
      async () => {
        await later(page, 3);
        return (await bench(request, visitId)).journal.filter((e) => e.kind !== 'step').length;
      },
      { timeout: 15_000 },
    )
    .toBe(2);
  await page.reload();
  const number = (act ?? '').split(' ').at(-1);
  await expect(page.getByRole('heading', { level: 1 }).first()).toHaveAttribute('aria-label', new RegExp(`${number}$`));
});

test('a tablet whose clock is an hour off says so, and writes and counts by the server’s time', async ({
  page,
  request,
}) => {
  const made = await request.post('/api/visits', {
    data: { clientId: 'bram', zones: [{ zone: 'underarm', side: 'left' }] },
  });
  const { visitId } = (await made.json()) as { visitId: string };
  await confirmed(request, visitId);
  await page.addInitScript(() => {
    const real = Date.now.bind(Date);
    Date.now = () => real() + 3_600_000;
  });
  await page.goto(`/visits/${visitId}/work`);
  await expect(page.getByRole('alert').filter({ hasText: 'The clock of this tablet is 3600 s ahead' })).toBeAttached();
  await keyBound(page, 's');
  // left out, and that is said
  await page.keyboard.press('s');
  await expect.poll(async () => (await bench(request, visitId)).journal.length).toBe(1);
  const { entries } = (await (await request.get(`/api/visits/${visitId}/journal`)).json()) as {
    entries: readonly { event: { atMs: number; skipped?: boolean } }[];
  };
  expect(entries[0]?.event.skipped).toBe(true);
  expect(Math.abs((entries[0]?.event.atMs ?? 0) - Date.now())).toBeLessThan(120_000);
});

test('kill -9 in the middle of work: nothing acknowledged is lost', async () => {
  const server = await ownServer();
  const { base } = server;
  const post = (url: string, body: unknown): Promise<Response> =>
    fetch(base + url, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) });
  try {
    await server.start();
    const { visitId } = (await (await post('/api/visits', { bookingId: 'demo-booking-ottilie' })).json()) as {
      visitId: string;
    };
    const { plan, planHash } = (await (await fetch(`${base}/api/visits/${visitId}?plan=wait`)).json()) as ServerBench;
    const strip = plan.zones[0]?.strips[0]?.id;
    const acknowledged: string[] = [];
    // write as fast as it answers, and kill while the next write is under way
    for (let k = 0; k < 40; k++) {
      const sent = await post(`/api/visits/${visitId}/journal`, {
        events: [{ id: `kill-${k}`, atMs: 1_800_000_000_000 + k, kind: 'mark', strip, mark: 'clean' }],
        plan: planHash,
      });
      if (sent.ok) acknowledged.push(`kill-${k}`);
    }
    const under = post(`/api/visits/${visitId}/journal`, {
      events: [{ id: 'kill-last', atMs: 1_800_000_001_000, kind: 'mark', strip, mark: 'sore' }],
      plan: planHash,
    }).catch(() => null);
    await server.kill();
    await under;
    await server.start();
    const after = (await (await fetch(`${base}/api/visits/${visitId}`)).json()) as { journal: { id: string }[] };
    expect(acknowledged).toHaveLength(40);
    const ids = after.journal.map((e) => e.id);
    for (const id of acknowledged) expect(ids).toContain(id);
  } finally {
    await server.kill();
  }
});
