import { useId, useMemo } from 'react';
import { ZONES } from '@/core/anatomy';
import type { StripMark } from '@/core/hands';
import type { PlanZone } from '@/core/plan';
import type { ChartData } from '@/server/db/schema';
import { boxOf, isInside, type Ring } from '@/core/shared';
import { slabOf } from '@/formats/slab';
import { ringPath } from '@/formats/stripsSvg';
import { apart } from './discs';
import { lying } from './lying';
import { viewBoxOf, type SheetFrame } from './sheetBox';
import { Ghost, Hairs, KeptClear, MANY_HAIRS, Stays } from './SheetGround';
import { LayArrow, PullArrow } from './StripArrows';
import { handAt, LargeEdges, TableArrow } from './TableMarks';
import { discRadius, WaxSlab, type StripLook } from './WaxSlab';

export type { StripLook } from './WaxSlab';

interface Props {
  readonly zone: PlanZone;
  readonly data: ChartData;
  readonly looks: ReadonlyMap<string, StripLook>;
  readonly chosen?: string | null;
  readonly onChoose?: (id: string) => void;
  /** Tab, pull arrow and stretching hand of this strip are drawn large. */
  readonly act?: string | null;
  /** The arrow of the act: the stroke of the lay, or the pull from the tab. */
  readonly arrow?: 'lay' | 'pull';
  /** Strips that break a rule: marked with a bar and an exclamation mark. */
  readonly broken?: ReadonlySet<string>;
  /** About how tall it is drawn, px; sets the thickness of lines and figures. */
  readonly maxHeight?: number;
  /** The place that it fills at the table, px: drawn large, to be read from afar. */
  readonly frame?: SheetFrame;
  /** How far strips on the skin have set, 0–1. */
  readonly sets?: ReadonlyMap<string, number>;
  /** How strips came off. */
  readonly marks?: ReadonlyMap<string, StripMark>;
  /** The strip that the marks are about: a line goes from it to them. */
  readonly marked?: string | null;
}

/** Half the gap between slabs, how deep a tab is, the size of words, px. */
const INSET_PX = 2.5;
const TAB_PX = 12;
const WORD_PX = 15;
/** The least and greatest radius of a number's disc, px; the same at the table. */
const DISC_PX = [10, 19] as const;
const LARGE_DISC_PX = [14, 31] as const;
/** Where the line to the marks goes down, px. */
const MARK_LINE_PX = 46;

/**
 * The zone as it lies, what is beyond its borders, and the strips as wax: number, tab, grain along the lay; what is
 * still to be laid is a dashed outline, what is off is bare skin.
 */
