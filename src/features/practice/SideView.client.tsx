'use client';

import { useRef, useState, type PointerEvent } from 'react';
import styles from './Practice.module.css';

const [WIDTH, HEIGHT, SKIN_Y, FOOT_X, TAB_X] = [460, 150, 126, 230, 420] as const;

export interface SidePull {
  readonly liftDeg: number;
  readonly cmPerS: number;
}

interface Props {
  readonly lengthCm: number;
  readonly disabled: boolean;
  readonly onPull: (pull: SidePull) => void;
}

/** Seen from the side: the strip's end is taken hold of and drawn off, back over the strip and past its foot. */
export function SideView({ lengthCm, disabled, onPull }: Props) {
  const svg = useRef<SVGSVGElement>(null);
  const from = useRef<{ readonly x: number; readonly y: number; readonly atMs: number } | null>(null);
  const [hand, setHand] = useState<readonly [number, number] | null>(null);
  const [short, setShort] = useState(false);
  const placeOf = (event: PointerEvent): readonly [number, number] => {
    const box = svg.current?.getBoundingClientRect();
    if (!box) return [TAB_X, SKIN_Y];
    return [((event.clientX - box.left) / box.width) * WIDTH, ((event.clientY - box.top) / box.height) * HEIGHT];
  };
  const down = (event: PointerEvent): void => {
    if (disabled) return;
    event.currentTarget.setPointerCapture(event.pointerId);
    const [x, y] = placeOf(event);
    from.current = { x, y, atMs: performance.now() };
    setShort(false);
    setHand([x, y]);
  };
  const move = (event: PointerEvent): void => {
    if (from.current) setHand(placeOf(event));
  };
  const up = (event: PointerEvent): void => {
    const began = from.current;
    if (!began) return;
    from.current = null;
    setHand(null);
    const [x, y] = placeOf(event);
    const [back, lift] = [began.x - x, began.y - y];
    const far = Math.hypot(back, lift);
    const pxPerCm = (TAB_X - FOOT_X) / Math.max(1, lengthCm);
    if (far < 0.6 * (TAB_X - FOOT_X)) return setShort(true);
    const seconds = Math.max(0.03, (performance.now() - began.atMs) / 1000);
    const liftDeg = Math.max(0, (Math.atan2(lift, back) * 180) / Math.PI);
    onPull({ liftDeg, cmPerS: far / pxPerCm / seconds });
  };
  const [x, y] = hand ?? [TAB_X, SKIN_Y - 10];
  return (
    <figure className={styles.side}>
      <svg
        ref={svg}
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        data-testid="side-view"
        data-disabled={disabled}
        onPointerDown={down}
        onPointerMove={move}
        onPointerUp={up}
        onPointerCancel={() => {
          from.current = null;
          setHand(null);
        }}
        role="img"
        aria-label="The strip from the side: take its end and pull it off."
      >
        <line x1={10} x2={WIDTH - 10} y1={SKIN_Y} y2={SKIN_Y} className={styles.skinLine} />
        {Array.from({ length: 12 }, (_, k) => (
          <line
            key={k}
            x1={FOOT_X + 8 + k * 15}
            x2={FOOT_X + 17 + k * 15}
            y1={SKIN_Y}
            y2={SKIN_Y - 12}
            className={styles.sideHair}
          />
        ))}
        <path d={`M${FOOT_X} ${SKIN_Y - 4}H${TAB_X}`} className={styles.sideWax} />
        {hand ? (
          <path
            d={`M${Math.max(FOOT_X, Math.min(TAB_X, x + 60))} ${SKIN_Y - 4}L${x} ${y}`}
            className={styles.sideOff}
          />
        ) : null}
        <circle cx={x} cy={y} r={22} className={styles.sideHand} />
      </svg>
      <figcaption>
        {short
          ? 'It is not off: pull past its far edge.'
          : 'Take the end and pull it off: how flat and how quick is yours.'}
      </figcaption>
    </figure>
  );
}
