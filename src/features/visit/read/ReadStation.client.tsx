'use client';

import { zoneKey } from '@/core/anatomy';
import { Button, Input, InputNumber, Slider } from 'antd';
import Link from 'next/link';
import { useMemo, useState } from 'react';
import { LEAST_CROSSING } from '@/core/field';
import { isSaid, likelyCauses, nextAction, type ReadField } from '@/core/reading';
import type { PlanZone } from '@/core/plan';
import type { Reading } from '@/server/db/schema';
import type { BenchZone } from '@/server/services/bench';
import { degrees, percent, sideWord } from '@/ui/words';
import { useBench } from '../BenchContext.client';
import { useZone } from '../BenchFrame.client';
import { StationTop } from '../StationTop';
import { Choice } from './Choice.client';
import { SecondRoundPanel } from './SecondRoundPanel';
import styles from './Read.module.css';

/** What the strip and the skin say, and what to do with what is left. */
export function ReadStation() {
  const { bench } = useBench();
  const { zone } = useZone();
  const planned = bench.plan.zones.find((z) => zone && zoneKey(z) === zoneKey(zone));
  if (!zone || !planned) return <p>No zone yet: choose one under Consult.</p>;
  return (
    <div className={styles.station}>
      <OneZone key={zoneKey(zone)} zone={zone} planned={planned} />
    </div>
  );
}

function leftOf(share: number): Reading['left'] {
  if (share === 0) return 'none';
  return share > 0.4 ? 'patch' : 'few';
}

/** What the marks given at the table already say. */
function startOf(zone: PlanZone, marks: ReadonlyMap<string, string>): Reading {
  const own = zone.strips.map((s) => marks.get(s.id)).filter((m) => m !== undefined);
  const some = own.filter((m) => m === 'some-left').length;
  const broke = own.filter((m) => m === 'broke').length;
  const share = (n: number): number => (own.length === 0 ? 0 : n / own.length);
  return {
    v: 1,
    removedPct: Math.round(100 - 25 * share(some) - 4),
    brokenPct: Math.round(2 + 30 * share(broke)),
    left: leftOf(share(some)),
    leftKind: some === 0 ? 'none' : 'anywhere',
    bleeding: 'none',
    skin: own.includes('sore') ? 'red' : 'pink',
    tweezed: 0,
    heatFelt: 'right',
    note: '',
    said: [],
  };
}

