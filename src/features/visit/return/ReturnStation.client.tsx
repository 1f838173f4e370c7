'use client';

import { zoneKey } from '@/core/anatomy';
import { Button, Checkbox, Input } from 'antd';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { BEST_OFFSET_DAYS } from '@/core/care';
import { addDays, daysBetween } from '@/core/shared';
import type { PlanZone } from '@/core/plan';
import type { BenchZone } from '@/server/services/bench';
import type { OfferedSlot } from '@/server/services/nextSlots';
import { dayMonth, plural, shortSpan, timeOfDay, weekday } from '@/ui/words';
import { sendJson } from '@/ui/sendJson';
import { tabletNow } from '@/ui/tabletClock';
import { useNarrow } from '@/ui/useNarrow';
import { DateField } from '@/ui/DateField.client';
import { useBench, useSync } from '../BenchContext.client';
import { useZone } from '../BenchFrame.client';
import { StationFoot, StationLeft, StationSide } from '../StationFoot.client';
import { StationTop } from '../StationTop';
import { CareByClock } from './CareByClock';
import { GrowingHair } from './GrowingHair.client';
import { HomeCareAdvice } from './HomeCareAdvice';
import { HowItGrows } from './HowItGrows';
import { instantOf } from './instantOf';
import { regrowthLines } from './regrowthLines';
import { ShorterSeries } from './ShorterSeries';
import { SlotCards, slotName } from './SlotCards';
import { SmoothOn } from './SmoothOn';
import { useSlots } from './useSlots';
import styles from './Return.module.css';

/** When the hair is ready again, three free places for it, the care by the clock, and the end of the visit. */
export function ReturnStation() {
  const { bench } = useBench();
  const { zone } = useZone();
  const planned = bench.plan.zones.find((z) => zone && zoneKey(z) === zoneKey(zone));
  if (!zone || !planned) return <p>No zone yet: choose one under Consult.</p>;
  return <Returning zone={zone} planned={planned} />;
}

/** A place as it was chosen: offered, or given by hand. */
type Chosen = Pick<OfferedSlot, 'on' | 'startsAtMs'>;

function Returning({ zone, planned }: { readonly zone: BenchZone; readonly planned: PlanZone }) {
  const { bench } = useBench();
  const { plan, visit, studio } = bench;
  const { timeZone } = studio;
  const [about, setAbout] = useState<string | null>(null);
  const [picked, setPicked] = useState<Chosen | null>(null);
  const [eventOn, setEventOn] = useState<string | null>(null);
  const closed = visit.status === 'closed';
  // upright the day comes first
  const isNarrow = useNarrow();
  const { value: answer, fault } = useSlots(visit.id, about, eventOn, visit.version);
  const regrowth = plan.regrowth.find((r) => zoneKey(r) === zoneKey(zone));
  const growth = useMemo(
    () => regrowthLines(zone, planned, regrowth, visit.onDate),
    [zone, planned, regrowth, visit.onDate],
  );
  const ready = regrowth?.ready.find((r) => r.family === planned.choice?.family);
  const window = ready
    ? { from: daysBetween(visit.onDate, ready.fromOn), to: daysBetween(visit.onDate, ready.toOn) }
    : null;
  const own = growth.lines.find((l) => l.family === planned.choice?.family);
  // what was picked stands; else the day of the handle, else the best offer
  const offered = (about === null ? answer?.slots[0] : answer?.asked) ?? null;
  const chosen = picked ?? offered;
  const shownOn = picked?.on ?? about ?? offered?.on ?? plan.returnOn?.on ?? addDays(visit.onDate, 35);
  const day = Math.min(70, Math.max(1, daysBetween(visit.onDate, shownOn)));
  const pick = (slot: Chosen | null): void => setPicked(slot);
  const grows = (
    <>
      <HowItGrows zone={zone} growth={growth} regrowth={regrowth} family={planned.choice?.family} />
      {own && window ? (
        <ShorterSeries
          model={growth.model}
          own={own}
          planned={planned}
          idealDay={window.from + BEST_OFFSET_DAYS}
          isCrossed={planned.choice?.family === 'hard' && studio.settings.schools.shortHair === 'crossed'}
        />
      ) : null}
      <HomeCareAdvice />
    </>
  );
  const drag = (to: number): void => {
    setPicked(null);
    setAbout(addDays(visit.onDate, to));
  };
  return (
    <div className={styles.station}>
      <StationTop
        title={title({ closed, chosen, shownOn, isNone: answer !== null && about !== null && answer.asked === null })}
        meta={closed ? 'This visit is closed; its record stays on the card.' : meta(bench.plan, ready)}
      />
      <div className={styles.chart}>
        <GrowingHair
          model={growth.model}
          lines={growth.lines}
          own={own}
          on={visit.onDate}
          window={window}
          smoothDay={regrowth?.smoothDays ?? 14}
          away={(answer?.away ?? [])
            .map((a) => ({
              from: daysBetween(visit.onDate, a.from),
              to: daysBetween(visit.onDate, a.to),
              why: a.why,
            }))
            .filter((a) => a.to >= 0 && a.from <= 70)}
          day={day}
          onDay={drag}
        />
      </div>
      {closed ? null : (
        <>
          <SlotCards
            answer={answer}
            fault={fault}
            chosen={chosen?.startsAtMs ?? null}
            personName={visit.personName}
            timeZone={timeZone}
            onChoose={pick}
          />
          {answer ? (
            <p className={styles.rests}>
              {answer.minutes} min to book. {answer.lengthWords}
            </p>
          ) : null}
          <div className={styles.under}>
            <SmoothOn
              eventOn={eventOn}
              onEvent={setEventOn}
              visitOn={visit.onDate}
              chosenOn={chosen?.on ?? null}
              smoothDays={Math.min(...plan.regrowth.map((r) => r.smoothDays), 70)}
              answer={answer}
            />
            <OwnTime chosen={chosen} onChoose={pick} key={chosen?.startsAtMs ?? 0} />
          </div>
        </>
      )}
      {isNarrow ? grows : <StationLeft>{grows}</StationLeft>}
      <StationSide>
        <CareByClock
          bench={bench}
          nowMs={tabletNow()}
          next={
            closed || !chosen
              ? null
              : { startsAtMs: chosen.startsAtMs, minutes: answer?.minutes ?? plan.time.bookingMinutes }
          }
        />
      </StationSide>
      <Ending chosen={chosen} minutes={answer?.minutes ?? Math.max(15, plan.time.bookingMinutes)} />
    </div>
  );
}

