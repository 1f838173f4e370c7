import Database from 'better-sqlite3';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { addDays } from '../../core/shared';
import { answered, code, drawn, pathOf, signing, value } from '../../demo/formForTests';
import { demoStudio } from '../../demo/studioForTests';
import { civilDateAt } from '../clock';
import type { OpenDatabase } from '../db/openDatabase';
import { bookingsOfClient, readBooking, readClient, updateClient } from '../repos/clientRepo';
import { consentsOf, messagesOf, readForm } from '../repos/formRepo';
import { insertRuleChange } from '../repos/studioRepo';
import { closedVisits, readVisit } from '../repos/visitRepo';
import { loadBench, type Bench } from './bench';
import { saveConsult } from './asTablet';
import { handOver, loadForm, saveForm, signForm, takeBack } from './clientForm';
import { loadClientCard } from './clients';
import { closeVisit } from './closeVisit';
import { changeRule, loadRules } from './consultRules';
import { openVisit } from './openVisit';
import { proposePutOff, putOff } from './putOff';

const NOW = Date.UTC(2027, 4, 8, 8, 0);
const TODAY = '2027-05-08';
let open: OpenDatabase;
let file = '';

beforeEach(() => {
  const made = demoStudio(NOW);
  [open, file] = [made, made.file];
});
afterEach(() => open.close());

