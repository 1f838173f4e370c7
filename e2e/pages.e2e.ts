import { expect, test } from '@playwright/test';
import { axeFaults } from './axe';
import { bench, keyBound, openVisit, PIN, ready, withPin } from './support';

const STATIONS = ['consult', 'chart', 'match', 'strips', 'work', 'read', 'return'] as const;

test('every page passes axe and has no sideways scroll at 360 px', async ({ page, request }) => {
  const visitId = await openVisit(request, 'saoirse');
  const pages = [
    '/',
    '/clients',
    '/clients/wilhelmina',
    '/nowhere',
    '/rules',
    '/studio',
    '/studio/house',
    '/studio/people',
    '/studio/services',
    '/studio/ways',
    '/studio/texts',
    '/studio/keeping',
    '/ledger',
    '/ledger/day',
    '/ledger/book',
    '/prices',
    '/kitchen',
    '/shelf',
    '/pots',
    '/ready',
    '/post',
    '/week',
    '/hours',
    '/products',
    '/products/cream-hard',
    '/products/new?from=soft',
    ...STATIONS.map((s) => `/visits/${visitId}/${s}`),
  ];
  const found: string[] = [];
  for (const path of pages) {
    await page.setViewportSize({ width: 1280, height: 800 });
    const sent = (await (await page.goto(path))?.text()) ?? '';
    // one that came later would be missing for a moment while the page wakes
    if (!/<title>[^<]+<\/title>.*<\/head>/s.test(sent)) found.push(`${path}: no title in the head`);
    await page.waitForTimeout(400);
    await expect(page).toHaveTitle(/./);
    const violations = await axeFaults(page);
    found.push(
      ...violations.map(
        (v) =>
          `${path}: ${v.id} ${v.nodes[0]?.html.slice(0, 140) ?? ''} ${v.nodes[0]?.failureSummary?.slice(0, 160) ?? ''}`,
      ),
    );
    await page.setViewportSize({ width: 360, height: 740 });
    await page.waitForTimeout(150);
    const over = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    if (over > 0) found.push(`${path}: ${over} px too wide at 360 px`);
  }
  expect(found).toEqual([]);
});

test('keys alone: stations by G and a number, search by /, the list of keys by ?, none while typing', async ({
  page,
  request,
}) => {
  const visitId = await openVisit(request, 'saoirse');
  await page.goto(`/visits/${visitId}/consult`);
  await keyBound(page, 'g');
  for (const [key, station] of [
    ['3', 'match'],
    ['7', 'return'],
    ['2', 'chart'],
  ] as const) {
    await page.keyboard.press('g');
    await page.keyboard.press(key);
    await expect(page).toHaveURL(new RegExp(`/${station}$`));
  }
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.keyboard.press('/');
  await expect(page.getByRole('textbox', { name: 'Search clients' })).toBeFocused();
  await page.keyboard.type('pastry t');
  await expect(page).toHaveURL(/clients/);
  await page.getByRole('textbox', { name: 'Search clients' }).fill('pastry');
  await expect(page.getByRole('link', { name: /Anselm Roux/ })).toBeVisible();
  await expect(page.getByRole('link', { name: /Ottilie/ })).toBeHidden();
  await page.goBack();
  await expect(page).toHaveURL(/chart$/);
});

test('the privacy curtain hides everything by one key or one tap, at the table too, and the list of problems answers F', async ({
  page,
  request,
}) => {
  const visitId = await openVisit(request, 'teodora');
  await page.goto(`/visits/${visitId}/consult`);
  await keyBound(page, '.');
  await page.getByRole('button', { name: 'Curtain', exact: true }).click();
  await expect(page.getByRole('dialog', { name: 'Privacy curtain' })).toBeVisible();
  // a tap and Escape leave it drawn; held for a second it opens
  const lift = page.getByRole('button', { name: 'Hold to lift the curtain' });
  await lift.click();
  await page.keyboard.press('Escape');
  await expect(lift).toBeVisible();
  await lift.hover();
  await page.mouse.down();
  await expect(page.getByRole('dialog', { name: 'Privacy curtain' })).toBeHidden();
  await page.mouse.up();
  await page.getByRole('button', { name: /^(Asked|Confirmed)/ }).click();
  await expect(page).toHaveURL(/chart$/);
  await page.goto(`/visits/${visitId}/work`);
  await page.getByRole('button', { name: /^As last time/ }).click();
  await keyBound(page, 'f');
  await page.keyboard.press('f');
  await expect(page.getByRole('dialog', { name: 'Problems and remedies' })).toContainText('Cool running water');
  await page.keyboard.press('f');
  await page.keyboard.press('.');
  await expect(page.getByRole('dialog', { name: 'Privacy curtain' })).toBeVisible();
  await page.keyboard.press('.');
  await expect(page.getByRole('dialog', { name: 'Privacy curtain' })).toBeVisible();
  await page.keyboard.down('.');
  await expect(page.getByRole('dialog', { name: 'Privacy curtain' })).toBeHidden();
  await page.keyboard.up('.');
});

