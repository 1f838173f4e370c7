'use client';

import { Button, Input } from 'antd';
import { Link } from '@/ui/Link';
import { useEffect, useRef, useState } from 'react';
import { MARKS, type ExamMark, type ExamStep } from '@/core/exam';
import { LEVEL_FACTS } from '@/core/practice';
import type { ExamView } from '@/server/services/exams';
import { Fault } from '@/ui/Fault';
import { useKeys } from '@/ui/useKeys';
import { callWords, marksWord, OVER_WORDS, passWords, scoreWords, timeLeft } from './examWords';
import { useExam, type Examining } from './useExam';
import styles from './Exam.module.css';

const SIGNS: Readonly<Record<ExamMark, { readonly sign: string; readonly word: string }>> = {
  right: { sign: '✓', word: 'right' },
  half: { sign: '½', word: 'half' },
  not: { sign: '✕', word: 'not' },
};
const KEYS: readonly (readonly [string, ExamMark])[] = [
  ['1', 'right'],
  ['2', 'half'],
  ['3', 'not'],
];

/** The examiner's tablet: every step with its mark, what costs marks, the sum, and the way to stop it. */
export function Examiner({ first }: { readonly first: ExamView }) {
  const examining = useExam(first, 'examiner');
  const { exam, state, fault, act } = examining;
  const { board } = exam;
  // the step that is marked by a key: the first without a mark, up to the one in hand
  const open = board.steps.find((s) => state.marks[s.id] === undefined);
  const isSelf = exam.mode === 'self';
  const mayMark = state.phase !== 'waiting' && state.phase !== 'closed' && !(isSelf && state.phase === 'running');
  const mark = (step: ExamStep, m: ExamMark): void => {
    if (mayMark) void act({ kind: 'mark', step: step.id, mark: m });
  };
  useKeys({
    ...Object.fromEntries(KEYS.map(([key, m]) => [key, () => open && mark(open, m)])),
    z: () => void act({ kind: 'undo' }),
  });
  const left = timeLeft(state.leftMs);
  const call = callWords(board, state);
  return (
    <section className={styles.examiner}>
      <header>
        <h1>{isSelf ? 'How was it?' : `${exam.name}: ${LEVEL_FACTS[exam.level].name.toLowerCase()}`}</h1>
        <p role="status">{isSelf ? 'your own marks' : (call ?? '')}</p>
        <p role="timer">
          <b>{state.phase === 'running' ? `${left.n} ${left.words}` : phaseWords(examining)}</b>
        </p>
      </header>
      <Fault text={fault} />
      {isSelf && state.phase === 'running' ? <p>Marks come after it: the time still runs.</p> : null}
      <ol className={styles.steps} aria-label="Steps and their marks">
        {board.steps.map((step, k) => (
          <StepRow
            key={step.id}
            {...{ step, k, examining, mayMark }}
            onMark={(m) => mark(step, m)}
            isInHand={state.phase === 'running' && k === state.step}
          />
        ))}
      </ol>
      <Foot examining={examining} open={open ?? board.steps.at(-1)} />
    </section>
  );
}

function phaseWords({ state }: Examining): string {
  if (state.phase === 'waiting') return 'not begun';
  if (state.phase === 'closed') return passWords(state.score.passed);
  return state.over ? OVER_WORDS[state.over] : '';
}

interface Row {
  readonly step: ExamStep;
  readonly k: number;
  readonly examining: Examining;
  readonly mayMark: boolean;
  readonly isInHand: boolean;
  readonly onMark: (mark: ExamMark) => void;
}

function StepRow({ step, k, examining: { state, exam }, mayMark, isInHand, onMark }: Row) {
  const row = useRef<HTMLLIElement>(null);
  useEffect(() => {
    if (isInHand) row.current?.scrollIntoView({ block: 'nearest' });
  }, [isInHand]);
  const given = state.marks[step.id];
  const notes = state.notes.filter((n) => n.step === step.id).map((n) => n.text);
  const asks = state.asked.includes(step.id) && exam.mode === 'two';
  return (
    <li ref={row} data-hand={isInHand} data-later={state.phase === 'running' && k > state.step}>
      <span className={styles.no}>{k + 1}</span>
      <div id={`step-${step.id}`}>
        <b>{step.name}</b>
        <small>{step.looksFor}</small>
        {asks ? <small className={styles.asks}>asked what is looked for</small> : null}
        {notes.map((text, n) => (
          <small key={n} className={styles.noted}>
            {text}
          </small>
        ))}
      </div>
      <div role="group" aria-labelledby={`step-${step.id}`} className={styles.marks}>
        {MARKS.map((m) => (
          <button
            key={m}
            aria-label={SIGNS[m].word}
            aria-pressed={given === m}
            data-mark={m}
            disabled={!mayMark}
            onClick={() => onMark(m)}
          >
            {SIGNS[m].sign}
          </button>
        ))}
      </div>
    </li>
  );
}