const opened = (client: string): { id: string; bench: Bench } => {
  const { visitId } = value(openVisit(open.db, { bookingId: `demo-booking-${client}` }, NOW));
  return { id: visitId, bench: value(loadBench(open.db, visitId, NOW)) };
};
describe('the client’s form', () => {
  const handed = (client: string, personId = 'ines') => {
    const { id } = opened(client);
    return { visitId: id, formId: value(handOver(open.db, id, { personId, newPin: '2468' }, NOW)).formId };
  };
  it('is handed over only once there is a PIN to take it back with; the PIN lies hashed', () => {
    const { id } = opened('lucia');
    expect(pathOf(handOver(open.db, id, { personId: 'ines' }, NOW))).toBe('newPin');
    expect(code(handOver(open.db, id, { personId: 'nobody', newPin: '2468' }, NOW))).toBe('not-found');
    value(handOver(open.db, id, { personId: 'ines', newPin: '2468' }, NOW));
    expect(pathOf(handOver(open.db, id, { personId: 'ines', newPin: '1357' }, NOW))).toBe('newPin');
    const raw = new Database(file, { readonly: true });
    expect(JSON.stringify(raw.prepare('select * from people').all())).toMatch(/\$argon2id\$/);
    expect(JSON.stringify(raw.prepare('select * from people').all())).not.toContain('2468');
    raw.close();
  });
  it('keeps every step, refuses a stale one, and goes on where it was when it is handed over anew', async () => {
    const { visitId, formId } = handed('lucia');
    const form = value(loadForm(open.db, formId));
    expect(form).toMatchObject({ state: 'filling', lastOn: null, clientName: 'Lúcia Penhallow' });
    const { version } = value(
      saveForm(open.db, formId, { version: form.version, data: answered({ page: 4, answers: [] }) }),
    );
    expect(code(saveForm(open.db, formId, { version: form.version, data: answered() }))).toBe('stale');
    expect(value(await takeBack(open.db, formId, '2468', NOW))).toEqual({ visitId, personId: 'ines' });
    expect(pathOf(saveForm(open.db, formId, { version: version + 1, data: answered() }))).toBe('state');
    expect(value(handOver(open.db, visitId, { personId: 'ines' }, NOW)).formId).toBe(formId);
    expect(value(loadForm(open.db, formId)).data.page).toBe(4);
  });
  it('signed: consent, answers and the words signed are there together; facts of the card stay unless they are no longer so', () => {
    const { visitId, formId } = handed('ottilie');
    const form = value(loadForm(open.db, formId));
    expect(form.standing.map((s) => s.fact)).toEqual(['blood-thinner']);
    const spots = [{ figure: 'front', at: [65, 50], kind: 'sore', zone: 'underarm', side: 'left' }] as const;
    const data = answered({
      answers: [
        ...answered().answers.filter((a) => a.id !== 'products' && a.id !== 'sun'),
        { id: 'products', answer: 'some', facts: [{ fact: 'acid-exfoliant', daysAgo: 3 }] },
        { id: 'sun', answer: 'unsure', facts: [] },
      ],
      spots,
    });
    value(signForm(open.db, formId, signing(form.version, data), NOW));
    const { visit, plan } = value(loadBench(open.db, visitId, NOW));
    expect(visit.consult.facts).toEqual([
      { fact: 'blood-thinner' },
      { fact: 'acid-exfoliant', lastOn: addDays(TODAY, -3) },
    ]);
    expect(visit.consult).toMatchObject({
      consent: true,
      confirmedAtMs: null,
      unsure: ['sunburn', 'recent-resurfacing'],
      spots,
    });
    expect(plan.screening).toMatchObject({ outcome: 'postpone', earliestOn: addDays(TODAY, 4) });
    const [consent] = consentsOf(open.db, 'ottilie');
    expect(consent).toMatchObject({ textVersion: 1, signedBy: 'client', signature: drawn });
    expect(consent?.words).toContain('burn');
    expect(code(signForm(open.db, formId, signing(form.version + 1, data), NOW))).toBe('refused');
  });
  it('drops a lasting fact that the client says is over, at the close of the visit from the card too', () => {
    const { visitId, formId } = handed('ottilie');
    value(signForm(open.db, formId, signing(1, answered({ noLonger: ['blood-thinner'] })), NOW));
    const { visit } = value(loadBench(open.db, visitId, NOW));
    expect(visit.consult.facts).toEqual([]);
    value(closeVisit(open.db, visitId, { version: visit.version, next: null }, NOW));
    expect(readClient(open.db, 'ottilie')?.profile.standing).toEqual([
      { fact: 'blood-thinner', since: addDays(TODAY, -250), until: addDays(TODAY, -1) },
    ]);
    expect(value(loadClientCard(open.db, 'ottilie', NOW)).alerts).toEqual([]);
  });
  it('is not signed with an open question, without a signature, or by a minor alone', () => {
    const { formId } = handed('jory', 'bao');
    const data = answered();
    expect(pathOf(signForm(open.db, formId, signing(1, { ...data, answers: data.answers.slice(1) }), NOW))).toBe(
      'data.answers.products',
    );
    expect(
      pathOf(signForm(open.db, formId, signing(1, data, { signature: { kind: 'drawn', strokes: [] } }), NOW)),
    ).toBe('signature');
    expect(pathOf(signForm(open.db, formId, signing(1, data), NOW))).toBe('guardianSignature');
    expect(
      pathOf(
        signForm(
          open.db,
          formId,
          signing(1, { ...data, guardianName: 'Wren' }, { textVersion: 9, guardianSignature: drawn }),
          NOW,
        ),
      ),
    ).toBe('textVersion');
    expect(consentsOf(open.db, 'jory')).toEqual([]);
    expect(readForm(open.db, formId)?.state).toBe('filling');
    value(
      signForm(
        open.db,
        formId,
        signing(
          1,
          { ...data, guardianName: 'Wren Pelham' },
          { guardianSignature: { kind: 'typed', name: 'Wren Pelham' } },
        ),
        NOW,
      ),
    );
    expect(
      consentsOf(open.db, 'jory')
        .map((c) => c.signedBy)
        .sort(),
    ).toEqual(['client', 'guardian']);
    expect(readClient(open.db, 'jory')?.profile.guardianConsentOn).toBe(TODAY);
  });
  it('of a client of seventeen wants the guardian too, of one who is eighteen today does not', () => {
    const { formId } = handed('jory', 'bao');
    const born = (bornOn: string): void => {
      const card = readClient(open.db, 'jory');
      if (!card || !updateClient(open.db, 'jory', card.version, { bornOn })) throw new Error('the card');
    };
    const birthday = (years: number, day: string): string => `${Number(TODAY.slice(0, 4)) - years}${day}`;
    born(birthday(18, addDays(TODAY, 1).slice(4)));
    expect(pathOf(signForm(open.db, formId, signing(1, answered()), NOW))).toBe('guardianSignature');
    born(birthday(18, TODAY.slice(4)));
    expect(signForm(open.db, formId, signing(1, answered()), NOW).ok).toBe(true);
  });
  it('is taken back with a PIN alone; wrong ones make the next try wait, longer each time', async () => {
    const { formId } = handed('lucia');
    for (let k = 0; k < 2; k++) expect(code(await takeBack(open.db, formId, '1111', NOW))).toBe('refused');
    expect(readForm(open.db, formId)?.pinWaitUntilMs).toBe(NOW);
    await takeBack(open.db, formId, '1111', NOW);
    expect(code(await takeBack(open.db, formId, '2468', NOW + 9_000))).toBe('refused');
    await takeBack(open.db, formId, '1111', NOW + 10_000);
    expect(code(await takeBack(open.db, formId, '2468', NOW + 29_000))).toBe('refused');
    expect(value(await takeBack(open.db, formId, '2468', NOW + 30_000)).personId).toBe('ines');
  });
  it('what was signed cannot be changed or deleted afterwards', () => {
    const { formId } = handed('lucia');
    value(signForm(open.db, formId, signing(1, answered()), NOW));
    const raw = new Database(file);
    expect(() => raw.prepare("update consents set words = 'other'").run()).toThrow(/append-only/);
    expect(() => raw.prepare('delete from consents').run()).toThrow(/append-only/);
    raw.close();
  });
});

