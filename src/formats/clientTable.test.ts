import { describe, expect, it } from 'vitest';
import { readClientCsv } from './clientCsv';
import { asOurTable, guessClients, type ClientMapping } from './clientTable';
import { readRows } from './csvRows';

const TODAY = '2027-05-08';
async function rowsOf(csv: string): Promise<readonly (readonly string[])[]> {
  const rows = await readRows(csv, 100);
  if (!rows.ok) throw new Error(rows.error.message);
  return rows.value;
}
const FOREIGN =
  'First name;Last name;Date of birth;Mobile;Height;Weight (lbs);Skin type;Comments\n' +
  'Nell;Ashgrove;31.05.1990;020 555;1,70;132;dry;calm\n\nOtto;Vane;02.03.1988;;1,82;180;oily;\n';

describe('a table of clients of another programme', () => {
  it('is matched by its headings, its dates and units by its cells', async () => {
    expect(guessClients(await rowsOf(FOREIGN), TODAY)).toMatchObject({
      isOurs: false,
      columns: { name: 0, surname: 1, born_on: 2, phone: 3, stature_cm: 4, mass_kg: 5, skin: 6, note: 7 },
      ...{ dates: ['dmy'], statures: 'm', masses: 'lb' },
    });
    const ours = guessClients(await rowsOf('name,born_on,phone\nNell,1990-05-31,\n'), TODAY);
    expect(ours.isOurs).toBe(true);
    expect(guessClients(await rowsOf('name,date of birth\nNell,03/04/1990\n'), TODAY).dates).toEqual(['dmy', 'mdy']);
  });
  it('comes to our own columns line by line, an inch being 2.54 cm and a pound 0.45359237 kg', async () => {
    const rows = await rowsOf(FOREIGN);
    const { columns } = guessClients(rows, TODAY);
    const mapping: ClientMapping = { columns, dates: 'dmy', statures: 'm', masses: 'lb' };
    const { faults, lines } = await readClientCsv(asOurTable(rows, mapping), TODAY);
    expect(faults).toEqual([]);
    // the empty line stays one, so that a fault is named by the line of the file
    expect(lines.map((l) => l.line)).toEqual([2, 4]);
    expect(lines[0]?.client).toMatchObject({
      ...{ name: 'Nell Ashgrove', bornOn: '1990-05-31', phone: '020 555', skin: 'dry', note: 'calm' },
      ...{ statureCm: 170, massKg: 59.9 },
    });
    const inches = asOurTable(
      [
        ['name', 'height'],
        ['Nell', '5\'7"'],
        ['Otto', '70'],
      ],
      {
        ...{ columns: { name: 0, stature_cm: 1 }, dates: 'ymd', statures: 'in', masses: 'kg' },
      },
    );
    const tall = (await readClientCsv(inches, TODAY)).lines.map((l) => l.client?.statureCm);
    expect(tall).toEqual([170.2, 177.8]);
  });
  it('names what cannot be read as it stands in the file', async () => {
    const rows = await rowsOf('who,birthday,height\nNell,31.02.1990,tall\n');
    const csv = asOurTable(rows, {
      ...{ columns: { name: 0, born_on: 1, stature_cm: 2 }, dates: 'dmy', statures: 'cm', masses: 'kg' },
    });
    const [line] = (await readClientCsv(csv, TODAY)).lines;
    expect(line?.faults.join(' ')).toContain('“31.02.1990” is not a date');
    expect(line?.faults.join(' ')).toContain('“tall” is not a number');
  });
});
