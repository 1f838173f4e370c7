// The table as it really goes: events from the hands are folded into a state, and the next act is planned from real lay
// ends. The act is fixed at the moment of the last event, so reading the same journal again gives the same act. A strip
// that comes near its latest pull goes before everything else; an overdue one costs, it does not make the plan
// impossible.

import { isSpread, liesOnSkin, liveStrips, nextAct, windowOf, type LiveStrip } from './liveStrips';
import { replan } from './replan';
import { emptyTable, OFF, SETTING, UNLAID, type TableState } from './state';
import { checkNow, finishLeft, prepareLeft } from './steps';
import { deeds, standing, type TableEvent } from './tableEvents';
import { isTurned } from './turning';
import type { HandsInput, Op } from './types';
import { isTestOld, testedBefore, wristStands, type TestAgain } from './wristTest';

export interface LiveGroup extends HandsInput {
  readonly product: string;
  /** It goes over skin that was waxed at this visit: cooler, and tested anew. */
  readonly later?: true;
  /** Counts up where the same pot is worked cooler than before; absent = 0. */
  readonly heatStage?: number;
  /** How the client lies for it; absent = as before. */
  readonly position?: string;
  /** Jobs in the order of laying, where it is one to remember. */
  readonly order?: readonly number[] | undefined;
  /** The plan's acts in order, as job indices: a job's first entry is its lay, its last its pull. */
  readonly sequence?: readonly number[];
  /** Steps before its first wax, in order. */
  readonly before?: readonly string[];
  /** Steps to be done once these jobs are off, before anything else is laid. */
  readonly checks?: readonly { readonly step: string; readonly jobs: readonly number[] }[];
  /** Steps when all of it is off; of the last round. */
  readonly after?: readonly string[];
  /** Those of them that stand once they are said; the rest is done again after a further round. */
  readonly once?: readonly string[];
}

export type Act =
  | {
      readonly kind: 'wrist';
      readonly product: string;
      /** A strip of what is worked next: its zone says the heat. */
      readonly firstStrip: string;
      /** Why it is tested again; null the first time. */
      readonly again: TestAgain | null;
    }
  | {
      readonly kind: 'step';
      readonly step: string;
      /** Those of the same stretch of preparation or finish that are still open, this one first. */
      readonly open: readonly string[];
      /** A strip of what is worked next, or was worked last. */
      readonly firstStrip: string;
    }
  | {
      readonly kind: 'turn';
      readonly position: string;
      /** A strip of what is worked next. */
      readonly firstStrip: string;
    }
  | {
      readonly kind: 'lay';
      readonly strip: string;
      readonly coat: 1 | 2;
      /** Of a strip that is spread and then covered: which of both; null where it is laid in one. */
      readonly part: 'spread' | 'cloth' | null;
      /** First the hands walk round; first the client takes another pose. */
      readonly walk: boolean;
      readonly pose: boolean;
      /** Of a second coat: when the first has rested, and until when it takes the second well. */
      readonly notBeforeMs: number | null;
      readonly notAfterMs: number | null;
    }
  | {
      readonly kind: 'pull';
      readonly strip: string;
      readonly laidAtMs: number;
      readonly readyAtMs: number;
      readonly dueAtMs: number;
    }
  | { readonly kind: 'held' }
  | { readonly kind: 'stopped' }
  | { readonly kind: 'done' };

export interface LiveTable {
  readonly act: Act;
  /** The acts after this one, as planned now. */
  readonly ahead: readonly { readonly kind: 'lay' | 'coat' | 'pull'; readonly strip: string; readonly walkS: number }[];
  /** The acts leave the order of the plan, since in it a strip would come off too late. */
  readonly leavesOrder: boolean;
  readonly strips: ReadonlyMap<string, LiveStrip>;
  /** From when each strip that sets may be pulled, as it was really laid. */
  readonly readyAtMs: ReadonlyMap<string, number>;
  /** On the skin, oldest first. */
  readonly onSkin: readonly string[];
  readonly lastPulled: string | null;
  /** When the last act of the hands was; null before the first. */
  readonly lastAtMs: number | null;
  /** The event that Undo would take back; marks are left alone. */
  readonly undoable: string | null;
  /** Strips that may be laid now instead of the proposal. */
  readonly layable: readonly string[];
  readonly pulledCount: number;
  readonly stripCount: number;
}

