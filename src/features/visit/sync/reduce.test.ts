import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seededRandom } from '@/core/shared';
import type { TableEvent } from '@/core/hands';
import type { Sent } from '@/ui/sendJson';
import { emptyBox, joinBoxes, waitingWords, type Box, type WaitingAct } from './box';
import {
  disputedDocs,
  SLICE,
  startSync,
  syncStep,
  syncWord,
  type SyncEffect,
  type SyncEvent,
  type SyncState,
} from './reduce';

const act = (id: string, plan = 'p'): WaitingAct => ({ event: { id, atMs: 1, kind: 'hold' }, plan });
const refusal = (code: string, path = '', newer?: unknown): Sent<never> => ({
  ok: false,
  error: { code, message: `no: ${code}`, details: path === '' ? [] : [{ path, message: 'wrong' }], newer },
});
const change = (data: unknown, requestId: string, key = 'chart|underarm|left'): SyncEvent => ({
  kind: 'changed',
  key,
  url: `/api/${key}`,
  field: 'data',
  data,
  requestId,
});

/** Steps through events and gathers the effects. */
function run(events: readonly SyncEvent[], from = startSync(emptyBox('v', 'Nell'), 3, 0)) {
  let state = from;
  const effects: SyncEffect[] = [];
  for (const event of [{ kind: 'found', box: null } as SyncEvent, ...events]) {
    const step = syncStep(state, event);
    state = step.state;
    effects.push(...step.effects);
  }
  return { state, effects, sends: effects.filter((e) => e.kind === 'sendActs' || e.kind === 'sendDoc') };
}
const saved = (version: number): SyncEvent => ({
  kind: 'docAnswered',
  sent: { ok: true, value: { visit: { version } } },
  id: 'x',
  atMs: 5,
});
const docNo = (sent: Sent<never>): SyncEvent => ({ kind: 'docAnswered', sent, id: 'r1', atMs: 5 });
const actsNo = (sent: Sent<never>): SyncEvent => ({ kind: 'actsAnswered', sent, id: 'r1', atMs: 5 });
const actsYes = (...seqs: readonly number[]): SyncEvent => ({
  kind: 'actsAnswered',
  sent: { ok: true, value: { entries: seqs.map((seq) => ({ seq, event: act(`e${seq}`).event })) } },
  id: 'x',
  atMs: 5,
});

describe('what waits', () => {
  it('is written down before it is sent, and leaves when the server has answered', () => {
    const { state, effects } = run([change(1, 'a'), saved(4)]);
    expect(effects.map((e) => e.kind)).toEqual(['keep', 'keep', 'keep', 'sendDoc', 'keep', 'take']);
    expect(state.box.docs).toEqual({});
    expect(syncWord(state)).toBe('saved');
  });
  it('carries the version that the hand saw, also after a reload', () => {
    const { sends, state } = run([change(1, 'a')]);
    expect(sends).toMatchObject([{ kind: 'sendDoc', requestId: 'a', body: { version: 3, data: 1 } }]);
    // another page, much later: the same sending to the letter
    const later = startSync(emptyBox('v', 'Nell'), 9, 0);
    const again = syncStep(later, { kind: 'found', box: state.box });
    expect(again.effects).toContainEqual(sends[0]);
  });
  it('changed again while on its way goes after it, on top of what was written', () => {
    const { sends } = run([change(1, 'a'), change(2, 'b'), change(3, 'c'), saved(4)]);
    expect(sends).toMatchObject([
      { requestId: 'a', body: { version: 3, data: 1 } },
      { requestId: 'c', body: { version: 4, data: 3 } },
    ]);
  });
  it('stays while the server is away and is sent again the same', () => {
    const { state, sends, effects } = run([change(1, 'a'), docNo(refusal('away')), change(2, 'b'), { kind: 'woke' }]);
    expect(sends).toMatchObject([
      { requestId: 'a', body: { data: 1 } },
      { requestId: 'a', body: { data: 1 } },
    ]);
    expect(effects.some((e) => e.kind === 'retry')).toBe(true);
    expect(state.box.docs['chart|underarm|left']?.next?.data).toBe(2);
  });
});

