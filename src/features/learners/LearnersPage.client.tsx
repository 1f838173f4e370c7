'use client';

import { Link } from '@/ui/Link';
import type { Week } from '@/core/practice';
import { habitWords, HAND_WORDS, skillGroup } from '@/formats/skillWords';
import { passWords, marksWord } from '@/features/exam/examWords';
import type { Learner } from '@/server/services/learners';
import { Rooms } from '@/ui/Rooms';
import { WeekBars } from './WeekBars';
import styles from './Learners.module.css';

/** All questions of a week together. */
function together(learner: Learner): readonly Week[] {
  const groups = learner.skills.filter((s) => s.skill !== 'strips').map((s) => s.weeks);
  return (groups[0] ?? []).map((_, k) => {
    const count = groups.reduce((s, weeks) => s + (weeks[k]?.count ?? 0), 0);
    const right = groups.reduce((s, weeks) => s + (weeks[k]?.count ?? 0) * (weeks[k]?.share ?? 0), 0);
    return { count, share: count === 0 ? null : right / count };
  });
}

const counted = (n: number, word: string): string => `${n} ${n === 1 ? word : `${word}s`}`;
const doneIn = ({ questions, strips }: Learner['thisWeek']): string =>
  questions + strips === 0
    ? 'Nothing this week.'
    : `This week ${counted(questions, 'question')}, ${counted(strips, 'strip')}.`;

/** The finding of the page: who wants a word. */
function headingOf(learners: readonly Learner[]): string {
  const idle = learners.filter((l) => l.level === 'trainee' && l.thisWeek.questions + l.thisWeek.strips === 0);
  const [first] = idle;
  if (first) return `${first.name} has practised nothing this week`;
  const [busy] = learners.filter((l) => l.thisWeek.questions + l.thisWeek.strips > 0);
  return busy
    ? `${busy.name} is at it: ${doneIn(busy.thisWeek).replace('This week ', '').replace('.', '')}`
    : 'Nobody is learning at present';
}

/** The trainer's view: everybody, who learns first. */
export function LearnersPage({ learners }: { readonly learners: readonly Learner[] }) {
  return (
    <section className={styles.page}>
      <div className={styles.head}>
        <h1>{headingOf(learners)}</h1>
        <Rooms of="practice" here="/practice/learners" />
      </div>
      <ul className={styles.people}>
        {learners.map((l) => (
          <Person key={l.id} learner={l} />
        ))}
      </ul>
      <p className={styles.quiet}>
        A name in the bar keeps what is practised at this tablet. Slabs are the last eight weeks, as high as the share
        that was right; a strip counts by its points.
      </p>
    </section>
  );
}

function Person({ learner }: { readonly learner: Learner }) {
  const { id, name, level, exams, habit, next, thisWeek, skills } = learner;
  const exam = exams.find((e) => e.phase === 'closed');
  return (
    <li>
      <h2>
        <Link href={`/practice/learners/${id}`}>{name}</Link> <small>{HAND_WORDS[level]}</small>
      </h2>
      <div>
        <h3>Questions</h3>
        <WeekBars weeks={together(learner)} />
      </div>
      <div>
        <h3>Strips</h3>
        <WeekBars weeks={skills.find((s) => s.skill === 'strips')?.weeks ?? []} />
      </div>
      <p>
        {doneIn(thisWeek)}
        {habit ? ` Mostly ${habitWords(habit.fault)}.` : ''}{' '}
        {next ? `Next: ${skillGroup(next).toLowerCase()}.` : 'Every question sits.'}
      </p>
      <p>
        {exam
          ? `Last examination ${marksWord(exam.sum ?? 0)} of ${marksWord(exam.most)}, ${passWords(exam.passed)}.`
          : 'No examination yet.'}
      </p>
    </li>
  );
}
