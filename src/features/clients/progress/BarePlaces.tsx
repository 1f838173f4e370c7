import { squareCm } from '@/formats/size';
import type { BareZone } from '@/server/services/progress';
import { dayMonthYear } from '@/ui/words';
import styles from './Progress.module.css';

const LETTERS = 'ABCDEFGHIJKL';

/** Where strips came off without hair: outlined now, dashed inside where it was so half a year ago. */
export function BarePlaces({ zone }: { readonly zone: BareZone }) {
  const { outline, sizeCm, places, name } = zone;
  const [w, h] = sizeCm;
  const line = Math.max(w, h) / 140;
  return (
    <section className={styles.bare} aria-label={`Bare places, ${name}`}>
      <h3>Bare places, {name}</h3>
      <div>
        <svg viewBox={`${-line * 2} ${-line * 2} ${w + 4 * line} ${h + 4 * line}`} aria-hidden="true">
          <path
            d={`M${outline.map((p) => p.join(' ')).join('L')}Z`}
            fill="var(--skin)"
            stroke="var(--walnut)"
            strokeWidth={line}
          />
          {places.map((p, i) => (
            <g key={`${p.at.join()} ${p.on}`}>
              <circle
                cx={p.at[0]}
                cy={p.at[1]}
                r={p.radiusCm}
                fill="var(--verdigris-tint)"
                stroke="var(--verdigris)"
                strokeWidth={line}
              />
              {p.isOld ? (
                <circle
                  cx={p.at[0]}
                  cy={p.at[1]}
                  r={0.7 * p.radiusCm}
                  fill="none"
                  stroke="var(--verdigris)"
                  strokeWidth={line}
                  strokeDasharray={`${3 * line} ${2 * line}`}
                />
              ) : null}
              <text
                x={p.at[0]}
                y={p.at[1] + 0.03 * h}
                fontSize={0.09 * h}
                textAnchor="middle"
                fontWeight="700"
                fill="var(--verdigris)"
              >
                {LETTERS[i]}
              </text>
            </g>
          ))}
        </svg>
        <ul>
          {places.map((p, i) => (
            <li key={`${p.at.join()} ${p.on}`}>
              <strong>
                {LETTERS[i]}, about {squareCm(p.areaCm2)}
              </strong>{' '}
              <span className="quiet">no hair since {dayMonthYear(p.on)}</span>
            </li>
          ))}
          <li className="quiet">Hair often thins over time; that it stays away is no promise.</li>
        </ul>
      </div>
    </section>
  );
}
