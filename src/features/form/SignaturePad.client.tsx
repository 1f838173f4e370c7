'use client';

import { useRef, useState } from 'react';
import type { Signature } from '@/server/db/schema';
import styles from './Form.module.css';

type Stroke = readonly (readonly [number, number])[];
/** Units of the box in which a signature is kept. */
export const PAD = { width: 600, height: 180 } as const;
const LEAST_STEP = 2;

interface Props {
  readonly label: string;
  readonly value: Signature | null;
  readonly onChange: (signature: Signature | null) => void;
}

const pathOf = (stroke: Stroke): string => stroke.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x} ${y}`).join(' ');

/** Signed with the finger and kept as strokes; who cannot draw writes the name. */
export function SignaturePad({ label, value, onChange }: Props) {
  const [drawing, setDrawing] = useState<Stroke | null>(null);
  const live = useRef<Stroke>([]);
  const strokes = value?.kind === 'drawn' ? value.strokes : [];
  const at = (event: React.PointerEvent<SVGSVGElement>): readonly [number, number] => {
    const box = event.currentTarget.getBoundingClientRect();
    return [
      Math.round(((event.clientX - box.left) / box.width) * PAD.width),
      Math.round(((event.clientY - box.top) / box.height) * PAD.height),
    ];
  };
  const down = (event: React.PointerEvent<SVGSVGElement>): void => {
    event.currentTarget.setPointerCapture(event.pointerId);
    live.current = [at(event)];
    setDrawing(live.current);
  };
  const move = (event: React.PointerEvent<SVGSVGElement>): void => {
    if (drawing === null) return;
    const [x, y] = at(event);
    const last = live.current[live.current.length - 1];
    if (last && Math.hypot(last[0] - x, last[1] - y) < LEAST_STEP) return;
    live.current = [...live.current, [x, y]];
    setDrawing(live.current);
  };
  const up = (): void => {
    if (drawing === null) return;
    if (live.current.length > 1) onChange({ kind: 'drawn', strokes: [...strokes, live.current] });
    setDrawing(null);
  };
  return (
    <div className={styles.sign}>
      <div className={styles.signHead}>
        <strong>{label}</strong>
        <button type="button" className={styles.small} disabled={value === null} onClick={() => onChange(null)}>
          Begin again
        </button>
      </div>
      {value?.kind === 'typed' ? null : (
        <svg
          viewBox={`0 0 ${PAD.width} ${PAD.height}`}
          className={styles.pad}
          role="img"
          aria-label={`${label}: sign with the finger, or write your name below`}
          onPointerDown={down}
          onPointerMove={move}
          onPointerUp={up}
          onPointerCancel={() => setDrawing(null)}
        >
          <path d={`M30 ${PAD.height - 40} H${PAD.width - 30}`} className={styles.signLine} />
          {[...strokes, ...(drawing ? [drawing] : [])].map((s, i) => (
            <path key={i} d={pathOf(s)} className={styles.ink} />
          ))}
        </svg>
      )}
      {strokes.length === 0 ? (
        <label className={styles.typed}>
          Or write your full name
          <input
            value={value?.kind === 'typed' ? value.name : ''}
            maxLength={120}
            onChange={(e) => onChange(e.target.value === '' ? null : { kind: 'typed', name: e.target.value })}
          />
        </label>
      ) : null}
    </div>
  );
}
