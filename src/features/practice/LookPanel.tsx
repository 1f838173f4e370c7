// After the pull: what came out, what differed from the planner's own strip, and why.

import { Button } from 'antd';
import { useEffect, useState } from 'react';
import { DECISIONS, turnedDeg, type Act, type Looked } from '@/core/practice';
import { angleBetweenDeg } from '@/core/shared';
import { deg } from '@/formats/heat';
import { tabletNow } from '@/ui/tabletClock';
import { sized } from '@/formats/size';
import { isTimeUp } from './practiceState';
import { SidePulls } from './SidePulls';
import { DECISION_WORDS, decisionWords, FAULT_WORDS, takenWords, whyWords } from './practiceWords';
import type { Practising } from './usePractice';
import styles from './Practice.module.css';

const speedWord = (cmPerS: number): string => {
  if (cmPerS < 25) return 'slow';
  if (cmPerS < 50) return 'steady';
  return cmPerS < 100 ? 'brisk' : 'a jerk';
};

function tautWord(taut: number): string {
  if (taut >= 0.8) return 'taut';
  return taut > 0 ? 'lightly' : 'slack';
}

const Sign = ({ of }: { readonly of: 'out' | 'broken' | 'left' }) => (
  <svg viewBox="0 0 24 24" width={24} height={24} aria-hidden data-sign={of} className={styles.sign}>
    {of === 'out' ? <circle cx={12} cy={12} r={5.5} /> : null}
    {of === 'broken' ? <path d="M4 15L15 11M13 6L17 16" /> : null}
    {of === 'left' ? <path d="M3 15Q12 6 22 9" /> : null}
  </svg>
);

const COUNTS = [
  ['out', 'out with the root'],
  ['broken', 'broke off'],
  ['left', 'left standing'],
] as const;

/** More things at once are not put right at once. */
const MOST_TOLD = 4;

/** A word against a word, told where they are not the same. */
const named = (what: string, you: string, planner: string): readonly (readonly [string, string, string, boolean])[] => [
  [what, you, planner, you !== planner],
];

/** What was left out, only where it was. */
function missed(own: Act, best: Act): readonly (readonly [string, string, string])[] {
  return [
    ...(own.drySkin ? [] : [['Wiped and dried', 'no', 'yes'] as const]),
    ...(own.thicknessMm < 0.9 * best.thicknessMm
      ? [['Thick, about', sized(own.thicknessMm, 'mm', 1), sized(best.thicknessMm, 'mm', 1)] as const]
      : []),
    ...(own.rubbed ? [] : [['Cloth on', 'no', 'yes'] as const]),
    ...(own.told === false ? [['Counted in', 'no', 'yes'] as const] : []),
  ];
}