test('a new client is added; an empty name is refused with what is kept', async ({ page }) => {
  await page.goto('/clients');
  await page.getByRole('button', { name: 'New client' }).click();
  await page.getByRole('textbox', { name: 'Phone' }).fill('0555 0199');
  await page.getByRole('button', { name: 'Save the card' }).click();
  const name = page.getByRole('textbox', { name: 'Name', exact: true });
  await expect(name).toBeFocused();
  await expect(name).toHaveAccessibleDescription(/A name is needed; what you have typed is kept/);
  await expect(page.getByText('A name is needed; what you have typed is kept.')).toBeVisible();
  await expect(page.getByRole('textbox', { name: 'Phone' })).toHaveValue('0555 0199');
  await name.fill('Nell Ashgrove');
  await name.press('Enter');
  await expect(page.getByRole('heading', { name: 'Nell Ashgrove' })).toBeVisible();
  await page.getByRole('button', { name: 'Open a visit now' }).click();
  await expect(
    page.getByRole('heading', { name: /once consent is given|What comes off today/, level: 1 }),
  ).toBeVisible();
});

test('bad requests get 4xx with what is wrong and change nothing; a stale version gets what is newer', async ({
  request,
}) => {
  const visitId = await openVisit(request, 'saoirse');
  const before = await bench(request, visitId);
  const at = `/api/visits/${visitId}`;
  const [zone] = before.zones;
  if (!zone) throw new Error('the demo visit has zones');
  const bad: readonly (readonly [string, string, unknown, number])[] = [
    ['put', `${at}/consult`, { version: before.visit.version, consult: { v: 1 } }, 422],
    [
      'put',
      `${at}/charts/${zone.zone}/${zone.side}`,
      { version: before.visit.version, data: { ...zone.data, strokes: [{ at: [900, 1], towards: [0, 1] }] } },
      422,
    ],
    [
      'put',
      `${at}/charts/${zone.zone}/${zone.side}`,
      { version: before.visit.version, data: { ...zone.data, extra: true } },
      422,
    ],
    ['put', `${at}/charts/chin/middle`, { version: before.visit.version, data: zone.data }, 404],
    ['put', `${at}/zones`, { version: before.visit.version, zones: [{ zone: 'upper-lip', side: 'left' }] }, 422],
    ['post', `${at}/journal`, { events: [{ id: 'x y', atMs: -1, kind: 'jump' }] }, 422],
    ['put', '/api/visits/nobody/consult', { version: 1, consult: before.visit.consult }, 404],
    ['post', '/api/visits', { bookingId: 'nothing' }, 404],
    ['post', '/api/visits', {}, 422],
    ['post', '/api/clients', { name: '' }, 422],
    ['put', '/api/clients/nobody', { version: 1 }, 422],
  ];
  for (const [method, url, data, status] of bad) {
    const answer = await request.fetch(url, { method, data });
    expect(answer.status(), `${method} ${url}`).toBe(status);
    const { error } = (await answer.json()) as { error: { code: string; message: string; details: unknown[] } };
    expect(error.code.length > 0 && error.message.length > 0 && Array.isArray(error.details)).toBe(true);
  }
  expect(
    (
      await request.fetch(`${at}/consult`, {
        method: 'put',
        headers: { 'content-type': 'application/json' },
        data: Buffer.from('{'),
      })
    ).status(),
  ).toBe(400);
  expect(
    (
      await request.fetch('/api/visits', {
        method: 'post',
        headers: { origin: 'http://elsewhere.example' },
        data: { bookingId: 'demo-booking-saoirse' },
      })
    ).status(),
  ).toBe(403);
  expect((await request.get('/api/visits/nobody')).status()).toBe(404);
  expect(await bench(request, visitId)).toEqual(before);
  const good = { version: before.visit.version, zones: before.zones.map(({ zone: z, side }) => ({ zone: z, side })) };
  expect((await request.put(`${at}/zones`, { data: good })).status()).toBe(200);
  const stale = await request.put(`${at}/zones`, { data: good });
  expect(stale.status()).toBe(409);
  const answer = (await stale.json()) as { error: { newer: { visit: { version: number } } } };
  expect(answer.error.newer.visit.version).toBe(before.visit.version + 1);
});

