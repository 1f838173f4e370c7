// What a client is asked to do at home between two visits: advised at the end of one, asked about at the next. Common
// practice, no source.

import { ZONES, type ZoneId } from '../anatomy';

export const HOME_CARE_IDS = ['scrub', 'moisturise', 'no-shaving', 'hands-off', 'loose', 'sun'] as const;
export type HomeCareId = (typeof HOME_CARE_IDS)[number];

/** How far it was kept, as the client says. */
export const KEPT = ['kept', 'partly', 'not'] as const;
export type Kept = (typeof KEPT)[number];

/** For the practitioner; what the client reads stands in the catalogue of the care card. */
const SHORT: Readonly<Record<HomeCareId, string>> = {
  scrub: 'scrub',
  moisturise: 'moisturise',
  'no-shaving': 'no shaving',
  'hands-off': 'hands off',
  loose: 'loose clothes',
  sun: 'no sun',
};
export const homeCareShort = (id: HomeCareId): string => SHORT[id];

export interface HomeCareFor {
  readonly zones: readonly ZoneId[];
  readonly ingrownProne: boolean;
  readonly skin: 'dry' | 'normal' | 'oily';
  /** What was not kept, or only partly, since last time. */
  readonly notKept: readonly HomeCareId[];
}

const RUBBED: readonly ZoneId[] = [
  'bikini-edge',
  'bikini-extended',
  'front-complete',
  'buttock-crease',
  'underarm',
  'nape',
  'thigh-front',
  'thigh-back',
];

/** Why each is worth saying to this client, weightiest first; what has no reason stands last without one. */
export function homeCareFor({
  zones,
  ingrownProne,
  skin,
  notKept,
}: HomeCareFor): readonly { readonly id: HomeCareId; readonly why: string }[] {
  const body = zones.some((z) => !ZONES[z].face);
  const reasons: Readonly<Record<HomeCareId, string>> = {
    scrub: ingrownProne ? 'prone to ingrown hair' : '',
    moisturise: skin === 'dry' ? 'dry skin' : '',
    'no-shaving': '',
    'hands-off': ingrownProne ? 'prone to ingrown hair' : '',
    loose: zones.some((z) => RUBBED.includes(z)) ? 'where cloth rubs' : '',
    sun: '',
  };
  const items = HOME_CARE_IDS.filter((id) => id !== 'loose' || body).map((id) => ({
    id,
    why: notKept.includes(id) ? 'not kept since last time' : reasons[id],
  }));
  const weight = ({ id, why }: { readonly id: HomeCareId; readonly why: string }): number =>
    notKept.includes(id) ? 2 : Number(why !== '');
  return items.sort((a, b) => weight(b) - weight(a));
}

const KEPT_WORDS: Readonly<Record<Kept, string>> = { kept: 'kept', partly: 'partly kept', not: 'not kept' };

/** What was advised, each with what was said of it: `scrub, not kept; moisturise`. */
export const homeCareWords = (items: readonly { readonly item: HomeCareId; readonly kept: Kept | null }[]): string =>
  items.map(({ item, kept }) => (kept === null ? SHORT[item] : `${SHORT[item]}, ${KEPT_WORDS[kept]}`)).join('; ');
