import { Button } from 'antd';
import type { ReactNode } from 'react';
import styles from './Door.module.css';

interface Props {
  readonly children: ReactNode;
  readonly fault: string | null;
  /** What the main key does. */
  readonly does: string;
  readonly isReady: boolean;
  readonly isBusy?: boolean;
  readonly onSubmit: () => void;
  /** Another way in. */
  readonly other: string;
  readonly onOther: () => void;
}

/** A form at the door: its fields, what is wrong, one main key, another way in. */
export function DoorForm({ children, fault, does, isReady, isBusy = false, onSubmit, other, onOther }: Props) {
  return (
    <form
      className={styles.words}
      onSubmit={(e) => {
        e.preventDefault();
        if (isReady && !isBusy) onSubmit();
      }}
    >
      {children}
      {fault === null ? null : (
        <p role="alert" className={styles.fault}>
          {fault}
        </p>
      )}
      <Button type="primary" size="large" htmlType="submit" disabled={!isReady} loading={isBusy}>
        {does}
      </Button>
      <button type="button" className={styles.other} onClick={onOther}>
        {other}
      </button>
    </form>
  );
}
