// Plots for docs/heat.md: the heat engine against what is known exactly or was measured. `node --import tsx scripts/heatPlots.ts`

import { mkdirSync, writeFileSync } from 'node:fs';
import { errorFunction as erf } from 'simple-statistics';
import { BURN_PAIRS, CONTACT_PAIRS, secondsToBurn, stefanFront, twoHalfSpaces } from '../src/core/heat/reference';

interface Series {
  readonly name: string;
  readonly points: readonly (readonly [number, number])[];
  readonly mark: 'line' | 'dots' | 'rings';
  readonly colour: string;
}
interface Axis {
  readonly label: string;
  readonly ticks: readonly number[];
  readonly log?: boolean;
}

const [W, H, LEFT, TOP, RIGHT, BOTTOM] = [640, 380, 70, 40, 20, 60];

function plot(title: string, x: Axis, y: Axis, series: readonly Series[]): string {
  const scale = (axis: Axis, from: number, to: number) => {
    const f = (v: number): number => (axis.log ? Math.log10(v) : v);
    const [a, b] = [f(axis.ticks[0] ?? 0), f(axis.ticks.at(-1) ?? 1)];
    return (v: number): number => from + ((f(v) - a) / (b - a)) * (to - from);
  };
  const [px, py] = [scale(x, LEFT, W - RIGHT), scale(y, H - BOTTOM, TOP)];
  const at = ([a, b]: readonly [number, number]): string => `${px(a).toFixed(1)},${py(b).toFixed(1)}`;
  const drawn = series.map((s) => (s.mark === 'line'
    ? `<polyline points="${s.points.map(at).join(' ')}" fill="none" stroke="${s.colour}" stroke-width="2"/>`
    : s.points.map(([a, b]) => `<circle cx="${px(a).toFixed(1)}" cy="${py(b).toFixed(1)}" r="4" fill="${s.mark === 'dots' ? s.colour : 'none'}" stroke="${s.colour}" stroke-width="2"/>`).join('')));
  const keys = series.map((s, i) => `<g transform="translate(${LEFT + 10 + i * 190},${H - 10})">${s.mark === 'line' ? `<path d="M0 -4 H22" stroke="${s.colour}" stroke-width="2"/>` : `<circle cx="11" cy="-4" r="4" fill="${s.mark === 'dots' ? s.colour : 'none'}" stroke="${s.colour}" stroke-width="2"/>`}<text x="30">${s.name}</text></g>`);
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${W} ${H}" width="${W}" height="${H}" font-family="sans-serif" font-size="13" fill="#2a211a"><rect width="${W}" height="${H}" fill="#fffdf8"/>
<text x="${LEFT}" y="22" font-size="15" font-weight="600">${title}</text>
${x.ticks.map((t) => `<path d="M${px(t).toFixed(1)} ${TOP} V${H - BOTTOM}" stroke="#e6dccb"/><text x="${px(t).toFixed(1)}" y="${H - BOTTOM + 16}" text-anchor="middle">${t}</text>`).join('')}
${y.ticks.map((t) => `<path d="M${LEFT} ${py(t).toFixed(1)} H${W - RIGHT}" stroke="#e6dccb"/><text x="${LEFT - 6}" y="${(py(t) + 4).toFixed(1)}" text-anchor="end">${t}</text>`).join('')}
<text x="${(W + LEFT - RIGHT) / 2}" y="${H - BOTTOM + 34}" text-anchor="middle">${x.label}</text><text transform="translate(16,${(H - BOTTOM + TOP) / 2}) rotate(-90)" text-anchor="middle">${y.label}</text>
${drawn.join('\n')}
${keys.join('')}</svg>
`;
}

mkdirSync('docs/plots', { recursive: true });
const write = (name: string, svg: string): void => { writeFileSync(`docs/plots/${name}.svg`, svg); console.log(`docs/plots/${name}.svg`); };

const depths = Array.from({ length: 31 }, (_, i) => i * 1e-4);
const spaces = [2, 10].map((t) => ({ t, rows: twoHalfSpaces(erf, t, depths) }));
write('half-spaces', plot('Wax at 60 °C on skin at 33 °C, both half-infinite', { label: 'depth below the contact, mm', ticks: [0, 0.5, 1, 1.5, 2, 2.5, 3] }, { label: '°C', ticks: [32, 34, 36, 38, 40, 42, 44] },
  spaces.flatMap(({ t, rows }, i): Series[] => [
    { name: `exact, ${t} s`, mark: 'line', colour: i === 0 ? '#94530b' : '#256b63', points: rows.map((r) => [r.at * 1000, r.exact]) },
    { name: i === 0 ? 'solver' : '', mark: 'rings', colour: i === 0 ? '#94530b' : '#256b63', points: rows.filter((_, k) => k % 3 === 0).map((r) => [r.at * 1000, r.solved]) },
  ]).sort((a, b) => (a.name === '' ? 1 : 0) - (b.name === '' ? 1 : 0))));
const front = stefanFront(erf);
write('stefan', plot('Setting front from a held wall', { label: 'time, s', ticks: [0, 10, 20, 30, 40] }, { label: 'front, mm', ticks: [0, 0.5, 1, 1.5, 2, 2.5, 3] }, [
  { name: 'Neumann’s solution', mark: 'line', colour: '#94530b', points: [[0, 0], ...front.map((r): [number, number] => [r.at, r.exact * 1000])] },
  { name: 'solver', mark: 'rings', colour: '#256b63', points: front.map((r) => [r.at, r.solved * 1000]) },
]));
const surfaces = Array.from({ length: 18 }, (_, i) => 43 + i);
write('burn', plot('Seconds to irreversible injury, surface held', { label: 'surface, °C', ticks: [42, 45, 48, 51, 54, 57, 60] }, { label: 's', ticks: [1, 10, 100, 1000, 10_000, 100_000], log: true }, [
  { name: 'model, Ω = 1', mark: 'line', colour: '#94530b', points: surfaces.map((c): [number, number] => [c, secondsToBurn(c)]).filter(([, s]) => Number.isFinite(s)) },
  { name: 'measured 1947', mark: 'dots', colour: '#9e2f2a', points: BURN_PAIRS },
  { name: 'contact thresholds', mark: 'rings', colour: '#256b63', points: CONTACT_PAIRS },
]));
