'use client';

import { sized } from '@/formats/size';
import { useEffect, useState } from 'react';
import type { ChoiceFlip, VisitCase } from '@/core/plan';
import { useWorkerAnswer } from '@/ui/useWorkerAnswer';
import { withDates } from '@/ui/words';
import type { FlipsAnswer, FlipsQuestion } from '@/workers/flips.worker';
import { useBench, useSync } from '../BenchContext.client';
import { WAYS } from './wayWords';
import styles from './Match.module.css';

const WORDS: Readonly<Record<ChoiceFlip['input'], (f: ChoiceFlip) => string>> = {
  length: (f) =>
    `Hair ${f.side === 'below' ? `of ${sized(f.at, 'mm')} or shorter` : `of ${sized(f.at, 'mm')} or longer`}`,
  coarseness: (f) => `Coarseness ${f.at} (now ${f.now})`,
  sensitivity: (f) => `Sensitivity ${f.at} (now ${f.now})`,
};

/**
 * What one change would flip the proposal: worked out in a worker from the open case, for the zone that is looked at.
 */
export function Flips({ index, isChosen }: { readonly index: number; readonly isChosen: boolean }) {
  const { bench } = useBench();
  const { sync } = useSync();
  const { id, version } = bench.visit;
  const [visit, setVisit] = useState<{ readonly version: number; readonly case: VisitCase } | 'away' | null>(null);
  const isSaved = sync === 'saved';
  useEffect(() => {
    if (!isSaved) return undefined;
    const ended = new AbortController();
    fetch(`/api/visits/${id}/case`, { signal: ended.signal })
      .then((r) => (r.ok ? (r.json() as Promise<VisitCase>) : Promise.reject(new Error('case'))))
      .then((found) => setVisit({ version, case: found }))
      .catch(() => {
        if (!ended.signal.aborted) setVisit('away');
      });
    return () => ended.abort();
  }, [id, version, isSaved]);
  const question: FlipsQuestion | null =
    visit !== null && visit !== 'away' && visit.version === version
      ? { visit: visit.case, index, catalogue: bench.products }
      : null;
  const answer = useWorkerAnswer<FlipsQuestion, FlipsAnswer>(
    () => new Worker(new URL('../../../workers/flips.worker.ts', import.meta.url), { type: 'module' }),
    question,
  );
  const isLost = visit === 'away' || answer === 'failed' || (answer !== null && answer.flips === null);
  const come = answer === null ? 'asked' : 'known';
  const state = isLost ? 'failed' : come;
  const flips = answer !== null && answer !== 'failed' ? (answer.flips ?? []) : [];
  return (
    <section className={styles.reasons} data-flips={state}>
      <h2>What would change it</h2>
      {state === 'asked' ? (
        <p className="quiet" role="status">
          Trying longer and shorter hair, other coarseness, other skin …
        </p>
      ) : null}
      {state === 'failed' ? <p role="status">This could not be worked out just now. The choice stands.</p> : null}
      {state === 'known' && flips.length === 0 ? (
        <p>
          {isChosen
            ? 'Nothing of these alone: neither length, coarseness nor sensitivity would change the choice.'
            : 'Nothing is chosen today, so there is nothing to flip. The reasons say from when something holds.'}
        </p>
      ) : null}
      <ul>
        {flips.map((f) => (
          <li key={f.input + f.side}>
            <strong>{WORDS[f.input](f)}</strong>:{' '}
            {f.becomes
              ? `${f.becomes.name.split(',')[0]?.toLowerCase() ?? ''}, ${WAYS[f.becomes.way] ?? f.becomes.way}`
              : 'nothing holds'}
            . <span className="quiet">{withDates(f.why.slice(0, 1).toUpperCase() + f.why.slice(1))}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}
