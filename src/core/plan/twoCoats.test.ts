import { describe, expect, it } from 'vitest';
import type { ZoneId } from '../anatomy';
import { planVisit } from './planVisit';
import type { Plan } from './planTypes';
import type { VisitCase } from './visitCase';

const coarse = (zone: ZoneId, side: 'left' | 'right' | 'middle'): VisitCase['zones'][number] => ({
  zone,
  side,
  hair: { lengthMm: 9, coarseness: 5, density: 4 },
  product: 'film-hard',
});
const planOf = (zones: VisitCase['zones'], level: 'trainee' | 'practised' | 'expert'): Plan => {
  const made = planVisit({ version: 1, on: '2027-05-14', client: { consent: true }, studio: { level }, zones });
  if (!made.ok) throw new Error(made.error.message);
  return made.value;
};

describe('a plan in two coats', () => {
  it('rests every first coat for 8 s and at most as long as it says, and pulls within the window of that rest', () => {
    const rows = (['trainee', 'practised', 'expert'] as const).flatMap((level) =>
      [
        [coarse('underarm', 'left'), coarse('underarm', 'right')],
        [coarse('bikini-edge', 'left')],
        [coarse('chin', 'middle')],
        [coarse('lower-leg-front', 'left')],
      ].flatMap((zones) => {
        const plan = planOf(zones, level);
        return plan.zones.flatMap((z) => {
          expect(z.choice?.coats).toBe(2);
          expect(z.heat?.coats).toEqual([{ thicknessMm: 1 }, { thicknessMm: 1 }]);
          const rest = z.heat?.rest;
          if (!rest) throw new Error('two coats say how they rest');
          return z.strips.map((s) => {
            const acts = plan.schedule.events.filter((e) => e.strip === s.id);
            const [first, second] = acts.filter((e) => e.do === 'lay');
            const pull = acts.find((e) => e.do === 'pull');
            if (!first || !second || !pull) throw new Error(`${s.id} is not laid twice and pulled`);
            const restS = second.atS - first.atS - first.forS;
            const setS = pull.atS - second.atS - second.forS;
            const shorter = rest.afterRest.findLast((a) => a.restS <= restS);
            const longer = rest.afterRest.find((a) => a.restS >= restS);
            return {
              restOk: restS >= 8 && restS <= rest.mostS && rest.mostS <= 20,
              setOk: setS >= (shorter?.setS.min ?? Infinity) && setS <= (longer?.setS.max ?? 0),
            };
          });
        });
      }),
    );
    expect(rows.length).toBeGreaterThan(60);
    expect(rows.filter((r) => !r.restOk || !r.setOk)).toEqual([]);
  });
});
