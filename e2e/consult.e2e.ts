import { expect, test, type APIRequestContext, type Locator, type Page } from '@playwright/test';
import { axeFaults } from './axe';
import { bench, keyBound, openVisit, PIN, ready, saved, still } from './support';

async function walkIn(request: APIRequestContext, clientId: string): Promise<string> {
  const made = await request.post('/api/visits', {
    data: {
      clientId,
      zones: [
        { zone: 'underarm', side: 'left' },
        { zone: 'underarm', side: 'right' },
      ],
    },
  });
  return ((await made.json()) as { visitId: string }).visitId;
}

const verdict = (page: Page): Locator => page.getByRole('region', { name: 'Verdict' });

/** Hands the tablet over, choosing a PIN where the practitioner has none yet. */
async function handOver(page: Page, visitId: string): Promise<void> {
  await page.goto(`/visits/${visitId}/consult`);
  await ready(page);
  await page.getByRole('button', { name: /^Hand (the|over) / }).click();
  const pins = page.locator('input[type=password]');
  await page.getByRole('button', { name: 'Lock and hand over' }).waitFor();
  for (let k = 0; k < (await pins.count()); k++) await pins.nth(k).fill(PIN);
  await page.getByRole('button', { name: 'Lock and hand over' }).click();
  await expect(page).toHaveURL(/\/form\//);
  await ready(page);
}

async function takeBack(page: Page, pin = PIN): Promise<void> {
  for (const digit of pin) await page.getByRole('button', { name: digit, exact: true }).click();
  await page.getByRole('button', { name: 'Take back', exact: true }).click();
}

async function sign(page: Page, pad: Locator): Promise<void> {
  await pad.scrollIntoViewIfNeeded();
  const box = await pad.boundingBox();
  if (!box) throw new Error('no pad');
  await page.mouse.move(box.x + 50, box.y + 60);
  await page.mouse.down();
  for (let k = 1; k <= 30; k++) await page.mouse.move(box.x + 50 + k * 10, box.y + 60 + 25 * Math.sin(k / 2));
  await page.mouse.up();
}

/** Screen point of a place on a figure. */
const onFigure = (page: Page, figure: string, x: number, y: number): Promise<readonly number[]> =>
  page.locator(`svg[data-figure=${figure}]`).evaluate(
    (svg, at) => {
      const point = new DOMPoint(at[0], at[1]).matrixTransform(
        (svg as SVGSVGElement).getScreenCTM() ?? new DOMMatrix(),
      );
      return [point.x, point.y];
    },
    [x, y],
  );

const next = (page: Page): Promise<void> => page.getByRole('button', { name: 'Next' }).click();

test('the form: locked to the client, kept over reload and loss of the server, signed, taken back with the PIN', async ({
  page,
  request,
}) => {
  const visitId = await openVisit(request, 'lucia');
  await handOver(page, visitId);
  const formUrl = page.url();
  await expect(page.getByRole('heading', { name: 'Hello Lúcia.' })).toBeVisible();
  // every other door leads back
  await page.goto('/clients');
  await expect(page).toHaveURL(formUrl);
  await page.goto(`/visits/${visitId}/consult`);
  await expect(page).toHaveURL(formUrl);
  await page.goBack();
  await expect(page.getByRole('heading', { name: 'Hello Lúcia.' })).toBeVisible();
  await page.goto(formUrl);
  expect(await page.evaluate(async () => (await fetch('/api/clients')).status)).toBe(423);
  await ready(page);
  await next(page);
  // no answer, no step
  await next(page);
  await expect(page.getByText('Please choose, or say none of these.')).toBeVisible();
  await page.getByRole('button', { name: /A scrub/ }).click();
  await page.getByLabel('When last?').selectOption('3 days ago');
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  await page.reload();
  await ready(page);
  await expect(page.getByRole('button', { name: /A scrub/ })).toHaveAttribute('aria-pressed', 'true');
  await expect(page.getByLabel('When last?')).toHaveValue('3');
  // the server goes away: answers are kept on the tablet, over a reload too, and sent when it is back
  await page.route('**/api/forms/**', (route) => route.abort());
  await next(page);
  await page.getByRole('button', { name: /I am not sure/ }).click();
  await expect(page.getByText('Kept on this tablet')).toBeVisible();
  await page.reload();
  await ready(page);
  await expect(page.getByRole('button', { name: /I am not sure/ })).toHaveAttribute('aria-pressed', 'true');
  await page.unroute('**/api/forms/**');
  await expect(page.getByText('Saved', { exact: true })).toBeVisible({ timeout: 15_000 });
  await next(page);
  for (let k = 0; k < 12; k++) {
    await page.getByRole('button', { name: /^(None of these|No)$/ }).click();
    await next(page);
  }
  await expect(page.getByRole('heading', { name: 'Is there a place' })).toBeVisible();
  const [x = 0, y = 0] = await onFigure(page, 'front', 69, 52);
  await page.mouse.click(x, y);
  await expect(page.getByLabel('Places tapped')).toContainText('Underarm, left: sore');
  await page.getByRole('radio', { name: /Mole/ }).click();
  await page.getByLabel('Or choose the place').selectOption('upper-lip/middle');
  await page.getByRole('button', { name: 'Add' }).click();
  await expect(page.getByLabel('Places tapped')).toContainText('Upper lip: mole');
  await page.getByLabel('Anything else').fill('A little nervous');
  await next(page);
  await page.getByRole('button', { name: 'I agree and sign' }).click();
  await expect(page.getByText('Please sign in the box')).toBeVisible();
  await sign(page, page.locator('svg[aria-label^="Signature of"]'));
  await page.getByRole('button', { name: 'I agree and sign' }).click();
  await expect(page.getByRole('heading', { name: 'Thank you, Lúcia.' })).toBeVisible();
  await takeBack(page, '1111');
  await expect(page.getByText('That is not a PIN')).toBeVisible();
  await takeBack(page);
  await expect(page).toHaveURL(/consult$/);
  // what was said is there, what was unsure is asked first, what was tapped is looked at
  await expect(page.getByRole('region', { name: 'Verdict' })).toContainText('A little nervous');
  await expect(page.getByLabel('Ask next')).toContainText('The client was not sure');
  await expect(page.getByLabel('Places the client has tapped')).toContainText('Underarm, left');
  await expect(page.getByRole('button', { name: 'Asked and agreed' })).toBeDisabled();
  await expect(page.getByLabel('Ask next').getByRole('radiogroup', { name: 'Sunburn' })).toBeVisible();
  await keyBound(page, 'n');
  await page.keyboard.press('n');
  await expect(page.getByLabel('Ask next').getByRole('radiogroup', { name: 'Sunburn' })).toBeHidden();
  await page.keyboard.press('n');
  await expect(page.getByText('The client was not sure')).toBeHidden();
  await page.getByRole('button', { name: 'Looked: fine' }).click();
  await page.getByRole('button', { name: /^Seen/ }).click();
  await page.getByRole('button', { name: 'Asked and agreed' }).click();
  await expect(page).toHaveURL(/chart$/);
  await saved(page);
  expect((await bench(request, visitId)).plan.screening.outcome).toBe('go');
  await page.goto('/clients/lucia');
  await expect(page.getByRole('img', { name: 'Signature of Lúcia Penhallow' })).toBeVisible();
});

test('a minor’s form is not signed without the guardian; it passes axe and fits 360 px', async ({ page, request }) => {
  const visitId = await openVisit(request, 'juno');
  await handOver(page, visitId);
  await next(page);
  const faults: string[] = [];
  const look = async (name: string): Promise<void> => {
    const violations = await axeFaults(page);
    faults.push(...violations.map((v) => `${name}: ${v.id} ${v.nodes[0]?.html.slice(0, 120) ?? ''}`));
    await page.setViewportSize({ width: 360, height: 740 });
    const over = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    if (over > 0) faults.push(`${name}: ${over} px too wide`);
    await page.setViewportSize({ width: 1280, height: 800 });
  };
  await look('question');
  for (let k = 0; k < 14; k++) {
    await page.getByRole('button', { name: /^(None of these|No)$/ }).click();
    await next(page);
  }
  await look('body map');
  await next(page);
  await look('signature');
  const pads = page.locator('svg[aria-label^="Signature of"]');
  await sign(page, pads.nth(0));
  await page.getByRole('button', { name: 'I agree and sign' }).click();
  await expect(page.getByText('A parent or guardian signs too')).toBeVisible();
  await page.getByLabel('Name of the parent or guardian').fill('Wren Farrow');
  await page.getByLabel('Or write your full name').last().fill('Wren Farrow');
  await page.getByRole('button', { name: 'I agree and sign' }).click();
  await expect(page.getByRole('heading', { name: 'Thank you' })).toBeVisible();
  await look('thanks');
  await takeBack(page);
  await expect(verdict(page)).toHaveAttribute('data-tone', 'adapt');
  expect(faults).toEqual([]);
});

test('who has been here sees only what may have changed; the practitioner can take the tablet back at any page', async ({
  page,
  request,
}) => {
  const visitId = await walkIn(request, 'idris');
  await handOver(page, visitId);
  await next(page);
  await expect(page.getByRole('heading', { name: /^What has changed since/ })).toBeVisible();
  await page
    .getByLabel('Is this still so?')
    .getByRole('button', { name: /Diabetes/ })
    .click();
  await next(page);
  await expect(page.getByText(/questions have no answer yet/)).toBeVisible();
  await page.getByRole('button', { name: 'Nothing else of what is below' }).click();
  await next(page);
  await page.getByRole('button', { name: 'Practitioner' }).click();
  await takeBack(page);
  await expect(page).toHaveURL(/consult$/);
  await expect(page.getByText('taken back before it was signed').first()).toBeVisible();
  await handOver(page, visitId);
  await expect(page.getByRole('heading', { name: 'Is there a place' })).toBeVisible();
  await next(page);
  await page.getByLabel('Or write your full name').fill('Idris Callow');
  await page.getByRole('button', { name: 'I agree and sign' }).click();
  await takeBack(page);
  await expect(verdict(page)).toHaveAttribute('data-tone', 'adapt');
  expect((await bench(request, visitId)).plan.screening.reasons.map((r) => r.code)).toEqual(
    expect.arrayContaining(['blood.thinner']),
  );
  expect((await bench(request, visitId)).plan.screening.reasons.map((r) => r.code)).not.toContain('health.diabetes');
});

test('sunburn puts the visit off: the first date that suits, words for the client, the booking moved', async ({
  page,
  request,
}) => {
  const visitId = await openVisit(request, 'hedda');
  await page.goto(`/visits/${visitId}/consult`);
  await ready(page);
  await page.getByRole('radiogroup', { name: 'Sunburn' }).getByText('Yes').click();
  await expect(page.getByRole('heading', { name: /^Not today\. From / })).toBeVisible();
  // going on needs a reason in words, zone by zone, and can be taken back
  await page.getByRole('group', { name: 'All zones' }).getByRole('button', { name: 'Go on all the same' }).click();
  await page.getByLabel('Why you go on').fill('no');
  await expect(page.getByRole('button', { name: 'Go on for this reason' })).toBeDisabled();
  await page.getByLabel('Why you go on').fill('only on the shoulders, the brow is calm');
  await page.getByRole('button', { name: 'Go on for this reason' }).click();
  await expect(page.getByText('You went on: only on the shoulders')).toBeVisible();
  await page.getByRole('button', { name: 'Take it back' }).click();
  await saved(page);
  await page.getByRole('button', { name: /^Postpone to / }).click();
  const dialog = page.getByRole('dialog', { name: 'Postpone the visit' });
  await expect(dialog.getByLabel('Words for the client')).toHaveValue(
    /Dear Hedda,[\s\S]*Sunburnt skin has to heal first[\s\S]*moved your appointment/,
  );
  await dialog.getByRole('button', { name: /^Move to/ }).click();
  await expect(page).toHaveURL(/127\.0\.0\.1:\d+\/$/);
  await page.goto('/clients/hedda');
  await expect(page.getByRole('heading', { name: 'Put off or declined' })).toBeVisible();
  await expect(page.getByText('Sunburn: not on this skin').first()).toBeVisible();
  await page.getByText(/visit put off, in the simulated post box/).click();
  await expect(page.getByText('Dear Hedda,')).toBeVisible();
});

test('a limb waits for the doctor’s clearance, which is noted with name and day and can be taken back', async ({
  page,
  request,
}) => {
  const visitId = await openVisit(request, 'teodora');
  await page.goto(`/visits/${visitId}/consult`);
  await ready(page);
  const chemo = page.getByRole('radiogroup', { name: 'Chemo- or radiotherapy' });
  await page.getByRole('button', { name: /Show$/ }).click();
  await chemo.getByText('Yes').click();
  await expect(verdict(page)).toHaveAttribute('data-tone', 'stop');
  await expect(page.getByRole('button', { name: 'Go on all the same' })).toHaveCount(0);
  const note = page.getByRole('button', { name: 'Note the clearance' });
  await page.getByLabel('Chemo- or radiotherapy: cleared by').fill('Dr Sample');
  await expect(note).toBeDisabled();
  const day = page.getByLabel('Chemo- or radiotherapy: cleared on');
  await day.fill('2 Jan 2026');
  await day.press('Enter');
  await note.click();
  await expect(page.getByText(/^cleared by Dr Sample/)).toBeVisible();
  await saved(page);
  const clearance = { on: '2026-01-02', by: 'Dr Sample' };
  const factsNow = async (): Promise<unknown> =>
    ((await bench(request, visitId)).visit.consult as { facts: unknown }).facts;
  expect(await factsNow()).toEqual(expect.arrayContaining([{ fact: 'chemo-radio', clearance }]));
  await page.reload();
  await expect(page.getByText('cleared by the doctor')).toBeVisible();
  await expect(verdict(page)).toHaveAttribute('data-tone', 'adapt');
  await page.getByRole('button', { name: 'When and where' }).click();
  await page.getByRole('button', { name: 'Take it back' }).click();
  await expect(verdict(page)).toHaveAttribute('data-tone', 'stop');
  // the visit is others' too: nothing is left of the fact
  await chemo.getByText('No').click();
  await expect(verdict(page)).toHaveAttribute('data-tone', /go|open/);
  await saved(page);
});

test('the rules are read, found, tightened with a name; a milder one needs a reason, a hard one stands', async ({
  page,
}) => {
  await page.goto('/rules');
  await ready(page);
  await page.getByRole('button', { name: /^(Who is here|At this tablet)/ }).click();
  await page.getByRole('menuitem', { name: 'Bao' }).click();
  await page.getByLabel('Find a rule').fill('caffeine');
  await page.getByRole('button', { name: 'Change: Coffee or stimulants today' }).click();
  await still(page);
  await page.getByLabel('Wait in days').fill('2');
  await page.getByRole('button', { name: 'Keep the change' }).click();
  await expect(page.getByRole('cell', { name: /^2 days/ })).toContainText('shipped: 1 day');
  await expect(page.getByLabel('Changes by this studio')).toContainText('Bao');
  await page.getByRole('button', { name: 'Change: Coffee or stimulants today' }).click();
  await still(page);
  await page.getByRole('radiogroup', { name: 'Answer' }).getByText('go', { exact: true }).click();
  await page.getByRole('button', { name: 'Make it milder' }).click();
  await expect(page.getByText('A milder rule needs a written reason.')).toBeVisible();
  await page.getByRole('button', { name: 'Cancel' }).click();
  await page.getByLabel('Find a rule').fill('open skin');
  await page.getByRole('button', { name: 'Change: Open skin' }).click();
  await still(page);
  await page.getByRole('radiogroup', { name: 'Answer' }).getByText('adapt', { exact: true }).click();
  await page.getByRole('button', { name: 'Make it milder' }).click();
  await expect(page.getByText('This rule is never loosened.')).toBeVisible();
});

test('a card is changed with its history, put away and taken out; clients come in from a table, all or none', async ({
  page,
}) => {
  await page.goto('/clients/bram');
  await ready(page);
  await page.getByRole('button', { name: 'Change the card' }).click();
  await page.getByLabel('Known by').fill('builds skiffs');
  const facts = page.getByRole('combobox', { name: 'Add a medical note' });
  await facts.fill('Steroid');
  await facts.press('Enter');
  await expect(page.getByRole('button', { name: /^Remove: Steroid/ })).toBeVisible();
  await page.getByRole('button', { name: 'Keep the changes' }).click();
  await expect(page.getByLabel('History of the card')).toContainText('known by: boatwright → builds skiffs');
  await expect(page.getByLabel('Alerts')).toContainText('Steroid');
  await page.getByRole('button', { name: 'Archive' }).click();
  await page.getByRole('tooltip').getByRole('button', { name: 'Archive' }).click();
  await expect(page.getByText('This card is archived.')).toBeVisible();
  await page.goto('/clients');
  await expect(page.getByRole('link', { name: /Anselm/ })).toBeVisible();
  await expect(page.getByRole('link', { name: /Bram Oosterling/ })).toBeHidden();
  await page.getByText('Look among archived cards').click();
  await page.getByRole('link', { name: /Bram Oosterling/ }).click();
  await page.getByRole('button', { name: 'Take out again' }).click();
  await expect(page.getByRole('button', { name: 'Open a visit now' })).toBeVisible();
  await page.goto('/clients');
  await ready(page);
  await page.getByRole('button', { name: 'Import' }).click();
  const table = (csv: string) => ({ name: 'clients.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) });
  await page.getByLabel('File').setInputFiles(table('name,born_on\nNell Ashgrove,1990-02-30\nPia Lund,1977-03-03\n'));
  await expect(page.getByLabel('Bad lines')).toContainText('Line 2, Nell Ashgrove');
  await expect(page.getByRole('button', { name: 'Take them in' })).toBeDisabled();
  await page.getByLabel('File').setInputFiles(table('name,born_on\nNell Ashgrove,1990-03-02\nPia Lund,1977-03-03\n'));
  await page.getByRole('button', { name: 'Take in 2 clients' }).click();
  await expect(page.getByRole('link', { name: /Nell Ashgrove/ })).toBeVisible();
});

test('zones come from the body: tapped, by key, by name; services put theirs down together', async ({
  page,
  request,
}) => {
  const visitId = await walkIn(request, 'idris');
  await page.goto(`/visits/${visitId}/consult`);
  await ready(page);
  const zones = async (): Promise<readonly string[]> =>
    (await bench(request, visitId)).zones.map((z) => `${z.zone}/${z.side}`);
  const body = page.getByRole('group', { name: /^(From the front|From behind|Face)/ });
  await expect(body.getByRole('button', { name: /^Underarm, left, today, last/ })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  const view = page.getByRole('radiogroup', { name: 'View of the body' });
  await view.getByText('Back').click();
  await body.getByRole('button', { name: /^Nape/ }).click();
  await expect.poll(zones).toEqual(['nape/middle', 'underarm/left', 'underarm/right']);
  await view.getByText('Face').click();
  await body.getByRole('button', { name: /^Chin/ }).focus();
  await page.keyboard.press('Enter');
  await expect.poll(zones).toContain('chin/middle');
  await page.getByRole('button', { name: 'Services and other zones' }).click();
  await page
    .getByRole('group', { name: 'Services' })
    .getByRole('button', { name: /Ears and rim of the nose/ })
    .click();
  await expect.poll(zones).toEqual(expect.arrayContaining(['ear/left', 'ear/right', 'nose-rim/middle']));
  await page
    .getByRole('group', { name: 'Services' })
    .getByRole('button', { name: /Ears and rim of the nose/ })
    .click();
  await expect.poll(zones).not.toContain('ear/left');
});
