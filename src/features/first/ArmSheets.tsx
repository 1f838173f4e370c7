'use client';

import { useMemo, useState } from 'react';
import { ZONES, sheetFor } from '@/core/anatomy';
import type { Stroke } from '@/core/field';
import type { Plan } from '@/core/plan';
import { HairSheet } from '@/features/visit/chart/HairSheet.client';
import { StripSheet, type StripLook } from '@/features/visit/strips/StripSheet';
import { ARM_CHART } from './drawnArm';
import styles from './First.module.css';

const ARM = ZONES.forearm;
const COMB = { tool: 'comb', radiusCm: 3, markKind: 'mole', markMm: 2, share: 0.5, density: 3 } as const;
const NOTHING = { marks: [], densities: [] };

interface Props {
  readonly strokes: readonly Stroke[];
  readonly today: string;
  readonly onComb: (strokes: readonly Stroke[]) => void;
}

/** The drawn arm under the comb. */
export function CombArm({ strokes, today, onComb }: Props) {
  const sheet = useMemo(() => sheetFor(ARM, 'left', {}), []);
  const [held] = useState({ ...COMB, today });
  if (!sheet.ok) return null;
  return (
    <HairSheet
      zone={ARM}
      side="left"
      sheet={sheet.value}
      hair={ARM_CHART.hair}
      content={{ ...NOTHING, strokes }}
      held={held}
      readOnly={false}
      going={null}
      onDone={(_, after) => onComb(after.strokes)}
    />
  );
}

/** The strips as they were laid out for it. */
interface StripsProps extends Pick<Props, 'strokes'> {
  readonly plan: Plan;
  readonly maxHeight: number;
  /** Only outlined: nothing is laid yet. */
  readonly isWaiting?: boolean;
}

export function ArmStrips({ plan, strokes, maxHeight, isWaiting = false }: StripsProps) {
  const [zone] = plan.zones;
  const data = useMemo(() => ({ ...ARM_CHART, strokes }), [strokes]);
  const looks = useMemo(
    () => new Map((isWaiting ? (zone?.strips ?? []) : []).map((s): [string, StripLook] => [s.id, 'planned'])),
    [zone, isWaiting],
  );
  if (!zone || zone.strips.length === 0) return <p className="quiet">Nothing on the shelf holds this hair.</p>;
  return (
    <div className={styles.strips} style={{ maxWidth: maxHeight * 1.1 }}>
      <StripSheet zone={zone} data={data} looks={looks} maxHeight={maxHeight} />
    </div>
  );
}
