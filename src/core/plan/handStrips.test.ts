import { describe, expect, it } from 'vitest';
import { planVisit } from './planVisit';
import type { Plan } from './planTypes';
import type { VisitCase, ZoneCase } from './visitCase';

const shoulder: ZoneCase = {
  zone: 'shoulder',
  side: 'right',
  hair: { lengthMm: 8, coarseness: 4, density: 3 },
  product: 'film-hard',
  way: 'with',
};
const make = (zone: ZoneCase): VisitCase => ({
  version: 1,
  on: '2027-05-14',
  client: { consent: true },
  zones: [zone],
});
function plan(zone: ZoneCase): Plan['zones'][number] {
  const made = planVisit(make(zone));
  if (!made.ok) throw new Error(JSON.stringify(made.error));
  const [first] = made.value.zones;
  if (!first) throw new Error('one zone in, one zone out');
  return first;
}
const faultPaths = (zone: ZoneCase): readonly string[] => {
  const made = planVisit(make(zone));
  return made.ok ? [] : made.error.details.map((d) => d.path);
};

describe('strips by hand in a case', () => {
  const planned = plan(shoulder);
  const strips = planned.strips.map((s) => ({ outline: s.outline }));
  it('are planned as they are, with what they break in words', () => {
    const same = plan({ ...shoulder, handStrips: { family: 'hard', way: 'with', strips } });
    expect(same).toMatchObject({ byHand: true, stripFaults: [] });
    expect(same.strips.map((s) => [s.id, s.needsBefore, s.touches])).toEqual(
      planned.strips.map((s) => [s.id, s.needsBefore, s.touches]),
    );
    const less = plan({
      ...shoulder,
      handStrips: { family: 'hard', way: 'with', strips: [{ ...(strips[0] ?? { outline: [] }), turnDeg: 80 }] },
    });
    expect(less.strips).toHaveLength(1);
    expect(less.strips[0]?.turnDeg).toBe(80);
    expect(less.stripFaults.map((f) => f.code)).toEqual(expect.arrayContaining(['cover', 'off-growth']));
    expect(less.stripFaults.every((f) => f.strip === null || f.strip === less.strips[0]?.id)).toBe(true);
  });
  it('never change what is in the pot, however badly they lie', () => {
    const free: ZoneCase = { zone: 'underarm', side: 'left', hair: { lengthMm: 7, coarseness: 4, density: 3 } };
    const first = plan(free);
    if (!first.choice) throw new Error('chosen');
    const turned = plan({
      ...free,
      handStrips: {
        family: first.choice.family,
        way: first.choice.way,
        strips: first.strips.map((s) => ({ outline: s.outline, turnDeg: 85 })),
      },
    });
    expect(turned.stripFaults.length).toBeGreaterThan(0);
    expect(turned.choice).toEqual(first.choice);
    expect(turned.options.map((o) => [o.product, o.way, o.score])).toEqual(
      first.options.map((o) => [o.product, o.way, o.score]),
    );
  });
  it('hold only for the family and manner they were laid out for', () => {
    const soft = plan({
      ...shoulder,
      product: 'soft',
      way: 'with',
      handStrips: { family: 'hard', way: 'with', strips: strips.slice(0, 1) },
    });
    expect(soft.byHand).toBe(false);
    expect(soft.cover.coveredShare).toBeGreaterThan(0.98);
  });
  it('that lie nowhere on the hair leave the planned ones standing', () => {
    const off = plan({
      ...shoulder,
      handStrips: {
        family: 'hard',
        way: 'with',
        strips: [
          {
            outline: [
              [-9, -9],
              [-8, -9],
              [-8, -8],
            ],
          },
        ],
      },
    });
    expect(off.strips).toHaveLength(planned.strips.length);
  });
  it('with a fault are refused by path', () => {
    expect(faultPaths({ ...shoulder, handStrips: { family: 'soft', way: 'moulded', strips } })).toEqual([
      'zones[0].handStrips.way',
    ]);
    expect(
      faultPaths({
        ...shoulder,
        handStrips: {
          family: 'hard',
          way: 'with',
          strips: [
            {
              outline: [
                [1, 1],
                [2, 2],
                [3, 3],
              ],
            },
          ],
        },
      }),
    ).toEqual(['zones[0].handStrips.strips[0].outline']);
  });
});

describe('a fade in a case', () => {
  it('thins out the shoulder in dabs where it was agreed or asked for, and no zone that ends at its border', () => {
    const faded = plan({ ...shoulder, fade: true });
    expect(faded.fade).toBe(true);
    expect(faded.strips.filter((s) => s.lengthMm < 21 && s.handwork?.includes('dab')).length).toBeGreaterThan(4);
    expect(faded.cover.coveredShare).toBeGreaterThan(0.98);
    // changed by hand it still fades: what stays on purpose is no gap, and dabs are no faults
    const byHand = plan({
      ...shoulder,
      fade: true,
      handStrips: { family: 'hard', way: 'with', strips: faded.strips.map((s) => ({ outline: s.outline })) },
    });
    expect(byHand).toMatchObject({ byHand: true, fade: true, stripFaults: [] });
    expect(byHand.cover.coveredShare).toBeGreaterThan(0.98);
    expect(plan({ ...shoulder, outcome: 'fade' }).fade).toBe(true);
    expect(plan({ ...shoulder, outcome: 'line' }).fade).toBe(false);
    expect(plan({ ...shoulder, outcome: 'fade', fade: false }).fade).toBe(false);
    expect(faultPaths({ zone: 'underarm', side: 'left', hair: shoulder.hair, fade: true })).toEqual(['zones[0].fade']);
  });
});
