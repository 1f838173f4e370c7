'use client';

import { Button, Input, InputNumber, Select } from 'antd';
import { Link } from '@/ui/Link';
import { useState } from 'react';
import { boardFaults, PICTURES, type Board, type ExamStep, type Picture } from '@/core/exam';
import { Fault } from '@/ui/Fault';
import { sendJson } from '@/ui/sendJson';
import styles from './Exam.module.css';

interface Kept {
  readonly board: Board;
  readonly version: number;
}

const PICTURE_WORDS: Readonly<Record<Picture, string>> = {
  ...{ none: 'the zone', growth: 'the hair', lay: 'a strip laid', pull: 'the pull' },
};
/** A sign for something new, unlike those that are there. */
const signFor = (taken: readonly string[], stem: string): string => {
  let n = taken.length + 1;
  while (taken.includes(`${stem}-${n}`)) n++;
  return `${stem}-${n}`;
};

/** The studio's own board: what examiners here ask for. Examinations under way keep the board they began with. */
export function BoardPage({ first }: { readonly first: Kept }) {
  const [kept, setKept] = useState(first);
  const [board, setBoard] = useState(first.board);
  const [said, setSaid] = useState<string | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const set = (more: Partial<Board>): void => {
    setSaid(null);
    setBoard({ ...board, ...more });
  };
  const setStep = (k: number, more: Partial<ExamStep>): void =>
    set({ steps: board.steps.map((s, i) => (i === k ? { ...s, ...more } : s)) });
  const move = (k: number, by: number): void => {
    const steps = [...board.steps];
    const [one] = steps.splice(k, 1);
    if (one) steps.splice(k + by, 0, one);
    set({ steps });
  };
  const faults = boardFaults(board);
  const isChanged = JSON.stringify(board) !== JSON.stringify(kept.board);
  const save = async (): Promise<void> => {
    const sent = await sendJson<Kept>('PUT', '/api/practice/board', { version: kept.version, board });
    if (!sent.ok) {
      setFault(
        `${[sent.error.message, ...sent.error.details.map((d) => d.message)].join(' ')} What you typed stands here.`,
      );
      return;
    }
    setFault(null);
    setKept(sent.value);
    setBoard(sent.value.board);
    setSaid('Kept. The next examination goes by it.');
  };
  return (
    <section className={styles.page}>
      <div className={styles.head}>
        <h1>The board: time, steps, marks</h1>
        <Link href="/practice/exam">Back to the examinations</Link>
      </div>
      <p className={styles.quiet}>
        As shipped it is a common practical; your examining board’s own rules come first. Examinations under way keep
        the board they began with.
      </p>
      <div className={styles.figures}>
        <Figure label="Minutes" value={board.minutes} onChange={(minutes) => set({ minutes })} />
        <Figure
          label="Call after, minutes (0 = none)"
          value={board.callMin ?? 0}
          onChange={(n) => set({ callMin: n > 0 ? n : null })}
        />
        <Figure label="Passed from, %" value={Math.round(100 * board.pass)} onChange={(n) => set({ pass: n / 100 })} />
        <Figure label="Half gives, %" value={Math.round(100 * board.half)} onChange={(n) => set({ half: n / 100 })} />
      </div>
      <h2>Steps</h2>
      <ol className={styles.boardSteps}>
        {board.steps.map((s, k) => (
          <li key={s.id}>
            <Input
              aria-label={`Step ${k + 1}, to the candidate`}
              maxLength={80}
              value={s.act}
              onChange={(e) => setStep(k, { act: e.target.value })}
            />
            <Input
              aria-label={`Step ${k + 1}, how`}
              maxLength={160}
              value={s.how}
              onChange={(e) => setStep(k, { how: e.target.value })}
            />
            <Input
              aria-label={`Step ${k + 1}, on the examiner’s list`}
              maxLength={80}
              value={s.name}
              onChange={(e) => setStep(k, { name: e.target.value })}
            />
            <Input
              aria-label={`Step ${k + 1}, looked for`}
              maxLength={160}
              value={s.looksFor}
              onChange={(e) => setStep(k, { looksFor: e.target.value })}
            />
            <InputNumber
              aria-label={`Step ${k + 1}, marks`}
              min={0}
              max={100}
              value={s.worth}
              onChange={(n) => setStep(k, { worth: n ?? 0 })}
            />
            <Select<Picture>
              aria-label={`Step ${k + 1}, drawn beside it`}
              value={s.picture}
              onChange={(picture) => setStep(k, { picture })}
              options={PICTURES.map((value) => ({ value, label: PICTURE_WORDS[value] }))}
            />
            <span className={styles.rowKeys}>
              <Button aria-label={`Step ${k + 1} earlier`} disabled={k === 0} onClick={() => move(k, -1)}>
                ↑
              </Button>
              <Button
                aria-label={`Step ${k + 1} later`}
                disabled={k === board.steps.length - 1}
                onClick={() => move(k, 1)}
              >
                ↓
              </Button>
              <Button
                aria-label={`Step ${k + 1} off`}
                onClick={() => set({ steps: board.steps.filter((_, i) => i !== k) })}
              >
                Off
              </Button>
            </span>
          </li>
        ))}
      </ol>
      <Button
        onClick={() =>
          set({
            steps: [
              ...board.steps,
              {
                id: signFor(
                  board.steps.map((s) => s.id),
                  'step',
                ),
                act: '',
                how: '',
                name: '',
                looksFor: '',
                worth: 1,
                picture: 'none',
              },
            ],
          })
        }
      >
        One more step
      </Button>
      <h2>What costs marks whenever it is seen</h2>
      <ul className={styles.boardSteps} data-two>
        {board.penalties.map((p, k) => {
          const setPenalty = (more: Partial<typeof p>): void =>
            set({ penalties: board.penalties.map((x, i) => (i === k ? { ...x, ...more } : x)) });
          return (
            <li key={p.id}>
              <Input
                aria-label={`Penalty ${k + 1}`}
                maxLength={80}
                value={p.name}
                onChange={(e) => setPenalty({ name: e.target.value })}
              />
              <InputNumber
                aria-label={`Penalty ${k + 1}, marks off`}
                min={0}
                max={100}
                value={p.off}
                onChange={(n) => setPenalty({ off: n ?? 0 })}
              />
              <Button
                aria-label={`Penalty ${k + 1} off`}
                onClick={() => set({ penalties: board.penalties.filter((_, i) => i !== k) })}
              >
                Off
              </Button>
            </li>
          );
        })}
      </ul>
      <Button
        onClick={() =>
          set({
            penalties: [
              ...board.penalties,
              {
                id: signFor(
                  board.penalties.map((p) => p.id),
                  'penalty',
                ),
                name: '',
                off: 1,
              },
            ],
          })
        }
      >
        One more
      </Button>
      <div className={styles.save}>
        <Fault
          text={
            fault ?? (faults.length > 0 ? faults.map((f) => `${fieldWords(f.path)}: ${f.message}`).join(' ') : null)
          }
        />
        <p role="status">{said}</p>
        <Button disabled={!isChanged} onClick={() => setBoard(kept.board)}>
          As it was
        </Button>
        <Button type="primary" size="large" disabled={!isChanged || faults.length > 0} onClick={() => void save()}>
          Keep the board
        </Button>
      </div>
    </section>
  );
}

/** `steps[2].name` as a person says it. */
function fieldWords(path: string): string {
  const row = /^(step|penaltie)s\[(\d+)\]/.exec(path);
  if (row) return `${row[1] === 'step' ? 'Step' : 'Penalty'} ${Number(row[2]) + 1}`;
  const names: Readonly<Record<string, string>> = {
    ...{
      minutes: 'Minutes',
      callMin: 'Call',
      pass: 'Passed from',
      half: 'Half',
      steps: 'Steps',
      penalties: 'Penalties',
    },
  };
  return names[path] ?? path;
}

interface FigureProps {
  readonly label: string;
  readonly value: number;
  readonly onChange: (n: number) => void;
}

const Figure = ({ label, value, onChange }: FigureProps) => (
  <label>
    <span>{label}</span>
    <InputNumber aria-label={label} size="large" min={0} max={240} value={value} onChange={(n) => onChange(n ?? 0)} />
  </label>
);
