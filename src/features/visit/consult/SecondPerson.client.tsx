'use client';

import { Button, Modal } from 'antd';
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
  return (
    <Modal open footer={null} title={person ? `${person.name} goes on too` : 'Who goes on with you?'} onCancel={onDone}>
      {person ? (
        <PinPad
          key={person.id}
          url={`/api/visits/${visitId}/vouch`}
          more={{ ...said, personId: person.id }}
          does="Go on"
          onOpened={onDone}
          onClose={() => setPerson(null)}
          closeWords="Somebody else"
        />
      ) : (
        <>
          <p>{said.reason}</p>
          <div className={styles.seconds}>
            {seconds.map((s) => (
              <Button key={s.id} size="large" onClick={() => setPerson(s)}>
                {s.name}
              </Button>
            ))}
          </div>
          {seconds.length === 0 ? <p>Nobody with a PIN is here who may.</p> : null}
        </>
      )}
    </Modal>
  );
}
