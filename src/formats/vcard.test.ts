import { describe, expect, it } from 'vitest';
import { readClientCsv } from './clientCsv';
import { clientsOfVcards, writeVcard } from './vcard';

const TODAY = '2027-05-08';
const clientsIn = async (text: string) =>
  (await readClientCsv(clientsOfVcards(text).csv, TODAY)).lines.map((l) => l.client);

describe('an address book', () => {
  it('of a telephone comes in with names, numbers and birthdays, its notes left out', async () => {
    // the shape of RFC 6350, section 3 (folded line, escaped comma), and of RFC 2426
    const book = (...lines: readonly string[]): string => ['BEGIN:VCARD', ...lines, 'END:VCARD', ''].join('\r\n');
    const text = [
      book(
        ...['VERSION:4.0', 'N:Ashgrove;Nell;;;', 'FN:Nell Ash', ' grove'],
        ...['TEL;VALUE=uri;TYPE="voice,home":tel:+44-20-555-0101', 'BDAY:19900531', 'NOTE:a diabetic'],
      ),
      book(
        ...['VERSION:3.0', 'N:Vane;Otto;;;', 'TEL;TYPE=CELL:020 555 0102', 'BDAY:1988-04-05T00:00:00Z'],
        'NICKNAME:rows\\, on Sundays',
      ),
      book('VERSION:3.0', 'TEL:1'),
      book('this is no card'),
    ].join('');
    expect(clientsOfVcards(text).nameless).toBe(2);
    expect(await clientsIn(text)).toEqual([
      expect.objectContaining({ name: 'Nell Ashgrove', bornOn: '1990-05-31', phone: 'tel:+44-20-555-0101', note: '' }),
      expect.objectContaining({
        name: 'Otto Vane',
        bornOn: '1988-04-05',
        phone: '020 555 0102',
        byline: 'rows, on Sundays',
      }),
    ]);
  });
  it('is written so that it comes back the same', async () => {
    const client = {
      id: 'nell',
      name: 'Nell van; Ash, grove',
      byline: 'rows\nin the eight',
      bornOn: '1990-05-31',
      phone: '+44 20 555',
    };
    const text = writeVcard(client);
    expect(text).toMatch(/^BEGIN:VCARD\r\nVERSION:3\.0\r\n/);
    expect(text).toMatch(/\r\nEND:VCARD\r\n$/);
    const [back] = await clientsIn(text + writeVcard({ ...client, bornOn: null, phone: '' }));
    expect(back).toMatchObject({
      name: client.name,
      bornOn: client.bornOn,
      phone: client.phone,
      byline: 'rows in the eight',
    });
  });
  it('with no card in it is an empty table', () => {
    expect(clientsOfVcards('hello').nameless).toBe(0);
    expect(clientsOfVcards('hello').csv.trim().split('\n')).toHaveLength(1);
  });
});
