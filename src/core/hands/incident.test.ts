import { describe, expect, it } from 'vitest';
import { actFault, fixedTable } from './admit';
import { incidentLines, type Incident } from './incident';
import { deeds, type TableEvent } from './tableEvents';

const bare: Incident = {
  what: ['burn'],
  zone: null,
  side: null,
  strip: null,
  product: null,
  lot: '',
  plannedC: null,
  measuredC: null,
  wristAtMs: null,
  waterMin: null,
  done: [],
  told: [],
  followUpOn: null,
  words: '',
  corrects: null,
};
const names = { product: (id: string): string => id.replace('-', ' '), time: (atMs: number): string => `${atMs} ms` };
const event = (id: string, more: Partial<TableEvent> = {}): TableEvent => ({ id, atMs: 1, kind: 'incident', ...more });

describe('an incident record', () => {
  it('says what was said and noted, in sentences, and nothing else', () => {
    expect(incidentLines(bare, names)).toEqual(['Burn.']);
    expect(
      incidentLines(
        {
          ...bare,
          what: ['burn', 'blister'],
          ...{ zone: 'lower-leg-front', side: 'left', strip: 6, product: 'cream-hard', lot: 'C-118' },
          ...{ plannedC: 56.4, measuredC: 61.5, wristAtMs: 7, waterMin: 20 },
          done: ['water', 'referred'],
          told: ['client', 'owner'],
          followUpOn: '2027-05-20',
          words: ' Coin-sized. ',
        },
        names,
      ),
    ).toEqual([
      'Burn and blister.',
      'Lower leg, front, left, strip 6.',
      'Cream hard, lot C-118, planned at about 56 °C at touch, measured 61.5 °C, wrist test at 7 ms.',
      'Done: cool running water for 20 min and told to see a doctor.',
      'Told: the client and the person in charge.',
      'To be looked at again on 20 May 2027.',
      'Coin-sized.',
    ]);
  });
  it('is taken at any time, but for nothing that happened or for correcting what is not there', () => {
    const table = fixedTable([]);
    const written = event('a', { incident: bare });
    expect(actFault(table, [], [written])).toBeNull();
    expect(actFault(table, [], [event('b')])?.code).toBe('act.incomplete');
    expect(actFault(table, [], [event('b', { incident: { ...bare, what: [] } })])?.code).toBe('act.incomplete');
    const more = (corrects: string): TableEvent => event('b', { incident: { ...bare, corrects } });
    expect(actFault(table, [written], [more('z')])?.code).toBe('act.incomplete');
    expect(actFault(table, [written], [more('a')])).toBeNull();
  });
  it('is no act of the hands: undo does not reach it', () => {
    const wrist: TableEvent = { id: 'w', atMs: 0, kind: 'wrist', product: 'p' };
    expect(deeds([wrist, event('a', { incident: bare })])).toEqual([wrist]);
    expect(
      actFault(fixedTable([]), [event('a', { incident: bare })], [{ id: 'u', atMs: 2, kind: 'undo', undoes: 'a' }]),
    ).toMatchObject({ code: 'act.not-the-last' });
  });
});
