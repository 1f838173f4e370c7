// The rules that a visit is judged by: the shipped set with the studio's own changes laid over it. Tightening is free;
// loosening needs a written reason; hard rules are never loosened.

import { fail, ok, type CoreError, type Result } from '../shared';
import { COMBINATIONS, type Combination } from './combinations';
import { RULE_SET_VERSION, RULES } from './rules';
import type { Outcome, Rule, RuleChange } from './types';

export const STRICTNESS: Readonly<Record<Outcome, number>> = { go: 0, adapt: 1, postpone: 2, decline: 3 };

export interface RuleSet {
  /** `2.0` as shipped, `2.3` after the studio's third change. */
  readonly name: string;
  readonly rules: readonly Rule[];
  readonly combinations: readonly Combination[];
}

export const SHIPPED_RULE_SET: RuleSet = { name: `${RULE_SET_VERSION}.0`, rules: RULES, combinations: COMBINATIONS };

const DAYS_A_MONTH = 31;
const SHORTEST_REASON = 8;
const LONGEST_WAIT_DAYS = 1000;

/** Waiting time in days; null = as long as the fact stands. */
export const waitOf = (rule: Pick<Rule, 'waitDays' | 'waitMonths'>): number | null =>
  rule.waitMonths !== undefined ? rule.waitMonths * DAYS_A_MONTH : (rule.waitDays ?? null);

const isHard = (rule: Rule | Combination): boolean => 'hard' in rule && rule.hard === true;

/** True where the change makes the rule milder: a milder outcome, or a shorter wait. */
export function isLoosening(rule: Rule | Combination, change: RuleChange): boolean {
  if (change.outcome !== undefined && STRICTNESS[change.outcome] < STRICTNESS[rule.outcome]) return true;
  const wait = waitOf(rule);
  return change.waitDays !== undefined && (wait === null || change.waitDays < wait);
}

export interface RuleChangeError extends CoreError {
  readonly code: 'rule.unknown' | 'rule.hard' | 'rule.reason-missing' | 'rule.nothing' | 'rule.wait';
}

/**
 * Checks one change against the shipped rule.
 * Errors: `rule.unknown`, `rule.nothing` (neither outcome nor wait), `rule.wait` (not 1–1000 whole days), `rule.hard`
 * (loosens what must stand), `rule.reason-missing` (loosens without a reason of at least eight letters).
 */
export function checkRuleChange(change: RuleChange): Result<RuleChange, RuleChangeError> {
  const rule = RULES.find((r) => r.code === change.code) ?? COMBINATIONS.find((c) => c.code === change.code);
  if (!rule) return fail({ code: 'rule.unknown', message: `No rule "${change.code}".`, path: 'code' });
  if (change.outcome === undefined && change.waitDays === undefined) {
    return fail({ code: 'rule.nothing', message: 'Give an outcome or a waiting time.', path: 'outcome' });
  }
  if (
    change.waitDays !== undefined &&
    !(Number.isInteger(change.waitDays) && change.waitDays >= 1 && change.waitDays <= LONGEST_WAIT_DAYS)
  ) {
    return fail({ code: 'rule.wait', message: 'The wait is a whole number of days from 1 to 1000.', path: 'waitDays' });
  }
  if (!isLoosening(rule, change)) return ok(change);
  if (isHard(rule)) return fail({ code: 'rule.hard', message: 'This rule is never loosened.', path: 'code' });
  if (change.reason.trim().length < SHORTEST_REASON) {
    return fail({ code: 'rule.reason-missing', message: 'A milder rule needs a written reason.', path: 'reason' });
  }
  return ok(change);
}

/** A wait in days replaces one in months. */
function withoutMonths<T extends Rule | Combination>(rule: T): T {
  const copy: { waitMonths?: number } & T = { ...rule };
  delete copy.waitMonths;
  return copy;
}

function changed<T extends Rule | Combination>(rule: T, change: RuleChange | undefined): T {
  if (!change) return rule;
  const waited = change.waitDays === undefined ? rule : { ...withoutMonths(rule), waitDays: change.waitDays };
  return { ...waited, ...(change.outcome === undefined ? {} : { outcome: change.outcome }) };
}

/** The set with the studio's changes, the last one for a code counting; the first fault refuses them all. */
export function ruleSetOf(changes: readonly RuleChange[]): Result<RuleSet, RuleChangeError> {
  if (changes.length === 0) return ok(SHIPPED_RULE_SET);
  for (const change of changes) {
    const checked = checkRuleChange(change);
    if (!checked.ok) return checked;
  }
  const last = new Map(changes.map((c) => [c.code, c]));
  return ok({
    name: `${RULE_SET_VERSION}.${changes.length}`,
    rules: RULES.map((r) => changed(r, last.get(r.code))),
    combinations: COMBINATIONS.map((c) => changed(c, last.get(c.code))),
  });
}
