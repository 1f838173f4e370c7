import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { loadDemo } from '../../demo/loadDemo';
import { demoStudio } from '../../demo/studioForTests';
import type { OpenDatabase } from '../db/openDatabase';
import { readClient } from '../repos/clientRepo';
import { readVisit } from '../repos/visitRepo';
import { appendJournal } from './appendJournal';
import { loadBench, type Bench } from './bench';
import { saveChart, saveConsult, setZones } from './asTablet';
import { changeClient, createClient, loadClientCard } from './clients';
import { searchClients } from './clientSearch';
import { closeVisit } from './closeVisit';
import { openVisit } from './openVisit';
import { loadToday } from './today';

const NOW = Date.UTC(2027, 4, 8, 8, 0);
let open: OpenDatabase;

beforeEach(() => {
  open = demoStudio(NOW);
});
afterEach(() => open.close());

const value = <T>(result: { ok: true; value: T } | { ok: false; error: { code: string } }): T => {
  if (!result.ok) throw new Error(result.error.code);
  return result.value;
};
const code = (result: { ok: boolean; error?: { code: string } }): string =>
  result.ok ? 'ok' : (result.error?.code ?? '');
const opened = (client: string): { id: string; bench: Bench } => {
  const { visitId } = value(openVisit(open.db, { bookingId: `demo-booking-${client}` }, NOW));
  return { id: visitId, bench: value(loadBench(open.db, visitId, NOW)) };
};

/** The same with the consultation confirmed. */
const confirmed = (client: string): { id: string; bench: Bench } => {
  const { id, bench } = opened(client);
  const consult = { ...bench.visit.consult, consent: true, confirmedAtMs: NOW };
  return { id, bench: value(saveConsult(open.db, id, { version: bench.visit.version, consult }, NOW)) };
};
const wristOf = (plan: Bench['plan']) =>
  ({ id: 'wrist', atMs: NOW, kind: 'wrist', product: plan.zones[0]?.choice?.product ?? '' }) as const;

describe('the demo studio', () => {
  it('is the same for the same day, has a dozen clients, and refuses a second load', () => {
    expect(searchClients(open.db, '', NOW)).toHaveLength(14);
    expect(code(loadDemo(open.db, NOW))).toBe('refused');
    const card = value(loadClientCard(open.db, 'ottilie', NOW));
    expect(card.visits.length).toBeGreaterThan(8);
    expect(card.zones[0]?.rateFactor).toBeGreaterThan(0.9);
  });
  it('says on Today who needs a word: a minor, hair too short, consent missing', () => {
    const today = value(loadToday(open.db, NOW));
    expect(today.visits).toHaveLength(6);
    const words = Object.fromEntries(today.visits.map((v) => [v.clientId, v.words.map((w) => w.text).join(' ')]));
    expect(words['jory']).toContain('guardian');
    expect(words['marit']).toContain('Nothing holds this hair today');
    expect(words['anselm']).toContain('No consent');
    expect(words['ottilie']).toBe('');
  });
});

