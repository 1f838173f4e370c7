import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CSV_COLUMNS, readClientCsv, writeClientCsv, type CsvClient } from './clientCsv';

const TODAY = '2027-05-14';
const faults = async (csv: string): Promise<readonly (readonly string[])[]> =>
  (await readClientCsv(csv, TODAY)).lines.map((l) => l.faults);

describe('readClientCsv', () => {
  it('reads columns in any order, commas or semicolons, quotes, accents and a byte order mark', async () => {
    const read = await readClientCsv(
      '\uFEFFphone;name;known_by;sensitivity;mass_kg\r\n"0555;1";"Lúcia ""Lu"" P.";"rows; swims";4;63,5\r\n',
      TODAY,
    );
    expect(read.lines).toHaveLength(1);
    expect(read.lines[0]?.client).toMatchObject({
      name: 'Lúcia "Lu" P.',
      phone: '0555;1',
      byline: 'rows; swims',
      sensitivity: 4,
      massKg: 63.5,
      skin: 'normal',
      bornOn: null,
    });
  });
  it('names each bad line with every reason, by its line in the file', async () => {
    const read = await readClientCsv(
      'name,born_on,skin,sensitivity\nNell,1990-02-30,dry,3\n\n,2028-01-01,furry,9\nOk,1988-04-05,,\n',
      TODAY,
    );
    expect(read.lines.map((l) => [l.line, l.client === null])).toEqual([
      [2, true],
      [4, true],
      [5, false],
    ]);
    expect(read.lines[0]?.faults.join()).toContain('born_on');
    expect(read.lines[1]?.faults.map((f) => f.split(':')[0])).toEqual(['name', 'skin', 'born_on', 'sensitivity']);
  });
  it('reads a large table as a small one, letters of several bytes wherever it is cut', async () => {
    const names = Array.from({ length: 9000 }, (_, i) => `Zoë 😀 ${i}`);
    const read = await readClientCsv(`name\n${names.join('\n')}\n`, TODAY);
    expect(read.lines.map((l) => l.name)).toEqual(names);
  });
  it('sees a comma that was not quoted', async () => {
    expect((await faults('name,phone\nVane, Otto,0555\n'))[0]?.join()).toContain('3 cells for 2 columns');
  });
  it.each([
    ['', 'empty'],
    ['name,shoe_size\nA,4\n', 'shoe_size'],
    ['phone\n1\n', '“name” is missing'],
    ['name,name\nA,B\n', 'twice'],
    ['name\n\n', 'no client'],
    ['name\n"open', 'cannot be read|Unclosed|quote'],
  ])('refuses a file that is none: %j', async (csv, words) => {
    const read = await readClientCsv(csv, TODAY);
    expect(read.lines).toEqual([]);
    expect(read.faults.join()).toMatch(new RegExp(words, 'i'));
  });
});

describe('writeClientCsv', () => {
  const text = (max: number) =>
    fc.string({ maxLength: max, unit: 'grapheme' }).map((s) => s.replace(/[\u0000-\u001f\u2028\u2029]/g, ' ').trim());
  const client: fc.Arbitrary<CsvClient> = fc.record({
    name: text(40).map((s) => `N${s}`),
    byline: text(40),
    bornOn: fc.constantFrom(null, '1990-05-31'),
    phone: text(20),
    note: text(80),
    sensitivity: fc.integer({ min: 1, max: 5 }),
    skin: fc.constantFrom('dry', 'normal', 'oily'),
    ingrownProne: fc.boolean(),
    statureCm: fc.constantFrom(null, 171),
    massKg: fc.constantFrom(null, 66.5),
    consentOn: fc.constantFrom(null, '2027-01-02'),
  });
  it('is read back as it was written, cells that a spreadsheet would run too', async () => {
    const risky = fc.constantFrom('', '=', '+44 ', '-5 mm ', '@', "'=", "''-", '＝', "'");
    const cells = fc.tuple(client, risky, risky, risky).map(([c, byline, phone, note]) => ({
      ...c,
      byline: (byline + c.byline).trim(),
      phone: (phone + c.phone).trim(),
      note: (note + c.note).trim(),
    }));
    let ran = 0;
    await fc.assert(
      fc.asyncProperty(fc.array(cells, { minLength: 1, maxLength: 5 }), async (clients) => {
        ran++;
        expect((await readClientCsv(writeClientCsv(clients), TODAY)).lines.map((l) => l.client)).toEqual(clients);
      }),
      { seed: 7, numRuns: 200 },
    );
    expect(ran).toBe(200);
  });
  it('makes formulas harmless and writes every column', () => {
    const csv = writeClientCsv([
      {
        name: '=1+1',
        byline: '@x',
        bornOn: null,
        phone: '+44 1',
        note: '-2',
        sensitivity: 3,
        skin: 'dry',
        ingrownProne: true,
        statureCm: null,
        massKg: null,
        consentOn: null,
      },
    ]);
    expect(csv.split('\n')[0]).toBe(CSV_COLUMNS.join(','));
    expect(csv.split('\n')[1]).toBe("'=1+1,'@x,,'+44 1,'-2,3,dry,yes,,,");
  });
});
