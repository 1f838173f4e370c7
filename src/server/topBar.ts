import 'server-only';
import { cookies } from 'next/headers';
import { PERSON_COOKIE } from './acting';
import type { Db } from './db/openDatabase';
import { nowMs } from './clock';
import { livePots } from './pots/live';
import type { LivePot } from './pots/livePot';
import { readPeople, readStudio } from './repos/studioRepo';

/** What the bar shows: people's names and who stands at this tablet, the studio's time, its pots. */
export async function topBarFacts(db: Db): Promise<{
  readonly people: readonly { readonly id: string; readonly name: string }[];
  readonly person: string | null;
  readonly atMs: number;
  readonly timeZone: string;
  readonly pots: readonly LivePot[];
}> {
  const people = readPeople(db).map(({ id, name }) => ({ id, name }));
  const said = (await cookies()).get(PERSON_COOKIE)?.value;
  return {
    people,
    person: people.find((p) => p.id === said)?.id ?? null,
    atMs: nowMs(),
    timeZone: readStudio(db)?.timeZone ?? 'UTC',
    pots: livePots(db, nowMs()),
  };
}
