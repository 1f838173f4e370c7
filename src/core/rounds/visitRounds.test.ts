import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { positionsOf, sidesOf, ZONE_IDS, ZONES, type Position } from '../anatomy';
import { visitRounds, type ZoneInVisit } from './visitRounds';

const at = (zone: ZoneInVisit['zone'], more: Partial<ZoneInVisit> = {}): ZoneInVisit => ({
  zone,
  side: sidesOf(ZONES[zone])[0] ?? 'middle',
  product: 'film-hard',
  stage: 0,
  ...more,
});

/** Every order of the zones, every position of each, cooler never before warmer of the same pot: the fewest turns. */
function leastTurns(zones: readonly ZoneInVisit[]): number {
  const least = new Map<string, number>();
  const from = (left: readonly ZoneInVisit[], now: Position | null): number => {
    if (left.length === 0) return 0;
    const key = `${left.map((z) => zones.indexOf(z)).join()} ${now ?? ''}`;
    const known = least.get(key);
    if (known !== undefined) return known;
    let best = Infinity;
    for (const z of left) {
      if (left.some((o) => o.product === z.product && o.stage < z.stage)) continue;
      for (const p of positionsOf(z.zone)) {
        const turn = now === null || now === p ? 0 : 1;
        best = Math.min(
          best,
          turn +
            from(
              left.filter((o) => o !== z),
              p,
            ),
        );
      }
    }
    least.set(key, best);
    return best;
  };
  return from(zones, null);
}

const visits = fc.array(
  fc.record({
    zone: fc.constantFrom(...ZONE_IDS),
    product: fc.constantFrom('film-hard', 'soft'),
    stage: fc.constantFrom(0, 0, 0, 1, 2),
  }),
  { minLength: 1, maxLength: 7 },
);

describe('visitRounds', () => {
  it('turns the client as seldom as any order of work could, on 250 random visits', () => {
    fc.assert(
      fc.property(visits, (list) => {
        const zones = list.map((z) => at(z.zone, z));
        const rounds = visitRounds(zones);
        const turns = rounds.filter((r, k) => k > 0 && r.position !== rounds[k - 1]?.position).length;
        expect(turns).toBe(leastTurns(zones));
      }),
      { seed: 13, numRuns: 250 },
    );
  });
  it('works every zone once, in a position that it can be worked in, and no pot is warmed up again', () => {
    fc.assert(
      fc.property(visits, (list) => {
        const zones = list.map((z) => at(z.zone, z));
        const rounds = visitRounds(zones);
        expect(rounds.flatMap((r) => r.zones).sort((a, b) => a - b)).toEqual(zones.map((_, i) => i));
        const odd = rounds.flatMap((r) =>
          r.zones.filter(
            (i) =>
              zones[i]?.product !== r.product ||
              zones[i].stage !== r.stage ||
              !positionsOf(zones[i].zone).includes(r.position),
          ),
        );
        expect(odd).toEqual([]);
        const warmedUp = rounds.filter((r, k) =>
          rounds.slice(0, k).some((b) => b.product === r.product && b.stage > r.stage),
        );
        expect(warmedUp).toEqual([]);
      }),
      { seed: 14, numRuns: 150 },
    );
  });
  it('goes up the body face up, then down the back of it (common practice, no source)', () => {
    const zones = ['upper-lip', 'thigh-back', 'underarm', 'lower-leg-back', 'lower-leg-front', 'bikini-edge'] as const;
    const [up, down, ...rest] = visitRounds(zones.map((z) => at(z)));
    expect(rest).toEqual([]);
    expect([up?.position, down?.position]).toEqual(['face-up', 'face-down']);
    expect(up?.zones.map((i) => zones[i])).toEqual(['lower-leg-front', 'bikini-edge', 'underarm', 'upper-lip']);
    expect(down?.zones.map((i) => zones[i])).toEqual(['lower-leg-back', 'thigh-back']);
  });
  it('seats the client once where nape and arms can both be worked so', () => {
    expect(visitRounds([at('nape'), at('forearm')]).map((r) => r.position)).toEqual(['seated']);
    expect(visitRounds([at('nape'), at('upper-back')]).map((r) => r.position)).toEqual(['face-down']);
    // a wish is kept, whatever turning it costs
    const asked = visitRounds([at('nape', { position: 'seated' }), at('upper-back')]);
    expect(asked.map((r) => r.position).sort()).toEqual(['face-down', 'seated']);
  });
  it('does not change the pot where the turn can be made with the same one', () => {
    const rounds = visitRounds([
      at('underarm'),
      at('lower-leg-front', { product: 'soft' }),
      at('lower-leg-back', { product: 'soft' }),
    ]);
    expect(rounds.map((r) => r.product)).toEqual(['film-hard', 'soft', 'soft']);
  });
  it('takes zones as wished, within position and pot', () => {
    const zones = [at('lower-leg-front'), at('underarm'), at('lower-leg-back'), at('upper-lip')];
    expect(visitRounds(zones, [3, 1])[0]?.zones).toEqual([3, 1, 0]);
    expect(visitRounds(zones, [2])[0]?.zones).toEqual([0, 1, 3]);
  });
});