describe('a visit', () => {
  it('opens once for a booking, with last time’s chart at the length now likely', () => {
    const { id, bench } = opened('ottilie');
    expect(opened('ottilie').id).toBe(id);
    const [zone] = bench.zones;
    expect(zone?.data.confirmed).toBe(false);
    expect(zone?.data.marks).toHaveLength(1);
    expect(zone?.data.hair.lengthMm).toBeGreaterThan(4);
    expect(zone?.data.hair.lengthMm).toBeLessThan(9);
    expect(zone?.past.length).toBeGreaterThan(8);
  });
  it('refuses a stale version with what is newer, and changes nothing', () => {
    const { id, bench } = opened('ottilie');
    const said = (words: string): typeof bench.visit.consult => ({
      ...bench.visit.consult,
      agreed: { ...bench.visit.consult.agreed, words },
    });
    const consult = said('first');
    const saved = value(saveConsult(open.db, id, { version: bench.visit.version, consult }, NOW));
    const late = saveConsult(open.db, id, { version: bench.visit.version, consult: said('second') }, NOW);
    expect(late).toMatchObject({
      ok: false,
      error: {
        code: 'stale',
        newer: { visit: { version: saved.visit.version, consult: { agreed: { words: 'first' } } } },
      },
    });
    expect(readVisit(open.db, id)?.consult.agreed.words).toBe('first');
  });
  it('keeps charts of zones that stay when zones change, and refuses zones in one another', () => {
    const { id, bench } = opened('ottilie');
    const [left] = bench.zones;
    if (!left) throw new Error('a zone');
    const marked = value(saveChart(open.db, id, left, { version: 1, data: { ...left.data, marks: [] } }, NOW));
    const changed = value(
      setZones(
        open.db,
        id,
        {
          version: marked.visit.version,
          zones: [
            { zone: 'underarm', side: 'left' },
            { zone: 'upper-lip', side: 'middle' },
          ],
        },
        NOW,
      ),
    );
    expect(changed.zones.map((z) => z.zone)).toEqual(['underarm', 'upper-lip']);
    expect(changed.zones[0]?.data.marks).toEqual([]);
    expect(
      code(
        setZones(
          open.db,
          id,
          {
            version: changed.visit.version,
            zones: [
              { zone: 'bikini-edge', side: 'left' },
              { zone: 'bikini-extended', side: 'left' },
            ],
          },
          NOW,
        ),
      ),
    ).toBe('refused');
    expect(
      code(
        saveChart(
          open.db,
          id,
          left,
          { version: changed.visit.version, data: { ...left.data, strokes: [{ at: [500, 1], towards: [0, 1] }] } },
          NOW,
        ),
      ),
    ).toBe('invalid');
  });
  it('writes an act once, keeps it from other visits, and holds the plan once wax is laid', () => {
    const first = confirmed('ottilie');
    const second = confirmed('corwin');
    const { plan, planHash } = first.bench;
    const laid = { id: 'one', atMs: NOW, kind: 'laid', strip: plan.zones[0]?.strips[0]?.id ?? '' } as const;
    const acts = { events: [wristOf(plan), laid], plan: planHash };
    value(appendJournal(open.db, first.id, acts, NOW));
    expect(value(appendJournal(open.db, first.id, acts, NOW)).entries).toHaveLength(2);
    const elsewhere = { events: [laid], plan: second.bench.planHash };
    expect(code(appendJournal(open.db, second.id, elsewhere, NOW))).toBe('refused');
    const [zone] = first.bench.zones;
    if (!zone) throw new Error('a zone');
    const version = first.bench.visit.version;
    const sugar = { ...zone.data, product: 'sugar-firm', way: 'moulded', reason: 'x' };
    const after = value(saveChart(open.db, first.id, zone, { version, data: sugar }, NOW));
    expect(after.plan.zones).toEqual(plan.zones);
    expect(after.planHash).toBe(planHash);
    const undo = { id: 'two', atMs: NOW + 1, kind: 'undo', undoes: 'one' } as const;
    const [{ seq = 0 } = {}] = value(appendJournal(open.db, first.id, { events: [], plan: planHash }, NOW)).entries;
    const free = value(appendJournal(open.db, first.id, { events: [undo], plan: planHash, after: seq }, NOW));
    expect(free.entries.map((e) => e.event.id)).toEqual(['one', 'two']);
    expect(value(loadBench(open.db, first.id, NOW)).plan.zones[0]?.choice?.product).toBe('sugar-firm');
  });
  it('refuses an act noted differently before, wax on a visit not confirmed, and wax by a plan that is no longer', () => {
    const { id, bench } = opened('ottilie');
    const { plan, planHash } = bench;
    const wrist = wristOf(plan);
    value(appendJournal(open.db, id, { events: [wrist], plan: planHash }, NOW));
    const other = { events: [{ ...wrist, atMs: NOW + 5 }], plan: planHash };
    expect(code(appendJournal(open.db, id, other, NOW))).toBe('refused');
    const laid = { id: 'one', atMs: NOW, kind: 'laid', strip: plan.zones[0]?.strips[0]?.id ?? '' } as const;
    expect(code(appendJournal(open.db, id, { events: [laid], plan: planHash }, NOW))).toBe('refused');
    const sure = confirmed('ottilie');
    const [zone] = sure.bench.zones;
    if (!zone) throw new Error('a zone');
    const sugar = { ...zone.data, product: 'sugar-firm', way: 'moulded', reason: 'x' };
    value(saveChart(open.db, id, zone, { version: sure.bench.visit.version, data: sugar }, NOW));
    const seen = { events: [laid], plan: sure.bench.planHash };
    expect(appendJournal(open.db, id, seen, NOW)).toMatchObject({
      ok: false,
      error: { code: 'plan-changed', newer: { plan: { zones: [{ choice: { product: 'sugar-firm' } }, {}] } } },
    });
    expect(readVisit(open.db, id)?.planHash).toBeNull();
  });
  it('takes no wax where the screening stops the visit', () => {
    const { id, bench } = opened('ottilie');
    const facts = [...bench.visit.consult.facts, { fact: 'retinoid-oral' as const }];
    const consult = { ...bench.visit.consult, facts, confirmedAtMs: NOW };
    value(saveConsult(open.db, id, { version: bench.visit.version, consult }, NOW));
    const acts = [wristOf(bench.plan), { id: 'one', atMs: NOW, kind: 'laid', strip: 'x' } as const];
    expect(appendJournal(open.db, id, { events: acts, plan: bench.planHash }, NOW)).toMatchObject({
      error: { code: 'refused', message: 'The screening stops this visit: no wax today.' },
    });
  });
  it('is changed by two tablets in different places without a conflict, in the same place with one', () => {
    const { id, bench } = opened('ottilie');
    const [left, right] = bench.zones;
    if (!left || !right) throw new Error('two zones');
    const { version } = bench.visit;
    value(saveChart(open.db, id, left, { version, data: { ...left.data, marks: [] } }, NOW));
    value(saveChart(open.db, id, right, { version, data: { ...right.data, marks: [] } }, NOW));
    value(saveConsult(open.db, id, { version, consult: { ...bench.visit.consult, sensitivity: 4 } }, NOW));
    expect(code(saveChart(open.db, id, left, { version, data: left.data }, NOW))).toBe('stale');
    const ahead = { version: version + 100, data: left.data };
    expect(code(saveChart(open.db, id, left, ahead, NOW))).toBe('stale');
  });
  it('closes with its plan, care, card and next booking, all or nothing', () => {
    const { id, bench } = opened('ottilie');
    const facts = [...bench.visit.consult.facts, { fact: 'allergy-rosin' as const }, { fact: 'alcohol' as const }];
    const ready = value(
      saveConsult(open.db, id, { version: 1, consult: { ...bench.visit.consult, facts, confirmedAtMs: NOW } }, NOW),
    );
    expect(
      code(closeVisit(open.db, id, { version: ready.visit.version, next: { startsAtMs: NOW - 1, minutes: 30 } }, NOW)),
    ).toBe('refused');
    expect(code(closeVisit(open.db, id, { version: 1, next: null }, NOW))).toBe('stale');
    const closed = value(
      closeVisit(
        open.db,
        id,
        { version: ready.visit.version, next: { startsAtMs: NOW + 30 * 86_400_000, minutes: 40 } },
        NOW,
      ),
    );
    expect(closed.bookingId).not.toBeNull();
    // the same hour of the same practitioner is taken from then on
    const other = opened('corwin');
    const taken = { startsAtMs: NOW + 30 * 86_400_000 + 39 * 60_000, minutes: 20 };
    const refusal = closeVisit(open.db, other.id, { version: other.bench.visit.version, next: taken }, NOW);
    expect(refusal).toMatchObject({ error: { code: 'refused', details: [{ path: 'next.startsAtMs' }] } });
    expect(readVisit(open.db, other.id)?.status).toBe('open');
    const record = readVisit(open.db, id);
    expect(record).toMatchObject({ status: 'closed' });
    expect(record?.planHash).not.toBeNull();
    // medicines and what is asked once stay on the card; what passes does not
    expect(readClient(open.db, 'ottilie')?.profile.standing.map((f) => f.fact)).toEqual([
      'blood-thinner',
      'allergy-rosin',
    ]);
    expect(code(saveConsult(open.db, id, { version: record?.version ?? 0, consult: ready.visit.consult }, NOW))).toBe(
      'refused',
    );
    expect(value(loadClientCard(open.db, 'ottilie', NOW)).ahead).toHaveLength(1);
  });
});