function Differences({
  looked,
  practising: { practice },
}: {
  readonly looked: Looked;
  readonly practising: Practising;
}) {
  const own = practice.acts.at(-1);
  const best = looked.planner?.act;
  if (!own || !best) return null;
  const laidDeg = Math.round(angleBetweenDeg(own.lay, best.lay));
  const setS = looked.planner?.answer.heat.setS ?? looked.answer.heat.setS;
  const turned = Math.round(turnedDeg(own));
  const isInTime = own.waitS >= setS.min && own.waitS <= setS.max;
  // what is as good as the planner’s own is not told
  const rows: readonly (readonly [string, string, string, boolean])[] = [
    ['Lift', `${Math.round(own.pull.liftDeg)}°`, `${best.pull.liftDeg}°`, own.pull.liftDeg > best.pull.liftDeg + 4],
    ['Laid across', `${laidDeg}°`, '0°', laidDeg > 10],
    ['Turned', `${turned}°`, '0°', turned > 8],
    ...named('Speed', speedWord(own.pull.cmPerS), speedWord(best.pull.cmPerS)),
    ['Heat, about', deg(own.touchC), deg(best.touchC), Math.abs(own.touchC - best.touchC) > 2.5],
    ...named('Skin', tautWord(own.taut), 'taut'),
    ...missed(own, best).map((row) => [...row, true] as const),
    [
      ...(['Waited', `${Math.round(own.waitS)} s`, `${setS.min}–${setS.max} s`] as const),
      own.product.setting !== null && !isInTime,
    ],
  ];
  const told = rows.filter(([, , , tells]) => tells).slice(0, MOST_TOLD);
  if (told.length === 0) return <p>Nothing differed that would tell.</p>;
  return (
    <table className={styles.differed}>
      <caption>What differed</caption>
      <thead>
        <tr>
          <td />
          <th scope="col">you</th>
          <th scope="col">planner</th>
        </tr>
      </thead>
      <tbody>
        {told.map(([what, you, planner]) => (
          <tr key={what}>
            <th scope="row">{what}</th>
            <td>{you}</td>
            <td>{planner}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** The palm counts for as long as this after the pull, ms. */
const AT_ONCE_MS = 4000;

/** True for a moment after each pull. */
function usePalm(strips: number): boolean {
  const [late, setLate] = useState(0);
  useEffect(() => {
    const timer = setTimeout(() => setLate(strips), AT_ONCE_MS);
    return () => clearTimeout(timer);
  }, [strips]);
  return late < strips;
}

export function LookPanel({ practising }: { readonly practising: Practising }) {
  const { answer, step, practice } = practising;
  const isInTime = usePalm(practice.acts.length);
  const looked = answer?.looked;
  if (!looked) return <p className={styles.panel}>Looking …</p>;
  const { answer: came, differed, score } = looked;
  const { taken } = came;
  const [most] = differed;
  const isHurt = came.skin.lifted > 0 || came.skin.heat === 'burnt' || came.skin.heat === 'blistered';
  return (
    <div className={styles.panel}>
      <h2>What came out</h2>
      <dl className={styles.counts}>
        {COUNTS.map(([what, words]) => (
          <div key={what}>
            <dt>
              <Sign of={what} /> {words}
            </dt>
            <dd data-testid={`count-${what}`}>{came[what]}</dd>
          </div>
        ))}
      </dl>
      <SidePulls looked={looked} own={practice.acts.at(-1)} />
      <Differences looked={looked} practising={practising} />
      <p>
        {isHurt ? <b className={styles.bad}>Stop there, first aid, write it down, refer. </b> : null}
        {taken > 0 ? <b className={styles.bad}>{takenWords(taken)}. </b> : null}
        {most && most.hairs >= 2 ? (
          <b>Mostly {FAULT_WORDS[most.code].why}</b>
        ) : (
          <b>As the planner would lay it.</b>
        )}{' '}
        {score ? `${score.points} of 100.` : ''}
      </p>
      <div className={styles.acts}>
        {practice.acts.at(-1)?.pressed ? null : (
          <Button size="large" disabled={!isInTime} onClick={() => step({ do: 'press' })}>
            {isInTime ? 'Palm on, at once' : 'No palm came on at once'}
          </Button>
        )}
        <Button
          type="primary"
          size="large"
          disabled={isTimeUp(practice)}
          onClick={() => step({ do: 'next', atMs: tabletNow() })}
        >
          {isTimeUp(practice) ? 'Time is up: the next client waits' : 'Once more, next strip'}
        </Button>
      </div>
    </div>
  );
}

/** What is done about what the strip left; answered once. */
export function Decide({ practising: { answer, practice, step } }: { readonly practising: Practising }) {
  const looked = answer?.looked;
  if (!looked) return null;
  const { decided } = practice;
  return (
    <div className={styles.decide}>
      <h2 id="decide">And now?</h2>
      <div className={styles.row} role="group" aria-labelledby="decide">
        {DECISIONS.map((decision) => (
          <button
            key={decision}
            aria-pressed={decided === decision}
            disabled={decided !== null && decided !== decision}
            onClick={() => step({ do: 'decide', decision })}
          >
            {DECISION_WORDS[decision]}
          </button>
        ))}
      </div>
      <p role="status">{decided ? decisionWords(decided, looked.decide) : ''}</p>
    </div>
  );
}

/** Why one hair stayed or broke: tapped on the skin, or one after another by a key. */
export function AskedHair({ practising: { answer, ask, asks } }: { readonly practising: Practising }) {
  const looked = answer?.looked;
  if (!looked) return null;
  const { answer: came, differed, why } = looked;
  const next = (fate: 'broken' | 'left'): void => {
    const list = came.fates.filter((f) => f.fate === fate).map((f) => f.hair);
    ask(list[(list.indexOf(asks ?? -1) + 1) % list.length] ?? null);
  };
  const [most] = differed;
  const tryThis = most && most.hairs >= 2 ? FAULT_WORDS[most.code].tryThis : null;
  return (
    <div className={styles.feel}>
      <p className={styles.asked} role="status">
        {why ? (
          whyWords(why, came.fates.find((f) => f.hair === asks)?.brokeAtMm ?? null)
        ) : (
          <>
            {tryThis ? <b>Try this: </b> : null}
            {tryThis ?? 'Tap a hair on the skin to ask why.'}
          </>
        )}
      </p>
      <div className={styles.row}>
        <Button disabled={came.broken === 0} onClick={() => next('broken')}>
          Why did it break?
        </Button>
        <Button disabled={came.left === 0} onClick={() => next('left')}>
          Why did it stay?
        </Button>
      </div>
    </div>
  );
}
