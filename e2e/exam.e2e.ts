import { expect, test, type Page } from '@playwright/test';
import { axeFaults } from './axe';
import { ready } from './support';

const clean = async (page: Page): Promise<void> => {
  expect(await axeFaults(page)).toEqual([]);
};
const noSideways = async (page: Page): Promise<void> => {
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(
    page.viewportSize()?.width ?? 0,
  );
};

test('a practical on two tablets: the time runs, marks are seen by the examiner only, what is halted is not passed', async ({
  page,
  browser,
}) => {
  await page.goto('/practice/exam');
  await ready(page);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('16 minutes, 16 steps, passed from 12 of 16');
  const begin = page.getByRole('button', { name: 'To the candidate’s tablet' });
  await expect(page.getByText('Still to say: who is examined, on what, who marks.')).toBeVisible();
  await expect(begin).toBeDisabled();
  await page.getByRole('combobox', { name: 'Who is examined' }).click();
  await page.getByTitle('Rook').click();
  await page.getByRole('button', { name: 'Shin' }).click();
  await page.getByRole('button', { name: 'An examiner, on a second tablet' }).tap();
  await clean(page);
  await begin.click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Sanitise your hands');
  await expect(page.getByRole('timer')).toHaveText('16 minutes left');
  // the second tablet
  const other = await browser.newContext({ storageState: await page.context().storageState(), hasTouch: true });
  const examiner = await other.newPage();
  await examiner.setViewportSize({ width: 1280, height: 800 });
  await examiner.goto('/practice/exam');
  await ready(examiner);
  await examiner.getByRole('link', { name: 'Mark it' }).first().click();
  await expect(examiner.getByRole('heading', { level: 1 })).toHaveText('Rook: shin');
  const marks = (step: string) => examiner.getByRole('listitem').filter({ hasText: step });
  await expect(marks('Hands sanitised').getByRole('button', { name: 'right' })).toBeDisabled();
  // begun by the pedal, done by the pedal
  await page.keyboard.press('Space');
  await expect(page.getByRole('button', { name: 'Done, next step' })).toBeVisible();
  await page.keyboard.press('PageDown');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Disinfect the station');
  await expect(marks('Station disinfected')).toHaveAttribute('data-hand', 'true');
  await marks('Hands sanitised').getByRole('button', { name: 'right' }).tap();
  await expect(examiner.getByText('1 of 16 so far')).toBeVisible();
  // by keys: the next without a mark
  await examiner.keyboard.press('2');
  await expect(examiner.getByText('1.5 of 16 so far')).toBeVisible();
  await examiner.getByRole('button', { name: 'Marks off' }).click();
  await examiner.getByRole('button', { name: /^Pulled upward/ }).click();
  await expect(examiner.getByText('0.5 of 16 so far')).toBeVisible();
  await examiner.getByRole('button', { name: 'Undo' }).click();
  await expect(examiner.getByText('1.5 of 16 so far')).toBeVisible();
  await page.getByRole('button', { name: 'Ask' }).click();
  await expect(examiner.getByText('asked what is looked for')).toBeVisible();
  await clean(examiner);
  // nothing of it is on the candidate’s tablet, nor in what it is told
  await clean(page);
  const { pathname } = new URL(page.url());
  const told = await (await page.request.get(`/api${pathname.replace('/exam/', '/exams/')}`)).text();
  expect(told).toContain('"kind":"done"');
  expect(told).not.toContain('"kind":"mark"');
  await page.getByRole('button', { name: 'Back', exact: true }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Sanitise your hands');
  await page.reload();
  await ready(page);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Sanitise your hands');
  await expect(page.getByRole('button', { name: 'Done, next step' })).toBeVisible();
  // halted for safety
  await examiner.getByRole('button', { name: 'Halt', exact: true }).click();
  await expect(examiner.getByRole('button', { name: 'Halt it now' })).toBeDisabled();
  await examiner.getByRole('textbox', { name: 'Why it is halted' }).fill('wax too hot');
  await examiner.getByRole('button', { name: 'Halt it now' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Halted');
  await expect(page.getByText('wax too hot. 0 of 16 steps were done.')).toBeVisible();
  const send = (data: object) => page.request.post(`/api${pathname.replace('/exam/', '/exams/')}`, { data });
  expect((await send({ kind: 'done', step: 'hands' })).status()).toBe(422);
  expect((await send({ kind: 'mark', step: 'hands', mark: 'well' })).status()).toBe(422);
  // every step wants its mark before the sheet is closed
  await expect(examiner.getByRole('button', { name: '14 steps without a mark' })).toBeDisabled();
  for (let k = 14; k > 0; k--) {
    const label = k === 1 ? 'Close the sheet' : `${k - 1} steps without a mark`;
    await examiner.keyboard.press('1');
    await expect(examiner.getByRole('button', { name: label })).toBeVisible();
  }
  await examiner.getByRole('button', { name: 'Close the sheet' }).click();
  await expect(page.getByText('15.5 of 16: not passed')).toBeVisible();
  const sheet = await page.request.get(`/api${pathname.replace('/exam/', '/exams/')}/sheet`);
  expect(sheet.headers()['content-type']).toBe('application/pdf');
  await clean(page);
  await examiner.goBack();
  await expect(examiner.getByRole('heading', { name: 'Closed sheets' })).toBeVisible();
  await other.close();
  for (const at of [pathname, `${pathname}/marks`, '/practice/exam']) {
    await page.setViewportSize({ width: 360, height: 780 });
    await page.goto(at);
    await ready(page);
    await noSideways(page);
  }
});

test('the board is the studio’s own: a wrong one is named and not kept, the next examination goes by the right one', async ({
  page,
}) => {
  await page.goto('/practice/exam/board');
  await ready(page);
  const keep = page.getByRole('button', { name: 'Keep the board' });
  await expect(keep).toBeDisabled();
  const call = page.getByRole('spinbutton', { name: /Call after/ });
  await call.fill('30');
  await call.press('Tab');
  await expect(page.getByText('Call: The call comes before the end.')).toBeVisible();
  await expect(keep).toBeDisabled();
  await call.fill('0.05');
  await call.press('Tab');
  await page.getByRole('textbox', { name: 'Step 1, to the candidate' }).fill('Wash your hands');
  await page.getByRole('button', { name: 'Step 16 off' }).click();
  await page.getByRole('button', { name: 'Step 2 earlier' }).press('Enter');
  await expect(page.getByRole('textbox', { name: 'Step 2, to the candidate' })).toHaveValue('Wash your hands');
  await page.getByRole('button', { name: 'Step 1 later' }).click();
  await clean(page);
  await keep.click();
  await expect(page.getByText('Kept. The next examination goes by it.')).toBeVisible();
  await page.getByRole('link', { name: 'Back to the examinations' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('16 minutes, 15 steps, passed from 11.3 of 15');
  // by oneself, and the call comes as a sign
  await page.getByRole('combobox', { name: 'Who is examined' }).click();
  await page.getByTitle('Somebody else').click();
  await page.getByRole('textbox', { name: 'Name of the candidate' }).fill('Pia');
  await page.getByRole('button', { name: 'Lip' }).click();
  await page.getByRole('button', { name: 'Nobody: my own marks, afterwards' }).click();
  await page.getByRole('button', { name: 'To the candidate’s tablet' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Wash your hands');
  await page.getByRole('button', { name: 'Begin, time runs' }).click();
  await page.getByRole('button', { name: 'Ask' }).click();
  await expect(page.getByText('Looked for: before touching anything.')).toBeVisible();
  await expect(page.getByText('0.1 minutes', { exact: true }).last()).toBeVisible();
  await expect(page.getByText('called', { exact: true })).toBeVisible();
  for (let k = 1; k <= 15; k++) {
    const done = page.getByRole('button', { name: 'Done, next step' });
    await expect(page.getByText(`Step ${k} of 15`)).toBeVisible();
    await done.click();
  }
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('All steps are done');
  await page.getByRole('link', { name: 'Mark yourself' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('How was it?');
  await clean(page);
});

test('learners: a strip of somebody by name stands in her week, the trainer sees everybody, the record prints', async ({
  page,
}) => {
  await page.goto('/practice/learners');
  await ready(page);
  await expect(page.getByRole('heading', { level: 2 })).toHaveText([/^Rook/, /^Ines/, /^Bao/]);
  await expect(page.getByText(/Last examination [\d.]+ of 16, (not )?passed\./)).toBeVisible();
  await clean(page);
  const strip = { level: 'leg', piece: 'plain', points: 90, out: 100, broken: 4, left: 3, fault: null };
  // of nobody it is not kept
  expect((await page.request.post('/api/practice/strips', { data: strip })).status()).toBe(422);
  await page.context().addCookies([{ name: 'strickle-person', value: 'bao', url: new URL(page.url()).origin }]);
  expect((await page.request.post('/api/practice/strips', { data: strip })).ok()).toBe(true);
  expect((await page.request.post('/api/practice/strips', { data: { ...strip, points: 101 } })).status()).toBe(422);
  await page.reload();
  await ready(page);
  await expect(page.getByText('This week 0 questions, 1 strip.')).toBeVisible();
  await page.getByRole('link', { name: 'Rook' }).click();
  await ready(page);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Rook: mostly pulled upward');
  await expect(page.getByRole('row', { name: /Strips on skin/ })).toContainText('17 strips');
  await clean(page);
  const record = await page.request.get('/api/practice/learners/rook');
  expect(record.headers()['content-type']).toBe('application/pdf');
  expect((await page.request.get('/api/practice/learners/nobody')).status()).toBe(404);
  await page.setViewportSize({ width: 360, height: 780 });
  await noSideways(page);
  await page.goBack();
  await ready(page);
  await noSideways(page);
});
