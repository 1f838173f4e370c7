'use client';

import { Button } from 'antd';
import { useState } from 'react';
import { isRight, LEVEL_FACTS, LEVELS, RHYTHM_TURNS, type SkillStanding } from '@/core/practice';
import type { DrillsView } from '@/server/services/drills';
import { skillGroup } from '@/formats/skillWords';
import { Fault } from '@/ui/Fault';
import { Rooms } from '@/ui/Rooms';
import { sendJson } from '@/ui/sendJson';
import { useKeys } from '@/ui/useKeys';
import { useLiveWorker } from '@/ui/useLiveWorker';
import type { DrillAsked, DrillMade } from '../../workers/drill.worker';
import { choiceOf, questionOf, whyOf } from './drillWords';
import { FlowDrawing } from './FlowDrawing';
import { LengthDrawing } from './LengthDrawing';
import { OrderDrawing } from './OrderDrawing';
import { SkinSheet } from './SkinSheet.client';
import { useRhythm, type Rhythm } from './useRhythm';
import styles from './Practice.module.css';

/** What was answered to the question in hand, and what is asked after it. */
interface Given {
  readonly answer: string;
  readonly next: DrillsView;
}

const isRightOf = ({ drill }: DrillMade, answer: string): boolean => isRight(drill, answer);

