'use client';

import { Button, Input } from 'antd';
import { useState } from 'react';
import { mayOverride, type Judgement, type Reason } from '@/core/screening';
import type { ConsultOverride } from '@/server/db/schema';
import { tabletNow } from '@/ui/tabletClock';
import { dayMonth, dayMonthYear } from '@/ui/words';
import { useBench } from '../BenchContext.client';
import { answerWords, reasonGroups } from './consultAnswer';
import styles from './Consult.module.css';

const LEAST_REASON = 8;

/** The answer in one line, then its reasons by zone; where a rule may give way, the practitioner writes down why. */
export function Answer({
  answer,
  disabled,
  onOverrides,
}: {
  readonly answer: Judgement;
  readonly disabled: boolean;
  readonly onOverrides: (overrides: readonly ConsultOverride[]) => void;
}) {
  const { bench } = useBench();
  const { consult } = bench.visit;
  const groups = reasonGroups(answer, bench.zones);
  return (
    <div className={styles.outcome} data-outcome={answer.outcome}>
      <h1>{answerWords(answer, dayMonthYear)}</h1>
      <p>
        {consult.confirmedAtMs !== null
          ? `Confirmed with the client, by rules ${consult.judged?.ruleSet ?? answer.ruleSet}.`
          : 'As the answers stand; ask, then confirm.'}
      </p>
      {groups.map((g) => (
        <section key={g.zone ?? 'visit'} aria-label={g.name}>
          {groups.length > 1 || g.zone !== null ? <h3>{g.name}</h3> : null}
          <ul>
            {g.reasons.map((r) => (
              <li key={r.code + String(r.until)}>
                <strong>
                  {r.outcome}
                  {r.until ? ` until ${dayMonth(r.until)}` : ''}:
                </strong>{' '}
                {r.text}
                {r.overridden !== undefined ? <em> You went on: {r.overridden}</em> : null}
                <OverrideLine
                  reason={r}
                  zones={[r.zone, ...(g.alsoZone ? [g.alsoZone] : [])]}
                  overrides={consult.overrides}
                  disabled={disabled}
                  onOverrides={onOverrides}
                />
              </li>
            ))}
            {g.spots.map((s) => (
              <li key={s}>
                <strong>work around:</strong> {s}
              </li>
            ))}
          </ul>
        </section>
      ))}
    </div>
  );
}

interface LineProps {
  readonly reason: Reason;
  /** Every zone for which it is given here. */
  readonly zones: readonly (string | null)[];
  readonly overrides: readonly ConsultOverride[];
  readonly disabled: boolean;
  readonly onOverrides: (overrides: readonly ConsultOverride[]) => void;
}

function OverrideLine({ reason, zones, overrides, disabled, onOverrides }: LineProps) {
  const [why, setWhy] = useState<string | null>(null);
  const isThis = (o: ConsultOverride): boolean => o.code === reason.code && zones.includes(o.zone);
  if (disabled) return null;
  if (reason.overridden !== undefined) {
    return (
      <button type="button" className={styles.inline} onClick={() => onOverrides(overrides.filter((o) => !isThis(o)))}>
        Take it back
      </button>
    );
  }
  if (!mayOverride(reason)) return null;
  if (why === null) {
    return (
      <button type="button" className={styles.inline} onClick={() => setWhy('')}>
        Go on all the same …
      </button>
    );
  }
  const enough = why.trim().length >= LEAST_REASON;
  return (
    <span className={styles.why}>
      <Input
        autoFocus
        aria-label="Why you go on all the same"
        placeholder="Why, e.g. doctor’s letter seen, healed already"
        value={why}
        maxLength={500}
        onChange={(e) => setWhy(e.target.value)}
      />
      <Button
        disabled={!enough}
        onClick={() => {
          onOverrides([
            ...overrides,
            ...zones.map((zone) => ({ code: reason.code, zone, reason: why.trim(), atMs: tabletNow() })),
          ]);
          setWhy(null);
        }}
      >
        Go on for this reason
      </Button>
      <Button type="text" onClick={() => setWhy(null)}>
        Leave it
      </Button>
      {enough ? null : <span className="quiet">A few words are needed; they stay in the record.</span>}
    </span>
  );
}
