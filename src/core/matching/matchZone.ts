// The choice for one zone alone: what is left after the exclusions, in tiers; among the first tier what the preferences
// ask for, as far as they cost little; and of that the cheapest, counted in minutes.

import { standsAcross } from './eligibility';
import { evaluateAll } from './evaluate';
import type { MatchInput } from './matchInput';
import {
  isCrossedInVain,
  preferredBy,
  SHIPPED_PREFERENCES,
  speaking,
  strictAgainst,
  type BoundedCode,
  type PreferenceCode,
  type Preferring,
} from './preferences';
import type { Option } from './types';

/** What leaves over this much more of the hair behind than the cleanest is only taken where nothing cleaner holds. */
export const CLEAN_WITHIN = 0.01;
/** Preferences may cost this much over the cheapest, all together. */
export const MOST_OVER = 0.25;
/** Within this the plain lay goes before the crossed one. */
const PLAIN_WITHIN = 0.03;

/**
 * 0 = may be chosen; 1 = leaves too much behind, or is crossed in vain; 2 = against a strict preference; each only
 * where nothing lower holds.
 */
export type Tier = 0 | 1 | 2;

export interface Ranked extends Option {
  readonly tier: Tier;
  /** Bounded preferences that speak for it. */
  readonly preferred: readonly BoundedCode[];
}

export interface ZoneMatch {
  /** Best first, then what is excluded, in catalogue order. */
  readonly options: readonly Ranked[];
  /** The choice for this zone alone; null where nothing can be used. */
  readonly best: Ranked | null;
  /** What the preferences left to choose from: the best is the cheapest of them. */
  readonly within: readonly Ranked[];
  /** Cheapest of the best's tier, whatever is preferred. */
  readonly cheapest: Ranked | null;
  /** Preferences without which something else would be chosen, in the order asked, with what that would be. */
  readonly decided: readonly { readonly code: PreferenceCode; readonly instead: Ranked }[];
  /** Preferences that would have cost too much, with what they would have taken. */
  readonly yielded: readonly { readonly code: BoundedCode; readonly option: Ranked }[];
}

const cheapestOf = (options: readonly Ranked[]): Ranked | null =>
  options.reduce<Ranked | null>((best, o) => (best === null || o.cost < best.cost ? o : best), null);

const preferringOf = (input: MatchInput): Preferring => ({
  zone: input.zone.id,
  hair: input.hair,
  sensitivity: input.sensitivity,
  ingrownProne: input.ingrownProne,
  hairAreaCm2: input.hairAreaCm2,
  worked: input.worked,
  standsAcross: standsAcross(input.hair, input.crossingShare ?? 0),
  preferences: input.preferences ?? SHIPPED_PREFERENCES,
});

function tiered(all: readonly Option[], p: Preferring): readonly Ranked[] {
  const isStrict = (o: Option): boolean => strictAgainst(o.family, p).length > 0;
  const open = all.filter((o) => o.eligible && !isStrict(o));
  const cleanest = Math.min(...open.map((o) => o.staysShare));
  const isClean = (o: Option): boolean => o.staysShare <= cleanest + CLEAN_WITHIN;
  const plainHolds = open.some((o) => o.family === 'hard' && o.way !== 'crossed' && isClean(o));
  const tierOf = (o: Option): Tier => {
    if (isStrict(o)) return 2;
    return isClean(o) && !isCrossedInVain(o.way, plainHolds, p) ? 0 : 1;
  };
  return all.map((o) => ({ ...o, tier: o.eligible ? tierOf(o) : 2, preferred: preferredBy(o, p) }));
}

/** The cheapest, or a plain lay that is hardly dearer. */
function withPlainLay(within: readonly Ranked[]): Ranked | null {
  const best = cheapestOf(within);
  if (!best || best.way !== 'crossed') return best;
  const plain = cheapestOf(within.filter((o) => o.way !== 'crossed'));
  return plain && plain.cost <= best.cost * (1 + PLAIN_WITHIN) ? plain : best;
}

type Asked = ReturnType<typeof speaking>[number];

/** What preferences leave of a tier, in the order asked; those that would cost too much over the cheapest yield. */
function preferredOf(
  tier: readonly Ranked[],
  asked: readonly Asked[],
  p: Preferring,
): Pick<ZoneMatch, 'within' | 'yielded' | 'best'> & { readonly moved: BoundedCode | null } {
  const most = (cheapestOf(tier)?.cost ?? 0) * (1 + MOST_OVER);
  let within = tier;
  let moved: BoundedCode | null = null;
  const yielded: { code: BoundedCode; option: Ranked }[] = [];
  for (const { code, holds } of asked) {
    const kept = within.filter((o) => holds(o, p));
    const option = cheapestOf(kept);
    if (!option || kept.length === within.length) continue;
    if (option.cost > most) {
      yielded.push({ code, option });
      continue;
    }
    if (option.cost > (cheapestOf(within)?.cost ?? 0)) moved ??= code;
    within = kept;
  }
  return { within, yielded, moved, best: withPlainLay(within) };
}

const withoutPlainLay = (input: MatchInput, all: readonly Option[]): Ranked | null =>
  matchOptions({ ...input, preferences: { ...(input.preferences ?? SHIPPED_PREFERENCES), plainLay: false } }, all).best;

/** Chooses among options that are there already. */
export function matchOptions(input: MatchInput, all: readonly Option[]): ZoneMatch {
  const p = preferringOf(input);
  const ranked = tiered(all, p);
  const usable = ranked.filter((o) => o.eligible);
  const lowest = Math.min(...usable.map((o) => o.tier));
  const tier = usable.filter((o) => o.tier === lowest);
  const asked = speaking(p);
  const { within, yielded, best, moved } = preferredOf(tier, asked, p);
  const bare = preferredOf(tier, [], p).best;
  const single = asked.flatMap((one) => {
    const without = preferredOf(
      tier,
      asked.filter((other) => other !== one),
      p,
    ).best;
    return without && without !== best ? [{ code: one.code, instead: without }] : [];
  });
  // two that ask for the same: neither decides alone, the first that moved the choice is named
  const ofThose = single.length === 0 && moved && bare && bare !== best ? [{ code: moved, instead: bare }] : single;
  // the plain lay puts the crossed one into a tier of its own: what would be chosen without is asked anew
  const crossed =
    p.preferences.plainLay && usable.some((o) => o.way === 'crossed') ? withoutPlainLay(input, all) : null;
  const insteadOfPlain =
    crossed?.way === 'crossed' ? ranked.find((o) => o.product === crossed.product && o.way === 'crossed') : undefined;
  const decided =
    insteadOfPlain && insteadOfPlain !== best
      ? [...ofThose, { code: 'plain.lay' as const, instead: insteadOfPlain }]
      : ofThose;
  const rank = (o: Ranked): number => {
    if (o === best) return -1;
    return o.eligible ? o.tier : 3;
  };
  const options = [...ranked].sort(
    (a, b) => rank(a) - rank(b) || (a.eligible ? a.cost - b.cost : ranked.indexOf(a) - ranked.indexOf(b)),
  );
  return { options, best, within, cheapest: cheapestOf(tier), decided, yielded };
}

/** The choice for a zone, with every option beside it. */
export const matchZone = (input: MatchInput): ZoneMatch => matchOptions(input, evaluateAll(input));
