// Which product for whom, as the trade decides it (common practice, no source): a table of cases against the choice of
// the whole chain.

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ZONE_IDS, ZONES, sidesOf, type Family, type ZoneId } from '../anatomy';
import { COST_PARTS, MOST_COUNT } from '../matching';
import { choiceFlips } from './choiceFlips';
import { planMemory } from './planMemory';
import { chooseVisit, planVisit } from './planVisit';
import type { ClientCase, HairCase, StudioCase, VisitCase } from './visitCase';

const memory = planMemory();
interface Given {
  readonly zone: ZoneId;
  readonly hair?: Partial<HairCase>;
  readonly client?: Partial<ClientCase>;
  readonly studio?: StudioCase;
}
const caseOf = ({ zone, hair = {}, client = {}, studio }: Given): VisitCase => ({
  version: 1,
  on: '2027-05-14',
  client: { consent: true, ...client },
  ...(studio ? { studio } : {}),
  zones: [
    { zone, side: sidesOf(ZONES[zone])[0] ?? 'middle', hair: { lengthMm: 8, coarseness: 3, density: 3, ...hair } },
  ],
});
const chosen = (given: Given) => {
  const found = chooseVisit(caseOf(given), { memory });
  if (!found.ok) throw new Error(found.error.code);
  return { choice: found.value.choices[0]?.option ?? null, options: found.value.zones[0]?.found.options ?? [] };
};
const family = (given: Given): Family | null => chosen(given).choice?.family ?? null;

describe('which product for whom', () => {
  it.each<[string, Given, readonly Family[]]>([
    ['coarse hair on the back: hard', { zone: 'upper-back', hair: { lengthMm: 10, coarseness: 5 } }, ['hard']],
    ['coarse hair on the lower back: hard', { zone: 'lower-back', hair: { lengthMm: 9, coarseness: 4 } }, ['hard']],
    ['coarse hair under the arm: hard', { zone: 'underarm', hair: { coarseness: 5 } }, ['hard']],
    ['coarse hair at the bikini edge: hard', { zone: 'bikini-edge', hair: { coarseness: 5 } }, ['hard']],
    ['coarse hair on the chest: hard', { zone: 'chest', hair: { coarseness: 5, lengthMm: 10 } }, ['hard']],
    ['fine hair on the lower leg: soft', { zone: 'lower-leg-front', hair: { coarseness: 1 } }, ['soft']],
    ['thin hair on the lower leg: soft', { zone: 'lower-leg-back', hair: { coarseness: 2 } }, ['soft']],
    ['fine hair on the thigh: soft', { zone: 'thigh-front', hair: { coarseness: 1, lengthMm: 9 } }, ['soft']],
    ['fine hair on the forearm: soft', { zone: 'forearm', hair: { coarseness: 1, lengthMm: 9 } }, ['soft']],
    [
      'short hair on skin that grows hairs in: sugar',
      { zone: 'bikini-edge', hair: { lengthMm: 4 }, client: { ingrownProne: true } },
      ['sugar'],
    ],
    [
      'short hair under the arm, skin that grows hairs in: sugar',
      { zone: 'underarm', hair: { lengthMm: 3.5 }, client: { ingrownProne: true } },
      ['sugar'],
    ],
    ['short hair on the leg: sugar', { zone: 'lower-leg-front', hair: { lengthMm: 3.5 } }, ['sugar']],
    [
      'fine hair on a leg that grows hairs in: sugar',
      { zone: 'lower-leg-front', hair: { coarseness: 1 }, client: { ingrownProne: true } },
      ['sugar'],
    ],
    [
      'sensitive skin on the face: hard or sugar',
      { zone: 'upper-lip', hair: { lengthMm: 6, coarseness: 1 }, client: { sensitivity: 5 } },
      ['hard', 'sugar'],
    ],
    [
      'brows of the sensitive: hard or sugar, never soft',
      { zone: 'brow', hair: { lengthMm: 6, coarseness: 2 }, client: { sensitivity: 4 } },
      ['hard', 'sugar'],
    ],
    ['folds and intimate skin: hard or sugar', { zone: 'front-complete', hair: { coarseness: 4 } }, ['hard', 'sugar']],
    ['the nose rim: hard or sugar', { zone: 'nose-rim', hair: { lengthMm: 6 } }, ['hard', 'sugar']],
    ['the ear: hard', { zone: 'ear', hair: { lengthMm: 8, coarseness: 2 } }, ['hard']],
  ])('%s', (_, given, families) => {
    expect(families).toContain(family(given));
  });

  it('soft from 6 mm, hard from 4, sugar from 1.6; finer hair of lip and brow is held shorter (lengths: practice and from memory)', () => {
    const holds = (id: string, zone: ZoneId, lengthMm: number): boolean =>
      !chosen({ zone, hair: { lengthMm, shortestMm: lengthMm * 0.97, longestMm: lengthMm * 1.03 } }).options.some(
        (o) => o.product.id === id && o.excludedBy.includes('hair.too-short') && ['with', 'moulded'].includes(o.way),
      );
    for (const [id, from] of [
      ['soft', 6],
      ['film-hard', 4],
      ['cream-hard', 5],
      ['sugar-firm', 1.6],
    ] as const) {
      expect(holds(id, 'lower-leg-front', from * 1.06)).toBe(true);
      expect(holds(id, 'lower-leg-front', from * 0.94)).toBe(false);
    }
    expect(holds('film-hard', 'upper-lip', 3.3)).toBe(true);
  });
  it('past about 12–13 mm the hair is trimmed first, whatever is used', () => {
    for (const o of chosen({ zone: 'underarm', hair: { lengthMm: 17 } }).options.filter((x) => x.eligible)) {
      expect(o.trimFirst).toBe(true);
    }
    expect(chosen({ zone: 'underarm', hair: { lengthMm: 8 } }).choice?.trimFirst).toBe(false);
  });
  it('film wax on coarse hair goes on in two coats, cream wax in one', () => {
    const { options } = chosen({ zone: 'upper-back', hair: { coarseness: 5 } });
    expect(options.find((o) => o.product.id === 'film-hard' && o.way === 'with')?.coats).toBe(2);
    expect(options.find((o) => o.product.id === 'cream-hard' && o.way === 'with')?.coats).toBe(1);
  });
  it('three weeks of growth are workable with hard film wax in the crossed lay', () => {
    const three = chosen({ zone: 'underarm', hair: { lengthMm: 4 }, studio: { products: ['film-hard'] } });
    expect(three.choice?.way).toBe('crossed');
    expect(three.options.find((o) => o.way === 'with')?.excludedBy).toContain('hair.too-short');
  });
});

