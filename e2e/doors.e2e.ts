import { expect, test, type Browser, type BrowserContext, type Page } from '@playwright/test';
import { axeFaults } from './axe';
import { lanNames } from '../scripts/lan.mjs';
import { ownServer } from './ownServer';
import { ready } from './support';

const WORDS = 'grey seals on the bar';
const tablet = (browser: Browser): Promise<BrowserContext> =>
  browser.newContext({ viewport: { width: 1280, height: 800 }, storageState: { cookies: [], origins: [] } });

async function givePin(page: Page, name: string, pin: string): Promise<void> {
  const row = page.getByRole('listitem', { name, exact: true });
  await row.getByRole('button', { name: /PIN$/ }).click();
  await row.getByLabel(`New PIN of ${name}`).fill(pin);
  await row.getByLabel(`New PIN again of ${name}`).fill(pin);
  await row.getByRole('button', { name: 'Keep this PIN' }).click();
  await expect(page.getByText(`The PIN of ${name} is changed.`)).toBeVisible();
}

async function comeIn(page: Page, name: string, pin: string): Promise<void> {
  const come = page.getByRole('button', { name: 'Come in' });
  // a door that has only just been drawn does not hear yet
  await expect(async () => {
    if (!(await come.isVisible())) await page.getByRole('button', { name, exact: true }).click({ timeout: 2000 });
    await expect(come).toBeVisible({ timeout: 2000 });
  }).toPass();
  await page.keyboard.type(pin);
  await come.click();
}

