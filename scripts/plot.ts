// Small plots for the docs, as SVG: lines, dots and rings over linear or logarithmic axes.

import { mkdirSync, writeFileSync } from 'node:fs';

export interface Series {
  readonly name: string;
  readonly points: readonly (readonly [number, number])[];
  readonly mark: 'line' | 'dots' | 'rings';
  readonly colour: string;
}
export interface Axis {
  readonly label: string;
  readonly ticks: readonly number[];
  readonly log?: boolean;
}

const [W, H, LEFT, TOP, RIGHT, BOTTOM] = [640, 380, 70, 40, 20, 60];

/** A small plot as SVG. */
export function plot(title: string, x: Axis, y: Axis, series: readonly Series[]): string {
  const scale = (axis: Axis, from: number, to: number) => {
    const f = (v: number): number => (axis.log ? Math.log10(v) : v);
    const [a, b] = [f(axis.ticks[0] ?? 0), f(axis.ticks.at(-1) ?? 1)];
    return (v: number): number => from + ((f(v) - a) / (b - a)) * (to - from);
  };
  const [px, py] = [scale(x, LEFT, W - RIGHT), scale(y, H - BOTTOM, TOP)];
  const at = ([a, b]: readonly [number, number]): string => `${px(a).toFixed(1)},${py(b).toFixed(1)}`;
  const drawn = series.map((s) =>
    s.mark === 'line'
      ? `<polyline points="${s.points.map(at).join(' ')}" fill="none" stroke="${s.colour}" stroke-width="2"/>`
      : s.points
          .map(
            ([a, b]) =>
              `<circle cx="${px(a).toFixed(1)}" cy="${py(b).toFixed(1)}" r="4" fill="${s.mark === 'dots' ? s.colour : 'none'}" stroke="${s.colour}" stroke-width="2"/>`,
          )
          .join(''),
  );
  const keys = series.map(
    (s, i) =>
      `<g transform="translate(${LEFT + 10 + i * 190},${H - 10})">${s.mark === 'line' ? `<path d="M0 -4 H22" stroke="${s.colour}" stroke-width="2"/>` : `<circle cx="11" cy="-4" r="4" fill="${s.mark === 'dots' ? s.colour : 'none'}" stroke="${s.colour}" stroke-width="2"/>`}<text x="30">${s.name}</text></g>`,
  );
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${W} ${H}" width="${W}" height="${H}" font-family="sans-serif" font-size="13" fill="#2a211a"><rect width="${W}" height="${H}" fill="#fffdf8"/>
<text x="${LEFT}" y="22" font-size="15" font-weight="600">${title}</text>
${x.ticks.map((t) => `<path d="M${px(t).toFixed(1)} ${TOP} V${H - BOTTOM}" stroke="#e6dccb"/><text x="${px(t).toFixed(1)}" y="${H - BOTTOM + 16}" text-anchor="middle">${t}</text>`).join('')}
${y.ticks.map((t) => `<path d="M${LEFT} ${py(t).toFixed(1)} H${W - RIGHT}" stroke="#e6dccb"/><text x="${LEFT - 6}" y="${(py(t) + 4).toFixed(1)}" text-anchor="end">${t}</text>`).join('')}
<text x="${(W + LEFT - RIGHT) / 2}" y="${H - BOTTOM + 34}" text-anchor="middle">${x.label}</text><text transform="translate(16,${(H - BOTTOM + TOP) / 2}) rotate(-90)" text-anchor="middle">${y.label}</text>
${drawn.join('\n')}
${keys.join('')}</svg>
`;
}

export function writePlot(name: string, svg: string): void {
  mkdirSync('docs/plots', { recursive: true });
  writeFileSync(`docs/plots/${name}.svg`, svg);
  console.log(`docs/plots/${name}.svg`);
}
