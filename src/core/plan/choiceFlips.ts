// What would flip the choice of a zone: length, coarseness or sensitivity, one at a time and alone, each walked away
// from today's value on both sides until another product or way is chosen. Length is found to 0.1 mm; the other two go
// by whole steps of their scale.

import { becauseOf, exclusionSentence, forWords, type Option, type VisitChoice, type ZoneMatch } from '../matching';
import { roundTo, type Result } from '../shared';
import { chooseVisit, type CaseError, type PlanSettings } from './planVisit';
import { planMemory } from './planMemory';
import type { HairCase, VisitCase } from './visitCase';

export const FLIP_INPUTS = ['length', 'coarseness', 'sensitivity'] as const;
export type FlipInput = (typeof FLIP_INPUTS)[number];

export interface ChoiceFlip {
  readonly input: FlipInput;
  readonly side: 'below' | 'above';
  readonly now: number;
  /** First value at which something else is chosen: mm, or a step of the scale. */
  readonly at: number;
  /** What is chosen there; null = nothing can be used. */
  readonly becomes: { readonly product: string; readonly name: string; readonly way: string } | null;
  readonly why: string;
}

const LENGTH_MM = { least: 0.5, most: 20, step: 1, close: 0.1 } as const;
const DEFAULT_SENSITIVITY = 3;

/**
 * The case with one input set: length and coarseness on every zone of that name (both sides are assessed alike), the
 * rest as it is.
 */
function changed(visit: VisitCase, index: number, input: FlipInput, value: number): VisitCase {
  const name = visit.zones[index]?.zone;
  if (input === 'sensitivity') return { ...visit, client: { ...visit.client, sensitivity: value } };
  const hairWith = (hair: HairCase): HairCase => {
    if (input === 'coarseness') return { ...hair, coarseness: value };
    // the spread found today goes along in proportion
    const by = value / hair.lengthMm;
    return {
      ...hair,
      lengthMm: value,
      ...(hair.shortestMm === undefined ? {} : { shortestMm: hair.shortestMm * by }),
      ...(hair.longestMm === undefined ? {} : { longestMm: hair.longestMm * by }),
    };
  };
  return { ...visit, zones: visit.zones.map((z) => (z.zone === name ? { ...z, hair: hairWith(z.hair) } : z)) };
}

/** What was chosen by hand is set aside: the question is what the proposal would be. */
const unforced = (visit: VisitCase, index: number): VisitCase => ({
  ...visit,
  zones: visit.zones.map((z) =>
    z.zone === visit.zones[index]?.zone ? { ...z, product: undefined, way: undefined, heat: undefined } : z,
  ),
});

interface Chosen {
  readonly made: VisitChoice | null;
  readonly choice: Option | null;
  readonly match: ZoneMatch | null;
}

const same = (a: Option | null, b: Option | null): boolean => a?.product.id === b?.product.id && a?.way === b?.way;

function whyOf(before: Option, { made, choice, match }: Chosen): string {
  const old = match?.options.find((o) => o.product.id === before.product.id && o.way === before.way);
  const [code] = old?.excludedBy ?? [];
  if (old && code !== undefined) return `${before.product.name}: ${exclusionSentence(code, old)}`;
  if (!old || !choice || !made || !match) return '';
  const words = forWords(choice, old);
  const decided = match.decided.length > 0 || made.moved !== null;
  return decided || words === '' ? (becauseOf(made, match)[0]?.text ?? '') : `${words}.`;
}

/**
 * Flips of one zone's proposal, nearest first for each input. Empty where nothing is proposed today. Errors as of
 * `planVisit`.
 */
export function choiceFlips(
  visit: VisitCase,
  index: number,
  settings: PlanSettings = {},
): Result<readonly ChoiceFlip[], CaseError> {
  const memory = settings.memory ?? planMemory();
  const base = unforced(visit, index);
  const choose = (at: VisitCase): Result<Chosen, CaseError> => {
    const found = chooseVisit(at, { ...settings, memory, choiceOnly: true });
    if (!found.ok) return found;
    const made = found.value.choices[index] ?? null;
    return {
      ok: true,
      value: { made, choice: made?.option ?? null, match: found.value.zones[index]?.found ?? null },
    };
  };
  const today = choose(base);
  const zone = base.zones[index];
  if (!today.ok) return today;
  const { choice } = today.value;
  if (!zone || !choice) return { ok: true, value: [] };
  const flips: ChoiceFlip[] = [];
  const now: Readonly<Record<FlipInput, number>> = {
    length: zone.hair.lengthMm,
    coarseness: zone.hair.coarseness,
    sensitivity: visit.client.sensitivity ?? DEFAULT_SENSITIVITY,
  };
  for (const input of FLIP_INPUTS) {
    for (const side of ['below', 'above'] as const) {
      const flip = walk(input, side, now[input], choice, (value) => choose(changed(base, index, input, value)));
      if (flip) flips.push(flip);
    }
  }
  return { ok: true, value: flips };
}

function walk(
  input: FlipInput,
  side: ChoiceFlip['side'],
  now: number,
  choice: Option,
  at: (value: number) => Result<Chosen, CaseError>,
): ChoiceFlip | null {
  const up = side === 'above';
  const isLength = input === 'length';
  const [least, most] = isLength ? [LENGTH_MM.least, LENGTH_MM.most] : [1, 5];
  const next = (value: number): number => {
    if (isLength) return value + (up ? 1 : -1) * LENGTH_MM.step;
    return up ? Math.floor(value) + 1 : Math.ceil(value) - 1;
  };
  let stays = now;
  for (let value = next(now); ; value = next(value)) {
    const tried = Math.min(most, Math.max(least, value));
    if (up ? tried <= stays : tried >= stays) return null;
    const found = at(tried);
    if (!found.ok) return null;
    if (!same(found.value.choice, choice)) {
      const near = isLength ? narrow(stays, tried, choice, at) : { value: tried, found: found.value };
      const { choice: other } = near.found;
      return {
        input,
        side,
        now,
        at: roundTo(near.value, 1),
        becomes: other ? { product: other.product.id, name: other.product.name, way: other.way } : null,
        why: whyOf(choice, near.found),
      };
    }
    stays = tried;
  }
}

/** Halves between a length that keeps the choice and one that does not, down to 0.1 mm. */
function narrow(
  stays: number,
  flips: number,
  choice: Option,
  at: (value: number) => Result<Chosen, CaseError>,
): { readonly value: number; readonly found: Chosen } {
  let [keep, lost] = [stays, flips];
  while (Math.abs(lost - keep) > LENGTH_MM.close) {
    const mid = (keep + lost) / 2;
    const found = at(mid);
    if (found.ok && same(found.value.choice, choice)) keep = mid;
    else lost = mid;
  }
  // a tenth that surely flips: away from what keeps
  const value = (lost > keep ? Math.ceil(lost * 10 - 1e-6) : Math.floor(lost * 10 + 1e-6)) / 10;
  const found = at(value);
  return { value, found: found.ok ? found.value : { made: null, choice: null, match: null } };
}
