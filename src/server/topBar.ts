import 'server-only';
import { may, REST_AFTER_MIN, type Who } from '../core/doors';
import { actingPerson, signedIn } from './acting';
import { roleOf } from './auth/guard';
import { signsIn } from './auth/sessions';
import { anyPageRequest } from './pageRequest';
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
  const said = actingPerson(db, await anyPageRequest());
  return {
    people,
    person: people.find((p) => p.id === said)?.id ?? null,
    atMs: nowMs(),
    timeZone: readStudio(db)?.timeZone ?? 'UTC',
    pots: livePots(db, nowMs()),
  };
}

/** Who has signed in, for what a page shows of itself. */
export async function whoAtPage(db: Db): Promise<Who> {
  if (!signsIn(db)) return { role: 'owner', id: null, name: null, restAfterMin: null, seconds: [] };
  const request = await anyPageRequest();
  const who = signedIn(db, request);
  const role = roleOf(db, request);
  const seconds =
    who === null || may(role, 'override')
      ? []
      : readPeople(db).filter((p) => p.pinHash !== null && may(p.role, 'override'));
  return {
    ...{
      role,
      id: who?.personId ?? null,
      name: who?.name ?? null,
      restAfterMin: who === null ? null : REST_AFTER_MIN[role],
    },
    seconds: seconds.map(({ id, name }) => ({ id, name })),
  };
}
