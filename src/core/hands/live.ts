// The table as it really goes: events from the hands are folded into a state, and the next act is planned from real lay
// ends. The act is fixed at the moment of the last event, so reading the same journal again gives the same act. A strip
// that comes near its latest pull goes before everything else; an overdue one costs, it does not make the plan
// impossible.

import { replan } from './replan';
import { emptyTable, FIRST_COAT, OFF, SETTING, UNLAID, type TableState } from './state';
import { isTurned } from './turning';
import { COAT_REST_S, mostRestS, setAfter, type HandsInput, type Op, type StripJob } from './types';
import { isTestedWarmer, wristStands } from './wristTest';

export const MARKS = ['clean', 'some-left', 'broke', 'sore'] as const;
export type StripMark = (typeof MARKS)[number];
export const TABLE_EVENT_KINDS = [
  'wrist',
  'turned',
  'laid',
  'pulled',
  'mark',
  'hold',
  'resume',
  'stop',
  'undo',
] as const;
export type TableEventKind = (typeof TABLE_EVENT_KINDS)[number];

export interface TableEvent {
  readonly id: string;
  readonly atMs: number;
  readonly kind: TableEventKind;
  readonly strip?: string;
  readonly mark?: StripMark;
  /** Product of a wrist test. */
  readonly product?: string;
  /** How the client lies after a turn. */
  readonly position?: string;
  /** Event taken back by an undo. */
  readonly undoes?: string;
}

export interface LiveGroup extends HandsInput {
  readonly product: string;
  /** Counts up where the same pot is worked cooler than before; absent = 0. */
  readonly heatStage?: number;
  /** How the client lies for it; absent = as before. */
  readonly position?: string;
  /** Jobs in the order of laying, where it is one to remember. */
  readonly order?: readonly number[] | undefined;
  /** The plan's acts in order, as job indices: a job's first entry is its lay, its last its pull. */
  readonly sequence?: readonly number[];
}

export interface LiveStrip {
  readonly stage: number;
  /** End of the last lay. */
  readonly laidAtMs: number | null;
  /** Ends of the two lays apart, s; null until there is a second coat. */
  readonly coatsApartS: number | null;
  readonly pulledAtMs: number | null;
  readonly mark: StripMark | null;
}

export type Act =
  | {
      readonly kind: 'wrist';
      readonly product: string;
      /** A strip of what is worked next: its zone says the heat. */
      readonly firstStrip: string;
      /** Tested before at a warmer heat: the pot has to come down first. */
      readonly again: boolean;
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
  /** The event that Undo would take back; marks are left alone. */
  readonly undoable: string | null;
  /** Strips that may be laid now instead of the proposal. */
  readonly layable: readonly string[];
  readonly pulledCount: number;
  readonly stripCount: number;
}

/** True where wax has been laid and not undone: from then on the plan of the table stands. */
export const hasBegun = (events: readonly TableEvent[]): boolean => standing(events).some((e) => e.kind === 'laid');

/** Events that count: not undone, in the order given. */
export function standing(events: readonly TableEvent[]): readonly TableEvent[] {
  const undone = new Set(events.flatMap((e) => (e.kind === 'undo' && e.undoes ? [e.undoes] : [])));
  return events.filter((e) => e.kind !== 'undo' && !undone.has(e.id));
}

const NOT_LAID: LiveStrip = { stage: UNLAID, laidAtMs: null, coatsApartS: null, pulledAtMs: null, mark: null };

/**
 * The set window of a strip as it was really laid. How long the second lay took is not noted: as long as planned at
 * most, so set counts from the shorter rest that this leaves and the latest pull from the longer one.
 */
function windowOf(job: StripJob, strip: LiveStrip | undefined): { readonly min: number; readonly max: number } {
  const apartS = strip?.coatsApartS ?? null;
  if (apartS === null) return { min: job.setMinS, max: job.setMaxS };
  return { min: setAfter(job, Math.max(0, apartS - job.layS)).min, max: setAfter(job, apartS).max };
}

/** Earliest and latest next act of a strip on the skin, s after its last lay. */
const nextAct = (job: StripJob, strip: LiveStrip | undefined): { readonly min: number; readonly max: number } =>
  strip?.stage === FIRST_COAT ? { min: COAT_REST_S, max: mostRestS(job) } : windowOf(job, strip);

