'use client';

import {
  CategoryScale,
  Chart,
  Legend,
  LinearScale,
  LineElement,
  PointElement,
  Tooltip,
  type ChartOptions,
  type Plugin,
} from 'chart.js';
import { useMemo } from 'react';
import { Line } from 'react-chartjs-2';
import { addDays } from '@/core/shared';
import { usePageColours, type PageColours } from '@/ui/usePageColours';
import { dayMonth } from '@/ui/words';
import type { FamilyLine } from './regrowthLines';

if (typeof document !== 'undefined') Chart.defaults.font.family = getComputedStyle(document.body).fontFamily;
Chart.register(CategoryScale, LinearScale, LineElement, PointElement, Legend, Tooltip);

const INKS = { hard: 'wax', soft: 'secondInk', sugar: 'verdigris' } as const satisfies Record<
  string,
  keyof PageColours
>;
const DASHES: Readonly<Record<string, number[]>> = { hard: [], soft: [7, 4], sugar: [2, 3] };
const WORDS: Readonly<Record<string, string>> = { hard: 'hard wax', soft: 'soft wax', sugar: 'sugar' };

interface Props {
  readonly lines: readonly FamilyLine[];
  readonly on: string;
  readonly window: { readonly from: number; readonly to: number } | null;
  readonly chosenDay: number | null;
}

/** Share of the visible hair that each family can hold, over ten weeks; the window and the chosen day behind it. */
export function RegrowthChart({ lines, on, window, chosenDay }: Props) {
  const colours = usePageColours();
  const data = useMemo(
    () => ({
      labels: Array.from({ length: 71 }, (_, day) => day),
      datasets: lines.map((l) => ({
        label: `${WORDS[l.family] ?? l.family}, from ${Math.round(l.shortestMm * 10) / 10} mm`,
        data: l.days.map((d) => (d.visible < 0.02 ? 0 : Math.round(100 * d.workableOfVisible))),
        borderColor: colours[INKS[l.family]],
        borderDash: DASHES[l.family] ?? [],
        borderWidth: 2.5,
        pointRadius: 0,
        pointHitRadius: 12,
        tension: 0.25,
      })),
    }),
    [lines, colours],
  );
  const band = useMemo(
    (): Plugin<'line'> => ({
      id: 'window',
      beforeDatasetsDraw: (chart) => {
        const { ctx, chartArea: a, scales } = chart;
        const x = scales['x'];
        if (!x) return;
        ctx.save();
        if (window) {
          ctx.fillStyle = `${colours.verdigris}22`;
          ctx.fillRect(
            x.getPixelForValue(window.from),
            a.top,
            x.getPixelForValue(window.to) - x.getPixelForValue(window.from),
            a.bottom - a.top,
          );
        }
        if (chosenDay !== null) {
          ctx.strokeStyle = colours.waxDark;
          ctx.lineWidth = 3;
          ctx.beginPath();
          ctx.moveTo(x.getPixelForValue(chosenDay), a.top);
          ctx.lineTo(x.getPixelForValue(chosenDay), a.bottom);
          ctx.stroke();
        }
        ctx.restore();
      },
    }),
    [window, chosenDay, colours],
  );
  const options = useMemo(
    (): ChartOptions<'line'> => ({
      animation: false,
      maintainAspectRatio: false,
      interaction: { mode: 'index', intersect: false },
      plugins: {
        legend: {
          position: 'bottom',
          labels: { color: colours.walnut, font: { size: 14 }, boxWidth: 34, boxHeight: 0 },
        },
        tooltip: {
          callbacks: {
            title: ([item]) => (item ? `day ${item.label}, ${dayMonth(addDays(on, Number(item.label)))}` : ''),
            label: (item) => `${item.dataset.label ?? ''}: ${item.formattedValue} %`,
          },
        },
      },
      scales: {
        x: {
          ticks: {
            color: colours.secondInk,
            maxRotation: 0,
            autoSkip: false,
            font: { size: 13 },
            callback: (_, day) => (day % 14 === 0 ? dayMonth(addDays(on, day)) : ''),
          },
          grid: { color: (c) => (c.index % 7 === 0 ? colours.hairline : 'transparent') },
        },
        y: {
          min: 0,
          max: 100,
          ticks: { color: colours.secondInk, stepSize: 25, font: { size: 13 }, callback: (v) => `${v} %` },
          grid: { color: colours.hairline },
        },
      },
    }),
    [on, colours],
  );
  // a chart keeps the plugin it was made with: another window or day makes another chart
  return (
    <Line
      key={`${window?.from ?? ''}–${window?.to ?? ''} ${chosenDay ?? ''} ${colours.sheet}`}
      data={data}
      options={options}
      plugins={[band]}
      aria-label="Share of the visible hair long enough, over ten weeks"
      role="img"
    />
  );
}
