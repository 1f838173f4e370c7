import { expect, test, type APIRequestContext, type Page } from '@playwright/test';
import { axeFaults } from './axe';
import { bench, confirmed, keyBound } from './support';
import { actNow, field, later, mainKey, ownClock, prepared, stateNow, workOn } from './table';

async function legAtTable(page: Page, request: APIRequestContext, clientId: string): Promise<string> {
  const made = await request.post('/api/visits', {
    data: { clientId, zones: [{ zone: 'lower-leg-front', side: 'left' }] },
  });
  const { visitId } = (await made.json()) as { visitId: string };
  const { zones, visit } = await confirmed(request, visitId);
  // wax that sets, so that there is something to wait for
  const put = await request.put(`/api/visits/${visitId}/charts/lower-leg-front/left`, {
    data: {
      version: visit.version,
      data: { ...zones[0]?.data, confirmed: true, product: 'cream-hard', way: 'with', reason: 'client asks' },
    },
  });
  expect(put.ok()).toBe(true);
  await bench(request, visitId);
  await ownClock(page);
  await page.goto(`/visits/${visitId}/work`);
  await keyBound(page, 'PageDown');
  return visitId;
}

/** From the first step to a strip that sets and is waited for. */
async function toWait(page: Page): Promise<void> {
  if ((await actNow(page)) === 'step') await prepared(page);
  let acts = 0;
  for (; acts < 20 && (await stateNow(page)) !== 'wait'; acts++) {
    await later(page, (await actNow(page)) === 'lay' ? 8 : 2);
    if ((await stateNow(page)) === 'wait') break;
    const before = await page.getByRole('heading', { level: 1 }).first().getAttribute('aria-label');
    await page.keyboard.press('PageDown');
    await expect(page.getByRole('heading', { level: 1 }).first()).not.toHaveAttribute('aria-label', before ?? '');
  }
  expect(acts).toBeLessThan(20);
}
const toState = async (page: Page, state: string): Promise<void> => {
  for (let k = 0; k < 60 && (await stateNow(page)) !== state; k++) await later(page, 5);
  await expect(field(page)).toHaveAttribute('data-state', state);
};

type Colour = readonly [number, number, number];
/** Mean colour of the signal's side of the screen at a quarter of its size. */
async function seenFromAfar(page: Page): Promise<Colour> {
  const png = (await page.screenshot()).toString('base64');
  return page.evaluate(async (data) => {
    const image = new Image();
    image.src = `data:image/png;base64,${data}`;
    await image.decode();
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [image.width / 4, image.height / 4];
    const ctx = canvas.getContext('2d');
    if (!ctx) throw new Error('no canvas');
    ctx.drawImage(image, 0, 0, canvas.width, canvas.height);
    const { data: px } = ctx.getImageData(canvas.width * 0.63, 0, canvas.width * 0.36, canvas.height);
    const sum = [0, 0, 0];
    for (let i = 0; i < px.length; i += 4) for (let c = 0; c < 3; c++) sum[c] = (sum[c] ?? 0) + (px[i + c] ?? 0);
    return sum.map((s) => s / (px.length / 4)) as [number, number, number];
  }, png);
}
const apart = (a: Colour, b: Colour): number => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);

