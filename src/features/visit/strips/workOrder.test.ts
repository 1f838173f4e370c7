import { describe, expect, it } from 'vitest';
import { planVisit } from '@/core/plan';
import { moved, workUnits } from './workOrder';

const hair = { lengthMm: 8, coarseness: 4, density: 3 };
const planned = (order?: readonly string[]) => {
  const made = planVisit({
    version: 1,
    on: '2027-05-14',
    client: { consent: true },
    zones: [
      { zone: 'upper-lip', side: 'middle', hair },
      { zone: 'underarm', side: 'left', hair },
      { zone: 'underarm', side: 'right', hair },
      { zone: 'nape', side: 'middle', hair },
    ].map((z) => ({ ...z, product: 'film-hard', way: 'with' }) as never),
    order,
  });
  if (!made.ok) throw new Error(JSON.stringify(made.error));
  return made.value;
};

describe('the order of work', () => {
  it('has the sides of a zone together, and moves them so, within how the client lies', () => {
    const units = workUnits(planned());
    expect(units.map((u) => u.keys)).toEqual([
      ['underarm/left', 'underarm/right'],
      ['upper-lip/middle'],
      ['nape/middle'],
    ]);
    expect(moved(units, 'underarm/right', 1)).toEqual([
      'upper-lip/middle',
      'underarm/left',
      'underarm/right',
      'nape/middle',
    ]);
    expect(moved(units, 'upper-lip/middle', 1)).toBeNull();
    expect(moved(units, 'underarm/left', -1)).toBeNull();
    expect(moved(units, 'chest/middle', 1)).toBeNull();
  });
  it('is followed by the plan', () => {
    const order = moved(workUnits(planned()), 'upper-lip/middle', -1);
    const plan = planned(order ?? []);
    expect(workUnits(plan).flatMap((u) => u.keys)).toEqual(order);
    const first = plan.schedule.events.find((e) => e.do === 'lay')?.strip;
    expect(plan.zones.find((z) => z.strips.some((s) => s.id === first))?.zone).toBe('upper-lip');
  });
});
