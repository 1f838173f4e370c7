import { describe, expect, it } from 'vitest';
import { CONSENT_TEXT } from '../agreement';
import { COMBINATIONS } from './combinations';
import { judge } from './judge';
import { postponeMessage, referralNote } from './messages';
import { QUESTIONS } from './questions';
import { PERSON_RULES, RULES } from './rules';
import { SPOT_RULES } from './spots';
import { FACTS } from './types';

const STOP_ADVICE =
  /\b(stop|pause|skip|reduce|halve|discontinue|leave off|come off|go without|interrupt|cut down|do not take|don.t take)\b[^.]*\b(medicine|medication|tablet|pill|cream|thinner|aspirin|ibuprofen|cortisone|steroid|retinoid|antibiotic|insulin|dose|drug)/i;
const hair = { lengthMm: 7, coarseness: 3, density: 3, curl: 1, history: 'regular', past: [] } as const;
const about = { clientName: 'Nell', studioName: 'Saltmarsh Row', practitionerName: 'Ines', what: 'both underarms' };
const reasonsOf = (fact: (typeof FACTS)[number]) =>
  judge({
    on: '2027-05-14',
    consent: true,
    guardianConsent: false,
    sensitivity: 3,
    facts: [{ fact }],
    zones: [{ zone: 'upper-lip', side: 'middle', hair }],
  }).reasons;
const messages = FACTS.flatMap((fact) => {
  const input = { ...about, reasons: reasonsOf(fact) };
  return [
    postponeMessage(input, null, 'Friday 21 May'),
    postponeMessage(input, 'Friday 21 May at 10:15', null),
    postponeMessage(input, null, null),
    referralNote(input, 'Friday 14 May'),
  ];
});
const rules = [...RULES, ...COMBINATIONS, ...SPOT_RULES, ...Object.values(PERSON_RULES)].flatMap((r) => [
  r.text,
  r.clientText,
]);
const form = QUESTIONS.flatMap((q) => [q.text, q.note ?? 'no note here', ...q.choices.map((c) => c.explain)]);
const every = [...rules, ...form, ...messages, ...CONSENT_TEXT.paragraphs, CONSENT_TEXT.guardian];

describe('every sentence', () => {
  it('is caught by the check where it does advise to stop a medicine', () => {
    for (const bad of [
      'Please stop your blood thinner for two days.',
      'Skip the aspirin tonight.',
      'Do not take your tablets before.',
    ]) {
      expect(bad).toMatch(STOP_ADVICE);
    }
  });
  it('never advises to stop, pause, skip or reduce a medicine', () => {
    for (const s of every) expect(s).not.toMatch(STOP_ADVICE);
  });
  it('says in both voices what each fact means, without exclamation marks', () => {
    for (const fact of FACTS.filter((f) => f !== 'minor')) expect(RULES.some((r) => r.fact === fact)).toBe(true);
    for (const s of every) expect(s.length > 5 && !s.includes('!')).toBe(true);
  });
});

describe('words for the client and the doctor', () => {
  const acid = { ...about, reasons: reasonsOf('acid-exfoliant') };
  it('name the new time, or the earliest date, or the doctor’s word; the reason in plain words', () => {
    expect(postponeMessage(acid, 'Friday 21 May at 10:15', null)).toMatch(
      /Dear Nell,[\s\S]*a week after a peel[\s\S]*moved your appointment to Friday 21 May at 10:15/,
    );
    expect(postponeMessage(acid, null, 'Friday 21 May')).toContain('From Friday 21 May we can look again');
    expect(postponeMessage({ ...about, reasons: reasonsOf('chemo-radio') }, null, null)).toContain(
      'as soon as your doctor has agreed',
    );
  });
  it('give each reason once, and only those that stop', () => {
    const twice = { ...about, reasons: [...acid.reasons, ...acid.reasons, ...reasonsOf('caffeine')] };
    const text = postponeMessage(twice, null, null);
    expect(text.split('a week after a peel')).toHaveLength(2);
    expect(text).not.toContain('Coffee');
  });
  it('refer with what was found, no diagnosis, and leave medicines to whoever prescribed them', () => {
    const note = referralNote({ ...about, reasons: reasonsOf('numb-skin') }, 'Friday 14 May');
    expect(note).toContain('cannot feel heat');
    expect(note).toContain('Any medicine stays as you have prescribed it.');
  });
});
