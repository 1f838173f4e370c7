import { describe, expect, it } from 'vitest';
import { planVisit } from './planVisit';
import type { Plan } from './planTypes';
import type { ZoneCase } from './visitCase';

const hair = { lengthMm: 9, coarseness: 2, density: 3 };
function plan(zone: ZoneCase): Plan {
  const made = planVisit({ version: 1, on: '2027-05-14', client: { consent: true }, zones: [zone] });
  if (!made.ok) throw new Error(JSON.stringify(made.error));
  return made.value;
}
const lays = (p: Plan): readonly { readonly strip: string | null; readonly forS: number; readonly atS: number }[] =>
  p.schedule.events.filter((e) => e.do === 'lay');

describe('spread and take up (common practice, no source)', () => {
  it('soft wax on a broad back is spread over a patch at once: one long lay, then cloths; nothing is taken up before it is spread', () => {
    const back = plan({ zone: 'upper-back', side: 'middle', hair, product: 'soft', way: 'with' });
    const strips = back.zones[0]?.strips ?? [];
    const openers = strips.filter((s) => s.handwork?.startsWith('Spread over'));
    const takers = strips.filter((s) => s.handwork?.startsWith('Already spread'));
    expect(openers.length).toBeGreaterThan(1);
    expect(takers.length).toBeGreaterThan(openers.length - 1);
    expect(takers.every((s) => openers.some((o) => o.id === s.spreadWith))).toBe(true);
    expect(openers.every((o) => o.spreadWith === null)).toBe(true);
    const forS = new Map(lays(back).map((e) => [e.strip, e.forS]));
    for (const s of takers) expect(forS.get(s.id)).toBeLessThan(Math.min(...openers.map((o) => forS.get(o.id) ?? 0)));
    // each patch: its opener is laid before the others
    const atS = new Map(lays(back).map((e) => [e.strip, e.atS]));
    expect(Math.min(...strips.map((s) => atS.get(s.id) ?? Infinity))).toBe(atS.get(openers[0]?.id ?? '') ?? NaN);
    // quicker than strip by strip, as a leg is worked: fewer seconds of laying a strip
    const leg = plan({ zone: 'thigh-front', side: 'left', hair, product: 'soft', way: 'with' });
    const mean = (p: Plan): number => lays(p).reduce((s, e) => s + e.forS, 0) / lays(p).length;
    expect(mean(back)).toBeLessThan(mean(leg));
    expect(leg.zones[0]?.strips.some((s) => s.handwork?.includes('spread') ?? false)).toBe(false);
  });
  it('thin sugar under cloth too, but not on the face, and never hard wax', () => {
    expect(
      plan({ zone: 'thigh-front', side: 'left', hair, product: 'sugar-soft', way: 'strip' }).zones[0]?.strips.some(
        (s) => s.handwork?.startsWith('Spread over'),
      ),
    ).toBe(true);
    expect(
      plan({ zone: 'upper-lip', side: 'middle', hair, product: 'sugar-soft', way: 'strip' }).zones[0]?.strips.some(
        (s) => s.handwork?.startsWith('Spread over'),
      ),
    ).toBe(false);
    expect(
      plan({ zone: 'upper-back', side: 'middle', hair, product: 'film-hard', way: 'with' }).zones[0]?.strips.some((s) =>
        s.handwork?.startsWith('Spread over'),
      ),
    ).toBe(false);
  });
});
