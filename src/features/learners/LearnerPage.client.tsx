'use client';

import { Button } from 'antd';
import { Link } from '@/ui/Link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { LEAST_VISITS } from '@/core/practice';
import { habitWords, HAND_WORDS, skillGroup } from '@/formats/skillWords';
import { dayWords, marksWord, passWords } from '@/features/exam/examWords';
import type { Learner, SkillWeeks } from '@/server/services/learners';
import { Fault } from '@/ui/Fault';
import { Rooms } from '@/ui/Rooms';
import { notTaken, sendJson } from '@/ui/sendJson';
import { agoWords, WeekBars } from './WeekBars';
import styles from './Learners.module.css';

interface Props {
  readonly learner: Learner;
  /** As the house has this person; what is not changed is sent back as it is. */
  readonly does: readonly string[] | null;
}

/** One learner: every skill by the week, what is next, examinations, and the hand at the table. */
export function LearnerPage({ learner, does }: Props) {
  const { name, skills, habit, next, exams } = learner;
  const weeks = skills[0]?.weeks.length ?? 0;
  return (
    <section className={styles.page}>
      <div className={styles.head}>
        <h1>{headingOf(learner)}</h1>
        <Rooms of="practice" here="/practice/learners" />
      </div>
      <div className={styles.one}>
        <table className={styles.skills}>
          <caption>
            {name}, the last {weeks} weeks
          </caption>
          <thead>
            <tr>
              <th scope="col">Skill</th>
              <th scope="col">
                <span className={styles.span}>
                  <span>{agoWords(weeks - 1)}</span>
                  <span>now</span>
                </span>
              </th>
              <th scope="col">sit</th>
            </tr>
          </thead>
          <tbody>
            {skills.map((s) => (
              <tr key={s.skill}>
                <th scope="row">{skillGroup(s.skill)}</th>
                <td>
                  <WeekBars weeks={s.weeks} />
                </td>
                <td>{sitWords(s)}</td>
              </tr>
            ))}
          </tbody>
        </table>
        <aside className={styles.right}>
          <h2>Next</h2>
          <p>
            {habit
              ? `On the skin: ${habitWords(habit.fault)}, in ${habit.strips} of the last strips.`
              : 'On the skin: no fault came back three times.'}
          </p>
          <p>{next ? `Questions: ${skillGroup(next).toLowerCase()}.` : 'Every question sits.'}</p>
          <div className={styles.keys}>
            <Link href="/practice">A strip</Link>
            <Link href="/practice/drills">Questions</Link>
          </div>
          <h2>Examinations</h2>
          {exams.length === 0 ? <p>None yet.</p> : null}
          <ul>
            {exams.slice(0, 4).map((e) => (
              <li key={e.id}>
                <Link href={`/practice/exam/${e.id}/marks`}>
                  {e.level}, {dayWords(e.on)}
                </Link>{' '}
                {e.phase === 'closed'
                  ? `${marksWord(e.sum ?? 0)} of ${marksWord(e.most)}, ${passWords(e.passed)}`
                  : 'not closed'}
              </li>
            ))}
          </ul>
          <Hand learner={learner} does={does} />
          <Button size="large" href={`/api/practice/learners/${learner.id}`} target="_blank">
            The record as PDF
          </Button>
        </aside>
      </div>
    </section>
  );
}

function headingOf({ name, habit, skills, next }: Learner): string {
  const asked = skills.reduce((s, x) => s + x.asked, 0);
  if (asked === 0) return `${name} has practised nothing yet`;
  if (habit) return `${name}: mostly ${habitWords(habit.fault)}`;
  return next ? `${name}: next ${skillGroup(next).toLowerCase()}` : `${name}: every question sits`;
}

const sitWords = ({ sits, of, asked }: SkillWeeks): string => {
  if (asked === 0) return 'not yet';
  return sits === null ? `${asked} strips` : `${sits} of ${of}`;
};

const percent = (ratio: number): string => `${Math.round(100 * ratio)} %`;

/** The level with which the hand is planned, and what its own visits say. */
function Hand({ learner: { id, name, level, hand }, does }: Props) {
  const router = useRouter();
  const [fault, setFault] = useState<string | null>(null);
  const [isSent, setSent] = useState(false);
  const { fits, visits, ratio, from, to } = hand;
  const set = async (): Promise<void> => {
    if (!fits) return;
    const sent = await sendJson('POST', '/api/studio', { person: { id, name, level: fits, active: true, does } });
    setFault(sent.ok ? null : notTaken(sent.error));
    setSent(sent.ok);
    if (sent.ok) router.refresh();
  };
  return (
    <>
      <h2>At the table</h2>
      <p>
        Planned at the level “{HAND_WORDS[level]}”.{' '}
        {ratio === null || from === null || to === null
          ? `${visits === 0 ? 'No visit' : `${visits} ${visits === 1 ? 'visit' : 'visits'}`} of known length yet; from ${LEAST_VISITS} on they speak.`
          : `${visits} visits took about ${percent(ratio)} of the planned time (${percent(from)}–${percent(to)}).`}
      </p>
      {fits ? (
        <>
          <p>
            That is the pace of the level “{HAND_WORDS[fits]}”. It also means{' '}
            {fits === 'trainee' ? 'smaller' : 'larger'} strips and {fits === 'trainee' ? 'fewer' : 'more'} on the skin
            at once: yours to say.
          </p>
          <Button onClick={() => void set()}>Plan at “{HAND_WORDS[fits]}”</Button>
        </>
      ) : null}
      <Fault text={fault} />
      <p role="status">{isSent ? `${name} is planned at the level “${HAND_WORDS[level]}” from now on.` : ''}</p>
    </>
  );
}
