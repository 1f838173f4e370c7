// The verdict in large letters: what goes today, what waits and from when. Green only when consent stands, zones are
// chosen and nothing is open.

import { judge, isStopped, type Judgement, type Reason } from '@/core/screening';
import { zoneKey } from '@/core/anatomy';
import type { Bench } from '@/server/services/bench';
import { capital, namesOf } from '../zoneNames';
import { answerOf, screeningInput } from './consultAnswer';

/** The answer as if consent were there: what it waits for is said beside it, not instead of it. */
export const judgedWithConsent = (bench: Bench): Judgement =>
  judge({ ...screeningInput(bench), consent: true, guardianConsent: true });

export interface Verdict {
  /** `open`: nothing stands against it so far, but something is still to be said or asked. */
  readonly tone: 'open' | 'go' | 'adapt' | 'stop';
  readonly words: string;
}

/** Reasons that only say that consent is still to come. */
export const CONSENT_CODES: readonly string[] = ['person.no-consent', 'person.minor'];
const GUARDIAN_CODE = 'person.minor-consent';

/** The day from which these zones may be worked; null where no day can be named. */
function fromOn(answer: Judgement, keys: readonly string[]): string | null {
  const holding = answer.reasons.filter((r) => isStopped(r.outcome) && (r.zone === null || keys.includes(r.zone)));
  const days = holding.map((r: Reason) => (r.outcome === 'postpone' ? r.until : null));
  return days.length === 0 || days.includes(null) ? null : (days.sort().at(-1) ?? null);
}

/** @param open questions that could still turn it and are not answered */
export function verdictOf(bench: Bench, open: number, dayWords: (date: string) => string): Verdict {
  const { consult } = bench.visit;
  const { zones } = bench;
  if (zones.length === 0) return { tone: 'open', words: 'What comes off today?' };
  const isGiven = !answerOf(bench).reasons.some((r) => CONSENT_CODES.includes(r.code) && isStopped(r.outcome));
  const answer = judgedWithConsent(bench);
  const stopped = zones.filter((_, i) => isStopped(answer.zones[i]?.outcome ?? 'go'));
  const today = zones.filter((z) => !stopped.includes(z));
  const from = fromOn(answer, stopped.map(zoneKey));
  const wait = from === null ? 'not today' : `from ${dayWords(from)}`;
  if (today.length === 0) {
    const why =
      answer.outcome === 'decline'
        ? 'Decline and refer.'
        : `Not today${from === null ? ': cleared by the doctor first' : ''}.`;
    return { tone: 'stop', words: from === null ? why : `Not today. ${capital(wait)}.` };
  }
  const later = stopped.length === 0 ? '' : ` ${namesOf(stopped)} ${wait}.`;
  const words = `${namesOf(today)} ${isGiven ? 'today' : 'once consent is given'}.${later}`;
  const isSettled = isGiven && (consult.confirmedAtMs !== null || open === 0);
  // that a guardian has agreed is said once one has
  const counts = (r: Reason): boolean => r.outcome === 'adapt' && (isGiven || r.code !== GUARDIAN_CODE);
  const isAdapted = stopped.length > 0 || answer.spots.length > 0 || answer.reasons.some(counts);
  if (isAdapted) return { tone: 'adapt', words };
  return { tone: isSettled ? 'go' : 'open', words };
}
