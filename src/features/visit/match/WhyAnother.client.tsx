'use client';

import { Button, Input } from 'antd';
import { useState } from 'react';
import styles from './Match.module.css';

const REASONS = ['client asks', 'pot is hot', 'worked last time', 'out of stock'] as const;

interface Props {
  readonly name: string;
  readonly onTake: (reason: string) => void;
  readonly onLeave: () => void;
}

/** Another choice than the proposed one: one tap on a reason takes it; the reason stays with the visit. */
export function WhyAnother({ name, onTake, onLeave }: Props) {
  const [other, setOther] = useState<string | null>(null);
  return (
    <div className={styles.why} role="group" aria-label={`Why ${name}`}>
      <span>Take {name}, because</span>
      {REASONS.map((r) => (
        <Button key={r} onClick={() => onTake(r)}>
          {r}
        </Button>
      ))}
      {other === null ? (
        <Button onClick={() => setOther('')}>other …</Button>
      ) : (
        <>
          <Input
            aria-label="Why another"
            placeholder="Say why; it stays with the visit"
            value={other}
            maxLength={500}
            onChange={(e) => setOther(e.target.value)}
            onPressEnter={() => other.trim() !== '' && onTake(other.trim())}
            autoFocus
          />
          <Button type="primary" disabled={other.trim() === ''} onClick={() => onTake(other.trim())}>
            Take it
          </Button>
        </>
      )}
      <Button type="text" onClick={onLeave}>
        Leave it
      </Button>
    </div>
  );
}
