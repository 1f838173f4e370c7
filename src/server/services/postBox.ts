// The simulated post box: what would be sent to clients, to be read, exported as .eml, and nowhere sent.

import 'server-only';
import { randomUUID } from 'node:crypto';
import MailComposer from 'nodemailer/lib/mail-composer';
import { careBefore } from '../../core/care';
import { addDays, ok } from '../../core/shared';
import type { MessagePlace } from '../../formats/messageTemplate';
import { cardTime, careLines, reminderMessage } from '../../formats/careCard';
import { civilDateAt, instantAt } from '../clock';
import { atomically } from '../db/atomically';
import type { Db } from '../db/openDatabase';
import { notFound, type ServiceResult } from '../errors';
import { bookingsBetween, clientName, readClient } from '../repos/clientRepo';
import { insertMessage, latestMessages, readMessage, remindedBookings, type MessageRow } from '../repos/formRepo';
import { readPerson, readStudio } from '../repos/studioRepo';
import { visitOfBooking } from '../repos/visitRepo';
import { ownMessage } from './ownMessages';

/** Peels and acids stop a week before: a reminder later than this comes too late for them. */
const REMIND_DAYS = 8;

export interface PostedMessage {
  readonly id: string;
  readonly clientId: string;
  readonly name: string;
  readonly kind: MessageRow['kind'];
  readonly subject: string;
  readonly words: string;
  readonly atMs: number;
}

export interface PostBox {
  readonly timeZone: string;
  readonly messages: readonly PostedMessage[];
  /** Bookings of the days to come that no reminder was written for. */
  readonly due: readonly { readonly bookingId: string; readonly name: string; readonly startsAtMs: number }[];
}

const SUBJECTS: Readonly<Record<MessageRow['kind'], string>> = {
  postponed: 'Your visit is put off',
  referral: 'A note for your doctor',
  'after-care': 'After your wax',
  reminder: 'Before your visit',
  offer: 'A place has come free',
};

function dueReminders(db: Db, nowMs: number, timeZone: string): PostBox['due'] {
  const until = instantAt(addDays(civilDateAt(nowMs, timeZone), REMIND_DAYS + 1), 0, 0, timeZone);
  const ahead = bookingsBetween(db, nowMs, until);
  const reminded = remindedBookings(
    db,
    ahead.map((b) => b.id),
  );
  return (
    ahead
      // who is here already is not reminded
      .filter((b) => !reminded.has(b.id) && visitOfBooking(db, b.id) === undefined)
      .map((b) => ({ bookingId: b.id, name: clientName(db, b.clientId), startsAtMs: b.startsAtMs }))
  );
}

export function loadPostBox(db: Db, nowMs: number): ServiceResult<PostBox> {
  const studio = readStudio(db);
  if (!studio) return notFound('studio');
  const { timeZone } = studio;
  return ok({
    timeZone,
    messages: latestMessages(db).map((m) => ({
      ...{ id: m.id, clientId: m.clientId, name: clientName(db, m.clientId), kind: m.kind, words: m.words },
      ...{ subject: SUBJECTS[m.kind], atMs: m.postedAtMs ?? m.createdAtMs },
    })),
    due: dueReminders(db, nowMs, timeZone),
  });
}

/** What the places of a message stand for at a booking, or at a place that is offered. */
export const placesOf = (
  db: Db,
  at: { readonly clientId: string; readonly personId: string; readonly minutes: number },
  when: string,
): Record<MessagePlace, string> => ({
  name: clientName(db, at.clientId).split(' ')[0] ?? '',
  ...{ when, minutes: String(at.minutes), before: '' },
  who: readPerson(db, at.personId)?.name ?? '',
  studio: readStudio(db)?.name ?? '',
});

/** Writes the reminders that are due into the post box. */
export function writeReminders(db: Db, nowMs: number): ServiceResult<{ readonly count: number }> {
  return atomically(db, () => {
    const timeZone = readStudio(db)?.timeZone ?? 'UTC';
    const due = dueReminders(db, nowMs, timeZone);
    const rows = bookingsBetween(db, nowMs, nowMs + (REMIND_DAYS + 2) * 86_400_000);
    for (const { bookingId, startsAtMs } of due) {
      const booking = rows.find((b) => b.id === bookingId);
      if (!booking) continue;
      const language = readClient(db, booking.clientId)?.profile.language;
      // what is past already is not asked for
      const before = careLines(
        careBefore().filter((m) => startsAtMs + m.hours * 3_600_000 > nowMs),
        startsAtMs,
        { nowMs, timeZone, language },
      );
      const when = cardTime(startsAtMs, timeZone, language);
      const own = ownMessage(db, 'reminder', language, {
        ...placesOf(db, booking, when),
        before: before.map((l) => `${l.when}: ${l.what}`).join('\n'),
      });
      insertMessage(db, {
        ...{ id: randomUUID(), clientId: booking.clientId, visitId: null, bookingId, kind: 'reminder' },
        words: own ?? reminderMessage(when, before, language),
        ...{ createdAtMs: nowMs, postedAtMs: nowMs },
      });
    }
    return ok({ count: due.length });
  });
}

/** One message as an e-mail file (RFC 5322), without addresses: they are the sender's to fill in. */
export async function messageAsEml(db: Db, id: string): Promise<ServiceResult<Buffer>> {
  const message = readMessage(db, id);
  if (!message) return notFound('message');
  const mail = new MailComposer({
    from: { name: readStudio(db)?.name ?? '', address: 'studio@strickle.invalid' },
    to: { name: clientName(db, message.clientId), address: 'client@strickle.invalid' },
    subject: SUBJECTS[message.kind],
    text: message.words,
    date: new Date(message.postedAtMs ?? message.createdAtMs),
    messageId: `<${message.id}@strickle.invalid>`,
  });
  return ok(await mail.compile().build());
}