for (const theme of ['day', 'evening'] as const) {
  test(`wait, pull and now are told apart at a quarter of their size, pass axe, and fit the screen: ${theme}`, async ({
    page,
    request,
    context,
    baseURL,
  }) => {
    await page.emulateMedia({ reducedMotion: 'reduce' });
    await context.addCookies([{ name: 'strickle-room', value: theme, url: baseURL ?? '' }]);
    await legAtTable(page, request, 'bram');
    expect(await page.locator('html').getAttribute('data-theme')).toBe(theme === 'evening' ? 'evening' : null);
    const faults: string[] = [];
    const looked: string[] = [];
    const look = async (name: string): Promise<void> => {
      const violations = await axeFaults(page);
      faults.push(...violations.map((v) => `${name}: ${v.id} ${v.nodes[0]?.html.slice(0, 200) ?? ''}`));
      const out = await page.evaluate(() =>
        [...document.querySelectorAll('main button, main a, main h1')]
          .filter((el) => el.checkVisibility())
          .map((el) => [el.textContent, el.getBoundingClientRect()] as const)
          .filter(([, r]) => r.bottom > window.innerHeight + 1 || r.right > window.innerWidth + 1 || r.top < -1)
          .map(([text]) => text),
      );
      faults.push(...out.map((text) => `${name}: ${text ?? ''} leaves the screen`));
      looked.push(name);
    };
    await look('step');
    await prepared(page);
    await look('wrist');
    await later(page, 2);
    await page.keyboard.press('w');
    await expect(field(page)).toHaveAttribute('data-act', 'lay');
    await look('lay');
    await toWait(page);
    const seen: Colour[] = [];
    for (const state of ['wait', 'pull', 'now'] as const) {
      await toState(page, state);
      seen.push(await seenFromAfar(page));
      await look(state);
    }
    const [wait, pull, now] = seen as [Colour, Colour, Colour];
    // of 441 between black and white
    expect(Math.min(apart(wait, pull), apart(pull, now), apart(wait, now))).toBeGreaterThan(50);
    await page.keyboard.press('0');
    await expect(page.getByRole('heading', { name: 'Cool running water, now' })).toBeVisible();
    await look('stopped');
    expect(faults).toEqual([]);
    expect(looked).toEqual(['step', 'wrist', 'lay', 'wait', 'pull', 'now', 'stopped']);
  });
}

test('a pull before its time wants a second press and is written as early; a bounce of the pedal is none', async ({
  page,
  request,
}) => {
  const visitId = await legAtTable(page, request, 'bram');
  await toWait(page);
  const pulls = async () => (await bench(request, visitId)).journal.filter((e) => e.kind === 'pulled');
  const key = mainKey(page);
  await expect(key).toHaveText('Ready sooner: press twice');
  await later(page, 1);
  await page.keyboard.press('PageDown');
  await expect(key).toHaveText('Press once more');
  // the same press, bounced
  await page.keyboard.press('PageDown');
  await expect(field(page)).toHaveAttribute('data-state', 'wait');
  expect(await pulls()).toHaveLength(0);
  // too long after the first it is a first one again
  await later(page, 5);
  await page.keyboard.press('PageDown');
  await expect(key).toHaveText('Press once more');
  expect(await pulls()).toHaveLength(0);
  await later(page, 1);
  await key.tap();
  await expect.poll(async () => (await pulls()).length).toBe(1);
  const [first] = (await pulls()) as readonly { readonly earlyS?: number }[];
  expect(first?.earlyS).toBeGreaterThan(0);
  // taken back at once
  await page.keyboard.press('PageUp');
  await expect(field(page)).toHaveAttribute('data-state', 'wait');
});

test('sound and voice are off until asked for; then the voice says what the screen says', async ({ page, request }) => {
  await page.addInitScript(() => {
    const said: string[] = [];
    Object.defineProperty(window, 'speechSynthesis', {
      value: { cancel: () => undefined, speak: (u: { text: string }) => said.push(u.text) },
    });
    Object.defineProperty(window, 'SpeechSynthesisUtterance', {
      value: class {
        constructor(readonly text: string) {}
      },
    });
    Object.assign(window, { said });
  });
  const said = (): Promise<readonly string[]> =>
    page.evaluate(() => (window as unknown as { said: readonly string[] }).said);
  await legAtTable(page, request, 'bram');
  await toWait(page);
  expect(await said()).toEqual([]);
  await page.keyboard.press('v');
  await expect(page.getByRole('button', { name: 'Sound and voice' })).toHaveAttribute('aria-pressed', 'true');
  await toState(page, 'pull');
  await expect.poll(async () => (await said()).at(-1)).toMatch(/^Pull \d+\. Breathe out\.$/);
  expect((await said())[0]).toMatch(/^Wait, then pull \d+/);
  await page.getByRole('button', { name: 'Sound and voice' }).tap();
  const before = (await said()).length;
  await toState(page, 'now');
  expect(await said()).toHaveLength(before);
});

