import { describe, expect, it } from 'vitest';
import type { Act } from '@/core/practice';
import { begun, isTimeUp, mayGo, STATIONS, stepped, waitedS, workedS, type Practice, type Step } from './practiceState';

const after = (...steps: readonly Step[]): Practice => steps.reduce(stepped, begun('first-steps', 'plain', 1));
const choose = (setC: number, productId = 'film-hard'): Step => ({
  do: 'choose',
  chosen: { productId, way: 'with', coats: 1, setC },
});
const lay: Step = { do: 'lay', from: [1, 1], to: [1, 9], atMs: 1_000 };

describe('a practice', () => {
  it('opens its stations as the work comes to them: no wax before the wrist', () => {
    const open = (p: Practice): readonly string[] => STATIONS.filter((s) => mayGo(p, s));
    expect(open(after())).toEqual(['feel', 'choose']);
    expect(open(after(choose(56)))).toEqual(['feel', 'choose', 'wrist']);
    expect(open(after(choose(56), { do: 'test' }))).toEqual(['feel', 'choose', 'wrist', 'lay']);
    expect(open(after(choose(56), { do: 'test' }, lay))).toEqual(['feel', 'choose', 'wrist', 'lay', 'wait', 'pull']);
    expect(after({ do: 'go', to: 'pull', atMs: 0 }).station).toBe('feel');
  });
  it('wants the wrist again after another heat or another pot, and not after another way', () => {
    const tested = [choose(56), { do: 'test' }] as const;
    expect(after(...tested, choose(57)).testedC).toBeNull();
    expect(after(...tested, choose(56, 'cream-hard')).testedC).toBeNull();
    const across: Step = { do: 'choose', chosen: { productId: 'film-hard', way: 'crossed', coats: 1, setC: 56 } };
    expect(after(...tested, across).testedC).toBe(56);
  });
  it('counts the wait from the lay, five times as quickly where it is hurried', () => {
    const waiting = after(choose(56), { do: 'test' }, lay);
    expect(waitedS(waiting, 11_000)).toBe(10);
    expect(waitedS(stepped(waiting, { do: 'hurry' }), 11_000)).toBe(50);
    expect(waitedS(after(), 11_000)).toBe(0);
  });
  it('a late start leaves its minutes: a strip counts from its beginning to its pull, and no further one begins', () => {
    const act = { waitS: 100 } as Act;
    const late = (p: Practice, step: Step): Practice => stepped(p, step);
    const steps: readonly Step[] = [
      ...[choose(56), { do: 'test' } as const, { do: 'go', to: 'lay', atMs: 0 } as const],
      ...[{ ...lay, atMs: 50_000 } as Step, { do: 'pull', act } as const],
    ];
    const one = steps.reduce(late, begun('first-steps', 'late-start', 1));
    expect([workedS(one), isTimeUp(one), mayGo(one, 'lay')]).toEqual([150, false, true]);
    const again: readonly Step[] = [
      { do: 'next', atMs: 200_000 },
      { ...lay, atMs: 230_000 } as Step,
      { do: 'pull', act },
    ];
    const two = again.reduce(late, one);
    expect([workedS(two), isTimeUp(two), mayGo(two, 'lay')]).toEqual([280, true, false]);
    // without hurry there is no end
    expect(isTimeUp({ ...two, piece: 'plain' })).toBe(false);
  });
  it('what is changed before the lay wants the strip anew; skin that is damp again is wiped before every strip', () => {
    const laid = after(choose(56), { do: 'test' }, { do: 'prepare' }, lay);
    expect(laid.prepared).toBe(true);
    expect(stepped(laid, { do: 'thick', thick: 0.5 }).strip).toBeNull();
    const next: Step = { do: 'next', atMs: 0 };
    expect(stepped(laid, next).prepared).toBe(true);
    expect(stepped({ ...laid, level: 'underarm' }, next).prepared).toBe(false);
    const told = stepped(stepped(laid, { do: 'tell' }), { do: 'rub' });
    expect([told.told, told.rubbed]).toEqual([true, true]);
    expect(stepped(told, next)).toMatchObject({ told: false, rubbed: false });
  });
  it('keeps what every sign last said, and forgets it with the next strip', () => {
    const tried = after(choose(56), { do: 'test' }, lay, { do: 'sign', sign: 'thread', says: false });
    expect(stepped(tried, { do: 'sign', sign: 'thread', says: true }).strip?.tried).toEqual({ thread: true });
    expect(stepped(tried, { do: 'next', atMs: 0 })).toMatchObject({ strip: null, station: 'lay', testedC: 56 });
  });
});
