import { expect, test, type APIRequestContext, type Page } from '@playwright/test';
import { axeFaults } from './axe';
import { bench, confirmed, keyBound, ready, saved } from './support';

type Zone = readonly [zone: string, side: string];
const ONE: readonly Zone[] = [['upper-lip', 'middle']];
const FOUR: readonly Zone[] = [
  ['underarm', 'left'],
  ['underarm', 'right'],
  ['lower-leg-front', 'left'],
  ['lower-leg-front', 'right'],
];
const TWELVE: readonly Zone[] = [
  ...FOUR,
  ['brow', 'left'],
  ['brow', 'right'],
  ['between-brows', 'middle'],
  ['upper-lip', 'middle'],
  ['chin', 'middle'],
  ['forearm', 'left'],
  ['forearm', 'right'],
  ['bikini-edge', 'left'],
];
const SIZES = [
  { width: 360, height: 780 },
  { width: 820, height: 1180 },
  { width: 1280, height: 800 },
] as const;
/** Two frames on, what hangs on the size of the window has been laid out anew. */
const laidOut = (page: Page): Promise<void> =>
  page.evaluate(() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(() => done()))));
const STATIONS = ['consult', 'chart', 'match', 'strips', 'return'] as const;

async function visitOf(request: APIRequestContext, zones: readonly Zone[], clientId = 'saoirse'): Promise<string> {
  const made = await request.post('/api/visits', {
    data: { clientId, zones: zones.map(([zone, side]) => ({ zone, side })) },
  });
  const { visitId } = (await made.json()) as { visitId: string };
  await confirmed(request, visitId);
  return visitId;
}

/** Main act of a station, and by how much it or the page leaves the screen, px. */
async function outside(page: Page): Promise<{ readonly act: string; readonly by: number }> {
  const act = page.getByRole('group', { name: 'What to do now' }).locator('a, button').last();
  await expect(act).toBeVisible();
  return act.evaluate((el) => {
    const box = el.getBoundingClientRect();
    const at = document.elementFromPoint(box.x + box.width / 2, box.y + box.height / 2);
    const covered = at === null || !(el === at || el.contains(at)) ? 1000 : 0;
    const by = Math.max(0, -box.y, box.bottom - window.innerHeight, box.right - window.innerWidth) + covered;
    return { act: el.textContent, by: Math.round(by) };
  });
}

for (const [name, zones] of [
  ['one zone', ONE],
  ['four zones', FOUR],
  ['twelve zones', TWELVE],
] as const) {
  test(`the main act of every station lies within the screen without scrolling: ${name}, three sizes`, async ({
    page,
    request,
  }) => {
    const visitId = await visitOf(request, zones);
    const found: string[] = [];
    for (const station of STATIONS) {
      // begun on the phone, then turned and made larger, as a window is
      await page.setViewportSize(SIZES[0]);
      await page.goto(`/visits/${visitId}/${station}`);
      await ready(page);
      for (const size of SIZES) {
        const { width } = size;
        await page.setViewportSize(size);
        await laidOut(page);
        const { act, by } = await outside(page);
        found.push(act);
        if (by > 0) found.push(`${station} at ${width}: “${act}” is ${by} px outside`);
        const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
        if (wide > 0) found.push(`${station} at ${width}: ${wide} px too wide`);
        // at the table's size nothing scrolls but what grows inside its own sheet
        const tall = await page.evaluate(() => document.documentElement.scrollHeight - window.innerHeight);
        if (width === 1280 && tall > 0) found.push(`${station} at 1280: the page scrolls by ${tall} px`);
      }
    }
    expect(found.filter((f) => f.includes(' px '))).toEqual([]);
    expect(found).toHaveLength(SIZES.length * STATIONS.length);
  });
}

test('the bar: today’s date on another day’s visit, what is saved, who is here; radio groups by arrow keys', async ({
  page,
  request,
}) => {
  const visitId = await visitOf(request, FOUR, 'ottilie');
  await page.goto(`/visits/${visitId}/chart`);
  await ready(page);
  const bar = page.getByRole('banner');
  await expect(bar.locator('time')).toContainText(/^\w{3} \d+ \w+, \d\d:\d\d$/);
  await expect(bar).toContainText('All saved');
  await keyBound(page, 'c');
  const history = page.getByRole('radiogroup', { name: 'History' });
  await history.getByRole('radio', { name: 'Regular' }).click();
  await page.keyboard.press('ArrowRight');
  await expect(history.getByRole('radio', { name: 'Lapsed' })).toBeChecked();
  await expect(history.getByRole('radio', { name: 'Lapsed' })).toBeFocused();
  await saved(page);
  expect((await bench(request, visitId)).zones[0]?.data['hair']).toMatchObject({ history: 'lapsed' });
});

