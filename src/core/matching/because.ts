// Why an option stands first, in its own row: the preference that decided, with both costs, or the figures in which it
// is better than the next of another kind. Never a figure that speaks against it.

import { roundTo } from '../shared';
import { COST_PARTS, type CostPart } from './cost';
import type { VisitChoice } from './chooseTogether';
import type { ZoneMatch } from './matchZone';
import type { BoundedCode, PreferenceCode } from './preferences';
import type { Option } from './types';

export type FigureName = 'allMinutes' | 'skinLoad' | 'brokenShare' | 'staysHairs' | 'tweezed';

export interface Because {
  readonly code:
    | PreferenceCode
    | 'best.figures'
    | 'best.cost'
    | 'only.kind'
    | 'visit.both-sides'
    | 'visit.one-pot'
    | 'by-hand'
    | 'yielded';
  readonly text: string;
  readonly figures: readonly { readonly name: FigureName; readonly mine: number; readonly other: number }[];
}

/** Material is left out: no prices where the client may look. */
const FIGURE_OF: Readonly<Record<Exclude<CostPart, 'material'>, FigureName>> = {
  minutes: 'allMinutes',
  load: 'skinLoad',
  broken: 'brokenShare',
  left: 'staysHairs',
  tweezed: 'tweezed',
};

/** Decimals to which a figure is shown; what is alike when shown is no reason. */
const SHOWN: Readonly<Record<FigureName, number>> = {
  allMinutes: 0,
  skinLoad: 2,
  brokenShare: 2,
  staysHairs: 0,
  tweezed: 0,
};

const minutes = (value: number): string => `${Math.round(value)} min`;
const nameOf = (o: Option): string => {
  const name = o.product.name.split(',')[0] ?? o.product.name;
  return o.coats === 2 ? `${name} in two coats` : name;
};
const lower = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);

const figureWords: Readonly<Record<FigureName, (mine: number, other: number) => string>> = {
  allMinutes: (m, o) => `${minutes(m)} against ${Math.round(o)}`,
  skinLoad: (m, o) => `easier on the skin (load ${m.toFixed(2)} against ${o.toFixed(2)})`,
  brokenShare: (m, o) => `${Math.round(100 * m)} % broken against ${Math.round(100 * o)}`,
  staysHairs: (m, o) => `${m === 0 ? 'nothing' : m} left for next time against ${o}${m === 0 ? ' hairs' : ''}`,
  tweezed: (m, o) => `${m} to tweeze against ${o}`,
};

/** Hard film and cream are kinds of their own; of sugar the pastes are one. */
const kindOf = (o: Option): string => (o.family === 'hard' ? o.product.body : o.family);

/** The next of another kind: the cheapest that can be used. */
export const nextKind = (o: Option, options: readonly Option[]): Option | null =>
  options
    .filter((x) => x.eligible && kindOf(x) !== kindOf(o))
    .reduce<Option | null>((best, x) => (best === null || x.cost < best.cost ? x : best), null);

const SHOWN_PARTS = COST_PARTS.filter((p) => p !== 'material');

/** Up to two figures in which one is better than the other, the weightiest first. */
export function figuresFor(mine: Option, other: Option): Because['figures'] {
  return SHOWN_PARTS.map((part) => {
    const name = FIGURE_OF[part];
    const shown = (o: Option): number =>
      roundTo(name === 'staysHairs' ? o.leftHairs - o.tweezed : o[name], SHOWN[name]);
    return { name, mine: shown(mine), other: shown(other), by: other.parts[part] - mine.parts[part] };
  })
    .filter((f) => f.by > 0 && f.mine < f.other)
    .sort((a, b) => b.by - a.by)
    .slice(0, 2)
    .map(({ name, mine: m, other: o }) => ({ name, mine: m, other: o }));
}

const wordsOf = (figures: Because['figures']): string =>
  figures.map((f) => figureWords[f.name](f.mine, f.other)).join(', ');

/** The figures for one option against another, in words; empty where none speaks for it. */
export const forWords = (mine: Option, other: Option): string => wordsOf(figuresFor(mine, other));

