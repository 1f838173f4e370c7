import { JSDOM } from 'jsdom';
import { describe, expect, it } from 'vitest';
import { planVisit } from '../core/plan';
import { signedArea, type Ring } from '../core/shared';
import { stripsSvg } from './stripsSvg';

describe('stripsSvg', () => {
  it('draws every strip of the plan where it lies, numbered, in centimetres, with a title a reader can hear', () => {
    const made = planVisit({ version: 1, on: '2027-05-14', client: { consent: true }, zones: [{ zone: 'underarm', side: 'left', hair: { lengthMm: 7, coarseness: 3, density: 3 }, marks: [{ kind: 'mole', at: [4, 6], radiusMm: 2 }] }] });
    const zone = made.ok ? made.value.zones[0] : undefined;
    if (!zone) throw new Error('planned');
    const { document } = new JSDOM(stripsSvg(zone), { contentType: 'image/svg+xml' }).window;
    const groups = [...document.querySelectorAll('svg > g')];
    expect(groups).toHaveLength(zone.strips.length);
    expect(groups.map((g) => g.querySelector('text')?.textContent)).toEqual(zone.strips.map((s) => String(s.order)));
    // the drawn outline is the planned one: same area, point for point within a hundredth of a millimetre
    groups.forEach((g, i) => {
      const ring: Ring = [...(g.querySelector('path')?.getAttribute('d') ?? '').matchAll(/(-?[\d.]+) (-?[\d.]+)/g)].map((m) => [Number(m[1]), Number(m[2])] as const);
      const planned = zone.strips[i]?.outline ?? [];
      expect(ring).toHaveLength(planned.length);
      expect(Math.abs(signedArea(ring))).toBeCloseTo(Math.abs(signedArea(planned)), 2);
    });
    expect(document.querySelectorAll('svg > circle')).toHaveLength(1);
    expect(document.documentElement.getAttribute('width')).toBe(`${zone.sheetCm[0] + 3.2}cm`);
    expect(document.querySelector('title')?.textContent).toContain(`Underarm, left: ${zone.strips.length} strips`);
  });
});
