import { describe, expect, it } from 'vitest';
import { civilDateAt, dateAndTimeInWords, instantAt, wallTimeAt } from './clock';

describe('the studio’s clock', () => {
  // one instant, three dates: IANA time zone database
  it.each([
    ['Pacific/Auckland', '2027-05-15'],
    ['Europe/London', '2027-05-14'],
    ['Pacific/Honolulu', '2027-05-14'],
    ['Pacific/Kiritimati', '2027-05-15'],
  ])('in %s it is %s', (zone, date) => {
    expect(civilDateAt(Date.UTC(2027, 4, 14, 13, 30), zone)).toBe(date);
  });
  it('late in the evening it is still today there, though tomorrow in UTC', () => {
    expect(civilDateAt(Date.UTC(2027, 4, 15, 3, 30), 'America/New_York')).toBe('2027-05-14');
  });
  it('the same hour the day after a clock change is 23 or 25 hours later (Europe/London, 28 March and 31 October 2027)', () => {
    const hours = (from: string, to: string): number =>
      (instantAt(to, 10, 15, 'Europe/London') - instantAt(from, 10, 15, 'Europe/London')) / 3_600_000;
    expect(hours('2027-03-27', '2027-03-28')).toBe(23);
    expect(hours('2027-10-30', '2027-10-31')).toBe(25);
    expect(wallTimeAt(instantAt('2027-03-28', 10, 15, 'Europe/London'), 'Europe/London')).toEqual({
      hour: 10,
      minute: 15,
    });
  });
  it('says date and time as they are read on the wall', () => {
    expect(dateAndTimeInWords(instantAt('2027-05-21', 10, 15, 'America/New_York'), 'America/New_York')).toBe(
      'Friday 21 May at 10:15',
    );
  });
});
