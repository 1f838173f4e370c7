'use client';

import { Dropdown } from 'antd';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { markOf } from './marks';
import { sendJson } from './sendJson';
import styles from './TopBar.module.css';
import { useWho } from './Who.client';

interface Props {
  readonly people: readonly { readonly id: string; readonly name: string }[];
  readonly person: string | null;
}

/** Who stands at this tablet, by their mark: changes of cards and rules are written down under this name. */
export function AtTablet({ people, person }: Props) {
  const router = useRouter();
  const { name: signedIn } = useWho();
  const [said, setSaid] = useState<string | null>(null);
  if (people.length === 0) return null;
  const name = people.find((p) => p.id === person)?.name;
  const choose = (id: string): void => {
    document.cookie = `strickle-person=${encodeURIComponent(id)}; path=/; max-age=${id === '' ? 0 : 31_536_000}; samesite=strict`;
    router.refresh();
  };
  const names = {
    selectable: true,
    selectedKeys: person === null ? [] : [person],
    items: [
      ...people.map((p) => ({ key: p.id, label: p.name })),
      ...(person === null ? [] : [{ key: '', label: 'Not said' }]),
    ],
    onClick: ({ key }: { readonly key: string }) => choose(key),
  };
  const own = {
    items: [
      { key: 'me', label: `${name ?? signedIn}: PIN and passphrase` },
      { key: 'rest', label: 'Close this tablet until the PIN' },
      { key: 'out', label: 'Sign out' },
    ],
    onClick: ({ key }: { readonly key: string }): void => {
      if (key === 'me') return router.push('/me');
      // never away from a table that is worked at, nor to a door that does not answer
      void sendJson('POST', key === 'rest' ? '/api/door/rest' : '/api/door/out', {}).then((sent) => {
        if (sent.ok || sent.error.code === 'signed-out') window.location.assign('/door');
        else setSaid(sent.error.message);
      });
    },
  };
  return (
    <>
      <Dropdown trigger={['click']} menu={signedIn === null ? names : own}>
        <button
          type="button"
          className={styles.person}
          aria-label={name === undefined ? 'Who is here? Not said' : `At this tablet: ${name}`}
          title={name ?? 'Who is here?'}
          data-known={name !== undefined}
        >
          {person === null ? '?' : markOf(people, person)}
        </button>
      </Dropdown>
      {said === null ? null : (
        <p role="alert" className={styles.said}>
          {said}
        </p>
      )}
    </>
  );
}
