// Pictures of the main views from the demo data, 1280 × 800, into docs/screenshots. Start `npm run demo` first; a fresh
// demo database gives the pictures of the README: `node scripts/screenshots.mjs [http://127.0.0.1:4100]`.

import { mkdirSync } from 'node:fs';
import { chromium } from '@playwright/test';

const base = process.argv[2] ?? 'http://127.0.0.1:4100';
const folder = 'docs/screenshots';
mkdirSync(folder, { recursive: true });
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
});
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
const shot = async (name) => {
  await page.mouse.move(640, 4);
  await page.waitForTimeout(900);
  await page.screenshot({ path: `${folder}/${name}.png` });
};
const tap = (name) => page.getByRole('button', { name }).first().click();

await page.goto(base);
// the plans of the day come beside the page
await page.getByText('Still planning').waitFor({ state: 'detached' });
await shot('today');
await page.goto(`${base}/clients/saoirse`);
await shot('client');
await page.goto(`${base}/shelf`);
await shot('shelf');
await page.goto(`${base}/kitchen`);
await shot('kitchen');
await page.goto(`${base}/ledger`);
await shot('ledger');
await page.goto(base);
await tap('Ottilie Brandvik');
await page.waitForURL(/consult/);
await shot('consult');
await tap(/nothing else has changed/);
await page.waitForURL(/chart/);
await shot('chart');
await tap(/^As last time/);
await page.waitForURL(/match/);
await page.waitForSelector('[data-flips=known]', { timeout: 60_000 });
await shot('match');
await page.waitForSelector('[data-pot=known]', { timeout: 60_000 });
await tap(/^Take /);
await page.waitForURL(/strips/);
await shot('strips');
await page.getByRole('link', { name: 'To the table' }).click();
await page.waitForURL(/work/);
await page.waitForTimeout(600);
const act = () => page.locator('[data-state][data-act]').getAttribute('data-act');
const state = () => page.locator('[data-state][data-act]').getAttribute('data-state');
await tap(/^All \d are done/);
await page.waitForTimeout(1000);
await page.keyboard.press('w');
/** The act in hand, as fast as the brake lets hands be. */
const onward = async () => {
  const pulling = (await act()) === 'pull';
  await page.waitForTimeout(900);
  while ((await state()) === 'wait') await page.waitForTimeout(500);
  await page.keyboard.press('PageDown');
  await page.waitForTimeout(400);
  return pulling;
};
for (let k = 0; k < 150 && (await act()) !== 'pull'; k++) await onward();
// the same table in the evening
await page.getByRole('main').getByRole('button', { name: 'Evening light' }).click();
await page.waitForTimeout(300);
await shot('work-evening');
await page.getByRole('main').getByRole('button', { name: 'Evening light' }).click();
while ((await state()) === 'wait') await page.waitForTimeout(500);
await page.waitForTimeout(3000);
await shot('work');
for (let k = 0, off = 0; k < 400 && (await act()) !== 'step'; k++) {
  if (await onward()) await page.keyboard.press(off++ % 6 === 0 ? '2' : '1');
}
await page.getByRole('link', { name: 'Read first' }).click();
await page.waitForURL(/read/);
const radio = (name) => page.getByRole('radio', { name }).first().click();
for (const name of ['pink', 'points']) await radio(name);
for (const name of [/^Full of roots/, /^Full of roots/, /^Sparse/, /^Blunt ends/]) {
  await tap(name);
  await page.waitForTimeout(400);
}
const left = await page.getByRole('application').boundingBox();
for (const [x, y, to, end] of [
  [0.44, 0.25, 0.56, 0.23],
  [0.43, 0.21, 0.56, 0.18],
  [0.58, 0.76, 0.58, 0.76],
  [0.55, 0.79, 0.55, 0.79],
]) {
  await page.mouse.move(left.x + x * left.width, left.y + y * left.height);
  await page.mouse.down();
  await page.mouse.move(left.x + to * left.width, left.y + end * left.height, { steps: 4 });
  await page.mouse.up();
  await page.waitForTimeout(300);
}
// the largest patch is asked about first
await radio('growing another way');
await page.waitForTimeout(1500);
await shot('read');
while (await page.getByRole('button', { name: /^Next: / }).isVisible()) {
  await tap(/^Next: /);
  await tap('Nothing left');
  await page.waitForTimeout(600);
}
await page.getByRole('link', { name: 'On to the return' }).click();
await page.waitForURL(/return/);
await page.getByRole('list', { name: 'Free places' }).waitFor();
await shot('return');
await page.goto(`${base}/week`);
await shot('week');
// a leg that is stopped: first aid
const send = async (method, url, data) => {
  const answer = await page.request.fetch(`${base}${url}`, { method, data });
  return answer.json();
};
const leg = { zone: 'lower-leg-front', side: 'left' };
const { visitId: legId } = await send('POST', '/api/visits', { clientId: 'bram', zones: [leg] });
const legAt = `/api/visits/${legId}`;
let now = await send('GET', `${legAt}?plan=wait`);
const data = { ...now.zones[0].data, confirmed: true };
await send('PUT', `${legAt}/charts/${leg.zone}/${leg.side}`, { version: now.visit.version, data });
now = await send('GET', `${legAt}?plan=wait`);
const consult = { ...now.visit.consult, consent: true, confirmedAtMs: Date.now() };
await send('PUT', `${legAt}/consult`, { version: now.visit.version, consult });
await page.goto(`${base}/visits/${legId}/work`);
await page.waitForTimeout(1500);
await tap(/^All \d are done/);
await page.waitForTimeout(1000);
await page.keyboard.press('w');
for (let k = 0, pulled = 0; k < 40 && pulled < 2; k++) if (await onward()) pulled++;
for (let k = 0; k < 6 && (await act()) !== 'pull'; k++) await onward();
await page.keyboard.press('0');
await page.waitForTimeout(800);
await shot('incident');
await page.goto(`${base}/pots`);
await shot('pots');
// a strip on drawn skin, laid well and pulled upward
await page.goto(`${base}/practice`);
await page.evaluate(() => localStorage.removeItem('strickle-practice'));
await page.reload();
await page.waitForSelector('canvas');
/** A stroke over a part of the page, in shares of its box. */
const stroke = async (on, from, to) => {
  const box = await page.locator(on).first().boundingBox();
  const at = (k) =>
    [0, 1].map((i) => (i ? box.y : box.x) + (i ? box.height : box.width) * (from[i] + (to[i] - from[i]) * k));
  await page.mouse.move(...at(0));
  await page.mouse.down();
  for (const k of [0.25, 0.5, 0.75, 1]) await page.mouse.move(...at(k));
  await page.mouse.up();
};
await page.waitForTimeout(800);
await stroke('[data-draws]', [0.5, 0.3], [0.5, 0.7]);
await tap('Film hard wax, beads');
await tap('To the wrist');
await tap('Try it on my wrist');
await page.waitForTimeout(1500);
await tap('Lay a strip');
await tap('Wipe, dry and dust');
await stroke('[data-draws]', [0.44, 0.3], [0.53, 0.72]);
await tap('time × 5');
await page.waitForTimeout(8000);
for (const sign of ['Touch it', 'Press a nail in', 'Tap it']) await tap(sign);
await tap('Take hold of the tab');
await tap('taut, close to the tab');
await tap(/^Count her in/);
await stroke('[data-draws]', [0.53, 0.72], [0.44, 0.3]);
await stroke('[data-testid=side-view]', [0.9, 0.8], [0.45, 0.3]);
await page.waitForTimeout(1500);
await tap('Why did it break?');
await shot('practice');
// a practical, nine steps in
const told = (path, data) => page.request.post(`${base}${path}`, { data }).then((answer) => answer.json());
const { id: exam } = await told('/api/practice/exams', { level: 'leg', candidate: { personId: 'rook' }, mode: 'two' });
await told(`/api/practice/exams/${exam}`, { kind: 'start' });
for (const step of ['hands', 'station', 'drape', 'gloves', 'skin', 'wrist', 'stick', 'lid', 'lay', 'strip', 'taut']) {
  await told(`/api/practice/exams/${exam}`, { kind: 'done', step });
}
await page.goto(`${base}/practice/exam/${exam}`);
await page.waitForSelector('canvas');
await shot('exam');
// the client's form last: it locks this browser
const { visitId } = await (
  await page.request.post(`${base}/api/visits`, { data: { bookingId: 'demo-booking-lucia' } })
).json();
await page.goto(`${base}/visits/${visitId}/consult`);
await tap('Hand the tablet over');
const pins = page.locator('input[type=password]');
for (const i of [0, 1]) await pins.nth(i).fill('2468');
await tap('Lock and hand over');
await page.waitForURL(/form/);
const next = (name) => page.getByRole('button', { name }).click();
await next('Next');
await tap(/A peel or an acid/);
await page.getByLabel('When last?').selectOption('3 days ago');
await shot('form');
await next('Next');
await browser.close();
console.log(`Pictures are in ${folder}`);
