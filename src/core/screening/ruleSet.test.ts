import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { COMBINATIONS } from './combinations';
import { judge } from './judge';
import { referenceTable } from './referenceTable';
import { RULE_SET_VERSION, RULES } from './rules';
import { checkRuleChange, isLoosening, ruleSetOf, SHIPPED_RULE_SET, STRICTNESS, waitOf } from './ruleSet';
import { OUTCOMES, type RuleChange } from './types';

const failure = (change: RuleChange): string => {
  const checked = checkRuleChange(change);
  return checked.ok ? 'ok' : checked.error.code;
};
const setOf = (changes: readonly RuleChange[]) => {
  const set = ruleSetOf(changes);
  if (!set.ok) throw new Error(set.error.code);
  return set.value;
};
const input = {
  on: '2027-05-14',
  consent: true,
  guardianConsent: false,
  sensitivity: 3,
  zones: [
    {
      zone: 'underarm',
      side: 'left',
      hair: { lengthMm: 7, coarseness: 3, density: 3, curl: 1, history: 'regular', past: [] },
    },
  ],
} as const;

describe('changes of the rules', () => {
  it('tighten without a reason, and the answer follows', () => {
    const set = setOf([
      { code: 'skin.acid', waitDays: 10, reason: '' },
      { code: 'blood.thinner', outcome: 'postpone', reason: '' },
    ]);
    expect(judge({ ...input, facts: [{ fact: 'acid-exfoliant', lastOn: '2027-05-05' }] }).outcome).toBe('go');
    expect(judge({ ...input, ruleSet: set, facts: [{ fact: 'acid-exfoliant', lastOn: '2027-05-05' }] })).toMatchObject({
      outcome: 'postpone',
      earliestOn: '2027-05-15',
      ruleSet: `${RULE_SET_VERSION}.2`,
    });
    expect(judge({ ...input, ruleSet: set, facts: [{ fact: 'blood-thinner' }] }).outcome).toBe('postpone');
  });
  it('loosen only with a written reason', () => {
    expect(failure({ code: 'skin.acid', waitDays: 5, reason: '' })).toBe('rule.reason-missing');
    expect(failure({ code: 'skin.acid', waitDays: 5, reason: 'short' })).toBe('rule.reason-missing');
    expect(failure({ code: 'skin.acid', waitDays: 5, reason: 'our toner is very mild' })).toBe('ok');
    expect(failure({ code: 'blood.thinner', outcome: 'go', reason: '' })).toBe('rule.reason-missing');
  });
  it.each(RULES.filter((r) => r.hard).map((r) => [r.code, r.outcome] as const))('never loosen %s', (code, outcome) => {
    for (const milder of OUTCOMES.filter((o) => STRICTNESS[o] < STRICTNESS[outcome])) {
      expect(failure({ code, outcome: milder, reason: 'a very good reason' })).toBe('rule.hard');
    }
    expect(failure({ code, waitDays: 1, reason: 'a very good reason' })).toBe('rule.hard');
  });
  it('names what is wrong: an unknown rule, no change, a wait that is none', () => {
    expect(failure({ code: 'nobody', outcome: 'decline', reason: '' })).toBe('rule.unknown');
    expect(failure({ code: 'skin.acid', reason: 'a reason' })).toBe('rule.nothing');
    for (const waitDays of [0, -1, 1.5, Number.NaN, 1001]) {
      expect(failure({ code: 'skin.acid', waitDays, reason: 'a very good reason' })).toBe('rule.wait');
    }
  });
  it('the last change of a rule counts, and a wait in days takes the place of one in months', () => {
    const set = setOf([
      { code: 'skin.retinoid-oral', waitDays: 500, reason: '' },
      { code: 'skin.acid', waitDays: 9, reason: '' },
      { code: 'skin.acid', waitDays: 12, reason: '' },
    ]);
    expect(set.rules.find((r) => r.code === 'skin.acid')?.waitDays).toBe(12);
    const oral = set.rules.find((r) => r.code === 'skin.retinoid-oral');
    expect(oral && waitOf(oral)).toBe(500);
    expect(judge({ ...input, ruleSet: set, facts: [{ fact: 'retinoid-oral', lastOn: '2026-03-01' }] }).outcome).toBe(
      'postpone',
    );
  });
  it('a tightened set never answers more mildly than the shipped one', () => {
    const change = fc.record({
      code: fc.constantFrom(...RULES.map((r) => r.code), ...COMBINATIONS.map((c) => c.code)),
      outcome: fc.constantFrom(...OUTCOMES),
      reason: fc.constant(''),
    });
    fc.assert(
      fc.property(fc.array(change, { maxLength: 4 }), fc.constantFrom(...RULES.map((r) => r.fact)), (changes, fact) => {
        const tight = changes.filter((c) => failure(c) === 'ok');
        for (const c of tight) {
          const rule = RULES.find((r) => r.code === c.code) ?? COMBINATIONS.find((r) => r.code === c.code);
          expect(rule && isLoosening(rule, c)).toBe(false);
        }
        expect(
          STRICTNESS[judge({ ...input, ruleSet: setOf(tight), facts: [{ fact }] }).outcome],
        ).toBeGreaterThanOrEqual(STRICTNESS[judge({ ...input, facts: [{ fact }] }).outcome]);
      }),
      { seed: 11, numRuns: 200 },
    );
  });
});

