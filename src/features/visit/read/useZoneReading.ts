'use client';

import { useMemo } from 'react';
import { sheetFor, ZONES, zoneKey } from '@/core/anatomy';
import { growthAt, growthField } from '@/core/field';
import { standing, type StripMark } from '@/core/hands';
import { planAtTable, type PlanStrip, type PlanZone } from '@/core/plan';
import {
  brokenPctOf,
  combFromLeft,
  isSaid,
  joinCm,
  leftKindOf,
  leftPatches,
  leftWord,
  marksRead,
  READ_FIELDS,
  removedPctOf,
  type LeftHair,
  type LeftPatch,
  type ReadField,
  type StripPicture,
} from '@/core/reading';
import { boxOf } from '@/core/shared';
import type { Reading } from '@/server/db/schema';
import type { BenchZone } from '@/server/services/bench';
import { useBench } from '../BenchContext.client';

/** Nothing is said yet; what stands here is no answer. */
const NOTHING_SAID: Reading = {
  v: 1,
  removedPct: 100,
  brokenPct: 0,
  left: 'none',
  leftKind: 'none',
  bleeding: 'none',
  skin: 'calm',
  tweezed: 0,
  heatFelt: 'right',
  note: '',
  said: [],
};

export interface ZoneReading {
  readonly reading: Reading;
  readonly isStored: boolean;
  /** As it was worked: with the strips of rounds that were added. */
  readonly zone: PlanZone;
  /** Strips that are off, in the order of their numbers; what was gone over again is read by its later strips. */
  readonly off: readonly PlanStrip[];
  /** Marks of the table, by strip. */
  readonly table: ReadonlyMap<string, StripMark>;
  /** The same with what was read since. */
  readonly marks: ReadonlyMap<string, StripMark>;
  readonly hairs: readonly LeftHair[];
  readonly patches: readonly LeftPatch[];
  readonly reachCm: number;
  readonly comb: ReturnType<typeof combFromLeft>;
  readonly said: (field: ReadField) => boolean;
  readonly save: (more: Partial<Reading>) => void;
  /** An answer: it is kept that it was given. */
  readonly say: (field: ReadField, more: Partial<Reading>) => void;
  /** Null takes the answer back. */
  readonly like: (strip: PlanStrip, like: StripPicture | null) => void;
  readonly leave: (hairs: readonly LeftHair[]) => void;
  /** The hair that a round goes over now is looked at again afterwards. */
  readonly unsay: (hairs: readonly LeftHair[]) => void;
}

/** What was said of one zone's strips and skin, and what follows from it. */
export function useZoneReading(benchZone: BenchZone, planned: PlanZone): ZoneReading {
  const { bench, saveReading } = useBench();
  const zone = planAtTable(bench.plan, bench.journal).zones.find((z) => zoneKey(z) === zoneKey(planned)) ?? planned;
  const stored = bench.readings.find((r) => zoneKey(r) === zoneKey(planned))?.data;
  const reading = stored ?? NOTHING_SAID;
  const hairs = useMemo(() => reading.hairs ?? [], [reading.hairs]);
  const reachCm = joinCm(planned.sheetCm);
  const patches = useMemo(() => leftPatches(hairs, reachCm), [hairs, reachCm]);
  const { table, pulled } = useMemo(() => {
    const counted = standing(bench.journal);
    return {
      table: new Map(
        counted.flatMap((e) => (e.kind === 'mark' && e.strip && e.mark ? [[e.strip, e.mark] as const] : [])),
      ),
      pulled: new Set(counted.flatMap((e) => (e.kind === 'pulled' && e.strip ? [e.strip] : []))),
    };
  }, [bench.journal]);
  const off = useMemo(() => {
    const over = new Set(zone.strips.filter((s) => pulled.has(s.id)).flatMap((s) => s.over ?? []));
    return zone.strips.filter((s) => pulled.has(s.id) && !over.has(s.id)).sort((a, b) => a.number - b.number);
  }, [zone, pulled]);
  const { strokes } = benchZone.data;
  const { zone: id, side, sheetCm } = planned;
  const field = useMemo(() => {
    const sheet = sheetFor(ZONES[id], side, {}, sheetCm);
    return sheet.ok ? growthField(ZONES[id], side, sheet.value, strokes) : null;
  }, [id, side, sheetCm, strokes]);
  const comb = useMemo(
    () => combFromLeft(patches, hairs, (at) => (field ? growthAt(field, at) : null)),
    [patches, hairs, field],
  );
  const likes = useMemo(() => reading.likes ?? [], [reading.likes]);
  const marks = useMemo(() => marksRead(table, likes), [table, likes]);
  const save = (more: Partial<Reading>): void => saveReading(planned, { ...reading, ...more });
  const withSaid = (fields: readonly ReadField[]): Partial<Reading> =>
    reading.said ? { said: [...new Set([...reading.said, ...fields])] } : {};
  const without = (field: ReadField): Partial<Reading> => ({
    said: (reading.said ?? READ_FIELDS).filter((f) => f !== field),
  });
  return {
    reading,
    isStored: stored !== undefined,
    zone,
    off,
    table,
    marks,
    hairs,
    patches,
    reachCm,
    comb,
    said: (field) => stored !== undefined && isSaid(reading, field),
    save,
    say: (field, more) => save({ ...more, ...withSaid([field]) }),
    like: (strip, like) => {
      const others = likes.filter((l) => l.strip !== strip.id);
      const next = like === null ? others : [...others, { strip: strip.id, like }];
      const kept = (reading.bare ?? []).filter((b) => !isOf(strip, b.at));
      const bare = like === 'bare' ? [...kept, placeOf(strip)] : kept;
      // all looked at: then what broke is known of the whole zone
      const all = off.every((s) => next.some((l) => l.strip === s.id));
      const broken = all ? withSaid(['broken']) : without('broken');
      save({ likes: next, bare, brokenPct: brokenPctOf(next), ...broken });
    },
    leave: (now) => {
      const found = leftPatches(now, reachCm);
      save({
        hairs: now,
        left: leftWord(found),
        leftKind: leftKindOf(found),
        removedPct: removedPctOf(now.length, zone.hairs),
        removedSaid: true,
        ...withSaid(['left']),
      });
    },
    unsay: (now) => save({ hairs: now, removedSaid: undefined, ...without('left') }),
  };
}

const round2 = (x: number): number => Math.round(100 * x) / 100;

/** The middle of a strip and about how far it reaches. */
function placeOf(strip: PlanStrip): { readonly at: readonly [number, number]; readonly radiusCm: number } {
  const { x0, x1, y0, y1 } = boxOf([strip.outline]);
  return { at: [round2((x0 + x1) / 2), round2((y0 + y1) / 2)], radiusCm: round2(Math.min(x1 - x0, y1 - y0) / 2) };
}
const isOf = (strip: PlanStrip, at: readonly [number, number]): boolean => placeOf(strip).at.join() === at.join();
