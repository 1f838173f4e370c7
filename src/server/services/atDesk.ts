// What the desk sees: names, times, telephone numbers; that a practitioner should look at something, and not why.

import 'server-only';
import { ok } from '../../core/shared';
import type { Db } from '../db/openDatabase';
import { notFound, type ServiceResult } from '../errors';
import { bookingsOfClient, readClient } from '../repos/clientRepo';
import { readMessage } from '../repos/formRepo';
import { readStudio } from '../repos/studioRepo';
import { closedVisits } from '../repos/visitRepo';
import type { ClientLine } from './clientSearch';
import type { PostBox } from './postBox';
import type { Today } from './today';
import type { TodayWord } from './todayWords';
import { zonesInWords } from './zonesInWords';

const CONSENT = /^(No consent|Under 18)/;

/** Consent, short goods and a better date are the desk's to mend; everything else is said to be there. */
function wordAtDesk(word: TodayWord): TodayWord {
  if (CONSENT.test(word.text) || word.remedy?.kind === 'shelf') return word;
  const remedy = word.remedy?.kind === 'move' ? { remedy: word.remedy } : {};
  return { text: 'A practitioner looks at this one first.', weight: word.weight, short: 'to be looked at', ...remedy };
}

const once = (words: readonly TodayWord[]): readonly TodayWord[] =>
  words.filter((w, i) => words.findIndex((o) => o.text === w.text) === i);

export const todayAtDesk = (today: Today): Today => ({
  ...today,
  visits: today.visits.map((v) => ({ ...v, words: once(v.words.map(wordAtDesk)) })),
});

/** Found by name and telephone alone: a word of a note finds nobody here. */
export function linesAtDesk(lines: readonly ClientLine[], query: string): readonly ClientLine[] {
  const words = query.toLowerCase().split(/\s+/).filter(Boolean);
  const isNamed = ({ name, byline, phone }: ClientLine): boolean => {
    const text = `${name} ${byline} ${phone}`.toLowerCase();
    return words.every((w) => text.includes(w) || text.normalize('NFD').replace(/\p{M}/gu, '').includes(w));
  };
  return lines.filter(isNamed).map((line) => ({ ...line, alerts: line.alerts.filter((a) => CONSENT.test(a)) }));
}

const DESKS_OWN: readonly string[] = ['reminder', 'offer'];
export const postAtDesk = (box: PostBox): PostBox => ({
  ...box,
  messages: box.messages.filter((m) => DESKS_OWN.includes(m.kind)),
});
export const mayDeskRead = (db: Db, messageId: string): boolean =>
  DESKS_OWN.includes(readMessage(db, messageId)?.kind ?? '');

export interface DeskCard {
  readonly id: string;
  readonly name: string;
  readonly byline: string;
  readonly phone: string;
  readonly timeZone: string;
  readonly ahead: readonly {
    readonly id: string;
    readonly startsAtMs: number;
    readonly minutes: number;
    what: string;
  }[];
  /** Days of the visits that were done, the latest first. */
  readonly past: readonly string[];
}
const PAST_DAYS = 12;

export function loadDeskCard(db: Db, id: string, nowMs: number): ServiceResult<DeskCard> {
  const client = readClient(db, id);
  if (!client) return notFound('client');
  const { name, byline, phone } = client;
  return ok({
    ...{ id, name, byline, phone, timeZone: readStudio(db)?.timeZone ?? 'UTC' },
    ahead: bookingsOfClient(db, id)
      .filter((b) => b.status === 'booked' && b.startsAtMs > nowMs)
      .toSorted((a, b) => a.startsAtMs - b.startsAtMs)
      .map((b) => ({ id: b.id, startsAtMs: b.startsAtMs, minutes: b.minutes, what: zonesInWords(b.zones) })),
    past: closedVisits(db, id, PAST_DAYS).map((v) => v.onDate),
  });
}
