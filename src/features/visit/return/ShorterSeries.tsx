import { ZONES } from '@/core/anatomy';
import { visitEvery, type RegrowthModel } from '@/core/hair';
import { CROSSED_FACTOR } from '@/core/matching';
import type { PlanZone } from '@/core/plan';
import { plural } from '@/ui/words';
import type { FamilyLine } from './regrowthLines';
import styles from './Return.module.css';

const SOONER = [14, 18, 21];

interface Props {
  readonly model: RegrowthModel;
  readonly own: FamilyLine;
  readonly planned: PlanZone;
  readonly idealDay: number;
  /** The house lays crossed where hair is short. */
  readonly isCrossed: boolean;
}

/** For who cannot bear the regrowth: sooner, with what it costs, beside the ideal. */
export function ShorterSeries({ model, own, planned, idealDay, isCrossed }: Props) {
  const hairs = planned.hairs;
  const range = { shortestMm: own.shortestMm, longestMm: own.longestMm };
  const crossed = { ...range, shortestMm: own.shortestMm * (isCrossed ? CROSSED_FACTOR : 1) };
  const rows = [
    ...SOONER.filter((d) => d < idealDay).map((d) => visitEvery(model, d, { range: crossed, hairs, idealDay })),
    visitEvery(model, idealDay, { range, hairs, idealDay }),
  ];
  return (
    <details className={styles.sooner}>
      <summary>Cannot bear the regrowth?</summary>
      <p className="quiet">
        {ZONES[planned.zone].name}, sooner{isCrossed ? ' and laid crossed' : ''}: what it costs.
      </p>
      <table>
        <thead>
          <tr>
            <th>every</th>
            <th>long enough</th>
            <th>left to tweeze</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((r) => (
            <tr key={r.everyDays} data-ideal={r.everyDays === idealDay}>
              <td>{plural(r.everyDays, 'day')}</td>
              <td>{Math.round(10 * r.longEnough)} of 10</td>
              <td>
                about {r.leftHairs}, {r.tweezeMin} min
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  );
}
