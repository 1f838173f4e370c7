// Words for the client when a visit is put off, and for the doctor or pharmacist when it is declined. Plain, without
// blame, and never a word on leaving a medicine out.

import { isStopped } from './judge';
import type { Reason } from './types';

export interface MessageInput {
  /** First name, or the name the client goes by. */
  readonly clientName: string;
  readonly studioName: string;
  readonly practitionerName: string;
  /** What was booked, e.g. `both underarms`. */
  readonly what: string;
  readonly reasons: readonly Reason[];
}

const unique = (texts: readonly string[]): readonly string[] => [...new Set(texts)];
const stopping = (reasons: readonly Reason[]): readonly string[] =>
  unique(reasons.filter((r) => isStopped(r.outcome)).map((r) => r.clientText));

/**
 * Message that puts a visit off.
 * @param newTime the new appointment in words; null = none made yet
 * @param earliest first good date in words; null = no date can be named
 */
export function postponeMessage(input: MessageInput, newTime: string | null, earliest: string | null): string {
  const whenever =
    earliest === null
      ? 'We look again as soon as your doctor has agreed.'
      : `From ${earliest} we can look again; choose a time that suits you.`;
  const when =
    newTime === null
      ? whenever
      : `We have moved your appointment to ${newTime}. If that does not suit you, tell us and we find another time.`;
  return [
    `Dear ${input.clientName},`,
    `we would rather not work on your skin (${input.what}) just now.`,
    ...stopping(input.reasons),
    when,
    'Until then moisturise daily and please do not shave in between.',
    `${input.practitionerName}, ${input.studioName}`,
  ].join('\n');
}

/** Note to take to a doctor or pharmacist. States what was found and asked; no diagnosis, no advice on medicines. */
export function referralNote(input: MessageInput, on: string): string {
  return [
    `${input.studioName}, ${on}`,
    `For: the doctor or pharmacist of ${input.clientName}`,
    `${input.clientName} came for hair removal with warm wax or sugar (${input.what}). We have not done it, for this reason:`,
    ...unique(input.reasons.filter((r) => isStopped(r.outcome)).map((r) => `– ${r.text}`)),
    'Warm wax reaches about 50–60 °C at the stick and is pulled off with the hair; sugar paste is used at body heat.',
    'We would be glad of your word whether this is advisable, where, and from when. Any medicine stays as you have prescribed it.',
    input.practitionerName,
  ].join('\n');
}
