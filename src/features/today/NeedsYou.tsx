'use client';

import { deg } from '@/formats/heat';
import { Button } from 'antd';
import { Link } from '@/ui/Link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Today, TodayVisit } from '@/server/services/today';
import type { Drilled } from '@/server/backup/drill';
import type { HouseNeed } from '@/server/services/backupDrill';
import type { TodayWord } from '@/server/services/todayWords';
import { sendJson } from '@/ui/sendJson';
import { useMay } from '@/ui/Who.client';
import { plural, shortDateTime, timeOfDay, withDates } from '@/ui/words';
import { Flag } from './DayRibbon';
import { OpenVisitButton } from './OpenVisitButton.client';
import type { PotNeed } from './potDayWords';
import styles from './TodayView.module.css';

interface Props {
  readonly today: Today;
  readonly pots: readonly PotNeed[];
  /** Of the studio itself, for its owner. */
  readonly house: readonly HouseNeed[];
}

/** Who and what needs a word, each with its remedy one tap away. */
export function NeedsYou({ today, pots: allPots, house }: Props) {
  // who may not write at the pots is not asked to
  const pots = useMay('goods') ? allPots : [];
  const { visits, timeZone } = today;
  const [said, setSaid] = useState('');
  const needs = visits.filter((v) => v.words.length > 0);
  const coming = visits.filter((v) => v.isComing).length;
  return (
    <section>
      <h2>Needs you</h2>
      {said === '' ? null : <p role="status">{said}</p>}
      {coming > 0 ? (
        <p className="quiet" role="status">
          Still planning {plural(coming, 'visit')} …
        </p>
      ) : null}
      {needs.length === 0 && pots.length + house.length === 0 && coming === 0 ? (
        <p className="quiet">Nothing. Hair, consent, cards and pots are as they should be.</p>
      ) : (
        <ul className={styles.words}>
          {needs.flatMap((v) =>
            v.words.map((w) => (
              <li key={`${v.bookingId} ${w.text}`} data-weight={w.weight}>
                <Flag />
                <p>
                  <strong>
                    {v.clientName}, {timeOfDay(v.startsAtMs, timeZone)}
                  </strong>
                  <span>{withDates(w.text)}</span>
                </p>
                <Remedy visit={v} word={w} timeZone={timeZone} onSaid={setSaid} />
              </li>
            )),
          )}
          {pots.map((p) => (
            <li key={`${p.potId} ${p.text}`} data-weight={p.weight}>
              <Flag />
              <p>
                <strong>{p.title}</strong>
                <span>{p.text}</span>
              </p>
              <PotRemedy need={p} onSaid={setSaid} />
            </li>
          ))}
          {house.map((h) => (
            <li key={h.id} data-weight={h.weight}>
              <Flag />
              <p>
                <strong>{h.title}</strong>
                <span>{withDates(h.text)}</span>
              </p>
              <HouseRemedy id={h.id} onSaid={setSaid} />
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

function HouseRemedy({ id, onSaid }: { readonly id: HouseNeed['id']; readonly onSaid: (words: string) => void }) {
  if (id === 'trail') return <Link href="/studio/trail">To the trail</Link>;
  if (id === 'keeping') return <Link href="/studio/keeping">Look at them</Link>;
  return <DrillRemedy onSaid={onSaid} />;
}

interface RemedyProps {
  readonly visit: TodayVisit;
  readonly word: TodayWord;
  readonly timeZone: string;
  readonly onSaid: (words: string) => void;
}

function Remedy({ visit, word, timeZone, onSaid }: RemedyProps) {
  const router = useRouter();
  const { bookingId, visitId, version, personId, minutes, clientName, state } = visit;
  const { remedy } = word;
  const look = <OpenVisitButton bookingId={bookingId} visitId={visitId} label="Look at it" quiet />;
  if (remedy?.kind === 'form') {
    return <OpenVisitButton bookingId={bookingId} visitId={visitId} label="To the consultation" quiet />;
  }
  if (remedy?.kind === 'shelf') return <Link href="/shelf">To the shelf</Link>;
  if (remedy?.kind === 'patch') {
    return <PatchRemedy visit={visit} startsAtMs={remedy.startsAtMs} timeZone={timeZone} onSaid={onSaid} />;
  }
  if (remedy?.kind !== 'move' || state !== 'ahead') return look;
  const { startsAtMs } = remedy;
  const move = async (): Promise<void> => {
    const body = { version, personId, startsAtMs, minutes };
    const sent = await sendJson('PUT', `/api/bookings/${bookingId}`, body, crypto.randomUUID());
    onSaid(sent.ok ? `${clientName} is on ${shortDateTime(startsAtMs, timeZone)} now: tell them.` : sent.error.message);
    if (sent.ok) router.refresh();
  };
  return (
    <>
      {look}
      <Button type="primary" onClick={() => void move()}>
        Move to {shortDateTime(startsAtMs, timeZone)}
      </Button>
    </>
  );
}

interface PatchProps extends Omit<RemedyProps, 'word'> {
  readonly startsAtMs: number;
}

const PATCH_MIN = 10;

/** Ten minutes before the visit, on which the patch test is laid. */
function PatchRemedy({ visit, startsAtMs, timeZone, onSaid }: PatchProps) {
  const router = useRouter();
  const { clientId, personId, clientName } = visit;
  const when = shortDateTime(startsAtMs, timeZone);
  const book = async (): Promise<void> => {
    const body = {
      ...{ clientId, personId, startsAtMs, minutes: PATCH_MIN },
      ...{ withoutZones: true, note: 'patch test' },
    };
    const sent = await sendJson('POST', '/api/bookings', body, crypto.randomUUID());
    onSaid(sent.ok ? `${clientName} is booked ${when} for the patch test: tell them.` : sent.error.message);
    if (sent.ok) router.refresh();
  };
  return <Button onClick={() => void book()}>Patch test {when}</Button>;
}

/** Puts the newest backup back beside the data, as a try. */
function DrillRemedy({ onSaid }: { readonly onSaid: (words: string) => void }) {
  const router = useRouter();
  const [busy, setBusy] = useState(false);
  const tryOne = async (): Promise<void> => {
    setBusy(true);
    const sent = await sendJson<Drilled>('POST', '/api/studio/drill', {});
    setBusy(false);
    if (!sent.ok) return onSaid(sent.error.message);
    const { name, clients, visits } = sent.value;
    onSaid(`${name} can be put back whole: ${plural(clients, 'card')}, ${plural(visits, 'visit')}.`);
    router.refresh();
  };
  return (
    <Button loading={busy} onClick={() => void tryOne()}>
      Try the newest
    </Button>
  );
}

function PotRemedy({ need, onSaid }: { readonly need: PotNeed; readonly onSaid: (words: string) => void }) {
  const router = useRouter();
  const { setC, potId, title } = need;
  if (setC === undefined) return <Link href="/pots">To the pots</Link>;
  const done = async (): Promise<void> => {
    const sent = await sendJson('POST', `/api/pots/${potId}/notes`, { kind: 'set', tempC: setC }, crypto.randomUUID());
    const words = setC === null ? 'is off' : `is set to ${deg(setC)}`;
    onSaid(sent.ok ? `${title} ${words}.` : sent.error.message);
    if (sent.ok) router.refresh();
  };
  return <Button onClick={() => void done()}>{setC === null ? 'It is off' : `It is set to ${deg(setC)}`}</Button>;
}
