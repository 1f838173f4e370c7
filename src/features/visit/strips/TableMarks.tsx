// What is drawn large on the sheet at the table: the arrow of the act, the stretching hand, the words at the edges.

import type { PlanStrip } from '@/core/plan';
import { clamp, type Vec } from '@/core/shared';
import type { EdgeWords } from '../edgeWords';

interface ArrowProps {
  readonly strip: PlanStrip;
  /** The disc at the tab. */
  readonly from: Vec;
  readonly unit: number;
  readonly arrow: 'lay' | 'pull';
  /** While it sets: hand and arrow wait. */
  readonly pale: boolean;
  readonly view: ViewBox;
}

/** Room for a word beside the zone, and about how wide the hand is, px. */
const NAME_PX = 90;
const HAND_PX = 84;

const plus = ([x, y]: Vec, [u, v]: Vec, k: number): Vec => [x + u * k, y + v * k];

type ViewBox = readonly [x0: number, y0: number, width: number, height: number];

/** Where the stretching hand lies: behind the tab, and in sight. */
export function handAt(disc: Vec, pull: Vec, unit: number, [x0, y0, w, h]: ViewBox): Vec {
  const [x, y] = plus(disc, pull, -96 * unit);
  const edge = 0.7 * HAND_PX * unit;
  return [clamp(x, x0 + edge, x0 + w - edge), clamp(y, y0 + edge, y0 + h - edge)];
}

/** The pull from the tab past the foot with the stretching hand behind it, or the stroke of the lay. */
export function TableArrow({ strip, from, unit, arrow, pale, view }: ArrowProps) {
  const { lay, pull, lengthMm } = strip;
  const length = lengthMm / 10;
  if (arrow === 'lay') {
    // towards the tab the stroke ends there, else it starts there
    const towardsTab = lay[0] * pull[0] + lay[1] * pull[1] < 0;
    const start = towardsTab ? plus(from, lay, -0.86 * length) : from;
    return <Shaft from={start} way={lay} length={0.72 * length} unit={unit} />;
  }
  return (
    <g style={{ pointerEvents: 'none' }} opacity={pale ? 0.35 : 1}>
      {pale ? null : <Shaft from={plus(from, pull, 34 * unit)} way={pull} length={length + 10 * unit} unit={unit} />}
      <Hand at={handAt(from, pull, unit, view)} way={pull} unit={unit} />
    </g>
  );
}

function Shaft({
  from,
  way,
  length,
  unit,
}: {
  readonly from: Vec;
  readonly way: Vec;
  readonly length: number;
  readonly unit: number;
}) {
  const head = Math.min(34 * unit, 0.6 * length);
  const long = Math.max(length, head + 10 * unit);
  const turn = (Math.atan2(way[1], way[0]) * 180) / Math.PI;
  const [half, wing] = [6.5 * unit, 19 * unit];
  const neck = long - head;
  return (
    <path
      d={`M0 ${-half}H${neck}V${-wing}L${long} 0L${neck} ${wing}V${half}H0Z`}
      transform={`translate(${from.join(' ')}) rotate(${turn})`}
      fill="var(--walnut)"
      stroke="var(--sheet)"
      strokeWidth={3 * unit}
      strokeLinejoin="round"
      style={{ pointerEvents: 'none' }}
    />
  );
}

/** Fingers up, px; the wrist below. */
const FINGERS = 'M-17 2L-25 -34M-6 -4L-8 -50M6 -4L9 -50M17 0L24 -38M-15 22L-38 2';

