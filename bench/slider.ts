// The thickness slider of Match in a real Chromium: from the key to the next frame on the screen, by the browser's own
// event timing (8 ms steps), and how long the page's own work for one step takes.

import { chromium } from '@playwright/test';
import { ARGS, BASE, quantile, started } from './app';

export interface SliderTimes {
  readonly steps: number;
  readonly medianMs: number;
  readonly p95Ms: number;
  /** Script alone, key to the end of the page's work. */
  readonly medianWorkMs: number;
  readonly p95WorkMs: number;
}

const STEPS = 60;

interface Timed {
  readonly name: string;
  readonly duration: number;
  readonly processingStart: number;
  readonly processingEnd: number;
}

export async function timeSlider(): Promise<SliderTimes> {
  const stop = await started();
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ARGS });
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    const made = (await (
      await page.request.post(`${BASE}/api/visits`, { data: { bookingId: 'demo-booking-ottilie' } })
    ).json()) as { visitId: string };
    await page.goto(`${BASE}/visits/${made.visitId}/match`);
    await page.waitForSelector('[data-flips=known]', { timeout: 60_000 });
    await page.waitForSelector('[data-pot=known]', { timeout: 60_000 });
    await page.waitForTimeout(1500);
    await page.evaluate(() => {
      const kept: unknown[] = [];
      (window as unknown as { kept: unknown[] }).kept = kept; // read back below
      new PerformanceObserver((list) => {
        for (const e of list.getEntries()) kept.push(e.toJSON());
      }).observe({ type: 'event', durationThreshold: 0, buffered: false } as PerformanceObserverInit);
    });
    await page.getByRole('slider', { name: /Thickness/ }).focus();
    for (let k = 0; k < STEPS; k++) {
      await page.keyboard.press(Math.floor(k / 5) % 2 === 0 ? 'ArrowRight' : 'ArrowLeft');
      await page.waitForTimeout(60);
    }
    const entries = await page.evaluate(() => (window as unknown as { kept: Timed[] }).kept); // put there above
    const keys = entries.filter((e) => e.name === 'keydown');
    const sorted = (pick: (e: Timed) => number): readonly number[] => keys.map(pick).sort((a, b) => a - b);
    const [whole, work] = [sorted((e) => e.duration), sorted((e) => e.processingEnd - e.processingStart)];
    return {
      steps: keys.length,
      medianMs: quantile(whole, 0.5),
      p95Ms: quantile(whole, 0.95),
      medianWorkMs: quantile(work, 0.5),
      p95WorkMs: quantile(work, 0.95),
    };
  } finally {
    await browser.close();
    stop();
  }
}