test('stop is first aid: minutes of water run over a reload, what is on the skin comes off, what is seen is kept', async ({
  page,
  request,
}) => {
  const visitId = await legAtTable(page, request, 'corwin');
  await toWait(page);
  await page.getByRole('button', { name: 'Stop', exact: true }).tap();
  await expect(page.getByRole('heading', { name: 'Cool running water, now' })).toBeVisible();
  await later(page, 181);
  await expect(page.getByRole('timer')).toContainText('17');
  await page.getByRole('button', { name: 'Water is off: pause' }).click();
  await later(page, 120);
  await expect(page.getByRole('timer')).toContainText('17');
  await page.getByRole('button', { name: 'Water runs again' }).click();
  await later(page, 61);
  await expect(page.getByRole('timer')).toContainText('16');
  const offs = page.getByRole('button', { name: /^\d+ is off$/ });
  const before = await offs.count();
  expect(before).toBeGreaterThan(0);
  await offs.first().click();
  await expect(offs).toHaveCount(before - 1);
  await page.getByRole('group', { name: 'What is seen' }).getByRole('button', { name: 'red' }).click();
  await expect.poll(async () => (await bench(request, visitId)).journal.at(-1)?.step).toBe('red');
  await page.reload();
  await expect(page.getByRole('timer')).toContainText('16');
  await expect(page.getByRole('button', { name: 'red', pressed: true })).toBeVisible();
  await page.getByRole('button', { name: 'Not a burn' }).click();
  await expect(page.getByText('Skin lifted, raw:')).toBeVisible();
  // the record of it: what is known stands in it, what happened has to be said
  await page.getByRole('button', { name: 'It is a burn' }).click();
  await page.getByRole('link', { name: 'Go on with the record' }).click();
  await expect(page.getByRole('heading', { name: 'Incident record' })).toBeVisible();
  const faults = async (): Promise<readonly string[]> => {
    const violations = await axeFaults(page);
    return violations.map((v) => `${v.id}: ${v.nodes[0]?.html ?? ''}`);
  };
  expect(await faults()).toEqual([]);
  await expect(page.getByText(/^Noted: .*planned at about \d+ °C at touch, wrist test at/)).toBeVisible();
  const write = page.getByRole('button', { name: 'Write it down' });
  await expect(write).toBeDisabled();
  await page.getByRole('group', { name: 'What happened' }).getByRole('button', { name: 'burn' }).click();
  await page.getByRole('group', { name: 'What was done' }).getByRole('button', { name: 'cool running water' }).click();
  await page.getByLabel('In your own words').fill('Coin-sized, red.');
  await write.click();
  await expect(page.getByRole('heading', { name: /^Written at/ })).toBeVisible();
  expect(await faults()).toEqual([]);
  await expect(page.getByText(/^Done: cool running water for \d+ min\.$/)).toBeVisible();
  await expect.poll(async () => (await bench(request, visitId)).journal.at(-1)?.kind).toBe('incident');
  const print = await request.get(`/api/visits/${visitId}/incident`);
  expect(print.headers()['content-type']).toContain('pdf');
  expect((await print.body()).subarray(0, 5).toString()).toBe('%PDF-');
  await page.goto('/clients/corwin');
  await expect(page.getByText(/: burn, lower leg/)).toBeVisible();
});

test('the hands do another strip than proposed; the order goes on; by touch alone to the end', async ({
  page,
  request,
}) => {
  const made = await request.post('/api/visits', {
    data: { clientId: 'petra', zones: [{ zone: 'upper-lip', side: 'middle' }] },
  });
  const { visitId } = (await made.json()) as { visitId: string };
  await confirmed(request, visitId);
  await ownClock(page);
  await page.goto(`/visits/${visitId}/work`);
  await keyBound(page, 'PageDown');
  await page.getByRole('button', { name: /^All \d are done$/ }).tap();
  await workOn(page, { hand: () => mainKey(page).tap(), until: (act) => act === 'lay' });
  await page.getByRole('button', { name: /^Other strip/ }).tap();
  const chooser = page.getByRole('dialog', { name: 'Which strip?' });
  const laid = chooser.getByRole('button');
  await expect(laid).not.toHaveCount(1);
  // the last before `None`
  await laid.nth((await laid.count()) - 2).tap();
  await expect(chooser).toBeHidden();
  await workOn(page, { hand: () => mainKey(page).tap(), until: (act) => act === 'done' });
  const { journal, plan } = await bench(request, visitId);
  const strips = plan.zones.flatMap((z) => z.strips.map((s) => s.id));
  const pulled = journal.filter((e) => e.kind === 'pulled') as readonly { readonly strip?: string }[];
  expect(pulled.map((e) => e.strip).sort()).toEqual([...strips].sort());
});
