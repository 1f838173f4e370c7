import { sized } from '@/formats/size';
import { Select } from 'antd';
import { MARK_KINDS, type MarkKind } from '@/core/field';
import type { Tool } from './combTool';
import { radioKeys } from '@/ui/radioKeys';
import styles from './Chart.module.css';

export const BRUSHES_CM = [0.3, 0.5, 0.8, 1.2, 2, 3] as const;

/** The brush a sheet of this width begins with. */
export function brushFor(widthCm: number): number {
  if (widthCm < 8) return 1;
  return widthCm > 15 ? 4 : 3;
}
/** Radii of marks, mm. */
export const MARKS_MM = [1, 2, 3, 5, 8, 12, 20] as const;
const SHARES = [
  [0.25, '1 in 4'],
  [0.5, 'half'],
] as const;
const DENSITIES = ['sparse', 'thin', 'mid', 'thick', 'dense'] as const;
const TOOLS = [
  ['comb', 'Comb', 'C'],
  ['cross', 'Two-way', 'X'],
  ['density', 'Density', 'D'],
  ['mark', 'Mark', 'M'],
  ['erase', 'Erase', 'E'],
] as const;

export interface ToolChoice {
  readonly tool: Tool;
  readonly brush: number;
  readonly markKind: MarkKind;
  readonly markSize: number;
  readonly share: number;
  readonly density: number;
}

interface Props {
  readonly choice: ToolChoice;
  readonly onChange: (choice: ToolChoice) => void;
  readonly disabled: boolean;
}

/** One step larger or smaller: the brush, or the mark where marks are set. */
export const resized = (c: ToolChoice, by: number): ToolChoice =>
  c.tool === 'mark'
    ? { ...c, markSize: Math.min(MARKS_MM.length - 1, Math.max(0, c.markSize + by)) }
    : { ...c, brush: Math.min(BRUSHES_CM.length - 1, Math.max(0, c.brush + by)) };

/** The density that the tool sets, one step on. */
export const thicker = (c: ToolChoice, by: number): ToolChoice => ({
  ...c,
  density: Math.min(DENSITIES.length, Math.max(1, c.density + by)),
});

/** What the hand holds: comb, crossing comb, density, mark or eraser, its size and what it sets. */
export function ChartTools({ choice, onChange, disabled }: Props) {
  const marking = choice.tool === 'mark';
  return (
    <div className={styles.tools} role="toolbar" aria-label="Tools">
      {TOOLS.map(([name, word, key]) => (
        <button
          key={name}
          type="button"
          className={styles.tool}
          aria-pressed={choice.tool === name}
          disabled={disabled}
          onClick={() => onChange({ ...choice, tool: name })}
        >
          {word}
          <kbd>{key}</kbd>
        </button>
      ))}
      <div className={styles.brush}>
        <span>
          {marking
            ? `Mark ${sized(2 * (MARKS_MM[choice.markSize] ?? 3), 'mm')}`
            : `Brush ${sized(BRUSHES_CM[choice.brush] ?? 1, 'cm')}`}
        </span>
        <span>
          <button
            type="button"
            aria-label={marking ? 'Smaller mark' : 'Smaller brush'}
            onClick={() => onChange(resized(choice, -1))}
          >
            [
          </button>
          <button
            type="button"
            aria-label={marking ? 'Larger mark' : 'Larger brush'}
            onClick={() => onChange(resized(choice, 1))}
          >
            ]
          </button>
        </span>
      </div>
      {marking ? (
        <Select
          aria-label="Kind of mark"
          value={choice.markKind}
          onChange={(markKind) => onChange({ ...choice, markKind })}
          className={styles.kind ?? ''}
          options={MARK_KINDS.map((k) => ({ value: k, label: k }))}
        />
      ) : null}
      {choice.tool === 'cross' ? (
        <div
          className={styles.shares}
          role="radiogroup"
          aria-label="Hairs that cross"
          tabIndex={-1}
          onKeyDown={radioKeys}
        >
          {SHARES.map(([share, word]) => (
            <button
              key={word}
              type="button"
              role="radio"
              aria-checked={choice.share === share}
              onClick={() => onChange({ ...choice, share })}
            >
              {word}
            </button>
          ))}
        </div>
      ) : null}
      {choice.tool === 'density' ? (
        <div className={styles.brush} role="group" aria-label="Hair there">
          <span aria-live="polite">
            Hair: <b>{DENSITIES[choice.density - 1]}</b>
          </span>
          <span>
            <button
              type="button"
              aria-label="Thinner hair"
              disabled={choice.density <= 1}
              onClick={() => onChange(thicker(choice, -1))}
            >
              −
            </button>
            <button
              type="button"
              aria-label="Thicker hair"
              disabled={choice.density >= DENSITIES.length}
              onClick={() => onChange(thicker(choice, 1))}
            >
              +
            </button>
          </span>
        </div>
      ) : null}
    </div>
  );
}
