import { sql } from 'drizzle-orm';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { demoStudio } from '../../demo/studioForTests';
import type { Incident } from '../../core/hands';
import type { OpenDatabase } from '../db/openDatabase';
import type { Reading } from '../db/schema';
import { appendJournal } from './appendJournal';
import { saveChart, saveConsult, saveReading } from './asTablet';
import { loadBench, type Bench } from './bench';
import { clientRecord } from './clientRecord';
import { loadClientCard } from './clients';
import { closeVisit } from './closeVisit';
import { incidentRecord } from './incidentRecord';
import { lessonsOf } from './lessons';
import { openVisit } from './openVisit';
import { recordBlocks } from './recordBlocks';
import { trialsOf } from './trials';
import { visitRecord } from './visitRecord';

const NOW = Date.UTC(2027, 4, 8, 8, 0);
const DAY = 86_400_000;
let open: OpenDatabase;
beforeEach(() => {
  open = demoStudio(NOW);
});
afterEach(() => open.close());

const value = <T>(result: { ok: true; value: T } | { ok: false; error: { message: string } }): T => {
  if (!result.ok) throw new Error(result.error.message);
  return result.value;
};
const zones = [{ zone: 'underarm', side: 'left' }] as const;
function visit(inDays = 0): Bench {
  const atMs = NOW + inDays * DAY;
  const { visitId } = value(openVisit(open.db, { clientId: 'ottilie', zones }, atMs));
  return value(loadBench(open.db, visitId, atMs));
}
const burn: Incident = {
  what: ['burn'],
  zone: 'underarm',
  side: 'left',
  strip: 2,
  product: 'film-hard',
  lot: 'F-12',
  plannedC: 54,
  measuredC: null,
  wristAtMs: NOW,
  waterMin: 20,
  done: ['water'],
  told: ['client'],
  followUpOn: '2027-05-09',
  words: 'Coin-sized.',
  corrects: null,
};
const write = (b: Bench, id: string, incident: Incident) =>
  appendJournal(
    open.db,
    b.visit.id,
    { events: [{ id, atMs: NOW, kind: 'incident', incident }], plan: b.planHash },
    NOW,
  );
function close(b: Bench): void {
  const consult = { ...b.visit.consult, consent: true, confirmedAtMs: NOW };
  const ready = value(saveConsult(open.db, b.visit.id, { version: b.visit.version, consult }, NOW));
  value(closeVisit(open.db, b.visit.id, { version: ready.visit.version, next: null }, NOW));
}

const NOTHING_READ: Reading = {
  v: 1,
  removedPct: 100,
  brokenPct: 0,
  left: 'none',
  leftKind: 'none',
  bleeding: 'none',
  skin: 'pink',
  tweezed: 0,
  heatFelt: 'right',
  said: [],
  note: '',
};

