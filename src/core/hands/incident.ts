// What went wrong, as it is written down: what, where, when, with what, what was done, who was told, when it is looked
// at again. A later one that corrects it stands beside it; nothing is written over.

import { ZONES, type Side, type ZoneId } from '../anatomy';
import { dateInWords, type CivilDate } from '../shared';

export const INCIDENT_KINDS = ['burn', 'blister', 'lifted', 'bleeding', 'bruise', 'faint', 'other'] as const;
export type IncidentKind = (typeof INCIDENT_KINDS)[number];
export const INCIDENT_DONE = [
  'water',
  'eased-off',
  'pressed',
  'covered',
  'lay-flat',
  'referred',
  'help-called',
] as const;
export type IncidentDone = (typeof INCIDENT_DONE)[number];
export const INCIDENT_TOLD = ['client', 'guardian', 'owner', 'doctor', 'insurer'] as const;
export type IncidentTold = (typeof INCIDENT_TOLD)[number];

export interface Incident {
  readonly what: readonly IncidentKind[];
  readonly zone: ZoneId | null;
  readonly side: Side | null;
  /** Number of the strip on the zone's sheet. */
  readonly strip: number | null;
  /** Product id. */
  readonly product: string | null;
  readonly lot: string;
  /** As planned at touch, and as measured, °C. */
  readonly plannedC: number | null;
  readonly measuredC: number | null;
  readonly wristAtMs: number | null;
  /** Minutes of cool water. */
  readonly waterMin: number | null;
  readonly done: readonly IncidentDone[];
  readonly told: readonly IncidentTold[];
  readonly followUpOn: CivilDate | null;
  readonly words: string;
  /** Id of the record that this one corrects. */
  readonly corrects: string | null;
}

export const INCIDENT_WORDS: Readonly<Record<IncidentKind, string>> = {
  burn: 'burn',
  blister: 'blister',
  lifted: 'skin lifted',
  bleeding: 'bleeding that did not stop',
  bruise: 'bruise',
  faint: 'felt faint',
  other: 'something else',
};
export const DONE_WORDS: Readonly<Record<IncidentDone, string>> = {
  water: 'cool running water',
  'eased-off': 'wax eased off with oil',
  pressed: 'pressed with gauze',
  covered: 'covered, clean and dry',
  'lay-flat': 'laid flat, air',
  referred: 'told to see a doctor',
  'help-called': 'help was called',
};
export const TOLD_WORDS: Readonly<Record<IncidentTold, string>> = {
  client: 'the client',
  guardian: 'the guardian',
  owner: 'the person in charge',
  doctor: 'a doctor',
  insurer: 'the insurer',
};

const list = (words: readonly string[]): string =>
  words.length < 2 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} and ${words.at(-1) ?? ''}`;
const sentence = (text: string): string => (text === '' ? '' : `${text.charAt(0).toUpperCase()}${text.slice(1)}.`);

/** Where it was: `lower leg, front, left, strip 6`; empty where nobody said. */
export function incidentPlace({ zone, side, strip }: Incident): string {
  if (zone === null) return '';
  const name = ZONES[zone].name.toLowerCase();
  const where = side === null || side === 'middle' ? name : `${name}, ${side}`;
  return strip === null ? where : `${where}, strip ${strip}`;
}

/**
 * The record in sentences; only what was said or noted.
 * @param names product ids in words, and an instant as a time of day of the studio
 */
export function incidentLines(
  incident: Incident,
  names: { readonly product: (id: string) => string; readonly time: (atMs: number) => string },
): readonly string[] {
  const { what, product, lot, plannedC, measuredC, wristAtMs, waterMin, done, told, followUpOn, words } = incident;
  const withWhat = [
    product === null ? '' : names.product(product),
    lot === '' ? '' : `lot ${lot}`,
    plannedC === null ? '' : `planned at about ${Math.round(plannedC)} °C at touch`,
    measuredC === null ? '' : `measured ${measuredC} °C`,
    wristAtMs === null ? '' : `wrist test at ${names.time(wristAtMs)}`,
  ].filter(Boolean);
  const acts = done.map((d) =>
    d === 'water' && waterMin !== null ? `${DONE_WORDS[d]} for ${waterMin} min` : DONE_WORDS[d],
  );
  return [
    sentence(list(what.map((w) => INCIDENT_WORDS[w]))),
    sentence(incidentPlace(incident)),
    sentence(withWhat.join(', ')),
    acts.length > 0 ? `Done: ${list(acts)}.` : '',
    told.length > 0 ? `Told: ${list(told.map((t) => TOLD_WORDS[t]))}.` : '',
    followUpOn === null ? '' : `To be looked at again on ${dateInWords(followUpOn)}.`,
    words.trim(),
  ].filter(Boolean);
}
