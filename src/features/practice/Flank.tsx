// The left of the practice room: on what, what was chosen, what the signs said, the skin, the last pulls.

import { Button } from 'antd';
import { useState } from 'react';
import { LEVEL_FACTS, LEVELS, PIECES, SIGNS, type Level, type Piece } from '@/core/practice';
import { degrees } from '@/formats/heat';
import { workedS } from './practiceState';
import { choiceWords, lateWords, PIECE_WORDS, sheetName, SIGN_WORDS, skinWords, sumWords } from './practiceWords';
import type { Practising } from './usePractice';
import styles from './Practice.module.css';

const LAST = 5;

/** Another arm, leg or back; the strips pulled so far are then wiped off. */
function Begin({ practising: { practice, step } }: { readonly practising: Practising }) {
  const [isOpen, setOpen] = useState(false);
  const begin = (level: Level, piece: Piece): void => {
    step({ do: 'begin', level, piece, seed: (practice.seed * 48271 + 11) % 2147483647 });
    setOpen(false);
  };
  if (!isOpen) {
    return (
      <div className={styles.begin}>
        <Button onClick={() => setOpen(true)}>Another skin</Button>
      </div>
    );
  }
  return (
    <div className={styles.list} role="group" aria-label="Another skin">
      {practice.acts.length > 0 ? <p>The strips pulled on this one are gone with it.</p> : null}
      {LEVELS.map((level) => (
        <button key={level} aria-pressed={level === practice.level} onClick={() => begin(level, 'plain')}>
          {LEVEL_FACTS[level].name}
        </button>
      ))}
      {PIECES.filter((p) => p !== 'plain').map((piece) => (
        <button key={piece} onClick={() => begin(practice.level, piece)}>
          {PIECE_WORDS[piece]}
        </button>
      ))}
    </div>
  );
}

/** A pull as seen from the side: how far it left the skin. */
const Lift = ({ deg, isLast }: { readonly deg: number; readonly isLast: boolean }) => {
  const a = (Math.min(80, deg) * Math.PI) / 180;
  return (
    <svg viewBox="0 0 40 34" width={40} height={34} aria-hidden data-last={isLast} className={styles.lift}>
      <path d="M2 30H38" />
      <path d={`M6 29L${6 + 28 * Math.cos(a)} ${29 - 28 * Math.sin(a)}`} data-pull />
    </svg>
  );
};

export function Flank({ practising, person }: { readonly practising: Practising; readonly person: string | null }) {
  const { practice, product, answer } = practising;
  const { chosen, strip, acts } = practice;
  const skin = practice.station === 'look' ? answer?.looked?.answer.skin : undefined;
  const lifts = acts.slice(-LAST).map((a) => Math.round(a.pull.liftDeg));
  return (
    <aside className={styles.flank}>
      <div>
        <h2>Strip {acts.length + (practice.station === 'look' ? 0 : 1)}</h2>
        <p>
          {sheetName(practice)} · {LEVEL_FACTS[practice.level].name.toLowerCase()}
        </p>
        {lateWords(practice) ? <p className={styles.late}>{lateWords(practice)}</p> : null}
      </div>
      <Begin practising={practising} />
      {product && chosen ? (
        <div>
          <h3>You chose</h3>
          <p>
            {choiceWords(product, chosen.way)}, pot at {degrees(chosen.setC)}
            {product.body === 'film' ? `, ${chosen.coats === 1 ? 'one coat' : 'two coats'}` : ''}.
          </p>
        </div>
      ) : null}
      {strip && product?.setting ? (
        <div>
          <h3>You waited for</h3>
          <ul>
            {SIGNS.map((sign) => {
              const said = strip.tried[sign];
              const { ready, not } = SIGN_WORDS[sign];
              const told = said ? ready : not;
              return <li key={sign}>{said === undefined ? `${ready}: not tried` : told}</li>;
            })}
          </ul>
        </div>
      ) : null}
      {skin ? (
        <div>
          <h3>Skin</h3>
          <p>{skinWords(skin)}</p>
        </div>
      ) : null}
      {answer && answer.sum.strips > 0 ? (
        <div>
          <h3>So far</h3>
          <p>{sumWords(answer.sum, workedS(practice))}</p>
          <p className={styles.small}>
            {person === null
              ? 'Nobody’s: the bar says who stands here.'
              : `It goes among the strips of ${person} when you go on.`}
          </p>
        </div>
      ) : null}
      {lifts.length > 0 ? (
        <div className={styles.lifts}>
          <h3>Your last pulls</h3>
          <ol>
            {lifts.map((deg, i) => (
              <li key={i}>
                <Lift deg={deg} isLast={i === lifts.length - 1} />
                <span>{deg}°</span>
              </li>
            ))}
          </ol>
          <p>off the skin; flat is best</p>
        </div>
      ) : null}
    </aside>
  );
}
