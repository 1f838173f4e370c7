'use client';

import { Button } from 'antd';
import { Link } from '@/ui/Link';
import { useState } from 'react';
import { LEVEL_FACTS } from '@/core/practice';
import type { ExamView } from '@/server/services/exams';
import { Fault } from '@/ui/Fault';
import { useKeys } from '@/ui/useKeys';
import { ExamPicture } from './ExamPicture.client';
import { callName, callWords, marksWord, OVER_WORDS, passWords, timeLeft } from './examWords';
import { useCalls } from './useCalls';
import { useExam, type Examining } from './useExam';
import styles from './Exam.module.css';

/** The candidate's tablet: the time, the call, one step. Marks are not here until the sheet is closed. */
export function Candidate({ first }: { readonly first: ExamView }) {
  const examining = useExam(first, 'candidate');
  const { exam, state, fault, act } = examining;
  const { board, level, mode } = exam;
  const step = board.steps[state.step];
  const call = callWords(board, state);
  const calls = useCalls(call);
  const onward = (): void => {
    if (state.phase === 'waiting') void act({ kind: 'start' });
    else if (state.phase === 'running' && step) void act({ kind: 'done', step: step.id });
  };
  const back = (): void => {
    if (state.phase === 'running' && state.step > 0) void act({ kind: 'back' });
  };
  useKeys({ Space: pedal(onward), PageDown: pedal(onward), PageUp: pedal(back), ArrowLeft: back });
  const isOn = state.phase === 'waiting' || state.phase === 'running';
  return (
    <section className={styles.candidate}>
      <div className={styles.front}>
        <p className={styles.who}>
          <b>Practical: {LEVEL_FACTS[level].name.toLowerCase()}</b> <span>{exam.name}</span>
        </p>
        <Fault text={fault ? `${fault} The time goes on.` : null} />
        <Time examining={examining} call={call} isAloud={calls.on} />
        {isOn && step ? (
          <StepInHand key={step.id} examining={examining} onward={onward} back={back} />
        ) : (
          <Over examining={examining} />
        )}
        <div className={styles.foot}>
          <button aria-pressed={calls.on} onClick={calls.toggle}>
            calls aloud
          </button>
          {mode === 'two' && state.phase === 'waiting' ? (
            <span>
              On the second tablet: Practice, Examination, “{exam.name}”, <i>mark it</i>.
            </span>
          ) : null}
        </div>
      </div>
      <ExamPicture level={level} picture={(isOn && step?.picture) || 'growth'} />
    </section>
  );
}

/** A pedal’s keys scroll the page otherwise; a button in focus answers Space itself. */
const pedal =
  (run: () => void) =>
  (event: KeyboardEvent): void => {
    if (event.key === ' ' && event.target instanceof HTMLButtonElement) return;
    event.preventDefault();
    run();
  };

function Time({
  examining: { exam, state },
  call,
  isAloud,
}: {
  readonly examining: Examining;
  readonly call: string | null;
  readonly isAloud: boolean;
}) {
  const { minutes, callMin } = exam.board;
  const left = timeLeft(state.leftMs);
  const share = (ms: number): string => `${Math.min(100, (100 * ms) / (60_000 * minutes))}%`;
  return (
    <>
      <div className={styles.time}>
        <p role="timer" aria-label={`${left.n} ${left.words}`}>
          <b>{left.n}</b> <span>{left.words}</span>
        </p>
        {call ? (
          <div className={styles.call} role="status" data-over={state.phase !== 'running'}>
            <b>{call}</b>
            <span>{isAloud ? 'called aloud' : 'called'}</span>
          </div>
        ) : null}
      </div>
      <div className={styles.bar} aria-hidden>
        <i style={{ width: share(state.elapsedMs) }} />
        {Array.from({ length: Math.max(0, Math.min(60, Math.ceil(minutes)) - 1) }, (_, k) => (
          <span key={k} style={{ left: share(60_000 * (k + 1)) }} />
        ))}
        {callMin === null ? null : <em style={{ left: share(60_000 * callMin) }} />}
      </div>
      <div className={styles.ends} aria-hidden>
        <span>0</span>
        {callMin === null ? null : <b style={{ left: share(60_000 * callMin) }}>{callName(exam.board)}</b>}
        <span>{minutes} min</span>
      </div>
    </>
  );
}

