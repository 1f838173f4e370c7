'use client';

import { usePageColours } from '@/ui/usePageColours';
import { Chart, Filler, LinearScale, LineElement, PointElement, type ChartOptions } from 'chart.js';
import { deg, degrees } from '@/formats/heat';
import { memo, useMemo } from 'react';
import { Line } from 'react-chartjs-2';
import type { HeatReading } from '@/core/heat';
import styles from './Match.module.css';

if (typeof document !== 'undefined') Chart.defaults.font.family = getComputedStyle(document.body).fontFamily;
Chart.register(LinearScale, LineElement, PointElement, Filler);

const SHOWN_S = 90;
const SHOWN_C = { least: 30, most: 66 } as const;

interface Props {
  readonly reading: HeatReading;
  readonly limitC: number;
  /** Between these seconds a strip may be pulled; from null: it comes off at once. */
  readonly pullFromS: number | null;
  readonly pullToS: number;
}

/** The key is plain text: a chart's own legend is measured anew at every step of the slider. */
const KEY = [
  ['verdigris', 'solid', 'skin feels'],
  ['wax', 'dashed', 'wax, mean'],
  ['madder', 'dotted', 'its limit'],
] as const;

/**
 * What the skin feels at nerve depth under the slab, with the wax's own mean, this client's limit, and the seconds for
 * the pull.
 */
export const FeltCurve = memo(function FeltCurve({ reading, limitC, pullFromS, pullToS }: Props) {
  const colours = usePageColours();
  const data = useMemo(() => {
    const points = (pick: (p: HeatReading['curve'][number]) => number) =>
      reading.curve.filter((p) => p.timeS <= SHOWN_S).map((p) => ({ x: p.timeS, y: pick(p) }));
    return {
      datasets: [
        {
          label: 'skin feels',
          data: points((p) => p.nerveC),
          borderColor: colours.verdigris,
          borderWidth: 3,
          pointRadius: 0,
          tension: 0.2,
        },
        {
          label: 'wax, mean',
          data: points((p) => p.slabC),
          borderColor: colours.wax,
          borderWidth: 2,
          borderDash: [6, 4],
          pointRadius: 0,
          tension: 0.2,
        },
        {
          label: 'its limit',
          data: [
            { x: 0, y: limitC },
            { x: SHOWN_S, y: limitC },
          ],
          borderColor: colours.madder,
          borderWidth: 2,
          borderDash: [2, 3],
          pointRadius: 0,
        },
        // a box from the ready sign to the latest pull, behind the lines
        ...(pullFromS !== null
          ? [
              {
                label: 'ready to pull',
                data: [pullFromS, pullToS].map((s) => ({ x: Math.min(SHOWN_S, s), y: SHOWN_C.most })),
                borderWidth: 0,
                borderColor: colours.verdigrisTint,
                backgroundColor: `${colours.verdigris}24`,
                fill: 'start',
                pointRadius: 0,
                order: 1,
              },
            ]
          : []),
      ],
    };
  }, [reading, limitC, pullFromS, pullToS, colours]);
  const options = useMemo(
    (): ChartOptions<'line'> => ({
      animation: false,
      maintainAspectRatio: false,
      events: [],
      plugins: { legend: { display: false } },
      scales: {
        x: {
          type: 'linear',
          min: 0,
          max: SHOWN_S,
          ticks: { color: colours.secondInk, stepSize: 15, font: { size: 13 }, callback: (v) => `${v} s` },
          grid: { color: colours.hairline },
        },
        y: {
          min: SHOWN_C.least,
          max: SHOWN_C.most,
          ticks: { color: colours.secondInk, stepSize: 6, font: { size: 13 }, callback: (v) => deg(Number(v)) },
          grid: { color: colours.hairline },
        },
      },
    }),
    [colours],
  );
  return (
    <>
      <div className={styles.canvas}>
        <Line
          data={data}
          options={options}
          role="img"
          aria-label={`What the skin feels: up to about ${degrees(reading.feltPeakC)}; this skin’s limit is about ${degrees(limitC)}. Estimate.`}
        />
      </div>
      <ul className={styles.key} aria-hidden="true">
        {KEY.map(([colour, line, words]) => (
          <li key={words}>
            <i style={{ borderTop: `3px ${line} ${colours[colour]}` }} />
            {words}
          </li>
        ))}
        {pullFromS === null ? null : (
          <li>
            <i className={styles.band} />
            ready to pull
          </li>
        )}
      </ul>
    </>
  );
});