describe('the confirmed answer', () => {
  it('keeps the rules that gave it, whatever is changed afterwards; the tablet cannot write it', () => {
    const { id, bench } = opened('ottilie');
    const forged = { ruleSet: '9.9', atMs: 1, outcome: 'go', earliestOn: null, reasons: [] } as const;
    const saved = value(
      saveConsult(
        open.db,
        id,
        { version: bench.visit.version, consult: { ...bench.visit.consult, judged: forged, confirmedAtMs: NOW } },
        NOW,
      ),
    );
    expect(saved.visit.consult.judged).toMatchObject({
      ruleSet: '3.0',
      outcome: 'adapt',
      reasons: [{ code: 'blood.thinner' }],
    });
    value(changeRule(open.db, { code: 'blood.thinner', outcome: 'postpone', reason: '' }, 'ines', NOW));
    const later = value(loadBench(open.db, id, NOW));
    expect(later.visit.consult.judged?.ruleSet).toBe('3.0');
    expect(later.plan.screening).toMatchObject({ outcome: 'postpone', ruleSet: '3.1' });
  });
  it('refuses an override of a hard rule and writes nothing', () => {
    const { id, bench } = opened('ottilie');
    const consult = {
      ...bench.visit.consult,
      facts: [{ fact: 'broken-skin' }],
      overrides: [{ code: 'skin.broken', zone: null, reason: 'it is only small', atMs: NOW }],
    } as const;
    expect(pathOf(saveConsult(open.db, id, { version: bench.visit.version, consult }, NOW))).toBe(
      'consult.overrides[0].code',
    );
    expect(readVisit(open.db, id)?.consult.facts).toEqual([{ fact: 'blood-thinner' }]);
    const soft = {
      ...consult,
      facts: [{ fact: 'sunburn' }],
      overrides: [{ code: 'skin.sunburn', zone: null, reason: 'on the shoulders only', atMs: NOW }],
    } as const;
    expect(
      value(saveConsult(open.db, id, { version: bench.visit.version, consult: soft }, NOW)).plan.screening.outcome,
    ).toBe('adapt');
  });
});