/** Table state of one group at an instant, seconds from `baseMs`. */
function tableStateOf(
  group: LiveGroup,
  strips: ReadonlyMap<string, LiveStrip>,
  { side, pose }: Pick<TableState, 'side' | 'pose'>,
  nowS: number,
  baseMs: number,
): TableState {
  const laidS = (id: string): number => ((strips.get(id)?.laidAtMs ?? baseMs) - baseMs) / 1000;
  return {
    ...emptyTable(group.jobs.length),
    nowS,
    side,
    pose,
    stage: group.jobs.map((job) => strips.get(job.id)?.stage ?? UNLAID),
    readyS: group.jobs.map((job) => laidS(job.id) + nextAct(job, strips.get(job.id)).min),
    dueS: group.jobs.map((job) => laidS(job.id) + nextAct(job, strips.get(job.id)).max),
  };
}

function readyTimes(groups: readonly LiveGroup[], strips: ReadonlyMap<string, LiveStrip>): ReadonlyMap<string, number> {
  return new Map(
    groups
      .flatMap((g) => g.jobs)
      .flatMap((job): [string, number][] => {
        const strip = strips.get(job.id);
        const laidAtMs = strip?.stage === SETTING ? strip.laidAtMs : null;
        return laidAtMs === null ? [] : [[job.id, laidAtMs + windowOf(job, strip).min * 1000]];
      }),
  );
}

/** Folds the journal and plans the next act. Pure: no clock, the time is that of the last event that counts. */
export function liveTable(groups: readonly LiveGroup[], events: readonly TableEvent[]): LiveTable {
  const counted = standing(events);
  const strips = liveStrips(groups, counted);
  const last = deeds(counted).at(-1);
  const group = groups.find((g) => g.jobs.some((j) => strips.get(j.id)?.stage !== OFF));
  const pulls = counted.filter((e) => e.kind === 'pulled');
  const since = (s: LiveStrip): number => s.laidAtMs ?? s.spreadAtMs ?? 0;
  const all = [...strips].filter(([, s]) => liesOnSkin(s));
  const onSkin = all.sort((a, b) => since(a[1]) - since(b[1])).map(([id]) => id);
  const rest = {
    strips,
    onSkin,
    readyAtMs: readyTimes(groups, strips),
    lastPulled: pulls.at(-1)?.strip ?? null,
    lastAtMs: last?.atMs ?? null,
    undoable: last?.id ?? null,
    stripCount: strips.size,
    pulledCount: [...strips.values()].filter((s) => s.stage === OFF).length,
  };
  const flat = (act: Act): LiveTable => ({ ...rest, act, ahead: [], layable: [], leavesOrder: false });
  // stop and hold stand until they are taken back: what is on the skin can still be pulled meanwhile
  if (counted.some((e) => e.kind === 'stop')) return flat({ kind: 'stopped' });
  const stepOf = (open: readonly string[], firstStrip: string): LiveTable | null =>
    open[0] === undefined ? null : flat({ kind: 'step', step: open[0], open, firstStrip });
  const check = onSkin.length === 0 ? stepOf(checkNow(groups, strips, counted), rest.lastPulled ?? '') : null;
  if (counted.filter((e) => e.kind === 'hold' || e.kind === 'resume').at(-1)?.kind === 'hold') {
    return flat({ kind: 'held' });
  }
  const bare = onSkin.find((id) => isSpread(strips.get(id)));
  // what is spread is covered before anything else is begun
  if (bare !== undefined) {
    return { ...flat({ ...COVER, strip: bare }), ahead: [{ kind: 'pull', strip: bare, walkS: 0 }] };
  }
  if (check) return check;
  if (!group) return stepOf(finishLeft(groups, counted), rest.lastPulled ?? '') ?? flat({ kind: 'done' });
  const firstStrip = group.jobs[0]?.id ?? '';
  if (!isTurned(groups, group, counted)) {
    return flat({ kind: 'turn', position: group.position ?? '', firstStrip });
  }
  const prepare = stepOf(prepareLeft(groups, group, strips, counted), firstStrip);
  if (prepare) return prepare;
  if (!wristStands(groups, group, counted)) {
    return flat({ kind: 'wrist', product: group.product, firstStrip, again: testedBefore(group, counted) });
  }
  const baseMs = counted[0]?.atMs ?? 0;
  const nowS = ((last?.atMs ?? baseMs) - baseMs) / 1000;
  const touched = counted.filter((e) => e.kind === 'laid' || e.kind === 'pulled').at(-1)?.strip;
  // once the client has turned, neither side nor pose of before counts
  const stood = group.jobs.find((j) => j.id === touched);
  const from = tableStateOf(group, strips, { side: stood?.side ?? null, pose: stood?.pose ?? null }, nowS, baseMs);
  const { ops, leavesOrder } = replan(group, from);
  const [first] = ops;
  // with wax on the skin the hands go on; the pot is tested before the next load
  if (first?.kind === 'lay' && onSkin.length === 0 && isTestOld(group, counted)) {
    const strip = group.jobs[first.job]?.id ?? firstStrip;
    return flat({ kind: 'wrist', product: group.product, firstStrip: strip, again: 'minutes' });
  }
  const idOf = (op: Op): string => group.jobs[op.job]?.id ?? '';
  const ahead = ops.slice(1, 6).map((op) => ({ kind: op.kind, strip: idOf(op), walkS: op.walkS }));
  const layable = group.jobs
    .filter(
      (j, i) =>
        from.stage[i] === UNLAID &&
        j.needs.every((n) => from.stage[n] === OFF) &&
        j.touches.every((t) => from.stage[t] === UNLAID || from.stage[t] === OFF),
    )
    .map((j) => j.id);
  if (!first) return flat({ kind: 'done' });
  return { ...rest, act: actOf(first, group, strips, baseMs, from), ahead, layable, leavesOrder };
}

