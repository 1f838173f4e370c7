'use client';

import { zoneKey } from '@/core/anatomy';
import { Button, Slider } from 'antd';
import Link from 'next/link';
import { useEffect, useMemo, useState } from 'react';
import { hasBegun } from '@/core/hands';
import type { Plan, PlanZone } from '@/core/plan';
import { canFade } from '@/core/strips';
import { percent, plural, withDates } from '@/ui/words';
import { useBench } from '../BenchContext.client';
import { useZone } from '../BenchFrame.client';
import { productName } from '../stations';
import { StationTop } from '../StationTop';
import { DeskMoney } from './DeskMoney';
import { StripEditor } from './StripEditor.client';
import { StripSheet, type StripLook } from './StripSheet';
import { looksAt, minutes, spansOf } from './playback';
import { WallPlan } from './WallPlan.client';
import { whyThisOrder } from './whyThisOrder';
import styles from './Strips.module.css';

/** The strips over the hair, numbered in order; the scrubber plays the hands. */
export function StripsStation() {
  const { bench } = useBench();
  const { zone } = useZone();
  const planned = bench.plan.zones.find((z) => zone && zoneKey(z) === zoneKey(zone));
  if (!zone || !planned) return <p>No zone yet: choose one under Consult.</p>;
  if (planned.strips.length === 0) {
    return (
      <div>
        <StationTop title="No strips here" />
        <p>
          {withDates(planned.reasons[0] ?? '')} <Link href={`/visits/${bench.visit.id}/match`}>See the match</Link>.
        </p>
      </div>
    );
  }
  return (
    <div className={styles.station}>
      <Layout key={zoneKey(planned)} zone={planned} plan={bench.plan} />
    </div>
  );
}

function Layout({ zone, plan }: { readonly zone: PlanZone; readonly plan: Plan }) {
  const { bench, saveChart } = useBench();
  const { schedule } = plan;
  const [atS, setAtS] = useState<number | null>(null);
  const [playing, setPlaying] = useState(false);
  const [chosen, setChosen] = useState<string | null>(null);
  const data = bench.zones.find((z) => zoneKey(z) === zoneKey(zone))?.data;
  const [editing, setEditing] = useState(false);
  const stands = bench.visit.status === 'closed' || hasBegun(bench.journal);
  useEffect(() => {
    if (!playing) return undefined;
    const timer = setInterval(
      () =>
        setAtS((t) => {
          const next = (t ?? 0) + 1;
          if (next >= schedule.endS) setPlaying(false);
          return Math.min(next, schedule.endS);
        }),
      90,
    );
    return () => clearInterval(timer);
  }, [playing, schedule.endS]);
  const looks = useMemo(
    (): ReadonlyMap<string, StripLook> => (atS === null ? new Map() : looksAt(plan, atS)),
    [plan, atS],
  );
  const spans = useMemo(() => spansOf(plan), [plan]);
  const event = atS === null ? null : schedule.events.find((e) => e.atS <= atS && atS < e.atS + e.forS);
  const orderOf = new Map(plan.zones.flatMap((z) => z.strips.map((s) => [s.id, s.order])));
  const strip = zone.strips.find((s) => s.id === chosen);
  const gap = schedule.endS - schedule.lowerBoundS;
  if (!data) return null;
  const broken = new Set(zone.stripFaults.flatMap((f) => f.strip ?? []));
  const byId = new Map(zone.strips.map((s) => [s.id, s.order]));
  return (
    <>
      <StationTop
        title={plural(zone.strips.length, 'strip')}
        note={(key) => {
          const n = bench.plan.zones.find((z) => zoneKey(z) === key)?.strips.length ?? 0;
          return n > 0 ? plural(n, 'strip') : 'none';
        }}
        meta={
          <>
            {percent(zone.cover.coveredShare)} of the hair covered, {Math.round(zone.cover.meanAngleErrorDeg)}° off the
            growth on average · all zones {minutes(schedule.endS)},{' '}
            {gap <= 0 ? 'no order is quicker' : `at most ${Math.ceil(gap)} s from the quickest`}
          </>
        }
        action={
          <div className={styles.actions}>
            <button
              type="button"
              className={styles.plain}
              disabled={stands || editing}
              title={stands ? 'The table has begun: the strips stand.' : undefined}
              onClick={() => {
                setPlaying(false);
                setAtS(null);
                setEditing(true);
              }}
            >
              Change strips
            </button>
            <Link href={`/visits/${bench.visit.id}/work`} className={styles.go}>
              To the table
            </Link>
          </div>
        }
      />
      {editing && !stands ? (
        <StripEditor zone={zone} data={data} onClose={() => setEditing(false)} />
      ) : (
        <>
          <div className={styles.surface}>
            <div className={styles.sheet}>
              <StripSheet
                zone={zone}
                data={data}
                looks={looks}
                chosen={chosen}
                act={event?.strip ?? null}
                onChoose={(id) => setChosen(id === chosen ? null : id)}
                broken={broken}
                maxHeight={390}
              />
            </div>
            <div className={styles.side}>
              {strip ? (
                <section aria-live="polite">
                  <h2>Strip {strip.order}</h2>
                  {strip.place ? <p className="quiet">{strip.place}</p> : null}
                  <p>
                    {Math.round(strip.lengthMm)} × {Math.round(strip.widthMm)} mm, about {strip.massG.toFixed(1)} g
                  </p>
                  <ul>
                    {whyThisOrder(strip, plan).map((line) => (
                      <li key={line}>{line}</li>
                    ))}
                  </ul>
                </section>
              ) : (
                <section>
                  <h2>In the order laid</h2>
                  <div className={styles.list}>
                    {zone.strips.map((s) => (
                      <button key={s.id} type="button" onClick={() => setChosen(s.id)}>
                        {s.order}
                      </button>
                    ))}
                  </div>
                  <p className="quiet">Tap a strip for its pull, its tab and why it comes there.</p>
                  {zone.byHand ? (
                    <p>Changed by hand{zone.stripFaults.length === 0 ? '; no rule is broken.' : ':'}</p>
                  ) : null}
                  {zone.stripFaults.length > 0 ? (
                    <ul className={styles.broken}>
                      {zone.stripFaults.map((f) => (
                        <li key={`${f.code}${f.strip ?? ''}`}>
                          {f.strip === null ? '' : <strong>{byId.get(f.strip)}: </strong>}
                          {f.text}
                        </li>
                      ))}
                    </ul>
                  ) : null}
                  {canFade(zone.zone) && zone.choice?.family === 'hard' && !zone.byHand ? (
                    <label className={styles.fade}>
                      <input
                        type="checkbox"
                        checked={data.fade ?? false}
                        disabled={stands}
                        onChange={(e) => saveChart(zone, { ...data, fade: e.target.checked })}
                      />{' '}
                      Thin out towards the arm in dabs, no hard border
                    </label>
                  ) : null}
                </section>
              )}
            </div>
          </div>
          <div className={styles.scrub}>
            <Button
              onClick={() => {
                if (!playing && (atS === null || atS >= schedule.endS)) setAtS(0);
                setPlaying(!playing);
              }}
            >
              {playing ? 'Pause' : 'Play the hands'}
            </Button>
            <Slider
              min={0}
              max={schedule.endS}
              value={atS ?? 0}
              onChange={(t) => {
                setPlaying(false);
                setAtS(t);
              }}
              tooltip={{ formatter: (t) => minutes(t ?? 0) }}
              className={styles.slider ?? ''}
              ariaLabelForHandle="Moment of the schedule"
            />
            <span className={styles.moment} role="status">
              {atS === null
                ? 'the whole plan'
                : `${minutes(atS)} · ${event ? `${DEEDS[event.do] ?? event.do}${event.strip ? ` ${orderOf.get(event.strip) ?? ''}` : ''}` : 'done'}`}
            </span>
            <WallPlan plan={plan} zones={bench.zones} productName={(id) => productName(bench, id)} />
            <a className={styles.file} href={`/api/visits/${bench.visit.id}/strips`} download>
              As PDF
            </a>
            <a
              className={styles.file}
              href={`/api/visits/${bench.visit.id}/strips?zone=${zone.zone}&side=${zone.side}`}
              download
            >
              As SVG
            </a>
          </div>
          <Timeline spans={spans} endS={schedule.endS} atS={atS} />
          <DeskMoney bench={bench} />
        </>
      )}
    </>
  );
}

