// Layouts of a zone as the plan wants them: by hand where they were, else the better of both sides for both, remembered
// by all that they depend on.

import { sheetFor, type Family, type Side, type Zone } from '../anatomy';
import { densityAt, exclusionOf, growthField, mirrorDensity, mirrorMarks, mirrorStrokes } from '../field';
import { cutAs, type Way } from '../products';
import type { Ring, Vec } from '../shared';
import {
  betterLayout,
  fadeOf,
  largestStrip,
  layOutZone,
  mirrorLayout,
  zoneShapes,
  type HandLevel,
  type HandStrip,
  type Layout,
} from '../strips';
import type { PlanMemory } from './planMemory';
import type { ClientCase, ZoneCase } from './visitCase';

/** Strips are named by zone only afterwards: the other side shares the layout. */
export const ANY_PREFIX = '#';

export interface Laying {
  readonly input: ZoneCase;
  readonly zone: Zone;
  readonly client: ClientCase;
  readonly level: HandLevel;
  readonly smallStrips: boolean;
  readonly memory: PlanMemory;
  /** Hair that stays, on this side's sheet. */
  readonly keep: readonly Ring[];
  /** Its border is thinned out. */
  readonly fades: boolean;
}

export interface Wanted {
  /** Names family, manner, way and whether by hand. */
  readonly key: string;
  readonly family: Family;
  readonly way: Way;
  readonly byHand: readonly HandStrip[] | undefined;
}

/** What lies on a zone's sheet. */
interface OnSheet {
  readonly side: Side;
  readonly strokes: NonNullable<ZoneCase['strokes']>;
  readonly marks: NonNullable<ZoneCase['marks']>;
  readonly densities: NonNullable<ZoneCase['densities']>;
  readonly keep: readonly Ring[];
}

/** The same on the sheet of the other side. */
const mirrored = ({ side, strokes, marks, densities, keep }: OnSheet, widthCm: number): OnSheet => ({
  keep: keep.map((ring) => ring.map(([x, y]): Vec => [widthCm - x, y])),
  side: side === 'left' ? 'right' : 'left',
  strokes: mirrorStrokes(strokes, widthCm),
  marks: mirrorMarks(marks, widthCm),
  densities: mirrorDensity(densities, widthCm),
});

function laidOn(laying: Laying, on: OnSheet, wanted: Wanted): Layout {
  const { input, zone, client, level, smallStrips, fades, memory } = laying;
  const made = sheetFor(zone, on.side, client, input.sheetCm);
  // the sheet was made for this side already
  if (!made.ok) throw new Error(made.error.code);
  const sheet = made.value;
  const usual = input.hair.density;
  const { family, way, byHand } = wanted;
  return layOutZone(
    sheet.outline,
    memory.fields(JSON.stringify([zone.id, on.side, sheet.widthCm, sheet.heightCm, on.strokes]), () =>
      growthField(zone, on.side, sheet, on.strokes),
    ),
    on.marks.map(exclusionOf),
    {
      way,
      largestCm: largestStrip(zone, family, level, smallStrips),
      ...zoneShapes({
        zone: zone.id,
        side: on.side,
        family,
        sheet,
        fade: fades ? fadeOf(zone.id, on.side, sheet) : undefined,
      }),
      byHand,
      cutOnce: (cut) => memory.cuts(cutKey(laying, on, wanted), cut),
      ...(on.keep.length === 0 ? {} : { keep: on.keep }),
      // the zone's own density changes no layout where it is the same everywhere
      ...(on.densities.length === 0 ? {} : { densityAt: (at: Vec) => densityAt(on.densities, usual, at) }),
    },
    ANY_PREFIX,
  );
}

const mirrorHandStrip = ({ outline, turnDeg }: HandStrip, widthCm: number): HandStrip => ({
  outline: outline.map(([x, y]): Vec => [widthCm - x, y]),
  ...(turnDeg === undefined ? {} : { turnDeg: -turnDeg }),
});

/** All that decides where strips are cut: not how dense hair is, which only orders them. */
const cutKey = (
  { input, zone, client, level, smallStrips, fades }: Laying,
  on: OnSheet,
  { family, way }: Wanted,
): string =>
  JSON.stringify([
    ...[zone.id, on.side, on.strokes, on.marks, on.keep],
    ...[input.sheetCm ?? [client.statureCm, client.massKg], level, smallStrips, fades, family, cutAs(way)],
  ]);

/** Ids begin with `ANY_PREFIX`. */
export function layoutOf(laying: Laying, wanted: Wanted): Layout {
  const { input, zone, client, level, smallStrips, memory, keep, fades } = laying;
  const own: OnSheet = {
    side: input.side,
    strokes: input.strokes ?? [],
    // notes on a mark move no strip
    marks: (input.marks ?? []).map(({ kind, at, radiusMm }) => ({ kind, at, radiusMm })),
    densities: input.densities ?? [],
    keep,
  };
  const made = sheetFor(zone, input.side, client, input.sheetCm);
  if (!made.ok) throw new Error(made.error.code);
  const { widthCm, heightCm } = made.value;
  const kept = (on: OnSheet, how: string, make: () => Layout): Layout =>
    memory.layouts(
      JSON.stringify([
        how,
        wanted.key,
        zone.id,
        on,
        widthCm,
        heightCm,
        level,
        smallStrips,
        fades,
        wanted.byHand ?? null,
        on.densities.length === 0 ? null : input.hair.density,
      ]),
      make,
    );
  const other = mirrored(own, widthCm);
  if (wanted.byHand && input.side === 'right') {
    // looked at in the mirror, so that ties are broken as on the left
    const byHand = wanted.byHand.map((s): HandStrip => mirrorHandStrip(s, widthCm));
    return mirrorLayout(
      kept(other, 'one', () => laidOn(laying, other, { ...wanted, byHand })),
      widthCm,
    );
  }
  if (input.side === 'middle' || wanted.byHand) return kept(own, 'one', () => laidOn(laying, own, wanted));
  // mirrored twice, both sides of what was charted alike round to the same figures
  const left = input.side === 'left' ? mirrored(other, widthCm) : other;
  const both = kept(left, 'both', () =>
    betterLayout(laidOn(laying, left, wanted), () =>
      mirrorLayout(laidOn(laying, mirrored(left, widthCm), wanted), widthCm),
    ),
  );
  return input.side === 'left' ? both : mirrorLayout(both, widthCm);
}
