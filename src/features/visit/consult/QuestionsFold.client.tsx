'use client';

import { Button, Radio } from 'antd';
import { useState } from 'react';
import { FACT_WORDS, type Fact, type FoundFact, type NextQuestion } from '@/core/screening';
import { useKeys } from '@/ui/useKeys';
import { dayMonth, plural } from '@/ui/words';
import { useBench } from '../BenchContext.client';
import type { Asking } from './asking';
import { detailWords, FactDetail, hasDetail } from './FactDetail.client';
import styles from './Consult.module.css';

/** More questions than this wait behind a line, where they were answered before. */
const SHOWN = 5;

interface Props {
  readonly asking: Asking;
  readonly disabled: boolean;
  readonly onAnswer: (fact: Fact, isSo: boolean) => void;
  readonly onFound: (found: FoundFact) => void;
  /** All of these were asked and are not so. */
  readonly onNone: (facts: readonly Fact[]) => void;
}

function ifYes(q: NextQuestion, zones: number): string {
  const some = zones > 1 && q.stops < zones ? ` ${plural(q.stops, 'zone')}` : '';
  if (q.stops > 0) return q.worst === 'decline' ? `If yes: decline${some}` : `If yes: postpone${some}`;
  return q.weight >= 100 ? 'If yes: another product, or more care' : 'If yes: more care';
}

/** What has changed: those that could still turn the verdict first, Yes and No both shown, none preset. */
export function QuestionsFold({ asking, disabled, onAnswer, onFound, onNone }: Props) {
  const { bench } = useBench();
  const { consult, onDate } = bench.visit;
  const before = bench.client.saidNoBefore;
  const [all, setAll] = useState(false);
  const [detail, setDetail] = useState<Fact | null>(null);
  const { must, again, noToday, idle } = asking;
  const isSettled = consult.confirmedAtMs !== null;
  const open = isSettled ? [] : [...must, ...again];
  // what must be answered is in sight; of what was answered no before, the weightiest
  const shown = all ? open : open.slice(0, Math.max(SHOWN, must.length));
  const earlier = [...open.slice(shown.length).map((q) => q.fact), ...asking.before];
  const folded = isSettled ? noToday : [];
  const [first] = shown;
  const answer = (fact: Fact, isSo: boolean): void => {
    onAnswer(fact, isSo);
    setDetail(isSo && hasDetail(fact, bench.zones.length) ? fact : null);
  };
  useKeys(disabled || !first ? {} : { y: () => answer(first.fact, true), n: () => answer(first.fact, false) });
  const row = (fact: Fact, says: string, turns: boolean): React.ReactNode => {
    const found = consult.facts.find((f) => f.fact === fact);
    const no = consult.asked.includes(fact) && !asking.before.includes(fact) ? 'no' : null;
    return (
      <li key={fact} data-turns={turns} data-found={found !== undefined}>
        <span className={styles.asks}>
          <b>{FACT_WORDS[fact]}?</b>
          <span>{found ? detailWords(found, bench.zones, onDate) : says}</span>
          {found && hasDetail(fact, bench.zones.length) ? (
            <button
              type="button"
              className={styles.inline}
              aria-expanded={detail === fact}
              onClick={() => setDetail(detail === fact ? null : fact)}
            >
              {detail === fact ? 'Done' : 'When and where'}
            </button>
          ) : null}
        </span>
        <Radio.Group
          aria-label={FACT_WORDS[fact]}
          optionType="button"
          disabled={disabled}
          value={found ? 'yes' : no}
          options={[
            { value: 'yes', label: 'Yes' },
            { value: 'no', label: 'No' },
          ]}
          onChange={(e) => answer(fact, e.target.value === 'yes')}
        />
        {found && detail === fact ? (
          <FactDetail found={found} zones={bench.zones} on={onDate} disabled={disabled} onChange={onFound} />
        ) : null}
      </li>
    );
  };
  return (
    <section className={styles.fold} aria-label="What has changed">
      <h2>
        <i>2</i> {before ? `Changed since ${dayMonth(before.on)}?` : 'Ask first'}
      </h2>
      <p className="quiet" aria-live="polite">
        {openWords(open.length, open.filter((q) => q.stops > 0).length, bench.zones.length)}
      </p>
      <ul className={styles.questions} aria-label="Ask next">
        {shown.map((q) => {
          const unsure = consult.unsure.includes(q.fact) ? '. The client was not sure' : '';
          return row(q.fact, ifYes(q, bench.zones.length) + unsure, q.stops > 0);
        })}
      </ul>
      {must.length > 1 && !disabled && !isSettled ? (
        <Button className={styles.none ?? ''} onClick={() => onNone(must.map((q) => q.fact))}>
          All {must.length} asked: no to each
        </Button>
      ) : null}
      <ul className={styles.questions} aria-label="Answered">
        {consult.facts.map((f) => row(f.fact, '', false))}
        {all || !isSettled ? noToday.map((fact) => row(fact, 'asked today', false)) : null}
        {all ? earlier.map((fact) => row(fact, before ? `no on ${dayMonth(before.on)}` : '', false)) : null}
        {all ? idle.map((fact) => row(fact, 'not asked; changes nothing today', false)) : null}
      </ul>
      {earlier.length + idle.length + folded.length > 0 ? (
        <button type="button" className={styles.rest} aria-expanded={all} onClick={() => setAll(!all)}>
          <span>{restWords(folded.length, earlier.length, idle.length, before?.on ?? null)}</span>{' '}
          <b>{all ? 'Fold' : 'Show'}</b>
        </button>
      ) : null}
    </section>
  );
}

function openWords(open: number, turning: number, zones: number): string {
  if (zones === 0) return 'Choose what comes off first: it decides what must be asked.';
  if (open === 0) return 'Nothing left to ask could change the verdict.';
  if (turning === open) return `${open} could still change the verdict`;
  return `${plural(open, 'question')} open${turning > 0 ? `, ${turning} could change the verdict` : ''}`;
}

function restWords(today: number, earlier: number, idle: number, on: string | null): string {
  const asked = today > 0 ? `${today} asked today, all no` : '';
  const again = earlier > 0 && on !== null ? `${earlier} more, all no on ${dayMonth(on)}` : '';
  const rest = idle > 0 ? `${idle} that change nothing today` : '';
  return [asked, again, rest].filter(Boolean).join(' · ');
}
