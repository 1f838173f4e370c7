// What the door shows: whom a known tablet may ask for, and who has been here. A tablet that is not known learns no
// name.

import 'server-only';
import { nowMs } from '../clock';
import { sessionOf, signsIn } from '../auth/sessions';
import type { Db } from '../db/openDatabase';
import { tabletOf } from '../tablets';
import { isKnownTablet, whoMayCome } from './signIn';

export interface DoorFacts {
  readonly isKnown: boolean;
  readonly people: readonly { readonly id: string; readonly name: string }[];
  /** Who has signed in and is asked for the PIN; null = nobody. */
  readonly wasHere: string | null;
}

/** Null where nobody signs in. */
export function doorFacts(db: Db, request: Request): DoorFacts | null {
  if (!signsIn(db)) return null;
  const tablet = tabletOf(request);
  const isKnown = tablet !== null && isKnownTablet(db, tablet);
  if (!isKnown) return { isKnown, people: [], wasHere: null };
  return { isKnown, people: whoMayCome(db), wasHere: sessionOf(db, request, tablet, nowMs())?.personId ?? null };
}
