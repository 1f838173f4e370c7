import { expect, test, type Locator, type Page } from '@playwright/test';
import { axeFaults } from './axe';
import { ready } from './support';

const heading = (page: Page): Locator => page.getByRole('heading', { level: 1 });
const skin = (page: Page): Locator => page.locator('[data-draws]').first();
const clean = async (page: Page): Promise<void> => {
  expect(await axeFaults(page)).toEqual([]);
};

/** Draws over a part of the page; places in shares of its box. */
async function draw(page: Page, on: Locator, from: readonly [number, number], to: readonly [number, number]) {
  await on.scrollIntoViewIfNeeded();
  const box = await on.boundingBox();
  if (!box) throw new Error('nothing to draw on');
  const at = (k: number): [number, number] => [
    box.x + box.width * (from[0] + (to[0] - from[0]) * k),
    box.y + box.height * (from[1] + (to[1] - from[1]) * k),
  ];
  await page.mouse.move(...at(0));
  await page.mouse.down();
  for (const k of [0.25, 0.5, 0.75, 1]) await page.mouse.move(...at(k));
  await page.mouse.up();
}

async function counts(page: Page): Promise<{ out: number; broken: number; left: number }> {
  const of = async (what: string): Promise<number> => Number(await page.getByTestId(`count-${what}`).innerText());
  await expect(page.getByTestId('count-out')).toBeVisible();
  return { out: await of('out'), broken: await of('broken'), left: await of('left') };
}

/** Tries the last sign until it is there. */
async function waitForSigns(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'time × 5' }).click();
  await expect(async () => {
    await page.getByRole('button', { name: 'Tap it' }).click();
    await expect(page.getByRole('button', { name: 'taps dull and hard' })).toBeVisible({ timeout: 500 });
  }).toPass();
}

test('a strip by mouse: brushed, chosen, tried on the wrist, laid, waited for, pulled upward, and every hair says why', async ({
  page,
}) => {
  await page.goto('/practice');
  await ready(page);
  await expect(heading(page)).toHaveText('Brush over it: where does the hair lie down?');
  const lay = page.getByRole('button', { name: 'Lay', exact: true });
  await expect(lay).toBeDisabled();
  await draw(page, skin(page), [0.5, 0.3], [0.5, 0.7]);
  await expect(page.getByText('It lies down: that is with the growth.')).toBeVisible();
  await draw(page, skin(page), [0.5, 0.7], [0.5, 0.3]);
  await expect(page.getByText('It stands up: that is against the growth.')).toBeVisible();
  await clean(page);
  await page.getByRole('button', { name: 'Cream hard wax, tablets' }).click();
  await page.getByRole('button', { name: 'To the wrist' }).click();
  // no wax on skin before the wrist
  await expect(page.getByRole('button', { name: 'Lay a strip' })).toBeDisabled();
  await expect(lay).toBeDisabled();
  await page.getByRole('button', { name: 'Try it on my wrist' }).click();
  await expect(page.getByText(/Pleasantly warm|Too warm|Hardly warm/)).toBeVisible();
  // another heat wants it again
  await page.getByRole('button', { name: 'A degree cooler' }).click();
  await expect(page.getByRole('button', { name: 'Lay a strip' })).toBeDisabled();
  await page.getByRole('button', { name: 'Try it on my wrist' }).click();
  await page.getByRole('button', { name: 'Lay a strip' }).click();
  await page.getByRole('button', { name: 'Wipe, dry and dust' }).click();
  // too short a stroke lays nothing
  await draw(page, skin(page), [0.45, 0.4], [0.46, 0.41]);
  await expect(heading(page)).toHaveText('Lay one strip');
  await draw(page, skin(page), [0.45, 0.3], [0.53, 0.68]);
  await expect(heading(page)).toHaveText('Let it set');
  await page.getByRole('button', { name: 'Touch it' }).click();
  await expect(page.getByRole('button', { name: 'a thread follows the finger' })).toBeVisible();
  await waitForSigns(page);
  await clean(page);
  await page.getByRole('button', { name: 'Take hold of the tab' }).click();
  await page.getByRole('button', { name: 'taut, close to the tab' }).click();
  await page.getByRole('button', { name: 'Count her in' }).click();
  // aimed first, then drawn off upward
  await draw(page, page.getByTestId('side-view'), [0.9, 0.8], [0.4, 0.1]);
  await expect(heading(page)).toHaveText('Hold the skin, take the tab, pull');
  await draw(page, skin(page), [0.53, 0.68], [0.45, 0.3]);
  await draw(page, page.getByTestId('side-view'), [0.9, 0.8], [0.4, 0.1]);
  await expect(heading(page)).toContainText(/You pulled upward: \d+ of \d+ (broke|stayed)/);
  const came = await counts(page);
  expect(came.broken).toBeGreaterThan(came.left / 4);
  await page.getByRole('button', { name: 'Why did it break?' }).click();
  await expect(page.getByText(/^It broke, about/)).toBeVisible();
  await page.getByRole('button', { name: 'Stop here' }).click();
  await expect(page.getByText(/^Better: /)).toBeVisible();
  await clean(page);
  // kept on the tablet
  await page.reload();
  await ready(page);
  expect(await counts(page)).toEqual(came);
  await page.getByRole('button', { name: 'Once more, next strip' }).click();
  await expect(page.getByRole('heading', { name: 'Strip 2' })).toBeVisible();
  await page.goBack();
  await page.goForward();
  await expect(page.getByRole('heading', { name: 'Strip 2' })).toBeVisible();
});