type Asking = 'note' | 'halt' | 'penalty' | null;

function Foot({ examining, open }: { readonly examining: Examining; readonly open: ExamStep | undefined }) {
  const { exam, state, act } = examining;
  const [asking, setAsking] = useState<Asking>(null);
  const [text, setText] = useState('');
  const { head, sum } = scoreWords(state.score);
  const at = exam.board.steps[state.step] ?? open;
  const send = async (): Promise<void> => {
    const words = text.trim();
    const sent =
      asking === 'halt'
        ? await act({ kind: 'halt', text: words })
        : await act({ kind: 'note', step: at?.id ?? '', text: words });
    if (!sent) return;
    setText('');
    setAsking(null);
  };
  const toggle = (what: Asking): void => setAsking(asking === what ? null : what);
  const isClosed = state.phase === 'closed';
  const waits = state.phase === 'waiting';
  return (
    <footer>
      {asking === 'note' || asking === 'halt' ? (
        <div className={styles.asking}>
          <Input
            aria-label={asking === 'halt' ? 'Why it is halted' : `Note on ${at?.name ?? 'this step'}`}
            placeholder={asking === 'halt' ? 'why: what was about to hurt' : `on “${at?.name ?? ''}”`}
            maxLength={300}
            value={text}
            onChange={(e) => setText(e.target.value)}
            onPressEnter={() => void (text.trim() === '' ? null : send())}
          />
          <Button type="primary" danger={asking === 'halt'} disabled={text.trim() === ''} onClick={() => void send()}>
            {asking === 'halt' ? 'Halt it now' : 'Note it'}
          </Button>
        </div>
      ) : null}
      {asking === 'penalty' ? (
        <div className={styles.asking} role="group" aria-label="What costs marks">
          {exam.board.penalties.map((p) => (
            <Button
              key={p.id}
              onClick={() => {
                void act({ kind: 'penalty', penalty: p.id });
                setAsking(null);
              }}
            >
              {p.name} −{marksWord(p.off)}
            </Button>
          ))}
        </div>
      ) : null}
      <div className={styles.sums}>
        <p>
          <b>{head}</b>
          <span>{isClosed ? passWords(state.score.passed) : sum}</span>
          {state.penalties.length > 0 ? (
            <span className={styles.noted}>
              {state.penalties.map((id) => exam.board.penalties.find((p) => p.id === id)?.name ?? id).join(' · ')}
            </span>
          ) : null}
        </p>
        {isClosed ? (
          <>
            <Link href={`/practice/exam/${exam.id}`}>The candidate’s page</Link>
            <Button size="large" href={`/api/practice/exams/${exam.id}/sheet`} target="_blank">
              Score sheet as PDF
            </Button>
          </>
        ) : (
          <>
            <Button size="large" disabled={waits} onClick={() => void act({ kind: 'undo' })}>
              Undo
            </Button>
            <Button size="large" disabled={waits} aria-expanded={asking === 'note'} onClick={() => toggle('note')}>
              Note
            </Button>
            <Button
              size="large"
              disabled={waits}
              aria-expanded={asking === 'penalty'}
              onClick={() => toggle('penalty')}
            >
              Marks off
            </Button>
            {state.phase === 'over' ? (
              <Button
                type="primary"
                size="large"
                disabled={state.score.unmarked > 0}
                onClick={() => void act({ kind: 'close' })}
              >
                {state.score.unmarked > 0 ? `${state.score.unmarked} steps without a mark` : 'Close the sheet'}
              </Button>
            ) : (
              <Button
                danger
                type="primary"
                size="large"
                disabled={state.phase !== 'running'}
                aria-expanded={asking === 'halt'}
                onClick={() => toggle('halt')}
              >
                Halt
              </Button>
            )}
          </>
        )}
      </div>
    </footer>
  );
}
