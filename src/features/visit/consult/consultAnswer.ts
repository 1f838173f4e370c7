// The consultation's answer, judged on the tablet by the very rules of the server, so that it is there the moment a box
// is ticked.

import { zoneKey } from '@/core/anatomy';
import {
  judge,
  nextQuestions,
  ruleSetOf,
  type Judgement,
  type NextQuestion,
  type Reason,
  type ScreeningInput,
} from '@/core/screening';
import type { Bench } from '@/server/services/bench';
import { namesOf } from '../zoneNames';

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

export interface ReasonGroup {
  /** Keys of the zones that share these reasons; `null`: the whole visit. */
  readonly zones: readonly (string | null)[];
  readonly name: string;
  readonly reasons: readonly Reason[];
  /** Words on marks that are worked around. */
  readonly spots: readonly string[];
}

const STRICT: readonly Reason['outcome'][] = ['decline', 'postpone', 'adapt', 'go'];

/** Reasons by zone, the whole visit first, the strictest first within; zones with the same reasons are said once. */
export function reasonGroups(answer: Judgement, zones: Bench['zones']): readonly ReasonGroup[] {
  const sorted = (reasons: readonly Reason[]): readonly Reason[] =>
    [...reasons].sort((a, b) => STRICT.indexOf(a.outcome) - STRICT.indexOf(b.outcome));
  const ofVisit: ReasonGroup = {
    zones: [null],
    name: 'Whole visit',
    reasons: sorted(answer.reasons.filter((r) => r.zone === null)),
    spots: [],
  };
  const byWords = new Map<string, { zones: Bench['zones'][number][]; group: ReasonGroup }>();
  for (const z of zones) {
    const key = zoneKey(z);
    const reasons = sorted(answer.reasons.filter((r) => r.zone === key));
    const spots = answer.spots.filter((s) => s.zone === key).map((s) => s.text);
    if (reasons.length + spots.length === 0) continue;
    const words = [...spots, ...reasons.map((r) => r.code + r.outcome + String(r.until))].join('|');
    const known = byWords.get(words);
    if (known) known.zones.push(z);
    else byWords.set(words, { zones: [z], group: { zones: [], name: '', reasons, spots } });
  }
  const ofZones = [...byWords.values()].map(({ zones: own, group }): ReasonGroup => ({
    ...group,
    zones: own.map(zoneKey),
    name: own.length === zones.length && own.length > 2 ? 'All zones' : namesOf(own),
  }));
  return ofVisit.reasons.length > 0 ? [ofVisit, ...ofZones] : ofZones;
}
