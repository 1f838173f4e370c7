import type { ReactNode } from 'react';
import type { PlanHeat } from '@/core/plan';
import { degrees } from '@/ui/words';
import styles from './Match.module.css';

const WIDTH = 520;
const LEFT = 96;

/** The working window as the overlap of three bands: flows right, feels right, label; with this client's target. */
export function HeatBands({ heat, children }: { readonly heat: PlanHeat; readonly children?: ReactNode }) {
  const { bands, workingC } = heat;
  const low = Math.floor(Math.min(bands.flowC[0], bands.labelC[0], workingC.min) / 2) * 2 - 2;
  const high = Math.ceil(Math.max(Math.min(bands.flowC[1], bands.labelC[1] + 6), bands.labelC[1], workingC.max) / 2) * 2 + 2;
  const x = (c: number): number => LEFT + ((Math.min(high, Math.max(low, c)) - low) / (high - low)) * (WIDTH - LEFT - 12);
  const step = high - low > 16 ? 4 : 2;
  const ticks = Array.from({ length: Math.floor((high - low) / step) + 1 }, (_, i) => low + i * step);
  const rows = [
    { name: 'flows right', from: bands.flowC[0], to: bands.flowC[1], fill: 'var(--wax-tint)', line: 'var(--wax)' },
    { name: 'feels right', from: low, to: bands.feelMaxC, fill: 'var(--verdigris-tint)', line: 'var(--verdigris)' },
    { name: 'label', from: bands.labelC[0], to: bands.labelC[1], fill: '#eee5d5', line: 'var(--second-ink)' },
  ];
  const sets = heat.setS.max > 30;
  return (
    <section className={styles.heat}>
      <div>
        <h2>Heat for this skin</h2>
        <svg viewBox={`0 0 ${WIDTH} 150`} role="img" aria-label={`Working heat at touch ${workingC.min} to ${workingC.max} degrees, target ${workingC.target}. Estimate.`} className={styles.bands}>
          {ticks.map((c) => (
            <g key={c}><line x1={x(c)} x2={x(c)} y1="4" y2="112" stroke="var(--hairline)" /><text x={x(c)} y="128" textAnchor="middle" fontSize="13" fill="var(--second-ink)">{c}°</text></g>
          ))}
          {rows.map((r, i) => (
            <g key={r.name}>
              <text x="0" y={24 + i * 34} fontSize="14" fill="var(--walnut)">{r.name}</text>
              <rect x={x(r.from)} y={8 + i * 34} width={Math.max(2, x(r.to) - x(r.from))} height="24" fill={r.fill} stroke={r.line} rx="4" />
            </g>
          ))}
          <rect x={x(workingC.min)} y="3" width={Math.max(2, x(workingC.max) - x(workingC.min))} height="108" fill="none" stroke="var(--walnut)" strokeWidth="2" strokeDasharray="5 3" rx="4" />
          <line x1={x(workingC.target)} x2={x(workingC.target)} y1="2" y2="114" stroke="var(--wax-dark)" strokeWidth="3" />
          <text x={x(workingC.target)} y="147" textAnchor="middle" fontSize="16" fontWeight="700" fill="var(--wax-dark)">{degrees(workingC.target)} at touch</text>
        </svg>
      </div>
      <div className={styles.figures}>
        <p>Lay it about <strong>{heat.thicknessMm} mm</strong> thick. The pot stands at about <strong>{degrees(heat.potC)}</strong>.</p>
        <p>It feels like about <strong>{degrees(heat.feltPeakC)}</strong>{sets ? <>, is ready after about <strong>{heat.setS.min} s</strong>, before <strong>{heat.setS.max} s</strong></> : ', and comes off at once'}.</p>
        {heat.laterPass ? <p className="quiet">A later pass on waxed skin: {degrees(heat.laterPass.target)}, at most {degrees(heat.laterPass.max)}.</p> : null}
        {children}
        <p className="estimate">Estimates. Test on your wrist: the wrist decides.</p>
      </div>
    </section>
  );
}
