'use client';

import { Slider } from 'antd';
import { useEffect, useState } from 'react';
import { hairsPerCm2, type Zone } from '@/core/anatomy';
import { lengthSpreadCv, type HairHistory } from '@/core/hair';
import { logNormalStrata, seededRandom } from '@/core/shared';
import type { ChartHair } from '@/server/db/schema';
import { Steps } from '@/ui/Steps.client';
import styles from './Chart.module.css';

const LONGEST = 18;
const HISTORY: readonly (readonly [HairHistory, string])[] = [['first', 'first wax'], ['regular', 'regular'], ['lapsed', 'lapsed'], ['shaved', 'shaved since']];

interface Props {
  readonly hair: ChartHair;
  readonly zone: Zone;
  readonly disabled: boolean;
  readonly onChange: (hair: ChartHair) => void;
}

/** Length on a scale with each family's shortest hair, coarseness and density as drawn hairs, history in words. */
export function Assessment({ hair, zone, disabled, onChange }: Props) {
  const [length, setLength] = useState(hair.lengthMm);
  useEffect(() => setLength(hair.lengthMm), [hair.lengthMm]);
  const f = zone.shortestFactor;
  const marks = Object.fromEntries(([[1.6 * f, 'sugar'], [4 * f, 'hard'], [6 * f, 'soft'], [13, 'trim']] as const).map(([mm, word]) => [mm, <span key={word} className={styles.tick}>{Math.round(mm * 10) / 10}<br />{word}</span>]));
  const spread = logNormalStrata(length, lengthSpreadCv(hair), 10);
  return (
    <div className={styles.assess}>
      <div className={styles.length}>
        <h3 id="length">Length <strong>{length} mm</strong> <span className="quiet">most {Math.round((spread[0] ?? 0) * 2) / 2}–{Math.round((spread[9] ?? 0) * 2) / 2}</span></h3>
        <Slider min={0.5} max={LONGEST} step={0.5} value={length} disabled={disabled} marks={marks} included={false} onChange={setLength} onChangeComplete={(mm) => onChange({ ...hair, lengthMm: mm })} tooltip={{ open: false }} ariaLabelledByForHandle="length" />
      </div>
      <div>
        <h3 id="coarseness">Coarseness</h3>
        <Steps labelledBy="coarseness" value={hair.coarseness} words={['fine', 'soft', 'mid', 'coarse', 'very']} disabled={disabled} onChange={(coarseness) => onChange({ ...hair, coarseness })} draw={(s) => <OneHair thick={s} />} />
      </div>
      <div>
        <h3 id="density">Density, hairs per cm²</h3>
        <Steps labelledBy="density" value={hair.density} words={[1, 2, 3, 4, 5].map((s) => String(Math.round(hairsPerCm2(zone.hairsPerCm2, s) * 10) / 10))} disabled={disabled} onChange={(density) => onChange({ ...hair, density })} draw={(s) => <Patch count={[3, 6, 10, 16, 24][s - 1] ?? 10} />} />
      </div>
      <div>
        <h3 id="curl">Curl</h3>
        <Steps labelledBy="curl" value={hair.curl} words={['straight', 'slight', 'wavy', 'curly', 'tight']} disabled={disabled} onChange={(curl) => onChange({ ...hair, curl })} />
      </div>
      <div>
        <h3 id="history">History</h3>
        <div className={styles.history} role="radiogroup" aria-labelledby="history">
          {HISTORY.map(([value, word]) => <button key={value} type="button" role="radio" aria-checked={hair.history === value} disabled={disabled} onClick={() => onChange({ ...hair, history: value })}>{word}</button>)}
        </div>
      </div>
    </div>
  );
}

const OneHair = ({ thick }: { readonly thick: number }) => (
  <svg width="22" height="24" viewBox="0 0 22 24" aria-hidden="true"><path d="M9 2 C14 8 7 14 12 22" stroke="var(--walnut)" strokeWidth={0.6 + thick * 0.62} fill="none" strokeLinecap="round" /></svg>
);

function Patch({ count }: { readonly count: number }) {
  const random = seededRandom(9);
  return (
    <svg width="30" height="24" viewBox="0 0 30 24" aria-hidden="true">
      {Array.from({ length: count }, (_, i) => {
        const [x, y] = [random.between(3, 26), random.between(2, 17)];
        return <path key={i} d={`M${x} ${y} l1.5 5`} stroke="var(--walnut)" strokeWidth="1.2" strokeLinecap="round" />;
      })}
    </svg>
  );
}
