'use client';

import { Button, Select } from 'antd';
import { useRouter } from 'next/navigation';
import { useMemo, useRef, useState } from 'react';
import { sheetFor, ZONES } from '@/core/anatomy';
import { MARK_KINDS, mirrorStrokes, type MarkKind } from '@/core/field';
import type { ChartData } from '@/server/db/schema';
import type { BenchZone } from '@/server/services/bench';
import { dayMonth, plural, sideWord } from '@/ui/words';
import { useKeys } from '@/ui/useKeys';
import { useBench } from '../BenchContext.client';
import { useZone } from '../BenchFrame.client';
import { keyOfZone } from '../stations';
import { StationTop } from '../StationTop';
import { Assessment } from './Assessment.client';
import { chartSvg } from './chartSvg';
import { FindGrowth } from './FindGrowth.client';
import { HairSheet } from './HairSheet.client';
import type { SheetContent, Tool } from './combTool';
import styles from './Chart.module.css';

const BRUSHES = [0.3, 0.5, 0.8, 1.2, 2, 3] as const;

/** Hair on the body as it really grows: comb, mark, assess. */
export function ChartStation() {
  const { bench, saveChart } = useBench();
  const { zone } = useZone();
  const router = useRouter();
  if (!zone) return <p>No zone yet: choose one under Consult.</p>;
  const unseen = bench.zones.filter((z) => !z.data.confirmed);
  const asLast = unseen.filter((z) => z.last !== null);
  const confirmAll = (): void => {
    for (const z of unseen) saveChart(z, { ...z.data, confirmed: true });
    router.push(`/visits/${bench.visit.id}/match`);
  };
  const word = unseen.length === 0 ? 'On to the match' : asLast.length === unseen.length ? `As last time${bench.zones.length > 1 ? ', all zones' : ''}` : 'Charted: on to the match';
  return (
    <div className={styles.station}>
      <OneZone key={keyOfZone(zone)} zone={zone} action={<Button type="primary" size="large" onClick={confirmAll} disabled={bench.visit.status === 'closed'}>{word}</Button>} />
    </div>
  );
}

