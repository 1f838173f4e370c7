import { isAnswered, type Question } from '@/core/screening';
import type { FormData } from '@/server/db/schema';
import { answerOf, setDaysAgo, setNone, setUnsure, toggleFact } from './formState';
import styles from './Form.module.css';

/** How long ago, in words that people use; the days are the shortest that the words allow. */
const AGO: readonly (readonly [number, string])[] = [
  [0, 'today'],
  [1, 'yesterday'],
  [3, '3 days ago'],
  [6, 'about a week ago'],
  [13, 'two weeks ago'],
  [27, 'a month ago'],
  [85, 'three months ago'],
  [180, 'half a year ago'],
  [360, 'a year ago'],
];

interface Props {
  readonly question: Question;
  readonly data: FormData;
  readonly compact: boolean;
  readonly onChange: (data: FormData) => void;
}

/** One question with its choices, the words explained; "none" and "not sure" are answers, silence is not. */
export function QuestionCard({ question, data, compact, onChange }: Props) {
  const answer = answerOf(data, question.id);
  const has = (fact: string): boolean => answer?.facts.some((f) => f.fact === fact) ?? false;
  const none = question.choices.length === 1 ? 'No' : 'None of these';
  return (
    <section
      className={styles.question}
      data-compact={compact}
      data-answered={isAnswered(data.answers, question.id)}
      aria-label={question.text}
    >
      {compact ? <h2>{question.text}</h2> : <h1>{question.text}</h1>}
      {question.note ? <p className={styles.note}>{question.note}</p> : null}
      <div className={styles.choices}>
        {question.choices.map((c) => (
          <div key={c.fact} className={styles.choiceBox}>
            <button
              type="button"
              className={styles.choice}
              aria-pressed={has(c.fact)}
              onClick={() => onChange(toggleFact(data, question.id, c.fact))}
            >
              <strong>{c.label}</strong>
              <span>{c.explain}</span>
            </button>
            {c.when && has(c.fact) ? (
              <label className={styles.ago}>
                When last?
                <select
                  value={answer?.facts.find((f) => f.fact === c.fact)?.daysAgo ?? 0}
                  onChange={(e) => onChange(setDaysAgo(data, question.id, c.fact, Number(e.target.value)))}
                >
                  {AGO.map(([days, word]) => (
                    <option key={days} value={days}>
                      {word}
                    </option>
                  ))}
                </select>
              </label>
            ) : null}
          </div>
        ))}
        <div className={styles.plainChoices}>
          <button
            type="button"
            className={styles.choice}
            aria-pressed={answer?.answer === 'none'}
            onClick={() => onChange(setNone(data, question.id))}
          >
            <strong>{none}</strong>
          </button>
          <button
            type="button"
            className={styles.choice}
            aria-pressed={answer?.answer === 'unsure'}
            onClick={() => onChange(setUnsure(data, question.id))}
          >
            <strong>{question.mayKeep ? 'I would rather not say' : 'I am not sure'}</strong>
          </button>
        </div>
      </div>
    </section>
  );
}