test('another product takes one tap and a reason, and can be taken back; by touch', async ({ page, request }) => {
  const visitId = await visitOf(request, FOUR, 'ottilie');
  await page.goto(`/visits/${visitId}/match`);
  await ready(page);
  const rows = page.getByRole('radiogroup', { name: 'Products and ways' }).getByRole('radio');
  await rows.nth(1).tap();
  const main = page.getByRole('group', { name: 'What to do now' }).getByRole('button').last();
  await expect(main).toBeDisabled();
  await page.getByRole('button', { name: 'worked last time' }).tap();
  await saved(page);
  await expect(page.getByText('Your choice: worked last time.')).toBeVisible();
  const chosen = (await bench(request, visitId)).zones.slice(0, 2).map((z) => z.data['reason']);
  expect(chosen).toEqual(['worked last time', 'worked last time']);
  await page.getByRole('button', { name: 'Back to the proposal' }).tap();
  await saved(page);
  expect((await bench(request, visitId)).zones[0]?.data['product']).toBeNull();
});

test('a new client: nothing is green before it is asked, nothing counts as asked that was not', async ({
  page,
  request,
}) => {
  const profile = {
    ...{ v: 2, statureCm: null, massKg: null, sensitivity: 3, skin: 'normal', ingrownProne: false },
    ...{ standing: [], reactions: [], patchTests: [], consentOn: null, guardianConsentOn: null, blackout: [] },
  };
  const made = await request.post('/api/clients', {
    data: { name: 'Perrin Vell', byline: '', bornOn: '1990-05-04', phone: '', note: '', profile },
  });
  expect(made.ok()).toBe(true);
  const { id } = (await made.json()) as { id: string };
  const opened = await request.post('/api/visits', {
    data: { clientId: id, zones: [{ zone: 'upper-lip', side: 'middle' }] },
  });
  const { visitId } = (await opened.json()) as { visitId: string };
  await page.goto(`/visits/${visitId}/consult`);
  await ready(page);
  const verdict = page.getByRole('region', { name: 'Verdict' });
  await expect(verdict).toHaveAttribute('data-tone', 'open');
  await expect(verdict).toContainText('Upper lip once consent is given.');
  const main = page.getByRole('button', { name: 'Asked and agreed' });
  await page.getByRole('checkbox', { name: 'Consent given' }).check();
  await expect(verdict).toContainText('Upper lip today.');
  await expect(verdict).toHaveAttribute('data-tone', 'open');
  await expect(main).toBeDisabled();
  await expect(page.getByText(/^Open: \d+ questions\.$/)).toBeVisible();
  // the services are drawn by what they take off
  await page.getByRole('button', { name: 'Services and other zones' }).click();
  await page
    .getByRole('group', { name: 'Services' })
    .getByRole('button', { name: /^Brows/ })
    .click();
  await page.getByRole('dialog').getByRole('button', { name: 'Close' }).click();
  await expect(verdict).toContainText('Both brows, between the brows and upper lip today.');
  await page.getByRole('radiogroup', { name: 'Retinoid cream' }).getByText('No').click();
  const others = page.getByRole('button', { name: /^All \d+ asked: no to each$/ });
  const count = Number(/\d+/.exec((await others.textContent()) ?? '')?.[0]);
  await others.click();
  await expect(verdict).toHaveAttribute('data-tone', 'go');
  await main.click();
  await expect(page).toHaveURL(/chart$/);
  await saved(page);
  const { asked } = (await bench(request, visitId)).visit.consult as { readonly asked: readonly string[] };
  expect(asked).toContain('retinoid-topical');
  // as many as stood on the screen, and none that did not
  expect(asked).toHaveLength(count + 1);
  // presets are no answer: a zone never charted is looked at on the chart, not waved through at the table
  await page.goto(`/visits/${visitId}/work`);
  await expect(page.getByRole('heading', { name: 'Look first' })).toBeVisible();
  await expect(page.getByRole('group', { name: 'What to do now' }).getByRole('button')).toHaveCount(0);
  await page.getByRole('link', { name: 'To the chart' }).click();
  await page.getByRole('button', { name: /^Charted/ }).click();
  await page.getByRole('button', { name: /^Take / }).click();
  await page.getByRole('link', { name: 'To the table' }).click();
  await expect(page.getByRole('heading', { name: 'Alerts' })).toBeVisible();
});

test('the planning stations pass axe', async ({ page, request }) => {
  const visitId = await visitOf(request, FOUR, 'ottilie');
  const faults: string[] = [];
  for (const station of ['consult', 'chart', 'match', 'strips'] as const) {
    await page.goto(`/visits/${visitId}/${station}`);
    await ready(page);
    await outside(page);
    const violations = await axeFaults(page);
    faults.push(...violations.map((v) => `${station}: ${v.id} ${v.nodes[0]?.html.slice(0, 160) ?? ''}`));
  }
  expect(faults).toEqual([]);
});
