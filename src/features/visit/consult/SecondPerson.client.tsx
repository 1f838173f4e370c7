'use client';

import { Button } from 'antd';
import { useState } from 'react';
import { PinPad } from '@/ui/PinPad.client';
import { useWho } from '@/ui/Who.client';
import styles from './Consult.module.css';

interface Props {
  readonly visitId: string;
  readonly said: { readonly code: string; readonly zones: readonly (string | null)[]; readonly reason: string };
  readonly onDone: () => void;
}

/** A trainee does not go on alone in spite of an answer: somebody else says so with a PIN. */
export function SecondPerson({ visitId, said, onDone }: Props) {
  const { seconds } = useWho();
  const [person, setPerson] = useState<(typeof seconds)[number] | null>(null);
  if (person) {
    return (
      <PinPad
        url={`/api/visits/${visitId}/vouch`}
        more={{ ...said, personId: person.id }}
        does="Go on"
        onOpened={onDone}
        onClose={() => setPerson(null)}
        closeWords="Somebody else"
      />
    );
  }
  return (
    <span className={styles.why}>
      <span>Who goes on with you?</span>
      {seconds.map((s) => (
        <Button key={s.id} onClick={() => setPerson(s)}>
          {s.name}
        </Button>
      ))}
      {seconds.length === 0 ? <span>Nobody with a PIN is here who may.</span> : null}
    </span>
  );
}
