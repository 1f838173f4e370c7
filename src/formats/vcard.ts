// Clients as an address book (vCard 3.0, RFC 2426; what is read is 4.0, RFC 6350, as well): name, telephone, birthday.
// Nothing of health goes out: an address book goes to telephones.

import ICAL from 'ical.js';
import { isCivilDate } from '../core/shared';
import { writeClientCsv } from './clientCsv';

export interface VcardClient {
  readonly id: string;
  readonly name: string;
  readonly byline: string;
  readonly bornOn: string | null;
  readonly phone: string;
}

const FIRST_WORD = /^(.*)\s+(\S+)$/;

/** One card. The library folds and escapes. */
export function writeVcard({ id, name, byline, bornOn, phone }: VcardClient): string {
  const [, given = '', family = name] = FIRST_WORD.exec(name) ?? [];
  const card = new ICAL.Component(['vcard', [], []]);
  card.addPropertyWithValue('version', '3.0');
  card.addPropertyWithValue('uid', `${id}@strickle.invalid`);
  card.addPropertyWithValue('fn', name);
  const n = new ICAL.Property('n', card);
  n.setValue([family, given, '', '', '']);
  card.addProperty(n);
  if (byline !== '') card.addPropertyWithValue('nickname', byline);
  if (phone !== '') card.addPropertyWithValue('tel', phone);
  if (bornOn !== null) card.addPropertyWithValue('bday', bornOn);
  return `${card.toString()}\r\n`;
}

export interface FromVcards {
  /** The table that the cards come to, for the import of tables. */
  readonly csv: string;
  /** Cards without any name: they are left out. */
  readonly nameless: number;
}

/** A cell of the library's own list form as text; what is made of parts is joined. */
const textOf = (value: unknown): string =>
  (Array.isArray(value) ? value.flat().join(' ') : String(value ?? '')).replaceAll(/\s+/g, ' ').trim();

const firstOf = (card: ICAL.Component, name: string): string => textOf(card.getFirstPropertyValue(name) as unknown);

/** `1990-05-31`, `19900531`, with a time behind it; a birthday without a year is none. */
function bornOf(card: ICAL.Component): string | null {
  const [, y = '', m = '', d = ''] = /^(\d{4})-?(\d{2})-?(\d{2})/.exec(firstOf(card, 'bday')) ?? [];
  const date = `${y}-${m}-${d}`;
  return isCivilDate(date) ? date : null;
}

/** `n` is family; given; more; before; behind. */
function nameOf(card: ICAL.Component): string {
  const shown = firstOf(card, 'fn');
  if (shown !== '') return shown;
  const [family = '', given = ''] = (card.getFirstPropertyValue('n') as unknown as readonly unknown[] | null) ?? [];
  return `${textOf(given)} ${textOf(family)}`.trim();
}

/** One card at a time: one that cannot be read must not take the others down. */
function* cardsOf(text: string): Generator<ICAL.Component | null> {
  for (const part of text.split(/^BEGIN:VCARD[ \t]*\r?$/im).slice(1)) {
    try {
      // what the parser gives for one card is the library's own list form
      yield new ICAL.Component(ICAL.parse(`BEGIN:VCARD\r\n${part.trim()}`) as [string, ...unknown[]]);
    } catch {
      yield null;
    }
  }
}

/** Reads an address book. A card that has no name, or cannot be read, is counted and left out. */
export function clientsOfVcards(text: string): FromVcards {
  let nameless = 0;
  const clients: Parameters<typeof writeClientCsv>[0][number][] = [];
  for (const card of cardsOf(text.replace(/^\uFEFF/, ''))) {
    const name = card ? nameOf(card) : '';
    if (!card || name === '') {
      nameless++;
      continue;
    }
    clients.push({
      ...{ name, byline: firstOf(card, 'nickname'), bornOn: bornOf(card), phone: firstOf(card, 'tel') },
      // the notes of an address book are not those of a client's card
      note: '',
      ...{ sensitivity: 3, skin: 'normal', ingrownProne: false, statureCm: null, massKg: null, consentOn: null },
    });
  }
  return { csv: writeClientCsv(clients), nameless };
}
