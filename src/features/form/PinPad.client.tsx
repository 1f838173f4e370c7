'use client';

import { useEffect, useState } from 'react';
import { sendJson } from '@/ui/sendJson';
import styles from './Form.module.css';

const DIGITS = ['1', '2', '3', '4', '5', '6', '7', '8', '9'] as const;

interface Props {
  readonly formId: string;
  readonly onClose: (() => void) | null;
  readonly onBack: (visitId: string) => void;
}

/** The practitioner's way back: four to eight digits, large enough for gloves. */
export function PinPad({ formId, onClose, onBack }: Props) {
  const [pin, setPin] = useState('');
  const [fault, setFault] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const open = async (): Promise<void> => {
    if (pin.length < 4 || busy) return;
    setBusy(true);
    const sent = await sendJson<{ visitId: string }>('POST', `/api/forms/${formId}/unlock`, { pin });
    setBusy(false);
    setPin('');
    if (sent.ok) onBack(sent.value.visitId);
    else {
      setFault(
        sent.error.code === 'away' ? 'The server does not answer. What was written is kept here.' : sent.error.message,
      );
    }
  };
  useEffect(() => {
    const key = (event: KeyboardEvent): void => {
      if (/^\d$/.test(event.key)) setPin((p) => (p + event.key).slice(0, 8));
      else if (event.key === 'Backspace') setPin((p) => p.slice(0, -1));
      else if (event.key === 'Escape') onClose?.();
    };
    window.addEventListener('keydown', key);
    return () => window.removeEventListener('keydown', key);
  }, [onClose]);
  return (
    <div className={styles.pin} role="group" aria-label="Practitioner’s PIN">
      <p>Practitioner’s PIN</p>
      <p className={styles.pinDots} aria-live="polite" aria-label={`${pin.length} digits`}>
        {'●'.repeat(pin.length) || '–'}
      </p>
      {fault ? (
        <p role="alert" className={styles.fault}>
          {fault}
        </p>
      ) : null}
      <div className={styles.pinKeys}>
        {DIGITS.map((d) => (
          <button key={d} type="button" onClick={() => setPin((p) => (p + d).slice(0, 8))}>
            {d}
          </button>
        ))}
        <button type="button" onClick={() => setPin((p) => p.slice(0, -1))} aria-label="Take back one digit">
          ⌫
        </button>
        <button type="button" onClick={() => setPin((p) => `${p}0`.slice(0, 8))}>
          0
        </button>
        <button type="button" className={styles.pinOk} disabled={pin.length < 4 || busy} onClick={() => void open()}>
          Take back
        </button>
      </div>
      {onClose ? (
        <button type="button" className={styles.small} onClick={onClose}>
          Back to the form
        </button>
      ) : null}
    </div>
  );
}
