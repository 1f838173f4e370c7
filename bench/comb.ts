// Combing a whole back in a real Chromium on the built app: frames drawn and the main thread's longest tasks, from the
// browser's own trace.

import { chromium, type CDPSession, type Page } from '@playwright/test';
import { ARGS, BASE, quantile, started } from './app';

const FRAME_MS = 1000 / 60;
const COMB_S = 4;

export interface CombTrace {
  readonly hairs: number;
  readonly framesPerS: number;
  readonly medianFrameMs: number;
  /** 95 of 100 frames are no further apart than this. */
  readonly p95FrameMs: number;
  /** Main-thread tasks longer than one frame, for each frame drawn. */
  readonly longTaskShare: number;
  readonly longestTaskMs: number;
}

interface TraceEvent {
  readonly name: string;
  readonly ts: number;
  readonly dur?: number;
  readonly pid: number;
  readonly tid: number;
  readonly args?: { readonly name?: string };
}

async function openBack(page: Page): Promise<void> {
  const made = (await (
    await page.request.post(`${BASE}/api/visits`, { data: { bookingId: 'demo-booking-anselm' } })
  ).json()) as { visitId: string };
  const now = (await (await page.request.get(`${BASE}/api/visits/${made.visitId}`)).json()) as {
    visit: { version: number };
  };
  await page.request.put(`${BASE}/api/visits/${made.visitId}/zones`, {
    data: { version: now.visit.version, zones: [{ zone: 'upper-back', side: 'middle' }] },
  });
  await page.goto(`${BASE}/visits/${made.visitId}/chart`);
  await page.waitForFunction(() => (document.documentElement.dataset['keys'] ?? '').split(' ').includes('c'));
  await page.waitForTimeout(800);
}

/**
 * Drags in waves over the sheet for some seconds, the next move as soon as the page has taken the last, 8 ms later at
 * the soonest.
 */
async function combFor(page: Page, cdp: CDPSession): Promise<void> {
  const box = await page.getByRole('application').boundingBox();
  if (!box) throw new Error('no sheet');
  const at = (t: number): { x: number; y: number } => ({
    x: box.x + box.width * (0.5 + 0.25 * Math.sin(2.3 * t)),
    y: box.y + box.height * (0.5 + 0.3 * Math.sin(1.7 * t + 1)),
  });
  const send = (type: string, t: number, buttons: number): Promise<unknown> =>
    cdp.send('Input.dispatchMouseEvent', {
      type: type as 'mouseMoved',
      ...at(t),
      button: 'left',
      buttons,
      clickCount: 1,
    });
  await send('mousePressed', 0, 1);
  const from = performance.now();
  for (let t = 0; t < COMB_S; t = (performance.now() - from) / 1000) {
    await send('mouseMoved', t, 1);
    await new Promise((r) => setTimeout(r, 8));
  }
  await send('mouseReleased', COMB_S, 0);
}

export async function traceCombing(): Promise<CombTrace> {
  const stop = await started();
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ARGS });
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await openBack(page);
    const hairs = Number(await page.getByRole('application').getAttribute('data-hairs'));
    const cdp = await page.context().newCDPSession(page);
    const events: TraceEvent[] = [];
    cdp.on('Tracing.dataCollected', (e) => {
      events.push(...(e.value as unknown as TraceEvent[]));
    });
    const complete = new Promise((r) => {
      cdp.once('Tracing.tracingComplete', r);
    });
    await cdp.send('Tracing.start', {
      transferMode: 'ReportEvents',
      traceConfig: {
        includedCategories: [
          'devtools.timeline',
          'disabled-by-default-devtools.timeline',
          'disabled-by-default-devtools.timeline.frame',
          '__metadata',
        ],
      },
    });
    await combFor(page, cdp);
    await cdp.send('Tracing.end');
    await complete;
    const main = events.find(
      (e) =>
        e.name === 'thread_name' &&
        e.args?.name === 'CrRendererMain' &&
        events.some((o) => o.name === 'FunctionCall' && o.pid === e.pid && o.tid === e.tid),
    );
    const tasks = events
      .filter((e) => e.name === 'RunTask' && e.pid === main?.pid && e.tid === main.tid)
      .map((e) => (e.dur ?? 0) / 1000);
    const drawn = events
      .filter((e) => e.name === 'DrawFrame' && e.pid === main?.pid)
      .map((e) => e.ts / 1000)
      .sort((a, b) => a - b);
    const gaps = drawn
      .slice(1)
      .map((t, i) => t - (drawn[i] ?? t))
      .sort((a, b) => a - b);
    const span = ((drawn.at(-1) ?? 0) - (drawn[0] ?? 0)) / 1000;
    return {
      hairs,
      framesPerS: span > 0 ? gaps.length / span : 0,
      medianFrameMs: quantile(gaps, 0.5),
      p95FrameMs: quantile(gaps, 0.95),
      longTaskShare: tasks.filter((t) => t > FRAME_MS).length / Math.max(1, drawn.length),
      longestTaskMs: Math.max(0, ...tasks),
    };
  } finally {
    await browser.close();
    stop();
  }
}
