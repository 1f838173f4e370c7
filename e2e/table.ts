// The table in the browser tests: its own clock, which is put forward where hands would take their time, and whole
// visits worked by whatever the table proposes.

import { expect, type Locator, type Page } from '@playwright/test';

/**
 * A clock that can be put forward; call it before the page is opened. The server's time is not heard then, or the
 * tablet would set itself by it.
 */
export async function ownClock(page: Page): Promise<void> {
  await page.route('**/api/events*', (route) => route.abort());
  await page.clock.install();
}

export const later = (page: Page, seconds: number): Promise<void> => page.clock.fastForward(Math.round(seconds * 1000));

export const field = (page: Page): Locator => page.locator('[data-state][data-act]');
export const actNow = async (page: Page): Promise<string> => (await field(page).getAttribute('data-act')) ?? '';
export const stateNow = async (page: Page): Promise<string> => (await field(page).getAttribute('data-state')) ?? '';

/** All steps before the wax are done; the wrist test is next. */
export async function prepared(page: Page): Promise<void> {
  await page.getByRole('button', { name: /^All \d are done$/ }).click();
  await expect(page.getByRole('heading', { name: 'Test on your wrist' })).toBeVisible();
}

/** How the act in hand is confirmed: the pedal, or the main key by mouse or touch. */
export type Hand = (page: Page) => Promise<void>;
export const pedal: Hand = (page) => page.keyboard.press('PageDown');
export const mainKey = (page: Page): Locator => page.locator('[data-main]');

/** Hands that take as long as they do, act by act, until `until` says so. @returns acts done */
export async function workOn(
  page: Page,
  { hand = pedal, until, most = 200 }: { hand?: Hand; until: (act: string) => boolean; most?: number },
): Promise<number> {
  for (let k = 0; k < most; k++) {
    const act = await actNow(page);
    if (until(act)) return k;
    // long enough for any lay, and for what sets to be ready
    await later(page, act === 'lay' ? 14 : 2);
    for (let s = 0; s < 40 && (await stateNow(page)) === 'wait'; s++) await later(page, 4);
    const before = await page.getByRole('heading', { level: 1 }).first().getAttribute('aria-label');
    await hand(page);
    await expect(page.getByRole('heading', { level: 1 }).first()).not.toHaveAttribute('aria-label', before ?? '');
  }
  throw new Error(`not there after ${most} acts`);
}
