'use client';

import { Input } from 'antd';
import { useEffect, useState, useSyncExternalStore } from 'react';
import { forgetKept } from '@/features/kept/keptPages';
import type { DoorFacts } from '@/server/services/doorFacts';
import { PinPad } from '@/ui/PinPad.client';
import { notTaken, sendJson } from '@/ui/sendJson';
import { DoorForm } from './DoorForm';
import styles from './Door.module.css';

interface Props {
  readonly studioName: string;
  readonly facts: DoorFacts;
  /** Where the tablet was. */
  readonly back: string;
}

/** Who comes in: by name and PIN on a tablet that is known, by passphrase on another one. */
export function SignInView({ studioName, facts, back }: Props) {
  const { isKnown, people, wasHere } = facts;
  const [person, setPerson] = useState(people.find((p) => p.id === wasHere) ?? null);
  const [byWords, setByWords] = useState(!isKnown || people.length === 0);
  // whoever was here before leaves no health notes on the tablet
  useEffect(() => void forgetKept(), []);
  // the whole page anew: what it may show is decided by the server
  const come = (): void => window.location.assign(back);
  const otherWay = (
    <button type="button" className={styles.other} onClick={() => setByWords(!byWords)}>
      {byWords ? 'By name and PIN' : 'With the passphrase'}
    </button>
  );
  return (
    <main className={styles.door}>
      <h1>{studioName}</h1>
      {byWords ? (
        <>
          {isKnown ? null : <p className="quiet">This tablet has not been here before.</p>}
          {isKnown ? <Passphrase onCome={come} /> : <Stranger onCome={come} />}
          {isKnown && people.length > 0 ? otherWay : null}
        </>
      ) : null}
      {!byWords && person === null ? (
        <>
          <p>Who is it?</p>
          <ul className={styles.people}>
            {people.map((p) => (
              <li key={p.id}>
                <button type="button" onClick={() => setPerson(p)}>
                  {p.name}
                </button>
              </li>
            ))}
          </ul>
          {otherWay}
        </>
      ) : null}
      {!byWords && person !== null ? (
        <>
          <p>{person.id === wasHere ? `Still ${person.name}?` : person.name}</p>
          <PinPad
            key={person.id}
            url="/api/door/sign-in"
            does="Come in"
            more={{ personId: person.id }}
            onOpened={come}
            onClose={() => setPerson(null)}
            closeWords="Somebody else"
          />
        </>
      ) : null}
    </main>
  );
}

/** A tablet that is not known: a passphrase, or a short code made on one that is. */
function Stranger({ onCome }: { readonly onCome: () => void }) {
  // read by the camera: it stands behind the #, which no browser sends
  const hash = useSyncExternalStore(
    () => () => undefined,
    () => window.location.hash,
    () => '',
  );
  const [, read = null] = /^#pair=([a-z0-9-]{4,20})$/.exec(hash) ?? [];
  const [chosen, setByCode] = useState<boolean | null>(null);
  const [typed, setCode] = useState<string | null>(null);
  const byCode = chosen ?? read !== null;
  const code = typed ?? read ?? '';
  const [name, setName] = useState('');
  const [fault, setFault] = useState<string | null>(null);
  const pair = async (): Promise<void> => {
    const sent = await sendJson('POST', '/api/door/pair', { code: code.trim(), name: name.trim() });
    if (sent.ok) window.location.assign('/door');
    else setFault(notTaken(sent.error, 'The tablet is not known yet'));
  };
  if (!byCode) {
    return (
      <>
        <Passphrase onCome={onCome} />
        <button type="button" className={styles.other} onClick={() => setByCode(true)}>
          With a code made under Studio, Tablets
        </button>
      </>
    );
  }
  return (
    <DoorForm
      fault={fault}
      does="Make it known"
      isReady={code.trim() !== '' && name.trim() !== ''}
      onSubmit={() => void pair()}
      other="With the passphrase"
      onOther={() => setByCode(false)}
    >
      <label>
        Code
        <Input size="large" autoComplete="off" maxLength={20} value={code} onChange={(e) => setCode(e.target.value)} />
      </label>
      <label>
        What you call this tablet
        <Input
          size="large"
          placeholder="Window table"
          maxLength={40}
          value={name}
          onChange={(e) => setName(e.target.value)}
        />
      </label>
    </DoorForm>
  );
}

/** Name and passphrase; with a recovery code where that is lost. */
function Passphrase({ onCome }: { readonly onCome: () => void }) {
  const [name, setName] = useState('');
  const [passphrase, setPassphrase] = useState('');
  const [code, setCode] = useState<string | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const isFull = name.trim() !== '' && passphrase !== '' && code !== '';
  const come = async (): Promise<void> => {
    setBusy(true);
    const body = { name: name.trim(), passphrase, ...(code === null ? {} : { code }) };
    const sent = await sendJson('POST', '/api/door/sign-in', body);
    setBusy(false);
    if (sent.ok) onCome();
    else setFault(notTaken(sent.error, 'Nobody has come in'));
  };
  return (
    <DoorForm
      fault={fault}
      does="Come in"
      isReady={isFull}
      isBusy={busy}
      onSubmit={() => void come()}
      other={code === null ? 'The passphrase is lost: a recovery code' : 'With the passphrase'}
      onOther={() => setCode(code === null ? '' : null)}
    >
      <label>
        Name
        <Input
          size="large"
          autoComplete="username"
          maxLength={60}
          value={name}
          onChange={(e) => setName(e.target.value)}
        />
      </label>
      {code === null ? null : (
        <label>
          Recovery code
          <Input
            size="large"
            autoComplete="off"
            maxLength={40}
            value={code}
            onChange={(e) => setCode(e.target.value)}
          />
        </label>
      )}
      <label>
        {code === null ? 'Passphrase' : 'New passphrase, twelve letters or more'}
        <Input.Password
          size="large"
          autoComplete={code === null ? 'current-password' : 'new-password'}
          maxLength={200}
          value={passphrase}
          onChange={(e) => setPassphrase(e.target.value)}
        />
      </label>
    </DoorForm>
  );
}
