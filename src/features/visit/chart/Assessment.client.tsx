'use client';

import { perSquare, sized, sizeNumber, sizeSign } from '@/formats/size';
import { Slider } from 'antd';
import { useState } from 'react';
import { hairsPerCm2, type Zone } from '@/core/anatomy';
import { HAIR_FLAGS, lengthSpreadCv, tooLongShare, type HairFlag, type HairHistory } from '@/core/hair';
import { logNormalStrata, seededRandom } from '@/core/shared';
import type { ChartHair } from '@/server/db/schema';
import { Steps } from '@/ui/Steps.client';
import { percent } from '@/ui/words';
import type { FamilyLimit } from './familyLimits';
import { ShortOrUnder } from './ShortOrUnder.client';
import { radioKeys } from '@/ui/radioKeys';
import styles from './Chart.module.css';

const LONGEST = 18;
const HISTORY: readonly (readonly [HairHistory, string])[] = [
  ['first', 'First'],
  ['regular', 'Regular'],
  ['lapsed', 'Lapsed'],
  ['shaved', 'Shaved'],
];

const FLAGS: Readonly<Record<HairFlag, string>> = {
  flat: 'Flat',
  layers: 'Layers',
  'under-skin': 'Under skin',
};
/** Past this hairs tangle and too many are caught at once; trimmed, they are about 6 mm. */
const TRIM_OVER_MM = 12;
const TRIM_TO_MM = 6;
/** From this share of too long hair on it is trimmed first. */
const TRIM_SHARE = 0.3;

const half = (mm: number): number => Math.max(0.5, Math.round(mm * 2) / 2);

interface Props {
  readonly hair: ChartHair;
  readonly zone: Zone;
  /** From which length each of the studio's families holds hair here. */
  readonly limits: readonly FamilyLimit[];
  readonly disabled: boolean;
  readonly onChange: (hair: ChartHair) => void;
}

/** Length on a scale with each family's shortest hair, coarseness and density as drawn hairs, history in words. */
export function Assessment({ hair, zone, limits, disabled, onChange }: Props) {
  const [length, setLength] = useState(hair.lengthMm);
  const [charted, setCharted] = useState(hair.lengthMm);
  const [testing, setTesting] = useState(false);
  // a length that came from elsewhere (undo, another tablet) moves the slider too
  if (charted !== hair.lengthMm) {
    setCharted(hair.lengthMm);
    setLength(hair.lengthMm);
  }
  const usual = logNormalStrata(length, lengthSpreadCv(hair), 10);
  const shortest = hair.shortestMm ?? Math.min(length, half(usual[0] ?? 0.5));
  const longest = hair.longestMm ?? Math.max(length, half(usual[9] ?? LONGEST));
  /** The typical length; what was found beyond it gives way. */
  const took = (mm: number): void =>
    onChange({
      ...hair,
      lengthMm: mm,
      ...(hair.shortestMm === undefined ? {} : { shortestMm: Math.min(hair.shortestMm, mm) }),
      ...(hair.longestMm === undefined ? {} : { longestMm: Math.max(hair.longestMm, mm) }),
    });
  const flags = hair.flags ?? [];
  const setFlag = (flag: HairFlag, on: boolean): void =>
    onChange({ ...hair, flags: HAIR_FLAGS.filter((f) => (f === flag ? on : flags.includes(f))) });
  const tooLong = tooLongShare(hair, TRIM_OVER_MM);
  const marks = Object.fromEntries(
    [...limits.map(({ family, shortestMm }) => [shortestMm, family] as const), [TRIM_OVER_MM, 'trim'] as const].map(
      ([mm, word], i) => [
        mm,
        <span key={word} className={styles.tick} data-low={i % 2 === 1}>
          {word}
        </span>,
      ],
    ),
  );
  return (
    <div className={styles.assess}>
      <div className={styles.length}>
        <h3>
          Length <strong>{sized(length, 'mm')}</strong>{' '}
          <span className="quiet">
            {hair.shortestMm === undefined && hair.longestMm === undefined ? 'most' : 'found'}{' '}
            {sizeNumber(shortest, 'mm')}–{sizeNumber(longest, 'mm')}
          </span>
        </h3>
        <Slider
          min={0.5}
          max={LONGEST}
          step={0.5}
          value={length}
          disabled={disabled}
          marks={marks}
          included={false}
          onChange={setLength}
          onChangeComplete={took}
          tooltip={{ open: false }}
          ariaLabelForHandle={`Typical length, ${sizeSign('mm')}`}
        />
        <div className={styles.ends}>
          <End
            name="Shortest"
            mm={shortest}
            disabled={disabled}
            onChange={(mm) => onChange({ ...hair, shortestMm: Math.min(hair.lengthMm, Math.max(0.5, mm)) })}
          />
          <End
            name="Longest"
            mm={longest}
            disabled={disabled}
            onChange={(mm) => onChange({ ...hair, longestMm: Math.min(60, Math.max(hair.lengthMm, mm)) })}
          />
        </div>
        {tooLong >= TRIM_SHARE ? (
          <p className={styles.trim} role="status">
            Trim to about {sized(TRIM_TO_MM, 'mm')} first: {percent(tooLong)} is over {sized(TRIM_OVER_MM, 'mm')} and
            tangles. Never shorter than the house rule.
          </p>
        ) : null}
      </div>
      <div>
        <h3 id="coarseness">Coarseness</h3>
        <Steps
          labelledBy="coarseness"
          value={hair.coarseness}
          words={['fine', 'soft', 'mid', 'coarse', 'very']}
          disabled={disabled}
          onChange={(coarseness) => onChange({ ...hair, coarseness })}
          draw={(s) => <OneHair thick={s} />}
        />
      </div>
      <div>
        <h3 id="density">Density, hairs per {sizeSign('cm')}²</h3>
        <Steps
          labelledBy="density"
          value={hair.density}
          words={[1, 2, 3, 4, 5].map((s) => perSquare(hairsPerCm2(zone.hairsPerCm2, s)))}
          disabled={disabled}
          onChange={(density) => onChange({ ...hair, density })}
          draw={(s) => <Patch count={[3, 6, 10, 16, 24][s - 1] ?? 10} />}
        />
      </div>
      <div>
        <h3 id="curl">Curl</h3>
        <Steps
          labelledBy="curl"
          value={hair.curl}
          words={['straight', 'slight', 'wavy', 'curly', 'coil']}
          disabled={disabled}
          onChange={(curl) => onChange({ ...hair, curl })}
          draw={(s) => <Curl step={s} />}
        />
      </div>
      <div>
        <h3 id="history">History</h3>
        <div className={styles.history} role="radiogroup" aria-labelledby="history" tabIndex={-1} onKeyDown={radioKeys}>
          {HISTORY.map(([value, word]) => (
            <button
              key={value}
              type="button"
              role="radio"
              aria-checked={hair.history === value}
              disabled={disabled}
              onClick={() => onChange({ ...hair, history: value })}
            >
              {word}
            </button>
          ))}
        </div>
      </div>
      <div className={styles.flags}>
        <h3 id="flags">How it stands</h3>
        <div className={styles.history} role="group" aria-labelledby="flags">
          {HAIR_FLAGS.map((f) => (
            <button
              key={f}
              type="button"
              aria-pressed={flags.includes(f)}
              disabled={disabled}
              onClick={() => setFlag(f, !flags.includes(f))}
            >
              {FLAGS[f]}
            </button>
          ))}
        </div>
        {disabled ? null : (
          <button type="button" className={styles.doubt} onClick={() => setTesting(true)}>
            Short, or under the skin?
          </button>
        )}
      </div>
      {testing ? <ShortOrUnder onFlag={(flag) => setFlag(flag, true)} onClose={() => setTesting(false)} /> : null}
    </div>
  );
}

