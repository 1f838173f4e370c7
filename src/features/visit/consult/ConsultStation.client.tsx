'use client';

import { zoneKey } from '@/core/anatomy';
import { howMuchFor } from '@/core/agreement';
import { Button } from 'antd';
import { useMemo, useState } from 'react';
import { isStopped, type Fact, type FoundFact } from '@/core/screening';
import type { Consult, Spot, ZoneRef } from '@/server/db/schema';
import { tabletNow } from '@/ui/tabletClock';
import { dayMonth, plural } from '@/ui/words';
import { choiceOf } from '../agreed';
import { useGo } from '../useGo';
import { useBench } from '../BenchContext.client';
import { StationFoot } from '../StationFoot.client';
import { AgreedFold } from './AgreedFold.client';
import { askedAfter, askingOf } from './asking';
import { answerOf } from './consultAnswer';
import { startingFact } from './FactDetail.client';
import { HandOver } from './HandOver.client';
import { PutOff } from './PutOff.client';
import { QuestionsFold } from './QuestionsFold.client';
import { TappedSpots } from './TappedSpots';
import { VerdictCard } from './VerdictCard.client';
import { judgedWithConsent, verdictOf } from './verdict';
import { ZonesFold } from './ZonesFold.client';
import styles from './Consult.module.css';

/** The facts with one told anew, in its place; without it where it is not found. */
function withFound(facts: readonly FoundFact[], fact: Fact, found: FoundFact | null): readonly FoundFact[] {
  if (found === null) return facts.filter((f) => f.fact !== fact);
  const isKnown = facts.some((f) => f.fact === fact);
  return isKnown ? facts.map((f) => (f.fact === fact ? found : f)) : [...facts, found];
}

/** From when a zone may be worked, or that it is not for today. */
const waitWords = (until: string | null | undefined): string => (until ? `from ${dayMonth(until)}` : 'not today');