describe('a refused document', () => {
  it('stays as refused until a person has seen it, and takes nothing with it that was changed since', () => {
    const { state, sends } = run([change('bad', 'a'), change('good', 'b'), docNo(refusal('invalid', 'data.hair'))]);
    expect(state.box.refused).toMatchObject([{ what: 'document', count: 1, kept: { data: 'bad' } }]);
    expect(state.box.refused[0]?.why).toContain('wrong');
    expect(sends.at(-1)).toMatchObject({ requestId: 'b', body: { data: 'good' } });
    expect(syncStep(state, { kind: 'understood', id: 'r1' }).state.box.refused).toEqual([]);
  });
});

describe('a real conflict', () => {
  const newer = { visit: { version: 8 } };
  const disputed = [
    change('mine', 'a'),
    docNo(refusal('stale', '', newer)),
    { kind: 'seen', version: 8, journalAt: 0 },
  ] as const;
  it('keeps both until a person chooses, and lets other documents go on', () => {
    const { state, effects, sends } = run([...disputed, change('other', 'b', 'consult')]);
    expect(disputedDocs(state.box)).toEqual(['chart|underarm|left']);
    expect(effects).toContainEqual({ kind: 'take', bench: newer });
    expect(sends.at(-1)).toMatchObject({ key: 'consult' });
    expect(syncWord(state)).toBe('conflict');
  });
  it('sends mine on top of theirs, or lets mine go', () => {
    const pick = (keep: 'mine' | 'theirs'): SyncEvent => ({
      kind: 'chosen',
      key: 'chart|underarm|left',
      keep,
      requestId: 'n',
    });
    expect(run([...disputed, pick('mine')]).sends.at(-1)).toMatchObject({
      requestId: 'n',
      body: { version: 8, data: 'mine' },
    });
    const let_go = run([...disputed, pick('theirs')]);
    expect([let_go.state.box.docs, syncWord(let_go.state)]).toEqual([{}, 'saved']);
  });
});

describe('acts of the hands', () => {
  it('go before documents, in slices under the limit, each with the plan that was seen', () => {
    const many = Array.from({ length: SLICE + 101 }, (_, i) => act(`e${i}`, i < 10 ? 'old' : 'new'));
    const { sends } = run([{ kind: 'acted', acts: many }, change(1, 'a'), actsYes(7), actsYes(9), actsYes(12)]);
    const sizes = sends.map((s) => (s.kind === 'sendActs' ? [s.acts.length, s.plan, s.after] : s.kind));
    expect(sizes).toEqual([[10, 'old', 0], [SLICE, 'new', 7], [91, 'new', 9], 'sendDoc']);
  });
  it('lose none when one is refused: that one is kept as refused, the rest is sent again', () => {
    const { state, sends } = run([
      { kind: 'acted', acts: [act('a'), act('b'), act('c')] },
      actsNo(refusal('refused', 'events[1]')),
    ]);
    expect(sends.at(-1)).toMatchObject({ acts: [act('a'), act('c')] });
    expect(state.box.refused).toMatchObject([{ what: 'acts', count: 1, kept: [act('b')] }]);
  });
  it('of a visit that was closed meanwhile are all kept as refused', () => {
    const { state } = run([{ kind: 'acted', acts: [act('a'), act('b')] }, actsNo(refusal('refused', 'visit'))]);
    expect(state.box).toMatchObject({ acts: [], refused: [{ count: 2, why: 'no: refused' }] });
    expect(syncWord(state)).toBe('saved');
  });
  it('by a plan that has changed are kept as refused, and the new plan is shown', () => {
    const newer = { visit: { version: 9 } };
    const { state, effects } = run([{ kind: 'acted', acts: [act('a')] }, actsNo(refusal('plan-changed', '', newer))]);
    expect(state.box.refused).toHaveLength(1);
    expect(effects).toContainEqual({ kind: 'take', bench: newer });
  });
});

