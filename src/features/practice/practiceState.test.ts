import { describe, expect, it } from 'vitest';
import { begun, mayGo, STATIONS, stepped, waitedS, type Practice, type Step } from './practiceState';

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
    expect(after({ do: 'go', to: 'pull' }).station).toBe('feel');
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
  it('keeps what every sign last said, and forgets it with the next strip', () => {
    const tried = after(choose(56), { do: 'test' }, lay, { do: 'sign', sign: 'thread', says: false });
    expect(stepped(tried, { do: 'sign', sign: 'thread', says: true }).strip?.tried).toEqual({ thread: true });
    expect(stepped(tried, { do: 'next' })).toMatchObject({ strip: null, station: 'lay', testedC: 56 });
  });
});
