'use client';

import { zoneKey } from '@/core/anatomy';
import { Button, Checkbox } from 'antd';
import { useMemo, useState } from 'react';
import { ASKED_EACH_TIME, ASKED_ONCE, FACT_WORDS, isStopped, type Fact, type FoundFact } from '@/core/screening';
import type { Consult, Spot } from '@/server/db/schema';
import { tabletNow } from '@/ui/tabletClock';
import { Steps } from '@/ui/Steps.client';
import { dayMonthYear } from '@/ui/words';
import { useGo } from '../useGo';
import { useBench } from '../BenchContext.client';
import { Agreement } from './Agreement.client';
import { Answer } from './Answer.client';
import { AskNext } from './AskNext.client';
import { answerOf, askNext, EVERY_QUESTION } from './consultAnswer';
import { FactChips, startingFact } from './FactChips.client';
import { HandOver } from './HandOver.client';
import { PatchTests } from './PatchTests.client';
import { PutOff } from './PutOff.client';
import { TappedSpots } from './TappedSpots';
import { ZonesToday } from './ZonesToday.client';
import styles from './Consult.module.css';

/** The facts with one told anew, in its place; without it where it is not found. */
function withFound(facts: readonly FoundFact[], fact: Fact, found: FoundFact | null): readonly FoundFact[] {
  if (found === null) return facts.filter((f) => f.fact !== fact);
  const isKnown = facts.some((f) => f.fact === fact);
  return isKnown ? facts.map((f) => (f.fact === fact ? found : f)) : [...facts, found];
}

function confirmWords(isConfirmed: boolean, isReturning: boolean): string {
  if (isConfirmed) return 'Confirmed: on to the chart';
  return isReturning ? 'Asked: nothing else has changed' : 'Asked and agreed';
}