function title({
  closed,
  chosen,
  shownOn,
  isNone,
}: {
  readonly closed: boolean;
  readonly chosen: Chosen | null;
  readonly shownOn: string;
  readonly isNone: boolean;
}): string {
  if (closed) return 'Closed';
  if (chosen) return `Back on ${weekday(chosen.on)} ${dayMonth(chosen.on)}`;
  return isNone ? `Nothing free on ${weekday(shownOn)} ${dayMonth(shownOn)}` : 'When the hair is ready again';
}

function meta(
  plan: ReturnType<typeof useBench>['bench']['plan'],
  ready: { readonly fromOn: string; readonly toOn: string } | undefined,
): string {
  if (plan.returnNote !== null) return plan.returnNote;
  return ready ? `Drag the day. Ready ${shortSpan(ready.fromOn, ready.toOn)}.` : 'Drag the day.';
}

/** Another day or time than those offered. */
function OwnTime({
  chosen,
  onChoose,
}: {
  readonly chosen: Chosen | null;
  readonly onChoose: (slot: Chosen | null) => void;
}) {
  const { bench } = useBench();
  const { timeZone } = bench.studio;
  const [on, setOn] = useState(chosen?.on ?? '');
  const [time, setTime] = useState(chosen ? timeOfDay(chosen.startsAtMs, timeZone) : '10:00');
  const take = (toOn: string, toTime: string): void => {
    setOn(toOn);
    setTime(toTime);
    const startsAtMs = instantOf(toOn, toTime, timeZone);
    if (startsAtMs !== null) onChoose({ on: toOn, startsAtMs });
  };
  return (
    <div className={styles.own}>
      <DateField
        aria-label="Day"
        min={addDays(bench.visit.onDate, 1)}
        value={on}
        onChange={(to) => take(to, time)}
        placeholder="another day"
      />
      <Input type="time" aria-label="Time" defaultValue={time} onBlur={(e) => take(on, e.target.value)} />
    </div>
  );
}

/** The care is told, the next visit booked, this one closed. */
function Ending({ chosen, minutes }: { readonly chosen: Chosen | null; readonly minutes: number }) {
  const { bench } = useBench();
  const { sync } = useSync();
  const router = useRouter();
  const [told, setTold] = useState(false);
  const [fault, setFault] = useState<string | null>(null);
  const [closing, setClosing] = useState(false);
  const { visit, plan, studio } = bench;
  const unread = plan.zones.filter(
    (z) => z.strips.length > 0 && !bench.readings.some((r) => zoneKey(r) === zoneKey(z)),
  );
  const close = async (book: boolean): Promise<void> => {
    setClosing(true);
    const next = book && chosen ? { startsAtMs: chosen.startsAtMs, minutes } : null;
    const sent = await sendJson<{ visitId: string }>('POST', `/api/visits/${visit.id}/close`, {
      version: visit.version,
      next,
    });
    setClosing(false);
    if (sent.ok) {
      router.push('/');
      router.refresh();
      return;
    }
    const { code, message, details } = sent.error;
    const isOver = code === 'refused' && details.some((d) => d.path === 'visit');
    setFault(isOver ? message : `${message} The visit stays open.`);
  };
  if (visit.status === 'closed') {
    return (
      <StationFoot open="">
        <a href={`/api/visits/${visit.id}/record`}>This visit on one page (PDF)</a>
      </StationFoot>
    );
  }
  const notRead = unread.length > 0 ? `${plural(unread.length, 'zone')} not read yet.` : '';
  return (
    <StationFoot open={told ? notRead : `Tick the after-care first. ${notRead}`.trim()}>
      {fault ? (
        <p role="alert" className={styles.outside}>
          {fault}
        </p>
      ) : null}
      <Checkbox checked={told} onChange={(e) => setTold(e.target.checked)}>
        Told, or given on the card
      </Checkbox>
      <Button disabled={!told || sync !== 'saved' || closing} onClick={() => void close(false)}>
        Close without booking
      </Button>
      <Button
        type="primary"
        loading={closing}
        disabled={!told || sync !== 'saved' || chosen === null}
        onClick={() => void close(true)}
      >
        {chosen ? `Book ${slotName(chosen, studio.timeZone)}, and close the visit` : 'Book and close the visit'}
      </Button>
    </StationFoot>
  );
}
