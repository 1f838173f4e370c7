// Judges a visit: every rule that applies gives a reason; the strictest outcome wins per zone; the visit follows its
// own rules and, where every zone is stopped, the mildest of the zones. Adding a fact never makes the answer milder.

import { ZONES, type Family, type Side, type ZoneId, zoneKey } from '../anatomy';
import { addDays, addMonths, dateInWords, laterDate, type CivilDate } from '../shared';
import type { MarkKind } from '../field';
import type { Allergen } from '../products';
import type { Hair } from '../hair';
import type { Combination } from './combinations';
import { isNamed, reachesZone } from './reach';
import { PERSON_RULES } from './rules';
import { SHIPPED_RULE_SET, STRICTNESS, type RuleSet } from './ruleSet';
import { SPOT_RULES } from './spots';
import type { Fact, FoundFact, Handling, Outcome, Override, Reason, Rule, SpotReason } from './types';
import { FACT_WORDS } from './words';

export interface ScreeningZone {
  readonly zone: ZoneId;
  readonly side: Side;
  readonly hair: Hair;
  readonly marks?: readonly { readonly kind: MarkKind }[] | undefined;
}

export interface ScreeningInput {
  readonly on: CivilDate;
  readonly consent: boolean;
  readonly guardianConsent: boolean;
  readonly ageYears?: number | undefined;
  readonly sensitivity: number;
  readonly facts: readonly FoundFact[];
  readonly zones: readonly ScreeningZone[];
  /** The shipped set otherwise. */
  readonly ruleSet?: RuleSet | undefined;
  readonly overrides?: readonly Override[] | undefined;
}

export interface ZoneJudgement {
  readonly outcome: Outcome;
  readonly familiesOut: readonly Family[];
  readonly allergensOut: readonly Allergen[];
  readonly lowerHeatK: number;
  /** No second pass today. */
  readonly onePass: boolean;
  /** The palm stays on for at least so long after each pull, s; 0 as usual. */
  readonly pressS: number;
  /** Strips smaller than usual. */
  readonly smallStrips: boolean;
  /** A product that this skin has not met yet is never today's answer. */
  readonly nothingNew: boolean;
}

export interface Judgement {
  readonly outcome: Outcome;
  /** First date on which nothing postpones; null where nothing postpones or no date can be named. */
  readonly earliestOn: CivilDate | null;
  readonly reasons: readonly Reason[];
  readonly spots: readonly SpotReason[];
  /** Same order as the input's zones. */
  readonly zones: readonly ZoneJudgement[];
  /** Name of the rule set, e.g. `2.0`. */
  readonly ruleSet: string;
}

export const strictest = (outcomes: readonly Outcome[]): Outcome =>
  outcomes.reduce((a, b) => (STRICTNESS[b] > STRICTNESS[a] ? b : a), 'go');
export const mildest = (outcomes: readonly Outcome[]): Outcome =>
  outcomes.reduce((a, b) => (STRICTNESS[b] < STRICTNESS[a] ? b : a), 'decline');
export const isStopped = (outcome: Outcome): boolean => outcome === 'postpone' || outcome === 'decline';

/** Date from which the rule no longer holds; null = it holds as long as the fact stands. */
function endOf(rule: Pick<Rule, 'waitDays' | 'waitMonths'>, fact: FoundFact, on: CivilDate): CivilDate | null {
  const since = fact.lastOn ?? on;
  if (rule.waitMonths !== undefined) return addMonths(since, rule.waitMonths);
  return rule.waitDays === undefined ? null : addDays(since, rule.waitDays);
}

const CLEARED_CLIENT_TEXT = 'Your doctor has agreed; we go gently and end where your skin changes.';

interface Hit {
  readonly rule: Rule;
  readonly until: CivilDate | null;
  /** The wait is over, the skin is only looked at again. */
  readonly isOver?: boolean;
}

/** The rule as it holds for the fact on a day: its wait, what is looked at after it, or what a clearance leaves. */
function hitOf(rule: Rule, fact: FoundFact, on: CivilDate): Hit | null {
  if (rule.untilCleared && fact.clearance && fact.clearance.on <= on) {
    const { by, on: since } = fact.clearance;
    const text = `${FACT_WORDS[fact.fact]}: cleared by ${by} on ${dateInWords(since)}. Gently; end where the skin changes.`;
    return { rule: { ...rule, outcome: 'adapt', text, clientText: CLEARED_CLIENT_TEXT }, until: null };
  }
  const until = endOf(rule, fact, on);
  if (until === null || until > on) return { rule, until };
  const { again } = rule;
  if (!again || (again.days !== undefined && on >= addDays(until, again.days))) return null;
  return {
    rule: { ...rule, outcome: 'adapt', text: again.text, clientText: again.clientText },
    until: null,
    isOver: true,
  };
}

function hitsOn(input: ScreeningInput, rules: readonly Rule[], zone: ScreeningZone): readonly Hit[] {
  return rules.flatMap((rule) => {
    const facts = input.facts.filter(
      (f) => f.fact === rule.fact && (rule.scope === 'visit' || reachesZone(rule, f, zone)),
    );
    return facts.flatMap((fact) => hitOf(rule, fact, input.on) ?? []);
  });
}

