'use client';

import { Button, Input, Select } from 'antd';
import { Link } from '@/ui/Link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { LEVEL_FACTS, LEVELS, type Level } from '@/core/practice';
import type { ExamLine, ExamsView, NewExam } from '@/server/services/exams';
import { Fault } from '@/ui/Fault';
import { Rooms } from '@/ui/Rooms';
import { sendJson } from '@/ui/sendJson';
import { dayWords, marksWord, passWords } from './examWords';
import styles from './Exam.module.css';

const GUEST = 'guest';
const minutes = (n: number): string => `${marksWord(n)} ${n === 1 ? 'minute' : 'minutes'}`;

/** Examinations: one is begun here, one under way is found here from the second tablet, past ones are listed. */
export function ExamsPage({ view }: { readonly view: ExamsView }) {
  const { board, exams } = view;
  const open = exams.filter((e) => e.phase !== 'closed');
  const past = exams.filter((e) => e.phase === 'closed');
  const most = board.steps.reduce((s, x) => s + x.worth, 0);
  return (
    <section className={styles.page}>
      <div className={styles.head}>
        <h1>
          {minutes(board.minutes)}, {board.steps.length} steps, passed from {marksWord(board.pass * most)} of{' '}
          {marksWord(most)}
        </h1>
        <Rooms of="practice" here="/practice/exam" />
      </div>
      <div className={styles.two}>
        <Begin view={view} />
        <div>
          <h2>Under way</h2>
          {open.length === 0 ? (
            <p className={styles.quiet}>None. One that begins here is marked from a second tablet.</p>
          ) : null}
          <ul className={styles.lines}>
            {open.map((e) => (
              <Line key={e.id} exam={e} />
            ))}
          </ul>
          <h2>Closed sheets</h2>
          {past.length === 0 ? <p className={styles.quiet}>None yet.</p> : null}
          <ul className={styles.lines}>
            {past.map((e) => (
              <Line key={e.id} exam={e} />
            ))}
          </ul>
        </div>
      </div>
    </section>
  );
}

function Line({ exam: { id, name, level, on, phase, mode, sum, most, passed } }: { readonly exam: ExamLine }) {
  return (
    <li>
      <b>{name}</b>
      <span>
        {level.toLowerCase()}, {dayWords(on)}
      </span>
      {phase === 'closed' ? (
        <>
          <span>
            {marksWord(sum ?? 0)} of {marksWord(most)}, {passWords(passed)}
          </span>
          <Link href={`/practice/exam/${id}/marks`}>The sheet of {name}</Link>
        </>
      ) : (
        <>
          <Link href={`/practice/exam/${id}`}>
            {phase === 'waiting' ? 'Begin as' : 'Go on as'} {name}
          </Link>
          {mode === 'two' || phase === 'over' ? <Link href={`/practice/exam/${id}/marks`}>Mark it</Link> : null}
        </>
      )}
    </li>
  );
}

/** Who, on what, marked by whom. */
function Begin({ view }: { readonly view: ExamsView }) {
  const router = useRouter();
  const [who, setWho] = useState<string | null>(null);
  const [name, setName] = useState('');
  const [level, setLevel] = useState<Level | null>(null);
  const [mode, setMode] = useState<NewExam['mode'] | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const isNamed = who !== null && (who !== GUEST || name.trim() !== '');
  const wants = [isNamed ? [] : 'who is examined', level ? [] : 'on what', mode ? [] : 'who marks'].flat();
  const begin = async (): Promise<void> => {
    if (!level || !mode || who === null) return;
    const candidate = who === GUEST ? { name: name.trim() } : { personId: who };
    const sent = await sendJson<{ id: string }>('POST', '/api/practice/exams', { level, mode, candidate });
    if (sent.ok) router.push(`/practice/exam/${sent.value.id}`);
    else setFault([sent.error.message, ...sent.error.details.map((d) => d.message)].join(' '));
  };
  return (
    <div className={styles.begin}>
      <h2>A practical</h2>
      <Select
        aria-label="Who is examined"
        size="large"
        placeholder="Who is examined"
        value={who}
        onChange={setWho}
        options={[
          ...view.people.map((p) => ({ value: p.id, label: p.name })),
          { value: GUEST, label: 'Somebody else' },
        ]}
      />
      {who === GUEST ? (
        <Input
          aria-label="Name of the candidate"
          size="large"
          placeholder="Name"
          maxLength={60}
          value={name}
          onChange={(e) => setName(e.target.value)}
        />
      ) : null}
      <h3 id="what">On what</h3>
      <div role="group" aria-labelledby="what" className={styles.choices}>
        {LEVELS.map((l) => (
          <button key={l} aria-pressed={level === l} onClick={() => setLevel(l)}>
            {l === 'first-steps' ? 'Forearm' : LEVEL_FACTS[l].name}
          </button>
        ))}
      </div>
      <h3 id="who">Who marks</h3>
      <div role="group" aria-labelledby="who" className={styles.choices}>
        <button aria-pressed={mode === 'two'} onClick={() => setMode('two')}>
          An examiner, on a second tablet
        </button>
        <button aria-pressed={mode === 'self'} onClick={() => setMode('self')}>
          Nobody: my own marks, afterwards
        </button>
      </div>
      <Fault text={fault} />
      <p className={styles.quiet}>
        {wants.length > 0 ? `Still to say: ${wants.join(', ')}.` : 'Time runs from the first press there.'}
      </p>
      <Button type="primary" size="large" disabled={wants.length > 0} onClick={() => void begin()}>
        To the candidate’s tablet
      </Button>
      <Link href="/practice/exam/board">The board: time, steps, marks</Link>
    </div>
  );
}
