import { describe, expect, it } from 'vitest';
import { familyMoney } from './familyMoney';
import { planVisit } from './planVisit';
import type { Plan } from './planTypes';
import type { ZoneCase } from './visitCase';

const rates = { labourMinorPerHour: 2400, roomMinorPerHour: 900 };
const hair = { lengthMm: 8, coarseness: 3, density: 3 };
function plan(...zones: readonly ZoneCase[]): Plan {
  const made = planVisit({ version: 1, on: '2027-05-14', client: { consent: true }, zones });
  if (!made.ok) throw new Error(JSON.stringify(made.error));
  return made.value;
}

describe('familyMoney', () => {
  const leg = plan({ zone: 'lower-leg-front', side: 'left', hair }, { zone: 'lower-leg-front', side: 'right', hair });
  it('puts the three families side by side with whole minor units, and the plan’s own family agrees with the plan', () => {
    const rows = familyMoney(leg, 3200, rates);
    expect(rows.map((r) => r.family)).toEqual(['hard', 'soft', 'sugar']);
    for (const r of rows) {
      expect(r.notOn).toEqual([]);
      if (!r.margin) throw new Error('a leg takes every family');
      expect(Object.values(r.margin).every(Number.isInteger)).toBe(true);
      expect(r.margin.priceMinor - r.margin.materialsMinor - r.margin.labourMinor - r.margin.roomMinor).toBe(
        r.margin.marginMinor,
      );
    }
    const chosen = rows.find((r) => r.family === leg.zones[0]?.choice?.family);
    expect(chosen?.strips).toBe(leg.zones.reduce((n, z) => n + z.strips.length, 0));
    expect(Math.abs((chosen?.margin?.materialsMinor ?? 0) - leg.cost.materialsMinor)).toBeLessThanOrEqual(2);
  });
  it('soft is the quickest on a fine leg with enough length and uses the fewest strips (common practice, no source)', () => {
    const fine = { ...hair, lengthMm: 9, coarseness: 2 };
    const rows = familyMoney(
      plan(
        { zone: 'lower-leg-front', side: 'left', hair: fine },
        { zone: 'lower-leg-front', side: 'right', hair: fine },
      ),
      3200,
      rates,
    );
    const soft = rows.find((r) => r.family === 'soft');
    expect(
      rows.every((r) => r.family === 'soft' || (soft && soft.strips < r.strips && soft.tableMinutes < r.tableMinutes)),
    ).toBe(true);
  });
  it('says where a family is ruled out, and gives no figure then', () => {
    const rows = familyMoney(
      plan({ zone: 'lower-leg-front', side: 'left', hair }, { zone: 'ear', side: 'left', hair }),
      4000,
      rates,
    );
    expect(rows.find((r) => r.family === 'soft')).toMatchObject({ notOn: ['ear/left'], margin: null });
    expect(rows.find((r) => r.family === 'hard')?.margin).not.toBeNull();
  });
});