describe('boxes', () => {
  it('of two tabs are joined without losing or doubling anything', () => {
    const left: Box = {
      ...emptyBox('v', 'Nell'),
      acts: [act('a'), act('b')],
      docs: { k: { url: 'u', field: 'f', sent: { requestId: '1', base: 1, data: 'first' }, next: null } },
    };
    const mine: Box = {
      ...emptyBox('v', 'Nell'),
      acts: [act('b'), act('c')],
      docs: { k: { url: 'u', field: 'f', sent: null, next: { requestId: '2', base: 1, data: 'second' } } },
    };
    const joined = joinBoxes(left, mine);
    expect(joined.acts.map((a) => a.event.id)).toEqual(['a', 'b', 'c']);
    expect(joined.docs['k']).toMatchObject({ sent: { data: 'first' }, next: { data: 'second' } });
    expect(waitingWords(joined)).toBe('3 acts of the table and 1 change');
  });
});

describe('on a line that loses requests and answers', () => {
  /** A server that does each request id once, as ours does. */
  class Server {
    readonly journal: TableEvent[] = [];
    readonly done = new Map<string, unknown>();
    doc: unknown = null;
    version = 3;
    write(requestId: string, data: unknown): Sent<{ visit: { version: number } }> {
      const known = this.done.get(requestId);
      if (known) return known as Sent<{ visit: { version: number } }>;
      this.doc = data;
      this.version++;
      const answer = { ok: true, value: { visit: { version: this.version } } } as const;
      this.done.set(requestId, answer);
      return answer;
    }
    append(acts: readonly WaitingAct[]): SyncEvent {
      for (const { event } of acts) if (!this.journal.some((e) => e.id === event.id)) this.journal.push(event);
      const entries = this.journal.map((event, i) => ({ seq: i + 1, event }));
      return { kind: 'actsAnswered', sent: { ok: true, value: { entries } }, id: 'x', atMs: 1 };
    }
  }
  it('every act arrives once and in order, and the last change is what stands, through reloads too', () => {
    let arrived = 0;
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 10_000 }), (seed) => {
        const source = seededRandom(seed);
        const random = (): number => source.between(0, 1);
        const server = new Server();
        let kept: Box | null = null;
        let state: SyncState = startSync(emptyBox('v', 'Nell'), 3, 0);
        const queue: SyncEvent[] = [{ kind: 'found', box: null }];
        const made: string[] = [];
        let last: unknown = null;
        const answerTo = (effect: SyncEffect): SyncEvent | null => {
          const isLost = random() < 0.3;
          if (effect.kind === 'sendActs') {
            const answer = random() < 0.2 ? null : server.append(effect.acts);
            return isLost || !answer ? { kind: 'actsAnswered', sent: refusal('away'), id: 'x', atMs: 1 } : answer;
          }
          if (effect.kind === 'sendDoc') {
            const sent = random() < 0.2 ? refusal('away') : server.write(effect.requestId, effect.body['data']);
            return { kind: 'docAnswered', sent: isLost ? refusal('away') : sent, id: 'x', atMs: 1 };
          }
          return effect.kind === 'retry' ? { kind: 'woke' } : null;
        };
        for (let k = 0; k < 400; k++) {
          if (k < 60) {
            const what = random();
            if (what < 0.4) {
              made.push(`e${k}`);
              queue.push({ kind: 'acted', acts: [act(`e${k}`)] });
            } else if (what < 0.7) {
              last = k;
              queue.push(change(k, `r${k}`));
            } else if (what < 0.8) {
              // the page is loaded anew, also with answers on their way: only what was kept is there
              const byHand = queue.filter((e) => e.kind === 'acted' || e.kind === 'changed');
              state = startSync(emptyBox('v', 'Nell'), server.version, 0);
              queue.splice(0, queue.length, { kind: 'found', box: kept }, ...byHand);
            }
          }
          const event = queue.shift();
          if (!event) continue;
          const step = syncStep(state, event);
          state = step.state;
          for (const effect of step.effects) {
            if (effect.kind === 'keep') kept = effect.box;
            const answer = answerTo(effect);
            if (answer) queue.push(answer);
          }
        }
        expect(server.journal.map((e) => e.id)).toEqual(made);
        expect(server.doc).toBe(last);
        expect(syncWord(state)).toBe('saved');
        arrived += made.length;
      }),
      { seed: 21, numRuns: 150 },
    );
    expect(arrived).toBeGreaterThan(1000);
  });
});