export function StripSheet({
  zone: planned,
  data,
  looks,
  chosen,
  onChoose,
  act,
  arrow = 'pull',
  broken,
  maxHeight = 400,
  frame,
  sets,
  marks,
  marked = null,
}: Props) {
  const { zone, edges, transform } = useMemo(() => lying(planned), [planned]);
  const box = boxOf([zone.outline, ...zone.strips.map((s): Ring => [s.tab])]);
  const { unit, x0, y0, w, h } = viewBoxOf(box, maxHeight, frame);
  const isLarge = frame !== undefined;
  const discPx = isLarge ? LARGE_DISC_PX : DISC_PX;
  const slabs = useMemo(() => {
    // a strip that is gone over again has its number hidden: it takes no room
    const under = new Set(zone.strips.flatMap((s) => s.over ?? []));
    const made = zone.strips.map((s) => ({ id: s.id, slab: slabOf(s, INSET_PX * unit, TAB_PX * unit) }));
    const seen = made.filter(({ id }) => !under.has(id));
    const places = apart(
      seen.map(({ slab }) => ({ at: slab.disc, r: discRadius(slab, discPx, unit), foot: slab.foot })),
    );
    const moved = new Map(seen.map(({ id }, k) => [id, places[k]]));
    return new Map(made.map(({ id, slab }) => [id, { ...slab, disc: moved.get(id) ?? slab.disc }]));
  }, [zone, unit, discPx]);
  // where a later strip lies on the number of an earlier one, only the later has one
  const hidden = useMemo(() => {
    const later = zone.strips.filter((s) => s.over !== undefined);
    const isUnder = ({ id, tab }: PlanZone['strips'][number]): boolean => {
      const at = slabs.get(id)?.disc ?? tab;
      return later.some((l) => {
        const disc = slabs.get(l.id)?.disc ?? l.tab;
        const isNear = Math.hypot(disc[0] - at[0], disc[1] - at[1]) < 2 * LARGE_DISC_PX[1] * unit;
        return l.over?.includes(id) === true && (isNear || isInside([l.outline], at));
      });
    };
    return new Set(later.length === 0 ? [] : zone.strips.filter(isUnder).map((s) => s.id));
  }, [zone, slabs, unit]);
  const key = useId();
  const inHand = arrow === 'pull' ? zone.strips.find((s) => s.id === act) : undefined;
  const hand = inHand ? handAt(slabs.get(inHand.id)?.disc ?? inHand.tab, inHand.pull, unit, [x0, y0, w, h]) : null;
  return (
    <svg
      viewBox={`${x0} ${y0} ${w} ${h}`}
      style={{ width: '100%', height: '100%', display: 'block' }}
      role="group"
      aria-label={`${ZONES[zone.zone].name}, ${zone.strips.length} strips`}
    >
      <g transform={transform}>
        <Ghost zone={planned} unit={unit} />
      </g>
      <path d={ringPath(zone.outline)} fill="var(--skin)" stroke="var(--hairline-strong)" strokeWidth={1.5 * unit} />
      <g transform={transform}>
        <Hairs zone={planned} data={data} unit={unit} most={isLarge ? MANY_HAIRS : undefined} />
      </g>
      {zone.strips.map((s) => {
        const slab = slabs.get(s.id);
        return slab ? (
          <WaxSlab
            key={s.id}
            strip={s}
            slab={slab}
            look={looks.get(s.id) ?? 'wax'}
            ids={`${key}${s.id}`}
            unit={unit}
            strong={s.id === act || s.id === chosen}
            broken={broken?.has(s.id) ?? false}
            discPx={discPx}
            set={sets?.get(s.id)}
            mark={marks?.get(s.id)}
            under={hidden.has(s.id)}
            onChoose={onChoose}
          />
        ) : null;
      })}
      {zone.strips.map((s) => {
        const isAct = s.id === act;
        const from = slabs.get(s.id)?.disc ?? s.tab;
        if (isAct && isLarge) {
          return (
            <TableArrow
              key={s.id}
              strip={s}
              from={from}
              unit={unit}
              arrow={arrow}
              pale={looks.get(s.id) !== 'now'}
              view={[x0, y0, w, h]}
            />
          );
        }
        if (isAct && arrow === 'lay') return <LayArrow key={s.id} strip={s} unit={unit} />;
        return isAct || s.id === chosen ? <PullArrow key={s.id} strip={s} unit={unit} /> : null;
      })}
      <Stays zone={zone} ids={key} unit={unit} />
      <KeptClear zone={zone} unit={unit} />
      {marked !== null && slabs.get(marked) ? (
        <path
          d={`M${slabs.get(marked)?.disc.join(' ')}V${y0 + h - 18 * unit}H${x0 + MARK_LINE_PX * unit}V${y0 + h}`}
          fill="none"
          stroke="var(--second-ink)"
          strokeWidth={1.8 * unit}
          strokeDasharray={`0 ${(isLarge ? LARGE_DISC_PX[1] : 0) * unit} 100000`}
        />
      ) : null}
      {isLarge ? (
        <LargeEdges edges={edges} box={box} view={[x0, y0, w, h]} unit={unit} hand={hand} />
      ) : (
        <g fontSize={WORD_PX * unit} fill="var(--second-ink)" textAnchor="middle" aria-hidden="true">
          <text x={x0 + w / 2} y={y0 + 17 * unit}>
            {edges.up}
          </text>
          <text x={x0 + w / 2} y={y0 + h - 7 * unit}>
            {edges.down}
          </text>
          <text transform={`translate(${x0 + 17 * unit} ${y0 + h / 2}) rotate(-90)`}>{edges.left}</text>
          <text transform={`translate(${x0 + w - 17 * unit} ${y0 + h / 2}) rotate(90)`}>{edges.right}</text>
        </g>
      )}
    </svg>
  );
}
