import type { NextSlots, OfferedSlot } from '@/server/services/nextSlots';
import { dayMonth, timeOfDay, weekday } from '@/ui/words';
import styles from './Return.module.css';

/** `Sat 2 January, 10:00`. */
export const slotName = ({ on, startsAtMs }: Pick<OfferedSlot, 'on' | 'startsAtMs'>, timeZone: string): string =>
  `${weekday(on).slice(0, 3)} ${dayMonth(on)}, ${timeOfDay(startsAtMs, timeZone)}`;

const sentence = (reasons: readonly string[]): string => {
  const text = reasons.join('; ');
  return text === '' ? '' : `${text.charAt(0).toUpperCase()}${text.slice(1)}.`;
};

interface Props {
  readonly answer: NextSlots | null;
  readonly fault: string | null;
  readonly chosen: number | null;
  readonly personName: string;
  readonly timeZone: string;
  readonly onChoose: (slot: OfferedSlot) => void;
}

/** Three free places with their reasons; one is chosen. */
export function SlotCards({ answer, fault, chosen, personName, timeZone, onChoose }: Props) {
  if (answer === null) {
    return (
      <p className="quiet" role="status">
        {fault ?? 'Looking for free places …'}
      </p>
    );
  }
  const all = [...(answer.asked ? [answer.asked] : []), ...answer.slots];
  const shown = all.filter((s, i) => all.findIndex((o) => o.startsAtMs === s.startsAtMs) === i).slice(0, 3);
  if (shown.length === 0) {
    return <p className={styles.outside}>Nothing is free in the window. Give another day and time below.</p>;
  }
  return (
    <ul className={styles.slots} aria-label="Free places">
      {shown.map((s) => (
        <li key={s.startsAtMs}>
          <button
            type="button"
            aria-pressed={s.startsAtMs === chosen}
            data-outside={s.outside}
            onClick={() => onChoose(s)}
          >
            <strong>{slotName(s, timeZone)}</strong>
            <span>
              {sentence(s.reasons)} {s.minutes} min free with {personName}.
            </span>
          </button>
        </li>
      ))}
    </ul>
  );
}