/** The hand that holds the skin taut behind the tab, fingers towards the strip. */
function Hand({ at, way, unit }: { readonly at: Vec; readonly way: Vec; readonly unit: number }) {
  const turn = (Math.atan2(way[1], way[0]) * 180) / Math.PI + 90;
  const layer = (colour: string, more: number) => (
    <g stroke={colour} fill={colour} strokeWidth={13 + more} strokeLinecap="round" strokeLinejoin="round">
      <path d={FINGERS} fill="none" />
      <path d="M-16 4H16L14 30H-12Z" strokeWidth={8 + more} />
      <path d="M-3 30L-1 74M5 30L4 74" fill="none" strokeWidth={14 + more} />
    </g>
  );
  return (
    <g>
      <g transform={`translate(${at.join(' ')}) rotate(${turn}) scale(${unit})`}>
        {layer('var(--verdigris)', 5)}
        {layer('var(--verdigris-tint)', 0)}
      </g>
      <text
        {...beside(at, way, unit)}
        fontSize={24 * unit}
        fontWeight="650"
        fill="var(--verdigris)"
        stroke="var(--sheet)"
        strokeWidth={5 * unit}
        paintOrder="stroke"
      >
        stretch
      </text>
    </g>
  );
}

/** A word beside the hand, on the side where the arm is not. */
function beside(at: Vec, way: Vec, unit: number): { x: number; y: number; textAnchor: 'start' | 'middle' | 'end' } {
  const isUpright = Math.abs(way[1]) > Math.abs(way[0]);
  return isUpright
    ? { x: at[0] - 48 * unit, y: at[1] - 6 * unit, textAnchor: 'end' }
    : { x: at[0], y: at[1] - 44 * unit, textAnchor: 'middle' };
}

/** Which end is which, large and upright. */
export function LargeEdges({
  edges,
  box,
  view: [x0, y0, w, h],
  unit,
  hand,
}: {
  readonly edges: EdgeWords;
  readonly box: { readonly x0: number; readonly x1: number; readonly y0: number; readonly y1: number };
  readonly view: ViewBox;
  readonly unit: number;
  /** Where the hand lies: no word under it. */
  readonly hand: Vec | null;
}) {
  const middle = (box.x0 + box.x1) / 2;
  const isUnder = (y: number): boolean =>
    hand !== null && Math.abs(hand[0] - middle) < HAND_PX * unit && Math.abs(hand[1] - y) < 1.4 * HAND_PX * unit;
  const top = Math.max(y0 + 30 * unit, box.y0 - 16 * unit);
  const foot = Math.min(y0 + h - 26 * unit, box.y1 + 34 * unit);
  // beside the hand where it lies there
  const across = (y: number): number => middle + (isUnder(y) ? 1.6 * HAND_PX * unit : 0);
  const low = box.y0 + 0.66 * (box.y1 - box.y0);
  const side = (x: number, room: number): number => {
    if (room < NAME_PX * unit) return box.y1 + 40 * unit;
    const isNear =
      hand !== null && Math.abs(hand[0] - x) < 2 * HAND_PX * unit && Math.abs(hand[1] - low) < HAND_PX * unit;
    return isNear ? low - 2 * HAND_PX * unit : low;
  };
  const [left, right] = [
    Math.max(x0 + 12 * unit, box.x0 - 120 * unit),
    Math.min(x0 + w - 12 * unit, box.x1 + 120 * unit),
  ];
  const lines = (word: string): readonly string[] => (word.length > 11 ? word.split(' ') : [word]);
  const words = (word: string, x: number, y: number, textAnchor: 'start' | 'middle' | 'end') =>
    lines(word).map((line, i) => (
      <text key={line} x={x} y={y + i * 26 * unit} textAnchor={textAnchor}>
        {line}
      </text>
    ));
  return (
    <g
      fontSize={24 * unit}
      fill="var(--second-ink)"
      stroke="var(--sheet)"
      strokeWidth={5 * unit}
      paintOrder="stroke"
      aria-hidden="true"
    >
      {words(edges.up, across(top), top, 'middle')}
      {words(edges.down, across(foot), foot, 'middle')}
      {words(edges.left, left, side(left, box.x0 - x0), 'start')}
      {words(edges.right, right, side(right, x0 + w - box.x1), 'end')}
    </g>
  );
}
