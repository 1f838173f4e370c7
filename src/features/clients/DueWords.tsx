import type { Due } from '@/server/services/outlook';
import { shortDateTime, dayMonth, plural, shortSpan } from '@/ui/words';
import styles from './Clients.module.css';

/** When the client is due: booked, ready, or past it. */
export function dueWords({ bookedMs, state, fromOn, toOn, overDays }: Due, timeZone: string): string {
  if (bookedMs !== null) return `booked ${shortDateTime(bookedMs, timeZone)}`;
  if (fromOn === null || toOn === null) return '';
  if (state === 'over') return `overdue ${plural(overDays, 'day')}`;
  return `${state === 'ready' ? 'ready now, ' : 'ready '}${shortSpan(fromOn, toOn)}`;
}

/** Last done and next due, two lines. */
export function DueWords({ due, timeZone }: { readonly due: Due | null; readonly timeZone: string }) {
  if (!due) return <span />;
  return (
    <span className={styles.due} data-state={due.bookedMs === null ? due.state : 'booked'}>
      <b>{dueWords(due, timeZone)}</b>
      <small>last {dayMonth(due.lastOn)}</small>
    </span>
  );
}
