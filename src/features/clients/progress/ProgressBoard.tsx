import { perSquare, sizeSign } from '@/formats/size';
import type { Progress } from '@/server/services/progress';
import { plural } from '@/ui/words';
import { BarePlaces } from './BarePlaces';
import { Curve } from './Curve';
import styles from './Progress.module.css';

/** Four small curves, what they say in one sentence, how regularly the client came, bare places. */
export function ProgressBoard({ progress }: { readonly progress: Progress }) {
  const { pain, minutes, density, tweezed, words, everyDays, kept, bare } = progress;
  return (
    <div className={styles.board}>
      <div className={styles.curves}>
        <Curve title="How it felt" unit="0 nothing, 10 the worst" points={pain} />
        <Curve title="Minutes" unit="at the table" points={minutes} />
        <Curve
          title="Density"
          unit={`hairs per ${sizeSign('cm')}²`}
          points={density.map((p) => ({ ...p, value: Number(perSquare(p.value)) }))}
        />
        <Curve title="Tweezed" unit="hairs" points={tweezed} />
      </div>
      {words === '' ? null : <p className={styles.words}>{words}</p>}
      <p className="quiet">
        {everyDays === null ? 'One visit so far.' : `Here every ${plural(everyDays, 'day')} on average.`}
        {kept.of === 0 ? '' : ` In the window ${kept.in} of ${kept.of} times.`}
      </p>
      {bare.map((z) => (
        <BarePlaces key={z.name} zone={z} />
      ))}
    </div>
  );
}
