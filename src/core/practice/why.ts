// Why a hair stayed or broke: the same hair with the same luck, one thing of the hand put right at a time.

import { ZONES } from '../anatomy';
import { lengthRange } from '../matching';
import { layAndPull } from '../products';
import { mannerFor } from './actHeat';
import type { GrownScene } from './growHairs';
import { meanWay, plannersAct } from './plannersAct';
import { fateOf, lookUnder, type Ground, type Look } from './pullStrip';
import { FAULTS, type Act, type Fate, type FaultCode, type SkinHair } from './types';

export interface Why {
  readonly fate: Fate | 'not-under';
  /** Each of these alone, put right, would have brought it out with its root. */
  readonly causes: readonly FaultCode[];
  /** Only all of it together would have. */
  readonly isTogether: boolean;
  /** Shorter than this product holds. */
  readonly isTooShort: boolean;
  /** Of such hairs so many in a hundred stay or break under the best hand; null where it came out. */
  readonly stillInHundred: number | null;
  /** A resting hair has a small club instead of a bulb. */
  readonly isGrowing: boolean;
}

/** Asks of single hairs of one strip, with the ground as it was before it. */
export function asker(grown: GrownScene, ground: Ground, act: Act): (hair: SkinHair) => Why {
  const look = lookUnder(grown, ground, act);
  const covered = new Set(look.covered);
  const { shortestMm } = lengthRange(mannerFor(act.product, act.way), ZONES[grown.scene.zone], act.way);
  const tried = FAULTS.map((code) => ({ code, look: lookUnder(grown, ground, act, code) }));
  const planner = plannersAct(grown, act.product, act.way, act.outline);
  const { lay, pull } = layAndPull(act.way, meanWay(grown, act.outline));
  const best: Act = planner ?? { ...act, lay, pull: { ...act.pull, way: pull } };
  const atBest = lookUnder(grown, ground, best, 'on-hair');
  return (hair) => {
    const isTooShort = hair.lengthMm < shortestMm;
    const own = { isTooShort, isGrowing: hair.growing };
    const none = { ...own, causes: [], isTogether: false, stillInHundred: null };
    if (!covered.has(hair)) return { ...none, fate: 'not-under' };
    const fateIn = (of: Look): Fate => fateOf(grown, ground, act, hair, of.chances(hair));
    const fate = fateIn(look);
    if (fate === 'out') return { ...none, fate };
    const causes = tried.filter((t) => fateIn(t.look) === 'out').map((t) => t.code);
    const { left, broken } = atBest.chances(hair);
    const isTogether = causes.length === 0 && fateIn(atBest) === 'out';
    return { ...own, fate, causes, isTogether, stillInHundred: Math.round(100 * (left + (1 - left) * broken)) };
  };
}

export interface Differed {
  readonly code: FaultCode;
  /** Hairs more that would have come out with their root, this alone put right. */
  readonly hairs: number;
}

/** What differed most, by the hairs that it cost; what cost none is not told. */
export function whatDiffered(grown: GrownScene, ground: Ground, act: Act): readonly Differed[] {
  const outWith = (without?: FaultCode): number => {
    const look = lookUnder(grown, ground, act, without);
    return look.covered.filter((h) => !h.stays && fateOf(grown, ground, act, h, look.chances(h)) === 'out').length;
  };
  const now = outWith();
  return FAULTS.map((code) => ({ code, hairs: outWith(code) - now }))
    .filter((d) => d.hairs > 0)
    .sort((a, b) => b.hairs - a.hairs);
}