function OneZone({ zone, action }: { readonly zone: BenchZone; readonly action: React.ReactNode }) {
  const { bench, saveChart } = useBench();
  const planned = bench.plan.zones.find((z) => keyOfZone(z) === keyOfZone(zone));
  const facts = ZONES[zone.zone];
  const [tool, setTool] = useState<Tool>('comb');
  const [brush, setBrush] = useState(facts.sheetCm[0] < 8 ? 1 : facts.sheetCm[0] > 15 ? 4 : 3);
  const [markKind, setMarkKind] = useState<MarkKind>('mole');
  const undone = useRef<SheetContent[]>([]);
  const redone = useRef<SheetContent[]>([]);
  const [undoCount, setUndoCount] = useState(0);
  const [redoCount, setRedoCount] = useState(0);
  const [finding, setFinding] = useState(false);
  const closed = bench.visit.status === 'closed';
  const [width, height] = planned?.sheetCm ?? facts.sheetCm;
  const sheet = useMemo(() => {
    const made = sheetFor(facts, zone.side, {}, [width, height]);
    return made.ok ? made.value : null;
  }, [facts, zone.side, width, height]);
  const content = useMemo((): SheetContent => ({ strokes: zone.data.strokes, marks: zone.data.marks }), [zone.data.strokes, zone.data.marks]);
  const save = (more: Partial<ChartData>): void => saveChart(zone, { ...zone.data, confirmed: true, ...more });
  const counts = (): void => { setUndoCount(undone.current.length); setRedoCount(redone.current.length); };
  const done = (before: SheetContent, after: SheetContent): void => {
    undone.current = [...undone.current, before];
    redone.current = [];
    counts();
    save({ strokes: after.strokes, marks: after.marks });
  };
  /** Takes the last content off one pile and lays the present one on the other. */
  const step = (from: typeof undone, to: typeof undone): void => {
    const target = from.current.at(-1);
    if (!target || closed) return;
    from.current = from.current.slice(0, -1);
    to.current = [...to.current, content];
    counts();
    save({ strokes: target.strokes, marks: target.marks });
  };
  const undo = (): void => step(undone, redone);
  const redo = (): void => step(redone, undone);
  const download = (): void => {
    if (!sheet) return;
    const link = document.createElement('a');
    link.href = URL.createObjectURL(new Blob([chartSvg({ zone: facts, side: zone.side, sheet, strokes: content.strokes, marks: content.marks })], { type: 'image/svg+xml' }));
    link.download = `chart-${zone.zone}-${zone.side}.svg`;
    link.click();
    setTimeout(() => URL.revokeObjectURL(link.href), 1000);
  };
  const size = (by: number): void => setBrush((b) => Math.min(BRUSHES.length - 1, Math.max(0, b + by)));
  useKeys({ c: () => setTool('comb'), m: () => setTool('mark'), e: () => setTool('erase'), z: undo, 'Shift+Z': redo, '[': () => size(-1), ']': () => size(1) });
  const other = bench.zones.find((z) => z.zone === zone.zone && z.side !== zone.side);
  const mirror = (): void => {
    if (!other) return;
    done(content, {
      strokes: mirrorStrokes(other.data.strokes, width), marks: zone.data.marks,
    });
  };
  const lost = planned ? planned.areaCm2 - planned.hairAreaCm2 : 0;
  return (
    <>
      <StationTop
        title={sideWord(zone.name, zone.side)} action={action} note={(key) => (bench.zones.find((z) => keyOfZone(z) === key)?.data.confirmed ? 'seen' : '')}
        meta={<>{width.toFixed(1)} × {height.toFixed(1)} cm · {Math.round(planned?.hairAreaCm2 ?? 0)} cm² of hair{lost > 0.5 ? `, ${Math.round(lost)} cm² kept clear` : ''}{zone.last ? ` · chart of ${dayMonth(zone.last.on)}` : ' · usual growth, comb it to fit'}</>}
      />
      <div className={styles.surface}>
        <div className={styles.tools} role="toolbar" aria-label="Tools">
          {([['comb', 'Comb', 'C'], ['mark', 'Mark', 'M'], ['erase', 'Erase', 'E']] as const).map(([name, word, key]) => (
            <button key={name} type="button" className={styles.tool} aria-pressed={tool === name} disabled={closed} onClick={() => setTool(name)}>{word}<kbd>{key}</kbd></button>
          ))}
          {tool === 'mark' ? (
            <Select aria-label="Kind of mark" value={markKind} onChange={setMarkKind} className={styles.kind ?? ''} options={MARK_KINDS.map((k) => ({ value: k, label: k }))} />
          ) : (
            <div className={styles.brush}>
              <span>Brush {BRUSHES[brush]} cm</span>
              <span><button type="button" aria-label="Smaller brush" onClick={() => size(-1)}>[</button><button type="button" aria-label="Larger brush" onClick={() => size(1)}>]</button></span>
            </div>
          )}
          <button type="button" className={styles.tool} disabled={closed || undoCount === 0} onClick={undo}>Undo<kbd>Z</kbd></button>
          {redoCount > 0 ? <button type="button" className={styles.tool} disabled={closed} onClick={redo}>Redo<kbd>⇧Z</kbd></button> : null}
          {closed ? null : <button type="button" className={styles.tool} onClick={() => setFinding(true)}>Find the way</button>}
          <button type="button" className={styles.tool} onClick={download}>As SVG</button>
          {other && other.data.strokes.length > 0 && !closed ? <button type="button" className={styles.tool} onClick={mirror}>From {other.side}</button> : null}
        </div>
        {sheet ? <HairSheet zone={facts} side={zone.side} sheet={sheet} hair={zone.data.hair} content={content} tool={tool} radiusCm={BRUSHES[brush] ?? 1} markKind={markKind} readOnly={closed} onDone={done} /> : null}
      </div>
      {finding ? <FindGrowth sheetCm={[width, height]} onClose={() => setFinding(false)} onFound={(found) => done(content, { strokes: [...content.strokes, ...found.strokes], marks: content.marks })} /> : null}
      <Assessment hair={zone.data.hair} zone={facts} disabled={closed} onChange={(hair) => save({ hair })} />
      <details className={styles.table}>
        <summary>{plural(zone.data.marks.length, 'mark')}, {plural(zone.data.strokes.length, 'combed place')} as a list</summary>
        <ul>{zone.data.marks.map((m, i) => <li key={i}>{m.kind}, {m.radiusMm} mm, at {m.at[0]} cm across, {m.at[1]} cm down</li>)}</ul>
        <ul>{zone.data.strokes.slice(0, 40).map((s, i) => <li key={i}>at {s.at[0]}, {s.at[1]} cm the tips point {compass(s.towards)}</li>)}</ul>
      </details>
    </>
  );
}

const WAYS = ['right', 'down and right', 'down', 'down and left', 'left', 'up and left', 'up', 'up and right'];
const compass = ([dx, dy]: readonly [number, number]): string => WAYS[(Math.round((Math.atan2(dy, dx) * 4) / Math.PI) + 8) % 8] ?? '';
