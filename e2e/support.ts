// Shared by the browser tests: open a booking's visit, and plan its exported case with the core.

import { expect, type APIRequestContext, type Page } from '@playwright/test';
import { planVisit, type Plan } from '../src/core/plan';
import type { DensityPlace } from '../src/core/field';
import type { Reading } from '../src/server/db/schema/documents';
import type { VisitCase } from '../src/core/plan';

export interface ServerBench {
  readonly visit: { readonly id: string; readonly version: number; readonly status: string; readonly consult: unknown };
  readonly zones: readonly {
    readonly zone: string;
    readonly side: string;
    readonly data: {
      readonly strokes: readonly {
        readonly at: readonly [number, number];
        readonly towards: readonly [number, number];
      }[];
      readonly marks: readonly unknown[];
      readonly densities?: readonly DensityPlace[];
    } & Record<string, unknown>;
  }[];
  readonly plan: Plan;
  readonly planHash: string;
  readonly readings: readonly { readonly data: Reading }[];
  readonly homeCare: { readonly advised: readonly string[] };
  readonly journal: readonly {
    readonly id: string;
    readonly kind: string;
    readonly step?: string;
    readonly skipped?: boolean;
  }[];
}

export async function openVisit(request: APIRequestContext, booking: string): Promise<string> {
  const made = await request.post('/api/visits', { data: { bookingId: `demo-booking-${booking}` }, maxRetries: 2 });
  expect(made.ok()).toBe(true);
  return ((await made.json()) as { visitId: string }).visitId;
}

export async function bench(request: APIRequestContext, visitId: string): Promise<ServerBench> {
  return (await (await request.get(`/api/visits/${visitId}?plan=wait`, { maxRetries: 2 })).json()) as ServerBench;
}

/** Confirms the consultation and that every zone was looked at: wax may be laid. Gives the bench as it is then. */
export async function confirmed(request: APIRequestContext, visitId: string): Promise<ServerBench> {
  const { visit: before, zones } = await bench(request, visitId);
  for (const [i, z] of zones.entries()) {
    const data = { version: before.version + i, data: { ...z.data, confirmed: true } };
    expect((await request.put(`/api/visits/${visitId}/charts/${z.zone}/${z.side}`, { data })).ok()).toBe(true);
  }
  const { visit } = await bench(request, visitId);
  const consult = { ...(visit.consult as object), consent: true, confirmedAtMs: Date.now() };
  const put = await request.put(`/api/visits/${visitId}/consult`, { data: { version: visit.version, consult } });
  expect(put.ok()).toBe(true);
  return bench(request, visitId);
}

/** The plan of the exported case, computed here by the core itself. */
export async function planOf(request: APIRequestContext, visitId: string): Promise<Plan> {
  const exported = (await (await request.get(`/api/visits/${visitId}/case`)).json()) as VisitCase;
  const plan = planVisit(exported);
  if (!plan.ok) throw new Error(JSON.stringify(plan.error));
  return plan.value;
}

/** Waits until the page's own script runs. */
export const ready = (page: Page): Promise<unknown> =>
  page.waitForFunction(() => document.documentElement.dataset['ready'] === 'yes');

/** The PIN of the browser tests, chosen now if nobody has one yet; this tablet stays the studio's. */
export const PIN = '2468';
export async function withPin(request: APIRequestContext, visitId: string): Promise<void> {
  const handed = await request.post(`/api/visits/${visitId}/form`, { data: { personId: 'ines', newPin: PIN } });
  if (!handed.ok()) return;
  const { formId } = (await handed.json()) as { formId: string };
  expect((await request.post(`/api/forms/${formId}/unlock`, { data: { pin: PIN } })).ok()).toBe(true);
}

export const saved = async (page: Page): Promise<void> => {
  await expect(page.locator('[data-sync="saved"]').first()).toBeVisible();
};

/** Waits until a key is bound: a station's keys come a moment after the bar's. */
export const keyBound = async (page: Page, key: string): Promise<void> => {
  await page.waitForFunction((k) => (document.documentElement.dataset['keys'] ?? '').split(' ').includes(k), key);
};

/**
 * Waits until what opens has opened: a dialog that is still growing moves from under the pointer when the machine
 * stalls, and the click is lost.
 */
export const still = async (page: Page): Promise<void> => {
  await expect(page.getByRole('dialog').last()).toBeVisible();
  await calm(page);
};
/** The same for whatever moves. */
export const calm = async (page: Page): Promise<void> => {
  await page.evaluate(async () => {
    const moving = document.getAnimations().filter((a) => a.effect?.getComputedTiming().iterations !== Infinity);
    await Promise.all(moving.map((a) => a.finished.catch(() => undefined)));
  });
};
