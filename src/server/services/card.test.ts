// The client's card: its history, search, patch tests, and how it goes out and comes in.

import { sql } from 'drizzle-orm';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { answered, code, drawn, pathOf, signing, value } from '../../demo/formForTests';
import { demoStudio } from '../../demo/studioForTests';
import type { OpenDatabase } from '../db/openDatabase';
import { readClient } from '../repos/clientRepo';
import { closedVisits } from '../repos/visitRepo';
import { loadBench, type Bench } from './bench';
import { handOver, signForm } from './clientForm';
import { clientRecord, recordJson, type RecordHead, type RecordVisit } from './clientRecord';
import { archiveClient, changeClient, loadClientCard } from './clients';
import { searchClients } from './clientSearch';
import { exportClients, readImport, startImport } from './clientsCsv';
import { importProgress, resumeImports, takeIn } from './imports';
import { openVisit } from './openVisit';
import { patchTest } from './patchTests';
import { recordBlocks } from './recordBlocks';
import { recordPdf } from './recordPdf';

const NOW = Date.UTC(2027, 4, 8, 8, 0);
const TODAY = '2027-05-08';
let open: OpenDatabase;

beforeEach(() => {
  open = demoStudio(NOW);
});
afterEach(() => open.close());

const opened = (client: string): { id: string; bench: Bench } => {
  const { visitId } = value(openVisit(open.db, { bookingId: `demo-booking-${client}` }, NOW));
  return { id: visitId, bench: value(loadBench(open.db, visitId, NOW)) };
};
describe('the card', () => {
  const fieldsOf = (id: string) => {
    const row = readClient(open.db, id);
    if (!row) throw new Error('demo client');
    return {
      name: row.name,
      byline: row.byline,
      bornOn: row.bornOn,
      phone: row.phone,
      note: row.note,
      profile: row.profile,
    };
  };
  it('writes down who changed what, from what to what, and nothing where nothing changed', () => {
    const fields = fieldsOf('saoirse');
    value(changeClient(open.db, 'saoirse', { version: 1, ...fields }, 'ines', NOW));
    value(
      changeClient(
        open.db,
        'saoirse',
        {
          version: 2,
          ...fields,
          note: 'new note',
          profile: { ...fields.profile, standing: [...fields.profile.standing, { fact: 'steroid', since: TODAY }] },
        },
        'ines',
        NOW,
      ),
    );
    const { edits } = value(loadClientCard(open.db, 'saoirse', NOW));
    expect(edits).toHaveLength(1);
    expect(edits[0]).toMatchObject({ by: 'Ines', changes: [{ field: 'note', to: 'new note' }, { field: 'facts' }] });
    expect(edits[0]?.changes[1]?.to).toContain('Steroid, since 2027-05-08');
  });
  it('is put away and taken out again with its history; not while a visit is booked', () => {
    expect(pathOf(archiveClient(open.db, 'saoirse', { version: 1, archived: true }, null, NOW))).toBe('archived');
    value(archiveClient(open.db, 'idris', { version: 1, archived: true }, 'bao', NOW));
    expect(searchClients(open.db, 'idris', NOW)).toEqual([]);
    expect(searchClients(open.db, 'idris', NOW, true)).toHaveLength(1);
    value(archiveClient(open.db, 'idris', { version: 2, archived: false }, 'bao', NOW));
    expect(searchClients(open.db, 'idris', NOW)).toHaveLength(1);
    expect(value(loadClientCard(open.db, 'idris', NOW)).edits).toHaveLength(2);
  });
  it('is found by the beginnings of words, without accents, by phone with or without spaces, names first; changes are found too', () => {
    const names = (q: string): string[] => searchClients(open.db, q, NOW).map((c) => c.name);
    expect(names('luc pen')).toEqual(['Lúcia Penhallow']);
    expect(names('05550107')).toEqual(['Petra Vantol']);
    expect(names('0555 0107')).toEqual(['Petra Vantol']);
    expect(names('salt')[0]).toContain('Wilhelmina');
    expect(names('"; drop')).toEqual([]);
    expect(names('NEAR( OR *')).toEqual([]);
    value(changeClient(open.db, 'petra', { version: 1, ...fieldsOf('petra'), name: 'Petra Østergård' }, null, NOW));
    expect(names('vantol')).toEqual([]);
    expect(names('østerg')).toEqual(['Petra Østergård']);
  });
  it('learns from patch tests: a new product is out until it has been read calm, a day later at the earliest', () => {
    const client = value(openVisit(open.db, { clientId: 'saoirse', zones: [{ zone: 'underarm', side: 'left' }] }, NOW));
    const excluded = (product: string): readonly string[] =>
      value(loadBench(open.db, client.visitId, NOW)).plan.zones[0]?.options.find((o) => o.product === product)
        ?.excludedBy ?? [];
    expect(excluded('sugar-hard')).toContain('patch.new-product');
    expect(excluded('cream-hard')).toContain('patch.reacted');
    expect(excluded('film-hard')).not.toContain('patch.new-product');
    const { patchTests } = value(
      patchTest(open.db, 'saoirse', { lay: { product: 'sugar-hard', place: 'inner forearm' } }, 'ines', NOW),
    );
    const laid = patchTests.at(-1)?.id ?? '';
    expect(pathOf(patchTest(open.db, 'saoirse', { read: { id: laid, result: 'calm' } }, 'ines', NOW + 3_600_000))).toBe(
      'read.result',
    );
    value(patchTest(open.db, 'saoirse', { read: { id: laid, result: 'calm' } }, 'ines', NOW + 86_400_000));
    expect(excluded('sugar-hard')).not.toContain('patch.new-product');
    expect(pathOf(patchTest(open.db, 'saoirse', { lay: { product: 'no-such', place: 'arm' } }, null, NOW))).toBe(
      'lay.product',
    );
  });
  it('is handed out whole, as JSON that can be read again and as a PDF', async () => {
    const { id } = opened('ottilie');
    const { formId } = value(handOver(open.db, id, { personId: 'ines', newPin: '2468' }, NOW));
    value(signForm(open.db, formId, signing(1, answered()), NOW));
    const record = value(clientRecord(open.db, 'ottilie', NOW));
    const again = JSON.parse([...recordJson(record)].join('')) as RecordHead & { visits: RecordVisit[] };
    expect(again.visits).toHaveLength(closedVisits(open.db, 'ottilie').length + 1);
    expect(again.visits.filter((v) => v.charts.length > 0 && v.readings.length > 0).length).toBeGreaterThan(2);
    expect(again.consents[0]?.signature).toEqual(drawn);
    const pdf = Buffer.from(await new Response(recordPdf(record)).arrayBuffer());
    expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
    expect(pdf.subarray(-8).toString()).toContain('%%EOF');
    expect(code(clientRecord(open.db, 'nobody', NOW))).toBe('not-found');
  });
  it('is handed out with a word where one visit cannot be read, the others whole', () => {
    const [first] = closedVisits(open.db, 'ottilie');
    open.db.run(sql`update readings set data = '{"v":1,' where visit_id = ${first?.id ?? ''}`);
    const visits = [...value(clientRecord(open.db, 'ottilie', NOW)).visits];
    expect(visits.filter((v) => 'damaged' in v).map((v) => v.id)).toEqual([first?.id]);
    const words = [...recordBlocks(value(clientRecord(open.db, 'ottilie', NOW)))].flatMap((b) =>
      'text' in b ? [b.text] : [],
    );
    expect(words.filter((w) => w.includes('damaged'))).toHaveLength(1);
  });
  it('comes in from a table all together or not at all, and goes out in the same columns', async () => {
    const bad =
      'name,born_on\nNell Ashgrove,1990-01-01\n,1991-01-01\nOtto Vane,1988-04-05\nOtto Vane,1988-04-05\nOttilie Brandvik,' +
      (readClient(open.db, 'ottilie')?.bornOn ?? '') +
      '\n';
    const ready = await readImport(open.db, bad, NOW);
    expect(ready.preview).toMatchObject({ good: 2, bad: 3 });
    expect(ready.preview.lines.map((l) => l.line)).toEqual([3, 5, 6]);
    expect(code(startImport(open.db, ready, NOW))).toBe('refused');
    expect(searchClients(open.db, 'ashgrove', NOW)).toEqual([]);
    const good = await readImport(open.db, 'name,sensitivity\nNell Ashgrove,4\n', NOW);
    const begun = value(startImport(open.db, good, NOW));
    await takeIn(open.db, begun.id);
    expect(value(importProgress(open.db, begun.id))).toMatchObject({ taken: 1, total: 1 });
    expect(searchClients(open.db, 'ashgrove', NOW)[0]?.alerts).toContain('Very reactive skin.');
    expect([...exportClients(open.db)].join('')).toMatch(/^name,known_by[\s\S]*Nell Ashgrove,,,,,4,normal,no/);
  });
  it('comes in to the end where the server stopped in between, once however often it is begun', async () => {
    const names = Array.from({ length: 205 }, (_, i) => `Stopped ${i}`);
    const ready = await readImport(open.db, `name\n${names.join('\n')}\n`, NOW);
    const { id } = value(startImport(open.db, ready, NOW));
    expect(pathOf(startImport(open.db, ready, NOW))).toBe('csv');
    // the first part was taken in when the server stopped
    resumeImports(open.db, NOW);
    await Promise.all([takeIn(open.db, id), takeIn(open.db, id)]);
    await expect.poll(() => value(importProgress(open.db, id)).taken).toBe(205);
    await expect.poll(() => open.db.all(sql`select 1 from import_texts`).length).toBe(0);
    const there = open.db.all<{ name: string }>(sql`select name from clients where name like 'Stopped %'`);
    expect(there.map((c) => c.name).sort()).toEqual([...names].sort());
  });
});
