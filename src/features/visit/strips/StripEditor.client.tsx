'use client';

import { Popconfirm } from 'antd';
import { useEffect, useMemo, useReducer, useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { sheetFor, ZONES } from '@/core/anatomy';
import { exclusionOf } from '@/core/field';
import type { PlanZone } from '@/core/plan';
import { boxOf, subtractRegions, type Ring, type Vec } from '@/core/shared';
import { hairRegion, zoneShapes, type HandStrip } from '@/core/strips';
import { ringCentre, ringPath } from '@/formats/stripsSvg';
import type { ChartData } from '@/server/db/schema';
import { useKeys } from '@/ui/useKeys';
import { useLiveWorker } from '@/ui/useLiveWorker';
import { percent } from '@/ui/words';
import type { LaidStrip, StripsAnswer, StripsQuestion } from '@/workers/strips.worker';
import { useBench } from '../BenchContext.client';
import { editStep, startEditing, type EditEvent, type EditTool, type Editing } from './stripEditing';
import { Hairs } from './StripSheet';
import styles from './Strips.module.css';

const TOOLS: readonly (readonly [EditTool, string, string])[] = [
  ['choose', 'Choose', 'Tap a strip.'], ['cut', 'Cut', 'Drag a line across a strip.'], ['join', 'Join', 'Tap two strips that lie side by side.'], ['draw', 'Draw', 'Drag round the ground: the chosen strip takes it, or a new one where none is chosen.'], ['move', 'Move', 'Drag a strip; its neighbours give way.'],
];
const TURN_DEG = 15;
const GROW_CM = 0.3;
const NUDGE_CM = 0.2;
const ARROWS: Readonly<Record<string, Vec>> = { ArrowUp: [0, -NUDGE_CM], ArrowDown: [0, NUDGE_CM], ArrowLeft: [-NUDGE_CM, 0], ArrowRight: [NUDGE_CM, 0] };
const MARGIN_CM = 1.4;

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
  const hair = useMemo(() => (sheet.ok ? hairRegion(sheet.value.outline, data.marks.map(exclusionOf)).hair : []), [sheet, data.marks]);
  const choice = zone.choice;
  // hair that a faded border leaves standing is free for a strip, but no gap
  const meant = useMemo(() => {
    const fade = sheet.ok && choice ? zoneShapes({ zone: zone.zone, side: zone.side, family: choice.family, sheet: sheet.value, fade: data.fade ?? false }).fade : undefined;
    return fade ? subtractRegions(hair, [fade.band]) : hair;
  }, [sheet, choice, zone.zone, zone.side, data.fade, hair]);
  const [state, dispatch] = useReducer((s: Editing, e: EditEvent): Editing => editStep(s, e, hair, meant), null, () => startEditing(zone.byHand && data.handStrips ? data.handStrips.strips : zone.strips.map((s): HandStrip => ({ outline: s.outline }))));
  const saved = useRef(state.strips);
  const latest = useRef({ data, saveChart });
  useEffect(() => { latest.current = { data, saveChart }; });
  useEffect(() => {
    if (saved.current === state.strips || !choice) return;
    saved.current = state.strips;
    const strips = state.strips.map((s): HandStrip => ({ outline: s.outline.map(([x, y]): Vec => [Math.round(x * 1e4) / 1e4, Math.round(y * 1e4) / 1e4]), ...(s.turnDeg ? { turnDeg: s.turnDeg } : {}) }));
    latest.current.saveChart(zone, { ...latest.current.data, handStrips: { family: choice.family, way: choice.way, strips } });
  }, [state.strips, choice, zone]);
  const question: StripsQuestion = {
    ground: { zone: zone.zone, side: zone.side, sheetCm: zone.sheetCm, strokes: data.strokes, marks: data.marks, densities: data.densities ?? [], density: data.hair.density, family: choice?.family ?? 'hard', way: choice?.way ?? 'with', level: bench.visit.level, fade: data.fade ?? false },
    strips: state.strips,
  };
  const { answer, isFresh, failed } = useLiveWorker<StripsQuestion, StripsAnswer>(() => new Worker(new URL('../../../workers/strips.worker.ts', import.meta.url), { type: 'module' }), question);
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
        {TOOLS.map(([tool, word]) => <button key={tool} type="button" aria-pressed={state.tool === tool} onClick={() => dispatch({ kind: 'tool', tool })}>{word}</button>)}
        <button type="button" disabled={state.before.length === 0} onClick={undo}>Undo <kbd>Z</kbd></button>
        <button type="button" disabled={state.after.length === 0} onClick={() => dispatch({ kind: 'redo' })}>Redo</button>
      </div>
      <EditSheet zone={zone} data={data} state={state} answer={isFresh ? answer : null} dispatch={dispatch} />
      <div className={styles.side}>
        <p className="quiet" role="status">{state.refusal ?? TOOLS.find(([t]) => t === state.tool)?.[2]}</p>
        {chosen ? (
          <section aria-label="The chosen strip" className={styles.chosen}>
            <h2>{laid ? `Strip ${laid.order}` : 'Strip'}</h2>
            {laid ? <p className="quiet">{Math.round(10 * laid.lengthCm)} × {Math.round(10 * laid.widthCm)} mm{chosen.turnDeg ? `, turned ${chosen.turnDeg}°` : ''}</p> : null}
            <div className={styles.deeds}>
              <button type="button" onClick={() => dispatch({ kind: 'turn', deg: -TURN_DEG })}>Turn ↺</button><button type="button" onClick={() => dispatch({ kind: 'turn', deg: TURN_DEG })}>Turn ↻</button>
              <button type="button" onClick={() => dispatch({ kind: 'grow', cm: GROW_CM })}>Wider</button><button type="button" onClick={() => dispatch({ kind: 'grow', cm: -GROW_CM })}>Narrower</button>
              <button type="button" onClick={() => dispatch({ kind: 'halve', along: [-cutAlong[1], cutAlong[0]] })}>Cut across</button><button type="button" onClick={() => dispatch({ kind: 'halve', along: cutAlong })}>Cut along</button>
              <button type="button" onClick={() => dispatch({ kind: 'remove' })}>Take away</button>
            </div>
          </section>
        ) : (
          <div className={styles.list} aria-label="Strips">
            {(answer?.strips ?? []).filter((s) => s.from >= 0).map((s) => <button key={s.id} type="button" onClick={() => dispatch({ kind: 'choose', index: s.from })}>{s.order}</button>)}
          </div>
        )}
        <section aria-label="Rules" className={styles.rules}>
          {failed ? <p role="status">The rules could not be looked at just now; what you changed is kept.</p> : null}
          {answer ? <p className="quiet">{percent(answer.coveredShare)} of the hair covered, {Math.round(answer.meanOffDeg)}° off the growth</p> : <p className="quiet" role="status">Looking at the rules …</p>}
          <ul>{(answer?.faults ?? []).map((f) => <li key={`${f.code}${f.strip ?? ''}`}>{f.strip === null ? '' : <strong>{orderOf.get(f.strip) ?? ''}: </strong>}{f.text}</li>)}</ul>
          {answer && answer.coveredShare < 0.995 ? <button type="button" className={styles.plain} onClick={() => dispatch({ kind: 'fill' })}>Give free hair to the neighbours</button> : null}
          {answer && answer.faults.length === 0 ? <p>No rule is broken.</p> : null}
        </section>
        <div className={styles.ends}>
          {data.handStrips ? <Popconfirm title="Back to the planned strips?" description="What was changed by hand here is dropped." okText="Drop it" cancelText="Keep it" onConfirm={back}><button type="button" className={styles.plain}>As planned</button></Popconfirm> : null}
          <button type="button" className={styles.go} onClick={onClose}>Done</button>
        </div>
      </div>
    </div>
  );
}

