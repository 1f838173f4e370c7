'use client';

import { useRef, useState, type ReactNode } from 'react';
import type { Sheet, Zone } from '@/core/anatomy';
import type { Ring } from '@/core/shared';
import type { ReadChart } from '@/formats/chartFile';
import type { BenchZone } from '@/server/services/bench';
import { sendJson } from '@/ui/sendJson';
import { chartSvg } from './chartSvg';
import styles from './Chart.module.css';

interface Props {
  readonly visitId: string;
  readonly zone: BenchZone;
  readonly facts: Zone;
  readonly sheet: Sheet | null;
  /** Outlines of the hair that stays. */
  readonly keep: readonly Ring[];
  readonly onRead: (chart: ReadChart) => void;
}

const LARGEST_BYTES = 1_500_000;

export interface ChartFileActs {
  readonly download: () => void;
  readonly choose: () => void;
  /** What came of it, and the hidden field; to be put on the page. */
  readonly node: ReactNode;
}

/** A browser that is busy begins to save a good while after the tap. */
const KEPT_MS = 60_000;

/** The chart out as a drawing, and one back in: out of such a drawing or a visit case. */
export function useChartFiles({ visitId, zone, facts, sheet, keep, onRead }: Props): ChartFileActs {
  const input = useRef<HTMLInputElement>(null);
  const [said, setSaid] = useState('');
  const download = (): void => {
    if (!sheet) return;
    const link = document.createElement('a');
    const { strokes, marks, hair, densities = [] } = zone.data;
    link.href = URL.createObjectURL(
      new Blob(
        [
          chartSvg({
            zone: facts,
            side: zone.side,
            sheet,
            strokes,
            marks,
            hair,
            densities,
            keep,
            drawn: zone.data.keep,
          }),
        ],
        {
          type: 'image/svg+xml',
        },
      ),
    );
    link.download = `chart-${zone.zone}-${zone.side}.svg`;
    link.click();
    setTimeout(() => URL.revokeObjectURL(link.href), KEPT_MS);
  };
  const read = async (file: File): Promise<void> => {
    if (!sheet) return;
    if (file.size > LARGEST_BYTES) return setSaid('This file is too large for a chart. Nothing was changed.');
    const found = await sendJson<ReadChart>('POST', `/api/visits/${visitId}/charts/${zone.zone}/${zone.side}/read`, {
      text: await file.text(),
      sheetCm: [sheet.widthCm, sheet.heightCm],
    });
    if (!found.ok) {
      return setSaid(
        [
          found.error.message,
          ...found.error.details
            .slice(0, 3)
            .map((d) => `${d.path === '' || d.path === 'text' ? '' : `${d.path}: `}${d.message}`),
        ].join(' '),
      );
    }
    setSaid(
      found.value.mirrored
        ? 'Read in, mirrored from the other side. Undo takes it back.'
        : 'Read in. Undo takes growth, densities and marks back.',
    );
    onRead(found.value);
  };
  const node = (
    <>
      <input
        ref={input}
        type="file"
        accept=".svg,.json,image/svg+xml,application/json"
        hidden
        aria-label="Chart file"
        onChange={(e) => {
          const [file] = e.target.files ?? [];
          e.target.value = '';
          if (file) void read(file);
        }}
      />
      {said === '' ? null : (
        <p role="status" className={styles.said}>
          {said}
        </p>
      )}
    </>
  );
  return { download, choose: () => input.current?.click(), node };
}
