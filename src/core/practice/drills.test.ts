import { beforeAll, describe, expect, it } from 'vitest';
import { isInside } from '../shared';
import { answersTo, drillOf, isRight, judgeAnswer, SKILLS } from './drills';
import { SEEN_FAULTS } from './drillStrips';
import { growHairs } from './growHairs';
import { rhythmFault, rhythmWord, strokesOf } from './rhythm';
import { nextSkill, standings, type Answered } from './spaced';

const DAY_MS = 86_400_000;
const FROM = Date.UTC(2027, 2, 1, 9);

/** Every skill by two seeds, made once: some take a tenth of a second. */
const SEEDS = [3, 555] as const;
let asked: readonly { readonly skill: string; readonly seed: number; readonly drill: ReturnType<typeof drillOf> }[] =
  [];

describe('drills', () => {
  beforeAll(() => {
    asked = SKILLS.flatMap((skill) => SEEDS.map((seed) => ({ drill: drillOf(skill, seed), skill, seed })));
  });
  it('ask every skill, each with one right answer among its choices, another question for another seed', () => {
    expect(SKILLS.length).toBeGreaterThan(45);
    const chosen = asked.filter(({ skill }) => !skill.startsWith('rhythm:'));
    const odd = chosen.filter(({ drill }) => {
      const right = drill.choices.filter((c) => isRight(drill, c));
      return right.length === 0 || right.length === drill.choices.length;
    });
    expect(odd).toEqual([]);
    const same = chosen.filter(({ drill, skill, seed }) => {
      const said = JSON.stringify(drill);
      // few cases make a question: two seeds may draw the same
      return ![...SEEDS, 1, 2, 4, 5, 6, 7, 8].some(
        (other) =>
          other !== seed &&
          JSON.stringify(asked.find((a) => a.skill === skill && a.seed === other)?.drill ?? drillOf(skill, other)) !==
            said,
      );
    });
    expect(same).toEqual([]);
    // one of each kind is enough to see that a seed always makes the same
    const kinds = asked.filter(
      ({ drill: { kind }, seed }, k) => seed === SEEDS[0] && asked.findIndex((a) => a.drill.kind === kind) === k,
    );
    expect(kinds.length).toBeGreaterThan(5);
    expect(kinds.map(({ skill, seed }) => drillOf(skill, seed))).toEqual(kinds.map(({ drill }) => drill));
  });
  it('what is right is known without making the question', () => {
    expect(asked.length).toBe(2 * SKILLS.length);
    const told = asked.map(({ drill, skill, seed }) => {
      const { choices, right } = answersTo(skill, seed);
      expect(drill.choices.every((c) => choices.includes(c))).toBe(true);
      return right.join() === drill.choices.filter((c) => isRight(drill, c)).join();
    });
    expect(told.filter((x) => !x)).toEqual([]);
    expect(() => answersTo('strip:nothing', 1)).toThrow('no such skill');
  });
  it('a strip that went wrong shows it: what is asked for cost more hairs, or hurt more, than anything else', () => {
    const found = SEEN_FAULTS.map((fault) => {
      const drill = drillOf(`strip:${fault}`, 40);
      if (drill.kind !== 'strip') throw new Error('a strip');
      return [fault, drill.looked.differed[0]?.code];
    });
    expect(found).toEqual(SEEN_FAULTS.map((f) => [f, f]));
  });
  it('may I wax today: acids within a week postpone, and an oral retinoid is never waxed over (common practice, no source)', () => {
    const acids = Array.from({ length: 30 }, (_, seed) => drillOf('today:acid-exfoliant', seed)).flatMap((d) =>
      d.kind === 'today' ? [d] : [],
    );
    const late = acids.filter((d) => (d.daysAgo ?? 0) <= 5);
    expect(late.length).toBeGreaterThan(3);
    expect(late.every((d) => d.right === 'postpone' && d.why.length > 0)).toBe(true);
    const past = acids.filter((d) => (d.daysAgo ?? 0) >= 40);
    expect(past.length).toBeGreaterThan(3);
    expect(past.some((d) => d.right === 'postpone')).toBe(false);
    const oral = drillOf('today:retinoid-oral', 1);
    expect(['postpone', 'decline']).toContain(oral.right);
  });
  it('hair points where the question says, and one stroke along its line tells which end is which', () => {
    const told = (['up', 'down', 'left', 'right'] as const).map((edge) => {
      const drill = drillOf(`way:${edge}`, 12);
      if (drill.kind !== 'way') throw new Error('a way');
      const { hairs } = growHairs(drill.scene);
      const axis = edge === 'up' || edge === 'down' ? 1 : 0;
      const sign = edge === 'up' || edge === 'left' ? -1 : 1;
      const mean = hairs.reduce((s, h) => s + sign * h.way[axis], 0) / hairs.length;
      return mean > 0.75 && drill.lay === (drill.stroked === edge);
    });
    expect(told).toEqual([true, true, true, true]);
  });
  it('lengths are drawn as asked, give or take an eighth', () => {
    const drill = drillOf('length:9', 3);
    const mm = drill.kind === 'length' ? drill.lengthsMm : [];
    expect(mm.length).toBeGreaterThan(9);
    expect(mm.reduce((a, b) => a + b, 0) / mm.length).toBeGreaterThan(8);
    expect(mm.reduce((a, b) => a + b, 0) / mm.length).toBeLessThan(10);
    expect(Math.max(...mm)).toBeLessThan(11);
  });
  it('which wax: coarse hair of the underarm is never soft wax, hair shorter than any holds is for none (common practice, no source)', () => {
    const asked = (['hard', 'soft', 'sugar', 'none'] as const).flatMap((wax) =>
      [1, 2, 3].map((seed) => drillOf(`product:${wax}`, seed)),
    );
    const cases = asked.flatMap((d) => (d.kind === 'product' ? [d] : []));
    expect(cases.length).toBe(12);
    expect(cases.every((d) => d.why.length > 0)).toBe(true);
    expect(cases.filter((d) => d.right === 'soft' && d.zone === 'underarm' && d.hair.coarseness >= 4)).toEqual([]);
    const none = cases.filter((d) => d.right === 'none').map((d) => d.hair.lengthMm);
    expect(Math.max(...none)).toBeLessThan(6);
  });
  it('which strip next: the right one’s tab lies on bare skin, those of the others on hair that is still to go', () => {
    const asked = (['first-steps', 'leg', 'back'] as const).flatMap((level) =>
      [7, 8].flatMap((seed) => {
        const drill = drillOf(`order:${level}`, seed);
        return drill.kind === 'order' ? [drill] : [];
      }),
    );
    expect(asked.length).toBe(6);
    const tabs = asked.flatMap(({ offered, off, others, right }) =>
      offered.map(({ letter, tab, outline }) => {
        const onHair = others.some((ring) => ring !== outline && isInside([ring], tab));
        return { isRight: letter === right, onHair, isOff: off.includes(outline) };
      }),
    );
    expect(tabs.length).toBe(18);
    expect(tabs.filter((t) => t.isRight === t.onHair || t.isOff)).toEqual([]);
  });
  it('the rhythm of hand sugar: two or three slow strokes in, one flick off, three times alike', () => {
    const fault = (word: string): string | null => rhythmFault(strokesOf(word) ?? []);
    const turn = 'a06a07w02';
    expect(fault(turn + turn + turn)).toBeNull();
    expect(fault(`${turn}a06a06a06w03${turn}`)).toBeNull();
    expect(
      [turn + turn, 'a06w02', 'a06a06a06a06w02', 'a06a06w08', 'w06w06a02', 'a06p01w02', 'a01a06w02'].map(fault),
    ).toEqual(['short', 'few', 'smear', 'slow-flick', 'way', 'pat', 'hasty']);
    expect(fault(`${turn}${turn}a20a20w02`)).toBe('uneven');
    expect([strokesOf(''), strokesOf('a6'), strokesOf('z06'), strokesOf('a0x')]).toEqual([null, null, null, null]);
    expect(rhythmWord(strokesOf(turn) ?? [])).toBe(turn);
    expect([judgeAnswer('rhythm:up', 1, turn + turn + turn), judgeAnswer('rhythm:up', 1, turn)]).toEqual([true, false]);
    expect(judgeAnswer('rhythm:up', 1, 'lift')).toBeNull();
  });
  it('soft wax is never gone over again, and after two passes nothing is', () => {
    const wrong = ['after:soft-once', 'after:passes'].flatMap((skill) =>
      [1, 2, 3].filter((seed) => isRight(drillOf(skill, seed), 'again')),
    );
    expect(wrong).toEqual([]);
    expect(isRight(drillOf('after:patch', 2), 'again')).toBe(true);
    expect(isRight(drillOf('after:few', 2), 'tweeze') || isRight(drillOf('after:few', 2), 'leave')).toBe(true);
  });
});

