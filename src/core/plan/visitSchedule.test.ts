import { describe, expect, it } from 'vitest';
import type { Side } from '../anatomy';
import type { StripJob } from '../hands';
import { SHIPPED_PRODUCTS, type Way } from '../products';
import type { HandLevel } from '../strips';
import { planVisit } from './planVisit';
import { liveGroups } from './liveGroups';
import { planMemory } from './planMemory';
import { layS, pullS, stripJobs } from './stripJobs';
import { placesOf } from './stripPlaces';
import { CHANGE_S, visitSchedule, type VisitLimits, type VisitZone } from './visitSchedule';
import { prepareZone } from './zoneWork';

const jobs = (prefix: string, n: number, side: StripJob['side'] = null): readonly StripJob[] =>
  Array.from({ length: n }, (_, i): StripJob => ({
    id: `${prefix}${i}`,
    side,
    layS: 10,
    coats: 1,
    setMinS: 20,
    setMaxS: 90,
    pullS: 4,
    pressS: 3,
    needs: i > 0 ? [i - 1] : [],
    touches: [],
  }));
/** Strips one behind the other, pulled up the sheet. */
const zone = (id: VisitZone['zone'], product: string, list: readonly StripJob[]): VisitZone => ({
  zone: id,
  side: list[0]?.side ?? 'middle',
  product,
  stage: 0,
  jobs: list,
  places: list.map((_, i) => ({ at: [0, -6 * i], pull: [0, -1], lengthCm: 6 })),
});
const limits = (maxOnSkin = 3): VisitLimits => ({ maxOnSkin, walkS: 6, poseS: 8, turnS: 30, order: 'followable' });

