'use client';

import { Button, Input } from 'antd';
import { Link } from '@/ui/Link';
import { useState } from 'react';
import type { Pairing, TabletAct, TabletLine, TabletList } from '@/server/services/tabletList';
import { notTaken, sendJson } from '@/ui/sendJson';
import { dateAndTime, timeOfDay } from '@/ui/words';
import { Said } from './Said';
import styles from './Studio.module.css';

interface Props {
  readonly first: TabletList;
  readonly timeZone: string;
}

/** The tablets that are known here, who was at them last; a code that makes one more known. */
export function TabletsView({ first, timeZone }: Props) {
  const [list, setList] = useState(first);
  const [said, setSaid] = useState<{ text: string; bad: boolean } | null>(null);
  const [pairing, setPairing] = useState<Pairing | null>(null);
  const act = async (does: TabletAct, done: string): Promise<void> => {
    const sent = await sendJson<TabletList>('POST', '/api/studio/tablets', does);
    if (sent.ok) setList(sent.value);
    setSaid(sent.ok ? { text: done, bad: false } : { text: notTaken(sent.error), bad: true });
  };
  const makeCode = async (): Promise<void> => {
    const sent = await sendJson<Pairing>('POST', '/api/studio/pairing', {});
    if (sent.ok) setPairing(sent.value);
    setSaid(sent.ok ? null : { text: notTaken(sent.error), bad: true });
  };
  return (
    <section className={`${styles.page} ${styles.wide}`}>
      <h1>Tablets</h1>
      <p className="quiet">{reachWords(list)}</p>
      <Said said={said} />
      {pairing ? <PairingCard pairing={pairing} timeZone={timeZone} onClose={() => setPairing(null)} /> : null}
      {list.signsIn ? (
        <div className={styles.choices}>
          <Button type="primary" onClick={() => void makeCode()}>
            {pairing ? 'Another code' : 'Make a tablet known'}
          </Button>
          {list.addresses.length > 0 ? <Button href="/api/studio/authority">Certificate to trust</Button> : null}
        </div>
      ) : (
        <p>
          <Link href="/studio/people">People, signing in</Link>
        </p>
      )}
      <h2>Known</h2>
      <ul>
        {list.tablets.map((t) => (
          <TabletRow key={`${t.id} ${t.name}`} tablet={t} timeZone={timeZone} mayForget={list.signsIn} onAct={act} />
        ))}
      </ul>
    </section>
  );
}

function reachWords({ signsIn, addresses }: TabletList): string {
  if (!signsIn) return 'Nobody signs in yet: only browsers of this machine come in. Turn signing in on first.';
  return addresses.length === 0
    ? 'Only browsers of this machine come in. Started with npm start -- --lan, the server answers tablets in the network too, by HTTPS.'
    : `Tablets in the network come in by ${addresses[0] ?? ''}. Until they trust the certificate, they warn.`;
}

interface CardProps {
  readonly pairing: Pairing;
  readonly timeZone: string;
  readonly onClose: () => void;
}

/** The code, large, and what a tablet's camera reads. */
function PairingCard({ pairing, timeZone, onClose }: CardProps) {
  const [way] = pairing.ways;
  return (
    <section className={styles.pairing} aria-label="Code for a tablet">
      {way ? <img src={`data:image/svg+xml,${encodeURIComponent(way.qr)}`} alt={`Leads to ${way.address}`} /> : null}
      <div className={styles.text}>
        <p className={styles.code}>{pairing.code}</p>
        <p>
          {way
            ? `Point the tablet’s camera here, or open ${way.address} and type the code.`
            : 'Type it at the door of the browser.'}{' '}
          Good once, until {timeOfDay(pairing.untilMs, timeZone)}.
        </p>
        {pairing.ways.length > 1 ? (
          <p className="quiet">
            Where that is not found:{' '}
            {pairing.ways
              .slice(1)
              .map((w) => w.address)
              .join(', ')}
          </p>
        ) : null}
        <div>
          <Button onClick={onClose}>Done</Button>
        </div>
      </div>
    </section>
  );
}

interface RowProps {
  readonly tablet: TabletLine;
  readonly timeZone: string;
  readonly mayForget: boolean;
  readonly onAct: (act: TabletAct, done: string) => Promise<void>;
}

function TabletRow({ tablet, timeZone, mayForget, onAct }: RowProps) {
  const [name, setName] = useState(tablet.name);
  const { id, isThis, last, knownSinceMs } = tablet;
  const called = tablet.name === '' ? `A browser known since ${dateAndTime(knownSinceMs, timeZone)}` : tablet.name;
  return (
    <li aria-label={called} className={styles.weekday}>
      <Input
        aria-label={`Name of ${called}`}
        placeholder="a name, as: Window table"
        maxLength={40}
        value={name}
        onChange={(e) => setName(e.target.value)}
        style={{ width: 240 }}
      />
      {name.trim() === tablet.name ? null : (
        <Button onClick={() => void onAct({ name: { id, name: name.trim() } }, 'The name is kept.')}>Keep</Button>
      )}
      <span>
        {isThis ? 'This one. ' : ''}
        <span className="quiet">
          Known since {dateAndTime(knownSinceMs, timeZone)}
          {last ? `; ${last.name} was at it ${dateAndTime(last.atMs, timeZone)}` : ''}
        </span>
      </span>
      {mayForget && !isThis ? (
        <Button danger onClick={() => void onAct({ forget: { id } }, `${called} shows nothing any more.`)}>
          Forget it
        </Button>
      ) : null}
    </li>
  );
}