test('people sign in: by PIN here, by passphrase on another tablet; each sees what is theirs; the curtain asks', async ({
  browser,
}) => {
  const server = await ownServer();
  await server.start();
  const [here, there] = [await tablet(browser), await tablet(browser)];
  const page = await here.newPage();
  try {
    // nobody signs in before an owner turns it on, with a passphrase that is not guessed at once
    await page.goto(`${server.base}/studio/people`);
    await ready(page);
    await page.getByLabel('A PIN, four to eight digits').fill('2468');
    await page.getByLabel('A passphrase, twelve letters or more').fill('short');
    await page.getByRole('button', { name: 'From now on everybody signs in' }).click();
    await expect(page.getByText('A passphrase has 12 letters or more')).toBeVisible();
    await page.getByLabel('A passphrase, twelve letters or more').fill(WORDS);
    await page.getByRole('button', { name: 'From now on everybody signs in' }).click();
    const codes = page.getByRole('region', { name: 'Recovery codes' }).locator('code');
    await expect(codes).toHaveCount(8);
    const code = (await codes.first().textContent()) ?? '';
    await page.getByRole('button', { name: 'I have them on paper' }).click();
    await expect(page.getByRole('button', { name: 'At this tablet: Ines' })).toBeVisible();

    // roles: Bao is at the desk from now on
    await givePin(page, 'Rook', '3579');
    await givePin(page, 'Bao', '1357');
    await page.getByRole('combobox', { name: 'What Bao may do' }).click();
    await page.getByTitle('desk', { exact: true }).click();
    await page.getByRole('button', { name: 'Save Bao' }).click();
    await expect(page.getByText('Bao: saved.')).toBeVisible();

    // another browser learns no name, sees nothing, and is asked for a passphrase
    const other = await there.newPage();
    await other.goto(`${server.base}/clients/ottilie`);
    await expect(other.getByText('This tablet has not been here before.')).toBeVisible();
    expect((await there.request.get(`${server.base}/api/clients`)).status()).toBe(401);
    await expect(other.getByText('Ines')).toHaveCount(0);
    await other.getByLabel('Name').fill('Ines');
    await other.getByLabel('Passphrase').fill('not the right one');
    await other.getByRole('button', { name: 'Come in' }).click();
    await expect(other.getByText('Name and passphrase do not go together.')).toBeVisible();
    await other.getByRole('button', { name: /passphrase is lost/ }).click();
    await other.getByLabel('Recovery code').fill(code);
    await other.getByLabel(/^New passphrase/).fill('new words from the shore');
    await other.getByRole('button', { name: 'Come in' }).click();
    await expect(other).toHaveURL(`${server.base}/clients/ottilie`);
    await expect(other.getByRole('heading', { level: 1, name: /Ottilie/ })).toBeVisible();

    // a lost passphrase has signed everybody of that name out; here the PIN goes on
    // the page may be on its way to the door by itself just then
    await expect(async () => {
      await page.goto(`${server.base}/studio`);
      await expect(page).toHaveURL(`${server.base}/door?to=%2Fstudio`);
    }).toPass();
    expect(await axeFaults(page, null)).toEqual([]);
    await comeIn(page, 'Ines', '2468');
    await expect(page).toHaveURL(`${server.base}/studio`);

    // the curtain: a reload does not lift it, a wrong PIN neither
    await ready(page);
    await page.keyboard.press('.');
    await expect(page.getByRole('dialog', { name: 'Privacy curtain' })).toBeVisible();
    await expect.poll(async () => (await here.request.get(`${server.base}/api/bookings/wanted`)).status()).toBe(401);
    const lift = page.getByRole('button', { name: 'Hold to lift the curtain' });
    await lift.hover();
    await page.mouse.down();
    await expect(page.getByText('Ines lifts the curtain.')).toBeVisible();
    await page.mouse.up();
    await page.keyboard.type('1111');
    await page.getByRole('button', { name: 'Lift', exact: true }).click();
    await expect(page.getByText('That is not your PIN.')).toBeVisible();
    await page.keyboard.type('2468');
    await page.getByRole('button', { name: 'Lift', exact: true }).click();
    await expect(page.getByRole('dialog', { name: 'Privacy curtain' })).toBeHidden();
    await page.keyboard.press('.');
    await expect(page.getByRole('dialog', { name: 'Privacy curtain' })).toBeVisible();
    await expect.poll(async () => (await here.request.get(`${server.base}/api/week`)).status()).toBe(401);
    await page.reload();
    await expect(page.getByText('Still Ines?')).toBeVisible();

    // the desk: days and names, no health notes, no door but its own
    await page.getByRole('button', { name: 'Somebody else' }).click();
    await comeIn(page, 'Bao', '1357');
    await expect(page).toHaveURL(`${server.base}/studio`);
    await expect(page.getByRole('navigation', { name: 'Places' }).getByRole('link')).toHaveText([
      'Today',
      'Clients',
      'Shelf',
      'Ledger',
    ]);
    // nothing on Today that is refused to the desk
    await page.goto(server.base);
    await expect(page.getByRole('heading', { name: 'Needs you' })).toBeVisible();
    await expect(page.getByRole('button', { name: /^It is (off|set)/ })).toHaveCount(0);
    await page.goto(`${server.base}/clients/ottilie`);
    await expect(page.getByText('Health notes are for those who work on skin.')).toBeVisible();
    await expect(page.getByRole('list', { name: 'Alerts' })).toHaveCount(0);
    await page.goto(`${server.base}/visits/anything/chart`);
    await expect(page.getByRole('heading', { name: 'This door is closed to you' })).toBeVisible();
    expect((await here.request.get(`${server.base}/api/clients/ottilie`)).status()).toBe(403);
    expect(await axeFaults(page, null)).toEqual([]);

    // signing out; the trail knows who came
    await page.goto(server.base);
    await ready(page);
    await page.getByRole('button', { name: 'At this tablet: Bao' }).click();
    await page.getByText('Sign out').click();
    await expect(page.getByText('Who is it?')).toBeVisible();
    await other.goto(`${server.base}/studio/trail`);
    await expect(other.getByText('Signed out').first()).toBeVisible();
    await expect(other.getByText('Signed in').first()).toBeVisible();
    // what was refused stands there too
    await expect(other.getByText(/^Refused: /).first()).toBeVisible();

    // whatever was typed, right or wrong, and whoever was looked at: nothing of it is in the log
    const said = server.said().replaceAll(server.base, '');
    expect(said).toContain('Strickle is at');
    for (const secret of [WORDS, 'not the right one', 'new words from the shore', code, '2468', '1111', 'Ottilie']) {
      expect([secret, said.includes(secret)]).toEqual([secret, false]);
    }
  } finally {
    await Promise.all([here.close(), there.close()]);
    await server.kill();
  }
});

