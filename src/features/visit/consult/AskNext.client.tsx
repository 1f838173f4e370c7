'use client';

import { Button } from 'antd';
import { FACT_WORDS, type Fact, type NextQuestion } from '@/core/screening';
import { useKeys } from '@/ui/useKeys';
import { plural } from '@/ui/words';
import styles from './Consult.module.css';

const SHOWN = 3;

function whatStops(stops: number, zones: number): string {
  if (zones === 1) return 'the visit';
  return stops >= zones ? 'everything' : plural(stops, 'zone');
}

function changes(q: NextQuestion, zones: number): string {
  if (q.stops > 0) {
    return `${q.worst === 'decline' ? 'would rule out' : 'would put off'} ${whatStops(q.stops, zones)}`;
  }
  return q.weight >= 100 ? 'would take a product out or ask for care' : 'would ask for care';
}

interface Props {
  readonly questions: readonly NextQuestion[];
  readonly unsure: readonly Fact[];
  readonly zones: number;
  readonly disabled: boolean;
  readonly onYes: (fact: Fact) => void;
  readonly onNo: (fact: Fact) => void;
}

/** The few questions that could change the answer most; what the client was unsure of comes first. */
export function AskNext({ questions, unsure, zones, disabled, onYes, onNo }: Props) {
  const ordered = [...questions].sort((a, b) => Number(unsure.includes(b.fact)) - Number(unsure.includes(a.fact)));
  const shown = ordered.slice(0, SHOWN);
  const [first] = shown;
  useKeys(disabled || !first ? {} : { y: () => onYes(first.fact), n: () => onNo(first.fact) });
  if (disabled) return null;
  if (!first) return <p className={styles.settled}>Nothing left to ask could change this answer.</p>;
  return (
    <section aria-label="Ask next">
      <h2>Ask next</h2>
      <ul className={styles.ask}>
        {shown.map((q, i) => (
          <li key={q.fact}>
            <span>
              <strong>{FACT_WORDS[q.fact]}?</strong>{' '}
              <span className="quiet">
                A yes {changes(q, zones)}.{unsure.includes(q.fact) ? ' The client was not sure.' : ''}
              </span>
            </span>
            <Button onClick={() => onYes(q.fact)} aria-label={`${FACT_WORDS[q.fact]}: yes`}>
              Yes{i === 0 ? <kbd className={styles.key}>Y</kbd> : null}
            </Button>
            <Button onClick={() => onNo(q.fact)} aria-label={`${FACT_WORDS[q.fact]}: no`}>
              No{i === 0 ? <kbd className={styles.key}>N</kbd> : null}
            </Button>
          </li>
        ))}
      </ul>
      {ordered.length > SHOWN ? (
        <p className="quiet">{plural(ordered.length - SHOWN, 'more question')} could still change it.</p>
      ) : null}
    </section>
  );
}