/** Each strip's stage after these events; only standing ones count. */
export function liveStrips(groups: readonly LiveGroup[], events: readonly TableEvent[]): Map<string, LiveStrip> {
  const strips = new Map<string, LiveStrip>();
  for (const g of groups) {
    for (const j of g.jobs) strips.set(j.id, { ...NOT_LAID });
  }
  const coats = new Map(groups.flatMap((g) => g.jobs.map((j) => [j.id, j.coats])));
  for (const e of events) {
    const now = e.strip === undefined ? undefined : strips.get(e.strip);
    if (!now || e.strip === undefined) continue;
    if (e.kind === 'laid' && (now.stage === UNLAID || now.stage === FIRST_COAT)) {
      const stage = now.stage === UNLAID && coats.get(e.strip) === 2 ? FIRST_COAT : SETTING;
      const coatsApartS = now.stage === FIRST_COAT ? (e.atMs - (now.laidAtMs ?? e.atMs)) / 1000 : null;
      strips.set(e.strip, { ...now, stage, laidAtMs: e.atMs, coatsApartS });
    } else if (e.kind === 'pulled' && now.stage === SETTING) {
      strips.set(e.strip, { ...now, stage: OFF, pulledAtMs: e.atMs });
    } else if (e.kind === 'mark' && e.mark) strips.set(e.strip, { ...now, mark: e.mark });
  }
  return strips;
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
  const deeds = counted.filter((e) => e.kind !== 'mark');
  const last = deeds.at(-1);
  const group = groups.find((g) => g.jobs.some((j) => strips.get(j.id)?.stage !== OFF));
  const pulls = counted.filter((e) => e.kind === 'pulled');
  const all = [...strips].filter(([, s]) => s.stage === FIRST_COAT || s.stage === SETTING);
  const onSkin = all.sort((a, b) => (a[1].laidAtMs ?? 0) - (b[1].laidAtMs ?? 0)).map(([id]) => id);
  const rest = {
    strips,
    onSkin,
    readyAtMs: readyTimes(groups, strips),
    lastPulled: pulls.at(-1)?.strip ?? null,
    undoable: last?.id ?? null,
    stripCount: strips.size,
    pulledCount: [...strips.values()].filter((s) => s.stage === OFF).length,
  };
  const flat = (act: Act): LiveTable => ({ ...rest, act, ahead: [], layable: [], leavesOrder: false });
  // stop and hold stand until they are taken back: what is on the skin can still be pulled meanwhile
  if (counted.some((e) => e.kind === 'stop')) return flat({ kind: 'stopped' });
  if (!group) return flat({ kind: 'done' });
  if (counted.filter((e) => e.kind === 'hold' || e.kind === 'resume').at(-1)?.kind === 'hold') {
    return flat({ kind: 'held' });
  }
  if (!isTurned(groups, group, counted)) {
    return flat({ kind: 'turn', position: group.position ?? '', firstStrip: group.jobs[0]?.id ?? '' });
  }
  if (!wristStands(groups, group, counted)) {
    const firstStrip = group.jobs[0]?.id ?? '';
    return flat({ kind: 'wrist', product: group.product, firstStrip, again: isTestedWarmer(groups, group, counted) });
  }
  const baseMs = counted[0]?.atMs ?? 0;
  const nowS = ((last?.atMs ?? baseMs) - baseMs) / 1000;
  const touched = counted.filter((e) => e.kind === 'laid' || e.kind === 'pulled').at(-1)?.strip;
  // once the client has turned, neither side nor pose of before counts
  const stood = group.jobs.find((j) => j.id === touched);
  const from = tableStateOf(group, strips, { side: stood?.side ?? null, pose: stood?.pose ?? null }, nowS, baseMs);
  const { ops, leavesOrder } = replan(group, from);
  const [first] = ops;
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
  if (op.kind === 'lay') return { kind: 'lay', strip, coat: 1, ...first, notBeforeMs: null, notAfterMs: null };
  if (op.kind === 'coat') {
    return {
      kind: 'lay',
      strip,
      coat: 2,
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
