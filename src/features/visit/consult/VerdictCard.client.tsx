'use client';

import { Button, Input } from 'antd';
import { useState, type ReactNode } from 'react';
import { mayOverride, type Judgement, type Reason } from '@/core/screening';
import type { ConsultOverride } from '@/server/db/schema';
import { tabletNow } from '@/ui/tabletClock';
import { useMay } from '@/ui/Who.client';
import { useBench } from '../BenchContext.client';
import { reasonGroups } from './consultAnswer';
import { SecondPerson } from './SecondPerson.client';
import { CONSENT_CODES, type Verdict } from './verdict';
import styles from './Consult.module.css';

const LEAST_REASON = 8;

interface Props {
  readonly verdict: Verdict;
  readonly answer: Judgement;
  readonly disabled: boolean;
  readonly onOverrides: (overrides: readonly ConsultOverride[]) => void;
  /** What the client wrote, what became of the visit: said once, here. */
  readonly children?: ReactNode;
}

/** The verdict in large letters, then its reasons by zone; where a rule may give way, one writes down why. */
export function VerdictCard({ verdict, answer, disabled, onOverrides, children }: Props) {
  const { bench } = useBench();
  const { consult } = bench.visit;
  // consent is asked for in its own fold: it stands once
  const groups = reasonGroups(answer, bench.zones)
    .map((g) => ({ ...g, reasons: g.reasons.filter((r) => !CONSENT_CODES.includes(r.code)) }))
    .filter((g) => g.reasons.length + g.spots.length > 0);
  return (
    <section className={styles.verdict} data-tone={verdict.tone} aria-label="Verdict">
      <div role="status">
        <h1>{verdict.words}</h1>
      </div>
      {groups.length + (children ? 1 : 0) > 0 ? (
        <div className={styles.reasons}>
          {children}
          {groups.map((g) => (
            <p key={g.name} role="group" aria-label={g.name}>
              {groups.length > 1 || g.zones[0] !== null ? <strong>{g.name}: </strong> : null}
              {g.reasons.map((r) => (
                <span key={r.code + String(r.until)}>
                  {r.text} {r.overridden !== undefined ? <em>You went on: {r.overridden} </em> : null}
                  <OverrideLine
                    reason={r}
                    zones={g.zones}
                    overrides={consult.overrides}
                    disabled={disabled}
                    onOverrides={onOverrides}
                  />
                </span>
              ))}
              {g.spots.join(' ')}
            </p>
          ))}
        </div>
      ) : null}
    </section>
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
  const [asks, setAsks] = useState(false);
  const mayAlone = useMay('override');
  const { bench } = useBench();
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
  const done = (): void => {
    setAsks(false);
    setWhy(null);
  };
  if (asks) {
    const said = { code: reason.code, zones, reason: why.trim() };
    return <SecondPerson visitId={bench.visit.id} said={said} onDone={done} />;
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
          if (!mayAlone) return setAsks(true);
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