test('a strip by keys alone, along the growth, flat and taut: most come with the root; a pot that lies burns the wrist', async ({
  page,
}) => {
  await page.setViewportSize({ width: 360, height: 780 });
  await page.goto('/practice');
  await ready(page);
  const press = async (name: string | RegExp): Promise<void> => {
    const button = page.getByRole('button', { name, exact: true });
    await expect(button).toBeEnabled();
    await button.press('Enter');
  };
  await press('down');
  await expect(page.getByText('It lies down: that is with the growth.')).toBeVisible();
  await press('Cream hard wax, tablets');
  await press('To the wrist');
  await press('Try it on my wrist');
  await press('Lay a strip');
  await press('Wipe, dry and dust');
  // the arm’s hair points down and a little aside
  const turned = page.getByRole('slider', { name: /turned/ });
  for (let k = 0; k < 4; k++) await turned.press('ArrowLeft');
  await press('Lay it there');
  await waitForSigns(page);
  await press('Take hold of the tab');
  await press('taut, close to the tab');
  await press('Count her in: breathe out');
  await press('briskly');
  const { out, broken, left } = await counts(page);
  expect(out).toBeGreaterThan(3 * (broken + left));
  await press('Palm on, at once');
  await expect(page.getByRole('button', { name: /Palm on/ })).toHaveCount(0);
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(360);
  await clean(page);
  await page.emulateMedia({ reducedMotion: 'reduce' });
  // by touch: another skin, and a pot warmer than it says
  await page.getByRole('button', { name: 'Another skin' }).tap();
  await page.getByRole('button', { name: 'A pot that lies' }).tap();
  await page.getByRole('button', { name: 'Film hard wax, beads' }).tap();
  await page.getByRole('button', { name: 'To the wrist' }).tap();
  await page.getByRole('button', { name: 'Try it on my wrist' }).tap();
  await expect(page.getByText(/Too warm on the wrist|It burns/)).toBeVisible();
});

test('questions: answered by a tap or a key, told why, asked again after a reload; what is no answer is refused', async ({
  page,
}) => {
  await page.goto('/practice');
  await ready(page);
  await page.getByRole('link', { name: 'Questions' }).click();
  await ready(page);
  await expect(heading(page)).toHaveText('What went wrong with this strip?');
  const answers = page.getByRole('group', { name: 'Answers' }).getByRole('button');
  await expect(answers).toHaveCount(4);
  await clean(page);
  await expect(page.getByRole('button', { name: 'Next question' })).toBeDisabled();
  await page.getByRole('button', { name: 'Pulled upward' }).tap();
  await expect(page.getByText('Right.')).toBeVisible();
  await expect(page.getByText('1 of 1 answered rightly.')).toBeVisible();
  await clean(page);
  await page.getByRole('button', { name: 'Next question' }).click();
  await expect(heading(page)).toHaveText('May this person be waxed today?');
  await page.keyboard.press('1');
  await expect(page.getByText(/of 2 answered rightly/)).toBeVisible();
  await page.reload();
  await ready(page);
  await expect(page.getByText(/of 2 answered rightly/)).toBeVisible();
  // the next one, not the one that was answered
  await expect(heading(page)).toHaveText('The pot: may it go on skin?');
  const send = (data: object) => page.request.post('/api/practice/answers', { data });
  expect((await send({ skill: 'pot:lay', seed: 1, answer: 'burn it' })).status()).toBe(422);
  expect((await send({ skill: 'strip:none', seed: 1, answer: 'lift' })).status()).toBe(422);
  expect((await send({ skill: 'rhythm:up', seed: 1, answer: 'a0a0' })).status()).toBe(422);
  // which strip is next, by touch; then hand sugar by arrow keys
  const asked = [
    ...[['pot:lay', 'lay'] as const, ['after:few', 'tweeze'] as const, ['way:up', 'up'] as const],
    ...[['length:2', '2'] as const, ['product:hard', 'hard'] as const],
  ];
  for (const [skill, answer] of asked) expect((await send({ skill, seed: 1, answer })).ok()).toBe(true);
  await page.reload();
  await ready(page);
  await expect(heading(page)).toHaveText('Which strip is laid next?');
  await expect(answers).toHaveCount(3);
  await clean(page);
  await answers.first().tap();
  await expect(page.getByText(/a pull that begins on hair breaks it/)).toBeVisible();
  await page.getByRole('button', { name: 'Next question' }).click();
  await expect(heading(page)).toHaveText('Hand sugar: press in, press in, flick');
  const keys = page.getByRole('button', { name: 'By arrow keys' });
  await expect(keys).toBeEnabled();
  await keys.focus();
  // hair points up the sheet: pressed in downward, flicked upward
  for (let turn = 0; turn < 3; turn++) {
    for (const [key, delay] of [['ArrowDown', 600] as const, ['ArrowDown', 600] as const, ['ArrowUp', 30] as const]) {
      await page.keyboard.press(key, { delay });
    }
  }
  await expect(page.getByText(/one beat throughout/)).toBeVisible();
  await clean(page);
  expect((await send({ skill: 'pot:lay', seed: -1, answer: 'lay' })).status()).toBe(422);
  await page.setViewportSize({ width: 360, height: 780 });
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(360);
});