/** One end of the lengths found, in steps that a glove hits. */
function End({
  name,
  mm,
  disabled,
  onChange,
}: {
  readonly name: string;
  readonly mm: number;
  readonly disabled: boolean;
  readonly onChange: (mm: number) => void;
}) {
  return (
    <div role="group" aria-label={`${name} hair`}>
      <span>
        {name} <b>{sizeNumber(mm, 'mm')}</b>
      </span>
      <button
        type="button"
        disabled={disabled}
        aria-label={`${name} hair, half a millimetre less`}
        onClick={() => onChange(mm - 0.5)}
      >
        −
      </button>
      <button
        type="button"
        disabled={disabled}
        aria-label={`${name} hair, half a millimetre more`}
        onClick={() => onChange(mm + 0.5)}
      >
        +
      </button>
    </div>
  );
}

const OneHair = ({ thick }: { readonly thick: number }) => (
  <svg width="22" height="24" viewBox="0 0 22 24" aria-hidden="true">
    <path
      d="M9 2 C14 8 7 14 12 22"
      stroke="var(--walnut)"
      strokeWidth={0.6 + thick * 0.62}
      fill="none"
      strokeLinecap="round"
    />
  </svg>
);

/** One hair as it curls: straight, bent, in waves, in turns. */
const CURLS = [
  'M11 2 V22',
  'M11 2 C15 9 8 14 11 22',
  'M11 2 C18 7 4 11 11 15 C15 18 12 20 11 22',
  'M10 2 C20 3 17 11 9 10 C2 9 4 18 12 17 C16 17 15 21 12 22',
  'M11 2 C18 2 17 8 10 8 C4 8 5 4 10 5 C18 6 17 13 10 13 C4 13 5 9 10 10 C18 11 17 18 10 18 C5 18 6 22 11 22',
];
const Curl = ({ step }: { readonly step: number }) => (
  <svg width="22" height="24" viewBox="0 0 22 24" aria-hidden="true">
    <path d={CURLS[step - 1] ?? ''} stroke="var(--walnut)" strokeWidth="1.5" fill="none" strokeLinecap="round" />
  </svg>
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
