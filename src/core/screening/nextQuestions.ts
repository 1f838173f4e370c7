// What to ask next: each fact not yet asked is tried as a "yes" against the answer as it stands; only those that would
// change it are left, the one that would change most first. One step of looking ahead: pairs of open questions are met
// as they are answered.

import { isStopped, judge, type Judgement, type ScreeningInput } from './judge';
import { STRICTNESS } from './ruleSet';
import { FACTS, type Fact, type Outcome } from './types';
import { ASKED_EACH_TIME, ASKED_ONCE } from './words';

export interface NextQuestion {
  readonly fact: Fact;
  /** What a "yes" would make of the visit or of its worst zone. */
  readonly worst: Outcome;
  /** Zones that a "yes" would stop. */
  readonly stops: number;
  /** Larger = changes more; comparable within one call only. */
  readonly weight: number;
}

/**
 * Weights of what can change, in falling order of what it means at the table; one of the upper kind outweighs all of
 * the lower.
 */
const WEIGHT = { visit: 1e6, stop: 1e5, zone: 1e4, family: 100, pass: 10, degree: 1, second: 0.01 } as const;
const ORDER: readonly Fact[] = [...ASKED_EACH_TIME, ...ASKED_ONCE];

function change(before: Judgement, after: Judgement): number {
  const zones = after.zones.reduce((sum, z, i) => {
    const was = before.zones[i];
    if (!was) return sum;
    const out =
      z.familiesOut.filter((f) => !was.familiesOut.includes(f)).length +
      z.allergensOut.filter((a) => !was.allergensOut.includes(a)).length +
      (z.nothingNew && !was.nothingNew ? 1 : 0);
    // rules of one kind add up without limit, so that more is never less
    const stop = isStopped(z.outcome) && !isStopped(was.outcome) ? WEIGHT.stop : 0;
    return (
      sum +
      stop +
      WEIGHT.zone * (STRICTNESS[z.outcome] - STRICTNESS[was.outcome]) +
      WEIGHT.family * out +
      (z.onePass && !was.onePass ? WEIGHT.pass : 0) +
      WEIGHT.degree * (Math.max(0, z.lowerHeatK - was.lowerHeatK) + (z.smallStrips && !was.smallStrips ? 1 : 0)) +
      WEIGHT.second * Math.max(0, z.pressS - was.pressS)
    );
  }, 0);
  return WEIGHT.visit * (STRICTNESS[after.outcome] - STRICTNESS[before.outcome]) + zones;
}

/**
 * Facts still to be asked that could change the answer, the weightiest first.
 * @param asked facts already asked, whatever the answer; facts found count as asked
 * @returns empty where nothing can change any more, e.g. after a decline of the whole visit
 */
export function nextQuestions(input: ScreeningInput, asked: readonly Fact[]): readonly NextQuestion[] {
  const before = judge(input);
  const known = new Set<Fact>([...asked, ...input.facts.map((f) => f.fact), 'minor']);
  return FACTS.filter((f) => !known.has(f))
    .map((fact): NextQuestion => {
      const after = judge({ ...input, facts: [...input.facts, { fact }] });
      const stops = after.zones.filter(
        (z, i) => isStopped(z.outcome) && !isStopped(before.zones[i]?.outcome ?? 'go'),
      ).length;
      const worst = after.zones.reduce<Outcome>(
        (w, z) => (STRICTNESS[z.outcome] > STRICTNESS[w] ? z.outcome : w),
        after.outcome,
      );
      return { fact, worst, stops, weight: change(before, after) };
    })
    .filter((q) => q.weight > 0)
    .sort((a, b) => b.weight - a.weight || ORDER.indexOf(a.fact) - ORDER.indexOf(b.fact));
}
