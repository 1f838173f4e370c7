import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { ownServer } from './ownServer';
import { ready } from './support';

const card = async (page: Page, name: RegExp): Promise<void> => {
  await page.goto('/clients');
  await ready(page);
  await page.getByLabel('Search clients').fill(name.source.split(' ')[0] ?? '');
  await page.getByRole('link', { name }).click();
  await expect(page.getByRole('heading', { level: 1, name })).toBeVisible();
};
const csv = (text: string) => ({ name: 'visits.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });

test('past visits come in: columns matched, dates said, bad lines named, then on the card', async ({ page }) => {
  await page.goto('/clients');
  await ready(page);
  await page.getByRole('button', { name: 'Import' }).click();
  const dialog = page.getByRole('dialog', { name: 'Bring in what was kept elsewhere' });
  await dialog.getByText('Past visits').click();
  const lines = 'Customer;Visit date;Treatment;Mins\nWilla Thorne;03/04/2026;Underarms;20\n';
  await dialog.getByLabel('File').setInputFiles(csv(`${lines}Willa Thorne;05/06/2026;Moonlight special;\n`));
  // both readings fit: nobody guesses
  await expect(dialog.getByText('These dates can be read in more than one way')).toBeVisible();
  await expect(dialog.getByRole('button', { name: 'Take them in' })).toBeDisabled();
  await dialog.getByText('day, month, year', { exact: true }).click();
  await expect(dialog.getByText('2 visits good, 0 bad. 1 card would be made new.')).toBeVisible();
  await expect(dialog.getByText('“Moonlight special”')).toBeVisible();
  await expect(dialog.getByLabel('As it was understood')).toContainText('3 Apr 2026');
  await dialog.getByText('month, day, year', { exact: true }).click();
  await expect(dialog.getByLabel('As it was understood')).toContainText('4 Mar 2026');
  await dialog.getByText('day, month, year', { exact: true }).click();
  await expect(dialog.getByLabel('As it was understood')).toContainText('3 Apr 2026');
  await dialog.getByRole('button', { name: 'Take in 2 visits' }).click();
  await expect(dialog).toBeHidden();
  await card(page, /Willa Thorne/);
  await expect(page.getByLabel('Before this book')).toContainText('3 Apr 2026 Underarms · 20 min');
  // the same table again is refused line by line
  await page.goto('/clients');
  await ready(page);
  await page.getByRole('button', { name: 'Import' }).click();
  await dialog.getByText('Past visits').click();
  await dialog
    .getByLabel('File')
    .setInputFiles(csv(`${lines.replaceAll('03/04', '13/04')}\nWilla Thorne;31/02/2026;Chin;\n`));
  await expect(dialog.getByLabel('Bad lines')).toContainText('Line 4, Willa Thorne');
  await expect(dialog.getByRole('button', { name: 'Take them in' })).toBeDisabled();
  await dialog.getByRole('button', { name: 'Leave it' }).click();
  await expect(dialog).toBeHidden();
});

test('a table of clients of another programme is matched to the columns of the card', async ({ page }) => {
  await page.goto('/clients');
  await ready(page);
  await page.getByRole('button', { name: 'Import' }).click();
  const dialog = page.getByRole('dialog', { name: 'Bring in what was kept elsewhere' });
  const lines = 'First name;Last name;Birthday;Height\nTamsin;Orchard;03/04/1990;1,70\n';
  await dialog.getByLabel('File').setInputFiles(csv(lines));
  await expect(dialog.getByText('These dates can be read in more than one way')).toBeVisible();
  await expect(dialog.getByRole('button', { name: 'Take them in' })).toBeDisabled();
  await dialog.getByText('month, day, year', { exact: true }).click();
  await expect(dialog.getByText('1 line good, 0 bad.')).toBeVisible();
  await dialog.getByText('cm', { exact: true }).click();
  await expect(dialog.getByLabel('Bad lines')).toContainText('Line 2, Tamsin Orchard');
  await dialog.getByText('m', { exact: true }).click();
  await dialog.getByRole('button', { name: 'Take in 1 client' }).click();
  await expect(dialog).toBeHidden();
  await card(page, /Tamsin Orchard/);
  await expect(page.getByText('born 4 Mar 1990')).toBeVisible();
});

test('two cards of one person are made one and parted again; an address book comes in and goes out', async ({
  page,
}) => {
  await page.goto('/clients');
  await ready(page);
  await page.getByRole('button', { name: 'Import' }).click();
  const dialog = page.getByRole('dialog', { name: 'Bring in what was kept elsewhere' });
  await dialog.getByText('Address book').click();
  const book = 'BEGIN:VCARD\r\nVERSION:3.0\r\nFN:Saoirse M.\r\nTEL:020 555 0199\r\nEND:VCARD\r\n';
  await dialog
    .getByLabel('File')
    .setInputFiles({ name: 'book.vcf', mimeType: 'text/vcard', buffer: Buffer.from(book) });
  await dialog.getByRole('button', { name: 'Take in 1 client' }).click();
  await expect(dialog).toBeHidden();
  const out = await page.request.get('/api/clients/export/vcard');
  expect(await out.text()).toContain('FN:Saoirse M.');

  await card(page, /Saoirse M\./);
  await page.goto('/clients/saoirse');
  await ready(page);
  const name = (await page.getByRole('heading', { level: 1 }).textContent()) ?? '';
  await page.getByRole('button', { name: 'Another card of this person …' }).click();
  const merge = page.getByRole('dialog', { name: `Another card of ${name}?` });
  await merge.getByLabel('Find the other card').fill('Saoirse M.');
  await merge.getByRole('button', { name: /Saoirse M\./ }).click();
  await expect(merge).toContainText('020 555 0199');
  await merge.getByRole('button', { name: 'Make them one card' }).click();
  await expect(merge).toBeHidden();
  await expect(page.getByText('Holds all of the card of Saoirse M.')).toBeVisible();
  await expect(page.getByText('020 555 0199').first()).toBeVisible();
  await page.getByRole('button', { name: 'Part them again' }).click();
  await page.getByRole('tooltip').getByRole('button', { name: 'Part them', exact: true }).click();
  await expect(page.getByText('Parted: both cards are as they were.')).toBeVisible();
  await expect(page.getByText('020 555 0199')).toHaveCount(0);
});

test('a consent is taken back with how it was said, and stands on the card', async ({ page }) => {
  await page.goto('/clients/saoirse');
  await ready(page);
  await page.getByRole('button', { name: 'Consent taken back …' }).click();
  const dialog = page.getByRole('dialog', { name: /takes the consent back$/ });
  await expect(dialog.getByRole('button', { name: 'Write it down' })).toBeDisabled();
  await dialog.getByLabel('How it was said').fill('by phone this morning');
  await dialog.getByRole('button', { name: 'Write it down' }).click();
  await expect(page.getByLabel('Alerts')).toContainText('Consent taken back on');
  await expect(page.getByLabel('Consents')).toContainText('by phone this morning');
  await expect(page.getByRole('button', { name: 'Consent taken back …' })).toHaveCount(0);
});

test('the studio’s own words of a message are kept with what they will say; a brace alone is refused', async ({
  page,
}) => {
  await page.goto('/studio/texts');
  await ready(page);
  const part = page.getByRole('region', { name: 'The offer of a place' });
  const words = part.getByRole('textbox');
  await words.fill('Dear {name}, {when} {');
  await expect(part.getByRole('alert')).toContainText('A brace stands alone');
  await words.fill('Dear {name}, {when} is free.');
  await expect(part).toContainText('Dear Alma, Friday 14 May at 10:30 is free.');
  await part.getByRole('button', { name: 'Keep as a new version' }).click();
  await expect(page.getByText('Kept as a new version.')).toBeVisible();
  await part.getByRole('button', { name: 'The shipped words' }).click();
  await part.getByRole('button', { name: 'Keep as a new version' }).click();
  await expect(part).toContainText('version 2');
});

test('terms name whom they concern; the whole studio goes out as one file and into an empty one', async ({
  page,
  browser,
}) => {
  await page.goto('/studio/keeping');
  await ready(page);
  const terms = page.getByRole('region', { name: 'Terms' });
  await terms.getByLabel('Cards are kept').click();
  await page.getByTitle('2 years').click();
  await expect(page.getByRole('region', { name: 'Past their term' })).toContainText('Nobody: everybody');
  await terms.getByLabel('Cards are kept').click();
  await page.getByTitle('for good').last().click();
  await expect(page.getByRole('region', { name: 'Past their term' })).toHaveCount(0);
  await expect(page.getByText('this one has clients')).toBeVisible();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Take it out' }).click(),
  ]);
  const file = await download.path();
  const bytes = readFileSync(file);
  expect(bytes.subarray(0, 2).toString()).toBe('PK');
  const names = ((await (await page.request.get('/api/clients')).json()) as { clients: { name: string }[] }).clients;

  const other = await ownServer('start');
  try {
    await other.start();
    const there = await browser.newPage();
    await there.goto(`${other.base}/studio/keeping`);
    await ready(there);
    await there
      .getByLabel('Bring one in')
      .setInputFiles({ name: 'x.zip', mimeType: 'application/zip', buffer: Buffer.from('no') });
    await expect(there.getByText('This is no archive that can be read. Nothing was brought in.')).toBeVisible();
    await there
      .getByLabel('Bring one in')
      .setInputFiles({ name: 'studio.zip', mimeType: 'application/zip', buffer: bytes });
    await expect(there.getByText(/is here: \d+ clients/)).toBeVisible();
    await there.goto(`${other.base}/clients`);
    for (const { name } of names.slice(0, 3)) {
      await expect(there.getByRole('link', { name: new RegExp(name) }).first()).toBeVisible();
    }
    await there.close();
  } finally {
    await other.kill();
  }
});