const COVER = {
  kind: 'lay',
  coat: 1,
  part: 'cloth',
  walk: false,
  pose: false,
  notBeforeMs: null,
  notAfterMs: null,
} as const;

function actOf(
  op: Op,
  group: LiveGroup,
  strips: ReadonlyMap<string, LiveStrip>,
  baseMs: number,
  from: TableState,
): Act {
  const job = group.jobs[op.job];
  const strip = job?.id ?? '';
  const first = { walk: op.walkS > 0, pose: op.poseS > 0 };
  if (op.kind === 'lay') {
    return { ...COVER, strip, part: job?.spreads ? 'spread' : null, ...first };
  }
  if (op.kind === 'coat') {
    return {
      kind: 'lay',
      strip,
      coat: 2,
      part: null,
      ...first,
      notBeforeMs: baseMs + (from.readyS[op.job] ?? 0) * 1000,
      notAfterMs: baseMs + (from.dueS[op.job] ?? 0) * 1000,
    };
  }
  const laidAtMs = strips.get(strip)?.laidAtMs ?? baseMs;
  const set = job && windowOf(job, strips.get(strip));
  return {
    kind: 'pull',
    strip,
    laidAtMs,
    readyAtMs: laidAtMs + (set?.min ?? 0) * 1000,
    dueAtMs: laidAtMs + (set?.max ?? 0) * 1000,
  };
}

/**
 * A strip on the skin that is near or past its latest pull at an instant, most pressing first; the screen interrupts
 * with it.
 */
export function pressingStrip(
  table: LiveTable,
  groups: readonly LiveGroup[],
  atMs: number,
  withinS = 12,
): { readonly strip: string; readonly readyAtMs: number; readonly dueAtMs: number } | null {
  const jobs = groups.flatMap((g) => g.jobs);
  const due = table.onSkin.flatMap((id) => {
    const job = jobs.find((j) => j.id === id);
    const strip = table.strips.get(id);
    return job && strip?.stage === SETTING && strip.laidAtMs !== null
      ? [
          {
            strip: id,
            readyAtMs: strip.laidAtMs + windowOf(job, strip).min * 1000,
            dueAtMs: strip.laidAtMs + windowOf(job, strip).max * 1000,
          },
        ]
      : [];
  });
  const pressing = due.filter((d) => atMs >= d.dueAtMs - withinS * 1000).sort((a, b) => a.dueAtMs - b.dueAtMs)[0];
  return pressing ?? null;
}
