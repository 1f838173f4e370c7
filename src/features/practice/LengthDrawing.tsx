// Hairs at their length beside a bar of the studio's own measure: a centimetre, or an inch.

import { sizeSign } from '@/formats/size';
import styles from './Practice.module.css';

const PX_PER_MM = 15;
const FIRST_Y = 26;
const STEP_Y = 15;

export const LengthDrawing = ({ lengthsMm }: { readonly lengthsMm: readonly number[] }) => {
  const isInch = sizeSign('mm') === 'in';
  const barPx = (isInch ? 25.4 : 10) * PX_PER_MM;
  const footY = FIRST_Y + lengthsMm.length * STEP_Y + 24;
  return (
    <svg
      viewBox={`0 0 520 ${footY + 20}`}
      className={styles.lengths}
      role="img"
      aria-label="Hairs beside a bar of known length"
    >
      {lengthsMm.map((mm, k) => {
        const [x, y, l] = [30 + (k % 3) * 14, FIRST_Y + k * STEP_Y, mm * PX_PER_MM];
        const bow = k % 2 === 0 ? 5 : -5;
        return <path key={k} d={`M${x} ${y}Q${x + l / 2} ${y + bow} ${x + l} ${y}`} />;
      })}
      <path d={`M30 ${footY - 6}V${footY + 6}M30 ${footY}h${barPx}m0 -6v12`} data-bar />
      <text x={40 + barPx} y={footY + 5}>
        {isInch ? '1 in' : '1 cm'}
      </text>
    </svg>
  );
};
