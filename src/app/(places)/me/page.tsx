import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { MeView } from '@/features/me/MeView.client';
import styles from '@/features/studio/Studio.module.css';
import { signedIn } from '@/server/acting';
import { getDb } from '@/server/db/client';
import { anyPageRequest } from '@/server/pageRequest';
import { codesLeft, sessionsOf } from '@/server/repos/doorRepo';
import { readPerson } from '@/server/repos/studioRepo';

export const metadata: Metadata = { title: 'PIN and passphrase' };
export const dynamic = 'force-dynamic';

export default async function MePage() {
  const db = getDb();
  const who = signedIn(db, await anyPageRequest());
  if (who === null) redirect('/');
  return (
    <section className={styles.page}>
      <MeView
        name={who.name}
        hasPassphrase={(readPerson(db, who.personId)?.passHash ?? null) !== null}
        codesLeft={codesLeft(db, who.personId)}
        others={sessionsOf(db, who.personId).length - 1}
      />
    </section>
  );
}
