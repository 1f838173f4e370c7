'use client';

import { withSizes } from '@/formats/size';
import { useId, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { Sheet, Side, ZoneId } from '@/core/anatomy';
import { BROW_POINT_NAMES, isSimpleRing, moveWords, ringOfLine, type KeepLine } from '@/core/outcomes';
import { clamp, roundTo, type Region, type Ring, type Vec } from '@/core/shared';
import { ARROWS } from '../arrowKeys';
import { toPicture, wayToSheet, type View } from '../../sheetView';
import { BrowGround } from './BrowGround';
import type { KeepShown } from './keepShown';
import styles from './Keep.module.css';

interface Props {
  readonly zone: ZoneId;
  readonly side: Side;
  readonly sheet: Sheet;
  readonly view: View;
  readonly shown: KeepShown;
  readonly readOnly: boolean;
  /** Lines under the hand; null when the hand lets go without a change. */
  readonly onDrag: (lines: readonly KeepLine[] | null) => void;
  readonly onDone: (lines: readonly KeepLine[]) => void;
}

/** A point is moved in steps of this, cm: half a millimetre. */
const STEP_CM = 0.05;
/** With Shift a point goes this many steps. */
const WIDE = 4;

export const path = (region: Region): string =>
  region.map((ring) => `M${ring.map(([x, y]) => `${roundTo(x, 3)} ${roundTo(y, 3)}`).join('L')}Z`).join('');

const middle = (ring: Ring): Vec => [
  ring.reduce((s, p) => s + p[0], 0) / ring.length,
  ring.reduce((s, p) => s + p[1], 0) / ring.length,
];

/** Place of a point moved to near `to`: whole steps from where it stands unmoved, kept on the sheet. */
const stepped = (from: Vec, to: Vec, { widthCm, heightCm }: Sheet): Vec => {
  const snap = (a: number, b: number, most: number): number =>
    roundTo(clamp(a + Math.round((b - a) / STEP_CM) * STEP_CM, 0, most), 4);
  return [snap(from[0], to[0], widthCm), snap(from[1], to[1], heightCm)];
};

/** The line between what stays and what goes over the sheet: what goes hatched, the line with its points. */
export function KeepLayer({ zone, side, sheet, view, shown, readOnly, onDrag, onDone }: Props) {
  const hatch = useId();
  const clip = useId();
  const [held, setHeld] = useState<readonly [number, number] | null>(null);
  const start = useRef<{ readonly lines: readonly KeepLine[]; readonly at: Vec; readonly pointer: Vec } | null>(null);
  const place = (at: Vec): Vec => toPicture(view, at);
  /** The lines with one point elsewhere; null where the line would cross itself. */
  const moved = (lines: readonly KeepLine[], line: number, point: number, to: Vec): readonly KeepLine[] | null => {
    const next = lines.map((l, i) =>
      i === line ? { ...l, points: l.points.map((p, k) => (k === point ? to : p)) } : l,
    );
    const own = next[line];
    return own && isSimpleRing(ringOfLine(own, sheet)) ? next : null;
  };
  const down = (e: PointerEvent, [line, point]: readonly [number, number], at: Vec): void => {
    if (readOnly || e.button !== 0) return;
    e.currentTarget.setPointerCapture(e.pointerId);
    start.current = { lines: shown.lines, at, pointer: [e.clientX, e.clientY] };
    setHeld([line, point]);
  };
  const unmoved = (line: number, point: number, at: Vec): Vec => shown.reference[line]?.[point] ?? at;
  const move = (e: PointerEvent, line: number, point: number): void => {
    const from = start.current;
    if (!from) return;
    const way = wayToSheet(view, [e.clientX - from.pointer[0], e.clientY - from.pointer[1]]);
    const to: Vec = [from.at[0] + way[0] / view.pxPerCm, from.at[1] + way[1] / view.pxPerCm];
    const next = moved(from.lines, line, point, stepped(unmoved(line, point, from.at), to, sheet));
    if (next) onDrag(next);
  };
  const up = (): void => {
    const from = start.current;
    start.current = null;
    if (from && shown.lines !== from.lines) onDone(shown.lines);
  };
  const cancel = (): void => {
    start.current = null;
    onDrag(null);
  };
  const key = (e: KeyboardEvent, line: number, point: number, at: Vec): void => {
    const arrow = ARROWS[e.key];
    if (e.key === 'Escape') return cancel();
    if (!arrow || readOnly) return;
    const way = wayToSheet(view, arrow);
    e.preventDefault();
    e.stopPropagation();
    const far = STEP_CM * (e.shiftKey ? WIDE : 1);
    const next = moved(
      shown.lines,
      line,
      point,
      stepped(unmoved(line, point, at), [at[0] + way[0] * far, at[1] + way[1] * far], sheet),
    );
    if (next) onDone(next);
  };
  const goes = [...shown.going].sort((a, b) => b.length - a.length)[0];
  return (
    <>
      <svg className={styles.over} width={view.width} height={view.height} aria-hidden="true">
        <defs>
          <pattern id={hatch} width="9" height="9" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <line x1="0" y1="0" x2="0" y2="9" className={styles.hatch} />
          </pattern>
          <clipPath id={clip}>
            <path d={path([sheet.outline.map(place)])} />
          </clipPath>
        </defs>
        {zone === 'brow' ? <BrowGround side={side} sheet={sheet} place={place} /> : null}
        <path d={path(shown.going.map((r) => r.map(place)))} fill={`url(#${hatch})`} fillRule="evenodd" />
        <g clipPath={`url(#${clip})`}>
          {shown.apartMm !== null && shown.apartMm > 0
            ? shown.mirror.map((r, i) => <path key={i} d={path([r.map(place)])} className={styles.mirror} />)
            : null}
          {shown.rings.map((r, i) => (
            <path key={i} d={path([r.map(place)])} className={styles.line} />
          ))}
        </g>
        {zone === 'brow' ? null : <Labels stays={shown.rings} goes={goes} sheet={sheet} place={place} />}
      </svg>
      {shown.lines.flatMap((line, i) =>
        line.points.map((at, k) => {
          const from = unmoved(i, k, at);
          const words = withSizes(moveWords(from, at, side) ?? '');
          const name = zone === 'brow' ? BROW_POINT_NAMES[k] : `line ${i + 1}, point ${k + 1}`;
          const [x, y] = place(at);
          const isHeld = held?.[0] === i && held[1] === k;
          return (
            <button
              key={`${i}.${k}`}
              type="button"
              className={styles.point}
              style={{ left: x, top: y }}
              disabled={readOnly}
              aria-label={`What stays, ${name}: ${words ?? 'not moved'}. Arrow keys move it by half a millimetre.`}
              onPointerDown={(e) => down(e, [i, k], at)}
              onPointerMove={(e) => move(e, i, k)}
              onPointerUp={up}
              onPointerCancel={cancel}
              onFocus={() => setHeld([i, k])}
              onBlur={() => setHeld(null)}
              onKeyDown={(e) => key(e, i, k, at)}
            >
              {isHeld && words ? <span className={styles.moved}>{words}</span> : null}
            </button>
          );
        }),
      )}
    </>
  );
}

function Labels({
  stays,
  goes,
  sheet,
  place,
}: {
  readonly stays: readonly Ring[];
  readonly goes: Ring | undefined;
  readonly sheet: Sheet;
  readonly place: (at: Vec) => Vec;
}) {
  const kept = stays.map((ring) =>
    middle(ring.map(([x, y]): Vec => [clamp(x, 0, sheet.widthCm), clamp(y, 0, sheet.heightCm)])),
  );
  return (
    <>
      {kept.map((at, i) => (
        <text key={i} x={place(at)[0]} y={place(at)[1]} className={styles.stays}>
          stays
        </text>
      ))}
      {goes ? (
        <text x={place(middle(goes))[0]} y={place(middle(goes))[1]} className={styles.goes}>
          goes
        </text>
      ) : null}
    </>
  );
}