test('a trainee goes on in spite of an answer only when a second person gives a PIN', async ({ browser }) => {
  const server = await ownServer();
  await server.start();
  const context = await tablet(browser);
  const page = await context.newPage();
  const { request } = context;
  const headers = { origin: server.base };
  const post = async (path: string, data: unknown): Promise<number> =>
    (await request.post(`${server.base}${path}`, { data, headers })).status();
  try {
    await page.goto(server.base);
    const on = { personId: 'ines', pin: '2468', passphrase: WORDS };
    expect(await post('/api/studio/sign-in', { on })).toBe(200);
    expect(await post('/api/studio/pin', { id: 'rook', old: null, pin: '3579' })).toBe(200);
    expect(await post('/api/door/sign-in', { personId: 'rook', pin: '3579' })).toBe(200);
    const made = await request.post(`${server.base}/api/visits`, {
      data: { bookingId: 'demo-booking-ottilie' },
      headers,
    });
    const { visitId } = (await made.json()) as { visitId: string };
    await page.goto(`${server.base}/visits/${visitId}/consult`);
    await ready(page);
    const bench = await (await request.get(`${server.base}/api/visits/${visitId}?plan=wait`)).json();
    const { visit } = bench as { visit: { version: number; consult: { overrides: unknown[] } & object } };
    const consult = {
      ...visit.consult,
      facts: [{ fact: 'acid-exfoliant', lastOn: new Date(Date.now() - 2 * 86_400_000).toISOString().slice(0, 10) }],
      confirmedAtMs: null,
    };
    const said = { code: 'skin.acid', zone: null, reason: 'the label says mild', atMs: Date.now() };
    const put = (overrides: readonly unknown[]) =>
      request.put(`${server.base}/api/visits/${visitId}/consult`, {
        data: { version: visit.version, consult: { ...consult, overrides } },
        headers,
      });
    const alone = await put([said]);
    expect([alone.status(), await alone.text()]).toEqual([422, expect.stringContaining('A practitioner says so too')]);
    expect((await put([])).status()).toBe(200);
    await page.reload();
    await ready(page);
    await page.getByRole('button', { name: 'Go on all the same …' }).first().click();
    await page.getByLabel('Why you go on all the same').fill('the label says mild');
    await page.getByRole('button', { name: 'Go on for this reason' }).click();
    await page.getByRole('button', { name: 'Ines', exact: true }).click();
    await page.keyboard.type('1111');
    await page.getByRole('button', { name: 'Go on', exact: true }).click();
    await expect(page.getByText('That is not your PIN.')).toBeVisible();
    await page.keyboard.type('2468');
    await page.getByRole('button', { name: 'Go on', exact: true }).click();
    await expect(page.getByText('You went on: the label says mild')).toBeVisible();
    const after = await (await request.get(`${server.base}/api/visits/${visitId}?plan=wait`)).json();
    const { overrides } = (after as { visit: { consult: { overrides: { by: string }[] } } }).visit.consult;
    expect(overrides.length).toBeGreaterThan(0);
    expect(overrides.every((o) => o.by === 'Ines')).toBe(true);
  } finally {
    await context.close();
    await server.kill();
  }
});

