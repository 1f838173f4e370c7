'use client';

import { Chart, Filler, LinearScale, LineElement, PointElement, type ChartOptions } from 'chart.js';
import { Button, Slider } from 'antd';
import { useState } from 'react';
import { Line } from 'react-chartjs-2';
import { FAMILIES, type Family } from '@/core/anatomy';
import { honestYear, whatIfAt, whatIfNow, whatIfRange, type Question, type WhatIfInput } from '@/core/ledger';
import type { LedgerSums } from '@/server/services/ledgerSums';
import type { Money } from '@/ui/money';
import { usePageColours } from '@/ui/usePageColours';
import { answerWords, QUESTION_WORDS, xWords } from './whatIfWords';
import styles from './Ledger.module.css';

if (typeof document !== 'undefined') Chart.defaults.font.family = getComputedStyle(document.body).fontFamily;
Chart.register(LinearScale, LineElement, PointElement, Filler);

const NO_EFFECT = { shareNow: 0, minutesMore: 0, materialsMoreMinor: 0 };
const POINTS = 40;
/** Width of the figures at the left of the curve: the handle stands under the curve itself. */
const AXIS_PX = 52;

interface Props {
  readonly sums: LedgerSums;
  readonly money: Money;
}

/** One curve over what is changed, with its doubt as a band and the handle on its axis; the answer in two sentences. */
export function WhatIf({ sums, money }: Props) {
  const families = FAMILIES.filter((f) => sums.products[f] !== undefined);
  const [question, setQuestion] = useState<Question>('price');
  const [family, setFamily] = useState<Family | null>(null);
  const chosen = family ?? families[0] ?? null;
  const input: WhatIfInput = {
    now: sums.year,
    product: (chosen && sums.products[chosen]) || NO_EFFECT,
    table: sums.table,
  };
  const { from, to, step } = whatIfRange(question, input);
  const now = whatIfNow(question, input);
  const [at, setAt] = useState<number | null>(null);
  const x = Math.min(to, Math.max(from, at ?? usualStart(question, input)));
  const ask = (q: Question, f: Family | null = family): void => {
    setQuestion(q);
    setFamily(f);
    setAt(null);
  };
  // forty-one small sums: nothing to be kept
  const points = Array.from({ length: POINTS + 1 }, (_, i) =>
    whatIfAt(question, from + ((to - from) * i) / POINTS, input),
  );
  const here = whatIfAt(question, x, input);
  const cannot = question === 'product' && chosen === null;
  return (
    <section className={styles.whatIf} aria-label="What if">
      <div className={styles.questions}>
        <h2>What if</h2>
        {(Object.keys(QUESTION_WORDS) as readonly Question[]).map((q) => (
          <Button key={q} aria-pressed={q === question} onClick={() => ask(q)}>
            {QUESTION_WORDS[q]}
          </Button>
        ))}
      </div>
      {question === 'product' && !cannot ? (
        <div className={styles.questions}>
          {families.map((f) => (
            <Button key={f} size="small" aria-pressed={f === chosen} onClick={() => ask('product', f)}>
              more {f}
            </Button>
          ))}
        </div>
      ) : null}
      {cannot || sums.year.priceMinor === 0 ? (
        <p className="quiet">
          {cannot
            ? 'No service was worked with two of hard, soft and sugar yet: there is nothing to compare.'
            : 'Enter some visits under Day, or say above what a place brings: the curve begins there.'}
        </p>
      ) : (
        <div className={styles.asked}>
          <div className={styles.curve}>
            <Curve points={points} now={{ x: now, y: honestYear(sums.year).leftMinor }} at={x} money={money} />
            <Slider
              min={from}
              max={to}
              step={step}
              value={x}
              onChange={setAt}
              ariaLabelForHandle={`${QUESTION_WORDS[question]}: ${xWords(question, x, money)}`}
              tooltip={{ open: false }}
              {...(styles.handle ? { className: styles.handle } : {})}
            />
            <p className={styles.ends} aria-hidden="true">
              <span>{xWords(question, from, money)}</span>
              <span>{xWords(question, to, money)}</span>
            </p>
          </div>
          <p className={styles.answer} role="status">
            <strong>{xWords(question, x, money)}</strong> {answerWords(question, here, input, money)}
          </p>
        </div>
      )}
    </section>
  );
}

/** A little beside what is now: the first look shows what it is about. */
function usualStart(question: Question, input: WhatIfInput): number {
  const { from, to, step } = whatIfRange(question, input);
  const now = whatIfNow(question, input);
  const wanted = { price: now * 1.06, minutes: now - 5, product: now + 20, table: 60 }[question];
  return Math.min(to, Math.max(from, from + Math.round((wanted - from) / step) * step));
}

interface CurveProps {
  readonly points: readonly ReturnType<typeof whatIfAt>[];
  readonly now: { readonly x: number; readonly y: number };
  readonly at: number;
  readonly money: Money;
}

function Curve({ points, now, at, money }: CurveProps) {
  const colours = usePageColours();
  const [from, to] = [points[0]?.x ?? 0, points.at(-1)?.x ?? 1];
  const values = points.flatMap((p) => [p.bestMinor, p.worstMinor]);
  const [low, high] = [Math.min(...values, now.y), Math.max(...values, now.y)];
  const line = (pick: (p: CurveProps['points'][number]) => number) => points.map((p) => ({ x: p.x, y: pick(p) }));
  const plain = { pointRadius: 0, borderWidth: 0 };
  const data = {
    datasets: [
      { ...plain, data: line((p) => p.likelyMinor), borderColor: colours.wax, borderWidth: 3 },
      { ...plain, data: line((p) => p.bestMinor), backgroundColor: `${colours.wax}2e`, fill: 2 },
      { ...plain, data: line((p) => p.worstMinor) },
      { data: [now], pointRadius: 6, pointBackgroundColor: colours.waxDark, borderWidth: 0 },
      { ...plain, data: [low, high].map((y) => ({ x: at, y })), borderColor: colours.walnut, borderWidth: 3 },
    ],
  };
  const options: ChartOptions<'line'> = {
    animation: false,
    maintainAspectRatio: false,
    events: [],
    layout: { padding: { right: 10, top: 6 } },
    plugins: { legend: { display: false } },
    scales: {
      x: { type: 'linear', min: from, max: to, display: false },
      y: {
        min: low,
        max: high,
        afterFit: (axis) => {
          axis.width = AXIS_PX;
        },
        ticks: {
          maxTicksLimit: 4,
          includeBounds: false,
          color: colours.secondInk,
          font: { size: 13 },
          callback: (v) => money.short(Number(v)).replace(/,?\d{3}$/, ' k'),
        },
        grid: { color: colours.hairline },
      },
    },
  };
  return (
    <div className={styles.canvas}>
      <Line data={data} options={options} aria-hidden="true" />
    </div>
  );
}
