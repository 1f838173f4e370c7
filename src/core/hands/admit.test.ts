import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { actFault, beginsWith, fixedTable } from './admit';
import { liveTable, type LiveGroup } from './live';
import type { TableEvent } from './tableEvents';
import type { StripJob } from './types';

const job = (id: string, more: Partial<StripJob> = {}): StripJob => ({
  id,
  side: null,
  layS: 10,
  coats: 1,
  setMinS: 25,
  setMaxS: 90,
  pullS: 4,
  pressS: 3,
  needs: [],
  touches: [],
  ...more,
});
const groups: readonly LiveGroup[] = [
  { product: 'film-hard', jobs: [job('a'), job('b'), job('c', { coats: 2 })], maxOnSkin: 3, walkS: 6 },
];
let made = 0;
const act = (kind: TableEvent['kind'], more: Partial<TableEvent> = {}): TableEvent => ({
  id: `e${made++}`,
  atMs: made * 1000,
  kind,
  ...more,
});
const wrist = act('wrist', { product: 'film-hard' });
const laidA = act('laid', { strip: 'a' });
const pulledA = act('pulled', { strip: 'a' });
const code = (journal: readonly TableEvent[], ...acts: readonly TableEvent[]): string | null =>
  actFault(fixedTable(groups), journal, acts)?.code ?? null;

describe('actFault', () => {
  it('takes what the hands do, in whatever order of strips', () => {
    expect(
      code([], wrist, act('laid', { strip: 'b' }), laidA, pulledA, act('mark', { strip: 'a', mark: 'sore' })),
    ).toBe(null);
    expect(code([wrist, laidA], act('hold'), pulledA, act('resume'), act('laid', { strip: 'b' }), act('stop'))).toBe(
      null,
    );
  });
  it.each([
    ['wax before the wrist test', [], act('laid', { strip: 'a' }), 'act.wrist-first'],
    ['a strip that is not there', [wrist], act('laid', { strip: 'x' }), 'act.no-such-strip'],
    ['a pull of one that is not there', [wrist], act('pulled', { strip: 'x' }), 'act.no-such-strip'],
    ['a mark on one that is not there', [wrist], act('mark', { strip: 'x', mark: 'clean' }), 'act.no-such-strip'],
    ['a pull before the lay', [wrist], act('pulled', { strip: 'a' }), 'act.not-laid'],
    ['a pull twice', [wrist, laidA, pulledA], act('pulled', { strip: 'a' }), 'act.not-laid'],
    ['a second lay on one that lies', [wrist, laidA], act('laid', { strip: 'a' }), 'act.on-the-skin'],
    ['wax again where it is off', [wrist, laidA, pulledA], act('laid', { strip: 'a' }), 'act.off-already'],
    ['a lay after Stop', [wrist, act('stop')], act('laid', { strip: 'a' }), 'act.stopped'],
    ['a lay while held', [wrist, act('hold')], act('laid', { strip: 'a' }), 'act.held'],
    ['a wrist test of another product', [], act('wrist', { product: 'soft' }), 'act.no-such-product'],
    ['a lay of nothing', [wrist], act('laid'), 'act.incomplete'],
    ['a mark without its word', [wrist, laidA, pulledA], act('mark', { strip: 'a' }), 'act.incomplete'],
    ['an undo of nothing', [wrist], act('undo'), 'act.incomplete'],
    ['an undo of an older act', [wrist, laidA], act('undo', { undoes: wrist.id }), 'act.not-the-last'],
  ] as const)('refuses %s', (_, journal, wrong, expected) => {
    expect(code(journal, wrong)).toBe(expected);
  });
  it('wants the second coat before the pull', () => {
    const first = act('laid', { strip: 'c' });
    expect(code([wrist, first], act('pulled', { strip: 'c' }))).toBe('act.not-laid');
    expect(code([wrist, first], act('laid', { strip: 'c' }), act('pulled', { strip: 'c' }))).toBe(null);
  });
  it('lets a lay be taken back and laid again, and stopped work be taken up again', () => {
    const stop = act('stop');
    expect(code([wrist, laidA], act('undo', { undoes: laidA.id }), act('laid', { strip: 'a' }))).toBe(null);
    expect(code([wrist, stop], act('undo', { undoes: stop.id }), act('laid', { strip: 'a' }))).toBe(null);
  });
  it('names the place of the first wrong act and looks at those before it', () => {
    expect(actFault(fixedTable(groups), [wrist], [laidA, pulledA, pulledA])).toMatchObject({
      index: 2,
      code: 'act.not-laid',
    });
  });
  it('takes whatever the table itself proposes, to the end', () => {
    let ended = 0;
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 9 }), { minLength: 30, maxLength: 30 }), (choices) => {
        const journal: TableEvent[] = [];
        for (const choice of choices) {
          const table = liveTable(groups, journal);
          if (table.act.kind === 'done') break;
          const next = ((): TableEvent | null => {
            if (choice === 9 && table.undoable) return act('undo', { undoes: table.undoable });
            if (table.act.kind === 'wrist') return act('wrist', { product: table.act.product });
            if (choice < 3 && table.layable[0]) return act('laid', { strip: table.layable[0] });
            if (table.act.kind === 'lay') return act('laid', { strip: table.act.strip });
            return table.act.kind === 'pull' ? act('pulled', { strip: table.act.strip }) : null;
          })();
          if (!next) break;
          expect(actFault(fixedTable(groups), journal, [next])).toBeNull();
          journal.push(next);
        }
        if (liveTable(groups, journal).act.kind === 'done') ended++;
      }),
      { seed: 9, numRuns: 60 },
    );
    expect(ended).toBeGreaterThan(20);
  });
});

describe('beginsWith', () => {
  it('is the first wax on the skin, also after one that was taken back', () => {
    expect(beginsWith([wrist], [laidA])).toBe(true);
    expect(beginsWith([], [wrist])).toBe(false);
    expect(beginsWith([wrist, laidA], [act('laid', { strip: 'b' })])).toBe(false);
    expect(beginsWith([wrist], [act('spread', { strip: 'a' })])).toBe(true);
    expect(beginsWith([wrist, laidA, act('undo', { undoes: laidA.id })], [act('laid', { strip: 'b' })])).toBe(true);
  });
});
