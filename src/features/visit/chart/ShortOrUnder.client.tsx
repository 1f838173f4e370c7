'use client';

import { sized, withSizes } from '@/formats/size';
import { Button, Modal } from 'antd';
import { useState } from 'react';
import { shortOrUnder, type HairFlag, type Lifted } from '@/core/hair';
import styles from './Chart.module.css';

interface Props {
  readonly onFlag: (flag: HairFlag) => void;
  readonly onClose: () => void;
}

/** A hair that is hard to tell: fingertip first, then tweezers, then what it is and what to do. */
export function ShortOrUnder({ onFlag, onClose }: Props) {
  const [answers, setAnswers] = useState<Readonly<Partial<Record<Lifted, boolean>>>>({});
  const now = shortOrUnder(answers);
  const asked = Object.keys(answers).length;
  return (
    <Modal
      open
      title="Short, or under the skin?"
      onCancel={onClose}
      destroyOnHidden
      footer={[
        ...(asked > 0
          ? [
              <Button key="again" onClick={() => setAnswers({})}>
                From the start
              </Button>,
            ]
          : []),
        now.kind === 'found' ? (
          <Button
            key="take"
            type="primary"
            onClick={() => {
              if (now.flag) onFlag(now.flag);
              onClose();
            }}
          >
            {now.flag ? 'Note it on the chart' : 'Understood'}
          </Button>
        ) : (
          <Button key="leave" onClick={onClose}>
            Leave it
          </Button>
        ),
      ]}
    >
      {now.kind === 'ask' ? (
        <div className={styles.ask}>
          <p className="quiet">{withSizes(now.question.how)}</p>
          <p>
            <strong>{withSizes(now.question.text)}</strong>
          </p>
          {now.question.id === 'long-enough' ? (
            <div
              className={styles.grain}
              role="img"
              aria-label={`A line of ${sized(1.6, 'mm')} beside one of ${sized(6, 'mm')}, five times enlarged`}
            >
              <i style={{ width: 8 * 3.78 }} />
              <span>{sized(1.6, 'mm')}</span>
              <i style={{ width: 30 * 3.78 }} />
              <span>{sized(6, 'mm')}, five times enlarged</span>
            </div>
          ) : null}
          <div className={styles.yesNo}>
            <Button size="large" onClick={() => setAnswers({ ...answers, [now.question.id]: true })}>
              Yes
            </Button>
            <Button size="large" onClick={() => setAnswers({ ...answers, [now.question.id]: false })}>
              No
            </Button>
          </div>
        </div>
      ) : (
        <p role="status" className={styles.found}>
          {now.say}
        </p>
      )}
    </Modal>
  );
}
