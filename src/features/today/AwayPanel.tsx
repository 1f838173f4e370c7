'use client';

import { Button } from 'antd';
import { useState } from 'react';
import type { WeekAway } from '@/server/services/week';
import { sendJson } from '@/ui/sendJson';
import { dayMonth, weekday } from '@/ui/words';
import { clockText } from './weekTime';
import styles from './Week.module.css';

interface Props {
  readonly away: WeekAway;
  readonly person: string;
  readonly onSaid: (words: string) => void;
}

/** One time at which somebody is away. */
export function AwayPanel({ away, person, onSaid }: Props) {
  const [fault, setFault] = useState('');
  const remove = async (): Promise<void> => {
    const sent = await sendJson('PUT', `/api/absences/${away.id}`, {}, crypto.randomUUID());
    if (sent.ok) onSaid(`${person} is here again: ${weekday(away.on)} ${clockText(away.fromMin)}.`);
    else setFault(sent.error.message);
  };
  return (
    <div className={styles.panel}>
      <h2>{person} is away</h2>
      <p>
        {weekday(away.on)} {dayMonth(away.on)}, {clockText(away.fromMin)} to {clockText(away.toMin)}
      </p>
      <p className="quiet">
        {away.why}
        {away.source === 'calendar' ? '. Out of their own calendar.' : ''}
      </p>
      {fault === '' ? null : (
        <p role="alert" className={styles.bad}>
          {fault}
        </p>
      )}
      <Button onClick={() => void remove()}>Here after all</Button>
    </div>
  );
}
