'use client';

import { sizedPair } from '@/formats/size';
import { Popconfirm } from 'antd';
import { useEffect, useMemo, useRef, useState, useSyncExternalStore } from 'react';
import { sheetFor, ZONES } from '@/core/anatomy';
import { exclusionOf } from '@/core/field';
import type { PlanZone } from '@/core/plan';
import { subtractRegions, type Vec } from '@/core/shared';
import { fadeOf, goingFrom, hairRegion, type HandStrip } from '@/core/strips';
import type { ChartData } from '@/server/db/schema';
import { useKeys } from '@/ui/useKeys';
import { useLiveWorker } from '@/ui/useLiveWorker';
import { percent } from '@/ui/words';
import type { StripsAnswer, StripsQuestion } from '@/workers/strips.worker';
import { useBench } from '../BenchContext.client';
import type { EditTool } from './stripEditing';
import { StripsController } from './stripsController';
import { StripEditSheet } from './StripEditSheet.client';
import styles from './Strips.module.css';

const TOOLS: readonly (readonly [EditTool, string, string])[] = [
  ['choose', 'Choose', 'Tap a strip.'],
  ['cut', 'Cut', 'Drag a line across a strip.'],
  ['join', 'Join', 'Tap two strips that lie side by side.'],
  ['draw', 'Draw', 'Drag round the ground: the chosen strip takes it, or a new one where none is chosen.'],
  ['move', 'Move', 'Drag a strip; its neighbours give way.'],
];
const TURN_DEG = 15;
const GROW_CM = 0.3;
interface Props {
  readonly zone: PlanZone;
  readonly data: ChartData;
  readonly onClose: () => void;
}