describe('what no weight and no wish moves', () => {
  const counts = fc.record(
    Object.fromEntries(COST_PARTS.map((name) => [name, fc.double({ min: 0, max: MOST_COUNT, noNaN: true })])),
  );

  it('in the ear only hard wax, whatever counts', () => {
    fc.assert(
      fc.property(
        counts,
        fc.integer({ min: 1, max: 5 }),
        fc.double({ min: 2, max: 20, noNaN: true }),
        (w, sensitivity, lengthMm) => {
          const { choice, options } = chosen({
            zone: 'ear',
            hair: { lengthMm },
            client: { sensitivity },
            studio: { counts: w, preferences: { reactiveMild: false } },
          });
          if (choice) expect(choice.family).toBe('hard');
          for (const o of options.filter((x) => x.family === 'soft')) {
            expect(o.excludedBy).toContain('zone.family-never');
          }
        },
      ),
      { seed: 21, numRuns: 25 },
    );
  });
  it('at sensitivity 5 soft wax is never first while anything else works, whatever counts', () => {
    fc.assert(
      fc.property(
        counts,
        fc.constantFrom<ZoneId>('lower-leg-front', 'forearm', 'upper-back', 'upper-lip', 'underarm'),
        fc.integer({ min: 1, max: 5 }),
        fc.double({ min: 4, max: 12, noNaN: true }),
        (w, zone, coarseness, lengthMm) => {
          const { choice, options } = chosen({
            zone,
            hair: { lengthMm, coarseness },
            client: { sensitivity: 5 },
            studio: { counts: w, preferences: { reactiveMild: false } },
          });
          if (options.some((o) => o.eligible && o.family !== 'soft')) expect(choice?.family).not.toBe('soft');
        },
      ),
      { seed: 22, numRuns: 40 },
    );
  });
  it('no zone is ever given a family that is not for it, however it is asked for', () => {
    for (const zone of ZONE_IDS) {
      const visit = caseOf({ zone });
      const forced = chooseVisit({ ...visit, zones: visit.zones.map((z) => ({ ...z, product: 'soft' })) }, { memory });
      const choice = forced.ok ? forced.value.choices[0]?.option : null;
      if (choice) expect(ZONES[zone].families).toContain('soft');
      expect(ZONES.ear.families).not.toContain('soft');
    }
  });
});

describe('a studio with one family', () => {
  it('plans within it and says what is lost', () => {
    for (const only of ['hard', 'soft', 'sugar'] as const) {
      const given: Given = {
        zone: 'lower-leg-front',
        hair: { coarseness: 1 },
        studio: { schools: { families: [only] } },
      };
      expect(family(given)).toBe(only);
      const plan = planVisit(caseOf(given), { memory });
      const zone = plan.ok ? plan.value.zones[0] : undefined;
      const lost = zone?.reasons.filter((r) => r.startsWith('Lost by the families')) ?? [];
      // soft wax is what fine hair on a leg would get: only its own studio loses nothing
      expect(lost.length).toBe(only === 'soft' ? 0 : 1);
      expect(zone?.better.some((b) => b.kind === 'other-family')).toBe(only !== 'soft');
      if (lost[0]) expect(lost[0]).toMatch(/\d.* against .*\d/);
    }
  });
  it('says that another family could, where its own cannot today', () => {
    const plan = planVisit(
      caseOf({ zone: 'lower-leg-front', hair: { lengthMm: 3 }, studio: { schools: { families: ['soft'] } } }),
      { memory },
    );
    const zone = plan.ok ? plan.value.zones[0] : undefined;
    expect(zone?.choice).toBeNull();
    expect(zone?.reasons.join(' ')).toMatch(/does not work with it, but .*sugar/);
  });
});

