// What two or more facts together add to the single rules, as data. They only ever make the answer stricter.

import type { ZoneId } from '../anatomy';
import type { HairHistory } from '../hair';
import type { Fact, Grounds, Handling, Outcome } from './types';

export interface Combination extends Handling {
  readonly code: string;
  readonly outcome: Outcome;
  /** Facts that must all hold for the zone today; hair noted as shaved counts as the fact `shaved`. */
  readonly all: readonly Fact[];
  /** Holds already where a fact concerns any zone of the face. */
  readonly anywhereOnFace?: boolean;
  readonly history?: readonly HairHistory[];
  readonly coarsenessFrom?: number;
  readonly sensitivityFrom?: number;
  readonly intimate?: boolean;
  readonly face?: boolean;
  readonly onlyZones?: readonly ZoneId[];
  /** Postpones until so many days after the first fact of `all`. */
  readonly waitDays?: number;
  readonly softOut?: boolean;
  readonly grounds: Grounds;
  readonly text: string;
  readonly clientText: string;
}

export const COMBINATIONS: readonly Combination[] = [
  {
    code: 'both.thinner-first-coarse',
    outcome: 'adapt',
    softOut: true,
    smallStrips: true,
    pressS: 10,
    grounds: 'practice',
    all: ['blood-thinner'],
    history: ['first', 'lapsed', 'shaved'],
    coarsenessFrom: 4,
    text: 'Blood thinner and a first wax on coarse hair: many bleeding points. No soft wax, small strips, press each for ten seconds.',
    clientText: 'Expect small red points today; we press longer and use the gentler wax.',
  },
  {
    code: 'both.thinner-alcohol',
    outcome: 'adapt',
    softOut: true,
    grounds: 'memory',
    all: ['blood-thinner', 'alcohol'],
    pressS: 10,
    text: 'Blood thinner and alcohol: bleeding points add up. No soft wax, press each for ten seconds.',
    clientText: 'We use the gentler wax today.',
  },
  {
    code: 'both.steroid-thinner',
    outcome: 'adapt',
    softOut: true,
    onePass: true,
    grounds: 'memory',
    all: ['steroid', 'blood-thinner'],
    text: 'Steroid and blood thinner: thin skin that bruises. No soft wax, one pass only.',
    clientText: 'We go over each spot once only.',
  },
  {
    code: 'both.period-intimate',
    outcome: 'adapt',
    onePass: true,
    grounds: 'practice',
    all: ['before-period'],
    intimate: true,
    text: 'Before the period on intimate skin: one pass, offer the fortnight after instead.',
    clientText: 'It would feel easier in the two weeks after your period.',
  },
  {
    code: 'both.sensitive-reaction',
    outcome: 'adapt',
    softOut: true,
    grounds: 'memory',
    all: ['earlier-reaction'],
    sensitivityFrom: 4,
    smallStrips: true,
    text: 'Very reactive skin and an earlier reaction: no soft wax, a small patch first, small strips.',
    clientText: 'We test a small patch first.',
  },
  {
    code: 'both.diabetes-immune',
    outcome: 'adapt',
    softOut: true,
    onePass: true,
    grounds: 'memory',
    all: ['diabetes', 'immune'],
    text: 'Diabetes and weakened defence: no soft wax, one pass, end at the first sore spot.',
    clientText: 'We go over each spot once and end if it is sore.',
  },
  {
    code: 'both.shaved-coarse',
    outcome: 'adapt',
    grounds: 'practice',
    all: ['shaved'],
    coarsenessFrom: 4,
    text: 'Shaved, coarse hair: expect the next layer to stay; plan tweezing time.',
    clientText: 'Some hair will still be under the skin and comes next time.',
  },
  {
    code: 'both.keloid-coarse',
    outcome: 'adapt',
    softOut: true,
    onePass: true,
    grounds: 'memory',
    all: ['keloid'],
    coarsenessFrom: 4,
    text: 'Keloids and coarse hair: hard wax or sugar, one pass.',
    clientText: 'We go over each spot once only.',
  },
  {
    code: 'both.acid-face',
    outcome: 'adapt',
    softOut: true,
    onePass: true,
    grounds: 'memory',
    all: ['acid-exfoliant'],
    anywhereOnFace: true,
    face: true,
    text: 'Acid on the face spreads with the fingers: look at the whole face. Soft wax stays out, one pass on the rest of it.',
    clientText: 'Creams travel on the face, so we take the gentler wax there and go over it once.',
  },
  {
    code: 'both.retinoid-face',
    outcome: 'adapt',
    softOut: true,
    grounds: 'memory',
    all: ['retinoid-topical'],
    anywhereOnFace: true,
    face: true,
    text: 'Retinoid cream on the face spreads with the fingers: look at the whole face. Soft wax stays out on all of it.',
    clientText: 'Creams travel on the face, so we take the wax there that holds the hair and not the skin.',
  },
  {
    code: 'both.sunburn-light',
    outcome: 'postpone',
    waitDays: 14,
    grounds: 'memory',
    all: ['sunburn', 'photosensitiser'],
    text: 'Sunburn under a light-sensitising medicine heals slowly: 14 days. The medicine is the prescriber’s business.',
    clientText:
      'With this medicine sunburnt skin needs about two weeks. Please keep taking your medicine as prescribed.',
  },
  {
    code: 'both.diabetes-circulation-leg',
    outcome: 'adapt',
    softOut: true,
    onePass: true,
    grounds: 'memory',
    all: ['diabetes', 'circulation'],
    onlyZones: ['lower-leg-front', 'lower-leg-back', 'foot'],
    text: 'Diabetes and poor circulation on the lower leg: also with medical clearance no soft wax, one pass.',
    clientText: 'For lower leg and foot we need your doctor’s word first, and we go gently.',
  },
  {
    code: 'both.numbing-intimate',
    outcome: 'adapt',
    onePass: true,
    grounds: 'practice',
    all: ['numbing-cream'],
    intimate: true,
    text: 'Numbing cream on intimate skin: not as labelled. Clean it off, offer a cold pack; one pass.',
    clientText: 'On this skin we use a cold pack in place of a numbing cream.',
  },
];