/** Strips changed by hand. Every finished gesture is saved; tabs, order and broken rules come from the worker. */
export function StripEditor({ zone, data, onClose }: Props) {
  const { bench, saveChart } = useBench();
  const facts = ZONES[zone.zone];
  const sheet = useMemo(() => sheetFor(facts, zone.side, {}, zone.sheetCm), [facts, zone.side, zone.sheetCm]);
  const hair = useMemo(
    () =>
      sheet.ok
        ? goingFrom(
            hairRegion(sheet.value.outline, data.marks.map(exclusionOf)).hair,
            zone.keep.map((k) => k.outline),
          )
        : [],
    [sheet, data.marks, zone.keep],
  );
  const choice = zone.choice;
  // hair that a faded border leaves standing is free for a strip, but no gap
  const meant = useMemo(() => {
    const fade = sheet.ok && zone.fade ? fadeOf(zone.zone, zone.side, sheet.value) : undefined;
    return fade ? subtractRegions(hair, [fade.band]) : hair;
  }, [sheet, zone.zone, zone.side, zone.fade, hair]);
  const [controller] = useState(() => {
    const strips =
      zone.byHand && data.handStrips
        ? data.handStrips.strips
        : zone.strips.map((s): HandStrip => ({ outline: s.outline }));
    return new StripsController(strips, { hair, meant });
  });
  useEffect(() => controller.ground({ hair, meant }), [controller, hair, meant]);
  const state = useSyncExternalStore(controller.subscribe, controller.settled, controller.settled);
  const dispatch = controller.send;
  const saved = useRef(state.strips);
  const latest = useRef({ data, saveChart });
  useEffect(() => {
    latest.current = { data, saveChart };
  });
  useEffect(() => {
    if (saved.current === state.strips || !choice) return;
    saved.current = state.strips;
    const strips = state.strips.map((s): HandStrip => ({
      outline: s.outline.map(([x, y]): Vec => [Math.round(x * 1e4) / 1e4, Math.round(y * 1e4) / 1e4]),
      ...(s.turnDeg ? { turnDeg: s.turnDeg } : {}),
    }));
    latest.current.saveChart(zone, {
      ...latest.current.data,
      handStrips: { family: choice.family, way: choice.way, strips },
    });
  }, [state.strips, choice, zone]);
  const question: StripsQuestion = {
    ground: {
      zone: zone.zone,
      side: zone.side,
      sheetCm: zone.sheetCm,
      strokes: data.strokes,
      marks: data.marks,
      densities: data.densities ?? [],
      density: data.hair.density,
      family: choice?.family ?? 'hard',
      way: choice?.way ?? 'with',
      level: bench.visit.level,
      fade: zone.fade,
      keep: zone.keep.map((k) => k.outline),
      smallStrips: zone.hands.smallStrips,
    },
    strips: state.strips,
  };
  const { answer, isFresh, failed } = useLiveWorker<StripsQuestion, StripsAnswer>(
    () => new Worker(new URL('../../../workers/strips.worker.ts', import.meta.url), { type: 'module' }),
    question,
  );
  const undo = (): void => dispatch({ kind: 'undo' });
  useKeys({ z: undo, 'Shift+Z': () => dispatch({ kind: 'redo' }), Escape: () => dispatch({ kind: 'cancel' }) });
  const back = (): void => {
    saveChart(zone, { ...data, handStrips: undefined });
    onClose();
  };
  const chosen = state.chosen === null ? undefined : state.strips[state.chosen];
  const laid = answer?.strips.find((s) => s.from === state.chosen);
  const orderOf = new Map(answer?.strips.map((s) => [s.id, s.order]) ?? []);
  const cutAlong: Vec = laid?.lay ?? [0, 1];
  return (
    <div className={styles.editor} data-laid={isFresh ? 'yes' : 'no'}>
      <div className={styles.editTools} role="toolbar" aria-label="Changing strips">
        {TOOLS.map(([tool, word]) => (
          <button
            key={tool}
            type="button"
            aria-pressed={state.tool === tool}
            onClick={() => dispatch({ kind: 'tool', tool })}
          >
            {word}
          </button>
        ))}
        <button type="button" disabled={state.before.length === 0} onClick={undo}>
          Undo <kbd>Z</kbd>
        </button>
        <button type="button" disabled={state.after.length === 0} onClick={() => dispatch({ kind: 'redo' })}>
          Redo
        </button>
      </div>
      <StripEditSheet zone={zone} data={data} controller={controller} answer={isFresh ? answer : null} />
      <div className={styles.side}>
        <p className="quiet" role="status">
          {state.refusal ?? TOOLS.find(([t]) => t === state.tool)?.[2]}
        </p>
        {chosen ? (
          <section aria-label="The chosen strip" className={styles.chosen}>
            <h2>{laid ? `Strip ${laid.order}` : 'Strip'}</h2>
            {laid ? (
              <p className="quiet">
                {sizedPair(Math.round(10 * laid.lengthCm), ' × ', Math.round(10 * laid.widthCm), 'mm')}
                {chosen.turnDeg ? `, turned ${chosen.turnDeg}°` : ''}
              </p>
            ) : null}
            <div className={styles.deeds}>
              <button type="button" onClick={() => dispatch({ kind: 'turn', deg: -TURN_DEG })}>
                Turn ↺
              </button>
              <button type="button" onClick={() => dispatch({ kind: 'turn', deg: TURN_DEG })}>
                Turn ↻
              </button>
              <button type="button" onClick={() => dispatch({ kind: 'grow', cm: GROW_CM })}>
                Wider
              </button>
              <button type="button" onClick={() => dispatch({ kind: 'grow', cm: -GROW_CM })}>
                Narrower
              </button>
              <button type="button" onClick={() => dispatch({ kind: 'halve', along: [-cutAlong[1], cutAlong[0]] })}>
                Cut across
              </button>
              <button type="button" onClick={() => dispatch({ kind: 'halve', along: cutAlong })}>
                Cut along
              </button>
              <button type="button" onClick={() => dispatch({ kind: 'remove' })}>
                Take away
              </button>
            </div>
          </section>
        ) : (
          <div className={styles.list} aria-label="Strips">
            {(answer?.strips ?? [])
              .filter((s) => s.from >= 0)
              .map((s) => (
                <button key={s.id} type="button" onClick={() => dispatch({ kind: 'choose', index: s.from })}>
                  {s.order}
                </button>
              ))}
          </div>
        )}
        <section aria-label="Rules" className={styles.rules}>
          {failed ? <p role="status">The rules could not be looked at just now; what you changed is kept.</p> : null}
          {answer ? (
            <p className="quiet">
              {percent(answer.coveredShare)} of the hair covered, {Math.round(answer.meanOffDeg)}° off the growth
            </p>
          ) : (
            <p className="quiet" role="status">
              Looking at the rules …
            </p>
          )}
          <ul>
            {(answer?.faults ?? []).map((f) => (
              <li key={`${f.code}${f.strip ?? ''}`}>
                {f.strip === null ? '' : <strong>{orderOf.get(f.strip) ?? ''}: </strong>}
                {f.text}
              </li>
            ))}
          </ul>
          {answer && answer.coveredShare < 0.995 ? (
            <button type="button" className={styles.plain} onClick={() => dispatch({ kind: 'fill' })}>
              Give free hair to the neighbours
            </button>
          ) : null}
          {answer && answer.faults.length === 0 ? <p>No rule is broken.</p> : null}
        </section>
        <div className={styles.ends}>
          {data.handStrips ? (
            <Popconfirm
              title="Back to the planned strips?"
              description="What was changed by hand here is dropped."
              okText="Drop it"
              cancelText="Keep it"
              onConfirm={back}
            >
              <button type="button" className={styles.plain}>
                As planned
              </button>
            </Popconfirm>
          ) : null}
          <button type="button" className={styles.go} onClick={onClose}>
            Done
          </button>
        </div>
      </div>
    </div>
  );
}
