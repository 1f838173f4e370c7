import { describe, expect, it } from 'vitest';
import { planVisit } from '@/core/plan';
import { moved, workUnits } from './workOrder';

const hair = { lengthMm: 8, coarseness: 4, density: 3 };
const planned = (order?: readonly string[], armpit = 'film-hard') => {
  const made = planVisit({
    version: 1,
    on: '2027-05-14',
    client: { consent: true },
    zones: [
      { zone: 'upper-lip', side: 'middle', hair },
      { zone: 'underarm', side: 'left', hair },
      { zone: 'underarm', side: 'right', hair },
      { zone: 'nape', side: 'middle', hair },
    ].map((z) => ({ ...z, product: z.zone === 'underarm' ? armpit : 'film-hard', way: 'with' }) as never),
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
  it('takes the pot along past a border of pots, and the plan follows that too', () => {
    const before = workUnits(planned([], 'cream-hard'));
    const order = moved(before, 'upper-lip/middle', -1) ?? moved(before, 'underarm/left', -1) ?? [];
    const after = workUnits(planned(order, 'cream-hard')).flatMap((u) => u.keys);
    expect(after).toEqual(order);
    expect(after).not.toEqual(before.flatMap((u) => u.keys));
    // one pot that comes down between two zones is not warmed up again
    const pot = [
      { keys: ['a/left'], position: 'face-up', product: 'film-hard', round: 0 },
      { keys: ['b/left'], position: 'face-up', product: 'film-hard', round: 1 },
    ];
    expect(moved(pot, 'b/left', -1)).toBeNull();
  });
  it('is followed by the plan', () => {
    const order = moved(workUnits(planned()), 'upper-lip/middle', -1);
    const plan = planned(order ?? []);
    expect(workUnits(plan).flatMap((u) => u.keys)).toEqual(order);
    const first = plan.schedule.events.find((e) => e.do === 'lay')?.strip;
    expect(plan.zones.find((z) => z.strips.some((s) => s.id === first))?.zone).toBe('upper-lip');
  });
});