const reasonOf = ({ rule, until }: Hit, zone: string | null): Reason => ({
  code: rule.code,
  fact: rule.fact,
  outcome: rule.outcome,
  zone,
  family: rule.family ?? null,
  text: rule.text,
  clientText: rule.clientText,
  grounds: rule.grounds,
  until: rule.outcome === 'postpone' ? until : null,
});

function personReasons(input: ScreeningInput): readonly Reason[] {
  const isMinor = (input.ageYears !== undefined && input.ageYears < 18) || input.facts.some((f) => f.fact === 'minor');
  const base = { fact: null, zone: null, family: null, grounds: 'practice', until: null } as const;
  return [
    ...(input.consent ? [] : [{ ...PERSON_RULES.noConsent, ...base, outcome: 'decline' as const }]),
    ...(isMinor && !input.guardianConsent
      ? [{ ...PERSON_RULES.minorNoGuardian, ...base, outcome: 'decline' as const }]
      : []),
    ...(isMinor && input.guardianConsent
      ? [{ ...PERSON_RULES.guardianGiven, ...base, outcome: 'adapt' as const }]
      : []),
    ...(isMinor
      ? input.zones
          .filter((z) => ZONES[z.zone].intimate)
          .map((z): Reason => ({ ...PERSON_RULES.minorIntimate, ...base, zone: zoneKey(z), outcome: 'decline' }))
      : []),
  ];
}

const isOnFace = (fact: FoundFact): boolean =>
  fact.zones === undefined ||
  fact.zones.length === 0 ||
  Object.values(ZONES).some((z) => z.face && (fact.zones ?? []).some((n) => n.split('/')[0] === z.id));

/** True where some rule of the fact still holds, counted from the fact's own date. */
const isFresh = (fact: FoundFact, rules: readonly Rule[], on: CivilDate): boolean =>
  rules.some((r) => r.fact === fact.fact && (endOf(r, fact, on) ?? '9999') > on);

/** The combination's own end, or null where it has none; undefined where it does not hold. */
function combinationEnd(
  c: Combination,
  input: ScreeningInput,
  rules: readonly Rule[],
  zone: ScreeningZone,
  holding: ReadonlySet<Fact>,
): CivilDate | null | undefined {
  const facts = ZONES[zone.zone];
  const { hair } = zone;
  const met =
    (!c.history || c.history.includes(hair.history)) &&
    hair.coarseness >= (c.coarsenessFrom ?? 0) &&
    input.sensitivity >= (c.sensitivityFrom ?? 0) &&
    (!c.intimate || facts.intimate) &&
    (!c.face || facts.face) &&
    (!c.onlyZones || c.onlyZones.includes(zone.zone));
  if (!met) return undefined;
  const [first] = c.all;
  const ofFirst = input.facts.filter((f) => f.fact === first && (c.anywhereOnFace ? isOnFace(f) : isNamed(f, zone)));
  if (c.waitDays !== undefined) {
    // counts its own days, which may outlast the single rule's
    if (c.all.slice(1).some((f) => !holding.has(f))) return undefined;
    const ends = ofFirst.map((f) => addDays(f.lastOn ?? input.on, c.waitDays ?? 0)).filter((end) => end > input.on);
    return ends.length === 0 ? undefined : ends.reduce(laterDate);
  }
  const holds = (fact: Fact): boolean =>
    fact === first && c.anywhereOnFace ? ofFirst.some((f) => isFresh(f, rules, input.on)) : holding.has(fact);
  return c.all.every(holds) ? null : undefined;
}

function combinationReasons(
  input: ScreeningInput,
  set: RuleSet,
  zone: ScreeningZone,
  hits: readonly Hit[],
): { readonly reasons: readonly Reason[]; readonly softOut: boolean; readonly handling: readonly Handling[] } {
  // a wait that is over holds no more, even where the skin is still looked at
  const holding = new Set<Fact>(hits.filter((h) => !h.isOver).map((h) => h.rule.fact));
  if (zone.hair.history === 'shaved') holding.add('shaved');
  const found = set.combinations.flatMap((c) => {
    const until = combinationEnd(c, input, set.rules, zone, holding);
    return until === undefined ? [] : [{ c, until }];
  });
  return {
    reasons: found.map(({ c, until }) => ({
      code: c.code,
      fact: null,
      outcome: c.outcome,
      zone: zoneKey(zone),
      family: c.softOut ? 'soft' : null,
      text: c.text,
      clientText: c.clientText,
      grounds: c.grounds,
      until: c.outcome === 'postpone' ? until : null,
    })),
    softOut: found.some(({ c }) => c.softOut),
    handling: found.map(({ c }) => c),
  };
}

const HARD_PERSON_CODES: readonly string[] = [
  PERSON_RULES.noConsent.code,
  PERSON_RULES.minorNoGuardian.code,
  PERSON_RULES.minorIntimate.code,
];