describe('visitSchedule', () => {
  it('changes pot and gloves between products, once', () => {
    const made = visitSchedule(
      [
        zone('underarm', 'film-hard', jobs('a', 3)),
        zone('upper-lip', 'soft', jobs('b', 2)),
        zone('chin', 'film-hard', jobs('c', 2)),
      ],
      limits(),
    );
    expect(made.events.filter((e) => e.do === 'change')).toHaveLength(1);
    expect(made.events.find((e) => e.do === 'change')?.forS).toBe(CHANGE_S);
    expect(made.rounds.map((g) => g.product)).toEqual(['film-hard', 'soft']);
    expect(made.rounds[0]?.strips).toHaveLength(5);
    expect(made.lowerBoundS).toBeLessThanOrEqual(made.endS);
  });
  it('takes a front of slow wax half by half in turn: a middle line is seen, as the sides of a pair are', () => {
    const product = SHIPPED_PRODUCTS.find((p) => p.id === 'cream-hard');
    const hair = { lengthMm: 8, coarseness: 4, density: 3 };
    const asked = { zone: 'front-complete', side: 'middle', hair } as const;
    const work = prepareZone(asked, 0, { consent: true }, 'expert', planMemory());
    if (!work.ok || !product) throw new Error('the case is good');
    const { strips } = work.value.layout(product, 'with');
    const slow: VisitZone = {
      ...{ zone: 'front-complete', side: 'middle', product: 'cream-hard', stage: 0 },
      jobs: stripJobs({
        ...{
          strips,
          side: 'middle',
          manner: 'tab',
          coats: 1,
          rest: null,
          setS: { min: 38, max: 140 },
          level: 'expert',
        },
        ...{ face: false, zone: 'front-complete', family: 'hard', coarseness: 4, spread: false, pressS: 3 },
      }),
      places: placesOf(strips, { ...asked, sheet: work.value.sheet, spread: false }),
    };
    const made = visitSchedule([slow], limits(4));
    expect(made.rounds[0]?.parts[0]?.pattern).toBe('halves');
    // the same strips without a line between them
    const unseen = visitSchedule([{ ...slow, zone: 'abdomen' }], limits(4));
    expect(unseen.rounds[0]?.parts[0]?.pattern).not.toBe('halves');
    expect(made.endS).toBeLessThan(unseen.endS);
  });
  it('works zones of any size in one round, the next begun while the last strips of the one before set', () => {
    const pair = (id: VisitZone['zone'], n: number, p: string): readonly VisitZone[] => [
      zone(id, 'film-hard', jobs(`${p}l`, n, 'left')),
      zone(id, 'film-hard', jobs(`${p}r`, n, 'right')),
    ];
    const legs = pair('lower-leg-front', 8, 'g');
    const feet = pair('foot', 6, 'f');
    const both = visitSchedule([...feet, ...legs], limits());
    expect(both.rounds.map((r) => r.zones)).toEqual([
      ['lower-leg-front/left', 'lower-leg-front/right', 'foot/left', 'foot/right'],
    ]);
    expect(new Set(both.events.flatMap((e) => e.strip ?? [])).size).toBe(28);
    expect(both.endS).toBeLessThan(visitSchedule(legs, limits()).endS + visitSchedule(feet, limits()).endS);
  });
  it('turns the client between rounds, with nothing on the skin, and takes a pose before its strips', () => {
    const { events, rounds } = visitSchedule(
      [
        zone('lower-leg-back', 'film-hard', jobs('b', 4, 'left')),
        zone('underarm', 'film-hard', jobs('u', 2, 'left')),
        zone('lower-leg-front', 'film-hard', jobs('f', 4, 'left')),
      ],
      limits(),
    );
    expect(rounds.map((r) => [r.position, ...r.zones])).toEqual([
      ['face-up', 'lower-leg-front/left', 'underarm/left'],
      ['face-down', 'lower-leg-back/left'],
    ]);
    const turn = events.findIndex((e) => e.do === 'turn');
    const upTo = events.slice(0, turn);
    expect(events[turn]).toMatchObject({ forS: 30, atS: rounds[0]?.toS });
    expect(upTo.filter((e) => e.do === 'lay')).toHaveLength(6);
    expect(upTo.filter((e) => e.do === 'pull')).toHaveLength(6);
    // the arm is propped up once, before the first strip under it
    const pose = events.findIndex((e) => e.do === 'pose');
    expect(events[pose + 1]).toMatchObject({ do: 'lay', strip: 'u0' });
    expect(events.filter((e) => e.do === 'pose')).toHaveLength(1);
  });
  it('works two small zones strip by strip in turn where each alone leaves the hands idle', () => {
    const chained = (p: string): readonly StripJob[] => jobs(p, 3).map((j) => ({ ...j, setMinS: 40 }));
    const [lip, chin] = [zone('upper-lip', 'film-hard', chained('l')), zone('chin', 'film-hard', chained('c'))];
    const both = visitSchedule([lip, chin], limits());
    expect(both.rounds.map((r) => r.parts.map((p) => p.pattern))).toEqual([['zones-in-turn']]);
    const lays = both.events.flatMap((e) => (e.do === 'lay' && e.strip !== null ? [e.strip] : []));
    expect(lays).toEqual(['l0', 'c0', 'l1', 'c1', 'l2', 'c2']);
    const alone = visitSchedule([lip], limits()).endS;
    expect(both.endS).toBeLessThan(1.5 * alone);
  });
  it('may be asked for the quickest order, which no order to remember beats', () => {
    const zones = [
      zone('lower-leg-front', 'film-hard', jobs('a', 7, 'left')),
      zone('lower-leg-front', 'film-hard', jobs('b', 7, 'right')),
    ];
    const remembered = visitSchedule(zones, limits());
    const quickest = visitSchedule(zones, { ...limits(), order: 'quickest' });
    expect(quickest.endS).toBeLessThanOrEqual(remembered.endS);
    expect(remembered.quickestS).toBeLessThanOrEqual(remembered.endS);
    expect(quickest.rounds[0]?.parts.map((p) => p.pattern)).toEqual([null]);
    expect(remembered.rounds[0]?.parts.map((p) => p.pattern)).toEqual(['rows']);
  });
  it('fills a wait with a small job: powder before the first pull, tweezing after', () => {
    const { events } = visitSchedule([zone('chest', 'film-hard', jobs('a', 2))], limits(1));
    expect(events.map((e) => e.do)).toEqual(['lay', 'powder', 'pull', 'press', 'lay', 'tweeze', 'pull', 'press']);
    events.slice(1).forEach((e, i) => expect(e.atS).toBe((events[i]?.atS ?? 0) + (events[i]?.forS ?? 0)));
  });
  it('walks between groups where the hands end on one side and go on at the other, and only there', () => {
    const sided = (id: VisitZone['zone'], side: StripJob['side'], p: string): VisitZone =>
      zone(id, 'film-hard', jobs(p, 8, side));
    const walks = (...zones: readonly VisitZone[]): readonly number[] =>
      visitSchedule(zones, limits())
        .events.filter((e) => e.do === 'walk')
        .map((e) => e.forS);
    // some more where the last strips of one side set while the other is begun
    expect(new Set(walks(sided('underarm', 'left', 'a'), sided('forearm', 'right', 'b')))).toEqual(new Set([6]));
    expect(walks(sided('underarm', 'left', 'a'), sided('forearm', 'left', 'b'))).toEqual([]);
    expect(walks(sided('chest', null, 'a'), sided('forearm', 'right', 'b'))).toEqual([]);
    // a change of pot takes the walk with it
    const other = zone('forearm', 'soft', jobs('b', 8, 'right'));
    const changed = visitSchedule([sided('underarm', 'left', 'a'), other], limits()).events;
    expect(changed.filter((e) => e.do === 'walk' || e.do === 'change').map((e) => e.do)).toEqual(['change']);
  });
  it('of nothing is nothing', () => {
    expect(visitSchedule([], limits())).toMatchObject({ endS: 0, events: [], rounds: [], lowerBoundS: 0 });
  });
});

