import { describe, expect, it } from 'vitest';
import { planVisit } from '../core/plan';
import { signedArea, type Ring } from '../core/shared';
import { stripsSvg } from './stripsSvg';

describe('stripsSvg', () => {
  it('draws every strip of the plan where it lies, numbered, in centimetres, with a title a reader can hear', () => {
    const made = planVisit({
      version: 1,
      on: '2027-05-14',
      client: { consent: true },
      zones: [
        {
          zone: 'underarm',
          side: 'left',
          hair: { lengthMm: 7, coarseness: 3, density: 3 },
          marks: [{ kind: 'mole', at: [4, 6], radiusMm: 2 }],
        },
      ],
    });
    const zone = made.ok ? made.value.zones[0] : undefined;
    if (!zone) throw new Error('planned');
    const svg = stripsSvg(zone);
    const groups = [...svg.matchAll(/<g>(.*?)<\/g>/g)].map((m) => m[1] ?? '');
    expect(groups).toHaveLength(zone.strips.length);
    expect(groups.map((g) => /<text[^>]*>(\d+)</.exec(g)?.[1])).toEqual(zone.strips.map((s) => String(s.number)));
    // the drawn outline is the planned one, point for point
    groups.forEach((g, i) => {
      const ring: Ring = [...(/<path d="([^"]*)"/.exec(g)?.[1] ?? '').matchAll(/(-?[\d.]+) (-?[\d.]+)/g)].map(
        (m) => [Number(m[1]), Number(m[2])] as const,
      );
      const planned = zone.strips[i]?.outline ?? [];
      expect(ring).toHaveLength(planned.length);
      expect(Math.abs(signedArea(ring))).toBeCloseTo(Math.abs(signedArea(planned)), 1);
    });
    // the mark's clearance, and a disc behind each number
    expect(svg.match(/<circle [^>]*stroke-dasharray/g)).toHaveLength(1);
    expect(svg.match(/<circle /g)).toHaveLength(1 + zone.strips.length);
    expect(svg).not.toContain('what stays');
    expect(svg).toContain(`width="${Math.round((zone.sheetCm[0] + 3.2) * 1000) / 1000}cm"`);
    expect(svg).toContain(`<title>Underarm, left: ${zone.strips.length} strips`);
    expect(svg.match(/<g>/g)).toHaveLength(svg.match(/<\/g>/g)?.length ?? 0);
  });
  it('draws what stays, within the zone', () => {
    const made = planVisit({
      version: 1,
      on: '2027-05-14',
      client: { consent: true },
      zones: [{ zone: 'brow', side: 'left', hair: { lengthMm: 7, coarseness: 3, density: 3 } }],
    });
    const zone = made.ok ? made.value.zones[0] : undefined;
    if (!zone) throw new Error('planned');
    const svg = stripsSvg(zone);
    expect(zone.keep.length).toBe(1);
    expect(svg).toMatch(/<g clip-path="url\(#zone\)"><title>what stays<\/title><path/);
  });
});