describe('what went wrong', () => {
  it('stands on the card and at the next consultation, and leaves the product free to be chosen', () => {
    const b = visit();
    value(write(b, 'one', burn));
    const card = value(loadClientCard(open.db, 'ottilie', NOW));
    expect(card.client.profile.reactions.at(-1)).toEqual({
      id: 'incident-one',
      visitId: b.visit.id,
      on: '2027-05-08',
      what: 'burn',
      product: null,
      words: 'underarm, left, strip 2, film hard. Coin-sized.',
    });
    const next = visit(30);
    expect(next.client.alerts).toContain('8 May 2027: burn, underarm, left, strip 2, film hard.');
    expect(next.plan.zones[0]?.options.find((o) => o.product === 'film-hard')?.excludedBy).not.toContain('reaction');
  });
  it('that the card has no word for is told in the record’s words', () => {
    const b = visit();
    value(write(b, 'one', { ...burn, what: ['faint'], zone: null, side: null, strip: null, product: null, words: '' }));
    expect(visit(30).client.alerts).toContain('8 May 2027: felt faint.');
  });
  it('sent twice is written once; a correction stands beside it and takes its place on the card', () => {
    const b = visit();
    value(write(b, 'one', burn));
    value(write(b, 'one', burn));
    value(write(b, 'two', { ...burn, what: ['blister'], words: 'A blister by noon.', corrects: 'one' }));
    const { journal } = value(loadBench(open.db, b.visit.id, NOW));
    expect(journal.filter((e) => e.kind === 'incident').map((e) => e.id)).toEqual(['one', 'two']);
    const { reactions } = value(loadClientCard(open.db, 'ottilie', NOW)).client.profile;
    expect(reactions.filter((r) => r.id.startsWith('incident-')).map((r) => [r.id, r.what])).toEqual([
      ['incident-two', 'blister'],
    ]);
  });
  it('can be added to after the visit is closed; nothing else can', () => {
    const b = visit();
    value(write(b, 'one', burn));
    close(value(loadBench(open.db, b.visit.id, NOW)));
    value(write(b, 'two', { ...burn, words: 'Healed.', corrects: 'one' }));
    const late = appendJournal(
      open.db,
      b.visit.id,
      { events: [{ id: 'w', atMs: NOW, kind: 'wrist', product: 'film-hard' }], plan: b.planHash },
      NOW,
    );
    expect(late.ok ? '' : late.error.message).toContain('closed');
  });
  it('is printed with what it corrects and the acts of the table; without one there is no print', () => {
    const b = visit();
    expect(incidentRecord(open.db, b.visit.id).ok).toBe(false);
    value(
      appendJournal(
        open.db,
        b.visit.id,
        { events: [{ id: 'w', atMs: NOW, kind: 'wrist', product: 'film-hard' }], plan: b.planHash },
        NOW,
      ),
    );
    value(write(b, 'one', burn));
    value(write(b, 'two', { ...burn, words: 'Healed.', corrects: 'one' }));
    const text = value(incidentRecord(open.db, b.visit.id)).map((x) => ('text' in x ? x.text : ''));
    expect(text.filter((t) => t.startsWith('Written at'))).toHaveLength(2);
    expect(text.filter((t) => t.includes('corrected since'))).toHaveLength(1);
    for (const words of [
      'Film hard, lot F-12',
      'cool running water for 20 min',
      '9 May 2027',
      'wrist test film-hard',
    ]) {
      expect(text.some((t) => t.includes(words))).toBe(true);
    }
    const record = [...recordBlocks(value(clientRecord(open.db, 'ottilie', NOW)))];
    expect(record.some((x) => 'text' in x && x.text.startsWith('Incident: Burn. Underarm, left, strip 2.'))).toBe(true);
  });
});

describe('the visit on one page', () => {
  it('has what was worked and said, minutes by the table, grams of what was laid, and a place to sign', () => {
    const b = visit();
    const consult = { ...b.visit.consult, consent: true, confirmedAtMs: NOW };
    const ready = value(saveConsult(open.db, b.visit.id, { version: b.visit.version, consult }, NOW));
    expect(visitRecord(open.db, b.visit.id).ok).toBe(false);
    const { plan, planHash } = value(loadBench(open.db, b.visit.id, NOW, true));
    const [zone] = plan.zones;
    const [strip] = zone?.strips ?? [];
    if (!zone?.choice || !strip) throw new Error('a strip');
    const at = (minutes: number): number => NOW + minutes * 60_000;
    const laid = Array.from({ length: zone.choice.coats }, (_, i) => ({
      id: `l${i}`,
      atMs: at(6 + i / 4),
      kind: 'laid' as const,
      strip: strip.id,
    }));
    const events = [
      { id: 's', atMs: at(0), kind: 'step' as const, step: 'alerts' },
      { id: 'w', atMs: at(5), kind: 'wrist' as const, product: zone.choice.product },
      ...laid,
      { id: 'p', atMs: at(9), kind: 'pulled' as const, strip: strip.id },
      { id: 'e', atMs: at(13), kind: 'step' as const, step: 'light' },
    ];
    value(appendJournal(open.db, b.visit.id, { events, plan: planHash }, NOW));
    // written the day after: no minutes of the visit
    value(
      appendJournal(
        open.db,
        b.visit.id,
        { events: [{ id: 'i', atMs: NOW + DAY, kind: 'incident', incident: burn }], plan: planHash },
        NOW + DAY,
      ),
    );
    const text = value(visitRecord(open.db, b.visit.id)).map((x) => ('text' in x ? x.text : ''));
    const name = zone.choice.product.replaceAll('-', ' ');
    expect(text[0]).toBe('Visit of 2027-05-08');
    expect(text).toContain('Minutes: 6 min preparing, 3 min laying and pulling, 4 min finishing.');
    expect(text).toContain(`Used, as planned for what was laid: ${name} about ${Math.round(strip.massG)} g.`);
    expect(text.some((t) => t.includes(`1 of ${zone.strips.length} strips.`))).toBe(true);
    expect(text).toContain('Read: not read.');
    expect(text.at(-1)).toContain('Practitioner: ___');
    expect(ready.visit.id).toBe(b.visit.id);
  });
});