const DEEDS: Readonly<Record<string, string>> = {
  lay: 'lay',
  pull: 'pull',
  press: 'press',
  walk: 'walk round',
  change: 'change pot and gloves',
  turn: 'turn the client',
  pose: 'pose',
  tweeze: 'tweeze meanwhile',
  powder: 'powder meanwhile',
  cleanse: 'cleanse meanwhile',
  wait: 'wait',
};

function Timeline({
  spans,
  endS,
  atS,
}: {
  readonly spans: ReturnType<typeof spansOf>;
  readonly endS: number;
  readonly atS: number | null;
}) {
  const rows = Math.max(1, ...spans.map((s) => s.row + 1));
  const x = (s: number): number => (1000 * s) / Math.max(1, endS);
  return (
    <svg
      viewBox={`0 0 1000 ${26 + rows * 15}`}
      className={styles.timeline}
      role="img"
      aria-label="Hands above, strips on the skin below"
      preserveAspectRatio="none"
    >
      {spans.map((s) => (
        <g key={s.id}>
          <rect x={x(s.layFrom)} y="2" width={x(s.layTo - s.layFrom)} height="14" fill="var(--wax)" />
          <rect x={x(s.pullFrom)} y="2" width={x(s.pullTo - s.pullFrom)} height="14" fill="var(--walnut)" />
          <rect
            x={x(s.layFrom)}
            y={22 + s.row * 15}
            width={Math.max(1, x(s.pullTo - s.layFrom) - 1)}
            height="12"
            fill="var(--wax-tint)"
            stroke="var(--wax)"
          />
          <rect
            x={x(s.readyAt)}
            y={22 + s.row * 15}
            width={Math.max(0, x(s.pullTo - s.readyAt) - 1)}
            height="12"
            fill="var(--wax)"
          />
        </g>
      ))}
      {atS === null ? null : (
        <line x1={x(atS)} x2={x(atS)} y1="0" y2={26 + rows * 15} stroke="var(--madder)" strokeWidth="2" />
      )}
    </svg>
  );
}