/** Short questions, asked again when they are about to be forgotten. */
export function DrillsPage({ first, person }: { readonly first: DrillsView; readonly person: string | null }) {
  const [view, setView] = useState(first);
  const [given, setGiven] = useState<Given | null>(null);
  const [sending, setSending] = useState<string | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const { skill, seed } = view;
  const { answer: made, failed } = useLiveWorker<DrillAsked, DrillMade>(
    () => new Worker(new URL('../../workers/drill.worker.ts', import.meta.url), { type: 'module' }),
    { skill, seed },
  );
  const here = made && made.skill === skill && made.seed === seed ? made : null;
  const give = async (answer: string): Promise<void> => {
    if (given || sending) return;
    setSending(answer);
    const sent = await sendJson<DrillsView>('POST', '/api/practice/answers', { skill, seed, answer });
    setSending(null);
    if (!sent.ok) return setFault(`${sent.error.message} Your answer is not kept: give it again.`);
    setFault(null);
    setGiven({ answer, next: sent.value });
  };
  const onward = (): void => {
    if (!given) return;
    setView(given.next);
    setGiven(null);
  };
  const choices: readonly string[] = here?.drill.choices ?? [];
  useKeys({
    ...Object.fromEntries(choices.map((c, k) => [String(k + 1), () => void give(c)])),
    n: onward,
  });
  const question = here ? questionOf(here.drill) : null;
  const right = here && given ? isRightOf(here, given.answer) : null;
  const level = here?.drill.kind === 'order' ? LEVELS.find((l) => l === orderLevel(here)) : undefined;
  const { zone, side, hair } = LEVEL_FACTS[level ?? 'first-steps'];
  const drill = here?.drill;
  const rhythm = useRhythm(drill?.kind === 'rhythm' && !given ? drill.growth : null, (word) => void give(word));
  return (
    <section className={styles.page}>
      <div className={styles.head}>
        <h1>{question?.asked ?? 'A question is being made …'}</h1>
        <Rooms of="practice" here="/practice/drills" />
      </div>
      <Fault text={failed ? 'This question could not be made. Reload the page for another.' : fault} />
      <div className={styles.drill}>
        <div className={styles.work}>
          {here?.skin ? (
            <SkinSheet
              answer={here.skin}
              zone={zone}
              side={side}
              coarseness={hair.coarseness}
              revealed={null}
              signs={here.drill.kind === 'strip' || here.drill.kind === 'after'}
              {...(drill?.kind === 'rhythm' && !given ? { onMove: rhythm.onMove, onEnd: rhythm.onEnd } : {})}
              asks={null}
              label={
                here.drill.kind !== 'strip' && here.drill.kind !== 'after'
                  ? 'The skin with its hair.'
                  : 'The skin after the strip: a ring where a hair came out with its root, a barred stub where one broke, a stroke where one was left.'
              }
            >
              {(drawn) => (drill?.kind === 'order' ? <OrderDrawing drawn={drawn} drill={drill} /> : null)}
            </SkinSheet>
          ) : null}
          {here?.drill.kind === 'length' ? <LengthDrawing lengthsMm={here.drill.lengthsMm} /> : null}
          {here?.drill.kind === 'pot' ? <FlowDrawing flow={here.drill.flow} /> : null}
          <ul className={styles.known}>
            {question?.known.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        </div>
        <div className={styles.answers}>
          <div role="group" aria-label="Answers" className={styles.list}>
            {drill?.kind === 'rhythm' ? <RhythmKeys key={seed} rhythm={rhythm} isOver={given !== null} /> : null}
            {here
              ? choices.map((choice, k) => (
                  <button
                    key={choice}
                    aria-pressed={given?.answer === choice}
                    aria-keyshortcuts={String(k + 1)}
                    disabled={(given !== null && given.answer !== choice) || sending !== null}
                    data-right={given ? isRightOf(here, choice) : undefined}
                    onClick={() => void give(choice)}
                  >
                    <b>{choiceOf(here.drill, choice)}</b>
                    {given ? null : <kbd aria-hidden>{k + 1}</kbd>}
                    {given && isRightOf(here, choice) ? <span>right</span> : null}
                  </button>
                ))
              : null}
          </div>
          <div role="status" className={styles.told}>
            {given && here ? (
              <>
                <b data-bad={right === false}>{right ? 'Right.' : 'Not so.'}</b> {whyOf(here.drill, given.answer)}
              </>
            ) : null}
          </div>
          <Button type="primary" size="large" disabled={!given} onClick={onward}>
            Next question
          </Button>
        </div>
        <Standing view={given?.next ?? view} person={person} />
      </div>
    </section>
  );
}

const orderLevel = ({ drill }: DrillMade): string | null => (drill.kind === 'order' ? drill.level : null);

/** What the hand has done so far, and the rhythm by keys. */
function RhythmKeys({ rhythm, isOver }: { readonly rhythm: Rhythm; readonly isOver: boolean }) {
  const flicks = rhythm.strokes.filter((s) => s.kind === 'with').length;
  return (
    <>
      <p>
        On the skin with a finger or the mouse; or here by arrow keys: held down the lump is pressed along, tapped it is
        flicked.
      </p>
      <button disabled={isOver} onKeyDown={rhythm.onKeyDown} onKeyUp={rhythm.onKeyUp}>
        <b>By arrow keys</b>
      </button>
      <p role="status">
        {rhythm.strokes.length} {rhythm.strokes.length === 1 ? 'stroke' : 'strokes'}, {flicks} of {RHYTHM_TURNS} flicks
      </p>
    </>
  );
}

/** Known well enough to be let rest for a while. */
const KNOWN = 0.9;

/** How the groups of questions stand. */
function Standing({ view, person }: { readonly view: DrillsView; readonly person: string | null }) {
  const groups = [...new Set(view.standings.map((s) => skillGroup(s.skill)))];
  const line = (own: readonly SkillStanding[]): string => {
    const asked = own.filter((s) => s.answers > 0);
    if (asked.length === 0) return 'not asked yet';
    const sits = asked.filter((s) => s.known >= KNOWN && s.right > 0).length;
    return `${sits} of ${own.length} sit`;
  };
  return (
    <aside className={styles.standing}>
      <h2>{person ?? 'Whoever stands here'}</h2>
      <p>{view.answered === 0 ? 'No question answered yet.' : `${view.right} of ${view.answered} answered rightly.`}</p>
      <dl>
        {groups.map((group) => (
          <div key={group}>
            <dt>{group}</dt>
            <dd>{line(view.standings.filter((s) => skillGroup(s.skill) === group))}</dd>
          </div>
        ))}
      </dl>
      <p className={styles.small}>What was missed comes back soon, what sits comes back late.</p>
    </aside>
  );
}
