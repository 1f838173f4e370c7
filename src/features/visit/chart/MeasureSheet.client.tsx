'use client';

import { Button, Modal } from 'antd';
import { useState } from 'react';
import { sizeSign } from '@/formats/size';
import { SizeField } from '@/ui/SizeField.client';
import styles from './Chart.module.css';

interface Props {
  readonly sheetCm: readonly [number, number];
  readonly measured: boolean;
  readonly onSize: (size: readonly [number, number] | null) => void;
  readonly onClose: () => void;
}

/** Width and height of the zone as measured with a tape; hair and marks move with the sheet. */
export function MeasureSheet({ sheetCm, measured, onSize, onClose }: Props) {
  const [width, setWidth] = useState<number | null>(Math.round(sheetCm[0] * 10) / 10);
  const [height, setHeight] = useState<number | null>(Math.round(sheetCm[1] * 10) / 10);
  const take = (size: readonly [number, number] | null): void => {
    onSize(size);
    onClose();
  };
  return (
    <Modal
      open
      title="Measure the zone"
      onCancel={onClose}
      destroyOnHidden
      footer={[
        ...(measured
          ? [
              <Button key="scaled" onClick={() => take(null)}>
                Back to the scaled size
              </Button>,
            ]
          : []),
        <Button
          key="take"
          type="primary"
          disabled={width === null || height === null}
          onClick={() => {
            if (width !== null && height !== null) take([width, height]);
          }}
        >
          Use these
        </Button>,
      ]}
    >
      <p>
        With a tape over the skin, widest and longest place that grows hair. What is combed and marked moves with it.
      </p>
      <div className={styles.measure}>
        <label>
          Across, {sizeSign('cm')}
          <SizeField of="cm" min={0.5} max={100} step={0.5} value={width} onChange={setWidth} />
        </label>
        <label>
          Along, {sizeSign('cm')}
          <SizeField of="cm" min={0.5} max={100} step={0.5} value={height} onChange={setHeight} />
        </label>
      </div>
    </Modal>
  );
}