describe('what would be better later', () => {
  it('names the product that waits for length, with its date, and keeps today’s choice', () => {
    const plan = planVisit(caseOf({ zone: 'lower-leg-front', hair: { lengthMm: 5.5, coarseness: 1 } }), { memory });
    const zone = plan.ok ? plan.value.zones[0] : undefined;
    const [better] = zone?.better ?? [];
    expect(better).toMatchObject({ kind: 'later', product: 'soft' });
    expect(better?.fromOn).toMatch(/^2027-0[56]-\d\d$/);
    expect(zone?.choice?.product).not.toBe('soft');
    expect(zone?.reasons.join(' ')).toContain(`Possible from ${better?.fromOn}`);
  });
  it('a product new to a reactive skin is only named with its patch test, and nothing at all where the zone waits', () => {
    const given: Given = {
      zone: 'upper-back',
      hair: { lengthMm: 10, coarseness: 5 },
      client: { screening: [{ fact: 'earlier-reaction' }], knownProducts: ['sugar-firm'] },
    };
    const zone = (more: Given) => {
      const plan = planVisit(caseOf(more), { memory });
      return plan.ok ? plan.value.zones[0] : undefined;
    };
    const open = zone(given);
    expect(open?.choice?.product).toBe('sugar-firm');
    expect(open?.better).toMatchObject([{ kind: 'later', fromOn: '2027-05-16' }]);
    expect(open?.reasons.join(' ')).toMatch(/After a patch test that stays calm for 24–48 h: possible from 2027-05-16/);
    const waits = zone({
      ...given,
      client: { ...given.client, screening: [{ fact: 'earlier-reaction' }, { fact: 'sunburn' }] },
    });
    expect(waits?.outcome).toBe('postpone');
    expect(waits?.better).toEqual([]);
  });
  it('never proposes what the screening or an allergy leaves out', () => {
    const plan = planVisit(
      caseOf({
        zone: 'lower-leg-front',
        hair: { lengthMm: 5.5, coarseness: 1 },
        client: { screening: [{ fact: 'allergy-rosin' }] },
      }),
      { memory },
    );
    expect(plan.ok && plan.value.zones[0]?.better).toEqual([]);
  });
});

describe('choiceFlips', () => {
  it('finds the length at which the choice really changes, to a tenth of a millimetre', () => {
    const given: Given = { zone: 'lower-leg-front', hair: { coarseness: 1 } };
    const flips = choiceFlips(caseOf(given), 0, { memory });
    const below = flips.ok ? flips.value.find((f) => f.input === 'length' && f.side === 'below') : undefined;
    if (!below) throw new Error('soft wax stops holding somewhere below 8 mm');
    const today = chosen(given).choice;
    const at = (lengthMm: number) => chosen({ ...given, hair: { ...given.hair, lengthMm } }).choice;
    expect(at(below.at)?.product.id).toBe(below.becomes?.product);
    expect(at(below.at + 0.2)?.product.id).toBe(today?.product.id);
    expect(below.why.length).toBeGreaterThan(10);
  });
  it('each flip changes the choice where it says, and no smaller step of the scale does', () => {
    for (const given of [
      { zone: 'underarm', hair: { coarseness: 4 } },
      { zone: 'lower-leg-front', hair: { coarseness: 2 } },
    ] satisfies Given[]) {
      const today = chosen(given).choice;
      const flips = choiceFlips(caseOf(given), 0, { memory });
      for (const f of flips.ok ? flips.value.filter((x) => x.input !== 'length') : []) {
        const at = (v: number) =>
          (f.input === 'coarseness'
            ? chosen({ ...given, hair: { coarseness: v } })
            : chosen({ ...given, client: { sensitivity: v } })
          ).choice;
        expect(at(f.at)?.product.id).toBe(f.becomes?.product);
        for (let v = f.now; v !== f.at; v += Math.sign(f.at - f.now)) {
          expect(`${at(v)?.product.id} ${at(v)?.way}`).toBe(`${today?.product.id} ${today?.way}`);
        }
      }
    }
  });
  it('speaks of the proposal even where another was taken by hand, and is empty where nothing is proposed', () => {
    const visit = caseOf({ zone: 'lower-leg-front', hair: { coarseness: 1 } });
    const forced = { ...visit, zones: visit.zones.map((z) => ({ ...z, product: 'film-hard', way: 'with' as const })) };
    expect(choiceFlips(forced, 0, { memory })).toEqual(choiceFlips(visit, 0, { memory }));
    expect(choiceFlips(caseOf({ zone: 'lower-leg-front', hair: { lengthMm: 0.6 } }), 0, { memory })).toEqual({
      ok: true,
      value: [],
    });
  });
});
