'use client';

import { sized, sizedPair } from '@/formats/size';
import { POSITION_NAMES, positionsOf, zoneKey, type Position } from '@/core/anatomy';
import { Button, Slider } from 'antd';
import { Link } from '@/ui/Link';
import { useEffect, useMemo, useState } from 'react';
import { hasBegun } from '@/core/hands';
import type { Plan, PlanZone } from '@/core/plan';
import { canFade } from '@/core/strips';
import type { ChartData } from '@/server/db/schema';
import { percent, plural, withDates } from '@/ui/words';
import { choiceOf, fading } from '../agreed';
import { useBench } from '../BenchContext.client';
import { useZone } from '../BenchFrame.client';
import { StationFoot } from '../StationFoot.client';
import { productName } from '../stations';
import { DeskMoney } from './DeskMoney';
import { StripEditor } from './StripEditor.client';
import { StripSheet, type StripLook } from './StripSheet';
import { Filmstrip, Move } from './Filmstrip.client';
import { looksAt, minutes } from './playback';
import { Ribbon } from './Ribbon';
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
      <div className={styles.station}>
        <Filmstrip plan={bench.plan} stands={bench.visit.status === 'closed' || hasBegun(bench.journal)} />
        <h1>No strips here</h1>
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
  const { bench, saveConsult } = useBench();
  const { consult } = bench.visit;
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
  const event = atS === null ? null : schedule.events.find((e) => e.atS <= atS && atS < e.atS + e.forS);
  const orderOf = new Map(plan.zones.flatMap((z) => z.strips.map((s) => [s.id, s.number])));
  const strip = zone.strips.find((s) => s.id === chosen);
  const round = schedule.rounds.find((r) => r.zones.includes(zoneKey(zone)));
  const part = round?.parts.findIndex((p) => p.zones.includes(zoneKey(zone))) ?? -1;
  const says = round?.says[part] ?? plural(zone.strips.length, 'strip');
  const later = Math.round(schedule.endS - schedule.quickestS);
  if (!data) return null;
  const broken = new Set(zone.stripFaults.flatMap((f) => f.strip ?? []));
  const byId = new Map(zone.strips.map((s) => [s.id, s.number]));
  return (
    <>
      <Filmstrip plan={plan} stands={stands} />
      <StationFoot>
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
      </StationFoot>
      <div className={styles.head}>
        <div>
          <h1>{says}</h1>
          <p className="quiet">
            {round?.stands ? `${round.stands} ` : ''}
            {plural(zone.strips.length, 'strip')}, {percent(zone.cover.coveredShare)} of the hair covered. First pass
            {plan.zones.length > 1 ? ', all zones,' : ''} {minutes(schedule.endS)}
            {later > 0 ? `, ${later} s longer than the quickest, easier to keep in mind` : ''}.
          </p>
        </div>
      </div>
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
                  <h2>Strip {strip.number}</h2>
                  {strip.place ? <p className="quiet">{strip.place}</p> : null}
                  <p>
                    {sizedPair(Math.round(strip.lengthMm), ' × ', Math.round(strip.widthMm), 'mm')}, about{' '}
                    {sized(strip.massG, 'g', 1)}
                  </p>
                  <ul>
                    {whyThisOrder(strip, plan).map((line) => (
                      <li key={line}>{line}</li>
                    ))}
                  </ul>
                </section>
              ) : (
                <section>
                  <p className="quiet">Tap a strip for its pull, its tab and why it comes there.</p>
                  {stands ? null : <Move plan={plan} zone={zone} />}
                  <Lies zone={zone} data={data} stands={stands} />
                  {zone.byHand ? (
                    <p>Changed by hand{zone.stripFaults.length === 0 ? '; no rule is broken.' : ':'}</p>
                  ) : null}
                  {zone.stripFaults.length > 0 ? (
                    <ul className={styles.broken}>
                      {zone.stripFaults.map((f) => (
                        <li key={`${f.code}${f.strip ?? ''}`}>
                          {f.strip === null ? '' : <strong>{byId.get(f.strip)}: </strong>}
                          {withDates(f.text)}
                        </li>
                      ))}
                    </ul>
                  ) : null}
                  {canFade(zone.zone) && !zone.byHand ? (
                    <label className={styles.fade}>
                      <input
                        type="checkbox"
                        checked={stands ? zone.fade : choiceOf(consult.agreed, zone) === 'fade'}
                        disabled={stands}
                        onChange={(e) =>
                          saveConsult({
                            ...consult,
                            agreed: fading(consult.agreed, bench.zones, zone.zone, e.target.checked),
                          })
                        }
                      />{' '}
                      Thin the border out in dabs, no hard edge
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
          <Ribbon
            plan={plan}
            atS={atS}
            onMoment={(t) => {
              setPlaying(false);
              setAtS(t);
            }}
          />
          <DeskMoney bench={bench} />
        </>
      )}
    </>
  );
}

/** How the client lies for it, where the zone can be worked in more than one way. */
function Lies({ zone, data, stands }: { readonly zone: PlanZone; readonly data: ChartData; readonly stands: boolean }) {
  const { saveChart } = useBench();
  const positions = positionsOf(zone.zone);
  if (positions.length < 2) return null;
  const set = (position: Position): void => {
    const { position: now, ...rest } = data;
    saveChart(zone, now === position ? rest : { ...rest, position });
  };
  return (
    <div className={styles.lies} role="group" aria-label="How the client lies for it">
      {positions.map((p) => (
        <button key={p} type="button" aria-pressed={data.position === p} disabled={stands} onClick={() => set(p)}>
          {POSITION_NAMES[p]}
        </button>
      ))}
      <p className="quiet">{data.position ? 'Asked for.' : 'As it turns the client least.'}</p>
    </div>
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
