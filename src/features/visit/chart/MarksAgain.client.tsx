'use client';

import { sized } from '@/formats/size';
import { Button } from 'antd';
import { useLayoutEffect, useMemo, useRef, useState } from 'react';
import type { Vec } from '@/core/shared';
import type { ChartMark, Spot } from '@/server/db/schema';
import { dayMonthYear, plural } from '@/ui/words';
import { toPicture, type View } from '../sheetView';
import styles from './Chart.module.css';

/** How the sheet lies, and the frame in which it does. */
export interface SheetLies {
  readonly view: View;
  readonly frame: HTMLElement;
}

interface Props {
  readonly marks: readonly ChartMark[];
  /** Places that the client tapped on the form and that are on no chart yet. */
  readonly tapped: readonly Spot[];
  readonly disabled: boolean;
  readonly onMarks: (marks: readonly ChartMark[]) => void;
  readonly onTapped: (spot: Spot) => void;
  /** Null before the sheet is drawn. */
  readonly lies: SheetLies | null;
}

const seen = ({ kind, at, radiusMm, note, since }: ChartMark): ChartMark => ({
  kind,
  at,
  radiusMm,
  ...(note ? { note } : {}),
  ...(since ? { since } : {}),
});

/** Marks known from before, to be looked at again, and places tapped by the client. Until then they count as there. */
export function MarksAgain({ marks, tapped, disabled, onMarks, onTapped, lies }: Props) {
  const box = useRef<HTMLElement>(null);
  const open = useMemo(() => marks.filter((m) => m.unseen), [marks]);
  if (disabled || open.length + tapped.length === 0) return null;
  return (
    <>
      {lies ? <MarkLines box={box} lies={lies} marks={open} /> : null}
      <section ref={box} className={styles.again} aria-label="Marks to look at again">
        {open.length > 1 ? (
          <p>
            <strong>{plural(open.length, 'mark')} from before: still there?</strong>
            <Button onClick={() => onMarks(marks.map(seen))}>All still there</Button>
          </p>
        ) : null}
        <ul>
          {open.map((m) => (
            <li key={`${m.kind}${m.at.join()}`}>
              <span>
                {open.length === 1 ? <strong>Still there?</strong> : null}
                {describe(m)}
              </span>
              <Button onClick={() => onMarks(marks.map((o) => (o === m ? seen(o) : o)))}>Still there</Button>
              <Button onClick={() => onMarks(marks.filter((o) => o !== m))}>Gone</Button>
            </li>
          ))}
          {tapped.map((s, i) => (
            <li key={`tapped${i}`}>
              <span>The client tapped a {s.kind === 'sore' ? 'sore place' : 'mark'} here on the form.</span>
              <Button onClick={() => onTapped(s)}>Put it on the chart</Button>
            </li>
          ))}
        </ul>
      </section>
    </>
  );
}

/** From the question to each mark it asks about. */
function MarkLines({
  box,
  lies: { view, frame },
  marks,
}: {
  readonly box: { readonly current: HTMLElement | null };
  readonly lies: SheetLies;
  readonly marks: readonly ChartMark[];
}) {
  const [lines, setLines] = useState<readonly (readonly [Vec, Vec])[]>([]);
  useLayoutEffect(() => {
    const asked = box.current;
    const surface = asked?.parentElement;
    if (!asked || !surface) return;
    const measure = (): void => {
      const [page, sheet, from] = [surface, frame, asked].map((e) => e.getBoundingClientRect());
      if (!page || !sheet || !from) return;
      setLines(
        marks.map(({ at }): readonly [Vec, Vec] => {
          const [x, y] = toPicture(view, at);
          const end: Vec = [sheet.left - page.left + x, sheet.top - page.top + y];
          // from the nearest place of the box's edge
          const start: Vec = [
            Math.min(Math.max(end[0], from.left - page.left), from.right - page.left),
            Math.min(Math.max(end[1], from.top - page.top), from.bottom - page.top),
          ];
          return [start, end];
        }),
      );
    };
    measure();
    const watch = new ResizeObserver(measure);
    watch.observe(asked);
    watch.observe(surface);
    return () => watch.disconnect();
  }, [box, view, frame, marks]);
  return (
    <svg className={styles.markLines} aria-hidden="true">
      {lines.map(([from, to]) => (
        <line key={to.join()} x1={from[0]} y1={from[1]} x2={to[0]} y2={to[1]} />
      ))}
    </svg>
  );
}

/** `mole, 6 mm, since 3 March 2026: dark and flat` */
const describe = (m: ChartMark): string =>
  `${m.kind}, ${sized(2 * m.radiusMm, 'mm')} across${m.since ? `, since ${dayMonthYear(m.since)}` : ''}${m.note ? `: ${m.note}` : ''}`;
