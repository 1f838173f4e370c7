import { describe, expect, it } from 'vitest';
import { sheetFor, ZONES, zoneKey, type Side, type ZoneId } from '../anatomy';
import { actFault, liveTable, standing, type AddedRound, type StripMark, type TableEvent } from '../hands';
import { SHIPPED_PRODUCTS } from '../products';
import { discRing, seededRandom, type Ring } from '../shared';
import { admitting, planAtTable, tableGroups } from './atTable';
import type { Plan } from './planTypes';
import { planVisit } from './planVisit';
import { secondRound } from './secondRound';

// What a further round may be: common practice, no source (soft wax once, nothing a fourth time).

type Zone = readonly [ZoneId, Side];
function planOf(product: string, ...zones: readonly Zone[]): Plan {
  const way = product.startsWith('sugar') ? 'moulded' : 'with';
  const made = planVisit({
    version: 1,
    on: '2027-05-14',
    client: { consent: true },
    zones: zones.map(([zone, side]) => ({
      zone,
      side,
      hair: { lengthMm: 8, coarseness: 4, density: 3 },
      product,
      way,
    })),
  });
  if (!made.ok) throw new Error(made.error.message);
  return made.value;
}

/** A hand that does what the table proposes, a second after it may. */
class Hand {
  readonly events: TableEvent[] = [];
  #atMs = 1_000_000;
  constructor(readonly plan: Plan) {}
  get table() {
    return liveTable(tableGroups(this.plan, this.events), this.events);
  }
  note(kind: TableEvent['kind'], more: Partial<TableEvent> = {}): string | null {
    const event: TableEvent = { id: `e${this.events.length}`, atMs: this.#atMs, kind, ...more };
    const fault = actFault(admitting(this.plan), this.events, [event]);
    if (!fault) this.events.push(event);
    return fault?.code ?? null;
  }
  /** Until the table proposes something of this kind, or nothing more. */
  work(until: (kind: string) => boolean): void {
    for (let k = 0; k < 500; k++) {
      const { act } = this.table;
      if (act.kind === 'done' || until(act.kind)) return;
      this.#atMs += 10_000;
      if (act.kind === 'wrist') this.note('wrist', { product: act.product });
      else if (act.kind === 'step') this.note('step', { step: act.step });
      else if (act.kind === 'turn') this.note('turned', { position: act.position });
      else if (act.kind === 'lay') this.note('laid', { strip: act.strip });
      else if (act.kind === 'pull') {
        this.#atMs = Math.max(this.#atMs, act.readyAtMs + 1000);
        this.note('pulled', { strip: act.strip });
      }
    }
    throw new Error('the table does not end');
  }
}

function roundOf(plan: Plan, [id, side]: Zone, marks: ReadonlyMap<string, StripMark>, patches: readonly Ring[] = []) {
  const zone = plan.zones.find((z) => zoneKey(z) === zoneKey({ zone: id, side }));
  const sheet = sheetFor(ZONES[id], side, {}, zone?.sheetCm);
  const product = SHIPPED_PRODUCTS.find((p) => p.id === zone?.choice?.product);
  if (!zone || !sheet.ok || !product) throw new Error(id);
  return secondRound({
    zone,
    sheet: sheet.value,
    strokes: [],
    exclusions: [],
    densities: [],
    density: 3,
    coarseness: 4,
    product,
    level: 'practised',
    roomC: 22,
    maxOnSkin: 3,
    walkS: 6,
    marks,
    patches,
    leftKind: 'anywhere',
    crossedAllowed: true,
  });
}
const some = (...ids: readonly (string | undefined)[]) =>
  new Map(ids.flatMap((id) => (id === undefined ? [] : [[id, 'some-left'] as const])));
const must = (round: AddedRound | null): AddedRound => {
  if (!round) throw new Error('there is a round');
  return round;
};

describe('another round at the table', () => {
  const underarm: Zone = ['underarm', 'left'];
  const plan = planOf('film-hard', underarm);
  const first = plan.zones[0]?.strips ?? [];

  it('is prepared, tested at its own heat, laid, pulled and finished like the first', () => {
    const hand = new Hand(plan);
    hand.work(() => false);
    const stripsBefore = hand.table.stripCount;
    const round = must(roundOf(plan, underarm, some(first[0]?.id, first[2]?.id)));
    expect(hand.note('round', { round })).toBeNull();
    const acts: string[] = [];
    hand.work((kind) => {
      const { act } = hand.table;
      acts.push(act.kind === 'step' ? act.step : kind);
      return false;
    });
    const kinds = [...new Set(acts)];
    expect(kinds.slice(0, 2)).toEqual(['skin@underarm/left#1', 'wrist']);
    expect(hand.table).toMatchObject({ act: { kind: 'done' }, stripCount: stripsBefore + round.strips.length });
    expect(hand.table.pulledCount).toBe(hand.table.stripCount);
    // what was looked at before is looked at again; the care is told once
    expect(kinds.filter((k) => ['light', 'residue', 'calm', 'mirror'].includes(k))).toHaveLength(4);
    expect(kinds).not.toContain('care');
  });
  it('asks for the wrist test because the skin was waxed, and shows its own figure', () => {
    const hand = new Hand(plan);
    hand.work(() => false);
    const round = must(roundOf(plan, underarm, some(first[0]?.id)));
    hand.note('round', { round });
    hand.work((kind) => kind === 'wrist');
    expect(hand.table.act).toMatchObject({ kind: 'wrist', again: 'waxed', firstStrip: round.strips[0]?.id });
    const drawn = planAtTable(plan, hand.events).zones[0]?.strips.find((s) => s.id === round.strips[0]?.id);
    expect(drawn).toMatchObject({ pass: 2, touchC: round.touchC, thicknessMm: round.thicknessMm });
    expect(drawn?.touchC ?? 99).toBeLessThanOrEqual(plan.zones[0]?.heat?.workingC.target ?? 0);
  });
  it('counts the passes strip by strip, and numbers where the zone’s numbers end', () => {
    const round = must(roundOf(plan, underarm, some(first[0]?.id)));
    const numbers = first.map((s) => s.number);
    expect(round.strips.map((s) => s.number)).toEqual(round.strips.map((_, i) => Math.max(...numbers) + 1 + i));
    expect(round.strips.length).toBeGreaterThan(0);
    expect(round.strips.filter((s) => s.pass !== 2 || !s.over.includes(first[0]?.id ?? ''))).toEqual([]);
    expect(round.sequence).toHaveLength(2 * round.strips.length);
  });
  it('goes over what was tapped and nothing beside it', () => {
    const [x, y] = first[1]?.outline[0] ?? [0, 0];
    const centre = first[1]?.outline.reduce(
      (c, p): [number, number] => [
        c[0] + p[0] / (first[1]?.outline.length ?? 1),
        c[1] + p[1] / (first[1]?.outline.length ?? 1),
      ],
      [0, 0],
    ) ?? [x, y];
    const patch = discRing([centre[0] ?? 0, centre[1] ?? 0], 1.2);
    const round = must(roundOf(plan, underarm, new Map(), [patch]));
    const far = round.strips
      .flatMap((s) => s.outline)
      .filter((p) => Math.hypot(p[0] - (centre[0] ?? 0), p[1] - (centre[1] ?? 0)) > 1.4);
    expect(round.strips.length).toBeGreaterThan(0);
    expect(far).toEqual([]);
  });
  it('can be taken back before its first wax, and is then nowhere', () => {
    const hand = new Hand(plan);
    hand.work(() => false);
    hand.note('round', { round: must(roundOf(plan, underarm, some(first[0]?.id))) });
    const [added] = hand.events.filter((e) => e.kind === 'round');
    expect(hand.note('undo', { undoes: added?.id ?? '' })).toBeNull();
    expect(planAtTable(plan, hand.events)).toBe(plan);
    expect(hand.table.act.kind).toBe('done');
  });

  describe('is refused', () => {
    const started = (): Hand => {
      const hand = new Hand(plan);
      hand.work(() => false);
      return hand;
    };
    const round = must(roundOf(plan, underarm, some(first[0]?.id)));
    it('over ground that is not off', () => {
      expect(new Hand(plan).note('round', { round })).toBe('act.not-laid');
    });
    it('over sore skin, unless the mark was changed since', () => {
      const hand = started();
      hand.note('mark', { strip: first[0]?.id ?? '', mark: 'sore' });
      expect(hand.note('round', { round })).toBe('act.no-more-passes');
      hand.note('mark', { strip: first[0]?.id ?? '', mark: 'some-left' });
      expect(hand.note('round', { round })).toBeNull();
    });
    it('after a stop, for another zone, and where it counts its passes wrongly', () => {
      const hand = started();
      expect(hand.note('round', { round: { ...round, zone: 'chin' } })).toBe('act.no-such-zone');
      expect(hand.note('round', { round: { ...round, strips: round.strips.map((s) => ({ ...s, pass: 3 })) } })).toBe(
        'act.incomplete',
      );
      hand.note('stop');
      expect(hand.note('round', { round })).toBe('act.stopped');
    });
    it('a third time of hard wax without its reason, and a fourth time whatever the reason', () => {
      const hand = started();
      const marks = new Map<string, StripMark>();
      const add = (over: readonly string[], reason: string) => {
        for (const id of over) marks.set(id, 'some-left');
        const next = roundOf(planAtTable(plan, hand.events), underarm, marks);
        return next && { ...next, reason };
      };
      const second = must(add([first[0]?.id ?? ''], ''));
      expect(hand.note('round', { round: second })).toBeNull();
      hand.work(() => false);
      const third = must(
        add(
          second.strips.map((s) => s.id),
          '',
        ),
      );
      expect(Math.max(...third.strips.map((s) => s.pass))).toBe(3);
      expect(hand.note('round', { round: third })).toBe('act.no-more-passes');
      expect(hand.note('round', { round: { ...third, reason: 'Coarse patch by the elbow' } })).toBeNull();
      hand.work(() => false);
      expect(
        add(
          third.strips.map((s) => s.id),
          'again',
        ),
      ).toBeNull();
      const over = third.strips.map((s) => ({ ...s, id: `${s.id}x`, over: [s.id], pass: 4 }));
      const fourth = { ...third, strips: over, sequence: over.flatMap((s) => [s.id, s.id]), reason: 'again' };
      expect(hand.note('round', { round: fourth })).toBe('act.no-more-passes');
    });
    it('of soft wax, always', () => {
      const legs = planOf('soft', ['lower-leg-front', 'left']);
      expect(legs.zones[0]?.choice?.family).toBe('soft');
      const hand = new Hand(legs);
      hand.work(() => false);
      const [strip] = legs.zones[0]?.strips ?? [];
      const soft = {
        ...round,
        zone: 'lower-leg-front' as const,
        strips: round.strips.map((s) => ({ ...s, over: [strip?.id ?? ''] })),
      };
      expect(hand.note('round', { round: soft })).toBe('act.no-more-passes');
    });
  });

  it('comes before the client turns where it can, else after a turn back', () => {
    const both = planOf('film-hard', ['lower-leg-front', 'left'], ['lower-leg-back', 'left']);
    const positions = tableGroups(both, []).map((g) => g.position);
    expect(new Set(positions).size).toBe(2);
    const front = both.zones.find((z) => z.zone === 'lower-leg-front');
    const worked = (until: string): Hand => {
      const hand = new Hand(both);
      hand.work((kind) => kind === until);
      return hand;
    };
    const hand = worked('turn');
    const zone: Zone = ['lower-leg-front', 'left'];
    const before = front?.strips[0]?.id;
    const isFrontFirst = hand.table.pulledCount === front?.strips.length;
    expect(isFrontFirst).toBe(true);
    hand.note('round', { round: must(roundOf(both, zone, some(before))) });
    expect(tableGroups(both, hand.events).map((g) => g.later ?? false)).toEqual([false, true, false]);
    hand.work(() => false);
    expect(standing(hand.events).filter((e) => e.kind === 'turned')).toHaveLength(1);
    const late = worked('none');
    late.note('round', { round: must(roundOf(both, zone, some(before))) });
    expect(tableGroups(both, late.events).map((g) => g.later ?? false)).toEqual([false, false, true]);
    late.work(() => false);
    expect(standing(late.events).filter((e) => e.kind === 'turned')).toHaveLength(2);
    expect(late.table.pulledCount).toBe(late.table.stripCount);
  });

  it('ends in a whole table whatever order the hands take (60 seeded visits)', () => {
    let rounds = 0;
    for (let seed = 0; seed < 60; seed++) {
      const random = seededRandom(seed);
      const hand = new Hand(plan);
      hand.work(() => false);
      const id = first[random.whole(0, first.length - 1)]?.id;
      const added = roundOf(plan, underarm, some(id));
      if (!added || hand.note('round', { round: added }) !== null) continue;
      rounds++;
      hand.work((kind) => {
        const { table } = hand;
        // now and then another strip than was proposed
        if (kind === 'lay' && table.layable.length > 1 && random.next() < 0.5) {
          hand.note('laid', { strip: random.pick(table.layable as [string, ...string[]]) });
        }
        return false;
      });
      expect(hand.table.pulledCount).toBe(first.length + added.strips.length);
    }
    expect(rounds).toBe(60);
  });
});
