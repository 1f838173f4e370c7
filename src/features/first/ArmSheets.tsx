'use client';

import { useMemo, useState } from 'react';
import { ZONES, sheetFor } from '@/core/anatomy';
import type { Stroke } from '@/core/field';
import type { Plan } from '@/core/plan';
import { HairSheet } from '@/features/visit/chart/HairSheet.client';
import { StripSheet } from '@/features/visit/strips/StripSheet';
import { ARM_CHART } from './drawnArm';
import styles from './First.module.css';

const ARM = ZONES.forearm;
const COMB = { tool: 'comb', radiusCm: 3, markKind: 'mole', markMm: 2, share: 0.5, density: 3 } as const;
const NO_LOOKS = new Map<never, never>();
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
export function ArmStrips({
  plan,
  strokes,
  maxHeight,
}: { readonly plan: Plan } & Pick<Props, 'strokes'> & { readonly maxHeight: number }) {
  const [zone] = plan.zones;
  const data = useMemo(() => ({ ...ARM_CHART, strokes }), [strokes]);
  if (!zone || zone.strips.length === 0) return <p className="quiet">Nothing on the shelf holds this hair.</p>;
  return (
    <div className={styles.strips}>
      <StripSheet zone={zone} data={data} looks={NO_LOOKS} maxHeight={maxHeight} />
    </div>
  );
}
