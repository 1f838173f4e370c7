'use client';

import { Link } from '@/ui/Link';
import { addDays } from '@/core/shared';
import type { Today, TodayVisit } from '@/server/services/today';
import type { TodayPots } from '@/server/services/todayPots';
import { dayMonth, plural, timeOfDay, weekday } from '@/ui/words';
import { DayRibbon, Legend } from './DayRibbon';
import type { HouseNeed } from '@/server/services/backupDrill';
import { NeedsYou } from './NeedsYou';
import { potNeeds, type PotNeed } from './potDayWords';
import { PotLanes } from './PotLanes';
import { ribbonOf } from './ribbon';
import { TrayList } from './TrayList';
import { usePotDays, type PotDays } from './usePotDays';
import { WaitingHere } from './WaitingHere.client';
import styles from './TodayView.module.css';

const MINUTE_MS = 60_000;
const endOf = (v: TodayVisit): number => v.startsAtMs + v.minutes * MINUTE_MS;

/** Who is next: at the table now, or not over yet; done visits are passed over. */
const nextOf = ({ visits, nowMs }: Today): TodayVisit | undefined =>
  visits.find((v) => v.state !== 'closed' && endOf(v) > nowMs);

/** `Corwin Asare next, in 22 minutes`. */
function finding(today: Today, next: TodayVisit | undefined): string {
  const { visits, nowMs, date, timeZone } = today;
  if (date !== today.today) return `${weekday(date)} ${dayMonth(date)}`;
  if (visits.length === 0) return 'Nobody is booked today';
  if (!next) return 'Nobody more today';
  if (next.state === 'at-the-table') return `${next.clientName} is at the table`;
  const minutes = Math.round((next.startsAtMs - nowMs) / MINUTE_MS);
  if (minutes > 90) return `${next.clientName} next, at ${timeOfDay(next.startsAtMs, timeZone)}`;
  if (minutes >= 1) return `${next.clientName} next, in ${plural(minutes, 'minute')}`;
  return minutes >= -1 ? `${next.clientName} now` : `${next.clientName} since ${timeOfDay(next.startsAtMs, timeZone)}`;
}

function meta({ visits, timeZone }: Today, needs: number): string {
  if (visits.length === 0) return '';
  const need = needs === 0 ? '' : `, ${needs} ${needs === 1 ? 'needs' : 'need'} you`;
  return `${plural(visits.length, 'visit')}${need} · home by ${timeOfDay(Math.max(...visits.map(endOf)), timeZone)}`;
}

function needsOf(today: Today, pots: TodayPots | null, { days, fromMs }: PotDays): readonly PotNeed[] {
  if (pots === null || days === null || days === 'failed') return [];
  const { nowMs, timeZone } = today;
  return pots.pots.flatMap((pot, i) => {
    const day = days[i];
    return day ? potNeeds({ potId: pot.id, name: pot.name, day, fromMs, nowMs, timeZone }) : [];
  });
}

interface Props {
  readonly today: Today;
  readonly pots: TodayPots | null;
  /** What the studio itself needs, for its owner. */
  readonly house: readonly HouseNeed[];
}

export function TodayView({ today, pots, house }: Props) {
  const { visits, date, studioName } = today;
  const ribbon = ribbonOf(visits, today.nowMs);
  const potDays = usePotDays(today, visits.length === 0 ? null : pots, ribbon.toMs);
  // what is past needs no tray
  const ahead = date > today.today ? visits[0] : undefined;
  const next = date === today.today ? nextOf(today) : ahead;
  const needs = visits.filter((v) => v.words.length > 0).length;
  return (
    <section className={styles.page}>
      <div className={styles.head}>
        <h1>{finding(today, next)}</h1>
        <p className="quiet">{meta(today, needs) || studioName}</p>
        <nav className={styles.rooms} aria-label="Day or week">
          <Link href={`/?on=${addDays(date, -1)}`} aria-label="The day before">
            ←
          </Link>
          <Link href="/" aria-current={date === today.today ? 'page' : undefined}>
            {date === today.today ? 'Day' : 'Today'}
          </Link>
          <Link href={`/?on=${addDays(date, 1)}`} aria-label="The day after">
            →
          </Link>
          <Link href={date === today.today ? '/week' : `/week?on=${date}`}>Week</Link>
        </nav>
      </div>
      <WaitingHere />
      {visits.length === 0 ? (
        <div className={styles.empty}>
          <h2>{date === today.today ? 'No visits' : 'Nobody is booked that day'}</h2>
          <p>
            A client has walked in? Find the card under <Link href="/clients">Clients</Link> and open a visit there; the
            next one is booked at the end of each visit, or in the <Link href={`/week?on=${date}`}>week</Link>.
          </p>
        </div>
      ) : (
        <>
          <Legend />
          <DayRibbon
            today={today}
            ribbon={ribbon}
            nowMs={date === today.today ? today.nowMs : 0}
            nextId={date === today.today ? (next?.bookingId ?? null) : null}
            pots={pots?.pots.length ?? 0}
          >
            {pots ? <PotLanes today={today} pots={pots} potDays={potDays} ribbon={ribbon} /> : null}
          </DayRibbon>
          <div className={styles.below}>
            <NeedsYou today={today} pots={needsOf(today, pots, potDays)} house={house} />
            {next ? <TrayList visit={next} timeZone={today.timeZone} /> : null}
          </div>
        </>
      )}
    </section>
  );
}
