// The rules that a visit is judged by here: the shipped set with the studio's changes; and the answer that is kept with
// a visit.

import 'server-only';
import { may, type Role } from '../../core/doors';
import { judgeCase } from '../../core/plan';
import {
  checkRuleChange,
  mayOverride,
  referenceTable,
  ruleSetOf,
  SHIPPED_RULE_SET,
  type ReferenceRow,
  type RuleChange,
  type RuleSet,
} from '../../core/screening';
import { ok } from '../../core/shared';
import { atomically } from '../db/atomically';
import type { Db, DbOrTx } from '../db/openDatabase';
import type { Consult, ConsultOverride, JudgedBy } from '../db/schema';
import { civilDateAt } from '../clock';
import { refused, type ServiceError, type ServiceResult } from '../errors';
import { insertRuleChange, readPerson, readStudio, ruleChangesOf, type RuleChangeRow } from '../repos/studioRepo';
import { buildCase, type CaseParts } from './planCase';

/** Changes that the shipped rules of today still take; an older one that loosens what has become hard holds no more. */
export const changesOf = (db: DbOrTx): readonly RuleChange[] =>
  ruleChangesOf(db)
    .map(asChange)
    .filter((c) => checkRuleChange(c).ok);
const asChange = (r: RuleChangeRow): RuleChange => ({
  code: r.code,
  reason: r.reason,
  ...(r.outcome === null ? {} : { outcome: r.outcome }),
  ...(r.waitDays === null ? {} : { waitDays: r.waitDays }),
});

function refusalOf(change: RuleChange): string | null {
  const checked = checkRuleChange(change);
  return checked.ok ? null : checked.error.message;
}

/** The set in force; the shipped one where a stored change no longer fits it. */
export function currentRuleSet(db: DbOrTx): RuleSet {
  const set = ruleSetOf(changesOf(db));
  return set.ok ? set.value : SHIPPED_RULE_SET;
}

export interface RulesPage {
  readonly name: string;
  readonly rows: readonly (ReferenceRow & {
    readonly shipped: { readonly outcome: string; readonly wait: string } | null;
  })[];
  readonly changes: readonly {
    readonly seq: number;
    readonly code: string;
    readonly outcome: string | null;
    readonly waitDays: number | null;
    readonly reason: string;
    readonly by: string;
    /** Why it holds no more; null while it holds. */
    readonly refusal: string | null;
    /** Civil date in the studio's zone. */
    readonly on: string;
  }[];
}

/** The reference table as it stands, with what the studio has changed and why. */
export function loadRules(db: Db): RulesPage {
  const set = currentRuleSet(db);
  const timeZone = readStudio(db)?.timeZone ?? 'UTC';
  const shipped = new Map(referenceTable(SHIPPED_RULE_SET).map((r) => [r.code, r]));
  return {
    name: set.name,
    rows: referenceTable(set).map((row) => {
      const was = shipped.get(row.code);
      return {
        ...row,
        shipped:
          was && (was.outcome !== row.outcome || was.wait !== row.wait)
            ? { outcome: was.outcome, wait: was.wait }
            : null,
      };
    }),
    changes: ruleChangesOf(db)
      .reverse()
      .map((c) => ({
        seq: c.seq,
        code: c.code,
        outcome: c.outcome,
        waitDays: c.waitDays,
        reason: c.reason,
        on: civilDateAt(c.atMs, timeZone),
        refusal: refusalOf(asChange(c)),
        by: c.personId === null ? '' : (readPerson(db, c.personId)?.name ?? ''),
      })),
  };
}

/** Writes one change; visits judged before keep the set they were judged by. */
export function changeRule(db: Db, change: RuleChange, personId: string | null, nowMs: number): ServiceResult<null> {
  const checked = checkRuleChange(change);
  if (!checked.ok) return refused(`${checked.error.message} Nothing was changed.`, checked.error.path);
  return atomically(db, () => {
    insertRuleChange(db, {
      code: change.code,
      outcome: change.outcome ?? null,
      waitDays: change.waitDays ?? null,
      reason: change.reason.trim(),
      personId,
      atMs: nowMs,
    });
    return ok(null);
  });
}

/** The answer to be kept with a confirmed consultation. */
export function judgedNow(parts: CaseParts, nowMs: number): JudgedBy {
  const { outcome, earliestOn, reasons, ruleSet } = judgeCase(buildCase(parts));
  return {
    ruleSet,
    atMs: nowMs,
    outcome,
    earliestOn,
    reasons: reasons.map(({ code, outcome: o, zone, text }) => ({ code, outcome: o, zone, text })),
  };
}

/** Refuses an override of a rule that never gives way. */
export function overrideFault(
  db: DbOrTx,
  consult: Consult,
): { readonly ok: false; readonly error: ServiceError } | null {
  const set = currentRuleSet(db);
  const wrong = consult.overrides.findIndex((o) => {
    const rule = set.rules.find((r) => r.code === o.code) ?? set.combinations.find((c) => c.code === o.code);
    return !rule || !mayOverride({ code: rule.code, outcome: rule.outcome }, set);
  });
  return wrong < 0
    ? null
    : refused('This rule never gives way. Nothing was changed.', `consult.overrides[${wrong}].code`);
}

const isSame = (a: ConsultOverride, b: ConsultOverride): boolean =>
  a.code === b.code && a.zone === b.zone && a.reason === b.reason;

/** Refuses a new override of somebody who may not go on alone: a second person says so first. */
export function aloneFault(
  before: Pick<Consult, 'overrides'>,
  after: Pick<Consult, 'overrides'>,
  role: Role,
): ReturnType<typeof refused> | null {
  if (may(role, 'override')) return null;
  const wrong = after.overrides.findIndex((o) => !before.overrides.some((b) => isSame(o, b)));
  return wrong < 0
    ? null
    : refused('A practitioner says so too, with a PIN. Nothing was changed.', `consult.overrides[${wrong}]`);
}

/** The overrides with who vouched for them: as the server wrote it, whatever a tablet sends. */
export const vouched = (
  before: Pick<Consult, 'overrides'>,
  after: Pick<Consult, 'overrides'>,
): readonly ConsultOverride[] =>
  after.overrides.map(({ code, zone, reason, atMs }) => {
    const said = { code, zone, reason, atMs };
    const by = before.overrides.find((b) => isSame(said, b))?.by;
    return by === undefined ? said : { ...said, by };
  });
