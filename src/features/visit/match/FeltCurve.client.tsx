'use client';

import { Chart, Filler, Legend, LinearScale, LineElement, PointElement, type ChartOptions } from 'chart.js';
import { useMemo } from 'react';
import { Line } from 'react-chartjs-2';
import type { HeatReading } from '@/core/heat';

if (typeof document !== 'undefined') Chart.defaults.font.family = getComputedStyle(document.body).fontFamily;
Chart.register(LinearScale, LineElement, PointElement, Filler, Legend);

const SHOWN_S = 90;
const SHOWN_C = { least: 30, most: 66 } as const;

interface Props {
  readonly reading: HeatReading;
  readonly limitC: number;
  /** Between these seconds a strip may be pulled; null for what comes off at once. */
  readonly pull: { readonly fromS: number; readonly toS: number } | null;
}

/** What the skin feels at nerve depth under the slab, with the wax's own mean, this client's limit, and the seconds for the pull. */
export function FeltCurve({ reading, limitC, pull }: Props) {
  const data = useMemo(() => {
    const points = (pick: (p: HeatReading['curve'][number]) => number) => reading.curve.filter((p) => p.timeS <= SHOWN_S).map((p) => ({ x: p.timeS, y: pick(p) }));
    return {
      datasets: [
        { label: 'skin feels', pointStyle: 'line' as const, data: points((p) => p.nerveC), borderColor: '#256b63', borderWidth: 3, pointRadius: 0, tension: 0.2 },
        { label: 'wax, mean', pointStyle: 'line' as const, data: points((p) => p.slabC), borderColor: '#b86a12', borderWidth: 2, borderDash: [6, 4], pointRadius: 0, tension: 0.2 },
        { label: 'its limit', pointStyle: 'line' as const, data: [{ x: 0, y: limitC }, { x: SHOWN_S, y: limitC }], borderColor: '#9e2f2a', borderWidth: 2, borderDash: [2, 3], pointRadius: 0 },
        // a box from the ready sign to the latest pull, behind the lines
        ...(pull ? [{ label: 'ready to pull', pointStyle: 'rect' as const, data: [pull.fromS, pull.toS].map((s) => ({ x: Math.min(SHOWN_S, s), y: SHOWN_C.most })), borderWidth: 0, borderColor: '#cfe2dc', backgroundColor: 'rgba(37, 107, 99, 0.14)', fill: 'start', pointRadius: 0, order: 1 }] : []),
      ],
    };
  }, [reading, limitC, pull]);
  const options = useMemo((): ChartOptions<'line'> => ({
    animation: false, maintainAspectRatio: false, events: [],
    plugins: { legend: { position: 'bottom', labels: { color: '#2a211a', font: { size: 14 }, usePointStyle: true, pointStyleWidth: 26, boxHeight: 9 } } },
    scales: {
      x: { type: 'linear', min: 0, max: SHOWN_S, ticks: { color: '#6b5d50', stepSize: 15, font: { size: 13 }, callback: (v) => `${v} s` }, grid: { color: '#e9e0d0' } },
      y: { min: SHOWN_C.least, max: SHOWN_C.most, ticks: { color: '#6b5d50', stepSize: 6, font: { size: 13 }, callback: (v) => `${v}°` }, grid: { color: '#e9e0d0' } },
    },
  }), []);
  return <Line data={data} options={options} role="img" aria-label={`What the skin feels: up to about ${Math.round(reading.feltPeakC)} degrees; this skin’s limit is about ${Math.round(limitC)}. Estimate.`} />;
}
