'use client';

import { useMemo, useState, type ComponentProps, type ReactNode } from 'react';
import type { KeepLine } from '@/core/outcomes';
import type { BenchZone } from '@/server/services/bench';
import { howMuchFor } from '@/core/agreement';
import { HairSheet } from '../HairSheet.client';
import { KeepBar } from './KeepBar.client';
import { KeepLayer } from './KeepLayer.client';
import type { View } from '../../sheetView';
import { keepShown, type KeepInput } from './keepShown';
import styles from './Keep.module.css';

type SheetProps = Omit<ComponentProps<typeof HairSheet>, 'going' | 'over'>;

interface Props extends SheetProps {
  /** What was agreed. */
  readonly outcome: string;
  /** The table has begun: the strips stand, and so does the line. */
  readonly stands: boolean;
  readonly other: BenchZone | undefined;
  /** What lies over the hair beside the line. */
  readonly besides: (view: View) => ReactNode;
  /** A new line or step; `outcome` where it is of another one than was agreed. */
  readonly onKeep: (keep: KeepInput['drawn']) => void;
}

/** The sheet of a zone on which some hair may stay: what stays, what goes, and the line between them. */
export function KeepSheet({ outcome, stands, other, besides, onKeep, ...sheet }: Props) {
  const { zone, side, content } = sheet;
  const readOnly = sheet.readOnly || stands;
  const [dragged, setDragged] = useState<readonly KeepLine[] | null>(null);
  const input = useMemo(
    (): KeepInput => ({
      zone: zone.id,
      side,
      sheet: sheet.sheet,
      outcome,
      drawn: content.keep,
      marks: content.marks,
      other,
    }),
    [zone.id, side, sheet.sheet, outcome, content.keep, content.marks, other],
  );
  const shown = useMemo(() => keepShown(input, dragged), [input, dragged]);
  if (howMuchFor(zone.id).length < 2) return <HairSheet {...sheet} going={null} over={besides} />;
  const { isAll } = shown;
  return (
    <div className={styles.sheet}>
      <HairSheet
        {...sheet}
        going={isAll ? null : shown.going}
        over={(view) => (
          <>
            {besides(view)}
            {isAll ? null : (
              <KeepLayer
                zone={zone.id}
                side={side}
                sheet={sheet.sheet}
                view={view}
                shown={shown}
                readOnly={readOnly}
                onDrag={setDragged}
                onDone={(lines) => {
                  setDragged(null);
                  onKeep({ outcome, ...(shown.step === undefined ? {} : { step: shown.step }), lines });
                }}
              />
            )}
          </>
        )}
      />
      <KeepBar
        zone={zone.id}
        outcome={outcome}
        shown={shown}
        other={other ? other.side : null}
        disabled={readOnly}
        stands={stands}
        onStep={(step, of) => onKeep({ outcome: of, step })}
        onOutcome={(of) => onKeep({ outcome: of })}
        onReset={() => onKeep({ outcome })}
      />
    </div>
  );
}