test('two tablets: in different places no conflict, in the same one both are kept until one is chosen', async ({
  page,
  request,
  context,
}) => {
  const visitId = await openVisit(request, 'saoirse');
  await page.goto(`/visits/${visitId}/consult`);
  await ready(page);
  const chart = async (more: object): Promise<void> => {
    const { visit, zones } = await bench(request, visitId);
    const [zone] = zones;
    if (!zone) throw new Error('a zone');
    const data = { version: visit.version, data: { ...zone.data, ...more } };
    expect((await request.put(`/api/visits/${visitId}/charts/${zone.zone}/${zone.side}`, { data })).ok()).toBe(true);
  };
  const consult = async (sensitivity: number): Promise<void> => {
    const { visit } = await bench(request, visitId);
    const data = { version: visit.version, consult: { ...(visit.consult as object), sensitivity } };
    expect((await request.put(`/api/visits/${visitId}/consult`, { data })).ok()).toBe(true);
  };
  // away for a moment: another tablet charts, this one asks
  await context.setOffline(true);
  await chart({ confirmed: true });
  await page.getByRole('radiogroup', { name: 'Scrub' }).getByText('Yes').click();
  await expect(page.locator('[data-sync="waiting"]').first()).toBeVisible();
  await context.setOffline(false);
  await expect(page.locator('[data-sync="saved"]').first()).toBeVisible();
  await expect(page.getByRole('alert').filter({ hasText: 'Another tablet' })).toHaveCount(0);
  // away again: now both ask; a reload in between changes nothing
  await context.setOffline(true);
  await consult(4);
  await page.getByRole('button', { name: /Show$/ }).click();
  await page.getByRole('radiogroup', { name: 'Coffee or stimulants today' }).getByText('Yes').click();
  await expect(page.locator('[data-sync="waiting"]').first()).toBeVisible();
  await context.setOffline(false);
  await page.reload();
  const disputed = page.getByRole('alert').filter({ hasText: 'Another tablet changed the consultation too' });
  await expect(disputed).toBeVisible();
  await disputed.getByRole('button', { name: 'Keep mine' }).click();
  await expect(page.locator('[data-sync="saved"]').first()).toBeVisible();
  await page.reload();
  await expect(
    page.getByRole('radiogroup', { name: 'Coffee or stimulants today' }).getByRole('radio', { name: 'Yes' }),
  ).toBeChecked();
});

test('a page that has come is not made a second time, and no other is fetched ahead', async ({ page }) => {
  const asked: string[] = [];
  page.on('request', (r) => asked.push(new URL(r.url()).pathname + new URL(r.url()).search));
  const open = page.waitForRequest(/api\/events\?after=/);
  await page.goto('/clients');
  await ready(page);
  await open;
  await expect(page.getByRole('link', { name: /Ottilie/ }).first()).toBeVisible();
  // longer than a page waits before it looks anew
  await page.waitForTimeout(1500);
  expect(asked.filter((url) => url.includes('_rsc='))).toEqual([]);
  expect(asked.filter((url) => url === '/clients')).toHaveLength(1);
});

test('one page hears of another within a moment', async ({ page, request }) => {
  const visitId = await openVisit(request, 'saoirse');
  await page.goto(`/visits/${visitId}/consult`);
  await ready(page);
  const { visit } = await bench(request, visitId);
  const consult = { ...(visit.consult as object), facts: [{ fact: 'caffeine' }] };
  const put = await request.put(`/api/visits/${visitId}/consult`, { data: { version: visit.version, consult } });
  expect(put.ok()).toBe(true);
  await expect(
    page.getByRole('radiogroup', { name: 'Coffee or stimulants today' }).getByRole('radio', { name: 'Yes' }),
  ).toBeChecked();
});

test('a browser that is not known is asked for a PIN and sees nothing before', async ({ browser, request }) => {
  await withPin(request, await openVisit(request, 'saoirse'));
  const baseURL = test.info().project.use.baseURL ?? '';
  const stranger = await browser.newContext({ baseURL, storageState: { cookies: [], origins: [] } });
  const page = await stranger.newPage();
  await page.goto('/clients');
  await expect(page).toHaveURL(/\/door$/);
  expect((await stranger.request.get('/api/clients/export')).status()).toBe(401);
  for (const digit of '1357') await page.getByRole('button', { name: digit, exact: true }).click();
  await page.getByRole('button', { name: 'Come in' }).click();
  await expect(page.getByText('That is not a PIN of this studio.')).toBeVisible();
  await page.keyboard.type(PIN);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Saltmarsh Row');
  await stranger.close();
});
