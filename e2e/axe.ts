// One look by axe for all browser tests.

import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

const WCAG = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'];
type Violations = Awaited<ReturnType<AxeBuilder['analyze']>>['violations'];

/** What axe finds against WCAG 2.2 AA, or against `tags`; all of its rules where those are null. */
export async function axeFaults(page: Page, tags: readonly string[] | null = WCAG): Promise<Violations> {
  // it need not look into frames: the pages have none, which takes half the time
  expect(page.frames()).toHaveLength(1);
  const axe = new AxeBuilder({ page }).setLegacyMode();
  const { violations, passes } = await (tags === null ? axe : axe.withTags([...tags])).analyze();
  // a page that is not there has nothing to find
  expect(passes.length).toBeGreaterThan(10);
  return violations;
}