/** Whether hot wax may touch this person today, where and with what. */
export function ConsultStation() {
  const { bench, wantedZones, saveConsult, saveZones } = useBench();
  const go = useGo();
  const [open, setOpen] = useState<'postponed' | 'declined' | 'hand-over' | null>(null);
  const { visit, client, zones, form } = bench;
  const { consult } = visit;
  const answer = useMemo(() => answerOf(bench), [bench]);
  const questions = useMemo(() => askNext(bench), [bench]);
  const closed = visit.status === 'closed';
  const last = zones
    .map((z) => z.last?.on)
    .filter((d) => d !== undefined)
    .sort()
    .at(-1);
  const minor = client.ageYears !== null && client.ageYears < 18;
  // any change of an answer opens the consultation again: it counts only once it has been confirmed
  const change = (more: Partial<Consult>): void =>
    saveConsult({ ...consult, confirmedAtMs: null, judged: null, ...more });
  const withFact = (fact: Fact, found: FoundFact | null): Partial<Consult> => ({
    facts: withFound(consult.facts, fact, found),
    asked: [...new Set([...consult.asked, fact])],
    unsure: consult.unsure.filter((f) => f !== fact),
  });
  const confirm = (): void => {
    saveConsult({
      ...consult,
      asked: [...new Set([...consult.asked, ...EVERY_QUESTION])],
      unsure: [],
      confirmedAtMs: tabletNow(),
    });
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
  const stopped = isStopped(answer.outcome) && consult.consent;
  const mayConfirm =
    consult.consent &&
    zones.length > 0 &&
    !closed &&
    !isStopped(answer.outcome) &&
    consult.unsure.length === 0 &&
    consult.spots.length === 0;
  return (
    <div className={styles.station}>
      <div className={styles.top}>
        <Answer answer={answer} disabled={closed} onOverrides={(overrides) => change({ overrides })} />
        <div className={styles.acts}>
          {stopped && !closed ? (
            <>
              <Button
                type="primary"
                size="large"
                onClick={() => setOpen(answer.outcome === 'decline' ? 'declined' : 'postponed')}
              >
                {answer.outcome === 'decline' ? 'Decline, with a note' : 'Put off to a date'}
              </Button>
              {answer.outcome === 'postpone' ? (
                <Button onClick={() => setOpen('declined')}>Refer instead</Button>
              ) : null}
            </>
          ) : (
            <Button type="primary" size="large" disabled={!mayConfirm} onClick={confirm}>
              {confirmWords(consult.confirmedAtMs !== null, Boolean(last))}
            </Button>
          )}
          {closed ? null : (
            <Button onClick={() => setOpen('hand-over')}>
              {form?.state === 'signed' ? 'Hand over once more' : 'Hand the tablet over'}
            </Button>
          )}
        </div>
      </div>
      {visit.endedAs ? (
        <p className={styles.needs}>
          This visit was {visit.endedAs === 'postponed' ? 'put off' : 'declined'}. Its reasons stay here.
        </p>
      ) : null}
      {!consult.consent && !closed ? (
        <p className={styles.needs}>
          Consent is missing: hand the tablet over to have it signed, or tick it below once it has been given.
        </p>
      ) : null}
      {form?.state === 'signed' && form.words !== '' ? (
        <p className={styles.clientWords}>
          <strong>{client.name.split(' ')[0]} wrote:</strong> {form.words}
        </p>
      ) : null}
      {form?.state === 'taken-back' ? (
        <p className={styles.clientWords}>
          The form was taken back before it was signed; hand over once more to go on with it.
        </p>
      ) : null}
      <TappedSpots
        spots={consult.spots}
        here={zones.map(zoneKey)}
        disabled={closed}
        onLeaveOut={leaveOut}
        onSeen={seen}
      />
      <AskNext
        questions={questions}
        unsure={consult.unsure}
        zones={zones.length}
        disabled={closed || consult.confirmedAtMs !== null}
        onYes={(fact) => change(withFact(fact, startingFact(fact, visit.onDate)))}
        onNo={(fact) => change(withFact(fact, null))}
      />
      <section>
        <h2>{last ? `What has changed since ${dayMonthYear(last)}?` : 'Ask before the pot is touched'}</h2>
        <FactChips
          facts={ASKED_EACH_TIME}
          asked={consult.asked}
          found={consult.facts}
          zones={zones}
          on={visit.onDate}
          disabled={closed}
          onChange={(fact, found) => change(withFact(fact, found))}
        />
      </section>
      <Lasting
        open={!ASKED_ONCE.every((f) => consult.asked.includes(f) || consult.facts.some((g) => g.fact === f))}
        title={`Always true of ${client.name.split(' ')[0]}`}
        known={consult.facts.filter((f) => ASKED_ONCE.includes(f.fact)).map((f) => FACT_WORDS[f.fact])}
      >
        <FactChips
          facts={ASKED_ONCE}
          asked={consult.asked}
          found={consult.facts}
          zones={zones}
          on={visit.onDate}
          disabled={closed}
          onChange={(fact, found) => change(withFact(fact, found))}
        />
      </Lasting>
      <section>
        <h2>What comes off today</h2>
        <ZonesToday
          zones={wantedZones}
          planning={wantedZones !== bench.zones && wantedZones.map(zoneKey).join() !== zones.map(zoneKey).join()}
          stopped={new Set(zones.filter((_, i) => isStopped(answer.zones[i]?.outcome ?? 'go')).map(zoneKey))}
          lastOn={new Map(bench.client.lastWaxOn.map((l) => [l.zone, l.on]))}
          services={bench.services}
          chosen={consult.services}
          disabled={closed}
          onChange={(refs, services) => {
            if (services !== consult.services) change({ services });
            saveZones(refs.map(({ zone, side }) => ({ zone, side })));
          }}
        />
      </section>
      <div className={styles.pair}>
        <section>
          <h2>Agreed</h2>
          <Agreement
            agreed={consult.agreed}
            zones={zones}
            disabled={closed}
            onChange={(agreed) => change({ agreed })}
          />
        </section>
        <section>
          <h2 id="sensitivity">How sensitive today</h2>
          <Steps
            labelledBy="sensitivity"
            value={consult.sensitivity}
            words={['calm', 'a little', 'usual', 'reactive', 'very reactive']}
            disabled={closed}
            onChange={(sensitivity) => change({ sensitivity })}
          />
          <div className={styles.ticks}>
            <Checkbox
              checked={consult.consent}
              disabled={closed}
              onChange={(e) => change({ consent: e.target.checked })}
            >
              Consent given{minor ? ' by the client' : ''}
            </Checkbox>
            {minor ? (
              <Checkbox
                checked={consult.guardianConsent}
                disabled={closed}
                onChange={(e) => change({ guardianConsent: e.target.checked })}
              >
                A guardian has agreed
              </Checkbox>
            ) : null}
          </div>
          <PatchTests disabled={closed} />
        </section>
      </div>
      <p className="quiet">
        The product’s label, local law and your licence come first. In doubt, refer. Medicines are the prescriber’s
        business.{' '}
        <a href="/rules" target="_blank" rel="noreferrer">
          All rules
        </a>
      </p>
      {open === 'hand-over' ? <HandOver onClose={() => setOpen(null)} /> : null}
      {open === 'postponed' || open === 'declined' ? <PutOff as={open} onClose={() => setOpen(null)} /> : null}
    </div>
  );
}

interface LastingProps {
  readonly open: boolean;
  readonly title: string;
  readonly known: readonly string[];
  readonly children: React.ReactNode;
}

/** Questions asked once: open for a newcomer, folded with what is known for whoever has answered them. */
function Lasting({ open, title, known, children }: LastingProps) {
  if (open) {
    return (
      <section>
        <h2>{title}</h2>
        {children}
      </section>
    );
  }
  return (
    <details className={styles.lasting}>
      <summary>
        <h2>{title}</h2>
        <span className="quiet">{known.length > 0 ? known.join(', ') : 'nothing'}, asked before. Change</span>
      </summary>
      {children}
    </details>
  );
}
