// A chart as an SVG file: outline, growth as short hairs on a grid, marks with their clearance. In centimetres; it
// names the zone, never the client.

import { growthAt, growthField, exclusionOf, type DensityPlace, type Mark, type Stroke } from '@/core/field';
import type { Sheet, Side, Zone } from '@/core/anatomy';
import type { DrawnKeep } from '@/core/outcomes';
import type { HairCase } from '@/core/plan';
import { isInside, type Ring, type Vec } from '@/core/shared';

const STEP_CM = 0.5;
const HAIR_CM = 0.38;
const MARGIN_CM = 0.6;

const n = (x: number): string => String(Math.round(x * 1000) / 1000);

export interface ChartToDraw {
  readonly zone: Zone;
  readonly side: Side;
  readonly sheet: Sheet;
  readonly strokes: readonly Stroke[];
  readonly marks: readonly Mark[];
  readonly densities: readonly DensityPlace[];
  /** Outlines of the hair that stays; empty where all comes off. */
  readonly keep?: readonly Ring[] | undefined;
  /** As it was drawn, for reading it back. */
  readonly drawn?: DrawnKeep | undefined;
  readonly hair: HairCase;
}

const escaped = (text: string): string => text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;');

/** The chart itself, for reading it back: formats/chartFile.ts. */
function dataOf({ zone, side, sheet, strokes, marks, hair, densities, drawn }: ChartToDraw): string {
  const plain = marks.map(({ kind, at, radiusMm, note, since }) => ({
    kind,
    at,
    radiusMm,
    ...(note ? { note } : {}),
    ...(since ? { since } : {}),
  }));
  return escaped(
    JSON.stringify({
      strickle: 'chart',
      version: 1,
      ...(drawn ? { drawn } : {}),
      zone: {
        zone: zone.id,
        side,
        sheetCm: [sheet.widthCm, sheet.heightCm],
        hair,
        strokes,
        marks: plain,
        ...(densities.length > 0 ? { densities } : {}),
      },
    }),
  );
}

/** The drawing; growth that lies within a mark's clearance is left out. */
export function chartSvg(chart: ChartToDraw): string {
  const { zone, side, sheet, strokes, marks } = chart;
  const { widthCm, heightCm, outline } = sheet;
  const field = growthField(zone, side, sheet, strokes);
  const cleared = marks.map(exclusionOf);
  const hairs: string[] = [];
  for (let y = STEP_CM / 2; y < heightCm; y += STEP_CM) {
    for (let x = STEP_CM / 2; x < widthCm; x += STEP_CM) {
      const at: Vec = [x, y];
      if (!isInside([outline], at) || cleared.some((c) => Math.hypot(c.at[0] - x, c.at[1] - y) * 10 < c.clearanceMm)) {
        continue;
      }
      const [dx, dy] = growthAt(field, at);
      hairs.push(`<path d="M${n(x)} ${n(y)}l${n(dx * HAIR_CM)} ${n(dy * HAIR_CM)}"/>`);
    }
  }
  const title = `${zone.name}${side === 'middle' ? '' : `, ${side}`}`;
  const [w, h] = [widthCm + 2 * MARGIN_CM, heightCm + 2 * MARGIN_CM];
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" width="${n(w)}cm" height="${n(h)}cm" viewBox="${n(-MARGIN_CM)} ${n(-MARGIN_CM)} ${n(w)} ${n(h)}"><title>${title}, ${n(widthCm)} by ${n(heightCm)} cm, tips point away from the dots</title><metadata>${dataOf(chart)}</metadata>` +
    `<path d="M${outline.map(([x, y]) => `${n(x)} ${n(y)}`).join('L')}Z" fill="#FFFDF8" stroke="#B86A12" stroke-width="0.05"/>` +
    (chart.keep ?? [])
      .map(
        (r) =>
          `<path d="M${r.map(([x, y]) => `${n(x)} ${n(y)}`).join('L')}Z" fill="none" stroke="#256B63" stroke-width="0.05"><title>what stays</title></path>`,
      )
      .join('') +
    `<g stroke="#2A211A" stroke-width="0.03" stroke-linecap="round">${hairs.join('')}</g>` +
    marks
      .map(
        (m, i) =>
          `<g fill="none" stroke="#9E2F2A" stroke-width="0.03"><circle cx="${n(m.at[0])}" cy="${n(m.at[1])}" r="${n(m.radiusMm / 10)}" fill="#9E2F2A"><title>${m.kind}</title></circle><circle cx="${n(m.at[0])}" cy="${n(m.at[1])}" r="${n((cleared[i]?.clearanceMm ?? 0) / 10)}" stroke-dasharray="0.12 0.1"/></g>`,
      )
      .join('') +
    '</svg>'
  );
}