/** True where the practitioner may go on for a written reason: the rule stops, and it is not a hard one. */
export const mayOverride = (reason: Pick<Reason, 'code' | 'outcome'>, set: RuleSet = SHIPPED_RULE_SET): boolean =>
  isStopped(reason.outcome) &&
  !HARD_PERSON_CODES.includes(reason.code) &&
  set.rules.every((r) => r.code !== reason.code || r.hard !== true);

function withOverrides(reasons: readonly Reason[], input: ScreeningInput, set: RuleSet): readonly Reason[] {
  const overrides = input.overrides ?? [];
  if (overrides.length === 0) return reasons;
  return reasons.map((r) => {
    const found = overrides.find(
      (o) => o.code === r.code && o.reason.trim() !== '' && (o.zone === undefined || o.zone === r.zone),
    );
    return found && mayOverride(r, set) ? { ...r, outcome: 'adapt', until: null, overridden: found.reason } : r;
  });
}

/** The strictest of what the rules ask of the hands. */
const handlingOf = (asked: readonly Handling[]): Required<Handling> => ({
  onePass: asked.some((h) => h.onePass),
  smallStrips: asked.some((h) => h.smallStrips),
  pressS: asked.reduce((s, h) => Math.max(s, h.pressS ?? 0), 0),
});

const NOTHING_NEW_FACTS: readonly Fact[] = [
  'earlier-reaction',
  'allergy-rosin',
  'allergy-honey',
  'allergy-fragrance',
  'allergy-zinc-oxide',
];

/** True where a product that the skin has not met is out of the question. */
export const forbidsNew = (facts: readonly FoundFact[]): boolean =>
  facts.some((f) => NOTHING_NEW_FACTS.includes(f.fact));

const spotsOn = (zones: readonly ScreeningZone[]): readonly SpotReason[] =>
  zones.flatMap((z) =>
    [...new Set((z.marks ?? []).map((m) => m.kind))].flatMap((kind) =>
      SPOT_RULES.filter((r) => r.mark === kind).map((r) => ({
        code: r.code,
        zone: zoneKey(z),
        mark: kind,
        clearanceMm: r.clearanceMm,
        text: r.text,
      })),
    ),
  );

/** Outcome, reasons and what each zone must do without. Dates are civil dates; a fact without `lastOn` holds today. */
export function judge(input: ScreeningInput): Judgement {
  const set = input.ruleSet ?? SHIPPED_RULE_SET;
  const person = personReasons(input);
  const perZone = input.zones.map((zone) => {
    const hits = hitsOn(input, set.rules, zone);
    return { zone, hits, combined: combinationReasons(input, set, zone, hits) };
  });
  const visitHits = [
    ...new Map(
      perZone
        .flatMap((z) => z.hits.filter((h) => h.rule.scope === 'visit'))
        .map((h) => [`${h.rule.code} ${h.until ?? ''} ${h.rule.text}`, h]),
    ).values(),
  ];
  const visitReasons = withOverrides(
    [...person.filter((r) => r.zone === null), ...visitHits.map((h) => reasonOf(h, null))],
    input,
    set,
  );
  const wholeVisit = strictest(visitReasons.map((r) => r.outcome));
  const zoneReasons = perZone.map(({ zone, hits, combined }) =>
    withOverrides(
      [
        ...person.filter((r) => r.zone === zoneKey(zone)),
        ...hits.filter((h) => h.rule.scope !== 'visit').map((h) => reasonOf(h, zoneKey(zone))),
        ...combined.reasons,
      ],
      input,
      set,
    ),
  );
  const nothingNew = forbidsNew(input.facts);
  const zones = perZone.map(({ hits, combined }, i): ZoneJudgement => ({
    outcome: strictest([wholeVisit, ...(zoneReasons[i] ?? []).map((r) => r.outcome)]),
    familiesOut: [
      ...new Set([
        ...hits.flatMap((h) => (h.rule.family ? [h.rule.family] : [])),
        ...(combined.softOut ? (['soft'] as const) : []),
      ]),
    ],
    allergensOut: hits.flatMap((h) => (h.rule.allergen ? [h.rule.allergen] : [])),
    lowerHeatK: hits.reduce((k, h) => k + (h.rule.lowerHeatK ?? 0), 0),
    ...handlingOf([...hits.map((h) => h.rule), ...combined.handling]),
    nothingNew,
  }));
  const outcomes = zones.map((z) => z.outcome);
  const allStopped = outcomes.length > 0 && outcomes.every(isStopped);
  const outcome = allStopped
    ? strictest([wholeVisit, mildest(outcomes)])
    : strictest([wholeVisit, ...(outcomes.some((o) => o !== 'go') ? (['adapt'] as const) : [])]);
  const reasons = [...visitReasons, ...zoneReasons.flat()];
  const dates = reasons.filter((r) => r.outcome === 'postpone').map((r) => r.until);
  const earliestOn =
    dates.length > 0 && dates.every((d) => d !== null)
      ? dates.reduce<CivilDate>((a, d) => (d === null ? a : laterDate(a, d)), input.on)
      : null;
  return { outcome, earliestOn, reasons, spots: spotsOn(input.zones), zones, ruleSet: set.name };
}
