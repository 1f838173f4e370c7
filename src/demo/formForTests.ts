// A signed form for tests, and how they read what a use case gave.

import { QUESTIONS } from '../core/screening';
import type { FormData, Signature } from '../server/db/schema';

/** What was given; a refusal ends the test. */
export const value = <T>(
  result: { ok: true; value: T } | { ok: false; error: { code: string; message: string } },
): T => {
  if (!result.ok) throw new Error(result.error.message);
  return result.value;
};
export const code = (result: { ok: boolean; error?: { code: string } }): string =>
  result.ok ? 'ok' : (result.error?.code ?? '');
export const pathOf = (result: { ok: boolean; error?: { details: readonly { path: string }[] } }): string =>
  result.error?.details[0]?.path ?? '';
export const drawn: Signature = {
  kind: 'drawn',
  strokes: [Array.from({ length: 20 }, (_, i) => [i * 10, 40 + (i % 3) * 9] as const)],
};
export const answered = (more: Partial<FormData> = {}): FormData => ({
  v: 1,
  answers: QUESTIONS.map((q) => ({ id: q.id, answer: 'none', facts: [] })),
  noLonger: [],
  spots: [],
  bornOn: null,
  words: '',
  guardianName: '',
  page: 16,
  ...more,
});
/** What the form sends when it is signed. */
export const signing = (version: number, data: FormData, more: object = {}) => ({
  version,
  data,
  textVersion: 1,
  signerName: 'Nell',
  signature: drawn,
  guardianSignature: null,
  ...more,
});
