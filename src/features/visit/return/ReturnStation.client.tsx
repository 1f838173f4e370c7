'use client';

import { zoneKey } from '@/core/anatomy';
import { Button, Checkbox, Input } from 'antd';
import dynamic from 'next/dynamic';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { daysBetween, addDays } from '@/core/shared';
import { dayMonth, plural, span, weekday } from '@/ui/words';
import { sendJson } from '@/ui/sendJson';
import { useBench, useSync } from '../BenchContext.client';
import { useZone } from '../BenchFrame.client';
import { StationFoot } from '../StationFoot.client';
import { StationTop } from '../StationTop';
import { instantOf } from './instantOf';
import { regrowthLines } from './regrowthLines';
import { DateField } from '@/ui/DateField.client';
import styles from './Return.module.css';

const RegrowthChart = dynamic(() => import('./RegrowthChart.client').then((m) => m.RegrowthChart), {
  ssr: false,
  loading: () => <p className="quiet">Drawing the growth …</p>,
});
const FAMILY: Readonly<Record<string, string>> = { hard: 'Hard wax', soft: 'Soft wax', sugar: 'Sugar' };

/** When the hair is ready again, the date, the care to tell, and the end of the visit. */
export function ReturnStation() {
  const { bench } = useBench();
  const { sync } = useSync();
  const { zone } = useZone();
  const router = useRouter();
  const { plan, visit, studio } = bench;
  const [date, setDate] = useState(plan.returnOn?.on ?? addDays(visit.onDate, 35));
  const [time, setTime] = useState('10:00');
  const [told, setTold] = useState(false);
  const [fault, setFault] = useState<string | null>(null);
  const [closing, setClosing] = useState(false);
  const planned = plan.zones.find((z) => zone && zoneKey(z) === zoneKey(zone));
  const growth = useMemo(
    () => (zone && planned ? regrowthLines(zone, planned, visit.onDate) : null),
    [zone, planned, visit.onDate],
  );
  const regrowth = plan.regrowth.find((r) => zone && zoneKey(r) === zoneKey(zone));
  const own = regrowth?.ready.find((r) => r.family === planned?.choice?.family);
  const closed = visit.status === 'closed';
  const unread = plan.zones.filter(
    (z) => z.strips.length > 0 && !bench.readings.some((r) => zoneKey(r) === zoneKey(z)),
  );
  const days = daysBetween(visit.onDate, date);
  const close = async (book: boolean): Promise<void> => {
    const startsAtMs = book ? instantOf(date, time, studio.timeZone) : null;
    if (book && startsAtMs === null) return setFault('Give a date and a time; nothing has been booked yet.');
    setClosing(true);
    const sent = await sendJson<{ visitId: string }>('POST', `/api/visits/${visit.id}/close`, {
      version: visit.version,
      next: startsAtMs === null ? null : { startsAtMs, minutes: Math.max(15, plan.time.bookingMinutes) },
    });
    setClosing(false);
    if (sent.ok) {
      router.push('/');
      router.refresh();
    } else {
      const { code, message, details } = sent.error;
      const isOver = code === 'refused' && details.some((d) => d.path === 'visit');
      setFault(isOver ? message : `${message} The visit stays open.`);
    }
  };
  if (!zone || !planned) return <p>No zone yet: choose one under Consult.</p>;
  return (
    <div className={styles.station}>
      <StationTop
        title={
          plan.returnOn
            ? `Back on ${weekday(plan.returnOn.on)} ${dayMonth(plan.returnOn.on)}`
            : 'When the hair is ready again'
        }
        meta={plan.returnOn?.why ?? plan.returnNote ?? 'No window within ten weeks for what was used today.'}
      />
      <div className={styles.chart}>
        {growth ? (
          <RegrowthChart
            lines={growth.lines}
            on={visit.onDate}
            window={
              own ? { from: daysBetween(visit.onDate, own.fromOn), to: daysBetween(visit.onDate, own.toOn) } : null
            }
            chosenDay={days >= 0 && days <= 70 ? days : null}
          />
        ) : null}
      </div>
      <div className={styles.grid}>
        <section>
          <h2>Ready for</h2>
          <ul className={styles.ready}>
            {regrowth?.ready.map((r) => (
              <li key={r.family} data-own={r === own}>
                <strong>{FAMILY[r.family]}</strong> {span(r.fromOn, r.toOn)}
              </li>
            ))}
          </ul>
          <p className="quiet">
            Smooth for about {regrowth?.smoothDays ?? 14} days.{' '}
            {growth && growth.visits > 0
              ? `From ${plural(growth.visits, 'interval')} of this client: about ${Math.round(growth.rateFactor * 100)} % of the usual growth, likely ${Math.round(growth.band[0] * 100)}–${Math.round(growth.band[1] * 100)} %.`
              : 'From the usual growth of this zone; the client’s own visits will correct it.'}{' '}
            Often thins over time if the interval is kept.
          </p>
          {(regrowth?.doubts ?? []).map((d) => (
            <p key={`${d.on ?? ''}${d.lengthMm}`} className={styles.doubt}>
              The length of {d.on === null ? 'one visit' : dayMonth(d.on)}, {d.lengthMm} mm, does not fit the others:{' '}
              {d.maybe === 'shaved' ? 'shaved in between?' : 'mistyped?'} Nothing is learned from it.
            </p>
          ))}
        </section>
        {closed ? (
          <section>
            <h2>Closed</h2>
            <p>This visit is closed. Its record stays on the card of {bench.client.name}.</p>
          </section>
        ) : (
          <section>
            <h2>Book and close</h2>
            <div className={styles.book}>
              <span className={styles.day}>
                Day
                <DateField aria-label="Day" min={addDays(visit.onDate, 1)} value={date} onChange={setDate} />
              </span>
              <label>
                Time
                <Input type="time" value={time} onChange={(e) => setTime(e.target.value)} />
              </label>
            </div>
            <p className="quiet">
              {plural(Math.max(15, plan.time.bookingMinutes), 'minute')} with {visit.personName}.{' '}
              {own && (date < own.fromOn || date > own.toOn) ? (
                <strong className={styles.outside}>Outside the window of what was used today.</strong>
              ) : (
                ''
              )}
            </p>
            {unread.length > 0 ? (
              <p className={styles.outside}>
                {plural(unread.length, 'zone')} not read yet: a glance under Read keeps the record whole.
              </p>
            ) : null}
            {fault ? (
              <p role="alert" className={styles.outside}>
                {fault}
              </p>
            ) : null}
            <StationFoot open={told ? '' : 'Tick the after-care first.'}>
              <Button disabled={!told || sync !== 'saved' || closing} onClick={() => void close(false)}>
                Close without booking
              </Button>
              <Button
                type="primary"
                loading={closing}
                disabled={!told || sync !== 'saved'}
                onClick={() => void close(true)}
              >
                Book and close the visit
              </Button>
            </StationFoot>
          </section>
        )}
        <section className={styles.careBox}>
          <h2>After-care to tell</h2>
          <ul className={styles.care}>
            {plan.care
              .filter((c) => c.when === 'after')
              .map((c) => (
                <li key={c.text}>{c.text}</li>
              ))}
          </ul>
          {closed ? null : (
            <Checkbox checked={told} onChange={(e) => setTold(e.target.checked)}>
              Told, or given on the card
            </Checkbox>
          )}
          {bench.journal.some((e) => e.kind === 'laid') ? (
            <p>
              <a href={`/api/visits/${bench.visit.id}/record`}>This visit on one page, to sign (PDF)</a>
            </p>
          ) : null}
        </section>
      </div>
    </div>
  );
}