describe('referenceTable', () => {
  it('has every rule once, with words for what is found and for both readers', () => {
    const rows = referenceTable(SHIPPED_RULE_SET);
    expect(new Set(rows.map((r) => r.code)).size).toBe(rows.length);
    for (const code of [...RULES, ...COMBINATIONS].map((r) => r.code)) expect(rows.map((r) => r.code)).toContain(code);
    for (const r of rows) expect([r.when, r.text, r.clientText, r.wait].every((t) => t.length > 1)).toBe(true);
    expect(new Set(rows.map((r) => r.scope))).toEqual(new Set(['whole visit', 'zone', 'product', 'spot']));
  });
  it('shows the studio’s own wait', () => {
    expect(
      referenceTable(setOf([{ code: 'skin.acid', waitDays: 12, reason: '' }])).find((r) => r.code === 'skin.acid'),
    ).toMatchObject({ wait: '12 days', waitDays: 12 });
  });
});

describe('what a change may and may not', () => {
  it('refuses them all where one is refused, whichever it is', () => {
    const good: RuleChange = { code: 'skin.acid', waitDays: 10, reason: '' };
    const bad: RuleChange = { code: 'skin.acid', waitDays: 1, reason: 'short' };
    const answers = [[bad], [good, bad], [bad, good]].map((changes) => ruleSetOf(changes));
    expect(answers.map((a) => (a.ok ? 'ok' : a.error.code))).toEqual(Array(3).fill('rule.reason-missing'));
    expect(ruleSetOf([good]).ok).toBe(true);
  });
  it('asks no reason for what is as strict as before, and one for the first day less', () => {
    const acid = RULES.find((r) => r.code === 'skin.acid');
    const wait = acid ? waitOf(acid) : null;
    expect(wait).toBeGreaterThan(1);
    expect(failure({ code: 'skin.acid', waitDays: wait ?? 0, reason: '' })).toBe('ok');
    expect(failure({ code: 'skin.acid', waitDays: (wait ?? 0) - 1, reason: '' })).toBe('rule.reason-missing');
    expect(failure({ code: 'skin.acid', outcome: 'postpone', reason: '' })).toBe('ok');
    expect(failure({ code: 'skin.acid', outcome: 'decline', reason: '' })).toBe('ok');
    expect(failure({ code: 'skin.acid', outcome: 'adapt', reason: '' })).toBe('rule.reason-missing');
  });
  it('counts the letters of a reason, not the blanks, and days up to a thousand', () => {
    const milder = { code: 'skin.acid', outcome: 'adapt' } as const;
    expect(failure({ ...milder, reason: 'mild gel' })).toBe('ok');
    expect(failure({ ...milder, reason: '  mild g    ' })).toBe('rule.reason-missing');
    expect(failure({ code: 'skin.acid', waitDays: 1000, reason: '' })).toBe('ok');
    expect(failure({ code: 'skin.acid', waitDays: 1001, reason: '' })).toBe('rule.wait');
  });
  it('reaches the rules of two facts together as well', () => {
    const code = 'both.thinner-alcohol';
    expect(failure({ code, outcome: 'decline', reason: '' })).toBe('ok');
    const set = setOf([{ code, outcome: 'decline', reason: '' }]);
    const both = [{ fact: 'blood-thinner' }, { fact: 'alcohol', lastOn: input.on }] as const;
    expect(judge({ ...input, facts: both }).outcome).not.toBe('decline');
    expect(judge({ ...input, ruleSet: set, facts: both }).outcome).toBe('decline');
  });
});