function OneZone({ zone, planned }: { readonly zone: BenchZone; readonly planned: PlanZone }) {
  const { bench, saveReading } = useBench();
  const closed = bench.visit.status === 'closed';
  const stored = bench.readings.find((r) => zoneKey(r) === zoneKey(zone))?.data;
  const marks = useMemo(
    () =>
      new Map(
        bench.journal.flatMap((e) => (e.kind === 'mark' && e.strip && e.mark ? [[e.strip, e.mark] as const] : [])),
      ),
    [bench.journal],
  );
  const reading = stored ?? startOf(planned, marks);
  const [note, setNote] = useState(reading.note);
  const [removed, setRemoved] = useState(reading.removedPct);
  const [broken, setBroken] = useState(reading.brokenPct);
  const save = (more: Partial<Reading>): void =>
    saveReading(zone, { ...reading, note, removedPct: removed, brokenPct: broken, ...more });
  /** An answer: it is kept that it was given. */
  const say = (field: ReadField, more: Partial<Reading>): void =>
    save({ ...more, ...(reading.said && { said: [...new Set([...reading.said, field])] }) });
  const said = (field: ReadField): boolean => isSaid(reading, field);
  const { choice, heat } = planned;
  const family = choice?.family ?? 'hard';
  const option = planned.options.find((o) => o.product === choice?.product && o.way === choice.way);
  const worked =
    stored !== undefined ||
    bench.journal.some((e) => e.kind === 'pulled' && planned.strips.some((p) => p.id === e.strip));
  const action =
    choice && worked
      ? nextAction({
          family,
          passesDone: 1,
          passLimit: choice.passes,
          left: said('left') ? reading.left : null,
          skin: said('skin') ? reading.skin : null,
          bleeding: said('bleeding') ? reading.bleeding : null,
          tweezingAllowed: bench.visit.consult.agreed.tweezing,
        })
      : null;
  const isAnswered = reading.removedSaid === true || said('broken') || said('left');
  const causes = !isAnswered
    ? []
    : likelyCauses({
        removedShare: reading.removedPct / 100,
        brokenShare: reading.brokenPct / 100,
        leftKind: reading.leftKind,
        family,
        workableShare: option?.workableShare ?? 1,
        crossingGrowth:
          zone.data.hair.curl >= 4 ||
          planned.crossingShare >= LEAST_CROSSING ||
          (zone.data.hair.flags ?? []).includes('layers'),
        drySkin: bench.client.skin === 'dry',
        heatFelt: reading.heatFelt,
        shaved: zone.data.hair.history === 'shaved',
      }).slice(0, 3);
  return (
    <>
      <StationTop
        title="Strip and skin"
        note={(key) => (bench.readings.some((r) => zoneKey(r) === key) ? 'read' : '')}
        meta={
          <>
            {sideWord(zone.name, zone.side)}.{' '}
            {option
              ? `Expected: ${percent(option.removedShare)} removed, ${percent(option.brokenShare)} broken, about ${option.tweezed} to tweeze.`
              : 'Nothing was planned here.'}
          </>
        }
        action={
          <Link className={styles.go} href={`/visits/${bench.visit.id}/return`}>
            On to the return
          </Link>
        }
      />
      {action ? (
        <div className={styles.action} data-code={action.code} role="status">
          <strong>{ACTION_WORDS[action.code]}</strong> {action.text}
          {action.code === 'second-pass' && heat?.laterPass
            ? ` On waxed skin about ${degrees(heat.laterPass.target)}, an estimate.`
            : ''}
        </div>
      ) : (
        <p className="quiet">Nothing has been pulled here yet; what the table marks fills this page.</p>
      )}
      <div className={styles.grid}>
        <section>
          <h2>On the strip</h2>
          <label className={styles.slide} id="removed">
            Came out with the root or whole:{' '}
            <strong>{worked || reading.removedSaid ? `${removed} %` : 'not said'}</strong>
            <Slider
              value={removed}
              min={0}
              max={100}
              disabled={closed}
              onChange={setRemoved}
              onChangeComplete={(removedPct) => save({ removedPct, removedSaid: true })}
              tooltip={{ open: false }}
              ariaLabelledByForHandle="removed"
            />
          </label>
          {reading.removedSaid || closed || !worked ? null : (
            <p className="quiet">
              From the table’s marks, not said yet.{' '}
              <Button onClick={() => save({ removedSaid: true })}>Yes, {removed} %</Button>
            </p>
          )}
          <label className={styles.slide} id="broken">
            Broken, blunt ends: <strong>{said('broken') || worked ? `${broken} %` : 'not said'}</strong>
            <Slider
              value={broken}
              min={0}
              max={60}
              disabled={closed}
              onChange={setBroken}
              onChangeComplete={(brokenPct) => say('broken', { brokenPct })}
              tooltip={{ open: false }}
              ariaLabelledByForHandle="broken"
            />
          </label>
          <Choice
            name="Left behind"
            value={said('left') ? reading.left : null}
            disabled={closed}
            options={[
              ['none', 'nothing'],
              ['few', 'a few'],
              ['patch', 'a patch'],
              ['many', 'much'],
            ]}
            onChange={(left) => {
              const kind = reading.leftKind === 'none' ? 'anywhere' : reading.leftKind;
              say('left', { left, leftKind: left === 'none' ? 'none' : kind });
            }}
          />
          {said('left') && reading.left !== 'none' ? (
            <Choice
              name="What kind"
              value={reading.leftKind}
              disabled={closed}
              options={[
                ['short', 'too short'],
                ['flat', 'lying flat'],
                ['other-way', 'growing another way'],
                ['anywhere', 'anywhere'],
              ]}
              onChange={(leftKind) => save({ leftKind })}
            />
          ) : null}
          <label className={styles.count}>
            Tweezed{' '}
            <InputNumber
              min={0}
              max={2000}
              precision={0}
              value={said('tweezed') ? reading.tweezed : null}
              placeholder="not said"
              disabled={closed}
              onChange={(n) => n !== null && say('tweezed', { tweezed: n })}
              aria-label="Hairs tweezed"
            />
          </label>
        </section>
        <section>
          <h2>On the skin</h2>
          <Choice
            name="Skin"
            value={said('skin') ? reading.skin : null}
            disabled={closed}
            options={[
              ['calm', 'calm'],
              ['pink', 'pink, usual'],
              ['red', 'very red'],
              ['shiny', 'shiny, raw'],
              ['blister', 'blister'],
            ]}
            onChange={(skin) => say('skin', { skin })}
          />
          <Choice
            name="Bleeding"
            value={said('bleeding') ? reading.bleeding : null}
            disabled={closed}
            options={[
              ['none', 'none'],
              ['points', 'points, usual on coarse hair'],
              ['keeps-on', 'does not stop'],
            ]}
            onChange={(bleeding) => say('bleeding', { bleeding })}
          />
          <Choice
            name="The heat felt"
            value={said('heatFelt') ? reading.heatFelt : null}
            disabled={closed}
            options={[
              ['too-cool', 'too cool'],
              ['right', 'right'],
              ['too-warm', 'too warm'],
            ]}
            onChange={(heatFelt) => say('heatFelt', { heatFelt })}
          />
          <label className={styles.note}>
            Note for next time
            <Input.TextArea
              value={note}
              rows={2}
              maxLength={2000}
              disabled={closed}
              onChange={(e) => setNote(e.target.value)}
              onBlur={() => note !== reading.note && save({ note })}
            />
          </label>
        </section>
      </div>
      {action?.code === 'second-pass' ? (
        <SecondRoundPanel zone={zone} planned={planned} reading={reading} marks={marks} />
      ) : null}
      {causes.length > 0 ? (
        <section className={styles.causes}>
          <h2>Likely causes</h2>
          <ol>
            {causes.map((c) => (
              <li key={c.code}>
                <strong>{c.text}</strong> <span className="quiet">about {percent(c.probability)}</span>
                <br />
                {c.remedy}
              </li>
            ))}
          </ol>
        </section>
      ) : null}
    </>
  );
}

const ACTION_WORDS = {
  ask: 'Read first.',
  stop: 'Stop here.',
  finish: 'Finish.',
  tweeze: 'Tweeze.',
  'second-pass': 'Second pass.',
  'next-visit': 'Next visit.',
} as const;