interface Handed {
  readonly examining: Examining;
  readonly onward: () => void;
  readonly back: () => void;
}

function StepInHand({ examining: { exam, state, act }, onward, back }: Handed) {
  const [isTold, setTold] = useState(false);
  const step = exam.board.steps[state.step];
  const next = exam.board.steps[state.step + 1];
  if (!step) return null;
  const waits = state.phase === 'waiting';
  const ask = (): void => {
    if (exam.mode === 'self') setTold(true);
    else void act({ kind: 'ask', step: step.id });
  };
  const asked = state.asked.includes(step.id);
  return (
    <div className={styles.step}>
      <p>
        Step {state.step + 1} of {exam.board.steps.length}
      </p>
      <h1>{step.act}</h1>
      <p className={styles.how}>{step.how}</p>
      {isTold ? <p className={styles.told}>Looked for: {step.looksFor}.</p> : null}
      {asked && exam.mode === 'two' ? <p className={styles.told}>The examiner sees that you ask.</p> : null}
      <p className={styles.next}>{next ? `Then: ${next.act.toLowerCase()}` : 'Then it is done.'}</p>
      <div className={styles.keys}>
        <Button type="primary" size="large" onClick={onward}>
          {waits ? 'Begin, time runs' : 'Done, next step'} <small>or pedal</small>
        </Button>
        {waits ? null : (
          <>
            <Button size="large" onClick={ask} disabled={isTold || (asked && exam.mode === 'two')}>
              Ask
            </Button>
            <Button size="large" onClick={back} disabled={state.step === 0}>
              Back
            </Button>
          </>
        )}
      </div>
    </div>
  );
}

function Over({ examining: { exam, state } }: { readonly examining: Examining }) {
  const { score } = state;
  const done = Math.min(state.step, exam.board.steps.length);
  const isSelf = exam.mode === 'self';
  return (
    <div className={styles.step}>
      <h1>{state.over ? OVER_WORDS[state.over] : 'Over'}</h1>
      <p className={styles.how}>
        {state.haltedFor ? `${state.haltedFor}. ` : ''}
        {done} of {exam.board.steps.length} steps were done.
      </p>
      {state.phase === 'closed' ? (
        <>
          <p className={styles.sum}>
            {marksWord(score.sum)} of {marksWord(score.most)}: {passWords(score.passed)}
          </p>
          <Missed examining={{ exam, state }} />
          <div className={styles.keys}>
            <Button size="large" href={`/api/practice/exams/${exam.id}/sheet`} target="_blank">
              Score sheet as PDF
            </Button>
          </div>
        </>
      ) : (
        <p>
          {isSelf
            ? 'Now look at yourself as an examiner would.'
            : 'Put down what you hold. The examiner is marking; your marks come when the sheet is closed.'}
        </p>
      )}
      {isSelf && state.phase !== 'closed' ? (
        <div className={styles.keys}>
          <Link href={`/practice/exam/${exam.id}/marks`}>Mark yourself</Link>
        </div>
      ) : null}
    </div>
  );
}

/** What cost marks, in words. */
function Missed({ examining: { exam, state } }: { readonly examining: Pick<Examining, 'exam' | 'state'> }) {
  const lost = exam.board.steps.filter((s) => state.marks[s.id] !== 'right');
  const off = state.penalties.flatMap((id) => exam.board.penalties.find((p) => p.id === id)?.name ?? []);
  if (lost.length + off.length === 0) return <p>Every step was right.</p>;
  return (
    <ul className={styles.missed}>
      {lost.map((s) => (
        <li key={s.id}>
          {s.name}: {state.marks[s.id] === 'half' ? 'half' : 'not'}, {s.looksFor}
        </li>
      ))}
      {off.map((name, k) => (
        <li key={`${name}${k}`}>{name}</li>
      ))}
    </ul>
  );
}