describe('two products on the two sides', () => {
  it('stand side by side at the next visit and on the card, with what was said of each', () => {
    const both = [
      { zone: 'underarm', side: 'left' },
      { zone: 'underarm', side: 'right' },
    ] as const;
    const { visitId } = value(openVisit(open.db, { clientId: 'ottilie', zones: both }, NOW));
    const products = ['film-hard', 'sugar-firm'];
    for (const [i, z] of both.entries()) {
      const b = value(loadBench(open.db, visitId, NOW));
      const charted = b.zones[i]?.data;
      if (!charted) throw new Error('a chart');
      const data = { ...charted, product: products[i] ?? null, way: i === 0 ? 'with' : 'moulded', reason: 'trial' };
      value(saveChart(open.db, visitId, z, { version: b.visit.version, data }, NOW));
    }
    const b = value(loadBench(open.db, visitId, NOW, true));
    expect(b.plan.zones.map((z) => z.choice?.product)).toEqual(products);
    const reading = { ...NOTHING_READ, pain: 5, said: ['skin' as const] };
    const read = value(saveReading(open.db, visitId, both[0], { version: b.visit.version, data: reading }, NOW));
    close(read);
    const [trial] = visit(30).client.trials;
    expect(trial?.sides.map((s) => [s.side, s.product, s.pain, s.skin])).toEqual([
      ['left', 'film-hard', 5, 'pink'],
      ['right', 'sugar-firm', null, null],
    ]);
    expect(value(loadClientCard(open.db, 'ottilie', NOW)).trials[0]).toContain(
      'left film hard: pain 5, skin pink; right sugar firm: nothing said',
    );
  });
});

describe('a reading that cannot be read', () => {
  it('takes neither the next visit nor the card down', () => {
    const b = visit();
    const [zone] = b.zones;
    if (!zone) throw new Error('a zone');
    const data = { ...NOTHING_READ, note: 'Press longer.' };
    close(value(saveReading(open.db, b.visit.id, zone, { version: b.visit.version, data }, NOW)));
    open.db.run(sql`update readings set data = '{broken' where visit_id = ${b.visit.id}`);
    expect(JSON.parse(JSON.stringify(visit(30)))).toMatchObject({ zones: [{ zone: 'underarm' }] });
    expect(value(loadClientCard(open.db, 'ottilie', NOW)).visits.length).toBeGreaterThan(3);
    expect(lessonsOf(open.db, 'ottilie').filter((l) => l.lastOn === '2027-05-08')).toEqual([]);
    expect(trialsOf(open.db, 'ottilie')).toEqual([]);
  });
});

describe('what a reading teaches', () => {
  it('is in the next chart: growth that was taken over in the place of the old, and places without hair with their date', () => {
    const b = visit();
    const [zone] = b.zones;
    if (!zone) throw new Error('a zone');
    const stroke = { at: [5, 5], towards: [1, 0] } as const;
    const data: Reading = {
      ...NOTHING_READ,
      left: 'few',
      leftKind: 'other-way',
      said: ['left'],
      hairs: [{ at: [5, 5], way: [1, 0], kind: 'other-way' }],
      combed: [stroke],
      bare: [{ at: [3, 8], radiusCm: 1.5 }],
    };
    const read = value(saveReading(open.db, b.visit.id, zone, { version: b.visit.version, data }, NOW));
    close(read);
    const next = visit(30).zones[0]?.data;
    const near = (next?.strokes ?? []).filter((s) => Math.hypot(s.at[0] - 5, s.at[1] - 5) < 1);
    expect(near).toEqual([stroke]);
    expect(next?.bare).toEqual([{ at: [3, 8], radiusCm: 1.5, on: '2027-05-08' }]);
  });
});
