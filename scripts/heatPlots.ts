// Plots for docs/heat.md: the heat engine against what is known exactly or was measured. `node --import tsx
// scripts/heatPlots.ts`

import { errorFunction as erf } from 'simple-statistics';
import { BURN_PAIRS, CONTACT_PAIRS, secondsToBurn, stefanFront, twoHalfSpaces } from '../src/core/heat/reference';
import { plot, writePlot, type Series } from './plot';

const depths = Array.from({ length: 31 }, (_, i) => i * 1e-4);
const spaces = [2, 10].map((t) => ({ t, rows: twoHalfSpaces(erf, t, depths) }));
writePlot(
  'half-spaces',
  plot(
    'Wax at 60 °C on skin at 33 °C, both half-infinite',
    { label: 'depth below the contact, mm', ticks: [0, 0.5, 1, 1.5, 2, 2.5, 3] },
    { label: '°C', ticks: [32, 34, 36, 38, 40, 42, 44] },
    spaces
      .flatMap(({ t, rows }, i): Series[] => [
        {
          name: `exact, ${t} s`,
          mark: 'line',
          colour: i === 0 ? '#94530b' : '#256b63',
          points: rows.map((r) => [r.at * 1000, r.exact]),
        },
        {
          name: i === 0 ? 'solver' : '',
          mark: 'rings',
          colour: i === 0 ? '#94530b' : '#256b63',
          points: rows.filter((_, k) => k % 3 === 0).map((r) => [r.at * 1000, r.solved]),
        },
      ])
      .sort((a, b) => (a.name === '' ? 1 : 0) - (b.name === '' ? 1 : 0)),
  ),
);
const front = stefanFront(erf);
writePlot(
  'stefan',
  plot(
    'Setting front from a held wall',
    { label: 'time, s', ticks: [0, 10, 20, 30, 40] },
    { label: 'front, mm', ticks: [0, 0.5, 1, 1.5, 2, 2.5, 3] },
    [
      {
        name: 'Neumann’s solution',
        mark: 'line',
        colour: '#94530b',
        points: [[0, 0], ...front.map((r): [number, number] => [r.at, r.exact * 1000])],
      },
      { name: 'solver', mark: 'rings', colour: '#256b63', points: front.map((r) => [r.at, r.solved * 1000]) },
    ],
  ),
);
const surfaces = Array.from({ length: 18 }, (_, i) => 43 + i);
writePlot(
  'burn',
  plot(
    'Seconds to irreversible injury, surface held',
    { label: 'surface, °C', ticks: [42, 45, 48, 51, 54, 57, 60] },
    { label: 's', ticks: [1, 10, 100, 1000, 10_000, 100_000], log: true },
    [
      {
        name: 'model, Ω = 1',
        mark: 'line',
        colour: '#94530b',
        points: surfaces.map((c): [number, number] => [c, secondsToBurn(c)]).filter(([, s]) => Number.isFinite(s)),
      },
      { name: 'measured 1947', mark: 'dots', colour: '#9e2f2a', points: BURN_PAIRS },
      { name: 'contact thresholds', mark: 'rings', colour: '#256b63', points: CONTACT_PAIRS },
    ],
  ),
);
