// What the words of a foreign table mean: which zones, and worked with what. What is not understood stays as words.

import { sidesOf, zoneKey, ZONE_IDS, ZONES, type Family, type Side, type ZoneId } from '../core/anatomy';

export interface NamedZones {
  readonly name: string;
  readonly zones: readonly { readonly zone: ZoneId; readonly side: Side }[];
}

/** Names of the trade beside the services' and the zones' own (common practice, no source), by service or zone. */
const ALSO: Readonly<Record<string, string>> = {
  armpits: 'underarms',
  'under arms': 'underarms',
  lip: 'upper lip',
  moustache: 'upper lip',
  eyebrows: 'brows',
  'half leg': 'lower leg',
  'half legs': 'lower leg',
  'lower legs': 'lower leg',
  legs: 'full leg',
  'full legs': 'full leg',
  'upper legs': 'upper leg',
  thighs: 'upper leg',
  arms: 'forearms',
  'lower arms': 'forearms',
  back: 'whole back',
  'full back': 'whole back',
  bikini: 'bikini edge',
  'bikini line': 'bikini edge',
  'bikini full': 'front complete',
  'full bikini': 'front complete',
  stomach: 'abdomen',
  belly: 'abdomen',
  neck: 'nape',
  toes: 'foot and toes',
  feet: 'foot and toes',
  hands: 'hand and fingers',
};

const FAMILY_WORDS: readonly (readonly [RegExp, Family])[] = [
  [/\bsugar(?:ing|ed)?\b|\bpaste\b/, 'sugar'],
  [/\bhard\b|\bhot wax\b|\bfilm\b|\bstripless\b/, 'hard'],
  [/\bsoft\b|\bstrip wax\b|\bwarm wax\b|\broll[- ]?on\b/, 'soft'],
];

/** With what it was worked; null where the words do not say, or say two things. */
export function familyIn(words: string): Family | null {
  const text = words.toLowerCase();
  const found = FAMILY_WORDS.filter(([sign]) => sign.test(text)).map(([, family]) => family);
  const [family = null] = found;
  return found.length === 1 ? family : null;
}

/** Words beside the name of a place. */
const FILLER = /\b(?:wax(?:ing|ed)?|sugar(?:ing|ed)?|hard|soft|warm|hot|strip|with|for|ladies|men|both|the)\b/g;
const plain = (text: string): string =>
  text
    .toLowerCase()
    .replaceAll(/[^a-z ]+/g, ' ')
    .replaceAll(/ +/g, ' ')
    .trim();

/** Without words that name no place; empty = it names none. */
const bare = (words: string): string => plain(plain(words).replaceAll(FILLER, ' '));

/** A reader that knows the studio's own services beside the zones; it remembers what it has read. */
export function zoneReader(services: readonly NamedZones[]): (words: string) => NamedZones['zones'] | null {
  const byName = new Map<string, NamedZones['zones']>();
  for (const zone of ZONE_IDS) {
    const all = sidesOf(ZONES[zone]).map((side) => ({ zone, side }));
    byName.set(plain(ZONES[zone].name), all);
    byName.set(`${plain(ZONES[zone].name)}s`, all);
  }
  for (const { name, zones } of services) byName.set(plain(name), zones);
  const place = (words: string): NamedZones['zones'] | undefined =>
    byName.get(words) ?? byName.get(ALSO[words] ?? '') ?? byName.get(words.replace(/s$/, ''));
  const read = new Map<string, NamedZones['zones'] | null>();
  return (words) => {
    const known = read.get(words);
    if (known !== undefined) return known;
    const found = zonesOf(words, (w) => place(plain(w)) ?? place(bare(w)));
    read.set(words, found);
    return found;
  };
}

/** The whole as one place, else each part of it; null where any part is not understood. */
function zonesOf(words: string, place: (words: string) => NamedZones['zones'] | undefined): NamedZones['zones'] | null {
  const whole = place(words);
  if (whole) return whole;
  // a part like `hard wax` says with what, not where
  const parts = words.split(/[,;+/&|]|\band\b/i).filter((p) => bare(p) !== '' || /\d/.test(p));
  const found = parts.map(place);
  if (parts.length === 0 || found.some((f) => f === undefined)) return null;
  const byKey = new Map(found.flatMap((f) => f ?? []).map((z) => [zoneKey(z), z]));
  return [...byKey.values()];
}
