// Strips by hand, laid out beside the page: tabs, order and the rules they break, anew after every edit. Field and hair
// are kept from one question to the next, since only the strips change.

import { sheetFor, ZONES, type Sheet, type Side, type ZoneId } from '../core/anatomy';
import {
  densityAt,
  exclusionOf,
  growthField,
  type DensityPlace,
  type GrowthField,
  type Mark,
  type Stroke,
} from '../core/field';
import type { Family } from '../core/anatomy';
import type { Way } from '../core/products';
import { isInside, type Ring, type Vec } from '../core/shared';
import {
  largestStrip,
  layOutZone,
  stripFaults,
  fadeOf,
  type HandLevel,
  type HandStrip,
  type StripFault,
  type TabOn,
} from '../core/strips';

export interface GroundOfStrips {
  readonly zone: ZoneId;
  readonly side: Side;
  readonly sheetCm: readonly [number, number];
  readonly strokes: readonly Stroke[];
  readonly marks: readonly Mark[];
  readonly densities: readonly DensityPlace[];
  /** Of the zone where no place says otherwise, 1–5. */
  readonly density: number;
  readonly family: Family;
  readonly way: Way;
  readonly level: HandLevel;
  readonly fade: boolean;
  /** Hair that stays. */
  readonly keep: readonly Ring[];
  readonly smallStrips: boolean;
}

export interface StripsQuestion {
  readonly ground: GroundOfStrips;
  readonly strips: readonly HandStrip[];
}

export interface LaidStrip {
  readonly id: string;
  readonly order: number;
  /** Index of the hand's strip it comes from. */
  readonly from: number;
  readonly outline: Ring;
  readonly lay: Vec;
  readonly pull: Vec;
  readonly tab: Vec;
  readonly tabOn: TabOn;
  readonly lengthCm: number;
  readonly widthCm: number;
}

export interface StripsAnswer {
  readonly strips: readonly LaidStrip[];
  readonly faults: readonly StripFault[];
  readonly coveredShare: number;
  readonly meanOffDeg: number;
  /** Time it took, ms. */
  readonly tookMs: number;
}

interface Ground extends Sheet {
  readonly field: GrowthField;
}

let known: { readonly key: string; readonly ground: Ground } | null = null;

function groundOf(g: GroundOfStrips): Ground | null {
  const key = JSON.stringify([g.zone, g.side, g.sheetCm, g.strokes]);
  if (known?.key === key) return known.ground;
  const sheet = sheetFor(ZONES[g.zone], g.side, {}, g.sheetCm);
  if (!sheet.ok) return null;
  const ground = { ...sheet.value, field: growthField(ZONES[g.zone], g.side, sheet.value, g.strokes) };
  known = { key, ground };
  return ground;
}

const middleOf = (ring: Ring): Vec => [
  ring.reduce((s, p) => s + p[0], 0) / ring.length,
  ring.reduce((s, p) => s + p[1], 0) / ring.length,
];

function sourceOf(outline: Ring, strips: readonly HandStrip[]): number {
  const spots: readonly Vec[] = [
    middleOf(outline),
    ...outline.map((p, i): Vec => {
      const q = middleOf([p, outline[(i + 1) % outline.length] ?? p, middleOf(outline)]);
      return q;
    }),
  ];
  return spots.reduce((found, spot) => (found >= 0 ? found : strips.findIndex((s) => isInside([s.outline], spot))), -1);
}

self.onmessage = ({
  data: { id, question },
}: MessageEvent<{ readonly id: number; readonly question: StripsQuestion }>): void => {
  const from = performance.now();
  const { ground: g, strips } = question;
  const ground = groundOf(g);
  if (!ground) {
    self.postMessage({ id, answer: null });
    return;
  }
  const input = {
    way: g.way,
    largestCm: largestStrip(ZONES[g.zone], g.family, g.level, g.smallStrips),
    byHand: strips,
    keep: g.keep,
    fade: g.fade ? fadeOf(g.zone, g.side, ground) : undefined,
    ...(g.densities.length > 0 ? { densityAt: (at: Vec) => densityAt(g.densities, g.density, at) } : {}),
  };
  const layout = layOutZone(ground.outline, ground.field, g.marks.map(exclusionOf), input, 'H');
  const answer: StripsAnswer = {
    strips: layout.strips.map((s) => ({
      id: s.id,
      order: s.order,
      from: sourceOf(s.outline, strips),
      outline: s.outline,
      lay: s.lay,
      pull: s.pull,
      tab: s.tab,
      tabOn: s.tabOn,
      lengthCm: s.lengthCm,
      widthCm: s.widthCm,
    })),
    faults: stripFaults(layout, ground.field, input),
    coveredShare: layout.cover.coveredShare,
    meanOffDeg: layout.cover.meanAngleErrorDeg,
    tookMs: performance.now() - from,
  };
  self.postMessage({ id, answer });
};
