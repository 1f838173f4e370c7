import { describe, expect, it } from 'vitest';
import { readClientCsv } from './clientCsv';
import { clientsOfVcards, writeVcard } from './vcard';

const TODAY = '2027-05-08';
const clientsIn = async (text: string) =>
  (await readClientCsv(clientsOfVcards(text).csv, TODAY)).lines.map((l) => l.client);

describe('an address book', () => {
  it('of a telephone comes in with names, numbers and birthdays, its notes left out', async () => {
    // the shape of RFC 6350, section 3 (folded line, escaped comma), and of RFC 2426
    const text = [
      'BEGIN:VCARD\r\nVERSION:4.0\r\nN:Ashgrove;Nell;;;\r\nFN:Nell Ash\r\n grove\r\nTEL;VALUE=uri;TYPE="voice,home":tel:+44-20-555-0101\r\nBDAY:19900531\r\nNOTE:a diabetic\r\nEND:VCARD',
      'BEGIN:VCARD\r\nVERSION:3.0\r\nN:Vane;Otto;;;\r\nTEL;TYPE=CELL:020 555 0102\r\nBDAY:1988-04-05T00:00:00Z\r\nNICKNAME:rows\\, on Sundays\r\nEND:VCARD\r\n',
      'BEGIN:VCARD\r\nVERSION:3.0\r\nTEL:1\r\nEND:VCARD\r\n',
      'BEGIN:VCARD\r\nthis is no card\r\nEND:VCARD\r\n',
    ].join('\r\n');
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
