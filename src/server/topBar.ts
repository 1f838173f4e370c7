import 'server-only';
import { cookies } from 'next/headers';
import { PERSON_COOKIE } from './acting';
import type { Db } from './db/openDatabase';
import { readPeople } from './repos/studioRepo';

/** What the bar shows of people: the names, and who stands at this tablet. */
export async function topBarPeople(db: Db): Promise<{
  readonly people: readonly { readonly id: string; readonly name: string }[];
  readonly person: string | null;
}> {
  const people = readPeople(db).map(({ id, name }) => ({ id, name }));
  const said = (await cookies()).get(PERSON_COOKIE)?.value;
  return { people, person: people.find((p) => p.id === said)?.id ?? null };
}
