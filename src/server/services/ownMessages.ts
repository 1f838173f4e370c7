// The studio's own words of reminders and offers: for clients whose card names no other language; the shipped words are
// there in all of them.

import 'server-only';
import { fillTemplate, templateFault, type MessageKind, type MessagePlace } from '../../formats/messageTemplate';
import { ok } from '../../core/shared';
import type { Db, DbOrTx } from '../db/openDatabase';
import { refused, type ServiceResult } from '../errors';
import { insertPostText, postTextsOf } from '../repos/formRepo';
import { peopleNames } from '../repos/studioRepo';
import type { By } from './shelfMoves';

const STUDIO_LANGUAGE = 'en';

/** The studio's own words, filled; null where the shipped ones are meant. */
export function ownMessage(
  db: DbOrTx,
  kind: MessageKind,
  language: string | undefined,
  values: Readonly<Record<MessagePlace, string>>,
): string | null {
  if ((language ?? STUDIO_LANGUAGE) !== STUDIO_LANGUAGE) return null;
  const words = postTextsOf(db, kind)[0]?.words ?? '';
  return words === '' ? null : fillTemplate(words, values);
}

export interface OwnMessages {
  readonly messages: readonly {
    readonly kind: MessageKind;
    /** Empty = as shipped. */
    readonly words: string;
    readonly versions: readonly { readonly version: number; readonly atMs: number; readonly by: string }[];
  }[];
}

export function loadMessageTexts(db: Db): OwnMessages {
  const names = peopleNames(db);
  const of = (kind: MessageKind): OwnMessages['messages'][number] => {
    const rows = postTextsOf(db, kind);
    const versions = rows.map((r, i) => ({
      ...{ version: rows.length - i, atMs: r.atMs, by: names.get(r.personId ?? '') ?? '' },
    }));
    return { kind, versions, words: rows[0]?.words ?? '' };
  };
  return { messages: [of('reminder'), of('offer')] };
}

/** A new version; the same words again are none. */
export function saveMessageText(
  db: Db,
  { kind, words }: { readonly kind: MessageKind; readonly words: string },
  by: By,
): ServiceResult<null> {
  const fault = templateFault(kind, words);
  if (fault !== null) return refused(fault, 'words');
  const now = postTextsOf(db, kind)[0]?.words ?? '';
  if (words.trim() !== now) insertPostText(db, { kind, words: words.trim(), personId: by.personId, atMs: by.atMs });
  return ok(null);
}
