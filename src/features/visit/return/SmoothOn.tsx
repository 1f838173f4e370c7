import { addDays, daysBetween } from '@/core/shared';
import type { NextSlots } from '@/server/services/nextSlots';
import { DateField } from '@/ui/DateField.client';
import { dayMonth, plural } from '@/ui/words';
import styles from './Return.module.css';

interface Props {
  readonly eventOn: string | null;
  readonly onEvent: (on: string | null) => void;
  readonly visitOn: string;
  /** Day of the visit that is chosen; null while none is. */
  readonly chosenOn: string | null;
  readonly smoothDays: number;
  readonly answer: NextSlots | null;
}

/** A date that counts, and whether the visit that is chosen fits it; else the visits that would. */
export function SmoothOn({ eventOn, onEvent, visitOn, chosenOn, smoothDays, answer }: Props) {
  return (
    <div className={styles.smooth}>
      <p>
        <strong>Must be smooth on</strong>
        <span className="quiet">a race, a wedding, a trip</span>
      </p>
      <DateField
        aria-label="Must be smooth on"
        min={addDays(visitOn, 1)}
        value={eventOn}
        onChange={(on) => onEvent(on === '' ? null : on)}
        placeholder="no such date"
      />
      <p role="status">{eventOn === null ? '' : words({ eventOn, visitOn, chosenOn, smoothDays, answer })}</p>
    </div>
  );
}

function words({
  eventOn,
  visitOn,
  chosenOn,
  smoothDays,
  answer,
}: Omit<Props, 'onEvent' | 'eventOn'> & { readonly eventOn: string }): string {
  const before = chosenOn === null ? null : daysBetween(chosenOn, eventOn);
  if (before !== null && before >= 2 && before <= smoothDays) {
    const latest = dayMonth(addDays(eventOn, -2));
    const how = `${plural(before, 'day')} before, so likely smooth on the day and redness usually gone`;
    return `${dayMonth(chosenOn ?? '')} fits: ${how}. Later than ${latest} is too close.`;
  }
  const series = answer?.smooth;
  if (series === undefined || answer === null) return 'Working it out …';
  if (series === null) return 'Too near: no wax is two days off by then.';
  if (series.visits.length === 0) {
    return `Today’s wax is likely still smooth on ${dayMonth(eventOn)}, after ${plural(daysBetween(visitOn, eventOn), 'day')}.`;
  }
  const days = series.visits.map(dayMonth).join(', ');
  const last = series.visits.at(-1) ?? eventOn;
  const gap = Math.max(...series.gapDays);
  const how = series.isReady
    ? `about every ${gap} days, the last ${plural(daysBetween(last, eventOn), 'day')} before`
    : 'the nearest there is: not all hair is long enough then, more is tweezed';
  return `${series.visits.length === 1 ? 'Come about' : 'Come about these days:'} ${days} (${how}).`;
}