/** Whether hot wax may touch this person today, where and with what: one verdict over three folds. */
export function ConsultStation() {
  const { bench, wantedZones, saveConsult, saveZones } = useBench();
  const go = useGo();
  const [dialog, setDialog] = useState<'postponed' | 'declined' | 'hand-over' | null>(null);
  const { visit, client, zones, form } = bench;
  const { consult } = visit;
  const answer = useMemo(() => answerOf(bench), [bench]);
  const asking = useMemo(() => askingOf(bench), [bench]);
  // whether and when it may be, apart from consent: that is asked for in its own fold
  const answered = useMemo(() => judgedWithConsent(bench), [bench]);
  const isConfirmed = consult.confirmedAtMs !== null;
  const openCount = isConfirmed ? 0 : asking.must.length + asking.again.length;
  const verdict = useMemo(() => verdictOf(bench, openCount, dayMonth), [bench, openCount]);
  const closed = visit.status === 'closed';
  const isMinor = client.ageYears !== null && client.ageYears < 18;
  // any change of an answer opens the consultation again: it counts only once it has been confirmed
  const change = (more: Partial<Consult>): void =>
    saveConsult({ ...consult, confirmedAtMs: null, judged: null, ...more });
  const withFact = (fact: Fact, found: FoundFact | null): Partial<Consult> => ({
    facts: withFound(consult.facts, fact, found),
    asked: [...new Set([...consult.asked, fact])],
    unsure: consult.unsure.filter((f) => f !== fact),
  });
  const confirm = (): void => {
    // only what was asked counts as asked: today, or last time and nothing of it has changed
    if (!isConfirmed) saveConsult({ ...consult, asked: askedAfter(bench), unsure: [], confirmedAtMs: tabletNow() });
    go(`/visits/${visit.id}/chart`);
  };
  const seen = (spot: Spot): void => change({ spots: consult.spots.filter((s) => s !== spot) });
  const leaveOut = (spot: Spot): void =>
    change({
      spots: consult.spots.filter((s) => s !== spot),
      ...withFact('rash', {
        fact: 'rash',
        lastOn: visit.onDate,
        zones: [...new Set([...(consult.facts.find((f) => f.fact === 'rash')?.zones ?? []), zoneKey(spot)])],
      }),
    });
  const stopped = verdict.tone === 'stop';
  const mayConfirm =
    consult.consent &&
    zones.length > 0 &&
    !closed &&
    !isStopped(answer.outcome) &&
    asking.must.length === 0 &&
    consult.spots.length === 0;
  const held = new Map(
    zones.flatMap((z, i) => {
      const key = zoneKey(z);
      if (!isStopped(answered.zones[i]?.outcome ?? 'go')) return [];
      const until = answered.reasons.find((r) => isStopped(r.outcome) && (r.zone === key || r.zone === null))?.until;
      return [[key, waitWords(until)] as const];
    }),
  );
  const howMuch = ({ zone, side }: ZoneRef): string => {
    const own = zones.find((z) => z.zone === zone && z.side === side);
    const choices = howMuchFor(zone);
    const chosen = own ? choices.find((c) => c.id === choiceOf(consult.agreed, own)) : undefined;
    return choices.length > 1 ? (chosen?.label ?? '').toLowerCase() : 'all';
  };
  const postpone = answered.earliestOn ? `Postpone to ${dayMonth(answered.earliestOn)}` : 'Postpone';
  const declines = answered.outcome === 'decline';
  return (
    <div className={styles.station}>
      <VerdictCard
        verdict={verdict}
        answer={answer}
        disabled={closed}
        onOverrides={(overrides) => change({ overrides })}
      >
        {visit.endedAs ? (
          <p>This visit was {visit.endedAs === 'postponed' ? 'postponed' : 'declined'}. Its reasons stay here.</p>
        ) : null}
        {form?.state === 'signed' && form.words !== '' ? (
          <p>
            <strong>{client.name.split(' ')[0]} wrote:</strong> {form.words}
          </p>
        ) : null}
        {form?.state === 'taken-back' ? (
          <p>The form was taken back before it was signed; hand over once more to go on with it.</p>
        ) : null}
      </VerdictCard>
      <TappedSpots
        spots={consult.spots}
        here={zones.map(zoneKey)}
        disabled={closed}
        onLeaveOut={leaveOut}
        onSeen={seen}
      />
      <div className={styles.folds}>
        <ZonesFold
          zones={wantedZones}
          planning={wantedZones !== bench.zones && wantedZones.map(zoneKey).join() !== zones.map(zoneKey).join()}
          stopped={held}
          lastOn={new Map(client.lastWaxOn.map((l) => [l.zone, l.on]))}
          howMuch={howMuch}
          services={bench.services}
          chosen={consult.services}
          disabled={closed}
          onChange={(refs, services) => {
            if (services !== consult.services) change({ services });
            saveZones(refs.map(({ zone, side }) => ({ zone, side })));
          }}
        />
        <QuestionsFold
          asking={asking}
          disabled={closed}
          onAnswer={(fact, isSo) => change(withFact(fact, isSo ? startingFact(fact, visit.onDate) : null))}
          onFound={(found) => change(withFact(found.fact, found))}
          onNone={(facts) =>
            change({
              facts: consult.facts.filter((f) => !facts.includes(f.fact)),
              asked: [...new Set([...consult.asked, ...facts])],
              unsure: consult.unsure.filter((f) => !facts.includes(f)),
            })
          }
        />
        <AgreedFold isMinor={isMinor} disabled={closed} onChange={change} />
      </div>
      <p className={styles.law}>
        Label, local law and licence come first; in doubt, refer. Medicines are the prescriber’s business.{' '}
        <a href="/rules" target="_blank" rel="noreferrer">
          All rules
        </a>
      </p>
      <StationFoot open={openWords(bench.zones.length, consult.consent, asking.must.length, openCount)}>
        {closed ? null : (
          <div className={styles.pairOfActs}>
            <Button onClick={() => setDialog('hand-over')}>
              {form?.state === 'signed' ? 'Hand over once more' : 'Hand the tablet over'}
            </Button>
            {stopped ? (
              <Button onClick={() => setDialog(declines ? 'postponed' : 'declined')}>
                {declines ? 'Postpone' : 'Refer instead'}
              </Button>
            ) : (
              <Button onClick={() => setDialog('postponed')}>{postpone}</Button>
            )}
          </div>
        )}
        {stopped && !closed ? (
          <Button type="primary" onClick={() => setDialog(declines ? 'declined' : 'postponed')}>
            {declines ? 'Decline, with a note' : postpone}
          </Button>
        ) : (
          <Button type="primary" disabled={!mayConfirm} onClick={confirm}>
            {confirmWords(isConfirmed, client.saidNoBefore !== null)}
          </Button>
        )}
      </StationFoot>
      {dialog === 'hand-over' ? <HandOver onClose={() => setDialog(null)} /> : null}
      {dialog === 'postponed' || dialog === 'declined' ? <PutOff as={dialog} onClose={() => setDialog(null)} /> : null}
    </div>
  );
}

function confirmWords(isConfirmed: boolean, isReturning: boolean): string {
  if (isConfirmed) return 'Confirmed: on to the chart';
  return isReturning ? 'Asked: nothing else has changed' : 'Asked and agreed';
}

/** What the main act still waits for, the first thing first. */
function openWords(zones: number, consent: boolean, must: number, open: number): string {
  if (zones === 0) return 'Open: what comes off today.';
  const points = [
    ...(consent ? [] : ['consent']),
    ...(open > 0 ? [plural(open, 'question')] : []),
    ...(must > 0 && must < open ? [`${must} of them to be answered one by one`] : []),
  ];
  return points.length === 0 ? '' : `Open: ${points.join(', ')}.`;
}