test('a tablet in the network: nothing before people sign in, then a short code by HTTPS, until it is forgotten', async ({
  browser,
}) => {
  const [ip] = lanNames().ips;
  // a machine without a network has none to answer
  if (ip === undefined) throw new Error('this machine has no address in a network');
  const server = await ownServer('demo', '--lan');
  await server.start();
  const lan = `https://${ip}:${Number(new URL(server.base).port) + 1}`;
  const here = await tablet(browser);
  const there = await browser.newContext({
    ignoreHTTPSErrors: true,
    hasTouch: true,
    viewport: { width: 820, height: 1180 },
    storageState: { cookies: [], origins: [] },
  });
  const [page, other] = [await here.newPage(), await there.newPage()];
  try {
    expect((await there.request.get(`${lan}/clients`)).status()).toBe(503);
    expect((await there.request.get(`${lan}/api/clients`, { headers: { 'x-strickle-tls': '' } })).status()).toBe(503);
    await page.goto(`${server.base}/studio/tablets`);
    await expect(page.getByText('Nobody signs in yet')).toBeVisible();
    const on = { personId: 'ines', pin: '2468', passphrase: WORDS };
    const turned = await here.request.post(`${server.base}/api/studio/sign-in`, {
      data: { on },
      headers: { origin: server.base },
    });
    expect(turned.status()).toBe(200);
    await page.goto(`${server.base}/studio/tablets`);
    await ready(page);
    await expect(page.getByText(`Tablets in the network come in by ${lan}`)).toBeVisible();
    await page.getByRole('button', { name: 'Make a tablet known' }).click();
    const card = page.getByRole('region', { name: 'Code for a tablet' });
    await expect(card.getByRole('img', { name: `Leads to ${lan}` })).toBeVisible();
    const code = (await card.getByText(/^[a-z0-9]{4}-[a-z0-9]{4}$/).textContent()) ?? '';

    // what the camera reads; the first try is a wrong one
    await other.goto(`${lan}/door#pair=${code}`);
    const field = other.getByLabel('Code', { exact: true });
    await expect(field).toHaveValue(code);
    await field.fill('aaaa-aaaa');
    await other.getByLabel('What you call this tablet').fill('Window table');
    await other.getByRole('button', { name: 'Make it known' }).tap();
    await expect(other.getByText('This code is not good')).toBeVisible();
    await field.fill(code);
    await other.getByRole('button', { name: 'Make it known' }).tap();
    await expect(other.getByText('Who is it?')).toBeVisible();
    await comeIn(other, 'Ines', '2468');
    await expect(other).toHaveURL(`${lan}/`);
    await expect(other.getByRole('button', { name: 'At this tablet: Ines' })).toBeVisible();
    const cookies = (await there.cookies(lan)).filter((c) => c.name !== 'strickle-person');
    expect(cookies.map((c) => [c.name, c.secure, c.httpOnly]).toSorted()).toEqual([
      ['strickle-session', true, true],
      ['strickle-tablet', true, true],
    ]);

    // with a client it is locked as one at the machine itself: every other door leads back, only the PIN opens
    const send = (path: string, data: object) => there.request.post(lan + path, { data, headers: { origin: lan } });
    const visit = (await (await send('/api/visits', { bookingId: 'demo-booking-ottilie' })).json()) as {
      visitId: string;
    };
    const handed = await send(`/api/visits/${visit.visitId}/form`, { personId: 'ines' });
    const { formId } = (await handed.json()) as { formId: string };
    expect((await there.request.get(`${lan}/api/clients`)).status()).toBe(423);
    await other.goto(`${lan}/clients/ottilie`);
    await expect(other).toHaveURL(`${lan}/form/${formId}`);
    expect((await here.request.get(`${server.base}/api/clients`)).status()).toBe(200);
    expect((await send(`/api/forms/${formId}/unlock`, { pin: '1111' })).status()).toBe(422);
    expect((await there.request.get(`${lan}/api/clients`)).status()).toBe(423);
    expect((await send(`/api/forms/${formId}/unlock`, { pin: '2468' })).status()).toBe(200);
    expect((await there.request.get(`${lan}/api/clients`)).status()).toBe(200);

    // used once; listed, and forgotten
    await expect(
      (
        await there.request.post(`${lan}/api/door/pair`, { data: { code, name: 'again' }, headers: { origin: lan } })
      ).status(),
    ).toBe(422);
    await page.reload();
    await ready(page);
    const row = page.getByRole('listitem', { name: 'Window table' });
    await expect(row).toContainText('Ines was at it');
    await row.getByRole('button', { name: 'Forget it' }).click();
    await expect(row).toHaveCount(0);
    await other.goto(`${lan}/clients`);
    await expect(other.getByText('This tablet has not been here before.')).toBeVisible();
    expect(new URL(other.url()).origin).toBe(lan);
    expect(await axeFaults(other, null)).toEqual([]);
  } finally {
    await Promise.all([here.close(), there.close()]);
    await server.kill();
  }
});

test('a person is erased: what goes and what stays is said, the name is typed, the card is a stub', async ({
  browser,
}) => {
  const server = await ownServer();
  await server.start();
  const context = await tablet(browser);
  const page = await context.newPage();
  try {
    await page.goto(`${server.base}/clients/teodora`);
    await ready(page);
    await page.getByRole('button', { name: 'Erase …' }).click();
    const dialog = page.getByRole('dialog', { name: /^Erase Teodora/ });
    await expect(dialog.getByText(/lines of the ledger stay without the name until/)).toBeVisible();
    const erase = dialog.getByRole('button', { name: 'Erase for good' });
    await dialog.getByLabel('The name on the card').fill('Teodora');
    await expect(erase).toBeDisabled();
    const name = (await dialog.getByLabel('The name on the card').getAttribute('placeholder')) ?? '';
    await dialog.getByLabel('The name on the card').fill(name);
    await erase.click();
    await expect(page.getByRole('heading', { name: 'This person is erased' })).toBeVisible();
    expect(await axeFaults(page, null)).toEqual([]);
    const asked = { headers: { 'x-search': 'teodora' } };
    const found = await context.request.get(`${server.base}/api/clients`, asked);
    expect(((await found.json()) as { clients: unknown[] }).clients).toEqual([]);
    await page.goto(server.base);
    await expect(page.getByText('Ottilie').first()).toBeVisible();
    await expect(page.getByText(/Teodora|Erased on/)).toHaveCount(0);
    await page.goto(`${server.base}/studio/trail`);
    await expect(page.getByText('Person erased').first()).toBeVisible();
  } finally {
    await context.close();
    await server.kill();
  }
});