describe('rules of the studio', () => {
  it('are changed with a name and a reason, shown beside what was shipped, and never loosened where they are hard', () => {
    value(changeRule(open.db, { code: 'skin.acid', waitDays: 10, reason: 'more careful' }, 'bao', NOW));
    const page = loadRules(open.db);
    expect(page.name).toBe('3.1');
    expect(page.rows.find((r) => r.code === 'skin.acid')).toMatchObject({
      wait: '10 days',
      shipped: { wait: '7 days' },
    });
    expect(page.changes).toMatchObject([{ code: 'skin.acid', by: 'Bao', reason: 'more careful' }]);
    expect(
      pathOf(changeRule(open.db, { code: 'skin.broken', outcome: 'adapt', reason: 'a very good reason' }, 'bao', NOW)),
    ).toBe('code');
    expect(pathOf(changeRule(open.db, { code: 'skin.acid', waitDays: 3, reason: '' }, 'bao', NOW))).toBe('reason');
    expect(loadRules(open.db).changes).toHaveLength(1);
  });
  it('of an older program that loosen what has become hard hold no more; the others go on', () => {
    value(changeRule(open.db, { code: 'skin.acid', waitDays: 10, reason: 'more careful' }, 'bao', NOW));
    insertRuleChange(open.db, {
      code: 'health.chemo',
      outcome: 'adapt',
      waitDays: null,
      reason: 'a very good reason',
      personId: 'bao',
      atMs: NOW,
    });
    const page = loadRules(open.db);
    expect(page.changes.map((c) => [c.code, c.refusal])).toEqual([
      ['health.chemo', 'This rule is never loosened.'],
      ['skin.acid', null],
    ]);
    expect(page.rows.find((r) => r.code === 'health.chemo')).toMatchObject({ outcome: 'postpone', hard: true });
    expect(page.rows.find((r) => r.code === 'skin.acid')?.wait).toBe('10 days');
  });
});

