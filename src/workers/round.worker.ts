// Another round for one zone, laid out and timed beside the page.

import { sheetFor, ZONES } from '../core/anatomy';
import type { AddedRound, StripMark } from '../core/hands';
import { secondRound, type SecondRoundInput } from '../core/plan';

export interface RoundQuestion {
  readonly input: Omit<SecondRoundInput, 'sheet' | 'marks'>;
  readonly marks: readonly (readonly [string, StripMark])[];
}

export interface RoundAnswer {
  readonly round: AddedRound | null;
}

self.onmessage = ({ data: { input, marks } }: MessageEvent<RoundQuestion>): void => {
  const { zone } = input;
  const sheet = sheetFor(ZONES[zone.zone], zone.side, {}, zone.sheetCm);
  const round = sheet.ok ? secondRound({ ...input, sheet: sheet.value, marks: new Map(marks) }) : null;
  self.postMessage({ round } satisfies RoundAnswer);
};
