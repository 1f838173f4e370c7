// Wax leaving the stick: a thin stream, a slow thick drop, a lump that stays.

import type { Flow } from '@/core/practice';
import styles from './Practice.module.css';

const DROPS: Readonly<Record<Flow, string>> = {
  runs: 'M146 62Q150 100 148 196Q150 202 152 196Q156 100 158 62Z',
  syrup: 'M126 62Q132 92 138 110Q126 140 134 158Q152 176 170 158Q178 140 166 110Q172 92 178 62Z',
  stiff: 'M112 60Q116 88 152 92Q188 88 192 60Z',
};

export const FlowDrawing = ({ flow }: { readonly flow: Flow }) => (
  <svg viewBox="0 0 320 220" className={styles.flow} role="img" aria-label="Wax on the stick">
    <path d={DROPS[flow]} data-wax />
    <rect x={20} y={40} width={190} height={26} rx={12} data-stick />
    <path d="M96 66Q100 36 152 34Q206 36 210 54Q200 68 152 66Z" data-wax />
    {flow === 'runs' ? <path d="M120 204Q150 190 186 204Z" data-wax /> : null}
  </svg>
);
