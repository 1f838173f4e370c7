'use client';

import { FIGURES, FIGURE_SIZE, type Figure } from '@/core/anatomy';
import { bodyOutline, faceOutline } from './bodyDrawing';
import styles from './Body.module.css';

const NAMES: Readonly<Record<Figure, string>> = { front: 'From the front', back: 'From behind', face: 'Face' };

interface Props {
  /** What lies over a figure, in its own units. */
  readonly over: (figure: Figure) => React.ReactNode;
  /** A tap on a figure, in its own units; absent where what lies over it is tapped itself. */
  readonly onTap?: (figure: Figure, at: readonly [number, number]) => void;
  /** Shows one figure only. */
  readonly only?: Figure | undefined;
  /** Said to who does not see it. */
  readonly hint: string;
}

/** The body from the front and from behind, and the face: plain lines, to be tapped or to carry marks. */
export function BodyFigures({ over, onTap, only, hint }: Props) {
  const tap =
    (figure: Figure) =>
    (event: React.MouseEvent<SVGSVGElement>): void => {
      // the drawing may stand narrower than its box: the browser's own transform tells where the tap lies on it
      const toScreen = event.currentTarget.getScreenCTM();
      if (!toScreen || !onTap) return;
      const point = new DOMPoint(event.clientX, event.clientY).matrixTransform(toScreen.inverse());
      onTap(figure, [point.x, point.y]);
    };
  return (
    <div className={styles.figures} data-only={only !== undefined}>
      {FIGURES.filter((f) => only === undefined || f === only).map((figure) => {
        const [w, h] = FIGURE_SIZE[figure];
        return (
          <figure key={figure}>
            <svg
              viewBox={`0 0 ${w} ${h}`}
              data-figure={figure}
              {...(onTap ? { onClick: tap(figure), role: 'img' } : { role: 'group' })}
              aria-label={`${NAMES[figure]}: ${hint}`}
            >
              {figure === 'face' ? faceOutline : bodyOutline(figure)}
              {over(figure)}
            </svg>
            {only === undefined ? <figcaption>{NAMES[figure]}</figcaption> : null}
          </figure>
        );
      })}
    </div>
  );
}
