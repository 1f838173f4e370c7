// The consultation's answer, judged on the tablet by the very rules of the server, so that it is there the moment a box
// is ticked.

import { zoneKey } from '@/core/anatomy';
import {
  ASKED_EACH_TIME,
  ASKED_ONCE,
  judge,
  nextQuestions,
  ruleSetOf,
  type Fact,
  type Judgement,
  type NextQuestion,
  type Reason,
  type ScreeningInput,
} from '@/core/screening';
import type { Bench } from '@/server/services/bench';

export function screeningInput({ visit, client, zones, rules }: Bench): ScreeningInput {
  const { consult } = visit;
  const set = ruleSetOf(rules);
  return {
    on: visit.onDate,
    consent: consult.consent,
    guardianConsent: consult.guardianConsent,
    ageYears: client.ageYears ?? undefined,
    sensitivity: consult.sensitivity,
    facts: consult.facts,
    zones: zones.map((z) => ({ zone: z.zone, side: z.side, hair: { ...z.data.hair, past: [] }, marks: z.data.marks })),
    overrides: consult.overrides.map((o) => ({ code: o.code, reason: o.reason, zone: o.zone ?? undefined })),
    ruleSet: set.ok ? set.value : undefined,
  };
}

export const answerOf = (bench: Bench): Judgement => judge(screeningInput(bench));

/** Before consent is ticked the questions still count: what is asked next is weighed as if it were given. */
export const askNext = (bench: Bench): readonly NextQuestion[] =>
  nextQuestions({ ...screeningInput(bench), consent: true, guardianConsent: true }, bench.visit.consult.asked);

export const EVERY_QUESTION: readonly Fact[] = [...ASKED_EACH_TIME, ...ASKED_ONCE];

export interface ReasonGroup {
  /** `null`: the whole visit. */
  readonly zone: string | null;
  readonly name: string;
  /** The other side, where both have the same reasons. */
  readonly alsoZone?: string | null;
  readonly reasons: readonly Reason[];
  /** Words on marks that are worked around. */
  readonly spots: readonly string[];
}

const STRICT: readonly Reason['outcome'][] = ['decline', 'postpone', 'adapt', 'go'];

/** Reasons by zone, the whole visit first, the strictest first within; zones without a reason are left out. */
export function reasonGroups(answer: Judgement, zones: Bench['zones']): readonly ReasonGroup[] {
  const sorted = (reasons: readonly Reason[]): readonly Reason[] =>
    [...reasons].sort((a, b) => STRICT.indexOf(a.outcome) - STRICT.indexOf(b.outcome));
  const groups: ReasonGroup[] = [
    { zone: null, name: 'Whole visit', reasons: sorted(answer.reasons.filter((r) => r.zone === null)), spots: [] },
    ...zones.map((z): ReasonGroup => {
      const key = zoneKey(z);
      return {
        zone: key,
        name: z.side === 'middle' ? z.name : `${z.name}, ${z.side}`,
        reasons: sorted(answer.reasons.filter((r) => r.zone === key)),
        spots: answer.spots.filter((s) => s.zone === key).map((s) => s.text),
      };
    }),
  ];
  return joined(
    groups.filter((g) => g.reasons.length + g.spots.length > 0),
    zones,
  );
}

const sameReasons = (a: ReasonGroup, b: ReasonGroup): boolean =>
  a.spots.join() === b.spots.join() &&
  a.reasons.map((r) => r.code + r.outcome + String(r.until)).join() ===
    b.reasons.map((r) => r.code + r.outcome + String(r.until)).join();

/** Both sides of a zone with the same reasons are said once. */
function joined(groups: readonly ReasonGroup[], zones: Bench['zones']): readonly ReasonGroup[] {
  const nameOf = (zone: string | null): string | undefined => zones.find((z) => zoneKey(z) === zone)?.name;
  const other = (g: ReasonGroup): ReasonGroup | undefined =>
    groups.find(
      (o) => o !== g && g.zone !== null && o.zone !== null && nameOf(o.zone) === nameOf(g.zone) && sameReasons(o, g),
    );
  return groups.flatMap((g) => {
    const pair = other(g);
    if (!pair || g.zone === null) return [g];
    return groups.indexOf(pair) < groups.indexOf(g)
      ? []
      : [{ ...g, name: `${nameOf(g.zone) ?? ''}, both sides`, alsoZone: pair.zone }];
  });
}

const CONSENT_CODES: readonly string[] = ['person.no-consent', 'person.minor'];

/** The answer in a few words. */
export function answerWords(answer: Judgement, dayWords: (date: string) => string): string {
  const notes = new Set(answer.reasons.filter((r) => r.outcome !== 'go').map((r) => r.code)).size;
  switch (answer.outcome) {
    case 'go':
      return 'Go';
    case 'adapt':
      return `Adapt: ${notes} ${notes === 1 ? 'note' : 'notes'}`;
    case 'postpone':
      return answer.earliestOn
        ? `Postpone until ${dayWords(answer.earliestOn)}`
        : 'Postpone until cleared by the doctor';
    case 'decline':
      return answer.reasons.every((r) => r.outcome !== 'decline' || CONSENT_CODES.includes(r.code))
        ? 'Not yet: consent is missing'
        : 'Decline and refer';
  }
}
