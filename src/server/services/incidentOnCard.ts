// What went wrong at a table stands on the client's card too, so that the next consultation sees it.

import 'server-only';
import { INCIDENT_WORDS, incidentPlace, type Incident, type IncidentKind, type TableEvent } from '../../core/hands';
import { mustWrite } from '../db/atomically';
import type { Db } from '../db/openDatabase';
import type { CardReaction } from '../db/schema';
import { readClient, updateClient } from '../repos/clientRepo';
import type { VisitRow } from '../repos/visitRepo';

/** The weightiest of what happened, in the card's words. */
const ON_CARD: readonly (readonly [IncidentKind, CardReaction['what']])[] = [
  ['burn', 'burn'],
  ['blister', 'blister'],
  ['lifted', 'lifted'],
  ['bruise', 'bruise'],
];

/** Ids of such entries begin so; the rest is the act's. */
export const INCIDENT_ID = 'incident-';

/** As long as an entry of the card may be. */
const MOST_WORDS = 1000;

/** What the card has no word of its own for, said in the record's: `felt faint`. */
const besides = (incident: Incident): string =>
  incident.what
    .filter((w) => !ON_CARD.some(([kind]) => kind === w))
    .map((w) => INCIDENT_WORDS[w])
    .join(' and ');

const reactionOf = (id: string, visit: VisitRow, incident: Incident): CardReaction => ({
  id: `${INCIDENT_ID}${id}`,
  visitId: visit.id,
  on: visit.onDate,
  what: ON_CARD.find(([kind]) => incident.what.includes(kind))?.[1] ?? 'other',
  // a burn is no allergy: the product stays free to be chosen, and stands in the words
  product: null,
  words: [
    [besides(incident), incidentPlace(incident), incident.product?.replaceAll('-', ' ')].filter(Boolean).join(', '),
    incident.words.trim(),
  ]
    .filter(Boolean)
    .join('. ')
    .slice(0, MOST_WORDS),
});

/** Writes the incidents among these acts to the card; one that corrects another takes its place there. */
export function noteOnCard(db: Db, visit: VisitRow, acts: readonly TableEvent[]): void {
  const fresh = acts.flatMap(({ id, incident }) => (incident ? [{ id, incident }] : []));
  const client = fresh.length > 0 ? readClient(db, visit.clientId) : undefined;
  if (!client) return;
  const corrected = new Set(fresh.map(({ incident }) => `${INCIDENT_ID}${incident.corrects ?? ''}`));
  const kept = client.profile.reactions.filter((r) => !corrected.has(r.id));
  const reactions = [...kept, ...fresh.map(({ id, incident }) => reactionOf(id, visit, incident))];
  mustWrite(updateClient(db, client.id, client.version, { profile: { ...client.profile, reactions } }), 'the card');
}