const PREFERENCE_WORDS: Readonly<Record<Exclude<BoundedCode, 'house.first'>, string>> = {
  'house.favourite': 'The favourite of this house here',
  'client.worked': 'Worked well here last time',
  'ingrown.sugar': 'Skin that grows hairs in, sugar first',
  'coarse.hard': 'Coarse hair, hard wax first',
  'fine-large.soft': 'Fine hair on a large area, soft wax first',
};

const preferenceWords = (code: BoundedCode, o: Option): string =>
  code === 'house.first'
    ? `This house reaches for ${o.family === 'sugar' ? 'sugar' : 'wax'} first`
    : PREFERENCE_WORDS[code];

function preferenceReason(code: BoundedCode, best: Option, cheaper: Option): Because {
  const [mine, other] = [Math.round(best.allMinutes), Math.round(cheaper.allMinutes)];
  const than = lower(nameOf(cheaper));
  const time = mine === other ? `about ${mine} min, as ${than}` : `${mine} min, ${than} ${other}`;
  return {
    code,
    text: `${preferenceWords(code, best)}: ${lower(nameOf(best))}, ${time}.`,
    figures: figuresFor(best, cheaper),
  };
}

/** What an option that yielded would have cost. */
function yieldedReason(code: BoundedCode, yielding: Option, taken: Option): Because {
  const figures = figuresFor(taken, yielding);
  const words = figures.map((f) => figureWords[f.name](f.mine, f.other)).join(', ');
  const instead = words === '' ? 'more in all, with every figure alike' : words;
  return {
    code: 'yielded',
    text: `${preferenceWords(code, yielding)}, but not at this cost; against ${lower(nameOf(yielding))}: ${instead}.`,
    figures,
  };
}

const isBounded = <T extends { readonly code: PreferenceCode }>(d: T): d is T & { readonly code: BoundedCode } =>
  d.code !== 'plain.lay';

const plainReason = (best: Option, crossed: Option): Because => ({
  code: 'plain.lay',
  text: `In the crossed lay ${lower(nameOf(crossed))} would take ${minutes(crossed.allMinutes)}; it presses, and the plain lay holds here.`,
  figures: figuresFor(best, crossed),
});

function figuresReason(best: Option, other: Option | null): Because {
  if (!other) {
    return { code: 'only.kind', text: `${nameOf(best)}: the only kind that can be used here today.`, figures: [] };
  }
  const figures = figuresFor(best, other);
  const than = lower(nameOf(other));
  return figures.length > 0
    ? { code: 'best.figures', text: `Against ${than}: ${wordsOf(figures)}.`, figures }
    : { code: 'best.cost', text: `As good as ${than} in every figure shown, and a little less in all.`, figures };
}

/** Why this is the zone's choice, weightiest first. */
export function becauseOf({ option, moved }: VisitChoice, match: ZoneMatch): readonly Because[] {
  const { best, decided, yielded } = match;
  const gave = yielded.map(({ code, option: o }) => yieldedReason(code, o, option));
  if (moved === 'by-hand') {
    const was = best && best.product.id !== option.product.id ? ` ${nameOf(best)} was the proposal.` : '';
    return [{ code: 'by-hand', text: `Chosen by hand.${was}`, figures: [] }];
  }
  if (moved !== null && best) {
    const text =
      moved === 'both-sides'
        ? `Both sides alike; here alone ${lower(nameOf(best))} would do as well.`
        : `One pot and one product for more zones; here alone ${lower(nameOf(best))} would go first.`;
    return [
      { code: moved === 'both-sides' ? 'visit.both-sides' : 'visit.one-pot', text, figures: figuresFor(option, best) },
      ...gave,
    ];
  }
  const first = decided.find(isBounded);
  const plain = decided.filter((d) => d.code === 'plain.lay').map((d) => plainReason(option, d.instead));
  if (first) return [preferenceReason(first.code, option, first.instead), ...plain, ...gave];
  return [figuresReason(option, nextKind(option, match.options)), ...plain, ...gave];
}