describe('clients', () => {
  it('are found by any word, wild cards taken as they are written', () => {
    expect(searchClients(open.db, 'pastry', NOW).map((c) => c.id)).toEqual(['anselm']);
    expect(searchClients(open.db, 'organ teod', NOW).map((c) => c.id)).toEqual(['teodora']);
    expect(searchClients(open.db, '%', NOW)).toEqual([]);
    expect(searchClients(open.db, "'; drop table clients; --", NOW)).toEqual([]);
  });
  it('are added and changed with a version', () => {
    const known = readClient(open.db, 'ottilie');
    if (!known) throw new Error('demo client');
    const { name, byline, bornOn, phone, profile } = known;
    const { id } = value(
      createClient(open.db, { name: 'Nell Ashgrove', byline: '', bornOn: null, phone: '', note: '', profile }, NOW),
    );
    expect(readClient(open.db, id)?.name).toBe('Nell Ashgrove');
    const fields = { name, byline, bornOn, phone, note: 'new', profile };
    expect(value(changeClient(open.db, 'ottilie', { version: 1, ...fields }, 'ines', NOW)).version).toBe(2);
    expect(code(changeClient(open.db, 'ottilie', { version: 1, ...fields }, 'ines', NOW))).toBe('stale');
    expect(code(changeClient(open.db, 'nobody', { version: 1, ...fields }, 'ines', NOW))).toBe('not-found');
  });
});