/**
 * Ends reached on strips as they are laid out, s: of the quickest order, and of one to remember. Random tasks alone do
 * not show a search that is poor on a leg (decision 13). A new layout may need new figures.
 */
const REACHED: readonly (readonly [VisitZone['zone'], readonly Side[], string, Way, HandLevel, number, number])[] = [
  ['lower-leg-front', ['left'], 'cream-hard', 'with', 'expert', 303, 303],
  ['lower-leg-front', ['left', 'right'], 'cream-hard', 'with', 'practised', 667, 722],
  ['upper-back', ['middle'], 'cream-hard', 'with', 'expert', 291, 296],
  ['thigh-front', ['left'], 'cream-hard', 'with', 'practised', 410, 410],
  ['chest', ['middle'], 'film-hard', 'with', 'practised', 475, 520],
  ['forearm', ['left', 'right'], 'sugar-firm', 'moulded', 'trainee', 910, 910],
];

describe('schedules of real layouts', () => {
  it.each(REACHED)(
    '%s %j, %s %s, %s: ends in %i s, in an order to remember %i s',
    (id, sides, product, way, level, ...ends) => {
      const plans = (['quickest', 'followable'] as const).map((order) => {
        const hair = { lengthMm: 7, coarseness: 4, density: 3 };
        const planned = planVisit({
          version: 1,
          on: '2027-05-14',
          client: { consent: true },
          studio: { level, order },
          zones: sides.map((side) => ({ zone: id, side, hair, product, way })),
        });
        if (!planned.ok) throw new Error('the case is good');
        return planned.value.schedule;
      });
      expect(plans.map((p, k) => p.endS <= (ends[k] ?? 0))).toEqual([true, true]);
      expect(plans.map((p) => p.lowerBoundS <= p.quickestS && p.quickestS <= p.endS)).toEqual([true, true]);
      const patterns = plans.map((p) => p.rounds.flatMap((r) => r.parts.map((part) => part.pattern !== null)));
      expect(patterns).toEqual([[false], [true]]);
    },
  );
});

describe('strip jobs', () => {
  it('take 8–15 s to lay with a tab, longer by hand and for a trainee (common practice, no source)', () => {
    expect(layS(5, 'tab', 'practised', false)).toBeGreaterThanOrEqual(8);
    expect(layS(500, 'tab', 'practised', false)).toBe(15);
    expect(layS(40, 'hand', 'practised', false)).toBeGreaterThan(layS(40, 'tab', 'practised', false));
    expect(layS(40, 'tab', 'trainee', false)).toBeGreaterThan(layS(40, 'tab', 'expert', false));
    // the cloth is rubbed on the body and only pressed on the face
    expect(layS(20, 'cloth', 'practised', false) - layS(20, 'cloth', 'practised', true)).toBe(3);
    expect([pullS(3), pullS(10), pullS(20)]).toEqual([3, 4, 5]);
  });
  it('keep needs and touches as indices, shifted where zones are joined', () => {
    const planned = planVisit({
      version: 1,
      on: '2027-05-14',
      client: { consent: true },
      zones: [
        {
          zone: 'lower-leg-front',
          side: 'left',
          hair: { lengthMm: 8, coarseness: 5, density: 3 },
          product: 'cream-hard',
          way: 'with',
        },
      ],
    });
    if (!planned.ok) throw new Error('the case is good');
    const [group] = liveGroups(planned.value);
    const strips = planned.value.zones[0]?.strips ?? [];
    expect(group?.jobs).toHaveLength(strips.length);
    group?.jobs.forEach((job) => {
      const strip = strips.find((s) => s.id === job.id);
      expect(job.needs.map((n) => group.jobs[n]?.id).sort()).toEqual([...(strip?.needsBefore ?? [])].sort());
      expect(job.touches.map((n) => group.jobs[n]?.id).sort()).toEqual([...(strip?.touches ?? [])].sort());
    });
    // the live group's sequence names each strip's lay and pull
    expect(group?.sequence).toHaveLength(2 * strips.length);
    expect(
      stripJobs({
        strips: [],
        side: 'left',
        manner: 'tab',
        coats: 1,
        rest: null,
        setS: { min: 1, max: 2 },
        level: 'expert',
        face: false,
        zone: 'underarm',
        family: 'hard',
        coarseness: 3,
        spread: false,
        pressS: 3,
      }),
    ).toEqual([]);
  });
});
