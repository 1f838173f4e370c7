// The studio's own words: what is signed, and what is added to the after-care card. Every version stays; what was
// signed names the one it was.

import 'server-only';
import { CONSENT_TEXT, consentTextOf, type ConsentText } from '../../core/agreement';
import { ok } from '../../core/shared';
import type { Db, DbOrTx } from '../db/openDatabase';
import type { ServiceResult } from '../errors';
import { insertText, textsOf, type StudioTextRow } from '../repos/houseRepo';
import { peopleNames } from '../repos/studioRepo';
import type { By } from './shelfMoves';

/** Versions of the studio's own begin above those that are shipped. */
const OWN_FROM = 1000;
const paragraphsOf = (words: string): readonly string[] =>
  words
    .split(/\n\s*\n/)
    .map((p) => p.trim())
    .filter(Boolean);

/** The words as they stood at an entry of the book of texts. */
function consentAt(db: DbOrTx, seq: number): ConsentText {
  const upTo = (kind: StudioTextRow['kind']): string => textsOf(db, kind).find((t) => t.seq <= seq)?.words ?? '';
  const own = paragraphsOf(upTo('consent'));
  return {
    version: OWN_FROM + seq,
    paragraphs: own.length > 0 ? own : CONSENT_TEXT.paragraphs,
    guardian: upTo('guardian') || CONSENT_TEXT.guardian,
  };
}

/** What is signed now: the studio's own words, else the shipped ones. */
export function currentConsent(db: DbOrTx): ConsentText {
  const latest = [...textsOf(db, 'consent'), ...textsOf(db, 'guardian')];
  if (latest.length === 0) return CONSENT_TEXT;
  return consentAt(db, Math.max(...latest.map((t) => t.seq)));
}
/** The words of a version; undefined where there never was one. */
export function consentOf(db: DbOrTx, version: number): ConsentText | undefined {
  if (version < OWN_FROM) return consentTextOf(version);
  const known = [...textsOf(db, 'consent'), ...textsOf(db, 'guardian')].some((t) => OWN_FROM + t.seq === version);
  return known ? consentAt(db, version - OWN_FROM) : undefined;
}
/** What the studio adds to the after-care card; empty = nothing. */
export const ownCareWords = (db: DbOrTx): string => textsOf(db, 'care')[0]?.words ?? '';

export interface OwnTexts {
  readonly texts: readonly {
    readonly kind: StudioTextRow['kind'];
    readonly words: string;
    readonly shipped: string;
    readonly versions: readonly { readonly version: number; readonly atMs: number; readonly by: string }[];
  }[];
}

export function loadTexts(db: Db): ServiceResult<OwnTexts> {
  const names = peopleNames(db);
  const of = (kind: StudioTextRow['kind'], shipped: string): OwnTexts['texts'][number] => {
    const rows = textsOf(db, kind);
    return {
      ...{ kind, shipped, words: rows[0]?.words ?? '' },
      versions: rows.map((r) => ({ version: OWN_FROM + r.seq, atMs: r.atMs, by: names.get(r.personId ?? '') ?? '' })),
    };
  };
  return ok({
    texts: [of('consent', CONSENT_TEXT.paragraphs.join('\n\n')), of('guardian', CONSENT_TEXT.guardian), of('care', '')],
  });
}

/** A new version; the same words again are none. */
export function saveText(
  db: Db,
  { kind, words }: { readonly kind: StudioTextRow['kind']; readonly words: string },
  by: By,
): ServiceResult<null> {
  const now = textsOf(db, kind)[0]?.words ?? '';
  if (words.trim() !== now) insertText(db, { kind, words: words.trim(), personId: by.personId, atMs: by.atMs });
  return ok(null);
}
