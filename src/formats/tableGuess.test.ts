import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { isCivilDate } from '../core/shared';
import {
  dateIn,
  DATE_STYLES,
  datesOf,
  lengthUnitOf,
  millimetresIn,
  minutesIn,
  numberIn,
  timeUnitOf,
} from './tableGuess';

const TODAY = '2027-05-08';

describe('dates of a foreign table', () => {
  it('are read as each style writes them, a time of day behind them passed over', () => {
    expect(dateIn('2026-05-31', 'ymd')).toBe('2026-05-31');
    expect(dateIn('2026/5/3T14:30:00Z', 'ymd')).toBe('2026-05-03');
    expect(dateIn('31.05.2026', 'dmy')).toBe('2026-05-31');
    expect(dateIn('31/5/26 09:15', 'dmy')).toBe('2026-05-31');
    expect(dateIn('5/31/2026', 'mdy')).toBe('2026-05-31');
    expect(dateIn('31 May 2026', 'named')).toBe('2026-05-31');
    expect(dateIn('May 31, 2026', 'named')).toBe('2026-05-31');
    expect(dateIn('3-Sep-2026', 'named')).toBe('2026-09-03');
  });
  it('are none where there is no such day', () => {
    expect(dateIn('31/02/2026', 'dmy')).toBeNull();
    expect(dateIn('13/13/2026', 'mdy')).toBeNull();
    expect(dateIn('last week', 'named')).toBeNull();
    expect(dateIn('2026-05', 'ymd')).toBeNull();
  });
  it('tell their style by one day beyond the twelfth, and are left open where none does', () => {
    expect(datesOf(['03/04/2026', '05/06/2026'], TODAY)).toEqual(['dmy', 'mdy']);
    expect(datesOf(['03/04/2026', '25/06/2026'], TODAY)).toEqual(['dmy']);
    expect(datesOf(['03/04/2026', '06/25/2026'], TODAY)).toEqual(['mdy']);
    // read the other way it would lie ahead
    expect(datesOf(['07/05/2027', '02/03/2027'], TODAY)).toEqual(['dmy']);
    expect(datesOf(['', 'soon'], TODAY)).toEqual([]);
  });
  it('of any text are a real day or none (property)', () => {
    fc.assert(
      fc.property(fc.string(), fc.constantFrom(...DATE_STYLES), (text, style) => {
        const date = dateIn(text, style);
        return date === null || isCivilDate(date);
      }),
    );
  });
  it('written by any style come back as they were (property)', () => {
    const day = fc.record({
      y: fc.integer({ min: 1990, max: 2026 }),
      m: fc.integer({ min: 1, max: 12 }),
      d: fc.integer({ min: 1, max: 28 }),
    });
    fc.assert(
      fc.property(day, ({ y, m, d }) => {
        const two = (n: number): string => String(n).padStart(2, '0');
        const civil = `${y}-${two(m)}-${two(d)}`;
        return (
          dateIn(civil, 'ymd') === civil &&
          dateIn(`${d}.${m}.${y}`, 'dmy') === civil &&
          dateIn(`${m}/${d}/${y}`, 'mdy') === civil
        );
      }),
    );
  });
});

describe('numbers of a foreign table', () => {
  it('are read with either sign before the decimals', () => {
    const read = ['25', '25.50', '25,50', '€ 1.250,00', '$1,250.00', '1,200', '1 250', 'none', '0.5'].map(numberIn);
    expect(read).toEqual([25, 25.5, 25.5, 1250, 1250, 1200, 1250, null, 0.5]);
  });
  it('are minutes, whatever they are written in', () => {
    expect(['75', '75 min', '1:15', '1h 15', '1h15m', '1.25 h', '1,25h'].map((t) => minutesIn(t, 'min'))).toEqual([
      75, 75, 75, 75, 75, 75, 75,
    ]);
    expect(['0.75', '1', '45 min'].map((t) => minutesIn(t, 'h'))).toEqual([45, 60, 45]);
    expect(timeUnitOf('Duration', ['0.5', '0.75', '1'])).toBe('h');
    expect(timeUnitOf('Duration', ['30', '45', '60'])).toBe('min');
    expect(timeUnitOf('Hours', ['30'])).toBe('h');
  });
  it('are millimetres, an inch being 25.4 of them', () => {
    expect(['6', '6 mm', '0.6 cm', '1/4"', '0,5 in'].map((t) => millimetresIn(t, 'mm'))).toEqual([6, 6, 6, 6.4, 12.7]);
    expect(millimetresIn('0.6', 'cm')).toBe(6);
    expect(lengthUnitOf('Length (cm)', ['6'])).toBe('cm');
    expect(lengthUnitOf('Length', ['0.5', '0.7', '0.6'])).toBe('cm');
    expect(lengthUnitOf('Length', ['5', '7', '6'])).toBe('mm');
  });
});