interface SheetProps {
  readonly zone: PlanZone;
  readonly data: ChartData;
  readonly state: Editing;
  readonly answer: StripsAnswer | null;
  readonly dispatch: (event: EditEvent) => void;
}

function EditSheet({ zone, data, state, answer, dispatch }: SheetProps) {
  const svg = useRef<SVGSVGElement>(null);
  const box = boxOf([zone.outline]);
  const [x0, y0] = [Math.min(0, box.x0) - MARGIN_CM, Math.min(0, box.y0) - MARGIN_CM];
  const [w, h] = [Math.max(zone.sheetCm[0], box.x1) + MARGIN_CM - x0, Math.max(zone.sheetCm[1], box.y1) + MARGIN_CM - y0];
  const unit = Math.max(w / 700, h / 400);
  const at = (e: PointerEvent): Vec => {
    const matrix = svg.current?.getScreenCTM();
    if (!matrix) return [0, 0];
    const p = new DOMPoint(e.clientX, e.clientY).matrixTransform(matrix.inverse());
    return [p.x, p.y];
  };
  const down = (e: PointerEvent<SVGSVGElement>): void => {
    if (e.button !== 0) return;
    e.currentTarget.setPointerCapture(e.pointerId);
    dispatch({ kind: 'down', at: at(e) });
  };
  const keys = (e: KeyboardEvent): void => {
    const by = ARROWS[e.key];
    if (!by) return;
    e.preventDefault();
    dispatch({ kind: 'nudge', by });
  };
  const broken = new Set(answer?.faults.flatMap((f) => (f.strip === null ? [] : [answer.strips.find((s) => s.id === f.strip)?.from ?? -1])) ?? []);
  const laidOf = (index: number): LaidStrip | undefined => answer?.strips.find((s) => s.from === index);
  return (
    <svg
      ref={svg} viewBox={`${x0} ${y0} ${w} ${h}`} className={styles.editSheet} role="application" tabIndex={0} aria-label={`${ZONES[zone.zone].name}: drag to change strips; arrow keys move the chosen one`}
      onPointerDown={down} onPointerMove={(e) => { if (state.drag) dispatch({ kind: 'move', at: at(e) }); }} onPointerUp={(e) => dispatch({ kind: 'up', at: at(e) })} onPointerCancel={() => dispatch({ kind: 'cancel' })} onKeyDown={keys}
    >
      <path d={ringPath(zone.outline)} fill="#fbf4e6" stroke="var(--hairline-strong)" strokeWidth={1.5 * unit} />
      <Hairs zone={zone} data={data} unit={unit} />
      {state.strips.map((s, i) => {
        const laid = laidOf(i);
        const centre = ringCentre(laid?.outline ?? s.outline);
        const isChosen = i === state.chosen;
        const shift: Vec = state.tool === 'move' && isChosen && state.drag ? [(state.drag.at(-1)?.[0] ?? 0) - (state.drag[0]?.[0] ?? 0), (state.drag.at(-1)?.[1] ?? 0) - (state.drag[0]?.[1] ?? 0)] : [0, 0];
        return (
          <g key={i} transform={shift[0] || shift[1] ? `translate(${shift[0]} ${shift[1]})` : undefined}>
            <path d={ringPath(s.outline)} data-strip={i} fill="var(--wax)" fillOpacity={isChosen ? 0.5 : 0.2} stroke={broken.has(i) ? 'var(--madder)' : 'var(--wax-dark)'} strokeWidth={(isChosen ? 3.5 : broken.has(i) ? 2.5 : 1.5) * unit} {...(broken.has(i) ? { strokeDasharray: `${7 * unit} ${4 * unit}` } : {})} />
            {laid ? <Way laid={laid} unit={unit} /> : null}
            <text x={centre[0]} y={centre[1] + 7 * unit} textAnchor="middle" fontSize={20 * unit} fontWeight="700" fill="var(--walnut)" stroke="var(--sheet)" strokeWidth={3.5 * unit} paintOrder="stroke" style={{ pointerEvents: 'none' }}>{laid?.order ?? ''}{broken.has(i) ? <tspan fill="var(--madder)"> !</tspan> : null}</text>
          </g>
        );
      })}
      {zone.excluded.map((e) => <circle key={e.at.join()} cx={e.at[0]} cy={e.at[1]} r={e.clearanceMm / 10} fill="var(--sheet)" stroke="var(--madder)" strokeWidth={2 * unit} strokeDasharray={`${5 * unit} ${4 * unit}`} />)}
      {state.drag && state.tool !== 'move' ? <polyline points={state.drag.map((p) => p.join()).join(' ')} fill="none" stroke="var(--madder)" strokeWidth={3 * unit} strokeLinecap="round" strokeDasharray={state.tool === 'cut' ? `${8 * unit} ${5 * unit}` : undefined} /> : null}
    </svg>
  );
}

/** Tab and the way of the pull, small. */
function Way({ laid: { tab, pull, tabOn }, unit }: { readonly laid: LaidStrip; readonly unit: number }) {
  const tip: Vec = [tab[0] + pull[0] * 26 * unit, tab[1] + pull[1] * 26 * unit];
  const [nx, ny] = [-pull[1] * 5 * unit, pull[0] * 5 * unit];
  const neck: Vec = [tip[0] - pull[0] * 9 * unit, tip[1] - pull[1] * 9 * unit];
  const colour = tabOn === 'hair' ? 'var(--madder)' : 'var(--verdigris)';
  const head: Ring = [tip, [neck[0] + nx, neck[1] + ny], [neck[0] - nx, neck[1] - ny]];
  return <g style={{ pointerEvents: 'none' }}><line x1={tab[0]} y1={tab[1]} x2={neck[0]} y2={neck[1]} stroke={colour} strokeWidth={2.5 * unit} /><path d={ringPath(head)} fill={colour} /></g>;
}
