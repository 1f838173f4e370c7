'use client';

import { sized } from '@/formats/size';
import { degSpan } from '@/formats/heat';
import { Button } from 'antd';
import { useState } from 'react';
import { moltenShare, type PotDay } from '@/core/pots';
import { heatFigure, sourceWords, wayWords, windowWords } from '@/features/live/potWords';
import { WayArrow } from '@/features/live/WayArrow';
import { refillWords } from '@/features/today/potDayWords';
import type { Ribbon } from '@/features/today/ribbon';
import type { PotOnPage } from '@/server/services/pots';
import type { Today } from '@/server/services/today';
import type { TodayPot } from '@/server/services/todayPots';
import { timeOfDay } from '@/ui/words';
import { PotCurve } from './PotCurve';
import { PotHands } from './PotHands';
import { PotMore } from './PotMore';
import { PotSection, type Level } from './PotSection';
import type { PotActs } from './usePotActs';
import styles from './Pots.module.css';

export interface PotRowProps {
  readonly pot: PotOnPage;
  /** The pot under the day; absent where it was put up a moment ago. */
  readonly ofDay: TodayPot | undefined;
  /** Null while it is worked out. */
  readonly day: PotDay | null;
  readonly isFailed: boolean;
  readonly fromMs: number;
  readonly nowMs: number;
  readonly today: Today;
  readonly ribbon: Ribbon;
  readonly roomC: number;
  readonly acts: PotActs;
  readonly faults: readonly string[];
}

/** What the visits to come will leave in it. */
function levelsAfter(pot: PotOnPage, today: Today, nowMs: number): readonly Level[] {
  let left = pot.waxG;
  return today.visits.flatMap((v) => {
    const grams = v.pots.find((p) => p.productId === pot.productId)?.grams ?? 0;
    if (grams === 0 || v.state === 'closed' || v.startsAtMs + v.minutes * 60_000 < nowMs) return [];
    left = Math.max(0, left - grams);
    return [{ label: `after ${v.clientName.split(' ')[0] ?? ''}`, grams: left }];
  });
}

/** One pot: its section, its heat, its day, and what hands note of it. */
export function PotRow(props: PotRowProps) {
  const { pot, ofDay, day, isFailed, fromMs, nowMs, today, ribbon, roomC, acts, faults } = props;
  const [isOpen, setOpen] = useState(false);
  const { timeZone } = today;
  const window = windowWords(pot, timeZone);
  const melted = ofDay && pot.tempC !== null ? moltenShare(ofDay.product, pot.tempC) : null;
  return (
    <article className={styles.pot} aria-label={pot.name} data-hot={pot.isOverSet || pot.next?.at === 'over'}>
      <div className={styles.drawn}>
        <PotSection
          waxG={pot.waxG}
          melted={melted}
          isOn={pot.setC !== null}
          hasProbe={pot.sensor !== 'none'}
          isPaste={pot.family === 'sugar'}
          after={levelsAfter(pot, today, nowMs)}
        />
        <Button type="text" aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
          Weigh, fill, way of heating, sensor
        </Button>
      </div>
      <div className={styles.told}>
        <h2>{pot.name}</h2>
        <p className={styles.figure}>
          <b data-testid="heat">{heatFigure(pot.tempC)}</b>
          {pot.way ? <WayArrow way={pot.way} /> : null}
          <span>
            {wayWords(pot)}
            <br />
            <span className="quiet">{sourceWords(pot, timeZone)}</span>
          </span>
        </p>
        {window === '' ? (
          <p className="quiet">{laterWords(pot, today, nowMs)}</p>
        ) : (
          <p data-at={pot.next?.at}>{window}</p>
        )}
        <p className="quiet">
          {sized(pot.waxG, 'g')}
          {pot.lot === '' ? '' : `, lot ${pot.lot}`}. {readyWords(day, fromMs, timeZone)}
        </p>
        {day?.short ? <p className={styles.short}>{upperFirst(refillWords(day.refill, fromMs, timeZone))}</p> : null}
        {faults.map((f) => (
          <p key={f} role="alert" className={styles.bad}>
            {f}
          </p>
        ))}
      </div>
      {ofDay ? (
        <PotCurve
          pot={{ ...ofDay, tempC: pot.tempC }}
          day={day}
          isFailed={isFailed}
          fromMs={fromMs}
          nowMs={nowMs}
          today={today}
          ribbon={ribbon}
        />
      ) : (
        <span />
      )}
      <PotHands pot={pot} acts={acts} />
      {isOpen ? <PotMore pot={pot} ofDay={ofDay} roomC={roomC} acts={acts} /> : null}
    </article>
  );
}

const upperFirst = (text: string): string => `${text.charAt(0).toUpperCase()}${text.slice(1)}`;

/** Who wants it later today, where no window of it is told yet. */
function laterWords(pot: PotOnPage, today: Today, nowMs: number): string {
  const visit = today.visits.find(
    (v) => v.state !== 'closed' && v.startsAtMs > nowMs && v.pots.some((p) => p.productId === pot.productId),
  );
  const wants = visit?.pots.find((p) => p.productId === pot.productId);
  if (!visit || !wants) return 'No visit of today wants it.';
  const heat = degSpan(wants.minC, wants.maxC);
  return `Wanted at ${timeOfDay(visit.startsAtMs, today.timeZone)} for ${visit.clientName.split(' ')[0] ?? ''}, ${heat}.`;
}

/** When it is right for the first visit of today; an estimate always. */
function readyWords(day: PotDay | null, fromMs: number, timeZone: string): string {
  if (day === null || day.readyAtS === null) return '';
  return day.readyAtS === 0
    ? 'Warm enough; the wrist decides.'
    : `Ready about ${timeOfDay(fromMs + 1000 * day.readyAtS, timeZone)} by the plan; the wrist decides.`;
}
