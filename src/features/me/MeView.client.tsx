'use client';

import { Button, Input } from 'antd';
import { useState } from 'react';
import { Codes } from '@/features/studio/Codes';
import { Said } from '@/features/studio/Said';
import styles from '@/features/studio/Studio.module.css';
import { notTaken, sendJson } from '@/ui/sendJson';

interface Props {
  readonly name: string;
  readonly hasPassphrase: boolean;
  readonly codesLeft: number;
  /** Other tablets on which they have signed in. */
  readonly others: number;
}

/** One's own doors: PIN, passphrase, recovery codes, other tablets. */
export function MeView({ name, hasPassphrase, codesLeft, others }: Props) {
  const [said, setSaid] = useState<{ text: string; bad: boolean } | null>(null);
  const [codes, setCodes] = useState<readonly string[] | null>(null);
  const send = async (act: object, done: string): Promise<boolean> => {
    const sent = await sendJson<{ codes: readonly string[] | null }>('POST', '/api/me', act);
    setSaid(sent.ok ? { text: done, bad: false } : { text: notTaken(sent.error), bad: true });
    if (sent.ok) setCodes(sent.value.codes);
    return sent.ok;
  };
  if (codes) return <Codes codes={codes} done="I have them on paper" onDone={() => setCodes(null)} />;
  return (
    <>
      <h1>{name}</h1>
      <Said said={said} />
      <Secret
        title="PIN"
        says="Four to eight digits: on tablets that are known."
        fields={['PIN until now', 'New PIN', 'New PIN again']}
        isPin
        onKeep={([old, pin]) => send({ pin: { old, pin } }, 'Your PIN is changed.')}
      />
      <Secret
        title="Passphrase"
        says={
          hasPassphrase
            ? 'A new one ends every other tablet of yours.'
            : 'You have none: without it no new tablet opens to you. Twelve letters or more.'
        }
        fields={['Your PIN', 'New passphrase', 'New passphrase again']}
        onKeep={([pin, passphrase]) => send({ passphrase: { pin, passphrase } }, 'Your passphrase is changed.')}
      />
      {hasPassphrase ? (
        <Secret
          title="Recovery codes"
          says={`${codesLeft} of yours are left. New ones make the old ones worthless.`}
          fields={['Your passphrase']}
          does="New codes"
          onKeep={([passphrase]) => send({ codes: { passphrase } }, 'New codes.')}
        />
      ) : null}
      <section className={styles.text}>
        <h2>Other tablets</h2>
        <div className={styles.weekday}>
          <span>
            {others === 0 ? 'You have signed in on this one alone.' : `You have signed in on ${others} more.`}
          </span>
          {others > 0 ? (
            <Button onClick={() => void send({ endOthers: true }, 'You are signed out everywhere else.')}>
              Sign out there
            </Button>
          ) : null}
        </div>
      </section>
    </>
  );
}

interface SecretProps {
  readonly title: string;
  readonly says: string;
  /** The first proves who it is; the last repeats the one before where there are three. */
  readonly fields: readonly string[];
  readonly isPin?: boolean;
  readonly does?: string;
  readonly onKeep: (values: readonly string[]) => Promise<boolean>;
}

function Secret({ title, says, fields, isPin = false, does = 'Keep', onKeep }: SecretProps) {
  const [values, setValues] = useState<readonly string[]>(fields.map(() => ''));
  const [, one, again] = values;
  const isSame = fields.length < 3 || one === again;
  const isFull = values.every((v) => v !== '') && isSame;
  return (
    <section className={styles.text} aria-label={title}>
      <h2>{title}</h2>
      <p className="quiet">{isSame || again === '' ? says : 'The two differ.'}</p>
      <div className={styles.weekday}>
        {fields.map((label, i) => (
          <Input.Password
            key={label}
            aria-label={label}
            placeholder={label}
            autoComplete={i === 0 ? 'off' : 'new-password'}
            maxLength={isPin ? 8 : 200}
            value={values[i]}
            onChange={(e) => setValues(values.map((v, k) => (k === i ? e.target.value : v)))}
            style={{ width: 220 }}
          />
        ))}
        <Button
          disabled={!isFull}
          onClick={() =>
            void onKeep(values).then((isKept) => {
              if (isKept) setValues(fields.map(() => ''));
            })
          }
        >
          {does}
        </Button>
      </div>
    </section>
  );
}
