// A chart out of a file: our own SVG (its data stands in <metadata>), the same data alone, or a visit case. The other
// side's chart is mirrored, another size of sheet is fitted. Documented in docs/formats.md.

import Joi from 'joi';
import { sheetFor, ZONES, type Side, type ZoneId } from '../core/anatomy';
import {
  fitChart,
  mirrorDensity,
  mirrorMarks,
  mirrorStrokes,
  type DensityPlace,
  type Mark,
  type Stroke,
} from '../core/field';
import { fitLine, mirrorLine, type DrawnKeep } from '../core/outcomes';
import type { HairCase, VisitCase, ZoneCase } from '../core/plan';
import { drawnKeepSchema, parseVisitCase, parseWith, zoneCaseSchema, type SchemaFault } from './visitCaseSchema';

const chartFileSchema = Joi.object({
  strickle: Joi.valid('chart').required(),
  version: Joi.valid(1).required(),
  zone: zoneCaseSchema.required(),
  drawn: drawnKeepSchema,
}).required();

export interface ChartTarget {
  readonly zone: ZoneId;
  readonly side: Side;
  /** Size of the sheet that the chart is for, cm. */
  readonly sheetCm: readonly [number, number];
}

export interface ReadChart {
  readonly strokes: readonly Stroke[];
  readonly marks: readonly Mark[];
  readonly densities?: readonly DensityPlace[] | undefined;
  readonly hair: HairCase;
  /** What stays, as it was drawn. */
  readonly keep?: DrawnKeep | undefined;
  /** True where it was the other side's. */
  readonly mirrored: boolean;
}

export type ChartFileResult =
  { readonly ok: true; readonly value: ReadChart } | { readonly ok: false; readonly faults: readonly SchemaFault[] };

const refuse = (message: string): ChartFileResult => ({ ok: false, faults: [{ path: 'text', message }] });
const unescaped = (text: string): string =>
  text.replaceAll('&lt;', '<').replaceAll('&gt;', '>').replaceAll('&quot;', '"').replaceAll('&amp;', '&');

function dataOf(text: string): { readonly json: string } | { readonly fault: string } {
  if (!text.trimStart().startsWith('<')) return { json: text };
  // by places, not by a pattern: time grows with the length of the file only
  const tag = text.indexOf('<metadata');
  const from = tag < 0 ? -1 : text.indexOf('>', tag);
  const to = from < 0 ? -1 : text.indexOf('</metadata>', from);
  return to < 0
    ? { fault: 'This drawing carries no chart: only drawings saved here can be read back.' }
    : { json: unescaped(text.slice(from + 1, to)) };
}

function zonesOf(data: unknown):
  | {
      readonly visit: Pick<VisitCase, 'client'> | null;
      readonly zones: readonly ZoneCase[];
      readonly drawn?: DrawnKeep | undefined;
    }
  | { readonly faults: readonly SchemaFault[] } {
  if (typeof data === 'object' && data !== null && 'strickle' in data) {
    const chart = parseWith<{ zone: ZoneCase; drawn?: DrawnKeep }>(chartFileSchema, data);
    return chart.ok ? { visit: null, zones: [chart.value.zone], drawn: chart.value.drawn } : chart;
  }
  const visit = parseVisitCase(data);
  return visit.ok ? { visit: visit.value, zones: visit.value.zones } : visit;
}

function drawnFor(drawn: DrawnKeep, mirrored: boolean, from: readonly [number, number], to: readonly [number, number]) {
  const { lines, ...rest } = drawn;
  return lines ? { ...rest, lines: lines.map((l) => fitLine(mirrored ? mirrorLine(l, from[0]) : l, from, to)) } : drawn;
}

/** Reads a chart for a zone. Every fault is named; nothing is taken from a file that has one. */
export function readChartFile(text: string, target: ChartTarget): ChartFileResult {
  const found = dataOf(text);
  if ('fault' in found) return refuse(found.fault);
  let data: unknown;
  try {
    data = JSON.parse(found.json);
  } catch {
    return refuse('This is neither a drawing saved here nor JSON.');
  }
  const read = zonesOf(data);
  if ('faults' in read) return { ok: false, faults: read.faults };
  const own = read.zones.find((z) => z.zone === target.zone && z.side === target.side);
  const other = read.zones.find((z) => z.zone === target.zone);
  const source = own ?? other;
  if (!source) {
    return refuse(
      `It holds ${read.zones.map((z) => ZONES[z.zone].name.toLowerCase()).join(', ')}, not ${ZONES[target.zone].name.toLowerCase()}.`,
    );
  }
  const sheet = sheetFor(ZONES[source.zone], source.side, read.visit?.client ?? {}, source.sheetCm);
  if (!sheet.ok) return refuse(sheet.error.message);
  const size = [sheet.value.widthCm, sheet.value.heightCm] as const;
  const { strokes = [], marks = [], densities = [] } = source;
  const off = [...strokes, ...marks, ...densities]
    .map(({ at }) => at)
    .some(([x, y]) => x < 0 || y < 0 || x > size[0] + 1e-6 || y > size[1] + 1e-6);
  if (off) return refuse('Something on it lies beside its own sheet.');
  if (strokes.some((s) => Math.hypot(s.towards[0], s.towards[1]) < 1e-9)) {
    return refuse('A stroke on it has no direction.');
  }
  const turned = own
    ? { strokes, marks, densities }
    : {
        strokes: mirrorStrokes(strokes, size[0]),
        marks: mirrorMarks(marks, size[0]),
        densities: mirrorDensity(densities, size[0]),
      };
  return {
    ok: true,
    value: {
      ...fitChart(turned, size, target.sheetCm),
      ...(read.drawn ? { keep: drawnFor(read.drawn, own === undefined, size, target.sheetCm) } : {}),
      hair: source.hair,
      mirrored: own === undefined,
    },
  };
}