describe('putting off', () => {
  const stopped = (client: string, facts: Bench['visit']['consult']['facts']) => {
    const { id, bench } = opened(client);
    return {
      id,
      bench: value(
        saveConsult(
          open.db,
          id,
          { version: bench.visit.version, consult: { ...bench.visit.consult, consent: true, facts } },
          NOW,
        ),
      ),
    };
  };
  it('is moved too where only consent is missing: a signature names no day', () => {
    const { id, bench } = opened('jory');
    expect(bench.visit.consult.consent).toBe(false);
    const [date] = value(proposePutOff(open.db, id, NOW)).dates;
    if (!date) throw new Error('a date was named');
    const next = { startsAtMs: date.startsAtMs, minutes: 30 };
    const { version } = bench.visit;
    value(putOff(open.db, id, { version, as: 'postponed', next, words: '', post: false }, NOW));
    // the record keeps what was true: there was no consent
    expect(readVisit(open.db, id)?.consult.judged?.reasons.map((r) => r.code)).toContain('person.no-consent');
  });
  it('knows what was answered no last time, and takes no yes for one', () => {
    const { bench } = opened('ottilie');
    const found = bench.visit.consult.facts.map((f) => f.fact);
    expect(found).toContain('blood-thinner');
    const before = bench.client.saidNoBefore;
    expect(before?.facts).toContain('sunburn');
    expect(before?.facts.filter((f) => found.includes(f))).toEqual([]);
    expect(opened('jory').bench.client.saidNoBefore).toBeNull();
  });
  it('proposes the first date that suits skin, hair, regatta and the practitioner, with the words', () => {
    const { id } = stopped('corwin', [{ fact: 'sunburn', lastOn: TODAY, zones: ['lower-leg-front'] }]);
    const proposal = value(proposePutOff(open.db, id, NOW));
    expect(proposal).toMatchObject({ outcome: 'postpone', earliestOn: addDays(TODAY, 7), minutes: 65 });
    expect(proposal.dates[0]?.on).toBe(addDays(TODAY, 7));
    expect(civilDateAt(proposal.dates[0]?.startsAtMs ?? 0, 'Europe/London')).toBe(addDays(TODAY, 7));
    expect(proposal.messages[0]).toContain('Saturday 15 May at 10:15');
  });
  it('moves the booking, keeps the visit with its reasons and the words, and counts it as no wax', () => {
    const { id, bench } = stopped('corwin', [{ fact: 'sunburn', lastOn: TODAY }]);
    const before = closedVisits(open.db, 'corwin').length;
    const [date] = value(proposePutOff(open.db, id, NOW)).dates;
    if (!date) throw new Error('a date');
    const { bookingId } = value(
      putOff(
        open.db,
        id,
        {
          version: bench.visit.version,
          as: 'postponed',
          next: { startsAtMs: date.startsAtMs, minutes: 65 },
          words: 'Dear Corwin',
          post: true,
        },
        NOW,
      ),
    );
    expect(readBooking(open.db, 'demo-booking-corwin')?.status).toBe('cancelled');
    expect(readBooking(open.db, bookingId ?? '')?.startsAtMs).toBe(date.startsAtMs);
    expect(readVisit(open.db, id)).toMatchObject({
      status: 'closed',
      endedAs: 'postponed',
      consult: { judged: { outcome: 'postpone' } },
    });
    expect(closedVisits(open.db, 'corwin')).toHaveLength(before);
    expect(messagesOf(open.db, 'corwin')).toMatchObject([{ words: 'Dear Corwin', kind: 'postponed', postedAtMs: NOW }]);
    const card = value(loadClientCard(open.db, 'corwin', NOW));
    expect(card.notDone).toMatchObject([{ endedAs: 'postponed' }]);
    expect(card.ahead.map((b) => b.bookingId)).toEqual([bookingId]);
  });
  it('refuses a date before the skin is ready, a date while the doctor’s word is awaited, a stale tablet, and does nothing then', () => {
    const sun = stopped('corwin', [{ fact: 'sunburn', lastOn: TODAY }]);
    const next = { startsAtMs: NOW + 3 * 86_400_000, minutes: 30 };
    expect(
      pathOf(
        putOff(
          open.db,
          sun.id,
          { version: sun.bench.visit.version, as: 'postponed', next, words: '', post: false },
          NOW,
        ),
      ),
    ).toBe('next.startsAtMs');
    expect(
      code(putOff(open.db, sun.id, { version: 1, as: 'postponed', next: null, words: '', post: false }, NOW)),
    ).toBe('stale');
    const chemo = stopped('ottilie', [{ fact: 'chemo-radio' }]);
    expect(value(proposePutOff(open.db, chemo.id, NOW)).dates).toEqual([]);
    expect(
      pathOf(
        putOff(
          open.db,
          chemo.id,
          {
            version: chemo.bench.visit.version,
            as: 'postponed',
            next: { startsAtMs: NOW + 90 * 86_400_000, minutes: 30 },
            words: '',
            post: false,
          },
          NOW,
        ),
      ),
    ).toBe('next');
    expect(bookingsOfClient(open.db, 'corwin').filter((b) => b.status === 'booked')).toHaveLength(1);
    expect(messagesOf(open.db, 'corwin')).toEqual([]);
  });
  it('declines with a note and without a new date', () => {
    const { id, bench } = stopped('ottilie', [{ fact: 'numb-skin' }]);
    expect(value(proposePutOff(open.db, id, NOW)).referral).toContain('cannot feel heat');
    expect(
      pathOf(
        putOff(
          open.db,
          id,
          {
            version: bench.visit.version,
            as: 'declined',
            next: { startsAtMs: NOW + 86_400_000, minutes: 30 },
            words: 'x',
            post: false,
          },
          NOW,
        ),
      ),
    ).toBe('next');
    value(
      putOff(
        open.db,
        id,
        { version: bench.visit.version, as: 'declined', next: null, words: 'To the doctor', post: false },
        NOW,
      ),
    );
    expect(messagesOf(open.db, 'ottilie')).toMatchObject([{ kind: 'referral', postedAtMs: null }]);
    // what stopped it is on the card, and what was on the card stays there
    expect(readClient(open.db, 'ottilie')?.profile.standing).toMatchObject([
      { fact: 'numb-skin', since: TODAY },
      { fact: 'blood-thinner' },
    ]);
    expect(value(loadClientCard(open.db, 'ottilie', NOW)).alerts).toContain('Skin that cannot feel heat');
  });
});
