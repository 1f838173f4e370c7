'use client';

import { useEffect, useState } from 'react';
import { sendJson } from './sendJson';
import styles from './PinPad.module.css';

const DIGITS = ['1', '2', '3', '4', '5', '6', '7', '8', '9'] as const;
const MOST_DIGITS = 8;

interface Props<T> {
  /** Where the PIN is sent. */
  readonly url: string;
  /** What is sent with it. */
  readonly more?: Readonly<Record<string, unknown>>;
  /** What the key does that sends it. */
  readonly does: string;
  readonly onOpened: (answer: T) => void;
  /** Way back without a PIN; null where there is none. */
  readonly onClose: (() => void) | null;
  readonly closeWords?: string;
}

/** A practitioner's PIN: four to eight digits, large enough for gloves. */
export function PinPad<T>({ url, more, does, onOpened, onClose, closeWords = 'Back' }: Props<T>) {
  const [pin, setPin] = useState('');
  const [fault, setFault] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const add = (digit: string): void => setPin((p) => (p + digit).slice(0, MOST_DIGITS));
  const open = async (): Promise<void> => {
    if (pin.length < 4 || busy) return;
    setBusy(true);
    const sent = await sendJson<T>('POST', url, { ...more, pin });
    setBusy(false);
    setPin('');
    if (sent.ok) onOpened(sent.value);
    else {
      setFault(
        sent.error.code === 'away' ? 'The server does not answer. What was written is kept here.' : sent.error.message,
      );
    }
  };
  useEffect(() => {
    const key = (event: KeyboardEvent): void => {
      if (/^\d$/.test(event.key)) setPin((p) => (p + event.key).slice(0, MOST_DIGITS));
      else if (event.key === 'Backspace') setPin((p) => p.slice(0, -1));
      else if (event.key === 'Escape') onClose?.();
    };
    window.addEventListener('keydown', key);
    return () => window.removeEventListener('keydown', key);
  }, [onClose]);
  return (
    <form
      className={styles.pin}
      aria-label="Practitioner’s PIN"
      onSubmit={(e) => {
        e.preventDefault();
        void open();
      }}
    >
      <p>Practitioner’s PIN</p>
      <p className={styles.dots} role="status" aria-label={`${pin.length} digits`}>
        {'●'.repeat(pin.length) || '–'}
      </p>
      {fault ? (
        <p role="alert" className={styles.fault}>
          {fault}
        </p>
      ) : null}
      <div className={styles.keys}>
        {DIGITS.map((d) => (
          <button key={d} type="button" onClick={() => add(d)}>
            {d}
          </button>
        ))}
        <button type="button" onClick={() => setPin((p) => p.slice(0, -1))} aria-label="Take back one digit">
          ⌫
        </button>
        <button type="button" onClick={() => add('0')}>
          0
        </button>
        <button type="submit" className={styles.ok} disabled={pin.length < 4 || busy}>
          {does}
        </button>
      </div>
      {onClose ? (
        <button type="button" className={styles.close} onClick={onClose}>
          {closeWords}
        </button>
      ) : null}
    </form>
  );
}
