'use client';

import { Button, Input, Select } from 'antd';
import { useState } from 'react';
import { MAYS, ROLES, type May } from '@/core/doors';
import type { House } from '@/server/services/house';
import { notTaken, sendJson } from '@/ui/sendJson';
import { Codes } from './Codes';
import { Said } from './Said';
import styles from './Studio.module.css';

/** Whether everybody signs in: turned on by an owner, with recovery codes that are shown once. */
export function SignInPart({ house }: { readonly house: House }) {
  const owners = house.people.filter((p) => p.active && p.role === 'owner');
  const [personId, setPersonId] = useState(owners[0]?.id ?? null);
  const [pin, setPin] = useState('');
  const [passphrase, setPassphrase] = useState('');
  const [codes, setCodes] = useState<readonly string[] | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const person = owners.find((p) => p.id === personId);
  const turn = async (): Promise<void> => {
    const body = house.signsIn ? { off: { passphrase } } : { on: { personId, pin, passphrase } };
    const sent = await sendJson<{ codes: readonly string[] } | null>('POST', '/api/studio/sign-in', body);
    if (!sent.ok) return setFault(notTaken(sent.error));
    if (house.signsIn) return window.location.reload();
    setFault(null);
    setCodes(sent.value?.codes ?? null);
  };
  if (codes) return <Codes codes={codes} done="I have them on paper" onDone={() => window.location.reload()} />;
  return (
    <section aria-label="Signing in" className={styles.text}>
      <h2>Signing in</h2>
      <p className="quiet">
        {house.signsIn
          ? 'Everybody comes in by name and PIN; on a tablet that is not known, with the passphrase.'
          : 'Nobody signs in: whoever reaches this machine sees everything. Other tablets in your network can only come in once people do.'}
      </p>
      <Said said={fault === null ? null : { text: fault, bad: true }} />
      <div className={styles.weekday}>
        {house.signsIn ? null : (
          <>
            <Select
              aria-label="Which owner turns it on"
              value={personId}
              onChange={setPersonId}
              options={owners.map((p) => ({ value: p.id, label: p.name }))}
              style={{ width: 160 }}
            />
            <Input.Password
              aria-label={person?.hasPin ? 'Your PIN' : 'A PIN, four to eight digits'}
              placeholder={person?.hasPin ? 'your PIN' : 'a new PIN'}
              inputMode="numeric"
              autoComplete="off"
              maxLength={8}
              value={pin}
              onChange={(e) => setPin(e.target.value.replace(/\D/g, ''))}
              style={{ width: 150 }}
            />
          </>
        )}
        <Input.Password
          aria-label={house.signsIn ? 'Your passphrase' : 'A passphrase, twelve letters or more'}
          placeholder={house.signsIn ? 'your passphrase' : 'a passphrase of a few words'}
          autoComplete="new-password"
          maxLength={200}
          value={passphrase}
          onChange={(e) => setPassphrase(e.target.value)}
          style={{ width: 280 }}
        />
        <Button
          disabled={passphrase === '' || (!house.signsIn && (pin.length < 4 || personId === null))}
          onClick={() => void turn()}
        >
          {house.signsIn ? 'Nobody signs in any more' : 'From now on everybody signs in'}
        </Button>
      </div>
      <Roles />
    </section>
  );
}

/** The table of roles, as it is checked. */
function Roles() {
  return (
    <details>
      <summary>What each may see and do</summary>
      <div className={styles.rolesBox}>
        <table className={styles.roles}>
          <thead>
            <tr>
              <th scope="col">May</th>
              {ROLES.map((r) => (
                <th key={r} scope="col">
                  {r}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {(Object.keys(MAYS) as May[]).map((m) => (
              <tr key={m}>
                <th scope="row">{MAYS[m].words}</th>
                {ROLES.map((r) => (
                  <td key={r}>{(MAYS[m].roles as readonly string[]).includes(r) ? 'yes' : '–'}</td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="quiet">A trainee goes on in spite of a screening answer only when a second person gives a PIN.</p>
    </details>
  );
}
