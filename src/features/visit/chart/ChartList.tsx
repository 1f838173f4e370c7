import { perSquare, sized, sizedPair, sizeSign } from '@/formats/size';
import { hairsPerCm2 } from '@/core/anatomy';
import { plural } from '@/ui/words';
import type { SheetContent } from './combTool';
import styles from './Chart.module.css';

/** What was combed and felt on the sheet, as a list that can be read out. */
export function ChartList({ content, hairs }: { readonly content: SheetContent; readonly hairs: number }) {
  return (
    <details className={styles.table}>
      <summary>
        {plural(content.strokes.length, 'combed place')}
        {content.densities.length === 0
          ? ''
          : ` and ${plural(content.densities.length, 'place thinner or thicker', 'places thinner or thicker')}`}{' '}
        as a list
      </summary>
      <ul>
        {content.densities.slice(0, 40).map((d, i) => (
          <li key={`d${i}`}>
            round {sizedPair(d.at[0], ', ', d.at[1], 'cm')}, {sized(d.radiusCm, 'cm')} about: about{' '}
            {perSquare(hairsPerCm2(hairs, d.density))} hairs per {sizeSign('cm')}²
          </li>
        ))}
        {content.strokes.slice(0, 40).map((s, i) => (
          <li key={i}>
            at {sizedPair(s.at[0], ', ', s.at[1], 'cm')} the tips{' '}
            {s.share === undefined ? '' : `of ${Math.round(100 * s.share)} % `}
            point {compass(s.towards)}
          </li>
        ))}
      </ul>
    </details>
  );
}

const WAYS = ['right', 'down and right', 'down', 'down and left', 'left', 'up and left', 'up', 'up and right'];
const compass = ([dx, dy]: readonly [number, number]): string =>
  WAYS[(Math.round((Math.atan2(dy, dx) * 4) / Math.PI) + 8) % 8] ?? '';
