import { describe, expect, it } from 'vitest';
import { postponeDates } from './postponeDates';

const base = { today: '2027-05-14', earliestOn: '2027-05-18', readyOn: null, blackouts: [], isFree: () => true };

describe('postponeDates', () => {
  it('gives the first days on which nothing postpones any more', () => {
    expect(postponeDates(base)).toEqual(['2027-05-18', '2027-05-19', '2027-05-20']);
    expect(postponeDates({ ...base, earliestOn: '2027-05-10' })[0]).toBe('2027-05-15');
  });
  it('waits for the hair, for a free hour, and keeps two days clear before an event (common practice, no source)', () => {
    expect(postponeDates({ ...base, readyOn: '2027-06-01' }, 1)).toEqual(['2027-06-01']);
    expect(postponeDates({ ...base, isFree: (on) => on >= '2027-05-22' }, 1)).toEqual(['2027-05-22']);
    expect(postponeDates({ ...base, blackouts: [{ from: '2027-05-20', to: '2027-05-22', why: 'regatta' }] })).toEqual([
      '2027-05-18',
      '2027-05-23',
      '2027-05-24',
    ]);
  });
  it('names none where a doctor’s word is awaited or nobody is free', () => {
    expect(postponeDates({ ...base, earliestOn: null })).toEqual([]);
    expect(postponeDates({ ...base, isFree: () => false })).toEqual([]);
  });
});