describe('what is asked next', () => {
  const answer = (skill: string, day: number, right: boolean): Answered => ({
    skill,
    atMs: FROM + day * DAY_MS,
    right,
  });
  it('what was missed comes back before what was known, and later the oftener it was known', () => {
    const all = standings(
      ['a', 'b', 'c'],
      [answer('a', 0, true), answer('b', 0, false), answer('c', 0, true), answer('c', 3, true), answer('c', 12, true)],
      FROM + 12 * DAY_MS,
    );
    const due = (skill: string): number => all.find((s) => s.skill === skill)?.dueMs ?? NaN;
    expect(due('b')).toBeLessThan(due('a'));
    expect(due('a')).toBeLessThan(due('c'));
    expect(due('c') - (FROM + 12 * DAY_MS)).toBeGreaterThan(12 * DAY_MS);
    expect(all.map((s) => [s.skill, s.answers, s.right])).toEqual([
      ['a', 1, 1],
      ['b', 1, 0],
      ['c', 3, 3],
    ]);
  });
  it('asks what is due first, the longest overdue before others; then what is new; then what is due soonest', () => {
    const at = FROM + 30 * DAY_MS;
    const old = [answer('a', 0, true), answer('b', 5, true)];
    expect(nextSkill(standings(['new', 'b', 'a'], old, at), at)).toBe('a');
    const fresh = [answer('a', 30, true)];
    expect(nextSkill(standings(['a', 'new'], fresh, at), at)).toBe('new');
    expect(nextSkill(standings(['a'], fresh, at), at)).toBe('a');
    expect(nextSkill([], at)).toBeNull();
  });
  it('knows it less as days pass', () => {
    const known = [0, 3, 10, 40].map(
      (day) => standings(['a'], [answer('a', 0, true)], FROM + day * DAY_MS)[0]?.known ?? NaN,
    );
    expect(known[0]).toBeGreaterThan(0.95);
    expect(known).toEqual([...known].sort((a, b) => b - a));
    expect(known[3]).toBeLessThan(0.9);
  });
});
