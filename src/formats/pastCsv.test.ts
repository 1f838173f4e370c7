import { describe, expect, it } from 'vitest';
import { guessPast, pastRows, readPastLine, type PastMapping } from './pastCsv';
import { familyIn, zoneReader } from './zoneWords';

const TODAY = '2027-05-08';
const SERVICES = [
  {
    name: 'Lip and chin',
    zones: [
      { zone: 'upper-lip' as const, side: 'middle' as const },
      { zone: 'chin' as const, side: 'middle' as const },
    ],
  },
];
const zonesOf = zoneReader(SERVICES);
const keys = (words: string): string | null =>
  zonesOf(words)
    ?.map((z) => `${z.zone}/${z.side}`)
    .sort()
    .join(' ') ?? null;

async function rowsOf(csv: string): Promise<readonly (readonly string[])[]> {
  const rows = await pastRows(csv);
  if (!rows.ok) throw new Error(rows.error.message);
  return rows.value;
}
const MAPPING: PastMapping = { columns: { client: 0, on: 1, what: 2 }, dates: 'dmy', lengths: 'mm', times: 'min' };
const read = (cells: readonly string[], more: Partial<PastMapping> = {}) =>
  readPastLine(cells, 2, { ...MAPPING, ...more }, { today: TODAY, zonesOf });

describe('a table of past visits', () => {
  it('is matched by its headings, its dates and units by its cells', async () => {
    const rows = await rowsOf(
      'Client name;Date of birth;Appointment date;Service;Comments;Duration (min);Total;Hair length\n' +
        'Nell Ashgrove;01/02/1990;25/04/2027;Underarm wax;calm;20;18,00;0,6\n\n' +
        'Otto Vane;;03/05/2027;Lip and chin;;15;16,00;0,5\n',
    );
    expect(guessPast(rows, TODAY)).toMatchObject({
      rows: 2,
      columns: { client: 0, born: 1, on: 2, what: 3, words: 4, minutes: 5, paid: 6, length: 7 },
      dates: ['dmy'],
      lengths: 'cm',
      times: 'min',
    });
  });
  it('is left open where its dates can be read in two ways', async () => {
    const rows = await rowsOf('name,date\nNell,03/04/2027\nOtto,05/04/2027\n');
    expect(guessPast(rows, TODAY).dates).toEqual(['dmy', 'mdy']);
  });
  it('gives each line as it was told, first and last name put together', () => {
    const { past, faults } = read(
      ['Nell', 'Ashgrove', '25.04.2027', 'Underarms, hard wax', "'=1+1", '0:20', '€18,00', '1/4 in'],
      { columns: { client: 0, surname: 1, on: 2, what: 3, words: 4, minutes: 5, paid: 6, length: 7 } },
    );
    expect(faults).toEqual([]);
    expect(past).toMatchObject({
      ...{ client: 'Nell Ashgrove', onDate: '2027-04-25', family: 'hard', minutes: 20, paid: 18, lengthMm: 6.4 },
      ...{ what: 'Underarms, hard wax', words: '=1+1', bornOn: null },
    });
  });
  it('names what is wrong with a line, field by field', () => {
    const { past, faults } = read(['', '31.02.2027', 'x'.repeat(301)]);
    expect(past).toBeNull();
    expect(faults.map((f) => f.split(':')[0])).toEqual(['What was done', 'Client', 'Day of the visit']);
    // a day ahead is no past visit
    expect(read(['Nell', '09.05.2027', '']).faults[0]).toContain('is not a day that is past');
    expect(read(['Nell', '08.05.2027', '']).faults).toEqual([]);
  });
});

describe('words of a table', () => {
  it('are zones where they are names of the trade (common practice, no source)', () => {
    expect(keys('Underarm')).toBe('underarm/left underarm/right');
    expect(keys('Underarm wax')).toBe('underarm/left underarm/right');
    expect(keys('Upper Lip')).toBe('upper-lip/middle');
    expect(keys('lip and chin')).toBe('chin/middle upper-lip/middle');
    expect(keys('Underarms + upper lip')).toBe('underarm/left underarm/right upper-lip/middle');
    expect(keys('Nape')).toBe('nape/middle');
    expect(keys('Upper lip, nape, hard wax')).toBe('nape/middle upper-lip/middle');
  });
  it('stay words where any part of them is not known', () => {
    expect(keys('Holiday special')).toBeNull();
    expect(keys('Underarm and a massage')).toBeNull();
    expect(keys('')).toBeNull();
    expect(keys('hard wax')).toBeNull();
  });
  it('say what it was worked with, or nothing where they say two things', () => {
    expect(['Hot wax bikini', 'sugaring', 'Strip wax legs', 'Wax'].map(familyIn)).toEqual([
      'hard',
      'sugar',
      'soft',
      null,
    ]);
    expect(familyIn('hard and soft wax')).toBeNull();
  });
});
